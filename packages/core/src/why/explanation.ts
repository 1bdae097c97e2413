/** What an explanation of a size or place is. Lengths in CSS px. */

import type { Step } from '../steps/step.ts';
import { itemAt } from '../sure.ts';

/** A size or a place, from the screen's top left corner. */
export type Question = 'width' | 'height' | 'x' | 'y';

/** A number that goes into a working. */
export interface Term {
  /** What it is, in a few words: "padding at the start". */
  readonly what: string;
  readonly value: number;
  /** Id of the control that it is about. */
  readonly control?: string;
  /** It is the result of an earlier working, by index. */
  readonly from?: number;
}

/**
 * One line of arithmetic: `sum` adds its terms up, `product` multiplies them, `greatest` and `least` pick one of
 * them, `given` has a single one.
 */
export interface Working {
  /** What its result is: "left to share". */
  readonly what: string;
  readonly by: 'given' | 'sum' | 'product' | 'greatest' | 'least';
  readonly terms: readonly Term[];
  readonly result: number;
}

/** Where a value comes from that took part in the decision. */
export interface Source {
  readonly control: string;
  readonly property: string;
  /** In the words of the source text; of an absent one what holds instead. */
  readonly text: string;
  /** `own`: it says so itself; a name: from that band or orientation; `default`: nobody said anything. */
  readonly from: 'own' | 'default' | string;
}

/** Something that can be done about it: steps that are applied and taken back as one. */
export interface Fix {
  /** What it does, as an order: "Let `line` fill its column". */
  readonly label: string;
  readonly steps: readonly Step[];
}

export interface Explanation {
  readonly control: string;
  readonly name: string;
  readonly question: Question;
  readonly value: number;
  /** The rule that decided, by name. */
  readonly rule: string;
  /** One or two sentences that say it all; names of controls in backticks. */
  readonly sentence: string;
  /** What else is worth knowing: it sticks out, a sibling keeps room. Same form. */
  readonly remarks: readonly string[];
  /** The arithmetic; the last result is the value. */
  readonly workings: readonly Working[];
  readonly sources: readonly Source[];
  readonly fixes: readonly Fix[];
  /** Ids of the controls that are mentioned, the control itself left out. */
  readonly mentions: readonly string[];
}

/** Does the arithmetic of a working anew. */
export function workOut({ by, terms }: Pick<Working, 'by' | 'terms'>): number {
  const values = terms.map(({ value }) => value);
  switch (by) {
    case 'sum':
      return values.reduce((sum, value) => sum + value, 0);
    case 'product':
      return values.reduce((product, value) => product * value, 1);
    case 'greatest':
      return Math.max(...values);
    case 'least':
      return Math.min(...values);
    case 'given':
      return itemAt(values, 0);
  }
}
