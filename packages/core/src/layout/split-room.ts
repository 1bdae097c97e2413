/** From which width on a split has room for both panes. */

import { numberAt } from '../sure.ts';
import type { Limit } from '../values/css.ts';
import { plainMax } from './plain-limits.ts';

/**
 * From which content width on both panes of a split get at least their `min-width`; Infinity: never. The panes get
 * what the gap leaves, by the ratio; a least width in per cent is one of the split.
 */
export function widthForBoth(
  minWidths: readonly Limit[],
  ratio: readonly [number, number],
  gap: number,
): number {
  const all = ratio[0] + ratio[1];
  let needed = gap;
  for (const [index, least] of minWidths.entries()) {
    const part = numberAt(ratio, index) / all;
    if (typeof least === 'number') needed = plainMax(needed, least / part + gap);
    else if (least !== undefined) {
      // (width − gap) × part ≥ width × fraction
      const surplus = part - least.fraction;
      needed = plainMax(needed, surplus > 0 ? (gap * part) / surplus : gap > 0 || surplus < 0 ? Infinity : 0);
    }
  }
  return needed;
}
