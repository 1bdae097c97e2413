/** What `screen`, `row`, `column` and others share: children one after another, and the gaps of containers. */
import type { Values } from '../document/values.ts';
import type { FlexContent, Gaps } from '../layout/box.ts';
import { floorUnit } from '../text/units.ts';

/** Gaps between rows and between columns, CSS px; kept as lengths are: in whole 64ths. */
export function gapsOf(values: Values): { rowGap: number; columnGap: number } {
  const gap = values.get<Gaps>('gap');
  return {
    rowGap: floorUnit(values.number('row-gap') ?? gap?.row ?? 0),
    columnGap: floorUnit(values.number('column-gap') ?? gap?.column ?? 0),
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
