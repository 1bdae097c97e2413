/**
 * Feeds: values that come to state variables from outside while the page is open, as server-sent events (HTML §9.2)
 * or as JSON that is asked for again and again. The browser comes back to a lost stream by itself.
 */
import {
  type ConfiguredFeed,
  configuredAddress,
  type Dispose,
  type Feed,
  type FeedStatus,
  isOnPagesServer,
  type ProgramFeed,
  silentAfter,
  standInFolder,
} from '@hovrin/core/runtime';
import { configured } from '../configured.ts';
import { follows, tellProblem, trial } from '../trial.ts';
import type { Around, Piece } from './piece.ts';

/** Where what a feed brings goes. */
interface FeedTarget {
  /** @returns whether the value fits. */
  receive(value: unknown): boolean;
  status(status: FeedStatus): void;
  problem(text: string): void;
}

/** Longest wait for an answer, and the wait after a stream that is gone for good, seconds. */
const longestAnswer = 20;
const backAfter = 5;

/** Lets the page's variables have what comes from outside. */
export const piece: Piece = (_, around) => {
  const fed = around.program.state.flatMap(({ name, feed }) => (feed ? [{ name, feed }] : []));
  const here = configured<ConfiguredFeed>(
    'feeds',
    fed.map(({ name }) => name),
  );
  for (const { name, feed } of fed) follow(name, feed, around, here);
};

function follow(
  name: string,
  feed: ProgramFeed,
  { runtime, tellStatus, asItLeads }: Around,
  configuredHere: ReturnType<typeof configured<ConfiguredFeed>>,
): void {
  const target: FeedTarget = {
    receive: (value) => runtime.take(name, value),
    status: (status) => tellStatus(feed.status, status),
    problem: (text) => tellProblem(`${name}: ${text}`),
  };
  let stop: Dispose | undefined;
  let address: string | undefined;
  let here: ConfiguredFeed | undefined;
  // Of windows that are linked one listens and tells the others: browsers keep few connections to one host.
  const begin = () => {
    stop?.();
    stop = undefined;
    if (address === undefined || !here || follows()) return;
    const now = configuredAddress(feed.address, address, here);
    stop = startFeed({ ...feed, ...here, address: now }, target);
  };
  asItLeads(begin);
  runtime.followAddress(feed.template, (now) => {
    address = now;
    begin();
  });
  void configuredHere.then((of) => {
    here = of(name);
    begin();
  });
}

/** Starts a feed. @returns what ends it. */
function startFeed(feed: Feed, target: FeedTarget): () => void {
  const address = addressOf(feed);
  if (address === undefined) {
    target.problem(
      trial
        ? `\`${feed.address}\` is on the server of the page that is handed over; nothing answers here.`
        : `\`${feed.address}\` is a stand-in that runs in Hovrin only.`,
    );
    target.status('failed');
    return () => {};
  }
  target.status('waiting');
  const ending = new AbortController();
  const { signal } = ending;
  const begin = () => void (feed.as === 'events' ? listen : ask)(feed, address, new Teller(target), signal);
  later(begin, feed.wait ?? 0, signal);
  return () => ending.abort();
}

/** Does something after some seconds, unless it has ended by then. */
function later(what: () => void, seconds: number, signal: AbortSignal): void {
  const timer = setTimeout(what, seconds * 1000);
  signal.addEventListener('abort', () => clearTimeout(timer), { once: true });
}

/**
 * Stand-ins lie on the server that shows the page; where there is none they are not. What is on the page's own server is not
 * there yet while the page is tried.
 */
function addressOf({ address }: Feed): string | undefined {
  if (trial && isOnPagesServer(address)) return undefined;
  if (!address.startsWith(standInFolder)) return address;
  return location.protocol.startsWith('http') ? new URL(`/${address}`, location.href).href : undefined;
}

/** Whether the person's cookies go with the question: never while the page is tried. */
const asksAsPerson = ({ credentials = false }: Feed): boolean => credentials && !trial;

/** Tells how a feed goes, each thing once. */
class Teller {
  #told = '';

  constructor(private readonly target: FeedTarget) {}

  heard(text: string): void {
    let value: unknown;
    try {
      value = JSON.parse(text);
    } catch {
      this.failed('What came is no JSON.');
      return;
    }
    if (this.target.receive(value)) this.status('live');
    else this.failed('What came does not fit.');
  }

  failed(why: string): void {
    if (this.#told !== why) this.target.problem(why);
    this.#told = why;
    this.target.status('failed');
  }

  status(status: FeedStatus): void {
    if (status === 'live') this.#told = '';
    this.target.status(status);
  }
}

function listen(feed: Feed, address: string, teller: Teller, signal: AbortSignal): void {
  const source = new EventSource(address, { withCredentials: asksAsPerson(feed) });
  let silence: ReturnType<typeof setTimeout> | undefined;
  const expect = () => {
    clearTimeout(silence);
    silence = setTimeout(() => teller.status('silent'), feed.every * silentAfter * 1000);
  };
  const end = () => {
    clearTimeout(silence);
    source.close();
  };
  signal.addEventListener('abort', end, { once: true });
  expect();
  source.addEventListener('message', ({ data }) => {
    expect();
    teller.heard(String(data));
  });
  source.addEventListener('error', () => {
    if (source.readyState !== EventSource.CLOSED || signal.aborted) return;
    end();
    teller.failed(`\`${feed.address}\` cannot be listened to.`);
    later(() => listen(feed, address, teller, signal), backAfter, signal);
  });
}

async function ask(feed: Feed, address: string, teller: Teller, signal: AbortSignal): Promise<void> {
  const next = Date.now() + feed.every * 1000;
  try {
    const answer = await fetch(address, {
      credentials: asksAsPerson(feed) ? 'include' : 'omit',
      signal: AbortSignal.any([signal, AbortSignal.timeout(longestAnswer * 1000)]),
    });
    const text = answer.ok ? await answer.text() : undefined;
    if (signal.aborted) return;
    if (text !== undefined) teller.heard(text);
    else teller.failed(`\`${feed.address}\` answers with ${answer.status}.`);
  } catch {
    if (signal.aborted) return;
    teller.failed(`\`${feed.address}\` does not answer.`);
  }
  later(() => void ask(feed, address, teller, signal), Math.max(0, next - Date.now()) / 1000, signal);
}
