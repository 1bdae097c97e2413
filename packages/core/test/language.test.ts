/** What the language of expressions has beyond single ones: constants, patterns, spreading, data, days, chance. */
import fc from 'fast-check';
import { beforeEach, describe, expect, it } from 'vitest';
import { seedRandom } from '../src/expression/data-functions.ts';
import { evaluate } from '../src/expression/evaluate.ts';
import { parseExpression, parseStatements } from '../src/index.ts';
import { Runtime } from '../src/runtime/index.ts';
import { noActing } from './documents.ts';

const held: Readonly<Record<string, unknown>> = {
  stays: [
    { guest: 'Ilka', nights: 3, from: '2026-07-14' },
    { guest: 'Teo', nights: 1, from: '2026-07-20' },
    { guest: 'Bruni', from: '' },
  ],
  numbers: [3, 1, 2],
};

function value(text: string): unknown {
  const read = parseExpression(text);
  if (!read.ok) throw new Error(read.problem.message);
  return evaluate(read.value, (name) => held[name]);
}

describe('an expression', () => {
  it.each([
    [
      'stays.map(stay => { const { guest, nights } = stay; return guest + (nights ?? 0); })',
      ['Ilka3', 'Teo1', 'Bruni0'],
    ],
    ['stays.map(({ guest, nights: count }) => guest + count).at(0)', 'Ilka3'],
    ['Object.entries({ a: 1 }).map(([key, amount]) => key + amount)', ['a1']],
    [
      'numbers.map(n => { if (n > 2) return "many"; else if (n > 1) { const twice = n * 2; return twice; } return "one"; })',
      ['many', 'one', 4],
    ],
    ['numbers.map(n => { let a = n, b = a * 2; return a + b; })', [9, 3, 6]],
    ['numbers.map(n => { const n2 = n * n; return numbers.filter(each => each < n2).length; })', [3, 0, 3]],
    ['Math.max(...numbers, 7)', 7],
    ['[0].concat(...[numbers])', [0, 3, 1, 2]],
    ['stays.toSorted(stay => stay.nights).map(stay => stay.guest)', ['Teo', 'Ilka', 'Bruni']],
    ['stays.toSorted(stay => stay.guest).map(stay => stay.guest)', ['Bruni', 'Ilka', 'Teo']],
    ['numbers.toSorted((a, b) => b - a)', [3, 2, 1]],
    [
      'Object.fromEntries(stays.map(stay => [stay.guest, stay.nights]))',
      { Ilka: 3, Teo: 1, Bruni: undefined },
    ],
    ['Array.from({ length: 3 }, (each, at) => at * 2)', [0, 2, 4]],
    ["Array.from('abc')", ['a', 'b', 'c']],
    ['JSON.parse(\'{"a": [1]}\').a[0]', 1],
    ['JSON.stringify({ a: numbers })', '{"a":[3,1,2]}'],
    ["encodeURIComponent('a b/ü')", 'a%20b%2F%C3%BC'],
    ["decodeURIComponent('a%20b')", 'a b'],
  ])('%s', (text, expected) => {
    expect(value(text)).toEqual(expected);
  });

  it.each([
    ['numbers.map(n => { const x = n; })', 'ends with `return`'],
    ['numbers.map(n => { n = 2; return n; })', 'Only `const`, `if` and `return`'],
    ['numbers.map(n => { var x = 1; return x; })', '`const name = value`'],
    ['numbers.map(({ ["a"]: b }) => b)', 'Only names stand here'],
    ['numbers.map(({ __proto__: b }) => b)', 'out of reach'],
    ['numbers.map(({ a = 1 }) => a)', 'Only names stand here'],
    ['numbers.map(async n => n)', 'item => expression'],
  ])('%s is refused: %s', (text, words) => {
    const read = parseExpression(text);
    expect(read.ok ? '' : read.problem.message).toContain(words);
  });

  it.each([
    ["Object.fromEntries([['__proto__', 1]])", 'out of reach'],
    ['Object.fromEntries(numbers)', 'pairs'],
    ['Array.from({ length: 1000000000 })', 'at most'],
    ["JSON.parse('[')", 'JSON'],
    [`JSON.parse('${'['.repeat(40)}${']'.repeat(40)}')`, 'too deeply'],
    ['Math.max(...3)', 'Only a list'],
    ['JSON.parse(\'{"__proto__": 1}\')', 'no plain data'],
  ])('%s fails: %s', (text, words) => {
    expect(() => value(text)).toThrow(words);
  });
});

describe('days', () => {
  it.each([
    ["Date.add('2026-01-31', { months: 1 })", '2026-02-28'],
    ["Date.add('2024-02-29', { years: 1, days: 1 })", '2025-03-01'],
    ["Date.add('2026-07-14', { hours: 30 })", '2026-07-15T06:00'],
    ["Date.add('2026-07-14T18:30', { minutes: -45 })", '2026-07-14T17:45'],
    ["Date.add('', { days: 1 })", ''],
    ["Date.until('2026-07-14', '2026-07-20')", 6],
    ["Date.until('2026-07-20', '2026-07-14', 'weeks')", 0],
    ["Date.until('2024-02-29', '2025-02-28', 'years')", 1],
    ["Date.until('2026-01-31', '2026-03-01', 'months')", 1],
    ["Date.until('', '2026-03-01')", undefined],
    ["Date.weekday('2026-11-30')", 1],
    ["Date.week('2027-01-03')", 53],
    ["Date.week('2026-12-31')", 53],
    ["Date.week('2024-12-30')", 1],
    ["Date.start('2026-11-29', 'week')", '2026-11-23'],
    ["Date.start('2026-11-29', 'month')", '2026-11-01'],
    ["Date.days('2026-02-27', '2026-03-01')", ['2026-02-27', '2026-02-28', '2026-03-01']],
    ["Date.parse('3.8.2026')", '2026-08-03'],
    ["Date.parse('31.2.2026')", ''],
    ["[Date.year('2026-07-14'), Date.month('2026-07-14'), Date.day('2026-07-14')]", [2026, 7, 14]],
  ])('%s', (text, expected) => {
    expect(value(text)).toEqual(expected);
  });

  it.each([
    ["Date.add('soon', { days: 1 })", 'is no day'],
    ["Date.add('2026-02-30', { days: 1 })", 'is no day'],
    ["Date.add('2026-07-14', { moons: 1 })", 'no moons'],
    ["Date.until('2026-07-14', '2026-07-20', 'moons')", 'it counts'],
    ["Date.days('2026-07-14', '3026-07-20')", 'at most'],
    ["Date.add('2026-07-14', { years: 999999 })", 'out of reach'],
  ])('%s fails: %s', (text, words) => {
    expect(() => value(text)).toThrow(words);
  });

  it('property: adding days, and counting them, are the same', () => {
    const day = fc.date({ min: new Date('1900-01-01'), max: new Date('2200-01-01'), noInvalidDate: true });
    fc.assert(
      fc.property(day, fc.integer({ min: -20_000, max: 20_000 }), (date, count) => {
        const from = date.toISOString().slice(0, 10);
        const to = value(`Date.add('${from}', { days: ${count} })`);
        expect(value(`Date.until('${from}', '${to}')`)).toBe(count);
        expect(value(`Date.add('${to}', { days: ${-count} })`)).toBe(from);
      }),
    );
  });
});

describe('chance', () => {
  beforeEach(() => seedRandom(7));

  it('comes out the same from the same seed', () => {
    const some = () => value('[Random.next(), Random.pick(numbers), Random.id()]');
    const first = some();
    seedRandom(7);
    expect(some()).toEqual(first);
    expect(some()).not.toEqual(first);
  });

  it('is a number below 1, one of a list, ten letters', () => {
    for (let round = 0; round < 50; round++) {
      const number = value('Random.next()') as number;
      expect(number >= 0 && number < 1).toBe(true);
      expect(held.numbers).toContain(value('Random.pick(numbers)'));
      expect(value('Random.id()')).toMatch(/^[a-z\d]{10}$/);
    }
    expect(value('Random.pick([])')).toBeUndefined();
  });
});

describe('an event', () => {
  const run = (text: string) => {
    const read = parseStatements(text);
    if (!read.ok) throw new Error(read.problem.message);
    const problems: string[] = [];
    const runtime = new Runtime(
      {
        state: [
          { name: 'rows', type: 'list', initial: [{ who: 'Ilka', nights: 1 }] },
          { name: 'total', type: 'number', initial: 0 },
        ],
        screens: [],
      },
      { acting: noActing, problem: (problem) => problems.push(problem) },
    );
    runtime.run(read.value);
    return { rows: runtime.read('rows'), total: runtime.read('total'), problems };
  };

  it('names values for what follows, in its own block', () => {
    expect(run('const twice = total + 2; total = twice * 2').total).toBe(4);
    expect(
      run('const { nights } = rows[0]; if (nights) { const more = nights + 1; total = more }').total,
    ).toBe(2);
    expect(run('const first = rows[0]; change(rows, first, { nights: 5 }); total = first.nights').total).toBe(
      5,
    );
    const outside = parseStatements('if (true) { const more = 1 } total = more');
    expect(outside.ok).toBe(true);
    expect(run('if (true) { const more = 1 } total = more').problems[0]).toContain(
      'no state variable `more`',
    );
  });

  it('goes to a screen in place of this one, where it says so', () => {
    const read = parseStatements('go("A", { total: 1 }, { replace: true })');
    expect(read.ok && read.value[0]).toMatchObject({ name: 'go', replaces: true });
    const went: unknown[] = [];
    const runtime = new Runtime(
      { state: [], screens: [] },
      { acting: { ...noActing, go: (...given) => void went.push(given) }, problem: () => {} },
    );
    for (const text of ['go("A", {}, { replace: true })', 'go("B", {}, { replace: false })', 'go("C")']) {
      const each = parseStatements(text);
      if (each.ok) runtime.run(each.value);
    }
    expect(went).toEqual([
      ['A', {}, true],
      ['B', {}, false],
      ['C', undefined, false],
    ]);
    expect(parseStatements('go("A", {}, { back: true })').ok).toBe(false);
  });

  it('leaves them as they are', () => {
    const read = parseStatements('const a = 1; a = 2');
    expect(read.ok ? '' : read.problem.message).toContain('stays what it is');
  });
});
