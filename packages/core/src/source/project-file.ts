/** `project.json`: what a project says of itself, the entities of its collections, and the order of its screens. */

import { collectionFault, entitiesOf, printedCollections, withEntities } from '../collections/catalogue.ts';
import { migrated } from '../collections/migrations.ts';
import { projectValues, readProjectValues } from '../collections/project-values.ts';
import { messageOf } from '../document/error-message.ts';
import { didYouMean } from '../document/nearest.ts';
import { isRecord } from '../document/record.ts';
import { defaultBands, type Project, projectFormat } from '../document/types.ts';
import { placeAt, type SourceProblem } from './problem.ts';

/** What `project.json` says. */
export interface ProjectFile {
  /** A project without screens. */
  readonly project: Project;
  /** Names of the screens in their order. */
  readonly order: readonly string[];
}

const file = 'project.json';

/** The project of a folder without `project.json`, or of a screen that stands alone. */
export const untitled = (name = 'Untitled'): Project => ({
  format: projectFormat,
  name,
  bands: defaultBands,
  state: [],
  assets: [],
  screens: [],
});

/** Where an entity, or a field of it, stands in the text, as near as its name tells. */
function placeOf(text: string, path: string, data: Record<string, unknown>): number {
  const [, id = '', index, field] = /^(\w+)(?:\[(\d+)\])?(?:\.(\w+))?/.exec(path) ?? [];
  const list = data[id];
  const entity: unknown = index !== undefined && Array.isArray(list) ? list[Number(index)] : undefined;
  const begin = Math.max(0, text.indexOf(`"${id}"`));
  if (!isRecord(entity)) return begin;
  const [first, value] = Object.entries(entity)[0] ?? [];
  const at = text.indexOf(`"${first}": ${JSON.stringify(value)}`, begin);
  if (at < 0) return begin;
  return field === undefined ? at : Math.max(at, text.indexOf(`"${field}"`, at));
}

/** Reads `project.json`. */
export function readProjectFile(text: string): ProjectFile | { readonly problem: SourceProblem } {
  const fail = (message: string, index = 0) => ({
    problem: { file, ...placeAt(text, Math.max(0, index)), message },
  });
  let read: unknown;
  try {
    read = JSON.parse(text);
  } catch (error) {
    const position = /position (\d+)/.exec(messageOf(error));
    return fail(messageOf(error), position ? Number(position[1]) : 0);
  }
  if (!isRecord(read)) return fail('An object is expected.');
  const listed = printedCollections();
  const known = [
    '$schema',
    'format',
    'screens',
    ...projectValues.map(({ key }) => key),
    ...listed.map(({ id }) => id),
  ];
  const unknown = Object.keys(read).find((key) => !known.includes(key));
  if (unknown !== undefined)
    return fail(
      `There is no entry \`${unknown}\` in a project.${didYouMean(unknown, known)}`,
      text.indexOf(`"${unknown}"`),
    );
  const { screens: order = [], ...own } = read;
  const newest = migrated(own);
  if (!newest.ok) return fail(newest.message, text.indexOf('"format"'));
  const { $schema: _, ...data } = newest.data;
  const { values, problem } = readProjectValues(data);
  if (problem) return fail(problem.message, text.indexOf(`"${problem.key}"`));
  if (!(Array.isArray(order) && order.every((name) => typeof name === 'string')))
    return fail('`screens` is not a list of names.', text.indexOf('"screens"'));
  let project: Project = { ...untitled(), ...values };
  for (const collection of listed) {
    const raw = data[collection.id];
    if (raw === undefined) continue;
    const entities: unknown = Array.isArray(raw) && collection.read ? raw.map(collection.read) : raw;
    const fault = collectionFault(collection, entities, project);
    if (fault) return fail(`${fault.path}: ${fault.message}`, placeOf(text, fault.path, data));
    if (Array.isArray(entities)) project = withEntities(project, collection, entities);
  }
  return { project, order };
}

/** Prints `project.json`. */
export function printProjectFile(project: Project): string {
  const { format, screens } = project;
  const lists = printedCollections().flatMap((collection): [string, readonly unknown[]][] => {
    const entities = entitiesOf(project, collection);
    if (collection.optional && entities.length === 0) return [];
    return [[collection.id, entities.map((each) => collection.printed?.(each) ?? each)]];
  });
  const data = {
    format,
    ...Object.fromEntries(
      projectValues.flatMap(({ key }) =>
        // Without its screen the start says nothing: the first one opens.
        project[key] === undefined || (key === 'start' && !screens.some(({ name }) => name === project.start))
          ? []
          : [[key, project[key]]],
      ),
    ),
    screens: screens.map((screen) => screen.name ?? ''),
    ...Object.fromEntries(lists),
  };
  return `${JSON.stringify(data, null, 2)}\n`;
}
