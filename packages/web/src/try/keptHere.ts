/**
 * What the application keeps while it is tried out: in this window of the browser, by project, as the storage of a browser
 * would have it.
 */

/** Texts by key, as the page keeps them. */
export type KeptTexts = Readonly<Record<string, string>>;

const keyOf = (projectId: string) => `hovrin.kept.${projectId}`;

export function keptHere(projectId: string): KeptTexts {
  try {
    return JSON.parse(sessionStorage.getItem(keyOf(projectId)) ?? '{}');
  } catch {
    return {};
  }
}

/** Keeps all texts; what finds no room is as if it had never been kept. */
export function keepHere(projectId: string, texts: KeptTexts): void {
  try {
    sessionStorage.setItem(keyOf(projectId), JSON.stringify(texts));
  } catch {
    // The storage is full or forbidden: the next run begins with what was there.
  }
}

/** The values of variables among kept texts, by name of variable. @param id what they lie under. */
export function valuesKept(texts: KeptTexts, id: string): ReadonlyMap<string, unknown> {
  const prefix = `hovrin ${id} `;
  return new Map(
    Object.entries(texts).flatMap(([key, text]) => {
      if (!key.startsWith(prefix)) return [];
      try {
        return [[key.slice(prefix.length), JSON.parse(text)] as const];
      } catch {
        return [];
      }
    }),
  );
}
