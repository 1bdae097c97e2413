/**
 * A step is the only way to change a project: small, plain data, and reversible. Applying one gives a new
 * project and the step that takes it back; a step that does not fit gives a reason instead.
 */

import { readAttribute } from '../document/attributes.ts';
import { controlNameProblem, screenNameProblem } from '../document/names.ts';
import { contains, walk } from '../document/tree.ts';
import type { Control, Project, PropertyValue } from '../document/types.ts';
import {
  assetsProblem,
  bandsProblem,
  controlProblem,
  deepestNesting,
  mostControls,
  stateProblem,
} from '../document/validate.ts';
import {
  countOn,
  namedOn,
  placeOf,
  withControl,
  withInserted,
  withoutControl,
} from '../document/whereabouts.ts';
import { confinesProblem, kindOf } from '../kinds/catalogue.ts';
import { changeRows, type RowsStep, rowsStepProblem } from './rows.ts';

/** Puts a control (with all below it) into a parent; `null` as parent: a screen into the project. */
export interface InsertStep {
  readonly type: 'insert';
  readonly parent: string | null;
  readonly index: number;
  readonly control: Control;
}
/** Takes a control and all below it away. */
export interface RemoveStep {
  readonly type: 'remove';
  readonly control: string;
}
/** Moves a control into a parent; `index` counts without the control itself. */
export interface MoveStep {
  readonly type: 'move';
  readonly control: string;
  readonly parent: string | null;
  readonly index: number;
}
/** Sets an attribute's text; `null` takes it away. */
export interface SetStep {
  readonly type: 'set';
  readonly control: string;
  readonly property: string;
  readonly value: PropertyValue | null;
}
/** Gives a control another name; `null` takes it away. */
export interface RenameStep {
  readonly type: 'rename';
  readonly control: string;
  readonly name: string | null;
}
/** Sets a value of the project itself. */
export interface ProjectStep {
  readonly type: 'project';
  readonly key: 'name' | 'start' | 'state' | 'bands' | 'assets';
  readonly value: unknown;
}

export type Step = InsertStep | RemoveStep | MoveStep | SetStep | RenameStep | ProjectStep | RowsStep;

export type Applied =
  | { readonly ok: true; readonly project: Project; readonly inverse: Step }
  | {
      readonly ok: false;
      readonly reason: string /** Name or id of the control concerned. */;
      readonly control?: string;
    };

const refuse = (reason: string, control?: string): Applied => ({
  ok: false,
  reason,
  ...(control === undefined ? {} : { control }),
});
const gone = (id: string): Applied => refuse('The control is not there any more.', id);

/** Applies a step. Never throws for a step of the right shape; see `stepProblem` for data from outside. */
export function applyStep(project: Project, step: Step): Applied {
  switch (step.type) {
    case 'insert':
      return insert(project, step);
    case 'remove':
      return remove(project, step);
    case 'move':
      return move(project, step);
    case 'set':
      return set(project, step);
    case 'rename':
      return rename(project, step);
    case 'project':
      return setProject(project, step);
    case 'rows':
      return changeRows(project, step);
  }
}

/** Why a control cannot stand at a place; undefined where it can. */
function placeProblem(
  project: Project,
  parent: string | null,
  index: number,
  control: Control,
): string | undefined {
  if ((parent === null) !== (control.kind === 'screen'))
    return control.kind === 'screen'
      ? 'A screen cannot stand inside another control.'
      : `A ${control.kind} cannot be a screen.`;
  if (parent === null)
    return index >= 0 && index <= project.screens.length
      ? undefined
      : 'There is no such place among the screens.';
  const into = placeOf(project, parent);
  if (!into) return 'The container is not there any more.';
  const confined = confinesProblem(kindOf(control), kindOf(into.control), into.control.children.length + 1);
  if (confined) return confined;
  if (index < 0 || index > into.control.children.length) return 'There is no such place in the container.';
  const depth = (from: Control): number => 1 + Math.max(0, ...from.children.map(depth));
  if (into.depth + 1 + depth(control) > deepestNesting)
    return `Controls are nested at most ${deepestNesting} deep.`;
  if (countOn(into.screen) + [...walk(control)].length > mostControls)
    return `A screen has at most ${mostControls} controls.`;
  return undefined;
}

function insert(project: Project, step: InsertStep): Applied {
  const { control, parent, index } = step;
  const problem = placeProblem(project, parent, index, control);
  if (problem) return refuse(problem, control.name ?? control.id);
  for (const each of walk(control))
    if (placeOf(project, each.id)) return refuse('The control is already there.', each.name ?? each.id);
  const screen = parent === null ? undefined : placeOf(project, parent)?.screen;
  const names = new Set<string>();
  for (const each of walk(control)) {
    if (each.name === undefined) continue;
    if (names.has(each.name) || (screen && namedOn(screen, each.name)))
      return refuse(`\`${each.name}\` is taken by another control on this screen.`, each.name);
    names.add(each.name);
  }
  if (parent === null && project.screens.some((other) => other.name === control.name))
    return refuse(`There is already a screen \`${control.name}\`.`, control.name);
  return {
    ok: true,
    project: withInserted(project, parent, index, control),
    inverse: { type: 'remove', control: control.id },
  };
}

function remove(project: Project, step: RemoveStep): Applied {
  const found = placeOf(project, step.control);
  if (!found) return gone(step.control);
  const parent = found.parent?.id ?? null;
  return {
    ok: true,
    project: withoutControl(project, found),
    inverse: { type: 'insert', parent, index: found.index, control: found.control },
  };
}

function move(project: Project, step: MoveStep): Applied {
  const found = placeOf(project, step.control);
  if (!found) return gone(step.control);
  const { control } = found;
  if (step.parent !== null && contains(control, step.parent))
    return refuse('A control cannot be moved into itself.', control.name ?? control.id);
  const from = found.parent?.id ?? null;
  const without = withoutControl(project, found);
  const problem = placeProblem(without, step.parent, step.index, control);
  if (problem) return refuse(problem, control.name ?? control.id);
  const screen = step.parent === null ? undefined : placeOf(without, step.parent)?.screen;
  if (screen && screen.id !== found.screen.id)
    for (const each of walk(control)) {
      const taken = each.name === undefined ? undefined : controlNameProblem(screen, each, each.name);
      if (taken) return refuse(taken, each.name);
    }
  return {
    ok: true,
    project: withInserted(without, step.parent, step.index, control),
    inverse: { type: 'move', control: control.id, parent: from, index: found.index },
  };
}

function set(project: Project, step: SetStep): Applied {
  const found = placeOf(project, step.control);
  if (!found) return gone(step.control);
  const { control } = found;
  const meaning = readAttribute(kindOf(control), step.property, project.bands);
  if (typeof meaning === 'string') return refuse(meaning, control.name ?? control.id);
  const before = control.props[step.property] ?? null;
  const { [step.property]: _, ...rest } = control.props;
  const props = step.value === null ? rest : { ...control.props, [step.property]: step.value };
  return {
    ok: true,
    project: withControl(project, control.id, (old) => ({ ...old, props })),
    inverse: { ...step, value: before },
  };
}

function rename(project: Project, step: RenameStep): Applied {
  const found = placeOf(project, step.control);
  if (!found) return gone(step.control);
  const { control, screen } = found;
  const isScreen = control.id === screen.id;
  if (step.name === null && isScreen) return refuse('A screen needs a name.', control.name);
  const problem =
    step.name === null
      ? undefined
      : isScreen
        ? screenNameProblem(project, control.id, step.name)
        : controlNameProblem(screen, control, step.name);
  if (problem) return refuse(problem, control.name ?? control.id);
  const renamed = withControl(project, control.id, ({ name: _, ...old }) =>
    step.name === null ? old : { ...old, name: step.name },
  );
  return { ok: true, project: renamed, inverse: { ...step, name: control.name ?? null } };
}

/** State as it is set, with the rows that its tables have: only steps of rows change those. */
function withTablesOf({ state }: Project, next: Project['state']): Project['state'] {
  return next.map((variable) => {
    const { table } = variable;
    const before = table && state.find((each) => each.table?.id === table.id);
    return before
      ? { ...variable, initial: before.initial, table: { ...table, rows: before.table!.rows } }
      : variable;
  });
}

function setProject(project: Project, { key, value }: ProjectStep): Applied {
  const problems: Record<ProjectStep['key'], () => string | undefined> = {
    name: () =>
      typeof value === 'string' && value.trim() !== '' && value.length <= 200
        ? undefined
        : 'A project needs a name of at most 200 characters.',
    // A name without a screen is no harm (the first screen opens instead), and a renaming passes through it.
    start: () =>
      value === null || (typeof value === 'string' && value.length <= 64)
        ? undefined
        : 'The start is the name of a screen.',
    state: () => stateProblem(value),
    bands: () => bandsProblem(value),
    assets: () => assetsProblem(value),
  };
  const problem = problems[key]();
  if (problem) return refuse(problem);
  const { [key]: before, ...rest } = project;
  const next = key === 'state' ? withTablesOf(project, value as Project['state']) : value;
  const changed = (value === null ? rest : { ...project, [key]: next }) as Project;
  return { ok: true, project: changed, inverse: { type: 'project', key, value: before ?? null } };
}

export type AppliedAll =
  | {
      readonly ok: true;
      readonly project: Project /** Takes all of them back, in the order to apply. */;
      readonly inverse: readonly Step[];
    }
  | { readonly ok: false; readonly reason: string; readonly control?: string };

/** Applies steps in turn; where one does not fit, none is applied. */
export function applySteps(project: Project, steps: readonly Step[]): AppliedAll {
  let current = project;
  const inverse: Step[] = [];
  for (const step of steps) {
    const applied = applyStep(current, step);
    if (!applied.ok) return applied;
    current = applied.project;
    inverse.push(applied.inverse);
  }
  return { ok: true, project: current, inverse: inverse.toReversed() };
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null;
const isId = (value: unknown): value is string =>
  typeof value === 'string' && value.length > 0 && value.length <= 64;
const isPlace = (step: Record<string, unknown>) =>
  (step.parent === null || isId(step.parent)) && Number.isInteger(step.index);

/** What is wrong with a step that came from outside; undefined where nothing is. */
export function stepProblem(project: Pick<Project, 'bands'>, step: unknown): string | undefined {
  if (!isRecord(step)) return 'A step is not an object.';
  switch (step.type) {
    case 'insert':
      return isPlace(step)
        ? controlProblem(project, step.control, step.parent === null)
        : 'An insertion has no place.';
    case 'remove':
      return isId(step.control) ? undefined : 'A removal names no control.';
    case 'move':
      return isId(step.control) && isPlace(step) ? undefined : 'A move has no place.';
    case 'set': {
      const { value } = step;
      const draft =
        isRecord(value) &&
        typeof value.draft === 'string' &&
        (value.good === undefined || typeof value.good === 'string');
      const text = typeof value === 'string' || value === null || draft;
      return isId(step.control) && typeof step.property === 'string' && text
        ? undefined
        : 'A change of a property lacks something.';
    }
    case 'rename':
      return isId(step.control) && (step.name === null || typeof step.name === 'string')
        ? undefined
        : 'A renaming lacks something.';
    case 'project':
      return ['name', 'start', 'state', 'bands', 'assets'].includes(String(step.key))
        ? undefined
        : `A project has no value \`${String(step.key)}\`.`;
    case 'rows':
      return rowsStepProblem(step);
    default:
      return `There is no step \`${String(step.type)}\`.`;
  }
}
