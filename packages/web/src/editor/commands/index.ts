/** All commands, in the order in which the list of keys has them. */
import { alignCommands } from './align.ts';
import type { Command } from './command.ts';
import { componentCommands, leaveCommand } from './components.ts';
import { moveCommands } from './move.ts';
import { placeCommands } from './place.ts';
import { selectCommands } from './select.ts';
import { wrapCommands } from './wrap.ts';

export * from './command.ts';
export { leaveComponent, openComponent } from './components.ts';
export { keepInNew } from './keep.ts';
export { moveTo } from './move.ts';
export { duplicateMany, insertCopies, placeNew, placePictures } from './place.ts';
export { boardOf, changeKinds, partOfBoard } from './wrap.ts';

const historyCommands: readonly Command[] = [
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
];

export const commands: readonly Command[] = [
  ...placeCommands,
  ...moveCommands,
  ...wrapCommands,
  ...componentCommands,
  ...alignCommands,
  ...selectCommands,
  leaveCommand,
  ...historyCommands,
];

/** The command of an id. @throws Error where there is none. */
export function commandNamed(id: string): Command {
  const command = commands.find((each) => each.id === id);
  if (!command) throw new Error(`There is no command ${id}`);
  return command;
}
