import type { ColourPair, Project } from '@hovrin/core';
import { useEffect, useRef, useState } from 'react';
import { useWorker } from '../parts/useLasting.ts';
import type { PairsAnswer, PairsRequest } from './pairsWorker.ts';

export interface FoundPairs {
  /** Of the last version that was gone through to its end. */
  readonly pairs: readonly ColourPair[] | undefined;
  /** Screens of the newest version that have been gone through; undefined: all. */
  readonly at: number | undefined;
  readonly problem: string | undefined;
}

/** Milliseconds that the project must rest before it is gone through again. */
const rest = 300;

/** The colours that meet in a project, found by a worker that lives as long as somebody looks. */
export function useColourPairs(project: Project): FoundPairs {
  const [found, setFound] = useState<FoundPairs>({ pairs: undefined, at: 0, problem: undefined });
  const worker = useWorker(
    () => new Worker(new URL('./pairsWorker.ts', import.meta.url), { type: 'module' }),
  );
  const count = useRef(0);
  useEffect(() => {
    setFound((before) => ({ ...before, at: 0 }));
    const timer = setTimeout(() => {
      const id = ++count.current;
      worker().onmessage = ({ data }: MessageEvent<PairsAnswer>) => {
        if (data.id !== id) return;
        const isDone = data.pairs !== undefined || data.problem !== undefined;
        setFound((before) => ({
          pairs: data.pairs ?? before.pairs,
          at: isDone ? undefined : data.screens,
          problem: data.problem,
        }));
      };
      worker().postMessage({ id, project } satisfies PairsRequest);
    }, rest);
    return () => clearTimeout(timer);
  }, [project, worker]);
  return found;
}
