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

/** Something that is wrong: on which widths, and how much at its worst. */
export interface Gathered extends Pick<Finding, 'check' | 'severity' | 'control' | 'other'> {
  readonly where: readonly Where[];
  readonly worst: number;
}

/** All that was taken for one finding. */
export type AllTaken = [Taken, ...Taken[]];

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
  readonly figures: readonly unknown[];
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
  private findings = new Map<string, readonly [AllTaken, Gathered]>();

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

  /** What was taken for each finding, as one: the same object where it is the same as before. */
  united(all: ReadonlyMap<string, AllTaken>, unite: (taken: AllTaken) => Gathered): Map<string, Gathered> {
    const before = this.findings;
    this.findings = new Map();
    const united = new Map<string, Gathered>();
    for (const [key, taken] of all) {
      const known = before.get(key);
      const gathered = known && isSame(known[0], taken) ? known[1] : kept(known?.[1], unite(taken));
      this.findings.set(key, [taken, gathered]);
      united.set(key, gathered);
    }
    return united;
  }

  /** The fixes of a finding: those from before where it and all around it are as they were. */
  fixesOf(
    screen: Control,
    key: string,
    finding: Pick<Finding, 'control' | 'where' | 'worst'>,
    seek: () => readonly Fix[],
  ): readonly Fix[] {
    const figures = [finding.where, finding.worst];
    const path = pathIn(screen, finding.control);
    const around = [...path.map(({ props }) => props), path.at(-2) ?? path.at(-1)];
    const known = this.fixes.get(key);
    if (known && isSame(known.figures, figures) && isSame(known.around, around)) return known.fixes;
    const fixes = seek();
    this.fixes.set(key, { figures, around, fixes });
    return fixes;
  }
}

/** What was gathered before, where that says the same: what follows from it is known. */
function kept(before: Gathered | undefined, now: Gathered): Gathered {
  const isSaid =
    before !== undefined &&
    before.worst === now.worst &&
    before.where.length === now.where.length &&
    before.where.every((where, index) => isWhere(where, now.where[index]!));
  return isSaid ? before : now;
}

const isWhere = (one: Where, other: Where): boolean =>
  one.from === other.from &&
  one.to === other.to &&
  one.textScale === other.textScale &&
  one.orientation === other.orientation;

const isSame = (one: readonly unknown[], other: readonly unknown[]): boolean =>
  one.length === other.length && one.every((each, index) => each === other[index]);

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
  if (one !== other) {
    if (one.x !== other.x || one.width !== other.width || one.height !== other.height) return false;
    if (one.parent !== other.parent || one.box.content.type !== other.box.content.type) return false;
  }
  const { parent } = one;
  if (parent < 0) return Math.abs(one.y - other.y) < 1e-9;
  const down = one.y - now.boxes[parent]!.y;
  return Math.abs(down - (other.y - before.boxes[parent]!.y)) < 1e-9;
}

/** All lies as before from a box up to the control that it belongs to, as a bit. */
const owner = 1;
/** Nothing around it scrolls otherwise. */
const scroll = 2;

/** A layout held against one from before, box by box: parents before children, whole subtrees left out at will. */
class Held {
  private readonly known: Uint8Array;

  constructor(
    private readonly now: ScreenLayout,
    private readonly before: ScreenLayout,
  ) {
    this.known = new Uint8Array(now.boxes.length);
  }

  /** Whether a box and all in it are measured as before: what is the same object was neither laid out anew nor moved. */
  isWhole(index: number): boolean {
    const box = this.now.boxes[index]!;
    return box === this.before.boxes[index] && this.isAround(box.parent);
  }

  /** Whether a box is measured as before: the same one, in the same place inside of the controls around it. */
  look(index: number): boolean {
    const { now, before, known } = this;
    const { parent, control, box } = now.boxes[index]!;
    const other = before.boxes[index]!;
    const around = parent < 0 ? owner | scroll : known[parent]!;
    const isSame = control === other.control && liesAsBefore(now, before, index);
    const isOwner = isSame && (control !== undefined || (around & owner) !== 0);
    const isScroll =
      (around & scroll) !== 0 &&
      (box === other.box ||
        (box.content.type !== 'scroll' && other.box.content.type !== 'scroll') ||
        sameAxis(box, other.box));
    known[index] = (isOwner ? owner : 0) | (isScroll ? scroll : 0);
    return isSame && box === other.box && this.isAround(parent);
  }

  private isAround(parent: number): boolean {
    const wanted = owner | scroll;
    return parent < 0 || (this.known[parent]! & wanted) === wanted;
  }
}

/** @returns undefined where the layouts have too little in common. */
export const heldAgainst = (now: ScreenLayout, before: ScreenLayout): Held | undefined =>
  now.boxes.length === before.boxes.length && now.width === before.width ? new Held(now, before) : undefined;

const sameAxis = (one: ScreenBox['box'], other: ScreenBox['box']): boolean =>
  one.content.type === 'scroll' && other.content.type === 'scroll' && one.content.axis === other.content.axis;
