/**
 * Aligning and spacing out controls. On a pinboard they are moved; in a row, a column or cells the property that lines
 * things up there is set, and the result says so.
 */

import { plainArrangement } from '../cascade/plain-values.ts';
import type { Placed } from '../document/tree.ts';
import { type Location, locate } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { mannerOf } from '../kinds/manner.ts';
import { outlineOf, type Rectangle } from '../layout/rectangle.ts';
import type { ScreenBox, ScreenLayout } from '../layout/screen-layout.ts';
import { entryOf, itemAt } from '../sure.ts';
import type { Step } from './step.ts';
import { topmost } from './wrap.ts';

export type AlignEdge = 'left' | 'center' | 'right' | 'top' | 'middle' | 'bottom';
/** What controls are lined up with. */
export type AlignTarget = 'each other' | 'the parent' | 'the screen';

/** A change, and in words what it sets where that is not a place. */
export interface Arranged {
  readonly steps: Step[];
  /** What was set in place of moving, one sentence each. */
  readonly said: string[];
}

type Axis = 'x' | 'y';
const axisOf = (edge: AlignEdge): Axis =>
  edge === 'left' || edge === 'center' || edge === 'right' ? 'x' : 'y';
/** 0 for the near edge, 0.5 for the middle, 1 for the far one. */
const part = (edge: AlignEdge) =>
  edge === 'left' || edge === 'top' ? 0 : edge === 'center' || edge === 'middle' ? 0.5 : 1;
/** The word that CSS Box Alignment 3 has for it. */
const wordFor = (edge: AlignEdge): string =>
  part(edge) === 0 ? 'start' : part(edge) === 1 ? 'end' : 'center';

/** The inside of a box: without border and padding. */
function contentOf(box: ScreenBox, rightToLeft: boolean): Rectangle {
  const { padding, border } = box.box.style;
  const left = rightToLeft ? padding.end + border.end : padding.start + border.start;
  const top = padding.top + border.top;
  return {
    x: box.x + left,
    y: box.y + top,
    width: box.width - left - padding.end - border.end,
    height: box.height - top - padding.bottom - border.bottom,
  };
}

const round = (value: number) => String(Number(value.toFixed(2)));

type Pin = 'left' | 'right' | 'center-x' | 'top' | 'bottom' | 'center-y';
const isAcross = (pin: Pin) => pin === 'left' || pin === 'right' || pin === 'center-x';

/**
 * Moves one pin of a control.
 *
 * @param by how far what it holds goes to the right or down, CSS px; it stays % where it is %.
 */
export function shiftPin(control: Control, pin: Pin, by: number, board: ScreenBox): Step {
  const { border } = board.box.style;
  const size = isAcross(pin)
    ? board.width - border.start - border.end
    : board.height - border.top - border.bottom;
  const text = inForce(control.props[pin]) ?? '0';
  const change = pin === 'right' || pin === 'bottom' ? -by : by;
  const value = text.endsWith('%')
    ? `${round(Number.parseFloat(text) + (change / size) * 100)}%`
    : round(Number(text) + change);
  return { type: 'set', control: control.id, property: pin, value };
}

/**
 * Moves a control on a pinboard along an axis, by the pins that it has.
 *
 * @param rightToLeft what no pin holds stands at the right then.
 */
export function shiftPins(
  control: Control,
  axis: Axis,
  by: number,
  board: ScreenBox,
  rightToLeft: boolean,
): Step[] {
  if (Math.abs(by) < 0.005) return [];
  const pins =
    axis === 'x' ? (['left', 'right', 'center-x'] as const) : (['top', 'bottom', 'center-y'] as const);
  const held = pins.filter((pin) => inForce(control.props[pin]) !== undefined);
  if (held.length === 0) {
    const { padding } = board.box.style;
    const fromRight = rightToLeft && axis === 'x';
    const from = axis === 'x' ? padding.start : padding.top;
    return [
      {
        type: 'set',
        control: control.id,
        property: pins[fromRight ? 1 : 0],
        value: round(from + (fromRight ? -by : by)),
      },
    ];
  }
  return held.map((pin) => shiftPin(control, pin, by, board));
}

/** The axis along which a container puts its children one after another; undefined in cells and on pinboards. */
export function mainAxisOf(parent: Control): Axis | undefined {
  if (mannerOf(kindOf(parent)).panes) return undefined;
  const arrangement = plainArrangement(parent);
  return arrangement === 'row' ? 'x' : arrangement === 'column' ? 'y' : undefined;
}

/** How controls are lined up. */
export interface Aligning {
  readonly edge: AlignEdge;
  readonly target: AlignTarget;
  /** On a pinboard: they are moved together, as far as their outline has to. */
  readonly asOne?: boolean;
}

/**
 * Lines controls up.
 *
 * @param layout of the screen that they are on; left to right.
 */
export function alignControls(
  project: Project,
  layout: ScreenLayout,
  ids: readonly string[],
  { edge, target, asOne = false }: Aligning,
): Arranged {
  const all = topmost(project, ids).flatMap((placed) => {
    const box = layout.byControl.get(placed.control.id);
    return box ? [{ ...placed, box }] : [];
  });
  const steps: Step[] = [];
  const said: string[] = [];
  if (all.length === 0) return { steps, said };
  const axis = axisOf(edge);
  const at = part(edge);
  const outline = outlineOf(all.map(({ box }) => box));
  const screen: Rectangle = { x: 0, y: 0, width: layout.width, height: layout.fullHeight };
  const size = axis === 'x' ? 'width' : 'height';
  const set = (placed: Placed, control: Control, property: string) => {
    const value = wordFor(edge);
    steps.push({ type: 'set', control: control.id, property, value });
    said.push(`${property} of ${nameOf(placed, control)} is ${value}`);
  };
  const justified = new Set<string>();
  for (const placed of all) {
    const { control, parent, box } = placed;
    const board = layout.byControl.get(parent.id);
    const main = mainAxisOf(parent);
    if (board && plainArrangement(parent) === 'pins') {
      const content = () => contentOf(board, layout.rightToLeft);
      const to = target === 'each other' ? outline : target === 'the parent' ? content() : screen;
      const moved = asOne ? outline : box;
      const by = to[axis] + (to[size] - moved[size]) * at - moved[axis];
      steps.push(...shiftPins(control, axis, by, board, layout.rightToLeft));
    } else if (main === axis) {
      if (!justified.has(parent.id)) set(placed, parent, 'justify');
      justified.add(parent.id);
    } else if (!mannerOf(kindOf(parent)).panes)
      set(placed, control, main === undefined && axis === 'x' ? 'justify-self' : 'align-self');
  }
  return { steps, said };
}

const nameOf = ({ screen }: Location, control: Control): string =>
  control.name ?? (control.id === screen.id ? 'the screen' : `the ${control.kind}`);

/**
 * Makes the room between controls the same, across or down.
 *
 * @returns nothing to do for fewer than three on a pinboard; in a row or column the container spreads its children.
 */
export function spaceOut(
  project: Project,
  layout: ScreenLayout,
  ids: readonly string[],
  axis: Axis,
): Arranged {
  const all = topmost(project, ids).filter(({ control }) => layout.byControl.has(control.id));
  const steps: Step[] = [];
  const said: string[] = [];
  const byParent = new Map<string, Placed[]>();
  for (const placed of all)
    byParent.set(placed.parent.id, [...(byParent.get(placed.parent.id) ?? []), placed]);
  for (const group of byParent.values()) {
    const { parent } = itemAt(group, 0);
    const board = layout.byControl.get(parent.id);
    if (board && plainArrangement(parent) === 'pins') {
      if (group.length < 3) continue;
      const size = axis === 'x' ? 'width' : 'height';
      const sorted = group
        .map(({ control }) => ({ control, box: entryOf(layout.byControl, control.id) }))
        .toSorted((a, b) => a.box[axis] - b.box[axis]);
      const first = itemAt(sorted, 0).box;
      const last = itemAt(sorted, -1).box;
      const room =
        last[axis] + last[size] - first[axis] - sorted.reduce((sum, { box }) => sum + box[size], 0);
      let to = first[axis];
      for (const { control, box } of sorted) {
        steps.push(...shiftPins(control, axis, to - box[axis], board, layout.rightToLeft));
        to += box[size] + room / (sorted.length - 1);
      }
    } else if (mainAxisOf(parent) === axis) {
      steps.push({ type: 'set', control: parent.id, property: 'justify', value: 'between' });
      said.push(`justify of ${nameOf(itemAt(group, 0), parent)} is between`);
    }
  }
  return { steps, said };
}

/** Gives controls the width or height that the first of them has. */
export function sameSize(
  project: Project,
  layout: ScreenLayout,
  ids: readonly string[],
  side: 'width' | 'height',
): Step[] {
  const [first, ...others] = ids.filter((id) => locate(project, id)?.parent && layout.byControl.has(id));
  if (first === undefined) return [];
  const value = round(entryOf(layout.byControl, first)[side]);
  return [first, ...others].map((control) => ({ type: 'set', control, property: side, value }));
}
