/** The expression that takes over what visitors kept from an older version of an application. */
import { didYouMean } from '../document/nearest.ts';
import { namesOf } from './names.ts';
import { parseExpression } from './parse.ts';

/** What it can read: the values that were kept, by variable, and the version that they were kept under. */
const readable = ['kept', 'version'];

/** Longest text, in UTF-16 units. */
const longest = 10_000;

/** Why a text cannot be such an expression; undefined where it can. */
export function migrationProblem(text: string): string | undefined {
  if (text.length > longest) return `The migration has at most ${longest} characters.`;
  const read = parseExpression(text);
  if (!read.ok) return `The migration: ${read.problem.message}`;
  const other = namesOf(read.value).find(({ name }) => !readable.includes(name));
  return other
    ? `The migration reads \`kept\` and \`version\` only, not \`${other.name}\`.${didYouMean(other.name, readable)}`
    : undefined;
}
