/** The turns in which controls take the focus, as numbers on the working bay; while they are given, to be pressed. */
import type { Control, ScreenLayout } from '@hovrin/core';
import { useWorkplace } from '../../editor/context.tsx';
import { useEscape } from '../../parts/useEscape.ts';
import { useBenchView } from '../bench/benchView.ts';
import { useNames } from '../useNames.ts';
import { useFocusOrder } from './useFocusOrder.ts';

export function FocusLayer({
  screen,
  layout,
  scale,
}: {
  screen: Control;
  layout: ScreenLayout;
  scale: number;
}) {
  const { editor } = useWorkplace();
  const { turns, setTurns } = useBenchView();
  const { stops, jumps, orderSteps } = useFocusOrder(screen, layout);
  const names = useNames(screen);
  useEscape(turns !== undefined, () => setTurns(undefined), true);
  const press = (id: string) => {
    const next = [...(turns ?? []).filter((each) => each !== id), id];
    editor.dispatch({
      label: 'Focus in the order pressed',
      group: 'focus-turns',
      steps: orderSteps(next),
      exact: true,
    });
    setTurns(next.length === stops.length ? undefined : next);
  };
  return stops.map(({ control }, index) => {
    const box = layout.byControl.get(control.id);
    if (!box || box.width <= 0 || box.height <= 0) return null;
    const pressed = turns?.includes(control.id);
    const place = {
      left: box.x * scale,
      top: box.y * scale,
      width: box.width * scale,
      height: box.height * scale,
    };
    return turns === undefined ? (
      <div key={control.id} className="absolute" style={place} data-focus-turn={index + 1}>
        <TurnNumber number={index + 1} jumps={jumps.has(control.id)} open={turns !== undefined && !pressed} />
      </div>
    ) : (
      <button
        key={control.id}
        type="button"
        aria-label={`${names.get(control.id)}: next in turn`}
        className={`pointer-events-auto absolute z-10 cursor-cell border-2 ${pressed ? 'border-[#1f2a24] bg-[#1f2a24]/10' : 'border-[#d08f0c] bg-[#e0a11b]/15 hover:bg-[#e0a11b]/30'}`}
        style={place}
        data-focus-turn={index + 1}
        onPointerDown={(event) => event.stopPropagation()}
        onClick={() => press(control.id)}
      >
        <TurnNumber number={index + 1} jumps={jumps.has(control.id)} open={turns !== undefined && !pressed} />
      </button>
    );
  });
}

/** @param open whether it has not been given its turn yet, while turns are given. */
function TurnNumber({ number, jumps, open }: { number: number; jumps: boolean; open: boolean }) {
  const look = jumps
    ? 'bg-[#a5342a] text-white'
    : open
      ? 'border border-[#1f2a24] bg-white text-[#1f2a24]'
      : 'bg-[#1f2a24] text-[#fffdf8]';
  return (
    <span
      className={`absolute -top-px right-full -mr-1 min-w-[18px] rounded-sm px-1 text-center font-mono text-[11px] leading-[17px] ${look}`}
      title={jumps ? 'The focus jumps back against the reading order' : undefined}
    >
      {number}
    </span>
  );
}
