/** The project's screens. They are controls: they come, go and move by steps of the tree. */
import { readAttribute } from '../cascade/attributes.ts';
import type { Folder } from '../document/folder.ts';
import type { MapPlace } from '../document/map-place.ts';
import { nameProblem } from '../document/names.ts';
import { taskRenamed } from '../document/task.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, type StateVariable, treesOf } from '../document/types.ts';
import { pointedElsewhere } from '../expression/renaming.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { controlProblem } from '../meaning/validate.ts';
import type { AttributeText, Collection } from './collection.ts';
import { withKeysRenamed } from './locales.ts';

/** An attribute's text that names screens, with one of them under another name. */
function leadingElsewhere(
  control: Control,
  property: string,
  text: string,
  from: string,
  to: string,
): string {
  if (property.startsWith('on.')) return pointedElsewhere(text, 'screen', from, to);
  const meaning = readAttribute(kindOf(control), property, []);
  if (typeof meaning === 'string' || meaning.role !== 'value') return text;
  const { refers } = meaning.property.type;
  return refers?.to === 'screen' ? refers.renamed(text, from, to) : text;
}

const inAttribute = (control: Control, [attribute, text]: AttributeText, from: string, to: string) =>
  [attribute, leadingElsewhere(control, attribute, text, from, to)] as const;

/** A folder with one of its screens under another name. */
function withScreenRenamed<T extends object>(folder: T, from: string, to: string): T {
  const { screens: names } = folder as Partial<Folder>;
  return names?.includes(from)
    ? { ...folder, screens: names.map((name) => (name === from ? to : name)) }
    : folder;
}

export const screens: Collection<Control> = {
  id: 'screens',
  word: 'screen',
  least: 0,
  most: 1000,
  fields: ['id', 'kind', 'name', 'props', 'children', 'comments'],
  inTree: true,
  keyOf: ({ name }) => name ?? '',
  keyProblem: nameProblem,
  fault: (screen, project) => {
    const message = controlProblem(project, screen, 'screens');
    return message === undefined ? undefined : { path: '', message };
  },
  empty: (name) => ({
    id: name,
    kind: 'screen',
    name,
    props: { ...kindOf({ kind: 'screen' }).starter },
    children: [],
  }),
  rekeyed: (screen, name) => ({ ...screen, name }),
  inAttribute,
  inEntity: (of, entity, from, to) => {
    if (of === 'locales') return withKeysRenamed(entity as never, from, to) as never;
    if (of === 'map')
      return (entity as Partial<MapPlace>).screen === from ? { ...entity, screen: to } : entity;
    if (of === 'folders') return withScreenRenamed(entity, from, to);
    if (of === 'tasks') return taskRenamed(entity, 'screen', from, to);
    return of === 'state' && (entity as Partial<StateVariable>).screen === from
      ? { ...entity, screen: to }
      : entity;
  },
  uses: (project: Project, name) =>
    treesOf(project).flatMap((screen) =>
      [...walk(screen)].flatMap((control) =>
        Object.entries(control.props).flatMap(([attribute, value]) => {
          const text = inForce(value);
          if (text === undefined) return [];
          // What would change with the name is what names it.
          const changed = leadingElsewhere(control, attribute, text, name, `${name}_`);
          return changed === text ? [] : [{ screen, control, attribute }];
        }),
      ),
    ),
};
