/** The step that takes an entity out of a collection. */
import { entitiesOf, listedCollections, withEntities } from '../collections/catalogue.ts';
import type { Collection } from '../collections/collection.ts';
import type { Project } from '../document/types.ts';
import { refuse, type StepKind } from './applied.ts';
import { compared, isKey, mappedKey, namedEntity, namingFault } from './entity.ts';
import { isExpectation, isExpected } from './expectation.ts';
import { togetherProblem } from './put.ts';

/** Takes an entity away. */
export interface DropStep {
  readonly type: 'drop';
  /** The collection's id. */
  readonly of: string;
  readonly key: string;
  /** The entity that is expected, see `expectationOf`; absent: any. */
  readonly was?: string;
}

/** An entity that names another one, in words. */
function namedBy(project: Project, { inEntity }: Collection, key: string): string | undefined {
  if (!inEntity) return undefined;
  // What would change with the name is what names it.
  for (const each of listedCollections())
    for (const entity of entitiesOf(project, each))
      if (inEntity(each.id, entity, key, `${key}_`) !== entity)
        return `${each.word} \`${each.keyOf(entity)}\``;
  return undefined;
}

export const dropKind: StepKind<DropStep> = {
  type: 'drop',
  apply(project, step) {
    const found = namedEntity(project, step);
    if ('refusal' in found) return found.refusal;
    const { collection, entity, index, entities } = found;
    const { of, key } = step;
    if (!isExpected(step.was, compared(collection, entity)))
      return refuse(`The ${collection.word} \`${key}\` has changed meanwhile.`, key);
    const isNeeded = collection.needed?.(key) === true;
    const [use, ...more] = isNeeded ? collection.uses(project, key) : [];
    if (use) {
      const others = more.length === 0 ? '' : ` and ${more.length} more`;
      return refuse(
        `The ${collection.word} \`${key}\` is used meanwhile: \`${use.attribute}\` of ${use.control.name ?? use.control.kind} on ${use.screen.name}${others}.`,
        key,
      );
    }
    const other = isNeeded ? namedBy(project, collection, key) : undefined;
    if (other) return refuse(`The ${collection.word} \`${key}\` is used meanwhile by the ${other}.`, key);
    const rest = entities.toSpliced(index, 1);
    const next = entities[index + 1];
    return (
      togetherProblem(collection, rest, key) ?? {
        ok: true,
        project: withEntities(project, collection, rest),
        inverse: {
          type: 'put',
          of,
          entity,
          ...(next && !collection.compare ? { before: collection.keyOf(next) } : {}),
        },
      }
    );
  },
  fault(_, step) {
    return (
      namingFault(step) ??
      (isKey(step.key) && isExpectation(step.was) ? undefined : 'A deletion lacks something.')
    );
  },
  mapped: (_, step, renamed) => ({ ...step, key: mappedKey(step, step.key, renamed) }),
};
