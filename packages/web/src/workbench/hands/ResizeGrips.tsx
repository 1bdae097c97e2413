/**
 * Bars and corners of the selected control, to drag it wider or higher; the number stands beside it. On a pinboard all
 * edges can be dragged, elsewhere those that a new size moves.
 */
import { effectiveNames, locate, plainArrangement, type ScreenBox, type ScreenLayout } from '@hovrin/core';
import { type PointerEvent, useRef, useState } from 'react';
import { newId } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import type { Point } from './drop.ts';
import { draggedBy, type GripDrag } from './gripDrag.ts';
import type { Grip } from './resizing.ts';

/** Where the bar or corner of a grip stands on the edges of the box. */
function placeOf({ x, y }: Grip): string {
  if (x !== 0 && y !== 0)
    return `size-3 ${x < 0 ? '-left-[9px]' : '-right-[9px]'} ${y < 0 ? '-top-[9px]' : '-bottom-[9px]'} ${
      x === y ? 'cursor-nwse-resize' : 'cursor-nesw-resize'
    }`;
  const look = 'bg-[#1f2a24] hover:bg-[#e0a11b]';
  if (x !== 0)
    return `h-5 max-h-full w-[5px] cursor-ew-resize ${look} ${x < 0 ? '-left-[5px] top-1' : '-right-[5px] bottom-1'}`;
  return `h-[5px] w-5 max-w-full cursor-ns-resize ${look} ${y < 0 ? 'left-1 -top-[5px]' : 'right-1 -bottom-[5px]'}`;
}

const edgeWords = { x: { [-1]: 'left', 1: 'right' }, y: { [-1]: 'top', 1: 'bottom' } } as const;
const wordsOf = ({ x, y }: Grip) =>
  `Drag the ${[...(y === 0 ? [] : [edgeWords.y[y]]), ...(x === 0 ? [] : [edgeWords.x[x]])].join(' ')} ${
    x === 0 || y === 0 ? 'edge' : 'corner'
  }`;

/** The grips of a box, the corners last: they lie over the bars. */
function gripsOf(pinned: boolean, rightToLeft: boolean): readonly Grip[] {
  if (!pinned) {
    const x = rightToLeft ? -1 : 1;
    return [
      { x, y: 0 },
      { x: 0, y: 1 },
      { x, y: 1 },
    ];
  }
  return [
    { x: 1, y: 0 },
    { x: 0, y: 1 },
    { x: -1, y: 0 },
    { x: 0, y: -1 },
    { x: -1, y: -1 },
    { x: 1, y: -1 },
    { x: -1, y: 1 },
    { x: 1, y: 1 },
  ];
}

export function ResizeGrips({
  id,
  box,
  layout,
  scale,
}: {
  id: string;
  box: ScreenBox;
  layout: ScreenLayout;
  scale: number;
}) {
  const { editor } = useWorkplace();
  const { project, step } = useEditorState('project', 'step');
  const { snapping } = useBenchView();
  const from = useRef<GripDrag & Point>(undefined);
  const run = useRef('');
  const [words, setWords] = useState<string>();
  const found = locate(project, id);
  if (!found?.parent) return null;
  const { parent, screen } = found;
  const pinned = plainArrangement(parent) === 'pins';
  const names = effectiveNames(screen);
  const move = (event: PointerEvent) => {
    const start = from.current;
    if (!start) return;
    const by = { x: (event.clientX - start.x) / scale, y: (event.clientY - start.y) / scale };
    const snaps = { step, on: snapping !== event.altKey, toTracks: !event.altKey };
    const { steps, words: said } = draggedBy(start, parent, by, snaps);
    setWords(said);
    editor.dispatch({ label: `Resize ${names.get(id)}`, steps, group: `resize ${run.current}` });
  };
  const end = () => {
    from.current = undefined;
    setWords(undefined);
  };
  return (
    <div
      className="absolute"
      style={{
        left: box.x * scale,
        top: box.y * scale,
        width: box.width * scale,
        height: box.height * scale,
      }}
    >
      {gripsOf(pinned, layout.rightToLeft).map((grip) => (
        <div
          key={`${grip.x} ${grip.y}`}
          className={`pointer-events-auto absolute touch-none ${placeOf(grip)}`}
          data-grip={`${grip.x} ${grip.y}`}
          title={wordsOf(grip)}
          onPointerDown={(event) => {
            event.stopPropagation();
            event.currentTarget.setPointerCapture(event.pointerId);
            from.current = {
              grip,
              x: event.clientX,
              y: event.clientY,
              control: found.control,
              box,
              layout,
              names,
            };
            run.current = newId();
          }}
          onPointerMove={move}
          onPointerUp={end}
          onPointerCancel={end}
        />
      ))}
      {words && (
        <span className="absolute top-full left-full mt-2 ml-2 bg-[#1f2a24] px-1.5 font-mono text-[11px] leading-[18px] whitespace-nowrap text-[#fffdf8]">
          {words}
        </span>
      )}
    </div>
  );
}
