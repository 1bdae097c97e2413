/** Ranges as they are edited: read from a property's text, and written into it. */
import type { Expression } from './ast.ts';
import { parseExpression } from './parse.ts';
import { stopsOf } from './range-functions.ts';

/** From a number on, a value holds. */
export interface RangeStop {
  readonly from: number;
  readonly value: string | number;
}

/** A mapping as it is edited. */
export interface Ranges {
  /** The expression whose number is mapped. */
  readonly of: string;
  readonly blended: boolean;
  /** Lowest first. */
  readonly stops: readonly RangeStop[];
  /** From here on nothing holds; undefined: the last range has no end. */
  readonly end?: number;
}

/** Where the first argument of a call ends, from the index behind its parenthesis. */
function endOfFirst(text: string, from: number): number {
  let depth = 0;
  let quote = '';
  for (let at = from; at < text.length; at++) {
    const letter = text.charAt(at);
    if (quote) {
      if (letter === '\\') at++;
      else if (letter === quote) quote = '';
    } else if ('\'"`'.includes(letter)) quote = letter;
    else if ('([{'.includes(letter)) depth++;
    else if (')]}'.includes(letter)) {
      if (depth === 0) return at;
      depth--;
    } else if (letter === ',' && depth === 0) return at;
  }
  return -1;
}

/** The plain value of an expression; undefined where it has to be worked out. */
function literalOf(node: Expression): string | number | undefined {
  if (node.type === 'literal' && (typeof node.value === 'string' || typeof node.value === 'number'))
    return node.value;
  const inner = node.type === 'unary' && node.operator === '-' ? literalOf(node.of) : undefined;
  return typeof inner === 'number' ? -inner : undefined;
}

/** The ranges that a property's text is; undefined where it is something else, or more than plain ranges. */
export function readRanges(text: string): Ranges | undefined {
  const whole = /^\s*\{\s*(Range\.(steps|blend)\()([\s\S]*)\)\s*\}\s*$/.exec(text);
  if (!whole) return undefined;
  const [, , , inner = ''] = whole;
  const comma = endOfFirst(inner, 0);
  const of = comma < 0 ? inner : inner.slice(0, comma);
  const rest = comma < 0 ? '' : inner.slice(comma + 1);
  if (!parseExpression(of).ok) return undefined;
  const list = parseExpression(`[${rest}]`);
  if (!list.ok || list.value.type !== 'list') return undefined;
  const given = list.value.items.map((item) => (item.type === 'spread' ? undefined : literalOf(item)));
  if (given.includes(undefined)) return undefined;
  try {
    const { stops, end } = stopsOf(given);
    const plain = stops as RangeStop[];
    return {
      of: of.trim(),
      blended: whole[2] === 'blend',
      stops: plain,
      ...(end === undefined ? {} : { end }),
    };
  } catch {
    return undefined;
  }
}

const literal = (value: string | number): string =>
  typeof value === 'number'
    ? String(value)
    : `'${value.replaceAll('\\', '\\\\').replaceAll("'", "\\'").replaceAll('\n', '\\n')}'`;

/** Ranges as a property's text. */
export function rangesText({ of, blended, stops, end }: Ranges): string {
  const parts = stops
    .toSorted((a, b) => a.from - b.from)
    .flatMap(({ from, value }) => [literal(from), literal(value)]);
  const given = [of, ...parts, ...(end === undefined ? [] : [literal(end)])];
  return `{Range.${blended ? 'blend' : 'steps'}(${given.join(', ')})}`;
}
