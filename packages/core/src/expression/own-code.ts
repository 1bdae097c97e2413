/** How expressions call the project's own code. */

/** What stands in front of the names of its functions. */
export const ownCode = 'code.';

export const isOwnCode = (name: string): boolean => name.startsWith(ownCode);
