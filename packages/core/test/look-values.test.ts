/** Values of looks, taken apart and written again: fills, shadows, tokens of several parts, scales. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  contrastOf,
  fillLayers,
  fillText,
  inSrgb,
  rampColours,
  rampTokens,
  readTypedValue,
  scaleLengths,
  scaleTokens,
  shadowsIn,
  shadowText,
  shippedTokens,
  tokenName,
  typedText,
} from '../src/index.ts';
import { mixed } from '../src/tokens/srgb.ts';

const colours = fc.constantFrom('accent', '#123456', '#12345680', 'oklch(0.6 0.1 200)', 'brand.deep');
const place = fc.oneof(
  fc.integer({ min: -20, max: 120 }).map((each) => `${each}%`),
  fc.integer({ min: 1, max: 300 }).map(String),
);
const stop = fc.tuple(colours, fc.array(place, { maxLength: 2 })).map((words) => words.flat().join(' '));
const stops = fc.array(stop, { minLength: 2, maxLength: 5 }).map((list) => list.join(', '));
const head = fc.constantFrom('', '30deg, ', 'to top left, ', 'to right, ');
const at = fc.constantFrom('', ' at 20% 30%', ' at 10 40%');
const gradient = fc.oneof(
  fc.tuple(head, stops).map(([before, list]) => `linear-gradient(${before}${list})`),
  fc
    .tuple(fc.constantFrom('circle', 'closest-side', '40 20', 'circle 30'), at, stops)
    .map(([size, where, list]) => `radial-gradient(${size}${where}, ${list})`),
  fc
    .tuple(fc.integer({ min: 1, max: 359 }), at, fc.array(colours, { minLength: 2, maxLength: 4 }))
    .map(([from, where, list]) => `conic-gradient(from ${from}deg${where}, ${list.join(', ')})`),
);
const layer = fc.oneof(colours, gradient, fc.constantFrom('picture(a.svg)', 'picture(b.svg) tile'));

describe('what is written again', () => {
  it('fills are what they were', () => {
    fc.assert(
      fc.property(fc.array(layer, { minLength: 1, maxLength: 3 }), (list) => {
        const layers = fillLayers(list.join(', '));
        expect(layers, list.join(', ')).toBeDefined();
        expect(fillLayers(fillText(layers!))).toEqual(layers);
      }),
    );
    expect(fillText([])).toBe('none');
    expect(fillText(fillLayers('linear-gradient(180deg, accent, page 40)')!)).toBe(
      'linear-gradient(accent, page 40)',
    );
    expect(fillText(fillLayers('repeating-conic-gradient(accent 0deg, page 30deg)')!)).toBe(
      'repeating-conic-gradient(accent 0deg, page 30deg)',
    );
  });

  it('shadows are what they were', () => {
    const number = fc.integer({ min: -40, max: 40 });
    const shadow = fc
      .tuple(fc.boolean(), number, number, fc.nat(40), number, colours)
      .map(([inset, ...rest]) => `${inset ? 'inset ' : ''}${rest.join(' ')}`);
    fc.assert(
      fc.property(fc.array(shadow, { minLength: 1, maxLength: 4 }), (list) => {
        const shadows = shadowsIn(list.join(', '))!;
        expect(shadowsIn(shadowText(shadows))).toEqual(shadows);
      }),
    );
    expect(shadowText([])).toBe('none');
  });
});

describe('tokens of several parts', () => {
  const known = { tokens: shippedTokens, nameOf: tokenName };
  const round = (type: 'border' | 'transition' | 'typography', text: string) => {
    const read = readTypedValue(type, text, known);
    expect(read, text).toMatchObject({ ok: true });
    return read.ok ? typedText(type, read.value, tokenName) : '';
  };
  it.each([
    ['border', '1 solid line'],
    ['border', '0.5rem dashed #123456'],
    ['transition', '150ms ease-out 0ms'],
    ['transition', '0.2s cubic-bezier(0.1, 0, 0.3, 1) 40ms'],
    ['typography', '600 20/1.3 Hanken Grotesk'],
    ['typography', '400 1.5rem Zilla Slab, 0.5'],
  ] as const)('a %s is typed as `%s`', (type, text) => {
    expect(round(type, text)).toBe(text);
  });
  it('say what may be left out', () => {
    expect(round('transition', '90ms')).toBe('90ms ease 0ms');
    expect(round('typography', '18 Zilla Slab')).toBe('400 18 Zilla Slab');
  });
  it.each([
    ['border', '1 wavy line'],
    ['border', 'solid line'],
    ['border', '1 solid nowhere'],
    ['transition', 'soon'],
    ['transition', '150ms wobbly'],
    ['typography', 'Hanken Grotesk'],
  ] as const)('of which one is wrong is refused: a %s `%s`', (type, text) => {
    expect(readTypedValue(type, text, known)).toMatchObject({ ok: false });
  });
  it('with an alias in a part stay as their file has them', () => {
    const value = { fontFamily: 'Zilla Slab', fontSize: '{dimension.text-size}', fontWeight: 400 };
    expect(JSON.parse(typedText('typography', value, tokenName))).toEqual(value);
  });
});

describe('made in one go', () => {
  const scale = { name: 'space', base: 16, ratio: 1.5, count: 5, at: 3 };
  it('lengths grow by their ratio, whole px but for small ones', () => {
    expect(scaleLengths(scale)).toEqual([7, 11, 16, 24, 36]);
    expect(scaleLengths({ ...scale, base: 4, ratio: 2, at: 5 })).toEqual([0.5, 0.5, 1, 2, 4]);
    expect(scaleTokens(scale).map(({ path }) => tokenName(path))).toEqual(
      [1, 2, 3, 4, 5].map((n) => `space.${n}`),
    );
  });
  it('shades go from light to dark within sRGB, and back in the dark', () => {
    const shades = rampColours({ colour: '#2f5d50', count: 9 })!;
    const light = shades.map((shade) => contrastOf(shade, '#000000'));
    expect(light).toEqual(light.toSorted((a, b) => b - a));
    expect(shades.every((shade) => inSrgb(shade)?.isInside)).toBe(true);
    const tokens = rampTokens({ name: 'moss', colour: '#2f5d50', count: 3, turnsInDark: true });
    expect(tokens.map(({ path }) => path)).toEqual(['color.moss.100', 'color.moss.200', 'color.moss.300']);
    expect(tokens[0]!.dark).toEqual(tokens[2]!.value);
    expect(rampTokens({ name: 'moss', colour: 'nothing', count: 3, turnsInDark: true })).toEqual([]);
  });
  it('a colour with none of another is itself, with all of it the other', () => {
    expect(mixed('#112233', '#ddeeff', 0)).toBe('#112233');
    expect(mixed('#112233', '#ddeeff', 1)).toBe('#ddeeff');
    expect(mixed('nothing', '#ddeeff', 0.5)).toBe('nothing');
  });
});
