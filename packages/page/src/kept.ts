/**
 * What state variables hold from one visit to the next, in the browser's own storage. Where there is none (a visitor who
 * forbids it) everything begins anew; a page that is tried out has the storage of the window around it.
 */
import { EvaluationError, evaluate, type ProgramKept, type StateValue } from '@hovrin/core/runtime';
import { trial } from './trial.ts';

/** Where texts are kept by key. Each of its ways may throw: it is forbidden, or full (HTML §12.2.1). */
export interface KeepsTexts {
  getItem(key: string): string | null;
  setItem(key: string, text: string): void;
}

/** The browser's own. To name it may throw already, where it is forbidden. */
const ofBrowser: KeepsTexts = {
  getItem: (key) => localStorage.getItem(key),
  setItem: (key, text) => localStorage.setItem(key, text),
};

export class Kept {
  readonly #before: Readonly<Record<string, unknown>>;
  #isFull = false;

  /**
   * @param names of the variables that are kept.
   * @param tell hears, once, that values cannot be kept any more.
   */
  constructor(
    private readonly program: ProgramKept | undefined,
    names: readonly string[],
    private readonly tell: (problem: string) => void,
    private readonly storage: KeepsTexts = trial?.storage ?? ofBrowser,
  ) {
    this.#before = program ? this.#takenOver(program, this.#read(names)) : {};
  }

  /** What a variable held when the application was last closed; undefined: nothing is known. */
  value(name: string): unknown {
    return this.#before[name];
  }

  keep(name: string, value: StateValue): void {
    if (!this.program || this.#isFull) return;
    try {
      this.storage.setItem(this.#keyOf(name), JSON.stringify(value));
    } catch (error) {
      if (!(error instanceof DOMException) || error.name !== 'QuotaExceededError') return;
      this.#isFull = true;
      this.tell('The storage of this browser is full: changes are not kept any more.');
    }
  }

  #keyOf(name: string): string {
    return `hovrin ${this.program!.id} ${name}`;
  }

  #read(names: readonly string[]): Record<string, unknown> {
    const found: Record<string, unknown> = {};
    for (const name of names)
      try {
        const text = this.storage.getItem(this.#keyOf(name));
        if (text !== null) found[name] = JSON.parse(text);
      } catch {
        // There is no storage, or what lies there is not ours: it begins anew.
      }
    return found;
  }

  /** What an older version kept, as this one has it; it is kept so from now on. */
  #takenOver(
    { version, migrate }: ProgramKept,
    before: Readonly<Record<string, unknown>>,
  ): Readonly<Record<string, unknown>> {
    const key = `hovrin ${this.program!.id}`;
    try {
      const was = Number(this.storage.getItem(key) ?? 1);
      if (was >= version || Object.keys(before).length === 0) {
        this.storage.setItem(key, String(version));
        return before;
      }
      const made = migrate
        ? evaluate(migrate, (name) => (name === 'kept' ? before : name === 'version' ? was : undefined))
        : before;
      const after = made instanceof Object ? (made as Readonly<Record<string, unknown>>) : {};
      for (const [name, value] of Object.entries(after)) this.keep(name, value as StateValue);
      this.storage.setItem(key, String(version));
      return after;
    } catch (error) {
      if (error instanceof EvaluationError)
        this.tell(`What was kept before could not be taken over: ${error.message}`);
      return error instanceof EvaluationError ? {} : before;
    }
  }
}
