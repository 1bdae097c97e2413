/**
 * What an expression may call. Everything else is refused, so an expression reaches nothing but its own data.
 * All are ECMAScript's functions and methods of the same name, and formats; none changes its arguments.
 */
import { isSameRow } from '../document/row-identity.ts';
import { same } from '../document/same.ts';
import { groupFunctions } from './groups.ts';

/**
 * Functions by full name that every page has. Tables that are looked up by names from outside have their entries and nothing else: no
 * prototype (ECMAScript §B.3.1).
 */
const table: Record<string, (...values: never[]) => unknown> = {
  __proto__: null as never,
  Number: (value: unknown) => Number(value),
  String: (value: unknown) => value,
  Boolean: (value: unknown) => Boolean(value),
  parseInt: Number.parseInt,
  parseFloat: Number.parseFloat,
  isNaN: (value: number) => Number.isNaN(Number(value)),
  isFinite: (value: number) => Number.isFinite(Number(value)),
  'Number.isInteger': Number.isInteger,
  'Number.isFinite': Number.isFinite,
  'Number.isNaN': Number.isNaN,
  'Number.parseFloat': Number.parseFloat,
  'Number.parseInt': Number.parseInt,
  'Math.abs': Math.abs,
  'Math.ceil': Math.ceil,
  'Math.floor': Math.floor,
  'Math.round': Math.round,
  'Math.trunc': Math.trunc,
  'Math.sign': Math.sign,
  'Math.sqrt': Math.sqrt,
  'Math.pow': Math.pow,
  'Math.log': Math.log,
  'Math.log10': Math.log10,
  'Math.exp': Math.exp,
  'Math.hypot': Math.hypot,
  'Math.min': Math.min,
  'Math.max': Math.max,
  'Math.sin': Math.sin,
  'Math.cos': Math.cos,
  'Math.tan': Math.tan,
  'Math.atan2': Math.atan2,
  'Array.isArray': Array.isArray,
  'Object.keys': (value: object) => Object.keys(value ?? {}),
  'Object.values': (value: object) => Object.values(value ?? {}),
  'Object.entries': (value: object) => Object.entries(value ?? {}),
  'Rows.same': (one: unknown, other: unknown) => isSameRow(one, other) || same(one, other),
  ...groupFunctions,
};

/** Methods of texts that may be given a regular expression. */
export const patternMethods: ReadonlySet<string> = new Set([
  'match',
  'matchAll',
  'replace',
  'replaceAll',
  'search',
  'split',
]);

/** What texts do with regular expressions, by the names of their methods; a page has them where it has a use for them. */
export const patterned: Record<string, (...values: never[]) => unknown> = { __proto__: null as never };

/** Adds what texts do with regular expressions. */
export const addPatterns = (more: Functions): unknown => Object.assign(patterned, more);

export type Functions = Readonly<Record<string, (...values: never[]) => unknown>>;
export const functions: Functions = table;

/** Adds functions that only some applications call. @returns all that there are then. */
export function addFunctions(more: Functions): Functions {
  return Object.assign(table, more);
}

/** Constants by full name. */
export const constants: Readonly<Record<string, number>> = {
  __proto__: null as never,
  'Math.PI': Math.PI,
  'Math.E': Math.E,
  'Number.MAX_SAFE_INTEGER': Number.MAX_SAFE_INTEGER,
  NaN: Number.NaN,
  Infinity: Number.POSITIVE_INFINITY,
};

/** Names that hold functions and constants but are no values themselves. */
export const namespaces: ReadonlySet<string> = new Set([
  'Math',
  'Number',
  'Array',
  'Object',
  'Date',
  'Format',
  'JSON',
  'Random',
  'Range',
  'Group',
  'Rows',
  'View',
]);

/** Methods by the type of the value in front of the dot. */
export const methods: Readonly<Record<'string' | 'number' | 'boolean' | 'list', ReadonlySet<string>>> = {
  string: new Set(
    'at charAt concat endsWith includes indexOf lastIndexOf localeCompare match matchAll padEnd padStart repeat replace replaceAll search slice split startsWith substring test toLowerCase toString toUpperCase trim trimEnd trimStart'.split(
      ' ',
    ),
  ),
  number: new Set('toFixed toPrecision toString'.split(' ')),
  boolean: new Set(['toString']),
  list: new Set(
    'at concat every filter find findIndex findLast flat flatMap includes indexOf join lastIndexOf map reduce slice some toReversed toSorted toSpliced toString with'.split(
      ' ',
    ),
  ),
};

/** All method names, whatever the type. */
export const methodNames: ReadonlySet<string> = new Set(
  Object.values(methods).flatMap((names) => [...names]),
);
