/**
 * The widths above the bench: bands with edges to drag, the working width to drag, where the layout changes its behaviour,
 * and where something is wrong.
 */
import { setBand, toldChanges } from '@hovrin/core';
import { type ScaleLinear, scaleLinear } from 'd3-scale';
import { type PointerEvent, useMemo, useRef } from 'react';
import { useEditorState, useWorkplace } from '../../editor/context.tsx';
import { useRoom } from '../../parts/useRoom.ts';
import { sweptFrom, sweptTo } from '../every-width/request.ts';
import { useFindings, useSwept } from '../every-width/useEveryWidth.ts';
import { useBenchView } from './benchView.ts';

const height = 34;
let runs = 0;

export function WidthRuler() {
  const { sizes, resize, layoutChanges } = useBenchView();
  const width = sizes[0]?.width ?? sweptFrom;
  const swept = useSwept();
  const { element: frame, room } = useRoom({ width: 400, height });
  const x = useMemo(
    () => scaleLinear([sweptFrom, sweptTo], [6, Math.max(60, room.width - 10)]).clamp(true),
    [room.width],
  );
  const widthAt = (event: PointerEvent) => {
    const left = frame.current?.getBoundingClientRect().left ?? 0;
    return Math.round(x.invert(event.clientX - left));
  };
  const changes = toldChanges(swept.parts.flatMap(({ change }) => (change ? [change] : [])));
  layoutChanges.current = changes.flatMap(({ jump, width: at }) => (jump ? Math.ceil(at) : []));
  return (
    <div
      ref={frame}
      className="relative mr-4 shrink-0 cursor-ew-resize touch-none"
      style={{ height }}
      role="slider"
      aria-label="Working width, over the bands"
      aria-valuemin={sweptFrom}
      aria-valuemax={sweptTo}
      aria-valuenow={Math.round(width)}
      tabIndex={0}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        resize({ width: widthAt(event) });
      }}
      onPointerMove={(event) => event.buttons === 1 && resize({ width: widthAt(event) })}
      onKeyDown={(event) => {
        const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
        if (by === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
        event.preventDefault();
        event.stopPropagation();
        resize({ width: width + by * (event.shiftKey ? 10 : 1) });
      }}
    >
      <svg width={room.width} height={height} aria-hidden className="absolute inset-0 overflow-visible">
        <title>Widths</title>
        <Bands x={x} />
        <Marks x={x} changes={changes} />
        <line x1={x(width)} x2={x(width)} y1={10} y2={32} stroke="#e0a11b" strokeWidth={2} />
        <path d={`M${x(width) - 4} 8h8l-4 5z`} fill="#e0a11b" />
      </svg>
      <BandEdges x={x} onWidth={widthAt} />
    </div>
  );
}

type Scale = ScaleLinear<number, number>;

function useBands() {
  const { project } = useEditorState('project');
  return project.bands.toSorted((a, b) => a.from - b.from);
}

function Bands({ x }: { x: Scale }) {
  const { scope } = useEditorState('scope');
  const bands = useBands();
  return (
    <>
      {bands.map((band, index) => {
        const from = x(Math.max(sweptFrom, band.from));
        const to = x(Math.min(sweptTo, bands[index + 1]?.from ?? sweptTo));
        if (to <= from) return null;
        const edited =
          scope === band.name ||
          (bands.findIndex(({ name }) => name === scope) < index && bands.some(({ name }) => name === scope));
        return (
          <g key={band.name}>
            <rect
              x={from}
              y={11}
              width={to - from}
              height={13}
              className={edited ? 'fill-copper' : index % 2 === 0 ? 'fill-sunk' : 'fill-rule'}
              fillOpacity={edited ? 0.35 : 0.8}
            />
            {band.color && !edited && (
              <rect x={from} y={22} width={to - from} height={2} fill={band.color} data-band={band.name} />
            )}
            <text x={from + 5} y={21} className="fill-ink text-[10.5px]">
              {to - from > 40 ? band.label : ''}
            </text>
            {band.from > sweptFrom && (
              <text x={from} y={9} textAnchor="middle" className="fill-quiet font-mono text-[9px]">
                {band.from}
              </text>
            )}
          </g>
        );
      })}
    </>
  );
}

/** Where the layout changes, and where something is wrong. */
function Marks({ x, changes }: { x: Scale; changes: ReturnType<typeof toldChanges> }) {
  const findings = useFindings();
  const wrong = findings
    .filter(({ severity }) => severity === 'error')
    .flatMap(({ where }) => where)
    .filter(({ textScale }) => textScale === 1);
  return (
    <>
      {changes.map(({ width: from, until = from, jump }) => (
        <rect
          key={from}
          data-change={from}
          x={x(from) - 0.5}
          y={24}
          width={x(until) - x(from) + 1}
          height={4}
          className="fill-quiet"
          fillOpacity={jump ? 0.8 : 0.35}
        />
      ))}
      {wrong.map(({ from, to, orientation }, index) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: stretches have no name of their own.
          key={`${from} ${to} ${orientation} ${index}`}
          x={x(from)}
          y={29}
          width={Math.max(2, x(to) - x(from))}
          height={4}
          className="fill-brick"
        />
      ))}
    </>
  );
}

/** Where bands begin, to be dragged. @param onWidth the width under the pointer. */
function BandEdges({ x, onWidth }: { x: Scale; onWidth: (event: PointerEvent) => number }) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const bands = useBands();
  const dragged = useRef<{ band: string; run: number }>(undefined);
  const moveBand = (event: PointerEvent) => {
    const { current } = dragged;
    const band = bands.find(({ name }) => name === current?.band);
    if (!current || !band) return;
    const index = bands.indexOf(band);
    const least = (bands[index - 1]?.from ?? 0) + 1;
    const most = (bands[index + 1]?.from ?? 4000) - 1;
    const from = Math.max(least, Math.min(most, onWidth(event)));
    if (from !== band.from)
      editor.dispatch({
        label: `Begin ${band.label} at ${from}`,
        steps: setBand(project, { ...band, from }),
        group: `band ${band.name} ${current.run}`,
      });
  };
  return (
    <>
      {bands
        .filter(({ from }) => from > sweptFrom && from < sweptTo)
        .map((band) => (
          <div
            key={band.name}
            className="absolute top-0 h-[26px] w-2 -translate-x-1/2 cursor-col-resize touch-none border-copper hover:border-x"
            style={{ left: x(band.from) }}
            title={`${band.label} begins at ${band.from} px; drag to move it`}
            data-band-edge={band.name}
            onPointerDown={(event) => {
              event.stopPropagation();
              event.currentTarget.setPointerCapture(event.pointerId);
              dragged.current = { band: band.name, run: ++runs };
            }}
            onPointerMove={(event) => {
              event.stopPropagation();
              moveBand(event);
            }}
            onPointerUp={(event) => {
              event.stopPropagation();
              dragged.current = undefined;
            }}
          />
        ))}
    </>
  );
}
