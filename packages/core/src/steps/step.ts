/**
 * A step is the only way to change a project: small, plain data, and reversible. Applying one gives a new
 * project and the step that takes it back; a step that does not fit gives a reason instead. Each kind of step is a file
 * that says everything about it (`StepKind`), and a line here.
 */
import { isRecord } from '../document/record.ts';
import type { Project } from '../document/types.ts';
import { entryOf } from '../sure.ts';
import type { Applied, Renamed, StepKind } from './applied.ts';
import { type ChangeStep, changeKind } from './change.ts';
import { type DropStep, dropKind } from './drop.ts';
import { type InsertStep, insertKind } from './insert.ts';
import { type MoveStep, moveKind } from './move.ts';
import { type NameStep, nameKind } from './name.ts';
import { type OrderStep, orderKind } from './order.ts';
import { type ProjectStep, projectKind } from './project-value.ts';
import { type PutStep, putKind } from './put.ts';
import { type RemoveStep, removeKind } from './remove.ts';
import { type RenameStep, renameKind } from './rename.ts';
import { type RowsStep, rowsKind } from './rows.ts';
import { type SetStep, setKind } from './set.ts';

export type { Applied, Renamed, StepKind } from './applied.ts';
export type { ChangeStep, FieldChange } from './change.ts';
export type { DropStep } from './drop.ts';
export type { InsertStep } from './insert.ts';
export type { MoveStep } from './move.ts';
export type { NameStep } from './name.ts';
export type { OrderStep } from './order.ts';
export type { ProjectStep } from './project-value.ts';
export type { PutStep } from './put.ts';
export type { RemoveStep } from './remove.ts';
export type { RenameStep } from './rename.ts';
export type { SetStep } from './set.ts';

export type Step =
  | InsertStep
  | RemoveStep
  | MoveStep
  | SetStep
  | NameStep
  | PutStep
  | DropStep
  | OrderStep
  | ChangeStep
  | RenameStep
  | ProjectStep
  | RowsStep;

const kinds = new Map<string, StepKind<Step>>(
  (
    [
      insertKind,
      removeKind,
      moveKind,
      setKind,
      nameKind,
      putKind,
      dropKind,
      orderKind,
      changeKind,
      renameKind,
      projectKind,
      rowsKind,
    ] as unknown as readonly StepKind<Step>[]
  ).map((kind) => [kind.type, kind]),
);

/** The names of all kinds of steps. */
export const stepTypes: readonly string[] = [...kinds.keys()];

const kindOfStep = ({ type }: Step): StepKind<Step> => entryOf(kinds, type);

/** Applies a step. Never throws for a step that has no `stepProblem`. */
export const applyStep = (project: Project, step: Step): Applied => kindOfStep(step).apply(project, step);

/** One step that does what two in a row do; undefined where there is none. */
export const mergeSteps = (first: Step, second: Step): Step | undefined =>
  first.type === second.type ? kindOfStep(first).merge?.(first, second) : undefined;

/** A step where an entity that it may name has another key meanwhile. */
export const mapStep = (project: Project, step: Step, renamed: Renamed): Step =>
  kindOfStep(step).mapped?.(project, step, renamed) ?? step;

/** Ids of the controls that a step is about. */
export const touchedBy = (step: Step): readonly string[] => kindOfStep(step).touches?.(step) ?? [];

export type AppliedAll =
  | {
      readonly ok: true;
      readonly project: Project;
      /** Takes all of them back, in the order to apply. */
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

/** What is wrong with a step that came from outside; undefined where nothing is. */
export function stepProblem(project: Project, step: unknown): string | undefined {
  if (!isRecord(step)) return 'A step is not an object.';
  const { type } = step;
  const kind = typeof type === 'string' ? kinds.get(type) : undefined;
  return kind ? kind.fault(project, step) : `There is no step \`${String(type).slice(0, 64)}\`.`;
}
