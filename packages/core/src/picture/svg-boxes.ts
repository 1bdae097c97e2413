/** The ground, the border and the shadows of a box as SVG. */
import type { Look } from '../kinds/kind.ts';
import type { Rectangle } from '../layout/rectangle.ts';
import { type RoundedBy, roundedBy, roundedPath } from '../values/corners.ts';
import { focusRingOffset, focusRingWidth } from '../values/focus-ring.ts';
import { type Shadow, shadowsIn } from '../values/shadows.ts';
import type { PhysicalSides } from './painting.ts';
import { type FillOptions, fillTags } from './svg-fills.ts';
import { type Ids, placed, tag } from './svg-tags.ts';

/** A box with its edges on whole px, and what it looks like. */
export interface BoxToPaint extends Rectangle {
  readonly look: Look;
  readonly border: PhysicalSides;
  readonly rightToLeft: boolean;
}

/** Corners as the screen has them: in attributes they go round from the top left one, whatever the direction. */
const radiiOf = ({ look, width, height }: BoxToPaint): RoundedBy => roundedBy(look.corner, width, height);

/** A box a little smaller or larger, with its corners. */
function resized(box: Rectangle, radii: RoundedBy, by: PhysicalSides): { box: Rectangle; radii: RoundedBy } {
  const { x, y, width, height } = box;
  const less = [
    [by.left, by.top],
    [by.right, by.top],
    [by.right, by.bottom],
    [by.left, by.bottom],
  ] as const;
  return {
    box: {
      x: x + by.left,
      y: y + by.top,
      width: Math.max(0, width - by.left - by.right),
      height: Math.max(0, height - by.top - by.bottom),
    },
    radii: radii.map(([across, down], index) => {
      const [acrossLess, downLess] = less[index] ?? [0, 0];
      // A sharp corner stays one (CSS Backgrounds 3 §6.1.1).
      return across === 0 || down === 0
        ? [0, 0]
        : [Math.max(0, across - acrossLess), Math.max(0, down - downLess)];
    }),
  };
}

const all = (by: number): PhysicalSides => ({ top: by, right: by, bottom: by, left: by });

const isSharp = (radii: RoundedBy): boolean => radii.every(([across, down]) => across === 0 || down === 0);

function shape(
  box: Rectangle,
  radii: RoundedBy,
  paint: Readonly<Record<string, string | number | undefined>>,
): string {
  if (box.width <= 0 || box.height <= 0) return '';
  return isSharp(radii)
    ? tag('rect', { ...placed(box), ...paint })
    : tag('path', { d: roundedPath(box, radii), ...paint });
}

/** Clips what is inside by the outline of a box. */
export function clipped(box: Rectangle, radii: RoundedBy, inside: string, ids: Ids): string {
  if (inside === '') return '';
  const id = ids.next('clip');
  return tag('clipPath', { id }, shape(box, radii, {})) + tag('g', { 'clip-path': `url(#${id})` }, inside);
}

/** The box inside the border, which clips what is in it, with its corners. */
export const paddingShape = (box: BoxToPaint): { box: Rectangle; radii: RoundedBy } =>
  resized(box, radiiOf(box), box.border);

function ground(box: BoxToPaint, options: FillOptions): string {
  const { look } = box;
  const radii = radiiOf(box);
  const plain =
    look.background && look.background !== 'none' ? shape(box, radii, { fill: look.background }) : '';
  if (!look.fill) return plain;
  const { x, y, width, height } = box;
  const inside = paddingShape(box).box;
  return (
    plain + clipped(box, radii, fillTags(look.fill, inside, { x, y, width, height }, options), options.ids)
  );
}

/** How a shadow is blurred: half of what is said (CSS Backgrounds 3 §6.1.2). */
function blurred(inside: string, blur: number, room: Rectangle, ids: Ids): string {
  if (blur <= 0) return inside;
  const id = ids.next('blur');
  const reach = blur * 2;
  return (
    tag(
      'filter',
      {
        id,
        filterUnits: 'userSpaceOnUse',
        x: room.x - reach,
        y: room.y - reach,
        width: room.width + 2 * reach,
        height: room.height + 2 * reach,
        'color-interpolation-filters': 'sRGB',
      },
      tag('feGaussianBlur', { stdDeviation: blur / 2 }),
    ) + tag('g', { filter: `url(#${id})` }, inside)
  );
}

/** A shadow around a box: it is not seen under the box itself (CSS Backgrounds 3 §6.1.1). */
function outerShadow({ x, y, blur, spread, colour }: Shadow, box: BoxToPaint, ids: Ids): string {
  const radii = radiiOf(box);
  const cast = resized(box, radii, all(-spread));
  const moved = { ...cast.box, x: cast.box.x + x, y: cast.box.y + y };
  const inside = blurred(shape(moved, cast.radii, { fill: colour }), blur, moved, ids);
  if (inside === '') return '';
  const reach = blur * 2 + Math.abs(spread) + Math.abs(x) + Math.abs(y) + 2;
  const around = {
    x: box.x - reach,
    y: box.y - reach,
    width: box.width + 2 * reach,
    height: box.height + 2 * reach,
  };
  const id = ids.next('around');
  const hole = `${roundedPath(around, noCorners)}${roundedPath(box, radii)}`;
  return (
    tag('clipPath', { id }, tag('path', { d: hole, 'clip-rule': 'evenodd' })) +
    tag('g', { 'clip-path': `url(#${id})` }, inside)
  );
}

const noCorners: RoundedBy = [
  [0, 0],
  [0, 0],
  [0, 0],
  [0, 0],
];

/** A shadow inside a box, from its padding edge inwards. */
function innerShadow({ x, y, blur, spread, colour }: Shadow, box: BoxToPaint, ids: Ids): string {
  const edge = paddingShape(box);
  const hole = resized(edge.box, edge.radii, all(spread));
  const reach = blur * 2 + Math.abs(spread) + Math.abs(x) + Math.abs(y) + 2;
  const { box: inner } = edge;
  const around = {
    x: inner.x - reach,
    y: inner.y - reach,
    width: inner.width + 2 * reach,
    height: inner.height + 2 * reach,
  };
  const moved = { ...hole.box, x: hole.box.x + x, y: hole.box.y + y };
  const frame = tag('path', {
    d: `${roundedPath(around, noCorners)}${roundedPath(moved, hole.radii)}`,
    'fill-rule': 'evenodd',
    fill: colour,
  });
  return clipped(inner, edge.radii, blurred(frame, blur, around, ids), ids);
}

const sideNames = ['top', 'right', 'bottom', 'left'] as const;

/** The part of a box that belongs to one side of its border: corners are cut from the outer to the inner one. */
function sideShape(box: BoxToPaint, side: (typeof sideNames)[number]): string {
  const { x, y, width, height, border } = box;
  const [left, top, right, bottom] = [x, y, x + width, y + height];
  const inner = {
    left: left + border.left,
    top: top + border.top,
    right: right - border.right,
    bottom: bottom - border.bottom,
  };
  const points = {
    top: [left, top, right, top, inner.right, inner.top, inner.left, inner.top],
    right: [right, top, right, bottom, inner.right, inner.bottom, inner.right, inner.top],
    bottom: [right, bottom, left, bottom, inner.left, inner.bottom, inner.right, inner.bottom],
    left: [left, bottom, left, top, inner.left, inner.top, inner.left, inner.bottom],
  }[side];
  return points.join(' ');
}

/** What each side of the screen has of a list by direction: top, end, bottom, start. */
const bySide = (list: readonly string[], rightToLeft: boolean): readonly string[] => {
  const [top = '', end = '', bottom = '', start = ''] = list;
  return rightToLeft ? [top, start, bottom, end] : [top, end, bottom, start];
};

function border(box: BoxToPaint, ids: Ids): string {
  const { look, border: widths, rightToLeft } = box;
  const { borderColour } = look;
  if (borderColour === undefined || sideNames.every((side) => widths[side] <= 0)) return '';
  const colours =
    typeof borderColour === 'string'
      ? Array<string>(4).fill(borderColour)
      : bySide(borderColour, rightToLeft);
  const lines = look.borderStyle ? bySide(look.borderStyle, rightToLeft) : Array<string>(4).fill('solid');
  const isEven = colours.every((each) => each === colours[0]) && lines.every((each) => each === lines[0]);
  if (isEven) return evenBorder(box, colours[0] ?? 'none', lines[0] ?? 'solid');
  return sideNames
    .map((side, index) => {
      if (widths[side] <= 0 || lines[index] === 'none') return '';
      const id = ids.next('side');
      const part = evenBorder({ ...box, border: widths }, colours[index] ?? 'none', lines[index] ?? 'solid');
      return (
        tag('clipPath', { id }, tag('polygon', { points: sideShape(box, side) })) +
        tag('g', { 'clip-path': `url(#${id})` }, part)
      );
    })
    .join('');
}

/** A border of one colour and one sort of line. */
function evenBorder(box: BoxToPaint, colour: string, line: string): string {
  const { border: widths } = box;
  const radii = radiiOf(box);
  if (line === 'none') return '';
  const isWhole = sideNames.every((side) => widths[side] === widths.top);
  const middle = (by: PhysicalSides) => resized(box, radii, by);
  if (line === 'dashed' || line === 'dotted') {
    const thick = Math.max(...sideNames.map((side) => widths[side]));
    const at = middle({
      top: widths.top / 2,
      right: widths.right / 2,
      bottom: widths.bottom / 2,
      left: widths.left / 2,
    });
    const dots = line === 'dotted' && thick >= 3;
    return shape(at.box, at.radii, {
      fill: 'none',
      stroke: colour,
      'stroke-width': thick,
      'stroke-dasharray': dots
        ? `0.01 ${thick * 2}`
        : line === 'dotted'
          ? `${thick} ${thick}`
          : `${thick * 2} ${thick}`,
      'stroke-linecap': dots ? 'round' : undefined,
    });
  }
  const ring = (outer: { box: Rectangle; radii: RoundedBy }, inner: { box: Rectangle; radii: RoundedBy }) =>
    tag('path', {
      d: `${roundedPath(outer.box, outer.radii)}${roundedPath(inner.box, inner.radii)}`,
      'fill-rule': 'evenodd',
      fill: colour,
    });
  if (line === 'double' && isWhole && widths.top >= 3) {
    const third = Math.ceil(widths.top / 3);
    return (
      ring({ box, radii }, middle(all(third))) +
      ring(middle(all(widths.top - third)), middle(all(widths.top)))
    );
  }
  return ring({ box, radii }, middle(widths));
}

function focusRing(box: BoxToPaint): string {
  const { focusRing: colour } = box.look;
  if (colour === undefined) return '';
  const at = resized(box, radiiOf(box), all(-(focusRingOffset + focusRingWidth / 2)));
  return shape(at.box, at.radii, { fill: 'none', stroke: colour, 'stroke-width': focusRingWidth });
}

/** All of a box below its shapes and words: shadows, ground, shadows inside, border, ring. */
export function boxTags(box: BoxToPaint, options: FillOptions): string {
  const { look } = box;
  const shadows = look.shadow ? (shadowsIn(look.shadow) ?? []) : [];
  const { ids } = options;
  const outer = shadows.filter(({ inset }) => !inset).toReversed();
  const inner = shadows.filter(({ inset }) => inset).toReversed();
  const ring = look.ring ? [{ x: 0, y: 0, blur: 0, spread: 1, colour: look.ring, inset: true }] : [];
  return [
    ...outer.map((shadow) => outerShadow(shadow, box, ids)),
    ground(box, options),
    ...[...ring, ...inner].map((shadow) => innerShadow(shadow, box, ids)),
    border(box, ids),
    focusRing(box),
  ].join('');
}

/** Words with their shadows behind them. @param words the words in a colour. */
export function withTextShadows(
  text: string,
  words: (colour?: string) => string,
  room: Rectangle,
  ids: Ids,
): string {
  const cast = (shadowsIn(text) ?? [])
    .toReversed()
    .map(({ x, y, blur, colour }) =>
      blurred(
        tag('g', { transform: `translate(${x} ${y})` }, words(colour)),
        blur,
        { ...room, x: room.x + x, y: room.y + y },
        ids,
      ),
    );
  return `${cast.join('')}${words()}`;
}

/** What is inside blurred as a whole (Filter Effects 1 §12.1). */
export const blurredBy = (inside: string, blur: number, room: Rectangle, ids: Ids): string =>
  blurred(
    inside,
    blur * 2,
    { x: room.x - blur, y: room.y - blur, width: room.width + 2 * blur, height: room.height + 2 * blur },
    ids,
  );
