/** What the names inside a repeat stand for: its item, and the place of that in the list. */
import type { Scope } from './evaluate.ts';

/** Under which name the place of an item in its list can be read, from 0. It is no name that a person gives: instances use it. */
export const itemPlace = (as: string): string => `${as}$at`;

/** Names inside an item of a repeat: the item's own, then those around it. */
export const itemScope =
  (around: Scope, as: string, item: unknown, index: number): Scope =>
  (name) =>
    name === as ? item : name === itemPlace(as) ? index : around(name);
