/**
 * Where a line may end: UAX #14 through the `linebreak` package, tailored as browsers do (UAX #14 §8 allows it).
 *
 * Chromium looks up pairs of ASCII characters in a table of its own, older than UAX #14, and lets a line end
 * after every space. Measured over all pairs; tests/parity holds it against the browser.
 */
import LineBreaker from 'linebreak';

/** After these a line may end in front of an opening bracket. */
const beforeOpening = new Set('!"#%&)*+,.:;=>\\]|}~');
const opening = new Set('(<[{');
/** Never at the start of a line after `-` or `?`. */
const notAfterHyphen = new Set('!$),./:;?]}>');
const notAfterQuestion = new Set('!"\'),./:;?]}');

const isAscii = (character: string) => character > ' ' && character <= '~';
const isDigit = (character: string) => character >= '0' && character <= '9';
const isAlphanumeric = (character: string) => /^[0-9a-z]$/i.test(character);

/** Whether a line may end between two ASCII characters that are no spaces. */
function asciiBreak(before: string, last: string, next: string): boolean {
  // A hyphen in front of a digit may be a minus sign, unless it stands in a word.
  if (last === '-') return isDigit(next) ? isAlphanumeric(before) : !notAfterHyphen.has(next);
  if (last === '?') return !notAfterQuestion.has(next);
  return beforeOpening.has(last) && opening.has(next);
}

/** Pairs with one side outside ASCII in which newer versions of UAX #14 (LB25, LB30) allow what the package does not. */
const laterVersions = /^(?:[)\]}][€°]|°[([{])$/;

/**
 * The places where a line of one paragraph may end, its end included.
 *
 * @param paragraph text without line feeds, white space already collapsed (CSS Text 3 §4.1).
 * @returns UTF-16 indexes of the first character after each break, ascending.
 */
export function breakOpportunities(paragraph: string): number[] {
  const breaker = new LineBreaker(paragraph);
  const standard = new Set<number>();
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) standard.add(next.position);
  const found: number[] = [];
  for (let index = 1; index < paragraph.length; index++) {
    const last = paragraph[index - 1]!;
    const next = paragraph[index]!;
    if (next === ' ') continue;
    const ascii = isAscii(last) && isAscii(next);
    const may =
      last === ' ' ||
      (ascii
        ? asciiBreak(paragraph[index - 2] ?? '', last, next)
        : standard.has(index) || laterVersions.test(last + next));
    if (may) found.push(index);
  }
  return [...found, paragraph.length];
}
