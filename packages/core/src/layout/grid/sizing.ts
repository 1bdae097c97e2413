/** How large the tracks of one axis of a grid are (CSS Grid 1 §12). All sizes in CSS px. */

import { floorUnit } from '../../text/units.ts';
import { plainMax, roomLeft } from '../plain-limits.ts';
import { resolveIntrinsic } from './intrinsic.ts';
import { growToLimits, setsOf } from './sharing.ts';
import {
  flexOf,
  gapsOf,
  isFlexible,
  maxKind,
  type SizedTrack,
  type Sizing,
  spanned,
} from './sized-tracks.ts';

/** Sizes all tracks: sets each one's `base`. */
export function sizeTracks(sizing: Sizing): void {
  resolveIntrinsic(sizing);
  maximize(sizing);
  expandFlexible(sizing);
  stretchAuto(sizing);
}

const sumOf = (tracks: readonly SizedTrack[]): number => tracks.reduce((sum, { base }) => sum + base, 0);

/** Lets tracks grow to their growth limits (§12.6). */
function maximize(sizing: Sizing): void {
  const { pass, grid, tracks, axis } = sizing;
  if (axis.room !== undefined) {
    const free = axis.room - gapsOf(tracks, axis.gap) - sumOf(tracks);
    pass.sign(grid, 'room', free);
    if (free > 0 || pass.log) growToLimits(sizing, setsOf(sizing), roomLeft(free));
  } else if (axis.wanted === 'max-content') {
    // As if there were no end of room; browsers do not look at a greatest size of the grid here.
    for (const track of tracks) track.base = plainMax(track.base, track.limit);
  }
}

/** The size of one `fr` that fills some room (§12.7.1). */
function frSize({ pass, grid }: Sizing, tracks: readonly SizedTrack[], room: number): number {
  const rigid = new Set<SizedTrack>();
  for (;;) {
    let left = room;
    let factors = 0;
    for (const track of tracks) {
      const flex = rigid.has(track) ? 0 : flexOf(track.track);
      if (flex > 0) factors += flex;
      else left -= track.base;
    }
    // Where no track can take its part, browsers let none of them say how large it is.
    if (factors === 0) return 0;
    const size = roomLeft(left) / plainMax(1, factors);
    let again = false;
    for (const track of tracks) {
      const flex = rigid.has(track) ? 0 : flexOf(track.track);
      if (flex === 0) continue;
      // Factors such as 0.8 add up to a last bit too much.
      const beyond = size * flex - track.base + 1e-6;
      pass.sign(grid, 'least', beyond);
      if (beyond < 0) {
        rigid.add(track);
        again = true;
      }
    }
    if (!again) return size;
  }
}

/** The size of one `fr` (§12.7). */
function fractionOf(sizing: Sizing, flexible: readonly SizedTrack[]): number {
  const { pass, grid, tracks, items, axis } = sizing;
  const gaps = gapsOf(tracks, axis.gap);
  if (axis.room !== undefined) {
    pass.sign(grid, 'room', axis.room - gaps - sumOf(tracks));
    return frSize(sizing, tracks, axis.room - gaps);
  }
  if (axis.wanted !== 'max-content') return 0;
  let fraction = 0;
  const raise = (size: number) => {
    pass.sign(grid, 'largest', fraction - size);
    fraction = plainMax(fraction, size);
  };
  for (const { track, base } of flexible) raise(flexOf(track) > 1 ? base / flexOf(track) : base);
  for (const item of items) {
    const over = spanned(tracks, item);
    if (over.some(({ track }) => isFlexible(track)))
      raise(frSize(sizing, over, item.maxContent() - gapsOf(over, axis.gap)));
  }
  const total =
    tracks.reduce((sum, { track, base }) => sum + plainMax(base, flexOf(track) * fraction), 0) + gaps;
  const [least, most] = axis.flexByContent ? [0, Infinity] : [axis.least, axis.most];
  pass.held(grid, total, least, most);
  if (total < least) return frSize(sizing, tracks, least - gaps);
  return total > most ? frSize(sizing, tracks, most - gaps) : fraction;
}

/** Lets flexible tracks take what is left (§12.7). */
function expandFlexible(sizing: Sizing): void {
  const { pass, grid, tracks } = sizing;
  const flexible = tracks.filter(({ track, collapsed }) => !collapsed && isFlexible(track));
  if (flexible.length === 0) return;
  const fraction = fractionOf(sizing, flexible);
  // Whole 64ths, with what was cut off passed on, as browsers do it.
  let carried = 0;
  for (const track of flexible) {
    const exact = flexOf(track.track) * fraction + carried;
    const size = floorUnit(exact + 1e-9);
    pass.sign(grid, 'least', exact - track.base);
    if (size > track.base) {
      carried = exact - size;
      track.base = size;
    }
  }
}

/**
 * `auto` tracks share what is left (§12.8, since `align-content` and `justify-content` are `normal`); browsers let
 * them grow to their limits first.
 */
function stretchAuto(sizing: Sizing): void {
  const { pass, grid, tracks, axis } = sizing;
  const isAuto = ({ track, collapsed }: SizedTrack) =>
    !collapsed && track.fitContent === undefined && maxKind(track, axis.room) === 'auto';
  const auto = tracks.filter(isAuto);
  if (auto.length === 0) return;
  const total = sumOf(tracks) + gapsOf(tracks, axis.gap);
  const room = axis.room ?? (axis.wanted === 'max-content' ? axis.least : 0);
  pass.sign(grid, 'room', room - total);
  // What is written down has the same form on both sides of where room is left, so that one can be held against the other.
  if (room <= total && !pass.log) return;
  const sets = setsOf(sizing).filter(([first]) => first !== undefined && isAuto(first));
  let left = growToLimits(sizing, sets, roomLeft(room - total));
  for (const [index, track] of auto.entries()) {
    const part = floorUnit(left / (auto.length - index) + 1e-9);
    track.base += part;
    left -= part;
  }
}
