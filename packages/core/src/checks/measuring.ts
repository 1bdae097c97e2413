/** Measures a screen box by box. */

import { plainArrangement } from '../cascade/plain-values.ts';
import type { Control } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Box } from '../layout/box.ts';
import type { Laid } from '../layout/laid.ts';
import { PlacedBox, type ScreenBox, type ScreenLayout } from '../layout/screen-layout.ts';
import { numberAt } from '../sure.ts';
import { checks } from './catalogue/index.ts';
import type { Ended } from './ended.ts';
import type { Measure } from './measures.ts';
import { overlaps } from './overlaps.ts';
import { beyond, outside } from './reaching-out.ts';
import { moved, nowhere, type Reach, type Seeing, type Seen, type SeenBoxes, united } from './seen.ts';
import type { Taken } from './taken.ts';
import { words } from './words.ts';

/** What decides about measures besides the layout. */
export interface Looking {
  /** Whether fingers press here. */
  readonly touch: boolean;
  readonly controls: ReadonlyMap<string, Control>;
  readonly rightToLeft: boolean;
  /** Ids of the controls that are looked into, those around them included; absent: all. */
  readonly only?: ReadonlySet<string>;
}

/** Checks that look at boxes one by one. */
const boxChecks = checks.flatMap(({ measure: measured }) => measured ?? []);

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
 * @param seen findings inside of boxes from before, whose insides are not looked into again; new ones are added.
 * @param conditions all else that `take` depends on.
 */
export const measure = (
  screen: Stretched,
  looking: Looking,
  take: (measure: Measure) => readonly Taken[],
  seen: SeenBoxes,
  conditions: string,
): readonly Taken[] => new Measuring(screen, looking, take, seen, conditions).all();

/** What was found of a box and in it. */
interface Found {
  /** Whether it is in order wherever the box around it stands, as long as all of it is on the screen. */
  readonly isTidy: boolean;
  /** How far its controls reach, from the screen's start side. */
  readonly start: Reach;
  readonly end: Reach;
}

const empty: Found = { isTidy: true, start: nowhere, end: nowhere };

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

  private readonly add = (measured: Measure): void => {
    for (const each of this.take(measured)) this.taken.push(each);
  };

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
      if (!scrolls) outside(this.add, ended, screen);
      isTidy = !beyond(this.add, ended, control, screen, scrolls);
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
    const { isTidy, start, end } = this.within(ended, seeing.start, seeing.end, control, scrolls);
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
    if (start.lines.length > 0) words(this.add, ended);
    const parts = start.children.map(
      (child, index): Ended => ({
        start: this.placed(child, start.places, index, ended.start, screen.from),
        end: this.placed(end.children[index]!, end.places, index, ended.end, screen.to),
        around: ended,
      }),
    );
    if (control) {
      for (const measured of boxChecks) measured(this.add, ended, control, this.looking);
      if (kindOf(control).container && plainArrangement(control) !== 'layers')
        overlaps(this.add, ended, parts, this.looking.controls);
    }
    const { only } = this.looking;
    const isAside = isScrollAcross(start.box);
    let found: Found = taken.length > before ? { ...empty, isTidy: false } : empty;
    for (const [index, part] of parts.entries()) {
      if (only && part.start.control !== undefined && !only.has(part.start.control)) continue;
      const inside = this.visit(part, start.children[index]!, end.children[index]!, scrolls || isAside);
      if (inside === empty) continue;
      const isTidy = found.isTidy && inside.isTidy;
      // What scrolls across may reach anywhere.
      if (isAside) found = { ...found, isTidy };
      else
        found = {
          isTidy,
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
    const x = this.startOf(around, screen) + numberAt(places, 2 * index);
    return new PlacedBox(
      child,
      this.sided(x, child.width, screen),
      around.y + numberAt(places, 2 * index + 1),
      -1,
    );
  }

  private isOnScreen({ reach: [start, end] }: Seen, { startX, endX, from, to }: Seeing): boolean {
    return (
      startX + start.low >= 0 && endX + end.low >= 0 && startX + start.high <= from && endX + end.high <= to
    );
  }
}

const isScrollAcross = ({ content }: Box): boolean =>
  content.type === 'scroll' && content.axis !== 'vertical';
