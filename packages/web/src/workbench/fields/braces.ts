/** Braces around an expression, which a field puts there itself. */

/**
 * Takes away braces that were typed where the field has put some already.
 *
 * @param cursor where it stands in the text.
 * @returns undefined where none are there twice.
 */
export function bracesOnce(text: string, cursor: number): { text: string; cursor: number } | undefined {
  const front = text.startsWith('{{') ? 1 : 0;
  const back = text.endsWith('}}') ? 1 : 0;
  if (front + back === 0) return undefined;
  return { text: text.slice(front, text.length - back), cursor: cursor - front };
}

/** Entries as they are typed, one a line, and as source has them, between bars. */
export const entriesAsLines = (text: string): string => text.split(/ *\| */).join('\n');
export const linesAsEntries = (lines: string): string => lines.split('\n').join(' | ');
