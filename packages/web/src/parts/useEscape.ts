/** What the Escape key does while something is open. */
import { useEffect, useRef } from 'react';

/**
 * @param active whether there is something to end.
 * @param first before anything else on the page hears of the key, and nothing else does.
 */
export function useEscape(active: boolean, end: () => void, first = false): void {
  const newest = useRef(end);
  newest.current = end;
  useEffect(() => {
    if (!active) return;
    const press = (event: KeyboardEvent) => {
      if (event.key !== 'Escape') return;
      if (first) event.stopImmediatePropagation();
      newest.current();
    };
    window.addEventListener('keydown', press, first);
    return () => window.removeEventListener('keydown', press, first);
  }, [active, first]);
}
