/** How a person left a place: it stands like that when they come back, as long as the project is open in this window. */
import { type Dispatch, type SetStateAction, useCallback, useState } from 'react';
import { useWorkplace } from './context.tsx';

/**
 * State of a place (what is seen, how near, which drawer) that outlives the place.
 *
 * @param name of the value, another one for each use.
 */
export function useHeld<T>(name: string, initial: T): [T, Dispatch<SetStateAction<T>>] {
  const { held } = useWorkplace().editor;
  const [value, setValue] = useState<T>(held.has(name) ? (held.get(name) as T) : initial);
  const set = useCallback(
    (change: SetStateAction<T>) =>
      setValue((now) => {
        const next = change instanceof Function ? change(now) : change;
        held.set(name, next);
        return next;
      }),
    [held, name],
  );
  return [value, set];
}
