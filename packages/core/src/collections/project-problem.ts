/** Holds plain data against the shape of a whole project. */

import { didYouMean } from '../document/nearest.ts';
import { isRecord } from '../document/record.ts';
import { walk } from '../document/tree.ts';
import type { Project } from '../document/types.ts';
import { controlProblem } from '../meaning/validate.ts';
import { collectionFault, collections, listedCollections } from './catalogue.ts';
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
  return screensProblem(project);
}

function screensProblem(project: Project): string | undefined {
  if (!Array.isArray(project.screens)) return '`screens` is not a list.';
  const ids = new Set<string>();
  const screenNames = new Set<string | undefined>();
  for (const screen of project.screens) {
    const problem = controlProblem(project, screen, true);
    if (problem) return `Screen \`${screen?.name ?? ''}\`: ${problem}`;
    if (screen.name === undefined) return 'A screen has no name.';
    if (screenNames.has(screen.name)) return `There are two screens \`${screen.name}\`.`;
    screenNames.add(screen.name);
    for (const { id } of walk(screen)) {
      if (ids.has(id)) return `Two controls have the id ${id}.`;
      ids.add(id);
    }
  }
  return undefined;
}
