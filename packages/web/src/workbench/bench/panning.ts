/** Moving the bench under the window: with the space bar held, or with the middle button. */
import { type RefObject, useEffect, useState } from 'react';

/** @returns whether the next drag moves the bench. */
export function usePanning(area: RefObject<HTMLElement | null>): boolean {
  const [held, setHeld] = useState(false);
  useEffect(() => {
    const element = area.current;
    if (!element) return;
    let from: { x: number; y: number; left: number; top: number } | undefined;
    let space = false;
    const hold = (on: boolean) => {
      space = on;
      setHeld(on);
    };
    const key = (event: KeyboardEvent) => {
      const { target } = event;
      if (event.key !== ' ' || !(target instanceof HTMLElement)) return;
      if (target.closest('input, textarea, select, button, [role="menu"], .cm-editor')) return;
      if (event.type === 'keydown') event.preventDefault();
      hold(event.type === 'keydown');
    };
    const down = (event: PointerEvent) => {
      if (event.button !== 1 && !(space && event.button === 0)) return;
      // Nothing under the pointer is selected or dragged meanwhile.
      event.preventDefault();
      event.stopPropagation();
      from = { x: event.clientX, y: event.clientY, left: element.scrollLeft, top: element.scrollTop };
    };
    const move = (event: PointerEvent) => {
      if (!from) return;
      element.scrollTo(from.left + from.x - event.clientX, from.top + from.y - event.clientY);
    };
    const up = () => {
      from = undefined;
    };
    const click = (event: MouseEvent) => {
      if (space) event.stopPropagation();
    };
    const leave = () => hold(false);
    element.addEventListener('pointerdown', down, true);
    element.addEventListener('click', click, true);
    window.addEventListener('pointermove', move);
    window.addEventListener('pointerup', up);
    window.addEventListener('keydown', key);
    window.addEventListener('keyup', key);
    window.addEventListener('blur', leave);
    return () => {
      element.removeEventListener('pointerdown', down, true);
      element.removeEventListener('click', click, true);
      window.removeEventListener('pointermove', move);
      window.removeEventListener('pointerup', up);
      window.removeEventListener('keydown', key);
      window.removeEventListener('keyup', key);
      window.removeEventListener('blur', leave);
    };
  }, [area]);
  return held;
}
