/**
 * A piece of the page's script that only some pages have (`export/pieces.ts` of the core says which). A file beside this one
 * exports it as `piece`; it is built apart, shares with the page's script only what it is given here, and is started with
 * the page.
 */
import type {
  addFunctions,
  addPatterns,
  addStatements,
  Dispose,
  FeedStatus,
  Host,
  Manner,
  Program,
  Runtime,
  ScreenProgram,
  ViewValue,
} from '@hovrin/core/runtime';
import type { MakeRepeat } from '../repeating.ts';
import type { TableCare } from '../table-care.ts';

export type Piece = (page: Document, around: Around) => void;

/** Begins something of a screen or dialog that is shown. @returns what ends it, when that is left. */
export type Begin = (screen: ScreenProgram, element: HTMLElement) => Dispose;

/** A screen that takes the place of another. */
export interface Change {
  readonly to: ScreenProgram;
  /** The person goes back by an event; by the browser, the history says so. */
  readonly isBack: boolean;
  /** As the event that goes there says; undefined: it says nothing. */
  readonly by: ScreenProgram['transition'];
  /** Puts the one in the place of the other. */
  readonly swap: () => void;
}

/** Whether a person who leaves the screen is held back. @param leave leaves it after all. */
export type Holds = (leave: () => void) => boolean;

/** Takes what a name of `View` holds. */
export type Hold = (value: ViewValue) => void;

/** What a page does for its pieces. */
export interface Around {
  /** Shows words for a while, and has them read out. */
  readonly say: (text: string) => void;
  readonly program: Program;
  readonly runtime: Runtime;
  /** What the runtime asks the page for. */
  readonly host: Host;
  /** Functions by the names of `View`: each tells its value now, and after each change. */
  readonly views: Map<string, (hold: Hold) => void>;
  /** Tells the variable of that name how its values come, where there is one. */
  readonly tellStatus: (variable: string | undefined, status: FeedStatus) => void;
  /** Adds functions that expressions of this page call. */
  readonly addFunctions: typeof addFunctions;
  /** Adds what texts do with regular expressions. */
  readonly addPatterns: typeof addPatterns;
  /** Adds how statements are carried out that events of this page have. */
  readonly addStatements: typeof addStatements;
  /** Has something of controls of a kind made anew. */
  readonly addManner: (kind: string, manner: Manner) => void;
  /** Has repeats made. */
  readonly repeatBy: (make: MakeRepeat) => void;
  /** Has tables looked after as they are filled. */
  readonly careForTables: (care: TableCare) => void;
  /** Has something done as long as a screen or dialog is shown, before what it is entered with is seen. */
  readonly asItShows: (begin: Begin) => void;
  /** Has persons held back who leave a screen. */
  readonly holdBack: (holds: Holds) => void;
  /** Has something else put screens in each other's place. */
  readonly changeBy: (change: (change: Change) => void) => void;
  /** Has something done whenever this window, of several that are linked, begins or ends to be the one that leads. */
  readonly asItLeads: (begin: () => void) => void;
}
