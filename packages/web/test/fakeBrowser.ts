/** The parts of a browser that the editor uses, without one: storage, locks, a stream that says nothing. */
import { vi } from 'vitest';

/** Storage that holds at most so many characters, as a browser's does. */
export class FakeStorage {
  readonly items = new Map<string, string>();
  room = Number.POSITIVE_INFINITY;

  get length(): number {
    return this.items.size;
  }
  key = (index: number): string | null => [...this.items.keys()][index] ?? null;
  getItem = (key: string): string | null => this.items.get(key) ?? null;
  removeItem = (key: string): void => void this.items.delete(key);
  setItem = (key: string, value: string): void => {
    const others = [...this.items].reduce((sum, [each, text]) => sum + (each === key ? 0 : text.length), 0);
    if (others + value.length > this.room) throw new DOMException('full', 'QuotaExceededError');
    this.items.set(key, value);
  };
}

/** Locks of windows, as `navigator.locks` has them. */
export class FakeLocks {
  readonly held = new Set<string>();
  request = async (
    name: string,
    options: { ifAvailable?: boolean },
    work: (lock: object | null) => unknown,
  ): Promise<unknown> => {
    if (this.held.has(name)) {
      if (options.ifAvailable) return work(null);
      return Promise.reject(new DOMException('waited long enough', 'AbortError'));
    }
    const result = work({ name });
    if (!(result instanceof Promise)) return result;
    this.held.add(name);
    return result;
  };
}

export interface FakeBrowser {
  readonly storage: FakeStorage;
  readonly session: FakeStorage;
  readonly locks: FakeLocks;
}

/** Puts the parts into the globals; `vi.unstubAllGlobals` takes them away. */
export function installBrowser(): FakeBrowser {
  const browser = { storage: new FakeStorage(), session: new FakeStorage(), locks: new FakeLocks() };
  vi.stubGlobal('localStorage', browser.storage);
  vi.stubGlobal('sessionStorage', browser.session);
  vi.stubGlobal('navigator', { locks: browser.locks });
  vi.stubGlobal('window', { addEventListener: () => undefined, removeEventListener: () => undefined });
  return browser;
}
