/** State variables that are worked out from others: reading what they say, and what is wrong with it. */
import type { StateVariable } from '../document/types.ts';
import type { Expression } from './ast.ts';
import { namesOf } from './names.ts';
import { didYouMean } from './nearest.ts';
import { parseExpression } from './parse.ts';
import type { Outcome } from './problem.ts';
import { isViewName } from './view-names.ts';

const parsed = new Map<string, Outcome<Expression>>();

/** The parsed form of a variable's expression. Kept, since it is asked for again and again. */
function read(text: string): Outcome<Expression> {
  let known = parsed.get(text);
  if (!known) {
    known = parseExpression(text);
    if (parsed.size > 1000) parsed.clear();
    parsed.set(text, known);
  }
  return known;
}

/** Names that a variable is worked out from; none where it is not, or cannot be read. */
export function sourcesOf({ computed }: StateVariable): readonly string[] {
  const expression = computed === undefined ? undefined : read(computed);
  return expression?.ok ? namesOf(expression.value).map(({ name }) => name) : [];
}

/**
 * Reads the expression of a variable that is worked out.
 *
 * @param state all variables, itself included.
 * @returns a problem where a name is not there, or where it needs itself, whether directly or through others.
 */
export function checkComputed(variable: StateVariable, state: readonly StateVariable[]): Outcome<Expression> {
  const expression = read(variable.computed ?? '');
  if (!expression.ok) return expression;
  const byName = new Map(state.map((each) => [each.name, each]));
  for (const { name, span } of namesOf(expression.value))
    if (!byName.has(name) && !isViewName(name))
      return {
        ok: false,
        problem: {
          message: `There is no state variable \`${name}\`.${didYouMean(name, byName.keys())}`,
          at: span[0],
        },
      };
  const circle = circleFrom(variable, byName);
  if (!circle) return expression;
  const words = circle.map((name) => `\`${name}\``).join(' needs ');
  return { ok: false, problem: { message: `It is never worked out, since ${words}.`, at: 0 } };
}

/** The names from a variable back to itself; undefined where there is no such way. */
function circleFrom(
  variable: StateVariable,
  byName: ReadonlyMap<string, StateVariable>,
): readonly string[] | undefined {
  const seen = new Set<string>();
  const visit = (name: string, path: readonly string[]): readonly string[] | undefined => {
    const next = byName.get(name);
    for (const source of next ? sourcesOf(next) : []) {
      if (source === variable.name) return [...path, source];
      if (seen.has(source)) continue;
      seen.add(source);
      const found = visit(source, [...path, source]);
      if (found) return found;
    }
    return undefined;
  };
  return visit(variable.name, [variable.name]);
}
