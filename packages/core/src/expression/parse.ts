/** Reads expressions and event texts: ECMAScript by `acorn`, narrowed to the nodes of `ast.ts`. */
import { type Node, Parser } from 'acorn';
import type { Expression, Statement } from './ast.ts';
import { ExpressionError, type Outcome, outcome } from './problem.ts';
import { ExpressionReader } from './read-expression.ts';
import { StatementReader } from './read-statements.ts';

/** Longest text of one expression or event, in UTF-16 units. */
export const longestExpression = 10_000;
/** How events are read. */
export const parseOptions = {
  ecmaVersion: 2023,
  sourceType: 'script',
  allowReturnOutsideFunction: true,
} as const;

/**
 * Reads one expression.
 *
 * @param text ECMAScript.
 * @param offset added to positions, for expressions inside a longer text.
 */
export function parseExpression(text: string, offset = 0): Outcome<Expression> {
  return outcome(() => {
    if (text.trim() === '') throw new ExpressionError('An expression is missing here.', offset);
    refuseLong(text, offset);
    const node = acornRead(() => Parser.parseExpressionAt(text, 0, parseOptions), offset);
    const end = endWithParentheses(text, node.end);
    const [first] = text.slice(end).trimStart();
    if (first !== undefined)
      throw new ExpressionError(
        `\`${first}\` does not belong here; one expression is expected.`,
        text.indexOf(first, end) + offset,
      );
    return new ExpressionReader(offset).expression(node, 0);
  });
}

/** `parseExpressionAt` stops behind the inner expression when the whole is in parentheses. */
function endWithParentheses(text: string, end: number): number {
  let at = end;
  let open = 0;
  for (const character of text.slice(0, end)) {
    if (character === '(') open++;
    else if (character !== ' ') break;
  }
  while (open > 0) {
    const next = /^\s*\)/.exec(text.slice(at));
    if (!next) break;
    at += next[0].length;
    open--;
  }
  return at;
}

/** Reads what an event does: assignments, actions and `if`, with `;` between. */
export function parseStatements(text: string): Outcome<Statement[]> {
  return outcome(() => {
    refuseLong(text, 0);
    const program = acornRead(() => Parser.parse(text, parseOptions), 0);
    const reader = new StatementReader(0);
    return reader.statements(program.body, 0);
  });
}

function refuseLong(text: string, offset: number): void {
  if (text.length > longestExpression)
    throw new ExpressionError(
      `This is ${text.length} characters long; at most ${longestExpression} are read.`,
      offset,
    );
}

function acornRead<T extends Node>(read: () => T, offset: number): T {
  try {
    return read();
  } catch (error) {
    if (error instanceof SyntaxError && 'pos' in error) {
      const at = Number(error.pos);
      const message = error.message.replace(/ \(\d+:\d+\)$/, '');
      const plain =
        message === 'Unexpected token' ? 'Something is missing or does not belong here.' : `${message}.`;
      throw new ExpressionError(plain, at + offset);
    }
    throw error;
  }
}
