/** Reading a property's text in which tokens may stand: a token's value takes the place of its name, colours keep theirs. */
import { didYouMean, quoted } from '../document/nearest.ts';
import type { TokenType } from '../document/token.ts';
import type { PropertyType, Reading } from '../property-types/index.ts';
import type { TokenTexts } from './token-text.ts';

/** Tokens by name: what reading a text needs of them. */
export type TokenNames = ReadonlyMap<
  string,
  {
    readonly type: TokenType;
    readonly texts: TokenTexts;
    /** What stands for it in a stylesheet. */
    readonly reference?: string;
  }
>;

/** A word that may be a token's name: no function, no part of a number, of a hexadecimal colour or of another word. */
const wordPattern = /(?<![\w#.%-])[A-Za-z_][\w-]*(?:\.[\w-]+)*(?![\w(.%-])/g;

/** What may be a token's name in a text. */
export const tokenWords = (text: string): string[] => text.match(wordPattern) ?? [];

/** A text with another name in place of a token's. */
export const withTokenRenamed = (text: string, from: string, to: string): string =>
  text.replaceAll(wordPattern, (word) => (word === from ? to : word));

const isFixed = ({ words, keywords = [] }: PropertyType, word: string): boolean =>
  words.includes(word) || keywords.includes(word);

/** The text with values in place of the names of tokens that fit and are no colours. */
export function withValues(
  type: PropertyType,
  text: string,
  tokens: TokenNames,
  as: 'value' | 'reference' = 'value',
): string {
  if (!type.takes || !/[A-Za-z_]/.test(text)) return text;
  return text.replaceAll(wordPattern, (word) => {
    const token = isFixed(type, word) ? undefined : tokens.get(word);
    return token && token.type !== 'color' && type.takes?.includes(token.type)
      ? ((as === 'reference' ? token.reference : undefined) ?? token.texts[''] ?? word)
      : word;
  });
}

/** Why a text with names in it is no value; undefined where no name is to blame. */
function nameProblem(type: PropertyType, text: string, tokens: TokenNames): string | undefined {
  for (const word of tokenWords(text)) {
    if (isFixed(type, word)) continue;
    const token = tokens.get(word);
    if (!token) {
      const fitting = [...tokens].flatMap(([name, { type: each }]) =>
        type.takes?.includes(each) ? name : [],
      );
      return `There is no token ${quoted(word)}.${didYouMean(word, [...type.words, ...fitting])}`;
    }
    if (!type.takes?.includes(token.type))
      return `${quoted(word)} is a ${token.type} token; ${type.expects} is expected.`;
  }
  return undefined;
}

/**
 * Reads a text of a type that takes tokens.
 *
 * @param tokens those of the project; undefined: they are not known, and any name is taken.
 * @returns the value with tokens worked out, but colours by name; and the canonical text, which names tokens.
 */
export function readWithTokens<T>(
  type: PropertyType<T>,
  text: string,
  tokens: TokenNames | undefined,
): Reading<T> {
  if (!type.takes || tokens === undefined || !/[A-Za-z_]/.test(text)) return type.read(text);
  const made = withValues(type, text, tokens);
  const reading = type.read(made);
  if (!reading.ok) {
    const message = nameProblem(type, text, tokens);
    const plain = type.read(text);
    if (message === undefined || plain.ok) return plain;
    // Where a name may have been meant it is told so; else what the type expects says it all.
    return type.colours || message.includes('Did you mean') || message.includes('token;')
      ? { ok: false, message: type.colours ? message : `${plain.message} ${message}` }
      : plain;
  }
  const strange = type.colours?.(reading.value).find((name) => tokens.get(name)?.type !== 'color');
  if (strange !== undefined) {
    const message = nameProblem(type, strange, tokens);
    if (message) return { ok: false, message };
  }
  if (made === text) return reading;
  const referring = withValues(type, text, tokens, 'reference');
  // Values that are texts may say of which token they are.
  const value = typeof reading.value === 'string' && referring !== made ? (referring as T) : reading.value;
  return { ok: true, value, text: text.trim().replaceAll(/\s+/g, ' ') };
}

/** Whether a text may be a value once it is known what its tokens are. */
export const mayHoldTokens = (type: PropertyType, text: string): boolean =>
  type.takes !== undefined && tokenWords(text).some((word) => !isFixed(type, word));
