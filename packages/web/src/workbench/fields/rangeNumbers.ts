/** Ranges of a number while they are edited: where they may begin, and how the data's own numbers are spread. */
import {
  defaultText,
  hasExpression,
  type Property,
  type RangeStop,
  type Ranges,
  type Theme,
} from '@hovrin/core';

/** Least and greatest of some numbers with a little room; something to begin with where there are none. */
export function extentOf(numbers: readonly number[]): [number, number] {
  if (numbers.length === 0) return [0, 100];
  const least = Math.min(...numbers);
  const most = Math.max(...numbers);
  const room = (most - least) / 10 || Math.max(1, Math.abs(most) / 2);
  return [least - room, most + room];
}

/** A number as fine as a scale can show. */
export const fine = (value: number, span: number): number => {
  const places = Math.max(0, 2 - Math.floor(Math.log10(Math.max(span, 1e-9))));
  return Number(value.toFixed(Math.min(places, 6)));
};

/** Three values of a property to begin with, low to high. */
function firstValues(property: Property, theme: Theme): readonly RangeStop['value'][] {
  const { type } = property;
  if (type.ranged) return type.ranged;
  const words = type.words.map(asNumber);
  if (words.length > 0) return [0, 0.5, 1].map((part) => words[Math.round(part * (words.length - 1))] ?? '');
  const least = Number(defaultText(property, theme)) || 0;
  return [least, 1.5 * least || 1, 2 * least || 2];
}

/** A text that is a number becomes one. */
export const asNumber = (text: string): RangeStop['value'] =>
  text.trim() !== '' && String(Number(text)) === text ? Number(text) : text;

/** Ranges to begin with: thirds of where the numbers lie. */
export function firstRanges(
  of: string,
  numbers: readonly number[],
  property: Property,
  theme: Theme,
): Ranges {
  const [least, most] = extentOf(numbers);
  const span = most - least;
  return {
    of,
    blended: false,
    stops: firstValues(property, theme).map((value, index) => ({
      from: fine(least + (span * index) / 3, span),
      value,
    })),
  };
}

/** The expression of a bound value whose number could be mapped by ranges; undefined where there is none. */
export function mappable(text: string): string | undefined {
  const inner = /^\s*\{([\s\S]*)\}\s*$/.exec(text)?.[1];
  return inner !== undefined && hasExpression(text) && !inner.includes('Range.') ? inner.trim() : undefined;
}

/** Where ranges begin, and where the last one ends, if it does. */
export const endsOf = ({ stops, end }: Ranges): number[] => [
  ...stops.map(({ from }) => from),
  ...(end === undefined ? [] : [end]),
];

/** The ranges with one of their ends elsewhere. */
export const withEnd = (ranges: Ranges, index: number, at: number): Ranges =>
  index < ranges.stops.length
    ? {
        ...ranges,
        stops: ranges.stops.map((stop, each) => (each === index ? { ...stop, from: at } : stop)),
      }
    : { ...ranges, end: at };

/** Moves an end as far as its neighbours leave room: it never meets one. @param span of the scale. */
export function movedTo(ranges: Ranges, index: number, value: number, span: number): Ranges {
  const ends = endsOf(ranges);
  const below = ends[index - 1] ?? Number.NEGATIVE_INFINITY;
  const above = ends[index + 1] ?? Number.POSITIVE_INFINITY;
  const room = Math.min(span / 1000, (above - below) / 3);
  const within = Math.min(above - room, Math.max(below + room, value));
  const rounded = fine(within, span);
  return withEnd(ranges, index, rounded > below && rounded < above ? rounded : within);
}

/** Why an end cannot be where somebody types that it is; undefined: it can. */
export function refusedAt(ranges: Ranges, index: number, value: number): string | undefined {
  const ends = endsOf(ranges);
  const [below, above] = [ends[index - 1], ends[index + 1]];
  if (below !== undefined && value <= below) return `This begins at ${below} or below; more is needed here.`;
  return above !== undefined && value >= above
    ? `The next one begins at ${above}; less is needed here.`
    : undefined;
}

/** The ranges with one more behind the last. @param span of the scale. */
export function withOneMore(ranges: Ranges, span: number): Ranges {
  const { stops, end } = ranges;
  const last = stops.at(-1);
  if (!last) return ranges;
  const beyond = fine(last.from + span / 5, span);
  const from = end === undefined || beyond < end ? beyond : fine((last.from + end) / 2, span);
  return { ...ranges, stops: [...stops, { ...last, from }] };
}

/** How many numbers lie in each of some equal columns between two numbers; what lies outside counts at the edge. */
export function countedIn(
  columns: number,
  numbers: readonly number[],
  from: number,
  to: number,
): readonly number[] {
  const counted = new Array<number>(columns).fill(0);
  for (const number of numbers) {
    const column = Math.floor(((number - from) / (to - from)) * columns);
    const at = Math.min(columns - 1, Math.max(0, column));
    counted[at] = (counted[at] ?? 0) + 1;
  }
  return counted;
}
