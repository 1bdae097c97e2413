/** What the steps of entities have in common: finding the collection and the entity, and saying why they cannot. */
import { collectionNamed, collectionOf, entitiesOf, entityOf } from '../collections/catalogue.ts';
import type { Collection } from '../collections/collection.ts';
import type { Project } from '../document/types.ts';
import { type Applied, refuse } from './applied.ts';

/** Longest key of an entity, in UTF-16 units. */
const longestKey = 200;

export const isKey = (value: unknown): value is string =>
  typeof value === 'string' && value !== '' && value.length <= longestKey;

/** What is wrong with the part of a step that names an entity; undefined where nothing is. */
export function namingFault(step: Readonly<Record<string, unknown>>): string | undefined {
  const collection = typeof step.of === 'string' ? collectionNamed(step.of) : undefined;
  if (!collection) return `A project has no \`${String(step.of).slice(0, 64)}\`.`;
  return step.key === undefined || isKey(step.key) ? undefined : `A ${collection.word} is named by no text.`;
}

/** The refusal where there is no entity of a key. */
export const noEntity = ({ word }: Collection, key: string): Extract<Applied, { ok: false }> =>
  refuse(`There is no ${word} \`${key}\` any more.`, key);

/** The entity that a step names, with its collection; or the refusal. */
export function namedEntity(project: Project, step: { readonly of: string; readonly key: string }) {
  const collection = collectionOf(step.of);
  const found = entityOf(project, collection, step.key);
  return found
    ? { collection, ...found, entities: entitiesOf(project, collection) }
    : { refusal: noEntity(collection, step.key) };
}

/** An entity as steps compare it. */
export const compared = (collection: Collection, entity: object): object =>
  collection.compared?.(entity) ?? entity;

/** A record with the keys that an entity is named by under another name. */
export const mappedKey = (
  step: { readonly of: string },
  key: string,
  renamed: { readonly of: string; readonly from: string; readonly to: string },
): string => (step.of === renamed.of && key === renamed.from ? renamed.to : key);
