/** Content widths of a grid: its columns sized with no room of their own (CSS Grid 1 §6.2). */
import type { Box, GridContent } from '../box.ts';
import type { Widths } from '../laid.ts';
import { Pass } from '../record.ts';
import { frameWidth, widthRange } from '../sizes.ts';
import { columnContributors, tracksOf } from './grid.ts';
import { placeItems } from './placement.ts';
import { gapsOf, sizeTracks, startTracks } from './sizing.ts';
import { explicitTracks } from './tracks.ts';

export function gridWidths(box: Box, content: GridContent): Widths {
  const pass = new Pass(false);
  const frame = frameWidth(box);
  const limits = widthRange(box, undefined);
  const least = typeof box.style.minWidth === 'number' ? Math.max(0, limits.min - frame) : 0;
  const fixed = typeof box.style.width === 'number' ? Math.max(0, box.style.width - frame) : undefined;
  const columns = explicitTracks(
    content.columns,
    fixed,
    least,
    content.columnGap,
  );
  const rows = explicitTracks(content.rows, undefined, 0, content.rowGap);
  const placement = placeItems(content, box.children, columns.tracks.length, rows.tracks.length);
  const width = (wanted: 'min-content' | 'max-content') => {
    const tracks = startTracks(
      tracksOf(columns, content.autoColumns, placement.columnsBefore, placement.columns, (index) =>
        placement.items.some((item) => item.column <= index && index < item.column + item.columnSpan),
      ),
      undefined,
    );
    const items = columnContributors(placement, tracks);
    sizeTracks(pass, box, tracks, items, {
      room: undefined,
      wanted,
      least: 0,
      most: Infinity,
      gap: content.columnGap,
    });
    return tracks.reduce((sum, { base }) => sum + base, 0) + gapsOf(tracks, content.columnGap) + frame;
  };
  return { min: width('min-content'), max: width('max-content') };
}
