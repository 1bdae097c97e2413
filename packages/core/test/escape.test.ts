/**
 * The interpreter cannot be left: whatever is written, what comes out is plain data, nothing of the language it is
 * written in, and nothing outside changes. A list of texts that try, and texts made by a grammar.
 */
import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { forbiddenKeys } from '../src/document/forbidden-keys.ts';
import { EvaluationError } from '../src/expression/budget.ts';
import { evaluateTemplate } from '../src/expression/evaluate.ts';
import { constants, functions, methodNames } from '../src/expression/functions.ts';
import { parseStatements, parseTemplate } from '../src/index.ts';
import { Runtime } from '../src/runtime/index.ts';
import { noActing } from './documents.ts';

const values: Readonly<Record<string, unknown>> = {
  name: 'Ilka',
  count: 3,
  late: false,
  rows: [
    { who: 'Ilka', nights: 2 },
    { who: 'Oda', nights: 5, constructor: 'a text' },
  ],
  record: { toString: 'a text', valueOf: 4, length: 2, inner: { list: [1, [2]] } },
  nothing: null,
};
const scope = (name: string): unknown => {
  if (Object.hasOwn(values, name)) return values[name];
  throw new EvaluationError(`There is no ${name}`);
};

/** Whether a value is made of nothing but plain data. */
function isPlainAllThrough(value: unknown, depth = 0): boolean {
  if (depth > 60) return true;
  if (value === null || ['string', 'number', 'boolean', 'undefined'].includes(typeof value)) return true;
  if (typeof value !== 'object') return false;
  const prototype: unknown = Object.getPrototypeOf(value);
  if (Array.isArray(value))
    return prototype === Array.prototype && value.every((item) => isPlainAllThrough(item, depth + 1));
  return (
    (prototype === Object.prototype || prototype === null) &&
    Object.getOwnPropertySymbols(value).length === 0 &&
    Object.values(Object.getOwnPropertyDescriptors(value)).every(
      (each) => 'value' in each && isPlainAllThrough(each.value, depth + 1),
    )
  );
}

/** What an expression gives; a refusal is nothing. */
function outcome(text: string): unknown {
  const read = parseTemplate(`{${text}}`);
  if (!read.ok) return undefined;
  try {
    return evaluateTemplate(read.value, scope);
  } catch (error) {
    if (!(error instanceof EvaluationError)) throw error;
    return undefined;
  }
}

/** Everything that a leak could spoil. */
const spoilable = (): unknown[] =>
  [Object, Array, String, Number, Function].flatMap((each) => [
    Object.getOwnPropertyNames(each).length,
    Object.getOwnPropertyNames(each.prototype).length,
  ]);
let before: unknown[];
let valuesBefore: string;
beforeAll(() => {
  before = spoilable();
  valuesBefore = JSON.stringify(values);
});
afterAll(() => {
  expect(spoilable()).toEqual(before);
  expect(JSON.stringify(values)).toBe(valuesBefore);
  expect(({} as Record<string, unknown>).polluted).toBeUndefined();
});

const prototypeNames = [
  ...Object.getOwnPropertyNames(Object.prototype),
  ...forbiddenKeys,
  'apply',
  'call',
  'bind',
  'arguments',
  'globalThis',
  'window',
  'self',
  'process',
  'require',
  'Function',
  'eval',
  'Reflect',
  'Proxy',
  'Symbol',
];

const ways = [
  (name: string) => name,
  (name: string) => `rows.${name}`,
  (name: string) => `name.${name}`,
  (name: string) => `record["${name}"]`,
  (name: string) => `[].${name}`,
  (name: string) => `(() => 1).${name}`,
  (name: string) => `rows.map(x => x.${name})`,
  (name: string) => `({ ${name} })`,
  (name: string) => `({ ["${name}"]: 1 })`,
  (name: string) => `[${name}][0]`,
  (name: string) => `name?.["${name}"]`,
  (name: string) => `rows["${name.slice(0, 3)}" + "${name.slice(3)}"]`,
  (name: string) => `Group.by(rows, "${name}")[0].key`,
  (name: string) => `${name}.${name}`,
];
const hostile = [
  ...new Set([
    ...prototypeNames.flatMap((name) => ways.map((way) => way(name))),
    'rows.map(x => x, {})',
    'rows.map(x => (y => y))',
    'rows.filter((x, i, all) => all.map)',
    'rows.reduce((a, b) => a, x => x)',
    'rows.reduce((a, b) => ({ a }), { f: 1 })',
    'rows.concat(x => x)',
    '[1].with(0, x => x)',
    '[1].toSpliced(0, 1, x => x)',
    '[1].includes(x => x)',
    '[3, 1].toSorted((a, b) => x => x)',
    'rows.find(x => x => 1)',
    'rows.at(x => 1)',
    '[x => x]',
    '({ f: x => x })',
    'late || (x => x)',
    'late ? 1 : x => x',
    'name.replace("a", x => x)',
    'name.split(x => x)',
    'Format.number(1, { toJSON: x => x })',
    'Format.list(rows)',
    'Format.list([record])',
    'Format.number(1, record)',
    'Format.unit(1, record)',
    'Format.plural(1, record)',
    'Format.date(name, { timeZone: "x" })',
    'Object.entries(record)',
    'Object.values(rows)',
    'Object.keys("x".repeat(99))',
    'Number(record)',
    'isNaN(record)',
    'parseInt(record, record)',
    'record + record',
    'record == 4',
    // biome-ignore lint/suspicious/noTemplateCurlyInString: the expression's own template.
    '`${record}`',
    'String(record)',
    'Math.max(record, rows)',
    'Array.isArray(rows.map)',
    'typeof rows.map',
    'typeof constructor',
    '!constructor',
    'constructor ?? 1',
    'hasOwnProperty("x")',
    'toString()',
    'valueOf',
    'Math.constructor',
    'Math["constructor"]',
    'Number.prototype',
    'Number.prototype.constructor',
    'Object.prototype',
    'Object.constructor',
    'Array.prototype.map',
    'Format["number"].constructor',
    'View.constructor',
    'Range.constructor',
    'NaN.constructor',
    'undefined.constructor',
    'name.at(-1).constructor',
    'count.toFixed.call',
    'count["toFixed"]',
    'late.toString.constructor',
  ]),
];

it('no hostile text gives anything but plain data', () => {
  expect(hostile.length).toBeGreaterThan(300);
  for (const text of hostile) {
    const value = outcome(text);
    expect(isPlainAllThrough(value), text).toBe(true);
    expect(JSON.stringify(value) ?? '', text).not.toMatch(/native code/);
  }
});

it('tables that are looked up by names have nothing but their own', () => {
  for (const table of [functions, constants]) {
    expect(Object.getPrototypeOf(table)).toBeNull();
  }
});

/** Expressions by the grammar that the parser knows, with names that lead out strewn in. */
const grammar = fc.letrec<Record<'expression' | 'arrow', string>>((tie) => {
  const inner = tie('expression');
  const name = fc.oneof(
    { weight: 3, arbitrary: fc.constantFrom(...Object.keys(values), 'x') },
    { weight: 1, arbitrary: fc.constantFrom(...prototypeNames) },
  );
  const member = fc.constantFrom('who', 'length', 'inner', '0', ...prototypeNames.slice(0, 14));
  const call = fc.constantFrom(...Object.keys(functions));
  const method = fc.constantFrom(...methodNames, ...prototypeNames.slice(0, 12));
  return {
    arrow: inner.map((body) => `x => ${body}`),
    expression: fc.oneof(
      { depthSize: 'small', withCrossShrink: true },
      name,
      fc.constantFrom('1', '"a"', 'null', 'undefined', '[]', '({})', '``', 'true', '-1', '99'),
      fc.tuple(inner, member).map(([of, key]) => `(${of}).${/^\d/.test(key) ? `at(${key})` : key}`),
      fc.tuple(inner, inner).map(([of, key]) => `(${of})[${key}]`),
      fc
        .tuple(inner, inner, fc.constantFrom('+', '-', '*', '==', '===', '<', '&&', '||', '??', '**'))
        .map(([one, other, sign]) => `(${one}) ${sign} (${other})`),
      fc.tuple(inner, inner, inner).map(([test, one, other]) => `((${test}) ? (${one}) : (${other}))`),
      fc.array(inner, { maxLength: 3 }).map((items) => `[${items.join(', ')}]`),
      fc.tuple(inner, inner).map(([key, value]) => `({ [${key}]: ${value}, ...(${value}) })`),
      fc.tuple(inner, inner).map(([one, other]) => `[...(${one}), ${other}]`),
      fc
        .tuple(call, fc.array(inner, { maxLength: 3 }))
        .map(([each, given]) => `${each}(${given.join(', ')})`),
      fc
        .tuple(inner, method, fc.array(fc.oneof(inner, tie('arrow')), { maxLength: 3 }))
        .map(([of, each, given]) => `(${of}).${each}(${given.join(', ')})`),
      inner.map((of) => `\`\${${of}}\``),
      inner.map((of) => `typeof (${of})`),
    ),
  };
});

describe('what a grammar makes', () => {
  it('gives plain data or a refusal, and ends', () => {
    let given = 0;
    fc.assert(
      fc.property(grammar.expression, (text) => {
        const value = outcome(text);
        if (value !== undefined) given += 1;
        expect(isPlainAllThrough(value), text).toBe(true);
      }),
      { numRuns: 6000 },
    );
    // Most of it would prove nothing if it were all refused.
    expect(given).toBeGreaterThan(500);
  });

  it('keeps state plain, whatever an event assigns', () => {
    fc.assert(
      fc.property(
        grammar.expression,
        fc.constantFrom('rows', 'record', 'record.inner', 'name'),
        (text, target) => {
          const read = parseStatements(
            `${target} = ${text}; add(rows, ${text}); change(rows, rows[0], ${text})`,
          );
          if (!read.ok) return;
          const types = {
            name: 'text',
            count: 'number',
            late: 'boolean',
            rows: 'list',
            record: 'record',
          } as const;
          const state = Object.entries(types).map(([name, type]) => ({
            name,
            type,
            initial: values[name] as never,
          }));
          const runtime = new Runtime({ state, screens: [] }, { acting: noActing, problem: () => undefined });
          runtime.run(read.value);
          for (const { name } of state)
            expect(isPlainAllThrough(runtime.read(name)), `${target} = ${text}`).toBe(true);
        },
      ),
      { numRuns: 1500 },
    );
  });
});
