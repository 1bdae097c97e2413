/**
 * Bars and corners of the selected control, to drag it wider or higher; the number stands beside it. On a pinboard all
 * edges can be dragged, elsewhere those that a new size moves.
 */
import {
  type Control,
  effectiveNames,
  locate,
  plainArrangement,
  type ScreenBox,
  type ScreenLayout,
} from '@hovrin/core';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { draggedBy, type GripDrag } from './gripDrag.ts';
import { HandWords } from './HandWords.tsx';
import type { Grip } from './resizing.ts';
import { useHand } from './useHand.ts';

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

interface GripProps {
  readonly id: string;
  readonly box: ScreenBox;
  readonly layout: ScreenLayout;
  readonly scale: number;
}

export function ResizeGrips({ id, box, layout, scale }: GripProps) {
  const { project } = useEditorState('project');
  const found = locate(project, id);
  if (!found?.parent) return null;
  const pinned = plainArrangement(found.parent) === 'pins';
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
        <GripBar key={`${grip.x} ${grip.y}`} id={id} box={box} layout={layout} scale={scale} grip={grip} />
      ))}
    </div>
  );
}

function GripBar({ id, box, layout, scale, grip }: GripProps & { readonly grip: Grip }) {
  const { editor } = useWorkplace();
  const { step } = useEditorState('step');
  const { snapping } = useBenchView();
  const { handlers, words } = useHand<GripDrag & { readonly parent: Control }>({
    scale,
    onTake: () => {
      const found = locate(editor.state.project, id);
      if (!found?.parent) return undefined;
      const { control, parent, screen } = found;
      return { grip, control, parent, box, layout, names: effectiveNames(screen) };
    },
    onMove: (taken, by, { free, mod, run }) => {
      const snaps = { step, on: snapping !== free, toTracks: !free && !mod, toPx: mod };
      const { steps, words: said } = draggedBy(taken, taken.parent, by, snaps);
      editor.dispatch({ label: `Resize ${taken.names.get(id)}`, steps, group: `resize ${run}` });
      return said;
    },
  });
  return (
    <div
      className={`pointer-events-auto absolute touch-none focus-visible:outline-2 focus-visible:outline-offset-2 focus-visible:outline-[#e0a11b] ${placeOf(grip)}`}
      data-grip={`${grip.x} ${grip.y}`}
      data-hand=""
      role="slider"
      aria-label={wordsOf(grip)}
      aria-valuetext={words ?? `${Math.round(box.width)} × ${Math.round(box.height)}`}
      aria-valuenow={Math.round(grip.x === 0 ? box.height : box.width)}
      tabIndex={-1}
      title={`${wordsOf(grip)}; Alt frees it from snapping, Ctrl makes px of it`}
      {...handlers}
    >
      <HandWords words={words} className="top-full left-full mt-2 ml-2" />
    </div>
  );
}
