/** A grid of which nothing is said but its columns: what kinds put their own parts into. */
import type { GridContent } from '../layout/box.ts';

export const plainGrid: GridContent = {
  type: 'grid',
  columns: [],
  rows: [],
  autoColumns: [],
  autoRows: [],
  flow: 'row',
  dense: false,
  align: 'stretch',
  justify: 'stretch',
  rowGap: 0,
  columnGap: 0,
  layers: false,
};

/** One thing over the other, each as large as all of it. */
export const layered: GridContent = { ...plainGrid, layers: true };
