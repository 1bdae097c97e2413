import { describe, expect, it } from 'vitest';
import { EvaluationError } from '../src/expression/budget.ts';
import { checkStatements, checkTarget } from '../src/expression/check.ts';
import { evaluate, evaluateTemplate } from '../src/expression/evaluate.ts';
import { escapeBraces, unescapeBraces } from '../src/expression/template.ts';
import {
  checkTemplate,
  hasExpression,
  parseExpression,
  parseStatements,
  parseTemplate,
} from '../src/index.ts';

const data: Record<string, unknown> = {
  guests: 3,
  name: 'Ilka',
  list: [4, 1, 3],
  party: { name: 'Areth', size: 2 },
  late: false,
};
const scope = (name: string) => {
  if (!Object.hasOwn(data, name)) throw new EvaluationError(`There is no ${name}`);
  return data[name];
};
function value(text: string): unknown {
  const parsed = parseExpression(text);
  if (!parsed.ok) throw new Error(`${parsed.problem.message} at ${parsed.problem.at}`);
  return evaluate(parsed.value, scope);
}

describe('an expression', () => {
  it.each<[string, unknown]>([
    ['1 + 2 * 3', 7],
    ['(guests + 1) * 2', 8],
    ['(guests) + 1', 4],
    ['name + " Sorrel"', 'Ilka Sorrel'],
    // biome-ignore lint/suspicious/noTemplateCurlyInString: the expression itself is a template.
    ['`${guests} guests`', '3 guests'],
    ['guests > 2 && !late ? "many" : "few"', 'many'],
    ['party.name', 'Areth'],
    ['party["size"] ** 2', 4],
    ['party?.missing?.deeper', undefined],
    ['list.map(x => x * 2).filter(x => x > 2).join("-")', '8-6'],
    ['list.toSorted((a, b) => a - b)[0]', 1],
    ['list.reduce((sum, x) => sum + x, 0)', 8],
    ['[...list, 9].length', 4],
    ['({ ...party, size: 5 }).size', 5],
    ['Math.round(2.6) + Math.PI - Math.PI', 3],
    ['name.toUpperCase().padEnd(6, ".")', 'ILKA..'],
    ['(3.14159).toFixed(2)', '3.14'],
    ['Number("12") + Number.parseInt("7px")', 19],
    ['typeof guests', 'number'],
    ['null ?? "none"', 'none'],
    ['undefined == null', true],
    ['"3" == guests', true],
    ['String([1, [2, 3]])', '1,2,3'],
  ])('%s', (text, expected) => {
    expect(value(text)).toEqual(expected);
  });

  it.each([
    'party.constructor',
    'party["constr" + "uctor"]',
    'party.__proto__',
    '({}).__proto__',
    '({ __proto__: party })',
    '({ ["__proto__"]: 1 })',
    'list.constructor.constructor("return 1")()',
    'window',
    'globalThis.process',
    'this.x',
    'Math.constructor',
    'Object.getPrototypeOf(party)',
    'Function("return 1")()',
    'eval("1")',
    'fetch("/")',
    'new Date()',
    'import("x")',
    'guests = 4',
    'guests++',
    'x => x',
    '(x => x)(1)',
    'list.map(f => f(f))',
    'list.map(function () { return 1 })',
    '/a+/.exec(name)',
    '10n',
    'delete party.name',
    'list.push(1)',
    'name.__defineGetter__("a", 1)',
    'a, b',
    'async () => 1',
    '',
    '1 +',
    '1 2',
  ])('refuses %s', (text) => {
    expect(() => value(text)).toThrow();
  });

  it.each([
    '"x".repeat(1e9)',
    '"x".padEnd(1e9)',
    '[1,2,3,4,5,6,7,8,9].flatMap(a => [1,2,3,4,5,6,7,8,9].flatMap(b => [1,2,3,4,5,6,7,8,9].flatMap(c => [1,2,3,4,5,6,7,8,9].flatMap(d => [1,2,3,4,5,6,7,8,9].flatMap(e => [1,2,3,4,5,6,7,8,9].flatMap(f => [1,2,3,4,5,6,7,8,9]))))))',
    '"x".repeat(100000).split("").reduce(a => a + a, "x")',
    '"x".repeat(60).split("").reduce(a => [a, a], "x") + ""',
    '"a".repeat(100000).replaceAll("a", "b".repeat(100000))',
    `${'['.repeat(300)}${']'.repeat(300)}`,
    `${'('.repeat(20000)}1${')'.repeat(20000)}`,
  ])('ends what would not end: %.40s', (text) => {
    // One that does not end never comes to the end of this test.
    expect(() => value(text)).toThrow();
  });

  it('says where it is wrong', () => {
    expect(parseExpression('guests + ')).toMatchObject({ ok: false, problem: { at: 9 } });
    expect(parseExpression('guests.foo()')).toMatchObject({
      ok: false,
      problem: { at: 7, message: 'There is no method `foo` here.' },
    });
    expect(parseExpression('Math.mox(1)')).toMatchObject({
      ok: false,
      problem: { message: 'There is no `Math.mox` here. Did you mean `Math.max`?' },
    });
  });
});

describe('a value with expressions', () => {
  it.each<[string, unknown]>([
    ['{guests}', 3],
    ['Bunk {guests + 1} of {party.size}', 'Bunk 4 of 2'],
    ['{{guests}}', '{guests}'],
    ['{"}" + name}', '}Ilka'],
    ['{({ a: 1 }).a}', 1],
    ['{null}!', '!'],
  ])('%s', (text, expected) => {
    const parsed = parseTemplate(text);
    if (!parsed.ok) throw new Error(parsed.problem.message);
    expect(evaluateTemplate(parsed.value, scope)).toBe(expected);
  });

  it('tells braces from expressions', () => {
    expect(hasExpression('{{x}} only')).toBe(false);
    expect(hasExpression('{{x}} {y}')).toBe(true);
    expect(unescapeBraces(escapeBraces('a {b} {{c}}'))).toBe('a {b} {{c}}');
  });

  it('is checked against the names of the project', () => {
    const around = {
      names: new Map([
        ['guests', 'number'],
        ['late', 'boolean'],
      ]),
      screens: new Set(['Tonight']),
    };
    expect(checkTemplate('a {gests}', around)).toMatchObject({
      ok: false,
      problem: { at: 3, message: 'There is no state variable `gests`. Did you mean `guests`?' },
    });
    expect(checkStatements('guests = 1; go("Tonite")', around)).toMatchObject({
      ok: false,
      problem: { message: 'There is no screen `Tonite`. Did you mean `Tonight`?' },
    });
    expect(checkStatements('gone("Tonight")', around).ok).toBe(false);
    expect(checkStatements('guests', around).ok).toBe(false);
    expect(checkStatements('do {} while (late)', around).ok).toBe(false);
    expect(checkStatements('if (late) { guests += 1 } else guests--; go("Tonight")', around).ok).toBe(true);
    const own = { ...around, ofScreens: new Map([['Tonight', new Map([['note', 'text']])]]) };
    const goes = (text: string) => {
      const checked = checkStatements(text, own);
      return checked.ok || checked.problem.message;
    };
    expect(goes('go("Tonight", { guests: guests + 1, note: "late" })')).toBe(true);
    expect(goes('note = "late"')).toContain('There is no state variable `note`.');
    expect(goes('go("Tonight", { gests: 1 })')).toBe(
      'There is no state variable `gests`. Did you mean `guests`?',
    );
    expect(goes('go("Tonight", guests)')).toContain('is a record');
    expect(goes('go("Tonight", { ...guests })')).toContain('by the names of variables');
    expect(goes('go("Tonight", { guests: 1 }, 2)')).toContain('`go` takes');
    expect(goes('message("a", { guests: 1 })')).toContain('`message` takes');
    expect(checkTarget('late', ['text', 'number'], around)).toMatchObject({
      ok: false,
      problem: { message: '`late` is a boolean; a text or number is needed here.' },
    });
  });
});

describe('a format', () => {
  const of = (text: string) => {
    const parsed = parseExpression(text);
    if (!parsed.ok) throw new Error(parsed.problem.message);
    // Different kinds of spaces are one to a reader.
    return String(evaluate(parsed.value, () => undefined)).replace(/[\u00a0\u202f\u2009]/g, ' ');
  };
  it.each([
    ['Format.number(1234.5)', '1,234.5'],
    ['Format.number(1234.5, { locale: "de", minimumFractionDigits: 2 })', '1.234,50'],
    ['Format.percent(0.256, { maximumFractionDigits: 1 })', '25.6%'],
    ['Format.currency(38, "EUR")', '€38.00'],
    ['Format.unit(34, "kilometer-per-hour")', '34 km/h'],
    ['Format.date("2026-07-14")', '14 Jul 2026'],
    ['Format.date("2026-07-14", { locale: "de", dateStyle: "long" })', '14. Juli 2026'],
    ['Format.date("no day")', ''],
    ['Format.relative(-1, "day")', 'yesterday'],
    ['Format.list(["Ilka", "Tomas", "Noor"])', 'Ilka, Tomas and Noor'],
    ['Format.plural(1, { one: "# guest", other: "# guests" })', '1 guest'],
    ['Format.plural(1200, { one: "# guest", other: "# guests" })', '1,200 guests'],
    ['Format.number(undefined)', ''],
    ['Format.number("many")', ''],
    ['[1, 2, 3].with(1, 9)', '1,9,3'],
    ['[1, 2, 3].toSpliced(0, 2)', '3'],
  ])('%s reads %s', (text, expected) => expect(of(text)).toBe(expected));

  it('says what is no currency, unit or locale, and goes no further', () => {
    expect(() => of('Format.currency(1, "money")')).toThrow(/Format\.currency/);
    expect(() => of('Format.unit(1, "league")')).toThrow(/Format\.unit/);
    expect(() => of('Format.number(1, { locale: "no such place" })')).toThrow(/Format\.number/);
  });
});

it('records are grouped by a field, in the order in which its values come up', () => {
  const read = parseTemplate("{Group.by(rows, 'table').map(group => group.key + ': ' + group.items.length)}");
  if (!read.ok) throw new Error(read.problem.message);
  const rows = [{ table: 3 }, { table: 1 }, { table: 3 }, { other: 1 }, 'no record'];
  expect(evaluateTemplate(read.value, () => rows)).toEqual(['3: 2', '1: 1', 'undefined: 2']);
  expect(() => evaluateTemplate(read.value, () => 'words')).toThrow('a list is expected');
});

it('an item’s name is a variable again behind its function or its loop', () => {
  expect(parseStatements('total = rows.map(name => name).length; name = "Ilka"').ok).toBe(true);
  expect(parseStatements('for (const name of rows) total = 1; name = "Ilka"').ok).toBe(true);
  expect(parseStatements('for (const name of rows) name = "Ilka"')).toMatchObject({
    ok: false,
    problem: { message: expect.stringContaining('stays what it is') },
  });
});
