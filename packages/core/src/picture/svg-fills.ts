/** Fills as SVG: gradients of CSS (CSS Images 4 §3) by those of SVG, those around a point by many wedges. */
import type { Rectangle } from '../layout/rectangle.ts';
import { type FillLayer, fillLayers, type Gradient, type Place } from '../values/fills.ts';
import { colourAt, type PlacedStop, placedStops } from './gradient-stops.ts';
import { type Ids, placed, tag } from './svg-tags.ts';

export interface FillOptions {
  readonly ids: Ids;
  readonly pictureAddress: (name: string) => string | undefined;
  readonly pictureSize: (name: string) => { readonly width: number; readonly height: number } | undefined;
}

const along = ({ fraction, px }: Place, size: number): number => fraction * size + px;

const stopTags = (stops: readonly PlacedStop[], from: number, room: number): string =>
  stops
    .map(({ at, colour }) =>
      tag('stop', { offset: String(Number(((at - from) / room).toFixed(5))), 'stop-color': colour }),
    )
    .join('');

/** Where the line of a linear gradient begins and ends, and how long it is (CSS Images 3 §3.1.1). */
function lineOf({ towards }: Extract<Gradient, { form: 'linear' }>, { x, y, width, height }: Rectangle) {
  let [across, down] = [0, 0];
  if ('degrees' in towards) {
    const angle = (towards.degrees * Math.PI) / 180;
    [across, down] = [Math.sin(angle), -Math.cos(angle)];
  } else {
    const [sideX, sideY] = towards.side;
    // Towards a corner, the middle colour lies on the other two (§3.1.1).
    [across, down] = sideX !== 0 && sideY !== 0 ? [sideX * height, sideY * width] : [sideX, sideY];
    const long = Math.hypot(across, down) || 1;
    [across, down] = [across / long, down / long];
  }
  const length = Math.abs(width * across) + Math.abs(height * down);
  const [middleX, middleY] = [x + width / 2, y + height / 2];
  const point = (part: number) =>
    [middleX + across * length * (part - 0.5), middleY + down * length * (part - 0.5)] as const;
  return { length, point };
}

function linear(gradient: Extract<Gradient, { form: 'linear' }>, box: Rectangle, id: string): string {
  const { length, point } = lineOf(gradient, box);
  const stops = placedStops(gradient, length);
  const [from, to] = [stops[0]?.at ?? 0, stops.at(-1)?.at ?? 1];
  const room = to - from || 0.00001;
  const [[x1, y1], [x2, y2]] = [point(from), point(from + room)];
  return tag(
    'linearGradient',
    {
      id,
      gradientUnits: 'userSpaceOnUse',
      ...{ x1, y1, x2, y2 },
      spreadMethod: gradient.repeats ? 'repeat' : undefined,
    },
    stopTags(stops, from, room),
  );
}

/** The radii of a radial gradient (CSS Images 3 §3.2.1), and its middle. */
function radiiOf({ circle, size, at }: Extract<Gradient, { form: 'radial' }>, box: Rectangle) {
  const [middleX, middleY] = [along(at[0], box.width), along(at[1], box.height)];
  const sides = { near: [0, 0], far: [0, 0] } as Record<'near' | 'far', [number, number]>;
  for (const [axis, middle, room] of [
    [0, middleX, box.width],
    [1, middleY, box.height],
  ] as const) {
    const both = [Math.abs(middle), Math.abs(room - middle)];
    sides.near[axis] = Math.min(...both);
    sides.far[axis] = Math.max(...both);
  }
  const centre = [box.x + middleX, box.y + middleY] as const;
  if (typeof size !== 'string') {
    const [one, other = one] = size;
    if (!one || !other) return { centre, radii: [0, 0] as const };
    const across = along(one, box.width);
    return { centre, radii: [across, size.length === 1 ? across : along(other, box.height)] as const };
  }
  const [rx, ry] = size.startsWith('closest') ? sides.near : sides.far;
  const toCorner = size.endsWith('corner');
  if (circle) {
    const side = size.startsWith('closest') ? Math.min(rx, ry) : Math.max(rx, ry);
    const radius = toCorner ? Math.hypot(rx, ry) : side;
    return { centre, radii: [radius, radius] as const };
  }
  const factor = toCorner ? Math.SQRT2 : 1;
  return { centre, radii: [rx * factor, ry * factor] as const };
}

function radial(gradient: Extract<Gradient, { form: 'radial' }>, box: Rectangle, id: string): string {
  const {
    centre: [cx, cy],
    radii: [rx, ry],
  } = radiiOf(gradient, box);
  const all = placedStops(gradient, rx);
  const last = all.at(-1)?.at ?? 1;
  // Nothing lies before the middle.
  const stops = all.some(({ at }) => at < 0)
    ? [{ at: 0, colour: colourAt(all, 0) }, ...all.filter(({ at }) => at > 0)]
    : all;
  const from = gradient.repeats ? (stops[0]?.at ?? 0) : 0;
  const room = Math.max(last, 0.00001);
  return tag(
    'radialGradient',
    {
      id,
      gradientUnits: 'userSpaceOnUse',
      cx: 0,
      cy: 0,
      r: room,
      fr: gradient.repeats && from > 0 ? from : undefined,
      gradientTransform: `translate(${cx} ${cy}) scale(${Math.max(rx, 0.001)} ${Math.max(ry, 0.001)})`,
      spreadMethod: gradient.repeats ? 'repeat' : undefined,
    },
    gradient.repeats ? stopTags(stops, from, room - from || 0.00001) : stopTags(stops, 0, room),
  );
}

/** How many wedges a turn is made of. */
const wedges = 720;

/** A gradient around a point: SVG has none. */
function conic(gradient: Extract<Gradient, { form: 'conic' }>, box: Rectangle): string {
  const stops = placedStops(gradient, 0);
  const [cx, cy] = [box.x + along(gradient.at[0], box.width), box.y + along(gradient.at[1], box.height)];
  const reach = Math.hypot(box.width, box.height) + Math.hypot(cx - box.x, cy - box.y);
  const [first, last] = [stops[0]?.at ?? 0, stops.at(-1)?.at ?? 1];
  const point = (part: number) => {
    const angle = ((part * 360 + gradient.from) * Math.PI) / 180;
    return `${(cx + Math.sin(angle) * reach).toFixed(2)} ${(cy - Math.cos(angle) * reach).toFixed(2)}`;
  };
  const parts: string[] = [];
  let begin = 0;
  let held = '';
  for (let wedge = 0; wedge <= wedges; wedge++) {
    const middle = (wedge + 0.5) / wedges;
    const at =
      gradient.repeats && last > first
        ? first + ((((middle - first) % (last - first)) + (last - first)) % (last - first))
        : middle;
    const colour = wedge === wedges ? '' : colourAt(stops, at);
    if (colour === held) continue;
    if (held) {
      // A wedge reaches under the next ones, so that nothing shines through between them.
      const end = Math.min(1, (wedge + 16) / wedges);
      const steps = Math.max(1, Math.ceil((end - begin) * 8));
      const rim = Array.from({ length: steps + 1 }, (_, step) =>
        point(begin + ((end - begin) * step) / steps),
      );
      parts.push(tag('path', { d: `M${cx} ${cy}L${rim.join('L')}Z`, fill: held }));
    }
    begin = wedge / wedges;
    held = colour;
  }
  // Browsers do not smooth where colours of a gradient meet.
  return tag('g', { 'shape-rendering': 'crispEdges' }, parts.join(''));
}

/** A picture that covers a box, lies in it as a whole, or is laid beside itself from its top left corner on. */
function pictureFill(
  { picture, fit }: Extract<FillLayer, { picture: string }>,
  box: Rectangle,
  { ids, pictureAddress, pictureSize }: FillOptions,
): string {
  const href = pictureAddress(picture);
  const natural = pictureSize(picture);
  if (href === undefined || !natural) return '';
  if (fit === 'tile') {
    const id = ids.next('tile');
    const image = tag('image', {
      width: natural.width,
      height: natural.height,
      href,
      preserveAspectRatio: 'none',
    });
    const pattern = tag(
      'pattern',
      {
        id,
        x: box.x,
        y: box.y,
        width: natural.width,
        height: natural.height,
        patternUnits: 'userSpaceOnUse',
      },
      image,
    );
    return pattern + tag('rect', { ...placed(box), fill: `url(#${id})` });
  }
  const preserveAspectRatio = `xMidYMid ${fit === 'cover' ? 'slice' : 'meet'}`;
  return tag('image', { ...placed(box), href, preserveAspectRatio });
}

/** One layer of a fill in a box. @param box where gradients and pictures are placed by. @param room where it is painted. */
function layerTag(layer: FillLayer, box: Rectangle, room: Rectangle, options: FillOptions): string {
  if ('colour' in layer) return tag('rect', { ...placed(room), fill: layer.colour });
  if ('picture' in layer) return pictureFill(layer, box, options);
  const { gradient } = layer;
  if (gradient.form === 'conic') return conic(gradient, box);
  const id = options.ids.next('fill');
  const made = gradient.form === 'linear' ? linear(gradient, box, id) : radial(gradient, box, id);
  return made + tag('rect', { ...placed(room), fill: `url(#${id})` });
}

/** All layers of a fill, the lowest first. */
export const fillTags = (fill: string, box: Rectangle, room: Rectangle, options: FillOptions): string =>
  (fillLayers(fill) ?? [])
    .toReversed()
    .map((layer) => layerTag(layer, box, room, options))
    .join('');
