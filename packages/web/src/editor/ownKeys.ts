/**
 * Keys as a person wants them, kept in this browser: single letters switched off (WCAG 2.1.4), other keys for a command. A letter
 * acts only where the bench has the keys: on the bench itself and in the tree, or where the pointer was the last thing used.
 */
import { useSyncExternalStore } from 'react';

const kept = 'hovrin.keys';

interface KeyWishes {
  readonly letters: boolean;
  /** By the command: the keys that it has in place of its own; empty: none. */
  readonly own: Readonly<Record<string, string>>;
}

const usual: KeyWishes = { letters: true, own: {} };

function read(): KeyWishes {
  try {
    const { letters, own } = JSON.parse(localStorage.getItem(kept) ?? '{}') as Partial<KeyWishes>;
    const words = Object.entries(own ?? {}).filter(([, keys]) => typeof keys === 'string');
    return { letters: letters !== false, own: Object.fromEntries(words) };
  } catch {
    return usual;
  }
}

let wishes = typeof localStorage === 'undefined' ? usual : read();
const listeners = new Set<() => void>();

function wish(next: KeyWishes): void {
  wishes = next;
  localStorage.setItem(kept, JSON.stringify(next));
  for (const listener of listeners) listener();
}

const subscribe = (listener: () => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};

export const useKeyWishes = (): KeyWishes => useSyncExternalStore(subscribe, () => wishes);

/** Switches single letters on or off. */
export const switchLetters = (letters: boolean): void => wish({ ...wishes, letters });

/** Gives a command other keys. @param keys empty: it has none; undefined: its own again. */
export function giveKeys(command: string, keys: string | undefined): void {
  const { [command]: _, ...rest } = wishes.own;
  wish({ ...wishes, own: keys === undefined ? rest : { ...rest, [command]: keys } });
}

/** The keys that a command has now. @param usualKeys those that it ships with. */
export function keysNow(command: string, usualKeys: readonly string[]): readonly string[] {
  const own = wishes.own[command];
  if (own === undefined) return usualKeys;
  return own === '' ? [] : [own];
}

/** Whether keys are one sign alone, or with Shift. */
export const isLetter = (keys: string): boolean => /^(?:Shift\+)?.$/u.test(keys);

/** Whether somebody last went about by keys: what has the focus has it on purpose. */
let wentByKeys = false;

if (typeof document !== 'undefined') {
  document.addEventListener('pointerdown', () => (wentByKeys = false), true);
  document.addEventListener(
    'keydown',
    ({ key }) => {
      if (/^(?:Tab|F6|Arrow\w+|Home|End)$/.test(key)) wentByKeys = true;
    },
    true,
  );
}

/** Whether single letters act at what has the keys. */
export function takesLetters(target: EventTarget | null): boolean {
  if (!wishes.letters) return false;
  if (!(target instanceof HTMLElement) || target === document.body) return true;
  return !wentByKeys || target.closest('[data-letters]') !== null;
}

/** The keys that were pressed, as commands name them; undefined while only Ctrl, Alt or Shift are held. */
export function pressedKeys(event: KeyboardEvent, isMac: boolean): string | undefined {
  if (['Control', 'Shift', 'Alt', 'Meta', 'Dead', 'Process'].includes(event.key)) return undefined;
  const key = event.key.length === 1 ? event.key.toUpperCase() : event.key;
  const isSign = event.key.length === 1 && event.key.toLowerCase() === event.key.toUpperCase();
  return [
    ...((isMac ? event.metaKey : event.ctrlKey) ? ['Mod'] : []),
    ...(event.altKey ? ['Alt'] : []),
    // Whether a sign needs Shift is a matter of the keyboard.
    ...(event.shiftKey && !isSign ? ['Shift'] : []),
    key,
  ].join('+');
}
