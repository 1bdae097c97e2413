/** Holds plain data against the shape of a whole project. */

import { didYouMean } from '../document/nearest.ts';
import { isRecord } from '../document/record.ts';
import { walk } from '../document/tree.ts';
import type { Control, Project, TreeList } from '../document/types.ts';
import { controlProblem } from '../meaning/validate.ts';
import { collectionFault, collectionOf, collections, listedCollections } from './catalogue.ts';
import { formatProblem } from './migrations.ts';
import { projectValues, readProjectValues } from './project-values.ts';

const ownFields = ['format', ...projectValues.map(({ key }) => key)];

/** What is wrong with a whole project of the newest format; undefined where nothing is. */
export function projectProblem(value: unknown): string | undefined {
  if (!isRecord(value)) return 'This is not a project.';
  const format = formatProblem(value.format);
  if (format) return format;
  const { problem: ownProblem } = readProjectValues(value);
  if (ownProblem) return ownProblem.message;
  const known = [...ownFields, ...collections().map(({ id }) => id)];
  const strange = Object.keys(value).find((key) => !known.includes(key));
  if (strange !== undefined)
    return `A project has no \`${strange.slice(0, 64)}\`.${didYouMean(strange, known)}`;
  const project = value as unknown as Project;
  for (const collection of listedCollections()) {
    const entities = value[collection.id];
    if (entities === undefined && collection.optional) continue;
    const fault = collectionFault(collection, entities, project);
    if (fault) return `${fault.path}: ${fault.message}`;
  }
  const ids = new Set<string>();
  return treesProblem(project, 'screens', ids) ?? treesProblem(project, 'components', ids);
}

/** What is wrong with the trees in one of a project's lists. @param ids those that are taken, to which theirs are added. */
function treesProblem(project: Project, list: TreeList, ids: Set<string>): string | undefined {
  const { word, optional, most, keyProblem } = collectionOf(list);
  const trees: unknown = project[list];
  if (trees === undefined && optional) return undefined;
  if (!Array.isArray(trees)) return `\`${list}\` is not a list.`;
  if (trees.length > most) return `A project has at most ${most} of \`${list}\`.`;
  const names = new Set<string>();
  for (const tree of trees as readonly Control[]) {
    const problem = controlProblem(project, tree, list);
    if (problem) return `The ${word} \`${tree?.name ?? ''}\`: ${problem}`;
    const { name } = tree;
    if (name === undefined) return `A ${word} has no name.`;
    const named = keyProblem(name);
    if (named) return named;
    if (names.has(name)) return `There are two ${word}s \`${name}\`.`;
    names.add(name);
    for (const { id } of walk(tree)) {
      if (ids.has(id)) return `Two controls have the id ${id}.`;
      ids.add(id);
    }
  }
  return undefined;
}
