/** The drawing of a sweep: stripes of controls over the widths, bands behind them, changes as lines. */
import type { Change, Project } from '@hovrin/core';
import { type ScaleLinear, scaleLinear } from 'd3-scale';
import { area } from 'd3-shape';
import { useEditorState } from '../../editor/context.tsx';
import { useBenchView } from '../bench/benchView.ts';
import { sweptFrom, sweptTo } from '../every-width/request.ts';
import type { Stripe } from './sweepStripes.ts';

/** Room around the drawing, px. */
const edge = { left: 46, right: 14, top: 22, bottom: 22 };

/** Fills of stacked siblings, in turn; the selection has its own. */
const siblingFills = ['#d3ded6', '#e6dfcf', '#c9d5d9', '#e9d9c6'];

interface Room {
  readonly width: number;
  readonly height: number;
}

/** Where a width is drawn in a room, px; its inverse is the width under the pointer. */
export const widthScale = (room: Room): ScaleLinear<number, number> =>
  scaleLinear([sweptFrom, sweptTo], [edge.left, room.width - edge.right]);

/** The room and both scales. */
interface Drawing {
  readonly room: Room;
  readonly x: ScaleLinear<number, number>;
  readonly y: ScaleLinear<number, number>;
}

interface SweepChartProps {
  readonly room: Room;
  /** What is drawn, in words. */
  readonly title: string;
  readonly stripes: readonly Stripe[];
  /** The control that is selected. */
  readonly selected: string;
  readonly changes: readonly Change[];
  /** Of the working bay. */
  readonly width: number;
}

export function SweepChart({ room, title, stripes, selected, changes, width }: SweepChartProps) {
  const { project } = useEditorState('project');
  const highest = Math.max(100, ...stripes.flatMap(({ points }) => points.map(({ high }) => high)));
  const x = widthScale(room);
  const y = scaleLinear([0, highest], [room.height - edge.bottom, edge.top]).nice(4);
  const drawing = { room, x, y };
  return (
    <svg width={room.width} height={room.height} aria-hidden>
      <title>{title}</title>
      <Bands {...drawing} project={project} />
      <Ticks {...drawing} />
      <Stripes {...drawing} stripes={stripes} selected={selected} />
      <Changes {...drawing} changes={changes} />
      <Cursor {...drawing} at={x(width)} />
    </svg>
  );
}

function Bands({ room, x, project }: Drawing & { project: Project }) {
  return (
    <>
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
    </>
  );
}

function Ticks({ room, x, y }: Drawing) {
  return (
    <>
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
    </>
  );
}

function Stripes({ x, y, stripes, selected }: Drawing & { stripes: readonly Stripe[]; selected: string }) {
  const { setLit } = useBenchView();
  const shape = area<Stripe['points'][number]>()
    .defined(({ gap }) => !gap)
    .x(({ at }) => x(at))
    .y0(({ low }) => y(low))
    .y1(({ high }) => y(high));
  return (
    <>
      {stripes.map((stripe, index) => (
        <path
          key={stripe.control}
          d={shape([...stripe.points]) ?? ''}
          fill={stripe.control === selected ? '#2f5d50' : siblingFills[index % siblingFills.length]}
          fillOpacity={stripe.control === selected ? 0.85 : 1}
          stroke="#fffdf8"
          strokeWidth={0.75}
          onPointerEnter={() => setLit(stripe.control)}
          onPointerLeave={() => setLit(undefined)}
        />
      ))}
      {stripes.map((stripe) => {
        const last = stripe.points.at(-1);
        if (!last || last.gap || y(last.low) - y(last.high) < 13) return null;
        return (
          <text
            key={stripe.control}
            x={x(last.at) - 6}
            y={(y(last.low) + y(last.high)) / 2 + 4}
            textAnchor="end"
            className={`pointer-events-none font-mono text-[11px] ${stripe.control === selected ? 'fill-[#fffdf8]' : 'fill-ink'}`}
          >
            {stripe.name}
          </text>
        );
      })}
    </>
  );
}

/** What changes where: a grey stretch where it goes to and fro, a line elsewhere. */
function Changes({ room, x, changes }: Drawing & { changes: readonly Change[] }) {
  return (
    <>
      {changes.map(
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
      {changes.map((change) => (
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
    </>
  );
}

function Cursor({ room, at }: Drawing & { at: number }) {
  return (
    <>
      <line x1={at} x2={at} y1={0} y2={room.height - edge.bottom} stroke="#e0a11b" strokeWidth={2} />
      <rect x={at - 5} y={room.height - edge.bottom - 5} width={10} height={10} fill="#e0a11b" />
    </>
  );
}
