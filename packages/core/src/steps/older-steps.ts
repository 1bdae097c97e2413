/** Steps as format 1 stored them, with whole lists in them, made steps of entities. */

import { collectionNamed, entitiesOf, entityOf } from '../collections/catalogue.ts';
import type { Collection } from '../collections/collection.ts';
import { isRecord } from '../document/record.ts';
import type { Project } from '../document/types.ts';
import { itemAt } from '../sure.ts';
import { changing, dropping, putting } from './entities.ts';
import { applyStep, type Step } from './step.ts';

/** A step of any format. */
export type AnyStep = Readonly<Record<string, unknown>> & { readonly type: string };

/** The steps that make a project's list of entities another one. */
function stepsToList(project: Project, collection: Collection, list: readonly object[]): Step[] {
  const { id, compare } = collection;
  const migrate = collection.migrations?.[1];
  const wanted: readonly object[] = migrate?.(list).filter(isRecord) ?? list;
  const keys = new Set(wanted.map((each) => collection.keyOf(each)));
  const steps: Step[] = [];
  let order = entitiesOf(project, collection).map((each) => collection.keyOf(each));
  for (const entity of entitiesOf(project, collection))
    if (!keys.has(collection.keyOf(entity))) steps.push(dropping(id, entity));
  order = order.filter((key) => keys.has(key));
  for (const entity of wanted) {
    const key = collection.keyOf(entity);
    const there = entityOf(project, collection, key);
    if (there) steps.push(...changing(id, there.entity, entity));
    else {
      steps.push(putting(id, entity));
      order.push(key);
    }
  }
  if (compare) return steps;
  // From the last to the first, each is put in front of the one behind it.
  const inOrder = wanted.map((each) => collection.keyOf(each));
  for (let index = inOrder.length - 1; index >= 0; index--) {
    const [key, before] = [itemAt(inOrder, index), inOrder[index + 1]];
    const at = order.indexOf(key);
    if (order[at + 1] === before) continue;
    order.splice(at, 1);
    order.splice(before === undefined ? order.length : order.indexOf(before), 0, key);
    steps.push({ type: 'order', of: id, key, before: before ?? null });
  }
  return steps;
}

/** A step that is the same in the newest format; whoever applies it holds it against its shape. */
const asStep = (step: AnyStep): Step => step as unknown as Step;

/** A step of an older format as those of the newest, against the project that it applies to. */
function newer(project: Project, step: AnyStep): Step[] {
  if (step.type === 'rename' && 'control' in step) return [asStep({ ...step, type: 'name' })];
  const collection = step.type === 'project' ? collectionNamed(String(step.key)) : undefined;
  if (!collection || !Array.isArray(step.value)) return [asStep(step)];
  return stepsToList(project, collection, step.value);
}

/**
 * Steps of format 1 as those of the newest format.
 *
 * @param project that they apply to. @returns undefined where they do not apply.
 */
export function newestSteps(project: Project, steps: readonly AnyStep[]): Step[] | undefined {
  const found: Step[] = [];
  let current = project;
  for (const step of steps)
    for (const each of newer(current, step)) {
      const applied = applyStep(current, each);
      if (!applied.ok) return undefined;
      current = applied.project;
      found.push(each);
    }
  return found;
}
