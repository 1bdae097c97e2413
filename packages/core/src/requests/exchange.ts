/** Sends a request and waits for its answer: time-out, asking again, limits, and what went wrong in a sentence. */
import { isRecord } from '../document/record.ts';
import { answerSeconds, type DataSource, type Method } from '../document/source.ts';
import type { Outgoing } from './outgoing.ts';

/** What a request goes through: a browser's, or a test's. */
export interface Wire {
  send(outgoing: Outgoing, signal: AbortSignal): Promise<Response>;
  /** Waits some seconds, or until the signal. */
  wait(seconds: number, signal: AbortSignal): Promise<void>;
  /** Aborts after some seconds. */
  after(seconds: number): AbortSignal;
  isOnline(): boolean;
}

/** What came of a request. */
export type Exchanged =
  | {
      readonly ok: true;
      readonly status: number;
      /** The answer as plain data; null where it is empty. */
      readonly body: unknown;
      /** Where the next page lies (RFC 8288, `rel="next"`), as an absolute address. */
      readonly next?: string;
    }
  | { readonly ok: false; readonly status: number; readonly sentence: string };

/** Longest answer, bytes. */
export const longestAnswer = 8 * 1024 * 1024;
const longestSentence = 300;
/** Longest wait that a service asks for, and the first wait of its own, seconds. */
const longestWait = 60;
const firstWait = 0.5;

/** Methods that may be sent twice and do the same (RFC 9110 §9.2.2). */
const mayRepeat: ReadonlySet<Method> = new Set(['GET', 'PUT', 'DELETE']);
/** Statuses of a service that cannot answer now. */
const later: ReadonlySet<number> = new Set([408, 429, 502, 503, 504]);

const sentences: Readonly<Record<number, string>> = {
  400: 'The service does not understand what it was asked.',
  401: 'The service does not know who asks.',
  403: 'The service does not allow this.',
  404: 'The service does not have this.',
  409: 'Somebody else has changed this meanwhile.',
  412: 'Somebody else has changed this meanwhile.',
  422: 'The service does not take this.',
  429: 'The service was asked too often.',
};

/** What a refused request is told (RFC 9457 §3.1: `detail`, `title`; `message`, `error` of others). */
function sentenceOf(status: number, body: unknown): string {
  const said = isRecord(body)
    ? ['detail', 'title', 'message', 'error'].map((key) => body[key]).find((each) => typeof each === 'string')
    : undefined;
  if (typeof said === 'string' && said.trim() !== '') return said.trim().slice(0, longestSentence);
  return (
    sentences[status] ??
    (status >= 500 ? `The service has a fault (${status}).` : `The service refuses this (${status}).`)
  );
}

/** Seconds that a service asks to wait (RFC 9110 §10.2.3). */
function retryAfter(answer: Response): number | undefined {
  const said = answer.headers.get('Retry-After');
  if (said === null) return undefined;
  const seconds = /^\d+$/.test(said) ? Number(said) : (Date.parse(said) - Date.now()) / 1000;
  return Number.isFinite(seconds) ? Math.min(longestWait, Math.max(0, seconds)) : undefined;
}

/** The text of an answer. @returns undefined where it is longer than it may be. */
async function textOf(answer: Response): Promise<string | undefined> {
  if (!answer.body) return '';
  const reader = answer.body.getReader();
  const decoder = new TextDecoder();
  let text = '';
  let length = 0;
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return text + decoder.decode();
    length += value.length;
    if (length > longestAnswer) {
      void reader.cancel();
      return undefined;
    }
    text += decoder.decode(value, { stream: true });
  }
}

/** The address of `rel="next"` in a Link header (RFC 8288 §3). */
function nextLink(answer: Response, asked: string): string | undefined {
  for (const [, target = '', parameters = ''] of (answer.headers.get('Link') ?? '').matchAll(
    /<([^>]*)>([^,]*)/g,
  ))
    if (/;\s*rel\s*=\s*("[^"]*\bnext\b[^"]*"|next\b)/i.test(parameters)) {
      try {
        return new URL(target, answer.url || asked).href;
      } catch {
        return undefined;
      }
    }
  return undefined;
}

async function read(answer: Response, asked: string): Promise<Exchanged> {
  const { status, ok } = answer;
  const failed = (sentence: string): Exchanged => ({ ok: false, status, sentence });
  const text = await textOf(answer);
  if (text === undefined) return failed(`The answer is longer than ${longestAnswer / 1024 / 1024} MB.`);
  let body: unknown = null;
  if (text.trim() !== '') {
    try {
      body = JSON.parse(text);
    } catch {
      if (ok && !answer.headers.get('Content-Type')?.startsWith('text/plain'))
        return failed('What came is no JSON.');
      body = text;
    }
  }
  if (!ok) return failed(sentenceOf(status, body));
  const next = nextLink(answer, asked);
  return { ok, status, body, ...(next === undefined ? {} : { next }) };
}

/** What went wrong where no answer came. */
function unanswered(wire: Wire, timedOut: boolean, seconds: number): Exchanged & { readonly ok: false } {
  const sentence = timedOut
    ? `The service did not answer within ${seconds} seconds.`
    : wire.isOnline()
      ? 'The service does not answer.'
      : 'There is no connection to the network.';
  return { ok: false, status: 0, sentence };
}

/**
 * @param signal ends it: nothing is given then. @returns undefined where it was ended.
 */
export async function exchange(
  outgoing: Outgoing,
  { timeout = answerSeconds.usual, retry = 0 }: Pick<DataSource, 'timeout' | 'retry'>,
  wire: Wire,
  signal: AbortSignal,
): Promise<Exchanged | undefined> {
  const tries = mayRepeat.has(outgoing.method) ? retry : 0;
  for (let turn = 0; ; turn++) {
    const tooLong = wire.after(timeout);
    let came: Exchanged;
    let wait: number | undefined;
    try {
      const answer = await wire.send(outgoing, AbortSignal.any([signal, tooLong]));
      came = await read(answer, outgoing.url);
      wait = retryAfter(answer);
    } catch {
      if (signal.aborted) return undefined;
      came = unanswered(wire, tooLong.aborted, timeout);
    }
    if (signal.aborted) return undefined;
    const again = !came.ok && (came.status === 0 || later.has(came.status)) && turn < tries;
    if (!again) return came;
    await wire.wait(wait ?? firstWait * 2 ** turn, signal);
    if (signal.aborted) return undefined;
  }
}
