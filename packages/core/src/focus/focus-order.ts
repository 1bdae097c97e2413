/**
 * The order in which a screen's controls take the focus (HTML §6.6.3, WCAG 2.2, 2.4.3 Focus Order): that of the tree,
 * unless turns are given.
 */

import { repetitionOf } from '../cascade/repetition.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { barsOf, hasBars } from '../kinds/screen-bars.ts';
import type { ScreenLayout } from '../layout/screen-layout.ts';
import type { Step } from '../steps/step.ts';
import { itemAt } from '../sure.ts';

/** One stop on the way through a screen. */
export interface FocusStop {
  /** A control that takes the focus, or a repeat: its items are gone through one after another. */
  readonly control: Control;
  /** The controls that take the focus: the control itself, or those inside the repeat. */
  readonly takers: readonly Control[];
  /** Undefined: as the tree has it. */
  readonly turn: number | undefined;
}

const takesFocus = (control: Control): boolean =>
  kindOf(control).properties.some(({ name }) => name === 'tabindex');

function turnOf(control: Control): number | undefined {
  const text = inForce(control.props.tabindex);
  return text === undefined ? undefined : Number(text);
}

/** Children in the order of the page's elements: bars stand around the rest of their screen. */
function inPageOrder({ children }: Control): readonly Control[] {
  if (!hasBars(children)) return children;
  const { top, start, rest, end, bottom } = barsOf(children);
  return [...top, ...start, ...rest, ...end.toReversed(), ...bottom.toReversed()].map((index) =>
    itemAt(children, index),
  );
}

/** The stops in the order of the tree. */
function stopsIn(control: Control): FocusStop[] {
  if (repetitionOf(control)) {
    const takers = [...walk(control)].filter(takesFocus);
    const turns = takers.flatMap((taker) => turnOf(taker) ?? []);
    return takers.length > 0
      ? [{ control, takers, turn: turns.length > 0 ? Math.min(...turns) : undefined }]
      : [];
  }
  const own = takesFocus(control) ? [{ control, takers: [control], turn: turnOf(control) }] : [];
  return [...own, ...inPageOrder(control).flatMap(stopsIn)];
}

/** All stops of a screen, first to last. */
export function focusOrder(screen: Control): FocusStop[] {
  return stopsIn(screen).toSorted((a, b) => (a.turn ?? Infinity) - (b.turn ?? Infinity) || 0);
}

/** Whether anything on a screen has a turn of its own. */
export const hasFocusTurns = (screen: Control): boolean =>
  stopsIn(screen).some(({ turn }) => turn !== undefined);

/**
 * Puts the stops of a screen into an order.
 *
 * @param order ids of the stops' controls; those left out keep their order behind them.
 * @returns steps that number all stops, or that take all numbers away where the order is that of the tree.
 */
export function focusOrderSteps(screen: Control, order: readonly string[]): Step[] {
  const inTree = stopsIn(screen);
  const place = (stop: FocusStop) => {
    const at = order.indexOf(stop.control.id);
    return at < 0 ? order.length : at;
  };
  const wanted = focusOrder(screen).toSorted((a, b) => place(a) - place(b));
  const plain = wanted.every((stop, index) => stop.control.id === itemAt(inTree, index).control.id);
  return wanted.flatMap((stop, index) =>
    stop.takers.flatMap((taker): Step[] => {
      const value = plain ? null : String(index + 1);
      return (inForce(taker.props.tabindex) ?? null) === value
        ? []
        : [{ type: 'set', control: taker.id, property: 'tabindex', value }];
    }),
  );
}

/**
 * The stops at which the focus jumps back against the reading order: to something above that is not beside what came
 * before, or on the same line to something in front of it.
 *
 * @returns ids of the stops' controls.
 */
export function focusJumps(
  stops: readonly FocusStop[],
  layout: ScreenLayout,
  rightToLeft = false,
): ReadonlySet<string> {
  const jumps = new Set<string>();
  let before: { start: number; end: number; top: number; bottom: number } | undefined;
  for (const { control } of stops) {
    const box = layout.byControl.get(control.id);
    if (!box || box.width <= 0 || box.height <= 0) continue;
    const { x, y, width, height } = box;
    const at = {
      start: rightToLeft ? layout.width - x - width : x,
      end: rightToLeft ? layout.width - x : x + width,
      top: y,
      bottom: y + height,
    };
    if (before) {
      const above = at.bottom <= before.top && at.start < before.end;
      const level = at.top < before.bottom && before.top < at.bottom;
      if (above || (level && at.end <= before.start)) jumps.add(control.id);
    }
    before = at;
  }
  return jumps;
}
