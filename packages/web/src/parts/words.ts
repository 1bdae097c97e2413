/** Finding by words. */

/** Words that were typed, in lower case. */
export const wordsIn = (typed: string): string[] => typed.toLowerCase().split(/\s+/).filter(Boolean);

/** Whether each word that was typed stands in a text, in any order and in capitals or not. */
export function hasWords(text: string, typed: string): boolean {
  const within = text.toLowerCase();
  return wordsIn(typed).every((word) => within.includes(word));
}
