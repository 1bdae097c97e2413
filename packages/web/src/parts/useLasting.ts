/** Something that is made when it is first asked for, lives as long as the one who asks, and is ended then: a worker. */
import { useEffect, useRef } from 'react';

/** @returns what gives it. */
export function useLasting<T>(make: () => T, end: (made: T) => void): () => T {
  const held = useRef<T>(undefined);
  const ways = useRef({ make, end });
  ways.current = { make, end };
  useEffect(
    () => () => {
      if (held.current !== undefined) ways.current.end(held.current);
      held.current = undefined;
    },
    [],
  );
  const give = useRef(() => {
    held.current ??= ways.current.make();
    return held.current;
  });
  return give.current;
}

/** A worker that lasts as long as somebody looks. */
export const useWorker = (make: () => Worker): (() => Worker) =>
  useLasting(make, (worker) => worker.terminate());
