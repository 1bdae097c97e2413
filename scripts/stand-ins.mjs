/**
 * Fonts of the device that stand in for a shipped one until it has come: scaled so that words are about as wide, with its
 * ascent and descent, so that lines stay where they are (CSS Fonts 5 §3, metric overrides).
 */
import { createRequire } from 'node:module';
import { join } from 'node:path';

/** How often letters and the space come up in a hundred characters or so of English. */
const often = {
  ' ': 18,
  ...{ e: 12.7, t: 9.1, a: 8.2, o: 7.5, i: 7, n: 6.7, s: 6.3, h: 6.1, r: 6, d: 4.3, l: 4, c: 2.8, u: 2.8 },
  ...{ m: 2.4, w: 2.4, f: 2.2, g: 2, y: 2, p: 1.9, b: 1.5, v: 1, k: 0.8, j: 0.15, x: 0.15, q: 0.1, z: 0.07 },
};

/**
 * Advances of the same characters in fonts that devices have, in thousandths of an em, space first, then a to z. Each has a
 * double of the same measures on other systems.
 */
const devices = {
  sans: {
    regular: {
      local: ['Arial', 'Liberation Sans'],
      widths:
        '278 556 556 500 556 556 278 556 556 222 222 500 222 833 556 556 556 556 333 500 278 556 500 722 500 500 500',
    },
    bold: {
      local: ['Arial Bold', 'Liberation Sans Bold'],
      widths:
        '278 556 611 556 611 556 333 611 611 278 278 556 278 889 611 611 611 611 389 556 333 611 556 778 556 556 500',
    },
  },
  serif: {
    regular: {
      local: ['Times New Roman', 'Liberation Serif'],
      widths:
        '250 444 500 444 500 444 333 500 500 278 278 500 278 778 500 500 500 500 333 389 278 500 500 722 500 500 444',
    },
    bold: {
      local: ['Times New Roman Bold', 'Liberation Serif Bold'],
      widths:
        '250 500 556 444 556 444 333 500 556 278 333 556 278 833 556 500 556 556 444 389 333 556 500 722 500 500 444',
    },
  },
  mono: {
    regular: { local: ['Courier New', 'Liberation Mono'], widths: Array(27).fill(600).join(' ') },
    bold: { local: ['Courier New Bold', 'Liberation Mono Bold'], widths: Array(27).fill(600).join(' ') },
  },
};

const letters = [' ', ...'abcdefghijklmnopqrstuvwxyz'];
const average = (advance) =>
  letters.reduce((sum, letter, index) => sum + often[letter] * advance(letter, index), 0);

/** A share as a percentage, to hundredths. */
const percent = (share) => Math.round(share * 10_000) / 100;

/**
 * @param family of the shipped font. @param design what letters it has: `sans`, `serif` or `mono`.
 * @param read gives the TrueType bytes of the family at a weight.
 * @returns two stand-ins, for plain and for bold weights, as `fonts.json` has them.
 */
export async function standInsFor(root, family, design, read) {
  const require = createRequire(join(root, 'packages/core/package.json'));
  const { Blob, Face, Font } = await import(require.resolve('harfbuzzjs'));
  const made = [];
  for (const [name, weight, weights] of [
    ['regular', 400, [400, 500]],
    ['bold', 700, [600, 700]],
  ]) {
    const bytes = await read(weight);
    const copy = new ArrayBuffer(bytes.byteLength);
    new Uint8Array(copy).set(bytes);
    const face = new Face(new Blob(copy));
    const font = new Font(face);
    const own = average((letter) => font.glyphHAdvance(font.nominalGlyph(letter.codePointAt(0))) / face.upem);
    const { local, widths } = devices[design][name];
    const theirs = average((_, index) => Number(widths.split(' ')[index]) / 1000);
    const size = own / theirs;
    const { ascender, descender } = font.hExtents();
    made.push({
      family,
      weights,
      local,
      sizeAdjust: percent(size),
      // These are parts of the adjusted size.
      ascent: percent(ascender / face.upem / size),
      descent: percent(-descender / face.upem / size),
    });
  }
  return made;
}
