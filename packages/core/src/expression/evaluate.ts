/**
 * Works out expressions. Walks the parsed form over plain data; nothing else can be reached: no globals, no
 * prototypes, no code. A budget ends whatever would not end by itself.
 */

import { messageOf } from '../document/error-message.ts';
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { ownValue } from '../document/same.ts';
import type { BinaryOperator, Expression, Template } from './ast.ts';
import { budgetNow, EvaluationError, itemUnits } from './budget.ts';
import { functions, methods } from './functions.ts';

export { EvaluationError } from './budget.ts';

/** Gives the value of a name; throws `EvaluationError` where there is none. */
export type Scope = (name: string) => unknown;

/** Longest text that an expression may make, in UTF-16 units. */
export const longestText = 1_000_000;
/** Longest list that an expression may make. */
export const longestList = 200_000;

/** How deep lists are looked into, as text and by `flat`; what is deeper is refused as `guarded` says. */
const deepestList = 20;

type Arrow = (...values: unknown[]) => unknown;

/**
 * Works out an expression.
 *
 * @throws EvaluationError with a sentence for the developer.
 */
export function evaluate(expression: Expression, scope: Scope): unknown {
  return guarded(() => plain(new Walker().value(expression, scope)));
}

/** Works out a value with expressions: one expression keeps its type, anything else becomes text. */
export function evaluateTemplate(template: Template, scope: Scope): unknown {
  return guarded(() => {
    const walker = new Walker();
    const [first] = template.parts;
    if (template.whole && first !== undefined && typeof first !== 'string')
      return plain(walker.value(first, scope));
    return walker.text(
      template.parts.map((part) => (typeof part === 'string' ? part : walker.value(part, scope))),
    );
  });
}

/** A value as a person reads it: nothing for null and undefined, lists with commas. */
export function asText(value: unknown): string {
  return guarded(() => new Walker().text([value]));
}

function guarded<T>(work: () => T): T {
  try {
    return work();
  } catch (error) {
    if (error instanceof EvaluationError) throw error;
    throw new EvaluationError(
      error instanceof RangeError ? 'This is nested too deeply or too long to work out.' : messageOf(error),
    );
  }
}

/** Calls a method of a value; its name is one of those that are let through. */
const called = (of: unknown, name: string, given: readonly unknown[]): unknown =>
  (of as Readonly<Record<string, Arrow>>)[name]!(...given);

function tooLong(what: string, most: number): never {
  throw new EvaluationError(`This makes a ${what} of more than ${most}; it was stopped.`);
}

/** A value that may be kept: a function is only there for the method that it is given to. */
function plain(value: unknown): unknown {
  if (typeof value === 'function') throw new EvaluationError('A function cannot stand here.');
  return value;
}

/** Arguments of one call cost this much besides: making a formatter takes as long as many steps. */
const formatSteps = 400;

class Walker {
  readonly #budget = budgetNow();

  #step(count = 1, units = 0): void {
    this.#budget.spend(count, units);
  }

  value(node: Expression, scope: Scope): unknown {
    this.#step();
    switch (node.type) {
      case 'literal':
        return node.value;
      case 'name':
        return scope(node.name);
      case 'member': {
        const of = this.value(node.of, scope);
        if (node.optional && (of === null || of === undefined)) return undefined;
        return this.#member(of, this.#key(this.value(node.key, scope)));
      }
      case 'unary':
        return this.#unary(node.operator, this.value(node.of, scope));
      case 'binary':
        return this.#binary(node.operator, this.value(node.left, scope), this.value(node.right, scope));
      case 'logical': {
        const left = this.value(node.left, scope);
        if (node.operator === '&&') return left ? this.value(node.right, scope) : left;
        if (node.operator === '||') return left ? left : this.value(node.right, scope);
        return left ?? this.value(node.right, scope);
      }
      case 'choice':
        return this.value(node.test, scope)
          ? this.value(node.whenTrue, scope)
          : this.value(node.whenFalse, scope);
      case 'template':
        return this.text(node.parts.map((part) => this.value(part, scope)));
      case 'list': {
        let list: unknown[] = [];
        for (const item of node.items) {
          const inner = plain(this.value(item.type === 'spread' ? item.of : item, scope));
          if (item.type !== 'spread') list.push(inner);
          else if (Array.isArray(inner)) list = this.#list(list.concat(inner));
          else throw new EvaluationError('Only a list can be spread into a list.');
        }
        return this.#list(list);
      }
      case 'record': {
        const record: Record<string, unknown> = {};
        this.#step(0, node.entries.length * itemUnits);
        for (const entry of node.entries) {
          if (entry.type === 'spread') {
            const inner = this.value(entry.of, scope);
            if (inner !== null && typeof inner === 'object')
              for (const [key, value] of this.#list(Object.entries(inner))) record[this.#key(key)] = value;
          } else record[this.#key(this.value(entry.key, scope))] = plain(this.value(entry.value, scope));
        }
        return record;
      }
      case 'arrow': {
        const arrow: Arrow = (...values) => {
          this.#step();
          const local: Scope = (name) => {
            const index = node.parameters.lastIndexOf(name);
            return index >= 0 ? values[index] : scope(name);
          };
          return this.value(node.body, local);
        };
        return arrow;
      }
      case 'call': {
        const values = node.arguments.map((argument) => plain(this.value(argument, scope)));
        return this.#call(node.name, values);
      }
      case 'method': {
        const of = this.value(node.of, scope);
        if (node.optional && (of === null || of === undefined)) return undefined;
        return this.#method(
          of,
          node.name,
          node.arguments.map((argument) => this.value(argument, scope)),
        );
      }
    }
  }

  #call(name: string, values: readonly unknown[]): unknown {
    if (name === 'String') return this.text(values.slice(0, 1));
    const given =
      name.startsWith('Math.') || name === 'Number' || name.startsWith('parse')
        ? values.map((value) => this.#primitive(value))
        : values;
    for (const value of given) if (Array.isArray(value)) this.#step(value.length);
    if (name.startsWith('Format.')) this.#step(formatSteps);
    let result: unknown;
    try {
      result = (functions[name] as (...values: unknown[]) => unknown)(...given);
    } catch (error) {
      // Formats refuse what is no currency, unit, locale or option.
      throw new EvaluationError(`\`${name}\`: ${messageOf(error)}`);
    }
    if (typeof result === 'string') return this.#fits(result);
    return Array.isArray(result) ? this.#list(result) : result;
  }

  /** A member's key as text; ways to a prototype are refused. */
  #key(value: unknown): string {
    const key = typeof value === 'string' ? value : this.text([value]);
    if (forbiddenKeys.has(key)) throw new EvaluationError(`\`${key}\` is out of reach for expressions.`);
    return key;
  }

  #member(of: unknown, key: string): unknown {
    if (of === null || of === undefined)
      throw new EvaluationError(`\`${key}\` cannot be read: there is nothing in front of it.`);
    if (typeof of === 'string' || Array.isArray(of)) {
      if (key === 'length') return of.length;
      return /^\d+$/.test(key) ? of[Number(key)] : undefined;
    }
    return ownValue(of, key);
  }

  #unary(operator: string, value: unknown): unknown {
    if (operator === '!') return !value;
    if (operator === 'typeof') return typeof value;
    const number = Number(this.#primitive(value));
    return operator === '-' ? -number : number;
  }

  #binary(operator: BinaryOperator, left: unknown, right: unknown): unknown {
    if (operator === '===') return left === right;
    if (operator === '!==') return left !== right;
    const bothObjects = typeof left === 'object' && typeof right === 'object';
    if (operator === '==' || operator === '!=') {
      const same = bothObjects
        ? left === right || (left ?? null) === (right ?? null)
        : this.#looselyEqual(left, right);
      return operator === '==' ? same : !same;
    }
    const a = this.#primitive(left) as number;
    const b = this.#primitive(right) as number;
    switch (operator) {
      case '+':
        return typeof a === 'string' || typeof b === 'string' ? this.#fits(`${a}${b}`) : a + b;
      case '-':
        return a - b;
      case '*':
        return a * b;
      case '/':
        return a / b;
      case '%':
        return a % b;
      case '**':
        return a ** b;
      case '<':
        return a < b;
      case '<=':
        return a <= b;
      case '>':
        return a > b;
      case '>=':
        return a >= b;
    }
  }

  #looselyEqual(left: unknown, right: unknown): boolean {
    // biome-ignore lint/suspicious/noDoubleEquals: the expression's own operator is ECMAScript's.
    return this.#primitive(left) == this.#primitive(right);
  }

  /** ECMAScript's ToPrimitive for plain data, with the budget kept. */
  #primitive(value: unknown): unknown {
    return typeof value === 'object' && value !== null ? this.text([value]) : value;
  }

  #fits(text: string): string {
    if (text.length > longestText) tooLong('text', longestText);
    // Short texts are the rule, and soon gone.
    this.#step(text.length / 100, text.length > 100 ? text.length : 0);
    return text;
  }

  #list<T>(list: T[]): T[] {
    if (list.length > longestList) tooLong('list', longestList);
    this.#step(list.length, list.length * itemUnits);
    return list;
  }

  /** Joins values as text, within the budget; null and undefined are nothing. */
  text(values: readonly unknown[], separator = '', depth = 0): string {
    if (depth > deepestList) throw new RangeError();
    let joined = '';
    let between = '';
    for (const value of values) {
      this.#step();
      joined +=
        between +
        (value === null || value === undefined
          ? ''
          : Array.isArray(value)
            ? this.text(value, ',', depth + 1)
            : typeof value === 'object'
              ? '[object Object]'
              : String(value));
      between = separator;
      if (joined.length > longestText) this.#fits(joined);
    }
    return this.#fits(joined);
  }

  #method(of: unknown, name: string, values: unknown[]): unknown {
    const type = Array.isArray(of) ? 'list' : typeof of;
    if (of === null || of === undefined)
      throw new EvaluationError(`\`${name}\` cannot be called: there is nothing in front of it.`);
    if (type !== 'list' && type !== 'string' && type !== 'number' && type !== 'boolean')
      throw new EvaluationError(`A record has no method \`${name}\`.`);
    if (!methods[type].has(name))
      throw new EvaluationError(`A ${type === 'string' ? 'text' : type} has no method \`${name}\`.`);
    // every, filter, find …, flatMap, map, reduce, some, toSorted: no other takes a function, and these take one first.
    const takes = type === 'list' && /^(every|fi|flatM|map|red|so|toSo)/.test(name);
    for (const value of takes ? values.slice(1) : values) plain(value);
    if (Array.isArray(of)) return this.#listMethod(of, name, values, takes);
    const given = values.map((value) => this.#primitive(value));
    return type === 'string' ? this.#textMethod(String(of), name, given) : called(of, name, given);
  }

  #textMethod(of: string, name: string, values: unknown[]): unknown {
    this.#step(of.length / 100);
    if (/^(repeat|pad)/.test(name) && Number(values[0]) * (name === 'repeat' ? of.length : 1) > longestText)
      tooLong('text', longestText);
    if (name === 'replaceAll' || name === 'replace') {
      const by = String(values[1]);
      const found = name === 'replace' ? 1 : of.split(String(values[0])).length - 1;
      // `$&` and the like put text around the match into its place (ECMAScript, GetSubstitution).
      const put = by.length * (by.includes('$') ? of.length : 1);
      if (of.length + found * put > longestText) tooLong('text', longestText);
    }
    const result = called(of, name, values);
    if (typeof result === 'string') return this.#fits(result);
    return Array.isArray(result) ? this.#list(result) : result;
  }

  #listMethod(of: unknown[], name: string, values: unknown[], takes: boolean): unknown {
    this.#step(of.length);
    if (name === 'join') return this.text(of, values[0] === undefined ? ',' : this.text([values[0]]));
    if (name === 'toString') return this.text(of, ',');
    if (name === 'flat' && Number(values[0] ?? 1) > deepestList) throw new RangeError();
    if (name === 'toSorted' && values[0] === undefined) {
      const keyed = of.map((item) => ({ item, key: this.text([item]) }));
      return keyed.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0)).map(({ item }) => item);
    }
    if (takes && typeof values[0] !== 'function')
      throw new EvaluationError(`\`${name}\` needs a function, such as \`item => …\`.`);
    // What a function is called with besides it is no `this`, and only `reduce` takes something to begin with.
    const [arrow] = values as [Arrow];
    const given = takes
      ? [(...all: unknown[]) => plain(arrow(...all)), ...(name === 'reduce' ? values.slice(1) : [])]
      : values;
    const result = called(of, name, given);
    return Array.isArray(result) ? this.#list(result) : result;
  }
}
