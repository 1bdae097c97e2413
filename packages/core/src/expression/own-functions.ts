/** The functions of a project's own code: what expressions and events may call, and what stands for their results. */
import { type CodeModule, handlersModule } from '../document/code.ts';
import { type CodeExport, codeExports } from '../document/code-exports.ts';
import type { Project } from '../document/types.ts';
import { EvaluationError } from './budget.ts';
import { evaluate } from './evaluate.ts';
import { isOwnCode, ownCode } from './own-code.ts';
import { parseExpression } from './parse.ts';

/** A function with the module that it stands in. */
export interface OwnFunction extends CodeExport {
  readonly module: string;
}

const none: readonly CodeModule[] = [];
const known = new WeakMap<
  readonly CodeModule[],
  {
    readonly functions: ReadonlyMap<string, OwnFunction>;
    readonly handlers: ReadonlyMap<string, OwnFunction>;
  }
>();

function read(modules: readonly CodeModule[]) {
  const before = known.get(modules);
  if (before) return before;
  const functions = new Map<string, OwnFunction>();
  const handlers = new Map<string, OwnFunction>();
  for (const { name: module, text } of modules)
    for (const found of codeExports(text).functions) {
      const into = module === handlersModule ? handlers : functions;
      if (!into.has(found.name)) into.set(found.name, { ...found, module });
    }
  const made = { functions, handlers };
  known.set(modules, made);
  return made;
}

/** Functions that expressions call as `code.NAME(…)`, by name. */
export const ownFunctionsOf = ({ code = none }: Pick<Project, 'code'>): ReadonlyMap<string, OwnFunction> =>
  read(code).functions;

/** Functions that events call as `handlers.NAME(…)`, by name: those of the project's own code. */
export const ownHandlersOf = ({ code = none }: Pick<Project, 'code'>): ReadonlyMap<string, OwnFunction> =>
  read(code).handlers;

/** What a value of a type is where none is known. */
const ofTypes: Readonly<Record<string, unknown>> = { number: 0, string: '', boolean: false };

/**
 * What a function gives where its code does not run: what its comment says behind `@sample`, else an empty value of the type
 * that is written. @throws EvaluationError where the sample cannot be read.
 */
export function sampleOf({ name, sample, gives = '' }: OwnFunction): unknown {
  if (sample === undefined) return /\[\]$|^(?:readonly )?Array</.test(gives) ? [] : (ofTypes[gives] ?? null);
  const expression = parseExpression(sample);
  if (!expression.ok) throw new EvaluationError(`\`code.${name}\`: @sample: ${expression.problem.message}`);
  return evaluate(expression.value, (wanted) => {
    throw new EvaluationError(`\`code.${name}\`: @sample reads \`${wanted}\`; it stands for itself.`);
  });
}

/**
 * What stands for a call where the code does not run.
 *
 * @param name with `code.` in front. @throws EvaluationError where there is no such function.
 */
export function sampleFor(name: string, code: readonly CodeModule[]): unknown {
  const found = isOwnCode(name) ? ownFunctionsOf({ code }).get(name.slice(ownCode.length)) : undefined;
  if (!found)
    throw new EvaluationError(`The project’s code has no function \`${name.slice(ownCode.length)}\`.`);
  return sampleOf(found);
}
