/** What a row or column is laid out with: its inside, and its children on their way to a size and place. */
import type { Align } from '../../values/css.ts';
import type { Box, FlexContent } from '../box.ts';
import type { Laid, Measured } from '../laid.ts';
import type { FlexItem } from './distribute.ts';

/** The inside of a container: its content box, as far as it is known. NaN: not known. */
export interface FlexInside {
  readonly box: Box;
  readonly width: number;
  readonly height: number;
  /** What percentage heights of children refer to; undefined where that is not known. */
  readonly heightBasis: number | undefined;
  /** How a height that follows from it is known. */
  readonly known: true | 'late';
  /** Of the container; what is in it was asked with it. */
  readonly measured: Measured;
  readonly content: FlexContent;
  readonly row: boolean;
}

/** A child on its way to a size and place. */
export interface Item extends FlexItem {
  readonly align: Align;
  laid: Laid;
  x: number;
  y: number;
}
