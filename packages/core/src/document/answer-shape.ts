/**
 * What the answer of a request looks like: the part of JSON Schema (draft 2020-12, and OpenAPI 3.0's `nullable`) that says
 * which values there are. It is learned from an answer or read from a schema; a page holds each answer against it.
 */
import { forbiddenKeys } from './forbidden-keys.ts';
import { isRecord } from './record.ts';
import { isDay } from './state.ts';

export const shapeTypes = ['string', 'number', 'integer', 'boolean', 'object', 'array', 'null'] as const;
export type ShapeType = (typeof shapeTypes)[number];

/** A schema; one that says nothing takes any value. */
export interface AnswerShape {
  /** The types that a value may have; absent: any. */
  readonly type?: ShapeType | readonly ShapeType[];
  /** Of a text: a day as HTML writes it. */
  readonly format?: 'date';
  /** The only texts and numbers that it may be. */
  readonly enum?: readonly (string | number | boolean | null)[];
  /** Of an object: the values that it has, by name. Others may stand beside them. */
  readonly properties?: Readonly<Record<string, AnswerShape>>;
  readonly required?: readonly string[];
  /** Of an array: what each of its items is. */
  readonly items?: AnswerShape;
}

/** How deep shapes may stand in each other, and how many there may be in one. */
export const deepestShape = 12;
export const mostShapes = 1000;

const typesOf = ({ type }: AnswerShape): readonly ShapeType[] | undefined =>
  type === undefined ? undefined : typeof type === 'string' ? [type] : type;

/** The type of a JSON value, as JSON Schema names it. */
function typeOf(value: unknown): ShapeType {
  if (value === null || value === undefined) return 'null';
  if (Array.isArray(value)) return 'array';
  if (typeof value === 'number') return Number.isInteger(value) ? 'integer' : 'number';
  if (typeof value === 'string') return 'string';
  return typeof value === 'boolean' ? 'boolean' : 'object';
}

const words: Readonly<Record<ShapeType, string>> = {
  string: 'a text',
  number: 'a number',
  integer: 'a whole number',
  boolean: 'true or false',
  object: 'a record',
  array: 'a list',
  null: 'nothing',
};

/**
 * The first place where a value is not what a shape says.
 *
 * @param at the place of the value, as JavaScript writes it: `answer.items[3]`.
 * @returns a sentence; undefined where all of it fits.
 */
export function misfitOf(shape: AnswerShape, value: unknown, at = 'answer'): string | undefined {
  const types = typesOf(shape);
  const type = typeOf(value);
  if (types && !types.some((each) => each === type || (each === 'number' && type === 'integer')))
    return `\`${at}\` is ${words[type]}, not ${types.map((each) => words[each]).join(' or ')}.`;
  if (value === null || value === undefined) return undefined;
  if (shape.enum && !shape.enum.includes(value as string))
    return `\`${at}\` is none of the values it may be.`;
  if (shape.format === 'date' && typeof value === 'string' && !isDay(value)) return `\`${at}\` is no day.`;
  if (Array.isArray(value)) {
    const { items } = shape;
    if (!items) return undefined;
    for (const [index, item] of value.entries()) {
      const misfit = misfitOf(items, item, `${at}[${index}]`);
      if (misfit) return misfit;
    }
    return undefined;
  }
  return isRecord(value) ? misfitInside(shape, value, at) : undefined;
}

function misfitInside(
  { properties = {}, required = [] }: AnswerShape,
  value: Readonly<Record<string, unknown>>,
  at: string,
): string | undefined {
  const missing = required.find((name) => value[name] === undefined);
  if (missing !== undefined) return `\`${at}.${missing}\` is missing.`;
  for (const [name, inner] of Object.entries(properties)) {
    const misfit = value[name] === undefined ? undefined : misfitOf(inner, value[name], `${at}.${name}`);
    if (misfit) return misfit;
  }
  return undefined;
}

/** The shape at a place in another one, `items` or `data.rows`; undefined where nothing is said of it. */
export const shapeAt = (shape: AnswerShape | undefined, place: string | undefined): AnswerShape | undefined =>
  (place ? place.split('.') : []).reduce<AnswerShape | undefined>(
    (inner, name) => inner?.properties?.[name],
    shape,
  );

/** The properties of a result that is a record, or a list of records; undefined where it is neither. */
export function rowShape(
  shape: AnswerShape | undefined,
): { readonly of: AnswerShape; readonly is: 'rows' | 'row' } | undefined {
  const row = shape?.items ?? shape;
  return row?.properties ? { of: row, is: shape?.items ? 'rows' : 'row' } : undefined;
}

/** What is wrong with a shape from outside; undefined where nothing is. */
export function shapeProblem(value: unknown): string | undefined {
  let count = 0;
  const problemAt = (shape: unknown, depth: number): string | undefined => {
    if (!isRecord(shape)) return 'a part of its shape is no record.';
    if (depth > deepestShape) return `its shape is nested more than ${deepestShape} times.`;
    if (++count > mostShapes) return `its shape has more than ${mostShapes} parts.`;
    const { type, format, enum: values, properties, required, items } = shape;
    const types: readonly unknown[] = type === undefined ? [] : Array.isArray(type) ? type : [type];
    if (!types.every((each) => shapeTypes.some((known) => known === each)))
      return `a type of its shape is none of ${shapeTypes.join(', ')}.`;
    if (format !== undefined && format !== 'date') return 'the only format of a shape is `date`.';
    if (values !== undefined && !(Array.isArray(values) && values.every((each) => typeof each !== 'object')))
      return 'the values of a shape are no list of texts and numbers.';
    if (
      required !== undefined &&
      !(Array.isArray(required) && required.every((each) => typeof each === 'string'))
    )
      return 'what a shape requires is no list of names.';
    if (properties !== undefined && !isRecord(properties)) return 'the properties of a shape are no record.';
    for (const [name, inner] of Object.entries(properties ?? {})) {
      if (forbiddenKeys.has(name)) return `\`${name}\` is no name of a property.`;
      const problem = problemAt(inner, depth + 1);
      if (problem) return problem;
    }
    return items === undefined ? undefined : problemAt(items, depth + 1);
  };
  return problemAt(value, 0);
}
