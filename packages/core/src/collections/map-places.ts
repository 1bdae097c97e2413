/** Where screens stand on the map of ways, as far as a person moved them; all others are arranged. */
import type { MapPlace } from '../document/map-place.ts';
import { nameProblem } from '../document/names.ts';
import { isRecord } from '../document/record.ts';
import type { Collection, Fault } from './collection.ts';

/** Farthest that a screen is from the map's origin. */
const farthest = 100_000;

const isPlace = (value: unknown): boolean =>
  typeof value === 'number' && Number.isFinite(value) && Math.abs(value) <= farthest;

function fault(place: unknown): Fault | undefined {
  if (!isRecord(place) || typeof place.screen !== 'string' || nameProblem(place.screen))
    return { path: 'screen', message: 'A place on the map has no screen.' };
  const wrong = (['x', 'y'] as const).find((field) => !isPlace(place[field]));
  return wrong === undefined
    ? undefined
    : { path: wrong, message: `\`${place.screen}\` stands nowhere on the map: \`${wrong}\` is a number.` };
}

export const mapPlaces: Collection<MapPlace> = {
  id: 'map',
  word: 'place on the map',
  least: 0,
  most: 1000,
  optional: true,
  fields: ['screen', 'x', 'y'] satisfies (keyof MapPlace)[],
  keyOf: ({ screen }) => screen,
  keyProblem: nameProblem,
  fault,
  empty: (screen) => ({ screen, x: 0, y: 0 }),
  rekeyed: (place, screen) => ({ ...place, screen }),
  uses: () => [],
};
