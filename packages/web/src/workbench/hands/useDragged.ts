/** What can be dragged across the bench. */
import { type UseDraggableArguments, useDraggable } from '@dnd-kit/core';
import { type PointerEvent, useCallback, useRef } from 'react';

/** A pointer that has moved less since it was pressed has not begun to drag, px of the window. */
const leastWay = 5;

/**
 * An element that can be dragged. A press alone is nobody's business: everything that can be dragged would be drawn again
 * with it. So whoever follows drags hears of the press once the pointer has moved away from where it was.
 *
 * @returns `setNodeRef` for the element, `onPointerDown` for its handle.
 */
export function useDragged(argument: UseDraggableArguments) {
  const { setNodeRef, listeners } = useDraggable(argument);
  const latest = useRef(listeners);
  latest.current = listeners;
  const onPointerDown = useCallback((pressed: PointerEvent) => {
    if (!latest.current || !pressed.isPrimary || pressed.button !== 0) return;
    const over = new AbortController();
    const until = { signal: over.signal };
    const end = () => over.abort();
    window.addEventListener(
      'pointermove',
      (moved) => {
        if (Math.hypot(moved.clientX - pressed.clientX, moved.clientY - pressed.clientY) < leastWay) return;
        end();
        latest.current?.onPointerDown?.(pressed);
      },
      until,
    );
    window.addEventListener('pointerup', end, until);
    window.addEventListener('pointercancel', end, until);
  }, []);
  return { setNodeRef, onPointerDown };
}
