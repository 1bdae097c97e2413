/** Steps of entities, each with what it expects to find, made from the entities themselves. */
import { collectionOf } from '../collections/catalogue.ts';
import { isRecord } from '../document/record.ts';
import { ownValue, same } from '../document/same.ts';
import type { ChangeStep, FieldChange } from './change.ts';
import type { DropStep } from './drop.ts';
import { compared } from './entity.ts';
import { expectationOf } from './expectation.ts';
import type { PutStep } from './put.ts';

/** The step that adds an entity, as the last of its collection. */
export const putting = (of: string, entity: object): PutStep => ({ type: 'put', of, entity });

/** The step that takes an entity away, as it is now. */
export function dropping(of: string, entity: object): DropStep {
  const collection = collectionOf(of);
  return {
    type: 'drop',
    of,
    key: collection.keyOf(entity),
    was: expectationOf(compared(collection, entity)),
  };
}

/** What of a record differs, by key, each with what it is now; undefined where one of them is no record. */
function partsChanged(now: unknown, to: unknown): FieldChange['parts'] {
  if (!isRecord(now) || !isRecord(to)) return undefined;
  const keys = [...new Set([...Object.keys(now), ...Object.keys(to)])];
  return Object.fromEntries(
    keys.flatMap((key) => {
      const [before, after] = [ownValue(now, key), ownValue(to, key)];
      if (same(before, after)) return [];
      const was = expectationOf(before);
      return [[key, after === undefined ? { was } : { was, to: after }] as const];
    }),
  );
}

/**
 * The steps that make an entity another one with the same key: only the fields that differ, each with the value that it
 * has now; none where nothing differs.
 */
export function changing<E extends object>(of: string, before: E, after: E): ChangeStep[] {
  const collection = collectionOf(of);
  const next = collection.succeeding?.(after, before) ?? after;
  const held = compared(collection, before);
  const fields: Record<string, FieldChange> = {};
  for (const field of collection.fields) {
    const now = ownValue(before, field);
    const to = ownValue(next, field);
    if (same(now, to)) continue;
    const parts = collection.parted?.includes(field) ? partsChanged(now, to) : undefined;
    const was = expectationOf(ownValue(held, field));
    fields[field] = parts ? { parts } : to === undefined ? { was } : { was, to };
  }
  return Object.keys(fields).length === 0
    ? []
    : [{ type: 'change', of, key: collection.keyOf(before), fields }];
}
