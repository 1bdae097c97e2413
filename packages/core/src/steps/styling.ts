/** Styles made of what controls say, and given to them. */
import { propertyOf } from '../cascade/attributes.ts';
import { propertiesOf } from '../cascade/cascade.ts';
import { ownStyleText, type Style, styleNames } from '../document/style-set.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, treesOf } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { isStyled } from '../meaning/style-values.ts';
import { changing, putting } from './entities.ts';
import type { Step } from './step.ts';

/** Values by attribute. */
export type StyleValues = Readonly<Record<string, string>>;

/** What of a control's own values a style may say: its look and sizes, as plain text. */
export function styledValues(control: Control): StyleValues {
  const properties = propertiesOf(kindOf(control));
  return Object.fromEntries(
    Object.entries(control.props).flatMap(([attribute, value]) => {
      const property = properties.get(propertyOf(attribute));
      const text = inForce(value);
      return property && isStyled(property) && text !== undefined && !hasExpression(text)
        ? [[attribute, text]]
        : [];
    }),
  );
}

/** What several controls say alike. */
export function sharedValues(controls: readonly Control[]): StyleValues {
  const [first, ...others] = controls.map(styledValues);
  return Object.fromEntries(
    Object.entries(first ?? {}).filter(([attribute, text]) =>
      others.every((each) => each[attribute] === text),
    ),
  );
}

/** Controls that have a style besides those that they had. */
export const giveStyle = (controls: readonly Control[], name: string): Step[] =>
  controls.flatMap((control): Step[] => {
    const held = styleNames(ownStyleText(control.props));
    return held.includes(name)
      ? []
      : [{ type: 'set', control: control.id, property: 'style', value: [...held, name].join(' ') }];
  });

/**
 * A style of values that some controls have: they name it, and no longer say themselves what it says.
 *
 * @param only the kind that it is for; undefined: any.
 */
export function makeStyle(
  controls: readonly Control[],
  name: string,
  values: StyleValues,
  only?: string,
): Step[] {
  const style: Style = { name, ...(only === undefined ? {} : { for: only }), props: values };
  const freed = controls.flatMap((control) =>
    Object.entries(values).flatMap(([attribute, text]): Step[] =>
      inForce(control.props[attribute]) === text
        ? [{ type: 'set', control: control.id, property: attribute, value: null }]
        : [],
    ),
  );
  return [putting('styles', style), ...giveStyle(controls, name), ...freed];
}

/** What a control says goes into a style that it has: all who have it follow, and the control says it no more. */
export function intoStyle(control: Control, style: Style, attributes: readonly string[]): Step[] {
  const values = styledValues(control);
  const said = attributes.flatMap((attribute) => {
    const text = values[attribute];
    return text === undefined ? [] : [[attribute, text] as const];
  });
  return [
    ...changing('styles', style, { ...style, props: { ...style.props, ...Object.fromEntries(said) } }),
    ...said.map(([property]): Step => ({ type: 'set', control: control.id, property, value: null })),
  ];
}

/** Values that several controls say alike, and that a style could say once. */
export interface RecurringLook {
  readonly values: StyleValues;
  readonly controls: readonly Control[];
  /** How many values would be said no more. */
  readonly freed: number;
}

/** Most looks that are told, and sets of values that are held against each other. */
const mostTold = 12;
const mostSets = 300;

/** The looks that recur in a project, those first that free the most values. */
export function recurringLooks(project: Project): RecurringLook[] {
  const items = new Map<string, Set<Control>>();
  const sets = new Map<string, readonly string[]>();
  for (const screen of treesOf(project))
    for (const control of walk(screen)) {
      const own = Object.entries(styledValues(control))
        .filter(([attribute]) => looks(control, attribute))
        .map(([attribute, text]) => `${attribute}=${text}`)
        .toSorted();
      for (const item of own) items.set(item, (items.get(item) ?? new Set()).add(control));
      if (own.length >= 2) sets.set(own.join('\n'), own);
    }
  const all = [...sets.values()].slice(0, mostSets);
  const candidates = new Map(all.map((own) => [own.join('\n'), own]));
  for (const [index, one] of all.entries())
    for (const other of all.slice(index + 1)) {
      const shared = one.filter((item) => other.includes(item));
      if (shared.length >= 2) candidates.set(shared.join('\n'), shared);
    }
  return [...candidates.values()]
    .flatMap((own): RecurringLook[] => {
      const controls = [...(items.get(own[0] ?? '') ?? [])].filter((control) =>
        own.every((item) => items.get(item)?.has(control)),
      );
      if (controls.length < 2) return [];
      const values = Object.fromEntries(
        own.map((item) => item.split(/=(.*)/s).slice(0, 2) as [string, string]),
      );
      return [{ values, controls, freed: own.length * controls.length - own.length }];
    })
    .toSorted((a, b) => b.freed - a.freed)
    .slice(0, mostTold);
}

/** What makes a look: not the size that one control has. */
function looks(control: Control, attribute: string): boolean {
  const group = propertiesOf(kindOf(control)).get(propertyOf(attribute))?.group;
  return (
    group === 'look' || group === 'letters' || group === 'effects' || propertyOf(attribute) === 'padding'
  );
}

/** The named styles that no control names. */
export function unusedStyles(project: Project): Style[] {
  const named = new Set(
    treesOf(project).flatMap((screen) =>
      [...walk(screen)].flatMap(({ props }) => ownStyleText(props).match(/[A-Za-z_][\w-]*/g) ?? []),
    ),
  );
  return (project.styles ?? []).filter(({ name }) => name !== undefined && !named.has(name));
}
