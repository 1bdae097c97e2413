/** Replacing words on all screens: only what people read, expressions and names left alone. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { escapeBraces, mapWords } from '../src/expression/template.ts';
import { applySteps, replaceSteps, textPlaces } from '../src/index.ts';
import { named, projectOf } from './documents.ts';

const project = projectOf(
  `<screen name="A"><text name="guest" text="The guest of {name}: guest"/><button text="Guests"/></screen>`,
  `<screen name="B"><textField name="other" label="Name of the guest" hint="no one"/></screen>`,
);
const search = { find: 'guest', replace: 'hiker', matchCase: false, wholeWords: false };

describe('words on all screens', () => {
  it('are found in the order of the screens, and counted', () => {
    expect(
      textPlaces(project, search).map(({ screen, after, count }) => [screen.name, after, count]),
    ).toEqual([
      ['A', 'The hiker of {name}: hiker', 2],
      ['A', 'hikers', 1],
      ['B', 'Name of the hiker', 1],
    ]);
  });
  it('can count capitals, and be whole words only', () => {
    const whole = textPlaces(project, { ...search, matchCase: true, wholeWords: true });
    expect(whole.map(({ after }) => after)).toEqual(['The hiker of {name}: hiker', 'Name of the hiker']);
  });
  it('are replaced by steps, and one undo brings them back', () => {
    const applied = applySteps(
      project,
      replaceSteps(textPlaces(project, { ...search, find: 'name', replace: 'x' })),
    );
    if (!applied.ok) throw new Error(applied.reason);
    expect(named(applied.project, 'guest').props.text).toBe('The guest of {name}: guest');
    expect(named(applied.project, 'other').props.label).toBe('x of the guest');
    const back = applySteps(applied.project, applied.inverse);
    expect(back.ok && back.project).toEqual(project);
  });
  it('are found in no empty search, and signs of patterns are only signs', () => {
    expect(textPlaces(project, { ...search, find: '' })).toEqual([]);
    expect(textPlaces(project, { ...search, find: '.*' })).toEqual([]);
  });
});

it('changing nothing in the words of a value gives the same value', () => {
  fc.assert(
    fc.property(
      fc.array(fc.oneof(fc.string().map(escapeBraces), fc.constantFrom('{a}', '{f({b: "}"})}'))),
      (parts) => {
        const text = parts.join('');
        expect(mapWords(text, (words) => words)).toBe(text);
      },
    ),
  );
  expect(mapWords('open {brace', (words) => words)).toBeUndefined();
});
