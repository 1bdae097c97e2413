/** Messages of ICU MessageFormat whose arguments are expressions. */
import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { evaluateTemplate } from '../src/expression/evaluate.ts';
import { quotedWords } from '../src/expression/message.ts';
import { usesIn } from '../src/expression/renaming.ts';
import {
  expressionsOf,
  mapExpressions,
  mapWords,
  parseTemplate,
  withoutMessages,
} from '../src/expression/template.ts';

function read(text: string, values: Record<string, unknown> = {}, language = 'en'): unknown {
  const template = parseTemplate(text);
  if (!template.ok) return template.problem.message;
  return evaluateTemplate(template.value, (name) => (name === 'View.language' ? language : values[name]));
}

describe('messages', () => {
  const guests = '{n, plural, =0 {Nobody is} one {# guest is} other {# guests are}} in';
  test.each([
    [guests, { n: 0 }, 'en', 'Nobody is in'],
    [guests, { n: 1 }, 'en', '1 guest is in'],
    [guests, { n: 1200 }, 'en-GB', '1,200 guests are in'],
    [guests, { n: 1200 }, 'de', '1.200 guests are in'],
    ['{n, plural, one {1} few {F} many {M} other {O}}', { n: 3 }, 'pl', 'F'],
    ['{n, plural, one {1} few {F} many {M} other {O}}', { n: 5 }, 'pl', 'M'],
    ['{n, plural, offset:1 =1 {you} one {you and # other} other {you and # others}}', { n: 1 }, 'en', 'you'],
    ['{n, plural, offset:1 =1 {you} one {you and # other} other {}}', { n: 2 }, 'en', 'you and 1 other'],
    [
      'the {n, selectordinal, one {#st} two {#nd} few {#rd} other {#th}} bed',
      { n: 22 },
      'en',
      'the 22nd bed',
    ],
    ['{kind, select, dorm {Dormitory} other {Room}}', { kind: 'dorm' }, 'en', 'Dormitory'],
    ['{kind, select, dorm {Dormitory} other {Room}}', { kind: 'twin' }, 'en', 'Room'],
    ['{kind, select, dorm {Bed {bed}} other {Room {room}}}', { kind: 'x', room: 7 }, 'en', 'Room 7'],
    [
      "{n, plural, one {{name}'s bag} other {{name}'s # bags}}",
      { n: 2, name: 'Ada #3' },
      'en',
      "Ada #3's 2 bags",
    ],
    ["{n, plural, one {'{'#'}' it''s '#'} other {}}", { n: 1 }, 'en', "{1} it's #"],
    [
      '{n, plural, one {a} other {{m, plural, one {#} other {# of many}}}}',
      { n: 2, m: 5 },
      'en',
      '5 of many',
    ],
    ['{p, number}', { p: 1234.5 }, 'de', '1.234,5'],
    ['{p, number, integer}', { p: 1234.5 }, 'en', '1,235'],
    ['{p, number, percent}', { p: 0.25 }, 'en', '25%'],
    ['{p, number, ::currency/EUR}', { p: 12 }, 'en', '€12.00'],
    ['{p, number, ::.0# group-off}', { p: 1234 }, 'en', '1234.0'],
    [
      '{n, plural, one {{k, select, dorm {# bed} other {# room}}} other {{k, select, dorm {# beds, {n, plural, =3 {# then} other {#!}}} other {# rooms}} of #}}',
      { n: 3, k: 'dorm' },
      'en',
      '3 beds, 3 then of 3',
    ],
    [
      '{n, plural, one {{k, select, dorm {# bed} other {# room}}} other {#}}',
      { n: 1, k: 'x' },
      'en',
      '1 room',
    ],
    ['{k, select, dorm {# 1} other {#}}', { k: 'dorm' }, 'en', '# 1'],
    ['{p, number, ::percent}', { p: 12.5 }, 'en', '12.5%'],
    ['{p, number, ::percent scale/100 .0}', { p: 0.125 }, 'en', '12.5%'],
    ['{p, number, ::%x100}', { p: 0.5 }, 'de', '50\u00a0%'],
    ['{d, date, long}', { d: '2026-07-14' }, 'en', 'July 14, 2026'],
    ['{d, date, long}', { d: '2026-07-14' }, 'de', '14. Juli 2026'],
    ['{d, date, ::EEEEMMMd}', { d: '2026-07-14' }, 'en', 'Tuesday, Jul 14'],
    ['{t, time, short}', { t: '18:30' }, 'en-GB', '18:30'],
    [
      '{list.filter(row => row.in).length, plural, one {#} other {# in}}',
      { list: [{ in: true }, { in: true }] },
      'en',
      '2 in',
    ],
    ['{n, plural, one {#} other {#}}{m, number}', { n: 1, m: 2 }, 'en', '12'],
  ] as const)('%s', (text, values, language, expected) => {
    expect(read(text, values, language)).toBe(expected);
    // Written as an expression it says the same.
    const plain = withoutMessages(text);
    expect(plain).not.toMatch(/, (?:plural|select|number|date)\b/);
    expect(read(plain ?? '', values, language)).toBe(expected);
  });

  test.each([
    ['{n, plural, one {#}}', /`other \{…\}`/],
    ['{n, plural, single {#} other {}}', /`single` is no form of a plural/],
    ['{n, plural, one {#} one {#} other {}}', /`one` is said twice/],
    ['{n, plural, one # other {}}', /A form is written as/],
    ['{n, plural, one {# other {}}', /`\}` that closes/],
    ['{n, number, ::scale/3}', /`scale\/3` is not known/],
    ['{n, date, tiny}', /`tiny` is no style of a day/],
    ['{n +, plural, other {}}', /./],
    ["{n, plural, other {'{}}", /`'` that ends this/],
  ])('%s is told', (text, said) => {
    const template = parseTemplate(text);
    expect(template.ok).toBe(false);
    if (!template.ok) expect(template.problem.message).toMatch(said);
  });

  test('names in messages have their places', () => {
    const text = 'So {n, plural, one {# of {name}} other {{k, select, other {{name}}}}}';
    const found = usesIn({ role: 'value', property: 'text', prefixes: [] } as never, text).filter(
      ({ name }) => name !== 'View.language',
    );
    expect(found.map(({ name }) => name).toSorted()).toEqual(['k', 'n', 'name', 'name']);
    for (const { name, span } of found) expect(text.slice(...span)).toBe(name);
  });

  test('expressions and words are changed in forms, too', () => {
    const text = "{n, plural, one {It''s {who}} other {don't}} here";
    expect(expressionsOf(text)).toEqual(['n', 'who']);
    expect(mapExpressions(text, (each) => `(${each})`)).toBe(
      "{(n), plural, one {It''s {(who)}} other {don't}} here",
    );
    expect(mapWords(text, (words) => words.toUpperCase())).toBe(
      "{n, plural, one {IT''S {who}} other {DON''T}} HERE",
    );
    expect(mapWords(text, (words) => words)).toBe(text);
  });

  test('whatever words are put into a form are read as they are', () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 20 }), fc.string({ maxLength: 20 }), (one, other) => {
        const text = `{n, plural, one {${quotedWords(one)}} other {${quotedWords(other)}}}`;
        expect(read(text, { n: 1 })).toBe(one);
        expect(read(text, { n: 2 })).toBe(other);
      }),
    );
  });

  test('no text makes reading fail otherwise than with a sentence', () => {
    const piece = fc.constantFrom(
      '{',
      '}',
      'n',
      ', plural,',
      ' one ',
      ' other ',
      '#',
      "'",
      ', select,',
      '=0',
      ', number',
      ' ',
      'a',
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 24 }), (pieces) => {
        const text = pieces.join('');
        const template = parseTemplate(text);
        if (!template.ok) expect(template.problem.message).not.toBe('');
        const same = mapExpressions(text, (each) => each);
        if (template.ok) expect(same).toBe(text);
      }),
      { numRuns: 2000 },
    );
  });
});
