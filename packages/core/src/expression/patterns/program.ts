/**
 * A regular expression (ECMAScript §22.2) as a program: plain data, so that it travels to a page, which steps through it within
 * a budget. The browser's own engine cannot be stopped, and some patterns take it for ever.
 */

/** One instruction. Jumps are indexes into the program. */
export type Instruction =
  | readonly ['char', code: number]
  /** One of a class, as it is written: `[^a-z]`, `\\d`. The platform is asked of one character alone, which takes no time. */
  | readonly ['set', text: string]
  /** Any character; all of them with the flag `s`, else none that ends a line. */
  | readonly ['any']
  /** Goes on at the first, and where that comes to nothing, at the second. */
  | readonly ['split', first: number, second: number]
  | readonly ['jump', to: number]
  /** Notes where a group begins or ends: `2n` and `2n + 1`. */
  | readonly ['save', slot: number]
  /** Forgets groups, from a slot on up to another: each round of a loop begins without them. */
  | readonly ['clear', from: number, to: number]
  /** Notes where a round begins, and ends one in which nothing was taken (ECMAScript, RepeatMatcher). */
  | readonly ['round', slot: number]
  | readonly ['progress', slot: number]
  | readonly ['start']
  | readonly ['end']
  | readonly ['word', not: boolean]
  | readonly ['back', group: number]
  /** Looks ahead with what follows up to its `match`, and goes on at `to`. */
  | readonly ['ahead', not: boolean, to: number]
  | readonly ['match'];

export interface PatternProgram {
  readonly code: readonly Instruction[];
  /** How many groups there are, the whole one included. */
  readonly groups: number;
  /** How many slots it needs: two for each group, and one for each loop. */
  readonly slots: number;
  readonly flags: string;
  /** As it was written, for what is said of it. */
  readonly source: string;
}
