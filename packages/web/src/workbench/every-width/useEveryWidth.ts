/** What is known of a screen at every width, as far as it is known: what the checks find, and its sweep. */
import { type Control, deltaOf, type Finding, type Project, type SweepPart } from '@hovrin/core';
import { createContext, useCallback, useContext, useEffect, useState } from 'react';
import { sweptFrom, sweptTo, type WidthsAnswer, type WidthsRequest } from './request.ts';

export interface Checked {
  /** Of the last run that came to its end. */
  readonly findings: readonly Finding[];
  readonly running: boolean;
  readonly stretches: number;
  readonly problem?: string | undefined;
}

export interface Swept {
  readonly parts: readonly SweepPart[];
  readonly done: boolean;
  readonly problem?: string | undefined;
}

/** Milliseconds that the document must rest before its widths are looked at: not while one types. */
const rest = 600;

let worker: Worker | undefined;
let count = 0;

function startWorker(): Worker {
  worker ??= new Worker(new URL('./widthsWorker.ts', import.meta.url), { type: 'module' });
  return worker;
}

type Unsent<Request> = Request extends WidthsRequest ? Omit<Request, 'id' | 'delta'> : never;

/** What the worker has: the version that was sent last. */
let sent: Project | undefined;

/**
 * Asks the worker, once what is asked about has been at rest for a while.
 *
 * @param hear is given each answer.
 * @returns takes the question back.
 */
function ask(
  project: Project,
  request: Unsent<WidthsRequest>,
  hear: (answer: WidthsAnswer) => void,
): () => void {
  const id = ++count;
  const asked = startWorker();
  const listen = ({ data }: MessageEvent<WidthsAnswer>) => {
    if (data.id === id) hear(data);
  };
  asked.addEventListener('message', listen);
  const timer = setTimeout(() => {
    asked.postMessage({ ...request, id, delta: deltaOf(sent, project) });
    sent = project;
  }, rest);
  return () => {
    clearTimeout(timer);
    asked.removeEventListener('message', listen);
  };
}

/** The project with no other screens than the one that is looked at: all that is sent across. */
const alone = (project: Project, screen: Control): Project => ({ ...project, screens: [screen] });

const nothingChecked: Checked = { findings: [], running: true, stretches: 0 };
const nothingSwept: Swept = { parts: [], done: false };

/** What is known of a screen; of another one nothing is, until it is looked at. */
interface Of<Known> {
  readonly screen: string;
  readonly known: Known;
}

function useKnown<Known>(
  screen: Control | undefined,
  nothing: Known,
): readonly [known: Known, know: (change: (before: Known) => Known) => void] {
  const [kept, setKept] = useState<Of<Known>>();
  const id = screen?.id;
  const know = useCallback(
    (change: (before: Known) => Known) => {
      if (id === undefined) return;
      setKept((before) => ({ screen: id, known: change(before?.screen === id ? before.known : nothing) }));
    },
    [id, nothing],
  );
  return [kept && kept.screen === id ? kept.known : nothing, know];
}

/** A screen of a project as it is looked at: in a language, which may be read from the right. */
export interface Looked {
  readonly project: Project;
  readonly screen: Control | undefined;
  readonly rightToLeft: boolean;
}

export function useChecks({ project, screen, rightToLeft }: Looked): Checked {
  const [checked, know] = useKnown(screen, nothingChecked);
  useEffect(() => {
    if (!screen) return;
    know((before) => ({ ...before, running: true, stretches: 0 }));
    return ask(alone(project, screen), { task: 'check', rightToLeft }, (answer) => {
      if (answer.task !== 'check') return;
      const { done, findings, stretches, problem } = answer;
      know((before) => ({
        findings: done ? findings : before.findings,
        running: !done,
        stretches,
        problem,
      }));
    });
  }, [project, screen, rightToLeft, know]);
  return checked;
}

export function useSweep({ project, screen, rightToLeft }: Looked, height: number): Swept {
  const [swept, know] = useKnown(screen, nothingSwept);
  useEffect(() => {
    if (!screen) return;
    const options = { from: sweptFrom, to: sweptTo, height, rightToLeft };
    const heard: SweepPart[] = [];
    know((before) => ({ ...before, done: false }));
    return ask(alone(project, screen), { task: 'sweep', options }, (answer) => {
      if (answer.task !== 'sweep') return;
      heard.push(...answer.parts);
      know(() => ({ parts: [...heard], done: answer.done, problem: answer.problem }));
    });
  }, [project, screen, height, rightToLeft, know]);
  return swept;
}

/** Progress of the checks, for the sign that shows it. */
export const ChecksContext = createContext<Checked>(nothingChecked);
export const useChecked = (): Checked => useContext(ChecksContext);

/** What they have found; changes only when a run has come to its end. */
export const FindingsContext = createContext<readonly Finding[]>([]);
export const useFindings = (): readonly Finding[] => useContext(FindingsContext);

/** The sweep at the height of the working bay. */
export const SweptContext = createContext<Swept>(nothingSwept);
export const useSwept = (): Swept => useContext(SweptContext);
