/**
 * How much is worked out for one layout of a screen, at most. Where each level of a nest asks the next for ever more sizes
 * that would never end; from some point on boxes answer as they did before. Ordinary screens ask each box a few times.
 */
const least = 20_000;
const forEachBox = 20;

let left = 0;

/** Begins the layout of a screen. @param boxes how many it has. */
export function beginWork(boxes: number): void {
  left = least + forEachBox * boxes;
}

/** Counts one more answer. @returns whether there are enough of them. */
export function isEnough(): boolean {
  left -= 1;
  return left < 0;
}
