/** An instance becomes the controls that it stands for, which then go their own ways. */
import { freeName } from '../document/names.ts';
import { locate, walk } from '../document/tree.ts';
import { type Control, inForce, type Project, type StateVariable } from '../document/types.ts';
import { kindOf, screenKind } from '../kinds/catalogue.ts';
import { stateNameProblem } from '../meaning/state-names.ts';
import { expansionOf } from '../reuse/expand.ts';
import { isInstance } from '../reuse/instance-kinds.ts';
import { putting } from '../steps/entities.ts';
import type { Step } from '../steps/step.ts';

/** The short end of a name of a part, `cell` of `first.cell`. */
const shortName = (name: string): string => name.slice(name.lastIndexOf('.') + 1);

/** Names of variables that instances keep: `Tonight$first$open`. */
const ownName = /[\p{ID_Start}_][\p{ID_Continue}]*(?:\$[\p{ID_Continue}]+)+/gu;

/** A name for the variable of an instance that stands alone: `firstOpen`. */
function variableName(held: string, taken: (name: string) => boolean): string {
  const [, ...parts] = held.split('$');
  const [first = 'value', ...more] = parts;
  return freeName(
    `${first}${more.map((part) => part.charAt(0).toUpperCase() + part.slice(1)).join('')}`,
    taken,
  );
}

/**
 * The steps that put what an instance stands for in its place.
 *
 * @returns the steps and the new control's id; why it cannot be done, where it cannot.
 */
export function detach(
  project: Project,
  id: string,
  newId: () => string,
): { readonly steps: Step[]; readonly control: string } | string {
  const found = locate(project, id);
  if (!found?.parent || !isInstance(found.control)) return 'This is no instance of a component.';
  const { screen, parent, index } = found;
  // In a component what it stands in is no instance yet: parameters stay names.
  const inComponent = kindOf(screen).root === 'components';
  const tree = inComponent ? { ...screen, kind: screenKind, props: {} } : screen;
  const expansion = expansionOf(project, tree);
  const made = [...walk(expansion.screen)].find((each) => isMadeOf(each, id));
  if (!made) return 'Its component has nothing in it yet.';
  const own = expansion.variables.filter((variable) => isUsedIn(made, variable));
  if (
    own.some(({ type, initial }) => type === 'record' && JSON.stringify(initial) === '{}' && usesItems(made))
  )
    return 'In a repeat it keeps values of its own for each item, which controls by themselves cannot.';
  if (inComponent && own.length > 0)
    return 'It keeps values of its own; in a component these are the instance’s.';
  const variables = new Map<string, string>();
  const isTaken = (name: string) =>
    stateNameProblem(project, name) !== undefined || [...variables.values()].includes(name);
  for (const { name } of own) variables.set(name, variableName(name, isTaken));
  const names = new Set(
    [...walk(screen)].flatMap((each) => (contains(found.control, each) ? [] : (each.name ?? []))),
  );
  const renamed = new Map<string, string>();
  for (const { name } of walk(made))
    if (name?.includes('.')) {
      const free = freeName(shortName(name).replaceAll('[]', ''), (each) => names.has(each));
      names.add(free);
      renamed.set(name, free);
    }
  const kept = new Set([...walk(found.control)].map((each) => each.id));
  const control = asOwn(made, { renamed, variables, kept, newId, instance: found.control });
  return {
    steps: [
      ...own.map((variable) => putting('state', { ...variable, name: variables.get(variable.name)! })),
      { type: 'remove', control: id },
      { type: 'insert', parent: parent.id, index, control },
    ],
    control: control.id,
  };
}

const contains = (top: Control, control: Control): boolean => [...walk(top)].includes(control);

/** Whether a control of an expanded screen is the root of an instance. */
const isMadeOf = ({ id }: Control, instance: string): boolean =>
  id.startsWith(`${instance}/`) || id.includes(`/${instance}/`);

const texts = (top: Control): string[] =>
  [...walk(top)].flatMap(({ props }) => Object.values(props).map((value) => inForce(value) ?? ''));

const isUsedIn = (top: Control, { name }: StateVariable): boolean =>
  texts(top).some((text) => text.match(ownName)?.includes(name));

const usesItems = (top: Control): boolean => texts(top).some((text) => /\$at\b/.test(text));

interface Own {
  readonly renamed: ReadonlyMap<string, string>;
  readonly variables: ReadonlyMap<string, string>;
  /** Controls that were put into the instance keep their ids. */
  readonly kept: ReadonlySet<string>;
  readonly newId: () => string;
  readonly instance: Control;
}

function asOwn(control: Control, own: Own): Control {
  const { renamed, variables, kept, newId } = own;
  const name = control.name === undefined ? undefined : (renamed.get(control.name) ?? control.name);
  const props = Object.fromEntries(
    Object.entries(control.props).map(([attribute, value]) => {
      const text = (inForce(value) ?? '')
        .replaceAll(ownName, (each) => variables.get(each) ?? each)
        .replaceAll(/"([\p{ID_Continue}$.[\]]+)"/gu, (whole, each: string) =>
          renamed.has(each) && attribute.startsWith('on.') ? `"${renamed.get(each)}"` : whole,
        );
      return [attribute, text];
    }),
  );
  const { slot: _, ...inTree } = props;
  return {
    id: kept.has(control.id) ? control.id : newId(),
    kind: control.kind,
    ...(name === undefined ? {} : { name }),
    props: inTree,
    children: control.children.map((child) => asOwn(child, own)),
  };
}
