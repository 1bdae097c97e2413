/** One file of code: its text, and what is wrong with it. */
import { type CodeModule, changing, longestModule, moduleFile, problemsOf } from '@hovrin/core';
import type { CodeProblem } from '@hovrin/core/code-service';
import { useEffect, useMemo, useRef } from 'react';
import { newId } from '../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import type { Editor } from '../editor/editor.ts';
import { withNames } from '../problems/ProblemLine.tsx';
import { CodeEditor } from './CodeEditor.ts';
import type { WantedPlace } from './CodePlace.tsx';
import type { Checked } from './useCompiler.ts';

/** A pause after which typing counts as a new run, ms. */
const pause = 1200;

/** Takes what is typed into the document; a run of typing is one change. */
function taking(editor: Editor, name: string): (text: string) => void {
  let run = newId();
  let last = 0;
  return (text) => {
    const module = editor.state.project.code?.find((each) => each.name === name);
    if (!module) return;
    if (text.length > longestModule) {
      editor.tell(`A file of code has at most ${longestModule} characters; this is not kept.`);
      return;
    }
    const now = Date.now();
    if (now - last > pause) run = newId();
    last = now;
    editor.dispatch({
      label: `Edit ${moduleFile(name)}`,
      steps: changing('code', module, { ...module, text }),
      group: `code ${run}`,
    });
  };
}

interface CodePaneProps {
  readonly module: CodeModule;
  readonly checked: Checked;
  /** The place that is to be seen. */
  readonly wanted: WantedPlace | undefined;
  readonly onShown: () => void;
}

export function CodePane({ module, checked, wanted, onShown }: CodePaneProps) {
  const { editor } = useWorkplace();
  const { project } = useEditorState('project');
  const place = useRef<HTMLDivElement>(null);
  const made = useRef<CodeEditor>(undefined);
  const asked = useRef(checked);
  asked.current = checked;
  const { name, text } = module;
  const first = useRef(text);
  useEffect(() => {
    if (!place.current) return undefined;
    const here = new CodeEditor(place.current, first.current, moduleFile(name), {
      onText: taking(editor, name),
      complete: (at) =>
        asked.current.compiler().ask('complete', { ...asked.current.now(), module: name, at }),
      about: (at) => asked.current.compiler().ask('about', { module: name, at }),
    });
    made.current = here;
    return () => here.close();
  }, [editor, name]);
  useEffect(() => made.current?.follow(text), [text]);
  useEffect(() => {
    if (!wanted) return;
    made.current?.goTo(wanted.at);
    onShown();
  }, [wanted, onShown]);
  const problems = useMemo(() => {
    const found = problemsOf(project).flatMap(({ place: where, sentence, severity }): CodeProblem[] =>
      where.in === 'code' && where.module === name
        ? [
            {
              module: name,
              from: where.at,
              to: where.at,
              severity: severity === 'error' ? 'error' : 'warning',
              message: sentence,
            },
          ]
        : [],
    );
    return [...(checked.problems ?? []).filter((each) => each.module === name), ...found];
  }, [project, checked.problems, name]);
  useEffect(() => made.current?.show(problems), [problems]);
  return (
    <>
      <div ref={place} className="source min-h-0 flex-1 overflow-hidden" />
      <div className="max-h-40 shrink-0 overflow-auto border-t border-rule bg-sheet px-3 py-1.5 text-[12.5px]">
        {problems.length > 0 ? (
          <ul aria-label="What is wrong">
            {problems.map(({ from, severity, message }) => (
              <li key={`${from} ${message}`}>
                <button
                  type="button"
                  className="flex w-full items-baseline gap-2 rounded-sm px-1 py-0.5 text-left hover:bg-sunk"
                  onClick={() => made.current?.goTo(from)}
                >
                  <span className={severity === 'error' ? 'text-brick' : 'text-copper'}>
                    Line {text.slice(0, from).split('\n').length}
                  </span>
                  <span className="min-w-0 flex-1">{withNames(message)}</span>
                </button>
              </li>
            ))}
          </ul>
        ) : (
          <p role="status" className="text-quiet">
            {checked.problems ? 'Nothing is wrong here.' : 'The compiler is on its way …'}
          </p>
        )}
      </div>
    </>
  );
}
