/** How near the bench is. */

/** A factor; or as large as there is room for the whole size; or for the selection. */
export type Zoom = number | 'fit' | 'selection';

export const leastZoom = 0.1;
export const greatestZoom = 8;

export const within = (zoom: number): number => Math.max(leastZoom, Math.min(greatestZoom, zoom));
export const nearer = (zoom: number): number => within(zoom * 1.25);
export const farther = (zoom: number): number => within(zoom / 1.25);

/** Factors of the menu. */
export const usualZooms = [0.1, 0.25, 0.5, 0.75, 1, 1.5, 2, 4, 8] as const;
