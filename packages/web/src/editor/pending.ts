/**
 * Changes that the server has not taken yet, kept in the browser's own storage: they survive a reload, and a
 * window that was closed while the server was away leaves them to the next one that opens the project.
 */
import type { SentEntry } from '@hovrin/core';
import { nanoid } from 'nanoid';

const prefix = (project: string) => `hovrin.pending.${project}.`;

/** One window's changes. */
export interface Outbox {
  readonly clientId: string;
  readonly entries: readonly SentEntry[];
}

function read(key: string): SentEntry[] {
  try {
    return JSON.parse(localStorage.getItem(key) ?? '[]') as SentEntry[];
  } catch {
    return [];
  }
}

/** Keeps a window's changes; nothing is kept where there are none. */
export function keepOutbox(project: string, { clientId, entries }: Outbox): void {
  const key = prefix(project) + clientId;
  localStorage.removeItem(key);
  if (entries.length === 0) return;
  try {
    localStorage.setItem(key, JSON.stringify(entries));
  } catch {
    // More than the storage holds (rows by the thousand): the window has them, and sends them at once.
  }
}

/** An id for this window, and a lock that tells others that it is alive for as long as it is. */
export function claimClient(): string {
  const clientId = nanoid(16);
  void navigator.locks?.request(`hovrin.client.${clientId}`, () => new Promise(() => undefined));
  return clientId;
}

/** Changes of windows that are gone, oldest window first as storage lists them. */
export async function abandonedOutboxes(project: string): Promise<Outbox[]> {
  const found: Outbox[] = [];
  for (let index = 0; index < localStorage.length; index++) {
    const key = localStorage.key(index)!;
    if (!key.startsWith(prefix(project))) continue;
    const clientId = key.slice(prefix(project).length);
    const alive = await navigator.locks?.request(
      `hovrin.client.${clientId}`,
      { ifAvailable: true },
      (lock) => lock === null,
    );
    if (!alive) found.push({ clientId, entries: read(key) });
  }
  return found;
}
