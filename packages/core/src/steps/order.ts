/** The step that gives an entity another place in its collection. */
import { entityOf, withEntities } from '../collections/catalogue.ts';
import { refuse, type StepKind } from './applied.ts';
import { isKey, mappedKey, namedEntity, namingFault, noEntity } from './entity.ts';

/** Moves an entity in front of another one. */
export interface OrderStep {
  readonly type: 'order';
  /** The collection's id. */
  readonly of: string;
  readonly key: string;
  /** The key of the entity in front of which it stands then; `null`: it comes last. */
  readonly before: string | null;
  /** The key of the entity in front of which it is expected; absent: any. */
  readonly was?: string | null;
}

export const orderKind: StepKind<OrderStep> = {
  type: 'order',
  apply(project, step) {
    const found = namedEntity(project, step);
    if ('refusal' in found) return found.refusal;
    const { collection, entity, index, entities } = found;
    const { of, key, before } = step;
    if (collection.compare) return refuse(`The order of \`${of}\` follows from what they say.`, key);
    const next = entities[index + 1];
    const nextKey = next ? collection.keyOf(next) : null;
    if (step.was !== undefined && step.was !== nextKey)
      return refuse(`The ${collection.word} \`${key}\` stands elsewhere meanwhile.`, key);
    const rest = entities.toSpliced(index, 1);
    const rested = withEntities(project, collection, rest);
    const to = before === null ? { index: rest.length } : entityOf(rested, collection, before);
    if (!to) return noEntity(collection, before!);
    return {
      ok: true,
      project: withEntities(project, collection, rest.toSpliced(to.index, 0, entity)),
      inverse: { type: 'order', of, key, before: nextKey, was: before },
    };
  },
  fault(_, step) {
    const isPlaceOf = (value: unknown) => value === null || isKey(value);
    return (
      namingFault(step) ??
      (isKey(step.key) && isPlaceOf(step.before) && (step.was === undefined || isPlaceOf(step.was))
        ? undefined
        : 'A change of order lacks something.')
    );
  },
  merge: (first, { was: _, ...second }) =>
    first.of === second.of && first.key === second.key
      ? { ...second, ...(first.was === undefined ? {} : { was: first.was }) }
      : undefined,
  mapped: (_, step, renamed) => ({
    ...step,
    key: mappedKey(step, step.key, renamed),
    before: step.before === null ? null : mappedKey(step, step.before, renamed),
  }),
};
