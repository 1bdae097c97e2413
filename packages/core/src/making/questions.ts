/** What a form asks: one question for each thing that is wanted, from the columns of a table or a JSON Schema. */

import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { spoken } from '../document/spoken.ts';
import type { Row } from '../document/table.ts';
import { cellText } from '../document/table.ts';
import type { Column, ColumnType, Reference } from '../document/types.ts';

export interface FormQuestion {
  /** The key under which the answer is kept. */
  readonly name: string;
  /** As it is put to the person. */
  readonly label: string;
  readonly type: ColumnType;
  readonly required: boolean;
  /** No two records may have the same answer. */
  readonly unique: boolean;
  /** The only answers there are; empty: any. */
  readonly values: readonly string[];
  /** The answers are values of another list's column. */
  readonly refers?: Reference;
  /** Of numbers. */
  readonly min?: number;
  readonly max?: number;
  /** Of texts: a regular expression (HTML, `pattern`). */
  readonly pattern?: string;
  /** Of texts: characters. */
  readonly minLength?: number;
  readonly maxLength?: number;
  /** Of texts: several lines. */
  readonly long: boolean;
  readonly hint?: string;
}

/** Texts longer than this get several lines. */
const longText = 60;

export const questionsOf = (columns: readonly Column[], rows: readonly Row[]): FormQuestion[] =>
  columns
    .filter((column) => !isGiven(column))
    .map((column) => {
      const { name, type, required = false, unique = false, values = [], refers, min, max, role } = column;
      return {
        name,
        label: spoken(name),
        type,
        required: required || role === 'key',
        unique: unique || role === 'key',
        values,
        ...(refers ? { refers } : {}),
        ...(min === undefined ? {} : { min }),
        ...(max === undefined ? {} : { max }),
        long: type === 'text' && rows.some((row) => cellText(row[name]).length > longText),
      };
    });

/** A key that is a number is given by the table itself. */
const isGiven = ({ role, type }: Column): boolean => role === 'key' && type === 'number';

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Questions of a schema, and what of it a form cannot ask. */
export interface SchemaReading {
  readonly title: string | undefined;
  readonly questions: readonly FormQuestion[];
  /** In words, by property. */
  readonly leftOut: readonly string[];
}

/**
 * Reads an object of JSON Schema (2020-12, as far as it describes plain values): `type`, `enum`, `const`, `format: date`,
 * `required`, `minimum`, `maximum`, `pattern`, `minLength`, `maxLength`, `title`, `description`.
 *
 * @throws Error in words where it is no schema of an object.
 */
export function questionsOfSchema(schema: unknown): SchemaReading {
  if (!isRecord(schema) || !isRecord(schema.properties))
    throw new Error('A schema of an object is expected: it has `properties`.');
  const required = Array.isArray(schema.required) ? schema.required : [];
  const questions: FormQuestion[] = [];
  const leftOut: string[] = [];
  for (const [name, value] of Object.entries(schema.properties)) {
    if (name.trim() === '' || forbiddenKeys.has(name)) {
      leftOut.push(`\`${name}\` cannot be the name of a value.`);
      continue;
    }
    const question = isRecord(value) ? questionOf(name, value, required.includes(name)) : undefined;
    if (question) questions.push(question);
    else
      leftOut.push(
        `\`${name}\`: ${isRecord(value) && value.type !== undefined ? `a value of type ${String(value.type)}` : 'what has no type'} cannot be asked in one field.`,
      );
  }
  if (questions.length === 0) throw new Error('Nothing in this schema can be asked.');
  return { title: typeof schema.title === 'string' ? schema.title : undefined, questions, leftOut };
}

function questionOf(
  name: string,
  property: Readonly<Record<string, unknown>>,
  required: boolean,
): FormQuestion | undefined {
  const values = Array.isArray(property.enum)
    ? property.enum.filter((value) => typeof value !== 'object').map(String)
    : [];
  const types = [property.type].flat().filter((type) => type !== 'null');
  const type: ColumnType | undefined =
    types.length > 1
      ? undefined
      : types[0] === 'boolean'
        ? 'boolean'
        : types[0] === 'number' || types[0] === 'integer'
          ? 'number'
          : types[0] === 'string' || values.length > 0
            ? property.format === 'date'
              ? 'date'
              : 'text'
            : undefined;
  if (type === undefined) return undefined;
  const number = (key: string) => (typeof property[key] === 'number' ? property[key] : undefined);
  const [min, max] = [number('minimum'), number('maximum')];
  const [minLength, maxLength] = [number('minLength'), number('maxLength')];
  return {
    name,
    label: typeof property.title === 'string' ? property.title : spoken(name),
    type,
    required,
    unique: false,
    values,
    long: type === 'text' && values.length === 0 && (maxLength ?? 0) > longText,
    ...(min === undefined ? {} : { min }),
    ...(max === undefined ? {} : { max }),
    ...(minLength === undefined ? {} : { minLength }),
    ...(maxLength === undefined ? {} : { maxLength }),
    ...(typeof property.pattern === 'string' ? { pattern: property.pattern } : {}),
    ...(typeof property.description === 'string' ? { hint: property.description } : {}),
  };
}
