/** What belongs together shares one budget: many costly expressions cost no more than one. */
import { describe, expect, it } from 'vitest';
import { EvaluationError, sharingBudget } from '../src/expression/budget.ts';
import { evaluate } from '../src/expression/evaluate.ts';
import {
  attributeProblems,
  checkComputed,
  initialScope,
  parseExpression,
  parseStatements,
  parseTemplate,
  type StateVariable,
} from '../src/index.ts';
import { Runtime } from '../src/runtime/index.ts';
import { named, noActing, projectOf } from './documents.ts';

const read = (text: string) => {
  const parsed = parseExpression(text);
  if (!parsed.ok) throw new Error(parsed.problem.message);
  return parsed.value;
};
/** Some three million steps. */
const costly = read('[...numbers].map(a => [...numbers].map(b => a + b).length).length');
const numbers = Array.from({ length: 600 }, (_, index) => index);
const scope = () => numbers;
const outcomes = (count: number) =>
  Array.from({ length: count }, () => {
    try {
      return evaluate(costly, scope);
    } catch (error) {
      expect(error).toBeInstanceOf(EvaluationError);
      return (error as Error).message;
    }
  });

describe('a budget', () => {
  it('is each expression’s own, where nothing belongs together', () => {
    expect(new Set(outcomes(8))).toEqual(new Set([600]));
  });

  it('is shared by a whole: what comes after it has run out is left out, and says so', () => {
    const all = sharingBudget(() => outcomes(40));
    const worked = all.filter((each) => each === 600).length;
    expect(worked).toBeGreaterThan(1);
    expect(worked).toBeLessThan(12);
    expect(all.at(-1)).toMatch(/^This was left out: with all else here /);
    // The next whole has one of its own.
    expect(sharingBudget(() => outcomes(1))).toEqual([600]);
  });

  it('counts what is made, too: lists of lists do not fill the memory', () => {
    const large = read('[...numbers].flatMap(a => [...numbers].slice(0, 300)).length');
    const lengths = sharingBudget(() =>
      Array.from({ length: 60 }, () => {
        try {
          return evaluate(large, scope);
        } catch (error) {
          return (error as Error).message;
        }
      }),
    );
    expect(lengths[0]).toBe(180_000);
    expect(lengths.at(-1)).toContain('left out');
    const text = parseTemplate("{'x'.repeat(900000).replaceAll('x', '$`$`')}");
    expect(() => text.ok && text.value && evaluate(text.value.parts[0] as never, scope)).toThrow('1000000');
  });
});

describe('variables that follow others', () => {
  const following = (name: string, computed: string): StateVariable => ({
    name,
    type: 'list',
    initial: [],
    computed,
  });

  it('by the dozen, each with a long list, are worked out as far as there is room; the rest says so', () => {
    const long = '[...numbers].flatMap(a => [...numbers].slice(0, 300).map(b => ({ a, b })))';
    const state = [
      { name: 'numbers', type: 'list', initial: numbers } as const,
      ...Array.from({ length: 30 }, (_, index) => following(`long${index}`, long)),
    ];
    const at = initialScope({ state, bands: [] });
    const found = state.slice(1).map(({ name }) => {
      try {
        return (at(name) as unknown[]).length;
      } catch (error) {
        return (error as Error).message;
      }
    });
    expect(found[0]).toBe(180_000);
    expect(found.at(-1)).toMatch(/^`long29`: This was left out: with all else here /);
  });

  it('in a chain of five thousand are worked out, each once', () => {
    const state = Array.from({ length: 5000 }, (_, index) =>
      index === 0
        ? ({ name: 'v0', type: 'number', initial: 1 } as const)
        : following(`v${index}`, `v${index - 1} + 1`),
    );
    expect(initialScope({ state, bands: [] })('v4999')).toBe(5000);
    for (const variable of state.slice(1)) expect(checkComputed(variable, state).ok).toBe(true);
  });

  it('in a circle of five thousand say so, in words that can be read', () => {
    const state = Array.from({ length: 5000 }, (_, index) =>
      following(`v${index}`, `v${(index + 1) % 5000}`),
    );
    const checked = checkComputed(state[7]!, state);
    expect(!checked.ok && checked.problem.message).toBe(
      'It is never worked out, since `v7` needs `v8` needs `v9` needs `v10` needs … needs `v5` needs `v6` needs `v7`.',
    );
    expect(() => initialScope({ state, bands: [] })('v0')).toThrow('never worked out');
  });

  it('on one circle are told so each, from where they stand', () => {
    const state = [following('a', 'b'), following('b', 'c + 1'), following('c', 'a')];
    const words = state.map((each) => {
      const checked = checkComputed(each, state);
      return checked.ok ? '' : checked.problem.message.replace('It is never worked out, since ', '');
    });
    expect(words).toEqual([
      '`a` needs `b` needs `c` needs `a`.',
      '`b` needs `c` needs `a` needs `b`.',
      '`c` needs `a` needs `b` needs `c`.',
    ]);
  });

  it('that a circle hangs on are told the right thing', () => {
    const state = [following('a', 'b'), following('b', 'b + 1'), following('c', '1')];
    expect(checkComputed(state[0]!, state).ok).toBe(true);
    const at = initialScope({ state, bands: [] });
    expect(() => at('a')).toThrow('`b`');
    expect(at('c')).toBe(1);
  });
});

it('an event with all that it sets off shares one', () => {
  const problems: string[] = [];
  const runtime = new Runtime(
    {
      state: [
        { name: 'numbers', type: 'list', initial: numbers },
        { name: 'sum', type: 'number', initial: 0 },
      ],
      screens: [],
    },
    { acting: noActing, problem: (message) => problems.push(message) },
  );
  const event = parseStatements(
    'for (const n of numbers) { sum = sum + [...numbers].map(a => [...numbers].length).length }',
  );
  if (!event.ok) throw new Error(event.problem.message);
  runtime.run(event.value);
  expect(problems).toEqual([expect.stringMatching(/^This was left out: with all else here /)]);
  // What was done before it ran out holds.
  expect(runtime.read('sum')).toBeGreaterThan(0);
  expect(runtime.read('sum')).toBeLessThan(600 * 600);
});

it('a control with many costly texts says which of them were left out', () => {
  const project = projectOf(
    `<screen name="A"><text name="t" text="{[...'${'x'.repeat(700)}'].map(a => [...'${'x'.repeat(700)}'].map(b => a + b).length).length}" hidden="{[...'${'x'.repeat(700)}'].map(a => [...'${'x'.repeat(700)}'].map(b => a + b).length).length == 'many'}" /></screen>`,
  );
  expect(attributeProblems(project, named(project, 't'))).toEqual([]);
});
