/** Events that several kinds have. */
import type { EventEntry } from './kind.ts';

const press: EventEntry = { name: 'press', label: 'On press', dom: 'click' };
/** What was entered can be read as `value`, where nothing else is called so. */
const entered = { gives: 'value', yields: true } as const;
/** What was entered has changed, and the person is done with it (HTML §4.10.5.5). */
const change: EventEntry = { name: 'change', label: 'On change', dom: 'change', ...entered };
/** One of several entries was taken; its value can be read as `choice`. */
export const choose: EventEntry = { name: 'choose', label: 'On choose', dom: 'choose', gives: 'choice' };
/** With every letter, before the person is done with it (HTML §4.10.5.5). */
const input: EventEntry = { name: 'input', label: 'On each input', dom: 'input', ...entered };
const focus: EventEntry = { name: 'focus', label: 'On focus', dom: 'focusin' };
const blur: EventEntry = { name: 'blur', label: 'When left', dom: 'focusout' };

/** The key that went down while the focus was inside, with its modifiers: `Enter`, `Control+s` (UI Events). */
const key: EventEntry = { name: 'key', label: 'On key', dom: 'keydown', gives: 'key' };
const doublePress: EventEntry = { name: 'doublepress', label: 'On double press', dom: 'dblclick' };
/** It comes into sight, by scrolling or since it is shown (Intersection Observer). */
const visible: EventEntry = { name: 'visible', label: 'On coming into sight', dom: 'hovrin-visible' };

/** Of what is pressed. */
export const pressedEvents: readonly EventEntry[] = [press, doublePress, focus, blur];
/** Of what only shows something, or holds others. */
export const shownEvents: readonly EventEntry[] = [press, doublePress, key, visible];

/** Of what is chosen or set. */
export const chosenEvents: readonly EventEntry[] = [change, focus, blur];
/** Of what files are chosen in: they have been read by then. */
export const fileEvents: readonly EventEntry[] = [{ ...change, dom: 'hovrin-file' }, focus, blur];
/** Of what is typed. */
export const typedEvents: readonly EventEntry[] = [change, input, key, focus, blur];
/**
 * Of a screen: that it takes the place of another, that another takes its, that its time has passed once more, that
 * what it waits for has come about.
 */
export const screenEvents: readonly EventEntry[] = [
  { name: 'enter', label: 'On enter', dom: 'hovrin-enter' },
  { name: 'leave', label: 'On leave', dom: 'hovrin-leave' },
  { name: 'timer', label: 'On timer', dom: 'hovrin-timer' },
  { name: 'when', label: 'When it holds', dom: 'hovrin-when', gives: 'value' },
  key,
];
