/**
 * Turns words into widths with the shaper that browsers use (HarfBuzz), on the fonts that ship.
 *
 * Widths are kept in font units and scaled by the size at the end (`places.ts`), so one shaping serves all sizes.
 */

import { Blob, Buffer, Direction, Feature, Font, Face as FontFace, GlyphFlag, shape } from 'harfbuzzjs';
import { numberAt } from '../sure.ts';
import { embeddingLevels } from './directions.ts';
import { type Face, faceKey, type PackedFonts, parseUnicodeRange } from './fonts.ts';
import type { Letters } from './places.ts';
import { arabic, scriptsOf, scriptTag } from './scripts.ts';

/** Vertical measures of a face at a size, whole CSS px as browsers round them. */
export interface LineMetrics {
  /** From the baseline up. */
  readonly ascent: number;
  /** From the baseline down. */
  readonly descent: number;
}

/** One text shaped in one face, in the font's units. */
export interface ShapedText {
  readonly text: string;
  /** How wide the glyphs are by themselves that begin at each UTF-16 index. */
  readonly advances: Int32Array;
  /** What kerning adds to that; browsers scale the two by different sizes. Undefined where it adds nothing. */
  readonly kerns: Int32Array | undefined;
  /** How many characters (glyph clusters) that letter spacing counts stand before each index. */
  readonly spaced: Uint32Array;
  /** 1 where a break in front of the index could change the shapes on either side (kerning, ligatures). */
  readonly unsafe: Uint8Array;
  /** Where the direction turns, in reading order; undefined where it never does. */
  readonly turns: readonly number[] | undefined;
  /** Embedding levels (UAX #9), one a UTF-16 index; undefined where all runs left to right. */
  readonly levels: Uint8Array | undefined;
  /** Scripts (UAX #24), one a UTF-16 index; undefined where it is the same throughout. */
  readonly scripts: Uint8Array | undefined;
}

/** How a text is shaped besides its face. */
export interface ShapeOptions {
  /** The paragraph runs right to left. */
  readonly rightToLeft: boolean;
  /** Letters are spaced, so they are not joined into ligatures (CSS Text 3 §8.2). */
  readonly spaced: boolean;
  /** The scripts of its characters (`scriptsOf`), where the text around decides them. */
  readonly scripts?: Uint8Array | undefined;
}

interface LoadedFile {
  readonly font: Font;
  readonly unitsPerEm: number;
  /** From code point to whether the file is used for it. */
  readonly covered: Set<number>;
  /** Advances of glyphs by themselves, as far as they were asked for. */
  readonly advances: Map<number, number>;
}

const cacheLimit = 20_000;

/** Measures text. One is made for a set of loaded fonts, and shared by all layouts. */
export class Shaper {
  /** The files of faces that were asked for; the others wait in the pack. */
  private readonly faces = new Map<string, LoadedFile[]>();
  private readonly opened = new Map<string, ReturnType<typeof openFont>>();
  private readonly cache = new Map<string, ShapedText>();
  /** Texts prepared for setting, by whoever prepares them; as long-lived as the fonts. */
  readonly prepared = new Map<string, unknown>();
  private readonly buffer = new Buffer();
  private constructor(
    private readonly manifest: PackedFonts,
    private readonly pack: Uint8Array,
    readonly letters: Letters,
  ) {}

  private readonly unjoined = ['liga', 'clig'].map((tag) => new Feature(tag, 0));

  /**
   * @param manifest which files there are.
   * @param read gives the bytes of a file: of the one that all fonts are packed into.
   * @throws Error when it cannot be read.
   */
  static async load(
    manifest: PackedFonts,
    read: (file: string) => Promise<Uint8Array>,
    letters: Letters = 'exact',
  ): Promise<Shaper> {
    return new Shaper(manifest, await read(manifest.pack), letters);
  }

  /** The files of a face, in order of preference; empty where there is no such face. */
  private open(key: string): LoadedFile[] {
    return this.manifest.files
      .filter((file) => faceKey(file) === key)
      .map(({ file, unicodeRange }) => {
        const { font, unitsPerEm, present } = this.openedFile(file);
        const ranges = parseUnicodeRange(unicodeRange);
        const covered = new Set(
          present.filter((code) => ranges.some(([from, to]) => code >= from && code <= to)),
        );
        return { font, unitsPerEm, covered, advances: new Map() };
      });
  }

  private openedFile(file: string): ReturnType<typeof openFont> {
    let known = this.opened.get(file);
    if (!known) {
      const place = this.manifest.places[file];
      if (!place) throw new Error(`The font ${file} is not in the pack`);
      known = openFont(this.pack.subarray(place[0], place[0] + place[1]));
      this.opened.set(file, known);
    }
    return known;
  }

  /** Forgets all texts, as if the fonts had just been loaded. */
  forget(): void {
    this.cache.clear();
    this.prepared.clear();
  }

  private filesOf(face: Face): LoadedFile[] {
    const key = faceKey(face);
    let files = this.faces.get(key);
    if (!files) {
      const [first] = this.manifest.files;
      if (!first) throw new Error('No fonts are loaded');
      const own = this.open(key);
      files = own.length > 0 ? own : this.filesOf(first);
      this.faces.set(key, files);
    }
    return files;
  }

  /** Ascent and descent as browsers round them: each to whole px. */
  lineMetrics(face: Face, size: number): LineMetrics {
    const file = this.filesOf(face)[0]!;
    const extents = file.font.hExtents();
    return {
      ascent: Math.round((extents.ascender / file.unitsPerEm) * size),
      descent: Math.round((-extents.descender / file.unitsPerEm) * size),
    };
  }

  /** What stands at the end of a line that ends within a word (CSS Text 4 §5.4): a hyphen, where the face has one. */
  hyphenOf(face: Face): string {
    return this.filesOf(face)[0]!.covered.has(0x2010) ? '\u2010' : '-';
  }

  /** Units that an em of a face is divided into. */
  unitsPerEm(face: Face): number {
    return this.filesOf(face)[0]!.unitsPerEm;
  }

  /** Shapes a text in a face. Never fails: a character that no file covers takes the first file's blank. */
  shape(text: string, face: Face, options: ShapeOptions): ShapedText {
    const { rightToLeft, spaced, scripts } = options;
    const key = `${faceKey(face)}/${scripts?.join('') ?? ''}${rightToLeft ? 'r' : ''}${spaced ? 's' : ''}/${text}`;
    return this.kept(key, () =>
      this.shapeAnew(
        text,
        this.filesOf(face),
        options,
        embeddingLevels(text, rightToLeft),
        scripts ?? scriptsOf(text),
      ),
    );
  }

  /**
   * Shapes a part of a text by itself, in the directions and scripts that it has in the whole (UAX #9 §3.4: lines do not change
   * them).
   */
  shapePart(text: string, start: number, end: number, face: Face, options: ShapeOptions): ShapedText {
    const part = text.slice(start, end);
    const whole = this.shape(text, face, options);
    const [levels, scripts] = [whole.levels?.slice(start, end), whole.scripts?.slice(start, end)];
    if (!levels && !scripts) return this.shape(part, face, options);
    const given = `${levels?.join('') ?? ''}/${scripts?.join('') ?? ''}`;
    const key = `${faceKey(face)}/part/${given}${options.spaced ? 's' : ''}/${part}`;
    return this.kept(key, () => this.shapeAnew(part, this.filesOf(face), options, levels, scripts));
  }

  private kept(key: string, shapeAnew: () => ShapedText): ShapedText {
    const known = this.cache.get(key);
    if (known) return known;
    const shaped = shapeAnew();
    if (this.cache.size >= cacheLimit) this.cache.clear();
    this.cache.set(key, shaped);
    return shaped;
  }

  private shapeAnew(
    text: string,
    files: LoadedFile[],
    { spaced }: ShapeOptions,
    levels: Uint8Array | undefined,
    scripts: Uint8Array | undefined,
  ): ShapedText {
    const { length } = text;
    const advances = new Int32Array(length);
    let kerns: Int32Array | undefined;
    const isSpaced = new Uint32Array(length + 1);
    const starts = new Uint8Array(length + 1);
    const unsafe = new Uint8Array(length + 1);
    const { buffer } = this;
    for (const { start, end, file, level, script } of runsOf(text, files, levels, scripts)) {
      buffer.clearContents();
      buffer.addText(start === 0 && end === length ? text : text.slice(start, end));
      const tag = scriptTag(script);
      if (tag) buffer.setScript(tag);
      buffer.guessSegmentProperties();
      buffer.setDirection(level % 2 === 0 ? Direction.LTR : Direction.RTL);
      shape(file.font, buffer, spaced ? this.unjoined : undefined);
      const infos = buffer.getGlyphInfos();
      const positions = buffer.getGlyphPositions();
      for (let index = 0; index < infos.length; index++) {
        const { codepoint: glyph, cluster, flags } = infos[index]!;
        const at = start + cluster;
        const advance = advanceOf(file, glyph);
        const kern = positions[index]!.xAdvance - advance;
        advances[at]! += advance;
        if (kern !== 0) {
          kerns ??= new Int32Array(length);
          kerns[at]! += kern;
        }
        starts[at] = 1;
        if (takesSpacing(text.charAt(at), script)) isSpaced[at] = 1;
        if (flags & GlyphFlag.UNSAFE_TO_BREAK) unsafe[at] = 1;
      }
    }
    let count = 0;
    for (let index = 0; index <= length; index++) {
      if (!starts[index] && index < length) unsafe[index] = 1;
      const counts = numberAt(isSpaced, index);
      isSpaced[index] = count;
      count += counts;
    }
    return {
      text,
      advances,
      kerns,
      spaced: isSpaced,
      unsafe,
      turns: levels && turnsOf(levels),
      levels,
      scripts,
    };
  }
}

function advanceOf({ font, advances }: LoadedFile, glyph: number): number {
  let advance = advances.get(glyph);
  if (advance === undefined) {
    advance = font.glyphHAdvance(glyph);
    advances.set(glyph, advance);
  }
  return advance;
}

function openFont(data: Uint8Array): { font: Font; unitsPerEm: number; present: number[] } {
  const copy = new ArrayBuffer(data.byteLength);
  new Uint8Array(copy).set(data);
  const face = new FontFace(new Blob(copy));
  return { font: new Font(face), unitsPerEm: face.upem, present: [...face.collectUnicodes()] };
}

function turnsOf(levels: Uint8Array): readonly number[] | undefined {
  const turns: number[] = [];
  for (let index = 1; index < levels.length; index++)
    if (levels[index] !== levels[index - 1]) turns.push(index);
  return turns.length > 0 ? turns : undefined;
}

/** What is not seen (UAX #44, Default_Ignorable_Code_Point) is not spaced. */
const unseen = /\p{DI}/u;

/** Whether letter spacing is added to a character: not between letters that are joined, only to the spaces there. */
const takesSpacing = (character: string, script: number): boolean =>
  script === arabic
    ? character === ' ' || character === '\u00a0'
    : character < '\u00ad' || !unseen.test(character);

interface Run {
  readonly start: number;
  end: number;
  readonly file: LoadedFile;
  readonly level: number;
  readonly script: number;
}

const mark = /\p{M}|\u200d/u;

/** Cuts a text into stretches of one file, one direction and one script; a mark stays with the character before it. */
function runsOf(
  text: string,
  files: LoadedFile[],
  levels: Uint8Array | undefined,
  scripts: Uint8Array | undefined,
): Run[] {
  const runs: Run[] = [];
  let last: Run | undefined;
  for (let index = 0; index < text.length; ) {
    const code = text.codePointAt(index)!;
    const end = index + (code > 0xffff ? 2 : 1);
    const level = levels?.[index] ?? 0;
    const script = scripts?.[index] ?? 0;
    let file: LoadedFile;
    if (code > 0x2ff && last?.file.covered.has(code) && mark.test(text.slice(index, end))) file = last.file;
    else file = files.find((f) => f.covered.has(code)) ?? files[0]!;
    if (last && last.file === file && last.level === level && last.script === script) last.end = end;
    else {
      last = { start: index, end, file, level, script };
      runs.push(last);
    }
    index = end;
  }
  return runs;
}
