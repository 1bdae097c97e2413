/** Events that several kinds have. */
import type { EventEntry } from './kind.ts';

export const press: EventEntry = { name: 'press', label: 'On press', dom: 'click' };
/** What was entered has changed, and the person is done with it (HTML §4.10.5.5). */
const change: EventEntry = { name: 'change', label: 'On change', dom: 'change' };
/** One of several entries was taken; its value can be read as `choice`. */
export const choose: EventEntry = { name: 'choose', label: 'On choose', dom: 'choose', gives: 'choice' };
/** With every letter, before the person is done with it (HTML §4.10.5.5). */
const input: EventEntry = { name: 'input', label: 'On each input', dom: 'input' };
const focus: EventEntry = { name: 'focus', label: 'On focus', dom: 'focusin' };
const blur: EventEntry = { name: 'blur', label: 'When left', dom: 'focusout' };

/** Of what is chosen or set. */
export const chosenEvents: readonly EventEntry[] = [change, focus, blur];
/** Of what is typed. */
export const typedEvents: readonly EventEntry[] = [change, input, focus, blur];
/** Of a screen: that it takes the place of another, that another takes its, that its time has passed once more. */
export const screenEvents: readonly EventEntry[] = [
  { name: 'enter', label: 'On enter', dom: 'hovrin-enter' },
  { name: 'leave', label: 'On leave', dom: 'hovrin-leave' },
  { name: 'timer', label: 'On timer', dom: 'hovrin-timer' },
];
