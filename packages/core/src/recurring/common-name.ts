/** One name for what is called differently in several places: `label` for `inHouseLabel`, `freeLabel`. */

/** The words of a name in camel case. */
const wordsOf = (name: string): string[] => name.match(/\p{Lu}?[^\p{Lu}]+|\p{Lu}+/gu) ?? [];

const asName = (words: readonly string[]): string => {
  const [first = '', ...more] = words;
  return first.charAt(0).toLowerCase() + first.slice(1) + more.join('');
};

/** What names have in common at their end, or else at their beginning; the name itself where it is one; undefined: nothing. */
export function commonName(names: readonly string[]): string | undefined {
  const all = names.map(wordsOf);
  const [first = [], ...others] = all;
  if (new Set(names).size === 1) return names[0];
  const shared = (at: (words: readonly string[], index: number) => string | undefined): number => {
    let count = 0;
    const word = (words: readonly string[]) => at(words, count)?.toLowerCase();
    while (count < first.length && others.every((words) => word(words) === word(first))) count++;
    return count;
  };
  const atEnd = shared((words, index) => words.at(-1 - index));
  if (atEnd > 0) return asName(first.slice(-atEnd));
  const atBegin = shared((words, index) => words[index]);
  const begin = first.slice(0, atBegin).join('').replace(/\d+$/, '');
  return begin === '' ? undefined : asName([begin]);
}
