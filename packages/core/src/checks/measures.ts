/**
 * The checks of a laid-out screen, as measures: numbers that move linearly with the width wherever the layout does, and
 * that are positive where something is wrong. So a stretch of widths needs to be measured at its two ends only.
 */
import type { Control } from '../document/types.ts';
import { inForce } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { ScreenBox, ScreenLayout } from '../layout/screen-layout.ts';
import type { CheckName, Severity } from './finding.ts';

/** One thing that may be wrong at a width. */
export interface Measure {
  readonly check: CheckName;
  readonly severity: Severity;
  readonly control: string;
  readonly other: string | undefined;
  /** It is wrong where all of these are above 0. */
  readonly all: readonly number[];
  /** But not where all of these are, too. */
  readonly unlessAll?: readonly number[];
  /** How much it is, in px or characters; of the numbers above or what they follow from. */
  readonly amount: number;
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

/** All measures of a layout; the same ones in the same order wherever its boxes are the same. */
export function measuresOf(layout: ScreenLayout, looking: Looking): Measure[] {
  const measuring = new Measuring(layout, looking);
  return layout.boxes.flatMap((_, index) => measuring.of(index));
}

/** Measures a layout box by box. */
export class Measuring {
  /**
   * @param layout what is measured.
   * @param otherEnd the layout at the other end of the stretch; it decides, too, which boxes may come together.
   */
  constructor(
    private readonly layout: ScreenLayout,
    private readonly looking: Looking,
    private readonly otherEnd = layout,
  ) {}

  /** Whether something around a box scrolls across, so that it may lie outside of the screen. */
  private scrolls(index: number): boolean {
    const { boxes } = this.layout;
    for (let around = boxes[index]!.parent; around >= 0; around = boxes[around]!.parent) {
      const { content } = boxes[around]!.box;
      if (content.type === 'scroll' && content.axis !== 'vertical') return true;
    }
    return false;
  }

  /** Indices of the boxes in a box. */
  private children(index: number): number[] {
    const { ends } = this.layout;
    const found: number[] = [];
    for (let at = index + 1; at < ends[index]!; at = ends[at]!) found.push(at);
    return found;
  }

  /** Measures of one box, by its index. */
  of(index: number): Measure[] {
    const { layout, looking } = this;
    const box = layout.boxes[index]!;
    const found: Measure[] = [];
    if (looking.only && !looking.only.has(ownerOf(layout, box).control ?? '')) return found;
    words(found, layout, box);
    // Repeated items are like each other: one finding each would say the same again and again.
    if (box.control === undefined || box.items.some((item) => item !== 0)) return found;
    const control = looking.controls.get(box.control);
    if (!control) return found;
    if (box.parent >= 0) {
      const scrolls = this.scrolls(index);
      outside(found, layout, box, scrolls);
      beyond(found, layout, box, control, scrolls);
    }
    target(found, box, control, looking);
    if (control.kind !== 'layers' && kindOf(control).container)
      for (const [one, other] of this.near(this.children(index)))
        overlap(found, box, layout.boxes[one]!, layout.boxes[other]!, looking);
    return found;
  }

  /** Pairs of boxes that may lie over each other at one end of the stretch, or on the way from one to the other. */
  private near(indices: readonly number[]): [number, number][] {
    const reach = indices.flatMap((index) => {
      const [a, b] = [this.layout.boxes[index]!, this.otherEnd.boxes[index]!];
      if (a.control === undefined) return [];
      return {
        index,
        left: Math.min(a.x, b.x),
        right: Math.max(a.x + a.width, b.x + b.width),
        top: Math.min(a.y, b.y),
        bottom: Math.max(a.y + a.height, b.y + b.height),
      };
    });
    const pairs: [number, number][] = [];
    const sorted = reach.toSorted((a, b) => a.top - b.top || a.index - b.index);
    for (const [at, one] of sorted.entries())
      for (let next = at + 1; next < sorted.length; next++) {
        const other = sorted[next]!;
        if (other.top >= one.bottom) break;
        if (other.left < one.right && one.left < other.right)
          pairs.push(one.index < other.index ? [one.index, other.index] : [other.index, one.index]);
      }
    return pairs;
  }
}

/** What is nowhere larger than nothing cannot be seen. */
const thereIs = ({ width, height }: ScreenBox): readonly number[] => [width - 1 / 64, height - 1 / 64];

/** The control that a box belongs to: its own, or that of the nearest box around it. */
function ownerOf(layout: ScreenLayout, box: ScreenBox): ScreenBox {
  let at = box;
  while (at.control === undefined && at.parent >= 0) at = layout.boxes[at.parent]!;
  return at;
}

/** Words: wider than their box, cut, too long to read. */
function words(found: Measure[], layout: ScreenLayout, box: ScreenBox): void {
  const { content, style } = box.box;
  if (content.type !== 'text' || box.lines.length === 0) return;
  const owner = ownerOf(layout, box);
  if (owner.control === undefined || owner.items.some((item) => item > 0)) return;
  const add = (check: CheckName, severity: Severity, amount: number, all = [amount]) =>
    found.push({ check, severity, control: owner.control!, other: undefined, all, amount });
  const room = box.width - style.padding.start - style.padding.end - style.border.start - style.border.end;
  const widest = Math.max(...box.lines.map(({ width }) => width));
  add('too-wide', 'error', widest - room - leeway);
  const high = box.lines.length * content.paragraphs.lineHeight;
  const inner =
    box.height - style.padding.top - style.padding.bottom - style.border.top - style.border.bottom;
  add('too-high', 'error', high - inner - leeway);
  if (content.most !== undefined) {
    const all = content.paragraphs.set(Math.max(0, room)).lines.length;
    add('cut', 'warning', all - content.most);
  }
  // Letters that take two units are counted where it matters.
  const longest = Math.max(
    ...box.lines.map(({ text }) => (text.length > longestLine ? [...text].length : text.length)),
  );
  add('long-line', 'warning', longest - longestLine);
}

/** How far a box reaches out of the screen: at its left, at its right. */
const outBy = (layout: ScreenLayout, { x, width }: ScreenBox): readonly [number, number] => [
  -x - leeway,
  x + width - layout.width - leeway,
];

/** Beyond the left or right edge of the screen; not where what it stands in is there, too. */
function outside(found: Measure[], layout: ScreenLayout, box: ScreenBox, scrolls: boolean): void {
  if (scrolls) return;
  const around = outBy(layout, layout.boxes[box.parent]!);
  for (const [side, amount] of outBy(layout, box).entries())
    found.push({
      check: 'off-screen',
      severity: 'error',
      control: box.control!,
      other: undefined,
      all: [amount, -around[side]!, ...thereIs(box)],
      amount,
    });
}

/** Beyond what it stands in, where that is no scroll, no pinboard, and no negative margin says so. */
function beyond(
  found: Measure[],
  layout: ScreenLayout,
  box: ScreenBox,
  control: Control,
  scrolls: boolean,
): void {
  const around = ownerOf(layout, layout.boxes[box.parent]!);
  const direct = layout.boxes[box.parent]!;
  const { type } = direct.box.content;
  if (around.control === undefined || around.parent < 0 || type === 'pinboard') return;
  // What scrolls has parts around its children that are as large as they are.
  for (let at = direct; ; at = layout.boxes[at.parent]!) {
    if (at.box.content.type === 'scroll') return;
    if (at === around) break;
  }
  if (control.kind === 'bar') return;
  const { margin } = box.box.style;
  const add = (check: CheckName, amount: number, ...and: readonly number[]) =>
    found.push({
      check,
      severity: 'error',
      control: box.control!,
      other: around.control,
      all: [amount, ...and, ...thereIs(box)],
      amount,
    });
  // What reaches out of the screen as well is said once.
  const [left, right] = scrolls ? [-1, -1] : outBy(layout, box);
  if (margin.start >= 0) add('too-wide', around.x - box.x - leeway, -left);
  if (margin.end >= 0) add('too-wide', box.x + box.width - around.x - around.width - leeway, -right);
  if (margin.top >= 0) add('too-high', around.y - box.y - leeway);
  if (margin.bottom >= 0) add('too-high', box.y + box.height - around.y - around.height - leeway);
}

function target(found: Measure[], box: ScreenBox, control: Control, { touch }: Looking): void {
  if (!pressed.has(control.kind)) return;
  for (const side of [box.width, box.height]) {
    found.push({
      check: 'small-target',
      severity: 'error',
      control: box.control!,
      other: undefined,
      all: [leastTarget - side - 1 / 64],
      amount: leastTarget - side,
    });
    // Fields and lists of many stand apart from each other enough; buttons are what fingers aim at.
    if (touch && control.kind !== 'link' && control.kind !== 'checkbox')
      found.push({
        check: 'small-target',
        severity: 'advice',
        control: box.control!,
        other: undefined,
        all: [kindTarget - side - 1 / 64, side - leastTarget],
        amount: kindTarget - side,
      });
  }
}

/** One child over another: what says so itself is meant. */
function overlap(
  found: Measure[],
  container: ScreenBox,
  a: ScreenBox,
  b: ScreenBox,
  { controls }: Looking,
): void {
  const explicit = (box: ScreenBox) => {
    const props = controls.get(box.control!)?.props ?? {};
    const { top, end, bottom, start } = box.box.style.margin;
    return (
      Math.min(top, end, bottom, start) < 0 ||
      (inForce(props.col) !== undefined && inForce(props.row) !== undefined)
    );
  };
  if (a.control === b.control || explicit(a) || explicit(b)) return;
  const all = [
    a.x + a.width - b.x - leeway,
    b.x + b.width - a.x - leeway,
    a.y + a.height - b.y - leeway,
    b.y + b.height - a.y - leeway,
  ];
  const holds = (outer: ScreenBox, inner: ScreenBox) => [
    inner.x - outer.x + 1 / 64,
    outer.x + outer.width - inner.x - inner.width + 1 / 64,
    inner.y - outer.y + 1 / 64,
    outer.y + outer.height - inner.y - inner.height + 1 / 64,
  ];
  found.push({
    check: 'overlap',
    severity: 'error',
    control: b.control!,
    other: a.control,
    all: [...all, ...thereIs(a), ...thereIs(b)],
    // On a pinboard a later one that lies wholly on another is put there: a badge on a card.
    ...(container.box.content.type === 'pinboard' ? { unlessAll: holds(a, b) } : {}),
    amount: Math.min(...all) + leeway,
  });
}

/** Whether a measure says that something is wrong. */
export const isWrong = ({ all, unlessAll }: Measure): boolean =>
  all.every((value) => value > 0) && !(unlessAll?.every((value) => value > 0) ?? false);
