/** A number's ranges on a scale: how the data's own numbers are spread, where each range begins, and what holds in it. */
import {
  type Control,
  colourIn,
  defaultText,
  hasExpression,
  iconSet,
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
import { scaleLinear } from 'd3-scale';
import { Plus, X } from 'lucide-react';
import { type PointerEvent, useId, useRef, useState } from 'react';
import { useEditorState } from '../../editor/context.tsx';
import { ValueChoice } from './ValueChoice.tsx';

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

/** Three values of a property to begin with, low to high. */
function firstValues({ type, default: usual }: Property): readonly RangeStop['value'][] {
  if (type.ranged) return type.ranged;
  const words = type.words.map(asNumber);
  if (words.length > 0) return [0, 0.5, 1].map((part) => words[Math.round(part * (words.length - 1))]!);
  const least = Number(usual) || 0;
  return [least, 1.5 * least || 1, 2 * least || 2];
}

/** A text that is a number becomes one. */
const asNumber = (text: string): RangeStop['value'] =>
  text.trim() !== '' && String(Number(text)) === text ? Number(text) : text;

/** Ranges to begin with: thirds of where the numbers lie. */
function firstRanges(of: string, numbers: readonly number[], property: Property): Ranges {
  const [least, most] = extentOf(numbers);
  const span = most - least;
  return {
    of,
    blended: false,
    stops: firstValues(property).map((value, index) => ({
      from: fine(least + (span * index) / 3, span),
      value,
    })),
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
  /** Hears of each change of a run of them, as of a drag; what `onRest` ends is undone together. */
  readonly onMove: (ranges: Ranges) => void;
  readonly onRest: () => void;
}

function RangeScale({ ranges, numbers, property, onMove, onRest }: RangeScaleProps) {
  const { project } = useEditorState('project');
  const theme = themeOf(project);
  /** A change by itself. */
  const onChange = (next: Ranges) => {
    onRest();
    onMove(next);
    onRest();
  };
  const { stops, end, blended, of } = ranges;
  const ends = [...stops.map(({ from }) => from), ...(end === undefined ? [] : [end])];
  const [least, most] = extentOf([...numbers, ...ends]);
  // While one is moved the scale stands still under it.
  const [held, setHeld] = useState<readonly [number, number]>();
  const [from, to] = held ?? [least, most];
  const x = scaleLinear([from, to], [edge, width - edge]).clamp(true);
  const svg = useRef<SVGSVGElement>(null);
  const id = useId();
  const span = to - from;
  const withEnd = (index: number, at: number): Ranges =>
    index < stops.length
      ? { ...ranges, stops: stops.map((stop, each) => (each === index ? { ...stop, from: at } : stop)) }
      : { ...ranges, end: at };
  /** Moves an end as far as its neighbours leave room. */
  const moveTo = (index: number, value: number) =>
    onMove(
      withEnd(
        index,
        fine(
          Math.min(
            (ends[index + 1] ?? Number.POSITIVE_INFINITY) - span / 1000,
            Math.max((ends[index - 1] ?? Number.NEGATIVE_INFINITY) + span / 1000, value),
          ),
          span,
        ),
      ),
    );
  /** Why an end cannot be where somebody types that it is; undefined: it can. */
  const refusedAt = (index: number, value: number): string | undefined => {
    const [below, above] = [ends[index - 1], ends[index + 1]];
    if (below !== undefined && value <= below)
      return `This begins at ${below} or below; more is needed here.`;
    return above !== undefined && value >= above
      ? `The next one begins at ${above}; less is needed here.`
      : undefined;
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
          const next = stops[index + 1];
          const right = x(next?.from ?? end ?? to);
          const [paint, nextPaint] = [stop, next].map((each) => each && paintOf(theme, each.value, index));
          const goesOver = blended && next && property.type.field === 'colour';
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: a range keeps its place while it is moved.
            <g key={index}>
              {goesOver && (
                <linearGradient id={`${id}-${index}`}>
                  <stop offset="0" stopColor={paint} />
                  <stop offset="1" stopColor={nextPaint} />
                </linearGradient>
              )}
              <rect
                x={left}
                y={spreadHeight}
                width={Math.max(0, right - left)}
                height={barHeight}
                fill={goesOver ? `url(#${id}-${index})` : paint!}
              />
            </g>
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
              onRest();
              setHeld([from, to]);
            }}
            onPointerMove={drag(index)}
            onPointerUp={() => setHeld(undefined)}
            onLostPointerCapture={() => {
              setHeld(undefined);
              onRest();
            }}
            onBlur={onRest}
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
          <li key={index} className="flex flex-wrap items-center gap-1 text-[12px]">
            <span className="w-7 text-quiet">from</span>
            <NumberInput
              label={`Range ${index + 1} begins at`}
              value={stop.from}
              refused={(value) =>
                value === undefined ? 'A range begins at a number.' : refusedAt(index, value)
              }
              onValue={(value) => value !== undefined && onChange(withEnd(index, value))}
            />
            <ValueInput
              range={index + 1}
              value={stop.value}
              type={property.type}
              onValue={(value) =>
                onMove({
                  ...ranges,
                  stops: stops.map((each, at) => (at === index ? { ...each, value } : each)),
                })
              }
              onDone={onRest}
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
        <li className="flex flex-wrap items-center gap-1 text-[12px]">
          <span className="w-7 text-quiet">end</span>
          <NumberInput
            label="The last range ends at"
            value={end}
            refused={(value) => (value === undefined ? undefined : refusedAt(stops.length, value))}
            onValue={(value) => {
              const { end: _, ...rest } = ranges;
              onChange(value === undefined ? rest : { ...rest, end: value });
            }}
          />
          <span className="min-w-0 flex-1 truncate text-quiet">
            outside: {defaultText(property, theme) ?? 'as it is without'}
          </span>
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

/** A number that is taken once the field is left, or Enter is pressed; empty: none. What is refused stays, and says why. */
function NumberInput({
  label,
  value,
  refused,
  onValue,
}: {
  label: string;
  value: number | undefined;
  refused: (value: number | undefined) => string | undefined;
  onValue: (value: number | undefined) => void;
}) {
  const [typed, setTyped] = useState<string>();
  const [why, setWhy] = useState<string>();
  const id = useId();
  const commit = () => {
    if (typed === undefined) return;
    const number = typed.trim() === '' ? undefined : Number(typed);
    const problem = Number.isNaN(number) ? `“${typed}” is no number.` : refused(number);
    setWhy(problem);
    if (problem !== undefined) return;
    onValue(number);
    setTyped(undefined);
  };
  return (
    <>
      <input
        className="field !h-6 !w-16 text-right text-[12px]"
        inputMode="decimal"
        aria-label={label}
        aria-invalid={why !== undefined}
        aria-describedby={why === undefined ? undefined : id}
        value={typed ?? (value === undefined ? '' : String(value))}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={commit}
        onKeyDown={(event) => {
          if (event.key === 'Enter') commit();
          if (event.key !== 'Escape' || typed === undefined) return;
          event.stopPropagation();
          setTyped(undefined);
          setWhy(undefined);
        }}
      />
      {why !== undefined && (
        <p id={id} role="alert" className="order-last w-full text-brick">
          {why}
        </p>
      )}
    </>
  );
}

/** What holds in a range. */
function ValueInput({
  range,
  value,
  type,
  onValue,
  onDone,
}: {
  /** Its number, from 1. */
  range: number;
  value: RangeStop['value'];
  type: Property['type'];
  onValue: (value: RangeStop['value']) => void;
  onDone: () => void;
}) {
  const text = String(value);
  const fits = type.read(text).ok && (type.refers?.to !== 'icon' || iconSet().has(text));
  return (
    <span className="relative flex min-w-0 flex-1">
      <input
        className="field !h-6 w-full pr-6 text-[12px]"
        aria-label={`Range ${range} is`}
        aria-invalid={!fits}
        title={fits ? undefined : `Not ${type.expects}`}
        value={text}
        onChange={({ target }) => onValue(asNumber(target.value))}
        onBlur={onDone}
      />
      <ValueChoice
        type={type}
        label={`the value of range ${range}`}
        value={text}
        onValue={(next) => onValue(asNumber(next))}
        onDone={onDone}
      />
    </span>
  );
}
