/**
 * How containers arrange what is in them: one after another along an axis, in cells, over each other, or at pins.
 * Rows, columns, grids and repeats may do so otherwise from a band up; `like` says how.
 */
import { likeType } from '../document/property-types.ts';
import type { Values } from '../document/values.ts';
import type { FlexContent, GridContent } from '../layout/box.ts';
import { flexContent } from './flex-inside.ts';
import { gridContent } from './grid-inside.ts';
import type { Property } from './kind.ts';
import { arranging, boxLook, gridTracks, padding, placing, sizing, wrapping } from './properties.ts';

export type Like = 'row' | 'column' | 'grid';
export type Arrangement = 'row' | 'column' | 'cells' | 'layers' | 'pins';

/** @param preset how the kind arranges where nothing is said. */
export const likeProperty = (preset: Like): Property => ({
  name: 'like',
  label: 'Like',
  group: 'inside',
  type: likeType,
  default: preset,
  effect: 'layout',
  perBand: true,
});

/** Properties of a container that arranges along an axis where nothing else is said. */
export const arrangingAlong = (preset: 'row' | 'column'): readonly Property[] => [
  ...sizing,
  ...placing(),
  padding(),
  likeProperty(preset),
  ...arranging,
  wrapping,
  ...gridTracks,
  ...boxLook(),
];

/** What is inside a container that has `like`. */
export function arrangedContent(values: Values): FlexContent | GridContent {
  const like = values.get<Like>('like') ?? 'column';
  return like === 'grid' ? gridContent(values) : flexContent(values, like);
}

/**
 * How a kind arranges what is in it.
 *
 * @param value its values by property, defaults included.
 */
export function arrangementOf(kind: string, value: (name: string) => unknown): Arrangement {
  switch (kind) {
    case 'row':
    case 'column':
    case 'grid':
    case 'repeat':
    case 'form':
    case 'cell':
      return value('like') === 'grid' ? 'cells' : (value('like') as 'row' | 'column');
    case 'layers':
      return 'layers';
    case 'pinboard':
      return 'pins';
    case 'bar':
      return value('edge') === 'start' || value('edge') === 'end' ? 'column' : 'row';
    case 'scroll':
      return value('axis') === 'horizontal' ? 'row' : 'column';
    default:
      return 'column';
  }
}

/** Kinds whose children a `like` may put otherwise. */
export const hasLike = (kind: string): boolean =>
  ['row', 'column', 'grid', 'repeat', 'form', 'cell'].includes(kind);
