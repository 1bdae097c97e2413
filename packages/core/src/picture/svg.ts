/**
 * A laid-out screen as one SVG file: boxes where the core put them, words as words. It shows what the page shows but for
 * antialiasing, and needs nothing else where its fonts and pictures are given with it.
 */
import type { Drawing, Gauge } from '../kinds/kind.ts';
import type { ScreenBox, ScreenLayout } from '../layout/screen-layout.ts';
import { isolated } from '../text/directions.ts';
import {
  type FontFile,
  type FontManifest,
  faceKey,
  fontFaceRules,
  parseUnicodeRange,
} from '../text/fonts.ts';

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
    const box = layout.boxes[index]!;
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

/** Physical sides of a box. */
const sidesOf = (
  { top, end, bottom, start }: ScreenBox['box']['style']['padding'],
  rightToLeft: boolean | undefined,
) => (rightToLeft ? { top, right: start, bottom, left: end } : { top, right: end, bottom, left: start });

/** What is painted besides words. */
type Painted = Pick<ScreenBox, 'x' | 'y' | 'width' | 'height' | 'look' | 'box'>;

/** A box with its edges on whole px, where browsers paint them. */
function snapped({ x, y, width, height, look, box }: ScreenBox): Painted {
  const [left, top] = [Math.round(x), Math.round(y)];
  return {
    x: left,
    y: top,
    width: Math.round(x + width) - left,
    height: Math.round(y + height) - top,
    look,
    box,
  };
}

function paint(exact: ScreenBox, options: PictureOptions): string {
  const box = snapped(exact);
  const { look, x, y, width, height } = box;
  if (width <= 0 || height <= 0) return words(exact, options);
  const parts: string[] = [];
  const border = sidesOf(box.box.style.border, options.rightToLeft);
  const rx = look.corner === undefined ? undefined : Math.min(look.corner, width / 2, height / 2);
  if (look.background && look.background !== 'none')
    parts.push(tag('rect', { x, y, width, height, rx, fill: look.background }));
  if (look.picture !== undefined) parts.push(picture(box, options));
  if (look.borderColour) parts.push(edges(box, border, look.borderColour, rx));
  if (look.ring) parts.push(outline(box, 1, look.ring, rx));
  if (look.drawing) parts.push(drawing(box, look.drawing, options));
  if (look.gauge) parts.push(gauge(box, look.gauge, options));
  return parts.join('') + words(exact, options);
}

/** A line of some thickness just inside the edge. */
const outline = ({ x, y, width, height }: Painted, thick: number, stroke: string, rx = 0): string =>
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

function edges(
  box: Painted,
  { top, right, bottom, left }: ReturnType<typeof sidesOf>,
  fill: string,
  rx?: number,
) {
  if (top > 0 && top === right && top === bottom && top === left) return outline(box, top, fill, rx);
  const { x, y, width, height } = box;
  const side = (at: { x: number; y: number; width: number; height: number }) =>
    at.width > 0 && at.height > 0 ? tag('rect', { ...at, fill }) : '';
  return (
    side({ x, y, width, height: top }) +
    side({ x, y: y + height - bottom, width, height: bottom }) +
    side({ x, y, width: left, height }) +
    side({ x: x + width - right, y, width: right, height })
  );
}

/** A picture of the project in its box, by its fit and its focus point (CSS Images 3 §5.5, §5.6). */
function picture(box: Painted, { pictureAddress }: PictureOptions): string {
  const { x, y, width, height, look } = box;
  const href = pictureAddress(look.picture!);
  if (href === undefined) return tag('rect', { x, y, width, height, fill: '#e3ddd0' });
  const { content } = box.box;
  const natural = content.type === 'picture' ? content : { width, height };
  const scales = [width / natural.width, height / natural.height] as const;
  const scale = look.pictureFit === 'contain' ? Math.min(...scales) : Math.max(...scales);
  const size =
    look.pictureFit === 'fill'
      ? { width, height }
      : { width: natural.width * scale, height: natural.height * scale };
  const [across, down] = look.pictureFocus ?? [50, 50];
  const image = tag('image', {
    ...size,
    x: ((width - size.width) * across) / 100,
    y: ((height - size.height) * down) / 100,
    href,
    preserveAspectRatio: 'none',
  });
  return tag('svg', { x, y, width, height, overflow: 'hidden' }, image);
}

function drawing(box: Painted, { size, shapes, place }: Drawing, { rightToLeft }: PictureOptions): string {
  const { x, y, width, height, look } = box;
  const at =
    typeof place === 'number'
      ? {
          x: rightToLeft ? x + 10 : x + width - 10 - place,
          y: y + (height - place) / 2,
          width: place,
          height: place,
        }
      : { x, y, width, height };
  return tag(
    'svg',
    {
      ...at,
      viewBox: `0 0 ${size.join(' ')}`,
      preserveAspectRatio: place === 'stretch' ? 'none' : 'xMidYMid meet',
      color: look.colour,
      overflow: 'visible',
    },
    shapes.map(([name, attributes]) => tag(name, attributes)).join(''),
  );
}

function gauge({ x, y, width, height }: Painted, line: Gauge, { rightToLeft }: PictureOptions): string {
  const { part, thickness, knob = 0, colour, ground } = line;
  const top = y + (height - thickness) / 2;
  const reach = knob / 2 + (width - knob) * part;
  const from = (start: number, long: number) => (rightToLeft ? x + width - start - long : x + start);
  const bar = (long: number, fill: string) =>
    tag('rect', { x: from(0, long), y: top, width: long, height: thickness, rx: thickness / 2, fill });
  const dot =
    knob > 0
      ? tag('circle', {
          cx: from((width - knob) * part, knob) + knob / 2,
          cy: y + height / 2,
          r: knob / 2,
          fill: colour,
        })
      : '';
  return bar(width, ground) + bar(reach, colour) + dot;
}

/** Words, line by line on their baselines. */
function words(box: ScreenBox, { rightToLeft }: PictureOptions): string {
  const { look, lines, x, y, width, height } = box;
  const { text } = look;
  if (!text) return '';
  const { content, style } = box.box;
  const padding = sidesOf(style.padding, rightToLeft);
  const border = sidesOf(style.border, rightToLeft);
  // Not every program knows the direction of a text in SVG: words stand from left to right, in an isolate that runs as the
  // screen does.
  const set = (at: { x: number; y: number; 'text-anchor'?: 'end' }, line: string, centred = false) =>
    line === ''
      ? ''
      : tag(
          'text',
          {
            ...at,
            'font-family': text.family,
            'font-weight': text.weight,
            'font-size': text.size,
            'font-style': text.italic ? 'italic' : undefined,
            'letter-spacing': text.letterSpacing || undefined,
            'text-decoration': look.underline ? 'underline' : undefined,
            'dominant-baseline': centred ? 'central' : undefined,
            fill: look.colour,
            style: 'white-space: pre',
          },
          escaped(rightToLeft ? isolated(line) : line),
        );
  const room = width - padding.left - padding.right - border.left - border.right;
  const start = x + border.left + padding.left;
  const placed = (wide: number) => {
    const spare = room - wide;
    // What is wider than its room goes over where it ends.
    if (spare <= 0) return rightToLeft ? start + spare : start;
    const before = text.align === 'center' ? spare / 2 : (text.align === 'end') === !rightToLeft ? spare : 0;
    return start + before;
  };
  const shown =
    content.type === 'text'
      ? lines
          .map((line, index) =>
            set(
              {
                x: placed(line.width),
                y:
                  y +
                  border.top +
                  padding.top +
                  index * content.paragraphs.lineHeight +
                  content.paragraphs.baseline,
              },
              line.alone,
            ),
          )
          .join('')
      : '';
  if (!look.inner) return shown;
  const { text: inner, padding: inset } = look.inner;
  const baseline = content.type === 'blank' ? content.baseline : undefined;
  const at = {
    ...(rightToLeft ? { 'text-anchor': 'end' as const } : {}),
    x: rightToLeft ? width - border.right - inset : border.left + inset,
    y: baseline === undefined ? height / 2 : border.top + padding.top + baseline,
  };
  return (
    shown + tag('svg', { x, y, width, height, overflow: 'hidden' }, set(at, inner, baseline === undefined))
  );
}
