/** The icons that ship: the Lucide set, drawn in strokes on a square of 24 by 24. */
import { icons } from 'lucide';

/** An SVG element: its tag and attributes. */
export type Shape = readonly [tag: string, attributes: Readonly<Record<string, string | number>>];

/** Side of the square that icons are drawn in. */
export const iconSide = 24;

/** `ArrowDown01` as it is written in the source: `arrow-down-0-1`. */
const written = (name: string): string =>
  name
    .replace(/([A-Z])(?=[A-Z][a-z])/g, '$1-')
    .replace(/([a-z\d])([A-Z])|([a-zA-Z])(\d)|(\d)(\d)/g, (pair) => `${pair[0]}-${pair[1]}`)
    .toLowerCase();

let set: ReadonlyMap<string, readonly Shape[]> | undefined;

/** All icons: shapes by name as it is written in the source. */
export function iconSet(): ReadonlyMap<string, readonly Shape[]> {
  set ??= new Map(Object.entries(icons).map(([name, shapes]) => [written(name), shapes as readonly Shape[]]));
  return set;
}

/** What stands where an icon is not known: a square with a gap in it. */
const missing: readonly Shape[] = [['path', { d: 'M4 4h16v16H4zM4 4l16 16' }]];

/** The shapes of an icon by name; a stand-in where there is none of that name. */
export const iconShapes = (name: string): readonly Shape[] => iconSet().get(name) ?? missing;
