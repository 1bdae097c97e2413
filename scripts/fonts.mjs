/**
 * Makes packages/core/fonts from the font packages: each file as .woff2 (what pages load) and as .ttf (what the
 * shaper reads, all of them packed into one), and fonts.json, the list of them. Does nothing when they are already there.
 */
import { createHash } from 'node:crypto';
import { existsSync } from 'node:fs';
import { copyFile, mkdir, readFile, rm, utimes, writeFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import { Blob, Face, Font } from 'harfbuzzjs';
import { measuringFont } from './measuring-font.mjs';
import { standInsFor } from './stand-ins.mjs';

const root = dirname(import.meta.dirname);
const out = join(root, 'packages/core/fonts');
const families = [
  ['Hanken Grotesk', 'hanken-grotesk', 'sans'],
  ['Source Serif 4', 'source-serif-4', 'serif'],
  ['Zilla Slab', 'zilla-slab', 'serif'],
  ['JetBrains Mono', 'jetbrains-mono', 'mono'],
];
const weights = [400, 500, 600, 700];
// In order of preference for a character that two sets hold.
const sets = ['latin', 'latin-ext'];
// Scripts that the families do not have come from one family for all, under each family's own name.
const others = [
  ['noto-sans', 'greek', ['normal', 'italic']],
  ['noto-sans', 'cyrillic', ['normal', 'italic']],
  ['noto-sans-hebrew', 'hebrew', ['normal']],
  ['noto-sans-arabic', 'arabic', ['normal']],
  ['noto-sans-thai', 'thai', ['normal']],
];
// Japanese, cut in two: what is kerned, and ideographs, which are measured without their shapes.
const japanese = [
  [
    'kana',
    [
      [0x2e80, 0x33ff],
      [0xf900, 0xfaff],
      [0xfe30, 0xfe4f],
      [0xff00, 0xffef],
    ],
  ],
  [
    'kanji',
    [
      [0x3400, 0x4dbf],
      [0x4e00, 0x9fff],
    ],
  ],
];
// Signs that none of these have, cut out of larger families: arrows and mathematics, figures of all kinds, keys and marks.
const signs = [
  ['noto-sans-math', 'latin', [[0x2190, 0x22ff]]],
  [
    'noto-sans-symbols-2',
    'symbols',
    [
      [0x2300, 0x23ff],
      [0x25a0, 0x27bf],
      [0x2b00, 0x2bff],
    ],
  ],
];
const version = 6;

/** Ranges of characters as CSS writes them. */
const unicodeRange = (ranges) => ranges.map(([from, to]) => `U+${hex(from)}-${hex(to)}`).join();

const hex = (code) => code.toString(16).toUpperCase();

/** Measures of a font: its characters with their advances, its em, the heights of its lines. */
function measuresOf(ttf) {
  const bytes = new ArrayBuffer(ttf.byteLength);
  new Uint8Array(bytes).set(ttf);
  const face = new Face(new Blob(bytes));
  const font = new Font(face);
  const { ascender, descender } = font.hExtents();
  return {
    codes: [...face.collectUnicodes()],
    em: face.upem,
    ascender,
    descender,
    advanceOf: (code) => font.glyphHAdvance(font.nominalGlyph(code) ?? 0),
  };
}

/**
 * One file of all that the shaper reads, so that it comes at once; its name changes with what is in it.
 *
 * @param measuring what is read in place of a font, by its name.
 */
async function packed(names, measuring) {
  const places = {};
  const parts = [];
  let from = 0;
  for (const name of names) {
    const bytes = measuring.get(name) ?? (await readFile(join(out, `${name}.ttf`)));
    places[name] = [from, bytes.length];
    parts.push(bytes);
    from += bytes.length;
  }
  const all = Buffer.concat(parts);
  const pack = `pack-${createHash('sha256').update(all).digest('hex').slice(0, 12)}.bin`;
  await writeFile(join(out, pack), all);
  return { pack, places };
}

export async function makeFonts() {
  const list = join(out, 'fonts.json');
  if (existsSync(list) && JSON.parse(await readFile(list, 'utf8')).version === version) {
    // What is there is what would be made; it counts as new.
    await utimes(list, new Date(), new Date());
    return;
  }
  const require = createRequire(join(root, 'packages/core/package.json'));
  const { decompress } = require('wawoff2');
  const subsetFont = require('subset-font');
  await rm(out, { recursive: true, force: true });
  await mkdir(out, { recursive: true });
  const made = new Set();
  const measuring = new Map();
  const make = async (name, set, weight, style) => {
    const file = `${name}-${set}-${weight}${style === 'italic' ? '-italic' : ''}`;
    if (made.has(file)) return file;
    made.add(file);
    const folder = dirname(require.resolve(`@fontsource/${name}/package.json`));
    const source = join(folder, `files/${name}-${set}-${weight}-${style}.woff2`);
    await copyFile(source, join(out, `${file}.woff2`));
    await writeFile(join(out, `${file}.ttf`), await decompress(await readFile(source)));
    return file;
  };
  const makeSigns = async (name, set, ranges) => {
    const file = `${name}-signs`;
    if (made.has(file)) return file;
    made.add(file);
    const folder = dirname(require.resolve(`@fontsource/${name}/package.json`));
    const whole = await readFile(join(folder, `files/${name}-${set}-400-normal.woff2`));
    const wanted = ranges
      .flatMap(([from, to]) => Array.from({ length: to - from + 1 }, (_, index) => from + index))
      .map((code) => String.fromCodePoint(code))
      .join('');
    for (const [ending, targetFormat] of [
      ['woff2', 'woff2'],
      ['ttf', 'truetype'],
    ])
      await writeFile(join(out, `${file}.${ending}`), await subsetFont(whole, wanted, { targetFormat }));
    return file;
  };
  const makeJapanese = async (set, weight, ranges) => {
    const file = `noto-sans-jp-${set}-${weight}`;
    if (made.has(file)) return file;
    made.add(file);
    const folder = dirname(require.resolve('@fontsource/noto-sans-jp/package.json'));
    const whole = await readFile(join(folder, `files/noto-sans-jp-japanese-${weight}-normal.woff2`));
    const ttf = await decompress(whole);
    const measured = measuresOf(ttf);
    const codes = measured.codes.filter((code) => ranges.some(([from, to]) => from <= code && code <= to));
    const characters = codes.map((code) => String.fromCodePoint(code)).join('');
    for (const [ending, targetFormat] of [
      ['woff2', 'woff2'],
      ['ttf', 'truetype'],
    ])
      await writeFile(join(out, `${file}.${ending}`), await subsetFont(whole, characters, { targetFormat }));
    if (set === 'kanji') {
      const other = codes.find((code) => measured.advanceOf(code) !== measured.em);
      if (other) throw new Error(`${String.fromCodePoint(other)} is not as wide as an em.`);
      measuring.set(file, measuringFont(codes, measured));
    }
    return file;
  };
  const rangesOf = async (name) =>
    JSON.parse(
      await readFile(
        join(dirname(require.resolve(`@fontsource/${name}/package.json`)), 'unicode.json'),
        'utf8',
      ),
    );
  const files = [];
  for (const [family, name] of families)
    for (const weight of weights)
      for (const style of ['normal', 'italic']) {
        const italic = style === 'italic';
        for (const set of sets)
          files.push({
            family,
            weight,
            italic,
            file: await make(name, set, weight, style),
            unicodeRange: (await rangesOf(name))[set],
          });
        for (const [other, set, styles] of others)
          files.push({
            family,
            weight,
            italic,
            file: await make(other, set, weight, styles.includes(style) ? style : 'normal'),
            unicodeRange: (await rangesOf(other))[set],
          });
        for (const [other, set, ranges] of signs)
          files.push({
            family,
            weight,
            italic,
            file: await makeSigns(other, set, ranges),
            unicodeRange: unicodeRange(ranges),
          });
        for (const [set, ranges] of japanese)
          files.push({
            family,
            weight,
            italic,
            file: await makeJapanese(set, weight, ranges),
            unicodeRange: unicodeRange(ranges),
            // Larger than what a page needs of it.
            ...(set === 'kanji' ? { cut: true } : {}),
          });
      }
  const standIns = [];
  for (const [family, name, design] of families)
    standIns.push(
      ...(await standInsFor(root, family, design, (weight) =>
        readFile(join(out, `${name}-latin-${weight}.ttf`)),
      )),
    );
  // The workbench itself is set in these fonts too; the same rules as in exported pages.
  const rules = files
    .toReversed()
    .map(
      ({ family, weight, italic, file, unicodeRange }) =>
        `@font-face { font-family: "${family}"; font-weight: ${weight}; font-style: ${italic ? 'italic' : 'normal'}; font-display: block; src: url("${file}.woff2") format("woff2"); unicode-range: ${unicodeRange}; }\n`,
    );
  await writeFile(join(out, 'fonts.css'), rules.join(''));
  const { pack, places } = await packed([...made], measuring);
  await writeFile(list, `${JSON.stringify({ version, files, pack, places, standIns }, null, 1)}\n`);
}

if (process.argv[1] === import.meta.filename) await makeFonts();
