/** The shape of an answer, learned from one, or from several records of a list. */
import { type AnswerShape, deepestShape, mostShapes, type ShapeType } from '../document/answer-shape.ts';
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { isRecord } from '../document/record.ts';
import { isDay } from '../document/state.ts';

/** So many items of a list are looked at. */
const mostItems = 500;

/** A value's own shape. */
function ofOne(value: unknown, depth: number, budget: { left: number }): AnswerShape {
  budget.left--;
  if (value === null || value === undefined) return { type: 'null' };
  if (typeof value === 'number') return { type: 'number' };
  if (typeof value === 'boolean') return { type: 'boolean' };
  if (typeof value === 'string')
    return value !== '' && isDay(value) ? { type: 'string', format: 'date' } : { type: 'string' };
  const isDeep = depth >= deepestShape || budget.left <= 0;
  if (Array.isArray(value)) {
    if (isDeep || value.length === 0) return { type: 'array' };
    const items = value
      .slice(0, mostItems)
      .map((item) => ofOne(item, depth + 1, { left: budget.left }))
      .reduce(both);
    budget.left -= countOf(items);
    return { type: 'array', items };
  }
  if (isDeep || !isRecord(value)) return { type: 'object' };
  const known = Object.entries(value).filter(([name]) => !forbiddenKeys.has(name));
  const properties = Object.fromEntries(known.map(([name, each]) => [name, ofOne(each, depth + 1, budget)]));
  return { type: 'object', properties, required: known.map(([name]) => name) };
}

const countOf = ({ properties = {}, items }: AnswerShape): number =>
  1 + Object.values(properties).reduce((sum, each) => sum + countOf(each), 0) + (items ? countOf(items) : 0);

const typesOf = ({ type }: AnswerShape): readonly ShapeType[] =>
  type === undefined ? [] : typeof type === 'string' ? [type] : type;

/** The shape of what is of one shape or of another. */
export function both(one: AnswerShape, other: AnswerShape): AnswerShape {
  const types = [...new Set([...typesOf(one), ...typesOf(other)])];
  if (types.length === 0) return {};
  const [first = 'null', ...more] = types;
  const isDayInBoth = [one, other].every(
    (each) => each.format === 'date' || !typesOf(each).includes('string'),
  );
  const names = new Set([...Object.keys(one.properties ?? {}), ...Object.keys(other.properties ?? {})]);
  const properties = Object.fromEntries(
    [...names].map((name) => {
      const shapes = [one, other].flatMap((each) => each.properties?.[name] ?? []);
      return [name, shapes.reduce(both)];
    }),
  );
  const records = [one, other].filter((each) => each.properties);
  const required = [...names].filter((name) => records.every((each) => each.required?.includes(name)));
  const items = [one, other].flatMap((each) => each.items ?? []);
  return {
    type: more.length === 0 ? first : types,
    ...(isDayInBoth && types.includes('string') ? { format: 'date' } : {}),
    ...(names.size > 0 ? { properties, required } : {}),
    ...(items.length > 0 ? { items: items.reduce(both) } : {}),
  };
}

/** @returns a shape that the answer has. */
export const learnedShape = (answer: unknown): AnswerShape => ofOne(answer, 0, { left: mostShapes });
