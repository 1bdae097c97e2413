/** Errors in source files, each at its place. */
import { itemAt } from '../sure.ts';

export interface SourceProblem {
  readonly file: string;
  /** Counted from 1. */
  readonly line: number;
  /** Counted from 1, in UTF-16 units. */
  readonly column: number;
  readonly message: string;
}

/** `file:line:column: message`, as compilers print it. */
export const problemLine = (problem: SourceProblem): string =>
  `${problem.file}:${problem.line}:${problem.column}: ${problem.message}`;

/** Line and column of a UTF-16 index. */
export function placeAt(text: string, index: number): { line: number; column: number } {
  const before = text.slice(0, Math.max(0, index));
  const lines = before.split(/\r\n|\r|\n/);
  return { line: lines.length, column: itemAt(lines, -1).length + 1 };
}
