/**
 * The fonts that ship: which families and weights there are, and which characters each file covers.
 *
 * A family is cut into files by Unicode range, as `@font-face` with `unicode-range` has it (CSS Fonts 4 §4.5),
 * so that the page loads only what its words need. The core follows the same cut when it measures.
 */

/** One font file: a family at one weight for one set of characters. */
export interface FontFile {
  /** The family's name, as in CSS `font-family`. */
  readonly family: string;
  /** CSS `font-weight`. */
  readonly weight: number;
  readonly italic: boolean;
  /** File name without its ending; `.woff2` is what a page loads, `.ttf` what the shaper reads. */
  readonly file: string;
  /** CSS `unicode-range`, as written in the stylesheet. */
  readonly unicodeRange: string;
}

/** All font files, in the order of preference for a character that two of them cover. */
export interface FontManifest {
  readonly files: readonly FontFile[];
}

/** The families that a text may name, with the purpose that the interface shows. */
export const fontFamilies = [
  { family: 'Hanken Grotesk', purpose: 'plain' },
  { family: 'Source Serif 4', purpose: 'reading' },
  { family: 'Zilla Slab', purpose: 'headings' },
  { family: 'JetBrains Mono', purpose: 'figures and code' },
] as const;

/** The weights that ship for every family. */
export const fontWeights = [400, 500, 600, 700] as const;

/**
 * Reads a CSS `unicode-range` value.
 *
 * @returns pairs of first and last code point, both included.
 */
export function parseUnicodeRange(value: string): [number, number][] {
  return value.split(',').map((part) => {
    const [from = '0', to = from] = part.trim().slice(2).split('-');
    return [Number.parseInt(from, 16), Number.parseInt(to, 16)];
  });
}

/** A family at a weight, upright or italic. */
export interface Face {
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
}

export const faceKey = ({ family, weight, italic }: Face): string =>
  `${family}/${weight}${italic ? '/italic' : ''}`;

/**
 * The `@font-face` rules for some faces.
 *
 * @param address where the files lie, put in front of each file name, for example `fonts/`.
 * @param wanted which files to name.
 * @returns CSS text. Files preferred by the manifest come last, since in CSS the last matching face wins.
 */
export function fontFaceRules(
  manifest: FontManifest,
  address: string,
  wanted: (face: Face) => boolean,
): string {
  return manifest.files
    .filter(wanted)
    .toReversed()
    .map(
      (file) => `@font-face {
  font-family: "${file.family}";
  font-weight: ${file.weight};
  font-style: ${file.italic ? 'italic' : 'normal'};
  font-display: block;
  src: url("${address}${file.file}.woff2") format("woff2");
  unicode-range: ${file.unicodeRange};
}
`,
    )
    .join('');
}
