/**
 * What an expression can give, as far as that is known without working it out: every plain value that it may come to,
 * else the type of what comes out. What depends on data is not among them.
 */
import { isOneOf, itemAt } from '../sure.ts';
import type { Expression, Spread } from './ast.ts';
import { namesOf } from './names.ts';
import { isViewName, viewTypes } from './view-names.ts';

/** The type of a result. */
export type ResultType = 'text' | 'number' | 'boolean' | 'date' | 'list' | 'record' | 'function';

/** One result that an expression can have. */
export type Result =
  /** A plain value that is written there. */
  | { readonly value: string | number | boolean; readonly at: number }
  /** Something of a type. */
  | { readonly type: ResultType; readonly at: number };

/** The type of a variable; undefined where it is not known. */
export type TypeOf = (name: string) => string | undefined;

const resultTypes: readonly ResultType[] = ['text', 'number', 'boolean', 'date', 'list', 'record'];

/** What functions give, by full name or by the name in front of the dot; absent: it depends. */
const ofFunctions: Readonly<Record<string, ResultType>> = {
  Format: 'text',
  String: 'text',
  Math: 'number',
  Number: 'number',
  parseInt: 'number',
  parseFloat: 'number',
  Boolean: 'boolean',
  isNaN: 'boolean',
  isFinite: 'boolean',
  'Number.isInteger': 'boolean',
  'Number.isFinite': 'boolean',
  'Number.isNaN': 'boolean',
  Array: 'boolean',
  Object: 'list',
  Group: 'list',
  Rows: 'boolean',
  'JSON.stringify': 'text',
  encodeURIComponent: 'text',
  decodeURIComponent: 'text',
  'Array.from': 'list',
  'Object.fromEntries': 'record',
  'Date.until': 'number',
  'Date.weekday': 'number',
  'Date.week': 'number',
  'Date.days': 'list',
  'Random.next': 'number',
  'Random.id': 'text',
};

/** What methods give whatever they are called on; absent: it depends. */
const ofMethods: ReadonlyMap<string, ResultType> = new Map(
  (
    [
      [
        'text',
        'charAt join padEnd padStart repeat replace replaceAll substring toLowerCase toString toUpperCase trim trimEnd trimStart toFixed toPrecision',
      ],
      ['number', 'indexOf lastIndexOf localeCompare findIndex'],
      ['boolean', 'endsWith every includes some startsWith'],
      ['list', 'filter flat flatMap map split toReversed toSorted toSpliced with'],
    ] as const
  ).flatMap(([type, names]) => names.split(' ').map((name) => [name, type] as const)),
);

/**
 * @param at where the expression stands, for results that stand nowhere themselves: UTF-16 index into the text.
 * @returns all results that are known; none where nothing is.
 */
export function resultsOf(expression: Expression, typeOf: TypeOf, at: number): readonly Result[] {
  const place = firstPlace(expression) ?? at;
  const type = (what: ResultType): readonly Result[] => [{ type: what, at: place }];
  const inner = (part: Expression) => resultsOf(part, typeOf, place);
  switch (expression.type) {
    case 'literal': {
      const { value, span } = expression;
      // `null` fits every type: the property then has its default.
      return value === null || value === undefined ? [] : [{ value, at: span?.[0] ?? at }];
    }
    case 'name': {
      const known = isViewName(expression.name) ? viewTypes[expression.name] : typeOf(expression.name);
      return isOneOf(resultTypes, known) ? type(known) : [];
    }
    case 'member': {
      const isLength = expression.key.type === 'literal' && expression.key.value === 'length';
      const of = isLength ? inner(expression.of) : [];
      return of.some((result) => 'type' in result && (result.type === 'text' || result.type === 'list'))
        ? type('number')
        : [];
    }
    case 'unary':
      if (expression.operator === '!') return type('boolean');
      if (expression.operator === 'typeof') return type('text');
      return expression.operator === '-' &&
        expression.of.type === 'literal' &&
        typeof expression.of.value === 'number'
        ? [{ value: -expression.of.value, at: place }]
        : type('number');
    case 'binary': {
      const { operator, left, right } = expression;
      if (operator !== '+') return type(/^[-*/%]/.test(operator) ? 'number' : 'boolean');
      const sides = [inner(left), inner(right)];
      if (sides.some((side) => side.length > 0 && side.every(isText))) return type('text');
      return sides.every((side) => side.length > 0 && side.every(isNumber)) ? type('number') : [];
    }
    case 'logical':
      // What `&&` lets through from its left is often meant to be nothing.
      return expression.operator === '&&'
        ? inner(expression.right)
        : [...inner(expression.left), ...inner(expression.right)];
    case 'choice':
      return [...inner(expression.whenTrue), ...inner(expression.whenFalse)];
    case 'template':
      return type('text');
    case 'list':
    case 'record':
      return type(expression.type);
    case 'let':
      return resultsOf(expression.in, (name) => (name === expression.name ? undefined : typeOf(name)), place);
    case 'arrow':
    case 'pattern':
      return type('function');
    case 'call':
      return ofCall(expression.name, expression.arguments, inner) ?? type(ofFunction(expression.name)!);
    case 'method': {
      const known = ofMethods.get(expression.name);
      return known ? type(known) : [];
    }
  }
}

/** The type of a call's result where it follows from the arguments or is not known; undefined: the function's type. */
function ofCall(
  name: string,
  given: readonly (Expression | Spread)[],
  inner: (part: Expression) => readonly Result[],
): readonly Result[] | undefined {
  if (name === 'Range.steps' || name === 'Range.blend')
    // Numbers and values stand in turn behind the number that is mapped; a last number alone is an end.
    return given
      .slice(1)
      .flatMap((part, index) => (index % 2 === 1 && part.type !== 'spread' ? inner(part) : []));
  return ofFunction(name) ? undefined : [];
}

const ofFunction = (name: string): ResultType | undefined =>
  ofFunctions[name] ?? ofFunctions[itemAt(name.split('.'), 0)];

const isText = (result: Result): boolean =>
  'type' in result ? result.type === 'text' || result.type === 'date' : typeof result.value === 'string';
/** Whether adding takes it for a number. */
const isNumber = (result: Result): boolean =>
  'type' in result ? ['number', 'boolean'].includes(result.type) : typeof result.value !== 'string';

/** Where the first name of an expression stands; undefined where it names nothing. */
const firstPlace = (expression: Expression): number | undefined =>
  expression.type === 'literal' ? expression.span?.[0] : namesOf(expression)[0]?.span[0];
