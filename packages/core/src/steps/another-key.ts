/** Two people add an entity under one key at once: the second is given another key, in all that was done with it. */
import { collectionNamed, collectionOf, entityOf } from '../collections/catalogue.ts';
import { freeName } from '../document/names.ts';
import type { Project } from '../document/types.ts';
import type { Renamed } from './applied.ts';
import { mapStep, type Step } from './step.ts';

/** The entity that a step is about, as one text; undefined where it is about none. */
export function entityNamed(step: Step): string | undefined {
  switch (step.type) {
    case 'put': {
      const collection = collectionNamed(step.of);
      return collection && `${step.of} ${collection.keyOf(step.entity)}`;
    }
    case 'change':
    case 'drop':
    case 'order':
    case 'rename':
      return `${step.of} ${step.key}`;
    case 'rows':
      return `state ${step.list}`;
    default:
      return undefined;
  }
}

/** The entities that steps add, as `entityNamed` has them. */
export const entitiesAdded = (steps: readonly Step[]): string[] =>
  steps.flatMap((step) => (step.type === 'put' ? (entityNamed(step) ?? []) : []));

/**
 * The keys under which steps add entities, where a project has others under them already, each with one that is free.
 *
 * @param others steps that will follow: what they add has its keys, too.
 */
export function keysToChange(
  project: Project,
  steps: readonly Step[],
  others: readonly Step[] = [],
): Renamed[] {
  const added = new Set(entitiesAdded([...steps, ...others]));
  return steps.flatMap((step): Renamed[] => {
    if (step.type !== 'put') return [];
    const collection = collectionNamed(step.of);
    const from = collection?.keyOf(step.entity);
    if (!collection || from === undefined || !entityOf(project, collection, from)) return [];
    const isTaken = (key: string) =>
      added.has(`${step.of} ${key}`) ||
      entityOf(project, collection, key) !== undefined ||
      collection.keyProblem(key) !== undefined;
    return [{ of: step.of, from, to: freeName(from, isTaken) }];
  });
}

/** Steps with entities that they add under other keys. */
export function underOtherKeys(
  project: Project,
  steps: readonly Step[],
  renamed: readonly Renamed[],
): Step[] {
  return steps.map((step) =>
    renamed.reduce((now, each) => {
      const mapped = mapStep(project, now, each);
      if (mapped.type !== 'put' || mapped.of !== each.of) return mapped;
      const collection = collectionOf(mapped.of);
      return collection.keyOf(mapped.entity) === each.from
        ? { ...mapped, entity: collection.rekeyed(mapped.entity, each.to) }
        : mapped;
    }, step),
  );
}
