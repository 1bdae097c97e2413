import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cardText,
  parseStatements,
  readCards,
  sentenceOf,
  turned,
  withCards,
  withPiece,
} from '../src/index.ts';

const statements = [
  'guests = guests + 1',
  'late ||= true',
  'order.count++',
  'go("Arrivals")',
  'go("Arrivals", { guests: 2, late })',
  'message("a; b /* c" + name)',
  'add(items, { who: name, late: false })',
  'change(items, item, { late: !item.late })',
  'reset(guests, name)',
  'wait(0.5)',
  'handlers.print(guests, name)',
  'return',
  'if (late) { guests = 1; toggle(late) } else go("Tonight")',
  'for (const row of items) { remove(items, row) }',
];
const program = fc.array(fc.constantFrom(...statements), { minLength: 1, maxLength: 6 });
const read = (text: string) => readCards(text)!;
/** What runs, without where it stands in the text. */
const running = (text: string) => {
  const parsed = parseStatements(text);
  if (!parsed.ok) throw new Error(`${parsed.problem.message}: ${text}`);
  return JSON.stringify(parsed.value, (key, value) =>
    key === 'span' || key === 'statement' ? undefined : value,
  );
};

describe('cards of an event', () => {
  it('say what each action does, and what can be edited in it', () => {
    const text = statements.join('; ');
    expect(read(text).cards.map((card) => sentenceOf(text, card))).toEqual([
      'Set guests to guests + 1',
      'Set late ||= true',
      'Count up order.count',
      'Go to "Arrivals"',
      'Go to "Arrivals" with { guests: 2, late }',
      'Show a message "a; b /* c" + name',
      'Add to items row { who: name, late: false }',
      'Change in items row item to { late: !item.late }',
      'Put back guests, name',
      'Wait seconds 0.5',
      'Call print with guests and name',
      'Stop here',
      'If late',
      'For each row of items',
    ]);
    const [condition] = read(text).cards[12]!.lists;
    expect(condition!.cards.map(({ words }) => words)).toEqual(['Set guests', 'Turn over late']);
  });

  it('put in another order are the same actions in that order', () => {
    fc.assert(
      fc.property(program, fc.nat(), fc.nat(), (parts, one, other) => {
        const text = parts.join('; ');
        const list = read(text);
        const texts = list.cards.map((card) => cardText(text, card));
        expect(texts).toEqual(parts);
        const [from, to] = [one % texts.length, other % texts.length];
        const moved = texts.toSpliced(from, 1).toSpliced(to, 0, texts[from]!);
        expect(running(withCards(text, list, moved))).toBe(running(moved.join('; ')));
      }),
    );
  });

  it('turned off do nothing, and turned on again are what they were', () => {
    fc.assert(
      fc.property(program, fc.nat(), (parts, which) => {
        const text = parts.join('; ');
        const list = read(text);
        const at = which % parts.length;
        const texts = list.cards.map((card) => cardText(text, card));
        const off = withCards(text, list, texts.with(at, turned(text, list.cards[at]!)!));
        expect(running(off)).toBe(running(parts.toSpliced(at, 1).join('; ')));
        const again = read(off);
        expect(again.cards.map((card) => card.off)).toEqual(parts.map((_, index) => index === at));
        const back = again.cards.map((card, index) =>
          index === at ? turned(off, card)! : cardText(off, card),
        );
        expect(withCards(off, again, back)).toBe(text);
      }),
    );
    expect(turned('message("*/")', read('message("*/")').cards[0]!)).toBeUndefined();
  });

  it('inside others change with the text around them left as it is', () => {
    const text = 'guests = 1; if (late) toggle(late); else { /* why */ go("A"); /* off: back() */ }';
    const [, choice] = read(text).cards;
    const [then, otherwise] = choice!.lists;
    expect(withCards(text, then!, ['toggle(late)', 'guests++'])).toBe(
      'guests = 1; if (late) { toggle(late); guests++ } else { /* why */ go("A"); /* off: back() */ }',
    );
    expect(otherwise!.cards.map(({ words, off, note }) => [words, off, note === true])).toEqual([
      ['why', false, true],
      ['Go to', false, false],
      ['Go back', true, false],
    ]);
    const [screen] = otherwise!.cards[1]!.fields;
    expect(withPiece(text, screen!.span, '"B"')).toContain('go("B")');
  });

  it('are not shown for what cannot be read, nor where a note would swallow what follows', () => {
    expect(readCards('go(')).toBeUndefined();
    expect(readCards('go("A") // why')).toBeUndefined();
    expect(readCards('')!.cards).toEqual([]);
  });
});
