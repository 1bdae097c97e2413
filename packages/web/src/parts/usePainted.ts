/** What may come a frame later than what it belongs to. */
import { useEffect, useState } from 'react';

/** Calls back after the next frame is painted. @returns takes that back. */
export function afterPaint(run: () => void): () => void {
  const { port1, port2 } = new MessageChannel();
  port1.onmessage = run;
  // The frame is painted before a message that is sent within it arrives.
  const frame = requestAnimationFrame(() => port2.postMessage(0));
  return () => {
    cancelAnimationFrame(frame);
    port1.close();
  };
}

/** A value as it was when the last frame was painted: it follows one frame later. */
export function usePainted<T>(value: T): T {
  const [painted, setPainted] = useState(value);
  useEffect(() => (painted === value ? undefined : afterPaint(() => setPainted(value))), [painted, value]);
  return painted;
}
