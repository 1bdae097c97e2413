/**
 * A text set in lines: how wide it is at its widest and at its narrowest, and which lines it makes at a width.
 *
 * White space as CSS `white-space-collapse: preserve-breaks` has it (CSS Text 4 §3.1): runs of spaces become
 * one, spaces at line ends hang and count nothing, a line feed ends a line.
 */
import { beginsWithHyphen, breakOpportunities } from './breaks.ts';
import { lineAlone } from './directions.ts';
import { placesOf, unitScale } from './places.ts';
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

function prepare(shaper: Shaper, text: string, style: TextStyle, rightToLeft: boolean): Paragraphs {
  const scale = unitScale(style.size, shaper.unitsPerEm(style));
  const spacing = style.letterSpacing;
  const lines = collapse(text);
  // What belongs to no script follows what is in other lines.
  const scripts = scriptsOf(lines.join('\n'));
  let at = 0;
  const pieces: Piece[] = lines.map((line) => {
    const start = at;
    at += line.length + 1;
    return {
      text: line,
      breaks: style.noWrap ? [line.length] : breakOpportunities(line),
      options: { rightToLeft, spaced: spacing !== 0, scripts: scripts?.slice(start, start + line.length) },
    };
  });

  /** Where a stretch ends without the space behind it. */
  const endOfWords = (piece: Piece, start: number, end: number): number =>
    end > start && piece.text[end - 1] === ' ' ? end - 1 : end;

  const places = new Map<ShapedText, Float32Array>();
  /** From a text's start to a character of it. */
  const placeIn = (shaped: ShapedText, at: number): number => {
    let known = places.get(shaped);
    if (!known) {
      known = placesOf(shaped, scale);
      places.set(shaped, known);
    }
    return known[at]! + shaped.spaced[at]! * spacing;
  };
  /** Stretches of one direction are measured by themselves, and each is rounded up. */
  const widthIn = (shaped: ShapedText, start: number, end: number): number => {
    let width = 0;
    let from = start;
    for (const turn of shaped.turns ?? []) {
      if (turn <= from || turn >= end) continue;
      width += ceilUnit(placeIn(shaped, turn) - placeIn(shaped, from));
      from = turn;
    }
    return width + placeIn(shaped, end) - placeIn(shaped, from);
  };

  /** What is added to a line that ends at a soft hyphen: not spaced, as browsers do it. */
  let hyphenWidth: number | undefined;
  const hyphenAt = ({ text: whole }: Piece, end: number): number => {
    if (style.noWrap || !isHyphenated(whole, end)) return 0;
    hyphenWidth ??= ceilUnit(
      placesOf(shaper.shape(shaper.hyphenOf(style), style, { rightToLeft: false, spaced: false }), scale)[1]!,
    );
    return hyphenWidth;
  };

  /** Width of a stretch as a part of the whole. */
  const widthWithin = (piece: Piece, start: number, end: number): number =>
    widthIn(shaper.shape(piece.text, style, piece.options), start, endOfWords(piece, start, end));

  /** Width of a stretch set on a line of its own, without the space at its end. */
  const widthOf = (piece: Piece, start: number, end: number): number => {
    const { unsafe } = shaper.shape(piece.text, style, piece.options);
    // A line is shaped with the space at its end, which is cut off afterwards: kerning with it stays.
    if (unsafe[start] || (end < piece.text.length && unsafe[end])) {
      const part = shaper.shapePart(piece.text, start, end, style, piece.options);
      return widthIn(part, 0, endOfWords(piece, start, end) - start);
    }
    return widthWithin(piece, start, end);
  };

  /**
   * The least width that a stretch fits in: both as a part of the whole and shaped on its own, as browsers decide; where lines
   * do not stand at the start, also without the space at its end, since kerning with that would shift them. They let a line be a
   * 64th wider than its room.
   */
  const needOf = (piece: Piece, start: number, end: number): number => {
    const widths = [widthWithin(piece, start, end), widthOf(piece, start, end)];
    const words = endOfWords(piece, start, end);
    if (
      style.align !== 'start' &&
      words < end &&
      shaper.shape(piece.text, style, piece.options).unsafe[words]
    )
      widths.push(widthOf(piece, start, words));
    return Math.max(...widths.map(ceilUnit)) + hyphenAt(piece, end) - 1 / 64;
  };

  let minContent = 0;
  let maxContent = 0;
  for (const piece of pieces) {
    maxContent = Math.max(maxContent, widthOf(piece, 0, piece.text.length));
    const shaped = shaper.shape(piece.text, style, piece.options);
    let start = 0;
    for (const end of piece.breaks) {
      if (beginsWithHyphen(piece.text, start, end)) continue;
      // Browsers round the places of both ends, not the width between them.
      const least =
        ceilUnit(widthIn(shaped, 0, endOfWords(piece, start, end))) - ceilUnit(widthIn(shaped, 0, start));
      minContent = Math.max(minContent, least + hyphenAt(piece, end));
      start = end;
    }
  }

  const metrics = shaper.lineMetrics(style, style.size);
  const lineHeight = lineHeightOf(style.size, style.lineHeight);
  // Half-leading: the line's surplus height goes above and below in equal parts (CSS Inline 3 §4.2).
  const baseline = metrics.ascent + Math.floor((lineHeight - metrics.ascent - metrics.descent) / 2);

  const setAt = (width: number): SetLines => {
    const lines: Line[] = [];
    let from = 0;
    let below = Infinity;
    const push = (piece: Piece, start: number, end: number) => {
      const words = piece.text.slice(start, end).trimEnd();
      const levels = shaper
        .shape(piece.text, style, piece.options)
        .levels?.slice(start, start + words.length);
      const alone = levels ? lineAlone(words, levels, rightToLeft) : words;
      const hyphen = hyphenAt(piece, end);
      const mark = hyphen > 0 ? shaper.hyphenOf(style) : '';
      const width = widthOf(piece, start, end) + hyphen;
      lines.push({ text: words + mark, alone: alone + mark, width });
    };
    for (const piece of pieces) {
      let start = 0;
      let fits = -1;
      let need = 0;
      for (let index = 0; index < piece.breaks.length; index++) {
        const end = piece.breaks[index]!;
        if (beginsWithHyphen(piece.text, start, end)) continue;
        const wanted = needOf(piece, start, end);
        if (wanted <= width) {
          fits = end;
          need = wanted;
          continue;
        }
        below = Math.min(below, wanted);
        // What does not fit goes to the next line, unless it stands alone: then it overflows.
        if (fits > start) {
          from = Math.max(from, need);
          push(piece, start, fits);
          start = fits;
          index--;
        } else {
          push(piece, start, end);
          start = end;
        }
        fits = -1;
        need = 0;
      }
      from = Math.max(from, need);
      if (start < piece.text.length || piece.text.length === 0) push(piece, start, piece.text.length);
    }
    return { lines, from, below };
  };

  // A soft hyphen at the very end is seen only by the narrowest width.
  const widest = Math.max(ceilUnit(maxContent), minContent);
  /** The last answers; a pass over a screen asks for a width more than once. */
  const known: SetLines[] = [];
  return {
    minContent,
    maxContent: widest,
    lineHeight,
    baseline,
    set(width) {
      for (const set of known) if (width >= set.from && width < set.below) return set;
      const set = setAt(width);
      if (known.length >= 8) known.shift();
      known.push(set);
      return set;
    },
  };
}
