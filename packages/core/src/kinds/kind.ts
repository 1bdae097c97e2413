/**
 * What a control kind is. A kind is one file beside this one and one line in `catalogue.ts`; the parser, the
 * printer, validation, the fields of the interface, the layout and the exported page are all driven from it.
 */

import type { PropertyType } from '../document/property-types.ts';
import type { Control, StateType } from '../document/types.ts';
import type { Values } from '../document/values.ts';
import type { Box, Content } from '../layout/box.ts';
import type { TextStyle } from '../text/paragraph.ts';

/** Where a property stands among the questions that the interface asks. */
export type PropertyGroup = 'place' | 'size' | 'inside' | 'content' | 'look' | 'data' | 'events';

/** What a property changes when it changes. */
export type Effect = 'layout' | 'look' | 'behaviour';

/** How a property with content reaches the element of an exported page. */
export interface PageTarget {
  /** Class of the part inside the control's element; absent: the element itself. */
  readonly part?: string;
  /** `text`: its words; `attribute`: an attribute; `property`: a live property of the element. */
  readonly as: 'text' | 'attribute' | 'property';
  /** The attribute's or property's name. */
  readonly name?: string;
}

export interface Property {
  /** The attribute in the source. */
  readonly name: string;
  /** What the interface calls it. */
  readonly label: string;
  readonly group: PropertyGroup;
  readonly type: PropertyType;
  /** In canonical text; what holds where nothing is said. */
  readonly default?: string;
  readonly effect: Effect;
  /** May differ from band to band. */
  readonly perBand: boolean;
  /** May be bound in both directions (`NAME.bind`), to a state variable of one of these types. */
  readonly twoWay?: readonly StateType[];
  readonly page?: PageTarget;
  /** Kinds of parents in which alone it means something, or means nothing; the interface shows it by that. */
  readonly onlyIn?: readonly string[];
  readonly notIn?: readonly string[];
}

/** An event of a control, `on.NAME` in the source. */
export interface EventEntry {
  readonly name: string;
  readonly label: string;
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
  /** A picture's own size; a stand-in size where the project has no such picture. */
  picture(name: string): { readonly width: number; readonly height: number };
  /** A box around others. */
  group(content: Content, children: readonly Box[], place?: Partial<Box['style']>): Box;
  /** The reader's text scale. */
  readonly scale: number;
  readonly rightToLeft: boolean;
}

/** How a box is painted. Colours are CSS colours. */
export interface Look {
  readonly background?: string;
  readonly borderColour?: string;
  readonly corner?: number;
  readonly colour?: string;
  readonly opacity?: number;
  readonly text?: TextStyle & { readonly align: 'start' | 'center' | 'end' };
  /** Words inside a blank box, on one line, in the middle of its height. */
  readonly inner?: { readonly text: string; readonly padding: number };
  /** A picture of the project by file name, or a sign by name. */
  readonly picture?: string;
  readonly sign?: 'tick';
  /** What does not fit is cut off: in a scroll it can be scrolled to. */
  readonly clips?: boolean;
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

/** An element of an exported page. */
export interface PageElement {
  readonly tag: string;
  readonly classes?: readonly string[];
  readonly attributes?: Readonly<Record<string, string | boolean>>;
  /** Words, or elements; absent on a void element. */
  readonly text?: string;
  /** A number stands for a child of the control, by its index. */
  readonly children?: readonly (PageElement | number)[];
}

/** A part inside a control's element that carries some of its properties. */
export interface CarryingPart {
  /** Where it is, as a CSS selector from the control's element: `> .part-content`. */
  readonly selector: string;
  readonly properties: readonly string[];
}

/** Where a control of a kind may stand and what it may hold, beside what `container` says. */
export interface Confines {
  /** Kinds of parents; absent: any container. */
  readonly parents?: readonly string[];
  /** Most children. */
  readonly most?: number;
}

export interface Kind {
  /** The element in the source. */
  readonly name: string;
  readonly label: string;
  readonly group: 'arrange' | 'show' | 'ask' | 'act';
  /** One sentence: what it is for. */
  readonly purpose: string;
  /** Words by which somebody may look for it. */
  readonly findBy: readonly string[];
  readonly container: boolean;
  readonly properties: readonly Property[];
  readonly events: readonly EventEntry[];
  /** Properties of a newly placed one. */
  readonly starter: Readonly<Record<string, string>>;
  readonly confines?: Confines;
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
   */
  element(values: Values, children: readonly Control[]): PageElement;
  /** Parts that carry properties of the control, for the export. */
  parts?(children: readonly Control[]): readonly CarryingPart[];
  /** Rules of the page's stylesheet for all controls of this kind. */
  readonly css: string;
}
