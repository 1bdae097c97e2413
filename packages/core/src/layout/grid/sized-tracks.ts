/** The tracks of one axis of a grid while they are being sized (CSS Grid 1 §12). All sizes in CSS px. */

import { floorUnit } from '../../text/units.ts';
import type { Track, TrackBreadth } from '../../values/css.ts';
import type { Box } from '../box.ts';
import { gapsBetween, plainMax, roomLeft } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import { isFraction } from '../sizes.ts';

/** A track while it is being sized. */
export interface SizedTrack {
  readonly track: Track;
  base: number;
  /** Growth limit. */
  limit: number;
  /** Set aside while room is shared out (§12.5.1, "planned increase"). */
  planned: number;
  infinitelyGrowable: boolean;
  /** Collapsed: stands for nothing, and so does the gap beside it (§7.2.3.2). */
  readonly collapsed: boolean;
  /** The item whose content raised its base last. */
  raisedBy: Box | undefined;
}

/** An item as the sizing of an axis sees it. Contributions are margin boxes. */
export interface Contributor {
  readonly box: Box;
  readonly from: number;
  readonly span: number;
  /** Minimum contribution (§12.5): what it keeps even where tracks give way. `limit`: see `limitedBy`. */
  minimum(limit: number): number;
  minContent(): number;
  maxContent(): number;
}

/** What the axis is sized for. */
export interface Axis {
  /** Inner size of the grid; undefined where that is being found out. */
  readonly room: number | undefined;
  /** Where `room` is undefined: which content size is wanted. */
  readonly wanted: 'min-content' | 'max-content';
  /** Inner sizes that the grid has at least and at most, where `room` is undefined. */
  readonly least: number;
  readonly most: number;
  /** Whether flexible tracks are as large as their content says, whatever `least` and `most` are. */
  readonly flexByContent?: boolean;
  readonly gap: number;
}

/** One axis of a grid while its tracks are sized. */
export interface Sizing {
  readonly pass: Pass;
  readonly grid: Box;
  readonly tracks: readonly SizedTrack[];
  readonly items: readonly Contributor[];
  readonly axis: Axis;
}

/** How a track says its least or greatest size. */
export type SizeKind = 'fixed' | 'auto' | 'min-content' | 'max-content' | 'flex';

/** What a breadth is here: a percentage of an unknown size counts as `auto` (§7.2.1). */
function kindOf(breadth: TrackBreadth, room: number | undefined): SizeKind {
  if (typeof breadth === 'number') return 'fixed';
  if (typeof breadth === 'string') return breadth;
  if (isFraction(breadth)) return room === undefined ? 'auto' : 'fixed';
  return 'flex';
}

/** A breadth in CSS px; 0 where it is not fixed. */
export const fixedSize = (breadth: TrackBreadth, room: number | undefined): number =>
  typeof breadth === 'number'
    ? breadth
    : isFraction(breadth) && room !== undefined
      ? floorUnit(breadth.fraction * room)
      : 0;

/** Whether a track may take what is left: also with a factor of 0, which then takes none of it. */
export const isFlexible = ({ max }: Track): boolean => typeof max === 'object' && 'fr' in max;

/** The factor by which a track takes part of the room left over; 0 where it does not flex. */
export const flexOf = ({ max }: Track): number => (typeof max === 'object' && 'fr' in max ? max.fr : 0);

/** How its least size is said. */
export const minKind = (track: Track, room: number | undefined): SizeKind => {
  // `1fr` alone is `minmax(auto, 1fr)` (§7.2.4).
  const kind = kindOf(track.min, room);
  return kind === 'flex' ? 'auto' : kind;
};
/** How its greatest size is said. */
export const maxKind = (track: Track, room: number | undefined): SizeKind => kindOf(track.max, room);

/** Whether the size of a track depends on what its items ask for. */
export function asksContent(track: Track, room: number | undefined): boolean {
  const [min, max] = [minKind(track, room), maxKind(track, room)];
  return min !== 'fixed' || (max !== 'fixed' && (max !== 'flex' || room === undefined));
}

/** The greatest size that `fit-content(n)` lets a track grow to; Infinity for other tracks. */
export const fitLimit = ({ fitContent }: Track, room: number | undefined): number =>
  fitContent === undefined
    ? Infinity
    : typeof fitContent === 'number'
      ? fitContent
      : room === undefined
        ? Infinity
        : floorUnit(fitContent.fraction * room);

/** The gaps between tracks, of which collapsed ones have none, CSS px. */
export function gapsOf(tracks: readonly SizedTrack[], gap: number): number {
  let standing = 0;
  for (const { collapsed } of tracks) if (!collapsed) standing++;
  return gapsBetween(standing, gap);
}

/** Tracks before sizing (§12.4). */
export function startTracks(
  tracks: readonly { track: Track; collapsed: boolean }[],
  room: number | undefined,
): SizedTrack[] {
  return tracks.map(({ track, collapsed }) => {
    const empty = { track, planned: 0, infinitelyGrowable: false, collapsed, raisedBy: undefined };
    // §7.2.3.2: a collapsed track is a fixed one of 0.
    if (collapsed) return { ...empty, track: { min: 0, max: 0 }, base: 0, limit: 0 };
    const base = minKind(track, room) === 'fixed' ? roomLeft(fixedSize(track.min, room)) : 0;
    const limit = maxKind(track, room) === 'fixed' ? plainMax(base, fixedSize(track.max, room)) : Infinity;
    return { ...empty, base, limit };
  });
}

/** The tracks that an item stands in. */
export const spanned = (tracks: readonly SizedTrack[], item: Contributor): SizedTrack[] =>
  tracks.slice(item.from, item.from + item.span);
