/**
 * How much may be worked out: steps of time and units of memory. One expression has a budget of its own; where many
 * belong to one whole (a layout, a page as it begins, an event with all that follows from it), they share one, so that
 * many costly expressions cost no more than one.
 */

/** Most steps of one evaluation, or of a whole. */
export const mostSteps = 12_000_000;
/** Most units that one evaluation, or a whole, may make: a character is one, an item of a list `itemUnits`. */
export const mostUnits = 40_000_000;
/** Units of an item of a list, or of a record's entry. */
export const itemUnits = 10;

/** What went wrong while working out an expression. */
export class EvaluationError extends Error {}

export class Budget {
  /** Steps that are left; who takes one away asks `ended` below 0. */
  steps = mostSteps;
  #units = mostUnits;

  readonly #end: string;

  /** @param end what it says when it has run out. */
  constructor(end = 'stopped: it takes') {
    this.#end = end;
  }

  get isSpent(): boolean {
    return this.steps < 0 || this.#units < 0;
  }

  ended(): never {
    throw new EvaluationError(`This was ${this.#end} too long, or too much room.`);
  }

  /** @throws EvaluationError where it has run out. */
  spend(steps: number, units = 0): void {
    this.steps -= steps;
    this.#units -= units;
    if (this.isSpent) this.ended();
  }
}

/** A budget that many expressions share. */
export const sharedBudget = (): Budget => new Budget('left out: with all else here it takes');

let shared: Budget | undefined;

/** The budget of an evaluation that begins now: that of the whole, or one of its own. */
export const budgetNow = (): Budget => shared ?? new Budget();

/** Whether the whole that something is worked out in has no budget left. */
export const isSpent = (): boolean => shared?.isSpent === true;

/** Works something out with a budget that is there already, whatever whole it is asked in. */
export function spending<T>(budget: Budget, work: () => T): T {
  const around = shared;
  shared = budget;
  try {
    return work();
  } finally {
    shared = around;
  }
}

/** Works something out as one whole; inside another whole it belongs to that one. */
export const sharingBudget = <T>(work: () => T): T => (shared ? work() : spending(sharedBudget(), work));
