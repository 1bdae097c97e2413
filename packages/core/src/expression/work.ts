/**
 * What expressions do with values, step by step, within a budget: nothing else can be reached, no globals, no prototypes, no
 * code. The parsed form is made into functions that do these (`compile.ts`).
 */

import { messageOf } from '../document/error-message.ts';
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import { ownValue } from '../document/same.ts';
import type { BinaryOperator } from './ast.ts';
import { type Budget, budgetNow, EvaluationError, itemUnits } from './budget.ts';
import { functions, methods, patterned } from './functions.ts';
import { longestList, longestText } from './limits.ts';
import type { PatternProgram } from './patterns/program.ts';

/** How deep lists are looked into, as text and by `flat`; what is deeper is refused. */
const deepestList = 20;

/** A function of an expression; by how many parameters it has, `toSorted` takes it for a comparison or for a key. */
export type Arrow = ((...values: unknown[]) => unknown) & { parameters?: number; program?: PatternProgram };

/** Calls a method of a value; its name is one of those that are let through. */
const called = (of: unknown, name: string, given: readonly unknown[]): unknown =>
  (of as Readonly<Record<string, Arrow>>)[name]!(...given);

function tooLong(what: string, most: number): never {
  throw new EvaluationError(`This makes a ${what} of more than ${most}; it was stopped.`);
}

/** A value that may be kept: a function is only there for the method that it is given to. */
export function plain(value: unknown): unknown {
  if (typeof value === 'function') throw new EvaluationError('A function cannot stand here.');
  return value;
}

/** Arguments of one call cost this much besides: making a formatter takes as long as many steps. */
const formatSteps = 400;

/** Methods of lists that take a function, which comes first. */
const takesFunction = new Set(
  'every filter find findIndex findLast flatMap map reduce some toSorted'.split(' '),
);

export class Work {
  readonly budget: Budget = budgetNow();

  step(count = 1, units = 0): void {
    this.budget.spend(count, units);
  }

  /** @param scope what stands for the project's own code, where that does not run. */
  call(name: string, values: readonly unknown[], scope: (name: string) => unknown): unknown {
    if (!functions[name]) return scope(name);
    if (name === 'String') return this.text(values.slice(0, 1));
    const given =
      name.startsWith('Math.') || name === 'Number' || name.startsWith('parse')
        ? values.map((value) => this.primitive(value))
        : values;
    for (const value of given) if (Array.isArray(value)) this.step(value.length);
    if (name.startsWith('Format.')) this.step(formatSteps);
    let result: unknown;
    try {
      result = (functions[name] as (...values: unknown[]) => unknown)(...given);
    } catch (error) {
      // Formats refuse what is no currency, unit, locale or option.
      throw new EvaluationError(`\`${name}\`: ${messageOf(error)}`);
    }
    if (typeof result === 'string') return this.fits(result);
    return Array.isArray(result) ? this.list(result) : result;
  }

  /** A member's key as text; ways to a prototype are refused. */
  key(value: unknown): string {
    const key = typeof value === 'string' ? value : this.text([value]);
    if (forbiddenKeys.has(key)) throw new EvaluationError(`\`${key}\` is out of reach for expressions.`);
    return key;
  }

  member(of: unknown, key: string): unknown {
    if (of === null || of === undefined)
      throw new EvaluationError(`\`${key}\` cannot be read: there is nothing in front of it.`);
    if (typeof of === 'string' || Array.isArray(of)) {
      if (key === 'length') return of.length;
      return /^\d+$/.test(key) ? of[Number(key)] : undefined;
    }
    return ownValue(of, key);
  }

  unary(operator: string, value: unknown): unknown {
    if (operator === '!') return !value;
    if (operator === 'typeof') return typeof value;
    const number = Number(this.primitive(value));
    return operator === '-' ? -number : number;
  }

  binary(operator: BinaryOperator, left: unknown, right: unknown): unknown {
    if (operator === '===') return left === right;
    if (operator === '!==') return left !== right;
    const bothObjects = typeof left === 'object' && typeof right === 'object';
    if (operator === '==' || operator === '!=') {
      const same = bothObjects
        ? left === right || (left ?? null) === (right ?? null)
        : this.looselyEqual(left, right);
      return operator === '==' ? same : !same;
    }
    const a = this.primitive(left) as number;
    const b = this.primitive(right) as number;
    switch (operator) {
      case '+':
        return typeof a === 'string' || typeof b === 'string' ? this.fits(`${a}${b}`) : a + b;
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

  looselyEqual(left: unknown, right: unknown): boolean {
    // biome-ignore lint/suspicious/noDoubleEquals: the expression's own operator is ECMAScript's.
    return this.primitive(left) == this.primitive(right);
  }

  /** ECMAScript's ToPrimitive for plain data, with the budget kept. */
  primitive(value: unknown): unknown {
    return typeof value === 'object' && value !== null ? this.text([value]) : value;
  }

  fits(text: string): string {
    if (text.length > longestText) tooLong('text', longestText);
    // Short texts are the rule, and soon gone.
    this.step(text.length / 100, text.length > 100 ? text.length : 0);
    return text;
  }

  list<T>(list: T[]): T[] {
    if (list.length > longestList) tooLong('list', longestList);
    this.step(list.length, list.length * itemUnits);
    return list;
  }

  /** Joins values as text, within the budget; null and undefined are nothing. */
  text(values: readonly unknown[], separator = '', depth = 0): string {
    if (depth > deepestList) throw new RangeError();
    let joined = '';
    let between = '';
    for (const value of values) {
      this.step();
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
      if (joined.length > longestText) this.fits(joined);
    }
    return this.fits(joined);
  }

  method(of: unknown, name: string, values: unknown[]): unknown {
    const type = Array.isArray(of) ? 'list' : typeof of;
    if (of === null || of === undefined)
      throw new EvaluationError(`\`${name}\` cannot be called: there is nothing in front of it.`);
    if (type !== 'list' && type !== 'string' && type !== 'number' && type !== 'boolean')
      throw new EvaluationError(`A record has no method \`${name}\`.`);
    if (!methods[type].has(name))
      throw new EvaluationError(`A ${type === 'string' ? 'text' : type} has no method \`${name}\`.`);
    const takes = type === 'list' && takesFunction.has(name);
    const { program } = (type === 'string' ? (values[0] as Arrow | undefined) : undefined) ?? {};
    if (program) return this.patterned(String(of), name, program, values.slice(1));
    for (const value of takes ? values.slice(1) : values) plain(value);
    if (Array.isArray(of)) return this.listMethod(of, name, values, takes);
    const given = values.map((value) => this.primitive(value));
    return type === 'string' ? this.textMethod(String(of), name, given) : called(of, name, given);
  }

  /** What a text does with a regular expression. */
  private patterned(of: string, name: string, program: PatternProgram, given: unknown[]): unknown {
    const work = { step: () => this.step(), text: (value: unknown) => this.text([plain(value)]) };
    const run = patterned[name] as ((...values: unknown[]) => unknown) | undefined;
    if (!run) throw new EvaluationError(`\`${name}\` takes no regular expression.`);
    const result = run(work, of, program, ...given);
    if (typeof result === 'string') return this.fits(result);
    return Array.isArray(result) ? this.list(result) : result;
  }

  textMethod(of: string, name: string, values: unknown[]): unknown {
    this.step(of.length / 100);
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
    if (typeof result === 'string') return this.fits(result);
    return Array.isArray(result) ? this.list(result) : result;
  }

  /** A list by what a function gives of each item: numbers by size, all else as text, nothing last. */
  private sortedBy(of: readonly unknown[], key: Arrow): unknown[] {
    const keyed = of.map((item) => ({ item, key: key(item) }));
    const rank = (value: unknown) => (value === null || value === undefined || value === '' ? 1 : 0);
    keyed.sort(({ key: a }, { key: b }) => {
      if (rank(a) || rank(b)) return rank(a) - rank(b);
      const [one, other] =
        typeof a === 'number' && typeof b === 'number' ? [a, b] : [this.text([a]), this.text([b])];
      return one < other ? -1 : one > other ? 1 : 0;
    });
    return keyed.map(({ item }) => item);
  }

  listMethod(of: unknown[], name: string, values: unknown[], takes: boolean): unknown {
    this.step(of.length);
    if (name === 'join') return this.text(of, values[0] === undefined ? ',' : this.text([values[0]]));
    if (name === 'toString') return this.text(of, ',');
    if (name === 'flat' && Number(values[0] ?? 1) > deepestList) throw new RangeError();
    if (name === 'toSorted' && (values[0] as Arrow | undefined)?.parameters === 1)
      return this.sortedBy(of, values[0] as Arrow);
    if (name === 'toSorted' && values[0] === undefined) {
      const keyed = of.map((item) => ({ item, key: this.text([item]) }));
      return keyed.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0)).map(({ item }) => item);
    }
    if (takes && typeof values[0] !== 'function')
      throw new EvaluationError(`\`${name}\` needs a function, such as \`item => …\`.`);
    // What a function is called with besides it is no `this`, and only `reduce` takes something to begin with.
    const given = takes && name !== 'reduce' ? values.slice(0, 1) : values;
    const result = called(of, name, given);
    return Array.isArray(result) ? this.list(result) : result;
  }
}
