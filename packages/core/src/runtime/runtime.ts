/**
 * Runs a program: keeps the state, works out bindings when what they read changes, carries out events.
 *
 * Knows no page and no elements; a host (the exported page, a test) gives it what to do when something changes.
 */
import {
  batch,
  computed,
  effect,
  type ReadonlySignal,
  type Signal,
  signal,
  untracked,
} from '@preact/signals-core';
import { fitting } from '../document/state.ts';
import type { StateValue } from '../document/types.ts';
import type { ActionName } from '../expression/actions.ts';
import type { Statement, Template } from '../expression/ast.ts';
import { asText, EvaluationError, evaluate, evaluateTemplate, type Scope } from '../expression/evaluate.ts';
import type { Program, ProgramVariable } from './program.ts';

/** What the runtime needs from what is around it. */
export interface Host {
  /** Does what an event asks for. */
  readonly actions: Readonly<Record<ActionName, (...values: readonly unknown[]) => void>>;
  /** Something went wrong; the rest goes on running. */
  problem(message: string): void;
  /** What a variable held when the application was last closed; undefined: nothing is known. */
  kept?(name: string): unknown;
  /** Keeps what a variable holds for the next time. */
  keep?(name: string, value: StateValue): void;
  /** Hears of each event that was carried out; where it is absent nothing is written down. */
  traced?(trace: Trace): void;
}

/** Where something comes from: an event of a control, by their names. */
export interface Origin {
  readonly control: string;
  readonly event: string;
}

/** What an event did. */
export interface Trace extends Origin {
  /** In the order in which they were made. */
  readonly changes: readonly { readonly name: string; readonly before: unknown; readonly after: unknown }[];
  /** Other actions, with what they were given. */
  readonly did: readonly { readonly action: string; readonly given: readonly unknown[] }[];
  /** Bindings that were worked out anew, by what they are called. */
  readonly reran: readonly string[];
  readonly problems: readonly string[];
  /** Milliseconds until all of it had taken effect. */
  readonly took: number;
}

/** A trace while it is being written. */
type Tracing = { [Part in 'changes' | 'did' | 'reran' | 'problems']: Trace[Part][number][] };

/** A state variable with what it holds; one that follows an expression has no `value` of its own to set. */
interface Held {
  readonly variable: ProgramVariable;
  readonly value: ReadonlySignal<unknown>;
  readonly own: Signal<StateValue> | undefined;
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
  private readonly state = new Map<string, Held>();
  private tracing: Tracing | undefined;

  constructor(
    program: Pick<Program, 'state' | 'screens'>,
    private readonly host: Host,
  ) {
    for (const variable of program.state) {
      const expression = variable.computed;
      const own = expression ? undefined : signal(this.initial(variable));
      const value = expression ? computed(() => evaluate(expression, this.scope)) : own!;
      this.state.set(variable.name, { variable, value, own });
      if (own && variable.kept) this.keepUp(variable.name, own);
    }
  }

  /** What a variable begins with: what was kept of it, if that still fits. */
  private initial({ name, type, kept, initial }: ProgramVariable): StateValue {
    const before = kept ? this.host.kept?.(name) : undefined;
    return (before === undefined ? undefined : fitting(type, before)) ?? initial;
  }

  private keepUp(name: string, value: Signal<StateValue>): void {
    let first = true;
    effect(() => {
      const now = value.value;
      if (!first) this.host.keep?.(name, now);
      first = false;
    });
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

  /**
   * Calls `apply` with a value now and after each change of what it reads; a failing one is reported instead.
   *
   * @param label what traces call it.
   */
  bind(template: Template, apply: (value: unknown) => void, frame?: ItemFrame, label?: string): Dispose {
    const scope = this.scopeIn(frame);
    return this.follow(() => evaluateTemplate(template, scope), apply, label);
  }

  /** As `bind`, for several values that are applied together. */
  bindAll(
    templates: Readonly<Record<string, Template>>,
    apply: (values: ReadonlyMap<string, unknown>) => void,
    frame?: ItemFrame,
    label?: string,
  ): Dispose {
    const scope = this.scopeIn(frame);
    const entries = Object.entries(templates);
    return this.follow(
      () => new Map(entries.map(([name, template]) => [name, evaluateTemplate(template, scope)])),
      apply,
      label,
    );
  }

  /** Calls `apply` with a state variable now and after each change. */
  watch(name: string, apply: (value: StateValue) => void): Dispose {
    return this.follow(() => this.scope(name) as StateValue, apply);
  }

  private follow<T>(read: () => T, apply: (value: T) => void, label?: string): Dispose {
    return effect(() => {
      if (label !== undefined) this.tracing?.reran.push(label);
      try {
        const value = read();
        untracked(() => apply(value));
      } catch (error) {
        if (!(error instanceof EvaluationError)) throw error;
        this.problem(error.message);
      }
    });
  }

  private problem(message: string): void {
    this.tracing?.problems.push(message);
    this.host.problem(message);
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
      this.problem(`There is no state variable \`${name}\`.`);
      return false;
    }
    if (!entry.own) {
      this.problem(`\`${name}\` is worked out from other values; nothing can be assigned to it.`);
      return false;
    }
    const fits = fitting(entry.variable.type, value);
    if (fits === undefined) {
      const shown = typeof value === 'string' ? `"${value}"` : String(asText(value) || value);
      this.problem(`\`${name}\` is a ${entry.variable.type}; ${shown} cannot be assigned to it.`);
      return false;
    }
    this.tracing?.changes.push({ name, before: untracked(() => entry.value.value), after: fits });
    entry.own.value = fits;
    return true;
  }

  /** Carries out an event. All its assignments take effect together; after a failure the rest is left out. */
  run(statements: readonly Statement[], frame?: ItemFrame, origin?: Origin): void {
    this.traced(origin, () =>
      batch(() => {
        try {
          untracked(() => this.carryOut(statements, this.scopeIn(frame)));
        } catch (error) {
          if (!(error instanceof EvaluationError)) throw error;
          this.problem(error.message);
        }
      }),
    );
  }

  /** Takes what a person has entered. */
  enter(name: string, value: unknown, control: string): void {
    this.traced({ control, event: 'entered' }, () => this.assign(name, value));
  }

  /** Writes down what happens meanwhile, where somebody wants to hear of it. */
  private traced(origin: Origin | undefined, happens: () => void): void {
    // What an event sets off at once belongs to that event.
    if (!this.host.traced || !origin || this.tracing) {
      happens();
      return;
    }
    const tracing: Tracing = { changes: [], did: [], reran: [], problems: [] };
    const begun = performance.now();
    this.tracing = tracing;
    try {
      happens();
    } finally {
      this.tracing = undefined;
    }
    this.host.traced({ ...origin, ...tracing, took: performance.now() - begun });
  }

  private carryOut(statements: readonly Statement[], scope: Scope): void {
    for (const statement of statements) {
      switch (statement.type) {
        case 'if':
          this.carryOut(evaluate(statement.test, scope) ? statement.whenTrue : statement.whenFalse, scope);
          break;
        case 'action': {
          const given = statement.arguments.map((argument) => evaluate(argument, scope));
          this.tracing?.did.push({ action: statement.name, given });
          this.host.actions[statement.name as ActionName](...given);
          break;
        }
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
