/** The screen as text: what is typed changes the bench as soon as it can be read, and the other way round. */
import { autocompletion, completionKeymap } from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap, indentWithTab } from '@codemirror/commands';
import { indentUnit } from '@codemirror/language';
import { setDiagnostics } from '@codemirror/lint';
import { searchKeymap } from '@codemirror/search';
import { Compartment, EditorState } from '@codemirror/state';
import { drawSelection, EditorView, highlightActiveLine, keymap, lineNumbers } from '@codemirror/view';
import {
  type Control,
  contextOf,
  elementAt,
  elementSpans,
  parseScreen,
  printScreen,
  stepsToText,
  walk,
} from '@hovrin/core';
import { useEffect, useRef, useState } from 'react';
import { newId } from '../editor/commands/index.ts';
import { useEditorState, useWorkplace } from '../editor/context.tsx';
import type { Editor } from '../editor/editor.ts';
import { diagnosticsOf, sourceLanguage } from './sourceLanguage.ts';

/** A pause after which typing counts as a new run, ms. */
const pause = 1200;

/** The text editor of one screen and what ties it to the document. */
class SourceEditor {
  readonly view: EditorView;
  private readonly language = new Compartment();
  /** The screen that the text says; another one in the document means that it changed elsewhere. */
  private said: Control;
  private run = 0;
  private last = 0;
  /** The text or the selection is being set from outside. */
  private quiet = false;
  /** Something was typed that the document does not have yet. */
  private behind = false;

  constructor(
    parent: HTMLElement,
    private readonly editor: Editor,
    private readonly screenId: string,
    private readonly onProblems: (since: Date | undefined, count: number) => void,
  ) {
    this.said = this.screen!;
    this.view = new EditorView({
      parent,
      state: EditorState.create({
        doc: printScreen(this.said, editor.state.project.bands),
        extensions: [
          lineNumbers(),
          history(),
          drawSelection(),
          highlightActiveLine(),
          indentUnit.of('  '),
          autocompletion(),
          this.language.of(sourceLanguage(editor.state.project)),
          keymap.of([
            ...completionKeymap,
            ...defaultKeymap,
            ...historyKeymap,
            ...searchKeymap,
            indentWithTab,
          ]),
          EditorView.contentAttributes.of({ 'aria-label': 'Source' }),
          EditorView.domEventHandlers({ blur: () => this.take() }),
          EditorView.updateListener.of((update) => {
            if (this.quiet) return;
            if (update.docChanged) this.takeSoon();
            else if (update.selectionSet) this.selected();
          }),
        ],
      }),
    });
  }

  private get screen(): Control | undefined {
    return this.editor.state.project.screens.find(({ id }) => id === this.screenId);
  }

  /** Takes what was typed once it is painted: on a large screen that takes longer than a letter may. */
  private takeSoon(): void {
    if (this.behind) return;
    this.behind = true;
    requestAnimationFrame(() => {
      const { port1, port2 } = new MessageChannel();
      port1.onmessage = () => this.take();
      port2.postMessage(undefined);
    });
  }

  /** Takes what was typed into the document, as far as it can be read. */
  private take(): void {
    if (!this.behind) return;
    this.behind = false;
    const { project } = this.editor.state;
    // One random beginning for all: most of what is read pairs up with what is there and keeps its own id.
    const beginning = newId();
    let count = 0;
    const parsed = parseScreen(this.view.state.doc.toString(), {
      file: 'source',
      context: contextOf(project),
      newId: () => `${beginning}-${++count}`,
    });
    const problems = parsed.ok ? [] : parsed.problems;
    this.view.dispatch(setDiagnostics(this.view.state, diagnosticsOf(this.view, problems)));
    this.onProblems(parsed.ok ? undefined : new Date(), problems.length);
    if (!parsed.ok) return;
    const now = Date.now();
    if (now - this.last > pause) this.run++;
    this.last = now;
    const steps = stepsToText(project, this.screenId, parsed.screen);
    if (steps.length > 0)
      this.editor.dispatch({
        exact: true,
        label: `Edit the source of ${parsed.screen.name ?? 'the screen'}`,
        steps,
        group: `source ${this.screenId} ${this.run}`,
      });
    this.said = this.screen ?? this.said;
    this.selected();
  }

  /** Selects the control that the cursor is in. */
  private selected(): void {
    if (this.behind) return;
    const index = elementAt(
      elementSpans(this.view.state.doc.toString()),
      this.view.state.selection.main.head,
    );
    const control = index === undefined ? undefined : [...walk(this.said)][index];
    if (control && this.view.hasFocus && this.editor.state.selection[0] !== control.id)
      this.editor.select([control.id]);
  }

  /** Follows the document and its selection, where they changed elsewhere. */
  follow(): void {
    this.take();
    const { screen } = this;
    if (!screen) return;
    this.quiet = true;
    try {
      if (screen !== this.said) {
        this.said = screen;
        this.show(printScreen(screen, this.editor.state.project.bands));
        this.view.dispatch(setDiagnostics(this.view.state, []));
        this.onProblems(undefined, 0);
      }
      if (!this.view.hasFocus) this.reveal(this.editor.state.selection[0]);
    } finally {
      this.quiet = false;
    }
  }

  /** Sets the text by the stretch that differs, so that the cursor stays where it was. */
  private show(text: string): void {
    const old = this.view.state.doc.toString();
    if (old === text) return;
    let from = 0;
    while (from < old.length && old[from] === text[from]) from++;
    let end = 0;
    while (
      end < Math.min(old.length, text.length) - from &&
      old[old.length - 1 - end] === text[text.length - 1 - end]
    )
      end++;
    this.view.dispatch({
      changes: { from, to: old.length - end, insert: text.slice(from, text.length - end) },
    });
  }

  private reveal(id: string | undefined): void {
    const index = [...walk(this.said)].findIndex((control) => control.id === id);
    const span = elementSpans(this.view.state.doc.toString())[index];
    if (!span) return;
    this.view.dispatch({
      selection: { anchor: span.from, head: span.tagTo },
      effects: EditorView.scrollIntoView(span.from, { y: 'center' }),
    });
  }

  /** Puts the text into its canonical form. */
  tidy(): void {
    this.take();
    this.quiet = true;
    this.show(printScreen(this.said, this.editor.state.project.bands));
    this.quiet = false;
  }

  close(): void {
    this.take();
    this.view.destroy();
  }
}

export function SourcePane({ screen }: { screen: Control }) {
  const { editor } = useWorkplace();
  const { project, selection } = useEditorState('project', 'selection');
  const place = useRef<HTMLDivElement>(null);
  const source = useRef<SourceEditor>(undefined);
  const [trouble, setTrouble] = useState<{ since: Date; count: number }>();
  useEffect(() => {
    const made = new SourceEditor(place.current!, editor, screen.id, (since, count) =>
      setTrouble((before) => since && { since: before?.since ?? since, count }),
    );
    source.current = made;
    made.follow();
    return () => made.close();
  }, [editor, screen.id]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the text follows whenever one of them is another.
  useEffect(() => source.current?.follow(), [project, selection]);
  return (
    <div className="flex h-full flex-col">
      <div className="flex h-7 shrink-0 items-center gap-3 px-3 text-[12px]">
        <span className="text-quiet">{screen.name}.screen.xml</span>
        {trouble && (
          <span role="status" className="text-brick">
            {trouble.count === 1 ? 'A problem' : `${trouble.count} problems`}; the bench shows the last good
            state, of {trouble.since.toLocaleTimeString()}
          </span>
        )}
        <button
          type="button"
          className="btn-bare ml-auto !h-6 text-[12px]"
          disabled={trouble !== undefined}
          title="Put the text into its canonical form"
          onClick={() => source.current?.tidy()}
        >
          Tidy
        </button>
      </div>
      <div ref={place} className="source min-h-0 flex-1 overflow-hidden border-t border-rule" />
    </div>
  );
}
