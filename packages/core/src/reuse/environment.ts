/**
 * What the names inside a component stand for in one of its instances, and texts of its controls with that in their
 * place. An instance so becomes controls like any others, which read nothing but the project's variables and items.
 */

import { alteringNamed } from '../expression/actions/catalogue.ts';
import type { Expression } from '../expression/ast.ts';
import { readTarget } from '../expression/bind-target.ts';
import { withoutBinding } from '../expression/bound-names.ts';
import { asText, evaluateTemplate } from '../expression/evaluate.ts';
import { allStatements, namesOf, namesOfStatements, pointersOf } from '../expression/names.ts';
import { parseExpression, parseStatements } from '../expression/parse.ts';
import { escapeBraces, mapExpressions, parseTemplate } from '../expression/template.ts';

/** What a name stands for. */
export interface Stand {
  /** An expression. */
  readonly reads: string;
  /** What is assigned in its place; undefined: nothing can be. */
  readonly writes?: string;
  /** Of a value that each item has for itself: what it begins with, an expression. It is set before it is changed. */
  readonly begins?: string;
}

/** What is done where an event is told. */
export interface Told {
  readonly text: string;
  /** The name by which it reads what comes with the event. */
  readonly gives?: string;
}

export interface Environment {
  readonly names: ReadonlyMap<string, Stand>;
  readonly events: ReadonlyMap<string, Told>;
  /** Names that what stands here from outside reads: nothing inside may be called like them. */
  readonly free: ReadonlySet<string>;
  /** The name of a control of the component, as it is called where the instance stands. */
  control(name: string): string;
}

/** Something in a text that another text takes the place of. */
interface Change {
  readonly from: number;
  readonly to: number;
  readonly text: string;
}

/** Expressions that need no parentheses, wherever they stand. */
const isSimple = (expression: string): boolean => /^(?:[\w$.[\]]|"[^"\\]*"|'[^'\\]*')+$/.test(expression);

const inParentheses = (expression: string): string => (isSimple(expression) ? expression : `(${expression})`);

const changed = (text: string, changes: readonly Change[]): string =>
  changes
    .toSorted((a, b) => b.from - a.from)
    .reduce((result, { from, to, text: other }) => result.slice(0, from) + other + result.slice(to), text);

/** An expression with what its names stand for. The same text where it names nothing of the component. */
export function expressionIn(source: string, { names, free }: Environment): string {
  const text = withoutBinding(source, free);
  const read = parseExpression(text);
  if (!read.ok) return source;
  const changes = namesOf(read.value).flatMap(({ name, span: [from, to], shorthand }): Change[] => {
    const stand = names.get(name);
    if (!stand) return [];
    const isAll = to - from === text.trim().length;
    const reads = isAll ? stand.reads : inParentheses(stand.reads);
    return [{ from, to, text: shorthand ? `${name}: ${reads}` : reads }];
  });
  return changed(text, changes);
}

/** Whether an expression is worked out from itself alone, and is the same whenever and wherever. */
function isConstant(expression: Expression): boolean {
  switch (expression.type) {
    case 'literal':
      return true;
    case 'unary':
      return isConstant(expression.of);
    case 'binary':
    case 'logical':
      return isConstant(expression.left) && isConstant(expression.right);
    case 'choice':
      return [expression.test, expression.whenTrue, expression.whenFalse].every(isConstant);
    case 'template':
      return expression.parts.every(isConstant);
    default:
      return false;
  }
}

const nothing = (name: string): never => {
  throw new Error(`\`${name}\` is no constant`);
};

/**
 * A value with expressions as an instance has it; what can be worked out at once is plain text.
 *
 * @returns undefined: it gives nothing, as if the attribute were not said.
 */
export function templateIn(text: string, around: Environment): string | undefined {
  const put = mapExpressions(text, (source) => expressionIn(source, around)) ?? text;
  const read = parseTemplate(put);
  if (!read.ok || !read.value.parts.every((part) => typeof part === 'string' || isConstant(part))) return put;
  const value = evaluateTemplate(read.value, nothing);
  return value === undefined || value === null ? undefined : escapeBraces(asText(value));
}

/** The states of a control, `full: {taken} | near: hover`: what is in braces stays an expression. */
export const statesIn = (text: string, around: Environment): string =>
  mapExpressions(text, (source) => expressionIn(source, around)) ?? text;

/** What something that an inner control is bound to stands for: a name, or a place in what the name stands for. */
export function boundIn(text: string, { names }: Pick<Environment, 'names'>): Stand | undefined {
  const read = readTarget(text);
  const stand = read.ok ? names.get(read.value.name) : undefined;
  if (!read.ok || !stand) return undefined;
  const rest = text.slice(read.value.span[1]);
  if (rest.trim() === '') return stand;
  // What each item has for itself begins as a whole, not at a place in it.
  return stand.writes === undefined || stand.begins !== undefined
    ? { reads: `${stand.reads}${rest}` }
    : { reads: `${stand.reads}${rest}`, writes: `${stand.writes}${rest}` };
}

/** The text of an event as an instance has it. */
export function eventIn(source: string, around: Environment, gives: readonly string[] = []): string {
  const { names, free } = around;
  const text = withoutBinding(source, free);
  const read = parseStatements(text);
  if (!read.ok) return source;
  const isOwn = (name: string) => names.has(name) && !gives.includes(name);
  const whole = [...emitted(text, read.value, around), ...begun(text, read.value, around)];
  const isInside = (at: number) => whole.some(({ from, to }) => at >= from && at < to);
  const changes = namesOfStatements(read.value).flatMap((use): Change[] => {
    const { name, span, written, shorthand, to: screen } = use;
    if (!isOwn(name) || isInside(span[0]) || screen !== undefined) return [];
    const stand = names.get(name)!;
    const other = written ? (stand.writes ?? stand.reads) : inParentheses(stand.reads);
    return [{ from: span[0], to: span[1], text: shorthand ? `${name}: ${other}` : other }];
  });
  const pointers = pointersOf(read.value).flatMap(({ what, name, span: [from, to] }): Change[] =>
    what !== 'screen' && !isInside(from) ? [{ from, to, text: JSON.stringify(around.control(name)) }] : [],
  );
  return changed(text, [...whole, ...changes, ...pointers]);
}

/** Where events are told, with what is done there in their place. */
function emitted(text: string, statements: ReturnType<typeof allStatements>, around: Environment): Change[] {
  return allStatements(statements).flatMap((statement): Change[] => {
    if (statement.type !== 'emit') return [];
    const { event, span, valueSpan } = statement;
    const told = around.events.get(event);
    const value = valueSpan && expressionIn(text.slice(...valueSpan), around);
    const done =
      told === undefined
        ? '{}'
        : told.gives !== undefined && value !== undefined
          ? `for (const ${told.gives} of [${value}]) { ${told.text} }`
          : `{ ${told.text} }`;
    return [{ from: span[0], to: span[1], text: done }];
  });
}

/** Changes of values that each item has for itself: what they begin with is put there before. */
function begun(text: string, statements: ReturnType<typeof allStatements>, around: Environment): Change[] {
  const found = new Map<number, Change>();
  for (const statement of allStatements(statements)) {
    if (statement.type !== 'assign' && statement.type !== 'alter') continue;
    const stand = around.names.get(statement.name);
    if (stand?.begins === undefined || stand.writes === undefined) continue;
    const [from, to] = statement.statement;
    const { writes, begins } = stand;
    const isReset = statement.type === 'alter' && alteringNamed(statement.action)?.several === true;
    const inner: Environment = {
      ...around,
      names: new Map([...around.names].map(([name, { begins: _, ...rest }]) => [name, rest])),
    };
    const before = found.get(from)?.text.slice(2, -2);
    const done = isReset
      ? `${writes} = ${begins}`
      : `${writes} ??= ${begins}; ${eventIn(text.slice(from, to), inner)}`;
    found.set(from, { from, to, text: `{ ${before === undefined ? '' : `${before}; `}${done} }` });
  }
  return [...found.values()];
}
