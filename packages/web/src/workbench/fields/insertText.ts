/** Writing into a field from outside of it: at the cursor, as if it had been typed. */

export type Field = HTMLInputElement | HTMLTextAreaElement;

/** The part of a text up to the cursor that is an expression; undefined: the cursor is in plain words. */
export function expressionBefore(text: string, cursor: number): string | undefined {
  let open: number | undefined;
  for (let index = 0; index < cursor; index++) {
    const doubled = text[index] === text[index + 1];
    if (text[index] === '{' && open === undefined) {
      if (doubled) index++;
      else open = index + 1;
    } else if (text[index] === '}' && open !== undefined) open = undefined;
  }
  return open === undefined ? undefined : text.slice(open, cursor);
}

/**
 * Writes a text at the cursor; the cursor goes behind it, or into its brackets.
 *
 * @param replaces how many characters in front of the cursor it takes the place of.
 */
export function insertText(field: Field, text: string, replaces = 0): void {
  const cursor = field.selectionStart ?? field.value.length;
  const end = Math.max(cursor, field.selectionEnd ?? cursor);
  field.setRangeText(text, cursor - replaces, replaces > 0 ? cursor : end, 'end');
  const into = text.endsWith('()') ? 1 : text.endsWith('()}') ? 2 : 0;
  const at = (field.selectionStart ?? 0) - into;
  field.setSelectionRange(at, at);
  field.dispatchEvent(new Event('input', { bubbles: true }));
}
