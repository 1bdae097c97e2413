/** Rules that several controls have in common are said once, and win over each other as before. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Section } from '../src/export/rule.ts';
import { shareRules, together } from '../src/export/shared-rules.ts';

const css = (gap: number) => new Map([['gap', `${gap}px`]]);

/** What holds for a selector of one control where some queries hold: the last rule that says something. */
function holds(sections: readonly Section[], selector: string, queries: ReadonlySet<string | undefined>) {
  let found: string | undefined;
  for (const { query, rules } of sections)
    if (query === undefined || queries.has(query))
      for (const rule of rules) {
        const all = rule.selector.split(/,\n/).flatMap((each) => {
          const [, names, rest] = /^:is\(([^)]*)\)(.*)$/.exec(each) ?? [];
          return names === undefined ? each.split(', ') : names.split(', ').map((name) => `${name}${rest}`);
        });
        if (all.includes(selector)) found = rule.css.get('gap') ?? found;
      }
  return found;
}

it('selectors of several screens are put together by what they name', () => {
  expect(together(['.A .x', '.B .x', '.A .y'])).toBe(':is(.A, .B) .x,\n.A .y');
  expect(together(['.A', '.B'])).toBe('.A, .B');
  expect(together(['.A .x'])).toBe('.A .x');
});

describe('sharing', () => {
  const rule = (selector: string, gap: number, container?: string) => ({
    selector,
    css: css(gap),
    ...(container === undefined ? {} : { container }),
  });

  it('takes what is alike throughout, and leaves what differs in one query', () => {
    const screen = (name: string, wide: number): Section[] => [
      {
        query: undefined,
        rules: [rule(`.${name} .bar`, 4), rule(`.${name} .body`, 8), rule(`.${name} .foot`, 4)],
      },
      { query: '(min-width: 560px)', rules: [rule(`.${name} .body`, wide)] },
    ];
    const { shared, own } = shareRules([screen('A', 1), screen('B', 2)]);
    expect(shared[0]!.rules.map(({ selector }) => selector)).toEqual([
      ':is(.A, .B) .bar,\n:is(.A, .B) .foot',
    ]);
    expect(shared[1]!.rules).toEqual([]);
    expect(own.map(([always]) => always!.rules.map(({ selector }) => selector))).toEqual([
      ['.A .body'],
      ['.B .body'],
    ]);
  });

  it('keeps rules in a container query by themselves', () => {
    const screen = (name: string): Section[] => [
      { query: undefined, rules: [rule(`.${name} .pane`, 4, '(width < 9px)')] },
    ];
    const { shared, own } = shareRules([screen('A'), screen('B')]);
    expect(shared.flatMap(({ rules }) => rules)).toEqual([]);
    expect(own.flatMap((each) => each[0]!.rules)).toEqual([
      rule('.A .pane', 4, '(width < 9px)'),
      rule('.B .pane', 4, '(width < 9px)'),
    ]);
  });

  it('keeps the order of sections where a query comes twice', () => {
    const screen = (name: string): Section[] => [
      { query: '(min-width: 1px)', rules: [] },
      { query: '(min-width: 2px)', rules: [rule(`.${name} .bar`, 1)] },
      { query: '(min-width: 1px)', rules: [rule(`.${name} .bar`, 2)] },
    ];
    const { shared } = shareRules([screen('A'), screen('B')]);
    expect(shared.map(({ query, rules }) => [query, rules.length])).toEqual([
      ['(min-width: 1px)', 0],
      ['(min-width: 2px)', 1],
      ['(min-width: 1px)', 1],
    ]);
  });

  it('changes nothing about what holds for any control, whatever queries hold', () => {
    const queries = ['(min-width: 1px)', '(min-width: 2px)', '(orientation: portrait)'];
    const rules = fc.array(fc.tuple(fc.constantFrom('a', 'b', 'c'), fc.constantFrom(1, 2)), { maxLength: 5 });
    const sections = (name: string) =>
      fc.tuple(rules, rules, rules, rules, rules, rules).map((lists): Section[] =>
        // The fifth has the query of the second, as rules for panes may; the last query differs between screens.
        [undefined, ...queries, queries[0], `(max-width: ${name.charCodeAt(0)}px)`].map((query, index) => ({
          query,
          rules: lists[index]!.map(([control, gap]) => rule(`.${name} .${control}`, gap)),
        })),
      );
    fc.assert(
      fc.property(
        fc.tuple(sections('A'), sections('B'), sections('C')),
        fc.subarray([...queries, '(max-width: 65px)', '(max-width: 66px)']),
        (screens, held) => {
          const now = new Set<string | undefined>(held);
          const { shared, own } = shareRules(screens);
          for (const [index, name] of ['A', 'B', 'C'].entries())
            for (const control of ['a', 'b', 'c']) {
              const selector = `.${name} .${control}`;
              expect(holds([...shared, ...own.flat()], selector, now)).toBe(
                holds(screens[index]!, selector, now),
              );
            }
        },
      ),
      { numRuns: 1000 },
    );
  });
});
