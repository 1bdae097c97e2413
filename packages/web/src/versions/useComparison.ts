/** What differs between two versions, found by a worker that lives as long as somebody looks. */
import type { Comparison, Project, TreeComparison } from '@hovrin/core';
import { useEffect, useRef, useState } from 'react';
import { useWorker } from '../parts/useLasting.ts';
import type { CompareAnswer, CompareRequest } from './compareWorker.ts';

export interface Compared {
  /** The documents against each other; undefined: on its way. */
  readonly comparison: Comparison | undefined;
  /** Screens whose layouts have been compared. */
  readonly trees: readonly TreeComparison[];
  /** All of them have been. */
  readonly isDone: boolean;
  readonly problem: string | undefined;
}

const coming: Compared = { comparison: undefined, trees: [], isDone: false, problem: undefined };

export function useComparison(before: Project | undefined, after: Project | undefined): Compared {
  const [found, setFound] = useState(coming);
  const worker = useWorker(
    () => new Worker(new URL('./compareWorker.ts', import.meta.url), { type: 'module' }),
  );
  const count = useRef(0);
  useEffect(() => {
    // What is known of the version before stays to be seen until the newer is.
    setFound((known) => (before && after ? { ...known, isDone: false } : coming));
    if (!before || !after) return;
    const id = ++count.current;
    worker().onmessage = ({ data }: MessageEvent<CompareAnswer>) => {
      if (data.id !== id) return;
      setFound((known) => ({
        comparison: data.comparison ?? known.comparison,
        trees: data.done || data.trees.length >= known.trees.length ? data.trees : known.trees,
        isDone: data.done,
        problem: data.problem,
      }));
    };
    worker().postMessage({ id, before, after } satisfies CompareRequest);
  }, [before, after, worker]);
  return found;
}
