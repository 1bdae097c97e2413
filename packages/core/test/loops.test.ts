/** Loops of events, names that change, and what is caught. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { piecesNeeded } from '../src/export/pieces.ts';
import { programOf } from '../src/export/program.ts';
import { namesOfStatements, renameIn } from '../src/expression/names.ts';
import { parseTemplate } from '../src/expression/template.ts';
import { parseStatements, readCards } from '../src/index.ts';
import { Runtime } from '../src/runtime/index.ts';
import { noActing, projectFrom } from './documents.ts';

function run(
  text: string,
  handlers: Readonly<Record<string, (...values: readonly unknown[]) => unknown>> = {},
) {
  const read = parseStatements(text);
  if (!read.ok) throw new Error(read.problem.message);
  const said: string[] = [];
  const problems: string[] = [];
  const runtime = new Runtime(
    {
      state: [
        { name: 'total', type: 'number', initial: 0 },
        { name: 'words', type: 'text', initial: '' },
        { name: 'numbers', type: 'list', initial: [3, 1, 2] },
        {
          name: 'stays',
          type: 'list',
          initial: [{ guest: 'Ilka', nights: 1 }],
          columns: [{ name: 'guest', type: 'text', unique: true }],
        },
      ],
      screens: [],
    },
    {
      acting: { ...noActing, message: (words) => said.push(words) },
      problem: (problem) => problems.push(problem),
      handler: (name) => handlers[name],
      brokenRule: (_, before, after) =>
        after.length > before.length ? '`guest` is there already.' : undefined,
    },
  );
  runtime.run(read.value);
  const held = (name: string) => runtime.read(name);
  return { held, total: held('total'), words: held('words'), said, problems };
}

const wrong = (text: string) => {
  const read = parseStatements(text);
  return read.ok ? '' : read.problem.message;
};

describe('a loop', () => {
  it.each([
    ['for (let i = 0; i < 5; i++) total += i', 10],
    ['for (let i = 0, j = 10; i < j; i++, j--) total = i', 4],
    ['let i = 0; while (i < 4) { i++; if (i == 2) continue; if (i == 4) break; total += i }', 4],
    ['for (let i = 0; i < 5; i++) { if (i % 2) continue; total += i }', 6],
    ['for (const n of numbers) { if (n == 2) break; total += n }', 4],
    ['for (const [key, n] of Object.entries({ a: 1, b: 2 })) total += n', 3],
    ['for (;;) { total++; if (total > 6) return } total = 99', 7],
    ['for (const n of numbers) for (let i = 0; i < n; i++) { if (i == 1) break; total++ }', 3],
    ['while (total < 3) total++', 3],
    ['let list = []; while (list.length < 3) list = [...list, list.length]; total = list.length', 3],
    ['let row = { at: { x: 1 } }; row.at.x += 4; total = row.at.x', 5],
    ['let n = 1; if (true) { let n = 5; n++ } total = n', 1],
    ['let n = 1; if (true) { n = 5 } total = n', 5],
    ['let n = 2; numbers = numbers.map(each => each * n); total = numbers[0]', 6],
  ])('%s', (text, total) => {
    expect(run(text)).toMatchObject({ total, problems: [] });
  });

  it('sums as ECMAScript does', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -3, max: 9 }),
        fc.integer({ min: 1, max: 4 }),
        fc.integer(),
        (to, by, skip) => {
          let sum = 0;
          for (let i = 0; i < to; i += by) {
            if (i === skip) continue;
            sum += i;
          }
          const text = `for (let i = 0; i < ${to}; i += ${by}) { if (i === ${skip}) continue; total += i }`;
          expect(run(text).total).toBe(sum);
        },
      ),
    );
  });

  it('that never ends is ended', () => {
    expect(run('while (true) total++').problems[0]).toContain('too long');
    // Nobody catches that.
    const caught = run('try { while (true) total++ } catch { words = "caught" }');
    expect(caught.problems[0]).toContain('too long');
    expect(caught.words).toBe('');
  });

  it('that was ended leaves nothing behind that does not follow any more', () => {
    const runtime = new Runtime(
      { state: [{ name: 'total', type: 'number', initial: 0 }], screens: [] },
      { acting: noActing, problem: () => {} },
    );
    const seen: unknown[] = [];
    const shown = parseTemplate('{total + 1}');
    if (shown.ok) runtime.bind(shown.value, (value) => seen.push(value));
    for (const text of ['while (true) total++', 'total = 5', 'total = 6']) {
      const read = parseStatements(text);
      if (read.ok) runtime.run(read.value);
    }
    expect(seen).toEqual([1, 6, 7]);
  });

  it.each([
    ['const n = 1; n = 2', 'stays what it is'],
    ['for (const n of numbers) n++', 'stays what it is'],
    ['if (true) { let n = 1 } let m = n2; n++', ''],
    ['outer: for (;;) break outer', 'Only assignments'],
    ['let rows = []; add(rows, 1)', 'is set instead'],
    ['break', 'Unsyntactic break'],
    ['try { total = 1 } catch ({ message }) { }', 'catch (error)'],
    ['let n; n = 1', 'needs a value'],
    ['do { total++ } while (total < 3)', 'Only assignments'],
    ['for (const key in stays) total++', 'Only assignments'],
  ])('%s: %s', (text, message) => {
    if (message === '') expect(wrong(text)).toBe('');
    else expect(wrong(text)).toContain(message);
  });
});

describe('what fails', () => {
  it('is caught with its message, and what must follow follows', () => {
    expect(run('try { total = nothing.x } catch (error) { words = error.message }').words).toContain(
      'nothing',
    );
    expect(run('try { total = 1 } catch { total = 2 } finally { words = "end" }')).toMatchObject({
      total: 1,
      words: 'end',
    });
    const goesOn = run('try { total = nothing.x } finally { words = "end" } total = 5');
    expect(goesOn).toMatchObject({ total: 0, words: 'end' });
    expect(goesOn.problems[0]).toContain('nothing');
    expect(run('try { total = nothing.x } catch { total = more.y } finally { words = "end" }')).toMatchObject(
      {
        words: 'end',
        problems: [expect.stringContaining('more')],
      },
    );
    expect(run('for (;;) { try { return } finally { words = "end" } } words = "after"').words).toBe('end');
    expect(run('for (;;) { try { return } finally { break } } words = "after"').words).toBe('after');
  });

  it('is also what a rule or the application’s own code refuses', () => {
    const refused = run('try { add(stays, { guest: "Ilka" }) } catch (error) { words = error.message }');
    expect(refused).toMatchObject({ words: 'guest is there already.', said: [], problems: [] });
    const outside = run('try { total = 1 } catch { } add(stays, { guest: "Ilka" }); total = 2');
    expect(outside).toMatchObject({ total: 1, said: ['guest is there already.'] });
    const code = run('try { handlers.count() } catch (error) { words = error.message }', {
      count: () => {
        throw new Error('no scale');
      },
    });
    expect(code.words).toContain('no scale');
  });

  it('is given to a name where that is asked for', () => {
    expect(run('const why = add(stays, { guest: "Ilka" }); words = why').words).toBe(
      '`guest` is there already.',
    );
    expect(run('let why = change(stays, stays[0], { nights: 2 }); words = "so: " + why').words).toBe('so: ');
    expect(run('let n = 1; n = handlers.twice(n); total = n', { twice: (n) => Number(n) * 2 }).total).toBe(2);
  });
});

describe('what an event names', () => {
  it('is its own: the state of that name is neither read nor renamed', () => {
    const text =
      'for (let total = 0; total < 3; total++) words += total; try { words = total } catch (words) { words2 = words.message }';
    const read = parseStatements(text);
    if (!read.ok) throw new Error(read.problem.message);
    const uses = namesOfStatements(read.value);
    expect(uses.map(({ name, written }) => [name, written])).toEqual([
      ['words', true],
      ['words', true],
      ['total', false],
      ['words2', true],
    ]);
    expect(renameIn(text, uses, 'total', 'sum')).toBe(text.replace('words = total', 'words = sum'));
  });

  it('stands in cards', () => {
    const cards = readCards(
      'for (let i = 0; i < 3; i++) { if (i) break; else continue } while (total) total-- ; try { total = 1 } catch (e) { words = e.message } finally { total = 0 }',
    )!.cards;
    expect(cards.map(({ words }) => words)).toEqual(['Count', 'As long as', 'Try']);
    expect(cards[0]!.fields.map(({ label }) => label)).toEqual(['from', 'as long as', 'with each round']);
    expect(cards[2]!.lists.map(({ label }) => label)).toEqual(['do', 'where it fails', 'in any case']);
    expect(cards[0]!.lists[0]!.cards[0]!.lists.map((list) => list.cards[0]!.words)).toEqual([
      'End the loop',
      'Go on with the next round',
    ]);
  });
});

it.each([
  ['for /* each */ (const n of [1]) total = n', ['loops']],
  ['total = Format /* as */ .number(2)', ['formats']],
  ['total = "a".match /* all */ (/a/g).length', ['patterns']],
  ['total = "for (x) try { Format.number(" .length', []],
])('a page has the pieces that %s asks for, and no others', (event, wanted) => {
  const project = projectFrom(
    { state: [{ name: 'total', type: 'number', initial: 0 }] },
    `<screen name="A"><button text="b" on.press="${event.replaceAll('"', '&quot;')}" /></screen>`,
  );
  const known = ['loops', 'formats', 'patterns', 'ranges', 'data', 'files'];
  expect(piecesNeeded(project, programOf(project)).filter((name) => known.includes(name))).toEqual(wanted);
});
