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
import { continueRows, keyOf, newestOf } from '../document/row-identity.ts';
import { same } from '../document/same.ts';
import { fitting } from '../document/state.ts';
import type { StateValue } from '../document/types.ts';
import { addressNow } from '../expression/address.ts';
import { readOf } from '../expression/assigned.ts';
import type { Statement, Template } from '../expression/ast.ts';
import { isSpent, sharingBudget } from '../expression/budget.ts';
import { asText, EvaluationError, evaluate, evaluateTemplate, type Scope } from '../expression/evaluate.ts';
import { isViewName, type ViewName, type ViewValue } from '../expression/view-names.ts';
import { CarryingOut } from './carrying-out.ts';
import type { Going } from './event-scope.ts';
import type { Host } from './host.ts';
import type { ItemFrame } from './item-frame.ts';
import type { Program, ProgramVariable, TwoWayBinding } from './program.ts';
import { type Origin, Tracing } from './trace.ts';

/** A state variable and its value; a computed one has no `value` that can be set. */
interface Held {
  readonly variable: ProgramVariable;
  /** What it holds at the beginning. */
  initial: StateValue;
  readonly value: ReadonlySignal<unknown>;
  readonly own: Signal<StateValue> | undefined;
}

/** Ends a binding. */
export type Dispose = () => void;

/** So many rows that come from outside are compared with those before. */
const mostContinued = 5000;

/** What stands in no text. */
const nowhere = [0, 0] as const;

/** What an input shows, as an expression. */
export const shownBy = ({ variable, path = [], begins }: TwoWayBinding): Template => {
  const left = readOf({ name: variable, span: nowhere, path });
  return { whole: true, parts: [begins ? { type: 'logical', operator: '??', left, right: begins } : left] };
};

export class Runtime {
  readonly #state = new Map<string, Held>();
  readonly #view = new Map<ViewName, Signal<ViewValue>>();
  readonly #doing: CarryingOut;
  #tracing: Tracing | undefined;
  /** What could not be worked out any more follows this, which changes with the next event. */
  readonly #late = signal(0);
  #hasLate = false;

  constructor(
    program: Pick<Program, 'state' | 'screens'>,
    private readonly host: Host,
  ) {
    this.#doing = new CarryingOut(
      {
        held: (name) => this.#state.get(name),
        scope: (name) => this.#scope(name),
        assign: (name, value) => this.assign(name, value),
        problem: (message) => this.#problem(message),
        did: (what) => this.#tracing?.add('did', what),
      },
      host,
    );
    for (const variable of program.state) {
      const expression = variable.computed;
      const own = expression ? undefined : signal(this.#initial(variable));
      const value = expression ? computed(() => evaluate(expression, this.#scope)) : own!;
      this.#state.set(variable.name, { variable, initial: variable.initial, value, own });
      if (own && variable.kept) this.#keepUp(variable.name, own);
    }
  }

  /** What a variable begins with: what was kept of it, if that still fits. */
  #initial({ name, type, nullable, kept, initial }: ProgramVariable): StateValue {
    const before = kept ? this.host.kept?.(name) : undefined;
    const fits = before === undefined ? undefined : fitting(type, before, nullable);
    return fits === undefined ? initial : fits;
  }

  #keepUp(name: string, value: Signal<StateValue>): void {
    let first = true;
    effect(() => {
      const now = value.value;
      if (!first) this.host.keep?.(name, now);
      first = false;
    });
  }

  readonly #scope: Scope = (name) => {
    if (isViewName(name)) return this.#seen(name).value;
    const entry = this.#state.get(name);
    if (!entry) throw new EvaluationError(`There is no state variable \`${name}\`.`);
    return entry.value.value;
  };

  /** What a name of `View` holds; from the first time that it is read it follows what the host tells. */
  #seen(name: ViewName): Signal<ViewValue> {
    let held = this.#view.get(name);
    if (!held) {
      const made = signal<ViewValue>('');
      held = made;
      this.#view.set(name, made);
      this.host.see?.(name, (value) => {
        made.value = value;
      });
    }
    return held;
  }

  /** Names inside some items: the items' own names first, then the state. */
  #scopeIn(frame: ItemFrame | undefined): Scope {
    if (!frame) return this.#scope;
    const outer = this.#scopeIn(frame.around);
    return (name) => (name === frame.name ? frame.value.value : outer(name));
  }

  /** The same for an event: items are what it has made of them so far. */
  #scopeNow(frame: ItemFrame | undefined): Scope {
    const scope = this.#scopeIn(frame);
    const items = new Set<string>();
    for (let each = frame; each; each = each.around) items.add(each.name);
    return (name) => (items.has(name) ? newestOf(scope(name)) : scope(name));
  }

  #valueOf(name: string): StateValue {
    return this.#scope(name) as StateValue;
  }

  /** The value of a state variable now. @throws EvaluationError where there is none of that name. */
  read(name: string): StateValue {
    return untracked(() => this.#valueOf(name));
  }

  /**
   * Calls `apply` with an expression's value now and whenever a variable that it reads changes; an error is reported instead.
   *
   * @param label what traces call it.
   */
  bind(template: Template, apply: (value: unknown) => void, frame?: ItemFrame, label?: string): Dispose {
    const scope = this.#scopeIn(frame);
    return this.#follow(() => evaluateTemplate(template, scope), apply, label);
  }

  /** As `bind`, for several values that are applied together. */
  bindAll(
    templates: Readonly<Record<string, Template>>,
    apply: (values: ReadonlyMap<string, unknown>) => void,
    frame?: ItemFrame,
    label?: string,
  ): Dispose {
    const scope = this.#scopeIn(frame);
    const entries = Object.entries(templates);
    return this.#follow(
      () => new Map(entries.map(([name, template]) => [name, evaluateTemplate(template, scope)])),
      apply,
      label,
    );
  }

  /** Calls `apply` with a state variable now and after each change. */
  watch(name: string, apply: (value: StateValue) => void): Dispose {
    return this.#follow(() => this.#valueOf(name), apply);
  }

  /** Calls `apply` with an address now and each time that it becomes another one. */
  followAddress(template: Template, apply: (address: string) => void): Dispose {
    let before: string | undefined;
    return this.#follow(
      () => addressNow(template, this.#scope),
      (address) => {
        if (address !== before) apply(address);
        before = address;
      },
    );
  }

  #follow<T>(read: () => T, apply: (value: T) => void, label?: string): Dispose {
    return effect(() => {
      // Others have spent what there was: it is not known what this one reads, and it has its turn with the next event.
      if (isSpent()) {
        this.#late.value;
        this.#hasLate = true;
      }
      if (label !== undefined) this.#tracing?.add('reran', label);
      try {
        const value = read();
        untracked(() => apply(value));
      } catch (error) {
        if (!(error instanceof EvaluationError)) throw error;
        this.#problem(error.message);
      }
    });
  }

  #problem(message: string): void {
    this.#tracing?.add('problems', message);
    this.host.problem(message);
  }

  /**
   * Sets a state variable, or what an event may set of `View`. A number is taken from text that is one; any other value of the wrong type is
   * refused and reported.
   *
   * @returns whether it was set.
   */
  assign(name: string, value: unknown): boolean {
    if (isViewName(name)) {
      this.#seen(name).value = asText(value);
      return true;
    }
    const entry = this.#state.get(name);
    if (!entry) {
      this.#problem(`There is no state variable \`${name}\`.`);
      return false;
    }
    if (!entry.own) {
      this.#problem(`\`${name}\` follows other values; nothing can be assigned to it.`);
      return false;
    }
    const { type, nullable } = entry.variable;
    const fits = fitting(type, value, nullable);
    if (fits === undefined) {
      const shown = typeof value === 'string' ? `"${value}"` : String(asText(value) || value);
      this.#problem(`\`${name}\` is a ${type}; ${shown} cannot be assigned to it.`);
      return false;
    }
    this.#tracing?.add('changes', { name, before: untracked(() => entry.value.value), after: fits });
    entry.own.value = fits;
    return true;
  }

  /**
   * Gives a variable another beginning: its rows have come. Where it holds what it held at the beginning, it holds that
   * now; what was changed or kept meanwhile stays.
   */
  begin(name: string, value: StateValue): void {
    const entry = this.#state.get(name);
    if (!entry) return;
    const isUntouched = untracked(() => entry.value.value) === entry.initial;
    entry.initial = value;
    if (isUntouched) this.take(name, value);
  }

  /**
   * Takes a value that comes from outside, with all that follows from it as one whole. Rows stay the rows that they were
   * as far as they can be known again.
   *
   * @returns whether it was set.
   */
  take(name: string, value: unknown): boolean {
    const { columns } = this.#state.get(name)?.variable ?? {};
    if (Array.isArray(value) && value.length <= mostContinued) {
      const before = untracked(() => this.#valueOf(name));
      if (Array.isArray(before)) continueRows(value, before, keyOf(columns));
    }
    return sharingBudget(() => this.assign(name, value));
  }

  /** Takes what a variable holds in another window: a record that is a row of a list here is that row. */
  takeFromOther(name: string, value: unknown): void {
    const isList = Array.isArray(value);
    this.take(name, isList || typeof value !== 'object' || value === null ? value : this.#rowLike(value));
  }

  #rowLike(record: object): object {
    for (const { value } of this.#state.values()) {
      const list = untracked(() => value.value);
      if (!Array.isArray(list) || list.length > mostContinued) continue;
      const row: unknown = list.find((each) => same(each, record));
      if (typeof row === 'object' && row !== null) return row;
    }
    return record;
  }

  /**
   * Carries out an event. All its assignments take effect together; after a failure the rest is left out. What stands
   * behind a `wait` is carried out later, as a part of its own.
   */
  run(statements: readonly Statement[], frame?: ItemFrame, origin?: Origin): void {
    this.#goOn(this.#doing.carryOut(statements, this.#scopeNow(frame)), origin);
  }

  /**
   * Carries out a part of an event, up to its end or to where it waits.
   *
   * @param resume what it goes on with.
   */
  #goOn(going: Going, origin: Origin | undefined, resume = () => going.next()): void {
    this.#traced(origin, () =>
      batch(() => {
        try {
          const { value, done } = untracked(resume);
          if (done) return;
          if (typeof value === 'number') setTimeout(() => this.#goOn(going, origin), value * 1000);
          else
            value.then(
              (result) => this.#goOn(going, origin, () => going.next(result)),
              (error) => this.#goOn(going, origin, () => going.throw(error)),
            );
        } catch (error) {
          if (!(error instanceof EvaluationError)) throw error;
          this.#problem(error.message);
        }
      }),
    );
  }

  /** Whether what an input enters may be nothing: a number that is asked for and not given. */
  mayBeNothing({ variable, path }: TwoWayBinding): boolean {
    const held = this.#state.get(variable)?.variable;
    return path !== undefined || held?.nullable === true || held?.type === 'text';
  }

  /** What an input shows now. */
  shown(binding: TwoWayBinding, frame?: ItemFrame): unknown {
    return untracked(() => evaluateTemplate(shownBy(binding), this.#scopeIn(frame)));
  }

  /** Takes what a person has entered. @returns the rule that it would break; it is not taken then. */
  enter(
    { control, variable, path = [], list }: TwoWayBinding,
    value: unknown,
    frame?: ItemFrame,
  ): string | undefined {
    let refused: string | undefined;
    this.#traced({ control, event: 'entered' }, () => {
      const target = { name: variable, span: nowhere, path, ...(list === undefined ? {} : { list }) };
      refused = this.#doing.assignInside(target, this.#scopeNow(frame), value);
      if (refused !== undefined) this.#problem(refused);
    });
    return refused;
  }

  /**
   * Carries out an event with all that follows from it, within one budget, so that it ends in time however much follows;
   * and writes down what happens meanwhile, where somebody wants to hear of it.
   */
  #traced(origin: Origin | undefined, happens: () => void): void {
    if (this.#hasLate && !isSpent()) {
      this.#hasLate = false;
      this.#traced(origin, () => {
        happens();
        this.#late.value++;
      });
      return;
    }
    // What an event sets off at once belongs to that event.
    if (!this.host.traced || !origin || this.#tracing) {
      sharingBudget(happens);
      return;
    }
    const tracing = new Tracing();
    const begun = performance.now();
    this.#tracing = tracing;
    try {
      sharingBudget(happens);
    } finally {
      this.#tracing = undefined;
    }
    const { changes, did, reran, problems, order } = tracing;
    const took = performance.now() - begun;
    this.host.traced({ ...origin, changes, did, reran, problems, order, took });
  }
}
