/**
 * A text set in lines: how wide it is at its widest and at its narrowest, and which lines it makes at a width.
 *
 * White space as CSS `white-space-collapse: preserve-breaks` has it (CSS Text 4 §3.1): runs of spaces become
 * one, spaces at line ends hang and count nothing, a line feed ends a line.
 */
import { breakOpportunities } from './breaks.ts';
import type { Shaper } from './shaper.ts';
import { ceilUnit, glyphSize, lineHeightOf } from './units.ts';

/** How a text is set. */
export interface TextStyle {
  readonly family: string;
  readonly weight: number;
  /** Font size in CSS px, the reader's text scale already in it. */
  readonly size: number;
  /** Height of a line as a factor of the size. */
  readonly lineHeight: number;
  /** True: lines end only at line feeds. */
  readonly noWrap: boolean;
}

/** One line of a set text. */
export interface Line {
  /** What stands on it, without the spaces at its end. */
  readonly text: string;
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
  lines(width: number): Line[];
}

interface Piece {
  readonly text: string;
  readonly breaks: readonly number[];
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

/** Prepares a text. */
export function setText(shaper: Shaper, text: string, style: TextStyle): Paragraphs {
  const { family, weight } = style;
  const size = glyphSize(style.size);
  const pieces: Piece[] = collapse(text).map((line) => ({
    text: line,
    breaks: style.noWrap ? [line.length] : breakOpportunities(line),
  }));

  /** Where a stretch ends without the space behind it. */
  const endOfWords = (piece: Piece, start: number, end: number): number =>
    end > start && piece.text[end - 1] === ' ' ? end - 1 : end;

  /** Width of a stretch as a part of the whole. */
  const widthWithin = (piece: Piece, start: number, end: number): number => {
    const { offsets } = shaper.shape(piece.text, family, weight);
    return (offsets[endOfWords(piece, start, end)]! - offsets[start]!) * size;
  };

  /** Width of a stretch set on a line of its own, without the space at its end. */
  const widthOf = (piece: Piece, start: number, end: number): number => {
    const { unsafe } = shaper.shape(piece.text, family, weight);
    // A line is shaped with the space at its end, which is cut off afterwards: kerning with it stays.
    if (unsafe[start] || (end < piece.text.length && unsafe[end])) {
      const part = shaper.shape(piece.text.slice(start, end), family, weight);
      return part.offsets[endOfWords(piece, start, end) - start]! * size;
    }
    return widthWithin(piece, start, end);
  };

  /** A line ends where it fits both as a part of the whole and shaped on its own, as browsers decide it. */
  const fitsIn = (width: number, piece: Piece, start: number, end: number): boolean =>
    ceilUnit(widthWithin(piece, start, end)) <= width && ceilUnit(widthOf(piece, start, end)) <= width;

  let minContent = 0;
  let maxContent = 0;
  for (const piece of pieces) {
    maxContent = Math.max(maxContent, widthOf(piece, 0, piece.text.length));
    let start = 0;
    for (const end of piece.breaks) {
      minContent = Math.max(minContent, widthWithin(piece, start, end));
      start = end;
    }
  }

  const metrics = shaper.lineMetrics(family, weight, style.size);
  const lineHeight = lineHeightOf(style.size, style.lineHeight);
  // Half-leading: the line's surplus height goes above and below in equal parts (CSS Inline 3 §4.2).
  const baseline = metrics.ascent + Math.floor((lineHeight - metrics.ascent - metrics.descent) / 2);

  return {
    minContent: ceilUnit(minContent),
    maxContent: ceilUnit(maxContent),
    lineHeight,
    baseline,
    lines(width) {
      const lines: Line[] = [];
      for (const piece of pieces) {
        let start = 0;
        let fits = -1;
        for (let index = 0; index < piece.breaks.length; index++) {
          const end = piece.breaks[index]!;
          if (fitsIn(width, piece, start, end)) {
            fits = end;
            continue;
          }
          // What does not fit goes to the next line, unless it stands alone: then it overflows.
          if (fits > start) {
            lines.push({ text: piece.text.slice(start, fits).trimEnd(), width: widthOf(piece, start, fits) });
            start = fits;
            index--;
          } else {
            lines.push({ text: piece.text.slice(start, end).trimEnd(), width: widthOf(piece, start, end) });
            start = end;
          }
          fits = -1;
        }
        if (start < piece.text.length || piece.text.length === 0) {
          lines.push({
            text: piece.text.slice(start).trimEnd(),
            width: widthOf(piece, start, piece.text.length),
          });
        }
      }
      return lines;
    },
  };
}
