/**
 * Everything that can be done by menu or key. A command is one function: without `dispatch` it tells whether it
 * can be done now, with it it does it. Menus, shortcuts and their list are made from the list at the end.
 */
import {
  copyFor,
  effectiveNames,
  kindOf,
  type Location,
  locate,
  newControl,
  newScreen,
  type Step,
} from '@hovrin/core';
import { nanoid } from 'nanoid';
import { copied, keepCopied } from './clipboard.ts';
import type { Change, Editor, InsertPlace } from './editor.ts';
import { placeAfter, placeAtSelection } from './places.ts';

export const newId = (): string => nanoid(10);

/** Carries out what a command wants: a change of the document, or something in the interface. */
export type Dispatch = (action: Change | (() => void)) => void;

export interface Command {
  readonly id: string;
  /** What it is called, in menus and in the list of shortcuts. */
  readonly label: string;
  /** As `Mod+Shift+Z`; `Mod` is Ctrl, on a Mac Command. The first is shown. */
  readonly keys: readonly string[];
  readonly group: 'Place' | 'Move' | 'Select' | 'History' | 'See';
  readonly run: (editor: Editor, dispatch?: Dispatch) => boolean;
}

/** The selected control; undefined where nothing or a screen is selected. */
function selected(editor: Editor): (Location & { parent: NonNullable<Location['parent']> }) | undefined {
  const [id] = editor.state.selection;
  const found = id === undefined ? undefined : locate(editor.state.project, id);
  return found?.parent ? (found as Location & { parent: NonNullable<Location['parent']> }) : undefined;
}

const nameOf = ({ control, screen }: Location) => effectiveNames(screen).get(control.id)!;

/** Runs a command. @returns whether it could be done. */
export function runCommand(editor: Editor, command: Command): boolean {
  return command.run(editor, (action) => {
    if (typeof action === 'function') action();
    else editor.dispatch(action);
  });
}

/** Whether a command can be done now. */
export const canRun = (editor: Editor, command: Command): boolean => command.run(editor);

/** Places a new control of a kind, selects it, and asks for its name. */
export function placeNew(editor: Editor, kind: string, place: InsertPlace): void {
  const { project } = editor.state;
  const screen = locate(project, place.parent)?.screen;
  if (!screen) return;
  const control = newControl(kind, project, screen, newId);
  const done = editor.dispatch({
    label: `Add ${control.name}`,
    steps: [{ type: 'insert', ...place, control }],
    select: [control.id],
  });
  if (done) editor.setNaming(control.id);
}

/** Moves a control to a place; the index counts without the control itself. */
export function moveTo(editor: Editor, id: string, place: InsertPlace): void {
  const found = locate(editor.state.project, id);
  if (!found?.parent || (found.parent.id === place.parent && found.index === place.index)) return;
  editor.dispatch({
    label: `Move ${nameOf(found)}`,
    steps: [{ type: 'move', control: id, ...place }],
    select: [id],
  });
}

function moveCommand(
  id: string,
  label: string,
  keys: string[],
  place: (found: NonNullable<ReturnType<typeof selected>>, editor: Editor) => InsertPlace | undefined,
): Command {
  return {
    id,
    label,
    keys,
    group: 'Move',
    run(editor, dispatch) {
      const found = selected(editor);
      const target = found && place(found, editor);
      if (!found || !target) return false;
      dispatch?.({
        label: `Move ${nameOf(found)}`,
        steps: [{ type: 'move', control: found.control.id, ...target }],
        select: [found.control.id],
      });
      return true;
    },
  };
}

function selectCommand(
  id: string,
  label: string,
  keys: string[],
  target: (editor: Editor) => string | undefined,
): Command {
  return {
    id,
    label,
    keys,
    group: 'Select',
    run(editor, dispatch) {
      const next = target(editor);
      if (next === undefined) return false;
      dispatch?.(() => editor.select([next]));
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

function withoutSelected(found: NonNullable<ReturnType<typeof selected>>): string {
  return (found.parent.children[found.index + 1] ?? found.parent.children[found.index - 1] ?? found.parent)
    .id;
}

function paste(editor: Editor, place: InsertPlace): Change {
  const { project } = editor.state;
  let screen = locate(project, place.parent)!.screen;
  const steps: Step[] = [];
  const select: string[] = [];
  for (const [offset, control] of copied().entries()) {
    const copy = copyFor(screen, control, newId);
    // Names of what is pasted together must not meet either.
    screen = { ...screen, children: [...screen.children, copy] };
    steps.push({ type: 'insert', parent: place.parent, index: place.index + offset, control: copy });
    select.push(copy.id);
  }
  return { label: 'Paste', steps, select };
}

export const commands: readonly Command[] = [
  {
    id: 'add',
    label: 'Add a control here',
    keys: ['A'],
    group: 'Place',
    run(editor, dispatch) {
      const place = placeAtSelection(editor.state);
      if (!place) return false;
      dispatch?.(() => editor.openPicker(place));
      return true;
    },
  },
  {
    id: 'add-after',
    label: 'Add a control after this one',
    keys: ['Shift+A'],
    group: 'Place',
    run(editor, dispatch) {
      const found = selected(editor);
      const place = found && placeAfter(editor.state.project, found.control.id);
      if (!place) return false;
      dispatch?.(() => editor.openPicker(place));
      return true;
    },
  },
  {
    id: 'rename',
    label: 'Rename',
    keys: ['F2'],
    group: 'Place',
    run(editor, dispatch) {
      const id = editor.state.selection[0] ?? editor.state.screenId;
      if (!locate(editor.state.project, id)) return false;
      dispatch?.(() => {
        editor.select([id]);
        editor.setNaming(id);
      });
      return true;
    },
  },
  {
    id: 'duplicate',
    label: 'Duplicate',
    keys: ['Mod+D'],
    group: 'Place',
    run(editor, dispatch) {
      const found = selected(editor);
      if (!found) return false;
      const copy = copyFor(found.screen, found.control, newId);
      dispatch?.({
        label: `Duplicate ${nameOf(found)}`,
        steps: [{ type: 'insert', parent: found.parent.id, index: found.index + 1, control: copy }],
        select: [copy.id],
      });
      return true;
    },
  },
  {
    id: 'delete',
    label: 'Delete',
    keys: ['Delete', 'Backspace'],
    group: 'Place',
    run(editor, dispatch) {
      const found = selected(editor);
      if (!found) return false;
      dispatch?.({
        label: `Delete ${nameOf(found)}`,
        steps: [{ type: 'remove', control: found.control.id }],
        select: [withoutSelected(found)],
      });
      return true;
    },
  },
  {
    id: 'copy',
    label: 'Copy',
    keys: ['Mod+C'],
    group: 'Place',
    run(editor, dispatch) {
      const found = selected(editor);
      if (!found) return false;
      dispatch?.(() => keepCopied([found.control]));
      return true;
    },
  },
  {
    id: 'cut',
    label: 'Cut',
    keys: ['Mod+X'],
    group: 'Place',
    run(editor, dispatch) {
      const found = selected(editor);
      if (!found) return false;
      dispatch?.(() => {
        keepCopied([found.control]);
        editor.dispatch({
          label: `Cut ${nameOf(found)}`,
          steps: [{ type: 'remove', control: found.control.id }],
          select: [withoutSelected(found)],
        });
      });
      return true;
    },
  },
  {
    id: 'paste',
    label: 'Paste',
    keys: ['Mod+V'],
    group: 'Place',
    run(editor, dispatch) {
      const place = placeAtSelection(editor.state);
      if (!place || copied().length === 0) return false;
      dispatch?.(paste(editor, place));
      return true;
    },
  },
  moveCommand('move-back', 'Move before the one in front', ['Alt+ArrowUp'], ({ parent, index }) =>
    index > 0 ? { parent: parent.id, index: index - 1 } : undefined,
  ),
  moveCommand('move-on', 'Move behind the next one', ['Alt+ArrowDown'], ({ parent, index }) =>
    index < parent.children.length - 1 ? { parent: parent.id, index: index + 1 } : undefined,
  ),
  moveCommand('move-out', 'Move out of its container', ['Alt+ArrowLeft'], ({ parent }, editor) =>
    placeAfter(editor.state.project, parent.id),
  ),
  moveCommand('move-in', 'Move into the container in front', ['Alt+ArrowRight'], ({ parent, index }) => {
    const before = parent.children[index - 1];
    return before && kindOf(before).container
      ? { parent: before.id, index: before.children.length }
      : undefined;
  }),
  selectCommand('select-next', 'Select the next control', ['ArrowDown'], (editor) => sibling(editor, 1)),
  selectCommand('select-previous', 'Select the control in front', ['ArrowUp'], (editor) =>
    sibling(editor, -1),
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
  {
    id: 'undo',
    label: 'Undo',
    keys: ['Mod+Z'],
    group: 'History',
    run(editor, dispatch) {
      if (editor.state.history.undo.length === 0) return false;
      dispatch?.(editor.undo);
      return true;
    },
  },
  {
    id: 'redo',
    label: 'Redo',
    keys: ['Mod+Shift+Z', 'Mod+Y'],
    group: 'History',
    run(editor, dispatch) {
      if (editor.state.history.redo.length === 0) return false;
      dispatch?.(editor.redo);
      return true;
    },
  },
  {
    id: 'new-screen',
    label: 'New screen',
    keys: ['Mod+Shift+A'],
    group: 'Place',
    run(editor, dispatch) {
      const { project } = editor.state;
      const screen = newScreen(project, newId);
      dispatch?.(() => {
        const done = editor.dispatch({
          label: `Add screen ${screen.name}`,
          steps: [{ type: 'insert', parent: null, index: project.screens.length, control: screen }],
          select: [screen.id],
        });
        if (done) editor.setNaming(screen.id);
      });
      return true;
    },
  },
];

/** The command of an id. @throws Error where there is none. */
export function commandNamed(id: string): Command {
  const command = commands.find((each) => each.id === id);
  if (!command) throw new Error(`There is no command ${id}`);
  return command;
}
