/** The project's components. They are trees of controls: they come, go and change by steps of the tree. */
import { componentNameProblem } from '../document/names.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, treesOf } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { surroundOf } from '../kinds/screen.ts';
import { controlProblem } from '../meaning/validate.ts';
import type { AttributeText, Collection, Use } from './collection.ts';
import { withKeysRenamed } from './locales.ts';

const isSurroundAttribute = (control: Control, attribute: string): boolean =>
  attribute === surroundOf.name && kindOf(control).properties.includes(surroundOf);

/** Instances of a component, and screens that it stands around. */
const uses = (project: Project, name: string): Use[] =>
  treesOf(project).flatMap((screen) =>
    [...walk(screen)].flatMap((control): Use[] => {
      if (control.kind === name) return [{ screen, control, attribute: '' }];
      const around = inForce(control.props[surroundOf.name]);
      return around === name && isSurroundAttribute(control, surroundOf.name)
        ? [{ screen, control, attribute: surroundOf.name }]
        : [];
    }),
  );

export const components: Collection<Control> = {
  id: 'components',
  word: 'component',
  least: 0,
  most: 500,
  fields: ['id', 'kind', 'name', 'props', 'children', 'comments'],
  inTree: true,
  optional: true,
  keyOf: ({ name }) => name ?? '',
  keyProblem: componentNameProblem,
  fault: (component, project) => {
    const message = controlProblem(project, component, 'components');
    return message === undefined ? undefined : { path: '', message };
  },
  empty: (name) => ({ id: name, kind: 'component', name, props: {}, children: [] }),
  rekeyed: (component, name) => ({ ...component, name }),
  inAttribute: (control, [attribute, text], from, to): AttributeText =>
    text === from && isSurroundAttribute(control, attribute) ? [attribute, to] : [attribute, text],
  inControl: (control, from, to) => (control.kind === from ? { ...control, kind: to } : control),
  inEntity: (of, entity, from, to) =>
    of === 'locales' ? (withKeysRenamed(entity as never, from, to) as never) : entity,
  uses,
  needed: () => true,
};
