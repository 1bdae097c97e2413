/** What a document in a file of rules is. */
export interface Rule {
  readonly name: string;
  readonly source: string;
}

/** A screen around some controls. */
export const screen = (inside: string, attributes = '') =>
  `<screen name="trial"${attributes}>${inside}</screen>`;
