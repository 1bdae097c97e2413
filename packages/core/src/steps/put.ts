/** The step that adds an entity to a collection. */
import {
  collectionNamed,
  collectionOf,
  entitiesOf,
  entityFault,
  entityOf,
  withEntities,
} from '../collections/catalogue.ts';
import type { Collection } from '../collections/collection.ts';
import { type Applied, refuse, type StepKind } from './applied.ts';
import { compared, isKey, mappedKey, namingFault } from './entity.ts';
import { expectationOf } from './expectation.ts';

/** Adds an entity; none of its key is expected to be there. */
export interface PutStep {
  readonly type: 'put';
  /** The collection's id. */
  readonly of: string;
  readonly entity: object;
  /** The key of the entity in front of which it stands; absent, or not there any more: it comes last. */
  readonly before?: string;
}

/** Why entities cannot stand together, as a refusal; undefined where they can. */
export function togetherProblem(
  collection: Collection,
  entities: readonly object[],
  key: string,
): Extract<Applied, { ok: false }> | undefined {
  const { id, least, most, word } = collection;
  if (entities.length > most) return refuse(`A project has at most ${most} of \`${id}\`.`, key);
  if (entities.length < least) return refuse(`A project has at least one ${word}.`, key);
  const problem = collection.faultAmong?.(entities);
  return problem === undefined ? undefined : refuse(problem, key);
}

export const putKind: StepKind<PutStep> = {
  type: 'put',
  apply(project, { of, entity, before }) {
    const collection = collectionOf(of);
    const key = collection.keyOf(entity);
    if (entityOf(project, collection, key))
      return refuse(`There is already a ${collection.word} \`${key}\`.`, key);
    const entities = entitiesOf(project, collection);
    const next = before === undefined ? undefined : entityOf(project, collection, before);
    const all = entities.toSpliced(next?.index ?? entities.length, 0, entity);
    return (
      togetherProblem(collection, all, key) ?? {
        ok: true,
        project: withEntities(project, collection, all),
        inverse: { type: 'drop', of, key, was: expectationOf(compared(collection, entity)) },
      }
    );
  },
  fault(project, step) {
    const naming = namingFault(step);
    if (naming) return naming;
    const collection = collectionOf(String(step.of));
    if (collection.inTree) return `A ${collection.word} comes by a step of the tree.`;
    if (step.before !== undefined && !isKey(step.before)) return 'An addition has no place.';
    return entityFault(collection, step.entity, project)?.message;
  },
  mapped(_, step, renamed) {
    const { before, entity } = step;
    const collection = collectionNamed(renamed.of);
    return {
      ...step,
      entity: collection?.inEntity?.(step.of, entity, renamed.from, renamed.to) ?? entity,
      ...(before === undefined ? {} : { before: mappedKey(step, before, renamed) }),
    };
  },
};
