/**
 * Tracks of the selected grid: a chip for each with its size, `+` between them, a hand at each line. Tracks that the grid made as
 * they were needed have lines only.
 */
import { type Control, inForce, type ScreenBox, type ScreenLayout, type TrackSpan } from '@hovrin/core';
import { Plus } from 'lucide-react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import type { Editor } from '../../editor/editor.ts';
import { Menu, type MenuEntry } from '../../parts/Menu.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { HandWords } from './HandWords.tsx';
import { comesTo } from './SizeSigns.tsx';
import {
  addedTrack,
  draggedTracks,
  lineSteps,
  movedTrack,
  type SaidTracks,
  saidTracks,
  type TrackAxis,
  takenTrack,
  tracksStep,
  withTrack,
} from './tracks.ts';
import { tabHands, useHand } from './useHand.ts';

const plusIcon = <Plus size={10} strokeWidth={3} aria-hidden />;

/** Whether a box lays its children into tracks that can be said: layers have one cell. */
export const isGridBox = ({ box: { content } }: ScreenBox): boolean =>
  content.type === 'grid' && !content.layers;

interface TrackHandsProps {
  readonly grid: Control;
  readonly name: string;
  readonly box: ScreenBox;
  readonly layout: ScreenLayout;
  readonly scale: number;
}

export function TrackHands(props: TrackHandsProps) {
  const { grid, box } = props;
  const { scope } = useEditorState('scope');
  if (!box.tracks) return null;
  const said = (axis: TrackAxis) =>
    saidTracks(
      axis,
      inForce(scope === '' ? undefined : grid.props[`${scope}.${axis}`]) ?? inForce(grid.props[axis]),
    );
  return (
    <>
      <TrackLines {...props} />
      {(['columns', 'rows'] as const).map((axis) => {
        const tracks = said(axis);
        return tracks && <AxisHands key={axis} {...props} said={tracks} />;
      })}
    </>
  );
}

/** Where tracks begin and end on the screen, CSS px; those of columns from the left. */
function edgesOf(
  { box, layout }: Pick<TrackHandsProps, 'box' | 'layout'>,
  axis: TrackAxis,
): readonly TrackSpan[] {
  const spans = box.tracks?.[axis] ?? [];
  if (axis === 'rows') return spans.map(({ start, size }) => ({ start: box.y + start, size }));
  return spans.map(({ start, size }) => ({
    start: layout.rightToLeft ? box.x + box.width - start - size : box.x + start,
    size,
  }));
}

/** Faint lines at both edges of all tracks. */
export function TrackLines(props: Omit<TrackHandsProps, 'grid' | 'name'>) {
  const { box, scale } = props;
  const line = 'absolute border-dashed border-[#2f5d50]/50';
  return (
    <>
      {edgesOf(props, 'columns').map(({ start, size }) => (
        <div
          key={`column ${start}`}
          className={`${line} border-x`}
          style={{ left: start * scale, width: size * scale, top: box.y * scale, height: box.height * scale }}
        />
      ))}
      {edgesOf(props, 'rows').map(({ start, size }) => (
        <div
          key={`row ${start}`}
          className={`${line} border-y`}
          style={{ top: start * scale, height: size * scale, left: box.x * scale, width: box.width * scale }}
        />
      ))}
    </>
  );
}

/** Below a grid at the top of the screen stands the flag with its name, px of the window. */
const flagHeight = 24;
/** Half of what a chip needs beside the grid, px of the window. */
const half = 24;

/** Where the chips of rows stand: beside the grid where there is room, or else inside its right edge. px of the window. */
function besideOf(box: ScreenBox, layout: ScreenLayout, scale: number): number {
  if (box.x * scale >= 2 * half) return box.x * scale - half;
  const right = (box.x + box.width) * scale;
  return (layout.width * scale - right >= 2 * half ? right + half : right - half) - 2;
}

interface AxisProps extends TrackHandsProps {
  readonly said: SaidTracks;
}

function AxisHands(props: AxisProps) {
  const { box, said, scale, layout } = props;
  const { handling } = useBenchView();
  const before = box.tracks?.[said.axis === 'columns' ? 'columnsBefore' : 'rowsBefore'] ?? 0;
  // The explicit tracks stand behind those that the grid made in front of them.
  const edges = edgesOf(props, said.axis).slice(before, before + said.texts.length);
  const isAcross = said.axis === 'columns';
  const isTurned = isAcross && layout.rightToLeft;
  const far = box.y + box.height;
  const at = (along: number) =>
    isAcross
      ? { left: along * scale, top: far * scale + (box.y * scale < flagHeight ? 36 : 14) }
      : { top: along * scale, left: besideOf(box, layout, scale) };
  const lines = edges.map(({ start, size }, index) => {
    const next = edges[index + 1];
    const end = isTurned ? start : start + size;
    const begin = next && (isTurned ? next.start + next.size : next.start);
    return begin === undefined ? end : (end + begin) / 2;
  });
  const [first] = edges;
  const start = first ? (isTurned ? first.start + first.size : first.start) : isAcross ? box.x : box.y;
  return (
    <>
      {edges.map(({ start: from, size }, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a track is nothing but its place among the others.
        <Chip key={index} {...props} index={index} size={size} place={at(from + size / 2)} />
      ))}
      {!handling &&
        [start, ...lines].map((along, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a line is nothing but its place among the others.
          <AddTrack key={index} {...props} index={index} place={at(along)} />
        ))}
      {edges.map((_, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a line is nothing but its place among the others.
        <LineHand key={index} {...props} index={index} edges={edges} along={lines[index] ?? 0} />
      ))}
    </>
  );
}

interface Place {
  readonly left: number;
  readonly top: number;
}

const axisWord = { columns: 'column', rows: 'row' } as const;

function Chip(props: AxisProps & { readonly index: number; readonly size: number; readonly place: Place }) {
  const { said, index, place } = props;
  const { editor } = useWorkplace();
  const text = said.texts[index] ?? '';
  const what = `${axisWord[said.axis]} ${index + 1}`;
  return (
    <span className="pointer-events-auto absolute z-20 -translate-1/2" style={place}>
      <Menu
        label={`Ways of ${what}`}
        button={
          <button
            type="button"
            data-hand={`track ${said.axis} ${index}`}
            tabIndex={-1}
            aria-label={`${what}: ${text}`}
            title={`The ${what} is ${text}; press to change it`}
            className="h-[18px] max-w-24 truncate rounded-[3px] border border-[#2f5d50] bg-[#fffdf8] px-1 font-mono text-[10px] leading-4 text-[#1f2a24] hover:bg-[#e0a11b] focus-visible:outline-2 focus-visible:outline-[#e0a11b]"
            onKeyDown={tabHands}
          >
            {text}
          </button>
        }
        entries={() => waysOf(editor, props)}
      />
    </span>
  );
}

/** What can be done with a track: other sizes with what they come to, moving, evening out, taking away. */
function waysOf(
  editor: Editor,
  { grid, name, said, index, size }: AxisProps & { readonly index: number; readonly size: number },
): MenuEntry[] {
  const { axis, texts } = said;
  const now = String(Math.round(size));
  const own = texts[index] ?? '';
  const what = axisWord[axis];
  const set = (label: string, next: readonly string[], more: ReturnType<typeof lineSteps> = []) =>
    editor.dispatch({ label: `${label} of ${name}`, steps: [tracksStep(grid, axis, next), ...more] });
  const sizes = ['1fr', '2fr', 'auto', now, `minmax(${now}, 1fr)`, 'min-content'];
  const ways = [...new Set([own, ...sizes])].map((text): MenuEntry => {
    const next = withTrack(texts, index, text);
    const layout = comesTo(editor, [tracksStep(grid, axis, next)]);
    const came = layout?.byControl.get(grid.id)?.tracks?.[axis][index]?.size;
    return {
      label: text,
      keys: came === undefined ? '' : `${Math.round(came * 10) / 10} px`,
      checked: text === own,
      onSelect: () => set(`Size of ${what} ${index + 1}`, next),
    };
  });
  return [
    ...ways,
    {
      label: `All ${axis} like this one`,
      disabled: texts.length < 2,
      onSelect: () =>
        set(
          `Alike ${axis}`,
          texts.map(() => own),
        ),
    },
    {
      label: `All ${axis} even`,
      disabled: texts.length < 2,
      onSelect: () =>
        set(
          `Even ${axis}`,
          texts.map(() => '1fr'),
        ),
    },
    {
      label: axis === 'columns' ? 'Move to the left' : 'Move up',
      disabled: index === 0,
      onSelect: () => set(`Order of ${axis}`, movedTrack(texts, index, -1)),
    },
    {
      label: axis === 'columns' ? 'Move to the right' : 'Move down',
      disabled: index === texts.length - 1,
      onSelect: () => set(`Order of ${axis}`, movedTrack(texts, index, 1)),
    },
    {
      label: `Take the ${what} away`,
      danger: true,
      onSelect: () => set(`Fewer ${axis}`, takenTrack(texts, index), lineSteps(grid, axis, index, -1)),
    },
  ];
}

function AddTrack({
  grid,
  name,
  said: { axis, texts },
  index,
  place,
}: AxisProps & { readonly index: number; readonly place: Place }) {
  const { editor } = useWorkplace();
  const words = `Add a ${axisWord[axis]} here`;
  return (
    <button
      type="button"
      data-hand={`add ${axis} ${index}`}
      tabIndex={-1}
      aria-label={`${words}, ${index + 1}`}
      title={words}
      className="group pointer-events-auto absolute z-10 grid size-6 -translate-1/2 place-items-center focus-visible:outline-2 focus-visible:outline-[#e0a11b]"
      style={place}
      onKeyDown={tabHands}
      onClick={(event) => {
        event.stopPropagation();
        // As large as its neighbour, which is most often what is wanted.
        const text = texts[index - 1] ?? texts[index] ?? '1fr';
        editor.dispatch({
          label: `Add a ${axisWord[axis]} to ${name}`,
          steps: [tracksStep(grid, axis, addedTrack(texts, index, text)), ...lineSteps(grid, axis, index, 1)],
        });
      }}
    >
      <span className="grid size-3 place-items-center rounded-[2px] bg-[#e0a11b]/70 text-[#1f2a24] group-hover:size-4 group-hover:bg-[#e0a11b]">
        {plusIcon}
      </span>
    </button>
  );
}

interface LineProps extends AxisProps {
  readonly index: number;
  readonly edges: readonly TrackSpan[];
  /** Where it stands along the axis, CSS px of the screen. */
  readonly along: number;
}

function LineHand({ grid, name, box, layout, scale, said, index, edges, along }: LineProps) {
  const { editor } = useWorkplace();
  const { step } = useEditorState('step');
  const { snapping } = useBenchView();
  const { axis, texts } = said;
  const isAcross = axis === 'columns';
  const sign = isAcross && layout.rightToLeft ? -1 : 1;
  const { handlers, words } = useHand({
    scale,
    onTake: () => ({ texts, sizes: edges.map(({ size }) => size), grid }),
    onMove: (taken, by, { free, mod, run }) => {
      const size = (taken.sizes[index] ?? 0) + sign * (isAcross ? by.x : by.y);
      const dragged = draggedTracks(taken.texts, {
        index,
        sizes: taken.sizes,
        size,
        room: isAcross ? box.width : box.height,
        snaps: snapping !== free,
        step,
        toPx: mod,
      });
      editor.dispatch({
        label: `Size of ${axisWord[axis]} ${index + 1} of ${name}`,
        steps: [tracksStep(taken.grid, axis, dragged.texts)],
        group: `track ${run}`,
      });
      return dragged.words;
    },
  });
  const title = `Drag the end of ${axisWord[axis]} ${index + 1}; Ctrl makes px of it`;
  return (
    <div
      className={`group pointer-events-auto absolute z-10 grid -translate-1/2 touch-none place-items-center focus-visible:outline-2 focus-visible:outline-[#e0a11b] ${isAcross ? 'h-6 w-3 cursor-col-resize' : 'h-3 w-6 cursor-row-resize'}`}
      style={
        isAcross ? { left: along * scale, top: box.y * scale } : { top: along * scale, left: box.x * scale }
      }
      data-hand={`line ${axis} ${index}`}
      role="slider"
      aria-label={title}
      aria-valuenow={Math.round(edges[index]?.size ?? 0)}
      aria-valuetext={words ?? texts[index] ?? ''}
      tabIndex={-1}
      title={title}
      {...handlers}
    >
      <span
        className={`border border-[#fffdf8] bg-[#2f5d50] group-hover:bg-[#e0a11b] ${isAcross ? 'h-4 w-[5px]' : 'h-[5px] w-4'}`}
      />
      <HandWords words={words} className="top-full left-full" />
    </div>
  );
}
