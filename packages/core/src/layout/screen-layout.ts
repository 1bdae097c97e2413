/**
 * The layout of one screen at one size: every box at its place on the screen.
 *
 * A `ScreenView` is kept for as long as a screen is shown at a size; laying out again after a change costs only
 * what the change touched.
 */

import { effectiveNames } from '../document/names.ts';
import { locationsIn } from '../document/tree.ts';
import type { Control, Project } from '../document/types.ts';
import { prefixesInForce } from '../document/values.ts';
import { EvaluationError, type Scope } from '../expression/evaluate.ts';
import type { Look } from '../kinds/kind.ts';
import type { Line } from '../text/paragraph.ts';
import type { Shaper } from '../text/shaper.ts';
import type { Box } from './box.ts';
import { Builder } from './build.ts';
import type { Laid } from './laid.ts';
import { layOut } from './lay-out.ts';

/** How a screen is looked at. Lengths in CSS px. */
export interface View {
  readonly width: number;
  readonly height: number;
  /** The reader's text scale; 1 is plain. */
  readonly textScale?: number;
  /** Right to left: start and end change sides. */
  readonly rightToLeft?: boolean;
}

/** A box at its place on the screen. CSS px from the screen's top left corner. */
export interface ScreenBox {
  /** Id of the control; undefined for a part inside one. */
  readonly control: string | undefined;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Index of the box around it in the list; -1 for the screen. */
  readonly parent: number;
  readonly look: Look;
  readonly box: Box;
  readonly lines: readonly Line[];
}

/** A screen laid out. */
export interface ScreenLayout {
  readonly width: number;
  /** Height of the whole screen, which may be more than the view's. */
  readonly fullHeight: number;
  /** Parents before children, in document order. */
  readonly boxes: readonly ScreenBox[];
  /** The boxes of controls by id; hidden controls have none. */
  readonly byControl: ReadonlyMap<string, ScreenBox>;
}

/** The initial values of the state, as a scope for expressions. */
export function initialScope(project: Project): Scope {
  const values = new Map<string, unknown>(project.state.map((variable) => [variable.name, variable.initial]));
  return (name) => {
    if (!values.has(name)) throw new EvaluationError(`There is no state variable \`${name}\`.`);
    return values.get(name);
  };
}

/** Lays out one screen again and again as the project changes. */
export class ScreenView {
  private builder: Builder | undefined;
  private key = '';
  private made: Pick<Project, 'state' | 'assets' | 'bands'> | undefined;

  constructor(private readonly shaper: Shaper) {}

  layOut(project: Project, screen: Control, view: View): ScreenLayout {
    const textScale = view.textScale ?? 1;
    const size = { bands: project.bands, width: view.width, height: view.height };
    const rightToLeft = view.rightToLeft ?? false;
    const key = `${prefixesInForce(size).join()} ${textScale} ${rightToLeft}`;
    const sameProject =
      this.made?.state === project.state &&
      this.made.assets === project.assets &&
      this.made.bands === project.bands;
    if (!this.builder || key !== this.key || !sameProject) {
      const scope = initialScope(project);
      this.builder = new Builder({
        shaper: this.shaper,
        assets: project.assets,
        textScale,
        rightToLeft,
        scope,
        ...size,
      });
      this.key = key;
      this.made = project;
    }
    const root = this.builder.box(screen);
    if (!root) throw new Error('A screen cannot be hidden');
    return place(root, view);
  }
}

/** Lays out a screen's box in a view and puts every box at its place on the screen. */
function place(root: Box, view: View): ScreenLayout {
  // The page: a column as wide as the view and at least as high, growing with its content.
  const screen: Box =
    root.style.minHeight === view.height
      ? root
      : { ...root, style: { ...root.style, minHeight: view.height }, known: { laid: new Map() } };
  const laid = layOut(screen, { width: view.width, height: undefined, definite: false });
  const boxes: ScreenBox[] = [];
  const byControl = new Map<string, ScreenBox>();
  const visit = (from: Laid, x: number, y: number, parent: number) => {
    const left = view.rightToLeft ? view.width - x - from.width : x;
    const { box, width, height, lines } = from;
    const at: ScreenBox = {
      control: box.control,
      x: left,
      y,
      width,
      height,
      parent,
      look: box.look as Look,
      box,
      lines,
    };
    const index = boxes.push(at) - 1;
    if (box.control !== undefined) byControl.set(box.control, at);
    for (const child of from.children) visit(child.laid, x + child.x, y + child.y, index);
  };
  visit(laid, 0, 0, -1);
  return { width: laid.width, fullHeight: laid.height, boxes, byControl };
}

/** One control of a layout, as the command line prints it. Lengths in CSS px. */
export interface NamedBox {
  readonly name: string;
  readonly kind: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** The controls of a layout in tree order, with their names. Hidden controls are left out. */
export function namedBoxes(screen: Control, layout: ScreenLayout): NamedBox[] {
  const names = effectiveNames(screen);
  const exact = (value: number) => Number(value.toFixed(4));
  return [...locationsIn(screen).values()].flatMap(({ control }) => {
    const box = layout.byControl.get(control.id);
    if (!box) return [];
    const { x, y, width, height } = box;
    return [
      {
        name: names.get(control.id)!,
        kind: control.kind,
        x: exact(x),
        y: exact(y),
        width: exact(width),
        height: exact(height),
      },
    ];
  });
}
