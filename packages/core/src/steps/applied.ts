/** What comes of applying a step, and what one kind of step says about itself. */
import type { Project } from '../document/types.ts';

export type Applied<S = import('./step.ts').Step> =
  | { readonly ok: true; readonly project: Project /** Takes the step back. */; readonly inverse: S }
  | {
      readonly ok: false;
      readonly reason: string;
      /** Name or id of the control or entity concerned. */
      readonly control?: string;
    };

/** An entity that has another key now. */
export interface Renamed {
  /** The collection's id. */
  readonly of: string;
  readonly from: string;
  readonly to: string;
}

/** Everything that is asked of one kind of step. */
export interface StepKind<S extends { readonly type: string }> {
  readonly type: S['type'];
  /** Applies it; a step that does not fit gives a reason instead. Never throws for a step that has no `fault`. */
  apply(project: Project, step: S): Applied;
  /** What is wrong with one that came from outside (a request, a file); undefined where nothing is. */
  fault(project: Project, step: Readonly<Record<string, unknown>>): string | undefined;
  /** One step that does what two in a row do; undefined where there is none. Absent: there never is. */
  merge?(first: S, second: S): S | undefined;
  /** The same step where an entity that it names has another key meanwhile. Absent: it names none. */
  mapped?(project: Project, step: S, renamed: Renamed): S;
  /** Ids of the controls that it is about. Absent: none. */
  touches?(step: S): readonly string[];
}

export const refuse = (reason: string, control?: string): Extract<Applied, { ok: false }> => ({
  ok: false,
  reason,
  ...(control === undefined ? {} : { control }),
});

/** The refusal of a step whose control went away. */
export const gone = (id: string) => refuse('The control is not there any more.', id);

export const isId = (value: unknown): value is string =>
  typeof value === 'string' && /^[\w.:-]{1,64}$/.test(value);
