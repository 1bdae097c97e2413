/**
 * What a command is: everything that can be done by menu or key. A command is one function: without `dispatch` it
 * tells whether it can be done now, with it it does it. Menus, keys and their list are made from the list in `index.ts`.
 */
import {
  effectiveNames,
  entryOf,
  inForce,
  itemAt,
  locationOf,
  type Placed,
  type Project,
  pathTo,
  placedAt,
  topmost,
} from '@hovrin/core';
import { nanoid } from 'nanoid';
import type { Change, Editor } from '../editor.ts';

export const newId = (): string => nanoid(10);

/** Carries out what a command wants: a change of the document, or something in the interface. */
export type Dispatch = (action: Change | (() => void)) => void;

export type CommandGroup = 'Place' | 'Move' | 'Wrap' | 'Line up' | 'Select' | 'History';

export interface Command {
  readonly id: string;
  /** What it is called, in menus and in the list of shortcuts. */
  readonly label: string;
  /** As `Mod+Shift+Z`; `Mod` is Ctrl, on a Mac Command. The first is shown; none: by menus and the list of commands only. */
  readonly keys: readonly string[];
  readonly group: CommandGroup;
  /** Other words for what it does, to find it by. */
  readonly findBy?: string;
  readonly run: (editor: Editor, dispatch?: Dispatch) => boolean;
}

/** The first of the selection; undefined where nothing or a screen is selected. */
export function selected({ state }: Editor): Placed | undefined {
  const [id] = state.selection;
  return id === undefined ? undefined : placedAt(state.project, id);
}

/** All that is selected and can be moved as it is: no screens, none inside another, in document order. */
export const targets = ({ state }: Editor): Placed[] => topmost(state.project, state.selection);

/** Whether a control, or something around it, is locked against moving by accident. */
export const isLocked = (project: Project, id: string): boolean =>
  pathTo(project, id).some((control) => inForce(control.props.locked) === 'true');

export const nameOf = ({ control, screen }: Pick<Placed, 'control' | 'screen'>): string =>
  entryOf(effectiveNames(screen), control.id);

/** Some controls in words: the name of one, or how many there are. */
export const namesOf = (placed: readonly Placed[]): string =>
  placed.length === 1 ? nameOf(itemAt(placed, 0)) : `${placed.length} controls`;

/** Runs a command. @returns whether it could be done. */
export function runCommand(editor: Editor, command: Command): boolean {
  return command.run(editor, (action) => {
    if (typeof action === 'function') action();
    else editor.dispatch(action);
  });
}

/** Whether a command can be done now. */
export const canRun = (editor: Editor, command: Command): boolean => command.run(editor);

/** A command that makes one change, or none. */
export const changing = (
  rest: Omit<Command, 'run'>,
  change: (editor: Editor) => Change | undefined,
): Command => ({
  ...rest,
  run(editor, dispatch) {
    const made = change(editor);
    if (!made) return false;
    dispatch?.(made);
    return true;
  },
});

/** What is selected once some controls are gone: a neighbour, or what was around them. */
export function leftAfter(placed: readonly Placed[], project: Project): string[] {
  const first = placed[0];
  if (!first) return [];
  const gone = new Set(placed.map(({ control }) => control.id));
  const { children } = locationOf(project, first.parent.id).control;
  const next = [...children.slice(first.index), ...children.slice(0, first.index).toReversed()].find(
    ({ id }) => !gone.has(id),
  );
  return [(next ?? first.parent).id];
}
