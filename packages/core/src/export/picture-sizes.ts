/**
 * Sizes of pictures on a page, said so that all engines lay them out alike. A picture that fills its cell does so by a
 * percentage (`cascade/across-cell.ts`). One that is as large as its content (`fit`) keeps an automatic size and is not
 * stretched: with `fit-content` one engine stretches it all the same, and another forgets its ratio (CSS Sizing 4 §6.1).
 */
import { fillsCell, isBound, mayBeFilled, mayFillCell } from '../cascade/across-cell.ts';
import type { Conditions } from '../cascade/cascade.ts';
import { plainValues } from '../cascade/plain-values.ts';
import type { Values } from '../cascade/values.ts';
import { type Around, isOfCells, justifiesCells } from '../css/declarations.ts';
import type { Control } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { align, alignSelf, height, justify, justifySelf, width } from '../kinds/properties.ts';

/** A control, what it stands in, and what both say under some conditions. */
interface Standing {
  readonly control: Control;
  readonly parent: Control;
  /** The control's own. */
  readonly values: Values;
  readonly conditions: Conditions;
  readonly around: Around;
}

/** The side that stretches, and by which properties: of the control, of the container, and of CSS. */
const stretching = {
  row: [{ side: 'height', self: alignSelf, all: align, css: 'align-self' }],
  column: [{ side: 'width', self: alignSelf, all: align, css: 'align-self' }],
  cells: [
    { side: 'height', self: alignSelf, all: align, css: 'align-self' },
    { side: 'width', self: justifySelf, all: justify, css: 'justify-self' },
  ],
} as const;

/** Whether an expression has a say in how a picture stretches. */
const isFollowed = (control: Control, parent: Control): boolean =>
  [width, height, alignSelf, justifySelf].some(({ name }) => isBound(control, name)) ||
  [align, justify].some(({ name }) => isBound(parent, name));

/** Changes what is said of a picture; nothing about other controls. */
export function pictureSizes(css: Map<string, string>, standing: Standing): void {
  const { control, parent, values, conditions, around } = standing;
  if (!kindOf(control).fillsCells || around.type === 'pane' || around.type === 'pins') return;
  const container = plainValues(parent, conditions);
  const inCells = isOfCells(around.type);
  if (inCells && mayFillCell(control) && mayBeFilled(parent))
    if (fillsCell(values, justifiesCells(container) === 'stretch')) css.set('width', '100%');
  if (isFollowed(control, parent)) return;
  const sides = inCells ? stretching.cells : around.type === 'row' ? stretching.row : stretching.column;
  for (const { side, self, all, css: name } of sides) {
    if (css.get(side) !== 'fit-content') continue;
    css.delete(side);
    const shared = side === 'width' && inCells ? justifiesCells(container) : container.own(all);
    if ((values.own(self) ?? shared ?? 'stretch') === 'stretch') css.set(name, 'start');
  }
}
