/** Boxes at the two ends of a stretch of widths, and what is read off them. */
import type { ScreenBox } from '../layout/screen-layout.ts';
import type { Ends, Measure } from './measures.ts';

/** A box at the two ends of a stretch, and the one around it. */
export interface Ended {
  readonly start: ScreenBox;
  readonly end: ScreenBox;
  readonly around: Ended | undefined;
}

/** Takes a measure. Most boxes are well, so numbers are compared before anything is made of them. */
export type Add = (measure: Measure) => void;

/** A number at or below this is clearly not above 0: what is so at both ends is not worth a measure. */
const clearly = -0.5;
export const isClear = (start: number, end: number): boolean => start <= clearly && end <= clearly;

export const rightOf = ({ x, width }: ScreenBox): number => x + width;
export const bottomOf = ({ y, height }: ScreenBox): number => y + height;
export const negative = ([start, end]: Ends): Ends => [-start, -end];

/** What is nowhere larger than nothing cannot be seen. */
export const thereIs = ({ start, end }: Ended): readonly Ends[] => [
  [start.width - 1 / 64, end.width - 1 / 64],
  [start.height - 1 / 64, end.height - 1 / 64],
];

/** The control that a box belongs to: its own, or the nearest around it. */
export function ownerOf(ended: Ended): Ended {
  let at = ended;
  while (at.start.control === undefined && at.around) at = at.around;
  return at;
}
