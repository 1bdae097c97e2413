/**
 * What is painted of a laid-out box: its words, pictures, drawings and bars, each at its place. The bench and picture files
 * (SVG, and PNG made of it) draw this list, so that no place is worked out twice.
 */
import type { Shape } from '../icons/icon-set.ts';
import type { Gauge, Look } from '../kinds/kind.ts';
import type { Rectangle } from '../layout/rectangle.ts';
import type { ScreenBox } from '../layout/screen-layout.ts';
import { fillLayers } from '../values/fills.ts';
import { writtenWords } from './written-words.ts';

/** A shape painted in a box. Places are in CSS px from the box's left and top edge, its border included. */
export type PaintedShape =
  /** A picture of the project, in `at`, of which only what lies in the box is seen; `at` may be larger than the box. */
  | { readonly part: 'picture'; readonly name: string; readonly room: Rectangle; readonly at: Rectangle }
  /** Shapes in their own coordinates. */
  | {
      readonly part: 'drawing';
      readonly at: Rectangle;
      /** Width and height of their coordinates. */
      readonly size: readonly [number, number];
      readonly shapes: readonly Shape[];
      /** Whether they are as wide and as high as `at`, whatever becomes of their proportions. */
      readonly stretches: boolean;
    }
  /** A rectangle with round ends, or a dot. */
  | { readonly part: 'bar'; readonly at: Rectangle; readonly corner: number; readonly colour: string };

/** Words painted in a box; places as those of shapes. */
export type PaintedWords =
  /** A line of words, from its left end. */
  | {
      readonly part: 'line';
      readonly text: string;
      readonly x: number;
      /** Top of the line, its height, and how far below the top its baseline is. */
      readonly top: number;
      readonly height: number;
      readonly baseline: number;
    }
  /** Words in a field, on one line, cut off where the box ends. */
  | {
      readonly part: 'field words';
      readonly text: string;
      /** Where they begin: so far from the left edge, or from the right one where they run from the right. */
      readonly inset: number;
      readonly fromRight: boolean;
      /** Top of the line; absent: it stands in the middle of the box, `lift` px higher. */
      readonly top: number | undefined;
      readonly lift: number;
      /** How far below the box's top the baseline is; absent in the middle. */
      readonly baseline: number | undefined;
    };

/** The pictures of the project that a layout shows, each once: in controls and in fills. */
export const picturesIn = ({
  boxes,
}: {
  readonly boxes: readonly { readonly look: Look }[];
}): ReadonlySet<string> =>
  new Set(
    boxes.flatMap(({ look }) => [
      ...(look.picture === undefined ? [] : [look.picture]),
      ...(look.fill ? (fillLayers(look.fill) ?? []) : []).flatMap((layer) =>
        'picture' in layer ? layer.picture : [],
      ),
    ]),
  );

/** Widths on the four sides that a screen has, CSS px. */
export interface PhysicalSides {
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly left: number;
}

/** Sides said by the direction of the words, as the screen has them (CSS Logical Properties 1 §4). */
export const physicalSides = (
  { top, end, bottom, start }: ScreenBox['box']['style']['padding'],
  rightToLeft: boolean,
): PhysicalSides =>
  rightToLeft ? { top, right: start, bottom, left: end } : { top, right: end, bottom, left: start };

/** A box in the size in which it is painted: the one that was laid out, or that one on whole px. */
export type PaintedBox = Pick<ScreenBox, 'width' | 'height' | 'look' | 'box' | 'lines'>;

/**
 * What is painted in a box above its ground and its border and below its words, in the order in which it is painted.
 *
 * @param rightToLeft whether the screen is read from the right.
 */
export function shapesOf(painted: PaintedBox, rightToLeft: boolean): readonly PaintedShape[] {
  const { look } = painted;
  if (look.picture === undefined && !look.drawing && !look.gauge) return none;
  const inside = paddingBoxOf(painted, rightToLeft);
  const fromRight = runsFromRight(look, rightToLeft);
  return [
    ...(look.picture === undefined ? [] : [pictureShape(look.picture, look, painted, inside)]),
    ...(look.drawing ? [drawingShape(look.drawing, inside, fromRight)] : []),
    ...(look.gauge ? gaugeShapes(look.gauge, inside, fromRight) : []),
  ];
}
const none: readonly PaintedShape[] = [];

/** The words of a box, line by line. @param rightToLeft whether the screen is read from the right. */
export function wordsOf(painted: PaintedBox, rightToLeft: boolean): PaintedWords[] {
  const { inner } = painted.look;
  const lines = linesOf(painted, rightToLeft);
  return inner ? [...lines, fieldWords(inner, painted, rightToLeft)] : lines;
}

/** Days and times run as the browser's language does, whatever the screen's direction is. */
const runsFromRight = ({ inner }: Look, rightToLeft: boolean): boolean =>
  rightToLeft && inner?.written !== 'date' && inner?.written !== 'time';

/** The box inside the border. */
function paddingBoxOf({ width, height, box }: PaintedBox, rightToLeft: boolean): Rectangle {
  const { top, right, bottom, left } = physicalSides(box.style.border, rightToLeft);
  return { x: left, y: top, width: width - left - right, height: height - top - bottom };
}

/** A picture by its fit and its focus point (CSS Images 3 §5.5, §5.6). */
function pictureShape(name: string, look: Look, { box }: PaintedBox, room: Rectangle): PaintedShape {
  const { content } = box;
  const natural = content.type === 'picture' ? content : room;
  const scales = [room.width / natural.width, room.height / natural.height] as const;
  const scale = look.pictureFit === 'contain' ? Math.min(...scales) : Math.max(...scales);
  const size =
    look.pictureFit === 'fill'
      ? { width: room.width, height: room.height }
      : { width: natural.width * scale, height: natural.height * scale };
  const [across, down] = look.pictureFocus ?? [50, 50];
  const at = {
    ...size,
    x: room.x + ((room.width - size.width) * across) / 100,
    y: room.y + ((room.height - size.height) * down) / 100,
  };
  return { part: 'picture', name, room, at };
}

/** How far a drawing at the end of a box stands from that end. */
const drawingInset = 10;

function drawingShape(
  { size, shapes, place }: NonNullable<Look['drawing']>,
  inside: Rectangle,
  fromRight: boolean,
): PaintedShape {
  const stretches = place === 'stretch';
  if (typeof place !== 'number') return { part: 'drawing', at: inside, size, shapes, stretches };
  const { x, y, width, height } = inside;
  const at = {
    x: fromRight ? x + drawingInset : x + width - drawingInset - place,
    y: y + (height - place) / 2,
    width: place,
    height: place,
  };
  return { part: 'drawing', at, size, shapes, stretches };
}

/** A line through the middle that is filled from its start, as far as the middle of a knob on it. */
function gaugeShapes(gauge: Gauge, { x, y, width, height }: Rectangle, fromRight: boolean): PaintedShape[] {
  const { part, thickness, knob = 0, colour, ground } = gauge;
  // What is moved stays inside the line at both ends.
  const before = (width - knob) * part;
  const bar = (from: number, long: number, high: number, paint: string): PaintedShape => ({
    part: 'bar',
    at: {
      x: fromRight ? x + width - from - long : x + from,
      y: y + (height - high) / 2,
      width: long,
      height: high,
    },
    corner: high / 2,
    colour: paint,
  });
  return [bar(0, width, thickness, ground), bar(0, knob / 2 + before, thickness, colour)];
}

/** The lines of a text, by its alignment (CSS Text 3 §7.1). */
function linesOf({ box, lines, look, width }: PaintedBox, rightToLeft: boolean): PaintedWords[] {
  const { content, style } = box;
  if (content.type !== 'text') return [];
  const padding = physicalSides(style.padding, rightToLeft);
  const border = physicalSides(style.border, rightToLeft);
  const room = width - padding.left - padding.right - border.left - border.right;
  const { lineHeight, baseline } = content.paragraphs;
  const shift = (long: number) => {
    const spare = room - long;
    // What is wider than its room goes over where it ends.
    if (spare <= 0) return rightToLeft ? spare : 0;
    if (look.text?.align === 'center') return spare / 2;
    return (look.text?.align === 'end') === rightToLeft ? 0 : spare;
  };
  return lines.map((line, index) => ({
    part: 'line',
    text: line.alone,
    x: border.left + padding.left + shift(line.width),
    top: border.top + padding.top + index * lineHeight,
    height: lineHeight,
    baseline,
  }));
}

function fieldWords(
  inner: NonNullable<Look['inner']>,
  { box, look }: PaintedBox,
  rightToLeft: boolean,
): PaintedWords {
  const { content, style } = box;
  const text = writtenWords(inner);
  const border = physicalSides(style.border, rightToLeft);
  const fromRight = runsFromRight(look, rightToLeft);
  const baseline = content.type === 'blank' ? content.baseline : undefined;
  // Browsers put the words of fields with a sign in them a px higher than those that one types into.
  const lift = typeof look.drawing?.place === 'number' ? 1 : 0;
  return {
    part: 'field words',
    text,
    inset: (fromRight ? border.right : border.left) + inner.padding,
    fromRight,
    top: inner.top === undefined ? undefined : border.top + inner.top,
    lift,
    baseline: baseline === undefined ? undefined : border.top + style.padding.top + baseline,
  };
}
