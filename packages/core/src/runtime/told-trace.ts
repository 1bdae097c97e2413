/** Traces of events in words, as a page tells them to the window around it: plain texts, however much they hold. */
import { differences } from './differences.ts';
import type { Trace, TraceSort } from './trace.ts';

/** A trace whose values are texts. */
export interface ToldTrace {
  readonly control: string;
  readonly event: string;
  readonly changes: readonly {
    readonly name: string;
    readonly before: string;
    readonly after: string;
    /** Of a list or a record: what differs in it, a line each. */
    readonly differs?: readonly string[];
  }[];
  readonly did: readonly string[];
  readonly reran: readonly string[];
  readonly problems: readonly string[];
  /** What happened in which order: each the next of its sort, as far as it is told. */
  readonly order: readonly TraceSort[];
  /** Milliseconds. */
  readonly took: number;
}

/** Longest text of one value, and most entries of one sort. */
const longest = 120;
const most = 50;

function shortly(value: unknown): string {
  if (Array.isArray(value) && JSON.stringify(value).length > longest / 2) return `${value.length} items`;
  const text = typeof value === 'function' ? 'a function' : (JSON.stringify(value) ?? 'nothing');
  return text.length > longest ? `${text.slice(0, longest)} …` : text;
}

export const toldTrace = ({
  control,
  event,
  changes,
  did,
  reran,
  problems,
  order,
  took,
}: Trace): ToldTrace => ({
  control,
  event,
  changes: changes.slice(0, most).map(({ name, before, after }) => {
    const differs = differences(before, after);
    const words = { name, before: shortly(before), after: shortly(after) };
    return differs.length > 0 ? { ...words, differs } : words;
  }),
  did: did.slice(0, most).map(({ action, given }) => `${action}(${given.map(shortly).join(', ')})`),
  reran: reran.slice(0, most),
  problems: problems.slice(0, most),
  order: order.filter((sort, index) => order.slice(0, index).filter((each) => each === sort).length < most),
  took,
});
