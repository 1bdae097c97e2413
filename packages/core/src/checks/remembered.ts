/** What a check remembers for the next one of the same screen. */
import { pathIn } from '../document/tree.ts';
import type { Control } from '../document/types.ts';
import type { ViewBoxes } from '../layout/view-boxes.ts';
import type { Fix } from '../why/explanation.ts';
import type { Finding, Where } from './finding.ts';
import { SeenBoxes } from './seen.ts';
import type { Taken } from './taken.ts';

/** Something that is wrong: on which widths, and how much at its worst. */
export interface Gathered extends Pick<Finding, 'check' | 'severity' | 'control' | 'other'> {
  readonly where: readonly Where[];
  readonly worst: number;
}

/** All that was taken for one finding. */
export type AllTaken = [Taken, ...Taken[]];

interface RememberedFixes {
  readonly figures: readonly unknown[];
  readonly around: readonly unknown[];
  readonly fixes: readonly Fix[];
}

export class Remembered {
  private fixes = new Map<string, RememberedFixes>();
  private findings = new Map<string, readonly [AllTaken, Gathered]>();

  /** @param seen what was found inside of boxes. */
  constructor(readonly seen = new SeenBoxes()) {}

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
    for (const key of this.fixes.keys()) if (!all.has(key)) this.fixes.delete(key);
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
