/**
 * All checks of a screen that depend on its size: at every width, upright and across, at plain and doubled text. The
 * sweep gives stretches on which all moves linearly; what is wrong on them follows from their two ends.
 */

import type { Mode } from '../document/token.ts';
import { walk } from '../document/tree.ts';
import type { Control, Project } from '../document/types.ts';
import { halfOpen } from '../layout/folded-screen.ts';
import { ScreenView } from '../layout/screen-layout.ts';
import { ViewBoxes } from '../layout/view-boxes.ts';
import type { Instant } from '../motion/instant.ts';
import { expandedOn } from '../reuse/expand.ts';
import { itemAt } from '../sure.ts';
import { sweepLayouts } from '../sweep/sweep.ts';
import type { Shaper } from '../text/shaper.ts';
import { changeFindings } from './changes.ts';
import { faintColours } from './colours.ts';
import { type Finding, findingKey, type Severity, type Where } from './finding.ts';
import { fixesOf } from './fixes.ts';
import { underHinge } from './folds.ts';
import { acrossHeight, uprightHeight } from './heights.ts';
import { ignoredOf } from './ignored.ts';
import type { Measure } from './measures.ts';
import { measure } from './measuring.ts';
import { motionFindings } from './moving.ts';
import { type AllTaken, type Gathered, Remembered, rememberedWith } from './remembered.ts';
import { saidOnce } from './said-once.ts';
import { saidTwice } from './said-twice.ts';
import { sentenceOf } from './sentences.ts';
import { type Interval, united } from './stretches.ts';
import { type Taken, takenOf, worstOf } from './taken.ts';

export interface CheckOptions {
  /** Widths, CSS px. */
  readonly from: number;
  readonly to: number;
  readonly textScales?: readonly number[];
  readonly rightToLeft?: boolean;
  readonly mode?: Mode | undefined;
  /** Motions that are held at an instant; absent: nothing moves. */
  readonly motions?: readonly Instant[] | undefined;
}

export const usualCheck: CheckOptions = { from: 280, to: 1920, textScales: [1, 2] };

/** What was done: a stretch of widths was measured, or a way to mend a finding was sought. */
export type CheckStep = 'stretch' | 'finding';

/** Boxes for all kinds of views that a screen is checked in, to be kept from one check to the next. */
export const boxesToCheck = (shaper: Shaper): ViewBoxes => new ViewBoxes(shaper, 64);

/**
 * Checks a screen.
 *
 * @param boxes boxes from the last check of the same screen: only those that have changed since are laid out again.
 * @returns what was found, in order of severity and tree; after each step it can be left off.
 */
export function* checkScreen(
  shaper: Shaper,
  source: Project,
  of: Control,
  options: CheckOptions = usualCheck,
  boxes: ViewBoxes = boxesToCheck(shaper),
): Generator<CheckStep, readonly Finding[], void> {
  const { project, screen } = expandedOn(source, of);
  const remembered = rememberedWith(boxes);
  const gathered = yield* gather(boxes, project, screen, options, remembered);
  const found: Finding[] = [];
  const view = new ScreenView(shaper, boxes);
  for (const entry of gathered.values()) {
    const finding = { ...entry, attribute: undefined };
    found.push({
      ...finding,
      sentence: sentenceOf(screen, finding),
      fixes: remembered.fixesOf(screen, findingKey(finding), finding, () =>
        fixesOf(view, project, screen, finding),
      ),
    });
    yield 'finding';
  }
  if (options.from <= halfOpen.width && halfOpen.width <= options.to)
    for (const finding of underHinge(view, project, screen, options.rightToLeft ?? false))
      found.push({ ...finding, sentence: sentenceOf(screen, finding), fixes: [] });
  for (const finding of faintColours(view, project, screen, options))
    found.push({ ...finding, attribute: undefined });
  found.push(...saidTwice(project, screen, options));
  yield 'finding';
  const checked = { boxes, project, screen, options };
  found.push(...(yield* changeFindings(checked, gathered, gather)));
  found.push(...(yield* motionFindings(checked, gathered, gather)));
  const order = [...walk(screen)].map(({ id }) => id);
  const ignored = ignoredOf(screen);
  const rank: Record<Severity, number> = { error: 0, warning: 1, advice: 2 };
  return saidOnce(source, screen, found)
    .filter(({ check, control }) => !ignored.has(`${control} ${check}`))
    .toSorted(
      (a, b) => rank[a.severity] - rank[b.severity] || order.indexOf(a.control) - order.indexOf(b.control),
    );
}

/** Checks a screen to the end. */
export function checkAll(
  shaper: Shaper,
  project: Project,
  screen: Control,
  options: CheckOptions = usualCheck,
): readonly Finding[] {
  const run = checkScreen(shaper, project, screen, options);
  for (;;) {
    const next = run.next();
    if (next.done) return next.value;
  }
}

/** The widths below which fingers are counted on: those of the first two bands. */
export const touchBelow = ({ bands }: Project): number =>
  bands.toSorted((a, b) => a.from - b.from)[2]?.from ?? 960;

/** Problems of the layout itself, by control. */
export type Gather = typeof gather;

function* gather(
  boxes: ViewBoxes,
  project: Project,
  screen: Control,
  { from, to, textScales = [1, 2], rightToLeft = false, mode, motions }: CheckOptions,
  // Of a trial only what is inside of boxes is worth keeping.
  remembered = new Remembered(rememberedWith(boxes).seen),
): Generator<CheckStep, Map<string, Gathered>, void> {
  const taken = new Map<string, AllTaken>();
  const controls = new Map([...walk(screen)].map((control) => [control.id, control]));
  const touch = touchBelow(project);
  for (const textScale of textScales)
    for (const orientation of ['portrait', 'landscape'] as const) {
      const height = orientation === 'portrait' ? uprightHeight : acrossHeight;
      const least = orientation === 'portrait' ? from : Math.max(from, acrossHeight + 1 / 64);
      const most = orientation === 'portrait' ? Math.min(to, uprightHeight) : to;
      if (least > most) continue;
      const sweep = { from: least, to: most, height, textScale, rightToLeft, mode, motions };
      for (const stretch of sweepLayouts(boxes, project, screen, sweep)) {
        const { from: start, to: end } = stretch;
        // Stretches end where bands begin, and with them where fingers are no longer counted on.
        const looking = { touch: end < touch, controls, rightToLeft };
        const where = { from: start, to: end, textScale, orientation };
        const take = (each: Measure) => takenOf(each, where);
        const conditions = `${textScale} ${orientation} ${looking.touch} ${mode ?? 'light'}`;
        for (const each of measure(stretch, looking, take, remembered.seen, conditions)) add(taken, each);
        yield 'stretch';
      }
    }
  const gathered = remembered.united(taken, unite);
  for (const [key, { where }] of gathered) if (where.length === 0) gathered.delete(key);
  return gathered;
}

function add(all: Map<string, AllTaken>, taken: Taken): void {
  const known = all.get(taken.key);
  if (known) known.push(taken);
  else all.set(taken.key, [taken]);
}

/** Less than this many px are left by rounding, where one measure ends and another begins; windows have whole widths. */
const sliver = 1 / 16;
/** How far apart widths may be that are told as one: a few narrow stretches are left out between others. CSS px. */
const apart = 1 / 4;
const canBeSeen = ({ from, to }: Interval): boolean => to - from >= sliver || Math.ceil(from) <= to;

/** Joins stretches of one finding that touch each other; stretches of the same conditions stand together. */
function unite(taken: AllTaken): Gathered {
  const { check, severity, control, other } = taken[0].measure;
  const where: Where[] = [];
  for (let begin = 0, end = 1; begin < taken.length; end++) {
    const first = itemAt(taken, begin).where;
    const next = taken[end]?.where;
    if (next?.textScale === first.textScale && next.orientation === first.orientation) continue;
    for (const interval of united(
      taken.slice(begin, end).map((each) => each.where),
      apart,
    ))
      if (canBeSeen(interval)) where.push({ ...first, ...interval });
    begin = end;
  }
  return { check, severity, control, other, where, worst: Math.max(...taken.map(worstOf)) };
}
