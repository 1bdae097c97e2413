/** All types that can follow an expression, one line a file of them: a running page knows a type by its name alone. */
import { choices } from './choices.ts';
import { lists } from './lists.ts';
import { looks } from './looks.ts';
import { moments } from './moments.ts';
import { names } from './names.ts';
import { numbers } from './numbers.ts';
import type { PropertyType } from './property-type.ts';
import { sides } from './sides.ts';
import { sizes } from './sizes.ts';
import { texts } from './texts.ts';
import { tracks } from './tracks.ts';

/** By name. */
export const propertyTypes: ReadonlyMap<string, PropertyType> = new Map(
  [
    ...choices,
    ...lists,
    ...looks,
    ...moments,
    ...names,
    ...numbers,
    ...sides,
    ...sizes,
    ...texts,
    ...tracks,
  ].map((type) => [type.name, type]),
);
