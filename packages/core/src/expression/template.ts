/**
 * Property values with expressions in them: `{guest.name}` is an expression as a whole, `Bunk {bunk.number}` is
 * text with expressions, `{guests, plural, one {# guest} other {# guests}}` a message, `{{` and `}}` are braces.
 */
import type { Expression, Template } from './ast.ts';
import { leavesOf, quotedWords, runsOf } from './message.ts';
import { expressionAt, messageExpression, messageText } from './message-meaning.ts';
import { type Outcome, outcome } from './problem.ts';

/** Whether a value has expressions in it (rather than being plain text). */
export function hasExpression(text: string): boolean {
  for (let index = text.indexOf('{'); index >= 0; index = text.indexOf('{', index)) {
    if (text[index + 1] !== '{') return true;
    index += 2;
  }
  return false;
}

/** Plain text with its doubled braces made single. */
export const unescapeBraces = (text: string): string => text.replaceAll('{{', '{').replaceAll('}}', '}');
/** Text in which a brace means a brace. */
export const escapeBraces = (text: string): string => text.replaceAll('{', '{{').replaceAll('}', '}}');

/** Reads a value with expressions. Positions in problems and names count from the value's start. */
export function parseTemplate(text: string): Outcome<Template> {
  return outcome(() => {
    const parts = runsOf(text).flatMap((run): (string | Expression)[] => {
      if (run.is === 'words') return [run.text];
      if (run.is === 'message') return [messageExpression(run)];
      return run.is === 'expression' ? [expressionAt(run.text, run.from + 1)] : [];
    });
    const whole = parts.length === 1 && typeof parts[0] !== 'string';
    return { parts, whole };
  });
}

/** A run of words, its braces single; or an expression or message with its braces around it. */
export interface TemplatePiece {
  readonly is: 'words' | 'expression';
  readonly text: string;
}

/** A value as its words and its expressions, one after another. @returns undefined where braces cannot be read. */
export function templatePieces(text: string): readonly TemplatePiece[] | undefined {
  const read = outcome(() =>
    runsOf(text).map(
      (run): TemplatePiece =>
        run.is === 'words'
          ? { is: 'words', text: run.text }
          : { is: 'expression', text: text.slice(run.from, run.to) },
    ),
  );
  return read.ok ? read.value : undefined;
}

/** A text with its words or its expressions changed, in messages, too. @returns undefined where braces cannot be read. */
function mapLeaves(
  text: string,
  is: 'words' | 'expression',
  change: (text: string, inForm: boolean, written: string) => string,
): string | undefined {
  const read = outcome(() => {
    let made = '';
    let done = 0;
    for (const { run, inForm } of leavesOf(runsOf(text))) {
      if (run.is !== is) continue;
      const [from, to] = is === 'words' ? [run.from, run.to] : [run.from + 1, run.to - 1];
      const next = change(run.text, inForm, text.slice(from, to));
      made += text.slice(done, from) + next;
      done = to;
    }
    return made + text.slice(done);
  });
  return read.ok ? read.value : undefined;
}

/** A value with its words changed, its expressions as they are. @returns undefined where braces cannot be read. */
export const mapWords = (text: string, change: (words: string) => string): string | undefined =>
  mapLeaves(text, 'words', (words, inForm, written) => {
    const next = change(words);
    return next === words ? written : (inForm ? quotedWords : escapeBraces)(next);
  });

/** A value with its expressions changed, its words as they are. @returns undefined where braces cannot be read. */
export const mapExpressions = (text: string, change: (expression: string) => string): string | undefined =>
  mapLeaves(text, 'expression', change);

/** The expressions of a value as they are written, those in messages, too. @returns undefined where braces cannot be read. */
export function expressionsOf(text: string): readonly string[] | undefined {
  const found: string[] = [];
  const read = mapExpressions(text, (expression) => {
    found.push(expression);
    return expression;
  });
  return read === undefined ? undefined : found;
}

/** A value whose messages are written as expressions that come to the same. @returns undefined where braces cannot be read. */
export function withoutMessages(text: string): string | undefined {
  const read = outcome(() =>
    runsOf(text)
      .map((run) => (run.is === 'message' ? `{${messageText(run)}}` : text.slice(run.from, run.to)))
      .join(''),
  );
  return read.ok ? read.value : undefined;
}
