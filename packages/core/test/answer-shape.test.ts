/** Shapes of answers: what is learned from one fits it, and what does not fit is told by its place. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type AnswerShape,
  misfitOf,
  mostShapes,
  rowShape,
  shapeAt,
  shapeProblem,
} from '../src/document/answer-shape.ts';
import { both, learnedShape } from '../src/requests/learned-shape.ts';

const reservation: AnswerShape = {
  type: 'object',
  properties: {
    guest: { type: 'string' },
    day: { type: 'string', format: 'date' },
    people: { type: 'integer' },
    state: { type: 'string', enum: ['asked', 'confirmed'] },
    note: { type: ['string', 'null'] },
  },
  required: ['guest', 'people'],
};
const page: AnswerShape = {
  type: 'object',
  properties: { items: { type: 'array', items: reservation }, total: { type: 'number' } },
};
const ilka = { guest: 'Ilka Sorrel', day: '2026-12-03', people: 3, state: 'asked', note: null };

describe('an answer against a shape', () => {
  it('fits, with more beside what the shape says', () => {
    expect(
      misfitOf(page, { items: [ilka, { guest: 'Bram', people: 1 }], total: 2, more: true }),
    ).toBeUndefined();
  });

  it.each([
    [
      { items: [ilka, { ...ilka, people: 2.5 }] },
      '`answer.items[1].people` is a number, not a whole number.',
    ],
    [{ items: [{ ...ilka, guest: 7 }] }, '`answer.items[0].guest` is a whole number, not a text.'],
    [{ items: [{ people: 2 }] }, '`answer.items[0].guest` is missing.'],
    [{ items: [{ ...ilka, state: 'lost' }] }, '`answer.items[0].state` is none of the values it may be.'],
    [{ items: [{ ...ilka, day: '2026-02-31' }] }, '`answer.items[0].day` is no day.'],
    [{ items: ilka }, '`answer.items` is a record, not a list.'],
    [[], '`answer` is a list, not a record.'],
    [null, '`answer` is nothing, not a record.'],
  ])('says where %j does not fit', (answer, sentence) => {
    expect(misfitOf(page, answer)).toBe(sentence);
  });

  it('has a place inside, and knows whether rows lie there', () => {
    expect(rowShape(shapeAt(page, 'items'))).toEqual({ of: reservation, is: 'rows' });
    expect(rowShape(shapeAt(page, 'items.none'))).toBeUndefined();
    expect(rowShape(reservation)).toEqual({ of: reservation, is: 'row' });
  });
});

describe('a learned shape', () => {
  it('fits what it was learned from, and is a shape that may be kept', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 6 }), (answer) => {
        const shape = learnedShape(answer);
        expect(misfitOf(shape, answer)).toBeUndefined();
        expect(shapeProblem(shape)).toBeUndefined();
      }),
    );
  });

  it('of two answers fits both', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 4 }), fc.jsonValue({ maxDepth: 4 }), (one, other) => {
        const shape = both(learnedShape(one), learnedShape(other));
        expect(misfitOf(shape, one)).toBeUndefined();
        expect(misfitOf(shape, other)).toBeUndefined();
      }),
    );
  });

  it('knows days, what is not always there, and what may be nothing', () => {
    const shape = learnedShape([
      { day: '2026-12-03', note: null, dog: true },
      { day: '2026-12-04', note: 'late' },
    ]);
    expect(shape.items).toEqual({
      type: 'object',
      properties: {
        day: { type: 'string', format: 'date' },
        note: { type: ['null', 'string'] },
        dog: { type: 'boolean' },
      },
      required: ['day', 'note'],
    });
  });
});

describe('a shape from outside', () => {
  it.each([
    [{ type: 'text' }, 'none of'],
    [{ format: 'email' }, 'only format'],
    [{ properties: { __proto__x: 1 } }, 'no record'],
    [{ properties: JSON.parse('{"__proto__": {}}') }, 'no name of a property'],
    [{ required: [1] }, 'no list of names'],
    [{ enum: [{}] }, 'no list of texts'],
  ])('is refused: %j', (shape, words) => {
    expect(shapeProblem(shape)).toContain(words);
  });

  it('is neither too deep nor too large', () => {
    let deep: unknown = {};
    for (let at = 0; at < 30; at++) deep = { items: deep };
    expect(shapeProblem(deep)).toContain('nested');
    const many = Object.fromEntries(Array.from({ length: mostShapes + 1 }, (_, at) => [`p${at}`, {}]));
    expect(shapeProblem({ properties: many })).toContain('more than');
  });
});
