/**
 * What is the same in two states of a document, made one and the same object again. Documents that come from
 * elsewhere (another thread, a file) are new throughout, yet most of what is worked out about them is known already.
 */
import { listedCollections } from '../collections/catalogue.ts';
import type { Control, Project } from './types.ts';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * @param before the state that is known.
 * @param now the new one.
 * @returns the new state, with the controls and the lists of entities of `before` wherever nothing in them differs.
 */
export function keepSame(before: Project | undefined, now: Project): Project {
  if (!before) return now;
  const known = new Map(before.screens.map((screen) => [screen.id, screen]));
  const lists = listedCollections().flatMap(({ id }) => {
    const [old, list] = [before, now].map((of) => (of as unknown as Record<string, unknown>)[id]);
    return old !== undefined && same(old, list) ? [[id, old]] : [];
  });
  return {
    ...now,
    ...Object.fromEntries(lists),
    screens: now.screens.map((screen) => keptControl(known.get(screen.id), screen)),
  };
}

function keptControl(before: Control | undefined, now: Control): Control {
  if (!before) return now;
  const known = new Map(before.children.map((child) => [child.id, child]));
  const children = now.children.map((child) => keptControl(known.get(child.id), child));
  const { children: _, ...own } = now;
  const { children: __, ...ownBefore } = before;
  const isItself = same(own, ownBefore);
  const isUnchanged =
    isItself &&
    children.length === before.children.length &&
    children.every((child, index) => child === before.children[index]);
  // What stands around a change keeps its attributes, the same object: they are looked at by themselves, too.
  return isUnchanged ? before : { ...(isItself ? before : now), children };
}
