/** What events can do besides setting state, with what each takes. */

export interface ActionEntry {
  /** What it takes, in words. */
  readonly takes: string;
  /** How many values that is. */
  readonly count: number;
}

export type ActionName = 'go' | 'back' | 'message' | 'focus' | 'copy';

/** Actions by name. */
export const actions: Readonly<Record<ActionName, ActionEntry>> = {
  /** Another screen takes the place of this one. */
  go: { takes: 'the name of a screen', count: 1 },
  /** The screen that was there before comes back. */
  back: { takes: 'nothing', count: 0 },
  /** A line of words that is read out and goes away by itself. */
  message: { takes: 'the words to show', count: 1 },
  /** A control of the screen takes the focus, and is scrolled to. */
  focus: { takes: 'the name of a control on the same screen', count: 1 },
  /** A text is put where one can paste it from. */
  copy: { takes: 'the text to copy', count: 1 },
};
