/** Putting a value into a list or record: into a copy, since values do not change. */
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { continuing } from '../document/row-identity.ts';
import { ownValue } from '../document/same.ts';
import { EvaluationError } from '../expression/evaluate.ts';

/**
 * A value with another one at some place inside it; all that stands beside it stays.
 *
 * @param keys that lead to the place, from outside in.
 * @throws EvaluationError where they lead to no place.
 */
export function inside(whole: unknown, keys: readonly string[], value: unknown): unknown {
  const [key, ...rest] = keys;
  if (key === undefined) return value;
  if (forbiddenKeys.has(key)) throw new EvaluationError(`\`${key}\` is out of reach for expressions.`);
  if (typeof whole !== 'object' || whole === null)
    throw new EvaluationError(`\`${key}\` cannot be assigned: there is nothing in front of it.`);
  const inner = inside(ownValue(whole, key), rest, value);
  if (!Array.isArray(whole)) return continuing({ ...whole, [key]: inner }, whole);
  const index = Number(key);
  if (!Number.isInteger(index) || index < 0 || index > whole.length)
    throw new EvaluationError(`There is no \`${key}\` in this list.`);
  return index === whole.length ? [...whole, inner] : whole.with(index, inner);
}
