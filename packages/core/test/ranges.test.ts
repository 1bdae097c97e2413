import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluateTemplate } from '../src/expression/evaluate.ts';
import { numbersOf, parseTemplate, rangesText, readRanges, walk } from '../src/index.ts';
import { projectOf } from './documents.ts';

describe('ranges', () => {
  const given = (text: string) => {
    const read = parseTemplate(text);
    if (!read.ok) throw new Error(read.problem.message);
    return evaluateTemplate(read.value, () => 12);
  };

  it('give what holds from a number on, nothing below the first and from the end on', () => {
    const at = (value: string) => given(`{Range.steps(${value}, 10, 'warm', 0, 'accent', 17, 'alert', 60)}`);
    expect(['-0.1', '0', '9.9', '10', 'x', '59', '60', '"?"', 'null'].map(at)).toEqual([
      undefined,
      'accent',
      'accent',
      'warm',
      'warm',
      'alert',
      undefined,
      undefined,
      undefined,
    ]);
  });

  it('go over from one number or colour to the next, and say where they make no sense', () => {
    expect(given('{Range.blend(5, 0, 10, 20, 30)}')).toBe(15);
    expect(given("{Range.blend(15, 10, '#000', 20, '#ff8000')}")).toBe('#804000');
    expect(given("{Range.blend(15, 10, 'calm', 20, 'windy')}")).toBe('calm');
    expect(() => given("{Range.steps(15, 'a', 10)}")).toThrow('in turn');
  });

  it('are read as they were written, whatever they map', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('mast.wind', "Math.max(a, b[',)'])", 'list.map(x => x + 1).at(0)'),
        fc.boolean(),
        fc.uniqueArray(fc.tuple(fc.integer({ min: -50, max: 50 }), fc.oneof(fc.string(), fc.integer())), {
          selector: ([from]) => from,
          maxLength: 5,
        }),
        fc.option(fc.integer({ min: 51, max: 99 }), { nil: undefined }),
        (of, blended, pairs, end) => {
          const stops = pairs.map(([from, value]) => ({ from, value })).toSorted((a, b) => a.from - b.from);
          const ranges = { of, blended, stops, ...(end === undefined ? {} : { end }) };
          expect(readRanges(rangesText(ranges))).toEqual(ranges);
        },
      ),
    );
    expect(readRanges("{Range.steps(wind, 0, low ? 'a' : 'b')}")).toBeUndefined();
    expect(readRanges("{Range.steps(wind, 0, 'a')} m/s")).toBeUndefined();
  });
});

it('the numbers that ranges are laid over are those of all items', () => {
  const project = projectOf(
    '<screen name="s"><repeat each="{[3, 1, 4].map(n => ({ n: n }))}" as="row"><text name="t" /></repeat><text name="u" /></screen>',
  );
  const named = (name: string) => [...walk(project.screens[0]!)].find((control) => control.name === name)!;
  expect(numbersOf(project, named('t'), 'row.n + guests')).toEqual([6, 4, 7]);
  expect(numbersOf(project, named('u'), 'guests * 2')).toEqual([6]);
  expect(numbersOf(project, named('u'), 'name')).toEqual([]);
});
