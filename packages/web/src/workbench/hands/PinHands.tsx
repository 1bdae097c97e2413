/**
 * Pins of the selected control on its pinboard: a line to each edge and to both middles. A press on the line's knob pins it or
 * lets it go, dragging changes it, a press on its figure turns px into per cent and back.
 */
import {
  type Control,
  effectiveNames,
  entryOf,
  locate,
  plainArrangement,
  type ScreenBox,
  type ScreenLayout,
} from '@hovrin/core';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { HandWords } from './HandWords.tsx';
import {
  boardInside,
  centrePins,
  edgePins,
  heldPin,
  isAcross,
  movedPin,
  otherUnit,
  type Pin,
  pinDistance,
  pressPin,
} from './pins.ts';
import { tabHands, useHand } from './useHand.ts';

interface PinHandsProps {
  readonly id: string;
  readonly box: ScreenBox;
  readonly layout: ScreenLayout;
  readonly scale: number;
}

export function PinHands({ id, box, layout, scale }: PinHandsProps) {
  const { project } = useEditorState('project');
  const found = locate(project, id);
  if (!found?.parent || plainArrangement(found.parent) !== 'pins') return null;
  const board = layout.byControl.get(found.parent.id);
  if (!board) return null;
  const { control, parent, screen } = found;
  const name = entryOf(effectiveNames(screen), id);
  return [...edgePins, ...centrePins].map((pin) => (
    <PinLine key={pin} {...{ pin, control, parent, name, box, board, layout, scale }} />
  ));
}

interface PinLineProps extends Omit<PinHandsProps, 'id'> {
  readonly pin: Pin;
  readonly control: Control;
  readonly parent: Control;
  readonly name: string;
  readonly board: ScreenBox;
}

/** From the control to what it is pinned to, CSS px of the screen; the knob stands at the second point. */
function lineOf({ pin, box, board, layout }: PinLineProps) {
  const inside = boardInside(board, layout.rightToLeft);
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  switch (pin) {
    case 'left':
      return [
        { x: box.x, y },
        { x: inside.x, y },
      ] as const;
    case 'right':
      return [
        { x: box.x + box.width, y },
        { x: inside.x + inside.width, y },
      ] as const;
    case 'top':
      return [
        { x, y: box.y },
        { x, y: inside.y },
      ] as const;
    case 'bottom':
      return [
        { x, y: box.y + box.height },
        { x, y: inside.y + inside.height },
      ] as const;
    case 'center-x':
      return [
        { x, y: box.y },
        { x: inside.x + inside.width / 2, y: box.y - 14 },
      ] as const;
    default:
      return [
        { x: box.x, y },
        { x: box.x - 14, y: inside.y + inside.height / 2 },
      ] as const;
  }
}

/** What a pin is called for people. */
const pinWords: Readonly<Record<Pin, string>> = {
  left: 'left edge',
  right: 'right edge',
  top: 'top edge',
  bottom: 'bottom edge',
  'center-x': 'centre across',
  'center-y': 'centre down',
};

function PinLine(props: PinLineProps) {
  const { pin, control, parent, name, box, board, layout, scale } = props;
  const { editor } = useWorkplace();
  const { step } = useEditorState('step');
  const { snapping, handling } = useBenchView();
  const held = heldPin(control, pin);
  const isBound = held?.includes('{') === true;
  const distance = pinDistance(pin, box, board, layout.rightToLeft);
  const [from, to] = lineOf(props);
  const axis = isAcross(pin) ? 'x' : 'y';
  // A pin to the far edge grows as it is dragged away from it.
  const sign = pin === 'right' || pin === 'bottom' ? -1 : 1;
  const { handlers, words, isHeld } = useHand({
    scale,
    onTake: () => (held === undefined || isBound ? undefined : { control, distance }),
    onMove: (taken, by, { free, run }) => {
      const asked = taken.distance + sign * by[axis];
      const px = snapping !== free ? Math.round(asked / step) * step : Math.round(asked);
      const moved = movedPin(taken.control, pin, px, parent, layout);
      editor.dispatch({ label: `Pin ${name}`, steps: [moved], group: `pin ${run}` });
      return `${pinWords[pin]} ${moved.type === 'set' ? String(moved.value) : ''}`;
    },
    onPress: () =>
      !isBound &&
      editor.dispatch({
        label: `${held === undefined ? 'Pin' : 'Let go'} the ${pinWords[pin]} of ${name}`,
        steps: pressPin(control, pin, distance),
      }),
  });
  if (handling && !isHeld) return null;
  const title = isBound
    ? `The ${pinWords[pin]} follows an expression`
    : held === undefined
      ? `Pin to the ${pinWords[pin]}, ${distance} away`
      : `Pinned to the ${pinWords[pin]}, ${held}: press to let go, drag to change`;
  return (
    <>
      <svg className="absolute inset-0 size-full overflow-visible" aria-hidden="true">
        <line
          x1={from.x * scale}
          y1={from.y * scale}
          x2={to.x * scale}
          y2={to.y * scale}
          stroke="#2f5d50"
          strokeWidth={held === undefined ? 1 : 1.75}
          strokeDasharray={held === undefined ? '2 4' : undefined}
          opacity={held === undefined ? 0.6 : 1}
        />
      </svg>
      <button
        type="button"
        data-hand={`pin ${pin}`}
        data-held={held !== undefined}
        tabIndex={-1}
        aria-label={title}
        aria-pressed={held !== undefined}
        title={title}
        className="pointer-events-auto absolute z-20 grid size-6 -translate-1/2 touch-none place-items-center focus-visible:outline-2 focus-visible:outline-[#e0a11b]"
        style={{ left: to.x * scale, top: to.y * scale }}
        {...handlers}
      >
        <span
          className={`size-3 rotate-45 border-2 border-[#2f5d50] ${held === undefined ? 'bg-[#fffdf8]' : 'bg-[#2f5d50]'}`}
        />
        <HandWords words={words} className="top-full left-full" />
      </button>
      {held !== undefined && !handling && (
        <Figure {...props} held={held} distance={distance} ends={[from, to]} />
      )}
    </>
  );
}

/** The distance on its line; a press changes the unit. */
function Figure({
  pin,
  control,
  parent,
  name,
  layout,
  scale,
  held,
  distance,
  ends: [from, to],
}: PinLineProps & {
  readonly held: string;
  readonly distance: number;
  readonly ends: ReturnType<typeof lineOf>;
}) {
  const { editor } = useWorkplace();
  const other = otherUnit(control, pin, distance, parent, layout);
  return (
    <button
      type="button"
      data-hand={`unit ${pin}`}
      tabIndex={-1}
      disabled={!other}
      aria-label={`${pinWords[pin]}: ${held}`}
      title={other ? `${held}; press for ${other.type === 'set' ? String(other.value) : ''}` : held}
      className="pointer-events-auto absolute z-10 -translate-1/2 rounded-[2px] bg-[#2f5d50] px-1 font-mono text-[10px] leading-[15px] whitespace-nowrap text-[#fffdf8] hover:bg-[#e0a11b] hover:text-[#1f2a24] focus-visible:outline-2 focus-visible:outline-[#e0a11b]"
      style={{ left: ((from.x + to.x) / 2) * scale, top: ((from.y + to.y) / 2) * scale }}
      onKeyDown={tabHands}
      onClick={(event) => {
        event.stopPropagation();
        if (other) editor.dispatch({ label: `Unit of the ${pinWords[pin]} of ${name}`, steps: [other] });
      }}
    >
      {held.includes('{') ? '{ }' : held}
    </button>
  );
}
