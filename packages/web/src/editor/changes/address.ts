/** Where the stream of some projects' changes is. */

/** @param since the revision that is known, by project. */
export const changesAddress = (since: ReadonlyMap<string, number>): string =>
  `/api/changes?${new URLSearchParams({ of: [...since].map(([id, revision]) => `${id}:${revision}`).join(',') })}`;
