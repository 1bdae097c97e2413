/**
 * What the compiler of TypeScript knows of a project's own code: what is wrong, what can be written at a place, and what
 * something there is. The compiler and its library files are given, since a worker and a command line have them from
 * different places; nothing of the code is run.
 */
import type * as TypeScript from 'typescript-js';
import { type CodeModule, handlersModule } from '../document/code.ts';

/** What the compiler says about a stretch of a module. */
export interface CodeProblem {
  readonly module: string;
  /** UTF-16 indexes into its text. */
  readonly from: number;
  readonly to: number;
  readonly severity: 'error' | 'warning';
  readonly message: string;
}

/** Something that can be written at a place. */
export interface CodeCompletion {
  readonly label: string;
  /** What it is, in a word of the compiler's: `function`, `const`, `property`. */
  readonly sort: string;
}

/** What something is: its type, and what its comment says. */
export interface CodeAbout {
  readonly from: number;
  readonly to: number;
  readonly type: string;
  readonly doc: string;
}

export interface CodeService {
  /** Takes the modules as they are now. @param types what a page offers them (`codeTypesText`). */
  set(modules: readonly CodeModule[], types: string): void;
  /** What is wrong, in the order of the modules. */
  problems(): readonly CodeProblem[];
  complete(module: string, at: number): readonly CodeCompletion[];
  about(module: string, at: number): CodeAbout | undefined;
}

/** Files of the compiler's are in folders of their own. */
const fileOf = (module: string): string => `/code/${module}.ts`;
const typesFile = '/types/hovrin.d.ts';
/** Holds what the handlers export against what events call. */
const heldFile = '/types/held.ts';
const libFolder = '/lib/';

/** Most suggestions for one place. */
const mostCompletions = 400;

/** A file as the compiler has it. */
interface CompiledFile {
  readonly text: string;
  readonly version: number;
}

/** What the compiler asks for: the files, and how strict it is. */
function hostOf(
  ts: typeof TypeScript,
  files: ReadonlyMap<string, CompiledFile>,
  read: (path: string) => string | undefined,
): TypeScript.LanguageServiceHost {
  return {
    getCompilationSettings: () => ({
      target: ts.ScriptTarget.ES2023,
      module: ts.ModuleKind.ESNext,
      moduleResolution: ts.ModuleResolutionKind.Bundler,
      allowImportingTsExtensions: true,
      noEmit: true,
      strict: true,
      lib: ['lib.es2023.d.ts', 'lib.dom.d.ts', 'lib.dom.iterable.d.ts'],
      types: [],
    }),
    getScriptFileNames: () => [...files.keys()],
    getScriptVersion: (path) => String(files.get(path)?.version ?? 0),
    getScriptSnapshot: (path) => {
      const text = read(path);
      return text === undefined ? undefined : ts.ScriptSnapshot.fromString(text);
    },
    getCurrentDirectory: () => '/',
    getDefaultLibFileName: () => `${libFolder}lib.es2023.d.ts`,
    fileExists: (path) => read(path) !== undefined,
    readFile: read,
  };
}

/**
 * @param ts the compiler. @param libOf the text of one of its library files, by its name; undefined where it has none.
 */
export function codeService(ts: typeof TypeScript, libOf: (name: string) => string | undefined): CodeService {
  const files = new Map<string, CompiledFile>();
  let names: readonly string[] = [];
  let version = 0;
  const put = (path: string, text: string) => {
    if (files.get(path)?.text !== text) files.set(path, { text, version: ++version });
  };
  const read = (path: string): string | undefined =>
    path.startsWith(libFolder) ? libOf(path.slice(libFolder.length)) : files.get(path)?.text;
  const service = ts.createLanguageService(hostOf(ts, files, read));
  const sentence = (message: string | TypeScript.DiagnosticMessageChain) =>
    ts.flattenDiagnosticMessageText(message, ' ');
  const within = <T>(module: string, ask: (path: string) => T): T | undefined =>
    files.has(fileOf(module)) ? ask(fileOf(module)) : undefined;

  return {
    set(modules, types) {
      names = modules.map(({ name }) => name);
      const kept = new Set([...names.map(fileOf), typesFile]);
      for (const path of [...files.keys()]) if (!kept.has(path)) files.delete(path);
      for (const { name, text } of modules) put(fileOf(name), text);
      put(typesFile, types);
      if (names.includes(handlersModule))
        put(
          heldFile,
          `import * as own from '../code/${handlersModule}.ts';\nexport const held: Partial<HovrinHandlers> = own;\n`,
        );
    },
    problems() {
      const found = names.flatMap((module): CodeProblem[] => {
        const path = fileOf(module);
        const all = [...service.getSyntacticDiagnostics(path), ...service.getSemanticDiagnostics(path)];
        return all.map(({ start = 0, length = 0, category, messageText }) => ({
          module,
          from: start,
          to: start + length,
          severity: category === ts.DiagnosticCategory.Error ? 'error' : 'warning',
          message: sentence(messageText),
        }));
      });
      const held = files.has(heldFile) ? service.getSemanticDiagnostics(heldFile) : [];
      return [
        ...found,
        ...held.map(
          ({ messageText }): CodeProblem => ({
            module: handlersModule,
            from: 0,
            to: 0,
            severity: 'error',
            message: `An event calls something else than this exports: ${sentence(messageText)}`,
          }),
        ),
      ];
    },
    complete: (module, at) =>
      within(module, (path) =>
        service
          .getCompletionsAtPosition(path, at, {})
          ?.entries.filter(({ kind }) => kind !== ts.ScriptElementKind.warning)
          .slice(0, mostCompletions)
          .map(({ name, kind }) => ({ label: name, sort: kind })),
      ) ?? [],
    about: (module, at) =>
      within(module, (path) => {
        const info = service.getQuickInfoAtPosition(path, at);
        return (
          info && {
            from: info.textSpan.start,
            to: info.textSpan.start + info.textSpan.length,
            type: ts.displayPartsToString(info.displayParts),
            doc: ts.displayPartsToString(info.documentation),
          }
        );
      }),
  };
}
