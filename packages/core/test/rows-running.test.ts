/** Rows of lists while an application runs: each stays the row that it is, and holds to the rules of its table. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { continueRows, continuing, indexOfRow, isSameRow } from '../src/document/row-identity.ts';
import { brokenRule, nextKey, ruledColumns } from '../src/document/row-rules.ts';
import { type Column, parseExpression, parseStatements, type StateVariable } from '../src/index.ts';
import { itemFrame, Runtime } from '../src/runtime/index.ts';
import { noActing } from './documents.ts';

function start(...state: readonly StateVariable[]) {
  const said: string[] = [];
  const problems: string[] = [];
  const runtime = new Runtime(
    {
      state: state.map(({ computed: _, feed: __, table: ___, request: ____, ...rest }) => rest),
      screens: [],
    },
    {
      acting: { ...noActing, message: (text) => void said.push(text) },
      problem: (text) => problems.push(text),
      brokenRule,
    },
  );
  const run = (text: string, item?: unknown) => {
    const read = parseStatements(text);
    if (!read.ok) throw new Error(read.problem.message);
    runtime.run(read.value, item === undefined ? undefined : itemFrame('item', item, undefined));
  };
  const rows = (name: string) => runtime.read(name) as readonly Record<string, unknown>[];
  return { runtime, run, rows, said, problems };
}

const list = (name: string, initial: readonly unknown[], columns: readonly Column[] = []): StateVariable => ({
  name,
  type: 'list',
  initial,
  columns,
});

describe('a row', () => {
  it('of two that are equal is met alone', () => {
    const { run, rows } = start(list('guests', [{ who: 'Ilka' }, { who: 'Ilka' }, { who: 'Teo' }]));
    const [first, second] = rows('guests');
    run("change(guests, item, { who: 'Bruni' })", second);
    expect(rows('guests').map(({ who }) => who)).toEqual(['Ilka', 'Bruni', 'Teo']);
    run('remove(guests, item)', first);
    expect(rows('guests').map(({ who }) => who)).toEqual(['Bruni', 'Teo']);
  });

  it('is the same after each change of the event that it was given to', () => {
    const { run, rows } = start(list('guests', [{ who: 'Ilka', nights: 1 }, { who: 'Teo' }]));
    run(
      'change(guests, item, { nights: 2 }); change(guests, item, { late: true }); place(guests, item, 2)',
      rows('guests')[0],
    );
    expect(rows('guests')).toEqual([{ who: 'Teo' }, { who: 'Ilka', nights: 2, late: true }]);
  });

  it('that was removed is not found in another one that is equal', () => {
    const { run, rows } = start(list('guests', [{ who: 'Ilka' }, { who: 'Ilka' }]));
    run('remove(guests, item); remove(guests, item)', rows('guests')[0]);
    expect(rows('guests')).toHaveLength(1);
  });

  it('that is added once more is a row of its own', () => {
    const { run, rows } = start(list('guests', [{ who: 'Ilka' }]));
    run('add(guests, item)', rows('guests')[0]);
    run("change(guests, item, { who: 'Teo' })", rows('guests')[1]);
    expect(rows('guests').map(({ who }) => who)).toEqual(['Ilka', 'Teo']);
  });

  it('that is written down anew stands for the first that is equal', () => {
    const { run, rows } = start(
      list('guests', [{ who: 'Ilka' }, { who: 'Teo' }]),
      list('tags', ['a', 'b', 'a']),
    );
    run("remove(guests, { who: 'Teo' }); remove(tags, 'a')");
    expect(rows('guests')).toEqual([{ who: 'Ilka' }]);
    expect(rows('tags')).toEqual(['b', 'a']);
  });

  it('is known by its key, where its table has one, whatever else it says', () => {
    const key: Column = { name: 'id', type: 'number', role: 'key' };
    const { run, rows, runtime } = start(
      list(
        'guests',
        [
          { id: 1, who: 'Ilka' },
          { id: 2, who: 'Ilka' },
        ],
        [key],
      ),
    );
    run("change(guests, { id: 2 }, { who: 'Teo' })");
    expect(rows('guests')).toEqual([
      { id: 1, who: 'Ilka' },
      { id: 2, who: 'Teo' },
    ]);
    const [, second] = rows('guests');
    runtime.take('guests', [
      { id: 2, who: 'Nils' },
      { id: 1, who: 'Ilka' },
    ]);
    expect(isSameRow(rows('guests')[0], second)).toBe(true);
    run("add(guests, { who: 'Bruni' })");
    expect(rows('guests')[2]).toEqual({ who: 'Bruni', id: 3 });
  });

  it('is known again in an expression after it changed', () => {
    const { run, rows, runtime } = start(list('guests', [{ who: 'Ilka' }, { who: 'Teo' }]), {
      name: 'chosen',
      type: 'record',
      initial: {},
    });
    run('chosen = item', rows('guests')[1]);
    run("change(guests, item, { who: 'Nils' })", rows('guests')[1]);
    run('chosen = guests.find(row => Rows.same(row, chosen))');
    expect(runtime.read('chosen')).toEqual({ who: 'Nils' });
  });

  it('property: whatever is done to a list, each row of it is found at its own place', () => {
    fc.assert(
      fc.property(
        fc.array(fc.constantFrom('a', 'b'), { minLength: 1, maxLength: 6 }),
        fc.array(fc.tuple(fc.nat(5), fc.constantFrom('change', 'remove', 'place')), { maxLength: 12 }),
        (names, doings) => {
          let now: { who: string; at: number }[] = names.map((who, at) => ({ who, at }));
          const { run, rows } = start(
            list(
              'guests',
              names.map((who) => ({ who })),
            ),
          );
          for (const [which, does] of doings) {
            if (now.length === 0) break;
            const at = which % now.length;
            const row = rows('guests')[at];
            if (does === 'change') {
              run("change(guests, item, { who: item.who + 'x' })", row);
              now = now.with(at, { ...now[at]!, who: `${now[at]!.who}x` });
            } else if (does === 'remove') {
              run('remove(guests, item)', row);
              now = now.toSpliced(at, 1);
            } else {
              run('place(guests, item, 0)', row);
              now = [now[at]!, ...now.toSpliced(at, 1)];
            }
            expect(rows('guests').map(({ who }) => who)).toEqual(now.map(({ who }) => who));
            for (const [index, each] of rows('guests').entries())
              expect(indexOfRow(rows('guests'), each)).toBe(index);
          }
        },
      ),
    );
  });

  it('goes on in what comes from outside: by its values, else by its place where as many come', () => {
    const before = [{ who: 'Ilka' }, { who: 'Teo' }];
    const moved = [{ who: 'Teo' }, { who: 'Ilka' }];
    continueRows(moved, before);
    expect(moved.map((row) => indexOfRow(before, row))).toEqual([1, 0]);
    const changed = [{ who: 'Ilka' }, { who: 'Nils' }];
    continueRows(changed, before);
    expect(isSameRow(changed[1], before[1])).toBe(true);
    const fewer = [{ who: 'Bruni' }];
    continueRows(fewer, before);
    expect(indexOfRow(before, fewer[0])).toBe(-1);
    expect(isSameRow(continuing({ who: 'x' }, before[0]!), before[0])).toBe(true);
  });
});

describe('the rules of a table', () => {
  const columns: readonly Column[] = [
    { name: 'who', type: 'text', required: true, unique: true },
    { name: 'board', type: 'text', values: ['half', 'full'] },
    { name: 'nights', type: 'number', min: 1, max: 5 },
    { name: 'room', type: 'number', refers: { list: 'rooms', column: 'id' } },
    { name: 'note', type: 'text' },
  ];
  const begin = () =>
    start(list('stays', [{ who: 'Ilka', room: 1 }], columns), list('rooms', [{ id: 1 }, { id: 2 }]), {
      name: 'wrong',
      type: 'text',
      initial: 'nothing yet',
    });

  it.each([
    ['{ room: 1 }', '`who` is required.'],
    ["{ who: 'Ilka' }", 'Another row has Ilka as `who` already.'],
    ["{ who: 'Teo', board: 'none' }", '`board` is one of half, full.'],
    ["{ who: 'Teo', nights: 0 }", '`nights` is at least 1.'],
    ["{ who: 'Teo', nights: 6 }", '`nights` is at most 5.'],
    ["{ who: 'Teo', room: 9 }", 'There is no 9 in `id` of `rooms`.'],
    ["{ who: 'Teo', nights: 'many' }", '“many” is no number.'],
  ])('keep out %s, say so, and end the event', (row, rule) => {
    const { run, rows, said, problems } = begin();
    run(`add(stays, ${row}); wrong = 'went on'`);
    expect(rows('stays')).toHaveLength(1);
    expect(rows('wrong')).toBe('nothing yet');
    // People read the name without the quotes that developers read it in.
    expect([said, problems]).toEqual([[rule.replaceAll('`', '')], [rule]]);
  });

  it('are read by an event that asks for what came of it', () => {
    const { run, rows, said } = begin();
    run("wrong = add(stays, { who: 'Ilka' })");
    expect(rows('wrong')).toBe('Another row has Ilka as `who` already.');
    run('wrong = change(stays, stays[0], { nights: 3 })');
    expect(rows('wrong')).toBe('');
    expect(rows('stays')).toEqual([{ who: 'Ilka', room: 1, nights: 3 }]);
    expect(said).toEqual([]);
  });

  it('hold for what is assigned inside, and leave rows alone that nobody touched', () => {
    const { run, rows, problems } = begin();
    run('stays[0].nights = 9');
    expect(problems).toEqual(['`nights` is at most 5.']);
    expect(rows('stays')).toEqual([{ who: 'Ilka', room: 1 }]);
    expect(brokenRule(columns, [{ room: 7 }], [], () => undefined)).toBeUndefined();
  });

  it('travel with the page as far as they are rules', () => {
    expect(ruledColumns(columns).map(({ name }) => name)).toEqual(['who', 'board', 'nights', 'room']);
    expect(nextKey({ name: 'id', type: 'text' }, [{ id: '7' }, { id: 'x' }])).toBe('8');
    expect(parseExpression('Rows.same(a, b)').ok).toBe(true);
  });
});

it('a number that may be nothing takes nothing, as an emptied field gives it; another one does not', () => {
  const { runtime, problems } = start(
    { name: 'nights', type: 'number', nullable: true, initial: null },
    { name: 'beds', type: 'number', initial: 2 },
  );
  expect(runtime.assign('nights', 3)).toBe(true);
  expect(runtime.assign('nights', '')).toBe(true);
  expect(runtime.read('nights')).toBeNull();
  expect(runtime.assign('beds', null)).toBe(false);
  expect(problems).toHaveLength(1);
});
