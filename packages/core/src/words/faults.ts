/** What is wrong with a translation: its expressions are those of the source text, whatever the words around them. */
import { expressionsOf, parseTemplate } from '../expression/template.ts';
import type { WordsPlace } from './places.ts';

/** The expressions of a text, as they are written, those in messages too. */
const expressionsIn = (text: string): readonly string[] =>
  (expressionsOf(text) ?? []).map((inner) => inner.trim().replaceAll(/\s+/g, ' '));

/** Characters that no XML text may have (XML 1.0 §2.2), halves of surrogate pairs included. */
// biome-ignore lint/suspicious/noControlCharactersInRegex: they are what is looked for.
const noText = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|\p{Cs}/u;

/** Whether a piece is words without expressions: the label of an entry, a message of an event. */
const isPlain = ({ part }: Pick<WordsPlace, 'part'>): boolean => part !== undefined;

/**
 * Why a translation is not used; undefined where it is. It may leave nothing out that the source text works out, and brings in
 * nothing else: what a translation says is never carried out.
 */
export function translationFault(place: Pick<WordsPlace, 'part' | 'text'>, text: string): string | undefined {
  if (noText.test(text)) return 'It has a control character, which no text has.';
  if (isPlain(place)) return undefined;
  // Neither works anything out, nor is a message.
  if (!/[{}]/.test(place.text + text)) return undefined;
  const read = parseTemplate(text);
  if (!read.ok) return `It cannot be read: ${read.problem.message}`;
  const found = expressionsIn(text);
  const wanted = expressionsIn(place.text);
  const missing = wanted.find((each) => !found.includes(each));
  if (missing !== undefined) return `It leaves out \`{${missing}}\`.`;
  const strange = found.find((each) => !wanted.includes(each));
  return strange === undefined
    ? undefined
    : `It brings in \`{${strange}}\`, which the source text does not have.`;
}
