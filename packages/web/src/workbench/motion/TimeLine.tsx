/** The time line: a ruler with the playhead, and a row for each property of each control, whose keys are dragged. */
import { type Control, lengthOf, type Motion, progressAt, type Step } from '@hovrin/core';
import type { KeyboardEvent, MouseEvent, PointerEvent as ReactPointerEvent } from 'react';
import { useRoom } from '../../parts/useRoom.ts';
import type { TimeRow } from './rows.ts';
import { followPointer, useKeyDrags } from './useKeyDrags.ts';

/** Width of the rows' names, px. */
const named = 138;
/** Room at both ends of the line, so that keys there are seen whole, px. */
const end = 10;

interface TimeLineProps {
  readonly motion: Motion;
  readonly rows: readonly TimeRow[];
  /** Seconds from the motion's start; undefined: nothing is shown of it. */
  readonly at: number | undefined;
  /** Ids of the chosen keys. */
  readonly chosen: ReadonlySet<string>;
  readonly onShow: (at: number) => void;
  readonly onChoose: (ids: ReadonlySet<string>) => void;
  readonly onSteps: (label: string, steps: readonly Step[], group?: string) => void;
  /** A key is wanted on a row, at a part of the motion. */
  readonly onKey: (row: TimeRow, part: number) => void;
}

/** Marks of the ruler: at most so many. */
const mostMarks = 10;

function marksOf(seconds: number): readonly number[] {
  const steps = [0.01, 0.02, 0.05, 0.1, 0.2, 0.5, 1, 2, 5, 10, 30, 60, 120, 300, 600];
  const step = steps.find((each) => seconds / each <= mostMarks) ?? seconds;
  return Array.from({ length: Math.floor(seconds / step + 1e-9) + 1 }, (_, index) => index * step);
}

export function TimeLine(props: TimeLineProps) {
  const { motion, rows, at, chosen, onShow, onChoose, onSteps, onKey } = props;
  const { seconds, delay } = motion;
  const { element, room } = useRoom<HTMLDivElement>({ width: 700, height: 120 });
  const wide = Math.max(120, room.width - named - 2 * end);
  const xOf = (part: number) => named + end + part * wide;
  const partAt = ({ clientX }: { readonly clientX: number }) => {
    const left = element.current?.getBoundingClientRect().left ?? 0;
    return Math.min(1, Math.max(0, (clientX - left - named - end) / wide));
  };
  const { moved, dragKey, keys } = useKeyDrags({ motion, rows, chosen, partAt, onChoose, onSteps });
  const scrub = (event: ReactPointerEvent) => {
    const show = (now: { readonly clientX: number }) => onShow(delay + partAt(now) * seconds);
    show(event);
    followPointer(event, show, () => undefined);
  };
  const head = at === undefined ? undefined : progressAt(motion, at);
  const time = at === undefined ? 0 : Math.min(at, lengthOf(motion));
  return (
    <div ref={element} className="relative min-w-0 flex-1 overflow-y-auto" data-time-line>
      <div
        role="slider"
        aria-label="Playhead"
        aria-valuemin={0}
        aria-valuemax={seconds}
        aria-valuenow={Number(time.toFixed(2))}
        aria-valuetext={at === undefined ? 'not shown' : `${time.toFixed(2)} s`}
        tabIndex={0}
        className="sticky top-0 z-10 h-6 cursor-ew-resize touch-none border-b border-rule bg-sunk select-none"
        onPointerDown={scrub}
        onKeyDown={(event) => {
          const step = { ArrowLeft: -0.01, ArrowRight: 0.01, PageUp: 0.1, PageDown: -0.1, Home: -2, End: 2 }[
            event.key
          ];
          if (step === undefined) return;
          event.preventDefault();
          const part = Math.min(1, Math.max(0, (head ?? 0) + step));
          onShow(delay + part * seconds);
        }}
      >
        <span className="absolute top-1 left-2 text-[11px] text-quiet">seconds</span>
        <Marks seconds={seconds} xOf={xOf} />
      </div>
      {rows.map((row) => (
        <Row
          key={`${row.control} ${row.property}`}
          row={row}
          line={{ xOf, wide, seconds }}
          moved={moved}
          chosen={chosen}
          onAdd={(event) => onKey(row, partAt(event))}
          onDown={dragKey}
          onKey={keys}
        />
      ))}
      {head !== undefined && (
        <div
          aria-hidden
          data-playhead
          className="pointer-events-none absolute inset-y-0 z-10 w-0.5 -translate-x-px bg-saffron"
          style={{ left: xOf(head) }}
        />
      )}
    </div>
  );
}

/** The ruler's marks, in seconds. */
const Marks = ({ seconds, xOf }: { readonly seconds: number; readonly xOf: (part: number) => number }) =>
  marksOf(seconds).map((mark) => (
    <span
      key={mark}
      aria-hidden
      className="absolute top-1 -translate-x-1/2 font-mono text-[10px] text-quiet"
      style={{ left: xOf(mark / seconds) }}
    >
      {Number(mark.toFixed(2))}
    </span>
  ));

interface RowProps {
  readonly row: TimeRow;
  /** Where parts of the motion are on the line, how wide it is, px, and how long the motion takes. */
  readonly line: {
    readonly xOf: (part: number) => number;
    readonly wide: number;
    readonly seconds: number;
  };
  /** Where keys are that are being dragged, as parts of the motion. */
  readonly moved: ReadonlyMap<string, number>;
  readonly chosen: ReadonlySet<string>;
  readonly onAdd: (event: MouseEvent) => void;
  readonly onDown: (event: ReactPointerEvent, id: string) => void;
  readonly onKey: (event: KeyboardEvent, id: string) => void;
}

/** A property of a control in time. */
const Row = ({ row, line, moved, chosen, onAdd, onDown, onKey }: RowProps) => (
  <fieldset
    aria-label={`${row.control}, ${row.label}`}
    className="group relative h-6 border-b border-rule/60 hover:bg-sunk/40"
    onDoubleClick={onAdd}
  >
    <span className="absolute top-0.5 left-2 truncate text-[12px]" style={{ width: named - 12 }}>
      <span className="font-medium">{row.control}</span> <span className="text-quiet">{row.label}</span>
    </span>
    <span
      aria-hidden
      className="absolute top-3 h-px bg-edge/50"
      style={{ left: line.xOf(0), width: line.wide }}
    />
    {row.keys.map(({ key, at, text }) => {
      const part = moved.get(key.id) ?? at;
      return (
        <KeySign
          key={key.id}
          control={key}
          left={line.xOf(part)}
          words={`${row.control} ${row.label} ${text} at ${(part * line.seconds).toFixed(2)} s`}
          isChosen={chosen.has(key.id)}
          onDown={onDown}
          onKey={onKey}
        />
      );
    })}
  </fieldset>
);

interface KeySignProps {
  readonly control: Control;
  readonly left: number;
  readonly words: string;
  readonly isChosen: boolean;
  readonly onDown: (event: ReactPointerEvent, id: string) => void;
  readonly onKey: (event: KeyboardEvent, id: string) => void;
}

const KeySign = ({ control, left, words, isChosen, onDown, onKey }: KeySignProps) => (
  <button
    type="button"
    aria-label={words}
    aria-pressed={isChosen}
    title={words}
    data-motion-key={control.id}
    className="absolute top-0 grid h-6 w-6 -translate-x-1/2 cursor-ew-resize touch-none place-items-center"
    style={{ left }}
    onPointerDown={(event) => {
      onDown(event, control.id);
      event.currentTarget.focus();
    }}
    onKeyDown={(event) => onKey(event, control.id)}
    onDoubleClick={(event) => event.stopPropagation()}
  >
    <span
      className={`block size-2.5 rotate-45 border ${isChosen ? 'border-ink bg-saffron' : 'border-spruce bg-sheet'}`}
    />
  </button>
);
