/**
 * Runs a program: keeps the state, works out bindings when what they read changes, carries out events.
 *
 * Knows no page and no elements; a host (the exported page, a test) gives it what to do when something changes.
 */
import { batch, effect, type Signal, signal, untracked } from '@preact/signals-core';
import type { StateValue, StateVariable } from '../document/types.ts';
import type { Statement, Template } from '../expression/ast.ts';
import { asText, EvaluationError, evaluate, evaluateTemplate, type Scope } from '../expression/evaluate.ts';
import type { Program } from './program.ts';

/** What the runtime needs from what is around it. */
export interface Host {
  /** Shows another screen. */
  go(screen: string): void;
  /** Something went wrong; the rest goes on running. */
  problem(message: string): void;
}

/** Ends a binding. */
export type Dispose = () => void;

/** The item of a repeat that something stands in, and the items around that one. */
export interface ItemFrame {
  readonly name: string;
  readonly value: Signal<unknown>;
  readonly around: ItemFrame | undefined;
}

/** A place for an item, which may change while what is bound to it stays. */
export const itemFrame = (name: string, value: unknown, around: ItemFrame | undefined): ItemFrame => ({
  name,
  value: signal(value),
  around,
});

export class Runtime {
  private readonly state = new Map<string, { variable: StateVariable; value: Signal<StateValue> }>();

  constructor(
    program: Pick<Program, 'state' | 'screens'>,
    private readonly host: Host,
  ) {
    for (const variable of program.state)
      this.state.set(variable.name, { variable, value: signal(variable.initial) });
  }

  private readonly scope: Scope = (name) => {
    const entry = this.state.get(name);
    if (!entry) throw new EvaluationError(`There is no state variable \`${name}\`.`);
    return entry.value.value;
  };

  /** Names inside some items: the items' own names first, then the state. */
  private scopeIn(frame: ItemFrame | undefined): Scope {
    if (!frame) return this.scope;
    const outer = this.scopeIn(frame.around);
    return (name) => (name === frame.name ? frame.value.value : outer(name));
  }

  /** The value of a state variable now. @throws EvaluationError where there is none of that name. */
  read(name: string): StateValue {
    return untracked(() => this.scope(name)) as StateValue;
  }

  /** Calls `apply` with a value now and after each change of what it reads; a failing one is reported instead. */
  bind(template: Template, apply: (value: unknown) => void, frame?: ItemFrame): Dispose {
    const scope = this.scopeIn(frame);
    return this.follow(() => evaluateTemplate(template, scope), apply);
  }

  /** As `bind`, for several values that are applied together. */
  bindAll(
    templates: Readonly<Record<string, Template>>,
    apply: (values: ReadonlyMap<string, unknown>) => void,
    frame?: ItemFrame,
  ): Dispose {
    const scope = this.scopeIn(frame);
    const entries = Object.entries(templates);
    return this.follow(
      () => new Map(entries.map(([name, template]) => [name, evaluateTemplate(template, scope)])),
      apply,
    );
  }

  /** Calls `apply` with a state variable now and after each change. */
  watch(name: string, apply: (value: StateValue) => void): Dispose {
    return this.follow(() => this.scope(name) as StateValue, apply);
  }

  private follow<T>(read: () => T, apply: (value: T) => void): Dispose {
    return effect(() => {
      try {
        const value = read();
        untracked(() => apply(value));
      } catch (error) {
        if (!(error instanceof EvaluationError)) throw error;
        this.host.problem(error.message);
      }
    });
  }

  /**
   * Sets a state variable. A number is taken from text that is one; any other value of the wrong type is
   * refused and reported.
   *
   * @returns whether it was set.
   */
  assign(name: string, value: unknown): boolean {
    const entry = this.state.get(name);
    if (!entry) {
      this.host.problem(`There is no state variable \`${name}\`.`);
      return false;
    }
    const fitting = fit(entry.variable, value);
    if (fitting === undefined) {
      const shown = typeof value === 'string' ? `"${value}"` : String(asText(value) || value);
      this.host.problem(`\`${name}\` is a ${entry.variable.type}; ${shown} cannot be assigned to it.`);
      return false;
    }
    entry.value.value = fitting;
    return true;
  }

  /** Carries out an event. All its assignments take effect together; after a failure the rest is left out. */
  run(statements: readonly Statement[], frame?: ItemFrame): void {
    batch(() => {
      try {
        untracked(() => this.carryOut(statements, this.scopeIn(frame)));
      } catch (error) {
        if (!(error instanceof EvaluationError)) throw error;
        this.host.problem(error.message);
      }
    });
  }

  private carryOut(statements: readonly Statement[], scope: Scope): void {
    for (const statement of statements) {
      switch (statement.type) {
        case 'if':
          this.carryOut(evaluate(statement.test, scope) ? statement.whenTrue : statement.whenFalse, scope);
          break;
        case 'action':
          this.host.go(asText(statement.arguments[0] && evaluate(statement.arguments[0], scope)));
          break;
        case 'assign':
          this.assign(statement.name, this.assigned(statement, scope));
          break;
      }
    }
  }

  private assigned(statement: Statement & { type: 'assign' }, scope: Scope): unknown {
    const { operator, name, span, value } = statement;
    if (operator === '=') return evaluate(value, scope);
    const left = { type: 'name', name, span } as const;
    const plain = operator.slice(0, -1);
    if (plain === '&&' || plain === '||' || plain === '??')
      return evaluate({ type: 'logical', operator: plain, left, right: value }, scope);
    return evaluate({ type: 'binary', operator: plain as '+', left, right: value }, scope);
  }
}

function fit({ type }: StateVariable, value: unknown): StateValue | undefined {
  if (type === 'boolean') return typeof value === 'boolean' ? value : undefined;
  if (type === 'number') {
    const number = typeof value === 'string' && value.trim() !== '' ? Number(value) : value;
    return typeof number === 'number' && Number.isFinite(number) ? number : undefined;
  }
  return typeof value === 'string' || typeof value === 'number' ? String(value) : undefined;
}
