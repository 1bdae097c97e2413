/** The step that changes fields of an entity: only these, so that two people may change others at once. */

import { collectionNamed, collectionOf, entityFault, withEntities } from '../collections/catalogue.ts';
import { isRecord } from '../document/record.ts';
import { ownValue } from '../document/same.ts';
import { refuse, type StepKind } from './applied.ts';
import { compared, isKey, mappedKey, namedEntity, namingFault } from './entity.ts';
import { expectationOf, isExpectation, isExpected } from './expectation.ts';
import { togetherProblem } from './put.ts';

/** What becomes of a field. */
export interface FieldChange {
  /** The value that is expected there, see `expectationOf`; absent: any. */
  readonly was?: string;
  /** Absent: the field goes. */
  readonly to?: unknown;
}

/** Gives fields of an entity other values. */
export interface ChangeStep {
  readonly type: 'change';
  /** The collection's id. */
  readonly of: string;
  readonly key: string;
  readonly fields: Readonly<Record<string, FieldChange>>;
}

/** An entity with other values in some fields. */
function withFields(entity: object, fields: ChangeStep['fields']): object {
  const next: Record<string, unknown> = { ...entity };
  for (const [field, { to }] of Object.entries(fields))
    if (to === undefined) delete next[field];
    else next[field] = to;
  return next;
}

export const changeKind: StepKind<ChangeStep> = {
  type: 'change',
  apply(project, step) {
    const found = namedEntity(project, step);
    if ('refusal' in found) return found.refusal;
    const { collection, entity, index, entities } = found;
    const { of, key, fields } = step;
    const held = compared(collection, entity);
    const stale = Object.entries(fields).find(([field, { was }]) => !isExpected(was, ownValue(held, field)));
    if (stale) return refuse(`\`${stale[0]}\` of \`${key}\` has another value meanwhile.`, key);
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
        inverse: {
          type: 'change',
          of,
          key,
          fields: Object.fromEntries(
            Object.keys(fields).map((field) => {
              const before = ownValue(entity, field);
              const was = expectationOf(ownValue(after, field));
              return [field, before === undefined ? { was } : { was, to: before }];
            }),
          ),
        },
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
      ([field, change]) =>
        !collection.fields.includes(field) || !isRecord(change) || !isExpectation(change.was),
    );
    return wrong && `A ${collection.word} has no \`${wrong[0].slice(0, 64)}\` to be changed.`;
  },
  merge(first, second) {
    if (first.of !== second.of || first.key !== second.key) return undefined;
    const fields: Record<string, FieldChange> = { ...first.fields };
    for (const [field, change] of Object.entries(second.fields)) {
      const { was: _, ...rest } = change;
      const before = first.fields[field];
      fields[field] = before ? { ...rest, ...(before.was === undefined ? {} : { was: before.was }) } : change;
    }
    return { ...first, fields };
  },
  mapped(_, step, renamed) {
    const collection = collectionNamed(renamed.of);
    const to = Object.fromEntries(Object.entries(step.fields).map(([field, change]) => [field, change.to]));
    const named = collection?.inEntity?.(step.of, to, renamed.from, renamed.to) ?? to;
    return {
      ...step,
      key: mappedKey(step, step.key, renamed),
      fields: Object.fromEntries(
        Object.entries(step.fields).map(([field, change]) => [
          field,
          change.to === undefined ? change : { ...change, to: named[field] },
        ]),
      ),
    };
  },
};
