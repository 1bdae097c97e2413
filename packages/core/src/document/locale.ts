/** The languages of a project, and what its words are in each of them. */

/** A text in another language. */
export interface Translation {
  /** What stands in place of the source text; empty: not translated yet. */
  readonly text: string;
  /** The source text that it was made from: where that is another one now, it is stale. */
  readonly source?: string;
  /** For those who translate. */
  readonly note?: string;
}

/** A language of the project. The first one is that of its source, and has no translations. */
export interface Locale {
  /** A tag of BCP 47: `en`, `de-CH`. */
  readonly tag: string;
  /** By the keys of the texts: `Tonight.heading.text`. */
  readonly strings?: Readonly<Record<string, Translation>>;
}

/** Most languages, most translations of one, and the longest text, note and key, in UTF-16 units. */
export const mostLocales = 60;
export const mostTranslations = 20_000;
export const longestTranslation = 20_000;
const longestKey = 400;

/** Why a text is no language tag; undefined where it is one (BCP 47, as ECMA-402 §6.2.1 reads it). */
export function tagProblem(tag: string): string | undefined {
  try {
    if (tag.length <= 64 && Intl.getCanonicalLocales(tag).length === 1) return undefined;
  } catch {
    // Said below.
  }
  return `\`${tag.slice(0, 64)}\` is no language: write a tag such as \`en\`, \`de-CH\` or \`pt-BR\`.`;
}

const rightToLeftScripts = new Set(['Adlm', 'Arab', 'Hebr', 'Mand', 'Nkoo', 'Rohg', 'Samr', 'Syrc', 'Thaa']);

/** Whether a language is written from right to left (by its most likely script, UTS #35 §4.3). */
export function isRightToLeft(tag: string): boolean {
  try {
    return rightToLeftScripts.has(new Intl.Locale(tag).maximize().script ?? '');
  } catch {
    return false;
  }
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** What is wrong with one translation from outside; undefined where nothing is. */
export function translationProblem(key: string, value: unknown): string | undefined {
  if (key.length > longestKey || !/^[^\s.]+(?:\..+)+$/.test(key))
    return `\`${key.slice(0, 80)}\` is no place of a text.`;
  if (!isRecord(value) || typeof value.text !== 'string') return `\`${key}\` has no \`text\`.`;
  const strange = Object.keys(value).find((field) => !['text', 'source', 'note'].includes(field));
  if (strange !== undefined)
    return `\`${key}\` has no \`${strange}\`: a translation has a text, a source and a note.`;
  for (const field of ['text', 'source', 'note'])
    if (
      value[field] !== undefined &&
      (typeof value[field] !== 'string' || value[field].length > longestTranslation)
    )
      return `\`${field}\` of \`${key}\` is a text of at most ${longestTranslation} characters.`;
  return undefined;
}
