/**
 * A project as immutable plain data. A new version shares with the old one every control that did not change,
 * so that "is it the same object" answers "did anything in it change".
 */

import type { CodeModule } from './code.ts';
import type { Folder } from './folder.ts';
import type { Locale } from './locale.ts';
import type { MapPlace } from './map-place.ts';
import type { DataSource, RemoteTable, Request } from './source.ts';
import type { Style } from './style-set.ts';
import type { Task } from './task.ts';
import type { Token } from './token.ts';

/** A property's value that is not (yet) valid: what was typed is kept, the last good one goes on working. */
export interface Draft {
  readonly draft: string;
  /** The last valid text; absent: the property has no value meanwhile. */
  readonly good?: string;
}

/** The text of an attribute in canonical form, braces for expressions included; or a draft. */
export type PropertyValue = string | Draft;

/** Comments of the source, kept with the control that they stand at. */
export interface Comments {
  /** In front of the control. */
  readonly before?: readonly string[];
  /** Behind the last child. */
  readonly inside?: readonly string[];
  /** Behind the root element; on a screen only. */
  readonly after?: readonly string[];
}

/** Anything in the tree of a screen, the screen itself included. */
export interface Control {
  /** Unique in the project; not part of the source. */
  readonly id: string;
  /** A name of the catalogue of kinds. */
  readonly kind: string;
  /** A JavaScript identifier, unique in its screen; on a screen: unique among screens. */
  readonly name?: string;
  /** By attribute name, the band or orientation in front (`lap.gap`), `.bind` and `on.` included. */
  readonly props: Readonly<Record<string, PropertyValue>>;
  readonly children: readonly Control[];
  readonly comments?: Comments;
  /** On a screen that is shown at an instant of its motions: what they make of its values, by property. Never in a document. */
  readonly moved?: ReadonlyMap<string, Moved>;
}

/** What a motion makes of a value at an instant. @param under what properties hold without it, by name. */
export type Moved = (
  under: (property: string) => unknown,
  theme: { readonly colours: Readonly<Record<string, string | undefined>> },
) => unknown;

/** A range of screen widths with a name; it ends where the next begins. */
export interface Band {
  /** A JavaScript identifier in lower case, used in front of attributes. */
  readonly name: string;
  readonly label: string;
  /** Least width in CSS px. */
  readonly from: number;
  /** What it is shown in on the bench, `#rrggbb`; absent: plain. */
  readonly color?: string;
}

/** A day is a text as HTML writes it, `2026-07-14`; lists and records hold plain data. */
export type StateType = 'text' | 'number' | 'boolean' | 'date' | 'list' | 'record';
export type StateValue =
  | string
  | number
  | boolean
  /** Of a variable that may hold nothing. */
  | null
  | readonly unknown[]
  | Readonly<Record<string, unknown>>;

export type ColumnType = 'text' | 'number' | 'boolean' | 'date';

export type ColumnRole = 'key' | 'name';

/** A column of a list of records that is a table. */
export interface Column {
  readonly name: string;
  readonly type: ColumnType;
  readonly required?: boolean;
  /** No two rows have the same. */
  readonly unique?: boolean;
  /** The only values that it may have, as texts. */
  readonly values?: readonly string[];
  /** Of numbers: the least and the greatest that it may have. */
  readonly min?: number;
  readonly max?: number;
  /**
   * `key`: rows are told apart by it, so that each has one of its own; where a row is added without, it gets the next.
   * `name`: what people call a row, where another table refers to it.
   */
  readonly role?: ColumnRole;
  /** It refers to rows of another list: it has one of the values of that one's column. */
  readonly refers?: Reference;
}

/** A column of a list that another column refers to. */
export interface Reference {
  readonly list: string;
  readonly column: string;
}

/** Where the values of a variable come from while the application runs. */
export interface Feed {
  /**
   * `stand-ins/mast?seed=1`; an address that begins with http:// or https:// and a host; or one on the server of the page,
   * `api/wind`. Behind that there may be expressions in braces: `stand-ins/suppers?page={page}`.
   */
  readonly address: string;
  /** `events`: server-sent events, each with a value as JSON; `json`: a value that is asked for again and again. */
  readonly as: 'events' | 'json';
  /** Seconds from one value to the next. */
  readonly every: number;
  /** Name of the text variable that is told how it goes: `waiting`, `live`, `silent` or `failed`. */
  readonly status?: string;
  /** Seconds until it begins. */
  readonly wait?: number;
  /** What the variable holds until the first value comes; absent: what it holds on the bench. */
  readonly start?: StateValue;
  /** It is asked with the person's cookies for its host, so that the service knows who asks (Fetch §2.2.5). */
  readonly credentials?: boolean;
}

/** A list of records whose rows are kept beside the document, however many they are. */
export interface StoredTable {
  /** What its rows are kept under; stays the same when the variable is renamed. */
  readonly id: string;
  /** How many rows it has. */
  readonly rows: number;
  /** Name of the text variable that is told how the rows come: `waiting`, `live` or `failed`. */
  readonly status?: string;
  /** Seconds until they begin to come. */
  readonly wait?: number;
}

/** A value that the running application keeps, readable in every expression of the project. */
export interface StateVariable {
  /** A JavaScript identifier, unique in the project. */
  readonly name: string;
  readonly type: StateType;
  /** Of a number: it may hold nothing, `null`, as an emptied field does. */
  readonly nullable?: boolean;
  readonly initial: StateValue;
  /** Of a list of records: its columns, as far as something is said about them. */
  readonly columns?: readonly Column[];
  /** An expression that it always follows, so that nothing is assigned to it; it may not hold yet. */
  readonly computed?: string;
  /** What it holds is there again when the application is opened the next time. */
  readonly kept?: boolean;
  /** Name of the only screen that knows it: it begins anew each time that the screen is entered. */
  readonly screen?: string;
  /** What gives it its values; what it holds at the start is there until the first one comes. */
  readonly feed?: Feed;
  /** Of a list of records: its rows are kept beside the document; `initial` holds the first of them. */
  readonly table?: StoredTable;
  /** Of a record: it is a request, and holds its answer. What it begins with is a sample, for the bench. */
  readonly request?: Request;
  /** Of a list of records: its rows lie behind a service. What it begins with is a sample, for the bench. */
  readonly remote?: RemoteTable;
}

/** A picture of the project. */
export interface Asset {
  /** File name, unique in the project. */
  readonly name: string;
  /** Media type. */
  readonly type: string;
  /** Its own size in CSS px. */
  readonly width: number;
  readonly height: number;
}

export interface Project {
  /** Version of this shape; see `projectFormat`. */
  readonly format: number;
  readonly name: string;
  /** Name of the screen that opens first; absent: the first screen. */
  readonly start?: string;
  /** The language of its words, a tag of BCP 47; absent: English. */
  readonly language?: string;
  /** One or two sentences for search engines and those who share its address. */
  readonly description?: string;
  /** The picture that stands for its page in tabs and on home screens, by file name; absent: the first letter of its name. */
  readonly icon?: string;
  /** Name of the component that stands around what is on a new screen. */
  readonly surround?: string;
  /** What kept values lie under in a visitor's browser, whatever the project is called; absent: its name. */
  readonly id?: string;
  /** Version of the kept values' shape, a whole number from 1; absent: 1. */
  readonly keptVersion?: string;
  /**
   * An expression that makes of `kept`, the values that were kept under an older `version`, those of this one, by the names of
   * their variables.
   */
  readonly keptMigration?: string;
  /** How screens take each other's place where nothing else is said: a name of `transitions`. */
  readonly transition?: string;
  readonly bands: readonly Band[];
  readonly state: readonly StateVariable[];
  /** The services that its requests go to; absent: none. */
  readonly sources?: readonly DataSource[];
  readonly assets: readonly Asset[];
  /** Design tokens, in the order of their file; absent: those that ship. */
  readonly tokens?: readonly Token[];
  /** Styles in the order of their file, later ones winning. */
  readonly styles?: readonly Style[];
  /** What is done with the running application, and expected of it; absent: none. */
  readonly tasks?: readonly Task[];
  /** The application's own code, in the order of its files' names; absent: none. */
  readonly code?: readonly CodeModule[];
  /** The folders that screens are in; absent: none. */
  readonly folders?: readonly Folder[];
  /** Where screens stand on the map of ways, as far as somebody moved them; absent: all are arranged. */
  readonly map?: readonly MapPlace[];
  /** Its languages, that of its source first; absent: it has one. */
  readonly locales?: readonly Locale[];
  /** Controls of kind `screen`, in the order in which they are listed. */
  readonly screens: readonly Control[];
  /** Controls of kind `component`: what is said once and stands wherever an instance of it stands; absent: none. */
  readonly components?: readonly Control[];
}

/** The lists of a project whose entities are trees of controls. */
export type TreeList = 'screens' | 'components';

/** What has trees of controls: a project, or as much of it as that. */
export type Trees = Pick<Project, TreeList>;

/** All trees of a project: its screens, and behind them its components. */
export const treesOf = ({ screens, components }: Trees): readonly Control[] =>
  components ? [...screens, ...components] : screens;

export const projectFormat = 2;

/** The bands of a new project. */
export const defaultBands: readonly Band[] = [
  { name: 'hand', label: 'Hand', from: 0 },
  { name: 'lap', label: 'Lap', from: 560 },
  { name: 'desk', label: 'Desk', from: 960 },
  { name: 'wall', label: 'Wall', from: 1440 },
];

/** The text of a value that is in force: its own, or for a draft the last good one. */
export function inForce(value: PropertyValue | undefined): string | undefined {
  return typeof value === 'object' ? value.good : value;
}

/** The text of a value as it was typed last. */
export function asTyped(value: PropertyValue | undefined): string | undefined {
  return typeof value === 'object' ? value.draft : value;
}

/** Whether a screen is shown over others, not in their place. */
export const isDialog = (screen: Control): boolean => inForce(screen.props.dialog) === 'true';

/** The screen that opens first. */
export function startScreen(project: Project): Control | undefined {
  return project.screens.find((screen) => screen.name === project.start) ?? project.screens[0];
}
