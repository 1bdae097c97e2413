/**
 * Where a line may end: UAX #14 through the `linebreak` package, tailored as browsers do (UAX #14 §8 allows it).
 *
 * Chromium looks up pairs of ASCII characters in a table of its own, older than UAX #14, and lets a line end
 * after every space; for all others it follows a version of UAX #14 that is newer than the package's. Measured over
 * pairs of characters between letters, digits, spaces and brackets; tests/parity holds it against the browser.
 */
import LineBreaker from 'linebreak';
import { wordsWithoutSpaces } from './words-without-spaces.ts';

/** After these a line may end in front of an opening bracket. */
const beforeOpening = new Set('!"#%&)*+,.:;=>\\]|}~');
const opening = new Set('(<[{');
/** Never at the start of a line after `-` or `?`. */
const notAfterHyphen = new Set('!$),./:;?]}');
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

/** Classes of UAX #14 that the package's rules and later ones treat differently. */
const classes = {
  /** Hyphens that are nothing else: HY and HH. */
  hyphen: /[-\u058a\u05be\u1400\u2010\u2012\u2013]/u,
  /** AL and HL: letters, and signs that behave as such. */
  letter:
    /(?=[^\p{sc=Han}\p{sc=Hiragana}\p{sc=Katakana}\p{sc=Hangul}\p{Emoji_Presentation}\p{Sc}+±−°№℃℉])[\p{L}\p{No}\p{So}\p{Sm}\p{Sk}#&*@_§¶·†‡•―׳״]/u,
  hebrew: /(?=\p{L})\p{Script=Hebrew}/u,
  /** NU. */
  digit: /[\p{Nd}٫٬]/u,
  /** PR and PO: what stands before or behind a number. */
  sign: /[\p{Sc}%％+\\°±−№‰‱′″‴⁗℃℉٪]/u,
  /** OP. */
  opening: /[\p{Ps}¡¿]/u,
  /** CL and CP. */
  closing: /[\p{Pe}、。，．｡､]/u,
  /** IS and SY: what may stand within a number. */
  separator: /[,./:;\u037e\u0589\u060c\u060d\u2044]/u,
} as const;

const isOf = (name: keyof typeof classes, character: string | undefined): boolean =>
  character !== undefined && classes[name].test(character);

/** Hebrew letters but behind a slash, where they differ from others (LB21b). */
const hebrewLetters = /(?<!\/)(?=\p{L})\p{Script=Hebrew}/gu;

/** CJ: small kana, and the mark of a long vowel. Browsers let lines begin with them, as with other kana (LB1, CSS Text 3 §5.3). */
const smallKana = /[ぁぃぅぇぉっゃゅょゎゕゖァィゥェォッャュョヮヵヶー\u31f0-\u31ff\uff67-\uff70]/g;

/** Characters that are wide, or have a wide form (UAX #11: F, W and H). */
const wide =
  /[\u1100-\u115f\u2e80-\u303e\u3041-\u4dbf\u4e00-\ua4cf\ua960-\ua97c\uac00-\ud7a3\uf900-\ufaff\ufe30-\ufe6f\uff01-\uffdc\uffe0-\uffe6]/;

/** LB19a: quotation marks between wide characters stay with what they enclose, as brackets do. */
const quotesAmongWide = new RegExp(`(?<=${wide.source})[“‘«‹”’»›](?=${wide.source})`, 'g');
const asBracket = (quote: string): string => ('“‘«‹'.includes(quote) ? '「' : '」');

/** The last character of letters and numbers; a mark belongs to the one before it (LB9). */
const endsLetters = new RegExp(`${classes.letter.source}|${classes.digit.source}|\\p{M}`, 'u');

/** After what a hyphen begins a word (LB20a): nothing, spaces, and what glues. */
const beforeWord = /[ \u00a0\u200b\u2011\u202f\u2028]/u;

const latin1 = /[\0-\u00ff]/;

/** Whether a number begins at an index: a digit, maybe behind a separator. */
const beginsNumber = (text: string, index: number): boolean =>
  isOf('digit', text[index]) || (isOf('separator', text[index]) && isOf('digit', text[index + 1]));

/** Whether the characters before an index end in a number: digits, and separators behind them. */
function endsInNumber(text: string, index: number): boolean {
  let at = index - 1;
  while (isOf('separator', text[at])) at--;
  return isOf('digit', text[at]);
}

/** What Unicode 17 says of a break in front of an index where the package, which knows Unicode 13, may be wrong; else undefined. */
function laterVersions(text: string, index: number): boolean | undefined {
  const last = text.charAt(index - 1);
  const next = text.charAt(index);
  if (isOf('hyphen', last)) {
    const before = text[index - 2];
    // LB20a: a hyphen that begins a word stays with it.
    if ((before === undefined || beforeWord.test(before)) && isOf('letter', next)) return false;
    // LB21a: after a Hebrew letter only another one may follow on the next line.
    if (isOf('hebrew', before) && !isOf('hebrew', next)) return false;
  }
  // LB30: letters and numbers stay with an opening bracket that is not wide.
  if (endsLetters.test(last) && isOf('opening', next) && wide.test(next)) return true;
  // LB25: brackets, signs and separators belong to numbers, and only to them. Between two characters of Latin-1 browsers look for
  // no numbers.
  const numbers = !(latin1.test(last) && latin1.test(next));
  if (isOf('sign', last) && isOf('opening', next)) return !(numbers && beginsNumber(text, index + 1));
  if (isOf('closing', last) && isOf('sign', next)) return !(numbers && endsInNumber(text, index - 1));
  if (isOf('separator', last) && isOf('sign', next) && numbers && endsInNumber(text, index)) return false;
  if (last === '/' && isOf('digit', next)) return !(numbers && endsInNumber(text, index));
  return undefined;
}

/**
 * Whether a line that begins at an index may not end at one of its break opportunities: behind a hyphen, which begins a word there
 * as well (LB20a; browsers look at nothing in front of the line).
 */
export const beginsWithHyphen = (text: string, start: number, end: number): boolean =>
  end === start + 1 &&
  isOf('hyphen', text[start]) &&
  isOf('letter', text[end]) &&
  !(isAscii(text.charAt(start)) && isAscii(text.charAt(end)));

/**
 * The places where a line of one paragraph may end, its end included.
 *
 * @param paragraph text without line feeds, white space already collapsed (CSS Text 3 §4.1).
 * @returns UTF-16 indexes of the first character after each break, ascending.
 */
export function breakOpportunities(paragraph: string): number[] {
  const bracketed = paragraph.replace(quotesAmongWide, asBracket);
  // The package keeps everything with a Hebrew letter and what a line may end after (LB21a before Unicode 16).
  const breaker = new LineBreaker(bracketed.replace(hebrewLetters, 'a').replace(smallKana, '一'));
  const standard = new Set<number>(wordsWithoutSpaces(paragraph));
  for (let next = breaker.nextBreak(); next; next = breaker.nextBreak()) standard.add(next.position);
  const found: number[] = [];
  for (let index = 1; index < paragraph.length; index++) {
    const last = paragraph.charAt(index - 1);
    const next = paragraph.charAt(index);
    if (next === ' ') continue;
    const ascii = isAscii(last) && isAscii(next);
    const may =
      last === ' ' ||
      (ascii
        ? asciiBreak(paragraph[index - 2] ?? '', last, next)
        : (laterVersions(bracketed, index) ?? standard.has(index)));
    if (may) found.push(index);
  }
  return [...found, paragraph.length];
}
