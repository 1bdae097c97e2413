/** The application running side by side in several sizes: what happens in one happens in the others. */
import type { ToldTrace } from '@hovrin/core/runtime';
import { MoreHorizontal, RotateCw } from 'lucide-react';
import { type PointerEvent, useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react';
import { Menu } from '../parts/Menu.tsx';
import { foldings, resized, type ScreenSize, safeOf, shared, sizeWords, turned } from '../sizes.ts';
import { Covered } from '../workbench/bays/Covered.tsx';
import type { Conditions } from './conditions.tsx';
import type { GivenThing } from './Given.tsx';

/** What a running page says to the window around it. */
type PageMessage =
  | { readonly type: 'hovrin-problem' | 'hovrin-screen' | 'hovrin-pick'; readonly text: string }
  | { readonly type: 'hovrin-state'; readonly name: string; readonly value: unknown }
  | { readonly type: 'hovrin-trace'; readonly trace: ToldTrace }
  | { readonly type: 'hovrin-file'; readonly name: string; readonly text: string }
  | { readonly type: 'hovrin-copy'; readonly text: string }
  | { readonly type: 'hovrin-dialogs'; readonly names: readonly string[] };

const gap = 28;

/** The screen that a page begins with, by its address. */
const startOf = (address: string): string => decodeURIComponent(address.split('#')[1] ?? '');

interface FramesProps {
  readonly sizes: readonly ScreenSize[];
  readonly address: string;
  readonly conditions: Conditions;
  /** What happens in one happens in the others. */
  readonly linked: boolean;
  readonly onProblem: (text: string) => void;
  readonly onPick: (screen: string, control: string) => void;
  readonly onGiven: (thing: GivenThing) => void;
  readonly onTrace: (size: string, screen: string, trace: ToldTrace) => void;
}

export function Frames({
  sizes,
  address,
  conditions,
  linked,
  onProblem,
  onPick,
  onGiven,
  onTrace,
}: FramesProps) {
  const area = useRef<HTMLDivElement>(null);
  const frames = useRef(new Map<string, HTMLIFrameElement>());
  /** Which screen each shows, and what has been entered since the beginning. */
  const screens = useRef(new Map<string, string>());
  const entered = useRef(new Map<string, unknown>());
  const [own, setOwn] = useState<ReadonlyMap<string, ScreenSize>>(new Map());
  const [room, setRoom] = useState({ width: 0, height: 0 });
  /** Sizes whose page has said that it runs. */
  const [running, setRunning] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    const watch = new ResizeObserver(
      ([entry]) => entry && setRoom({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    if (area.current) watch.observe(area.current);
    return () => watch.disconnect();
  }, []);
  const onThere = useCallback((label: string, frame: HTMLIFrameElement) => {
    frames.current.set(label, frame);
    return () => {
      frames.current.delete(label);
      screens.current.delete(label);
    };
  }, []);
  const send = (label: string, message: object) =>
    frames.current.get(label)?.contentWindow?.postMessage(message, '*');
  /** What a page is told of the device that it runs on, and of its reader. */
  const tellConditions = (label: string) => {
    const size = own.get(label) ?? sizes.find((each) => each.label === label);
    if (!size) return;
    const { long: _, sample: __, ...rest } = conditions;
    send(label, {
      type: 'hovrin-conditions',
      ...rest,
      touch: size.touch ?? false,
      safe: safeOf(size),
      // One of those that are linked does what happens by itself, or each would do it for all.
      follows: linked && label !== sizes[0]?.label,
      ...(size.hinge ? { hinge: size.hinge } : {}),
    });
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: this is all that it tells of.
  useEffect(() => {
    for (const label of frames.current.keys()) tellConditions(label);
  }, [conditions, sizes, own, linked]);
  // Other files are loaded into the same frames: their pages begin anew, with what has been entered.
  // biome-ignore lint/correctness/useExhaustiveDependencies: another address is what it is about.
  useEffect(() => {
    screens.current.clear();
    setRunning(new Set());
  }, [address]);
  // Other rows are another beginning: what was made of the ones before does not belong to them.
  // biome-ignore lint/correctness/useExhaustiveDependencies: other rows are what it is about.
  useEffect(() => entered.current.clear(), [conditions.sample]);
  useEffect(() => {
    const hear = ({ source, data }: MessageEvent<PageMessage>) => {
      const label = [...frames.current].find(([, frame]) => frame.contentWindow === source)?.[0];
      if (label === undefined || typeof data?.type !== 'string') return;
      const others = linked ? [...frames.current.keys()].filter((each) => each !== label) : [];
      switch (data.type) {
        case 'hovrin-problem':
          onProblem(String(data.text));
          break;
        case 'hovrin-pick':
          onPick(screens.current.get(label) ?? '', String(data.text));
          break;
        case 'hovrin-file':
          onGiven({ as: 'file', name: String(data.name), text: String(data.text) });
          break;
        case 'hovrin-copy':
          onGiven({ as: 'copy', text: String(data.text) });
          break;
        case 'hovrin-trace':
          onTrace(label, screens.current.get(label) ?? '', data.trace);
          break;
        case 'hovrin-screen': {
          const screen = String(data.text);
          const began = !screens.current.has(label);
          screens.current.set(label, screen);
          if (began) {
            setRunning((before) => new Set(before).add(label));
            tellConditions(label);
            if (linked)
              for (const [name, value] of entered.current) send(label, { type: 'hovrin-set', name, value });
          }
          // The first screen of a page that starts is where it begins, unless a link was pressed before it had started.
          if (began && screen === startOf(address)) {
            const elsewhere = others.map((each) => screens.current.get(each)).find(Boolean);
            if (elsewhere && elsewhere !== screen) send(label, { type: 'hovrin-go', screen: elsewhere });
          } else
            for (const each of others)
              if ((screens.current.get(each) ?? screen) !== screen) send(each, { type: 'hovrin-go', screen });
          break;
        }
        case 'hovrin-dialogs': {
          const names = data.names.map(String);
          for (const each of others) send(each, { type: 'hovrin-show-dialogs', names });
          break;
        }
        case 'hovrin-state':
          entered.current.set(data.name, data.value);
          for (const each of others) send(each, { type: 'hovrin-set', name: data.name, value: data.value });
      }
    };
    window.addEventListener('message', hear);
    return () => window.removeEventListener('message', hear);
  });
  const shown = sizes.map((size) => own.get(size.label) ?? size);
  const scale = useMemo(() => {
    const width = sizes.reduce((sum, size) => sum + size.width, 0);
    const tallest = Math.max(...sizes.map((size) => size.height));
    return Math.min(
      1,
      (room.width - gap * (sizes.length + 1)) / width,
      (room.height - gap * 2 - 24) / tallest,
    );
  }, [sizes, room]);
  const change = (size: ScreenSize) => setOwn(new Map(own).set(size.label, resized(size)));
  return (
    <div
      ref={area}
      className="flex min-w-0 flex-1 items-start justify-center overflow-auto"
      style={{ gap, padding: gap }}
    >
      {room.width > 0 &&
        shown.map((size) => (
          <figure key={size.label} className="m-0 flex flex-col gap-1.5">
            <figcaption className="flex items-center gap-2 text-[12px] whitespace-nowrap">
              <span className="font-medium">{size.label}</span>
              <button
                type="button"
                className="btn-bare !h-5 !min-w-5"
                aria-label={`Turn ${size.label}`}
                title={`Turn ${size.label}; what was typed stays`}
                onClick={() => change(turned(size))}
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
                entries={() => {
                  const whole = sizes.find(({ label }) => label === size.label)!;
                  const parts = [
                    ['The whole window', 1],
                    ['Two thirds, beside another application', 2 / 3],
                    ['Half, beside another application', 1 / 2],
                    ['A third, beside another application', 1 / 3],
                  ] as const;
                  return [
                    ...parts.map(([label, part]) => ({
                      label,
                      checked: Math.round(whole.width * part) === size.width,
                      onSelect: () => change(part === 1 ? whole : shared(whole, part)),
                    })),
                    ...(foldings.some(({ label }) => label === whole.label)
                      ? foldings.map((state) => ({
                          label: state.label,
                          checked: state.width === size.width && state.hinge === size.hinge,
                          onSelect: () => change({ ...state, label: size.label }),
                        }))
                      : []),
                  ];
                }}
              />
              <span className="ml-auto text-quiet">
                {sizeWords(size)} · {Math.round(scale * 100)} %
              </span>
            </figcaption>
            <div className="relative" style={{ width: size.width * scale, height: size.height * scale }}>
              <div className="size-full overflow-hidden rounded-md border border-rule bg-white">
                <RunningPage
                  size={size}
                  address={address}
                  follows={linked && size.label !== sizes[0]?.label}
                  scale={scale}
                  onThere={onThere}
                />
              </div>
              {!running.has(size.label) && <Coming label={size.label} />}
              <Covered size={size} scale={scale} />
              <Corner size={size} scale={scale} onSize={change} />
            </div>
          </figure>
        ))}
    </div>
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
}: {
  size: ScreenSize;
  address: string;
  /** It begins beside others, which have done already what happens at the beginning. */
  follows: boolean;
  scale: number;
  /** Takes the frame when it is there; what it gives back is called when it goes. */
  onThere: (label: string, frame: HTMLIFrameElement) => () => void;
}) {
  const { label, width, height } = size;
  const frame = useRef<HTMLIFrameElement>(null);
  // As it was at the beginning: another address would load the page anew.
  const [begun] = useState(follows);
  useLayoutEffect(() => onThere(label, frame.current!), [label, onThere]);
  return (
    <iframe
      ref={frame}
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
