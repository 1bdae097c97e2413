/**
 * A laid-out screen as one SVG file: what `painting.ts` says of each box, words as words. It shows what the page shows but for
 * antialiasing, and needs nothing else where its fonts and pictures are given with it.
 */

import type { Rectangle } from '../layout/rectangle.ts';
import type { ScreenBox, ScreenLayout } from '../layout/screen-layout.ts';
import { itemAt } from '../sure.ts';
import { isolated } from '../text/directions.ts';
import {
  type FontFile,
  type FontManifest,
  faceKey,
  fontFaceRules,
  parseUnicodeRange,
} from '../text/fonts.ts';
import {
  type PaintedBox,
  type PaintedShape,
  type PaintedWords,
  physicalSides,
  shapesOf,
  wordsOf,
} from './painting.ts';

export interface PictureOptions {
  /** Height that is shown, CSS px; absent: the whole screen. */
  readonly height?: number;
  readonly rightToLeft?: boolean;
  /** The address of a picture of the project, a data address for a file that stands alone. */
  readonly pictureAddress: (name: string) => string | undefined;
  /** `@font-face` rules; absent: the fonts are there already. */
  readonly fontRules?: string;
}

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;').replaceAll('"', '&quot;');
const number = (value: number): string => String(Number(value.toFixed(3)));

/** An element; attributes that are undefined are left out. */
function tag(
  name: string,
  attributes: Readonly<Record<string, string | number | undefined>>,
  inside = '',
): string {
  const words = Object.entries(attributes).flatMap(([key, value]) =>
    value === undefined ? [] : [`${key}="${typeof value === 'number' ? number(value) : escaped(value)}"`],
  );
  const start = [name, ...words].join(' ');
  return inside === '' ? `<${start}/>` : `<${start}>${inside}</${name}>`;
}

/** The font files that a layout's words need. */
export function fontFilesOf(manifest: FontManifest, layout: ScreenLayout): FontFile[] {
  const said = new Map<string, Set<number>>();
  for (const { look, lines } of layout.boxes) {
    if (!look.text) continue;
    const key = faceKey(look.text);
    const characters = said.get(key) ?? new Set();
    for (const text of [...lines.map((line) => line.text), look.inner?.text ?? ''])
      for (const character of text) characters.add(character.codePointAt(0)!);
    said.set(key, characters);
  }
  return manifest.files.filter((file) => {
    const characters = said.get(faceKey(file));
    const ranges = parseUnicodeRange(file.unicodeRange);
    return (
      characters !== undefined &&
      [...characters].some((code) => ranges.some(([from, to]) => code >= from && code <= to))
    );
  });
}

/** `@font-face` rules of files that a picture carries itself. @param data the file's bytes in base64, by its name. */
export const carriedFonts = (files: readonly FontFile[], data: (file: string) => string): string =>
  fontFaceRules({ files }, 'fonts/', () => true).replaceAll(
    /url\("fonts\/([^"]+)\.woff2"\)/g,
    (_, file: string) => `url(data:font/woff2;base64,${data(file)})`,
  );

export function pictureOf(layout: ScreenLayout, options: PictureOptions): string {
  const { width } = layout;
  const height = options.height ?? layout.fullHeight;
  const children = new Map<number, number[]>();
  layout.boxes.forEach(({ parent }, index) => {
    if (parent >= 0) children.set(parent, [...(children.get(parent) ?? []), index]);
  });
  let clips = 0;
  const draw = (index: number): string => {
    const box = itemAt(layout.boxes, index);
    const own = paint(box, options);
    let inside = (children.get(index) ?? []).map(draw).join('');
    if (box.look.clips && inside !== '') {
      const id = `clip${++clips}`;
      const { x, y, width: wide, height: high } = box;
      inside =
        tag('clipPath', { id }, tag('rect', { x, y, width: wide, height: high })) +
        tag('g', { 'clip-path': `url(#${id})` }, inside);
    }
    const { opacity } = box.look;
    return opacity === undefined || opacity === 1 ? own + inside : tag('g', { opacity }, own + inside);
  };
  const rules = options.fontRules ? tag('style', {}, options.fontRules) : '';
  const ground = tag('rect', {
    width,
    height,
    fill: layout.boxes[0]?.look.background ?? 'none',
  });
  return `${tag(
    'svg',
    {
      xmlns: 'http://www.w3.org/2000/svg',
      width,
      height,
      viewBox: `0 0 ${number(width)} ${number(height)}`,
    },
    `${rules}${ground}${draw(0)}`,
  )}\n`;
}

type PlacedBox = PaintedBox & Rectangle;

/** A box with its edges on whole px, where browsers paint them. */
function snapped({ x, y, width, height, look, box, lines }: ScreenBox): PlacedBox {
  const [left, top] = [Math.round(x), Math.round(y)];
  return {
    look,
    box,
    lines,
    x: left,
    y: top,
    width: Math.round(x + width) - left,
    height: Math.round(y + height) - top,
  };
}

function paint(exact: ScreenBox, options: PictureOptions): string {
  const { rightToLeft = false } = options;
  const words = wordsOf(exact, rightToLeft).map((each) => wordsTag(each, exact, rightToLeft));
  const box = snapped(exact);
  const { look, x, y, width, height } = box;
  if (width <= 0 || height <= 0) return words.join('');
  const rx = look.corner === undefined ? undefined : Math.min(look.corner, width / 2, height / 2);
  return [
    ...(look.background && look.background !== 'none'
      ? [tag('rect', { x, y, width, height, rx, fill: look.background })]
      : []),
    ...(look.borderColour ? [edges(box, look.borderColour, rightToLeft, rx)] : []),
    ...(look.ring ? [outline(box, 1, look.ring, rx)] : []),
    ...shapesOf(box, rightToLeft).map((shape) => shapeTag(shape, box, options)),
    ...words,
  ].join('');
}

/** A line of some thickness just inside the edge. */
const outline = ({ x, y, width, height }: Rectangle, thick: number, stroke: string, rx = 0): string =>
  tag('rect', {
    x: x + thick / 2,
    y: y + thick / 2,
    width: Math.max(0, width - thick),
    height: Math.max(0, height - thick),
    rx: Math.max(0, rx - thick / 2),
    fill: 'none',
    stroke,
    'stroke-width': thick,
  });

/** The border of a box: one line where its sides are alike, a rectangle for each side otherwise. */
function edges(box: PlacedBox, fill: string, rightToLeft: boolean, rx?: number): string {
  const { top, right, bottom, left } = physicalSides(box.box.style.border, rightToLeft);
  if (top > 0 && top === right && top === bottom && top === left) return outline(box, top, fill, rx);
  const { x, y, width, height } = box;
  const side = (at: Rectangle) => (at.width > 0 && at.height > 0 ? tag('rect', { ...at, fill }) : '');
  return (
    side({ x, y, width, height: top }) +
    side({ x, y: y + height - bottom, width, height: bottom }) +
    side({ x, y, width: left, height }) +
    side({ x: x + width - right, y, width: right, height })
  );
}

/** A painted shape as SVG. @param box the box that it is painted in. */
function shapeTag(
  shape: PaintedShape,
  { x, y, look }: PlacedBox,
  { pictureAddress }: PictureOptions,
): string {
  const onScreen = (at: Rectangle): Rectangle => ({ ...at, x: x + at.x, y: y + at.y });
  switch (shape.part) {
    case 'picture': {
      const room = onScreen(shape.room);
      const href = pictureAddress(shape.name);
      if (href === undefined) return tag('rect', { ...room, fill: '#e3ddd0' });
      const at = { ...shape.at, x: shape.at.x - shape.room.x, y: shape.at.y - shape.room.y };
      const image = tag('image', { ...at, href, preserveAspectRatio: 'none' });
      return tag('svg', { ...room, overflow: 'hidden' }, image);
    }
    case 'drawing':
      return tag(
        'svg',
        {
          ...onScreen(shape.at),
          viewBox: `0 0 ${shape.size.join(' ')}`,
          preserveAspectRatio: shape.stretches ? 'none' : 'xMidYMid meet',
          color: look.colour,
          overflow: 'visible',
        },
        shape.shapes.map(([name, attributes]) => tag(name, attributes)).join(''),
      );
    case 'bar':
      return tag('rect', { ...onScreen(shape.at), rx: shape.corner, fill: shape.colour });
  }
}

/** Words on their baseline. */
function wordsTag(
  words: PaintedWords,
  { x, y, width, height, look }: ScreenBox,
  rightToLeft: boolean,
): string {
  const { text } = look;
  if (!text || words.text === '') return '';
  const fromRight = words.part === 'line' ? rightToLeft : words.fromRight;
  // Not every program knows the direction of a text in SVG: words stand from left to right, in an isolate that runs as the
  // screen does.
  const set = (at: { x: number; y: number; 'text-anchor'?: 'end' }, isCentred = false) =>
    tag(
      'text',
      {
        ...at,
        'font-family': text.family,
        'font-weight': text.weight,
        'font-size': text.size,
        'font-style': text.italic ? 'italic' : undefined,
        'letter-spacing': text.letterSpacing || undefined,
        'text-decoration': look.underline ? 'underline' : undefined,
        'dominant-baseline': isCentred ? 'central' : undefined,
        fill: look.colour,
        style: 'white-space: pre',
      },
      escaped(fromRight ? isolated(words.text) : words.text),
    );
  if (words.part === 'line') return set({ x: x + words.x, y: y + words.top + words.baseline });
  const { inset, baseline, lift } = words;
  const at = {
    ...(fromRight ? { 'text-anchor': 'end' as const } : {}),
    x: fromRight ? width - inset : inset,
    y: baseline ?? height / 2 - lift,
  };
  return tag('svg', { x, y, width, height, overflow: 'hidden' }, set(at, baseline === undefined));
}
