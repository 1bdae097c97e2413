/** Bounds of entries that are stored and sent: the same for windows, which keep within them, and the server, which holds to them. */

/** Longest label of an entry, in UTF-16 units. */
export const longestLabel = 300;
/** Longest key of a group of entries, in UTF-16 units. */
export const longestGroup = 64;
/** Most steps of one entry. */
export const mostStepsOfEntry = 20_000;
/** Longest entry, in UTF-16 units of its JSON. */
export const longestEntry = 15_000_000;
/** Most entries that are sent together. */
export const mostEntriesOfBatch = 200;
/** Longest batch of entries, in UTF-16 units of JSON; one entry may be longer, and then goes alone. */
export const longestBatch = 4_000_000;
/** A label that is no longer than it may be. */
export const shortLabel = (label: string): string =>
  label.length <= longestLabel ? label : `${label.slice(0, longestLabel - 1)}…`;
