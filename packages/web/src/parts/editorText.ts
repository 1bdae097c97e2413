/** Setting the text of an editor. */
import type { EditorView } from '@codemirror/view';

/** Puts a text into an editor by the stretch that differs, so that the cursor stays where it was. */
export function setEditorText(view: EditorView, text: string): void {
  const old = view.state.doc.toString();
  if (old === text) return;
  let from = 0;
  while (from < old.length && old[from] === text[from]) from++;
  let end = 0;
  const most = Math.min(old.length, text.length) - from;
  while (end < most && old[old.length - 1 - end] === text[text.length - 1 - end]) end++;
  view.dispatch({
    changes: { from, to: old.length - end, insert: text.slice(from, text.length - end) },
  });
}
