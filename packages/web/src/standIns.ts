/** Listening to the simulated devices and services of this server, from the workbench itself. */

import type { Feed } from '@hovrin/core';
import { messageOf } from '@hovrin/core';

/**
 * Hears of each value of a feed.
 *
 * @param failed told why nothing came, each time.
 * @returns what ends it.
 */
export function follow(
  { address, as, every }: Feed,
  hear: (value: unknown) => void,
  failed: (why: string) => void,
): () => void {
  if (as === 'events') {
    const source = new EventSource(`/${address}`);
    source.addEventListener('message', ({ data }) => hear(JSON.parse(String(data))));
    source.addEventListener('error', () => failed('the stream ended.'));
    return () => source.close();
  }
  const ask = async () => {
    try {
      const answer = await fetch(`/${address}`);
      if (answer.ok) hear(await answer.json());
      else failed(`the service answers with ${answer.status}.`);
    } catch (error) {
      failed(messageOf(error));
    }
  };
  void ask();
  const timer = setInterval(() => void ask(), every * 1000);
  return () => clearInterval(timer);
}

/** Longest wait for one value, ms. */
const longest = 15_000;

/** The next value of a feed. @throws Error where none comes. */
export async function firstOf(feed: Feed): Promise<unknown> {
  let end = () => {};
  try {
    return await new Promise((resolve, reject) => {
      end = follow(feed, resolve, (why) => reject(new Error(why)));
      setTimeout(() => reject(new Error('nobody said anything for 15 seconds.')), longest);
    });
  } finally {
    end();
  }
}
