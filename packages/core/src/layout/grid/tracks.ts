/** From a track list to the tracks of an explicit grid: automatic repetitions counted out (CSS Grid 1 §7.2.3.2). */

import { floorUnit, unit } from '../../text/units.ts';
import {
  mostTracks,
  type Track,
  type TrackBreadth,
  type TrackList,
  type TrackListPart,
} from '../../values/css.ts';
import type { Box } from '../box.ts';
import { plainMax, plainMin } from '../plain-limits.ts';
import type { Pass } from '../record.ts';
import { isFraction } from '../sizes.ts';

export const autoTrack: Track = { min: 'auto', max: 'auto' };

/** Tracks written out, and where the repeated ones of `auto-fit` lie, which vanish when nothing stands in them. */
export interface ExplicitTracks {
  readonly tracks: readonly Track[];
  /** First index and count of tracks that collapse when empty. */
  readonly collapsible: readonly [from: number, count: number] | undefined;
  /** How often the automatic repetition stands; 0 where there is none. */
  readonly repetitions: number;
  /** How often it would stand if parts of one counted; it is written from `repetitions` on to below one more. */
  readonly fitting: number;
  /** How long a repetition is with its gaps, CSS px, and how many of its sizes are parts, each cut to a 64th. */
  readonly length: number;
  readonly parts: number;
  /** Whether `repetitions` is the least or the most that there can be. */
  readonly end: 'least' | 'most' | undefined;
}

const isAuto = (part: TrackListPart): part is Extract<TrackListPart, { auto: unknown }> => 'auto' in part;

/** The definite size of a track that an automatic repetition counts with: its greatest if fixed, else its least. */
function countedSize(track: Track, of: number | undefined): number {
  const fixed = (breadth: TrackBreadth) =>
    typeof breadth === 'number'
      ? breadth
      : isFraction(breadth) && of !== undefined
        ? floorUnit(breadth.fraction * of)
        : undefined;
  const max = fixed(track.max);
  const min = fixed(track.min);
  return plainMax(max !== undefined ? plainMax(max, min ?? 0) : (min ?? 0), 0);
}

/**
 * @param room inner size of the grid along the axis; undefined where it has none.
 * @param least inner size that the grid has at least, where `room` is undefined.
 * @param of what percentages refer to; undefined where content still decides about that.
 */
export function explicitTracks(
  list: TrackList,
  room: number | undefined,
  least: number,
  gap: number,
  of: number | undefined,
): ExplicitTracks {
  const repeated = list.find(isAuto);
  const written = list.filter((part): part is Track => !isAuto(part));
  if (!repeated)
    return {
      tracks: written.slice(0, mostTracks),
      collapsible: undefined,
      repetitions: 0,
      fitting: 0,
      length: 0,
      parts: 0,
      end: undefined,
    };
  const others = written.reduce((sum, track) => sum + countedSize(track, of), 0) + written.length * gap;
  // A repetition counts for at least one px, so that there is an end to them.
  const sizes = repeated.tracks.map((track) => plainMax(1, countedSize(track, of)));
  const once = sizes.reduce((sum, size) => sum + size, 0) + repeated.tracks.length * gap;
  const parts = repeated.tracks.filter(({ min, max }) => isFraction(min) || isFraction(max)).length;
  const most = plainMax(1, Math.floor((mostTracks - written.length) / repeated.tracks.length));
  let fitting = 1;
  let count = 1;
  // The last gap is none.
  if (room !== undefined) {
    fitting = (room - others + gap) / once;
    count = Math.floor(fitting);
  }
  // Browsers cut what is needed to whole 64ths of a repetition, so that next to nothing asks for no track more.
  else if (least > 0) {
    fitting = (least - others + gap) / once + 1 - unit;
    count = Math.floor(fitting);
  }
  count = plainMin(most, plainMax(1, count));
  const at = list.indexOf(repeated);
  const tracks = list.flatMap((part) =>
    isAuto(part) ? Array.from({ length: count }, () => part.tracks).flat() : [part],
  );
  return {
    tracks,
    collapsible: repeated.auto === 'fit' ? [at, count * repeated.tracks.length] : undefined,
    repetitions: count,
    fitting,
    length: once,
    parts,
    end: count === 1 ? 'least' : count === most ? 'most' : undefined,
  };
}

/** Notes how many tracks an automatic repetition made. */
export function countTracks(pass: Pass, box: Box, tracks: ExplicitTracks): void {
  const { repetitions, fitting, length, parts, end } = tracks;
  if (repetitions === 0) return;
  const low = end === 'least' ? -Infinity : repetitions;
  const high = end === 'most' ? Infinity : repetitions + 1;
  // The room, what stands beside the repetitions, and the parts in one more of them.
  pass.within(box, 'tracks', fitting, {
    low,
    high,
    jump: true,
    perPx: 1 / length,
    terms: 2 + parts * (repetitions + 1),
    swings: parts > 0,
  });
}

/** What parts of a size by content refer to: the least that it can be. */
export const partsOf = (least: number): number | undefined => (least > 0 ? least : undefined);
