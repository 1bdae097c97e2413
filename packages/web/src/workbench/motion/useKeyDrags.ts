/** Keys on the time line, dragged and moved by keys: one, or all that are chosen, which Alt stretches. */
import { type Motion, retimed, type Step } from '@hovrin/core';
import { type KeyboardEvent, type PointerEvent as ReactPointerEvent, useRef, useState } from 'react';
import { stretched, type TimeRow } from './rows.ts';

/** How far keys go by an arrow key, as a part of the motion. */
const nudge = 0.01;

/** Follows a pointer that was pressed until it is let go. */
export function followPointer(
  event: ReactPointerEvent,
  move: (now: PointerEvent) => void,
  drop: () => void,
): void {
  if (event.button !== 0) return;
  event.preventDefault();
  const up = () => {
    window.removeEventListener('pointermove', move);
    window.removeEventListener('pointerup', up);
    drop();
  };
  window.addEventListener('pointermove', move);
  window.addEventListener('pointerup', up);
}

interface KeyDrags {
  readonly motion: Motion;
  readonly rows: readonly TimeRow[];
  /** Ids of the chosen keys. */
  readonly chosen: ReadonlySet<string>;
  /** The part of the motion under a place of the window. */
  readonly partAt: (place: { readonly clientX: number }) => number;
  readonly onChoose: (ids: ReadonlySet<string>) => void;
  readonly onSteps: (label: string, steps: readonly Step[], group?: string) => void;
}

export function useKeyDrags({ motion, rows, chosen, partAt, onChoose, onSteps }: KeyDrags) {
  const [moved, setMoved] = useState<ReadonlyMap<string, number>>(new Map());
  const dragging = useRef(false);
  const all = new Map(rows.flatMap(({ keys }) => keys.map((each) => [each.key.id, each] as const)));

  const dragKey = (event: ReactPointerEvent, id: string) => {
    const more = event.shiftKey || event.ctrlKey || event.metaKey;
    const ids = chosen.has(id) ? chosen : new Set(more ? [...chosen, id] : [id]);
    onChoose(more && chosen.has(id) ? new Set([...chosen].filter((each) => each !== id)) : ids);
    const from = partAt(event);
    const times = [...ids].flatMap((each) => all.get(each)?.at ?? []);
    let to: ReadonlyMap<string, number> = new Map();
    dragging.current = false;
    followPointer(
      event,
      (now) => {
        dragging.current = true;
        const by = Math.round((partAt(now) - from) * 200) / 200;
        const place = now.altKey ? stretched(times, partAt(now)) : (time: number) => time + by;
        to = new Map([...ids].map((each) => [each, Math.min(1, Math.max(0, place(all.get(each)?.at ?? 0)))]));
        setMoved(to);
      },
      () => {
        setMoved(new Map());
        if (dragging.current) onSteps('Move keys', moves(to));
      },
    );
  };
  const moves = (to: ReadonlyMap<string, number>): readonly Step[] =>
    retimed(
      [...to.keys()].flatMap((id) => all.get(id)?.key ?? []),
      ({ id }) => to.get(id) ?? 0,
    );

  const keys = (event: KeyboardEvent, id: string) => {
    const by = event.key === 'ArrowLeft' ? -nudge : event.key === 'ArrowRight' ? nudge : 0;
    if (by !== 0) {
      const ids = chosen.has(id) ? [...chosen] : [id];
      onSteps(
        'Move keys',
        moves(new Map(ids.map((each) => [each, (all.get(each)?.at ?? 0) + by]))),
        `keys ${motion.id}`,
      );
    } else if (event.key === 'Delete' || event.key === 'Backspace')
      onSteps(
        'Delete keys',
        [...(chosen.has(id) ? chosen : [id])].map((control) => ({ type: 'remove', control })),
      );
    else return;
    event.preventDefault();
    event.stopPropagation();
  };

  return { moved, dragKey, keys };
}
