/** Components: made of what is selected, opened, taken apart. */
import { detach, inForce, isInstance, locate, resetInstance } from '@hovrin/core';
import type { Change, Editor } from '../editor.ts';
import { leftFor, placeOf } from '../inPlace.ts';
import { type Command, changing, nameOf, newId, selected } from './command.ts';

/**
 * Shows the component of an instance, or the surround of a screen.
 *
 * @param id of the instance or the screen.
 * @param how in its place, with what is around it, or alone.
 * @returns whether there is one.
 */
export function openComponent(editor: Editor, id: string, how: 'in place' | 'alone' = 'in place'): boolean {
  const { project } = editor.state;
  const control = locate(project, id)?.control;
  if (!control) return false;
  const name = isInstance(control) ? control.kind : inForce(control.props.surround);
  const component = (project.components ?? []).find((each) => each.name === name);
  if (component) editor.showScreen(component.id, how === 'alone' ? undefined : placeOf(editor.state, id));
  return component !== undefined;
}

/** Back from a component that is edited in its place to the instance. */
export function leaveComponent(editor: Editor): void {
  const { project, inPlace } = editor.state;
  if (!inPlace) return;
  const { tree, instance, inPlace: before } = leftFor(project, inPlace);
  editor.showScreen(tree, before);
  editor.select([instance]);
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
      dispatch?.(() => openComponent(editor, found.control.id));
      return true;
    },
  },
  {
    id: 'open-alone',
    label: 'Open its component alone',
    keys: ['Mod+Alt+Shift+E'],
    group: 'Wrap',
    findBy: 'edit inside isolate',
    run(editor, dispatch) {
      const found = selected(editor);
      if (!found || !isInstance(found.control)) return false;
      dispatch?.(() => openComponent(editor, found.control.id, 'alone'));
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

/** Behind the commands that select: Escape goes out step by step first. */
export const leaveCommand: Command = {
  id: 'leave-component',
  label: 'Back from a component to its instance',
  keys: ['Escape'],
  group: 'Select',
  findBy: 'out leave close',
  run(editor, dispatch) {
    if (!editor.state.inPlace) return false;
    dispatch?.(() => leaveComponent(editor));
    return true;
  },
};
