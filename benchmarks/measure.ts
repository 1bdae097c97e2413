/** Timing two ways to do the same, in one run, as a ratio. */

/** A comparison; `ratio`: how many times as fast (or small) as `against`. */
export interface Measured {
  readonly name: string;
  readonly against: string;
  readonly ratio: number;
  readonly aim: number | null;
  /** What a ratio above 1 means; `as fast` where absent. */
  readonly unit?: 'smaller';
}

/** As `--expose-gc` has it; a full collection would throw away compiled code, too. */
const collectYoung = () =>
  (globalThis as unknown as { gc: (how: { type: 'minor' }) => void }).gc({ type: 'minor' });

/** Rounds, and milliseconds, that both run before they are measured. */
const leastWarmUp = 5;
const warmUpTime = 500;

export const median = (values: readonly number[]): number =>
  values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)]!;

/** Milliseconds that some work takes; what others have just thrown away is cleared before, so that they pay for it. */
export function time(work: () => void): number {
  collectYoung();
  const begun = performance.now();
  work();
  return performance.now() - begun;
}

/**
 * Runs two pieces of work in turn, many times, and gives the median of the ratios pair by pair: what slows the
 * machine for a while slows both.
 *
 * @returns how many times as fast `ours` is.
 */
export function compare(ours: () => void, theirs: () => void, rounds = 41): number {
  // Both are compiled while they run: what runs for the first few times says little about what follows.
  const begun = performance.now();
  for (let round = 0; round < leastWarmUp || performance.now() - begun < warmUpTime; round++) {
    ours();
    theirs();
  }
  const ratios: number[] = [];
  for (let round = 0; round < rounds; round++) {
    const [first, second] = round % 2 === 0 ? [ours, theirs] : [theirs, ours];
    const [a, b] = [time(first), time(second)];
    ratios.push(round % 2 === 0 ? b / a : a / b);
  }
  return Number(median(ratios).toFixed(2));
}
