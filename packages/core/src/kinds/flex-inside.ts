/** What `screen`, `row`, `column` and others share: children one after another, and the gaps of containers. */
import type { Values } from '../document/values.ts';
import type { FlexContent } from '../layout/box.ts';
import { floorUnit } from '../text/units.ts';

/** Gaps between rows and between columns, CSS px; kept as lengths are: in whole 64ths. */
export function gapsOf(values: Values): { rowGap: number; columnGap: number } {
  const gap = values.number('gap') ?? 0;
  return {
    rowGap: floorUnit(values.number('row-gap') ?? gap),
    columnGap: floorUnit(values.number('column-gap') ?? gap),
  };
}

export function flexContent(values: Values, direction: 'row' | 'column'): FlexContent {
  return {
    type: 'flex',
    direction,
    align: values.align('align') ?? 'stretch',
    justify: values.justify('justify') ?? 'start',
    wrap: values.flag('wrap'),
    ...gapsOf(values),
  };
}
