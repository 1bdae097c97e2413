/** Adding, naming, duplicating, deleting, and the clipboard. */
import {
  type Asset,
  type Control,
  copyFor,
  inForce,
  kindOf,
  locate,
  locationOf,
  messageOf,
  newControl,
  newDialog,
  newScreen,
  type Placed,
  type Project,
  pathTo,
  plainArrangement,
  propertiesOf,
  type Step,
  shiftPins,
  walk,
} from '@hovrin/core';
import { copied, keepCopied } from '../clipboard.ts';
import type { Change, Editor, InsertPlace } from '../editor.ts';
import { pictureSteps, storePicture } from '../pictures.ts';
import { placeAfter, placeAtSelection } from '../places.ts';
import { type Command, changing, leftAfter, namesOf, newId, selected, targets } from './command.ts';

/**
 * Places a new control of a kind, selects it, and asks for its name.
 *
 * @param props properties besides those that its kind begins with: a cell, pins.
 */
export function placeNew(
  editor: Editor,
  kind: string,
  place: InsertPlace,
  props: Readonly<Record<string, string>> = {},
): void {
  const { project } = editor.state;
  const screen = locate(project, place.parent)?.screen;
  if (!screen) return;
  const made = newControl(kind, screen, newId);
  const sends =
    propertiesOf(kindOf(made)).has('submits') && needsSending(project, place.parent)
      ? { submits: 'true' }
      : {};
  const control = { ...made, props: { ...made.props, ...sends, ...props } };
  const done = editor.dispatch({
    label: `Add ${control.name}`,
    steps: [{ type: 'insert', ...place, control }],
    select: [control.id],
  });
  if (done) editor.setTyping({ control: control.id, what: 'name' });
}

/** Whether something stands in a form that nothing sends yet. */
function needsSending(project: Project, parent: string): boolean {
  const form = pathTo(project, parent).findLast((control) =>
    kindOf(control).events.some(({ dom }) => dom === 'submit'),
  );
  return form !== undefined && ![...walk(form)].some(({ props }) => inForce(props.submits) === 'true');
}

/** Brings pictures from the computer in and places an image for each, one behind the other; one change for all. */
export async function placePictures(
  editor: Editor,
  files: readonly File[],
  { parent, index }: InsertPlace,
  props: Readonly<Record<string, string>>,
): Promise<void> {
  const assets: Asset[] = [];
  for (const file of files) {
    try {
      assets.push(await storePicture(editor, file));
    } catch (error) {
      editor.tell(messageOf(error));
    }
  }
  const { project } = editor.state;
  const screen = locate(project, parent)?.screen;
  if (!screen || assets.length === 0) return;
  const images = assets.map((asset) => {
    const made = newControl('image', screen, newId);
    const width = Math.min(asset.width, 240);
    return { ...made, props: { ...made.props, ...props, src: asset.name, width: String(width) } };
  });
  const { steps, select } = insertCopies(editor, images, { parent, index });
  editor.dispatch({
    label: `Bring in ${assets.map(({ name }) => name).join(', ')}`,
    steps: [...pictureSteps(assets), ...steps],
    select,
  });
}

/** Copies of some controls, to be inserted one after another; their names are free on the screen and among them. */
export function insertCopies(
  editor: Editor,
  controls: readonly Placed['control'][],
  { parent, index }: InsertPlace,
): { steps: Step[]; select: string[] } {
  let { screen } = locationOf(editor.state.project, parent);
  const steps: Step[] = [];
  const select: string[] = [];
  for (const [offset, control] of controls.entries()) {
    const copy = copyFor(screen, control, newId);
    screen = { ...screen, children: [...screen.children, copy] };
    steps.push({ type: 'insert', parent, index: index + offset, control: copy });
    select.push(copy.id);
  }
  return { steps, select };
}

/** How far a copy on a pinboard lies from its original, CSS px. */
const offset = 16;

/**
 * Duplicates what is selected, right behind it.
 *
 * @param times how many copies.
 * @param by on a pinboard, how far each lies from the one before, CSS px.
 */
export function duplicateMany(
  editor: Editor,
  times: number,
  by: { x: number; y: number } = { x: offset, y: offset },
): Change | undefined {
  const all = targets(editor);
  const last = all.at(-1);
  if (!last) return undefined;
  const siblings = all.filter(({ parent }) => parent.id === last.parent.id);
  const controls = Array.from({ length: times }, () => siblings.map(({ control }) => control)).flat();
  const { steps, select } = insertCopies(editor, controls, {
    parent: last.parent.id,
    index: last.index + 1,
  });
  const { byControl, rightToLeft = false } = editor.bench?.layout ?? {};
  const board = byControl?.get(last.parent.id);
  if (board && plainArrangement(last.parent) === 'pins')
    steps.push(
      ...steps.flatMap((step, index) => {
        if (step.type !== 'insert') return [];
        const turn = Math.floor(index / siblings.length) + 1;
        return [
          ...shiftPins(step.control, 'x', by.x * turn, board, rightToLeft),
          ...shiftPins(step.control, 'y', by.y * turn, board, rightToLeft),
        ];
      }),
    );
  const what = namesOf(siblings);
  return {
    label: times === 1 ? `Duplicate ${what}` : `Duplicate ${what} ${times} times`,
    steps,
    select,
  };
}

const removal = (all: readonly Placed[]): Step[] =>
  all.map(({ control }) => ({ type: 'remove', control: control.id }));

function paste(editor: Editor): Change | undefined {
  const place = placeAtSelection(editor.state);
  const controls = copied();
  return place && controls.length > 0
    ? { label: 'Paste', ...insertCopies(editor, controls, place) }
    : undefined;
}

/** A command that turns a yes or no of all that is selected on, or off where it is on everywhere. */
const flagCommand = (id: string, keys: string[], property: string, [on, off]: [string, string]): Command =>
  changing({ id, label: `${on} or ${off.toLowerCase()}`, keys, group: 'Place' }, (editor) => {
    const all = targets(editor);
    if (all.length === 0) return undefined;
    const turn = all.some(({ control }) => inForce(control.props[property]) !== 'true');
    return {
      label: `${turn ? on : off} ${namesOf(all)}`,
      steps: all.map(({ control }) => ({
        type: 'set',
        control: control.id,
        property,
        value: turn ? 'true' : null,
      })),
    };
  });

/** A command that adds a whole screen. */
const adding = (
  id: string,
  label: string,
  key: string,
  make: (project: Project, newId: () => string) => Control,
): Command => ({
  id,
  label,
  keys: [key],
  group: 'Place',
  run(editor, dispatch) {
    const { project } = editor.state;
    const screen = make(project, newId);
    dispatch?.(() => {
      const done = editor.dispatch({
        label: `Add ${screen.name}`,
        steps: [{ type: 'insert', parent: null, index: project.screens.length, control: screen }],
        select: [screen.id],
      });
      if (done) editor.setTyping({ control: screen.id, what: 'name' });
    });
    return true;
  },
});

export const placeCommands: readonly Command[] = [
  {
    id: 'add',
    label: 'Add a control here',
    findBy: 'new insert part',
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
        editor.setTyping({ control: id, what: 'name' });
      });
      return true;
    },
  },
  {
    id: 'type-first',
    label: 'Type its words, or its first property',
    findBy: 'text label content facts edit',
    keys: ['Enter'],
    group: 'Place',
    run(editor, dispatch) {
      const found = selected(editor);
      if (!found) return false;
      dispatch?.(() => editor.setTyping({ control: found.control.id, what: 'first' }));
      return true;
    },
  },
  {
    id: 'change-kind',
    label: 'Make it another kind of control',
    findBy: 'change type convert',
    keys: ['K'],
    group: 'Place',
    run(editor, dispatch) {
      const found = selected(editor);
      if (!found) return false;
      dispatch?.(() => editor.openPicker({ change: found.control.id }));
      return true;
    },
  },
  changing(
    { id: 'duplicate', label: 'Duplicate', keys: ['Mod+D'], group: 'Place', findBy: 'copy clone' },
    (editor) => duplicateMany(editor, 1),
  ),
  {
    id: 'duplicate-many',
    label: 'Duplicate several times …',
    keys: ['Mod+Shift+D'],
    group: 'Place',
    run(editor, dispatch) {
      if (targets(editor).length === 0) return false;
      dispatch?.(() => editor.ask('duplicate'));
      return true;
    },
  },
  changing(
    { id: 'delete', label: 'Delete', keys: ['Delete', 'Mod+Backspace'], group: 'Place', findBy: 'remove' },
    (editor) => {
      const all = targets(editor);
      return all.length === 0
        ? undefined
        : {
            label: `Delete ${namesOf(all)}`,
            steps: removal(all),
            select: leftAfter(all, editor.state.project),
          };
    },
  ),
  {
    id: 'copy',
    label: 'Copy',
    keys: ['Mod+C'],
    group: 'Place',
    run(editor, dispatch) {
      const all = targets(editor);
      if (all.length === 0) return false;
      dispatch?.(() =>
        keepCopied(
          all.map(({ control }) => control),
          editor.state.project.bands,
        ),
      );
      return true;
    },
  },
  {
    id: 'cut',
    label: 'Cut',
    keys: ['Mod+X'],
    group: 'Place',
    run(editor, dispatch) {
      const all = targets(editor);
      if (all.length === 0) return false;
      dispatch?.(() => {
        keepCopied(
          all.map(({ control }) => control),
          editor.state.project.bands,
        );
        editor.dispatch({
          label: `Cut ${namesOf(all)}`,
          steps: removal(all),
          select: leftAfter(all, editor.state.project),
        });
      });
      return true;
    },
  },
  changing({ id: 'paste', label: 'Paste', keys: ['Mod+V'], group: 'Place' }, paste),
  adding('new-screen', 'New screen', 'Mod+Shift+A', newScreen),
  adding('new-dialog', 'New dialog', 'Mod+Shift+O', newDialog),
  {
    id: 'replace',
    label: 'Replace words on all screens',
    findBy: 'find text',
    keys: ['Mod+Shift+F'],
    group: 'Place',
    run(editor, dispatch) {
      if (editor.state.project.screens.length === 0) return false;
      dispatch?.(() => editor.ask('replace'));
      return true;
    },
  },
  flagCommand('hide', ['H'], 'hidden', ['Hide', 'Show']),
  flagCommand('lock', ['Shift+X'], 'locked', ['Lock', 'Unlock']),
];
