/** What `grid` and a `repeat` like a grid share. */
import type { Values } from '../cascade/values.ts';
import type { GridContent } from '../layout/box.ts';
import { keptUnit } from '../text/units.ts';
import type { Track, TrackBreadth, TrackList } from '../values/css.ts';
import { gapsOf } from './flex-inside.ts';
import { align, autoColumns, autoRows, cellJustify, columns, flow, rows } from './properties.ts';

const cellWords: readonly string[] = ['start', 'center', 'end', 'stretch'];

const keptBreadth = <T extends TrackBreadth | undefined>(breadth: T): T =>
  typeof breadth === 'number' ? (keptUnit(breadth) as T) : breadth;

/** A track whose lengths are kept as lengths are: in whole 64ths. */
export const keptTrack = ({ min, max, fitContent }: Track): Track => ({
  min: keptBreadth(min),
  max: keptBreadth(max),
  ...(fitContent !== undefined && { fitContent: keptBreadth(fitContent) }),
});

const keptTracks = (list: TrackList = []): TrackList =>
  list.map((part) => ('auto' in part ? { ...part, tracks: part.tracks.map(keptTrack) } : keptTrack(part)));

export function gridContent(values: Values): GridContent {
  const fill = values.get(flow);
  // A row starts where nothing is said, cells stretch.
  const said = values.own(cellJustify);
  return {
    type: 'grid',
    columns: keptTracks(values.get(columns)),
    rows: keptTracks(values.get(rows)),
    autoColumns: (values.get(autoColumns) ?? []).map(keptTrack),
    autoRows: (values.get(autoRows) ?? []).map(keptTrack),
    flow: fill?.axis ?? 'row',
    dense: fill?.dense ?? false,
    align: values.get(align) ?? 'stretch',
    // What spreads the children of a row out has no meaning in cells.
    justify: said && cellWords.includes(said) ? said : 'stretch',
    ...gapsOf(values),
    layers: false,
  };
}
