/** Carries out events: statement by statement, over the state that they change. */
import { messageOf } from '../document/error-message.ts';
import { forPeople } from '../document/for-people.ts';
import { indexOfRow, keyOf } from '../document/row-identity.ts';
import type { Referred } from '../document/row-rules.ts';
import { ownValue } from '../document/same.ts';
import type { StateValue } from '../document/types.ts';
import { actionNamed, alteringNamed } from '../expression/actions/catalogue.ts';
import { assignedBy } from '../expression/assigned.ts';
import type { Assigned, Statement } from '../expression/ast.ts';
import { budgetNow } from '../expression/budget.ts';
import { asText, EvaluationError, evaluate } from '../expression/evaluate.ts';
import { type Ending, type EventScope, type Going, within } from './event-scope.ts';
import type { Host } from './host.ts';
import { inside } from './inside.ts';
import type { ProgramVariable } from './program.ts';
import type { Trace } from './trace.ts';

/** The state that events change. */
export interface ChangedState {
  /** A variable, and what it held at the beginning; undefined where there is none of that name. */
  held(name: string): { readonly variable: ProgramVariable; readonly initial: StateValue } | undefined;
  /** What a name holds now. @throws EvaluationError where there is none. */
  scope(name: string): unknown;
  /** @returns whether it was set. */
  assign(name: string, value: unknown): boolean;
  /** Something went wrong; the rest goes on running. */
  problem(message: string): void;
  /** Writes down what an event did. */
  did(what: Trace['did'][number]): void;
}

/** Carries out statements of one type. */
export type Carry<T extends Statement['type']> = (
  statement: Statement & { readonly type: T },
  scope: EventScope,
  doing: CarryingOut,
) => Going;

/** How statements are carried out that only some applications have, by their types. */
const carries: { [T in Statement['type']]?: Carry<T> } = {};

/** Adds how statements of some types are carried out. */
export const addStatements = (more: typeof carries): unknown => Object.assign(carries, more);

export class CarryingOut {
  constructor(
    readonly state: ChangedState,
    readonly host: Host,
  ) {}

  /** What pieces that are built apart work with. */
  readonly evaluate = evaluate;
  readonly within = within;

  /** A round of a loop: an event's budget is enough for some 10,000. */
  round(): void {
    budgetNow().spend(roundSteps);
  }

  /** @throws EvaluationError with a sentence for the developer. */
  fail(sentence: string): never {
    throw new EvaluationError(sentence);
  }

  /** What failed, in a sentence. @throws what is no failure of an event, or cannot be caught since a budget has run out. */
  caught(error: unknown): string {
    if (!(error instanceof EvaluationError)) throw error;
    budgetNow().spend(0);
    return error.message;
  }

  /** @returns what becomes of the statements behind these. */
  *carryOut(statements: readonly Statement[], scope: EventScope): Going {
    let inner = scope;
    for (const statement of statements) {
      if (statement.type === 'let') {
        inner = within(inner, statement.name, evaluate(statement.value, inner));
        continue;
      }
      const ending = yield* this.one(statement, inner);
      if (ending) return ending;
    }
    return undefined;
  }

  private *one(statement: Statement, scope: EventScope): Going {
    switch (statement.type) {
      case 'if':
        return yield* this.carryOut(
          evaluate(statement.test, scope) ? statement.whenTrue : statement.whenFalse,
          scope,
        );
      case 'action':
        return yield* this.act(statement, scope);
      case 'handler':
        return yield* this.handle(statement, scope);
      case 'alter':
        return this.goesOn(this.alter(statement, scope), statement.gives, scope);
      case 'assign':
        return this.goesOn(
          this.assignInside(statement, scope, evaluate(assignedBy(statement), scope)),
          undefined,
          scope,
        );
      case 'stop':
        return statement.how ?? 'return';
      default:
        return yield* (carries[statement.type] as Carry<typeof statement.type>)(statement, scope, this);
    }
  }

  private *act(statement: Statement & { type: 'action' }, scope: EventScope): Going {
    const given = statement.arguments.map((argument) => evaluate(argument, scope));
    if (statement.brings)
      given.push(
        Object.fromEntries(statement.brings.map(({ name, value }) => [name, evaluate(value, scope)])),
      );
    if (statement.replaces ?? statement.transition) given.push(statement.replaces === true);
    if (statement.transition) given.push(statement.transition);
    const action = actionNamed(statement.name);
    this.state.did({ action: statement.name, given: action?.hides ? [] : given });
    action?.act?.(this.host.acting, given);
    if (action?.waits) yield action.waits(given);
    return undefined;
  }

  /**
   * What comes of something that was refused: the event reads why where it asks for it, catches it where it tries, else the
   * person is told and the event ends.
   *
   * @param refused why, or the rule that it breaks; empty or undefined: it was done.
   */
  goesOn(refused: string | undefined, gives: Assigned | undefined, scope: EventScope): Ending {
    if (gives) this.assignInside(gives, scope, refused ?? '');
    else if (refused) {
      if (scope.tries) throw new EvaluationError(forPeople(refused));
      this.state.problem(refused);
      this.host.acting.message(forPeople(refused));
      return 'return';
    }
    return undefined;
  }

  /** @returns the rule that it would break; it is not assigned then. */
  assignInside({ name, path, list, local }: Assigned, scope: EventScope, value: unknown): string | undefined {
    const keys = path.map((key) => asText(evaluate(key, scope)));
    if (list !== undefined) return this.changeRow(list, scope(name), keys, value);
    const before = keys.length === 0 ? undefined : local ? scope(name) : this.state.scope(name);
    const whole = inside(before, keys, value);
    return local ? scope.put?.(name, whole) : this.change(name, whole);
  }

  /** Calls a handler, awaits its promise, and stores its result in the variable that the event names. */
  private *handle(
    { name, arguments: given, gives }: Statement & { type: 'handler' },
    scope: EventScope,
  ): Going {
    const values = given.map((argument) => evaluate(argument, scope));
    const handler = this.host.handler?.(name);
    this.state.did({
      action: handler ? `handlers.${name}` : `(not there yet) handlers.${name}`,
      given: values,
    });
    if (!handler) return undefined;
    let result: unknown;
    try {
      result = handler(...values);
      if (result instanceof Promise) result = yield result;
    } catch (error) {
      throw new EvaluationError(`\`handlers.${name}\`: ${messageOf(error)}`);
    }
    if (gives) this.assignInside(gives, scope, result);
    return undefined;
  }

  /** Carries out an action on a variable. @returns the rule that it would break; it is not carried out then. */
  private alter(statement: Statement & { type: 'alter' }, scope: EventScope): string | undefined {
    const { name, action } = statement;
    const keys = statement.path.map((key) => asText(evaluate(key, scope)));
    const whole = this.state.scope(name);
    const before = keys.reduce<unknown>(ownValue, whole);
    const given = statement.arguments.map((argument) => evaluate(argument, scope));
    const held = this.state.held(name);
    const columns = keys.length === 0 ? held?.variable.columns : undefined;
    const after = alteringNamed(action)?.alter(before, given, {
      initial: held?.initial,
      columns: columns ?? [],
    });
    return this.change(name, inside(whole, keys, after));
  }

  /** A row of a list gets a value. @returns the rule that it would break. */
  private changeRow(list: string, row: unknown, keys: readonly string[], value: unknown): string | undefined {
    const rows = this.state.scope(list);
    const at = Array.isArray(rows)
      ? indexOfRow(rows, row, keyOf(this.state.held(list)?.variable.columns))
      : -1;
    if (at < 0) {
      this.state.problem(`The row is not in \`${list}\` any more.`);
      return undefined;
    }
    return this.change(list, (rows as unknown[]).with(at, inside((rows as unknown[])[at], keys, value)));
  }

  /** Assigns what an event makes of a variable, unless a rule of its table is broken. @returns that rule. */
  private change(name: string, value: unknown): string | undefined {
    const columns = this.state.held(name)?.variable.columns;
    const refused =
      columns && Array.isArray(value)
        ? this.host.brokenRule?.(columns, this.state.scope(name) as readonly unknown[], value, this.referred)
        : undefined;
    if (refused === undefined) this.state.assign(name, value);
    return refused;
  }

  /** The values that a column refers to, as the variables hold them now. */
  private readonly referred: Referred = ({ list, column }) => {
    const rows = this.state.held(list) ? this.state.scope(list) : undefined;
    return Array.isArray(rows) ? new Set(rows.map((row) => asText(ownValue(row, column)))) : undefined;
  };
}

/** What a round of a loop costs besides what is in it. */
const roundSteps = 1200;
