/**
 * The checks of a laid-out screen, as measures: numbers that move linearly with the width wherever the layout does, and
 * that are positive where something is wrong. So a stretch of widths needs to be measured at its two ends only.
 */
import type { Severity } from './finding.ts';

/** A number at the two ends of a stretch of widths; linear between them. */
export type Ends = readonly [start: number, end: number];

/** One thing that may be wrong somewhere on a stretch of widths. */
export interface Measure {
  readonly check: string;
  readonly severity: Severity;
  readonly control: string;
  readonly other: string | undefined;
  /** It is wrong where all of these are above 0. */
  readonly all: readonly Ends[];
  /** But not where all of these are, too. */
  readonly unlessAll?: readonly Ends[];
  /** How much it is, in px or characters; of the numbers above or what they follow from. */
  readonly amount: Ends;
}

/** Whether a measure says that something is wrong at the beginning of its stretch. */
export const isWrong = ({ all, unlessAll }: Measure): boolean =>
  all.every(([value]) => value > 0) && !(unlessAll?.every(([value]) => value > 0) ?? false);

/** A piece of advice about a control that holds at every width: nothing of it depends on the layout. */
export const adviceAlways = (check: string, control: string): Measure => ({
  check,
  severity: 'advice',
  control,
  other: undefined,
  all: [[1, 1]],
  amount: [1, 1],
});

/** How far something may stand out unnoticed, CSS px; rounding to 64ths included. */
export const leeway = 0.5;
/** The least side of a target, CSS px (WCAG 2.2, 2.5.8 Target Size (Minimum)). */
export const leastTarget = 24;
/** The side that fingers find without looking, CSS px (WCAG 2.2, 2.5.5 Target Size (Enhanced)). */
export const kindTarget = 44;
/** Characters of the longest line that reads well (WCAG 2.2, 1.4.8 Visual Presentation). */
export const longestLine = 80;
