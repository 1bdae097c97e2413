/** The step that changes what a project says of itself: its name, the screen that opens first. */

import type { Project } from '../document/types.ts';
import { isOneOf, keysOf } from '../sure.ts';
import { refuse, type StepKind } from './applied.ts';
import { expectationOf, isExpectation, isExpected } from './expectation.ts';

/** Sets a value of the project itself; `null` takes it away. */
export interface ProjectStep {
  readonly type: 'project';
  readonly key: 'name' | 'start';
  readonly value: string | null;
  /** The value that is expected, see `expectationOf`; absent: any. */
  readonly was?: string;
}

/** Longest name of a project, in UTF-16 units. */
export const longestProjectName = 200;

const problems: Readonly<Record<ProjectStep['key'], (value: unknown) => string | undefined>> = {
  name: (value) =>
    typeof value === 'string' && value.trim() !== '' && value.length <= longestProjectName
      ? undefined
      : `A project needs a name of at most ${longestProjectName} characters.`,
  // A name without a screen is no harm (the first screen opens instead).
  start: (value) =>
    value === null || (typeof value === 'string' && value.length <= 64)
      ? undefined
      : 'The start is the name of a screen.',
};

export const projectKind: StepKind<ProjectStep> = {
  type: 'project',
  apply(project, { key, value, was }) {
    const problem = problems[key](value);
    if (problem) return refuse(problem);
    const { [key]: before, ...rest } = project;
    if (!isExpected(was, before)) return refuse(`\`${key}\` of the project has another value meanwhile.`);
    const changed = (value === null ? rest : { ...project, [key]: value }) as Project;
    return {
      ok: true,
      project: changed,
      inverse: { type: 'project', key, value: before ?? null, was: expectationOf(value) },
    };
  },
  fault: (_, { key, value, was }) =>
    isOneOf(keysOf(problems), key)
      ? (problems[key](value) ??
        (isExpectation(was) ? undefined : 'A change of the project lacks something.'))
      : `A project has no value \`${String(key).slice(0, 64)}\`.`,
  merge: (first, { was: _, ...second }) =>
    first.key === second.key
      ? { ...second, ...(first.was === undefined ? {} : { was: first.was }) }
      : undefined,
  mapped: (_, step, renamed) =>
    renamed.of === 'screens' && step.key === 'start' && step.value === renamed.from
      ? { ...step, value: renamed.to }
      : step,
};
