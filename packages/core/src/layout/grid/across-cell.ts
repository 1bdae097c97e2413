/** Pictures that fill their cells by a percentage: see `cascade/across-cell.ts`. */
import type { Box, GridContent } from '../box.ts';
import { makeBox } from '../make-box.ts';

/** What else a picture's box may be like, by what it is like by itself. */
const wide = new WeakMap<Box, Box>();

/** The box of a child as it stands in a cell. */
export function acrossCell(child: Box, content: GridContent): Box {
  const { fillsCell } = child.style;
  const fills =
    fillsCell === 'always' || (fillsCell === 'where it stretches' && content.justify === 'stretch');
  if (!fills) return child;
  const known = wide.get(child);
  if (known) return known;
  const { control, look, items, children, style } = child;
  const made = makeBox({
    ...{ control, look, items, children },
    content: child.content,
    style: { ...style, width: { fraction: 1 } },
  });
  wide.set(child, made);
  return made;
}
