/** A motion at an instant: how far it is (Web Animations 1 §4.5–4.8), and what each property holds then. */

import { type Easing, easingOf } from '../values/easing.ts';
import type { Colours } from '../values/theme.ts';
import { between, underneath } from './blend.ts';
import type { Key, Motion, Track } from './timeline.ts';

/** A motion at a time. */
export interface Instant {
  /** Its name on the expanded screen. */
  readonly name: string;
  /** Seconds from its start, its delay included. */
  readonly at: number;
}

/** How long a motion goes on, its delay included, s; `Infinity`: without an end. */
export const lengthOf = ({ delay, seconds, repeat }: Pick<Motion, 'delay' | 'seconds' | 'repeat'>): number =>
  delay + seconds * repeat;

/**
 * How far a motion is along its keys at a time: 0 to 1. Before it begins it is at its first key, behind its end where it
 * ended (`fill: both`).
 */
export function progressAt(
  motion: Pick<Motion, 'delay' | 'seconds' | 'repeat' | 'alternate'>,
  at: number,
): number {
  const { delay, seconds, repeat, alternate } = motion;
  const active = Math.min(Math.max(0, at - delay), seconds * repeat);
  const overall = active / seconds;
  const isAtEnd = at - delay >= seconds * repeat;
  // At its end a round is whole, not the beginning of the next one.
  const round = isAtEnd && Number.isInteger(overall) && overall > 0 ? overall - 1 : Math.floor(overall);
  const part = overall - round;
  return alternate && round % 2 === 1 ? 1 - part : part;
}

/** How far a motion is. */
export interface Progress {
  /** 0 to 1. */
  readonly progress: number;
  /** It has not begun yet, or is over on its way back: what its easings call before (Web Animations 1 §4.10). */
  readonly isBefore: boolean;
}

/** How far a motion is at a time, for the easings of its keys. */
export function progressOf(
  motion: Pick<Motion, 'delay' | 'seconds' | 'repeat' | 'alternate'>,
  at: number,
): Progress {
  const { delay, seconds, repeat, alternate } = motion;
  const isOver = at - delay >= seconds * repeat;
  const isBack = alternate && Math.ceil(repeat) % 2 === 0;
  return { progress: progressAt(motion, at), isBefore: isOver ? isBack : at < delay };
}

const easings = new Map<string, Easing>();

/** The easing of a key's text; even where it is none. */
function easeOf(text: string): Easing {
  const known = easings.get(text);
  if (known) return known;
  const made = easingOf(text) ?? ((part: number) => part);
  easings.set(text, made);
  return made;
}

/** The keys that a track is between at a part of its motion. What holds without the motion stands in for a missing first or last one. */
export function keysAround(
  { keys }: Pick<Track, 'keys'>,
  progress: number,
): { readonly from: Key | undefined; readonly to: Key | undefined; readonly part: number } {
  // At the very end all keys have been come to.
  const behind = progress >= 1 ? keys.length - 1 : keys.findLastIndex(({ at }) => at <= progress);
  const from = keys[behind];
  const to = keys[behind + 1];
  const begin = from?.at ?? 0;
  const end = to?.at ?? 1;
  return { from, to, part: end > begin ? (progress - begin) / (end - begin) : 1 };
}

/**
 * What a property holds at a part of its motion.
 *
 * @param held what properties of the control hold without the motion, by name.
 */
export function valueAt(
  track: Track,
  { progress, isBefore }: Progress,
  held: (property: string) => unknown,
  theme: Colours,
): unknown {
  const { from, to, part } = keysAround(track, progress);
  // Behind a key at the very end nothing is between any more.
  if (!to && from && from.at >= 1) return from.value;
  const ease = easeOf(to?.ease ?? 'linear');
  const below = underneath(track.property, held);
  return between(
    track.property,
    from ? from.value : below,
    to ? to.value : below,
    ease(part, isBefore),
    theme,
  );
}
