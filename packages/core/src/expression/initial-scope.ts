/** What the state holds as everything begins, for expressions that are worked out without a running page. */
import type { CodeModule } from '../document/code.ts';
import type { Project, StateVariable } from '../document/types.ts';
import { sharedBudget, spending } from './budget.ts';
import { checkComputed, sourcesOf } from './computed.ts';
import { EvaluationError, evaluate, type Scope } from './evaluate.ts';
import { isOwnCode } from './own-code.ts';
import { sampleFor } from './own-functions.ts';
import { bandAt, isViewName, languageOf, viewValue } from './view-names.ts';

/** The values of one state in one band. What follows from others is worked out when it is first asked for. */
class InitialValues {
  readonly #values = new Map<string, unknown>();
  readonly #failed = new Map<string, EvaluationError>();
  readonly #byName: ReadonlyMap<string, StateVariable>;
  readonly #state: readonly StateVariable[];
  readonly #band: string;
  readonly #language: string;
  /** All that follows from others shares one, so that it is the same whatever it is asked for by. */
  readonly #budget = sharedBudget();

  /** What stands for the results of the project's own code. */
  readonly #code: (name: string) => unknown;

  constructor(
    state: readonly StateVariable[],
    band: string,
    language: string,
    code: (name: string) => unknown,
  ) {
    this.#state = state;
    this.#code = code;
    this.#band = band;
    this.#language = language;
    this.#byName = new Map(state.map((variable) => [variable.name, variable]));
  }

  readonly scope: Scope = (name) => {
    if (this.#values.has(name)) return this.#values.get(name);
    if (isViewName(name)) return viewValue(name, this.#band, this.#language);
    const variable = this.#byName.get(name);
    if (!variable && isOwnCode(name)) return this.#code(name);
    if (!variable) throw new EvaluationError(`There is no state variable \`${name}\`.`);
    if (variable.computed === undefined) return variable.initial;
    const failed = this.#failed.get(name);
    if (failed) throw failed;
    this.#workOut(variable);
    return this.scope(name);
  };

  #isOpen = (variable: StateVariable): boolean =>
    variable.computed !== undefined && !this.#values.has(variable.name) && !this.#failed.has(variable.name);

  /** Works a variable out, and first all that it follows from: however long the chain, none calls the next. */
  #workOut(wanted: StateVariable): void {
    const waiting = [wanted];
    const begun = new Set<string>();
    for (let variable = waiting.at(-1); variable; variable = waiting.at(-1)) {
      if (!begun.has(variable.name)) {
        begun.add(variable.name);
        for (const name of sourcesOf(variable)) {
          const source = this.#byName.get(name);
          if (source && this.#isOpen(source) && !begun.has(name)) waiting.push(source);
        }
        if (waiting.at(-1) !== variable) continue;
      }
      waiting.pop();
      if (this.#isOpen(variable)) this.#evaluate(variable);
    }
  }

  #evaluate(variable: StateVariable): void {
    const { name } = variable;
    const expression = checkComputed(variable, this.#state);
    try {
      if (!expression.ok) throw new EvaluationError(`\`${name}\`: ${expression.problem.message}`);
      const value = spending(this.#budget, () => evaluate(expression.value, this.scope));
      this.#values.set(name, value);
    } catch (error) {
      if (!(error instanceof EvaluationError)) throw error;
      const isNamed = error.message.startsWith('`');
      this.#failed.set(name, isNamed ? error : new EvaluationError(`\`${name}\`: ${error.message}`));
    }
  }
}

/** Values of a state, by what its own code is, and the band and language that they are seen in. */
const known = new WeakMap<readonly StateVariable[], WeakMap<object, Map<string, InitialValues>>>();
const noCode: readonly CodeModule[] = [];

/**
 * The initial values of the state, as a scope for expressions. Worked out once for each version of the state.
 *
 * @param width of what the expressions are shown in, CSS px.
 */
export function initialScope(
  { state, bands, code = noCode, ...project }: Pick<Project, 'state' | 'bands' | 'code' | 'language'>,
  width = 0,
): Scope {
  const language = languageOf(project);
  const band = bandAt(bands, width);
  const byCode = known.get(state) ?? new WeakMap<object, Map<string, InitialValues>>();
  known.set(state, byCode);
  const byBand = byCode.get(code) ?? new Map<string, InitialValues>();
  byCode.set(code, byBand);
  const circumstances = `${band} ${language}`;
  let values = byBand.get(circumstances);
  if (!values) {
    values = new InitialValues(state, band, language, (name) => sampleFor(name, code));
    byBand.set(circumstances, values);
  }
  return values.scope;
}
