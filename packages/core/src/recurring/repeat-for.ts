/** A control is put into a repeat over a list; what its instance is given follows the items, where they have it. */
import { effectiveNames, freeName } from '../document/names.ts';
import { isRecord } from '../document/record.ts';
import { locate } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { repeat as repeatKind } from '../kinds/repeat.ts';
import { knownOn } from '../meaning/property-text.ts';
import { definitionsOf } from '../reuse/definition.ts';
import { valuesInside } from '../reuse/samples.ts';
import type { Step } from '../steps/step.ts';

/** A list that something can be repeated for. */
export interface ListChoice {
  /** The expression that gives it. */
  readonly each: string;
  /** What an item is called at first. */
  readonly as: string;
  /** The first item; undefined where there is none. */
  readonly first: unknown;
}

/** `bunks` has items that are called `bunk`. */
const oneOf = (name: string): string => (/[^s]s$/.test(name) ? name.slice(0, -1) : 'item');

/** The lists that are known at a control. */
export function listsAt(project: Project, control: Control): readonly ListChoice[] {
  const tree = locate(project, control.id)?.screen;
  const own = [...valuesInside(project, tree)].map(([name, value]) => ({ name, value }));
  const known = knownOn(project, tree?.name).map(({ name, initial }) => ({
    name,
    value: initial as unknown,
  }));
  return [...own, ...known].flatMap(({ name, value }) =>
    Array.isArray(value) ? [{ each: name, as: oneOf(name), first: value[0] as unknown }] : [],
  );
}

/** The parameters of an instance that the fields of a list's items fit by name, with the expressions that they follow. */
export function followed(
  project: Project,
  control: Control,
  { as, first }: ListChoice,
): readonly (readonly [parameter: string, text: string])[] {
  const parameters = definitionsOf(project).get(control.kind)?.parameters;
  if (!parameters) return [];
  const fields = isRecord(first) ? Object.keys(first) : [];
  return [...parameters.keys()].flatMap((name): [string, string][] => {
    if (fields.includes(name)) return [[name, `{${as}.${name}}`]];
    if (name === as) return [[name, `{${as}}`]];
    return parameters.size === 1 && !isRecord(first) ? [[name, `{${as}}`]] : [];
  });
}

/** The steps that repeat a control for each item of a list. @returns them, and the id of the repeat. */
export function repeatFor(
  project: Project,
  control: Control,
  choice: ListChoice,
  newId: () => string,
): { readonly steps: Step[]; readonly repeat: string } | undefined {
  const found = locate(project, control.id);
  if (!found?.parent) return undefined;
  const names = new Set(effectiveNames(found.screen).values());
  const { name: kind, starter } = repeatKind;
  const repeat: Control = {
    id: newId(),
    kind,
    name: freeName(choice.each.replace(/\W+/g, '') || kind, (name) => names.has(name)),
    props: {
      ...(starter.gap === undefined ? {} : { gap: starter.gap }),
      each: `{${choice.each}}`,
      as: choice.as,
    },
    children: [],
  };
  return {
    repeat: repeat.id,
    steps: [
      { type: 'insert', parent: found.parent.id, index: found.index, control: repeat },
      { type: 'move', control: control.id, parent: repeat.id, index: 0 },
      ...followed(project, control, choice).flatMap(([property, value]): Step[] =>
        inForce(control.props[property]) === value
          ? []
          : [{ type: 'set', control: control.id, property, value }],
      ),
    ],
  };
}
