/**
 * What a property may hold. One type serves the source's parser, the fields of the interface, validation and
 * the layout: it reads a text, says what is wrong with it, and gives the value and the text's canonical form.
 */
import { didYouMean, quoted } from '../document/nearest.ts';
import type { TokenType } from '../document/token.ts';

export type Reading<T> =
  | { readonly ok: true; readonly value: T; readonly text: string }
  | { readonly ok: false; readonly message: string };

/** How values name things that are somewhere else: icons that ship, pictures and screens of the project. */
export interface Refers<T> {
  readonly to: 'icon' | 'picture' | 'screen';
  /** The names in a value. */
  in(value: T): readonly string[];
  /** A text in canonical form with another name in place of one; the same where it is not in it. */
  renamed(text: string, from: string, to: string): string;
}

/** What values name that are nothing but a name. */
export const nameAlone = (to: Refers<string>['to'], isName = (_: string) => true): Refers<string> => ({
  to,
  in: (value) => (isName(value) ? [value] : []),
  renamed: (text, from, next) => (text === from ? next : text),
});

/** Ways of entering a value, each a component of the interface. */
export type FieldForm =
  | 'words'
  | 'flag'
  | 'entries'
  | 'colour'
  | 'fill'
  | 'shadow'
  | 'transition'
  | 'icon'
  | 'picture';

export interface PropertyType<T = unknown> {
  readonly name: string;
  /** What is allowed, as the end of a sentence: "a number, `fit` …". */
  readonly expects: string;
  /** Fixed words that it allows, for lists and completion. */
  readonly words: readonly string[];
  /** Reads a text without expressions. */
  read(text: string): Reading<T>;
  /** How the interface lets one enter it; absent: a line of text, with the words that the type allows to choose from. */
  readonly field?: FieldForm;
  /** Its number goes up and down by keys, and follows a dragged label: px for px, or by counting. */
  readonly steps?: 'px' | 'count' | undefined;
  /** What its texts may begin with besides its words: who types that is not at the end yet. */
  readonly beginnings?: readonly string[];
  /** What the interface shows where nothing holds. */
  readonly blank?: string;
  /** What its values name; absent: nothing. */
  readonly refers?: Refers<T>;
  /** Words of CSS that may stand among others in its texts, and are no names of tokens. */
  readonly keywords?: readonly string[];
  /** Types of tokens whose names may stand in its texts; absent: none. */
  readonly takes?: readonly TokenType[];
  /** The names of colour tokens in a value: colours keep their names, so that they follow the mode. */
  colours?(value: T): readonly string[];
  /** What a number's ranges are mapped to at first, in turn, where one begins to bind it to one. */
  readonly ranged?: readonly string[];
  /** Takes what an expression gave; absent: nothing is no value, and anything else is read as a text. */
  take?(result: unknown): { readonly value: T } | { readonly message: string };
}

const numberPattern = /^[+-]?(\d+\.?\d*|\.\d+)$/;

/** Larger lengths than any screen; beyond them browsers clamp. */
const largest = 1_000_000;

/** `12`, `12.5`, `12px` as a number; undefined where it is none. */
export function readNumber(text: string): number | undefined {
  const plain = text.trim().replace(/px$/, '').trim();
  if (!numberPattern.test(plain)) return undefined;
  const value = Number(plain);
  return Math.abs(value) <= largest ? value : undefined;
}

export const printNumber = (value: number): string => String(Number(value.toFixed(4)));

export const good = <T>(value: T, text: string): Reading<T> => ({ ok: true, value, text });

export const bad = (
  text: string,
  expects: string,
  words: readonly string[] = [],
): { ok: false; message: string } => ({
  ok: false,
  message: `${quoted(text)} is not ${expects}.${didYouMean(text, words)}`,
});

export function readFraction(text: string): { fraction: number; text: string } | undefined {
  const match = /^(.+)%$/.exec(text.trim());
  const value = match ? readNumber(match[1] ?? '') : undefined;
  return value === undefined || value < 0 || match![1]!.includes('px')
    ? undefined
    : { fraction: value / 100, text: `${printNumber(value)}%` };
}
