/** A number's ranges on a scale: how the data's own numbers are spread, where each range begins, and what holds in it. */
import {
  type Control,
  hasExpression,
  numbersOf,
  type Property,
  type RangeStop,
  type Ranges,
  rangesText,
  readRanges,
  sampleOf,
  themeColours,
} from '@hovrin/core';
import { scaleLinear } from 'd3-scale';
import { Plus, X } from 'lucide-react';
import { type PointerEvent, useRef, useState } from 'react';
import { useEditorState } from '../editor/context.tsx';

/** Size of the scale, px: its width fits the Facts, with room for a handle at both ends. */
const width = 250;
const edge = 8;
const barHeight = 14;
const spreadHeight = 30;
/** Columns that the data's numbers are counted in. */
const columns = 25;

/** What stands for a colour on the scale; other values take turns in quiet tones. */
function paintOf(value: RangeStop['value'], index: number): string {
  const text = String(value);
  return (
    themeColours[text] ??
    (/^#[\da-f]{3,8}$/i.test(text) ? text : index % 2 === 0 ? 'var(--color-sunk)' : 'var(--color-rule)')
  );
}

/** Least and greatest of some numbers with a little room; something to begin with where there are none. */
function extentOf(numbers: readonly number[]): [number, number] {
  if (numbers.length === 0) return [0, 100];
  const least = Math.min(...numbers);
  const most = Math.max(...numbers);
  const room = (most - least) / 10 || Math.max(1, Math.abs(most) / 2);
  return [least - room, most + room];
}

/** A number as fine as a scale can show. */
const fine = (value: number, span: number): number => {
  const places = Math.max(0, 2 - Math.floor(Math.log10(Math.max(span, 1e-9))));
  return Number(value.toFixed(Math.min(places, 6)));
};

/** Ranges to begin with: thirds of where the numbers lie. */
function firstRanges(of: string, numbers: readonly number[], property: Property): Ranges {
  const [least, most] = extentOf(numbers);
  const values: readonly (string | number)[] =
    property.type.name === 'colour'
      ? ['accent', 'warm', 'alert']
      : ['text', 'entries'].includes(property.type.name)
        ? ['low', 'middling', 'high']
        : [property.default ?? '1', property.default ?? '1', property.default ?? '1'];
  const span = most - least;
  return {
    of,
    blended: false,
    stops: values.map((value, index) => ({ from: fine(least + (span * index) / 3, span), value })),
  };
}

/** The expression of a bound value whose number could be mapped by ranges; undefined where there is none. */
function mappable(text: string): string | undefined {
  const inner = /^\s*\{([\s\S]*)\}\s*$/.exec(text)?.[1];
  return inner !== undefined && hasExpression(text) && !inner.includes('Range.') ? inner.trim() : undefined;
}

/** The scale under a bound property; a way to get one where its value is a number; nothing elsewhere. */
export function RangeField({
  control,
  property,
  text,
  onText,
}: {
  control: Control;
  property: Property;
  text: string;
  onText: (text: string) => void;
}) {
  const { project } = useEditorState('project');
  const ranges = readRanges(text);
  if (ranges)
    return (
      <RangeScale
        ranges={ranges}
        numbers={numbersOf(project, control, ranges.of)}
        property={property}
        onChange={(next) => onText(rangesText(next))}
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
      onClick={() => onText(rangesText(firstRanges(of, numbersOf(project, control, of), property)))}
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
  readonly onChange: (ranges: Ranges) => void;
}

function RangeScale({ ranges, numbers, property, onChange }: RangeScaleProps) {
  const { stops, end, blended, of } = ranges;
  const ends = [...stops.map(({ from }) => from), ...(end === undefined ? [] : [end])];
  const [least, most] = extentOf([...numbers, ...ends]);
  // While one is moved the scale stands still under it.
  const [held, setHeld] = useState<readonly [number, number]>();
  const [from, to] = held ?? [least, most];
  const x = scaleLinear([from, to], [edge, width - edge]).clamp(true);
  const svg = useRef<SVGSVGElement>(null);
  const span = to - from;
  const moveTo = (index: number, value: number) => {
    const free = Math.min(
      (ends[index + 1] ?? Number.POSITIVE_INFINITY) - span / 1000,
      Math.max((ends[index - 1] ?? Number.NEGATIVE_INFINITY) + span / 1000, value),
    );
    const at = fine(free, span);
    onChange(
      index < stops.length
        ? { ...ranges, stops: stops.map((stop, each) => (each === index ? { ...stop, from: at } : stop)) }
        : { ...ranges, end: at },
    );
  };
  const drag = (index: number) => (event: PointerEvent<SVGElement>) => {
    if (!event.currentTarget.hasPointerCapture(event.pointerId)) return;
    const box = svg.current!.getBoundingClientRect();
    moveTo(index, x.invert(((event.clientX - box.left) / box.width) * width));
  };
  const counted = Array.from({ length: columns }, () => 0);
  for (const number of numbers) {
    const column = Math.min(columns - 1, Math.max(0, Math.floor(((number - from) / span) * columns)));
    counted[column]! += 1;
  }
  const tallest = Math.max(1, ...counted);
  const column = (width - 2 * edge) / columns;
  return (
    <fieldset className="mb-1.5 rounded border border-rule p-2" aria-label={`Ranges of ${property.label}`}>
      <p className="mb-1 flex items-center gap-2 text-[12px]">
        <span className="truncate font-mono text-lake">{of}</span>
        <label className="ml-auto flex items-center gap-1.5 whitespace-nowrap text-quiet">
          <input
            type="checkbox"
            className="accent-spruce"
            checked={blended}
            onChange={(event) => onChange({ ...ranges, blended: event.target.checked })}
          />
          blended
        </label>
      </p>
      <svg
        ref={svg}
        viewBox={`0 0 ${width} ${spreadHeight + barHeight + 16}`}
        className="block w-full touch-none"
      >
        <title>{`${numbers.length} ${numbers.length === 1 ? 'value' : 'values'} as everything begins`}</title>
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
        {stops.map((stop, index) => {
          const left = x(stop.from);
          const right = x(stops[index + 1]?.from ?? end ?? to);
          return (
            <rect
              // biome-ignore lint/suspicious/noArrayIndexKey: a range keeps its place while it is moved.
              key={index}
              x={left}
              y={spreadHeight}
              width={Math.max(0, right - left)}
              height={barHeight}
              fill={paintOf(stop.value, index)}
            />
          );
        })}
        {ends.map((at, index) => (
          <g
            // biome-ignore lint/suspicious/noArrayIndexKey: a handle keeps its place while it is moved.
            key={index}
            transform={`translate(${x(at)} ${spreadHeight})`}
            role="slider"
            tabIndex={0}
            aria-label={index < stops.length ? `Range ${index + 1} from` : 'End of the ranges'}
            aria-valuemin={from}
            aria-valuemax={to}
            aria-valuenow={at}
            className="cursor-ew-resize"
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              setHeld([from, to]);
            }}
            onPointerMove={drag(index)}
            onPointerUp={() => setHeld(undefined)}
            onLostPointerCapture={() => setHeld(undefined)}
            onKeyDown={(event) => {
              const by = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1 }[event.key];
              if (by === undefined) return;
              event.preventDefault();
              event.stopPropagation();
              moveTo(index, at + ((by * span) / 100) * (event.shiftKey ? 10 : 1));
            }}
          >
            <rect x={-6} y={-3} width={12} height={barHeight + 18} fill="transparent" />
            <path d={`M0 -3V${barHeight + 3}`} className="stroke-ink" strokeWidth={2} />
            <text y={barHeight + 14} textAnchor="middle" className="fill-quiet" fontSize={10}>
              {at}
            </text>
          </g>
        ))}
      </svg>
      <ul className="mt-1 flex flex-col gap-1">
        {stops.map((stop, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a range keeps its place while it is edited.
          <li key={index} className="flex items-center gap-1 text-[12px]">
            <span className="w-7 text-quiet">from</span>
            <NumberInput
              label={`Range ${index + 1} begins at`}
              value={stop.from}
              onValue={(value) => value !== undefined && moveTo(index, value)}
            />
            <ValueInput
              label={`Range ${index + 1} is`}
              value={stop.value}
              colour={property.type.name === 'colour'}
              onValue={(value) =>
                onChange({
                  ...ranges,
                  stops: stops.map((each, at) => (at === index ? { ...each, value } : each)),
                })
              }
            />
            <button
              type="button"
              className="btn-bare !h-6 !min-w-5 text-quiet"
              aria-label={`Take range ${index + 1} away`}
              disabled={stops.length === 1}
              onClick={() => onChange({ ...ranges, stops: stops.toSpliced(index, 1) })}
            >
              <X size={12} />
            </button>
          </li>
        ))}
        <li className="flex items-center gap-1 text-[12px]">
          <span className="w-7 text-quiet">end</span>
          <NumberInput
            label="The last range ends at"
            value={end}
            onValue={(value) => {
              const { end: _, ...rest } = ranges;
              if (value === undefined) onChange(rest);
              else if (value > (stops.at(-1)?.from ?? value)) onChange({ ...rest, end: value });
            }}
          />
          <span className="truncate text-quiet">outside: {property.default ?? 'as it is without'}</span>
          <button
            type="button"
            className="btn ml-auto !h-6 !px-1.5"
            aria-label="Add a range"
            onClick={() => {
              const last = stops.at(-1)!;
              const beyond = fine(last.from + span / 5, span);
              const next = end === undefined || beyond < end ? beyond : fine((last.from + end) / 2, span);
              onChange({ ...ranges, stops: [...stops, { ...last, from: next }] });
            }}
          >
            <Plus size={12} aria-hidden />
          </button>
        </li>
      </ul>
    </fieldset>
  );
}

/** A number that is taken once the field is left, or Enter is pressed; empty: none. */
function NumberInput({
  label,
  value,
  onValue,
}: {
  label: string;
  value: number | undefined;
  onValue: (value: number | undefined) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const commit = () => {
    const number = Number(typed);
    if (typed?.trim() === '') onValue(undefined);
    else if (typed !== undefined && Number.isFinite(number)) onValue(number);
    setTyped(undefined);
  };
  return (
    <input
      className="field !h-6 !w-16 text-right text-[12px]"
      inputMode="decimal"
      aria-label={label}
      value={typed ?? (value === undefined ? '' : String(value))}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={commit}
      onKeyDown={(event) => event.key === 'Enter' && commit()}
    />
  );
}

/** What holds in a range: a text that is a number becomes one. */
function ValueInput({
  label,
  value,
  colour,
  onValue,
}: {
  label: string;
  value: RangeStop['value'];
  colour: boolean;
  onValue: (value: RangeStop['value']) => void;
}) {
  return (
    <span className="relative flex min-w-0 flex-1">
      {colour && (
        <span
          aria-hidden
          className="absolute top-1.5 left-1.5 size-3 rounded-sm border border-rule"
          style={{ background: paintOf(value, 0) }}
        />
      )}
      <input
        className={`field !h-6 w-full text-[12px] ${colour ? '!pl-6' : ''}`}
        aria-label={label}
        list={colour ? 'range-colours' : undefined}
        value={String(value)}
        onChange={({ target }) =>
          onValue(
            target.value.trim() !== '' && String(Number(target.value)) === target.value
              ? Number(target.value)
              : target.value,
          )
        }
      />
      {colour && (
        <datalist id="range-colours">
          {Object.keys(themeColours).map((name) => (
            <option key={name} value={name} />
          ))}
        </datalist>
      )}
    </span>
  );
}
