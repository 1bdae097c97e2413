/** Sharing out room among the tracks of a grid, evenly or by flex factors (CSS Grid 1 §12.5.1, §12.6). */

import { floorUnit } from '../../text/units.ts';
import type { Box } from '../box.ts';
import { plainMax, plainMin, roomLeft } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import { fitLimit, flexOf, type SizedTrack, type Sizing } from './sized-tracks.ts';

/** Room that an item asks for beyond what its tracks have. */
export interface Extra {
  readonly box: Box;
  readonly affected: readonly SizedTrack[];
  /** CSS px, more than 0. */
  readonly extra: number;
  /** What grows. */
  readonly which: 'base' | 'limit';
  /** Which tracks grow on where all are at their limits; where it holds for none, all of them do. */
  readonly beyond: (track: SizedTrack) => boolean;
  /** Whether it is shared out by flex factors. */
  readonly byFlex: boolean;
  /** Inner size of the grid, where it is known. */
  readonly room: number | undefined;
}

/** Plans by how much each track grows for what an item asks (§12.5.1). */
export function shareExtra(pass: Pass, asked: Extra): void {
  const { box, affected, which } = asked;
  const increases = increasesOf(pass, asked);
  for (const track of affected) {
    const increase = increases.get(track) ?? 0;
    pass.sign(box, 'largest', track.planned - increase);
    if (increase > track.planned && which === 'base') track.raisedBy = box;
    track.planned = plainMax(track.planned, increase);
  }
}

function increasesOf(pass: Pass, { box, affected, extra, which, beyond, byFlex, room }: Extra) {
  const flexSum = affected.reduce((sum, { track }) => sum + flexOf(track), 0);
  // Over flexible tracks growth limits do not hold it back: their limits are their bases until they flex.
  if (byFlex && flexSum > 0)
    return new Map(
      affected.map((track) => [
        track,
        extra * (flexSum >= 1 ? flexOf(track.track) / flexSum : 1 / affected.length),
      ]),
    );
  const size = (track: SizedTrack) =>
    which === 'base' || track.limit === Infinity ? track.base : track.limit;
  const cap = (track: SizedTrack) => {
    if (which === 'base') return track.limit;
    return track.limit === Infinity || track.infinitelyGrowable
      ? plainMax(size(track), fitLimit(track.track, room))
      : size(track);
  };
  const { increases, left } = fill(pass, box, affected, extra, (track) => cap(track) - size(track));
  if (left <= 1e-9) return increases;
  const free = affected.filter(beyond);
  // The argument of `fit-content` bounds its growth limit; what is kept by content goes beyond it.
  const roomIn = (track: SizedTrack) =>
    which === 'limit'
      ? roomLeft(fitLimit(track.track, room) - size(track) - (increases.get(track) ?? 0))
      : Infinity;
  const further = fill(pass, box, free.length > 0 ? free : affected, left, roomIn);
  for (const [track, more] of further.increases) increases.set(track, (increases.get(track) ?? 0) + more);
  return increases;
}

/**
 * Fills tracks evenly up to their caps, the tightest first, in whole 64ths as browsers do.
 *
 * @returns by how much each track grows (none is said where it is full), and what is left.
 */
function fill(
  pass: Pass,
  box: Box,
  tracks: readonly SizedTrack[],
  extra: number,
  capOf: (track: SizedTrack) => number,
): { increases: Map<SizedTrack, number>; left: number } {
  const room = (track: SizedTrack) => roomLeft(capOf(track));
  // Those that are full are written down as well: which they are may be a matter of rounding.
  const open = pass.sorted(box, pass.log ? tracks : tracks.filter((track) => room(track) > 0), room);
  const increases = new Map<SizedTrack, number>();
  let left = extra;
  for (const [index, track] of open.entries()) {
    const part = floorUnit(left / (open.length - index) + 1e-9);
    const cap = room(track);
    pass.sign(box, 'room', cap - part);
    const taken = plainMin(cap, part);
    increases.set(track, taken);
    left -= taken;
  }
  return { increases, left };
}

/**
 * Tracks of one definition between which no item begins or ends. Browsers size such a set as one: what it may still
 * take decides as a whole when it gets its turn.
 */
export function setsOf({ tracks, items }: Pick<Sizing, 'tracks' | 'items'>): SizedTrack[][] {
  const ends = new Set(items.flatMap(({ from, span }) => [from, from + span]));
  const sets = new Map<string, SizedTrack[]>();
  let range = 0;
  for (const [index, track] of tracks.entries()) {
    if (ends.has(index)) range++;
    const key = `${range} ${track.collapsed} ${JSON.stringify(track.track)}`;
    const set = sets.get(key);
    if (set) set.push(track);
    else sets.set(key, [track]);
  }
  return [...sets.values()];
}

/**
 * Shares out room evenly over tracks, no further than their growth limits; the sets that may take least first.
 *
 * @returns what is left.
 */
export function growToLimits(
  { pass, grid }: Sizing,
  sets: readonly (readonly SizedTrack[])[],
  room: number,
): number {
  const growing = sets.map((set) => ({
    set,
    most: set.reduce((sum, { base, limit }) => sum + limit - base, 0),
  }));
  let left = room;
  let count = sets.reduce((sum, { length }) => sum + length, 0);
  for (const { set, most } of pass.sorted(grid, growing, (each) => each.most)) {
    const part = floorUnit((left * set.length) / count + 1e-9);
    pass.sign(grid, 'room', most - part);
    const taken = plainMin(most, part);
    const { increases } = fill(pass, grid, set, taken, (track) => track.limit - track.base);
    for (const [track, increase] of increases) track.base += increase;
    left -= taken;
    count -= set.length;
  }
  return left;
}
