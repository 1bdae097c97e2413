/** The layout for every width: how wide the selection and its siblings are, and where something changes. */
import {
  boxAt,
  type Change,
  type Control,
  causeRank,
  effectiveNames,
  kindOf,
  locate,
  mannerOf,
  plainArrangement,
  type SweepPart,
  sweepChangeWords,
  toldChanges,
} from '@hovrin/core';
import { scaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import { type KeyboardEvent, type PointerEvent, useEffect, useMemo, useRef, useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { sweptFrom, sweptTo } from '../every-width/request.ts';
import { useSwept } from '../every-width/useEveryWidth.ts';
import { Sentence } from './Sentence.tsx';

/** Room around the drawing, px. */
const edge = { left: 46, right: 14, top: 22, bottom: 22 };

/** Fills of stacked siblings, in turn; the selection has its own. */
const siblingFills = ['#d3ded6', '#e6dfcf', '#c9d5d9', '#e9d9c6'];

interface Band {
  readonly control: string;
  readonly name: string;
  readonly points: readonly {
    readonly at: number;
    readonly low: number;
    readonly high: number;
    readonly gap: boolean;
  }[];
}

/** The controls that are drawn: the selection, and its siblings where they stand side by side. */
function drawn(project: Parameters<typeof locate>[0], control: Control): readonly Control[] {
  const parent = locate(project, control.id)?.parent;
  const sideBySide =
    parent && (plainArrangement(parent) === 'row' || mannerOf(kindOf(parent)).panes !== undefined);
  return sideBySide ? parent.children : [control];
}

/** How wide each control is over the widths, one on top of the other. */
function bandsOf(
  parts: readonly SweepPart[],
  controls: readonly Control[],
  names: ReadonlyMap<string, string>,
): Band[] {
  const bands = controls.map(({ id }) => ({
    control: id,
    name: names.get(id) ?? '',
    points: [] as Band['points'][number][],
  }));
  for (const { stretch } of parts) {
    const indexes = controls.map(({ id }) =>
      stretch.boxes.findIndex((box) => box.control === id && box.items.every((item) => item === 0)),
    );
    for (const at of [stretch.from, stretch.to]) {
      let low = 0;
      bands.forEach((band, which) => {
        const index = indexes[which]!;
        const width = index < 0 ? 0 : boxAt(stretch, index, at)[2];
        band.points.push({ at, low, high: low + width, gap: index < 0 });
        low += width;
      });
    }
  }
  return bands;
}

export function SweepPane({ screen, control }: { screen: Control; control: Control }) {
  const { project } = useEditorState('project');
  const { sizes, resize, setLit } = useBenchView();
  const { width } = sizes[0]!;
  const swept = useSwept();
  const frame = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 640, height: 230 });
  useEffect(() => {
    const watch = new ResizeObserver(
      ([entry]) => entry && setRoom({ width: entry.contentRect.width, height: entry.contentRect.height }),
    );
    if (frame.current) watch.observe(frame.current);
    return () => watch.disconnect();
  }, []);
  const names = effectiveNames(screen);
  const controls = useMemo(() => drawn(project, control), [project, control]);
  const bands = useMemo(
    () => bandsOf(swept.parts, controls, effectiveNames(screen)),
    [swept.parts, controls, screen],
  );
  const highest = Math.max(100, ...bands.flatMap(({ points }) => points.map(({ high }) => high)));
  const x = scaleLinear([sweptFrom, sweptTo], [edge.left, room.width - edge.right]);
  const y = scaleLinear([0, highest], [room.height - edge.bottom, edge.top]).nice(4);
  const shape = area<Band['points'][number]>()
    .defined(({ gap }) => !gap)
    .x(({ at }) => x(at))
    .y0(({ low }) => y(low))
    .y1(({ high }) => y(high));
  const ids = useMemo(() => new Set(controls.map(({ id }) => id)), [controls]);
  const changes = useMemo(
    () => toldChanges(swept.parts.flatMap(({ change }) => (change ? [change] : []))),
    [swept.parts],
  );
  const concerning = changes.filter((change) => concerns(change, ids, project));
  const within = (value: number) => Math.round(Math.min(sweptTo, Math.max(sweptFrom, value)));
  const move = (event: PointerEvent<HTMLDivElement>) => {
    const { left } = event.currentTarget.getBoundingClientRect();
    resize({ width: within(x.invert(event.clientX - left)) });
  };
  const step = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    const next =
      by > 0
        ? concerning.find((change) => change.width > width)
        : concerning.findLast((change) => Math.ceil(change.width) < width);
    resize({
      width: within(
        event.ctrlKey || event.metaKey
          ? Math.ceil(next?.width ?? width)
          : width + by * (event.shiftKey ? 10 : 1),
      ),
    });
  };
  const own = bands.find((band) => band.control === control.id);
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_minmax(230px,290px)]">
      <div ref={frame} className="relative min-h-0 overflow-hidden">
        <div
          className="absolute inset-0 cursor-ew-resize touch-none focus-visible:outline-2 focus-visible:-outline-offset-2 focus-visible:outline-spruce"
          role="slider"
          aria-label={`Width of the working bay; ${names.get(control.id)} over all widths`}
          aria-valuemin={sweptFrom}
          aria-valuemax={sweptTo}
          aria-valuenow={Math.round(width)}
          tabIndex={0}
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            move(event);
          }}
          onPointerMove={(event) => event.buttons === 1 && move(event)}
          onKeyDown={step}
        >
          <svg width={room.width} height={room.height} aria-hidden>
            <title>{`How wide ${names.get(control.id)} is at every width`}</title>
            {project.bands.map((band, index) => {
              const from = Math.max(sweptFrom, band.from);
              const to = Math.min(sweptTo, project.bands[index + 1]?.from ?? sweptTo);
              if (to <= from) return null;
              return (
                <g key={band.name}>
                  <rect
                    x={x(from)}
                    y={0}
                    width={x(to) - x(from)}
                    height={room.height - edge.bottom}
                    fill={index % 2 === 0 ? '#f5f1e8' : '#efe9dc'}
                  />
                  <text x={x(from) + 4} y={14} className="fill-quiet text-[11px]">
                    {band.label}
                  </text>
                </g>
              );
            })}
            {y.ticks(3).map((tick) => (
              <g key={tick}>
                <line
                  x1={edge.left}
                  x2={room.width - edge.right}
                  y1={y(tick)}
                  y2={y(tick)}
                  stroke="#d8d2c4"
                  strokeWidth={0.5}
                />
                <text
                  x={edge.left - 6}
                  y={y(tick) + 3.5}
                  textAnchor="end"
                  className="fill-quiet font-mono text-[10px]"
                >
                  {tick}
                </text>
              </g>
            ))}
            {x.ticks(8).map((tick) => (
              <text
                key={tick}
                x={x(tick)}
                y={room.height - 7}
                textAnchor="middle"
                className="fill-quiet font-mono text-[10px]"
              >
                {tick}
              </text>
            ))}
            {bands.map((band, index) => (
              <path
                key={band.control}
                d={shape(band.points as Band['points'][number][]) ?? ''}
                fill={band.control === control.id ? '#2f5d50' : siblingFills[index % siblingFills.length]!}
                fillOpacity={band.control === control.id ? 0.85 : 1}
                stroke="#fffdf8"
                strokeWidth={0.75}
                onPointerEnter={() => setLit(band.control)}
                onPointerLeave={() => setLit(undefined)}
              />
            ))}
            {bands.map((band) => {
              const last = band.points.at(-1);
              if (!last || last.gap || y(last.low) - y(last.high) < 13) return null;
              return (
                <text
                  key={band.control}
                  x={x(last.at) - 6}
                  y={(y(last.low) + y(last.high)) / 2 + 4}
                  textAnchor="end"
                  className={`pointer-events-none font-mono text-[11px] ${band.control === control.id ? 'fill-[#fffdf8]' : 'fill-ink'}`}
                >
                  {band.name}
                </text>
              );
            })}
            {concerning.map(
              ({ width: from, until }) =>
                until !== undefined && (
                  <rect
                    key={from}
                    x={x(from)}
                    y={edge.top - 4}
                    width={x(until) - x(from)}
                    height={room.height - edge.bottom - edge.top + 4}
                    fill="#1f2a24"
                    fillOpacity={0.12}
                  />
                ),
            )}
            {concerning.map((change) => (
              <line
                key={change.width}
                x1={x(change.width)}
                x2={x(change.width)}
                y1={change.jump ? edge.top - 4 : room.height - edge.bottom - 8}
                y2={room.height - edge.bottom}
                stroke={change.causes.some(({ question }) => question === 'band') ? '#b86b35' : '#1f2a24'}
                strokeOpacity={change.jump ? 0.55 : 0.35}
                strokeDasharray={change.jump ? '2 2' : undefined}
              />
            ))}
            <line
              x1={x(within(width))}
              x2={x(within(width))}
              y1={0}
              y2={room.height - edge.bottom}
              stroke="#e0a11b"
              strokeWidth={2}
            />
            <rect
              x={x(within(width)) - 5}
              y={room.height - edge.bottom - 5}
              width={10}
              height={10}
              fill="#e0a11b"
            />
          </svg>
        </div>
        {!swept.done && (
          <p
            role="status"
            className="absolute right-4 bottom-7 rounded-sm bg-sheet px-2 text-[12px] text-quiet"
          >
            {swept.problem ??
              `Sweeping … ${Math.round(swept.parts.at(-1)?.stretch.to ?? sweptFrom)} of ${sweptTo}`}
          </p>
        )}
        {swept.done && own?.points.every(({ gap }) => gap) && (
          <p className="absolute inset-x-0 top-1/2 text-center text-quiet">
            {names.get(control.id)} is hidden at every width.
          </p>
        )}
      </div>
      <ChangeList
        screen={screen}
        changes={concerning}
        all={changes.length}
        width={width}
        onWidth={(value) => resize({ width: within(Math.ceil(value)) })}
      />
    </div>
  );
}

/** Whether a change is about some controls, what is in them, or what they stand in. */
function concerns(change: Change, ids: ReadonlySet<string>, project: Parameters<typeof locate>[0]): boolean {
  return change.causes.some(({ control, question }) => {
    if (question === 'band') return true;
    for (
      let at = control === undefined ? undefined : locate(project, control);
      at;
      at = at.parent && locate(project, at.parent.id)
    )
      if (ids.has(at.control.id)) return true;
    return false;
  });
}

function ChangeList({
  screen,
  changes,
  all,
  width,
  onWidth,
}: {
  screen: Control;
  changes: readonly Change[];
  all: number;
  width: number;
  onWidth: (width: number) => void;
}) {
  const list = useRef<HTMLUListElement>(null);
  const current = changes.findLast((change) => change.width <= width)?.width;
  useEffect(() => {
    if (current !== undefined)
      list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' });
  }, [current]);
  return (
    <div className="flex min-h-0 flex-col border-l border-rule">
      <h3 className="shrink-0 px-3 pt-2 pb-1 font-semibold">
        {changes.length === 1 ? 'One change' : `${changes.length} changes`}
        <span className="ml-2 font-normal text-quiet">of {all} on this screen</span>
      </h3>
      <ul ref={list} className="min-h-0 flex-1 overflow-y-auto px-2 pb-2 text-[12px]">
        {changes.map((change) => {
          const words = sweepChangeWords(
            { ...change, causes: change.causes.toSorted((a, b) => causeRank(a) - causeRank(b)) },
            screen,
          );
          return (
            <li
              key={change.width}
              aria-current={change.width === current ? 'step' : undefined}
              className={`flex items-baseline gap-2 rounded-sm px-1 py-0.5 ${change.width === current ? 'bg-saffron/20' : ''}`}
            >
              <button
                type="button"
                className="w-12 shrink-0 rounded-sm text-right font-mono tabular-nums hover:bg-sunk"
                title={`Go to ${Math.ceil(change.width)} px`}
                onClick={() => onWidth(change.width)}
              >
                {Math.ceil(change.width)}
              </button>
              <span>
                {words.slice(0, 2).map((sentence, index) => (
                  <span key={sentence}>
                    {index > 0 && '; '}
                    <Sentence screen={screen}>{sentence}</Sentence>
                  </span>
                ))}
                {words.length > 2 && <span className="text-quiet"> and {words.length - 2} more</span>}
              </span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
