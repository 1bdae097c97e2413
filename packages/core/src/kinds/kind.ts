/**
 * What a control kind is. A kind is one file beside this one and one line in `catalogue.ts`; the parser, the
 * printer, validation, the fields of the interface, the layout and the exported page are all driven from it.
 */

import type { Values } from '../cascade/values.ts';
import type { BuiltInState } from '../document/control-states.ts';
import type { MenuSource } from '../document/menu.ts';
import type { Control, StateType, TreeList } from '../document/types.ts';
import type { Shape } from '../icons/icon-set.ts';
import type { Box, Content, PaneAtHinge } from '../layout/box.ts';
import type { PropertyType } from '../property-types/index.ts';
import type { Shift } from '../property-types/looks.ts';
import type { TextStyle } from '../text/paragraph.ts';
import type { Measure } from '../tokens/shipped.ts';
import type { Corners } from '../values/corners.ts';
import type { Theme } from '../values/theme.ts';
import type { PageTarget } from './page-target.ts';
import type { StateSelectors } from './states.ts';
import type { TableRow } from './table-rows.ts';

export type { PageTarget } from './page-target.ts';

/** Where a property stands among the questions that the interface asks. */
export type PropertyGroup =
  | 'place'
  | 'size'
  | 'inside'
  | 'content'
  | 'look'
  | 'letters'
  | 'effects'
  | 'parts'
  | 'data'
  | 'events';

/** What a property changes when it changes. */
export type Effect = 'layout' | 'look' | 'behaviour';

/** @template T what its value is, as its type reads it. */
export interface Property<T = unknown> {
  /** The attribute in the source. */
  readonly name: string;
  /** What the interface calls it. */
  readonly label: string;
  readonly group: PropertyGroup;
  readonly type: PropertyType<T>;
  /** What holds where nothing is said: a text in canonical form, or what the theme says. */
  readonly default?: string | { readonly theme: Measure };
  readonly effect: Effect;
  /** May differ from band to band. */
  readonly perBand: boolean;
  /** False: a style cannot say it, though its group may. */
  readonly styled?: false;
  /** It follows no expression. */
  readonly plain?: true;
  /** False: it cannot differ from state to state, though it may from band to band. */
  readonly inStates?: false;
  /** What it changes to from a band follows no expression: a stylesheet alone decides between bands. */
  readonly plainChanges?: boolean;
  /** May be bound in both directions (`NAME.bind`), to a state variable of one of these types. */
  readonly twoWay?: readonly StateType[];
  readonly page?: PageTarget;
  /** Arrangements of its parent in which alone it means something, or means nothing; the interface shows it by that. */
  readonly onlyIn?: readonly Arrangement[];
  readonly notIn?: readonly Arrangement[];
  /** Ways of arranging its own children in which alone it means something; the interface shows it by that. */
  readonly onlyLike?: readonly ('row' | 'column' | 'grid')[];
  /** Its words stand on as many lines as they have: a line break in them is seen. */
  readonly manyLines?: boolean;
  /** It sets other properties: what each of them is, by name, where nothing stands beside it. */
  sets?(text: string, theme: Theme): Readonly<Record<string, string>>;
  /** It means something only as long as no children stand in the control. */
  readonly onlyEmpty?: boolean;
  /** It names columns of a table: of the one that it is said of, or that it stands in. */
  readonly columns?: NamesColumns;
  /** One sentence: what it does; absent where the sentence that ships for its name is meant. */
  readonly says?: string;
  /**
   * Whether it is always at hand in the interface; others are as soon as something says them, or they are asked for. Absent:
   * content is.
   */
  readonly leads?: boolean;
  /** A command of the interface that is offered beside it, by its id, and the words for that. */
  readonly offers?: { readonly command: string; readonly label: string; readonly hint: string };
}

/** A property whose plain text names columns of a table. */
export interface NamesColumns {
  /** Which table: what the control itself shows, or what the control around it shows. */
  readonly of: 'own' | 'around';
  /** The columns that a text names. */
  in(text: string): readonly string[];
  /** The text with another name for a column. */
  renamed(text: string, from: string, to: string): string;
}

/** How a kind repeats what stands in it: once for each item of a list. */
export interface Repeats {
  /** The property that gives the list. */
  readonly list: Property<readonly unknown[]>;
  /** What an item is called inside: the property that says so, or always the same. */
  readonly as: Property<string> | string;
  /** Without children it repeats nothing, but shows the list itself. */
  readonly whenFilled?: boolean;
}

/** An event of a control, `on.NAME` in the source. */
export interface EventEntry {
  readonly name: string;
  readonly label: string;
  /** The name under which it gives something gives way to a variable, an item or a parameter of the same name. */
  readonly yields?: true;
  /** What comes with it is one of the items that the control shows. */
  readonly givesItem?: true;
  /** The event of the page's element that it is (DOM, UI Events). */
  readonly dom: string;
  /** A name that the event's actions may read: the chosen value. */
  readonly gives?: string;
}

/** What the words, boxes and pictures inside a control are made with. */
export interface Making {
  /** A box of words, set in a style; sizes in `style` are before the reader's text scale. */
  words(text: string, style: TextStyle, look: Look, place?: Partial<Box['style']>): Box;
  /** Words ready to be the content of the control's own box; `most`: at most so many lines. */
  content(text: string, style: TextStyle, most?: number): Content;
  /** A box with nothing in it but a look. Sizes in CSS px, already scaled. */
  blank(
    size: { width: number; height: number; baseline?: number },
    look: Look,
    place?: Partial<Box['style']>,
  ): Box;
  /** Where words stand that are centred on one line in a box of some height: the baseline from its top. */
  centredBaseline(style: TextStyle, height: number): number;
  /** The shapes of an icon by name; those of a blank square where there is none of that name. */
  icon(name: string): readonly Shape[];
  /** A picture's own size; a stand-in size where the project has no such picture. */
  picture(name: string): { readonly width: number; readonly height: number };
  /** A box around others. */
  group(content: Content, children: readonly Box[], place?: Partial<Box['style']>, look?: Look): Box;
  readonly theme: Theme;
  /** A colour attribute as a painter needs it. */
  colour(text: string): string;
  /** How plain words of the theme are set, for the kinds' own parts. */
  plain(rest?: Partial<TextStyle>): TextStyle;
  /** The reader's text scale. */
  readonly scale: number;
  readonly rightToLeft: boolean;
  /** The name of the screen that all of it stands on. */
  here(): string | undefined;
  /** The pane beside the fold, of a split on a screen that folds. */
  readonly paneAtHinge?: PaneAtHinge | undefined;
}

/** How a box is painted. Colours are CSS colours. */
export interface Look {
  readonly background?: string;
  /** The part of its control that it is, where that has a look of its own. */
  readonly part?: string;
  /** What it is filled with where that is more than one colour, as attributes have it, colours worked out. */
  readonly fill?: string;
  /** One colour, or those of the four sides: top, end, bottom, start. */
  readonly borderColour?: string | readonly string[];
  /** Lines of the four sides; absent: solid ones. */
  readonly borderStyle?: readonly string[];
  readonly corner?: number | Corners;
  /** Shadows of the box and of its words, as attributes have them, colours worked out. */
  readonly shadow?: string;
  readonly textShadow?: string;
  /** A gradient that fills the words. */
  readonly textFill?: string;
  /** Px that it, and what is behind it, is blurred by. */
  readonly blur?: number;
  readonly blurBehind?: number;
  /** Where and how it is seen, about its middle: no part of the layout (CSS Transforms 2 §4). */
  readonly turned?: { readonly degrees: number; readonly scale: number; readonly shift: Shift };
  /** Order of painting among its siblings. */
  readonly z?: number;
  readonly strike?: boolean;
  readonly colour?: string;
  readonly opacity?: number;
  readonly text?: TextStyle;
  /** Words inside a blank box, on one line, in the middle of its height or so many px from its top. */
  readonly inner?: {
    readonly text: string;
    readonly padding: number;
    readonly top?: number;
    /** The words are a value that browsers write in the way of whoever reads them; the text is as HTML has it. */
    readonly written?: 'date' | 'time' | 'number';
  };
  /** A line through the middle of the box that is filled to a part of it, from its start. */
  readonly gauge?: Gauge;
  /** A line inside the edge that takes no room. */
  readonly ring?: string;
  /** The colour of the ring around what has the focus, a little outside of the edge (CSS UI 4 §3). */
  readonly focusRing?: string;
  /** A picture of the project by file name. */
  readonly picture?: string;
  /** How a picture of other proportions lies in its box (CSS Images 3 §5.5). */
  readonly pictureFit?: 'cover' | 'contain' | 'fill';
  /** The point of a picture that stays in sight, in per cent of its width and height. */
  readonly pictureFocus?: readonly [number, number];
  readonly drawing?: Drawing;
  /** Words are underlined. */
  readonly underline?: boolean;
  /** How far below the baseline, em; absent: as browsers have it. */
  readonly underlineGap?: number;
  /** What does not fit is cut off: in a scroll it can be scrolled to. */
  readonly clips?: boolean;
}

/** A line that is filled to a part. */
export interface Gauge {
  /** From 0 to 1. */
  readonly part: number;
  readonly thickness: number;
  /** Diameter of the thumb. */
  readonly knob?: number;
  readonly colour: string;
  readonly ground: string;
}

/** Lines and shapes in coordinates of their own. Those without a colour take the look's. */
export interface Drawing {
  /** Width and height of its coordinates. */
  readonly size: readonly [number, number];
  /** SVG elements: tag and attributes. */
  readonly shapes: readonly Shape[];
  /**
   * `stretch`: as large as the box, lines keep their thickness; `middle`: as large as fits, in the middle; a number: a
   * square of so many px at the inline end.
   */
  readonly place: 'stretch' | 'middle' | number;
}

/** What a kind puts inside its box. */
export interface Inside {
  readonly content: Content;
  /** The boxes inside; absent on a container: those of its children, as they are. */
  readonly parts?: readonly Box[];
  readonly look?: Look;
  /** Style that the kind itself sets; of properties that its controls do not have. */
  readonly style?: Partial<Box['style']>;
}

/** A child of a control that its parent gives a meaning: a `div` becomes an element of another tag. */
export interface ChildAs {
  /** Its index. */
  readonly child: number;
  readonly tag: string;
}

/** An element of an exported page. */
export interface PageElement {
  readonly tag: string;
  readonly classes?: readonly string[];
  readonly attributes?: Readonly<Record<string, string | number | boolean>>;
  /** Words, or elements; absent on a void element. */
  readonly text?: string;
  /** On an `svg`: the name of the icon whose shapes it has. */
  readonly icon?: string;
  /** A number stands for a child of the control, by its index. */
  readonly children?: readonly (PageElement | number | ChildAs)[];
  /** What a control repeats stands behind its children: for each item all that the control has in it. */
  readonly copies?: { readonly around?: Pick<PageElement, 'tag' | 'classes' | 'attributes'> };
}

/** A part inside a control's element that carries some of its properties. */
export interface CarryingPart {
  /** Where it is, as a CSS selector from the control's element: `> .part-content`. */
  readonly selector: string;
  readonly properties: readonly string[];
}

/** A part inside a control that has a look of its own. */
export interface LookPart {
  readonly name: string;
  readonly label: string;
  /** Where it is, as a CSS selector from the control's element: ` > .part-input`. */
  readonly selector: string;
  /** The same for engines that call it something else. */
  readonly elsewhere?: string;
  /** Another part of which it is one: what is said of that holds for it, too. */
  readonly within?: string;
}

/** Where a control of a kind may stand and what it may hold, beside what `container` says. */
export interface Confines {
  /** Kinds of parents; absent: any container. */
  readonly parents?: readonly string[];
  /** Kinds of children; absent: any. */
  readonly children?: readonly string[];
  /** Most children. */
  readonly most?: number;
}

/** CSS declarations for the properties that only this kind has, from a control's own values. */
export type DeclaredCss = (values: Values) => Iterable<readonly [name: string, value: string]>;

/** How children are put: one after another along an axis, in cells, over each other, or at pins. */
export type Arrangement = 'row' | 'column' | 'cells' | 'layers' | 'pins';

/** An arrangement that follows from the value of a property. */
export interface ArrangedBy<T> {
  readonly by: Property<T>;
  /** @param value undefined where nothing holds. */
  as(value: T | undefined): Arrangement;
}

/** Two children side by side where there is room, as a kind's properties say it. */
export interface Panes {
  /** Their parts of the width. */
  readonly ratio: Property<readonly [number, number]>;
  /** Which one is shown alone. */
  readonly show: Property<'first' | 'second'>;
  /** Whether the gap between them lies where the screen folds. */
  readonly hinge: Property<boolean>;
}

/** What is inside an element that is made anew. */
export interface MadeAnew {
  readonly children: readonly PageElement[];
  /** Its accessible name, where that follows from the content. */
  readonly label?: string;
}

/**
 * What the layout, the export and a running page ask of a kind. A page leaves the rest of the kind behind, so a kind's file
 * exports this by itself, under the name `manner` (`scripts/page-script.mjs` gathers them).
 */
export interface Manner {
  /** How it puts its children; absent: one below the other. */
  readonly arranges?: Arrangement | ArrangedBy<string>;
  /** Its children are panes beside each other, of which one alone is shown where there is no room for both. */
  readonly panes?: Panes;
  /** CSS of its own properties. */
  readonly css?: DeclaredCss;
  /** CSS of its own properties on a part inside it that carries some (see `parts`). */
  readonly partCss?: DeclaredCss;
  /** What `color` paints, where that is not the words. */
  readonly paints?: 'background';
  /** Its element keeps a size of its own where others stretch (a button, a picture; Position 3 §4). */
  readonly keepsSize?: boolean;
  /**
   * What of it is made anew when something bound in it changes that has no property of its element: the drawing of a chart,
   * the options of a select. The part is said by the properties (`page.part`); without one it is all that is inside.
   *
   * @param name what ids begin with, as for `element`.
   * @param count how many children the control has.
   */
  anew?(values: Values, name: string, count: number): MadeAnew;
  /** The records that it shows in rows, in their order: its page sorts them, and events give them. */
  rows?(values: Values): readonly TableRow[];
}

export interface Kind {
  /** The element in the source. */
  readonly name: string;
  readonly label: string;
  readonly group: 'arrange' | 'show' | 'ask' | 'act';
  /** One sentence: its purpose. */
  readonly purpose: string;
  /** Words by which somebody may look for it. */
  readonly findBy: readonly string[];
  /** Its sign in the interface: the name of an icon. */
  readonly glyph: string;
  readonly container: boolean;
  /** It stands at the top of a tree, and nowhere else: the list of the project that such trees are in. */
  readonly root?: TreeList;
  /** It says what its component has, under a name that only there means something: parameters, events. */
  readonly declares?: 'parameter' | 'variable' | 'event' | 'case' | 'motion';
  /** It gives values to the parameters of a component that is not its own name: what stands in front of them, `surround` or `with`. */
  readonly gives?: string;
  /** It means something inside a component only. */
  readonly inComponents?: true;
  /** It is an instance of the component of its name: attributes that it does not list are parameters, events the component's. */
  readonly open?: true;
  /** Of instances whose component is known: the names of its slots, an empty one for the slot without a name. */
  readonly slots?: readonly string[];
  readonly repeats?: Repeats;
  /**
   * It is pressed as a whole: large enough is `least`, 24 px (WCAG 2.2, 2.5.8), for what stands among words; `ample`, 44 px
   * (2.5.5), for what fingers aim at.
   */
  readonly target?: 'least' | 'ample';
  /** It is a heading: the property that says of which level. */
  readonly heads?: Property<number>;
  /** What is in it may be larger than it is, so nothing in it fills it. */
  readonly scrolls?: boolean;
  /** In a cell that it stretches across, it is as wide as a hundred per cent of it (`cascade/across-cell.ts`). */
  readonly fillsCells?: boolean;
  /** It may well go on across a fold of the screen, though it is pressed. */
  readonly acrossFold?: boolean;
  /** What it says, by attribute, where its source leaves one of them open: that follows from the project. */
  readonly fromProject?: {
    readonly unless: string;
    props(project: MenuSource): Readonly<Record<string, string>>;
  };
  /** Its first part holds a head for each of its children, which stands for the child when something is dropped on it. */
  readonly hasHeads?: boolean;
  readonly properties: readonly Property[];
  /** The states that it may be in, beside its own; absent: a pointer over it, and pressed. */
  readonly states?: StateSelectors;
  /** The states that its values say: whether it is off, checked. */
  statesNow?(values: Values): readonly BuiltInState[];
  readonly events: readonly EventEntry[];
  /** How it stands where one alone, with what a newly placed one has, shows little: source for docs and comparisons. */
  readonly example?: string;
  /** Browsers write words of their own in it, in the reader's language. */
  readonly nativeWords?: boolean;
  /** Properties of a newly placed one. */
  readonly starter: Readonly<Record<string, string>>;
  /** Kinds of the children that a newly placed one has. */
  readonly starterChildren?: readonly string[];
  readonly confines?: Confines;
  /** What a running page asks, too; absent: nothing special. */
  readonly manner?: Manner;
  /** Words that stand in place of its items; empty: the items are shown. */
  said?(values: Values): string;
  /** The items for which its children stand there in turn (see `repetitionOf`). */
  items?(values: Values): readonly unknown[];
  /**
   * @param children boxes of a container's children in document order; undefined where one is hidden.
   * @param controls the children themselves, hidden ones included.
   */
  inside(
    values: Values,
    make: Making,
    children: readonly (Box | undefined)[],
    controls: readonly Control[],
  ): Inside;
  /**
   * The element and its own parts.
   *
   * @param children a container's children; its element has all of them where it does not say where they go.
   * @param name the screen's name, a hyphen and the control's, with the items of repeats that it stands in: unique on the page, for ids.
   */
  element(values: Values, children: readonly Control[], name: string): PageElement;
  /** Parts with a look of their own; their boxes are named by `Look.part`, their properties made by `partLooks`. */
  readonly lookParts?: readonly LookPart[];
  /** Parts that carry properties of the control, for the export. */
  parts?(children: readonly Control[]): readonly CarryingPart[];
  /** Rules of the page's stylesheet that it has in common with other kinds; each is there once. */
  readonly sharedCss?: readonly ((theme: Theme) => string)[];
  /** Rules of the page's stylesheet for all controls of this kind. */
  css(theme: Theme): string;
}
