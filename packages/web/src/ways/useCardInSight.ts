/** A screen that is chosen elsewhere comes into sight on the map. */
import { type RefObject, useEffect, useRef } from 'react';
import type { MapModel } from './mapModel.ts';
import type { MapView } from './useMapView.ts';

/**
 * @param area what the map is scrolled in.
 * @param screen name of the chosen screen.
 */
export function useCardInSight(
  area: RefObject<HTMLElement | null>,
  model: MapModel,
  { show }: Pick<MapView, 'show'>,
  screen: string | undefined,
): void {
  const latest = useRef(model);
  latest.current = model;
  useEffect(() => {
    const { cards, spots } = latest.current;
    const card = cards.find(({ name }) => name === screen);
    const spot = card && spots.get(card.name);
    const element = area.current?.querySelector(`[data-map-screen="${CSS.escape(screen ?? '')}"]`);
    const seen = element?.getBoundingClientRect();
    const frame = area.current?.getBoundingClientRect();
    if (!card || !spot || !seen || !frame) return;
    const isIn =
      seen.left >= frame.left &&
      seen.top >= frame.top &&
      seen.right <= frame.right &&
      seen.top < frame.bottom;
    if (!isIn) show({ x: spot.x + card.width / 2, y: spot.y + card.height / 2 });
  }, [area, screen, show]);
}
