/**
 * How containers put what is in them: one after another along an axis, in cells, over each other, or at pins. Rows,
 * columns, grids and repeats may do so otherwise from a band up; `like` says how.
 */

import type { Values } from '../cascade/values.ts';
import type { FlexContent, GridContent } from '../layout/box.ts';
import { likeType } from '../property-types/index.ts';
import { flexContent } from './flex-inside.ts';
import { gridContent } from './grid-inside.ts';
import type { ArrangedBy, Arrangement, DeclaredCss, Manner, Property } from './kind.ts';
import {
  arranging,
  boxLook,
  gridTracks,
  padding,
  placing,
  preset,
  property,
  sizing,
  wrap,
} from './properties.ts';

export type Like = 'row' | 'column' | 'grid';

const likeKey = property({
  name: 'like',
  leads: true,
  label: 'Like',
  group: 'inside',
  type: likeType,
  effect: 'layout',
  perBand: true,
});

/** @param what how the kind arranges where nothing is said. */
export const likeProperty = (what: Like): Property<Like> => preset(likeKey, what);

/** Properties of a container that arranges along an axis where nothing else is said. */
export const arrangingAlong = (what: 'row' | 'column'): readonly Property[] => [
  ...sizing,
  ...placing(),
  padding,
  likeProperty(what),
  ...arranging,
  wrap,
  ...gridTracks,
  ...boxLook(),
];

/** What is inside a container that has `like`. */
export function arrangedContent(values: Values): FlexContent | GridContent {
  const like = values.get(likeKey) ?? 'column';
  return like === 'grid' ? gridContent(values) : flexContent(values, like);
}

const likeCss: DeclaredCss = (values) => {
  const like = values.own(likeKey);
  if (like === undefined) return [];
  return like === 'grid'
    ? [
        ['display', 'grid'],
        // Said in full: what has a size of its own, a picture, would start in its cell otherwise (Grid 1 §6.2).
        ['align-items', 'stretch'],
        ['justify-items', 'stretch'],
      ]
    : [
        ['display', 'flex'],
        ['flex-direction', like],
      ];
};

/** A kind's manner from a property that decides how it arranges. */
export const arrangedBy = <T extends string>(
  by: Property<T>,
  as: (value: T | undefined) => Arrangement,
): ArrangedBy<string> => ({ by, as: (value) => as(value as T | undefined) });

/** The manner of kinds that have `like`. */
export const likeManner: Manner = {
  arranges: arrangedBy(likeKey, (like) => (like === 'grid' ? 'cells' : (like ?? 'column'))),
  css: likeCss,
};
