/** What the running pages have told: what went wrong, what they give the person, what they hold, and what their events did. */
import type { ToldTrace } from '@hovrin/core/runtime';
import { useState } from 'react';
import type { GivenThing } from './Given.tsx';
import { type RunProblem, withProblem } from './ProblemStrip.tsx';
import { mostTraces, type TraceEntry } from './TracePane.tsx';

export function useTold() {
  const [problems, setProblems] = useState<readonly RunProblem[]>([]);
  const [given, setGiven] = useState<readonly GivenThing[]>([]);
  const [values, setValues] = useState<ReadonlyMap<string, unknown>>(new Map());
  const [traces, setTraces] = useState<readonly TraceEntry[]>([]);
  return {
    problems,
    given,
    values,
    traces,
    /** Everything begins anew. @param kept what variables hold from runs before. */
    begin: (kept: ReadonlyMap<string, unknown>) => {
      setProblems([]);
      setGiven([]);
      setTraces([]);
      setValues(kept);
    },
    onProblem: (text: string) => setProblems((before) => withProblem(before, text)),
    onGiven: (thing: GivenThing) => setGiven((things) => [...things, thing]),
    onValue: (name: string, value: unknown) => setValues((before) => new Map(before).set(name, value)),
    onTrace: (size: string, screen: string, trace: ToldTrace) =>
      setTraces((before) =>
        [{ id: (before[0]?.id ?? 0) + 1, size, screen, at: new Date(), trace }, ...before].slice(
          0,
          mostTraces,
        ),
      ),
    clearProblems: () => setProblems([]),
    clearTraces: () => setTraces([]),
    /** The first thing that was given is dealt with. */
    givenDone: () => setGiven((things) => things.slice(1)),
  };
}
