/** The sweep of a screen, as far as it is known; begun anew when the document changes. */
import type { Control, Project, SweepPart } from '@hovrin/core';
import { useEffect, useState } from 'react';
import type { SweepAnswer, SweepRequest } from './sweepWorker.ts';

/** The widths that are swept, CSS px. */
export const sweptFrom = 280;
export const sweptTo = 1920;

export interface Swept {
  readonly parts: readonly SweepPart[];
  readonly done: boolean;
  readonly problem?: string | undefined;
}

/** Milliseconds that the document must rest before it is swept: not while one types. */
const rest = 300;

let worker: Worker | undefined;
let count = 0;

function startWorker(): Worker {
  worker ??= new Worker(new URL('./sweepWorker.ts', import.meta.url), { type: 'module' });
  return worker;
}

export function useSweep(project: Project, screen: Control, height: number): Swept {
  const [swept, setSwept] = useState<Swept>({ parts: [], done: false });
  useEffect(() => {
    const id = ++count;
    const running = startWorker();
    const hear = ({ data }: MessageEvent<SweepAnswer>) => {
      if (data.id !== id) return;
      setSwept((before) => ({
        parts: [...before.parts, ...data.parts],
        done: data.done,
        problem: data.problem,
      }));
    };
    running.addEventListener('message', hear);
    const timer = setTimeout(() => {
      setSwept({ parts: [], done: false });
      const request: SweepRequest = {
        id,
        project: { ...project, screens: [screen] },
        screen: screen.id,
        options: { from: sweptFrom, to: sweptTo, height },
      };
      running.postMessage(request);
    }, rest);
    return () => {
      clearTimeout(timer);
      running.removeEventListener('message', hear);
    };
  }, [project, screen, height]);
  return swept;
}
