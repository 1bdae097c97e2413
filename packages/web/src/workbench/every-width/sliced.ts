/** Long work in a worker, in slices: a newer request ends the one before it, and what is known goes out in between. */

/** Milliseconds of work after which a newer request can come in. */
const slice = 12;
/** Milliseconds between two answers: each costs the interface a frame. */
const pace = 250;

/** Lets a newer request come in. Timers would: they wait for 4 ms once they follow upon each other (HTML §8.7). */
const turn = (): Promise<void> =>
  new Promise((resume) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => {
      port1.close();
      resume();
    };
    port2.postMessage(undefined);
  });

/**
 * Runs a generator to its end.
 *
 * @param isNewest whether nothing newer was asked for meanwhile.
 * @param between hears what was yielded since it was last called.
 * @returns what the generator returned; undefined where something newer came.
 */
export async function sliced<Part, Result>(
  run: Generator<Part, Result, void>,
  isNewest: () => boolean,
  between: (parts: readonly Part[]) => void,
): Promise<{ readonly parts: readonly Part[]; readonly result: Result } | undefined> {
  let parts: Part[] = [];
  let begun = performance.now();
  let told = begun;
  for (;;) {
    const next = run.next();
    if (next.done) return { parts, result: next.value };
    parts.push(next.value);
    if (performance.now() - begun < slice) continue;
    if (performance.now() - told >= pace) {
      between(parts);
      parts = [];
      told = performance.now();
    }
    await turn();
    if (!isNewest()) return undefined;
    begun = performance.now();
  }
}
