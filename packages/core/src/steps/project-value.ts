/** The step that changes what a project says of itself: see `projectValues`. */

import {
  type ProjectValueKey,
  projectValueOf,
  projectValueProblem,
  projectValues,
} from '../collections/project-values.ts';
import type { Project } from '../document/types.ts';
import { refuse, type StepKind } from './applied.ts';
import { expectationOf, isExpectation, isExpected } from './expectation.ts';

/** Sets a value of the project itself; `null` takes it away. */
export interface ProjectStep {
  readonly type: 'project';
  readonly key: ProjectValueKey;
  readonly value: string | null;
  /** The value that is expected, see `expectationOf`; absent: any. */
  readonly was?: string;
}

/** The step that sets a value of a project, made from the one it has now; none where nothing changes. */
export const settingProject = (
  project: Project,
  key: ProjectValueKey,
  value: string | null,
): ProjectStep[] =>
  (project[key] ?? null) === value ? [] : [{ type: 'project', key, value, was: expectationOf(project[key]) }];

export const projectKind: StepKind<ProjectStep> = {
  type: 'project',
  apply(project, { key, value, was }) {
    const problem = projectValueProblem(projectValueOf(key), value);
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
  fault(_, { key, value, was }) {
    const known = projectValues.find((each) => each.key === key);
    if (!known) return `A project has no value \`${String(key).slice(0, 64)}\`.`;
    const problem = value === undefined ? 'A change of the project lacks something.' : undefined;
    return (
      problem ??
      projectValueProblem(known, value) ??
      (isExpectation(was) ? undefined : 'A change of the project lacks something.')
    );
  },
  merge: (first, { was: _, ...second }) =>
    first.key === second.key
      ? { ...second, ...(first.was === undefined ? {} : { was: first.was }) }
      : undefined,
  mapped: (_, step, renamed) =>
    projectValueOf(step.key).names === renamed.of && step.value === renamed.from
      ? { ...step, value: renamed.to }
      : step,
};
