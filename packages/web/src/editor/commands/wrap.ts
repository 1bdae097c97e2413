/** Containers around what is selected, and the look and size that controls take from each other. */
import {
  cellsOfTable,
  changeKind,
  giveTo,
  kindNamed,
  kindOf,
  type PartOfLook,
  partsOfLook,
  plainArrangement,
  type Step,
  sameLook,
  takeFrom,
  unwrap,
  walk,
  wrapIn,
} from '@hovrin/core';
import { keepTaken, taken } from '../clipboard.ts';
import type { Change, Editor } from '../editor.ts';
import { type Command, changing, nameOf, namesOf, newId, selected, targets } from './command.ts';

/** What a kind is called in a sentence: some are called by a plural. */
const withArticle = (label: string) => `${label.endsWith('s') ? '' : 'a '}${label.toLowerCase()}`;

const wrap = (kind: string, key: string): Command =>
  changing(
    {
      id: `wrap-${kind}`,
      label: `Wrap in ${withArticle(kindNamed(kind)?.label ?? kind)}`,
      keys: [`Alt+${key}`],
      findBy: 'group put into',
      group: 'Wrap',
    },
    (editor) => {
      const all = targets(editor);
      const wrapped = wrapIn(editor.state.project, editor.state.selection, kind, newId);
      return (
        wrapped && {
          label: `Wrap ${namesOf(all)} in a ${kind}`,
          steps: wrapped.steps,
          select: [wrapped.container],
        }
      );
    },
  );

/** Changes the kind of all that is selected; says what no longer applies. */
export function changeKinds(editor: Editor, kindName: string): void {
  const all = targets(editor);
  const steps: Step[] = [];
  const lost = new Set<string>();
  for (const { control } of all) {
    const changed = changeKind(editor.state.project, control.id, kindName);
    if (typeof changed === 'string') {
      if (all.length === 1) editor.tell(changed);
      continue;
    }
    steps.push(...changed.steps);
    for (const attribute of changed.lost) lost.add(attribute);
  }
  if (steps.length === 0) return;
  const done = editor.dispatch({
    label: `Make ${namesOf(all)} a ${kindOf({ kind: kindName }).label.toLowerCase()}`,
    steps,
    select: all.map(({ control }) => control.id),
  });
  if (done && lost.size > 0)
    editor.tell(
      `A ${kindOf({ kind: kindName }).label.toLowerCase()} has no ${[...lost].join(', ')}; undo brings it back.`,
    );
}

const keep = (aspect: 'look' | 'size', key: string): Command => ({
  id: `keep-${aspect}`,
  label: `Keep its ${aspect}, to give it to others`,
  keys: [`Shift+${key}`],
  group: 'Wrap',
  run(editor, dispatch) {
    const found = selected(editor);
    if (!found) return false;
    dispatch?.(() => {
      keepTaken(aspect, takeFrom(found.control, aspect));
      editor.tell(`The ${aspect} of ${nameOf(found)} is kept.`);
    });
    return true;
  },
});

const give = (aspect: 'look' | 'size', key: string): Command =>
  changing(
    { id: `give-${aspect}`, label: `Give it the ${aspect} that was kept`, keys: [key], group: 'Wrap' },
    (editor): Change | undefined => {
      const kept = taken(aspect);
      const all = targets(editor);
      const steps = kept ? all.flatMap(({ control }) => giveTo(control, aspect, kept)) : [];
      return steps.length > 0 ? { label: `Give ${namesOf(all)} a ${aspect}`, steps } : undefined;
    },
  );

/** Only a part of the look that was kept. */
const giveLookPart = (part: PartOfLook): Command =>
  changing(
    {
      id: `give-${part}`,
      label: `Give it the ${part} of the look that was kept`,
      keys: [],
      group: 'Wrap',
      findBy: 'paste style',
    },
    (editor): Change | undefined => {
      const kept = taken('look');
      const all = targets(editor);
      const steps = kept ? all.flatMap(({ control }) => giveTo(control, part, kept)) : [];
      return steps.length > 0 ? { label: `Give ${namesOf(all)} a ${part}`, steps } : undefined;
    },
  );

/** The styles of the control whose look was kept, and nothing else of it. */
const giveStyles: Command = changing(
  {
    id: 'give-styles',
    label: 'Give it the styles of the look that was kept',
    keys: [],
    group: 'Wrap',
    findBy: 'paste style apply',
  },
  (editor): Change | undefined => {
    const style = taken('look')?.values.style;
    const all = targets(editor);
    const steps = all.flatMap(({ control }): Step[] =>
      style !== undefined && control.props.style !== style
        ? [{ type: 'set', control: control.id, property: 'style', value: style }]
        : [],
    );
    return steps.length > 0 ? { label: `Give ${namesOf(all)} its styles`, steps } : undefined;
  },
);

export const wrapCommands: readonly Command[] = [
  wrap('row', 'R'),
  wrap('column', 'C'),
  wrap('grid', 'G'),
  wrap('layers', 'L'),
  wrap('fieldset', 'F'),
  wrap('scroll', 'S'),
  changing(
    {
      id: 'unwrap',
      label: 'Unwrap: what is inside takes its place',
      keys: ['Alt+U'],
      group: 'Wrap',
      findBy: 'ungroup',
    },
    (editor) => {
      const found = selected(editor);
      const made = found && unwrap(editor.state.project, found.control.id);
      return made && { label: `Unwrap ${nameOf(found)}`, steps: made.steps, select: made.inside };
    },
  ),
  changing(
    {
      id: 'cells',
      label: 'Make the table’s columns cells, to put controls into',
      keys: [],
      group: 'Wrap',
    },
    (editor) => {
      const found = selected(editor);
      const steps = found && cellsOfTable(editor.state.project, found.control.id, newId);
      return steps && { label: `Cells of ${nameOf(found)}`, steps };
    },
  ),
  {
    id: 'arrange',
    label: 'Arrange a pinboard for me …',
    findBy: 'tidy automatic rows columns',
    keys: ['Shift+N'],
    group: 'Wrap',
    run(editor, dispatch) {
      if (boardOf(editor) === undefined) return false;
      dispatch?.(() => editor.ask('arrange'));
      return true;
    },
  },
  keep('look', 'K'),
  give('look', 'Alt+K'),
  ...partsOfLook.map(giveLookPart),
  giveStyles,
  keep('size', 'Z'),
  give('size', 'Alt+Z'),
];

/** The pinboard that is selected, or that what is selected stands on. */
export function boardOf(editor: Editor): string | undefined {
  const found = selected(editor);
  if (!found) return undefined;
  const board = plainArrangement(found.control) === 'pins' ? found.control : found.parent;
  return plainArrangement(board) === 'pins' && board.children.length > 0 ? board.id : undefined;
}

/** Which children of the pinboard are arranged: those that are selected, where there are several; undefined: all. */
export function partOfBoard(editor: Editor): readonly string[] | undefined {
  const all = targets(editor);
  const board = boardOf(editor);
  const on = all.filter(({ parent }) => parent.id === board).map(({ control }) => control.id);
  return on.length > 1 ? on : undefined;
}

/** The controls of the screen that are like the selected one. */
export function likeSelected(editor: Editor, like: 'kind' | 'look'): string[] {
  const found = selected(editor);
  if (!found) return [];
  return [...walk(found.screen)].flatMap((control) =>
    (like === 'kind' ? control.kind === found.control.kind : sameLook(control, found.control))
      ? [control.id]
      : [],
  );
}
