/**
 * SVG files from outside, rebuilt: only elements and attributes of a list come through, written anew; nothing of the
 * file itself is passed on. The same on both sides: where a file is chosen, and where it is stored. Read by a strict
 * XML parser, so that no browser can read more out of it than was seen here.
 */

import { SaxesParser, type SaxesTagNS } from 'saxes';
import { messageOf } from '../document/error-message.ts';

const svgSpace = 'http://www.w3.org/2000/svg';
const linkSpace = 'http://www.w3.org/1999/xlink';
const xmlSpace = 'http://www.w3.org/XML/1998/namespace';

const words = (text: string): ReadonlySet<string> => new Set(text.split(/\s+/).filter(Boolean));

/** Elements that draw (SVG 2), and filters (Filter Effects 1). Nothing that moves, links out, or holds another language. */
const elements = words(`
  svg g defs symbol use title desc path rect circle ellipse line polyline polygon text tspan textPath
  linearGradient radialGradient stop pattern clipPath mask marker image style switch
  filter feBlend feColorMatrix feComponentTransfer feComposite feConvolveMatrix feDiffuseLighting feDisplacementMap
  feDistantLight feDropShadow feFlood feFuncA feFuncB feFuncG feFuncR feGaussianBlur feMerge feMergeNode feMorphology
  feOffset fePointLight feSpecularLighting feSpotLight feTile feTurbulence
`);

/** Attributes of drawing: geometry, painting, text, gradients, filters. */
const attributes = words(`
  id class version viewBox preserveAspectRatio width height x y x1 y1 x2 y2 cx cy r rx ry fx fy fr d points pathLength
  dx dy rotate textLength lengthAdjust startOffset method spacing side transform transform-origin gradientUnits
  gradientTransform spreadMethod offset patternUnits patternContentUnits patternTransform clipPathUnits maskUnits
  maskContentUnits markerUnits markerWidth markerHeight orient refX refY filterUnits primitiveUnits in in2 result type
  values mode operator k1 k2 k3 k4 stdDeviation edgeMode kernelMatrix order divisor bias targetX targetY preserveAlpha
  surfaceScale specularConstant specularExponent diffuseConstant kernelUnitLength scale xChannelSelector
  yChannelSelector radius baseFrequency numOctaves seed stitchTiles azimuth elevation z pointsAtX pointsAtY pointsAtZ
  limitingConeAngle tableValues slope intercept amplitude exponent style
  fill fill-opacity fill-rule stroke stroke-dasharray stroke-dashoffset stroke-linecap stroke-linejoin stroke-miterlimit
  stroke-opacity stroke-width opacity color color-interpolation color-interpolation-filters clip-path clip-rule mask
  mask-type filter flood-color flood-opacity lighting-color stop-color stop-opacity marker marker-start marker-mid
  marker-end paint-order vector-effect shape-rendering text-rendering image-rendering display visibility overflow
  mix-blend-mode isolation font-family font-size font-size-adjust font-stretch font-style font-variant font-weight
  letter-spacing word-spacing text-anchor text-decoration dominant-baseline alignment-baseline baseline-shift direction
  unicode-bidi writing-mode
`);

/** Elements whose link may lead to another part of the same picture. */
const linking = words('use linearGradient radialGradient pattern textPath filter');

/** Longest picture, in UTF-16 units; deepest nesting; most elements. */
const limits = { length: 10_000_000, depth: 200, elements: 200_000 };

export type CleanedSvg =
  | {
      readonly ok: true;
      /** The picture, written anew. */
      readonly text: string;
      /** Names of elements and attributes that were left out, each once, at most twenty. */
      readonly leftOut: readonly string[];
    }
  | { readonly ok: false /** A sentence for the person. */; readonly message: string };

const escaped = (text: string): string =>
  text
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
    .replaceAll('\t', '&#9;')
    .replaceAll('\n', '&#10;')
    .replaceAll('\r', '&#13;');

const escapedText = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('\r', '&#13;');

/** Whether CSS stays within the picture: it loads nothing, and hides nothing behind escapes. */
function isQuietCss(css: string): boolean {
  const plain = css.replaceAll(/\/\*[\s\S]*?\*\//g, ' ');
  if (/[\\<@]|\/\*|expression|javascript|behaviou?r|-moz-binding/i.test(plain)) return false;
  // Functions that load something only lead to a part of the same picture.
  return [...plain.matchAll(/(url|src|image|image-set|element|cross-fade)\s*\(([^)]*)\)?/gi)].every(
    ([, name = '', inner = '']) => name.toLowerCase() === 'url' && /^\s*(["']?)#[\w:.-]+\1\s*$/.test(inner),
  );
}

/** A picture inside, as its address carries it. */
const isPictureData = (address: string): boolean =>
  /^data:image\/(png|jpeg|gif|webp);base64,[a-zA-Z0-9+/=\s]*$/.test(address);

class Rebuilding {
  readonly leftOut = new Set<string>();
  readonly #parts: string[] = [];
  /** The elements that are open: the name that was written, or nothing where it was left out. */
  readonly #open: (string | undefined)[] = [];
  /** How deep one is inside something that was left out with all that is in it. */
  #skipped = 0;
  #count = 0;
  #style: string | undefined;

  get text(): string {
    return `${this.#parts.join('')}\n`;
  }

  get isEmpty(): boolean {
    return this.#parts.length === 0;
  }

  #leave(name: string): void {
    if (this.leftOut.size < 20) this.leftOut.add(name.slice(0, 60));
  }

  begin(tag: SaxesTagNS): void {
    if (++this.#count > limits.elements) throw new Error(`It has more than ${limits.elements} elements.`);
    if (this.#open.length > limits.depth) throw new Error(`Its elements are more than ${limits.depth} deep.`);
    const isRoot = this.#open.length === 0;
    if (isRoot && (tag.local !== 'svg' || tag.uri !== svgSpace)) throw new Error('It is no SVG picture.');
    // A link around a drawing goes, the drawing stays.
    const isWrapper = tag.local === 'a' && tag.uri === svgSpace;
    const isKnown = tag.uri === svgSpace && elements.has(tag.local);
    if (this.#skipped > 0 || (!isKnown && !isWrapper)) {
      if (this.#skipped === 0) this.#leave(`<${tag.name}>`);
      this.#skipped += 1;
      this.#open.push(undefined);
      return;
    }
    if (isWrapper) {
      this.#leave('<a>');
      this.#open.push(undefined);
      return;
    }
    if (tag.local === 'style') this.#style = '';
    const namespace = isRoot ? ` xmlns="${svgSpace}"` : '';
    this.#parts.push(`<${tag.local}${namespace}${this.#attributes(tag)}>`);
    this.#open.push(tag.local);
  }

  #attributes({ local: element, attributes: all }: SaxesTagNS): string {
    let written = '';
    for (const { local, uri, value, name } of Object.values(all)) {
      if (name === 'xmlns' || name.startsWith('xmlns:')) continue;
      const kept = this.#attribute(element, local, uri, value);
      if (kept === undefined) this.#leave(`${name}`);
      else written += ` ${kept[0]}="${escaped(kept[1])}"`;
    }
    return written;
  }

  /** An attribute as it is written; undefined where it is left out. */
  #attribute(
    element: string,
    local: string,
    space: string,
    value: string,
  ): readonly [string, string] | undefined {
    if (local === 'href' && (space === '' || space === linkSpace)) {
      const address = value.trim();
      if (linking.has(element) && /^#[\w:.-]+$/.test(address)) return ['href', address];
      return element === 'image' && isPictureData(address) ? ['href', address] : undefined;
    }
    if (space === xmlSpace)
      return local === 'space' || local === 'lang' ? [`xml:${local}`, value] : undefined;
    if (space !== '' || !attributes.has(local)) return undefined;
    return isQuietCss(value) ? [local, value] : undefined;
  }

  words(text: string): void {
    if (this.#skipped > 0 || this.#open.length === 0) return;
    if (this.#style !== undefined) this.#style += text;
    else this.#parts.push(escapedText(text));
  }

  end(): void {
    const name = this.#open.pop();
    if (name === undefined) {
      if (this.#skipped > 0) this.#skipped -= 1;
      return;
    }
    if (this.#style !== undefined) {
      if (isQuietCss(this.#style)) this.#parts.push(escapedText(this.#style));
      else this.#leave('<style>');
      this.#style = undefined;
    }
    this.#parts.push(`</${name}>`);
  }

  aside(what: string): void {
    this.#leave(what);
  }
}

/** Rebuilds an SVG file of what draws. */
export function cleanSvg(source: string): CleanedSvg {
  if (source.length > limits.length) return { ok: false, message: 'It is larger than 10 MB.' };
  const rebuilt = new Rebuilding();
  const parser = new SaxesParser({ xmlns: true });
  let problem: string | undefined;
  parser.on('error', (error) => {
    problem ??= error.message.replace(/^\d+:\d+: /, '');
  });
  parser.on('opentag', (tag) => problem === undefined && rebuilt.begin(tag));
  parser.on('closetag', () => problem === undefined && rebuilt.end());
  parser.on('text', (text) => problem === undefined && rebuilt.words(text));
  parser.on('cdata', (text) => problem === undefined && rebuilt.words(text));
  parser.on('doctype', () => undefined);
  parser.on('processinginstruction', ({ target }) => rebuilt.aside(`<?${target}?>`));
  try {
    parser.write(source.replace(/^\uFEFF/, '')).close();
  } catch (error) {
    problem ??= messageOf(error);
  }
  if (problem !== undefined) return { ok: false, message: problem };
  return rebuilt.isEmpty
    ? { ok: false, message: 'It is no SVG picture.' }
    : { ok: true, text: rebuilt.text, leftOut: [...rebuilt.leftOut] };
}
