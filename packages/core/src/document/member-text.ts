/** How members and keys of records are written in expressions: by their names alone, or quoted where they must be. */

/** Whether a name can stand behind a dot (ECMAScript §12.7, IdentifierName). */
export const isIdentifier = (name: string): boolean => /^[\p{ID_Start}$_][\p{ID_Continue}$]*$/u.test(name);

/** A key as a record has it. */
export const keyText = (name: string): string => (isIdentifier(name) ? name : JSON.stringify(name));

/** A member of something. */
export const memberText = (of: string, name: string): string =>
  isIdentifier(name) ? `${of}.${name}` : `${of}[${JSON.stringify(name)}]`;
