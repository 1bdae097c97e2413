/** Keys of commands: matching them with keyboard events, and writing them for people. */
import { itemAt } from '@hovrin/core';
import { useEffect } from 'react';
import { copiedText, fromSource, keepCopied } from './clipboard.ts';
import { type Command, canRun, commandNamed, commands, runCommand } from './commands/index.ts';
import type { Editor } from './editor.ts';
import { isLetter, keysNow, takesLetters } from './ownKeys.ts';

export const isMac = typeof navigator !== 'undefined' && /Mac/.test(navigator.platform);

/** Whether an event is what a key text such as `Mod+Shift+Z` says. */
export function matches(event: KeyboardEvent, keys: string): boolean {
  const parts = partsOf(keys);
  const key = itemAt(parts, -1);
  const mod = parts.includes('Mod');
  // Plus and equals share a key; most keyboards give plus with Shift only.
  const typed = event.key === '=' ? '+' : event.key;
  // With Alt some keyboards give another sign; the key itself is what counts.
  const letter = parts.includes('Alt') ? /^Key([A-Z])$/.exec(event.code ?? '')?.[1] : undefined;
  const pressed = letter ?? (typed.length === 1 ? typed.toUpperCase() : typed);
  // Whether a sign needs Shift is a matter of the keyboard.
  const isSign = key.length === 1 && key.toLowerCase() === key && !/\d/.test(key);
  return (
    pressed === key &&
    (isMac ? event.metaKey : event.ctrlKey) === mod &&
    event.altKey === parts.includes('Alt') &&
    (event.shiftKey === parts.includes('Shift') || isSign)
  );
}

/** The keys that a text such as `Mod+Shift+Z`, or `+`, names. */
const partsOf = (keys: string): string[] =>
  keys.endsWith('+') ? [...keys.slice(0, -1).split('+').filter(Boolean), '+'] : keys.split('+');

const signs: Record<string, string> = {
  Mod: isMac ? '⌘' : 'Ctrl',
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
  Delete: 'Del',
  Escape: 'Esc',
};

/** A key text for people: `Ctrl+Shift+Z`. */
export const keyWords = (keys: string): string =>
  partsOf(keys)
    .map((part) => signs[part] ?? part)
    .join('+');

/** Whether keys go into a field or a menu rather than to the bench. */
function isTaken(event: KeyboardEvent | ClipboardEvent): boolean {
  const { target } = event;
  if (!(target instanceof HTMLElement)) return false;
  // Nobody types with them.
  if (event instanceof KeyboardEvent && /^F\d+$/.test(event.key) && !target.closest('[role="dialog"]'))
    return false;
  if (target.closest('[role="menu"], [role="dialog"], [role="listbox"], .cm-editor')) return true;
  // Enter presses what it stands on.
  if (event instanceof KeyboardEvent && event.key === 'Enter' && target.closest('button, a, summary, input'))
    return true;
  // Arrow keys go round the choices of a radio group.
  if (
    target instanceof HTMLInputElement &&
    target.type === 'radio' &&
    event instanceof KeyboardEvent &&
    event.key.startsWith('Arrow')
  )
    return true;
  if (target instanceof HTMLInputElement)
    return !['checkbox', 'radio', 'button', 'color'].includes(target.type);
  return (
    target instanceof HTMLTextAreaElement || target instanceof HTMLSelectElement || target.isContentEditable
  );
}

/** What the field that has the keys held when it got them. */
let atFocus: { readonly field: EventTarget; readonly value: string } | undefined;

if (typeof document !== 'undefined')
  document.addEventListener('focusin', ({ target }) => {
    const isField = target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
    atFocus = isField ? { field: target, value: target.value } : undefined;
  });

/** Whether undo or redo is pressed in a field in which nothing was typed: then it is not about the field. */
function isUndoOfUntouched(event: KeyboardEvent): boolean {
  const { target } = event;
  const isField = target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement;
  return (
    isField &&
    atFocus?.field === target &&
    atFocus.value === target.value &&
    !target.closest('[role="dialog"], [role="menu"]') &&
    ['undo', 'redo'].some((id) => commandNamed(id).keys.some((keys) => matches(event, keys)))
  );
}

/** Lets keys run commands while the component is there. */
export function useCommandKeys(
  editor: Editor,
  extra: readonly { keys: string; label: string; run: () => void }[] = [],
): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      if (event.defaultPrevented || (isTaken(event) && !isUndoOfUntouched(event))) return;
      const isMeant = (keys: string) =>
        matches(event, keys) && (!isLetter(keys) || takesLetters(event.target));
      const other = extra.find(({ keys, label }) => keysNow(label, [keys]).some(isMeant));
      // Pasting waits for the event that brings what is on the system's clipboard.
      const command: Command | undefined = commands.find(
        (each) => each.id !== 'paste' && keysNow(each.id, each.keys).some(isMeant) && canRun(editor, each),
      );
      if (!other && !command) return;
      // Undo and redo work wherever one is; the keys of the bench must not scroll it.
      event.preventDefault();
      if (other) other.run();
      else if (command) runCommand(editor, command);
    };
    const paste = (event: ClipboardEvent) => {
      if (isTaken(event)) return;
      const text = event.clipboardData?.getData('text/plain') ?? '';
      const { bands } = editor.state.project;
      const foreign = text !== '' && text !== copiedText() ? fromSource(text, bands) : undefined;
      if (foreign) keepCopied(foreign, bands);
      runCommand(editor, commandNamed('paste'));
    };
    window.addEventListener('keydown', press);
    window.addEventListener('paste', paste);
    return () => {
      window.removeEventListener('keydown', press);
      window.removeEventListener('paste', paste);
    };
  });
}
