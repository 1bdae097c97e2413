/** What changes at a width of a sweep, and why. */

import type { StyleSet } from '../document/style-set.ts';
import type { Control } from '../document/types.ts';
import type { Decision } from '../layout/differences.ts';
import type { Topic } from '../layout/record.ts';
import { unit } from '../text/units.ts';
import { clampedSizesOf, textSizeAt } from '../values/text-size.ts';

/** Why something changes its behaviour at a width. */
export interface Cause {
  readonly question: Topic | 'band' | 'size';
  /** Id of the control that it is about; undefined for a part or a band. */
  readonly control: string | undefined;
  /** How it came out below and above: the number that was compared, less its limit where it has one. */
  readonly before: number;
  readonly after: number;
  /** Names of bands or orientations that hold from here on; of a change of band only. */
  readonly prefixes?: readonly string[];
}

/** A width from which on things behave differently than just below it. */
export interface Change {
  readonly width: number;
  /** Of one that stands for many: up to which width rounding lets the same thing come and go. */
  readonly until?: number;
  /** Whether boxes jump there; otherwise they only change their pace. */
  readonly jump: boolean;
  readonly causes: readonly Cause[];
}

/** Texts that take another size from a width on. */
export function sizeChange(screen: Control, styles: StyleSet, width: number, textScale: number): Change {
  const causes = clampedSizesOf(screen, styles).flatMap((size): Cause[] => {
    const [before, after] = [width - unit, width].map((at) => textSizeAt(size, at, textScale));
    return before === after
      ? []
      : [{ question: 'size', control: size.control, before: before!, after: after! }];
  });
  return { width, jump: true, causes };
}

export function bandChange(width: number, before: readonly string[], after: readonly string[]): Change {
  const prefixes = after.filter((prefix) => !before.includes(prefix)).map((prefix) => prefix.slice(0, -1));
  return {
    width,
    jump: true,
    causes: [{ question: 'band', control: undefined, before: 0, after: 1, prefixes }],
  };
}

/** What decisions that came out differently make of a width. */
export function changeBy(decisions: readonly Decision[], width: number): Change {
  const causes = new Map<string, Cause>();
  let jump = false;
  for (const { box, question, before, after } of decisions) {
    jump ||= before.jump;
    // Where a line is filled to the px, room is neither lacking nor left: that says nothing.
    if (question === 'room' && Math.abs(after.value) <= unit) continue;
    const limit = Number.isFinite(before.low) ? before.low : before.high;
    // Lines and tracks are told by their number now; others by how far they are from their limit.
    const counted = question === 'lines' || question === 'tracks' || !Number.isFinite(limit);
    const key = `${box.control ?? ''} ${box.items.join()} ${question}`;
    if (!causes.has(key))
      causes.set(key, {
        question,
        control: box.control,
        before: before.value - (counted ? 0 : limit),
        after: after.value - (counted ? 0 : limit),
      });
  }
  return { width, jump, causes: [...causes.values()] };
}
