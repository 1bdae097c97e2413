/**
 * A font to measure with, for ideographs: all of them are as wide as an em is high, and none is kerned, so their shapes are not
 * asked for. It has the tables that a shaper reads (OpenType 1.9: `cmap`, `head`, `hhea`, `hmtx`, `maxp`), and no shapes.
 */

/** A big-endian record of numbers, [bytes, value] each. */
function record(fields) {
  const bytes = Buffer.alloc(fields.reduce((sum, [size]) => sum + size, 0));
  let at = 0;
  for (const [size, value] of fields) {
    if (value < 0) bytes.writeIntBE(value, at, size);
    else bytes.writeUIntBE(value, at, size);
    at += size;
  }
  return bytes;
}

/** Stretches of codes that follow one another. */
function stretches(codes) {
  const found = [];
  for (const code of codes.toSorted((a, b) => a - b)) {
    const last = found.at(-1);
    if (last && code === last[1] + 1) last[1] = code;
    else found.push([code, code]);
  }
  return found;
}

/** Format 13: many characters, one glyph (OpenType 1.9, `cmap` subtable format 13). */
function characterMap(codes) {
  const groups = stretches(codes);
  const length = 16 + 12 * groups.length;
  return record([
    [2, 0],
    [2, 1],
    [2, 3],
    [2, 10],
    [4, 12],
    [2, 13],
    [2, 0],
    [4, length],
    [4, 0],
    [4, groups.length],
    ...groups.flatMap(([from, to]) => [
      [4, from],
      [4, to],
      [4, 1],
    ]),
  ]);
}

function head(em) {
  const zero = Array.from({ length: 4 }, () => [4, 0]);
  return record([
    [4, 0x00010000],
    [4, 0x00010000],
    [4, 0],
    [4, 0x5f0f3cf5],
    [2, 0],
    [2, em],
    ...zero,
    [2, 0],
    [2, 0],
    [2, em],
    [2, em],
    [2, 0],
    [2, 6],
    [2, 2],
    [2, 0],
    [2, 0],
  ]);
}

/**
 * @param codes the characters that are as wide as an em.
 * @param em units that an em is divided into. @param ascender, @param descender of a line, in these units; the latter below zero.
 * @returns a font file in TrueType's form.
 */
export function measuringFont(codes, { em, ascender, descender }) {
  // Shapers take a stretch of characters for as many glyphs: there are to be so many.
  const glyphs = 2 + Math.max(...stretches(codes).map(([from, to]) => to - from + 1));
  const two = (count) => Array.from({ length: count }, () => [2, 0]);
  const tables = [
    ['cmap', characterMap(codes)],
    ['head', head(em)],
    ['hhea', record([[4, 0x00010000], [2, ascender], [2, descender], [2, 0], [2, em], ...two(11), [2, 1]])],
    // One advance for all glyphs.
    ['hmtx', record([[2, em], ...two(glyphs)])],
    [
      'maxp',
      record([
        [4, 0x00005000],
        [2, glyphs],
      ]),
    ],
  ];
  const padded = (bytes) => Buffer.concat([bytes, Buffer.alloc((4 - (bytes.length % 4)) % 4)]);
  const parts = tables.map(([, bytes]) => padded(bytes));
  let offset = 12 + 16 * tables.length;
  const list = tables.flatMap(([tag, bytes], index) => {
    const entry = [
      [4, Buffer.from(tag).readUInt32BE()],
      [4, 0],
      [4, offset],
      [4, bytes.length],
    ];
    offset += parts[index].length;
    return entry;
  });
  return Buffer.concat([
    record([[4, 0x00010000], [2, tables.length], [2, 64], [2, 2], [2, tables.length * 16 - 64], ...list]),
    ...parts,
  ]);
}
