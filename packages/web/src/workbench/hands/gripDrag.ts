/** What becomes of a control while one of its grips is dragged. */
import { type Control, plainArrangement, type ScreenBox, type ScreenLayout, type Step } from '@hovrin/core';
import type { Point, Snapping } from './drop.ts';
import { keptUnit } from './keptUnits.ts';
import {
  equalShare,
  type Grip,
  type Held,
  limitsOf,
  type Resized,
  resizedTo,
  resizePinned,
  resizeSteps,
  siblingSizes,
  spanTo,
} from './resizing.ts';

/** A grip that is held: the control before, its box and the layout that they are of. */
export interface GripDrag extends Held {
  readonly grip: Grip;
  readonly layout: ScreenLayout;
  /** Names of the controls of its screen. */
  readonly names: ReadonlyMap<string, string>;
}

/**
 * How sizes are rounded; `toTracks`: whether the edge at the end of a grid's item counts tracks; `toPx`: whether px is made of
 * what has another unit.
 */
export interface GripSnapping extends Snapping {
  readonly toTracks: boolean;
  readonly toPx: boolean;
}

/** The steps that a drag comes to, and the new size in words. */
export interface Dragged {
  readonly steps: Step[];
  readonly words: string;
}

/** @param by how far the pointer has gone since the grip was taken, CSS px of the screen. */
export function draggedBy(drag: GripDrag, parent: Control, by: Point, snapping: GripSnapping): Dragged {
  const around = drag.layout.byControl.get(parent.id);
  const steps: Step[] = [];
  const said: string[] = [];
  for (const [side, edge, way] of [
    ['width', drag.grip.x, by.x],
    ['height', drag.grip.y, by.y],
  ] as const) {
    if (edge === 0 || !around) continue;
    const sized = sizedBy(drag, { parent, around, side, edge, growth: edge * way }, snapping);
    steps.push(...sized.steps);
    said.push(sized.words);
  }
  return { steps, words: said.join(' × ') };
}

interface EdgeDrag {
  readonly parent: Control;
  readonly around: ScreenBox;
  readonly side: 'width' | 'height';
  readonly edge: -1 | 1;
  /** CSS px. */
  readonly growth: number;
}

function sizedBy(drag: GripDrag, edgeDrag: EdgeDrag, snapping: GripSnapping): Dragged {
  const { control, box, layout, names } = drag;
  const { parent, around, side, edge, growth } = edgeDrag;
  const arrangement = plainArrangement(parent);
  const span =
    arrangement === 'cells' && snapping.toTracks
      ? spanTo(drag, around, side, endOf(drag, edgeDrag) + growth, layout.rightToLeft)
      : undefined;
  if (span) {
    const value = span.count === 1 ? null : String(span.count);
    const track = side === 'width' ? 'column' : 'row';
    return {
      steps: [{ type: 'set', control: control.id, property: span.property, value }],
      words: `${span.count} ${track}${span.count === 1 ? '' : 's'}`,
    };
  }
  const kept =
    snapping.toPx || arrangement === 'pins'
      ? undefined
      : keptUnit(drag, parent, layout, side, box[side] + growth, snapping.on);
  if (kept) return kept;
  const siblings = siblingSizes(parent, control, layout, side, (id) => names.get(id) ?? '');
  const resized = resizedTo(box[side] + growth, siblings, limitsOf(control, side), snapping);
  return {
    steps:
      arrangement === 'pins'
        ? resizePinned(drag, { side, edge, size: resized.value }, around, layout.rightToLeft)
        : resizeSteps(control, side, resized),
    words: sizeWords(resized),
  };
}

/** Distance from the container's start or top edge to a control's far edge, CSS px. */
function endOf({ box, layout }: GripDrag, { around, side }: EdgeDrag): number {
  if (side === 'height') return box.y + box.height - around.y;
  return layout.rightToLeft ? around.x + around.width - box.x : box.x + box.width - around.x;
}

function sizeWords({ value, like }: Resized): string {
  const size = String(Math.round(value * 100) / 100);
  if (like === undefined) return size;
  return like === equalShare ? `${size}, ${like}` : `${size} like ${like}`;
}
