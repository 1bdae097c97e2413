/** Makes controls of the structure that was found: containers around those that were placed. */
import { type Control, inForce } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { outlineOf, type Rectangle } from '../layout/rectangle.ts';
import { type Board, freed, type Props, tidy } from './board.ts';
import { cellsOf } from './cells.ts';
import { lineOf } from './line.ts';
import type { Placed, Structure } from './structure.ts';

/** The board itself as a column that fills the place it had. @param inner inside its border. */
export function columnInstead(
  board: Board,
  structure: Structure,
  inner: Rectangle,
  control: Control,
): Control {
  const content = structure.area;
  const side = (value: number) => Math.round(Math.max(0, value));
  const top = Math.max(0, content.y - inner.y);
  const end = Math.max(0, inner.x + inner.width - content.x - content.width);
  const start = Math.max(0, content.x - inner.x);
  // Both sides are one padding where they nearly are; what does not reach the far side leaves it free.
  const aside = side(board.equal(end, start) ? (start + end) / 2 : start);
  const area: Rectangle = {
    x: inner.x + aside,
    y: inner.y + side(top),
    width: inner.width - 2 * aside,
    height: content.height,
  };
  const column =
    structure.type === 'column'
      ? { ...structure, type: structure.type }
      : { type: 'column' as const, area: structure.area, parts: [structure] };
  const line = lineOf(board, column, area);
  const properties = new Set(kindOf({ ...control, kind: 'column' }).properties.map(({ name }) => name));
  const kept = Object.entries(control.props).filter(([name]) => name !== 'padding' && properties.has(name));
  return {
    ...control,
    kind: 'column',
    props: { ...Object.fromEntries(kept), ...line.props, padding: `${side(top)} ${aside} 0 ${aside}` },
    children: line.parts.map(({ part, props }) => make(board, part, props)),
  };
}

/** A pinboard with nothing on it but what some of its children become, at the place that they had. */
export function partOnBoard(board: Board, structure: Structure, inner: Rectangle, control: Control): Control {
  const { area } = structure;
  const place: Props = { left: tidy(area.x - inner.x), top: tidy(area.y - inner.y) };
  return { ...control, children: [make(board, structure, { width: tidy(area.width), ...place })] };
}

function make(board: Board, structure: Structure, props: Props): Control {
  switch (structure.type) {
    case 'leaf': {
      const control = freed(board.control(structure.id));
      return { ...control, props: { ...control.props, ...props } };
    }
    case 'heap':
      return heap(board, structure, props);
    case 'grid': {
      const { props: own, cells } = cellsOf(board, structure, props);
      return container(board, 'grid', { ...own, ...props }, cells);
    }
    default: {
      const line = lineOf(board, structure, structure.area);
      return container(board, structure.type, { ...line.props, ...props }, line.parts);
    }
  }
}

const container = (
  board: Board,
  kind: string,
  props: Props,
  parts: readonly { part: Structure; props: Props }[],
): Control =>
  board.container(
    kind,
    props,
    parts.map((each) => make(board, each.part, each.props)),
  );

/** Things over each other stay on a pinboard of their own, where they were. */
function heap(board: Board, { area, ids }: Structure & { type: 'heap' }, props: Props): Control {
  board.guesses.push(`${ids.length} controls lie over each other; they stay on a pinboard.`);
  const children = ids.map((id) => {
    const control = freed(board.control(id));
    return { ...control, props: { ...control.props, ...board.pinsInHeap(id) } };
  });
  return board.container(
    'pinboard',
    { height: tidy(area.height), width: tidy(area.width), ...props },
    children,
  );
}

const keptOnBoards = ['margin', 'align-self', 'justify-self', 'col', 'row'];

/** A grid whose cells do not come to lie where they were placed, as a pinboard instead. */
export function pinboardInstead(board: Board, grid: Control): Control {
  const placedIn = (control: Control): Placed[] => {
    const own = board.placed(control.id);
    return own ? [own] : control.children.flatMap(placedIn);
  };
  const all = placedIn(grid);
  const area = outlineOf(all);
  board.guesses.push(`${all.length} controls do not line up well enough; they stay on a pinboard.`);
  return {
    ...grid,
    kind: 'pinboard',
    props: {
      ...Object.fromEntries(Object.entries(grid.props).filter(([name]) => keptOnBoards.includes(name))),
      width: tidy(area.width),
      height: tidy(area.height),
    },
    children: all.map(({ id, x, y, width, height }) => {
      const control = freed(board.control(id));
      const sizes = Object.fromEntries(
        Object.entries({ width, height }).flatMap(([side, size]) =>
          inForce(control.props[side]) === undefined ? [] : [[side, tidy(size)]],
        ),
      );
      const pins = { left: tidy(x - area.x), top: tidy(y - area.y) };
      return { ...control, props: { ...control.props, ...sizes, ...pins } };
    }),
  };
}
