/** What `grid` and a `repeat` like a grid share. */
import type { Values } from '../document/values.ts';
import type { Align, GridContent, Track, TrackList } from '../layout/box.ts';
import { gapsOf } from './flex-inside.ts';

const cellWords: readonly string[] = ['start', 'center', 'end', 'stretch'];

export function gridContent(values: Values): GridContent {
  const flow = values.get<{ axis: 'row' | 'column'; dense: boolean }>('flow');
  // A row starts where nothing is said, cells stretch.
  const justify = values.own<Align>('justify');
  return {
    type: 'grid',
    columns: values.get<TrackList>('columns') ?? [],
    rows: values.get<TrackList>('rows') ?? [],
    autoColumns: values.get<readonly Track[]>('auto-columns') ?? [],
    autoRows: values.get<readonly Track[]>('auto-rows') ?? [],
    flow: flow?.axis ?? 'row',
    dense: flow?.dense ?? false,
    align: values.align('align') ?? 'stretch',
    // What spreads the children of a row out has no meaning in cells.
    justify: justify && cellWords.includes(justify) ? justify : 'stretch',
    ...gapsOf(values),
    layers: false,
  };
}
