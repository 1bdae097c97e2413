/** What an exported page runs: state, bindings and events of its screens as plain data. */

import type { Around } from '../css/declarations.ts';
import type { DataSource, Request, RequestParameter } from '../document/source.ts';
import type { Transition } from '../document/transitions.ts';
import type { Feed, StateValue, StateVariable, StoredTable } from '../document/types.ts';
import type { Addressed, Expression, Statement, Template } from '../expression/ast.ts';
import type { Arrangement, CarryingPart, PageTarget } from '../kinds/kind.ts';
import type { Difference } from './difference.ts';

/** A property with content (words, a value, an attribute) that follows an expression. */
export interface ContentBinding {
  readonly control: string;
  readonly property: string;
  /** Name of the property's type, which takes what the expression gives. */
  readonly type: string;
  readonly template: Template;
  readonly target: PageTarget;
}

/** A part of a control that is made anew when what it shows changes. */
export interface InsideBinding {
  readonly control: string;
  readonly kind: string;
  /** How many children it has. */
  readonly count: number;
  /** Class of the part; absent: all that is inside the control's element. */
  readonly part: string | undefined;
  /** The control's values that are no expressions, by property; and what holds where nothing is said. */
  readonly held: Readonly<Record<string, unknown>>;
  readonly defaults: Readonly<Record<string, unknown>>;
  readonly templates: Readonly<Record<string, Template>>;
  /** Names of the types of the properties that follow expressions. */
  readonly types: Readonly<Record<string, string>>;
}

/** An input that reads and writes a state variable. */
export interface TwoWayBinding {
  readonly control: string;
  readonly variable: string;
  /** `variable` is an item of a repeat, whose row is in this list. */
  readonly list?: string;
  /** Keys that lead to its place inside the variable, and what it holds there as long as nothing was entered. */
  readonly path?: readonly Expression[];
  readonly begins?: Expression;
  readonly target: PageTarget;
}

/** A control some of whose size, place or look follows expressions. */
export interface StyleBinding {
  readonly control: string;
  readonly kind: string;
  /** How the container around it arranges it. */
  readonly around: Around;
  /** How it arranges what is in it, unless an expression says so. */
  readonly arrangement: Arrangement;
  /** Parts inside its element that carry some of the properties. */
  readonly parts: readonly CarryingPart[];
  readonly templates: Readonly<Record<string, Template>>;
  /** Names of the types of those properties. */
  readonly types: Readonly<Record<string, string>>;
}

/** A control whose styles follow an expression, which gives their names. */
export interface ClassBinding {
  readonly control: string;
  readonly template: Template;
}

/** A control with states of its own, by their names: it is marked with those that hold. */
export interface StateBinding {
  readonly control: string;
  readonly templates: Readonly<Record<string, Template>>;
}

export interface EventBinding {
  readonly control: string;
  /** What the source calls it. */
  readonly name: string;
  /** The event of the page's element. */
  readonly dom: string;
  /** The name under which the actions read what came with the event. */
  readonly gives?: string;
  readonly statements: readonly Statement[];
}

/** What follows state and reacts to the person, of a screen or of an item of a repeat. */
export interface Bindings {
  readonly content: readonly ContentBinding[];
  readonly inside: readonly InsideBinding[];
  readonly twoWay: readonly TwoWayBinding[];
  readonly style: readonly StyleBinding[];
  readonly classes: readonly ClassBinding[];
  readonly states: readonly StateBinding[];
  readonly events: readonly EventBinding[];
  readonly repeats: readonly RepeatBinding[];
}

/** Something that is repeated: the list, and what is inside for each item. */
export interface RepeatBinding {
  readonly control: string;
  readonly each: Template;
  /** What it says in place of its items, by property. */
  readonly said: Readonly<Record<string, Template>>;
  /** Of a table: the column that its rows are sorted by. */
  readonly sort?: Template;
  /** What an item is called. */
  readonly as: string;
  readonly item: Bindings;
}

/** What an element holds at a part of a motion (Web Animations 1 §5.3, keyframes). */
export interface MotionFrame {
  /** 0 to 1. */
  readonly at: number;
  /** How it goes on from here, as CSS has it; absent: evenly. */
  readonly ease?: string;
  /** By names of CSS properties. */
  readonly css?: Readonly<Record<string, string>>;
  /** Names of CSS properties that are here what they are without the motion. */
  readonly under?: readonly string[];
}

/** Frames that hold from a width of the window on, CSS px. */
export interface MotionFrames {
  readonly from: number;
  /** The orientation of the window in which alone they hold. */
  readonly turned?: string;
  readonly frames: readonly MotionFrame[];
}

/** What a motion does with one property of a control. */
export interface MotionTarget {
  readonly control: string;
  /** The part inside its element that has the property, as a CSS selector from there. */
  readonly part?: string;
  /** The narrowest first. */
  readonly widths: readonly MotionFrames[];
}

/** A motion as a page plays it. */
export interface ProgramMotion {
  readonly name: string;
  readonly seconds: number;
  readonly delay?: number;
  /** Absent: once; 0: for ever. */
  readonly repeat?: number;
  readonly alternate?: true;
  /** It is played while this holds. */
  readonly plays?: Template;
  readonly targets: readonly MotionTarget[];
}

export interface ScreenProgram extends Bindings {
  readonly name: string;
  readonly title: string;
  /** Seconds between two events of its timer. */
  readonly every?: number;
  /** What it waits for: its event `when` happens each time that this becomes something else that holds. */
  readonly when?: Template;
  /** It is shown for so many seconds, or until `when` holds, and then gives its place to another. */
  readonly splash?: { readonly seconds: number; readonly to: string };
  readonly motions?: readonly ProgramMotion[];
  /** Shown over others, not in their place. */
  readonly dialog?: true;
  /** Variables whose values stand in its address. */
  readonly addressed?: readonly Addressed[];
  /** How it takes the place of another screen. */
  readonly transition?: Transition;
  /** The question to those who leave it; empty: nobody is asked. */
  readonly leaving?: Template;
}

/** A feed as a page runs it. */
export interface ProgramFeed extends Feed {
  readonly template: Template;
}

/** What a request is given, as a page works it out. */
export interface ProgramParameter extends Omit<RequestParameter, 'value'> {
  readonly value?: Expression;
}

/** A request as a page asks it. */
export interface ProgramRequest extends Omit<Request, 'parameters'> {
  readonly parameters: readonly ProgramParameter[];
}

/** How the rows of a table come to a page. */
export interface ProgramTable extends Pick<StoredTable, 'status' | 'wait'> {
  /** Where they all are, beside the page; absent: what the variable begins with are all. */
  readonly file?: string;
}

/** A state variable as a page runs it; of its columns it has those with rules. */
export interface ProgramVariable extends Omit<StateVariable, 'computed' | 'feed' | 'table' | 'request'> {
  readonly feed?: ProgramFeed;
  readonly request?: ProgramRequest;
  readonly table?: ProgramTable;
  /** What it follows. */
  readonly computed?: Expression;
}

/** What is kept from one visit to the next, and how what an older version kept is taken over. */
export interface ProgramKept {
  /** What it lies under. */
  readonly id: string;
  readonly version: number;
  /** Makes the values of this version of `kept` and `version`. */
  readonly migrate?: Expression;
}

/** The languages of a page, that of its source first, each with the way in which it is written. */
export interface PageLanguages {
  /** The project's id, under which a browser keeps the choice of a language. */
  readonly of: string;
  readonly tags: Readonly<Record<string, 'ltr' | 'rtl'>>;
}

/** The words of a page in another language, as far as they differ from its own. */
export interface PageWords {
  /** Texts of marked elements, by number. */
  readonly texts: readonly string[];
  readonly screens: Difference;
  /** First values of variables that hold words; absent: none does. */
  readonly state?: Readonly<Record<string, StateValue>>;
}

export interface Program {
  /** Name of the project. */
  readonly name: string;
  /** Absent: it has one. */
  readonly languages?: PageLanguages;
  /** Absent: nothing is kept. */
  readonly kept?: ProgramKept;
  /** Name of the screen that opens first. */
  readonly start: string;
  readonly state: readonly ProgramVariable[];
  /** The services that its requests go to. */
  readonly sources?: readonly DataSource[];
  /** Addresses of the project's pictures by name. */
  readonly pictures: Readonly<Record<string, string>>;
  /** What tokens come to that expressions name, but for colours: these the page has as custom properties. */
  readonly tokens?: Readonly<Record<string, string>>;
  readonly screens: readonly ScreenProgram[];
  /** Widths from which bands hold, where expressions may ask for the band. */
  readonly bands?: readonly { readonly name: string; readonly from: number }[];
}
