import { useEffect, useRef, useState } from 'react';

/**
 * How large the content of an element is, CSS px.
 *
 * @param first until it has been measured.
 */
export function useRoom<Measured extends HTMLElement = HTMLDivElement>(first: {
  readonly width: number;
  readonly height: number;
}) {
  const element = useRef<Measured>(null);
  const [room, setRoom] = useState(first);
  useEffect(() => {
    const watch = new ResizeObserver(
      ([entry]) => entry && setRoom({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    if (element.current) watch.observe(element.current);
    return () => watch.disconnect();
  }, []);
  return { element, room };
}
