/**
 * Styles as rules of a page: one class a style, each in a cascade layer of its own, in the order of the project's styles
 * (CSS Cascade 5 §6.4.4). What a style comes to may depend on what a control stands in; controls for which it comes to
 * something else than for most have rules of their own in the same layer.
 */
import { group } from 'd3-array';
import { asksOf } from '../cascade/states-asked.ts';
import { type Style, type StyleSet, styleKey, stylesOver } from '../document/style-set.ts';
import { locationsIn } from '../document/tree.ts';
import type { Project } from '../document/types.ts';
import { itemAt } from '../sure.ts';
import { selectorsIn } from './class-names.ts';
import { RuleSections } from './control-rules.ts';
import { comingDeclared, type Inside, type Standing } from './layered-values.ts';
import type { Section } from './rule.ts';
import { selectorInState } from './state-selectors.ts';
import { styleClass } from './style-class.ts';
import type { CssThemes } from './theme-variables.ts';

/** The selector, and the layer, of a style. */
const placeOf = ({ name, for: kind }: Style): { readonly selector: string; readonly layer: string } =>
  name === undefined
    ? { selector: `.k-${kind}`, layer: `kind-${kind}` }
    : { selector: `.${styleClass(name)}`, layer: styleClass(name) };

/** A control that a style is for. */
interface User extends Standing {
  readonly selector: string;
  readonly path: readonly Standing['control'][];
  readonly selectorOf: (control: Standing['control']) => string;
}

function usersOf(project: Project, styles: StyleSet): ReadonlyMap<string, readonly User[]> {
  const found = new Map<string, User[]>();
  for (const screen of project.screens) {
    const selectorOf = selectorsIn(screen);
    const places = locationsIn(screen);
    for (const { control, parent } of places.values())
      for (const style of stylesOver(control, styles)) {
        const path = [control];
        for (let at = parent; at; at = places.get(at.id)?.parent) path.push(at);
        const users = found.get(styleKey(style)) ?? [];
        found.set(styleKey(style), users);
        users.push({ control, parent, selector: selectorOf(control), path, selectorOf });
      }
  }
  return found;
}

/** What stands for the selector in rules that are not for one control yet. */
const self = '&';

function sectionsFor(
  user: User,
  style: Style,
  { project, states, themes }: { project: Project; states: readonly string[]; themes: CssThemes },
): Section[] {
  const sections = new RuleSections(project.bands, states);
  const known = new Map<string, Inside>();
  sections.add(
    (prefixes) => {
      const key = prefixes.join();
      const said = known.get(key) ?? comingDeclared(user, style, prefixes, themes);
      known.set(key, said);
      return said;
    },
    (state) => selectorInState(self, state, user),
    asksOf({ ...user.control, props: style.props }, themes.plain.styles),
  );
  return evenly(sections.list());
}

const sign = ' !important';

/** What is important under one media query is so under all: there another value takes its place. */
function evenly(sections: readonly Section[]): Section[] {
  const marked = new Set(
    sections.flatMap(({ rules }) =>
      rules.flatMap(({ css }) => [...css].flatMap(([name, value]) => (value.endsWith(sign) ? name : []))),
    ),
  );
  if (marked.size === 0) return [...sections];
  const asMarked = (name: string, value: string) =>
    marked.has(name) && !value.endsWith(sign) ? `${value}${sign}` : value;
  return sections.map(({ query, rules }) => ({
    query,
    rules: rules.map((rule) => ({
      ...rule,
      css: new Map([...rule.css].map(([name, value]) => [name, asMarked(name, value)])),
    })),
  }));
}

const asText = (sections: readonly Section[]): string =>
  JSON.stringify(
    sections.map(({ query, rules }) => [query, rules.map(({ selector, css }) => [selector, [...css]])]),
  );

const forSelector = (sections: readonly Section[], selector: string): Section[] =>
  sections.map(({ query, rules }) => ({
    query,
    rules: rules.map((rule) => ({ ...rule, selector: rule.selector.replaceAll(self, selector) })),
  }));

/** The rules of one style. */
export interface StyleRules {
  readonly layer: string;
  readonly sections: readonly Section[];
}

/** The rules of a project's styles, weakest first; those that nothing uses have none. */
export function styleRules(project: Project, states: readonly string[], themes: CssThemes): StyleRules[] {
  const { styles } = themes.plain;
  const users = usersOf(project, styles);
  const inOrder = [...styles.ofKinds.values(), ...styles.all.filter(({ name }) => name !== undefined)];
  return inOrder.flatMap((style) => {
    const all = users.get(styleKey(style)) ?? [];
    if (all.length === 0) return [];
    const made = all.map((user) => ({
      user,
      sections: sectionsFor(user, style, { project, states, themes }),
    }));
    const groups = [...group(made, ({ sections }) => asText(sections)).values()].toSorted(
      (a, b) => b.length - a.length,
    );
    const { selector, layer } = placeOf(style);
    const rest = groups.slice(1).flatMap((each) => each.map(({ user }) => user.selector));
    const most = rest.length === 0 ? selector : `${selector}:not(${rest.join(', ')})`;
    return [
      {
        layer,
        sections: groups.flatMap((each, index) => {
          const own =
            index === 0 ? most : `${selector}:is(${each.map(({ user }) => user.selector).join(', ')})`;
          return forSelector(itemAt(each, 0).sections, own);
        }),
      },
    ];
  });
}
