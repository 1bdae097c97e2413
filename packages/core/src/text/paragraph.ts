/**
 * A text set in lines: how wide it is at its widest and at its narrowest, and which lines it makes at a width.
 *
 * White space as CSS `white-space-collapse: preserve-breaks` has it (CSS Text 4 §3.1): runs of spaces become
 * one, spaces at line ends hang and count nothing, a line feed ends a line.
 */
import { beginsWithHyphen, breakOpportunities } from './breaks.ts';
import { lineAlone } from './directions.ts';
import { placesOf, type UnitScale, unitScale } from './places.ts';
import { scriptsOf } from './scripts.ts';
import type { ShapedText, ShapeOptions, Shaper } from './shaper.ts';
import { ceilUnit, lineHeightOf } from './units.ts';

/** To which side of their box lines stand. */
export type TextAlign = 'start' | 'center' | 'end';

/** How a text is set. */
export interface TextStyle {
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  /** Font size in CSS px, the reader's text scale already in it. */
  readonly size: number;
  /** Height of a line as a factor of the size. */
  readonly lineHeight: number;
  /** Between any two characters, CSS px; may be negative. */
  readonly letterSpacing: number;
  /** True: lines end only at line feeds. */
  readonly noWrap: boolean;
  readonly align: TextAlign;
  /** All letters are capital ones (CSS Text 3 §2.1, `text-transform`). */
  readonly uppercase?: boolean;
}

/** One line of a set text. */
export interface Line {
  /** What stands on it, without the spaces at its end. */
  readonly text: string;
  /** The same, as it is written where the line stands alone; see `lineAlone`. */
  readonly alone: string;
  /** CSS px, unrounded. */
  readonly width: number;
}

/** A text ready to be set at any width. */
export interface Paragraphs {
  /** Narrowest useful width: the widest stretch that cannot be broken (CSS `min-content`), CSS px. */
  readonly minContent: number;
  /** Width at which only line feeds end lines (CSS `max-content`), CSS px. */
  readonly maxContent: number;
  /** Height of each line, CSS px. */
  readonly lineHeight: number;
  /** From the top of a line to its baseline, CSS px. */
  readonly baseline: number;
  /** The lines at a width in CSS px; none where there are no words. */
  set(width: number): SetLines;
}

/** Lines at a width, and from which width up to below which other they break at the same places. */
export interface SetLines {
  readonly lines: readonly Line[];
  readonly from: number;
  readonly below: number;
}

interface Piece {
  readonly text: string;
  readonly breaks: readonly number[];
  readonly options: ShapeOptions;
}

/**
 * Collapses white space and cuts at line feeds (CSS Text 3 §4.1.1). Nothing behind the last line feed makes no
 * line (CSS Inline 3 §2.1).
 */
function collapse(text: string): string[] {
  const lines = text
    .replace(/\r\n?/g, '\n')
    .split('\n')
    .map((line) => line.replace(/[ \t\f]+/g, ' ').replace(/^ | $/g, ''));
  return lines.at(-1) === '' ? lines.slice(0, -1) : lines;
}

/** Whether a line that ends there ends with a hyphen: at a soft one (CSS Text 3 §5.4), also in front of the space at its end. */
const isHyphenated = (text: string, end: number): boolean =>
  text[end - (text[end - 1] === ' ' ? 2 : 1)] === '\u00ad';

/** Most texts kept prepared. */
const mostPrepared = 20_000;

/**
 * Prepares a text. The same text in the same style is prepared once.
 *
 * @param rightToLeft the direction of the paragraph.
 */
export function setText(shaper: Shaper, text: string, style: TextStyle, rightToLeft = false): Paragraphs {
  const { family, weight, italic, size, lineHeight, letterSpacing, noWrap, align } = style;
  const key = `${family}/${weight}/${italic}/${size}/${lineHeight}/${letterSpacing}/${noWrap}/${align === 'start'}/${rightToLeft}/${text}`;
  let known = shaper.prepared.get(key) as Paragraphs | undefined;
  if (!known) {
    known = prepare(shaper, text, style, rightToLeft);
    if (shaper.prepared.size >= mostPrepared) shaper.prepared.clear();
    shaper.prepared.set(key, known);
  }
  return known;
}

/** Where a stretch ends without the space behind it. */
const endOfWords = ({ text }: Piece, start: number, end: number): number =>
  end > start && text[end - 1] === ' ' ? end - 1 : end;

/** One text set in one style, of which widths are asked. */
class Setting {
  private readonly scale: UnitScale;
  private readonly pieces: readonly Piece[];
  private readonly places = new Map<ShapedText, Float32Array>();
  /** What is added to a line that ends at a soft hyphen: not spaced, as browsers do it. */
  private hyphenWidth: number | undefined;

  constructor(
    private readonly shaper: Shaper,
    text: string,
    private readonly style: TextStyle,
    private readonly rightToLeft: boolean,
  ) {
    this.scale = unitScale(style.size, shaper.unitsPerEm(style), shaper.letters);
    const lines = collapse(text);
    // Letters that belong to no script follow those of the other lines.
    const scripts = scriptsOf(lines.join('\n'));
    let at = 0;
    this.pieces = lines.map((line) => {
      const start = at;
      at += line.length + 1;
      return {
        text: line,
        breaks: style.noWrap ? [line.length] : breakOpportunities(line),
        options: {
          rightToLeft,
          spaced: style.letterSpacing !== 0,
          scripts: scripts?.slice(start, start + line.length),
        },
      };
    });
  }

  private shape(piece: Piece): ShapedText {
    return this.shaper.shape(piece.text, this.style, piece.options);
  }

  /** From a text's start to a character of it. */
  private placeIn(shaped: ShapedText, at: number): number {
    let known = this.places.get(shaped);
    if (!known) {
      known = placesOf(shaped, this.scale);
      this.places.set(shaped, known);
    }
    return (known[at] ?? 0) + (shaped.spaced[at] ?? 0) * this.style.letterSpacing;
  }

  /** Stretches of one direction are measured by themselves, and each is rounded up. */
  private widthIn(shaped: ShapedText, start: number, end: number): number {
    let width = 0;
    let from = start;
    for (const turn of shaped.turns ?? []) {
      if (turn <= from || turn >= end) continue;
      width += ceilUnit(this.placeIn(shaped, turn) - this.placeIn(shaped, from));
      from = turn;
    }
    return width + this.placeIn(shaped, end) - this.placeIn(shaped, from);
  }

  private hyphenAt({ text }: Piece, end: number): number {
    const { shaper, style } = this;
    if (style.noWrap || !isHyphenated(text, end)) return 0;
    if (this.hyphenWidth === undefined) {
      const hyphen = shaper.shape(shaper.hyphenOf(style), style, { rightToLeft: false, spaced: false });
      this.hyphenWidth = ceilUnit(placesOf(hyphen, this.scale)[1] ?? 0);
    }
    return this.hyphenWidth;
  }

  /** Width of a stretch as a part of the whole. */
  private widthWithin(piece: Piece, start: number, end: number): number {
    return this.widthIn(this.shape(piece), start, endOfWords(piece, start, end));
  }

  /** Width of a stretch set on a line of its own, without the space at its end. */
  private widthOf(piece: Piece, start: number, end: number): number {
    const { unsafe } = this.shape(piece);
    // A line is shaped with the space at its end, which is cut off afterwards: kerning with it stays.
    if (!unsafe[start] && (end >= piece.text.length || !unsafe[end]))
      return this.widthWithin(piece, start, end);
    const part = this.shaper.shapePart(piece.text, start, end, this.style, piece.options);
    return this.widthIn(part, 0, endOfWords(piece, start, end) - start);
  }

  /**
   * The least width that a stretch fits in: both as a part of the whole and shaped on its own, as browsers decide; where lines
   * do not stand at the start, also without the space at its end, since kerning with that would shift them. They let a line be a
   * 64th wider than its room.
   */
  private needOf(piece: Piece, start: number, end: number): number {
    const widths = [this.widthWithin(piece, start, end), this.widthOf(piece, start, end)];
    const words = endOfWords(piece, start, end);
    if (this.style.align !== 'start' && words < end && this.shape(piece).unsafe[words])
      widths.push(this.widthOf(piece, start, words));
    return Math.max(...widths.map(ceilUnit)) + this.hyphenAt(piece, end) - 1 / 64;
  }

  /** Widths of the longest word and of the longest line. */
  contentWidths(): Pick<Paragraphs, 'minContent' | 'maxContent'> {
    let minContent = 0;
    let maxContent = 0;
    for (const piece of this.pieces) {
      maxContent = Math.max(maxContent, this.widthOf(piece, 0, piece.text.length));
      const shaped = this.shape(piece);
      let start = 0;
      for (const end of piece.breaks) {
        if (beginsWithHyphen(piece.text, start, end)) continue;
        // Browsers round the places of both ends, not the width between them.
        const least =
          ceilUnit(this.widthIn(shaped, 0, endOfWords(piece, start, end))) -
          ceilUnit(this.widthIn(shaped, 0, start));
        minContent = Math.max(minContent, least + this.hyphenAt(piece, end));
        start = end;
      }
    }
    // A soft hyphen at the very end is seen only by the narrowest width.
    return { minContent, maxContent: Math.max(ceilUnit(maxContent), minContent) };
  }

  private lineOf(piece: Piece, start: number, end: number): Line {
    const words = piece.text.slice(start, end).trimEnd();
    const levels = this.shape(piece).levels?.slice(start, start + words.length);
    const alone = levels ? lineAlone(words, levels, this.rightToLeft) : words;
    const hyphen = this.hyphenAt(piece, end);
    const mark = hyphen > 0 ? this.shaper.hyphenOf(this.style) : '';
    return { text: words + mark, alone: alone + mark, width: this.widthOf(piece, start, end) + hyphen };
  }

  /** Breaks the text into lines, each as full as it can be. */
  linesAt(width: number): SetLines {
    const lines: Line[] = [];
    let from = 0;
    let below = Infinity;
    for (const piece of this.pieces) {
      let start = 0;
      let fits = -1;
      let need = 0;
      const end = (at: number) => {
        lines.push(this.lineOf(piece, start, at));
        start = at;
        fits = -1;
        need = 0;
      };
      for (let index = 0; index < piece.breaks.length; index++) {
        const at = piece.breaks[index] ?? piece.text.length;
        if (beginsWithHyphen(piece.text, start, at)) continue;
        const wanted = this.needOf(piece, start, at);
        if (wanted <= width) {
          fits = at;
          need = wanted;
          continue;
        }
        below = Math.min(below, wanted);
        // What does not fit goes to the next line, unless it stands alone: then it overflows.
        if (fits > start) {
          from = Math.max(from, need);
          end(fits);
          index--;
        } else end(at);
      }
      from = Math.max(from, need);
      if (start < piece.text.length || piece.text.length === 0) end(piece.text.length);
    }
    return { lines, from, below };
  }
}

/** Most widths of one text whose lines are kept: a pass over a screen asks for a width more than once. */
const mostWidths = 8;

function prepare(shaper: Shaper, text: string, style: TextStyle, rightToLeft: boolean): Paragraphs {
  const setting = new Setting(shaper, text, style, rightToLeft);
  const metrics = shaper.lineMetrics(style, style.size);
  const lineHeight = lineHeightOf(style.size, style.lineHeight);
  const known: SetLines[] = [];
  return {
    ...setting.contentWidths(),
    lineHeight,
    // Half-leading: the line's surplus height goes above and below in equal parts (CSS Inline 3 §4.2).
    baseline: metrics.ascent + Math.floor((lineHeight - metrics.ascent - metrics.descent) / 2),
    set(width) {
      for (const set of known) if (width >= set.from && width < set.below) return set;
      const set = setting.linesAt(width);
      if (known.length >= mostWidths) known.shift();
      known.push(set);
      return set;
    },
  };
}
