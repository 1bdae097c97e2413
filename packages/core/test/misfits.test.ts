/** Types of what expressions give: what is known without working them out, and what does not fit where it goes. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { evaluate } from '../src/expression/evaluate.ts';
import { type Result, type ResultType, resultsOf } from '../src/expression/results.ts';
import { attributeProblems, type Project, parseExpression } from '../src/index.ts';
import { named, projectOf } from './documents.ts';

/** Variables of each type, with their values. */
const held: Readonly<Record<string, { readonly type: ResultType; readonly value: unknown }>> = {
  nights: { type: 'number', value: 3 },
  guest: { type: 'text', value: 'Ilka Vereth' },
  paid: { type: 'boolean', value: false },
  dishes: { type: 'list', value: ['soup', 'cake'] },
  party: { type: 'record', value: { name: 'Vereth', people: 4 } },
};
const typeOf = (name: string) => held[name]?.type;
const readOf = (text: string) => {
  const read = parseExpression(text);
  if (!read.ok) throw new Error(read.problem.message);
  return read.value;
};
const shortly = (result: Result) => ('value' in result ? result.value : `a ${result.type}`);
const results = (text: string) => resultsOf(readOf(text), typeOf, 0).map(shortly);

describe('results of an expression', () => {
  it('are plain values where those are written, types elsewhere, and nothing where it depends on data', () => {
    expect(results("nights > 2 ? 'long' : paid ? 'paid' : guest")).toEqual(['long', 'paid', 'a text']);
    expect(results("Range.steps(nights, 0, 'accent', 5, 'warm', 9)")).toEqual(['accent', 'warm']);
    expect(results("guest + ', ' + nights")).toEqual(['a text']);
    expect(results('nights * 2 + 1')).toEqual(['a number']);
    expect(results('party.people')).toEqual([]);
    expect(results('party.people + 1')).toEqual([]);
    expect(results('dishes.length + guest.length')).toEqual(['a number']);
    expect(results("paid && 'alert'")).toEqual(['alert']);
    expect(results('dishes.filter(dish => dish != guest)')).toEqual(['a list']);
    expect(results('paid ? null : -4')).toEqual([-4]);
  });

  /** Expressions of which every part is known; what they hold comes from outside. */
  const { expression } = fc.letrec<{ expression: string; operand: string }>((tie) => ({
    operand: fc.constantFrom(...Object.keys(held), '2', "'soup'", 'true', 'guest.length'),
    expression: fc.oneof(
      { depthSize: 'small', withCrossShrink: true },
      tie('operand'),
      fc
        .tuple(tie('expression'), fc.constantFrom('-', '*', '<', '==', '||', '??'), tie('expression'))
        .map(([left, operator, right]) => `((${left}) ${operator} (${right}))`),
      fc
        .tuple(fc.constantFrom('String', 'Number'), tie('expression'), tie('expression'))
        .map(([of, left, right]) => `(${of}(${left}) + ${of}(${right}))`),
      fc
        .tuple(tie('expression'), tie('expression'), tie('expression'))
        .map(([test, one, other]) => `((${test}) ? (${one}) : (${other}))`),
      fc.tuple(fc.constantFrom('!', '-', 'typeof '), tie('expression')).map(([sign, of]) => `${sign}(${of})`),
      tie('expression').map((of) => `[${of}].map(item => item)`),
      fc
        .tuple(tie('expression'), tie('expression'))
        .map(([one, other]) => `Range.steps(nights, 0, ${one}, 5, ${other})`),
    ),
  }));
  const scope = fc.record({
    nights: fc.integer({ min: -9, max: 9 }),
    guest: fc.constantFrom('', '7', 'Ilka'),
    paid: fc.boolean(),
    dishes: fc.constantFrom([], ['soup']),
    party: fc.constant({ people: 4 }),
  });

  const isOf = (value: unknown, result: Result): boolean => {
    if ('value' in result) return result.value === value;
    if (result.type === 'list') return Array.isArray(value);
    if (result.type === 'record') return typeof value === 'object' && !Array.isArray(value);
    return typeof value === (result.type === 'text' ? 'string' : result.type);
  };

  it('hold whatever comes out, whatever the variables hold', () => {
    let looked = 0;
    fc.assert(
      fc.property(expression, scope, (text, values) => {
        const value = evaluate(readOf(text), (name) => values[name as keyof typeof values]);
        if (value === undefined) return;
        looked++;
        expect(resultsOf(readOf(text), typeOf, 0).some((result) => isOf(value, result))).toBe(true);
      }),
      { numRuns: 2000 },
    );
    expect(looked).toBeGreaterThan(1000);
  });
});

describe('what does not fit where it goes', () => {
  const project: Project = {
    ...projectOf(
      `<screen name="Kitchen">
        <text name="colour" text="x" color="{guests}" />
        <text name="named" text="x" color="{guests > 3 ? 'alrt' : 'accent'}" />
        <text name="ranges" text="x" color="{Range.steps(guests, 0, 'accent', 9, 'wram')}" />
        <icon name="sign" icon="{late ? 'chek' : 'check'}" />
        <text name="shown" text="{guests}" hidden="{guests}" />
        <text name="start" text="x" weight="{guests}" size="{guests + 12}" />
        <text name="fine" text="{late}" color="{late ? 'alert' : null}" hidden="{guests > 3}" />
        <button name="press" text="x" on.press="late = true; if (late) guests = name ? 'many' : 2" />
        <button name="right" text="x" on.press="guests = guests + 1; name = guests; late = guests == 4" />
        <button name="wrong" text="x" on.press="late = guests" />
        <button name="grown" text="x" on.press="guests += 2; name += guests; guests *= 2; late += 1" />
        <button name="waits" text="x" on.press="wait(guests); wait(late ? 2 : 'soon')" />
        <button name="goes" text="x" on.press="go(name); go(guests)" />
        <button name="enough" text="x" on.press="guests ??= 2; guests += name; late ||= guests > 3; wait('2'); message(guests)" />
      </screen>`,
    ),
  };
  const said = (name: string) => attributeProblems(project, named(project, name));

  it('is a number where a colour is wanted, said where the number stands', () => {
    expect(said('colour')).toEqual([
      expect.objectContaining({
        attribute: 'color',
        message: expect.stringMatching(/^This gives a number; what is wanted here is a colour/),
        at: 1,
        holds: true,
      }),
    ]);
    expect(said('shown').map(({ attribute }) => attribute)).toEqual(['hidden']);
  });

  it('is a word that is none, in any of its branches, with the nearest one', () => {
    for (const [name, wrong, nearest] of [
      ['named', 'alrt', 'alert'],
      ['ranges', 'wram', 'warm'],
      ['sign', 'chek', 'check'],
    ] as const) {
      const [problem] = said(name);
      expect(problem!.message).toContain(`Did you mean \`${nearest}\``);
      const text = named(project, name).props[problem!.attribute] as string;
      expect(text.slice(problem!.at)).toMatch(new RegExp(`^'${wrong}'`));
    }
  });

  it('is what it begins with, where its type may fit', () => {
    expect(said('start')).toEqual([
      expect.objectContaining({
        attribute: 'weight',
        message: expect.stringMatching(/^As everything begins: /),
      }),
    ]);
  });

  it('is what a variable cannot hold', () => {
    expect(said('press').map(({ message }) => message)).toEqual([
      '`guests` is a number; “many” cannot be kept in it.',
    ]);
    expect(said('wrong').map(({ message }) => message)).toEqual([
      'This gives a number; what is wanted here is a yes or no, to be kept in `late`.',
    ]);
  });

  it('is what becomes of a variable, and what an action does not take', () => {
    const messages = (name: string) => said(name).map(({ message }) => message);
    expect(messages('grown')).toEqual([
      'This gives a number; what is wanted here is a yes or no, to be kept in `late`.',
    ]);
    expect(messages('waits')).toEqual(['`wait` takes a number here; “soon” is none.']);
    expect(messages('goes')).toEqual(['This gives a number; what is wanted here is a text.']);
  });

  it('is nothing that fits, or that nobody knows', () => {
    expect([...said('fine'), ...said('right'), ...said('enough')]).toEqual([]);
  });
});
