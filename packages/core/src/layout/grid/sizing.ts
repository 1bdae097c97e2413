/** How large the tracks of one axis of a grid are (CSS Grid 1 §12). All sizes in CSS px. */
import { floorUnit } from '../../text/units.ts';
import type { Track, TrackBreadth } from '../../values/css.ts';
import type { Box } from '../box.ts';
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

type Kind = 'fixed' | 'auto' | 'min-content' | 'max-content' | 'flex';

/** What a breadth is here: a percentage of an unknown size counts as `auto` (§7.2.1). */
function kindOf(breadth: TrackBreadth, room: number | undefined): Kind {
  if (typeof breadth === 'number') return 'fixed';
  if (typeof breadth === 'string') return breadth;
  if (isFraction(breadth)) return room === undefined ? 'auto' : 'fixed';
  return 'flex';
}

const fixedSize = (breadth: TrackBreadth, room: number | undefined): number =>
  typeof breadth === 'number'
    ? breadth
    : isFraction(breadth) && room !== undefined
      ? floorUnit(breadth.fraction * room)
      : 0;

/** Whether a track may take what is left: also with a factor of 0, which then takes none of it. */
export const isFlexible = ({ max }: Track): boolean => typeof max === 'object' && 'fr' in max;

export const flexOf = ({ max }: Track): number => (typeof max === 'object' && 'fr' in max ? max.fr : 0);

const minKind = (track: Track, room: number | undefined): Kind => {
  // `1fr` alone is `minmax(auto, 1fr)` (§7.2.4).
  const kind = kindOf(track.min, room);
  return kind === 'flex' ? 'auto' : kind;
};
const maxKind = (track: Track, room: number | undefined): Kind => kindOf(track.max, room);

/** Whether the size of a track depends on what its items ask for. */
export function asksContent(track: Track, room: number | undefined): boolean {
  const [min, max] = [minKind(track, room), maxKind(track, room)];
  return min !== 'fixed' || (max !== 'fixed' && (max !== 'flex' || room === undefined));
}

/** The greatest size that `fit-content(n)` lets a track grow to; Infinity for other tracks. */
const fitLimit = ({ fitContent }: Track, room: number | undefined): number =>
  fitContent === undefined
    ? Infinity
    : typeof fitContent === 'number'
      ? fitContent
      : room === undefined
        ? Infinity
        : floorUnit(fitContent.fraction * room);

/** Gaps between tracks that are there, up to a count of tracks. */
export function gapsOf(tracks: readonly SizedTrack[], gap: number): number {
  let there = 0;
  for (const { collapsed } of tracks) if (!collapsed) there++;
  return Math.max(0, there - 1) * gap;
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
    const base = minKind(track, room) === 'fixed' ? Math.max(0, fixedSize(track.min, room)) : 0;
    const limit = maxKind(track, room) === 'fixed' ? Math.max(base, fixedSize(track.max, room)) : Infinity;
    return { ...empty, base, limit };
  });
}

/** Sizes all tracks: sets each one's `base`. */
export function sizeTracks(
  pass: Pass,
  grid: Box,
  tracks: SizedTrack[],
  items: readonly Contributor[],
  axis: Axis,
): void {
  resolveIntrinsic(pass, tracks, items, axis);
  maximize(pass, grid, tracks, items, axis);
  expandFlexible(pass, grid, tracks, items, axis);
  stretchAuto(pass, grid, tracks, items, axis);
}

const spanned = (tracks: SizedTrack[], item: Contributor) => tracks.slice(item.from, item.from + item.span);

/** Resolves content-sized tracks (§12.5). */
function resolveIntrinsic(
  pass: Pass,
  tracks: SizedTrack[],
  items: readonly Contributor[],
  { room, gap }: Axis,
): void {
  const flexible = (item: Contributor) =>
    spanned(tracks, item).some(({ track }) => maxKind(track, room) === 'flex');
  const plain: Contributor[] = [];
  const overFlexible: Contributor[] = [];
  for (const item of items) (flexible(item) ? overFlexible : plain).push(item);

  const spans = [...new Set(plain.map(({ span }) => span))].sort((a, b) => a - b);
  for (const span of spans) {
    const group = plain.filter((item) => item.span === span);
    if (span === 1) for (const item of group) raiseSingle(pass, tracks[item.from]!, item, room);
    else raiseSpanning(pass, tracks, group, room, gap, false);
    if (span === 1) settleLimits(pass, tracks, group, room);
  }
  if (overFlexible.length > 0) raiseSpanning(pass, tracks, overFlexible, room, gap, true);
  for (const track of tracks) if (track.limit === Infinity) track.limit = Math.max(track.base, 0);
}

/** The sum of fixed greatest sizes over the tracks of an item, which its minimum contribution keeps to (§12.5). */
function limitedBy(tracks: readonly SizedTrack[], room: number | undefined, gap: number): number {
  let limit = Math.max(0, tracks.length - 1) * gap;
  for (const { track } of tracks) {
    if (track.fitContent !== undefined || maxKind(track, room) !== 'fixed') return Infinity;
    limit += fixedSize(track.max, room);
  }
  return limit;
}

/**
 * What an item asks of a track whose least size is by content. Under a content constraint browsers take the minimum
 * contribution too, where §12.5 has the limited content contribution.
 */
function leastAsked(item: Contributor, kind: Kind, limit: number): number {
  switch (kind) {
    case 'min-content':
      return item.minContent();
    case 'max-content':
      return item.maxContent();
    case 'auto':
      return item.minimum(limit);
    default:
      return 0;
  }
}

/** An item in one track that does not flex (§12.5 step 2). */
function raiseSingle(pass: Pass, track: SizedTrack, item: Contributor, room: number | undefined): void {
  const least = minKind(track.track, room);
  if (least === 'fixed') return;
  const asked = leastAsked(item, least, limitedBy([track], room, 0));
  pass.sign(item.box, 'largest', track.base - asked);
  if (asked <= track.base) return;
  track.base = asked;
  track.raisedBy = item.box;
}

/** Growth limits of tracks whose greatest size is by content, from items in one track. */
function settleLimits(
  pass: Pass,
  tracks: SizedTrack[],
  items: readonly Contributor[],
  room: number | undefined,
): void {
  const found = new Map<SizedTrack, number>();
  for (const item of items) {
    const track = tracks[item.from]!;
    const most = maxKind(track.track, room);
    if (most === 'fixed' || most === 'flex') continue;
    const asked =
      most === 'min-content' ? item.minContent() : Math.min(item.maxContent(), fitLimit(track.track, room));
    const before = found.get(track) ?? 0;
    pass.sign(item.box, 'largest', before - asked);
    found.set(track, Math.max(before, asked));
  }
  for (const [track, limit] of found) track.limit = limit;
  for (const track of tracks) {
    if (track.limit < track.base) track.limit = track.base;
  }
}

/** Items over several tracks, or over flexible ones (§12.5 steps 3 and 4). */
function raiseSpanning(
  pass: Pass,
  tracks: SizedTrack[],
  items: readonly Contributor[],
  room: number | undefined,
  gap: number,
  flexible: boolean,
): void {
  const taking = (item: Contributor, accept: (track: SizedTrack) => boolean) =>
    spanned(tracks, item).filter(
      (track) => !track.collapsed && accept(track) && (!flexible || maxKind(track.track, room) === 'flex'),
    );
  const gapsIn = (item: Contributor) => gapsOf(spanned(tracks, item), gap);
  const least = (track: SizedTrack) => minKind(track.track, room);
  const most = (track: SizedTrack) => maxKind(track.track, room);
  const limitOf = (item: Contributor) => limitedBy(spanned(tracks, item), room, gap);

  const bases = (
    accept: (track: SizedTrack) => boolean,
    asked: (item: Contributor) => number,
    beyond: (track: SizedTrack) => boolean,
  ) => {
    for (const item of items) {
      const affected = taking(item, accept);
      if (affected.length === 0) continue;
      const have = spanned(tracks, item).reduce((sum, track) => sum + track.base, 0) + gapsIn(item);
      const extra = asked(item) - have;
      pass.sign(item.box, 'largest', extra);
      if (extra > 0) shareExtra(pass, item.box, affected, extra, 'base', beyond, flexible);
    }
    for (const track of tracks) {
      track.base += track.planned;
      track.planned = 0;
      if (track.limit < track.base) track.limit = track.base;
    }
  };
  const intrinsic = (track: SizedTrack) => least(track) !== 'fixed';
  const growsByContent = (track: SizedTrack) => most(track) !== 'fixed';
  bases(intrinsic, (item) => item.minimum(limitOf(item)), growsByContent);
  bases(
    (track) => least(track) === 'min-content' || least(track) === 'max-content',
    (item) => item.minContent(),
    growsByContent,
  );
  bases(
    (track) => least(track) === 'max-content',
    (item) => item.maxContent(),
    (track) => most(track) === 'max-content' || most(track) === 'auto',
  );

  if (flexible) return;
  const limits = (
    accept: (track: SizedTrack) => boolean,
    asked: (item: Contributor) => number,
    mark: boolean,
  ) => {
    for (const item of items) {
      const affected = taking(item, accept);
      if (affected.length === 0) continue;
      const have =
        spanned(tracks, item).reduce(
          (sum, track) => sum + (track.limit === Infinity ? track.base : track.limit),
          0,
        ) + gapsIn(item);
      const extra = asked(item) - have;
      pass.sign(item.box, 'largest', extra);
      if (extra > 0) shareExtra(pass, item.box, affected, extra, 'limit', () => true, false, room);
    }
    const affectedAny = new Set(items.flatMap((item) => taking(item, accept)));
    for (const track of tracks) {
      if (!affectedAny.has(track)) {
        track.infinitelyGrowable = false;
        continue;
      }
      if (track.limit === Infinity) {
        track.limit = track.base + track.planned;
        track.infinitelyGrowable = mark;
      } else {
        track.limit += track.planned;
        track.infinitelyGrowable = false;
      }
      track.planned = 0;
    }
  };
  limits(
    (track) => most(track) !== 'fixed' && most(track) !== 'flex',
    (item) => item.minContent(),
    true,
  );
  limits(
    (track) => most(track) === 'max-content' || most(track) === 'auto',
    (item) => item.maxContent(),
    false,
  );
  for (const track of tracks) track.infinitelyGrowable = false;
}

/** Shares out what an item needs beyond what its tracks have (§12.5.1), in equal parts, or by flex factors. */
function shareExtra(
  pass: Pass,
  box: Box,
  affected: readonly SizedTrack[],
  extra: number,
  which: 'base' | 'limit',
  beyond: (track: SizedTrack) => boolean,
  byFlex: boolean,
  room?: number,
): void {
  const increases = new Map<SizedTrack, number>(affected.map((track) => [track, 0]));
  const size = (track: SizedTrack) =>
    which === 'base' ? track.base : track.limit === Infinity ? track.base : track.limit;
  const cap = (track: SizedTrack) => {
    if (which === 'limit')
      return track.limit === Infinity || track.infinitelyGrowable
        ? Math.max(size(track), fitLimit(track.track, room))
        : size(track);
    return track.limit;
  };
  const flexSum = affected.reduce((sum, { track }) => sum + flexOf(track), 0);
  const weighted = byFlex && flexSum > 0;
  if (weighted) {
    // Over flexible tracks growth limits do not hold it back: their limits are their bases until they flex.
    for (const track of affected) {
      const part = flexSum >= 1 ? flexOf(track.track) / flexSum : 1 / affected.length;
      increases.set(track, extra * part);
    }
  } else {
    extra = fill(pass, box, affected, increases, extra, (track) => cap(track) - size(track));
    if (extra > 1e-9) {
      const free = affected.filter(beyond);
      const growing = free.length > 0 ? free : affected;
      const further = new Map<SizedTrack, number>(growing.map((track) => [track, 0]));
      // The argument of `fit-content` bounds its growth limit; what is kept by content goes beyond it.
      const roomIn = (track: SizedTrack) =>
        which === 'limit'
          ? Math.max(0, fitLimit(track.track, room) - size(track) - increases.get(track)!)
          : Infinity;
      fill(pass, box, growing, further, extra, roomIn);
      for (const [track, more] of further) increases.set(track, increases.get(track)! + more);
    }
  }
  for (const [track, increase] of increases) {
    pass.sign(box, 'largest', track.planned - increase);
    if (increase > track.planned && which === 'base') track.raisedBy = box;
    track.planned = Math.max(track.planned, increase);
  }
}

/**
 * Fills tracks evenly up to their caps, the tightest first, in whole 64ths as browsers do. @returns what is left.
 */
function fill(
  pass: Pass,
  box: Box,
  tracks: readonly SizedTrack[],
  increases: Map<SizedTrack, number>,
  extra: number,
  capOf: (track: SizedTrack) => number,
): number {
  const room = (track: SizedTrack) => Math.max(0, capOf(track));
  // Those that are full are written down as well: which they are may be a matter of rounding.
  const open = pass.sorted(box, pass.log ? tracks : tracks.filter((track) => room(track) > 0), room);
  let left = extra;
  for (const [index, track] of open.entries()) {
    const part = floorUnit(left / (open.length - index) + 1e-9);
    const cap = room(track);
    pass.sign(box, 'room', cap - part);
    const taken = Math.min(cap, part);
    increases.set(track, taken);
    left -= taken;
  }
  return left;
}

/**
 * Tracks of one definition between which no item begins or ends. Browsers size such a set as one: what it may still
 * take decides as a whole when it gets its turn.
 */
function setsOf(tracks: readonly SizedTrack[], items: readonly Contributor[]): SizedTrack[][] {
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
function growToLimits(pass: Pass, grid: Box, sets: readonly (readonly SizedTrack[])[], room: number): number {
  const growing = sets.map((set) => ({
    set,
    most: set.reduce((sum, { base, limit }) => sum + limit - base, 0),
  }));
  let left = room;
  let count = sets.reduce((sum, { length }) => sum + length, 0);
  for (const { set, most } of pass.sorted(grid, growing, (each) => each.most)) {
    const part = floorUnit((left * set.length) / count + 1e-9);
    pass.sign(grid, 'room', most - part);
    const increases = new Map<SizedTrack, number>();
    const taken = Math.min(most, part);
    fill(pass, grid, set, increases, taken, (track) => track.limit - track.base);
    for (const [track, increase] of increases) track.base += increase;
    left -= taken;
    count -= set.length;
  }
  return left;
}

/** Lets tracks grow to their growth limits (§12.6). */
function maximize(
  pass: Pass,
  grid: Box,
  tracks: SizedTrack[],
  items: readonly Contributor[],
  axis: Axis,
): void {
  if (axis.room !== undefined) {
    const free = axis.room - gapsOf(tracks, axis.gap) - tracks.reduce((sum, { base }) => sum + base, 0);
    pass.sign(grid, 'room', free);
    if (free > 0 || pass.log) growToLimits(pass, grid, setsOf(tracks, items), Math.max(0, free));
  } else if (axis.wanted === 'max-content') {
    // As if there were no end of room; browsers do not look at a greatest size of the grid here.
    for (const track of tracks) track.base = Math.max(track.base, track.limit);
  }
}

/** The size of one `fr` that fills some room (§12.7.1). */
function frSize(pass: Pass, grid: Box, tracks: readonly SizedTrack[], room: number): number {
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
    const size = Math.max(0, left) / Math.max(1, factors);
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

/** Lets flexible tracks take what is left (§12.7). */
function expandFlexible(
  pass: Pass,
  grid: Box,
  tracks: SizedTrack[],
  items: readonly Contributor[],
  axis: Axis,
): void {
  const flexible = tracks.filter(({ track, collapsed }) => !collapsed && isFlexible(track));
  if (flexible.length === 0) return;
  const gaps = gapsOf(tracks, axis.gap);
  let fraction = 0;
  if (axis.room !== undefined) {
    pass.sign(grid, 'room', axis.room - gaps - tracks.reduce((sum, { base }) => sum + base, 0));
    fraction = frSize(pass, grid, tracks, axis.room - gaps);
  } else if (axis.wanted === 'max-content') {
    const raise = (size: number) => {
      pass.sign(grid, 'largest', fraction - size);
      fraction = Math.max(fraction, size);
    };
    for (const { track, base } of flexible) raise(flexOf(track) > 1 ? base / flexOf(track) : base);
    for (const item of items) {
      const over = spanned(tracks, item);
      if (over.some(({ track }) => isFlexible(track)))
        raise(frSize(pass, grid, over, item.maxContent() - gapsOf(over, axis.gap)));
    }
    const total =
      tracks.reduce((sum, { track, base }) => sum + Math.max(base, flexOf(track) * fraction), 0) + gaps;
    const [least, most] = axis.flexByContent ? [0, Infinity] : [axis.least, axis.most];
    pass.held(grid, total, least, most);
    if (total < least) fraction = frSize(pass, grid, tracks, least - gaps);
    else if (total > most) fraction = frSize(pass, grid, tracks, most - gaps);
  }
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
function stretchAuto(
  pass: Pass,
  grid: Box,
  tracks: SizedTrack[],
  items: readonly Contributor[],
  axis: Axis,
): void {
  const isAuto = ({ track, collapsed }: SizedTrack) =>
    !collapsed && track.fitContent === undefined && maxKind(track, axis.room) === 'auto';
  const auto = tracks.filter(isAuto);
  if (auto.length === 0) return;
  const total = tracks.reduce((sum, { base }) => sum + base, 0) + gapsOf(tracks, axis.gap);
  const room = axis.room ?? (axis.wanted === 'max-content' ? axis.least : 0);
  pass.sign(grid, 'room', room - total);
  // What is written down has the same form on both sides of where room is left, so that one can be held against the other.
  if (room <= total && !pass.log) return;
  const sets = setsOf(tracks, items).filter(([first]) => isAuto(first!));
  let left = growToLimits(pass, grid, sets, Math.max(0, room - total));
  for (const [index, track] of auto.entries()) {
    const part = floorUnit(left / (auto.length - index) + 1e-9);
    track.base += part;
    left -= part;
  }
}
