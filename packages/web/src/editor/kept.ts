/**
 * What the browser's own storage keeps of a project: changes that the server has not taken yet, by the window that made
 * them, and changes that were set aside. When the storage is full, items that are already stored stay.
 */
import type { SentEntry, Step } from '@hovrin/core';

/** One window's changes that are on their way. */
export interface KeptOutbox {
  readonly clientId: string;
  readonly entries: readonly SentEntry[];
}

/** A change that was not stored, kept until the person says what becomes of it. */
export interface Aside {
  readonly id: string;
  /** For the person: what was done. */
  readonly label: string;
  /** A sentence: why it is not stored. */
  readonly reason: string;
  /** Milliseconds since 1970. */
  readonly time: number;
  readonly steps: readonly Step[];
  /** Takes what another window deleted back into the project, before the change itself is done. */
  readonly putBack?: readonly Step[];
}

const outboxKey = (project: string, clientId: string) => `hovrin.pending.${project}.${clientId}`;
const asideKey = (project: string) => `hovrin.aside.${project}`;
const unreadableKey = (key: string) => `hovrin.unreadable.${key}.${Date.now()}`;

/** Sets or removes an item. @returns false where the storage is full; the old value is kept then. */
function keep(key: string, value: unknown): boolean {
  try {
    if (value === undefined) localStorage.removeItem(key);
    else localStorage.setItem(key, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

/** A list that was kept. What cannot be read is put under another key, not thrown away. */
function read<T>(key: string): readonly T[] {
  const text = localStorage.getItem(key);
  if (text === null) return [];
  try {
    const list: unknown = JSON.parse(text);
    if (Array.isArray(list)) return list as T[];
  } catch {
    // Put aside below.
  }
  try {
    localStorage.setItem(unreadableKey(key), text);
    localStorage.removeItem(key);
  } catch {
    // There is no room for a copy: it stays where it is.
  }
  return [];
}

/** Keeps a window's changes in the place of those that were kept before. @returns false where there is no room. */
export const keepOutbox = (project: string, { clientId, entries }: KeptOutbox): boolean =>
  keep(outboxKey(project, clientId), entries.length === 0 ? undefined : entries);

/** The changes that a window left. */
export const keptOutbox = (project: string, clientId: string): KeptOutbox => ({
  clientId,
  entries: read<SentEntry>(outboxKey(project, clientId)),
});

/** The windows that left changes of a project. */
export function windowsWithOutbox(project: string): string[] {
  const prefix = outboxKey(project, '');
  const found: string[] = [];
  for (let index = 0; index < localStorage.length; index++) {
    const key = localStorage.key(index);
    if (key?.startsWith(prefix)) found.push(key.slice(prefix.length));
  }
  return found;
}

/** Keeps what was set aside. @returns false where there is no room. */
export const keepAsides = (project: string, asides: readonly Aside[]): boolean =>
  keep(asideKey(project), asides.length === 0 ? undefined : asides);

export const keptAsides = (project: string): readonly Aside[] => read<Aside>(asideKey(project));
