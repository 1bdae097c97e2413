/** The step that changes fields of an entity: only these, so that two people may change others at once. */

import { collectionNamed, collectionOf, entityFault, withEntities } from '../collections/catalogue.ts';
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { isRecord } from '../document/record.ts';
import { ownValue } from '../document/same.ts';
import { refuse, type StepKind } from './applied.ts';
import { compared, isKey, mappedKey, namedEntity, namingFault } from './entity.ts';
import { expectationOf, isExpectation, isExpected } from './expectation.ts';
import { togetherProblem } from './put.ts';

/** What becomes of a value. */
interface ValueChange {
  /** The value that is expected there, see `expectationOf`; absent: any. */
  readonly was?: string;
  /** Absent: it goes. */
  readonly to?: unknown;
}

/** What becomes of a field. */
export interface FieldChange extends ValueChange {
  /** Of a field that is changed in parts (`Collection.parted`): what becomes of some of them, by key; the others stay. */
  readonly parts?: Readonly<Record<string, ValueChange>>;
}

/** Gives fields of an entity other values. */
export interface ChangeStep {
  readonly type: 'change';
  /** The collection's id. */
  readonly of: string;
  readonly key: string;
  readonly fields: Readonly<Record<string, FieldChange>>;
}

/** A record with other values; those that become nothing go. */
function withValues(record: object, changes: Readonly<Record<string, ValueChange>>): Record<string, unknown> {
  const next: Record<string, unknown> = { ...record };
  for (const [key, { to }] of Object.entries(changes))
    if (to === undefined) delete next[key];
    else next[key] = to;
  return next;
}

const recordOf = (value: unknown): object => (isRecord(value) ? value : {});

/** An entity with other values in some fields. */
function withFields(entity: object, fields: ChangeStep['fields']): object {
  const whole = Object.entries(fields).map(([field, change]): [string, ValueChange] => [
    field,
    change.parts ? { to: withValues(recordOf(ownValue(entity, field)), change.parts) } : change,
  ]);
  return withValues(entity, Object.fromEntries(whole));
}

/** The first value that is not what was expected; undefined where all are. */
const staleIn = (held: object, changes: Readonly<Record<string, ValueChange>>): string | undefined =>
  Object.entries(changes).find(([key, { was }]) => !isExpected(was, ownValue(held, key)))?.[0];

/** The first field, or part of one, that is not what was expected. */
function staleField(held: object, fields: ChangeStep['fields']): string | undefined {
  for (const [field, change] of Object.entries(fields)) {
    const stale = change.parts
      ? staleIn(recordOf(ownValue(held, field)), change.parts)
      : staleIn(held, { [field]: change });
    if (stale !== undefined) return stale;
  }
  return undefined;
}

/** The changes that lead from one record back to another, of some of their values. */
const backTo = (before: object, after: object, keys: readonly string[]): Record<string, ValueChange> =>
  Object.fromEntries(
    keys.map((key) => {
      const value = ownValue(before, key);
      const was = expectationOf(ownValue(after, key));
      return [key, value === undefined ? { was } : { was, to: value }];
    }),
  );

/** What takes a change of fields back. @param before the entity as it was. @param after as it is compared now. */
function inverseOf(fields: ChangeStep['fields'], before: object, after: object): ChangeStep['fields'] {
  const whole = Object.keys(fields).filter((field) => !fields[field]?.parts);
  const parted = Object.entries(fields).flatMap(([field, { parts }]): [string, FieldChange][] =>
    parts
      ? [
          [
            field,
            {
              parts: backTo(
                recordOf(ownValue(before, field)),
                recordOf(ownValue(after, field)),
                Object.keys(parts),
              ),
            },
          ],
        ]
      : [],
  );
  return { ...backTo(before, after, whole), ...Object.fromEntries(parted) };
}

/** Two changes of one value, one after the other, as one. */
const valueAfter = (first: ValueChange | undefined, { was: _, ...rest }: ValueChange): ValueChange => ({
  ...rest,
  ...(first?.was === undefined ? {} : { was: first.was }),
});

/** The same of a field. */
function fieldAfter(first: FieldChange, second: FieldChange): FieldChange {
  if (!second.parts) return valueAfter(first, second);
  if (!first.parts) return { ...first, to: withValues(recordOf(first.to), second.parts) };
  const parts: Record<string, ValueChange> = { ...first.parts };
  for (const [key, change] of Object.entries(second.parts))
    parts[key] = parts[key] ? valueAfter(parts[key], change) : change;
  return { parts };
}

/** Whether a change of a field is none. */
function fieldFault(
  collection: { readonly parted?: readonly string[] },
  field: string,
  change: unknown,
): boolean {
  if (!isRecord(change) || !isExpectation(change.was)) return true;
  const { parts } = change;
  if (parts === undefined) return false;
  return (
    change.to !== undefined ||
    change.was !== undefined ||
    !collection.parted?.includes(field) ||
    !isRecord(parts) ||
    Object.entries(parts).some(
      ([key, part]) =>
        key.length > longestPart || forbiddenKeys.has(key) || !isRecord(part) || !isExpectation(part.was),
    )
  );
}

/** Longest key of a part of a field, UTF-16 units. */
const longestPart = 200;

export const changeKind: StepKind<ChangeStep> = {
  type: 'change',
  apply(project, step) {
    const found = namedEntity(project, step);
    if ('refusal' in found) return found.refusal;
    const { collection, entity, index, entities } = found;
    const { of, key, fields } = step;
    const held = compared(collection, entity);
    const stale = staleField(held, fields);
    if (stale !== undefined) return refuse(`\`${stale}\` of \`${key}\` has another value meanwhile.`, key);
    const changed = withFields(entity, fields);
    const next = collection.succeeding?.(changed, entity) ?? changed;
    const fault = entityFault(collection, next, project);
    if (fault) return refuse(fault.message, key);
    if (collection.keyOf(next) !== key)
      return refuse(`A ${collection.word} is renamed by its own step.`, key);
    const all = entities.with(index, next);
    const after = compared(collection, next);
    return (
      togetherProblem(collection, all, key) ?? {
        ok: true,
        project: withEntities(project, collection, all),
        inverse: { type: 'change', of, key, fields: inverseOf(fields, entity, after) },
      }
    );
  },
  fault(_, step) {
    const naming = namingFault(step);
    if (naming) return naming;
    const collection = collectionOf(String(step.of));
    if (collection.inTree) return `A ${collection.word} changes by steps of the tree.`;
    const { fields } = step;
    if (!isKey(step.key) || !isRecord(fields) || Object.keys(fields).length === 0)
      return 'A change lacks something.';
    const wrong = Object.entries(fields).find(
      ([field, change]) => !collection.fields.includes(field) || fieldFault(collection, field, change),
    );
    return wrong && `A ${collection.word} has no \`${wrong[0].slice(0, 64)}\` to be changed.`;
  },
  merge(first, second) {
    if (first.of !== second.of || first.key !== second.key) return undefined;
    const fields: Record<string, FieldChange> = { ...first.fields };
    for (const [field, change] of Object.entries(second.fields)) {
      const before = first.fields[field];
      // A whole field after some of its parts stays a step of its own: it says what it expects itself.
      if (before?.parts && !change.parts) return undefined;
      fields[field] = before ? fieldAfter(before, change) : change;
    }
    return { ...first, fields };
  },
  mapped(_, step, renamed) {
    const collection = collectionNamed(renamed.of);
    const partsTo = (parts: NonNullable<FieldChange['parts']>) =>
      Object.fromEntries(
        Object.entries(parts).flatMap(([part, { to }]) => (to === undefined ? [] : [[part, to] as const])),
      );
    const to = Object.fromEntries(
      Object.entries(step.fields).map(([field, change]) => [
        field,
        change.parts ? partsTo(change.parts) : change.to,
      ]),
    );
    const named: Readonly<Record<string, unknown>> =
      collection?.inEntity?.(step.of, to, renamed.from, renamed.to) ?? to;
    const followed = (field: string, change: FieldChange): FieldChange => {
      if (!change.parts) return change.to === undefined ? change : { ...change, to: named[field] };
      const values = recordOf(named[field]);
      return {
        parts: Object.fromEntries(
          Object.entries(change.parts).map(([part, each]) => [
            part,
            each.to === undefined ? each : { ...each, to: ownValue(values, part) },
          ]),
        ),
      };
    };
    return {
      ...step,
      key: mappedKey(step, step.key, renamed),
      fields: Object.fromEntries(
        Object.entries(step.fields).map(([field, change]) => [field, followed(field, change)]),
      ),
    };
  },
};
