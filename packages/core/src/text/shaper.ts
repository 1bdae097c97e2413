/**
 * Turns words into widths with the shaper that browsers use (HarfBuzz), on the fonts that ship.
 *
 * Widths are kept in font units and scaled by the size at the end, so one shaping serves all sizes.
 */
import { Blob, Buffer, Direction, Face, Font, GlyphFlag, shape } from 'harfbuzzjs';
import { type FontManifest, parseUnicodeRange } from './fonts.ts';

/** Vertical measures of a face at a size, whole CSS px as browsers round them. */
export interface LineMetrics {
  /** From the baseline up. */
  readonly ascent: number;
  /** From the baseline down. */
  readonly descent: number;
}

/** One text shaped in one face, in units of an em (multiply by the font size for CSS px). */
export interface ShapedText {
  readonly text: string;
  /** Distance from the start of the text to each UTF-16 index; one longer than the text. */
  readonly offsets: Float64Array;
  /** 1 where a break in front of the index could change the shapes on either side (kerning, ligatures). */
  readonly unsafe: Uint8Array;
}

interface LoadedFile {
  readonly font: Font;
  readonly unitsPerEm: number;
  covers(codePoint: number): boolean;
}

const cacheLimit = 20_000;

/** Measures text. One is made for a set of loaded fonts, and shared by all layouts. */
export class Shaper {
  private readonly faces = new Map<string, LoadedFile[]>();
  private readonly cache = new Map<string, ShapedText>();

  /**
   * @param manifest which files there are.
   * @param read gives the bytes of a file's `.ttf` form.
   * @throws Error when a file cannot be read.
   */
  static async load(manifest: FontManifest, read: (file: string) => Promise<Uint8Array>): Promise<Shaper> {
    const shaper = new Shaper();
    const bytes = await Promise.all(manifest.files.map((file) => read(`${file.file}.ttf`)));
    manifest.files.forEach((file, index) => {
      const data = bytes[index]!;
      const copy = new ArrayBuffer(data.byteLength);
      new Uint8Array(copy).set(data);
      const face = new Face(new Blob(copy));
      const ranges = parseUnicodeRange(file.unicodeRange);
      const present = new Set(face.collectUnicodes());
      const key = `${file.family}/${file.weight}`;
      const list = shaper.faces.get(key) ?? [];
      list.push({
        font: new Font(face),
        unitsPerEm: face.upem,
        covers: (code) => present.has(code) && ranges.some(([from, to]) => code >= from && code <= to),
      });
      shaper.faces.set(key, list);
    });
    return shaper;
  }

  private filesOf(family: string, weight: number): LoadedFile[] {
    const files = this.faces.get(`${family}/${weight}`) ?? this.faces.values().next().value;
    if (!files) throw new Error('No fonts are loaded');
    return files;
  }

  /** Ascent and descent as browsers round them: each to whole px. */
  lineMetrics(family: string, weight: number, size: number): LineMetrics {
    const file = this.filesOf(family, weight)[0]!;
    const extents = file.font.hExtents();
    return {
      ascent: Math.round((extents.ascender / file.unitsPerEm) * size),
      descent: Math.round((-extents.descender / file.unitsPerEm) * size),
    };
  }

  /** Shapes a text in a face. Never fails: a character that no file covers takes the first file's blank. */
  shape(text: string, family: string, weight: number): ShapedText {
    const key = `${family}/${weight}/${text}`;
    const known = this.cache.get(key);
    if (known) return known;
    const shaped = this.shapeAnew(text, this.filesOf(family, weight));
    if (this.cache.size >= cacheLimit) this.cache.clear();
    this.cache.set(key, shaped);
    return shaped;
  }

  private shapeAnew(text: string, files: LoadedFile[]): ShapedText {
    const offsets = new Float64Array(text.length + 1);
    const unsafe = new Uint8Array(text.length + 1);
    let at = 0;
    for (const run of runsByFile(text, files)) {
      const buffer = new Buffer();
      buffer.addText(text.slice(run.start, run.end));
      buffer.guessSegmentProperties();
      buffer.setDirection(Direction.LTR);
      shape(run.file.font, buffer);
      const advance = new Float64Array(run.end - run.start);
      const startsCluster = new Uint8Array(run.end - run.start);
      const infos = buffer.getGlyphInfos();
      const positions = buffer.getGlyphPositions();
      infos.forEach((glyph, index) => {
        advance[glyph.cluster]! += positions[index]!.xAdvance / run.file.unitsPerEm;
        startsCluster[glyph.cluster] = 1;
        if (glyph.flags & GlyphFlag.UNSAFE_TO_BREAK) unsafe[run.start + glyph.cluster] = 1;
      });
      for (let index = 0; index < advance.length; index++) {
        offsets[run.start + index] = at;
        if (!startsCluster[index]) unsafe[run.start + index] = 1;
        at += advance[index]!;
      }
    }
    offsets[text.length] = at;
    return { text, offsets, unsafe };
  }
}

/** Cuts a text into stretches that one file covers; a mark stays with the character before it. */
function runsByFile(text: string, files: LoadedFile[]): { start: number; end: number; file: LoadedFile }[] {
  const runs: { start: number; end: number; file: LoadedFile }[] = [];
  let index = 0;
  for (const character of text) {
    const code = character.codePointAt(0)!;
    const last = runs.at(-1);
    const isMark = /\p{M}|\u200d/u.test(character);
    const file =
      isMark && last?.file.covers(code) ? last.file : (files.find((f) => f.covers(code)) ?? files[0]!);
    if (last && last.file === file) last.end = index + character.length;
    else runs.push({ start: index, end: index + character.length, file });
    index += character.length;
  }
  return runs;
}
