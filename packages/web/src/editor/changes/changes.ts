/**
 * Hearing of what other windows do. All windows of a browser share one stream of server-sent events, in a shared worker:
 * a browser has six connections to a host, and a stream for each window would use them up.
 */
import type { StoredEntry } from '@hovrin/core';

/** What is heard of a project. */
export type Heard =
  | { readonly what: 'entry'; readonly entry: StoredEntry }
  /** More has happened than is told one by one: the project is to be read anew. */
  | { readonly what: 'behind' }
  /** The stream is there; or it is lost, and comes again by itself. */
  | { readonly what: 'connected' | 'lost' };

/** What a window asks of the worker. */
export type Asked =
  | { readonly ask: 'listen'; readonly project: string; readonly since: number }
  | { readonly ask: 'end' };

/**
 * Listens to a project's changes.
 *
 * @param since the revision that is known. @returns what ends it.
 */
export function listenTo(project: string, since: number, hear: (heard: Heard) => void): () => void {
  const worker = new SharedWorker(new URL('./changesWorker.ts', import.meta.url), {
    type: 'module',
    name: 'hovrin-changes',
  });
  const { port } = worker;
  const end = () => {
    port.postMessage({ ask: 'end' } satisfies Asked);
    port.close();
    window.removeEventListener('pagehide', end);
  };
  port.onmessage = (message: MessageEvent<Heard>) => hear(message.data);
  port.postMessage({ ask: 'listen', project, since } satisfies Asked);
  window.addEventListener('pagehide', end);
  return end;
}
