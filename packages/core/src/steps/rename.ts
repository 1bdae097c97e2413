/** The step that gives an entity another key, and follows into everything that names it. */

import {
  collectionNamed,
  entitiesOf,
  entityOf,
  listedCollections,
  withEntities,
} from '../collections/catalogue.ts';
import type { Collection } from '../collections/collection.ts';
import { withRenamedValues } from '../collections/project-values.ts';
import { walk } from '../document/tree.ts';
import { type Control, type Project, type PropertyValue, treesOf } from '../document/types.ts';
import { itemAt } from '../sure.ts';
import { type Applied, type Renamed, refuse, type StepKind } from './applied.ts';
import { isKey, mappedKey, namedEntity, namingFault } from './entity.ts';
import { expectationOf, isExpected } from './expectation.ts';
import { mappedAttribute } from './mapped.ts';
import { treeListOf } from './tree-place.ts';

/** An attribute that gets a text of its own, where it still has the one that is expected. */
export interface ExactText {
  readonly control: string;
  readonly attribute: string;
  readonly was: string;
  readonly value: PropertyValue;
}

/** Renames an entity, wherever it is named when the step is applied. */
export interface RenameStep {
  readonly type: 'rename';
  /** The collection's id. */
  readonly of: string;
  readonly key: string;
  readonly to: string;
  /** Attributes that following alone would not make what they were: a renaming is taken back exactly. */
  readonly exact?: readonly ExactText[];
}

type Attribute = readonly [attribute: string, value: PropertyValue];

/** Carries a renaming into the attributes of screens. */
class Following {
  readonly #exact: ReadonlyMap<string, ExactText>;
  constructor(
    private readonly project: Project,
    private readonly renamed: Renamed,
    exact: readonly ExactText[] = [],
  ) {
    this.#exact = new Map(exact.map((each) => [`${each.control} ${each.attribute}`, each]));
  }

  attribute(control: Control, [attribute, value]: Attribute): Attribute {
    const [name, now] = mappedAttribute(this.project, control, [attribute, value], this.renamed);
    const exact = this.#exact.get(`${control.id} ${attribute}`);
    return [name, exact && isExpected(exact.was, value) ? exact.value : now!];
  }

  /** A control and all below it. @returns the same object where nothing changes. */
  control(was: Control): Control {
    const { of, from, to } = this.renamed;
    const control = collectionNamed(of)?.inControl?.(was, from, to) ?? was;
    const before = Object.entries(control.props);
    const props = before.map((each) => this.attribute(control, each));
    const isChanged = props.some(
      ([name, value], index) =>
        name !== itemAt(before, index)[0] || expectationOf(value) !== expectationOf(itemAt(before, index)[1]),
    );
    const children = control.children.map((child) => this.control(child));
    const isSame = children.every((child, index) => child === control.children[index]);
    if (!isChanged && isSame) return control;
    return {
      ...control,
      ...(isChanged ? { props: Object.fromEntries(props) } : {}),
      ...(isSame ? {} : { children }),
    };
  }
}

/** Texts that renaming back would not restore, by their current text. */
function notFollowedBack(before: Project, after: Project, back: Renamed): ExactText[] {
  const following = new Following(after, back);
  const trees = treesOf(after);
  return treesOf(before).flatMap((screen, at) => {
    const now = [...walk(itemAt(trees, at))];
    return [...walk(screen)].flatMap((control, index) => {
      const changed = Object.entries(itemAt(now, index).props);
      return Object.entries(control.props).flatMap(([, value], place): ExactText[] => {
        const [attribute, held] = itemAt(changed, place);
        const [, again] = following.attribute(itemAt(now, index), [attribute, held]);
        return expectationOf(again) === expectationOf(value)
          ? []
          : [{ control: control.id, attribute, was: expectationOf(held), value }];
      });
    });
  });
}

/** Why an entity cannot have a key; undefined where it can. */
function keyRefusal(
  project: Project,
  collection: Collection,
  to: string,
): Extract<Applied, { ok: false }> | undefined {
  const problem = collection.keyProblem(to);
  if (problem) return refuse(problem, to);
  return entityOf(project, collection, to)
    ? refuse(`There is already a ${collection.word} \`${to}\`.`, to)
    : undefined;
}

function renamedEverywhere(
  project: Project,
  collection: Collection,
  { key, to, exact }: RenameStep,
): Project {
  const entities = entitiesOf(project, collection).map((each) =>
    collection.keyOf(each) === key ? collection.rekeyed(each, to) : each,
  );
  const following = new Following(project, { of: collection.id, from: key, to }, exact);
  let next = withEntities(project, collection, entities);
  for (const each of listedCollections()) {
    const all = entitiesOf(next, each);
    const followed = all.map((entity) => collection.inEntity?.(each.id, entity, key, to) ?? entity);
    if (followed.some((entity, index) => entity !== all[index])) next = withEntities(next, each, followed);
  }
  if (collection.inAttribute) {
    const followed = (trees: readonly Control[]) =>
      trees.map((tree) =>
        treeListOf(tree) === 'components' && collection.shadowedIn?.(tree, key)
          ? tree
          : following.control(tree),
      );
    next = {
      ...next,
      screens: followed(next.screens),
      ...(next.components ? { components: followed(next.components) } : {}),
    };
  }
  return withRenamedValues(next, collection.id, key, to);
}

export const renameKind: StepKind<RenameStep> = {
  type: 'rename',
  apply(project, step) {
    const found = namedEntity(project, step);
    if ('refusal' in found) return found.refusal;
    const { collection } = found;
    const { of, key, to } = step;
    const refusal = keyRefusal(project, collection, to);
    if (refusal) return refusal;
    const next = renamedEverywhere(project, collection, step);
    const exact = collection.inAttribute ? notFollowedBack(project, next, { of, from: to, to: key }) : [];
    return {
      ok: true,
      project: next,
      inverse: { type: 'rename', of, key: to, to: key, ...(exact.length > 0 ? { exact } : {}) },
    };
  },
  fault(_, step) {
    const isExact = (each: Partial<ExactText>) =>
      typeof each === 'object' &&
      each !== null &&
      typeof each.control === 'string' &&
      typeof each.attribute === 'string' &&
      typeof each.was === 'string' &&
      each.value !== undefined &&
      each.value !== null;
    return (
      namingFault(step) ??
      (isKey(step.key) &&
      isKey(step.to) &&
      (step.exact === undefined || (Array.isArray(step.exact) && step.exact.every(isExact)))
        ? undefined
        : 'A renaming lacks something.')
    );
  },
  mapped: (_, step, renamed) => ({ ...step, key: mappedKey(step, step.key, renamed) }),
};

/** The renaming that a step makes of an entity; undefined for all others. */
export const renamingOf = (step: { readonly type: string }): Renamed | undefined => {
  if (step.type !== 'rename') return undefined;
  const { of, key, to } = step as RenameStep;
  return collectionNamed(of) && { of, from: key, to };
};
