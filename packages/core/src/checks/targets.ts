/** What is too small to be pressed. */
import type { Control } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { type Add, type Ended, isClear } from './ended.ts';
import type { Severity } from './finding.ts';
import { type Ends, kindTarget, leastTarget } from './measures.ts';

/** @param touch whether fingers press here. */
export function target(add: Add, { start, end }: Ended, control: Control, touch: boolean): void {
  const { target: wanted } = kindOf(control);
  if (!wanted) return;
  const say = (severity: Severity, amount: Ends, ...all: readonly Ends[]) => {
    if (isClear(...amount)) return;
    add({
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
    say('error', [leastTarget - a, leastTarget - b]);
    // Fields and lists of many stand apart from each other enough; buttons are what fingers aim at.
    if (touch && wanted === 'ample')
      say('advice', [kindTarget - a, kindTarget - b], [a - leastTarget, b - leastTarget]);
  }
}
