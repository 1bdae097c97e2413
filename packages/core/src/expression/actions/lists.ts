/** What actions on lists read what a variable holds as. */
import { budgetNow } from '../budget.ts';
import { EvaluationError } from '../evaluate.ts';

/** @throws EvaluationError where it is no list. */
export function listOf(value: unknown): readonly unknown[] {
  if (!Array.isArray(value)) throw new EvaluationError('It takes a list; this is none.');
  budgetNow().spend(value.length);
  return value;
}

/** Its fields; none where it is no record. */
export const recordOf = (value: unknown): object =>
  typeof value === 'object' && value !== null ? value : {};
