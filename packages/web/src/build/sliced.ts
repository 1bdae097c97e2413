/** Long work in a worker, in slices: a newer request ends the one before it, and what is known goes out in between. */

/** Milliseconds of work after which a newer request can come in. */
const slice = 24;
/** Milliseconds between two answers: each costs the interface a frame. */
const pace = 250;

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
    // Lets a newer request come in.
    await new Promise((resume) => setTimeout(resume));
    if (!isNewest()) return undefined;
    begun = performance.now();
  }
}
