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
  /** Much larger than what a page needs of it: what is handed over has the characters in use only. */
  readonly cut?: true;
}

/** A font of the device that is shown in place of a shipped one until it has come, made as large as that (CSS Fonts 5 §3). */
export interface StandIn {
  /** The shipped family. */
  readonly family: string;
  /** The weights of it that this one stands in for. */
  readonly weights: readonly number[];
  /** Full names, each of another system. */
  readonly local: readonly string[];
  /** Per cent of the font size. */
  readonly sizeAdjust: number;
  /** Per cent of the adjusted size. */
  readonly ascent: number;
  readonly descent: number;
}

/** All font files, in the order of preference for a character that two of them cover. */
export interface FontManifest {
  readonly files: readonly FontFile[];
  readonly standIns: readonly StandIn[];
}

/** The same for those who measure text. */
export interface PackedFonts extends FontManifest {
  /** The file that the shaper reads: the `.ttf` forms of all others, one behind another. */
  readonly pack: string;
  /** Where in it each of them is: its first byte, and how many there are. */
  readonly places: Readonly<Record<string, readonly [from: number, length: number] | undefined>>;
}

/** What a text in a family is set in, as CSS `font-family` has it: the family, or its stand-in until that has come. */
export const familyList = (family: string): string => `"${family}", "${standInName(family)}"`;
const standInName = (family: string): string => `${family} stand-in`;

/** The `@font-face` rules of stand-ins. They show plain letters only: others are where they would be without them. */
export const standInRules = (standIns: readonly StandIn[]): string =>
  standIns
    .map(
      ({ family, weights, local, sizeAdjust, ascent, descent }) => `@font-face {
  font-family: "${standInName(family)}";
  font-weight: ${Math.min(...weights)} ${Math.max(...weights)};
  src: ${local.map((name) => `local("${name}")`).join(', ')};
  size-adjust: ${sizeAdjust}%;
  ascent-override: ${ascent}%;
  descent-override: ${descent}%;
  line-gap-override: 0%;
  unicode-range: U+0020-024F;
}
`,
    )
    .join('');

/** The families that a text may name: for plain words, for reading, for headings, for figures and code. */
export const fontFamilies: readonly string[] = [
  'Hanken Grotesk',
  'Source Serif 4',
  'Zilla Slab',
  'JetBrains Mono',
];

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
 * @param display what is shown until a file has come (CSS Fonts 4 §4.9): nothing, or a font of the device.
 * @returns CSS text. Files preferred by the manifest come last, since in CSS the last matching face wins.
 */
export function fontFaceRules(
  manifest: Pick<FontManifest, 'files'>,
  address: string,
  wanted: (face: Face) => boolean,
  display: 'block' | 'swap' = 'block',
): string {
  return manifest.files
    .filter(wanted)
    .toReversed()
    .map(
      (file) => `@font-face {
  font-family: "${file.family}";
  font-weight: ${file.weight};
  font-style: ${file.italic ? 'italic' : 'normal'};
  font-display: ${display};
  src: url("${address}${file.file}.woff2") format("woff2");
  unicode-range: ${file.unicodeRange};
}
`,
    )
    .join('');
}
