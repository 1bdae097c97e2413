/** The collections of a project. A new one stands in a file of its own, and here in the list. */

import { didYouMean } from '../document/nearest.ts';
import { isRecord } from '../document/record.ts';
import { ownValue } from '../document/same.ts';
import type { Project } from '../document/types.ts';
import { entryOf, itemAt } from '../sure.ts';
import { bands } from './bands.ts';
import { code } from './code.ts';
import type { Collection, Fault } from './collection.ts';
import { components } from './components.ts';
import { folders } from './folders.ts';
import { locales } from './locales.ts';
import { mapPlaces } from './map-places.ts';
import { pictures } from './pictures.ts';
import { screens } from './screens.ts';
import { sources } from './sources.ts';
import { stateVariables } from './state-variables.ts';
import { styles } from './styles.ts';
import { tasks } from './tasks.ts';
import { tokens } from './tokens.ts';

const known = new Map<string, Collection>();

/** All collections, in the order in which `project.json` has them. */
export const collections = (): readonly Collection[] => [...known.values()];

/** The collections whose entities change by steps of entities: all but those in the tree. */
export const listedCollections = (): readonly Collection[] => collections().filter(({ inTree }) => !inTree);

/** The collections whose entities stand in `project.json`. */
export const printedCollections = (): readonly Collection[] =>
  listedCollections().filter(({ ownFile }) => !ownFile);

/** The collection of an id; undefined where there is none. */
export const collectionNamed = (id: string): Collection | undefined => known.get(id);

/** The collection of an id. @throws Error where there is none. */
export const collectionOf = (id: string): Collection => entryOf(known, id);

/** Adds a collection. @returns what takes it away again. */
export function addCollection<E extends object>(collection: Collection<E>): () => void {
  if (known.has(collection.id)) throw new Error(`There is already a collection ${collection.id}`);
  known.set(collection.id, collection as unknown as Collection);
  return () => known.delete(collection.id);
}

addCollection(locales);
addCollection(folders);
addCollection(mapPlaces);
addCollection(bands);
addCollection(stateVariables);
addCollection(sources);
addCollection(pictures);
addCollection(tokens);
addCollection(styles);
addCollection(tasks);
addCollection(code);
addCollection(screens);
addCollection(components);

const listOf = (value: unknown): readonly object[] => (Array.isArray(value) ? value : []);

/** The entities of a collection; none where a project has none of it. */
export const entitiesOf = (project: object, { id }: Collection): readonly object[] =>
  listOf(ownValue(project, id));

/** The entity of a key, with its place; undefined where there is none. */
export function entityOf(
  project: object,
  collection: Collection,
  key: string,
): { readonly entity: object; readonly index: number } | undefined {
  const entities = entitiesOf(project, collection);
  const index = entities.findIndex((each) => collection.keyOf(each) === key);
  return index < 0 ? undefined : { entity: itemAt(entities, index), index };
}

/** A project with other entities of a collection, in the order of that collection. */
export function withEntities<P extends object>(
  project: P,
  collection: Collection,
  entities: readonly object[],
): P {
  const { compare, id, optional } = collection;
  const { [id]: _, ...rest } = project as P & Record<string, unknown>;
  if (optional && entities.length === 0) return rest as P;
  return {
    ...project,
    [id]: compare ? entities.toSorted((one, other) => compare.call(collection, one, other)) : entities,
  };
}

/** What is wrong with one entity, unknown fields included; undefined where nothing is. */
export function entityFault(
  collection: Collection,
  entity: unknown,
  project: Pick<Project, 'bands' | 'tokens'>,
): Fault | undefined {
  const fault = collection.fault(entity, project);
  if (fault || !isRecord(entity)) return fault ?? undefined;
  const strange = Object.keys(entity).find((field) => !collection.fields.includes(field));
  return strange === undefined
    ? undefined
    : {
        path: strange,
        message: `A ${collection.word} has no \`${strange}\`.${didYouMean(strange, collection.fields)}`,
      };
}

/** What is wrong with all entities of a collection, from outside; the path begins with the collection's id. */
export function collectionFault(
  collection: Collection,
  value: unknown,
  project: Pick<Project, 'bands' | 'tokens'>,
): Fault | undefined {
  const { id, least, most, word } = collection;
  if (!Array.isArray(value)) return { path: id, message: `\`${id}\` is not a list.` };
  if (value.length < least)
    return { path: id, message: `\`${id}\` is not a list with at least one ${word}.` };
  if (value.length > most) return { path: id, message: `A project has at most ${most} of \`${id}\`.` };
  const keys = new Set<string>();
  for (const [index, entity] of value.entries()) {
    const path = `${id}[${index}]`;
    const fault = entityFault(collection, entity, project);
    if (fault) return { path: fault.path === '' ? path : `${path}.${fault.path}`, message: fault.message };
    const key = collection.keyOf(Object(entity));
    if (keys.has(key)) return { path, message: `There are two ${word}s \`${key}\`.` };
    keys.add(key);
  }
  const among = collection.faultAmong?.(value);
  return among === undefined ? undefined : { path: id, message: among };
}
