/** Rounded corners (CSS Backgrounds 3 §4). */

/** Radii from the top left corner on, clockwise; a fraction is one of the box's width across, and of its height down. */
export interface Corners {
  readonly radii: readonly [Radius, Radius, Radius, Radius];
}
export type Radius = number | { readonly fraction: number };

/** Radii of the four corners across and down, px, from the top left one on. */
export type RoundedBy = readonly (readonly [across: number, down: number])[];

/** The radii of a box of some size, made smaller together where they would overlap (CSS Backgrounds 3 §4.5). */
export function roundedBy(corner: number | Corners | undefined, width: number, height: number): RoundedBy {
  const radii: readonly Radius[] = typeof corner === 'object' ? corner.radii : Array(4).fill(corner ?? 0);
  const full = radii.map((radius) =>
    typeof radius === 'number' ? [radius, radius] : [radius.fraction * width, radius.fraction * height],
  ) as [number, number][];
  const at = (corner: number, axis: 0 | 1) => full[corner]?.[axis] ?? 0;
  const sums = [
    [width, at(0, 0) + at(1, 0)],
    [width, at(2, 0) + at(3, 0)],
    [height, at(1, 1) + at(2, 1)],
    [height, at(0, 1) + at(3, 1)],
  ] as const;
  const factor = Math.min(1, ...sums.map(([room, sum]) => (sum > 0 ? room / sum : 1)));
  return full.map(([across, down]) => [across * factor, down * factor]);
}

/** Whether all corners of a box are alike and round. */
export const isEven = (radii: RoundedBy): boolean =>
  radii.every(([across, down]) => across === down && across === radii[0]?.[0]);

/** The outline of a rounded box as an SVG path. */
export function roundedPath(
  {
    x,
    y,
    width,
    height,
  }: { readonly x: number; readonly y: number; readonly width: number; readonly height: number },
  radii: RoundedBy,
): string {
  const [tl = [0, 0], tr = [0, 0], br = [0, 0], bl = [0, 0]] = radii;
  const n = (value: number) => String(Number(value.toFixed(3)));
  const arc = ([across, down]: readonly [number, number], toX: number, toY: number) =>
    across > 0 && down > 0 ? `A${n(across)} ${n(down)} 0 0 1 ${n(toX)} ${n(toY)}` : `L${n(toX)} ${n(toY)}`;
  return [
    `M${n(x + tl[0])} ${n(y)}`,
    `H${n(x + width - tr[0])}`,
    arc(tr, x + width, y + tr[1]),
    `V${n(y + height - br[1])}`,
    arc(br, x + width - br[0], y + height),
    `H${n(x + bl[0])}`,
    arc(bl, x, y + height - bl[1]),
    `V${n(y + tl[1])}`,
    arc(tl, x + tl[0], y),
    'Z',
  ].join('');
}
