/** The shared worker that holds the one stream of a browser's windows. */
import { changesAddress } from './address.ts';
import type { Asked } from './changes.ts';
import { Listeners } from './listeners.ts';

const listeners = new Listeners(
  (since) => new EventSource(changesAddress(since)),
  (work, ms) => setTimeout(work, ms),
);

// The global of a shared worker, which the types of a window do not know.
const scope = globalThis as unknown as { onconnect: (event: MessageEvent) => void };

scope.onconnect = ({ ports: [port] }) => {
  if (!port) return;
  port.onmessage = ({ data }: MessageEvent<Asked>) => {
    if (data.ask === 'end') listeners.remove(port);
    else listeners.add(port, data.project, data.since);
  };
};
