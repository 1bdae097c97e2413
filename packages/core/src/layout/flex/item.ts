/** A child of a row or column, before it has a size. */

import type { Align, Size } from '../../values/css.ts';
import type { Box, FlexContent } from '../box.ts';
import type { Laid } from '../laid.ts';
import { plainMax, roomLeft } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import { isFraction, isShare } from '../sizes.ts';
import type { Item } from './inside.ts';

/** How a child lies across the main axis: `share` fills, `fit` never does. */
export function alignOf(child: Box, content: FlexContent, crossSize: Size): Align {
  if (isShare(crossSize)) return 'stretch';
  const word = child.style.alignSelf ?? content.align;
  // Baselines run across: in a column there are none to line up by, and the start stands for them.
  return word === 'baseline' && content.direction === 'column' ? 'start' : word;
}

/** A child along the main axis. CSS px. */
interface Along {
  /** What it asks for. */
  readonly size: Size;
  /** Flex base size, and the limits: of the border box. */
  readonly base: number;
  readonly min: number;
  readonly max: number;
  /** Padding and borders. */
  readonly frame: number;
  /** Both margins. */
  readonly margin: number;
}

/** @param align how it lies across the main axis. */
export function makeItem(
  pass: Pass,
  box: Box,
  align: Align,
  { size: mainSize, base, min, max, frame, margin }: Along,
): Item {
  const changes = isFraction(mainSize) || box.widthAsksHeight;
  const floor = changes ? pass.larger(box, 'least', base, frame) : plainMax(base, frame);
  return {
    box,
    align,
    base: floor,
    grow: isShare(mainSize) ? mainSize.share : 0,
    // A number or percentage does not give way, whether the percentage is known or not; others do.
    shrink: typeof mainSize === 'number' || isFraction(mainSize) || box.style.firm ? 0 : 1,
    shrinkBase: roomLeft(floor - frame),
    min: plainMax(frame, min),
    max,
    margin,
    main: 0,
    frozen: false,
    left: 0,
    allParts: 0,
    turn: 0,
    change: 'none',
    laid: undefined as unknown as Laid,
    x: 0,
    y: 0,
  };
}
