/** The application running side by side in several sizes: what happens in one happens in the others. */
import { MoreHorizontal, RotateCw } from 'lucide-react';
import { type PointerEvent, useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { Menu, type MenuEntry } from '../parts/Menu.tsx';
import { useRoom } from '../parts/useRoom.ts';
import { foldings, resized, type ScreenSize, shared, sizeWords, turned } from '../sizes.ts';
import { Covered } from '../workbench/bays/Covered.tsx';
import type { Conditions } from './conditions.tsx';
import type { KeptTexts } from './keptHere.ts';
import type { FramesListener, LinkedFrames, PageMessage } from './linkedFrames.ts';
import { frameGap as gap, scaleFor } from './scale.ts';

interface FramesProps extends Omit<FramesListener, 'onRunning'> {
  /** A page runs. */
  readonly onStarted: (size: string) => void;
  readonly sizes: readonly ScreenSize[];
  readonly address: string;
  readonly conditions: Conditions;
  /** What happens in one happens in the others. */
  readonly linked: boolean;
  readonly frames: LinkedFrames;
  /** What the pages find kept from runs before. */
  readonly kept: KeptTexts;
}

/** The linked pages; each is told the conditions whenever they change. */
function useLinkedFrames(props: FramesProps, sizeOf: (label: string) => ScreenSize | undefined) {
  const { sizes, address, conditions, linked, frames } = props;
  /** Sizes whose page has said that it runs. */
  const [running, setRunning] = useState<ReadonlySet<string>>(new Set());
  const setting = { address, linked, conditions, sizes, sizeOf };
  // biome-ignore lint/correctness/useExhaustiveDependencies: this is all that it tells of.
  useEffect(() => frames.tellAllConditions(setting), [conditions, sizes, sizeOf, linked]);
  // New files are loaded into the same frames: the pages start again and keep the values that were entered.
  // biome-ignore lint/correctness/useExhaustiveDependencies: another address is what it is about.
  useEffect(() => {
    frames.reload();
    setRunning(new Set());
  }, [frames, address]);
  // Other rows are another beginning: what was made of the ones before does not belong to them.
  // biome-ignore lint/correctness/useExhaustiveDependencies: other rows are what it is about.
  useEffect(() => frames.forget(), [frames, conditions.sample]);
  useEffect(() => {
    const onRunning = (label: string) => {
      setRunning((before) => new Set(before).add(label));
      props.onStarted(label);
    };
    const hear = ({ source, data }: MessageEvent<PageMessage>) =>
      frames.hear(source, data, setting, { ...props, onRunning });
    window.addEventListener('message', hear);
    return () => window.removeEventListener('message', hear);
  });
  const onThere = useCallback(
    (label: string, frame: HTMLIFrameElement) => frames.add(label, () => frame.contentWindow),
    [frames],
  );
  return { running, onThere };
}

export function Frames(props: FramesProps) {
  const { sizes, address, linked } = props;
  const [own, setOwn] = useState<ReadonlyMap<string, ScreenSize>>(new Map());
  const sizeOf = useCallback(
    (label: string) => own.get(label) ?? sizes.find((each) => each.label === label),
    [own, sizes],
  );
  const { running, onThere } = useLinkedFrames(props, sizeOf);
  const { element, room } = useRoom({ width: 0, height: 0 });
  const scale = scaleFor(sizes, room);
  const change = (size: ScreenSize) => setOwn(new Map(own).set(size.label, resized(size)));
  return (
    <div
      ref={element}
      className="flex min-w-0 flex-1 items-start overflow-auto"
      // Where there is no room for all of them, the first one can be scrolled to.
      style={{ gap, padding: gap, justifyContent: 'safe center' }}
    >
      {room.width > 0 &&
        sizes.map((whole, index) => {
          const size = own.get(whole.label) ?? whole;
          return (
            <figure key={size.label} className="m-0 flex flex-col gap-1.5">
              <Caption size={size} whole={whole} scale={scale} onSize={change} />
              <div className="relative" style={{ width: size.width * scale, height: size.height * scale }}>
                <div className="size-full overflow-hidden rounded-md border border-rule bg-white">
                  <RunningPage
                    size={size}
                    address={address}
                    follows={linked && index > 0}
                    scale={scale}
                    onThere={onThere}
                    kept={props.kept}
                  />
                </div>
                {!running.has(size.label) && <Coming label={size.label} />}
                <Covered size={size} scale={scale} />
                <Corner size={size} scale={scale} onSize={change} />
              </div>
            </figure>
          );
        })}
    </div>
  );
}

const windowParts = [
  ['The whole window', 1],
  ['Two thirds, beside another application', 2 / 3],
  ['Half, beside another application', 1 / 2],
  ['A third, beside another application', 1 / 3],
] as const;

/** What a size can be made without dragging. */
function sizeEntries(
  size: ScreenSize,
  whole: ScreenSize,
  onSize: (size: ScreenSize) => void,
): readonly MenuEntry[] {
  const parts = windowParts.map(([label, part]) => ({
    label,
    checked: Math.round(whole.width * part) === size.width,
    onSelect: () => onSize(part === 1 ? whole : shared(whole, part)),
  }));
  if (!foldings.some(({ label }) => label === whole.label)) return parts;
  const folds = foldings.map((state) => ({
    label: state.label,
    checked: state.width === size.width && state.hinge === size.hinge,
    onSelect: () => onSize({ ...state, label: size.label }),
  }));
  return [...parts, ...folds];
}

/** @param whole the size as it is among the sizes, before it was turned or drawn. */
function Caption({
  size,
  whole,
  scale,
  onSize,
}: {
  size: ScreenSize;
  whole: ScreenSize;
  scale: number;
  onSize: (size: ScreenSize) => void;
}) {
  return (
    <figcaption className="flex items-center gap-2 text-[12px] whitespace-nowrap">
      <span className="font-medium">{size.label}</span>
      <button
        type="button"
        className="btn-bare !h-5 !min-w-5"
        aria-label={`Turn ${size.label}`}
        title={`Turn ${size.label}; what was typed stays`}
        onClick={() => onSize(turned(size))}
      >
        <RotateCw size={12} />
      </button>
      <Menu
        label={`More of ${size.label}`}
        button={
          <button
            type="button"
            className="btn-bare !h-5 !min-w-5"
            aria-label={`More of ${size.label}`}
            title="Fold it, or share the window"
          >
            <MoreHorizontal size={13} />
          </button>
        }
        entries={() => sizeEntries(size, whole, onSize)}
      />
      <span className="ml-auto text-quiet">
        {sizeWords(size)} · {Math.round(scale * 100)} %
      </span>
    </figcaption>
  );
}

/** Milliseconds after which a page that has said nothing is told of. */
const patience = 8000;

/** What stands over a frame until its page runs. */
function Coming({ label }: { label: string }) {
  const [isLate, setLate] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLate(true), patience);
    return () => clearTimeout(timer);
  }, []);
  return (
    <p
      role="status"
      className="pointer-events-none absolute inset-x-0 top-0 rounded-t-md bg-sheet/90 px-3 py-2 text-[12px] text-quiet"
    >
      {isLate ? `${label} has not started yet; its script may have failed.` : 'Starting …'}
    </p>
  );
}

/** The page in a frame of its own, which nothing but another size or address makes anew. */
function RunningPage({
  size,
  address,
  follows,
  scale,
  onThere,
  kept,
}: {
  size: ScreenSize;
  address: string;
  /** It begins beside others, which have done already what happens at the beginning. */
  follows: boolean;
  scale: number;
  /** Takes the frame when it is there; what it gives back is called when it goes. */
  onThere: (label: string, frame: HTMLIFrameElement) => () => void;
  kept: KeptTexts;
}) {
  const { label, width, height } = size;
  const frame = useRef<HTMLIFrameElement>(null);
  // As it was at the beginning: another address would load the page anew.
  const [begun] = useState(follows);
  // There at once when its script begins, which no message is.
  const [name] = useState(() => JSON.stringify({ kept }));
  useLayoutEffect(() => (frame.current ? onThere(label, frame.current) : undefined), [label, onThere]);
  return (
    <iframe
      ref={frame}
      name={name}
      title={`${label}, ${sizeWords(size)}`}
      src={begun ? address.replace(/(?=#|$)/, '?follows') : address}
      sandbox="allow-scripts allow-forms"
      style={{ width, height, border: 0, transform: `scale(${scale})`, transformOrigin: '0 0' }}
    />
  );
}

/** The corner of a frame, to drag it to any size while the application runs. */
function Corner({
  size,
  scale,
  onSize,
}: {
  size: ScreenSize;
  scale: number;
  onSize: (size: ScreenSize) => void;
}) {
  const from = useRef<{ x: number; y: number; size: ScreenSize }>(undefined);
  const move = (event: PointerEvent) => {
    const start = from.current;
    if (!start) return;
    onSize({
      ...size,
      width: start.size.width + (event.clientX - start.x) / scale,
      height: start.size.height + (event.clientY - start.y) / scale,
    });
  };
  return (
    <div
      className="absolute -right-2 -bottom-2 z-10 size-5 cursor-nwse-resize touch-none"
      title="Drag to another size"
      data-corner={size.label}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        from.current = { x: event.clientX, y: event.clientY, size };
      }}
      onPointerMove={move}
      onPointerUp={() => {
        from.current = undefined;
      }}
    >
      <span className="absolute right-1 bottom-1 size-2 border-r-2 border-b-2 border-quiet" />
    </div>
  );
}
