/**
 * At which widths two versions of a screen differ at all. Between two changes of the one or the other every box moves linearly
 * (`sweep/sweep.ts`), so that it is enough to compare where the stretches of both begin and end: what is alike at both ends
 * is alike between them.
 */
import type { Control, Project } from '../document/types.ts';
import type { Laid } from '../layout/laid.ts';
import { ViewBoxes } from '../layout/view-boxes.ts';
import { namesOn } from '../reuse/names.ts';
import { numbersOf } from '../sweep/stretch.ts';
import { type StretchLayouts, type SweepOptions, sweepLayouts } from '../sweep/sweep.ts';
import type { Shaper } from '../text/shaper.ts';

/** Widths, both included, at which something differs. CSS px. */
export interface DifferingWidths {
  readonly from: number;
  readonly to: number;
}

/** How far a box is from where it was. */
export interface Movement {
  readonly control: string;
  /** The greatest difference of its edges, CSS px. */
  readonly by: number;
  /** A width at which that is so. */
  readonly at: number;
}

export interface WidthsCompared {
  readonly widths: readonly DifferingWidths[];
  /** Boxes that move or have another size somewhere, the farthest first. */
  readonly moved: readonly Movement[];
}

/** Differences of a box that nobody sees, CSS px: layouts keep lengths in 64ths. */
const alike = 1 / 32;

/** A box of a layout: what it is, how it looks, and where its numbers stand. */
interface Part {
  readonly key: string;
  readonly look: string;
}

/** A stretch of one version, with what is asked of it. */
interface Swept {
  readonly from: number;
  readonly to: number;
  readonly parts: readonly Part[];
  readonly start: Float64Array;
  readonly end: Float64Array;
}

/** The boxes of a layout in a row: parents before children, each told apart by its control's name and its turn there. */
function partsOf(laid: Laid, nameOf: (id: string) => string): Part[] {
  const turns = new Map<string, number>();
  const parts: Part[] = [];
  const visit = ({ box, children, lines }: Laid, around: string) => {
    const own = box.control === undefined ? around : `${nameOf(box.control)}[${box.items.join()}]`;
    const turn = turns.get(own) ?? 0;
    turns.set(own, turn + 1);
    const words = lines?.map((line) => line.text).join('\n') ?? '';
    parts.push({ key: `${own}/${turn}`, look: JSON.stringify([box.look, words]) });
    for (const child of children) visit(child, own);
  };
  visit(laid, '');
  return parts;
}

function swept(stretch: StretchLayouts, nameOf: (id: string) => string): Swept {
  const parts = partsOf(stretch.start, nameOf);
  const numbers = (width: number, laid: Laid) => numbersOf({ width, laid }, parts.length, false);
  return {
    from: stretch.from,
    to: stretch.to,
    parts,
    start: numbers(stretch.from, stretch.start),
    end: numbers(stretch.to, stretch.end),
  };
}

/** A number of a stretch at a width within it. */
function numberAt({ from, to, start, end }: Swept, index: number, width: number): number {
  const part = to > from ? (width - from) / (to - from) : 0;
  return start[index]! * (1 - part) + end[index]! * part;
}

/** Compares two stretches at a width of both. @returns whether they differ there. */
function differsAt(one: Swept, other: Swept, width: number, moved: Map<string, Movement>): boolean {
  let differs = one.parts.length !== other.parts.length;
  const places = new Map(other.parts.map(({ key }, index) => [key, index]));
  for (const [index, { key, look }] of one.parts.entries()) {
    const place = places.get(key);
    if (place === undefined) {
      differs = true;
      continue;
    }
    if (other.parts[place]!.look !== look) differs = true;
    const edges = (of: Swept, at: number) => {
      const [x, y] = [numberAt(of, 4 * at, width), numberAt(of, 4 * at + 1, width)];
      return [x, y, x + numberAt(of, 4 * at + 2, width), y + numberAt(of, 4 * at + 3, width)];
    };
    const [before, after] = [edges(one, index), edges(other, place)];
    const by = Math.max(...before.map((edge, side) => Math.abs(edge - after[side]!)));
    if (by <= alike) continue;
    differs = true;
    const control = key.replace(/\/\d+$/, '').replace(/\[\]$/, '');
    if (control !== '' && by > (moved.get(control)?.by ?? 0)) moved.set(control, { control, by, at: width });
  }
  return differs;
}

/** A version of a screen. */
export interface ScreenVersion {
  readonly project: Project;
  readonly screen: Control;
}

/** @param options the widths that are gone through, and the height of the view. */
export function compareWidths(
  shaper: Shaper,
  before: ScreenVersion,
  after: ScreenVersion,
  options: SweepOptions,
): WidthsCompared {
  const stretchesOf = ({ project, screen }: ScreenVersion) => {
    const names = namesOn(project, screen);
    const nameOf = (id: string) => names.get(id) ?? id;
    return [...sweepLayouts(new ViewBoxes(shaper), project, screen, options)].map((each) =>
      swept(each, nameOf),
    );
  };
  const [old, now] = [stretchesOf(before), stretchesOf(after)];
  const moved = new Map<string, Movement>();
  const found: { from: number; to: number }[] = [];
  let [one, other] = [0, 0];
  while (old[one] && now[other]) {
    const [a, b] = [old[one]!, now[other]!];
    const [from, to] = [Math.max(a.from, b.from), Math.min(a.to, b.to)];
    if (from <= to) {
      const differs = [from, to].map((width) => differsAt(a, b, width, moved)).includes(true);
      const last = found.at(-1);
      if (differs && last && from - last.to <= 1) last.to = to;
      else if (differs) found.push({ from, to });
    }
    if (a.to <= b.to) one++;
    if (b.to <= a.to) other++;
  }
  return {
    widths: found,
    moved: [...moved.values()].toSorted((a, b) => b.by - a.by),
  };
}
