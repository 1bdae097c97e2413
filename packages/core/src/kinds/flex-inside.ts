/** What `screen`, `row`, `column` and others share: children one after another, and the gaps of containers. */
import type { Values } from '../cascade/values.ts';
import type { FlexContent } from '../layout/box.ts';
import { floorUnit } from '../text/units.ts';
import { align, columnGap, gap, justify, rowGap, wrap } from './properties.ts';

/** Gaps between rows and between columns, CSS px; kept as lengths are: in whole 64ths. */
export function gapsOf(values: Values): { rowGap: number; columnGap: number } {
  const both = values.get(gap);
  return {
    rowGap: floorUnit(values.get(rowGap) ?? both?.row ?? 0),
    columnGap: floorUnit(values.get(columnGap) ?? both?.column ?? 0),
  };
}

export function flexContent(values: Values, direction: 'row' | 'column'): FlexContent {
  return {
    type: 'flex',
    direction,
    align: values.get(align) ?? 'stretch',
    justify: values.get(justify) ?? 'start',
    wrap: values.flag(wrap),
    ...gapsOf(values),
  };
}
