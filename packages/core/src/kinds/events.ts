/** Events that several kinds have. */
import type { EventEntry } from './kind.ts';

export const press: EventEntry = { name: 'press', label: 'On press', dom: 'click' };
/** What was entered has changed, and the person is done with it (HTML §4.10.5.5). */
export const change: EventEntry = { name: 'change', label: 'On change', dom: 'change' };
/** One of several entries was taken; its value can be read as `choice`. */
export const choose: EventEntry = { name: 'choose', label: 'On choose', dom: 'choose', gives: 'choice' };
