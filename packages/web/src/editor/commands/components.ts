/** Components: made of what is selected, opened, taken apart. */
import { detach, isInstance, resetInstance } from '@hovrin/core';
import type { Change, Editor } from '../editor.ts';
import { type Command, changing, nameOf, newId, selected } from './command.ts';

/** Shows the component of an instance, or the surround of a screen. @returns whether there is one. */
export function openComponent(editor: Editor, name: string): boolean {
  const component = (editor.state.project.components ?? []).find((each) => each.name === name);
  if (component) editor.showScreen(component.id);
  return component !== undefined;
}

export const componentCommands: readonly Command[] = [
  {
    id: 'make-component',
    label: 'Make a component of it',
    keys: ['Mod+Alt+K'],
    group: 'Wrap',
    findBy: 'reuse symbol template extract same',
    run(editor, dispatch) {
      if (!selected(editor)) return false;
      dispatch?.(() => editor.ask('component'));
      return true;
    },
  },
  {
    id: 'make-surround',
    label: 'Make a surround of what screens have in common',
    keys: [],
    group: 'Wrap',
    findBy: 'frame bars navigation heading reuse',
    run(editor, dispatch) {
      if (editor.state.project.screens.length < 2) return false;
      dispatch?.(() => editor.ask('surround'));
      return true;
    },
  },
  {
    id: 'repeat-for',
    label: 'Repeat it for each item of a list',
    keys: [],
    group: 'Wrap',
    findBy: 'loop list wrap rows items data',
    run(editor, dispatch) {
      if (!selected(editor)) return false;
      dispatch?.(() => editor.ask('repeat'));
      return true;
    },
  },
  {
    id: 'open-component',
    label: 'Open its component',
    keys: ['Mod+Alt+E'],
    group: 'Wrap',
    findBy: 'edit inside',
    run(editor, dispatch) {
      const found = selected(editor);
      if (!found || !isInstance(found.control)) return false;
      dispatch?.(() => openComponent(editor, found.control.kind));
      return true;
    },
  },
  {
    id: 'detach',
    label: 'Detach it: it becomes its controls',
    keys: [],
    group: 'Wrap',
    findBy: 'component break unlink instance',
    run(editor, dispatch) {
      const found = selected(editor);
      if (!found || !isInstance(found.control)) return false;
      dispatch?.(() => {
        const done = detach(editor.state.project, found.control.id, newId);
        if (typeof done === 'string') editor.tell(done);
        else editor.dispatch({ label: `Detach ${nameOf(found)}`, steps: done.steps, select: [done.control] });
      });
      return true;
    },
  },
  changing(
    {
      id: 'reset-instance',
      label: 'Reset it: all is as its component says',
      keys: [],
      group: 'Wrap',
      findBy: 'component instance default',
    },
    (editor): Change | undefined => {
      const found = selected(editor);
      if (!found || !isInstance(found.control)) return undefined;
      const steps = resetInstance(found.control);
      return steps.length > 0 ? { label: `Reset ${nameOf(found)}`, steps } : undefined;
    },
  ),
];
