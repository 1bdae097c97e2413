/**
 * Who this window is. A person's windows have ids that outlive them: one that opens takes the id of one that was closed,
 * and with it what that one could undo and had not sent yet. Web Locks tell which windows live.
 */
import { nanoid } from 'nanoid';

const knownKey = 'hovrin.windows';
const ownKey = 'hovrin.window';
/** So many ids are remembered; older ones are not taken up again. */
const mostKnown = 50;
/** After a reload the old page may hold its lock a little longer, ms. */
const reloadTakes = 1500;

const lockOf = (clientId: string) => `hovrin.client.${clientId}`;

function known(): string[] {
  try {
    const list: unknown = JSON.parse(localStorage.getItem(knownKey) ?? '[]');
    return Array.isArray(list) ? list.filter((each) => typeof each === 'string') : [];
  } catch {
    return [];
  }
}

function remember(clientId: string): void {
  try {
    const others = known().filter((each) => each !== clientId);
    localStorage.setItem(knownKey, JSON.stringify([clientId, ...others].slice(0, mostKnown)));
    sessionStorage.setItem(ownKey, clientId);
  } catch {
    // Without room the window has an id all the same; only the next one does not know it.
  }
}

/** Takes the lock of an id for as long as this window lives. @returns whether it was free. */
function hold(clientId: string, patience: number): Promise<boolean> {
  return new Promise((resolve) => {
    const waiting = new AbortController();
    const timer = patience > 0 ? setTimeout(() => waiting.abort(), patience) : undefined;
    const options = patience > 0 ? { signal: waiting.signal } : { ifAvailable: true };
    navigator.locks
      .request(lockOf(clientId), options, (lock) => {
        clearTimeout(timer);
        resolve(lock !== null);
        return lock === null ? undefined : new Promise(() => undefined);
      })
      .catch(() => resolve(false));
  });
}

let claimed: Promise<string> | undefined;

async function claim(): Promise<string> {
  if (!navigator.locks) return nanoid(16);
  let before: string | null = null;
  try {
    before = sessionStorage.getItem(ownKey);
  } catch {
    // A window without storage of its own takes any id.
  }
  if (before !== null && (await hold(before, reloadTakes))) return before;
  for (const clientId of known()) if (clientId !== before && (await hold(clientId, 0))) return clientId;
  const made = nanoid(16);
  await hold(made, 0);
  return made;
}

/** The id of this window, the same for all projects that it opens. */
export function claimWindow(): Promise<string> {
  claimed ??= claim().then((clientId) => {
    remember(clientId);
    return clientId;
  });
  return claimed;
}

/** Whether a window of this browser lives. */
export async function isAlive(clientId: string): Promise<boolean> {
  if (!navigator.locks) return false;
  return navigator.locks.request(lockOf(clientId), { ifAvailable: true }, (lock) => lock === null);
}
