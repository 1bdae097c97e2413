/** All problems of a project, and those that somebody lets stand. */
import { ignoredOf } from '../checks/ignored.ts';
import { type Project, treesOf } from '../document/types.ts';
import { problemKinds } from './catalogue/index.ts';
import type { Problem } from './problem.ts';

const rank = { error: 0, warning: 1, advice: 2 } as const;

const known = new WeakMap<Project, readonly Problem[]>();

/** All problems, the gravest first, in the order of the kinds; those that are ignored are not among them. */
export function problemsOf(project: Project): readonly Problem[] {
  const before = known.get(project);
  if (before) return before;
  const ignored = new Set(treesOf(project).flatMap((tree) => [...ignoredOf(tree).keys()]));
  const found = problemKinds.flatMap(({ name, title, severity, find }) =>
    find(project).map((each): Problem => ({ kind: name, title, severity, fixes: [], ...each })),
  );
  const problems = found
    .filter(({ kind, place }) => place.in !== 'control' || !ignored.has(`${place.control.id} ${kind}`))
    .toSorted((a, b) => rank[a.severity] - rank[b.severity]);
  known.set(project, problems);
  return problems;
}
