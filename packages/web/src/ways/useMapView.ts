/** How near the map is, and moving it under the window: the wheel with Control, the space bar or the middle button, like the bench. */
import { type RefObject, useCallback, useEffect, useLayoutEffect, useRef } from 'react';
import { useHeld } from '../editor/held.ts';
import { farther, nearer, within } from '../workbench/bench/zoom.ts';
import type { Area, Spot } from './arrange.ts';

export interface MapView {
  readonly zoom: number;
  nearer(): void;
  farther(): void;
  /** All of the map is seen. */
  whole(): void;
  /** A place of the map comes into the middle of the window. */
  show(spot: Spot): void;
  /** The place of the map under a point of the window. */
  at(point: { readonly clientX: number; readonly clientY: number }): Spot;
}

/** The middle of a box of the window. */
const middleOf = ({ left, top, width, height }: DOMRect) => ({
  clientX: left + width / 2,
  clientY: top + height / 2,
});

/** The wheel with Control: `zoom` is told by what factor; the same function each time. */
function useWheelZoom(
  area: RefObject<HTMLElement | null>,
  zoom: (event: WheelEvent, by: number) => void,
): void {
  useEffect(() => {
    const element = area.current;
    if (!element) return;
    // React's own listeners cannot keep the browser from zooming the page.
    const wheel = (event: WheelEvent) => {
      if (!event.ctrlKey && !event.metaKey) return;
      event.preventDefault();
      zoom(event, Math.exp(-event.deltaY / 300));
    };
    element.addEventListener('wheel', wheel, { passive: false });
    return () => element.removeEventListener('wheel', wheel);
  }, [area, zoom]);
}

export function useMapView(area: RefObject<HTMLElement | null>, extent: Area): MapView {
  const [zoom, setZoom] = useHeld<number | undefined>('ways-zoom', undefined);
  const shown = zoom ?? 1;
  /** What is to stay where it is while the zoom changes: a place of the map, and where in the window it is. */
  const stays = useRef<{ spot: Spot; left: number; top: number }>(undefined);
  const latest = useRef({ shown, extent });
  latest.current = { shown, extent };

  const at = useCallback(
    ({ clientX, clientY }: { readonly clientX: number; readonly clientY: number }): Spot => {
      const element = area.current;
      const { shown: now, extent: around } = latest.current;
      if (!element) return { x: 0, y: 0 };
      const box = element.getBoundingClientRect();
      return {
        x: (clientX - box.left + element.scrollLeft) / now + around.x,
        y: (clientY - box.top + element.scrollTop) / now + around.y,
      };
    },
    [area],
  );

  const zoomTo = useCallback(
    (next: number, point?: { readonly clientX: number; readonly clientY: number }) => {
      const element = area.current;
      if (!element) return;
      const box = element.getBoundingClientRect();
      const centre = point ?? middleOf(box);
      stays.current = { spot: at(centre), left: centre.clientX - box.left, top: centre.clientY - box.top };
      setZoom(within(next));
    },
    [area, at, setZoom],
  );

  const whole = useCallback(() => {
    const { width, height } = latest.current.extent;
    const { clientWidth = width, clientHeight = height } = area.current ?? {};
    setZoom(within(Math.min(1, clientWidth / width, clientHeight / height)));
  }, [area, setZoom]);

  const show = useCallback(
    (spot: Spot) => {
      const element = area.current;
      const { shown: now, extent: around } = latest.current;
      element?.scrollTo({
        left: (spot.x - around.x) * now - element.clientWidth / 2,
        top: (spot.y - around.y) * now - element.clientHeight / 2,
      });
    },
    [area],
  );

  // At first all of it is seen.
  useLayoutEffect(() => {
    if (zoom === undefined) whole();
  }, [zoom, whole]);

  // biome-ignore lint/correctness/useExhaustiveDependencies: the zoom says when, not what.
  useLayoutEffect(() => {
    const element = area.current;
    const kept = stays.current;
    stays.current = undefined;
    if (!element || !kept) return;
    element.scrollLeft = (kept.spot.x - extent.x) * shown - kept.left;
    element.scrollTop = (kept.spot.y - extent.y) * shown - kept.top;
  }, [shown]);
  useWheelZoom(
    area,
    useCallback((event, by) => zoomTo(latest.current.shown * by, event), [zoomTo]),
  );

  return {
    zoom: shown,
    nearer: () => zoomTo(nearer(shown)),
    farther: () => zoomTo(farther(shown)),
    whole,
    show,
    at,
  };
}
