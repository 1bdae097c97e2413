/** Rules of a stylesheet that several controls have in common, said once: those of a bar that stands on every screen. */
import { group } from 'd3-array';
import { entryOf, itemAt } from '../sure.ts';
import { type PartSelectors, withPartClasses } from './part-classes.ts';
import type { Section } from './rule.ts';

/** Rules of several screens. */
export interface SharedRules {
  /** What controls of more than one screen have in common. */
  readonly shared: readonly Section[];
  /** What is left to each screen, in their order. */
  readonly own: readonly (readonly Section[])[];
}

const bodyOf = (css: ReadonlyMap<string, string>): string => JSON.stringify([...css]);

/** How many sections, from the first on, have the same query on every screen: rules are shared in these only. */
function commonSections(screens: readonly (readonly Section[])[]): number {
  const [first = [], ...others] = screens;
  const differs = first.findIndex(({ query }, index) =>
    others.some((sections) => !sections[index] || sections[index].query !== query),
  );
  return differs < 0 ? first.length : differs;
}

/**
 * For each selector what it says, in all sections together, as a text. One that says something in a container query,
 * twice in one section, or in a section that other screens do not have is by itself: it says its own name, too.
 */
function saidBy(sections: readonly Section[], common: number): Map<string, string> {
  const said = new Map<string, string>();
  for (const [index, { rules }] of sections.entries()) {
    const seen = new Set<string>();
    for (const { selector, css, container } of rules) {
      const isAlone = container !== undefined || seen.has(selector) || index >= common;
      seen.add(selector);
      said.set(selector, `${said.get(selector) ?? ''}${index} ${isAlone ? selector : ''} ${bodyOf(css)}\n`);
    }
  }
  return said;
}

/** A selector's screen, and the rest of it; the rest is empty for the screen itself. */
function screenAndRest(selector: string): readonly [screen: string, rest: string] {
  const at = selector.indexOf(' ');
  return at < 0 ? [selector, ''] : [selector.slice(0, at), selector.slice(at)];
}

/** Several selectors as one, as specific as each of them (Selectors 4 §4.2, `:is()`). */
export function together(selectors: readonly string[]): string {
  const screens = group(selectors.map(screenAndRest), ([, rest]) => rest);
  return [...screens]
    .map(([rest, found]) => {
      const names = found.map(([screen]) => screen).join(', ');
      return found.length === 1 || rest === '' ? `${names}${rest}` : `:is(${names})${rest}`;
    })
    .join(',\n');
}

/**
 * Puts rules together whose selectors say the same in every section. Sections are shared by their place in the list, so
 * that rules win over each other in the same order as before, also where a query comes twice.
 *
 * @param screens the sections of each screen, the later ones winning.
 * @param parts selectors of parts of instances, which have a class in common.
 */
export function shareRules(
  screens: readonly (readonly Section[])[],
  parts: PartSelectors = { classes: new Map(), counts: new Map() },
): SharedRules {
  const common = commonSections(screens);
  const said = screens.map((sections) => saidBy(sections, common));
  const all = said.flatMap((each, screen) =>
    [...each].map(([selector, text]) => ({ selector, text, screen })),
  );
  const alike = group(all, ({ text }) => text);
  /** By selector: where its rule is written, and with which others; only the first of them writes it. */
  const written = new Map<string, { readonly selector: string; readonly isShared: boolean } | undefined>();
  for (const found of alike.values()) {
    const isShared = found.some(({ screen }) => screen !== found[0]?.screen);
    for (const [index, { selector }] of found.entries())
      written.set(
        selector,
        index === 0
          ? {
              selector: together(
                withPartClasses(
                  found.map((each) => each.selector),
                  parts,
                ),
              ),
              isShared,
            }
          : undefined,
      );
  }
  const those = (sections: readonly Section[], isShared: boolean): Section[] =>
    sections.map(({ query, rules }) => ({
      query,
      rules: rules.flatMap((rule) => {
        const place = entryOf(written, rule.selector);
        return place?.isShared === isShared ? [{ ...rule, selector: place.selector }] : [];
      }),
    }));
  const sharedBy = screens.map((sections) => those(sections, true));
  return {
    shared: (screens[0] ?? []).slice(0, common).map(({ query }, index) => ({
      query,
      rules: sharedBy.flatMap((sections) => itemAt(sections, index).rules),
    })),
    own: screens.map((sections) => those(sections, false)),
  };
}
