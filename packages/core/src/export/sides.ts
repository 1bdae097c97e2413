/**
 * Shorthands of four sides, said by axis: where several layers speak of a box's sides, each has to say them by the same names, or one
 * would not take the place of the other's.
 */
import type { Declarations } from '../css/declarations.ts';
import { cssWords } from '../values/css-words.ts';

/** `margin`, `border-width`: what stands before and behind the axis in the names by axis. */
const families = [
  ['padding', ''],
  ['margin', ''],
  ['border', '-width'],
  ['border', '-style'],
  ['border', '-color'],
] as const;

/** Declarations with their sides said by axis. */
export function byAxis(css: Declarations): Map<string, string> {
  const made = new Map<string, string>();
  for (const [name, value] of css) {
    const family = families.find(([before, behind]) => name === `${before}${behind}`);
    if (!family) {
      made.set(name, value);
      continue;
    }
    const [before, behind] = family;
    const [top = '', end = top, bottom = top, start = end] = cssWords(value);
    made.set(`${before}-block${behind}`, top === bottom ? top : `${top} ${bottom}`);
    made.set(`${before}-inline${behind}`, start === end ? start : `${start} ${end}`);
  }
  return made;
}

/** Declarations with both axes said as one where that is the same. */
export function asOne(css: Declarations): Map<string, string> {
  const made = new Map(css);
  for (const [before, behind] of families) {
    const [block, inline] = [`${before}-block${behind}`, `${before}-inline${behind}`];
    const [down, across] = [made.get(block), made.get(inline)];
    if (down === undefined || across === undefined) continue;
    const [top = '', bottom = top] = cssWords(down);
    const [start = '', end = start] = cssWords(across);
    if (start !== end || [top, start].some((word) => word === 'initial' || word === 'revert-layer')) continue;
    made.delete(inline);
    made.delete(block);
    made.set(
      `${before}${behind}`,
      top === bottom ? (top === start ? top : `${top} ${start}`) : `${top} ${start} ${bottom}`,
    );
  }
  return made;
}
