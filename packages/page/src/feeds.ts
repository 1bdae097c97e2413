/**
 * Feeds: values that come to state variables from outside while the page is open, as server-sent events (HTML §9.2)
 * or as JSON that is asked for again and again. The browser comes back to a lost stream by itself.
 */
import { type Feed, type FeedStatus, silentAfter, standInFolder } from '@hovrin/core/runtime';

/** Where what a feed brings goes. */
export interface FeedTarget {
  /** @returns whether the value fits. */
  receive(value: unknown): boolean;
  status(status: FeedStatus): void;
  problem(text: string): void;
}

/** Longest wait for an answer, and the wait after a stream that is gone for good, seconds. */
const longestAnswer = 20;
const backAfter = 5;

/** Starts a feed; it goes on as long as the page is open. */
export function startFeed(feed: Feed, target: FeedTarget): void {
  const address = addressOf(feed);
  if (address === undefined) {
    // What it holds at the start stays, as on the bench.
    target.problem(`\`${feed.address}\` is a stand-in that runs in Hovrin only.`);
    return;
  }
  target.status('waiting');
  const begin = () => (feed.as === 'events' ? listen : ask)(feed, address, new Teller(target));
  setTimeout(begin, (feed.wait ?? 0) * 1000);
}

/** Stand-ins lie on the server that shows the page; where there is none they are not. */
function addressOf({ address }: Feed): string | undefined {
  if (!address.startsWith(standInFolder)) return address;
  return location.protocol.startsWith('http') ? new URL(`/${address}`, location.href).href : undefined;
}

/** Tells how a feed goes, each thing once. */
class Teller {
  private told = '';

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
    if (this.told !== why) this.target.problem(why);
    this.told = why;
    this.target.status('failed');
  }

  status(status: FeedStatus): void {
    if (status === 'live') this.told = '';
    this.target.status(status);
  }
}

function listen(feed: Feed, address: string, teller: Teller): void {
  const source = new EventSource(address);
  let silence: ReturnType<typeof setTimeout> | undefined;
  const expect = () => {
    clearTimeout(silence);
    silence = setTimeout(() => teller.status('silent'), feed.every * silentAfter * 1000);
  };
  expect();
  source.addEventListener('message', ({ data }) => {
    expect();
    teller.heard(String(data));
  });
  source.addEventListener('error', () => {
    if (source.readyState !== EventSource.CLOSED) return;
    clearTimeout(silence);
    teller.failed(`\`${feed.address}\` cannot be listened to.`);
    setTimeout(() => listen(feed, address, teller), backAfter * 1000);
  });
}

async function ask(feed: Feed, address: string, teller: Teller): Promise<void> {
  const next = Date.now() + feed.every * 1000;
  try {
    const answer = await fetch(address, {
      credentials: 'omit',
      signal: AbortSignal.timeout(longestAnswer * 1000),
    });
    if (answer.ok) teller.heard(await answer.text());
    else teller.failed(`\`${feed.address}\` answers with ${answer.status}.`);
  } catch {
    teller.failed(`\`${feed.address}\` does not answer.`);
  }
  setTimeout(() => void ask(feed, address, teller), Math.max(0, next - Date.now()));
}
