/** The message of something that was thrown, which need not be an `Error` (ECMAScript, throw). */
export const messageOf = (thrown: unknown): string =>
  thrown instanceof Error ? thrown.message : String(thrown);
