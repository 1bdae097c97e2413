/** What events can do besides setting state, with what each takes. */

import type { StateType } from '../document/types.ts';
import type { AlteringName } from './ast.ts';

export interface ActionEntry {
  /** What it takes, in words. */
  readonly takes: string;
  /** How many values that is. */
  readonly count: number;
  /** Types that they must have, as far as not any will do; the name of a variable is one of them. */
  readonly types?: readonly (StateType | undefined)[];
}

/** An action on a state variable. */
export interface AlteringEntry extends ActionEntry {
  /** Types of variables that it can be used on; absent: all. */
  readonly on?: readonly StateType[];
}

/** Actions that whatever the program runs in carries out. */
export type ActionName =
  | 'go'
  | 'back'
  | 'open'
  | 'close'
  | 'message'
  | 'focus'
  | 'scrollTo'
  | 'copy'
  | 'download';

/** Actions on a state variable; its name is the first of what they take. */
export const alterings: Readonly<Record<AlteringName, AlteringEntry>> = {
  /** A row (or any value) comes last in a list. */
  add: { takes: 'the name of a list and the row to add', count: 2, on: ['list'] },
  /** Some fields of a row get other values; of several alike, all do. */
  change: {
    takes: 'the name of a list, the row, and a record of what changes',
    count: 3,
    types: [undefined, undefined, 'record'],
    on: ['list'],
  },
  remove: { takes: 'the name of a list and the row to remove', count: 2, on: ['list'] },
  /** A row stands before the one at a place, counted from 0; it leaves the place that it had in the list. */
  place: {
    takes: 'the name of a list, the row, and the place before which it stands',
    count: 3,
    types: [undefined, undefined, 'number'],
    on: ['list'],
  },
  toggle: { takes: 'the name of a yes or no', count: 1, on: ['boolean'] },
  /** What it began with. */
  reset: { takes: 'the name of a state variable', count: 1 },
};

/** Actions by name, beside those on a variable. */
export const actions: Readonly<Record<ActionName | 'wait', ActionEntry>> = {
  /** What follows happens so much later. */
  wait: { takes: 'how many seconds', count: 1, types: ['number'] },
  /** A screen that is a dialog is shown over this one; what it is entered with may follow. */
  open: { takes: 'the name of a dialog, and a record of what it is entered with', count: 1, types: ['text'] },
  /** The dialog that is open goes. */
  close: { takes: 'nothing', count: 0 },
  /** Another screen takes the place of this one; what it is entered with may follow. */
  go: { takes: 'the name of a screen, and a record of what it is entered with', count: 1, types: ['text'] },
  /** The screen that was there before comes back. */
  back: { takes: 'nothing', count: 0 },
  /** A line of words that is read out and goes away by itself. */
  message: { takes: 'the words to show', count: 1 },
  /** A control of the screen takes the focus, and is scrolled to. */
  focus: { takes: 'the name of a control on the same screen', count: 1, types: ['text'] },
  /** What lies outside what is seen comes into sight. */
  scrollTo: { takes: 'the name of a control on the same screen', count: 1, types: ['text'] },
  /** A text is put where one can paste it from. */
  copy: { takes: 'the text to copy', count: 1 },
  /** The person gets a file. */
  download: { takes: 'the name of the file and the text in it', count: 2 },
};
