/** One value of a feed that runs on this server, to have something to look at while building. */
import type { Feed } from '@hovrin/core';

/** Longest wait, ms. */
const longest = 15_000;

/** @throws Error where nothing comes, or what comes is no JSON. */
export async function firstOf({ address, as }: Feed): Promise<unknown> {
  if (as === 'json') {
    const answer = await fetch(`/${address}`, { signal: AbortSignal.timeout(longest) });
    if (!answer.ok) throw new Error(`the service answers with ${answer.status}.`);
    return answer.json();
  }
  const source = new EventSource(`/${address}`);
  try {
    return await new Promise((resolve, reject) => {
      source.addEventListener('message', ({ data }) => resolve(JSON.parse(String(data))));
      source.addEventListener('error', () => reject(new Error('the stream ended.')));
      setTimeout(() => reject(new Error('nobody said anything for 15 seconds.')), longest);
    });
  } finally {
    source.close();
  }
}
