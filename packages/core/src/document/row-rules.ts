/** The rules of a table's columns, as they hold while an application runs. */
import { ownValue } from './same.ts';
import { cellProblem, cellText, mustDiffer } from './table.ts';
import type { Column, Reference } from './types.ts';

/** Whether something is said of a column that a running application has to hold to. */
const isRuled = ({ required, unique, values, refers, min, max, role }: Column): boolean =>
  role === 'key' ||
  required === true ||
  unique === true ||
  refers !== undefined ||
  min !== undefined ||
  max !== undefined ||
  (values?.length ?? 0) > 0;

/** The columns of a table that a running application has to know. */
export const ruledColumns = (columns: readonly Column[] = []): readonly Column[] => columns.filter(isRuled);

/** The values that a column refers to, as texts; undefined where they are not known. */
export type Referred = (refers: Reference) => ReadonlySet<string> | undefined;

/**
 * Why a table may not become another one: a row that came or changed breaks a rule.
 *
 * @param columns those with rules.
 * @returns the rule that is broken, as a sentence; undefined where none is.
 */
export function brokenRule(
  columns: readonly Column[],
  before: readonly unknown[],
  after: readonly unknown[],
  referred: Referred,
): string | undefined {
  const there = new Set(before);
  for (const [at, row] of after.entries()) {
    if (there.has(row)) continue;
    for (const column of columns) {
      const { name, refers } = column;
      const value = ownValue(row, name);
      const problem = cellProblem(column, value, refers && referred(refers));
      if (problem) return problem;
      const isTaken = (other: unknown, index: number) => index !== at && ownValue(other, name) === value;
      if (mustDiffer(column) && value !== undefined && value !== null && value !== '' && after.some(isTaken))
        return `Another row has ${cellText(value)} as \`${name}\` already.`;
    }
  }
  return undefined;
}

/**
 * The key that a row gets which comes without one: the number behind the greatest of a table.
 *
 * @returns as a text where the column holds texts.
 */
export function nextKey({ name, type }: Column, rows: readonly unknown[]): number | string {
  const numbers = rows.map((row) => Number(ownValue(row, name))).filter(Number.isFinite);
  const next = 1 + numbers.reduce((most, each) => Math.max(most, each), 0);
  return type === 'number' ? next : String(next);
}
