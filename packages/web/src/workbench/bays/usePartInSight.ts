/** Which part of a bay can be seen: a screen with very many boxes is painted only there. */
import { type RefObject, useCallback, useLayoutEffect, useState } from 'react';

/** From where to where, CSS px of the screen from its top. */
export interface PartInSight {
  readonly top: number;
  readonly bottom: number;
}

/** Up to as many boxes a screen is painted as a whole: nothing has to follow where it is scrolled to. */
const painted = 2000;
/** It is told anew only after so many px of the window; as much is painted above and below what can be seen. */
const step = 600;

/**
 * @param bay the element of the bay.
 * @param scale px of the window for each px of the screen.
 * @param boxes how many there are to paint.
 * @returns undefined where all of it is painted.
 */
export function usePartInSight(
  bay: RefObject<HTMLElement | null>,
  scale: number,
  boxes: number,
): PartInSight | undefined {
  const [part, setPart] = useState<PartInSight>({ top: 0, bottom: 4 * step });
  const isLong = boxes > painted;
  const look = useCallback(() => {
    const top = bay.current?.getBoundingClientRect().top ?? 0;
    const from = (Math.floor(-top / step) - 1) * step;
    const to = (Math.ceil((window.innerHeight - top) / step) + 1) * step;
    const next = { top: from / scale, bottom: to / scale };
    setPart((now) => (now.top === next.top && now.bottom === next.bottom ? now : next));
  }, [bay, scale]);
  // What stands around it may have changed with it.
  useLayoutEffect(() => {
    if (isLong) look();
  });
  useLayoutEffect(() => {
    if (!isLong) return;
    // Whatever is scrolled around it: such events do not bubble.
    document.addEventListener('scroll', look, { capture: true, passive: true });
    window.addEventListener('resize', look);
    return () => {
      document.removeEventListener('scroll', look, { capture: true });
      window.removeEventListener('resize', look);
    };
  }, [look, isLong]);
  return isLong ? part : undefined;
}
