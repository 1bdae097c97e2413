/**
 * Where the characters of a text stand at a size, to the 65536th of a px as browsers reckon: the rasteriser and the shaper
 * scale the font's units each by a size of its own and round each number, and what is added up is kept in single precision.
 */
import { numberAt } from '../sure.ts';
import type { ShapedText } from './shaper.ts';
import { floorUnit } from './units.ts';

/** How many 65536ths of a px a unit of a font comes to at a size. */
export interface UnitScale {
  /** Of what glyphs are wide by themselves. */
  readonly advance: number;
  /** Of what kerning adds, times 65536. */
  readonly kern: number;
  readonly letters: Letters;
}

/** How wide letters are: as their font says, or rounded to whole px, as WebKit's port to GTK has them. */
export type Letters = 'exact' | 'whole px';

/** @param px the font size, CSS px. */
export function unitScale(px: number, unitsPerEm: number, letters: Letters = 'exact'): UnitScale {
  // Browsers here cut a font size to a hundredth of a px, in single precision; the rasteriser then to a 64th, and it keeps
  // what one unit comes to in 65536ths of a 64th.
  const size = Math.trunc(Math.fround(Math.fround(px) * 100)) / 100;
  return {
    letters,
    advance: Math.round((floorUnit(size) * 64 * 65536) / unitsPerEm) / 64,
    kern: Math.floor((Math.trunc(Math.fround(size) * 65536) * 65536) / unitsPerEm),
  };
}

/**
 * @returns from the start of the text to each UTF-16 index, in reading order, CSS px; one longer than the text. Without letter
 *   spacing.
 */
export function placesOf({ advances, kerns }: ShapedText, scale: UnitScale): Float32Array {
  const places = new Float32Array(advances.length + 1);
  const isWhole = scale.letters === 'whole px';
  for (let index = 0; index < advances.length; index++) {
    let width = Math.round(numberAt(advances, index) * scale.advance);
    if (isWhole) width = Math.round(width / 65536) * 65536;
    if (kerns) width += Math.floor((numberAt(kerns, index) * scale.kern + 32768) / 65536);
    places[index + 1] = numberAt(places, index) + width / 65536;
  }
  return places;
}
