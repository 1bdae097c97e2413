/** Where a person put a screen on the map of ways. */

/** The place of a screen's picture on the map, from the map's own origin, in units of the map (CSS px at its full size). */
export interface MapPlace {
  /** Name of the screen. */
  readonly screen: string;
  readonly x: number;
  readonly y: number;
}
