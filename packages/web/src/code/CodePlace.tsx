/** Code: the project's own modules of TypeScript, checked as they are written. */
import {
  type CodeModule,
  dropping,
  freshName,
  handlersModule,
  handlersOf,
  moduleFile,
  moduleNameProblem,
  ownHandlersOf,
  type Project,
  problemsOf,
  putting,
} from '@hovrin/core';
import { FilePlus2, Trash2 } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import { useHeld } from '../editor/held.ts';
import { useCommandKeys } from '../editor/keys.ts';
import { PlaceHeader } from '../PlaceHeader.tsx';
import { TypedField } from '../parts/TypedField.tsx';
import { CodePane } from './CodePane.tsx';
import { firstFunctions, firstHandlers } from './firstCode.ts';
import { useCompiler } from './useCompiler.ts';

const none: readonly CodeModule[] = [];

/** A place in a file that somebody wants to see. */
export interface WantedPlace {
  readonly at: number;
}

/** How many things are wrong with each file, by its name. */
function useWrong(project: Project, compiled: ReturnType<typeof useCompiler>['problems']) {
  return useMemo(() => {
    const counts = new Map<string, number>();
    const count = (module: string) => counts.set(module, (counts.get(module) ?? 0) + 1);
    for (const { module } of compiled ?? []) count(module);
    for (const { place } of problemsOf(project)) if (place.in === 'code') count(place.module);
    return counts;
  }, [project, compiled]);
}

export function CodePlace() {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  useCommandKeys(editor);
  const { code = none } = project;
  const [query] = useSearchParams();
  const [open, setOpen] = useHeld<string | undefined>('code', undefined);
  const [wanted, setWanted] = useState<WantedPlace>();
  useEffect(() => {
    const file = query.get('file');
    if (file === null) return;
    setOpen(file);
    setWanted({ at: Number(query.get('at') ?? 0) });
  }, [query, setOpen]);
  const module = code.find(({ name }) => name === open) ?? code[0];
  const checked = useCompiler(project);
  const wrong = useWrong(project, checked.problems);
  const add = (name: string, text: string) => {
    editor.dispatch({ label: `Add ${moduleFile(name)}`, steps: [putting('code', { name, text })] });
    setOpen(name);
  };
  const isTaken = (name: string) => code.some((each) => each.name === name);
  const addFile = () =>
    add(isTaken('functions') ? freshName('functions', isTaken) : 'functions', firstFunctions);
  const addHandlers = () => add(handlersModule, firstHandlers(project));
  return (
    <>
      <PlaceHeader title="Code" />
      <main className="flex min-h-0 flex-1">
        <Files
          names={code.map(({ name }) => name)}
          open={module?.name}
          wrong={wrong}
          onOpen={setOpen}
          onFunctions={addFile}
          onHandlers={isTaken(handlersModule) ? undefined : addHandlers}
        />
        {module ? (
          <section aria-label={moduleFile(module.name)} className="flex min-w-0 flex-1 flex-col">
            <ModuleHead module={module} project={project} onRenamed={setOpen} />
            <CodePane
              key={module.name}
              module={module}
              checked={checked}
              wanted={wanted}
              onShown={() => setWanted(undefined)}
            />
          </section>
        ) : (
          <Empty onFunctions={addFile} onHandlers={addHandlers} />
        )}
      </main>
    </>
  );
}

interface FilesProps {
  readonly names: readonly string[];
  readonly open: string | undefined;
  /** How many things are wrong with each, by its name. */
  readonly wrong: ReadonlyMap<string, number>;
  readonly onOpen: (name: string) => void;
  readonly onFunctions: () => void;
  /** Undefined: there are handlers already. */
  readonly onHandlers: (() => void) | undefined;
}

function Files({ names, open, wrong, onOpen, onFunctions, onHandlers }: FilesProps) {
  return (
    <nav
      aria-label="Files of code"
      className="flex w-60 shrink-0 flex-col gap-1 border-r border-rule bg-sheet p-2"
    >
      <ul className="flex flex-col gap-0.5">
        {names.map((name) => (
          <li key={name}>
            <button
              type="button"
              aria-current={name === open}
              className="flex h-7 w-full items-center justify-between rounded-sm px-2 font-mono text-[12.5px] hover:bg-sunk aria-current:bg-sunk aria-current:font-semibold"
              onClick={() => onOpen(name)}
            >
              <span className="truncate">{name}.ts</span>
              {(wrong.get(name) ?? 0) > 0 && (
                <span
                  title={`Problems in ${name}.ts`}
                  className="rounded-sm bg-brick px-1 text-[11px] font-normal text-white"
                >
                  {wrong.get(name)}
                </span>
              )}
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className="btn-bare justify-start" onClick={onFunctions}>
        <FilePlus2 size={14} aria-hidden /> Add functions
      </button>
      {onHandlers && (
        <button type="button" className="btn-bare justify-start" onClick={onHandlers}>
          <FilePlus2 size={14} aria-hidden /> Add handlers
        </button>
      )}
    </nav>
  );
}

/** The name of the open file, what calls it, and how it goes. */
function ModuleHead({
  module,
  project,
  onRenamed,
}: {
  module: CodeModule;
  project: Project;
  onRenamed: (name: string) => void;
}) {
  const { editor } = useWorkplace();
  const { name } = module;
  const problemOf = (text: string) => {
    const taken = text !== name && project.code?.some((each) => each.name === text);
    return moduleNameProblem(text) ?? (taken ? `There is a file \`${text}\` already.` : undefined);
  };
  return (
    <div className="flex h-10 shrink-0 items-center gap-3 border-b border-rule px-3">
      <div className="w-52">
        <TypedField
          key={name}
          label="Name of the file"
          kept={name}
          problemOf={problemOf}
          onText={(to) => {
            if (
              editor.dispatch({
                label: `Rename ${moduleFile(name)}`,
                steps: [{ type: 'rename', of: 'code', key: name, to }],
              })
            )
              onRenamed(to);
          }}
        />
      </div>
      <p className="min-w-0 flex-1 truncate text-quiet">
        {name === handlersModule ? <CalledByEvents project={project} /> : <CalledByExpressions />}
      </p>
      <button
        type="button"
        className="btn-bare text-quiet hover:text-brick"
        aria-label={`Delete ${moduleFile(name)}`}
        title={`Delete ${moduleFile(name)}`}
        onClick={() =>
          editor.dispatch({ label: `Delete ${moduleFile(name)}`, steps: [dropping('code', module)] })
        }
      >
        <Trash2 size={15} />
      </button>
    </div>
  );
}

const CalledByExpressions = () => (
  <>
    Expressions call what it exports: <code className="font-mono">{'{code.name(values)}'}</code>
  </>
);

function CalledByEvents({ project }: { project: Project }) {
  const own = ownHandlersOf(project);
  const missing = handlersOf(project).filter(({ name }) => !own.has(name));
  return (
    <>
      Events call what it exports: <code className="font-mono">handlers.name(values)</code>
      {missing.length > 0 && (
        <span className="text-brick">
          {' '}
          · called and not there: {missing.map(({ name }) => name).join(', ')}
        </span>
      )}
    </>
  );
}

function Empty({ onFunctions, onHandlers }: { onFunctions: () => void; onHandlers: () => void }) {
  return (
    <div className="grid flex-1 place-items-center">
      <div className="flex max-w-lg flex-col items-center gap-4 text-center">
        <p className="text-quiet">
          What expressions and actions cannot say is written here in TypeScript. It knows the types of the
          state, is checked as you write, and runs in the page only: in Try, and where the page is handed
          over.
        </p>
        <div className="flex gap-2">
          <button type="button" className="btn btn-main" onClick={onFunctions}>
            <FilePlus2 size={15} aria-hidden /> Functions for expressions
          </button>
          <button type="button" className="btn" onClick={onHandlers}>
            <FilePlus2 size={15} aria-hidden /> Handlers for events
          </button>
        </div>
      </div>
    </div>
  );
}
