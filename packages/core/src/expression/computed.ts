/** State variables that are worked out from others: reading their expressions, and problems of these. */

import { didYouMean } from '../document/nearest.ts';
import type { StateVariable } from '../document/types.ts';
import { entryOf, itemAt } from '../sure.ts';
import type { Expression } from './ast.ts';
import { namesOf } from './names.ts';
import { isOwnCode } from './own-code.ts';
import { parseExpression } from './parse.ts';
import type { Outcome } from './problem.ts';
import { isViewName } from './view-names.ts';

interface Read {
  readonly expression: Outcome<Expression>;
  /** The names that it reads; none where it cannot be read. */
  readonly names: readonly string[];
}

const parsed = new Map<string, Read>();
/** Texts whose parsed form is kept. */
const mostParsed = 10_000;

/** A variable's expression, parsed. Kept, since it is asked for again and again. */
function read(text: string): Read {
  let known = parsed.get(text);
  if (!known) {
    const expression = parseExpression(text);
    const names = expression.ok ? [...new Set(namesOf(expression.value).map(({ name }) => name))] : [];
    known = { expression, names };
    if (parsed.size > mostParsed) parsed.clear();
    parsed.set(text, known);
  }
  return known;
}

/** Names that a variable is worked out from; none where it is not, or cannot be read. */
export const sourcesOf = ({ computed }: StateVariable): readonly string[] =>
  computed === undefined ? [] : read(computed).names;

/** The dependencies among computed variables, found once for each version of the state. */
interface Graph {
  readonly byName: ReadonlyMap<string, StateVariable>;
  /** Variables that may need themselves: all others are not on a circle. */
  readonly mayCircle: ReadonlySet<string>;
  /** Circles that were found, by the names on them; undefined: there is none through that name. */
  readonly circles: Map<string, readonly string[] | undefined>;
}

const graphs = new WeakMap<readonly StateVariable[], Graph>();

/**
 * The names that are left when those that nothing leads to go, one after the other.
 *
 * @param leads where each name leads to.
 */
function leftOver(names: Iterable<string>, leads: ReadonlyMap<string, readonly string[]>): Set<string> {
  const left = new Set(names);
  const waits = new Map([...left].map((name) => [name, 0]));
  for (const name of left)
    for (const to of leads.get(name) ?? []) if (left.has(to)) waits.set(to, entryOf(waits, to) + 1);
  const ready = [...waits].flatMap(([name, count]) => (count === 0 ? name : []));
  for (let name = ready.pop(); name !== undefined; name = ready.pop()) {
    left.delete(name);
    for (const to of leads.get(name) ?? []) {
      if (!left.has(to)) continue;
      waits.set(to, entryOf(waits, to) - 1);
      if (waits.get(to) === 0) ready.push(to);
    }
  }
  return left;
}

function graphOf(state: readonly StateVariable[]): Graph {
  const known = graphs.get(state);
  if (known) return known;
  const byName = new Map(state.map((each) => [each.name, each]));
  const sources = new Map(state.map((each) => [each.name, sourcesOf(each)]));
  const followers = new Map<string, string[]>();
  for (const [name, from] of sources)
    for (const source of from) {
      const list = followers.get(source);
      if (list) list.push(name);
      else followers.set(source, [name]);
    }
  const mayCircle = leftOver(leftOver(byName.keys(), followers), sources);
  const graph: Graph = { byName, mayCircle, circles: new Map() };
  graphs.set(state, graph);
  return graph;
}

/** The circle through a variable of a state, beginning and ending with it. */
function knownCircle(variable: StateVariable, { byName, circles }: Graph): readonly string[] | undefined {
  const { name } = variable;
  if (!circles.has(name)) {
    const found = circleFrom(variable, byName);
    circles.set(name, found);
    // All that is on it needs the same ones.
    const ring = found?.slice(1) ?? [];
    const around = (from: number) =>
      ring.length > 8
        ? [0, 1, 2, 3, -1, 0].map((step) => itemAt(ring, (from + step) % ring.length)).toSpliced(4, 0, '…')
        : [...ring.slice(from), ...ring.slice(0, from), itemAt(ring, from)];
    for (const [index, each] of ring.entries()) if (each !== name) circles.set(each, around(index));
  }
  return circles.get(name);
}

/**
 * Reads the expression of a variable that is worked out.
 *
 * @param state all variables, itself included.
 * @returns a problem where a name is not there, or where it needs itself, whether directly or through others.
 */
export function checkComputed(variable: StateVariable, state: readonly StateVariable[]): Outcome<Expression> {
  const { expression } = read(variable.computed ?? '');
  if (!expression.ok) return expression;
  const graph = graphOf(state);
  const { byName } = graph;
  for (const { name, span } of namesOf(expression.value))
    if (!byName.has(name) && !isViewName(name) && !isOwnCode(name))
      return {
        ok: false,
        problem: {
          message: `There is no state variable \`${name}\`.${didYouMean(name, byName.keys())}`,
          at: span[0],
        },
      };
  // One that is not a part of the state yet may close a circle there.
  const isOther = byName.get(variable.name) !== variable;
  const circle = isOther
    ? circleFrom(variable, byName)
    : graph.mayCircle.has(variable.name)
      ? knownCircle(variable, graph)
      : undefined;
  if (!circle) return expression;
  const words = shortened(circle).map((name) => (name === '…' ? name : `\`${name}\``));
  return {
    ok: false,
    problem: { message: `It is never worked out, since ${words.join(' needs ')}.`, at: 0 },
  };
}

/** A long circle with its middle left out. */
const shortened = (circle: readonly string[]): readonly string[] =>
  circle.length > 8 ? [...circle.slice(0, 4), '…', ...circle.slice(-3)] : circle;

/** The names from a variable back to itself, by the shortest way; undefined where there is no such way. */
function circleFrom(
  variable: StateVariable,
  byName: ReadonlyMap<string, StateVariable>,
): readonly string[] | undefined {
  const cameFrom = new Map<string, string>();
  const waiting = [variable.name];
  for (const name of waiting) {
    const next = name === variable.name ? variable : byName.get(name);
    for (const source of next ? sourcesOf(next) : []) {
      if (source === variable.name) {
        const path = [source];
        for (let at: string | undefined = name; at !== undefined; at = cameFrom.get(at)) path.unshift(at);
        return path;
      }
      if (cameFrom.has(source) || !byName.has(source)) continue;
      cameFrom.set(source, name);
      waiting.push(source);
    }
  }
  return undefined;
}
