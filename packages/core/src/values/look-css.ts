/**
 * Looks as CSS has them. Attributes write lengths without a unit, colours by the names of tokens, pictures of the project by
 * their file names; all else is CSS. A page knows only this of them: what a text is held against stands in `look-texts.ts`.
 */
import { customName } from '../document/token.ts';

/** Words of CSS that stand in looks and are no colours. */
const keywords = new Set(
  (
    'none inset to top right bottom left center at from circle ellipse closest-side closest-corner farthest-side ' +
    'farthest-corner cover contain tile in'
  ).split(' '),
);

/** A function with what is in it, a hexadecimal colour, a number with its unit, a word, or a mark. */
const piece = /[a-z-]+\(|#[\da-f]+|[+-]?(?:\d+\.?\d*|\.\d+)(?:%|[a-z]+)?|[A-Za-z_][\w.-]*|\S/gi;

/** Functions that write a colour: what is in them stays as it is. */
const colourFunctions = /^(?:rgba?|hsla?|hwb|lab|lch|oklab|oklch|color|var)\($/;

/** The custom property of a picture of the project. */
export const pictureName = (file: string): string => `--picture-${file.replaceAll(/[^\w-]/g, '-')}`;

/**
 * A look's text as CSS.
 *
 * @param colour how a colour's name is written.
 * @param picture how a picture's file is written; undefined where there is none of it.
 */
export function lookCss(
  text: string,
  colour: (name: string) => string = (name) => `var(--${customName(name)})`,
  picture: (file: string) => string = (file) => `var(${pictureName(file)})`,
): string {
  const withPictures = text.replaceAll(
    /picture\(\s*([^)]*?)\s*\)(?:\s+(cover|contain|tile))?/g,
    (_, file, fit = 'cover') =>
      fit === 'tile' ? `<${picture(file)}>` : `<${picture(file)} center / ${fit} no-repeat>`,
  );
  return withPictures
    .split(/(<[^>]*>)/)
    .map((stretch) => (stretch.startsWith('<') ? stretch.slice(1, -1) : stretchCss(stretch, colour)))
    .join('');
}

function stretchCss(text: string, colour: (name: string) => string): string {
  let inColour = 0;
  return text.replaceAll(piece, (each) => {
    if (inColour > 0) {
      inColour += each.endsWith('(') ? 1 : each === ')' ? -1 : 0;
      return each;
    }
    if (each.endsWith('(')) {
      inColour = colourFunctions.test(each) ? 1 : 0;
      return each;
    }
    if (/^[+-]?[\d.]+$/.test(each)) return Number(each) === 0 ? '0' : `${each}px`;
    return /^[a-z_]/i.test(each) && !keywords.has(each) ? colour(each) : each;
  });
}

/** A look's text with colours in place of their names: painters need no theme. */
export const withColours = (text: string, colour: (name: string) => string): string =>
  text
    .split(/(picture\([^)]*\)(?:\s+(?:cover|contain|tile))?)/)
    .map((stretch) => (stretch.startsWith('picture(') ? stretch : stretchCss(stretch, colour)))
    .join('');

/** The layers of a text, between commas outside of brackets. */
export function layersIn(text: string): string[] {
  const layers: string[] = [''];
  let depth = 0;
  for (const character of text) {
    if (character === '(') depth++;
    if (character === ')') depth--;
    if (character === ',' && depth === 0) layers.push('');
    else layers[layers.length - 1] += character;
  }
  return layers.map((layer) => layer.trim());
}

/** Whether a layer is a picture of CSS; a custom property in a fill is one of a gradient. */
const isPicture = (layer: string): boolean => /^(?:picture\(|var\(|[a-z-]*gradient\()/.test(layer);

/** Whether a fill is more than one plain colour. */
export const isPainted = (text: string): boolean =>
  text.includes(',') || text.includes('gradient(') || text.includes('picture(');

/** A background as CSS (CSS Backgrounds 3 §3.10): only the lowest layer may be a colour, so one above is a picture of it. */
export function backgroundCss(
  text: string,
  ...how: [colour?: (name: string) => string, picture?: (file: string) => string]
): string {
  if (text === 'none') return 'transparent';
  const layers = layersIn(text);
  return layers
    .map((layer, index) => {
      const css = lookCss(layer, ...how);
      return isPicture(layer) || index === layers.length - 1 ? css : `linear-gradient(${css}, ${css})`;
    })
    .join(', ');
}
