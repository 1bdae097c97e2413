import { beforeAll, describe, expect, it } from 'vitest';
import { embeddingLevels, lineAlone } from '../src/text/directions.ts';
import { setText } from '../src/text/paragraph.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const style = {
  family: 'Zilla Slab',
  weight: 600,
  italic: false,
  size: 16,
  lineHeight: 1.4,
  letterSpacing: 0,
  noWrap: false,
  align: 'start' as const,
};

/** Characters of a line that are seen, with their levels in a text that stands alone. */
function seen(line: string, rightToLeft: boolean): [string, number][] {
  const levels = embeddingLevels(line, rightToLeft);
  return [...line].flatMap((character, index): [string, number][] =>
    /[\u2066-\u2069]/.test(character) ? [] : [[character, (levels?.[index] ?? 0) % 2]],
  );
}

describe('a line of a text in two directions', () => {
  it.each([
    ['snow (wet) A–Z and the kitchen', true, 57],
    ['שלום (hut) 14:30, Velmora (soup) & more', true, 70],
    ['The hut שלום (עולם) and soup, 3 of 4', false, 60],
  ])('runs where it stands alone as it does in the whole: %s', (text, rightToLeft, width) => {
    const whole = embeddingLevels(text, rightToLeft)!;
    const { lines } = setText(shaper, text, style, rightToLeft).set(width);
    expect(lines.length).toBeGreaterThan(2);
    let at = 0;
    for (const line of lines) {
      at = text.indexOf(line.text, at);
      const wanted = [...line.text].map((character, index) => [character, whole[at + index]! % 2]);
      expect(seen(line.alone, rightToLeft)).toEqual(wanted);
    }
  });

  it('needs nothing where all of it runs one way', () => {
    expect(lineAlone('(wet)', new Uint8Array(5), false)).toBe('(wet)');
    expect(
      setText(shaper, 'snow (wet) A–Z', style)
        .set(50)
        .lines.map(({ alone }) => alone),
    ).toEqual(
      setText(shaper, 'snow (wet) A–Z', style)
        .set(50)
        .lines.map(({ text }) => text),
    );
  });

  it('is as wide by itself as in the directions of the whole', () => {
    const { lines } = setText(shaper, 'snow (wet) A–Z and the kitchen', style, true).set(57);
    const between = setText(shaper, '(wet) A–', style).maxContent;
    const line = lines.find(({ text }) => text === '(wet) A–')!;
    expect(Math.abs(line.width - between)).toBeLessThan(0.1);
  });
});
