/** Values that may follow a frame later, so that what matters first is painted first. */
import { useEffect, useState } from 'react';

/**
 * A value as it is shown: at once, or after the next frame is painted.
 *
 * @param isAtOnce whether it has to be shown at once in the place of the one that is shown.
 * @returns what is shown, and whether that is still the one before.
 */
export function useAfterPaint<T>(
  value: T,
  isAtOnce: (value: T, shown: T) => boolean,
): readonly [shown: T, waits: boolean] {
  const [kept, setKept] = useState(value);
  const waits = value !== kept && !isAtOnce(value, kept);
  if (value !== kept && !waits) setKept(value);
  useEffect(() => {
    if (!waits) return;
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = () => setKept(value);
    // The frame is painted before a message that is sent within it arrives.
    const frame = requestAnimationFrame(() => port2.postMessage(0));
    return () => {
      cancelAnimationFrame(frame);
      port1.close();
    };
  }, [value, waits]);
  return waits ? [kept, true] : [value, false];
}
