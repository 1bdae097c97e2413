/** Boxes that reach out of their container, or out of the screen. */

import type { Control } from '../document/types.ts';
import { edgeOf } from '../kinds/screen-bars.ts';
import type { ScreenBox } from '../layout/screen-layout.ts';
import { type Add, bottomOf, type Ended, isClear, negative, ownerOf, rightOf, thereIs } from './ended.ts';
import { type Ends, leeway } from './measures.ts';

/** Widths of the screen at the two ends. */
interface Widths {
  readonly from: number;
  readonly to: number;
}

/** How far something reaches out of the screen at its left and at its right, at both ends. */
function outBy({ start, end }: Ended, screen: Widths): readonly [left: Ends, right: Ends] {
  return [
    [-start.x - leeway, -end.x - leeway],
    [rightOf(start) - screen.from - leeway, rightOf(end) - screen.to - leeway],
  ];
}

/** Beyond the left or right edge of the screen; not where what it stands in is there, too. */
export function outside(add: Add, ended: Ended, screen: Widths): void {
  const { start, end } = ended;
  const isInside =
    Math.min(start.x, end.x) >= 0 && rightOf(start) <= screen.from && rightOf(end) <= screen.to;
  if (isInside) return;
  const around = outBy(ended.around!, screen);
  for (const [side, amount] of outBy(ended, screen).entries())
    if (!isClear(...amount))
      add({
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
export function beyond(add: Add, ended: Ended, control: Control, screen: Widths, scrolls: boolean): boolean {
  const { start, end } = ended;
  const around = ownerOf(ended.around!);
  const isInside = holds(around.start, start) && holds(around.end, end);
  if (isInside || around.start.control === undefined || !around.around) return false;
  if (edgeOf(control) !== undefined || ended.around!.start.box.content.type === 'pinboard') return false;
  // What scrolls has parts around its children that are as large as they are.
  for (let at = ended.around!; ; at = at.around!) {
    if (at.start.box.content.type === 'scroll') return false;
    if (at === around) break;
  }
  let isFound = false;
  const { margin } = start.box.style;
  const say = (check: string, least: number, amount: Ends, ...and: readonly Ends[]) => {
    if (least < 0 || isClear(...amount)) return;
    isFound = true;
    add({
      check,
      severity: 'error',
      control: start.control!,
      other: around.start.control,
      all: [amount, ...and, ...thereIs(ended)],
      amount,
    });
  };
  const by = (measured: (outer: ScreenBox, inner: ScreenBox) => number): Ends => [
    measured(around.start, start) - leeway,
    measured(around.end, end) - leeway,
  ];
  // What reaches out of the screen as well is said once.
  const [left, right] = scrolls ? [] : outBy(ended, screen).map((out) => negative(out));
  say(
    'too-wide',
    margin.start,
    by((outer, inner) => outer.x - inner.x),
    ...(left ? [left] : nothing),
  );
  say(
    'too-wide',
    margin.end,
    by((outer, inner) => rightOf(inner) - rightOf(outer)),
    ...(right ? [right] : nothing),
  );
  say(
    'too-high',
    margin.top,
    by((outer, inner) => outer.y - inner.y),
  );
  say(
    'too-high',
    margin.bottom,
    by((outer, inner) => bottomOf(inner) - bottomOf(outer)),
  );
  return isFound;
}

const nothing: readonly never[] = [];

/** Whether one box lies wholly in another. */
const holds = (outer: ScreenBox, inner: ScreenBox): boolean =>
  inner.x >= outer.x &&
  inner.y >= outer.y &&
  rightOf(inner) <= rightOf(outer) &&
  bottomOf(inner) <= bottomOf(outer);
