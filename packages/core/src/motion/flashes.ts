/** How often a motion flashes: light and dark take turns (WCAG 2.2, 2.3.1, general flash). */
import { parse, wcagLuminance } from 'culori';
import { type Colours, colourIn } from '../values/theme.ts';
import { lengthOf, progressOf, valueAt } from './instant.ts';
import type { Motion, Track } from './timeline.ts';

/** A change of relative luminance that counts, and how light the darker side may be for that. */
const counts = 0.1;
const darkest = 0.8;
/** Moments of a second that are looked at; longest stretch that is looked at, s. */
const rate = 60;
const longest = 12;

/** How light something is at a moment, 0 to 1; undefined where it says nothing of that. */
function lightness({ property: { name } }: Track, value: unknown, theme: Colours): number | undefined {
  // What is seen through shows what is behind it, which may be as light as can be.
  if (name === 'opacity' && typeof value === 'number') return value;
  if ((name !== 'background' && name !== 'color') || typeof value !== 'string') return undefined;
  const colour = parse(colourIn(theme, value));
  return colour ? wcagLuminance(colour) : undefined;
}

/** The moments at which lightnesses turn from lighter to darker or back by enough; the first change counts, too. */
function turnsOf(levels: readonly number[]): readonly number[] {
  const found: number[] = [];
  let [low, high] = [levels[0] ?? 0, levels[0] ?? 0];
  let rising: boolean | undefined;
  levels.forEach((level, moment) => {
    low = Math.min(low, level);
    high = Math.max(high, level);
    const rises = rising !== true && level - low >= counts && low < darkest;
    const falls = rising !== false && high - level >= counts && level < darkest;
    if (!rises && !falls) return;
    found.push(moment);
    rising = rises;
    [low, high] = [level, level];
  });
  return found;
}

/** Most flashes within one second of a track: two opposite changes make one. */
export function flashesOf(motion: Motion, track: Track, theme: Colours): number {
  const moments = Math.ceil(Math.min(lengthOf(motion), longest) * rate);
  const levels: number[] = [];
  for (let moment = 0; moment <= moments; moment++) {
    const value = valueAt(track, progressOf(motion, moment / rate), () => undefined, theme);
    const level = lightness(track, value, theme);
    if (level !== undefined) levels.push(level);
  }
  const turns = turnsOf(levels);
  const most = turns.reduce(
    (found, from) => Math.max(found, turns.filter((turn) => turn >= from && turn < from + rate).length),
    0,
  );
  return Math.floor(most / 2);
}
