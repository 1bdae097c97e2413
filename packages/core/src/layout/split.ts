/** Two panes side by side where both have room, else one of them (container queries, CSS Conditional 5 §5). */

import type { Box, FlexContent, SplitContent } from './box.ts';
import { layOutFlex } from './flex/flex.ts';
import type { Laid, Question } from './laid.ts';
import { roomLeft } from './plain-limits.ts';
import type { Pass } from './record.ts';
import { frameWidth } from './sizes.ts';
import { widthForBoth } from './split-room.ts';

/** A row of shares, which panes are once it is settled which of them are there. */
const rowOf = (columnGap: number): FlexContent => ({
  type: 'flex',
  direction: 'row',
  align: 'stretch',
  justify: 'start',
  wrap: false,
  rowGap: 0,
  columnGap,
});

export function layOutSplit(pass: Pass, box: Box, content: SplitContent, asked: Question): Laid {
  let panes = box.children;
  let { columnGap } = content;
  if (panes.length === 2) {
    const room = roomLeft(asked.width - frameWidth(box));
    const needed = widthForBoth(
      panes.map(({ style }) => style.minWidth),
      content.ratio,
      content.columnGap,
    );
    if (needed < Infinity) pass.sign(box, 'panes', room - needed, true);
    if (room < needed) panes = [panes[content.show === 'first' ? 0 : 1]!];
    else if (content.folded) ({ panes, columnGap } = content.folded);
  }
  // It never asks its panes how wide they are by content.
  return layOutFlex(pass, box, rowOf(columnGap), { ...asked, measured: false }, panes);
}
