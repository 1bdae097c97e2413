/** One size of the screen on the bench: live, selectable, a place to drop on. */

import { type Control, effectiveNames, locate, type ScreenLayout } from '@hovrin/core';
import { Plus } from 'lucide-react';
import { type PointerEvent, useEffect, useMemo, useRef, useState } from 'react';
import { commandNamed, isLocked, placePictures, runCommand } from '../../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { placeWords } from '../../editor/places.ts';
import type { ScreenSize } from '../../sizes.ts';
import { useBays } from '../bench/bays.ts';
import { useBenchView } from '../bench/benchView.ts';
import { type Tracing, useAddress } from '../bench/tracing.ts';
import { AddButtons } from '../hands/AddButtons.tsx';
import { DrawLayer } from '../hands/DrawLayer.tsx';
import { type Drop, dropAt, type Rectangle, scaled } from '../hands/drop.ts';
import { ResizeGrips } from '../hands/ResizeGrips.tsx';
import { controlsAt, keepWindows, meantAt } from '../hands/spot.ts';
import { useDragged } from '../hands/useDragged.ts';
import { KindIcon } from '../KindIcon.tsx';
import { upperBand } from '../scope.ts';
import { useShownSelection } from '../useShownSelection.ts';
import { Anatomy } from './Anatomy.tsx';
import { Covered } from './Covered.tsx';
import { openScrolls, windowsOf } from './cut.ts';
import { FocusLayer } from './FocusLayer.tsx';
import { DistanceLine, Measured } from './Measured.tsx';
import { Paint } from './Paint.tsx';
import { usePictureAddress } from './pictureAddress.ts';
import { ScrollSigns } from './ScrollSigns.tsx';
import { usePartInSight } from './usePartInSight.ts';

// The same elements each time: nothing looks at them again.

interface BayProps {
  readonly id: string;
  readonly screen: Control;
  readonly layout: ScreenLayout;
  readonly size: ScreenSize;
  readonly scale: number;
  /** The working bay has the buttons to add, the side bays only show. */
  readonly working: boolean;
  /** Controls that are only shown because what is hidden is to be seen. */
  readonly faint: readonly string[];
}

export function Bay({ id, screen, layout, size, scale, working, faint }: BayProps) {
  const { editor } = useWorkplace();
  const { project, selection } = useShownSelection(working);
  const bays = useBays();
  const { lit, seeing, tracing, focusShown } = useBenchView();
  const traced = working && seeing.tracing ? tracing : undefined;
  const traceAddress = useAddress(traced?.picture);
  const surface = useRef<HTMLDivElement | null>(null);
  const [hovered, setHovered] = useState<string>();
  const pressed = useRef<string | undefined>(undefined);
  const { setNodeRef, onPointerDown } = useDragged({
    id: `bay ${id}`,
    data: { from: 'bay', bay: id, pressed },
  });

  const height = Math.max(layout.fullHeight, size.height);
  const windows = useMemo(() => windowsOf(layout, openScrolls(layout, selection)), [layout, selection]);
  keepWindows(layout, windows);
  useEffect(() => {
    const element = surface.current;
    if (!element) return;
    bays.register(id, { element, layout, scale, screen });
    return () => bays.unregister(id);
  }, [bays, id, layout, scale, screen]);

  const pointOf = (event: PointerEvent | React.MouseEvent): [number, number] => {
    const { left, top } = event.currentTarget.getBoundingClientRect();
    return [(event.clientX - left) / scale, (event.clientY - top) / scale];
  };
  const meant = (event: PointerEvent | React.MouseEvent) =>
    meantAt(screen, layout, editor.state.selection, ...pointOf(event), event.ctrlKey || event.metaKey) ??
    screen.id;
  /** What a drag takes along: what is selected, where it is under the pointer. */
  const grabbed = (event: PointerEvent) => {
    const under = controlsAt(screen, layout, ...pointOf(event));
    return editor.state.selection.find((each) => under.includes(each)) ?? meant(event);
  };
  const pictureAddress = usePictureAddress();
  const part = usePartInSight(surface, scale, layout.boxes.length);
  const names = effectiveNames(screen);
  const selectedBox = selection[0] === undefined ? undefined : layout.byControl.get(selection[0]);
  const selectedLocked = selection[0] !== undefined && isLocked(project, selection[0]);
  /** Where a picture from the computer would land. */
  const [files, setFiles] = useState<Drop>();
  const [measuring, setMeasuring] = useState(false);
  const holding = useRef(false);
  useEffect(() => {
    if (!working) return undefined;
    // Distances show as soon as the key is held, not only once the pointer moves.
    const hold = (event: Event) => {
      if (event instanceof KeyboardEvent && event.key !== 'Alt') return;
      holding.current = event.type === 'keydown';
      setMeasuring(holding.current);
    };
    const events = ['keydown', 'keyup', 'blur'];
    for (const event of events) window.addEventListener(event, hold);
    return () => {
      for (const event of events) window.removeEventListener(event, hold);
    };
  }, [working]);
  const [under, setUnder] = useState<{ x: number; y: number; ids: readonly string[] }>();
  const drop = bays.drop?.bay === id ? bays.drop.drop : undefined;

  return (
    <div className="relative" style={{ width: size.width * scale, height: height * scale }}>
      {/* biome-ignore lint/a11y/noStaticElementInteractions: the tree beside it does the same by keys. */}
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: keys select through the commands. */}
      <div
        ref={(element) => {
          surface.current = element;
          setNodeRef(element);
        }}
        data-bay={id}
        className="relative touch-none overflow-hidden bg-white select-none"
        style={{ width: size.width * scale, height: height * scale }}
        onPointerDown={(event) => {
          editor.editIn(working ? undefined : upperBand(project, size.width));
          pressed.current = grabbed(event);
          onPointerDown(event);
        }}
        onPointerMove={(event) => {
          const measures = event.altKey || holding.current;
          setMeasuring(measures);
          setHovered(
            measures ? (controlsAt(screen, layout, ...pointOf(event))[0] ?? screen.id) : meant(event),
          );
        }}
        onDragOver={(event) => {
          if (!event.dataTransfer.types.includes('Files')) return;
          event.preventDefault();
          setFiles(dropAt(project, screen, layout, ...pointOf(event)));
        }}
        onDragLeave={() => setFiles(undefined)}
        onDrop={(event) => {
          event.preventDefault();
          const found = dropAt(project, screen, layout, ...pointOf(event));
          setFiles(undefined);
          const pictures = [...event.dataTransfer.files].filter(({ type }) => type.startsWith('image/'));
          if (pictures.length === 0) editor.tell('Only pictures can be dropped here.');
          else if (found) void placePictures(editor, pictures, found.place, found.props ?? {});
        }}
        onPointerLeave={() => setHovered(undefined)}
        onClick={(event) => {
          setUnder(undefined);
          const id = meant(event);
          if (!event.shiftKey) editor.select([id]);
          else if (id !== screen.id) {
            const { selection } = editor.state;
            editor.select(
              selection.includes(id) ? selection.filter((each) => each !== id) : [...selection, id],
            );
          }
        }}
        onDoubleClick={() => runCommand(editor, commandNamed('type-first'))}
        onContextMenu={(event) => {
          event.preventDefault();
          const [x, y] = pointOf(event);
          setUnder({ x: x * scale, y: y * scale, ids: [...controlsAt(screen, layout, x, y), screen.id] });
        }}
      >
        <div
          className="pointer-events-none absolute top-0 left-0"
          style={{
            width: size.width,
            height,
            transform: `scale(${scale})`,
            transformOrigin: '0 0',
            fontSize: 16,
            colorScheme: 'light',
          }}
        >
          {traced?.mode === 'under' && <TracedPicture tracing={traced} address={traceAddress} />}
          <div style={traced?.mode === 'under' ? { mixBlendMode: 'multiply' } : undefined}>
            <Paint layout={layout} windows={windows} pictureAddress={pictureAddress} part={part} />
          </div>
          {traced && traced.mode !== 'under' && <TracedPicture tracing={traced} address={traceAddress} />}
        </div>
        {/* What the pointer meets first: the browser need not look through all that is painted below it. */}
        <div className="absolute inset-0" />
      </div>
      <div className="pointer-events-none absolute inset-0 [contain:layout_size]">
        <Covered size={size} scale={scale} />
        <ScrollSigns layout={layout} scale={scale} />
        {layout.fullHeight > size.height + 0.5 && (
          <Fold at={size.height * scale} height={size.height} words={working} />
        )}
        {faint.map((each) => {
          const box = layout.byControl.get(each);
          return box && <Frame key={each} box={box} scale={scale} className="bg-white/65" hiddenOne />;
        })}
        {seeing.outlines === 'all' &&
          layout.boxes.map(
            (box) =>
              box.control !== undefined && (
                <Frame
                  key={`${box.control} ${box.items.join()}`}
                  box={box}
                  scale={scale}
                  className="border border-dotted border-[#2f5d50]/60"
                  words={working && seeing.names ? names.get(box.control) : undefined}
                />
              ),
          )}
        {seeing.outlines !== 'off' && selectedBox && (
          <Anatomy box={selectedBox} layout={layout} scale={scale} />
        )}
        {hovered !== undefined && hovered !== selection[0] && !bays.drop && (
          <Hover layout={layout} id={hovered} name={names.get(hovered) ?? ''} scale={scale} />
        )}
        {lit !== undefined && layout.byControl.has(lit) && (
          <Frame
            lit={names.get(lit)}
            box={layout.byControl.get(lit)!}
            scale={scale}
            className="bg-[#e0a11b]/25 outline-2 outline-[#b87d0c]"
          />
        )}
        {selection.map((each, index) => {
          const box = layout.byControl.get(each);
          return (
            box && (
              <SelectionMarks
                // The first of the selection is the first again when another is selected: its marks only move.
                // biome-ignore lint/suspicious/noArrayIndexKey: marks hold nothing of their own.
                key={index}
                box={box}
                name={names.get(each) ?? ''}
                scale={scale}
                small={!working || index > 0}
              />
            )
          );
        })}
        {working &&
          selectedBox &&
          selection.length === 1 &&
          selection[0] !== screen.id &&
          !bays.drop &&
          !selectedLocked && (
            <ResizeGrips id={selection[0]!} box={selectedBox} layout={layout} scale={scale} />
          )}
        {measuring &&
          selectedBox &&
          hovered !== undefined &&
          hovered !== selection[0] &&
          layout.byControl.has(hovered) && (
            <Measured one={selectedBox} other={layout.byControl.get(hovered)!} scale={scale} />
          )}
        {bays.lasso?.bay === id && (
          <Frame box={bays.lasso.area} scale={scale} className="border border-[#1f2a24] bg-[#1f2a24]/5" />
        )}
        {under && (
          <UnderPointer
            {...under}
            height={height * scale}
            nameOf={(each) => names.get(each) ?? ''}
            onClose={() => setUnder(undefined)}
          />
        )}
        {working && selectedBox && selection.length === 1 && selection[0] !== undefined && !bays.drop && (
          <AddButtons rightToLeft={layout.rightToLeft} id={selection[0]} box={selectedBox} scale={scale} />
        )}
        {working && screen.children.length === 0 && !bays.drop && <FirstControl screen={screen} />}
        {working && focusShown && <FocusLayer screen={screen} layout={layout} scale={scale} />}
        {working && <DrawLayer screen={screen} layout={layout} scale={scale} />}
        {files && <DropLine drop={files} scale={scale} words={placeWords(project, files.place)} />}
        {drop && <DropLine drop={drop} scale={scale} words={bays.drop?.words ?? ''} />}
      </div>
    </div>
  );
}

/** The picture that one builds after. */
function TracedPicture({ tracing, address }: { tracing: Tracing; address: string | undefined }) {
  const { mode, amount, scale, x, y } = tracing;
  if (address === undefined) return null;
  return (
    <img
      src={address}
      alt=""
      data-traced={mode}
      className="absolute max-w-none"
      style={{
        left: x,
        top: y,
        transform: `scale(${scale})`,
        transformOrigin: '0 0',
        opacity: mode === 'under' || mode === 'blend' ? amount : 1,
        clipPath: mode === 'wipe' ? `inset(0 ${(1 - amount) * 100}% 0 0)` : undefined,
        mixBlendMode: mode === 'difference' ? 'difference' : undefined,
      }}
    />
  );
}

/** All controls under the pointer, also those that others cover. */
function UnderPointer({
  x,
  y,
  height,
  ids,
  nameOf,
  onClose,
}: {
  x: number;
  y: number;
  /** Of the bay; where there is more room above, the list opens upwards. */
  height: number;
  ids: readonly string[];
  nameOf: (id: string) => string;
  onClose: () => void;
}) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const { setLit } = useBenchView();
  const list = useRef<HTMLDivElement>(null);
  useEffect(() => list.current?.querySelector('button')?.focus(), []);
  const close = () => {
    setLit(undefined);
    onClose();
  };
  return (
    <div
      ref={list}
      role="menu"
      aria-label="Under the pointer"
      tabIndex={-1}
      className="menu pointer-events-auto absolute z-20"
      style={{ left: x, ...(y > height / 2 ? { bottom: height - y } : { top: y }) }}
      onBlur={(event) => !event.currentTarget.contains(event.relatedTarget) && close()}
      onKeyDown={(event) => {
        const buttons = [...event.currentTarget.querySelectorAll('button')];
        const at = buttons.indexOf(document.activeElement as HTMLButtonElement);
        if (event.key === 'Escape') close();
        if (event.key === 'ArrowDown') buttons[(at + 1) % buttons.length]?.focus();
        if (event.key === 'ArrowUp') buttons[(at - 1 + buttons.length) % buttons.length]?.focus();
      }}
    >
      {ids.map((id) => (
        <button
          key={id}
          type="button"
          role="menuitem"
          className="menu-item w-full justify-start !gap-2"
          onPointerEnter={() => setLit(id)}
          onFocus={() => setLit(id)}
          onClick={() => {
            close();
            editor.select([id]);
          }}
        >
          <KindIcon kind={locate(project, id)?.control.kind ?? 'screen'} /> {nameOf(id)}
        </button>
      ))}
    </div>
  );
}

/** What an empty screen says: how to begin. */
function FirstControl({ screen }: { screen: Control }) {
  const { editor } = useWorkplace();
  return (
    <div className="absolute inset-x-0 top-16 flex flex-col items-center gap-2 px-2 text-center text-[#59625b]">
      <button
        type="button"
        className="pointer-events-auto inline-flex h-8 items-center gap-1.5 rounded-md bg-[#e0a11b] px-3 font-semibold whitespace-nowrap text-[#1f2a24]"
        onClick={() => editor.openPicker({ parent: screen.id, index: 0 })}
      >
        <Plus size={15} strokeWidth={2.5} aria-hidden /> Add the first control
      </button>
      <p>or drag a part here, or press A</p>
    </div>
  );
}

function Frame({
  box,
  scale,
  className,
  lit,
  words,
  hiddenOne,
}: {
  box: Rectangle;
  scale: number;
  className: string;
  /** Name of a control that it lights up. */
  lit?: string | undefined;
  /** Stands in its corner. */
  words?: string | undefined;
  /** Around a control that is hidden. */
  hiddenOne?: boolean;
}) {
  return (
    <div
      className={`absolute ${className}`}
      style={scaled(box, scale)}
      data-lit={lit}
      data-hidden-one={hiddenOne}
    >
      {words !== undefined && (
        <span className="absolute top-0 left-0 max-w-full truncate bg-white/85 px-0.5 text-[9px] leading-[11px] text-[#2f5d50]">
          {words}
        </span>
      )}
    </div>
  );
}

/** Where the window ends and scrolling begins. */
function Fold({ at, height, words }: { at: number; height: number; words: boolean }) {
  return (
    <div className="absolute inset-x-0 border-t border-dashed border-[#59625b]" style={{ top: at }}>
      {words && (
        <span className="absolute right-1 bottom-0.5 bg-white/80 px-1 text-[10px] text-[#59625b]">
          {Math.round(height)} px: the window ends here
        </span>
      )}
    </div>
  );
}

function Hover({
  layout,
  id,
  name,
  scale,
}: {
  layout: ScreenLayout;
  id: string;
  name: string;
  scale: number;
}) {
  const box = layout.byControl.get(id);
  if (!box) return null;
  return (
    <div className="absolute border border-[#2f5d50]" style={scaled(box, scale)}>
      <span
        // Above the screen stands what belongs to the bay.
        className={`absolute left-0 bg-[#2f5d50] px-1 text-[10px] leading-4 whitespace-nowrap text-white ${box.y * scale < 16 ? 'top-0' : 'bottom-full'}`}
      >
        {name}
      </span>
    </div>
  );
}

/** Corner brackets, and the name on a small flag. */
function SelectionMarks({
  box,
  name,
  scale,
  small,
}: {
  box: Rectangle;
  name: string;
  scale: number;
  small: boolean;
}) {
  const { left, top, width, height } = scaled(box, scale);
  const arm = Math.max(3, Math.min(small ? 6 : 10, width / 3, height / 3));
  const reach = 3;
  const corners = (
    [
      [-reach, -reach, 1, 1],
      [width + reach, -reach, -1, 1],
      [-reach, height + reach, 1, -1],
      [width + reach, height + reach, -1, -1],
    ] as const
  )
    .map(([x, y, dx, dy]) => `M${x + dx * arm} ${y}H${x}V${y + dy * arm}`)
    .join('');
  return (
    <div className="absolute" style={{ left, top, width, height }} data-selected={name}>
      <svg
        className="absolute overflow-visible"
        style={{ left: 0, top: 0 }}
        width={Math.max(1, width)}
        height={Math.max(1, height)}
        aria-hidden
      >
        <path d={corners} fill="none" stroke="#fffdf8" strokeWidth={4.5} />
        <path d={corners} fill="none" stroke="#1f2a24" strokeWidth={2} />
      </svg>
      {!small && (
        <span
          className={`absolute -right-1 bg-[#1f2a24] px-1.5 text-[11px] leading-[17px] whitespace-nowrap text-[#fffdf8] ${top < 24 ? 'top-full mt-1.5' : 'bottom-full mb-1.5'}`}
        >
          {name}
        </span>
      )}
    </div>
  );
}

function DropLine({ drop, scale, words }: { drop: Drop; scale: number; words: string }) {
  const line = scaled(drop.line, scale);
  const upright = drop.line.width === 0;
  const level = drop.line.height === 0;
  return (
    <>
      <Frame
        box={drop.into}
        scale={scale}
        className="border border-dotted border-[#b87d0c] bg-[#e0a11b]/10"
      />
      <div
        className={`absolute ${upright || level ? 'bg-[#d08f0c]' : 'border-2 border-[#d08f0c]'}`}
        style={{
          left: line.left - (upright ? 1.5 : 0),
          top: line.top - (level ? 1.5 : 0),
          width: upright ? 3 : line.width,
          height: level ? 3 : line.height,
        }}
      />
      {drop.guides?.map((guide) =>
        guide.distance === undefined ? (
          <div
            key={`${guide.axis} ${guide.at} ${guide.from}`}
            className="absolute bg-[#d08f0c]"
            data-guide={guide.axis}
            style={
              guide.axis === 'x'
                ? {
                    left: guide.at * scale,
                    top: guide.from * scale,
                    width: 1,
                    height: (guide.to - guide.from) * scale,
                  }
                : {
                    top: guide.at * scale,
                    left: guide.from * scale,
                    height: 1,
                    width: (guide.to - guide.from) * scale,
                  }
            }
          />
        ) : (
          <DistanceLine
            key={`${guide.axis} ${guide.at} ${guide.from} gap`}
            axis={guide.axis === 'x' ? 'y' : 'x'}
            at={guide.at}
            from={guide.from}
            to={guide.to}
            scale={scale}
            words={String(guide.distance)}
          />
        ),
      )}
      <span
        className="absolute z-10 bg-[#1f2a24] px-1.5 text-[11px] leading-[18px] whitespace-nowrap text-[#fffdf8]"
        // On a pinboard figures stand beside and below it; a cell has room inside.
        style={
          drop.guides
            ? { left: line.left + line.width + 6, top: line.top + line.height + 4 }
            : { left: line.left, top: line.top + 6 }
        }
      >
        {words}
      </span>
    </>
  );
}
