/** A number's ranges on a scale: how the data's own numbers are spread, where each range begins, and what holds in it. */
import {
  type Control,
  colourIn,
  numbersOf,
  type Property,
  type RangeStop,
  type Ranges,
  rangesText,
  readRanges,
  sampleOf,
  type Theme,
  themeOf,
} from '@hovrin/core';
import { type ScaleLinear, scaleLinear } from 'd3-scale';
import { type PointerEvent, useId, useRef, useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { RangeList } from './RangeList.tsx';
import { countedIn, endsOf, extentOf, firstRanges, mappable, movedTo } from './rangeNumbers.ts';

/** Size of the scale, px: its width fits the Facts, with room for a handle at both ends. */
const width = 250;
const edge = 8;
const barHeight = 14;
const spreadHeight = 30;
/** Columns that the data's numbers are counted in. */
const columns = 25;

/** What stands for a colour on the scale; other values take turns in quiet tones. */
function paintOf(theme: Theme, value: RangeStop['value'], index: number): string {
  const colour = colourIn(theme, String(value));
  if (/^#[\da-f]{3,8}$/i.test(colour)) return colour;
  return index % 2 === 0 ? 'var(--color-sunk)' : 'var(--color-rule)';
}

/** The scale under a bound property; a way to get one where its value is a number; nothing elsewhere. */
export function RangeField({
  control,
  property,
  text,
  onText,
  onRest,
}: {
  control: Control;
  property: Property;
  text: string;
  onText: (text: string) => void;
  /** What comes is undone by itself. */
  onRest: () => void;
}) {
  const { project } = useEditorState('project');
  const ranges = readRanges(text);
  if (ranges)
    return (
      <RangeScale
        ranges={ranges}
        numbers={numbersOf(project, control, ranges.of)}
        property={property}
        onMove={(next) => onText(rangesText(next))}
        onRest={onRest}
      />
    );
  const of = mappable(text);
  const sample = of === undefined ? undefined : sampleOf(project, control, text);
  if (of === undefined || !sample || !('value' in sample) || typeof sample.value !== 'number') return null;
  return (
    <button
      type="button"
      className="btn mb-1 ml-[92px] !h-6 self-start text-[12px]"
      title="Say what this is in each range of the number"
      onClick={() =>
        onText(rangesText(firstRanges(of, numbersOf(project, control, of), property, themeOf(project))))
      }
    >
      By ranges of the number
    </button>
  );
}

interface RangeScaleProps {
  readonly ranges: Ranges;
  /** The data's own numbers. */
  readonly numbers: readonly number[];
  readonly property: Property;
  /** Hears of each change of a run of them, as of a drag; what `onRest` ends is undone together. */
  readonly onMove: (ranges: Ranges) => void;
  readonly onRest: () => void;
}

function RangeScale({ ranges, numbers, property, onMove, onRest }: RangeScaleProps) {
  /** A change by itself. */
  const onChange = (next: Ranges) => {
    onRest();
    onMove(next);
    onRest();
  };
  // While one is moved the scale stands still under it.
  const [held, setHeld] = useState<readonly [number, number]>();
  const [from, to] = held ?? extentOf([...numbers, ...endsOf(ranges)]);
  const x = scaleLinear([from, to], [edge, width - edge]).clamp(true);
  const drawing = { ranges, x, from, to };
  return (
    <fieldset className="mb-1.5 rounded border border-rule p-2" aria-label={`Ranges of ${property.label}`}>
      <p className="mb-1 flex items-center gap-2 text-[12px]">
        <span className="truncate font-mono text-lake">{ranges.of}</span>
        <label className="ml-auto flex items-center gap-1.5 whitespace-nowrap text-quiet">
          <input
            type="checkbox"
            className="accent-spruce"
            checked={ranges.blended}
            onChange={(event) => onChange({ ...ranges, blended: event.target.checked })}
          />
          blended
        </label>
      </p>
      <svg viewBox={`0 0 ${width} ${spreadHeight + barHeight + 16}`} className="block w-full touch-none">
        <title>{`${numbers.length} ${numbers.length === 1 ? 'value' : 'values'} as everything begins`}</title>
        <Spread numbers={numbers} from={from} to={to} />
        <Bar {...drawing} property={property} />
        <Handles {...drawing} onMove={onMove} onRest={onRest} onHold={setHeld} />
      </svg>
      <RangeList {...{ ranges, property, onChange, onMove, onRest }} span={to - from} />
    </fieldset>
  );
}

/** The ranges on a scale that reaches from one number to another. */
interface Drawing {
  readonly ranges: Ranges;
  readonly x: ScaleLinear<number, number>;
  readonly from: number;
  readonly to: number;
}

/** How the data's own numbers are spread. */
function Spread({ numbers, from, to }: { numbers: readonly number[]; from: number; to: number }) {
  const counted = countedIn(columns, numbers, from, to);
  const tallest = Math.max(1, ...counted);
  const column = (width - 2 * edge) / columns;
  return (
    <>
      {counted.map((count, index) => (
        <rect
          // biome-ignore lint/suspicious/noArrayIndexKey: columns stand still.
          key={index}
          x={edge + index * column + 0.5}
          width={column - 1}
          y={spreadHeight - (count / tallest) * (spreadHeight - 4)}
          height={(count / tallest) * (spreadHeight - 4)}
          className="fill-lake/50"
        />
      ))}
    </>
  );
}

/** What holds in each range, as a colour where it is one. */
function Bar({ ranges, x, to, property }: Drawing & { property: Property }) {
  const { project } = useEditorState('project');
  const theme = themeOf(project);
  const { stops, end, blended } = ranges;
  const id = useId();
  return (
    <>
      {stops.map((stop, index) => {
        const left = x(stop.from);
        const next = stops[index + 1];
        const right = x(next?.from ?? end ?? to);
        const paint = paintOf(theme, stop.value, index);
        const goesOver = blended && next && property.type.field === 'colour';
        return (
          // biome-ignore lint/suspicious/noArrayIndexKey: a range keeps its place while it is moved.
          <g key={index}>
            {goesOver && (
              <linearGradient id={`${id}-${index}`}>
                <stop offset="0" stopColor={paint} />
                <stop offset="1" stopColor={paintOf(theme, next.value, index)} />
              </linearGradient>
            )}
            <rect
              x={left}
              y={spreadHeight}
              width={Math.max(0, right - left)}
              height={barHeight}
              fill={goesOver ? `url(#${id}-${index})` : paint}
            />
          </g>
        );
      })}
    </>
  );
}

interface HandlesProps extends Drawing {
  readonly onMove: (ranges: Ranges) => void;
  readonly onRest: () => void;
  /** The scale is held at its ends while a handle is dragged. */
  readonly onHold: (held: readonly [number, number] | undefined) => void;
}

/** Where ranges begin, to be dragged or moved by arrow keys. */
function Handles({ ranges, x, from, to, onMove, onRest, onHold }: HandlesProps) {
  const group = useRef<SVGGElement>(null);
  const moveTo = (index: number, value: number) => onMove(movedTo(ranges, index, value, to - from));
  const drag = (index: number) => (event: PointerEvent<SVGElement>) => {
    const box = group.current?.ownerSVGElement?.getBoundingClientRect();
    if (!box || !event.currentTarget.hasPointerCapture(event.pointerId)) return;
    moveTo(index, x.invert(((event.clientX - box.left) / box.width) * width));
  };
  return (
    <g ref={group}>
      {endsOf(ranges).map((at, index) => (
        <g
          // biome-ignore lint/suspicious/noArrayIndexKey: a handle keeps its place while it is moved.
          key={index}
          transform={`translate(${x(at)} ${spreadHeight})`}
          role="slider"
          tabIndex={0}
          aria-label={index < ranges.stops.length ? `Range ${index + 1} from` : 'End of the ranges'}
          aria-valuemin={from}
          aria-valuemax={to}
          aria-valuenow={at}
          className="cursor-ew-resize"
          onPointerDown={(event) => {
            event.currentTarget.setPointerCapture(event.pointerId);
            onRest();
            onHold([from, to]);
          }}
          onPointerMove={drag(index)}
          onPointerUp={() => onHold(undefined)}
          onLostPointerCapture={() => {
            onHold(undefined);
            onRest();
          }}
          onBlur={onRest}
          onKeyDown={(event) => {
            const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
            if (by === undefined) return;
            event.preventDefault();
            event.stopPropagation();
            moveTo(index, at + (by * (to - from) * (event.shiftKey ? 10 : 1)) / 100);
          }}
        >
          <rect x={-6} y={-3} width={12} height={barHeight + 18} fill="transparent" />
          <path d={`M0 -3V${barHeight + 3}`} className="stroke-ink" strokeWidth={2} />
          <text y={barHeight + 14} textAnchor="middle" className="fill-quiet" fontSize={10}>
            {at}
          </text>
        </g>
      ))}
    </g>
  );
}
