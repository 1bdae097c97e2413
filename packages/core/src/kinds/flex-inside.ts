/** What `screen`, `row` and `column` share: children one after another. */
import type { Values } from '../document/values.ts';
import { floorUnit } from '../text/units.ts';
import type { Inside } from './kind.ts';

export function flexInside(values: Values, direction: 'row' | 'column'): Inside {
  // Gaps are kept as lengths are: in whole 64ths of a px.
  const length = (name: string) => {
    const value = values.number(name);
    return value === undefined ? undefined : floorUnit(value);
  };
  const gap = length('gap') ?? 0;
  return {
    content: {
      type: 'flex',
      direction,
      align: values.align('align') ?? 'stretch',
      justify: values.justify('justify') ?? 'start',
      wrap: values.flag('wrap'),
      rowGap: length('row-gap') ?? gap,
      columnGap: length('column-gap') ?? gap,
    },
  };
}
