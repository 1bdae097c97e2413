/**
 * What a check remembers for the next one of the same screen. What stands where it stood, in the same surroundings, was
 * measured then; after a small change that is nearly everything.
 */
import { pathIn } from '../document/tree.ts';
import type { Control } from '../document/types.ts';
import type { ScreenBox, ScreenLayout } from '../layout/screen-layout.ts';
import type { ViewBoxes } from '../layout/view-boxes.ts';
import type { Fix } from '../why/explanation.ts';
import type { Finding, Where } from './finding.ts';
import type { Measure } from './measures.ts';
import type { Interval } from './stretches.ts';

/** Something that was found wrong on a part of a stretch of widths. */
export interface Taken {
  /** What it is about; see `findingKey`. */
  readonly key: string;
  readonly measure: Measure;
  readonly where: Where;
  readonly worst: number;
}

/** A stretch of widths as it was measured. */
export interface MeasuredStretch {
  readonly start: ScreenLayout;
  readonly end: ScreenLayout;
  readonly touch: boolean;
  /** What was found of each box. */
  readonly taken: readonly (readonly Taken[])[];
}

/** Most boxes that are remembered, over all stretches: beyond that they would take more room than they are worth. */
const mostBoxes = 400_000;

interface RememberedFixes {
  readonly figures: string;
  readonly around: readonly unknown[];
  readonly fixes: readonly Fix[];
}

/** Stretches by conditions and widths, layouts by conditions and width. */
class Known {
  readonly stretches = new Map<string, MeasuredStretch>();
  readonly layouts = new Map<string, ScreenLayout>();
}

export class Remembered {
  private known = new Known();
  private next = new Known();
  private boxes = 0;
  private fixes = new Map<string, RememberedFixes>();

  /** What is known of a stretch, in some conditions. */
  stretch(conditions: string, { from, to }: Interval): MeasuredStretch | undefined {
    return this.known.stretches.get(`${conditions} ${from} ${to}`);
  }

  /** The layout at an end of a stretch, by conditions and width. */
  layout(key: string): ScreenLayout | undefined {
    return this.known.layouts.get(key);
  }

  keep(conditions: string, { from, to }: Interval, stretch: MeasuredStretch): void {
    this.boxes += stretch.start.boxes.length;
    if (this.boxes > mostBoxes) return;
    this.next.stretches.set(`${conditions} ${from} ${to}`, stretch);
    this.next.layouts.set(`${conditions} ${from}`, stretch.start);
    this.next.layouts.set(`${conditions} ${to}`, stretch.end);
  }

  /** From now on, what was kept last is what is known. */
  turn(): void {
    this.known = this.next;
    this.next = new Known();
    this.boxes = 0;
  }

  /** The fixes of a finding: those from before where it and all around it are as they were. */
  fixesOf(
    screen: Control,
    key: string,
    finding: Pick<Finding, 'control' | 'where' | 'worst'>,
    seek: () => readonly Fix[],
  ): readonly Fix[] {
    const figures = JSON.stringify([finding.where, finding.worst]);
    const path = pathIn(screen, finding.control);
    const around = [...path.map(({ props }) => props), path.at(-2) ?? path.at(-1)];
    const known = this.fixes.get(key);
    const isSame =
      known?.figures === figures &&
      known.around.length === around.length &&
      known.around.every((each, index) => each === around[index]);
    if (isSame) return known.fixes;
    const fixes = seek();
    this.fixes.set(key, { figures, around, fixes });
    return fixes;
  }
}

const memories = new WeakMap<ViewBoxes, Remembered>();

/** What is remembered beside boxes that are kept from one check to the next. */
export function rememberedWith(boxes: ViewBoxes): Remembered {
  const known = memories.get(boxes);
  if (known) return known;
  const made = new Remembered();
  memories.set(boxes, made);
  return made;
}

/** Whether a box lies in the box around it as one did before, and is as large; across the screen, too. */
function liesAsBefore(now: ScreenLayout, before: ScreenLayout, index: number): boolean {
  const [one, other] = [now.boxes[index]!, before.boxes[index]!];
  if (one.x !== other.x || one.width !== other.width || one.height !== other.height) return false;
  if (one.parent !== other.parent || one.box.content.type !== other.box.content.type) return false;
  const down = (box: ScreenBox, layout: ScreenLayout) =>
    box.parent < 0 ? box.y : box.y - layout.boxes[box.parent]!.y;
  return Math.abs(down(one, now) - down(other, before)) < 1e-9;
}

/**
 * Which boxes of a layout are measured as they were before: the same boxes, in the same place inside of the controls
 * around them.
 */
export function measuredBefore(now: ScreenLayout, before: ScreenLayout): (index: number) => boolean {
  if (now.boxes.length !== before.boxes.length || now.width !== before.width) return () => false;
  const lies: boolean[] = [];
  /** Whether all lies as before from a box up to the control that it belongs to, and whether nothing scrolls otherwise. */
  const owner: boolean[] = [];
  const scroll: boolean[] = [];
  for (const [index, { parent, control, box }] of now.boxes.entries()) {
    const other = before.boxes[index]!;
    lies[index] = control === other.control && liesAsBefore(now, before, index);
    owner[index] = lies[index]! && (control !== undefined || parent < 0 || owner[parent]!);
    const isScroll = box.content.type === 'scroll' || other.box.content.type === 'scroll';
    scroll[index] =
      (parent < 0 || scroll[parent]!) && (!isScroll || box === other.box || sameAxis(box, other.box));
  }
  return (index) => {
    const { parent, box } = now.boxes[index]!;
    return (
      box === before.boxes[index]!.box && lies[index]! && (parent < 0 || (owner[parent]! && scroll[parent]!))
    );
  };
}

const sameAxis = (one: ScreenBox['box'], other: ScreenBox['box']): boolean =>
  one.content.type === 'scroll' && other.content.type === 'scroll' && one.content.axis === other.content.axis;
