/**
 * Services that requests go to, and requests: what is asked, what it is asked with, and what is done with the answer. A
 * request is a state variable, so that expressions read how it goes: `bookings.state`, `bookings.result`, `bookings.error`.
 */
import type { AnswerShape } from './answer-shape.ts';

/** A header of a request: its name (RFC 9110 §5.1) and its value. */
export interface SourceHeader {
  readonly name: string;
  readonly value: string;
}

/**
 * How a service is told who asks. The secret itself is never in the project: an event gives it (`setSecret`), an answer
 * brings it, or the page's own code.
 *
 * `bearer`: RFC 6750 §2.1; `basic`: RFC 7617; `header`: in a header of that name.
 */
export type Authentication =
  | { readonly as: 'bearer'; readonly secret: string }
  | { readonly as: 'basic'; readonly user: string; readonly secret: string }
  | { readonly as: 'header'; readonly header: string; readonly secret: string };

/** A service. */
export interface DataSource {
  /** A JavaScript identifier, unique among the sources. */
  readonly name: string;
  /** What all of its addresses begin with: `https://hut.example/api/`, `api/`, `stand-ins/hut/`. A query goes with each. */
  readonly base: string;
  /** What they begin with while the page is tried in Hovrin; absent: the same. */
  readonly standIn?: string;
  readonly headers?: readonly SourceHeader[];
  readonly auth?: Authentication;
  /** Seconds until it is said that it does not answer; absent: 20. */
  readonly timeout?: number;
  /** How often it is asked again where it does not answer, or cannot now; only where that does no harm. Absent: never. */
  readonly retry?: number;
}

export const methods = ['GET', 'POST', 'PUT', 'PATCH', 'DELETE'] as const;
export type Method = (typeof methods)[number];

/** Where a parameter stands: `field` is one value of a JSON body, `body` all of it. */
export const parameterPlaces = ['path', 'query', 'header', 'field', 'body'] as const;
export type ParameterPlace = (typeof parameterPlaces)[number];

export const parameterTypes = ['text', 'number', 'boolean', 'date', 'list', 'record'] as const;
export type ParameterType = (typeof parameterTypes)[number];

/** Something that a request is given. */
export interface RequestParameter {
  /** What it is called here, and in a path, a query and a body. */
  readonly name: string;
  readonly in: ParameterPlace;
  readonly type: ParameterType;
  readonly required?: boolean;
  /** An expression that it follows where it is not given. */
  readonly value?: string;
  /** Of a header: its name there. */
  readonly header?: string;
}

/** How a service gives a long list piece by piece. */
export interface Pages {
  /**
   * `page`: by the number of the page; `offset`: by how many there are already; `cursor`: by a text that the answer holds;
   * `link`: by an address in the answer's header (RFC 8288, `rel="next"`).
   */
  readonly by: 'page' | 'offset' | 'cursor' | 'link';
  /** The part of the query that says which; not with `link`. */
  readonly parameter?: string;
  /** Where the answer says how many there are in all; absent: a page that is shorter than the first is the last. */
  readonly total?: string;
  /** Of `cursor`: where the answer holds the next one, `paging.next`. */
  readonly next?: string;
}

export const pageWays = ['page', 'offset', 'cursor', 'link'] as const;

/** What goes wrong with a request in Try. */
type RequestTrouble = 'slow' | 'failing';

/** What is asked of a service, as a variable has it. */
export interface Request {
  /** Name of the source. */
  readonly source: string;
  readonly method: Method;
  /** Behind the base of the source; parameters stand in braces: `bookings/{id}`. */
  readonly path: string;
  readonly parameters?: readonly RequestParameter[];
  readonly headers?: readonly SourceHeader[];
  /** Where in the answer its result lies, `data.rows`; absent: all of it is the result. */
  readonly at?: string;
  /** What the answer looks like; absent: anything. */
  readonly shape?: AnswerShape;
  readonly pages?: Pages;
  /** Seconds after which it is asked again by itself; 0: once as the page opens. Absent: when an event asks. */
  readonly every?: number;
  /** The secret that its answer brings, and where it lies there. It does not stand in the result. */
  readonly secret?: { readonly name: string; readonly at: string };
  readonly trouble?: RequestTrouble;
}

/** A list whose rows lie behind a service. Names of variables that are requests. */
export interface RemoteTable {
  /** Its result is the rows, each time that it is answered. */
  readonly list: string;
  /** Asked for each row that comes, has changed, or goes; absent: that stays on the page. */
  readonly add?: string;
  readonly change?: string;
  readonly remove?: string;
}

const answerStates = ['idle', 'waiting', 'done', 'failed'] as const;

/** What a request's variable holds. */
export interface Answer {
  readonly state: (typeof answerStates)[number];
  readonly result: unknown;
  /** A sentence; empty where nothing went wrong. */
  readonly error: string;
  /** The status of the answer (RFC 9110 §15); 0 where there was none. */
  readonly status: number;
  /** Where the next page of its list lies, which `more` asks for; empty: there is none. */
  readonly next: string;
}

/** What a request's variable holds before anything was asked. */
export const idleAnswer: Answer = { state: 'idle', result: null, error: '', status: 0, next: '' };

export const answerSeconds = { least: 0.1, most: 600, usual: 20 };
export const mostRetries = 10;

/** The names in braces in a path. */
export const pathNames = (path: string): string[] =>
  [...path.matchAll(/\{([^{}]*)\}/g)].map(([, name = '']) => name);
