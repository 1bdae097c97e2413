/** What `screen`, `row` and `column` share: children one after another. */
import type { Values } from '../document/values.ts';
import type { Inside } from './kind.ts';

export function flexInside(values: Values, direction: 'row' | 'column'): Inside {
  const gap = values.number('gap') ?? 0;
  return {
    content: {
      type: 'flex',
      direction,
      align: values.align('align') ?? 'stretch',
      justify: values.justify('justify') ?? 'start',
      wrap: values.flag('wrap'),
      rowGap: values.number('row-gap') ?? gap,
      columnGap: values.number('column-gap') ?? gap,
    },
  };
}
