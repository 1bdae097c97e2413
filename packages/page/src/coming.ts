/**
 * Values that come from the other frames. Frames share a thread: where it takes long to follow a value, as in a list of
 * a hundred thousand rows, only the last one is followed, once nothing comes any more, and typing goes on meanwhile.
 */
import type { StateValue } from '@hovrin/core/runtime';

/** What is followed in less time than this is followed at once; the longest wait, ms. */
const quick = 20;
const longest = 1500;

export class Coming {
  readonly #values = new Map<string, StateValue>();
  #timer: ReturnType<typeof setTimeout> | undefined;
  /** How long it took the last time, ms. */
  #took = 0;

  /** @param apply takes a value over. */
  constructor(private readonly apply: (name: string, value: StateValue) => void) {}

  add(name: string, value: StateValue): void {
    this.#values.set(name, value);
    clearTimeout(this.#timer);
    if (this.#took < quick) this.follow();
    else this.#timer = setTimeout(() => this.follow(), Math.min(longest, 2 * this.#took));
  }

  /** What the person has entered here since counts, not what came before. */
  forget(name: string): void {
    this.#values.delete(name);
  }

  /** Takes over what has come, in the order in which it came first. */
  follow(): void {
    clearTimeout(this.#timer);
    if (this.#values.size === 0) return;
    const began = performance.now();
    const come = [...this.#values];
    this.#values.clear();
    for (const [name, value] of come) this.apply(name, value);
    this.#took = performance.now() - began;
  }
}
