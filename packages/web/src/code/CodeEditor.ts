/** The text editor of a file of code, and what ties it to the document and the compiler. */
import {
  autocompletion,
  type CompletionContext,
  type CompletionResult,
  closeBrackets,
  closeBracketsKeymap,
  completionKeymap,
} from '@codemirror/autocomplete';
import { defaultKeymap, history, historyKeymap, indentWithTab } from '@codemirror/commands';
import { javascript } from '@codemirror/lang-javascript';
import { bracketMatching, HighlightStyle, indentUnit, syntaxHighlighting } from '@codemirror/language';
import { type Diagnostic, lintKeymap, setDiagnostics } from '@codemirror/lint';
import { searchKeymap } from '@codemirror/search';
import { EditorState } from '@codemirror/state';
import {
  drawSelection,
  EditorView,
  highlightActiveLine,
  hoverTooltip,
  keymap,
  lineNumbers,
  type Tooltip,
} from '@codemirror/view';
import type { CodeAbout, CodeCompletion, CodeProblem } from '@hovrin/core/code-service';
import { tags } from '@lezer/highlight';
import { setEditorText } from '../parts/editorText.ts';

/** What an editor needs of the place that it stands in. */
export interface CodeEditorHost {
  /** The text is another one. */
  onText(text: string): void;
  complete(at: number): Promise<readonly CodeCompletion[]>;
  about(at: number): Promise<CodeAbout | undefined>;
}

const colours = HighlightStyle.define([
  { tag: tags.keyword, color: 'var(--color-spruce)', fontWeight: '600' },
  { tag: [tags.string, tags.regexp], color: 'var(--color-copper)' },
  { tag: tags.number, color: 'var(--color-lake)' },
  { tag: tags.comment, color: 'var(--color-quiet)', fontStyle: 'italic' },
  { tag: tags.typeName, color: 'var(--color-lake)' },
]);

/** Kinds of suggestions as the editor marks them. */
const sorts: Readonly<Record<string, string>> = {
  const: 'constant',
  let: 'variable',
  var: 'variable',
  parameter: 'variable',
  'local function': 'function',
  'local var': 'variable',
  alias: 'variable',
  module: 'namespace',
};

const identifier = /[\p{ID_Continue}$]*$/u;

export class CodeEditor {
  readonly view: EditorView;
  /** The text is being set from outside. */
  private quiet = false;

  constructor(
    parent: HTMLElement,
    text: string,
    label: string,
    private readonly host: CodeEditorHost,
  ) {
    this.view = new EditorView({
      parent,
      state: EditorState.create({
        doc: text,
        extensions: [
          lineNumbers(),
          history(),
          drawSelection(),
          highlightActiveLine(),
          bracketMatching(),
          closeBrackets(),
          indentUnit.of('  '),
          javascript({ typescript: true }),
          syntaxHighlighting(colours),
          autocompletion({ override: [(context) => this.completions(context)] }),
          hoverTooltip((_, at) => this.tooltip(at)),
          keymap.of([
            ...closeBracketsKeymap,
            ...completionKeymap,
            ...defaultKeymap,
            ...historyKeymap,
            ...searchKeymap,
            ...lintKeymap,
            indentWithTab,
          ]),
          EditorView.contentAttributes.of({ 'aria-label': label, spellcheck: 'false' }),
          EditorView.updateListener.of((update) => {
            if (update.docChanged && !this.quiet) this.host.onText(update.state.doc.toString());
          }),
        ],
      }),
    });
  }

  private async completions(context: CompletionContext): Promise<CompletionResult | null> {
    const before = context.state.sliceDoc(Math.max(0, context.pos - 200), context.pos);
    const word = identifier.exec(before)?.[0] ?? '';
    if (!context.explicit && word === '' && !before.endsWith('.')) return null;
    const found = await this.host.complete(context.pos);
    return {
      from: context.pos - word.length,
      options: found.map(({ label, sort }) => ({ label, type: sorts[sort] ?? sort })),
      validFor: /^[\p{ID_Continue}$]*$/u,
    };
  }

  private async tooltip(at: number): Promise<Tooltip | null> {
    const about = await this.host.about(at);
    if (!about) return null;
    return {
      pos: about.from,
      end: about.to,
      create: () => {
        const dom = document.createElement('div');
        dom.className = 'max-w-md p-2 text-[12px]';
        const type = document.createElement('code');
        type.className = 'block whitespace-pre-wrap font-mono';
        type.textContent = about.type;
        const doc = document.createElement('p');
        doc.className = 'mt-1 text-quiet empty:hidden';
        doc.textContent = about.doc;
        dom.append(type, doc);
        return { dom };
      },
    };
  }

  /** Follows a text that changed elsewhere, by the stretch that differs. */
  follow(text: string): void {
    this.quiet = true;
    setEditorText(this.view, text);
    this.quiet = false;
  }

  /** Underlines what is wrong. */
  show(problems: readonly CodeProblem[]): void {
    const { length } = this.view.state.doc;
    const diagnostics = problems.map(({ from, to, severity, message }): Diagnostic => {
      const begin = Math.min(from, length);
      return { from: begin, to: Math.min(Math.max(to, begin), length), severity, message };
    });
    this.view.dispatch(setDiagnostics(this.view.state, diagnostics));
  }

  /** Puts the cursor at a place, and brings it into sight. */
  goTo(at: number): void {
    const anchor = Math.min(at, this.view.state.doc.length);
    this.view.dispatch({
      selection: { anchor },
      effects: EditorView.scrollIntoView(anchor, { y: 'center' }),
    });
    this.view.focus();
  }

  close(): void {
    this.view.destroy();
  }
}
