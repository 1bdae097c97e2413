import { useEffect, useRef, useState } from 'react';

/** Whether distances are shown: as soon as Alt is held, not only once the pointer moves. */
export function useMeasuring(working: boolean) {
  const [measuring, setMeasuring] = useState(false);
  const holding = useRef(false);
  useEffect(() => {
    if (!working) return undefined;
    const hold = (event: Event) => {
      if (event instanceof KeyboardEvent && event.key !== 'Alt') return;
      holding.current = event.type === 'keydown';
      setMeasuring(holding.current);
    };
    const events = ['keydown', 'keyup', 'blur'];
    for (const event of events) window.addEventListener(event, hold);
    return () => {
      for (const event of events) window.removeEventListener(event, hold);
    };
  }, [working]);
  return {
    measuring,
    /** @returns whether distances are shown while the pointer moves so. */
    moved: (altKey: boolean): boolean => {
      const measures = altKey || holding.current;
      setMeasuring(measures);
      return measures;
    },
  };
}
