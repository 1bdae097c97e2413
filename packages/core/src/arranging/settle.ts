/**
 * Evening edges out moves things a little, and inside each other the littles add up. What came to lie too far from
 * where it was placed is brought back by margins, outer containers first.
 */
import { plainArrangement } from '../cascade/plain-values.ts';
import { type Control, inForce } from '../document/types.ts';
import { marginType } from '../property-types/index.ts';
import { middle } from './board.ts';

/** Where something was placed, less where it lies now, CSS px. */
export interface Offset {
  readonly x: number;
  readonly y: number;
}

/** How far a control is off, and the sizes that it was placed with, where it has lost them. */
export interface Deviation extends Offset {
  readonly width: number | undefined;
  readonly height: number | undefined;
}

/**
 * @param from the container whose children are looked at, and theirs.
 * @param offsetOf how far a control that was placed is off; undefined for containers that were made around them.
 * @param most how far something may be off.
 * @param onBoards what takes the place of a grid whose cells do not come to rest; undefined: it is tried further.
 * @param moved by how much what is around it was moved already.
 * @returns the container with margins that move what is off by more, as far as its neighbours let it; the same one where
 *   nothing is.
 */
export function settled(
  from: Control,
  offsetOf: (id: string) => Deviation | undefined,
  most: number,
  onBoards?: (grid: Control) => Control,
  moved: Offset = { x: 0, y: 0 },
): Control {
  const along = { ...moved };
  const children = from.children.map((child) => {
    const deviations = placedIn(child, offsetOf);
    const offsets = deviations.map(({ x, y }) => ({ x: x - along.x, y: y - along.y }));
    const sized = deviations.every(({ width, height }) => width === undefined && height === undefined);
    if (sized && offsets.every(({ x, y }) => Math.abs(x) <= most && Math.abs(y) <= most)) return child;
    const shift = {
      x: Math.round(middle(offsets.map(({ x }) => x))),
      y: Math.round(middle(offsets.map(({ y }) => y))),
    };
    const inside = { x: along.x + shift.x, y: along.y + shift.y };
    // What stands behind it in the line moves along.
    const lined = plainArrangement(from);
    if (lined === 'row') along.x += shift.x;
    if (lined === 'column') along.y += shift.y;
    const uneven = offsets.some(({ x, y }) => Math.abs(x - shift.x) > most || Math.abs(y - shift.y) > most);
    if (uneven && onBoards && plainArrangement(child) === 'cells') return onBoards(child);
    const again = resized(pushed(child, shift, liesIn(from, child)), offsetOf(child.id));
    return settled(again, offsetOf, most, onBoards, inside);
  });
  return children.every((child, index) => child === from.children[index]) ? from : { ...from, children };
}

function placedIn(control: Control, offsetOf: (id: string) => Deviation | undefined): Deviation[] {
  const own = offsetOf(control.id);
  return own ? [own] : control.children.flatMap((child) => placedIn(child, offsetOf));
}

/** Gives a control back a size that shares or stretching took from it. */
function resized(control: Control, off: Deviation | undefined): Control {
  const lost = (['width', 'height'] as const).filter((side) => off?.[side] !== undefined);
  if (!off || lost.length === 0) return control;
  const sizes = lost.map((side) => [side, String(Math.round(off[side]!))]);
  return { ...control, props: { ...control.props, ...Object.fromEntries(sizes) } };
}

/** How a control lies in its container from side to side and from top to bottom. */
function liesIn(container: Control, child: Control): { x: string; y: string } {
  const word = (...names: (string | undefined)[]) => names.find((each) => each !== undefined) ?? 'start';
  const own = inForce(child.props['align-self']);
  const shared = inForce(container.props.align);
  const lined = plainArrangement(container);
  if (lined === 'row') return { x: 'start', y: word(own, shared) };
  if (lined === 'column') return { x: word(own, shared), y: 'start' };
  return { x: word(inForce(child.props['justify-self'])), y: word(own, shared) };
}

/** Moves a control by its margins: at the side that it is held at, twice where it is centred. */
function pushed(control: Control, { x, y }: Offset, lies: { x: string; y: string }): Control {
  if (x === 0 && y === 0) return control;
  const reading = marginType.read(inForce(control.props.margin) ?? '0');
  let { top, end, bottom, start } = reading.ok ? reading.value : { top: 0, end: 0, bottom: 0, start: 0 };
  if (lies.x === 'end') end -= x;
  else start += lies.x === 'center' ? 2 * x : x;
  if (lies.y === 'end') bottom -= y;
  else top += lies.y === 'center' ? 2 * y : y;
  return { ...control, props: { ...control.props, margin: `${top} ${end} ${bottom} ${start}` } };
}
