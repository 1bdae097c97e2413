/** A pinboard whose controls are arranged: where each was placed, and what it says of its own size. */
import { propertyOf } from '../cascade/attributes.ts';
import { effectiveNames, freshName } from '../document/names.ts';
import { type Control, inForce } from '../document/types.ts';
import type { Rectangle } from '../layout/rectangle.ts';
import type { Placed, Structure } from './structure.ts';

/** What a control says of its size and place in the container that it gets into. */
export type Props = Record<string, string>;

/** A length in whole px, as source has it. */
export const tidy = (value: number): string => String(Math.round(value));

export const middle = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

/** The gaps between areas that follow each other along an axis, CSS px; negative where they overlap. */
export const gapsBetween = (areas: readonly Rectangle[], axis: 'x' | 'y'): number[] => {
  const size = axis === 'x' ? 'width' : 'height';
  return areas.slice(1).map((next, index) => {
    const before = areas[index] ?? next;
    return next[axis] - before[axis] - before[size];
  });
};

/** One gap for all, where they nearly are the same; else the least: what is more is said by margins or tracks. */
export function gapOf(gaps: readonly number[], noise: number): number {
  if (gaps.length === 0) return 0;
  const usual = middle(gaps);
  const regular = gaps.every((each) => Math.abs(each - usual) <= 2 * noise);
  return Math.max(0, Math.round(regular ? usual : Math.min(...gaps)));
}

const pinNames = ['left', 'right', 'top', 'bottom', 'center-x', 'center-y'];
const pinsAlong = { width: ['left', 'right'], height: ['top', 'bottom'] } as const;

/** A control without what held it on the pinboard. */
export const freed = (control: Control): Control => ({
  ...control,
  props: Object.fromEntries(
    Object.entries(control.props).filter(([name]) => !pinNames.includes(propertyOf(name))),
  ),
});

export class Board {
  /** What was guessed, a sentence each. */
  readonly guesses: string[] = [];
  private readonly names: Set<string>;
  private readonly controls: ReadonlyMap<string, Control>;
  private readonly byId: ReadonlyMap<string, Placed>;
  /** Where the members of heaps lie in them. */
  private readonly heapPins = new Map<string, Props>();

  /**
   * @param placed the children that are arranged, where they lie.
   * @param noise how far edges that are meant to be equal may differ, CSS px.
   */
  constructor(
    board: Control,
    screen: Control,
    placed: readonly Placed[],
    readonly noise: number,
    private readonly newId: () => string,
  ) {
    this.names = new Set(effectiveNames(screen).values());
    this.controls = new Map(board.children.map((child) => [child.id, child]));
    this.byId = new Map(placed.map((each) => [each.id, each]));
  }

  /** Whether two lengths are meant to be equal. */
  equal(a: number, b: number): boolean {
    return Math.abs(a - b) <= this.noise;
  }

  /** @throws Error where no child of the board has that id. */
  control(id: string): Control {
    const control = this.controls.get(id);
    if (!control) throw new Error(`No control ${id} on the board`);
    return control;
  }

  placed(id: string): Placed | undefined {
    return this.byId.get(id);
  }

  /** The control of a part that is one. */
  leaf(part: Structure): Control | undefined {
    return part.type === 'leaf' ? this.control(part.id) : undefined;
  }

  /** Whether a part is a control that has a size of its own, as a property, rather than one by content. */
  owns(part: Structure, side: 'width' | 'height'): boolean {
    const props = this.leaf(part)?.props;
    return props !== undefined && inForce(props[side]) !== undefined;
  }

  /** Whether a part is a control that has a size of its own or one between two pins. */
  sized(part: Structure, side: 'width' | 'height'): boolean {
    const props = this.leaf(part)?.props;
    if (!props) return false;
    return this.owns(part, side) || pinsAlong[side].every((pin) => inForce(props[pin]) !== undefined);
  }

  /** Remembers where the members of a heap lie in it. */
  keepPins({ area, ids }: Structure & { type: 'heap' }): void {
    for (const id of ids) {
      const placed = this.byId.get(id);
      if (placed) this.heapPins.set(id, { left: tidy(placed.x - area.x), top: tidy(placed.y - area.y) });
    }
  }

  pinsInHeap(id: string): Props {
    return this.heapPins.get(id) ?? {};
  }

  /** A new container under a name that is free. */
  container(kind: string, props: Props, children: readonly Control[]): Control {
    const name = freshName(kind, (candidate) => this.names.has(candidate));
    this.names.add(name);
    return { id: this.newId(), kind, name, props, children };
  }
}
