/** Taking back what differs: steps that make one control, one screen or everything what it was. */
import {
  type ControlChange,
  changing,
  collectionOf,
  dropping,
  type EntityChange,
  entitiesOf,
  type Project,
  projectValues,
  putting,
  type Step,
  settingProject,
  type TreeComparison,
  treeChanges,
} from '@hovrin/core';

/** The control that a step is about. */
const aboutOf = (step: Step): string | undefined =>
  step.type === 'insert' ? step.control.id : 'control' in step ? String(step.control) : undefined;

/** Steps that make a screen or component what it was. @param now the project as it is. */
export function treeBack(
  now: Project,
  before: Project,
  { before: old, after, list }: TreeComparison,
): Step[] {
  if (old && after) return [...treeChanges(now, after, old, before).steps];
  if (after) return [{ type: 'remove', control: after.id }];
  if (!old) return [];
  const index = (now[list] ?? []).length;
  return [
    { type: 'insert', parent: null, index, control: old, ...(list === 'components' ? { list } : {}) } as Step,
  ];
}

/** Steps that make one control of a screen what it was. */
export const controlBack = (
  now: Project,
  before: Project,
  tree: TreeComparison,
  change: ControlChange,
): Step[] => {
  const ids = new Set([change.id]);
  return treeBack(now, before, tree).filter((step) => ids.has(aboutOf(step) ?? ''));
};

/** Steps that make an entity what it was. */
export function entityBack(now: Project, before: Project, { of, key }: EntityChange): Step[] {
  const collection = collectionOf(of);
  const find = (project: Project) =>
    entitiesOf(project, collection).find((each) => collection.keyOf(each) === key);
  const [is, was] = [find(now), find(before)];
  if (is && was) return [...changing(of, is, was)];
  if (is) return [dropping(of, is)];
  return was ? [putting(of, was)] : [];
}

/** Steps that make what the project says of itself what it was. */
export const projectBack = (now: Project, before: Project): Step[] =>
  projectValues.flatMap(({ key }) => settingProject(now, key, before[key] ?? null));
