/** What the interface and the worker that looks at every width say to each other. */
import type { Finding, ProjectDelta, SweepOptions, SweepPart } from '@hovrin/core';

/** Widths that are looked at, CSS px. */
export const sweptFrom = 280;
export const sweptTo = 1920;

interface Asked {
  /** Rises; of each task only the last request is worked on. */
  readonly id: number;
  /** The project, with no other screens than the one that it is about: what changed since the request before. */
  readonly delta: ProjectDelta;
}

export interface CheckRequest extends Asked {
  readonly task: 'check';
  readonly rightToLeft: boolean;
}

export interface SweepRequest extends Asked {
  readonly task: 'sweep';
  readonly options: SweepOptions;
}

export type WidthsRequest = CheckRequest | SweepRequest;

interface Answered {
  readonly id: number;
  readonly done: boolean;
  readonly problem?: string;
}

export interface CheckAnswer extends Answered {
  readonly task: 'check';
  /** Empty until it is done. */
  readonly findings: readonly Finding[];
  /** How many stretches are done. */
  readonly stretches: number;
}

export interface SweepAnswer extends Answered {
  readonly task: 'sweep';
  /** What came since the last answer. */
  readonly parts: readonly SweepPart[];
}

export type WidthsAnswer = CheckAnswer | SweepAnswer;
