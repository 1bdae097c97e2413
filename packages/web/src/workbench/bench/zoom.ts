/** How near the bench is. */

/** A factor; or as large as there is room for the width; for the whole size; for the selection. */
export type Zoom = number | 'fit' | 'whole' | 'selection';

/** A size whose width fits is shown no smaller than this, for its height's sake: one works on it. */
const readable = 0.85;

interface Extents {
  readonly width: number;
  readonly height: number;
}

/** The scale at which all of a size is seen in some room, px. */
export const scaleOfWhole = (size: Extents, room: Extents): number =>
  Math.max(leastZoom, Math.min(1, room.width / size.width, room.height / size.height));

/** The scale at which the width of a size is seen, and its height as far as it stays readable. */
export const scaleOfWidth = (size: Extents, room: Extents): number =>
  Math.max(leastZoom, Math.min(1, room.width / size.width, Math.max(readable, room.height / size.height)));

export const leastZoom = 0.1;
export const greatestZoom = 8;

export const within = (zoom: number): number => Math.max(leastZoom, Math.min(greatestZoom, zoom));
export const nearer = (zoom: number): number => within(zoom * 1.25);
export const farther = (zoom: number): number => within(zoom / 1.25);

/** Factors of the menu. */
export const usualZooms = [0.1, 0.25, 0.5, 0.75, 1, 1.5, 2, 4, 8] as const;
