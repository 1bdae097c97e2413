/** Checks of a screen while its motions move it: what is covered, cut or outside on the way, and not without the motion. */
import { themeOf } from '../cascade/project-theme.ts';
import { motionsOn } from '../motion/moved.ts';
import type { Motion } from '../motion/timeline.ts';
import type { Checked } from './changes.ts';
import type { CheckStep, Gather } from './check.ts';
import { type Finding, findingKey } from './finding.ts';
import type { Gathered } from './remembered.ts';
import { sentenceOf } from './sentences.ts';

/** Most moments of a motion that are looked at. */
const mostMoments = 9;

/** Parts of a motion that are looked at: its keys, and halfway between them; of many, some all along. */
function momentsOf({ tracks }: Motion): readonly number[] {
  const times = [...new Set([0, 1, ...tracks.flatMap(({ keys }) => keys.map(({ at }) => at))])].toSorted(
    (a, b) => a - b,
  );
  const all = times.flatMap((time, index) => {
    const next = times[index + 1];
    return next === undefined ? [time] : [time, (time + next) / 2];
  });
  if (all.length <= mostMoments) return all;
  return Array.from({ length: mostMoments }, (_, step) => step / (mostMoments - 1));
}

/** Whether a motion changes boxes: what only turns or fades one covers and cuts nothing that it would not without. */
const movesBoxes = ({ tracks }: Motion): boolean =>
  tracks.some(({ property }) => property.effect === 'layout');

/** @param still what is wrong with the screen without its motions. */
export function* motionFindings(
  { boxes, project, screen, options }: Checked,
  still: ReadonlyMap<string, Gathered>,
  gather: Gather,
): Generator<CheckStep, Finding[], void> {
  const found = new Map<string, Finding>();
  for (const motion of motionsOn(screen, themeOf(project).tokens).filter(movesBoxes))
    for (const part of momentsOf(motion)) {
      const at = motion.delay + part * motion.seconds;
      const moved = { ...options, textScales: [1], motions: [{ name: motion.name, at }] };
      for (const [key, wrong] of yield* gather(boxes, project, screen, moved)) {
        if (still.has(key) || found.has(findingKey({ ...wrong, attribute: undefined }))) continue;
        const finding = { ...wrong, attribute: undefined };
        found.set(findingKey(finding), {
          ...finding,
          sentence: `While \`${motion.name}\` moves, at ${Number(at.toFixed(2))} s: ${sentenceOf(screen, finding)}`,
          fixes: [],
        });
      }
      yield 'finding';
    }
  return [...found.values()];
}
