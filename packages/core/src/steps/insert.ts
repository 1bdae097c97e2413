/** The step that puts a control into the tree. */
import { collectionOf, entityOf } from '../collections/catalogue.ts';
import { isRecord } from '../document/record.ts';
import { walk } from '../document/tree.ts';
import type { Control, Project, TreeList } from '../document/types.ts';
import { namedOn, placeOf, withInserted } from '../document/whereabouts.ts';
import { controlProblem } from '../meaning/validate.ts';
import { refuse, type StepKind } from './applied.ts';
import { mappedControl } from './mapped.ts';
import { isPlace, placeInto, placeProblem, type TreePlace, treeListOf } from './tree-place.ts';

/** Puts a control (with all below it) into a parent; `null` as parent: a screen into the project. */
export interface InsertStep extends TreePlace {
  readonly type: 'insert';
  readonly control: Control;
}

/** The first name that a control would bring and that is taken where it goes. */
function takenName(project: Project, { parent, control }: InsertStep): string | undefined {
  const screen = parent === null ? undefined : placeOf(project, parent)?.screen;
  const names = new Set<string>();
  for (const { name } of walk(control)) {
    if (name === undefined) continue;
    if (names.has(name) || (screen && namedOn(screen, name))) return name;
    names.add(name);
  }
  return undefined;
}

/** Why a whole tree cannot have its name; undefined where it can. */
function treeNameProblem(project: Project, control: Control): string | undefined {
  const collection = collectionOf(treeListOf(control) ?? 'screens');
  const { name } = control;
  if (name === undefined) return `A ${collection.word} needs a name.`;
  return entityOf(project, collection, name)
    ? `There is already a ${collection.word} \`${name}\`.`
    : collection.keyProblem(name);
}

/** The list that something from outside wants to be in. */
const listAsked = (control: unknown): TreeList =>
  (isRecord(control) && typeof control.kind === 'string' && treeListOf({ kind: control.kind })) || 'screens';

export const insertKind: StepKind<InsertStep> = {
  type: 'insert',
  apply(project, step) {
    const { control, parent, index } = step;
    const problem = placeProblem(project, step, control);
    if (problem) return refuse(problem, control.name ?? control.id);
    const ids = new Set<string>();
    for (const each of walk(control)) {
      if (ids.has(each.id) || placeOf(project, each.id))
        return refuse('The control is already there.', each.name ?? each.id);
      ids.add(each.id);
    }
    const taken = takenName(project, step);
    if (taken !== undefined) return refuse(`\`${taken}\` is taken by another control on this screen.`, taken);
    const nameless = parent === null ? treeNameProblem(project, control) : undefined;
    if (nameless) return refuse(nameless, control.name ?? control.id);
    return {
      ok: true,
      project: withInserted(project, placeInto(step, control), index, control),
      inverse: { type: 'remove', control: control.id },
    };
  },
  fault: (project, step) =>
    isPlace(step)
      ? controlProblem(project, step.control, step.parent === null ? listAsked(step.control) : undefined)
      : 'An insertion has no place.',
  mapped: (project, step, renamed) => ({ ...step, control: mappedControl(project, step.control, renamed) }),
  touches: ({ control }) => [control.id],
};
