/** Getting from one control to another, and selecting several. */
import { locate } from '@hovrin/core';
import type { Editor } from '../editor.ts';
import { type Command, selected } from './command.ts';
import { likeSelected } from './wrap.ts';

function selectCommand(
  id: string,
  label: string,
  keys: string[],
  target: (editor: Editor) => readonly string[] | string | undefined,
): Command {
  return {
    id,
    label,
    keys,
    group: 'Select',
    run(editor, dispatch) {
      const next = target(editor);
      if (next === undefined || next.length === 0) return false;
      dispatch?.(() => editor.select(typeof next === 'string' ? [next] : next));
      return true;
    },
  };
}

function sibling(editor: Editor, by: 1 | -1): string | undefined {
  const found = selected(editor);
  if (!found)
    return by === 1
      ? locate(editor.state.project, editor.state.screenId)?.control.children[0]?.id
      : undefined;
  return found.parent.children[found.index + by]?.id;
}

/** The selection with the next sibling of its last one as well. */
function andNext(editor: Editor, by: 1 | -1): string[] | undefined {
  const { selection, project } = editor.state;
  const last = selection.at(-1);
  const found = last === undefined ? undefined : locate(project, last);
  const next = found?.parent?.children[found.index + by]?.id;
  if (next === undefined) return undefined;
  // Going back over what is selected takes it off again.
  return selection.includes(next) ? selection.filter((id) => id !== last) : [...selection, next];
}

export const selectCommands: readonly Command[] = [
  selectCommand('select-next', 'Select the next control', ['ArrowDown'], (editor) => sibling(editor, 1)),
  selectCommand('select-previous', 'Select the control in front', ['ArrowUp'], (editor) =>
    sibling(editor, -1),
  ),
  selectCommand('select-and-next', 'Select the next control as well', ['Shift+ArrowDown'], (editor) =>
    andNext(editor, 1),
  ),
  selectCommand('select-and-previous', 'Select the control in front as well', ['Shift+ArrowUp'], (editor) =>
    andNext(editor, -1),
  ),
  selectCommand(
    'select-child',
    'Select the first control inside',
    ['ArrowRight'],
    (editor) =>
      locate(editor.state.project, editor.state.selection[0] ?? editor.state.screenId)?.control.children[0]
        ?.id,
  ),
  selectCommand(
    'select-parent',
    'Select the container around it',
    ['ArrowLeft', 'Escape'],
    (editor) => selected(editor)?.parent.id,
  ),
  selectCommand('select-siblings', 'Select all in its container', ['Mod+A'], (editor) =>
    (selected(editor)?.parent ?? locate(editor.state.project, editor.state.screenId)?.control)?.children.map(
      ({ id }) => id,
    ),
  ),
  selectCommand('select-kind', 'Select all of its kind', ['Shift+Q'], (editor) =>
    likeSelected(editor, 'kind'),
  ),
  selectCommand('select-look', 'Select all with its look', ['Q'], (editor) => likeSelected(editor, 'look')),
];
