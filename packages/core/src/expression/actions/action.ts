/**
 * What an action of an event is. An action is one file beside this one and one line in `catalogue.ts`: what it takes, how
 * its card and its text begin, and what it does. The checks, the cards, the lists of what can be added and the runtime
 * are driven from there; a running page leaves behind all but what it does.
 */
import type { Transition } from '../../document/transitions.ts';
import type { Column, StateType, StateVariable } from '../../document/types.ts';

/** What a card's field takes. */
export type CardFieldKind = 'expression' | 'screen' | 'dialog' | 'control' | 'motion';

/** What is done with a motion. */
export type MotionDoing = 'play' | 'stop' | 'pause' | 'rewind';

/** What something that runs a program can be asked for: a page does it with its elements. */
export interface Acting {
  /**
   * Another screen takes the place of this one.
   *
   * @param values what it is entered with, by name of variable.
   * @param replaces this one is left out of the way back.
   * @param transition how it comes; absent: as that screen, or all of them, do.
   */
  go(screen: string, values?: unknown, replaces?: boolean, transition?: Transition): void;
  /** The screen that was there before comes back. */
  back(): void;
  /** A dialog is shown over the screen and other dialogs. @param values what it is entered with. */
  openDialog(dialog: string, values?: unknown): void;
  /** The dialog on top goes. */
  closeDialog(): void;
  /** A line of words is shown for a while, and read out. */
  message(text: string): void;
  /** A control of the screen on top takes the focus, and comes into sight; in a repeat that of a row. */
  focus(control: string, row?: unknown): void;
  scrollTo(control: string, row?: unknown): void;
  /** A motion of the screen on top is played, ended, held. A page without motions leaves it out. */
  motion?(how: MotionDoing, name: string): void;
  /** A text is put where one can paste it from. A page whose events never do that leaves it out. */
  copy?(text: string): void;
  /** The person gets a file. A page whose events never do that leaves it out. */
  download?(name: string, text: string): void;
  /** A source is asked with this secret from now on. A page that asks none leaves it out. @param text empty: with none. */
  setSecret?(name: string, text: string): void;
}

interface Entry {
  /** What the source calls it. */
  readonly name: string;
  /** What it takes, in words, as the end of a sentence. */
  readonly takes: string;
  /** How many values that is. */
  readonly count: number;
  /** How many it may be at most; absent: that many. */
  readonly most?: number;
  /** Types that they must have, as far as not any will do; the name of a variable is one of them. */
  readonly types?: readonly (StateType | undefined)[];
}

/** An action of what runs the program. */
export interface Action extends Entry {
  /** Its card: its name in a sentence, and the label of each value. */
  readonly card: { readonly words: string; readonly fields: readonly (readonly [string, CardFieldKind])[] };
  /** A call of it to begin with, its arguments left to be filled in. */
  readonly written: string;
  /** What its first value names. */
  readonly pointsTo?: 'screen' | 'control' | 'motion';
  /** Behind what it brings it may be said that there is no way back: `{ replace: true }`. */
  readonly replaces?: true;
  /** The screen, or the dialog on top, goes, and what was there before it comes back. */
  readonly leaves?: true;
  /** A record of what variables hold there may follow. */
  readonly brings?: boolean;
  /** What it is given is nowhere written down. */
  readonly hides?: true;
  /** Why it cannot lead to a screen that there is; undefined where it can. */
  misled?(screen: string, isDialog: boolean): string | undefined;
  /** @param given what its values came to. */
  act?(acting: Acting, given: readonly unknown[]): void;
  /** Seconds that what follows waits. */
  waits?(given: readonly unknown[]): number;
}

/** What is done with a request, whose name is the first argument. */
export interface Asking extends Entry {
  readonly name: AskingName;
  /** Its card: its name in a sentence, and the words in front of what it is given. */
  readonly card: readonly [words: string, label?: string];
  /** How it is written for a request. */
  written(variable: Pick<StateVariable, 'name'>): string;
}

export type AskingName = 'ask' | 'more' | 'cancel';

/** The variable that an action is carried out on. */
export interface Altered {
  /** What it began with. */
  readonly initial: unknown;
  /** Of a table: its columns that something is said of; empty for what lies inside a variable. */
  readonly columns: readonly Column[];
}

/** An action on a state variable, whose name is the first argument. */
export interface Altering extends Entry {
  /** Types of variables that it can be used on; absent: all. */
  readonly on?: readonly StateType[];
  /** Its card: its name in a sentence, and the words in front of its other values. */
  readonly card: readonly [words: string, ...labels: string[]];
  /** How it is written for a variable. */
  written(variable: Pick<StateVariable, 'name'>): string;
  /** It may be given several variables, and is carried out on each. */
  readonly several?: boolean;
  /**
   * @param before what the variable, or the place in it, holds.
   * @param given what its other values came to.
   * @returns what it holds afterwards.
   */
  alter(before: unknown, given: readonly unknown[], of: Altered): unknown;
}
