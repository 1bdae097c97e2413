/**
 * What a page says and hears while it is being tried out in a frame. A script of its own does it (`trial-script.ts`),
 * which stands in front of the page's there and nowhere else: pages that are handed over have no such thing.
 */
import type { StateValue, TaskStep, ToldTrace, Trace } from '@hovrin/core/runtime';
import type { KeepsTexts } from './kept.ts';

/** What a page in a frame tells the window around it. */
export type PageMessage =
  | { readonly type: 'hovrin-problem'; readonly text: string }
  | { readonly type: 'hovrin-screen'; readonly text: string }
  | { readonly type: 'hovrin-state'; readonly name: string; readonly value: StateValue }
  | { readonly type: 'hovrin-trace'; readonly trace: ToldTrace }
  /** The dialogs that are open now, the one on top last. */
  | { readonly type: 'hovrin-dialogs'; readonly names: readonly string[] }
  /** A file that the person is to get. */
  | { readonly type: 'hovrin-file'; readonly name: string; readonly text: string }
  /** A value is kept for the next run. */
  | { readonly type: 'hovrin-keep'; readonly key: string; readonly text: string }
  /** A source is asked with this secret from now on, in every window. */
  | { readonly type: 'hovrin-secret'; readonly name: string; readonly text: string }
  /** What a person does, or expects, while a task is recorded. */
  | { readonly type: 'hovrin-did'; readonly step: TaskStep }
  /** How a step of a task went; undefined: well. */
  | { readonly type: 'hovrin-task-step'; readonly index: number; readonly problem?: string }
  /** All steps of a task were done, or one could not. */
  | { readonly type: 'hovrin-task-end'; readonly ok: boolean }
  /** A text to put on the clipboard. */
  | { readonly type: 'hovrin-copy'; readonly text: string }
  /** A control that the person wants to see on the bench. */
  | { readonly type: 'hovrin-pick'; readonly text: string };

/** In which conditions a page is tried out. Lengths in CSS px. */
export interface TrialConditions {
  /** The reader's text scale; 1 is plain. */
  readonly textScale: number;
  readonly rightToLeft: boolean;
  readonly dark: boolean;
  readonly moreContrast: boolean;
  /** Nothing moves by itself. */
  readonly lessMotion: boolean;
  /** Pressed by fingers: nothing can be pointed at without being pressed. */
  readonly touch: boolean;
  /** What is kept free at the edges. */
  readonly safe: Readonly<Record<'top' | 'right' | 'bottom' | 'left', number>>;
  /** Where the screen folds; undefined: nowhere. */
  readonly hinge?: { readonly left: number; readonly width: number };
  /** What happens by itself (timers, what comes from outside) happens in another window, and is told to this one. */
  readonly follows: boolean;
}

/** What the window around it asks of a page. */
export type TrialMessage =
  | ({ readonly type: 'hovrin-conditions' } & TrialConditions)
  | { readonly type: 'hovrin-set'; readonly name: string; readonly value: StateValue }
  | { readonly type: 'hovrin-secret'; readonly name: string; readonly text: string }
  | { readonly type: 'hovrin-record'; readonly on: boolean; readonly expects: boolean }
  | { readonly type: 'hovrin-task'; readonly steps: readonly TaskStep[] }
  | { readonly type: 'hovrin-go'; readonly screen: string }
  | { readonly type: 'hovrin-show-dialogs'; readonly names: readonly string[] };

/** What a page does for the window around it. */
export interface Tried {
  /** Names of all state variables. */
  readonly variables: readonly string[];
  watch(name: string, apply: (value: StateValue) => void): void;
  set(name: string, value: StateValue): void;
  go(screen: string): void;
  /** Shows these dialogs, and no others. */
  dialogs(names: readonly string[]): void;
  /** What happens by itself happens in this window from now on, or does not any more. */
  leads(): void;
}

/** Joins a page with the window around it. */
export interface Trial {
  tell(message: PageMessage): void;
  /** What is kept from one run to the next, in the window around it. */
  readonly storage: KeepsTexts;
  /** Tells of an event that was carried out. */
  traced(trace: Trace): void;
  /** Hears of secrets that were given in another window. */
  onSecret(hear: (name: string, text: string) => void): void;
  /** Whether what happens just now is told by another window. */
  hears(): boolean;
  /** Whether what happens by itself happens in another window. */
  follows(): boolean;
  /** @returns what does something that happens in every window by itself, so that the others are not told of it. */
  listen(page: Tried): (happens: () => void) => void;
}

declare global {
  interface Window {
    /** Undefined in a page that is handed over. */
    hovrinTrial?: Trial;
  }
}

export const trial = window.hovrinTrial;

export function tell(message: PageMessage): void {
  if (trial) trial.tell(message);
  else if (message.type === 'hovrin-problem') console.warn(message.text);
}

/** Something went wrong; the rest goes on. */
export const tellProblem = (text: string): void => tell({ type: 'hovrin-problem', text });

/** Whether what happens by itself happens in another window. */
export const follows = (): boolean => trial?.follows() === true;

/** Joins a page with the window around it, where it is being tried out. @returns see `Trial.listen`. */
export const joinTrial = (page: Tried): ((happens: () => void) => void) =>
  trial?.listen(page) ?? ((happens) => happens());
