/** Telling plain records from other values. */

/** Whether a value is a record: an object that is no list. */
export const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
