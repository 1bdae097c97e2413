/** The bench: the working bay in the middle, live side bays beside it. */
import {
  type Control,
  inSample,
  longTexts,
  type Project,
  type SampleCondition,
  ScreenView,
  sampleConditions,
  sampleWords,
} from '@hovrin/core';
import { ArrowLeftRight, MoreHorizontal, Plus, X } from 'lucide-react';
import { type PointerEvent, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { Menu, type MenuEntry } from '../../parts/Menu.tsx';
import { OwnSizeDialog } from '../../parts/OwnSizeDialog.tsx';
import { PanelEdge, usePanelSize } from '../../parts/PanelEdge.tsx';
import { allSizes, greatestSize, leastSize, type ScreenSize, sizeWords } from '../../sizes.ts';
import { Bay } from '../bays/Bay.tsx';
import { PictureMenu } from '../bays/PictureMenu.tsx';
import { withLive } from '../bays/useLiveValues.ts';
import { unhidden } from '../hidden.ts';
import { ScopeSwitch } from '../ScopeSwitch.tsx';
import { bandAt } from '../scope.ts';
import { useBenchView } from './benchView.ts';
import { usePanning } from './panning.ts';
import { TracingStrip } from './TracingStrip.tsx';
import { WidthRuler } from './WidthRuler.tsx';
import { leastZoom, within, type Zoom } from './zoom.ts';

interface BenchProps {
  readonly screen: Control;
  /** Of the working bay. */
  readonly zoom: Zoom;
  readonly onZoom: (zoom: number) => void;
  readonly onScale: (scale: number) => void;
}

/** The layout of a version of a screen at a size; worked out again when that or the size changes. */
function useLayout(newest: Project, shown: Control, { width, height, safe, hinge, sample: own }: ScreenSize) {
  const { shaper } = useWorkplace();
  const { seeing, liveValues } = useBenchView();
  const sample = own ?? seeing.sample;
  const { project, faint } = useMemo(() => {
    const now = liveValues.size > 0 ? { ...newest, state: withLive(newest.state, liveValues) } : newest;
    const told = inSample(now, sample, manyOnTheBench);
    const said = seeing.long ? longTexts(told) : told;
    return seeing.hidden ? unhidden(said, shown.id) : { project: said, faint: none };
  }, [newest, seeing.hidden, seeing.long, sample, liveValues, shown.id]);
  const screen = project.screens.find(({ id }) => id === shown.id) ?? shown;
  const view = useRef<ScreenView>(undefined);
  view.current ??= new ScreenView(shaper);
  const current = view.current;
  const layout = useMemo(
    () => current.layOut(project, screen, { width, height, safe, hinge }),
    [current, project, screen, width, height, safe, hinge],
  );
  return { layout, faint };
}

/** Many rows, but no more than one can still work with in several sizes. */
const manyOnTheBench = 100;

const none: readonly string[] = [];

/** What the side bays leave of their panel on both sides. */
const asideBays = 26;

export function Bench({ screen, zoom, onZoom, onScale }: BenchProps) {
  const { sizes, setSizes, resize, seeing } = useBenchView();
  const [working, ...sides] = sizes;
  const side = usePanelSize('sides', {
    usual: 216,
    least: 150,
    most: ({ width }) => Math.min(480, width / 5),
  });
  const area = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 400, height: 600 });
  useEffect(() => {
    const watch = new ResizeObserver(
      ([entry]) => entry && setRoom({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    if (area.current) watch.observe(area.current);
    return () => watch.disconnect();
  }, []);
  const fitting = Math.max(
    leastZoom,
    Math.min(1, room.width / working!.width, room.height / working!.height),
  );
  const scale = typeof zoom === 'number' ? zoom : fitting;
  useEffect(() => onScale(scale), [onScale, scale]);
  const { editor } = useWorkplace();
  /** What is to be in the middle once the bay has its new scale, px of the screen. */
  const aim = useRef<{ x: number; y: number }>(undefined);
  useEffect(() => {
    if (zoom !== 'selection') return;
    const boxes = editor.state.selection.flatMap((id) => editor.bench?.layout.byControl.get(id) ?? []);
    if (boxes.length === 0) return onZoom(fitting);
    const left = Math.min(...boxes.map(({ x }) => x));
    const top = Math.min(...boxes.map(({ y }) => y));
    const width = Math.max(...boxes.map((box) => box.x + box.width)) - left;
    const height = Math.max(...boxes.map((box) => box.y + box.height)) - top;
    aim.current = { x: left + width / 2, y: top + height / 2 };
    onZoom(within(0.8 * Math.min(room.width / Math.max(1, width), room.height / Math.max(1, height))));
  }, [zoom, editor, onZoom, fitting, room]);
  useEffect(() => {
    const bay = area.current?.querySelector<HTMLElement>('[data-bay="working"]');
    const { x, y } = aim.current ?? {};
    aim.current = undefined;
    if (!area.current || !bay || x === undefined || y === undefined) return;
    const [view, at] = [area.current.getBoundingClientRect(), bay.getBoundingClientRect()];
    area.current.scrollBy(
      at.left + x * scale - view.left - view.width / 2,
      at.top + y * scale - view.top - view.height / 2,
    );
  }, [scale]);
  const panning = usePanning(area);
  const [adding, setAdding] = useState(false);
  return (
    <section aria-label="Bench" className="flex min-h-0 min-w-0 flex-1 bg-ground">
      <div className="flex min-w-0 flex-1 flex-col gap-2 py-3 pl-4">
        <WorkingHeader size={working!} scale={scale} onResize={resize} />
        <WidthRuler />
        {seeing.tracing && <TracingStrip size={working!} />}
        <div
          ref={area}
          className={`min-h-0 flex-1 overflow-auto pt-1 pr-5 pb-5 pl-1 ${panning ? 'cursor-grab' : ''}`}
        >
          <WorkingBay screen={screen} size={working!} scale={scale} onResize={resize} />
        </div>
      </div>
      <div className="relative flex shrink-0 flex-col border-l border-rule/70" style={{ width: side.size }}>
        <PanelEdge label="Width of the side bays" side="left" panel={side} />
        <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto px-3 py-3">
          {sides.map((size, index) => (
            <SideBay
              key={size.label}
              screen={screen}
              size={size}
              width={side.size - asideBays}
              onSwap={() => setSizes([size, ...sizes.filter((_, at) => at !== index + 1)])}
              onPin={(pin) => setSizes(sizes.with(index + 1, { ...size, screen: pin }))}
              onSample={(sample) => setSizes(sizes.with(index + 1, { ...size, sample }))}
              onRemove={() => setSizes(sizes.filter((_, at) => at !== index + 1))}
              onUp={
                index === 0
                  ? undefined
                  : () => setSizes(sizes.with(index, size).with(index + 1, sizes[index]!))
              }
            />
          ))}
          {adding && (
            <OwnSizeDialog onAdd={(size) => setSizes([...sizes, size])} onClose={() => setAdding(false)} />
          )}
          <Menu
            label="Add a size"
            button={
              <button type="button" className="btn self-start">
                <Plus size={14} aria-hidden /> Add a size
              </button>
            }
            entries={allSizes()
              .filter(({ label }) => sizes.every((size) => size.label !== label))
              .map((size) => ({
                label: size.label,
                keys: sizeWords(size),
                onSelect: () => setSizes([...sizes, size]),
              }))
              .concat([{ label: 'One of your own …', keys: '', onSelect: () => setAdding(true) }])}
          />
        </div>
      </div>
    </section>
  );
}

function WorkingHeader({
  size,
  scale,
  onResize,
}: {
  size: ScreenSize;
  scale: number;
  onResize: (size: Partial<ScreenSize>) => void;
}) {
  const { project } = useEditorState('project');
  return (
    <div className="flex h-7 items-center gap-2">
      <span className="font-semibold">{bandAt(project, size.width)?.label ?? size.label}</span>
      <SizeField
        label="Width of the working bay"
        value={size.width}
        onValue={(width) => onResize({ width })}
      />
      <span className="text-quiet">×</span>
      <SizeField
        label="Height of the working bay"
        value={size.height}
        onValue={(height) => onResize({ height })}
      />
      <span className="text-quiet">px</span>
      {size.sample && (
        <button
          type="button"
          className="btn !h-6 min-w-0 text-[12px]"
          title="This bay has rows and feeds of its own; press to have those of the bench"
          onClick={() => onResize({ sample: undefined })}
        >
          <span className="truncate">{sampleWords[size.sample]}</span>{' '}
          <X size={12} className="shrink-0" aria-hidden />
        </button>
      )}
      <ScopeSwitch size={size} />
      <span className="ml-auto shrink-0 text-[12px] text-quiet">{Math.round(scale * 100)} %</span>
      <span className="pr-2">
        <PictureMenu size={size} />
      </span>
    </div>
  );
}

function SizeField({
  label,
  value,
  onValue,
}: {
  label: string;
  value: number;
  onValue: (value: number) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const number = Number(typed);
  const bad = typed !== undefined && !(number >= leastSize && number <= greatestSize);
  const commit = () => {
    if (typed !== undefined && !bad) onValue(number);
    setTyped(undefined);
  };
  return (
    <input
      className="field !w-14 shrink-0 !px-1.5 text-right"
      inputMode="numeric"
      aria-label={label}
      aria-invalid={bad}
      title={bad ? `From ${leastSize} to ${greatestSize}` : label}
      value={typed ?? String(value)}
      onChange={(event) => {
        setTyped(event.target.value);
        const next = Number(event.target.value);
        if (next >= leastSize && next <= greatestSize) onValue(next);
      }}
      onBlur={commit}
      onKeyDown={(event) => {
        if (event.key === 'Enter') commit();
        if (event.key === 'ArrowUp' || event.key === 'ArrowDown') {
          event.preventDefault();
          setTyped(undefined);
          onValue(value + (event.key === 'ArrowUp' ? 1 : -1) * (event.shiftKey ? 10 : 1));
        }
      }}
    />
  );
}

/** Which rows and feeds a bay has: those of the bench, or of a condition of its own. */
const sampleEntries = (
  { sample: own }: ScreenSize,
  onSample: (sample: SampleCondition | undefined) => void,
): MenuEntry[] => [
  {
    label: 'Rows and feeds as on the bench',
    checked: own === undefined,
    onSelect: () => onSample(undefined),
  },
  ...sampleConditions.map((sample) => ({
    label: sampleWords[sample],
    checked: own === sample,
    onSelect: () => onSample(sample),
  })),
];

/** The project as it is shown: a fix that is only pointed at shows in its place. */
function useShownProject(): Project {
  const { project } = useEditorState('project');
  const { preview } = useBenchView();
  return preview ?? project;
}

function WorkingBay({
  screen,
  size,
  scale,
  onResize,
}: {
  screen: Control;
  size: ScreenSize;
  scale: number;
  onResize: (size: Partial<ScreenSize>) => void;
}) {
  const { layout, faint } = useLayout(useShownProject(), screen, size);
  const { editor, shaper } = useWorkplace();
  const other = useRef<ScreenView>(undefined);
  const { width, height: viewHeight, safe, hinge } = size;
  useEffect(() => {
    editor.bench = {
      layout,
      layOut: (project) => {
        other.current ??= new ScreenView(shaper);
        const shown = project.screens.find(({ id }) => id === screen.id) ?? screen;
        return other.current.layOut(project, shown, { width, height: viewHeight, safe, hinge });
      },
    };
    return () => {
      editor.bench = undefined;
    };
  }, [editor, shaper, layout, screen, width, viewHeight, safe, hinge]);
  const height = Math.max(layout.fullHeight, size.height);
  return (
    <div className="relative mx-auto" style={{ width: size.width * scale, height: height * scale }}>
      <div className="outline outline-rule">
        <Bay id="working" screen={screen} layout={layout} size={size} scale={scale} working faint={faint} />
      </div>
      <Edge axis="width" size={size} scale={scale} onResize={onResize} />
      <Edge axis="height" size={size} scale={scale} onResize={onResize} />
    </div>
  );
}

/** An edge of the working bay, to drag it wider or higher. */
function Edge({
  axis,
  size,
  scale,
  onResize,
}: {
  axis: 'width' | 'height';
  size: ScreenSize;
  scale: number;
  onResize: (size: Partial<ScreenSize>) => void;
}) {
  const from = useRef<{ at: number; value: number }>(undefined);
  const at = (event: PointerEvent) => (axis === 'width' ? event.clientX : event.clientY);
  const place =
    axis === 'width'
      ? { left: size.width * scale, top: 0, width: 12, height: size.height * scale }
      : { left: 0, top: size.height * scale, width: size.width * scale, height: 12 };
  return (
    <div
      className={`group absolute z-10 grid touch-none place-items-center ${axis === 'width' ? 'cursor-ew-resize' : 'cursor-ns-resize'}`}
      style={place}
      data-edge={axis}
      title={axis === 'width' ? 'Drag to change the width' : 'Drag to change the height'}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { at: at(event), value: size[axis] };
      }}
      onPointerMove={(event) =>
        from.current && onResize({ [axis]: from.current.value + (at(event) - from.current.at) / scale })
      }
      onPointerUp={() => {
        from.current = undefined;
      }}
    >
      <span
        className={`rounded-sm bg-quiet/40 group-hover:bg-spruce ${axis === 'width' ? 'h-10 w-1' : 'h-1 w-10'}`}
      />
    </div>
  );
}

function SideBay({
  screen,
  size,
  width,
  onSwap,
  onRemove,
  onUp,
  onPin,
  onSample,
}: {
  screen: Control;
  size: ScreenSize;
  /** How wide it is drawn, CSS px. */
  width: number;
  onSwap: () => void;
  onRemove: () => void;
  /** Keeps a screen in this bay; undefined: it shows the one being built. */
  onPin: (screen: string | undefined) => void;
  /** Gives this bay rows and feeds of its own condition; undefined: what the bench has. */
  onSample: (sample: SampleCondition | undefined) => void;
  /** Undefined for the topmost. */
  onUp: (() => void) | undefined;
}) {
  const newest = useShownProject();
  const pinned = size.screen === undefined ? undefined : newest.screens.find(({ id }) => id === size.screen);
  const shown = pinned ?? screen;
  // The working bay shows what is typed first; this one follows in the next frame.
  const { layout, faint } = useLayout(useDeferredValue(newest), shown, size);
  return (
    <figure className="m-0 flex flex-col gap-1.5">
      <figcaption className="flex items-center gap-2">
        <span className="truncate font-semibold">
          {size.label}
          {pinned && <span className="font-normal text-quiet"> · {pinned.name}</span>}
        </span>
        {!pinned && (
          <span className="min-w-0 shrink-[99] truncate text-[12px] text-quiet">
            {size.sample ? sampleWords[size.sample].toLowerCase() : sizeWords(size)}
          </span>
        )}
        <button
          type="button"
          className="btn-bare ml-auto !h-6 !min-w-6"
          aria-label={`Work at ${size.label}`}
          title={`Work at ${size.label}`}
          onClick={onSwap}
        >
          <ArrowLeftRight size={14} />
        </button>
        <Menu
          label={`More of ${size.label}`}
          button={
            <button type="button" className="btn-bare !h-6 !min-w-5" aria-label={`More of ${size.label}`}>
              <MoreHorizontal size={14} />
            </button>
          }
          entries={[
            {
              label: pinned ? `Follow the screen being built` : `Keep ${screen.name} here`,
              onSelect: () => onPin(pinned ? undefined : screen.id),
            },
            ...sampleEntries(size, onSample),
            { label: 'Move up', disabled: !onUp, onSelect: () => onUp?.() },
            { label: 'Take away', onSelect: onRemove },
          ]}
        />
      </figcaption>
      <div className="outline outline-rule" style={{ width }}>
        <Bay
          id={size.label}
          screen={shown}
          layout={layout}
          size={size}
          scale={width / size.width}
          working={false}
          faint={faint}
        />
      </div>
    </figure>
  );
}
