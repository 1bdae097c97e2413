/**
 * The checks of a laid-out screen, as measures: numbers that move linearly with the width wherever the layout does, and
 * that are positive where something is wrong. So a stretch of widths needs to be measured at its two ends only.
 */
import type { Control } from '../document/types.ts';
import { inForce } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { ScreenBox, ScreenLayout } from '../layout/screen-layout.ts';
import type { CheckName, Severity } from './finding.ts';

/** A number at the two ends of a stretch of widths; linear between them. */
export type Ends = readonly [start: number, end: number];

/** One thing that may be wrong somewhere on a stretch of widths. */
export interface Measure {
  readonly check: CheckName;
  readonly severity: Severity;
  readonly control: string;
  readonly other: string | undefined;
  /** It is wrong where all of these are above 0. */
  readonly all: readonly Ends[];
  /** But not where all of these are, too. */
  readonly unlessAll?: readonly Ends[];
  /** How much it is, in px or characters; of the numbers above or what they follow from. */
  readonly amount: Ends;
}

/** What decides about measures besides the layout. */
export interface Looking {
  /** Whether fingers press here. */
  readonly touch: boolean;
  readonly controls: ReadonlyMap<string, Control>;
  /** Ids of the controls that are asked about; absent: all. What overlaps is asked of what it stands in. */
  readonly only?: ReadonlySet<string>;
}

/** How far something may stand out unnoticed, CSS px; rounding to 64ths included. */
export const leeway = 0.5;
/** The least side of what is pressed, CSS px (WCAG 2.2, 2.5.8 Target Size (Minimum)). */
export const leastTarget = 24;
/** The side that fingers find without looking, CSS px (WCAG 2.2, 2.5.5 Target Size (Enhanced)). */
export const kindTarget = 44;
/** Characters of the longest line that reads well (WCAG 2.2, 1.4.8 Visual Presentation). */
export const longestLine = 80;

/** Kinds that are pressed as a whole. */
const pressed = new Set(['button', 'iconButton', 'menuButton', 'link', 'checkbox', 'switch']);

/** A number at or below this is clearly not above 0: what is so at both ends is not worth a measure. */
const clearly = -0.5;
const isClear = (start: number, end: number): boolean => start <= clearly && end <= clearly;

const nothing: readonly never[] = [];

/** All that may be wrong with a layout, at its one width. */
export function measuresOf(layout: ScreenLayout, looking: Looking): Measure[] {
  const measuring = new Measuring(layout, layout, looking);
  return layout.boxes.flatMap((_, index) => measuring.of(index));
}

/** Whether a measure says that something is wrong at the beginning of its stretch. */
export const isWrong = ({ all, unlessAll }: Measure): boolean =>
  all.every(([value]) => value > 0) && !(unlessAll?.every(([value]) => value > 0) ?? false);

/** A box at the two ends of a stretch. */
interface Ended {
  readonly start: ScreenBox;
  readonly end: ScreenBox;
}

/**
 * Measures a stretch of widths box by box, by the layouts at its two ends. They have the same boxes in the same order.
 * Most boxes are well, so numbers are compared before anything is made of them.
 */
export class Measuring {
  constructor(
    private readonly start: ScreenLayout,
    private readonly end: ScreenLayout,
    private readonly looking: Looking,
  ) {}

  /** What may be wrong with one box, by its index. */
  of(index: number): readonly Measure[] {
    const { start, looking } = this;
    const box = start.boxes[index]!;
    if (looking.only && !looking.only.has(start.boxes[ownerOf(start, index)]!.control ?? '')) return nothing;
    const found: Measure[] = [];
    const ended = { start: box, end: this.end.boxes[index]! };
    if (box.lines.length > 0) {
      const owner = start.boxes[ownerOf(start, index)]!;
      if (owner.control !== undefined && owner.items.every((item) => item === 0))
        words(found, ended, owner.control);
    }
    // Repeated items are like each other: one finding each would say the same again and again.
    if (box.control === undefined || box.items.some((item) => item !== 0)) return found;
    const control = looking.controls.get(box.control);
    if (!control) return found;
    if (box.parent >= 0) {
      const scrolls = isScrolledAcross(start, index);
      if (!scrolls) this.outside(found, ended);
      this.beyond(found, ended, control, scrolls);
    }
    if (pressed.has(control.kind)) target(found, ended, control, looking);
    if (control.kind !== 'layers' && kindOf(control).container) this.overlaps(found, index);
    return found;
  }

  /** How far something reaches out of the screen at its left and at its right, at both ends. */
  private outBy({ start, end }: Ended): readonly [left: Ends, right: Ends] {
    return [
      [-start.x - leeway, -end.x - leeway],
      [rightOf(start) - this.start.width - leeway, rightOf(end) - this.end.width - leeway],
    ];
  }

  /** Beyond the left or right edge of the screen; not where what it stands in is there, too. */
  private outside(found: Measure[], ended: Ended): void {
    const { start, end } = ended;
    const isInside =
      Math.min(start.x, end.x) >= 0 && rightOf(start) <= this.start.width && rightOf(end) <= this.end.width;
    if (isInside) return;
    const around = this.outBy({ start: this.start.boxes[start.parent]!, end: this.end.boxes[end.parent]! });
    for (const [side, amount] of this.outBy(ended).entries())
      if (!isClear(...amount))
        found.push({
          check: 'off-screen',
          severity: 'error',
          control: start.control!,
          other: undefined,
          all: [amount, negative(around[side]!), ...thereIs(ended)],
          amount,
        });
  }

  /** Beyond what it stands in, where that is no scroll, no pinboard, and no negative margin says so. */
  private beyond(found: Measure[], ended: Ended, control: Control, scrolls: boolean): void {
    const { start, end } = ended;
    const { boxes } = this.start;
    const owner = ownerOf(this.start, start.parent);
    const around = { start: boxes[owner]!, end: this.end.boxes[owner]! };
    const isInside = holds(around.start, start) && holds(around.end, end);
    if (isInside || around.start.control === undefined || around.start.parent < 0) return;
    if (control.kind === 'bar' || boxes[start.parent]!.box.content.type === 'pinboard') return;
    // What scrolls has parts around its children that are as large as they are.
    for (let at = start.parent; ; at = boxes[at]!.parent) {
      if (boxes[at]!.box.content.type === 'scroll') return;
      if (at === owner) break;
    }
    const { margin } = start.box.style;
    const add = (check: CheckName, least: number, amount: Ends, ...and: readonly Ends[]) => {
      if (least < 0 || isClear(...amount)) return;
      found.push({
        check,
        severity: 'error',
        control: start.control!,
        other: around.start.control,
        all: [amount, ...and, ...thereIs(ended)],
        amount,
      });
    };
    const by = (measure: (outer: ScreenBox, inner: ScreenBox) => number): Ends => [
      measure(around.start, start) - leeway,
      measure(around.end, end) - leeway,
    ];
    // What reaches out of the screen as well is said once.
    const [left, right] = scrolls ? [] : this.outBy(ended).map((out) => negative(out));
    add(
      'too-wide',
      margin.start,
      by((outer, inner) => outer.x - inner.x),
      ...(left ? [left] : nothing),
    );
    add(
      'too-wide',
      margin.end,
      by((outer, inner) => rightOf(inner) - rightOf(outer)),
      ...(right ? [right] : nothing),
    );
    add(
      'too-high',
      margin.top,
      by((outer, inner) => outer.y - inner.y),
    );
    add(
      'too-high',
      margin.bottom,
      by((outer, inner) => bottomOf(inner) - bottomOf(outer)),
    );
  }

  /** Children over each other. */
  private overlaps(found: Measure[], index: number): void {
    const { start, end } = this;
    const container = start.boxes[index]!;
    const inside: number[] = [];
    for (let at = index + 1; at < start.ends[index]!; at = start.ends[at]!)
      if (start.boxes[at]!.control !== undefined) inside.push(at);
    // What stands in a row or column comes one after another, unless a margin pulls something out of its place.
    if (container.box.content.type === 'flex' && !inside.some((at) => isPulled(start.boxes[at]!))) return;
    // Pairs that may lie over each other at one end of the stretch, or on the way from one to the other.
    const reaches = inside
      .map((at) => reachOf(at, start.boxes[at]!, end.boxes[at]!))
      .toSorted((a, b) => a.top - b.top || a.index - b.index);
    for (const [at, one] of reaches.entries())
      for (let next = at + 1; next < reaches.length; next++) {
        const other = reaches[next]!;
        if (other.top >= one.bottom) break;
        if (other.left >= one.right || one.left >= other.right) continue;
        const [a, b] = [Math.min(one.index, other.index), Math.max(one.index, other.index)];
        const ended = (which: number) => ({ start: start.boxes[which]!, end: end.boxes[which]! });
        overlap(found, container, ended(a), ended(b), this.looking);
      }
  }
}

const rightOf = ({ x, width }: ScreenBox): number => x + width;
const bottomOf = ({ y, height }: ScreenBox): number => y + height;
const negative = ([start, end]: Ends): Ends => [-start, -end];

/** Whether one box lies wholly in another. */
const holds = (outer: ScreenBox, inner: ScreenBox): boolean =>
  inner.x >= outer.x &&
  inner.y >= outer.y &&
  rightOf(inner) <= rightOf(outer) &&
  bottomOf(inner) <= bottomOf(outer);

/** What is nowhere larger than nothing cannot be seen. */
const thereIs = ({ start, end }: Ended): readonly Ends[] => [
  [start.width - 1 / 64, end.width - 1 / 64],
  [start.height - 1 / 64, end.height - 1 / 64],
];

/** Index of the box of the control that a box belongs to: its own, or that of the nearest box around it. */
function ownerOf({ boxes }: ScreenLayout, index: number): number {
  let at = index;
  while (boxes[at]!.control === undefined && boxes[at]!.parent >= 0) at = boxes[at]!.parent;
  return at;
}

/** Whether something around a box scrolls across, so that it may lie outside of the screen. */
function isScrolledAcross({ boxes }: ScreenLayout, index: number): boolean {
  for (let around = boxes[index]!.parent; around >= 0; around = boxes[around]!.parent) {
    const { content } = boxes[around]!.box;
    if (content.type === 'scroll' && content.axis !== 'vertical') return true;
  }
  return false;
}

/** Width of the widest line. */
function widestOf({ lines }: ScreenBox): number {
  let widest = 0;
  for (const { width } of lines) widest = Math.max(widest, width);
  return widest;
}

/** Characters of the longest line. */
function longestOf({ lines }: ScreenBox): number {
  let longest = 0;
  // Letters that take two units are counted where it matters.
  for (const { text } of lines)
    longest = Math.max(longest, text.length > longestLine ? [...text].length : text.length);
  return longest;
}

/** Words: wider than their box, cut, too long to read. */
function words(found: Measure[], { start, end }: Ended, control: string): void {
  const { content, style } = start.box;
  if (content.type !== 'text') return;
  const { padding, border } = style;
  const aside = padding.start + padding.end + border.start + border.end;
  const above = padding.top + padding.bottom + border.top + border.bottom;
  const add = (check: CheckName, severity: Severity, amount: Ends) => {
    if (isClear(...amount)) return;
    found.push({ check, severity, control, other: undefined, all: [amount], amount });
  };
  const wide = (box: ScreenBox) => widestOf(box) - (box.width - aside) - leeway;
  add('too-wide', 'error', [wide(start), wide(end)]);
  const high = (box: ScreenBox) =>
    box.lines.length * content.paragraphs.lineHeight - (box.height - above) - leeway;
  add('too-high', 'error', [high(start), high(end)]);
  const { most } = content;
  if (most !== undefined) {
    const cut = (box: ScreenBox) =>
      content.paragraphs.set(Math.max(0, box.width - aside)).lines.length - most;
    add('cut', 'warning', [cut(start), cut(end)]);
  }
  add('long-line', 'warning', [longestOf(start) - longestLine, longestOf(end) - longestLine]);
}

function target(found: Measure[], { start, end }: Ended, control: Control, { touch }: Looking): void {
  const add = (severity: Severity, amount: Ends, ...all: readonly Ends[]) => {
    if (isClear(...amount)) return;
    found.push({
      check: 'small-target',
      severity,
      control: control.id,
      other: undefined,
      all: [[amount[0] - 1 / 64, amount[1] - 1 / 64], ...all],
      amount,
    });
  };
  for (const side of ['width', 'height'] as const) {
    const [a, b] = [start[side], end[side]];
    add('error', [leastTarget - a, leastTarget - b]);
    // Fields and lists of many stand apart from each other enough; buttons are what fingers aim at.
    if (touch && control.kind !== 'link' && control.kind !== 'checkbox')
      add('advice', [kindTarget - a, kindTarget - b], [a - leastTarget, b - leastTarget]);
  }
}

/** Whether a margin pulls something over its neighbours. */
function isPulled({ box }: ScreenBox): boolean {
  const { top, end, bottom, start } = box.style.margin;
  return top < 0 || end < 0 || bottom < 0 || start < 0;
}

/** Where a box lies on its way from one end of a stretch to the other. */
const reachOf = (index: number, a: ScreenBox, b: ScreenBox) => ({
  index,
  left: Math.min(a.x, b.x),
  right: Math.max(rightOf(a), rightOf(b)),
  top: Math.min(a.y, b.y),
  bottom: Math.max(bottomOf(a), bottomOf(b)),
});

/** One child over another: what says so itself is meant. */
function overlap(found: Measure[], container: ScreenBox, a: Ended, b: Ended, { controls }: Looking): void {
  const isMeant = (box: ScreenBox) => {
    const props = controls.get(box.control!)?.props ?? {};
    return isPulled(box) || (inForce(props.col) !== undefined && inForce(props.row) !== undefined);
  };
  if (a.start.control === b.start.control || isMeant(a.start) || isMeant(b.start)) return;
  const by = (measure: (one: ScreenBox, other: ScreenBox) => number): Ends => [
    measure(a.start, b.start),
    measure(a.end, b.end),
  ];
  const all = [
    by((one, other) => rightOf(one) - other.x - leeway),
    by((one, other) => rightOf(other) - one.x - leeway),
    by((one, other) => bottomOf(one) - other.y - leeway),
    by((one, other) => bottomOf(other) - one.y - leeway),
  ];
  const least = (end: 0 | 1) => Math.min(...all.map((ends) => ends[end])) + leeway;
  found.push({
    check: 'overlap',
    severity: 'error',
    control: b.start.control!,
    other: a.start.control,
    all: [...all, ...thereIs(a), ...thereIs(b)],
    // On a pinboard a later one that lies wholly on another is put there: a badge on a card.
    ...(container.box.content.type === 'pinboard'
      ? {
          unlessAll: [
            by((one, other) => other.x - one.x + 1 / 64),
            by((one, other) => rightOf(one) - rightOf(other) + 1 / 64),
            by((one, other) => other.y - one.y + 1 / 64),
            by((one, other) => bottomOf(one) - bottomOf(other) + 1 / 64),
          ],
        }
      : {}),
    amount: [least(0), least(1)],
  });
}
