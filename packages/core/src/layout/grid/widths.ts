/** Content widths of a grid: its columns sized with no room of their own (CSS Grid 1 §6.2). */
import type { Box, GridContent } from '../box.ts';
import type { Widths } from '../laid.ts';
import { Pass } from '../record.ts';
import { down, fills, frameHeight, frameWidth, isFraction, widthRange } from '../sizes.ts';
import { alignOf } from './areas.ts';
import { columnContributors, widthsAtHeight } from './contributions.ts';
import { tracksOf } from './grid.ts';
import { type Placed, placeItems } from './placement.ts';
import { gapsOf, sizeTracks, startTracks } from './sizing.ts';
import { explicitTracks } from './tracks.ts';

export function gridWidths(box: Box, content: GridContent): Widths {
  const pass = new Pass('nothing');
  const frame = frameWidth(box);
  const limits = widthRange(box, undefined);
  const least = typeof box.style.minWidth === 'number' ? Math.max(0, limits.min - frame) : 0;
  const fixed = typeof box.style.width === 'number' ? Math.max(0, box.style.width - frame) : undefined;
  const columns = explicitTracks(content.columns, fixed, least, content.columnGap);
  const rows = explicitTracks(content.rows, undefined, 0, content.rowGap);
  const placement = placeItems(content, box.children, columns.tracks.length, rows.tracks.length);
  // Where an item's rows have fixed sizes its height is known, and what is inside may follow from that.
  const byRows = new Map<Placed, Widths>();
  for (const item of placement.items) {
    const { style, widthAsksHeight } = item.box;
    const byContent = typeof style.width !== 'number' && !isFraction(style.width);
    if (!widthAsksHeight || !byContent || !fills(style.height, alignOf(item.box, content))) continue;
    const over = rows.tracks.slice(
      item.row - placement.rowsBefore,
      item.row - placement.rowsBefore + item.rowSpan,
    );
    if (over.length < item.rowSpan || !over.every(({ min, max }) => typeof max === 'number' && min === max))
      continue;
    const area = over.reduce((sum, { max }) => sum + (max as number), (item.rowSpan - 1) * content.rowGap);
    byRows.set(
      item,
      widthsAtHeight(pass, item.box, Math.max(frameHeight(item.box), area - down(style.margin))),
    );
  }
  const width = (wanted: 'min-content' | 'max-content') => {
    const tracks = startTracks(
      tracksOf(columns, content.autoColumns, placement.columnsBefore, placement.columns, (index) =>
        placement.items.some((item) => item.column <= index && index < item.column + item.columnSpan),
      ),
      undefined,
    );
    const items = columnContributors(placement, tracks, byRows);
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
