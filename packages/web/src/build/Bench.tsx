/** The bench: the working bay in the middle, live side bays beside it. */
import { type Control, ScreenView } from '@hovrin/core';
import { ArrowLeftRight } from 'lucide-react';
import { type PointerEvent, useEffect, useMemo, useRef, useState } from 'react';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { greatestSize, leastSize, type ScreenSize, sizeWords } from '../sizes.ts';
import { Bay } from './Bay.tsx';
import { useBenchView } from './benchView.ts';

interface BenchProps {
  readonly screen: Control;
  /** Zoom of the working bay; `fit`: as large as there is room. */
  readonly zoom: number | 'fit';
  readonly outlines: boolean;
  readonly onScale: (scale: number) => void;
}

/** The layout of a screen at a size; worked out again when the document or the size changes. */
function useLayout(shown: Control, { width, height }: Pick<ScreenSize, 'width' | 'height'>) {
  const { shaper } = useWorkplace();
  const state = useEditorState();
  const { preview } = useBenchView();
  const project = preview ?? state.project;
  const screen = preview?.screens.find(({ id }) => id === shown.id) ?? shown;
  const view = useRef<ScreenView>(undefined);
  view.current ??= new ScreenView(shaper);
  const current = view.current;
  return useMemo(
    () => current.layOut(project, screen, { width, height }),
    [current, project, screen, width, height],
  );
}

const sideWidth = 190;

export function Bench({ screen, zoom, outlines, onScale }: BenchProps) {
  const { sizes, setSizes, resize } = useBenchView();
  const [working, ...sides] = sizes;
  const area = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 400, height: 600 });
  useEffect(() => {
    const watch = new ResizeObserver(
      ([entry]) => entry && setRoom({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    if (area.current) watch.observe(area.current);
    return () => watch.disconnect();
  }, []);
  const fitting = Math.max(0.1, Math.min(1, room.width / working!.width, room.height / working!.height));
  const scale = zoom === 'fit' ? fitting : zoom;
  useEffect(() => onScale(scale), [onScale, scale]);
  return (
    <section aria-label="Bench" className="flex min-h-0 min-w-0 flex-1 bg-ground">
      <div className="flex min-w-0 flex-1 flex-col gap-2 py-3 pl-4">
        <WorkingHeader size={working!} scale={scale} onResize={resize} />
        <div ref={area} className="min-h-0 flex-1 overflow-auto pt-1 pr-5 pb-5 pl-1">
          <WorkingBay screen={screen} size={working!} scale={scale} outlines={outlines} onResize={resize} />
        </div>
      </div>
      <div
        className="flex shrink-0 flex-col gap-4 overflow-y-auto border-l border-rule/70 px-3 py-3"
        style={{ width: sideWidth + 26 }}
      >
        {sides.map((size, index) => (
          <SideBay
            key={size.label}
            screen={screen}
            size={size}
            outlines={outlines}
            onSwap={() => setSizes([size, ...sizes.filter((_, at) => at !== index + 1)])}
          />
        ))}
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
  return (
    <div className="flex h-7 items-center gap-2">
      <span className="font-semibold">{size.label}</span>
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
      <span className="ml-auto pr-4 text-[12px] text-quiet">{Math.round(scale * 100)} %</span>
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
      className="field !w-14 !px-1.5 text-right"
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

function WorkingBay({
  screen,
  size,
  scale,
  outlines,
  onResize,
}: {
  screen: Control;
  size: ScreenSize;
  scale: number;
  outlines: boolean;
  onResize: (size: Partial<ScreenSize>) => void;
}) {
  const layout = useLayout(screen, size);
  const { editor, shaper } = useWorkplace();
  const other = useRef<ScreenView>(undefined);
  const { width, height: viewHeight } = size;
  useEffect(() => {
    editor.bench = {
      layout,
      layOut: (project) => {
        other.current ??= new ScreenView(shaper);
        const shown = project.screens.find(({ id }) => id === screen.id) ?? screen;
        return other.current.layOut(project, shown, { width, height: viewHeight });
      },
    };
    return () => {
      editor.bench = undefined;
    };
  }, [editor, shaper, layout, screen, width, viewHeight]);
  const height = Math.max(layout.fullHeight, size.height);
  return (
    <div className="relative mx-auto" style={{ width: size.width * scale, height: height * scale }}>
      <div className="outline outline-rule">
        <Bay
          id="working"
          screen={screen}
          layout={layout}
          size={size}
          scale={scale}
          working
          outlines={outlines}
        />
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
  outlines,
  onSwap,
}: {
  screen: Control;
  size: ScreenSize;
  outlines: boolean;
  onSwap: () => void;
}) {
  const layout = useLayout(screen, size);
  return (
    <figure className="m-0 flex flex-col gap-1.5">
      <figcaption className="flex items-center gap-2">
        <span className="font-semibold">{size.label}</span>
        <span className="text-[12px] text-quiet">{sizeWords(size)}</span>
        <button
          type="button"
          className="btn-bare ml-auto !h-6 !min-w-6"
          aria-label={`Work at ${size.label}`}
          title={`Work at ${size.label}`}
          onClick={onSwap}
        >
          <ArrowLeftRight size={14} />
        </button>
      </figcaption>
      <div className="outline outline-rule" style={{ width: sideWidth }}>
        <Bay
          id={size.label}
          screen={screen}
          layout={layout}
          size={size}
          scale={sideWidth / size.width}
          working={false}
          outlines={outlines}
        />
      </div>
    </figure>
  );
}
