/** The project's own code: exports that nothing can call, and events that call what it does not have. */
import { type CodeModule, handlersModule } from '../../document/code.ts';
import { codeExports } from '../../document/code-exports.ts';
import { messageOf } from '../../document/error-message.ts';
import { didYouMean } from '../../document/nearest.ts';
import type { Project } from '../../document/types.ts';
import { methodNames } from '../../expression/functions.ts';
import { ownHandlersOf, sampleOf } from '../../expression/own-functions.ts';
import { handlersOf } from '../../meaning/handlers.ts';
import type { FoundProblem, ProblemKind } from '../problem.ts';

/** A fault of a module, with its place in the text. */
type ModuleFault = readonly [at: number, sentence: string];

/** @param earlier functions of the modules in front of it, with the module of each. */
function* moduleFaults(module: CodeModule, earlier: ReadonlyMap<string, string>): Generator<ModuleFault> {
  const { functions, others } = codeExports(module.text);
  const isHandlers = module.name === handlersModule;
  const own = new Set<string>();
  for (const found of functions) {
    const { name, at, isAsync } = found;
    const other = own.has(name) ? module.name : isHandlers ? undefined : earlier.get(name);
    own.add(name);
    if (other !== undefined)
      yield [at, `\`${name}\` is exported by \`${other}\` already; that one is called.`];
    if (isHandlers) continue;
    if (isAsync)
      yield [
        at,
        `\`${name}\` is async: expressions cannot wait. Events can, for what \`${handlersModule}\` exports.`,
      ];
    if (methodNames.has(name))
      yield [at, `\`code.${name}(…)\` is a method of a variable \`code\`: the function needs another name.`];
    try {
      sampleOf({ ...found, module: module.name });
    } catch (error) {
      yield [at, messageOf(error)];
    }
  }
  for (const { what, at } of others)
    yield [at, `\`export ${what}\` cannot be called from a screen: export functions by their names.`];
}

export const codeProblems: ProblemKind = {
  name: 'code',
  title: 'Code that nothing can call',
  severity: 'warning',
  find({ code = [] }) {
    const earlier = new Map<string, string>();
    return code.flatMap((module) => {
      const found = [...moduleFaults(module, earlier)];
      if (module.name !== handlersModule)
        for (const { name } of codeExports(module.text).functions)
          if (!earlier.has(name)) earlier.set(name, module.name);
      return found.map(
        ([at, sentence]): FoundProblem => ({ place: { in: 'code', module: module.name, at }, sentence }),
      );
    });
  },
};

/** Events that call handlers which the project's code does not have, where it has handlers. */
export const missingInCode: ProblemKind = {
  name: 'no-handler',
  title: 'No such handler',
  severity: 'warning',
  find: (project: Project) => {
    const own = ownHandlersOf(project);
    if (!project.code?.some(({ name }) => name === handlersModule)) return [];
    return handlersOf(project)
      .filter(({ name }) => !own.has(name))
      .flatMap(({ name, uses }) =>
        uses.map(
          ({ screen, control, event }): FoundProblem => ({
            place: { in: 'control', tree: screen, control, attribute: `on.${event}` },
            sentence: `\`code/${handlersModule}.ts\` does not export \`${name}\`, which lies beside the page then.${didYouMean(name, own.keys())}`,
          }),
        ),
      );
  },
};
