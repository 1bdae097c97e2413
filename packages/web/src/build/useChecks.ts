/** What the checks find on a screen, as far as it is known; begun anew when the document changes. */
import type { Control, Finding, Project } from '@hovrin/core';
import { createContext, useContext, useEffect, useState } from 'react';
import type { CheckAnswer, CheckRequest } from './checkWorker.ts';

export interface Checked {
  /** Of the last run that came to its end. */
  readonly findings: readonly Finding[];
  readonly running: boolean;
  readonly stretches: number;
  readonly problem?: string | undefined;
}

/** Milliseconds that the document must rest before it is checked. */
const rest = 350;

let worker: Worker | undefined;
let count = 0;

function startWorker(): Worker {
  worker ??= new Worker(new URL('./checkWorker.ts', import.meta.url), { type: 'module' });
  return worker;
}

export function useChecks(project: Project, screen: Control | undefined): Checked {
  const [checked, setChecked] = useState<Checked>({ findings: [], running: true, stretches: 0 });
  useEffect(() => {
    if (!screen) return;
    const id = ++count;
    const running = startWorker();
    const hear = ({ data }: MessageEvent<CheckAnswer>) => {
      if (data.id !== id) return;
      setChecked((before) => ({
        findings: data.findings ?? before.findings,
        running: data.findings === undefined,
        stretches: data.stretches,
        problem: data.problem,
      }));
    };
    running.addEventListener('message', hear);
    setChecked((before) => ({ ...before, running: true, stretches: 0 }));
    const timer = setTimeout(() => {
      const request: CheckRequest = { id, project: { ...project, screens: [screen] }, screen: screen.id };
      running.postMessage(request);
    }, rest);
    return () => {
      clearTimeout(timer);
      running.removeEventListener('message', hear);
    };
  }, [project, screen]);
  return checked;
}

/** How the checks go on; for what shows that. */
export const ChecksContext = createContext<Checked>({ findings: [], running: true, stretches: 0 });
export const useChecked = (): Checked => useContext(ChecksContext);

/** What they have found; changes only when a run has come to its end. */
export const FindingsContext = createContext<readonly Finding[]>([]);
export const useFindings = (): readonly Finding[] => useContext(FindingsContext);
