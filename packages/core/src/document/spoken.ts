/** Names as a person reads them. */

/** A name as one says it: `guestName`, `guest_name` and `guest-name` are all “Guest name”. */
export function spoken(name: string): string {
  const words = name
    .replace(/([\p{Ll}\d])(\p{Lu})/gu, '$1 $2')
    .replace(/[_-]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    // Letters that stand for words stay as they are.
    .replace(/(?<=\s)\p{Lu}(?=\p{Ll})/gu, (letter) => letter.toLowerCase());
  return words.charAt(0).toUpperCase() + words.slice(1);
}
