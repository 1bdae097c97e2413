/** Long work in a worker, in slices: a newer request ends the one before it, and what is known goes out in between. */

/** Milliseconds of work between two answers. */
const slice = 24;

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
  for (;;) {
    const next = run.next();
    if (next.done) return { parts, result: next.value };
    parts.push(next.value);
    if (performance.now() - begun < slice) continue;
    between(parts);
    parts = [];
    // Lets a newer request come in.
    await new Promise((resume) => setTimeout(resume));
    if (!isNewest()) return undefined;
    begun = performance.now();
  }
}
