/** The place of a way in the source: control, attribute, and place in the attribute's text. */
import { locate } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import type { Span } from '../expression/ast.ts';
import { saidAt } from '../steps/source-steps.ts';
import { type Way, waysSaid } from './ways.ts';

/** The place of a way in the source. */
export interface WayPlace {
  readonly control: Control;
  /** The screen or component that the control is in. */
  readonly tree: Control;
  readonly attribute: string;
  readonly text: string;
  /** Of an event: where the name of the screen is written, quotes included. */
  readonly span?: Span;
}

/** @returns where a way is said; undefined where no attribute says it as it is: the menu does, or a value that comes from elsewhere. */
export function placeOfWay(project: Project, way: Way): WayPlace | undefined {
  if (way.attribute === '') return undefined;
  const found = locate(project, saidAt(project, way.control, way.attribute));
  const text = found && inForce(found.control.props[way.attribute]);
  if (!found || text === undefined) return undefined;
  const place = { control: found.control, tree: found.screen, attribute: way.attribute, text };
  if (way.by === 'splash') return place;
  const said = waysSaid(found.control, way.attribute, text, project.bands).filter(
    ({ by, to }) => by === way.by && to === way.to,
  );
  // Of several ways to one screen it is the one at the same place of the text.
  const one = said.find(({ span }) => span?.[0] === way.span?.[0]) ?? said[0];
  return one && { ...place, ...(one.span ? { span: one.span } : {}) };
}
