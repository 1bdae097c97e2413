/** A drag on the map: the pointer is followed until it is let go; Escape puts back. */
import { type PointerEvent as ReactPointerEvent, useCallback, useEffect, useRef } from 'react';
import type { Spot } from './arrange.ts';

/** Px of the window that a pointer moves before a press becomes a drag. */
const slack = 4;

/** The three moments of a drag; places are on the map. */
interface Drag {
  move(at: Spot): void;
  drop(at: Spot): void;
  /** It is over, let go or put back. */
  back(): void;
}

/**
 * @param at where an event is on the map; the same function each time.
 * @returns begins to follow a pointer that was pressed.
 */
export function usePointer(at: (event: { clientX: number; clientY: number }) => Spot) {
  /** What ends the drag that is under way. */
  const stop = useRef<() => void>(undefined);
  useEffect(() => () => stop.current?.(), []);
  return useCallback(
    (event: ReactPointerEvent, drag: Drag) => {
      const begun = { x: event.clientX, y: event.clientY };
      let isDrag = false;
      const move = (now: PointerEvent) => {
        isDrag ||= Math.hypot(now.clientX - begun.x, now.clientY - begun.y) > slack;
        if (isDrag) drag.move(at(now));
      };
      const end = () => {
        stop.current = undefined;
        window.removeEventListener('pointermove', move);
        window.removeEventListener('pointerup', up);
        window.removeEventListener('keydown', key, true);
        drag.back();
      };
      const up = (now: PointerEvent) => {
        end();
        if (isDrag) drag.drop(at(now));
      };
      const key = (pressed: KeyboardEvent) => {
        if (pressed.key !== 'Escape') return;
        pressed.stopPropagation();
        end();
      };
      stop.current?.();
      stop.current = end;
      window.addEventListener('pointermove', move);
      window.addEventListener('pointerup', up);
      window.addEventListener('keydown', key, true);
    },
    [at],
  );
}
