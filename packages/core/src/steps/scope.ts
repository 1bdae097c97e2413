/** Editing for a band or an orientation: values that may change there are set for it, all others for all widths. */

import { readAttribute } from '../cascade/attributes.ts';
import { locate, placedAt } from '../document/tree.ts';
import { type Control, inForce, type Project, type PropertyValue } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { itemAt } from '../sure.ts';
import { copyFor } from './edits.ts';
import { scopeParts } from './scope-parts.ts';
import type { Step } from './step.ts';

/**
 * What moves for some widths only: among its siblings by their `order`; into another container as a copy that is there
 * from then on, while it is hidden itself.
 *
 * @returns undefined where the steps do more than move controls and set what they have there.
 */
function movedIn(
  project: Project,
  steps: readonly Step[],
  scope: string,
  newId: () => string,
): Step[] | undefined {
  const moves = steps.filter((step) => step.type === 'move');
  if (moves.length === 0 || steps.some(({ type }) => type !== 'move' && type !== 'set')) return undefined;
  const places = moves.flatMap((move) => {
    const from = placedAt(project, move.control);
    return from && move.parent !== null ? [{ move, from }] : [];
  });
  if (places.length < moves.length) return undefined;
  const made: Step[] = [];
  const among = places.filter(({ move, from }) => from.parent.id === move.parent);
  if (among.length > 0) {
    const parent = itemAt(among, 0).from.parent;
    const orderOf = (control: Control) =>
      Number(inForce(control.props[`${scope}.order`]) ?? inForce(control.props.order) ?? 0);
    const shown = parent.children.toSorted((a, b) => orderOf(a) - orderOf(b));
    for (const { move } of among) {
      // In front of the sibling that it would stand in front of in the tree.
      const next = parent.children.filter(({ id }) => id !== move.control)[move.index];
      const [control] = shown.splice(
        shown.findIndex(({ id }) => id === move.control),
        1,
      );
      const at = next ? shown.indexOf(next) : -1;
      if (control) shown.splice(at < 0 ? shown.length : at, 0, control);
    }
    shown.forEach((control, index) => {
      // Below 0, so that what is added later comes last, as it does in the tree.
      const order = index - shown.length;
      if (orderOf(control) !== order)
        made.push({ type: 'set', control: control.id, property: `${scope}.order`, value: String(order) });
    });
  }
  const sets = steps.filter((step) => step.type === 'set');
  const copied = new Set<string>();
  for (const { move, from } of places) {
    if (from.parent.id === move.parent) continue;
    copied.add(move.control);
    const copy = copyFor(from.screen, from.control, newId);
    made.push({ type: 'set', control: move.control, property: `${scope}.hidden`, value: 'true' });
    const props: Record<string, PropertyValue> = {};
    for (const [name, value] of Object.entries(copy.props))
      if (name !== 'hidden' && !name.endsWith('.hidden')) props[name] = value;
    // What it gets at its new place is the copy's from the beginning.
    for (const { control, property, value } of sets) {
      if (control !== move.control) continue;
      if (value === null) delete props[property];
      else props[property] = value;
    }
    made.push({
      type: 'insert',
      parent: move.parent,
      index: move.index,
      control: { ...copy, props: { ...props, hidden: 'true', [`${scope}.hidden`]: 'false' } },
    });
  }
  return [
    ...made,
    ...scoped(
      project,
      sets.filter(({ control }) => !copied.has(control)),
      scope,
      newId,
    ),
  ];
}

/**
 * @param scope a band's name or an orientation, a state, or both; empty: all widths and states.
 * @returns the steps with their values set for the scope; steps that place or rename controls as they are, and so what
 *   says itself what it is for.
 */
export function scoped(
  project: Project,
  steps: readonly Step[],
  scope: string,
  newId: () => string,
): readonly Step[] {
  if (scope === '') return steps;
  const { width, state } = scopeParts(project, scope);
  // What moves does so whatever state it is in.
  if (state !== '' && steps.some(({ type }) => type === 'move')) return scoped(project, steps, width, newId);
  const moved = movedIn(project, steps, scope, newId);
  if (moved) return moved;
  // What is placed anew stands there at all widths.
  if (steps.some(({ type }) => type !== 'set')) return steps;
  return steps.flatMap((step): Step[] => {
    if (step.type !== 'set') return [step];
    const control = locate(project, step.control)?.control;
    const meaning = control && readAttribute(kindOf(control), step.property, project.bands);
    if (!control || typeof meaning !== 'object' || meaning.role !== 'value' || meaning.prefix !== '')
      return [step];
    if (!meaning.property.perBand) return [step];
    const property = `${scope}.${step.property}`;
    // A kind without the state keeps what it has.
    if (typeof readAttribute(kindOf(control), property, project.bands) === 'string') return [];
    if (step.value === null) return property in control.props ? [{ ...step, property }] : [];
    return [{ ...step, property }];
  });
}
