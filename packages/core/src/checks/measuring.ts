/** Measures a screen box by box: its words, what reaches out of what, what lies over each other, what is too small. */
import type { Control } from '../document/types.ts';
import { inForce } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Box } from '../layout/box.ts';
import type { Laid } from '../layout/laid.ts';
import { PlacedBox, type ScreenBox, type ScreenLayout } from '../layout/screen-layout.ts';
import type { CheckName, Severity } from './finding.ts';
import { type Ends, kindTarget, leastTarget, leeway, longestLine, type Measure } from './measures.ts';
import { moved, nowhere, type Reach, type Seeing, type Seen, type SeenBoxes, united } from './seen.ts';
import type { Taken } from './taken.ts';

/** What decides about measures besides the layout. */
export interface Looking {
  /** Whether fingers press here. */
  readonly touch: boolean;
  readonly controls: ReadonlyMap<string, Control>;
  readonly rightToLeft: boolean;
  /** Ids of the controls that are looked into, those around them included; absent: all. */
  readonly only?: ReadonlySet<string>;
}

/** Kinds that are pressed as a whole. */
const pressed = new Set(['button', 'iconButton', 'menuButton', 'link', 'checkbox', 'switch']);

/** A number at or below this is clearly not above 0: what is so at both ends is not worth a measure. */
const clearly = -0.5;
const isClear = (start: number, end: number): boolean => start <= clearly && end <= clearly;

const nothing: readonly never[] = [];

/** All that may be wrong with a layout, at its one width. */
export function measuresOf(layout: ScreenLayout, looking: Omit<Looking, 'rightToLeft'>): Measure[] {
  const { root, width, rightToLeft } = layout;
  const found: Measure[] = [];
  const take = (measure: Measure): readonly never[] => {
    found.push(measure);
    return nothing;
  };
  const screen = { start: root, end: root, from: width, to: width };
  new Measuring(screen, { ...looking, rightToLeft }, take).all();
  return found;
}

/** A screen at the two ends of a stretch of widths: both layouts have the same boxes in the same order. */
export interface Stretched {
  readonly start: Laid;
  readonly end: Laid;
  readonly from: number;
  readonly to: number;
}

/**
 * Measures a stretch of widths by the layouts at its two ends.
 *
 * @param take says what is wrong by a measure, and where.
 * @param seen what is known of what is inside of boxes, and is not looked into again; what is found is added.
 * @param conditions all else that `take` depends on.
 */
export const measure = (
  screen: Stretched,
  looking: Looking,
  take: (measure: Measure) => readonly Taken[],
  seen: SeenBoxes,
  conditions: string,
): readonly Taken[] => new Measuring(screen, looking, take, seen, conditions).all();

/** A box at the two ends of a stretch, and the one around it. */
interface Ended {
  readonly start: ScreenBox;
  readonly end: ScreenBox;
  readonly around: Ended | undefined;
}

/** What was found of a box and in it. */
interface Found {
  /** Whether it is in order wherever the box around it stands, as long as all of it is on the screen. */
  readonly isTidy: boolean;
  /** How far its controls reach, from the screen's start side. */
  readonly start: Reach;
  readonly end: Reach;
}

const empty: Found = { isTidy: true, start: nowhere, end: nowhere };

/** Most boxes are well, so numbers are compared before anything is made of them. */
class Measuring {
  private readonly taken: Taken[] = [];
  private readonly aside: string;

  constructor(
    private readonly screen: Stretched,
    private readonly looking: Looking,
    private readonly take: (measure: Measure) => readonly Taken[],
    private readonly seen?: SeenBoxes,
    private readonly conditions = '',
  ) {
    this.aside = `${conditions} aside`;
  }

  all(): readonly Taken[] {
    const { start, end, from, to } = this.screen;
    const at = (laid: Laid, width: number) => new PlacedBox(laid, this.sided(0, laid.width, width), 0, -1);
    this.visit({ start: at(start, from), end: at(end, to), around: undefined }, start, end, false);
    return this.taken;
  }

  /** From a place from the start side to one from the left, and back. */
  private sided(x: number, width: number, screen: number): number {
    return this.looking.rightToLeft ? screen - x - width : x;
  }

  private add(measured: Measure): void {
    for (const each of this.take(measured)) this.taken.push(each);
  }

  /**
   * Measures a box and all in it.
   *
   * @param scrolls whether something around it scrolls across, so that it may lie outside of the screen.
   */
  private visit(ended: Ended, start: Laid, end: Laid, scrolls: boolean): Found {
    const { looking, screen } = this;
    const { box } = start;
    // Repeated items are like each other: one finding each would say the same again and again.
    if (box.items.some((item) => item !== 0)) return empty;
    const control = box.control === undefined ? undefined : looking.controls.get(box.control);
    let isTidy = true;
    if (control && ended.around) {
      if (!scrolls) this.outside(ended);
      isTidy = !this.beyond(ended, control, scrolls);
    }
    // A part in a control may hold other controls, and what those reach out of is around it.
    if (box.control === undefined) return this.within(ended, start, end, control, scrolls);
    const seeing: Seeing = {
      start,
      end,
      startX: this.startOf(ended.start, screen.from),
      endX: this.startOf(ended.end, screen.to),
      from: screen.from,
      to: screen.to,
      conditions: scrolls ? this.aside : this.conditions,
      touch: looking.touch,
    };
    const inside = this.inside(seeing, ended, control, scrolls);
    const { startX, endX } = seeing;
    return {
      isTidy: isTidy && inside.isTidy,
      start: united({ low: startX, high: startX + start.width }, moved(inside.reach[0], startX)),
      end: united({ low: endX, high: endX + end.width }, moved(inside.reach[1], endX)),
    };
  }

  /** What is inside of a control, as it is known or is found now. */
  private inside(
    seeing: Seeing,
    ended: Ended,
    control: Control | undefined,
    scrolls: boolean,
  ): Omit<Seen, 'taken'> {
    const { taken, seen } = this;
    const known = seen?.of(seeing);
    if (known && (scrolls || known.taken.length > 0 || this.isOnScreen(known, seeing))) {
      for (const each of known.taken) taken.push(each);
      return known;
    }
    const before = taken.length;
    const { isTidy, start, end } = this.within(
      ended,
      seeing.start,
      seeing.end,
      control,
      scrolls || isScrollAcross(seeing.start.box),
    );
    const found: Seen = {
      isTidy,
      taken: taken.length > before ? taken.slice(before) : nothing,
      reach: [moved(start, -seeing.startX), moved(end, -seeing.endX)],
    };
    if (!known) seen?.keep(seeing, found);
    return found;
  }

  /** Measures what a box is by itself, and all in it. */
  private within(
    ended: Ended,
    start: Laid,
    end: Laid,
    control: Control | undefined,
    scrolls: boolean,
  ): Found {
    const { screen, taken } = this;
    const before = taken.length;
    if (start.lines.length > 0) this.words(ended);
    const parts = start.children.map(
      (child, index): Ended => ({
        start: this.placed(child, start.places, index, ended.start, screen.from),
        end: this.placed(end.children[index]!, end.places, index, ended.end, screen.to),
        around: ended,
      }),
    );
    if (control) {
      if (pressed.has(control.kind)) this.target(ended, control);
      if (control.kind !== 'layers' && kindOf(control).container) this.overlaps(ended, parts);
    }
    const { only } = this.looking;
    let found: Found = taken.length > before ? { ...empty, isTidy: false } : empty;
    for (const [index, part] of parts.entries()) {
      if (only && part.start.control !== undefined && !only.has(part.start.control)) continue;
      const inside = this.visit(part, start.children[index]!, end.children[index]!, scrolls);
      if (inside === empty) continue;
      found = {
        isTidy: found.isTidy && inside.isTidy,
        start: united(found.start, inside.start),
        end: united(found.end, inside.end),
      };
    }
    return found;
  }

  /** Where a box begins, from the start side of the screen. */
  private startOf({ x, width }: ScreenBox, screen: number): number {
    return this.sided(x, width, screen);
  }

  private placed(
    child: Laid,
    places: readonly number[],
    index: number,
    around: ScreenBox,
    screen: number,
  ): ScreenBox {
    const x = this.startOf(around, screen) + places[2 * index]!;
    return new PlacedBox(child, this.sided(x, child.width, screen), around.y + places[2 * index + 1]!, -1);
  }

  private isOnScreen({ reach: [start, end] }: Seen, { startX, endX, from, to }: Seeing): boolean {
    return (
      startX + start.low >= 0 && endX + end.low >= 0 && startX + start.high <= from && endX + end.high <= to
    );
  }

  /** How far something reaches out of the screen at its left and at its right, at both ends. */
  private outBy({ start, end }: Omit<Ended, 'around'>): readonly [left: Ends, right: Ends] {
    return [
      [-start.x - leeway, -end.x - leeway],
      [rightOf(start) - this.screen.from - leeway, rightOf(end) - this.screen.to - leeway],
    ];
  }

  /** Beyond the left or right edge of the screen; not where what it stands in is there, too. */
  private outside(ended: Ended): void {
    const { start, end } = ended;
    const isInside =
      Math.min(start.x, end.x) >= 0 && rightOf(start) <= this.screen.from && rightOf(end) <= this.screen.to;
    if (isInside) return;
    const around = this.outBy(ended.around!);
    for (const [side, amount] of this.outBy(ended).entries())
      if (!isClear(...amount))
        this.add({
          check: 'off-screen',
          severity: 'error',
          control: start.control!,
          other: undefined,
          all: [amount, negative(around[side]!), ...thereIs(ended)],
          amount,
        });
  }

  /**
   * Beyond what it stands in, where that is no scroll, no pinboard, and no negative margin says so.
   *
   * @returns whether it may be, wherever the two of them stand.
   */
  private beyond(ended: Ended, control: Control, scrolls: boolean): boolean {
    const { start, end } = ended;
    const around = ownerOf(ended.around!);
    const isInside = holds(around.start, start) && holds(around.end, end);
    if (isInside || around.start.control === undefined || !around.around) return false;
    if (control.kind === 'bar' || ended.around!.start.box.content.type === 'pinboard') return false;
    // What scrolls has parts around its children that are as large as they are.
    for (let at = ended.around!; ; at = at.around!) {
      if (at.start.box.content.type === 'scroll') return false;
      if (at === around) break;
    }
    let isFound = false;
    const { margin } = start.box.style;
    const add = (check: CheckName, least: number, amount: Ends, ...and: readonly Ends[]) => {
      if (least < 0 || isClear(...amount)) return;
      isFound = true;
      this.add({
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
    return isFound;
  }

  /** Children over each other. */
  private overlaps({ start: container }: Ended, parts: readonly Ended[]): void {
    const inside = parts.filter(({ start }) => start.control !== undefined);
    // What stands in a row or column comes one after another, unless a margin pulls something out of its place.
    if (container.box.content.type === 'flex' && !inside.some(({ start }) => isPulled(start))) return;
    // Pairs that may lie over each other at one end of the stretch, or on the way from one to the other.
    const reaches = inside.map(reachOf).toSorted((a, b) => a.top - b.top || a.index - b.index);
    for (const [at, one] of reaches.entries())
      for (let next = at + 1; next < reaches.length; next++) {
        const other = reaches[next]!;
        if (other.top >= one.bottom) break;
        if (other.left >= one.right || one.left >= other.right) continue;
        const [a, b] = one.index < other.index ? [one, other] : [other, one];
        this.overlap(container, a.ended, b.ended);
      }
  }

  /** Words: wider than their box, cut, too long to read. */
  private words(ended: Ended): void {
    const { start, end } = ended;
    const { content, style } = start.box;
    const { control } = ownerOf(ended).start;
    if (content.type !== 'text' || control === undefined) return;
    const { padding, border } = style;
    const aside = padding.start + padding.end + border.start + border.end;
    const above = padding.top + padding.bottom + border.top + border.bottom;
    const add = (check: CheckName, severity: Severity, amount: Ends) => {
      if (isClear(...amount)) return;
      this.add({ check, severity, control, other: undefined, all: [amount], amount });
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

  private target({ start, end }: Ended, control: Control): void {
    const add = (severity: Severity, amount: Ends, ...all: readonly Ends[]) => {
      if (isClear(...amount)) return;
      this.add({
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
      if (this.looking.touch && control.kind !== 'link' && control.kind !== 'checkbox')
        add('advice', [kindTarget - a, kindTarget - b], [a - leastTarget, b - leastTarget]);
    }
  }

  /** One child over another: what says so itself is meant. */
  private overlap(container: ScreenBox, a: Ended, b: Ended): void {
    const isMeant = (box: ScreenBox) => {
      const props = this.looking.controls.get(box.control!)?.props ?? {};
      return isPulled(box) || (inForce(props.col) !== undefined && inForce(props.row) !== undefined);
    };
    if (a.start.control === b.start.control || isMeant(a.start) || isMeant(b.start)) return;
    const by = (measured: (one: ScreenBox, other: ScreenBox) => number): Ends => [
      measured(a.start, b.start),
      measured(a.end, b.end),
    ];
    const all = [
      by((one, other) => rightOf(one) - other.x - leeway),
      by((one, other) => rightOf(other) - one.x - leeway),
      by((one, other) => bottomOf(one) - other.y - leeway),
      by((one, other) => bottomOf(other) - one.y - leeway),
    ];
    const least = (end: 0 | 1) => Math.min(...all.map((ends) => ends[end])) + leeway;
    this.add({
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

/** The control that a box belongs to: its own, or the nearest around it. */
function ownerOf(ended: Ended): Ended {
  let at = ended;
  while (at.start.control === undefined && at.around) at = at.around;
  return at;
}

const isScrollAcross = ({ content }: Box): boolean =>
  content.type === 'scroll' && content.axis !== 'vertical';

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

/** Whether a margin pulls something over its neighbours. */
function isPulled({ box }: ScreenBox): boolean {
  const { top, end, bottom, start } = box.style.margin;
  return top < 0 || end < 0 || bottom < 0 || start < 0;
}

/** Where a box lies on its way from one end of a stretch to the other. */
const reachOf = (ended: Ended, index: number) => {
  const { start: a, end: b } = ended;
  return {
    index,
    ended,
    left: Math.min(a.x, b.x),
    right: Math.max(rightOf(a), rightOf(b)),
    top: Math.min(a.y, b.y),
    bottom: Math.max(bottomOf(a), bottomOf(b)),
  };
};
