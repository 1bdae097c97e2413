/**
 * A laid-out screen as one SVG file: what `painting.ts` says of each box, words as words. It shows what the page shows but for
 * antialiasing, and needs nothing else where its fonts and pictures are given with it.
 */

import type { Look } from '../kinds/kind.ts';
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
import { roundedBy } from '../values/corners.ts';
import {
  type PaintedBox,
  type PaintedShape,
  type PaintedWords,
  physicalSides,
  shapesOf,
  wordsOf,
} from './painting.ts';
import { type BoxToPaint, blurredBy, boxTags, clipped, paddingShape, withTextShadows } from './svg-boxes.ts';
import { type FillOptions, fillTags } from './svg-fills.ts';
import { escaped, Ids, number, tag } from './svg-tags.ts';

export interface PictureOptions {
  /** Height that is shown, CSS px; absent: the whole screen. */
  readonly height?: number;
  readonly rightToLeft?: boolean;
  /** The address of a picture of the project, a data address for a file that stands alone. */
  readonly pictureAddress: (name: string) => string | undefined;
  /** The own size of a picture of the project. */
  readonly pictureSize?: (name: string) => { readonly width: number; readonly height: number } | undefined;
  /** `@font-face` rules; absent: the fonts are there already. */
  readonly fontRules?: string;
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
    `${rules}${ground}${new Painter(layout, options).draw(0)}`,
  )}\n`;
}

/** Draws the boxes of a layout, each with all that is in it. */
class Painter {
  private readonly children = new Map<number, number[]>();
  private readonly ids = new Ids();
  /** What has been drawn so far, for what blurs it. */
  private readonly soFar: string[] = [];

  constructor(
    private readonly layout: ScreenLayout,
    private readonly options: PictureOptions,
  ) {
    layout.boxes.forEach(({ parent }, index) => {
      if (parent >= 0) this.children.set(parent, [...(this.children.get(parent) ?? []), index]);
    });
  }

  draw(index: number): string {
    const exact = itemAt(this.layout.boxes, index);
    const { look } = exact;
    const box = snapped(exact, this.options.rightToLeft ?? false);
    const behind = look.blurBehind ? this.blurredBehind(box, look.blurBehind) : '';
    const own = this.paint(exact, box, this.fillArea(index));
    this.soFar.push(behind + own);
    const layer = (at: number) => itemAt(this.layout.boxes, at).look.z ?? 0;
    const inOrder = (this.children.get(index) ?? []).toSorted((a, b) => layer(a) - layer(b));
    const [below, above] = [inOrder.filter((at) => layer(at) < 0), inOrder.filter((at) => layer(at) >= 0)];
    const inside = (indexes: number[]) => {
      const drawn = indexes.map((at) => this.draw(at)).join('');
      if (!look.clips) return drawn;
      const edge = paddingShape(box);
      return clipped(edge.box, edge.radii, drawn, this.ids);
    };
    return this.asGroup(
      exact,
      `${behind}${below.length > 0 ? '' : own}${inside(below)}${below.length > 0 ? own : ''}${inside(above)}`,
    );
  }

  /** What a box is seen through as a whole: opacity, blur, and where it is turned and moved to. */
  private asGroup({ look, x, y, width, height }: ScreenBox, drawn: string): string {
    const { opacity, blur, turned } = look;
    let made = drawn;
    if (blur) made = blurredBy(made, blur, { x, y, width, height }, this.ids);
    if ((opacity !== undefined && opacity !== 1) || turned) {
      const transform = turned && transformOf(turned, { x, y, width, height });
      made = tag('g', { opacity: opacity === 1 ? undefined : opacity, transform }, made);
    }
    return made;
  }

  private blurredBehind(box: BoxToPaint, blur: number): string {
    const radii = roundedBy(box.look.corner, box.width, box.height);
    return clipped(box, radii, blurredBy(this.mirrored(box), blur, box, this.ids), this.ids);
  }

  /** What has been drawn in a box so far, and around it the same turned over: nothing from outside comes in (Filter Effects 2 §2). */
  private mirrored({ x, y, width, height }: Rectangle): string {
    const id = this.ids.next('behind');
    const room = { x, y, width, height };
    const inside = tag(
      'g',
      { id },
      clipped(room, roundedBy(0, width, height), this.soFar.join(''), this.ids),
    );
    const over = (start: number, length: number, side: number) =>
      side === 0 ? [0, 1] : [2 * (side < 0 ? start : start + length), -1];
    const around = [-1, 0, 1].flatMap((across) =>
      [-1, 0, 1].map((down) => {
        if (across === 0 && down === 0) return '';
        const [[left, scaleX], [top, scaleY]] = [over(x, width, across), over(y, height, down)];
        return tag('use', {
          href: `#${id}`,
          transform: `translate(${number(left ?? 0)} ${number(top ?? 0)}) scale(${scaleX} ${scaleY})`,
        });
      }),
    );
    return inside + around.join('');
  }

  /** The box that a gradient in words is placed by: that of the control that they belong to. */
  private fillArea(index: number): Rectangle {
    let at = itemAt(this.layout.boxes, index);
    while (at.control === undefined && at.parent >= 0) at = itemAt(this.layout.boxes, at.parent);
    return at;
  }

  private paint(exact: ScreenBox, box: SnappedBox, area: Rectangle): string {
    const { rightToLeft = false, pictureAddress, pictureSize = () => undefined } = this.options;
    const fills = { ids: this.ids, pictureAddress, pictureSize };
    const words = this.words(exact, area, fills);
    if (box.width <= 0 || box.height <= 0) return words;
    const shapes = shapesOf(box, rightToLeft).map((shape) => shapeTag(shape, box, this.options));
    return `${boxTags(box, fills)}${shapes.join('')}${words}`;
  }

  private words(exact: ScreenBox, area: Rectangle, fills: FillOptions): string {
    const { rightToLeft = false } = this.options;
    const { look } = exact;
    const set = (colour: string | undefined) =>
      wordsOf(exact, rightToLeft)
        .map((each) => wordsTag(each, exact, rightToLeft, colour))
        .join('');
    if (!look.textFill && !look.textShadow) return set(look.colour);
    const filled = () => {
      if (!look.textFill) return set(look.colour);
      // The ground is cut out by the words.
      const id = this.ids.next('words');
      const clip = tag('clipPath', { id }, set('#000'));
      return clip + tag('g', { 'clip-path': `url(#${id})` }, fillTags(look.textFill, area, area, fills));
    };
    const drawn = (colour?: string) => (colour === undefined ? filled() : set(colour));
    return look.textShadow ? withTextShadows(look.textShadow, drawn, exact, this.ids) : drawn();
  }
}

/** Individual transforms as SVG has them, about the middle of the box (CSS Transforms 2 §5). */
function transformOf(turned: NonNullable<Look['turned']>, { x, y, width, height }: Rectangle): string {
  const [across, down] = turned.shift.map((each, axis) =>
    typeof each === 'number' ? each : each.fraction * (axis === 0 ? width : height),
  ) as [number, number];
  const [cx, cy] = [x + width / 2, y + height / 2];
  return [
    `translate(${number(across + cx)} ${number(down + cy)})`,
    ...(turned.degrees === 0 ? [] : [`rotate(${number(turned.degrees)})`]),
    ...(turned.scale === 1 ? [] : [`scale(${number(turned.scale)})`]),
    `translate(${number(-cx)} ${number(-cy)})`,
  ].join(' ');
}

type PlacedBox = PaintedBox & Rectangle;
type SnappedBox = PlacedBox & BoxToPaint;

/** A box with its edges on whole px, where browsers paint them. */
function snapped({ x, y, width, height, look, box, lines }: ScreenBox, rightToLeft: boolean): SnappedBox {
  const [left, top] = [Math.round(x), Math.round(y)];
  return {
    look,
    box,
    lines,
    border: physicalSides(box.style.border, rightToLeft),
    rightToLeft,
    x: left,
    y: top,
    width: Math.round(x + width) - left,
    height: Math.round(y + height) - top,
  };
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

/** How thick lines under and through words are: a tenth of the size, in whole px as browsers paint them. */
const lineThickness = (size: number): number => Math.max(1, Math.floor(size / 10));
/** How far under the baseline a line of some thickness is where nothing is said, CSS px. */
const gapUnder = (thickness: number): number => Math.max(1, Math.ceil(thickness / 2));

/**
 * How much farther down a line under words belongs than programs draw it in an SVG: there its place follows from the whole
 * px of its thickness, on a page from a tenth of the size.
 */
function underlineShift({ underlineGap }: Look, size: number): number {
  const wanted =
    underlineGap === undefined ? gapUnder(size / 10) : Math.max(1, Math.round(underlineGap * size));
  return wanted - gapUnder(lineThickness(size));
}

/** Where words stand in an SVG. */
interface Anchor {
  readonly x: number;
  readonly y: number;
  readonly 'text-anchor'?: 'end';
}

/** Words on their baseline. */
function wordsTag(
  words: PaintedWords,
  { x, y, width, height, look }: ScreenBox,
  rightToLeft: boolean,
  colour: string | undefined,
): string {
  const { text } = look;
  if (!text || words.text === '') return '';
  const fromRight = words.part === 'line' ? rightToLeft : words.fromRight;
  // Not every program knows the direction of a text in SVG: words stand from left to right, in an isolate that runs as the
  // screen does.
  const shown = escaped(fromRight ? isolated(words.text) : words.text);
  const withLine = (at: Anchor, isCentred: boolean, line: string | undefined, said: string) =>
    tag(
      'text',
      {
        ...at,
        'font-family': text.family,
        'font-weight': text.weight,
        'font-size': text.size,
        'font-style': text.italic ? 'italic' : undefined,
        'letter-spacing': text.letterSpacing || undefined,
        'text-decoration': line,
        'dominant-baseline': isCentred ? 'central' : undefined,
        fill: colour,
        style: `white-space: pre${line ? `; text-decoration-thickness: ${lineThickness(text.size)}px` : ''}`,
      },
      said,
    );
  // The line under words is drawn by itself, since it may stand a little lower than programs draw it.
  const set = (at: Anchor, isCentred = false) => {
    const through = withLine(at, isCentred, look.strike ? 'line-through' : undefined, shown);
    if (!look.underline) return through;
    const lower = { ...at, y: at.y + underlineShift(look, text.size) };
    return withLine(lower, isCentred, 'underline', tag('tspan', { fill: 'none' }, shown)) + through;
  };
  if (words.part === 'line') return set({ x: x + words.x, y: y + words.top + words.baseline });
  const { inset, baseline, lift } = words;
  const at = {
    ...(fromRight ? { 'text-anchor': 'end' as const } : {}),
    x: fromRight ? width - inset : inset,
    y: baseline ?? height / 2 - lift,
  };
  return tag('svg', { x, y, width, height, overflow: 'hidden' }, set(at, baseline === undefined));
}
