/** The pad in Facts: nine places, and the words beside them. The bench shows what a press would do while one points at it. */
import { type Control, locate } from '@hovrin/core';
import { MoveHorizontal, MoveVertical } from 'lucide-react';
import { type KeyboardEvent, useEffect, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import {
  isPlace,
  type Pad,
  type Picked,
  type Place,
  padInParent,
  padInside,
  padPreview,
  padSteps,
  padWords,
  pickPlace,
  pickWord,
  places,
} from './pad.ts';

/** @param of whose places: those of the children inside, or its own in its parent. */
export function PadFact({
  control,
  name,
  of,
}: {
  control: Control;
  name: string;
  of: 'inside' | 'in parent';
}) {
  const { editor } = useWorkplace();
  const { project, scope } = useEditorState('project', 'scope');
  const { setPreview } = useBenchView();
  const [words, setWords] = useState('');
  // What was only pointed at is gone with the pad.
  useEffect(() => () => setPreview(undefined), [setPreview]);
  const parent = locate(project, control.id)?.parent;
  const pad =
    of === 'inside'
      ? padInside(project, control, scope)
      : parent && padInParent(project, control, parent, scope);
  if (!pad || (!pad.x && !pad.y)) return null;
  const stepsOf = (picked: Picked) => padSteps(project, control, pad, picked, scope);
  const point = (picked: Picked | undefined) => {
    const steps = picked ? stepsOf(picked) : [];
    setPreview(padPreview(project, steps));
    setWords(padWords(name, steps));
  };
  const press = (picked: Picked) => {
    const steps = stepsOf(picked);
    setPreview(undefined);
    if (steps.length > 0)
      editor.dispatch({ label: `Align ${of === 'inside' ? `inside ${name}` : name}`, steps });
  };
  const pointing = (picked: Picked) => ({
    onPointerEnter: () => point(picked),
    onPointerLeave: () => point(undefined),
    onFocus: () => point(picked),
    onBlur: () => point(undefined),
    onClick: () => press(picked),
  });
  return (
    <div className="flex items-start gap-3 py-1">
      <Places
        pad={pad}
        label={of === 'inside' ? 'Where children stand' : `Where ${name} stands`}
        pointing={pointing}
      />
      <div className="flex min-w-0 flex-1 flex-col gap-1">
        {(['y', 'x'] as const).map((axis) => (
          <Words key={axis} pad={pad} axis={axis} pointing={pointing} />
        ))}
        <p className="min-h-4 text-[12px] leading-4 text-quiet" aria-live="polite">
          {words}
        </p>
      </div>
    </div>
  );
}

type Pointing = (picked: Picked) => {
  readonly onPointerEnter: () => void;
  readonly onPointerLeave: () => void;
  readonly onFocus: () => void;
  readonly onBlur: () => void;
  readonly onClick: () => void;
};

const wordsAcross = { start: 'start', center: 'centre', end: 'end' } as const;

/** Goes from place to place by arrow keys. */
function goBetween(event: KeyboardEvent<HTMLElement>, columns: number): void {
  const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -columns, ArrowDown: columns }[event.key];
  if (by === undefined) return;
  event.preventDefault();
  event.stopPropagation();
  const all = [...event.currentTarget.querySelectorAll<HTMLElement>('button')];
  const at = all.indexOf(event.target as HTMLElement);
  const isAcross = Math.abs(by) === 1;
  const next = isAcross && Math.floor((at + by) / columns) !== Math.floor(at / columns) ? at : at + by;
  all[next]?.focus();
}

function Places({ pad, label, pointing }: { pad: Pad; label: string; pointing: Pointing }) {
  const { x, y } = pad;
  const across = x ? places : (['center'] as const);
  const down = y ? places : (['center'] as const);
  const holds = (axis: 'x' | 'y', place: Place) => !pad[axis] || pad[axis].value === place;
  const spreads = (axis: 'x' | 'y') => pad[axis] !== undefined && !isPlace(pad[axis].value);
  const isBound = [x, y].some((axis) => axis?.isBound);
  // One stop of Tab: the place in force, or the first.
  const current = down.flatMap((row) => across.map((column) => holds('x', column) && holds('y', row)));
  const stop = Math.max(0, current.indexOf(true));
  return (
    <div
      role="toolbar"
      aria-label={label}
      className="grid shrink-0 gap-px rounded-[3px] border border-edge bg-rule"
      style={{ gridTemplateColumns: `repeat(${across.length}, 24px)` }}
      onKeyDown={(event) => goBetween(event, across.length)}
    >
      {down.flatMap((row, rowIndex) =>
        across.map((column, columnIndex) => {
          const isOn = holds('x', column) && holds('y', row);
          const inLine = (spreads('x') || holds('x', column)) && (spreads('y') || holds('y', row)) && !isOn;
          const words = [
            ...(x ? [`${wordsAcross[column]} across`] : []),
            ...(y ? [`${wordsAcross[row]} down`] : []),
          ];
          return (
            <button
              key={`${column} ${row}`}
              type="button"
              aria-label={words.join(', ')}
              aria-pressed={isOn}
              title={isBound ? 'It follows an expression, set in its field' : words.join(', ')}
              disabled={isBound}
              tabIndex={rowIndex * across.length + columnIndex === stop ? 0 : -1}
              className="grid size-6 place-items-center bg-sheet hover:bg-sunk focus-visible:z-10"
              {...pointing(pickPlace(pad, column, row))}
            >
              <span
                className={
                  isOn
                    ? 'h-3 w-3 bg-spruce'
                    : inLine
                      ? `bg-spruce/60 ${spreads('x') ? 'w-3' : 'w-1.5'} ${spreads('y') ? 'h-3' : 'h-1.5'}`
                      : 'size-1 bg-quiet/60'
                }
              />
            </button>
          );
        }),
      )}
    </div>
  );
}

const axisSigns = {
  x: <MoveHorizontal size={13} aria-hidden />,
  y: <MoveVertical size={13} aria-hidden />,
};
const axisWords = { x: 'across', y: 'down' } as const;

/** What a direction takes besides the three places. */
function Words({ pad, axis, pointing }: { pad: Pad; axis: 'x' | 'y'; pointing: Pointing }) {
  const own = pad[axis];
  if (!own || own.others.length === 0) return null;
  return (
    <fieldset aria-label={`More ${axisWords[axis]}`} className="flex flex-wrap items-center gap-0.5">
      <span className="grid w-[15px] place-items-center text-quiet">{axisSigns[axis]}</span>
      {own.others.map((word) => (
        <button
          key={word}
          type="button"
          aria-pressed={own.value === word}
          disabled={own.isBound}
          title={`${own.property.label}: ${word}`}
          className={`h-6 rounded-[3px] border px-1 text-[11.5px] ${own.value === word ? 'border-spruce bg-spruce text-on-spruce' : 'border-edge hover:bg-sunk'}`}
          {...pointing(pickWord(pad, axis, word))}
        >
          {word}
        </button>
      ))}
    </fieldset>
  );
}
