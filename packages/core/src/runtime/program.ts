/** What an exported page runs: state, bindings and events of its screens as plain data. */

import type { StateVariable } from '../document/types.ts';
import type { Axis } from '../export/declarations.ts';
import type { Statement, Template } from '../expression/ast.ts';
import type { PageTarget } from '../kinds/kind.ts';

/** A property with content (words, a value, an attribute) that follows an expression. */
export interface ContentBinding {
  readonly control: string;
  readonly property: string;
  readonly kind: string;
  readonly template: Template;
  readonly target: PageTarget;
}

/** An input that reads and writes a state variable. */
export interface TwoWayBinding {
  readonly control: string;
  readonly variable: string;
  readonly target: PageTarget;
}

/** A control some of whose size, place or look follows expressions. */
export interface StyleBinding {
  readonly control: string;
  readonly kind: string;
  /** The main axis of the container around it. */
  readonly axis: Axis;
  readonly templates: Readonly<Record<string, Template>>;
}

export interface EventBinding {
  readonly control: string;
  readonly event: string;
  readonly statements: readonly Statement[];
}

export interface ScreenProgram {
  readonly name: string;
  readonly title: string;
  readonly content: readonly ContentBinding[];
  readonly twoWay: readonly TwoWayBinding[];
  readonly style: readonly StyleBinding[];
  readonly events: readonly EventBinding[];
}

export interface Program {
  /** Name of the screen that opens first. */
  readonly start: string;
  readonly state: readonly StateVariable[];
  /** Addresses of the project's pictures by name. */
  readonly pictures: Readonly<Record<string, string>>;
  readonly screens: readonly ScreenProgram[];
}
