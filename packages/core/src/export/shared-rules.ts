/** Rules of a stylesheet that several controls have in common, said once: those of a bar that stands on every screen. */
import { group } from 'd3-array';
import { entryOf } from '../sure.ts';
import type { Section } from './rule.ts';

/** Rules of several screens. */
export interface SharedRules {
  /** What controls of more than one screen have in common. */
  readonly shared: readonly Section[];
  /** What is left to each screen, in their order. */
  readonly own: readonly (readonly Section[])[];
}

const bodyOf = (css: ReadonlyMap<string, string>): string => JSON.stringify([...css]);

/**
 * For each selector what it says, in all sections together, as a text. One that says something in a container query, or
 * twice under one media query, is by itself: it says its own name, too.
 */
function saidBy(sections: readonly Section[]): Map<string, string> {
  const said = new Map<string, string>();
  const seen = new Set<string>();
  for (const { query = '', rules } of sections)
    for (const { selector, css, container } of rules) {
      const place = `${query} ${selector}`;
      const alone = container !== undefined || seen.has(place) ? selector : '';
      seen.add(place);
      said.set(selector, `${said.get(selector) ?? ''}${query} ${alone} ${bodyOf(css)}\n`);
    }
  return said;
}

/** A selector's screen, and the rest of it; the rest is empty for the screen itself. */
function parts(selector: string): readonly [screen: string, rest: string] {
  const at = selector.indexOf(' ');
  return at < 0 ? [selector, ''] : [selector.slice(0, at), selector.slice(at)];
}

/** Several selectors as one, as specific as each of them (Selectors 4 §4.2, `:is()`). */
export function together(selectors: readonly string[]): string {
  const screens = group(selectors.map(parts), ([, rest]) => rest);
  return [...screens]
    .map(([rest, found]) => {
      const names = found.map(([screen]) => screen).join(', ');
      return found.length === 1 || rest === '' ? `${names}${rest}` : `:is(${names})${rest}`;
    })
    .join(',\n');
}

/**
 * Puts rules together whose selectors say the same in all sections: what one of them says, all say, so that the order in
 * which they win over each other stays.
 *
 * @param screens the sections of each screen; those of the same query mean the same.
 */
export function shareRules(screens: readonly (readonly Section[])[]): SharedRules {
  const said = screens.map(saidBy);
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
        index === 0 ? { selector: together(found.map((each) => each.selector)), isShared } : undefined,
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
  const byQuery = group(
    screens.flatMap((sections) => those(sections, true)),
    ({ query }) => query,
  );
  return {
    shared: [...byQuery].map(([query, sections]) => ({
      query,
      rules: sections.flatMap(({ rules }) => rules),
    })),
    own: screens.map((sections) => those(sections, false)),
  };
}
