/**
 * Makes functions of expressions: the parsed form is walked once, and not each time that its value is asked for. They do
 * what `Work` lets them do, and nothing else; no text is ever run.
 */

import { forbiddenKeys } from '../document/forbidden-keys.ts';
import type { BinaryOperator, Expression, RecordEntry, Spread } from './ast.ts';
import { EvaluationError, itemUnits } from './budget.ts';
import { type Arrow, plain, type Work } from './work.ts';

/** Gives the value of a name; throws `EvaluationError` where there is none. */
export type Scope = (name: string) => unknown;

/** What an expression is worked out in: the names from outside, and the parameters of the functions around. */
export interface Frame {
  readonly work: Work;
  readonly scope: Scope;
  /** Of the innermost function. */
  readonly values: readonly unknown[];
  readonly around: Frame | undefined;
}

export type Compiled = (frame: Frame) => unknown;

/** The parameters of the functions around, the innermost first. */
type Bound = readonly (readonly string[])[];

const known = new WeakMap<Expression, Compiled>();

/** The function of an expression that stands in no other. */
export function compiled(expression: Expression): Compiled {
  let made = known.get(expression);
  if (!made) {
    made = compile(expression, []);
    known.set(expression, made);
  }
  return made;
}

/** One step of the budget: what has parts costs one, names and values by themselves cost nothing. */
const step = ({ budget }: Work): void => {
  if (--budget.steps < 0) budget.ended();
};

function compile(node: Expression, bound: Bound): Compiled {
  const inner = (part: Expression) => compile(part, bound);
  switch (node.type) {
    case 'literal': {
      const { value } = node;
      return () => value;
    }
    case 'name':
      return nameOf(node.name, bound);
    case 'let':
      return letOf(node, bound);
    case 'member':
      return memberOf(node, bound);
    case 'unary': {
      const of = inner(node.of);
      const { operator } = node;
      if (operator === '!') return (frame) => !of(frame);
      return (frame) => {
        step(frame.work);
        return frame.work.unary(operator, of(frame));
      };
    }
    case 'binary':
      return binaryOf(node.operator, inner(node.left), inner(node.right));
    case 'logical': {
      const [left, right] = [inner(node.left), inner(node.right)];
      if (node.operator === '&&') return (frame) => left(frame) && right(frame);
      if (node.operator === '||') return (frame) => left(frame) || right(frame);
      return (frame) => left(frame) ?? right(frame);
    }
    case 'choice': {
      const [test, yes, no] = [inner(node.test), inner(node.whenTrue), inner(node.whenFalse)];
      return (frame) => {
        step(frame.work);
        return test(frame) ? yes(frame) : no(frame);
      };
    }
    case 'template': {
      const parts = node.parts.map(inner);
      return (frame) => {
        step(frame.work);
        return frame.work.text(parts.map((part) => part(frame)));
      };
    }
    case 'pattern': {
      // As a function is, it is there for the method that it is given to.
      const pattern: Arrow = Object.assign(() => undefined, { program: node.program });
      return () => pattern;
    }
    case 'list':
      return valuesOf(node.items, bound, 'a list');
    case 'record':
      return recordOf(node.entries, bound);
    case 'arrow':
      return arrowOf(node, bound);
    case 'call': {
      const values = valuesOf(node.arguments, bound, 'the values of a call');
      const { name } = node;
      return (frame) => frame.work.call(name, values(frame), frame.scope);
    }
    case 'method':
      return methodOf(node, bound);
  }
}

function nameOf(name: string, bound: Bound): Compiled {
  const depth = bound.findIndex((parameters) => parameters.includes(name));
  if (depth < 0) return (frame) => frame.scope(name);
  const at = bound[depth]!.lastIndexOf(name);
  if (depth === 0) return (frame) => frame.values[at];
  return (frame) => {
    let outer = frame;
    for (let step = depth; step > 0; step--) outer = outer.around!;
    return outer.values[at];
  };
}

function letOf({ name, value, in: rest }: Expression & { readonly type: 'let' }, bound: Bound): Compiled {
  const held = compile(value, bound);
  const then = compile(rest, [[name], ...bound]);
  return (frame) => {
    step(frame.work);
    return then({ ...frame, values: [plain(held(frame))], around: frame });
  };
}

function memberOf(node: Expression & { readonly type: 'member' }, bound: Bound): Compiled {
  const of = compile(node.of, bound);
  const { optional, key } = node;
  if (key.type === 'literal' && typeof key.value === 'string') {
    const name = key.value;
    const isOut = forbiddenKeys.has(name);
    return (frame) => {
      step(frame.work);
      const value = of(frame);
      if (typeof value === 'object' && value !== null && !isOut && !Array.isArray(value))
        return Object.hasOwn(value, name) ? (value as Readonly<Record<string, unknown>>)[name] : undefined;
      return optional && (value === null || value === undefined)
        ? undefined
        : frame.work.member(value, frame.work.key(name));
    };
  }
  const keyed = compile(key, bound);
  return (frame) => {
    step(frame.work);
    const value = of(frame);
    if (optional && (value === null || value === undefined)) return undefined;
    const at = keyed(frame);
    if (typeof at === 'number' && Array.isArray(value) && Number.isInteger(at)) return value[at];
    return frame.work.member(value, frame.work.key(at));
  };
}

/** What two numbers give, which is most of what is asked. */
const ofNumbers: Readonly<Partial<Record<BinaryOperator, (a: number, b: number) => unknown>>> = {
  '+': (a, b) => a + b,
  '-': (a, b) => a - b,
  '*': (a, b) => a * b,
  '/': (a, b) => a / b,
  '%': (a, b) => a % b,
  '<': (a, b) => a < b,
  '<=': (a, b) => a <= b,
  '>': (a, b) => a > b,
  '>=': (a, b) => a >= b,
  '==': (a, b) => a === b,
  '!=': (a, b) => a !== b,
};

function binaryOf(operator: BinaryOperator, left: Compiled, right: Compiled): Compiled {
  const quick = ofNumbers[operator];
  return (frame) => {
    step(frame.work);
    const [a, b] = [left(frame), right(frame)];
    return quick && typeof a === 'number' && typeof b === 'number'
      ? quick(a, b)
      : frame.work.binary(operator, a, b);
  };
}

/** Values of a list or a call, some of which are spread. */
function valuesOf(
  items: readonly (Expression | Spread)[],
  bound: Bound,
  into: string,
): (frame: Frame) => unknown[] {
  const isSpread = items.map((item) => item.type === 'spread');
  const parts = items.map((item) => compile(item.type === 'spread' ? item.of : item, bound));
  const isPlain = !isSpread.includes(true);
  return (frame) => {
    step(frame.work);
    if (isPlain) return frame.work.list(parts.map((part) => plain(part(frame))));
    let list: unknown[] = [];
    for (const [index, part] of parts.entries()) {
      const value = plain(part(frame));
      if (!isSpread[index]) list.push(value);
      else if (Array.isArray(value)) list = frame.work.list(list.concat(value));
      else throw new EvaluationError(`Only a list can be spread into ${into}.`);
    }
    return frame.work.list(list);
  };
}

function recordOf(entries: readonly (RecordEntry | Spread)[], bound: Bound): Compiled {
  const parts = entries.map((entry) =>
    entry.type === 'spread'
      ? { of: compile(entry.of, bound), key: undefined }
      : { of: compile(entry.value, bound), key: compile(entry.key, bound) },
  );
  return (frame) => {
    const { work } = frame;
    work.step(1, parts.length * itemUnits);
    const record: Record<string, unknown> = {};
    for (const { of, key } of parts) {
      if (key) {
        const at = work.key(key(frame));
        record[at] = plain(of(frame));
        continue;
      }
      const inner = of(frame);
      if (inner !== null && typeof inner === 'object')
        for (const [at, value] of work.list(Object.entries(inner))) record[work.key(at)] = value;
    }
    return record;
  };
}

function arrowOf({ parameters, body }: Expression & { readonly type: 'arrow' }, bound: Bound): Compiled {
  const run = compile(body, [parameters, ...bound]);
  const count = parameters.length;
  return (frame) => {
    const { work, scope } = frame;
    step(work);
    // A function never outlives the call that it is given to, and cannot call itself: one frame is enough for all rounds.
    const values: unknown[] = [];
    const inner: Frame = { work, scope, values, around: frame };
    const round = (): unknown => {
      step(work);
      return plain(run(inner));
    };
    const arrow: Arrow = (first, second, third, fourth) => {
      values[0] = first;
      if (count > 1) values[1] = second;
      if (count > 2) values[2] = third;
      if (count > 3) values[3] = fourth;
      return round();
    };
    arrow.parameters = count;
    return arrow;
  };
}

function methodOf(node: Expression & { readonly type: 'method' }, bound: Bound): Compiled {
  const of = compile(node.of, bound);
  const { name, optional } = node;
  // Functions are for methods.
  const given = node.arguments.some(({ type }) => type === 'spread')
    ? valuesOf(node.arguments, bound, 'the values of a call')
    : undefined;
  const parts = given ? [] : node.arguments.map((part) => compile(part as Expression, bound));
  return (frame) => {
    step(frame.work);
    const value = of(frame);
    if (optional && (value === null || value === undefined)) return undefined;
    return frame.work.method(value, name, given ? given(frame) : parts.map((part) => part(frame)));
  };
}
