/** The text editor of one screen, and what ties it to the document. */
import { autocompletion, completionKeymap } from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap, indentWithTab } from '@codemirror/commands';
import { indentUnit } from '@codemirror/language';
import {
  type Diagnostic,
  diagnosticCount,
  lintKeymap,
  nextDiagnostic,
  setDiagnostics,
} from '@codemirror/lint';
import { searchKeymap } from '@codemirror/search';
import { Compartment, EditorState, type Extension } from '@codemirror/state';
import { drawSelection, EditorView, highlightActiveLine, keymap, lineNumbers } from '@codemirror/view';
import {
  type Control,
  contextOf,
  elementAt,
  elementSpans,
  kindOf,
  type Project,
  parseComponent,
  parseScreen,
  printScreen,
  type SourceProblem,
  stepsToText,
  treeOfId,
  walk,
} from '@hovrin/core';
import { newId } from '../../editor/commands/index.ts';
import type { Editor } from '../../editor/editor.ts';
import { setEditorText } from '../../parts/editorText.ts';
import { SourceDrafts } from './sourceDrafts.ts';
import { sourceLanguage } from './sourceLanguage.ts';
import { diagnosticsOf, misfitsOf } from './sourceProblems.ts';

/** The names that are completed as values. */
const namesOf = ({ bands, screens, state, components = [] }: Project): string =>
  [...bands, ...screens, ...state, ...components].map(({ name }) => name).join();

/** How the text stands to the document. */
export interface SourceStanding {
  /** Since when it cannot be read, and why; undefined: the bench shows what it says. */
  readonly trouble: { readonly since: Date; readonly problems: readonly SourceProblem[] } | undefined;
  /** Whether a text that could not be read is put aside. */
  readonly aside: boolean;
  /** How many values there are that do not fit where they go. */
  readonly misfits: number;
}

/** A pause after which typing counts as a new run, ms. */
const pause = 1200;

export class SourceEditor {
  readonly view: EditorView;
  private readonly language = new Compartment();
  /** The screen that the text says; another one in the document means that it changed elsewhere. */
  private said: Control;
  /** Names a run of typing; no other one has that name, in this editor or an earlier one. */
  private run = newId();
  private last = 0;
  /** The text or the selection is being set from outside. */
  private quiet = false;
  /** Something was typed that the document does not have yet. */
  private behind = false;
  private print: { of: Control; bands: Project['bands']; text: string } | undefined;
  private readonly drafts: SourceDrafts;
  private standing: SourceStanding;

  constructor(
    parent: HTMLElement,
    private readonly editor: Editor,
    private readonly screenId: string,
    private readonly onStanding: (standing: SourceStanding) => void,
  ) {
    this.said = this.screen!;
    const printed = this.printed;
    this.drafts = new SourceDrafts(editor.projectId, screenId);
    // What could not be read when the editor was closed is there again, unless the screen is another one by now.
    const draft = this.drafts.typed;
    if (draft && draft.of !== printed) this.drafts.putAside();
    this.standing = { trouble: undefined, aside: this.drafts.aside !== undefined, misfits: 0 };
    this.view = new EditorView({
      parent,
      state: EditorState.create({
        doc: this.drafts.typed?.text ?? printed,
        extensions: [
          lineNumbers(),
          history(),
          drawSelection(),
          highlightActiveLine(),
          indentUnit.of('  '),
          autocompletion(),
          this.language.of(this.languageNow()),
          keymap.of([
            ...completionKeymap,
            ...defaultKeymap,
            ...historyKeymap,
            ...searchKeymap,
            ...lintKeymap,
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
    this.behind = this.drafts.typed !== undefined;
    this.stand({});
    this.take();
  }

  /** What the names of bands, screens and variables were when the language was made. */
  private named = '';

  private languageNow(): Extension {
    const { project } = this.editor.state;
    this.named = namesOf(project);
    return sourceLanguage(
      project,
      () => this.editor.state.project,
      (at) => this.controlAt(at),
    );
  }

  /** The control that a place of the text is in; the screen where the text cannot tell. */
  private controlAt(at: number): Control {
    const index = elementAt(elementSpans(this.view.state.doc.toString()), at) ?? 0;
    return [...walk(this.said)][index] ?? this.said;
  }

  private stand(change: Partial<SourceStanding>): void {
    this.standing = { ...this.standing, ...change };
    this.onStanding(this.standing);
  }

  /** The text of the screen that the editor says; printed once, as long as it is that one. */
  private get printed(): string {
    const { bands } = this.editor.state.project;
    if (this.print?.of !== this.said || this.print.bands !== bands)
      this.print = { of: this.said, bands, text: printScreen(this.said, bands) };
    return this.print.text;
  }

  private get screen(): Control | undefined {
    return treeOfId(this.editor.state.project, this.screenId);
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
    // One random beginning for all: most controls pair up with those of the screen and take their ids.
    const beginning = newId();
    let count = 0;
    const read = kindOf(this.said).root === 'components' ? parseComponent : parseScreen;
    const parsed = read(this.view.state.doc.toString(), {
      file: 'source',
      context: contextOf(project),
      newId: () => `${beginning}-${++count}`,
    });
    const problems = parsed.ok ? [] : parsed.problems;
    this.view.dispatch(setDiagnostics(this.view.state, diagnosticsOf(this.view, problems)));
    if (!parsed.ok) {
      this.drafts.keep({ text: this.view.state.doc.toString(), of: this.printed });
      this.stand({ trouble: { since: this.standing.trouble?.since ?? new Date(), problems } });
      return;
    }
    // One that was restored may be read by now, without having been in trouble here.
    this.drafts.forget();
    if (this.standing.trouble) this.stand({ trouble: undefined });
    const now = Date.now();
    if (now - this.last > pause) this.run = newId();
    this.last = now;
    const steps = stepsToText(project, this.screenId, parsed.screen);
    if (steps.length > 0)
      this.editor.dispatch({
        exact: true,
        label: `Edit the source of ${parsed.screen.name ?? 'the screen'}`,
        steps,
        group: `source ${this.run}`,
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
    if (namesOf(this.editor.state.project) !== this.named)
      this.view.dispatch({ effects: this.language.reconfigure(this.languageNow()) });
    this.quiet = true;
    try {
      if (screen !== this.said) {
        this.said = screen;
        if (this.standing.trouble) this.drafts.putAside();
        setEditorText(this.view, this.printed);
        this.view.dispatch(setDiagnostics(this.view.state, []));
        this.stand({ trouble: undefined, aside: this.drafts.aside !== undefined });
      }
      if (!this.view.hasFocus) this.reveal(this.editor.state.selection[0]);
      if (!this.standing.trouble) this.doubt(misfitsOf(this.view, this.editor.state.project, screen));
    } finally {
      this.quiet = false;
    }
  }

  /** Underlines what does not fit; nothing is asked of the editor where nothing does, before and now. */
  private doubt(misfits: readonly Diagnostic[]): void {
    if (misfits.length > 0 || diagnosticCount(this.view.state) > 0)
      this.view.dispatch(setDiagnostics(this.view.state, misfits));
    if (misfits.length !== this.standing.misfits) this.stand({ misfits: misfits.length });
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
    setEditorText(this.view, this.printed);
    this.quiet = false;
  }

  /** Puts the cursor on the next problem and shows its message there. */
  toProblem(): void {
    nextDiagnostic(this.view);
    this.view.focus();
  }

  /** The text that was put aside, in place of the one that is there. */
  bringBack(): void {
    const text = this.drafts.takeAside();
    this.stand({ aside: false });
    if (text !== undefined) setEditorText(this.view, text);
    this.view.focus();
  }

  /** Forgets the text that was put aside. */
  dropAside(): void {
    this.drafts.takeAside();
    this.stand({ aside: false });
  }

  close(): void {
    this.take();
    this.view.destroy();
  }
}
