/**
 * A picture that stretches across its cell and says nothing about its width is as wide as a hundred per cent of the cell: its
 * height follows by its ratio. Engines differ about the height of the row of a picture that merely stretches (CSS Grid 2
 * §6.2 takes the stretched width, two of them the picture's own); about the percentage they agree. Where an expression has a
 * say in it, a page has no rule for it, and the picture stretches.
 */
import { type Control, inForce } from '../document/types.ts';
import { hasExpression } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { cellJustify, justifySelf, margin, width } from '../kinds/properties.ts';
import type { Values } from './values.ts';

/** Whether an expression says what a property is, from some width up or always. */
export const isBound = ({ props }: Control, name: string): boolean =>
  Object.entries(props).some(
    ([attribute, value]) =>
      (attribute === name || attribute.endsWith(`.${name}`)) && hasExpression(inForce(value) ?? ''),
  );

/** Whether a control may fill its cell by a percentage. */
export const mayFillCell = (control: Control): boolean =>
  kindOf(control).fillsCells === true &&
  ![width, justifySelf, margin].some(({ name }) => isBound(control, name));

/** Whether the cells of a container may be filled so. */
export const mayBeFilled = (container: Control): boolean => !isBound(container, cellJustify.name);

/**
 * Whether a picture fills its cell by what it says itself.
 *
 * @param stretches whether what is in the container's cells stretches across where it says nothing else.
 */
export function fillsCell(values: Values, stretches: boolean): boolean {
  const wanted = values.get(width);
  const isShare = typeof wanted === 'object' && 'share' in wanted;
  if (wanted !== undefined && !isShare) return false;
  const { start = 0, end = 0 } = values.get(margin) ?? {};
  if (start !== 0 || end !== 0) return false;
  const self = values.get(justifySelf);
  return isShare || (self === undefined ? stretches : self === 'stretch');
}
