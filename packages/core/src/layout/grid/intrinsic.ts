/** Tracks whose sizes follow from the items in them (CSS Grid 1 §12.5). */
import { gapsBetween, plainMax, plainMin } from '../plain-limits.ts';
import { shareExtra } from './sharing.ts';
import {
  type Contributor,
  fitLimit,
  fixedSize,
  gapsOf,
  maxKind,
  minKind,
  type SizedTrack,
  type SizeKind,
  type Sizing,
  spanned,
} from './sized-tracks.ts';

/** Whether something holds of a track. */
type Accepts = (track: SizedTrack) => boolean;
/** What an item asks for, CSS px. */
type Asks = (item: Contributor) => number;

/** Resolves content-sized tracks. */
export function resolveIntrinsic(sizing: Sizing): void {
  const { tracks, items } = sizing;
  const { room } = sizing.axis;
  const flexible = (item: Contributor) =>
    spanned(tracks, item).some(({ track }) => maxKind(track, room) === 'flex');
  const plain: Contributor[] = [];
  const overFlexible: Contributor[] = [];
  for (const item of items) (flexible(item) ? overFlexible : plain).push(item);

  const spans = [...new Set(plain.map(({ span }) => span))].sort((a, b) => a - b);
  for (const span of spans) {
    const group = plain.filter((item) => item.span === span);
    if (span === 1) {
      for (const item of group) raiseSingle(sizing, item);
      settleLimits(sizing, group);
    } else raiseSpanning({ ...sizing, items: group, overFlexible: false });
  }
  if (overFlexible.length > 0) raiseSpanning({ ...sizing, items: overFlexible, overFlexible: true });
  for (const track of tracks) if (track.limit === Infinity) track.limit = plainMax(track.base, 0);
}

/** The sum of fixed greatest sizes over the tracks of an item, which its minimum contribution keeps to (§12.5). */
function limitedBy(tracks: readonly SizedTrack[], room: number | undefined, gap: number): number {
  let limit = gapsBetween(tracks.length, gap);
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
function leastAsked(item: Contributor, kind: SizeKind, limit: number): number {
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
function raiseSingle({ pass, tracks, axis }: Sizing, item: Contributor): void {
  const track = tracks[item.from];
  const least = track && minKind(track.track, axis.room);
  if (!track || !least || least === 'fixed') return;
  const asked = leastAsked(item, least, limitedBy([track], axis.room, 0));
  pass.sign(item.box, 'largest', track.base - asked);
  if (asked <= track.base) return;
  track.base = asked;
  track.raisedBy = item.box;
}

/** Growth limits of tracks whose greatest size is by content, from items in one track, which is no flexible one. */
function settleLimits({ pass, tracks, axis: { room } }: Sizing, items: readonly Contributor[]): void {
  const found = new Map<SizedTrack, number>();
  for (const item of items) {
    const track = tracks[item.from];
    const most = track && maxKind(track.track, room);
    if (!track || !most || most === 'fixed') continue;
    const asked =
      most === 'min-content' ? item.minContent() : plainMin(item.maxContent(), fitLimit(track.track, room));
    const before = found.get(track) ?? 0;
    pass.sign(item.box, 'largest', before - asked);
    found.set(track, plainMax(before, asked));
  }
  for (const [track, limit] of found) track.limit = limit;
  for (const track of tracks) {
    if (track.limit < track.base) track.limit = track.base;
  }
}

/** Items over several tracks, or over flexible ones: of those only the flexible ones grow. */
interface Spanning extends Sizing {
  readonly overFlexible: boolean;
}

/** Raises bases, then limits, for items over several tracks (§12.5 step 3), or bases for items over flexible ones (step 4). */
function raiseSpanning(spanning: Spanning): void {
  const { tracks, axis, overFlexible } = spanning;
  const least = ({ track }: SizedTrack) => minKind(track, axis.room);
  const most = ({ track }: SizedTrack) => maxKind(track, axis.room);
  const byContent: Accepts = (track) => most(track) !== 'fixed';
  const byMaxContent: Accepts = (track) => most(track) === 'max-content' || most(track) === 'auto';
  const minContent: Asks = (item) => item.minContent();
  const maxContent: Asks = (item) => item.maxContent();

  raiseBases(
    spanning,
    (track) => least(track) !== 'fixed',
    (item) => item.minimum(limitedBy(spanned(tracks, item), axis.room, axis.gap)),
    byContent,
  );
  raiseBases(
    spanning,
    (track) => least(track) === 'min-content' || least(track) === 'max-content',
    minContent,
    byContent,
  );
  raiseBases(spanning, (track) => least(track) === 'max-content', maxContent, byMaxContent);
  if (overFlexible) return;
  raiseLimits(spanning, (track) => byContent(track) && most(track) !== 'flex', minContent, true);
  raiseLimits(spanning, byMaxContent, maxContent, false);
  for (const track of tracks) track.infinitelyGrowable = false;
}

/** The tracks of an item that may grow for it. */
const taking = ({ tracks, axis, overFlexible }: Spanning, item: Contributor, accepts: Accepts) =>
  spanned(tracks, item).filter(
    (track) =>
      !track.collapsed && accepts(track) && (!overFlexible || maxKind(track.track, axis.room) === 'flex'),
  );

/** What an item's tracks and the gaps between them come to, CSS px. */
function sizeOver(
  { tracks, axis }: Spanning,
  item: Contributor,
  size: (track: SizedTrack) => number,
): number {
  const over = spanned(tracks, item);
  return over.reduce((sum, track) => sum + size(track), 0) + gapsOf(over, axis.gap);
}

/** @param beyond the tracks that grow beyond their limits where there is no other way. */
function raiseBases(spanning: Spanning, accepts: Accepts, asks: Asks, beyond: Accepts): void {
  const { pass, tracks, items, axis, overFlexible } = spanning;
  for (const item of items) {
    const affected = taking(spanning, item, accepts);
    if (affected.length === 0) continue;
    const extra = asks(item) - sizeOver(spanning, item, (track) => track.base);
    pass.sign(item.box, 'largest', extra);
    if (extra > 0)
      shareExtra(pass, {
        box: item.box,
        affected,
        extra,
        which: 'base',
        beyond,
        byFlex: overFlexible,
        room: axis.room,
      });
  }
  for (const track of tracks) {
    track.base += track.planned;
    track.planned = 0;
    if (track.limit < track.base) track.limit = track.base;
  }
}

/** @param mark whether tracks that had no limit may grow without end in the next step. */
function raiseLimits(spanning: Spanning, accepts: Accepts, asks: Asks, mark: boolean): void {
  const { pass, tracks, items, axis } = spanning;
  const raised = new Set<SizedTrack>();
  for (const item of items) {
    const affected = taking(spanning, item, accepts);
    if (affected.length === 0) continue;
    for (const track of affected) raised.add(track);
    const extra =
      asks(item) - sizeOver(spanning, item, (track) => (track.limit === Infinity ? track.base : track.limit));
    pass.sign(item.box, 'largest', extra);
    if (extra > 0)
      shareExtra(pass, {
        box: item.box,
        affected,
        extra,
        which: 'limit',
        beyond: () => true,
        byFlex: false,
        room: axis.room,
      });
  }
  for (const track of tracks) {
    const endless = raised.has(track) && track.limit === Infinity;
    track.infinitelyGrowable = endless && mark;
    if (!raised.has(track)) continue;
    track.limit = (endless ? track.base : track.limit) + track.planned;
    track.planned = 0;
  }
}
