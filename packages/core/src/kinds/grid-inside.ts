/** What `grid` and a `repeat` like a grid share. */
import type { Values } from '../document/values.ts';
import type { Align, GridContent, Track, TrackBreadth, TrackList } from '../layout/box.ts';
import { keptUnit } from '../text/units.ts';
import { gapsOf } from './flex-inside.ts';

const cellWords: readonly string[] = ['start', 'center', 'end', 'stretch'];

const keptBreadth = <T extends TrackBreadth | undefined>(breadth: T): T =>
  typeof breadth === 'number' ? (keptUnit(breadth) as T) : breadth;

/** A track whose lengths are kept as lengths are: in whole 64ths. */
const keptTrack = ({ min, max, fitContent }: Track): Track => ({
  min: keptBreadth(min),
  max: keptBreadth(max),
  ...(fitContent !== undefined && { fitContent: keptBreadth(fitContent) }),
});

const keptTracks = (list: TrackList = []): TrackList =>
  list.map((part) => ('auto' in part ? { ...part, tracks: part.tracks.map(keptTrack) } : keptTrack(part)));

export function gridContent(values: Values): GridContent {
  const flow = values.get<{ axis: 'row' | 'column'; dense: boolean }>('flow');
  // A row starts where nothing is said, cells stretch.
  const justify = values.own<Align>('justify');
  return {
    type: 'grid',
    columns: keptTracks(values.get<TrackList>('columns')),
    rows: keptTracks(values.get<TrackList>('rows')),
    autoColumns: (values.get<readonly Track[]>('auto-columns') ?? []).map(keptTrack),
    autoRows: (values.get<readonly Track[]>('auto-rows') ?? []).map(keptTrack),
    flow: flow?.axis ?? 'row',
    dense: flow?.dense ?? false,
    align: values.align('align') ?? 'stretch',
    // What spreads the children of a row out has no meaning in cells.
    justify: justify && cellWords.includes(justify) ? justify : 'stretch',
    ...gapsOf(values),
    layers: false,
  };
}
