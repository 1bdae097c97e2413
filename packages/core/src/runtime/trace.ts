/** What an event did: written down where somebody wants to hear of it. */

/** Where something comes from: an event of a control, by their names. */
export interface Origin {
  readonly control: string;
  readonly event: string;
}

/** What an event did. */
export interface Trace extends Origin {
  /** In the order in which they were made. */
  readonly changes: readonly { readonly name: string; readonly before: unknown; readonly after: unknown }[];
  /** Other actions, with their arguments. */
  readonly did: readonly { readonly action: string; readonly given: readonly unknown[] }[];
  /** Names of the bindings that were evaluated again. */
  readonly reran: readonly string[];
  readonly problems: readonly string[];
  /** What happened in which order: each the next of its sort. */
  readonly order: readonly TraceSort[];
  /** Milliseconds until all of it had taken effect. */
  readonly took: number;
}

/** Sorts of what a trace tells. */
export type TraceSort = 'changes' | 'did' | 'reran' | 'problems';

/** A trace while it is being written. */
export class Tracing {
  readonly changes: Trace['changes'][number][] = [];
  readonly did: Trace['did'][number][] = [];
  readonly reran: string[] = [];
  readonly problems: string[] = [];
  readonly order: TraceSort[] = [];

  add<Sort extends TraceSort>(sort: Sort, what: Trace[Sort][number]): void {
    (this[sort] as Trace[Sort][number][]).push(what);
    this.order.push(sort);
  }
}
