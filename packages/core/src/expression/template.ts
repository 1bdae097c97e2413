/**
 * Property values with expressions in them: `{guest.name}` is an expression as a whole, `Bunk {bunk.number}` is
 * text with expressions, `{{` and `}}` are braces.
 */
import type { Expression, Template } from './ast.ts';
import { parseExpression } from './parse.ts';
import { ExpressionError, type Outcome, outcome } from './problem.ts';

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
    const parts: (string | Expression)[] = [];
    let literal = '';
    let index = 0;
    while (index < text.length) {
      const character = text.charAt(index);
      if (character === '{' && text[index + 1] === '{') {
        literal += '{';
        index += 2;
      } else if (character === '}') {
        literal += '}';
        index += text[index + 1] === '}' ? 2 : 1;
      } else if (character === '{') {
        const end = closingBrace(text, index);
        const inner = parseExpression(text.slice(index + 1, end), index + 1);
        if (!inner.ok) throw new ExpressionError(inner.problem.message, inner.problem.at);
        if (literal) parts.push(literal);
        literal = '';
        parts.push(inner.value);
        index = end + 1;
      } else {
        literal += character;
        index++;
      }
    }
    if (literal) parts.push(literal);
    const whole = parts.length === 1 && typeof parts[0] !== 'string';
    return { parts, whole };
  });
}

/** A run of words, its braces single; or an expression with its braces around it. */
export interface TemplatePiece {
  readonly is: 'words' | 'expression';
  readonly text: string;
}

/** A value as its words and its expressions, one after another. @returns undefined where a brace is not closed. */
export function templatePieces(text: string): readonly TemplatePiece[] | undefined {
  const pieces: TemplatePiece[] = [];
  let words = '';
  const flush = () => {
    if (words) pieces.push({ is: 'words', text: words });
    words = '';
  };
  const read = outcome(() => {
    for (let index = 0; index < text.length; index++) {
      const character = text.charAt(index);
      const doubled = (character === '{' || character === '}') && text[index + 1] === character;
      if (character === '{' && !doubled) {
        const end = closingBrace(text, index);
        flush();
        pieces.push({ is: 'expression', text: text.slice(index, end + 1) });
        index = end;
      } else {
        words += character;
        if (doubled) index++;
      }
    }
    flush();
    return pieces;
  });
  return read.ok ? read.value : undefined;
}

/** A value with its words changed, its expressions as they are. @returns undefined where a brace is not closed. */
export const mapWords = (text: string, change: (words: string) => string): string | undefined =>
  templatePieces(text)
    ?.map((piece) => (piece.is === 'words' ? escapeBraces(change(piece.text)) : piece.text))
    .join('');

/** A value with its expressions changed, its words as they are. @returns undefined where a brace is not closed. */
export function mapExpressions(text: string, change: (expression: string) => string): string | undefined {
  let made = '';
  const read = outcome(() => {
    for (let index = 0; index < text.length; index++) {
      const character = text.charAt(index);
      const isDoubled = (character === '{' || character === '}') && text[index + 1] === character;
      if (isDoubled) {
        made += character + character;
        index++;
      } else if (character === '{') {
        const end = closingBrace(text, index);
        made += `{${change(text.slice(index + 1, end))}}`;
        index = end;
      } else made += character;
    }
    return made;
  });
  return read.ok ? read.value : undefined;
}

/** The index of the brace that closes the one at `open`, past strings and nested braces. */
export function closingBrace(text: string, open: number): number {
  let depth = 0;
  let quote = '';
  for (let index = open; index < text.length; index++) {
    const character = text.charAt(index);
    if (quote) {
      if (character === '\\') index++;
      else if (character === quote) quote = '';
    } else if (character === '"' || character === "'" || character === '`') quote = character;
    else if (character === '{') depth++;
    else if (character === '}' && --depth === 0) return index;
  }
  throw new ExpressionError('The `}` that closes this is missing.', open);
}
