/**
 * The font files that a page needs: of each family the weights and slants that something asks for, of those the Latin
 * letters, which anybody may type, and what holds other characters of the page's words. A page that is given words of
 * another script while it runs shows them in a font of the device.
 */

import { group } from 'd3-array';
import { propertyOf } from '../cascade/attributes.ts';
import { defaultText } from '../cascade/cascade.ts';
import { themeOf } from '../cascade/project-theme.ts';
import { stylesOver } from '../document/style-set.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { font, weight } from '../kinds/properties.ts';
import {
  type Face,
  type FontFile,
  type FontManifest,
  faceKey,
  fontWeights,
  parseUnicodeRange,
} from '../text/fonts.ts';
import type { Theme } from '../values/theme.ts';

/** What is said under which property, tokens worked out; what a token of typography sets is said, too. */
function textsOf(props: Control['props'], theme: Theme): (readonly [property: string, text: string])[] {
  return Object.entries(props).flatMap(([attribute, value]) => {
    const word = propertyOf(attribute);
    const text = inForce(value) ?? '';
    const token = theme.tokens.get(text);
    if (word === 'typography') return Object.entries(token?.texts ?? {});
    const isToken = token && ((word === 'font' && token.type === 'fontFamily') || word === 'weight');
    return [[word, isToken ? (token.texts[''] ?? text) : text] as const];
  });
}

/** The faces that a project's texts are set in: of each family, the weights and slants that something asks for. */
function facesOf(project: Project): (face: Face) => boolean {
  const theme = themeOf(project);
  const families = new Set<string>([theme.family]);
  const weights = new Set<string>([400, theme.labelWeight, theme.captionWeight].map(String));
  let italic = false;
  for (const screen of project.screens)
    for (const control of walk(screen)) {
      for (const property of kindOf(control).properties) {
        const preset = defaultText(property, theme);
        if (property.name === weight.name && preset) weights.add(preset);
        if (property.name === font.name && preset) families.add(preset);
      }
      const said = [control, ...stylesOver(control, theme.styles)].flatMap(({ props }) =>
        textsOf(props, theme),
      );
      for (const [word, text] of said) {
        if (word === 'font') families.add(text);
        // What an expression gives is not known beforehand.
        if (word === 'weight')
          for (const weight of hasExpression(text) ? fontWeights : [text]) weights.add(String(weight));
        if (word === 'italic' && text !== 'false') italic = true;
      }
    }
  return (face) => families.has(face.family) && weights.has(String(face.weight)) && (italic || !face.italic);
}

const plainLetter = 0x41;
/** Characters of which each of the Latin sets holds one. */
const latin = 'A\u0100';

/**
 * @param words all words of the page: a character is of the first file that covers it, as where the core measures.
 * @returns the manifest's files that are in use, in its order.
 */
export function fontsInUse(project: Project, manifest: FontManifest, words: readonly string[]): FontManifest {
  const wanted = facesOf(project);
  const characters = [...new Set([latin, ...words].join(''))].map(
    (character) => character.codePointAt(0) ?? 0,
  );
  const ranges = new Map<string, [number, number][]>();
  const covers = ({ unicodeRange }: FontFile, code: number): boolean => {
    const known = ranges.get(unicodeRange) ?? parseUnicodeRange(unicodeRange);
    ranges.set(unicodeRange, known);
    return known.some(([from, to]) => from <= code && code <= to);
  };
  const used = new Set<FontFile>();
  for (const files of group(manifest.files.filter(wanted), faceKey).values())
    for (const code of characters) {
      const file = files.find((each) => covers(each, code));
      if (file) used.add(file);
    }
  const files = manifest.files.filter((file) => used.has(file));
  return {
    files,
    standIns: manifest.standIns.filter(({ family, weights }) =>
      files.some((file) => file.family === family && weights.includes(file.weight)),
    ),
  };
}

/** The files among those in use that are cut, by name with their ending: the characters of some words that each covers. */
export const charactersToCut = (
  { files }: Pick<FontManifest, 'files'>,
  words: readonly string[],
): ReadonlyMap<string, string> =>
  new Map(
    files.flatMap(({ file, cut, unicodeRange }) =>
      cut ? [[`${file}.woff2`, coveredBy(unicodeRange, words.join(''))] as const] : [],
    ),
  );

/** The characters of a text that are in a range of CSS, each once, in the order of their codes. */
export function coveredBy(unicodeRange: string, text: string): string {
  const ranges = parseUnicodeRange(unicodeRange);
  const codes = [...new Set(text)].map((character) => character.codePointAt(0) ?? 0);
  return codes
    .filter((code) => ranges.some(([from, to]) => from <= code && code <= to))
    .toSorted((a, b) => a - b)
    .map((code) => String.fromCodePoint(code))
    .join('');
}

/** The files that a screen's plain letters are in, by name, with their ending. */
export const fontsToBegin = (project: Project, screen: Control, manifest: FontManifest): string[] =>
  fontsInUse({ ...project, screens: [screen] }, manifest, [])
    .files.filter(({ unicodeRange }) =>
      parseUnicodeRange(unicodeRange).some(([from, to]) => from <= plainLetter && plainLetter <= to),
    )
    .map(({ file }) => `${file}.woff2`);
