/** Moving controls among their siblings, out of containers and into them. */
import {
  contains,
  itemAt,
  locate,
  type Placed,
  type Project,
  placedAt,
  plainArrangement,
  type Step,
  shiftPins,
  takesInside,
} from '@hovrin/core';
import type { Change, Editor, InsertPlace } from '../editor.ts';
import { placeAfter } from '../places.ts';
import { type Command, changing, isLocked, namesOf, targets } from './command.ts';

/**
 * Moves controls to a place, one behind the other; the index counts without them.
 *
 * @param place undefined: they keep their places in the order.
 * @param props what they get there: a cell, pins.
 */
export function moveTo(
  editor: Editor,
  ids: readonly string[],
  place: InsertPlace | undefined,
  props: (id: string) => Readonly<Record<string, string | null>> = () => ({}),
): void {
  const { project } = editor.state;
  const all = ids.flatMap((id) => {
    const found = placedAt(project, id);
    return found && (!place || !contains(found.control, place.parent)) ? [found] : [];
  });
  if (all.length === 0) return;
  const steps: Step[] = place ? orderSteps(project, all, place) : [];
  for (const { control } of all)
    for (const [property, value] of Object.entries(props(control.id)))
      if ((control.props[property] ?? null) !== value)
        steps.push({ type: 'set', control: control.id, property, value });
  if (steps.length === 0) return;
  editor.dispatch({
    label: `Move ${namesOf(all)}`,
    steps,
    select: all.map(({ control }) => control.id),
  });
}

/** The steps that bring controls to a place in the order. */
function orderSteps(project: Project, all: readonly Placed[], { parent, index }: InsertPlace): Step[] {
  const target = locate(project, parent)?.control;
  if (!target) return [];
  const moved = new Set(all.map(({ control }) => control.id));
  const others = target.children.filter(({ id }) => !moved.has(id));
  const wanted = [...others.slice(0, index), ...all.map(({ control }) => control), ...others.slice(index)];
  if (
    wanted.length === target.children.length &&
    wanted.every(({ id }, at) => itemAt(target.children, at).id === id)
  )
    return [];
  const to = (start: number): Step[] =>
    all.map(({ control }, offset) => ({ type: 'move', control: control.id, parent, index: start + offset }));
  // What stands in front of the place among several leaves it first.
  const inFront = all.some((placed) => placed.parent.id === parent && placed.index < index);
  return all.length > 1 && inFront ? [...to(others.length), ...to(index)] : to(index);
}

/** What is selected and not locked. */
const movable = (editor: Editor): Placed[] =>
  targets(editor).filter(({ control }) => !isLocked(editor.state.project, control.id));

/** What can be moved of the selection, as far as it has one parent. */
function siblings(editor: Editor): Placed[] {
  const all = movable(editor);
  return all.filter(({ parent }) => parent.id === itemAt(all, 0).parent.id);
}

function moveCommand(
  id: string,
  label: string,
  keys: string[],
  /** Steps that move the block of controls; undefined: they cannot go there. */
  steps: (block: readonly Placed[], editor: Editor) => Step[] | undefined,
): Command {
  return changing({ id, label, keys, group: 'Move' }, (editor): Change | undefined => {
    const block = siblings(editor);
    const made = block.length > 0 ? steps(block, editor) : undefined;
    return (
      made && {
        label: `Move ${namesOf(block)}`,
        steps: made,
        select: block.map(({ control }) => control.id),
      }
    );
  });
}

const into = (block: readonly Placed[], { parent, index }: InsertPlace): Step[] =>
  block.map(({ control }, offset) => ({ type: 'move', control: control.id, parent, index: index + offset }));

/** Nudges controls on pinboards. */
const nudge = (id: string, label: string, key: string, axis: 'x' | 'y', sign: 1 | -1): Command[] =>
  [1, 4].map((step) =>
    changing(
      {
        id: `${id}-${step}`,
        label: step === 1 ? `Nudge ${label} by 1` : `Nudge ${label} by the step`,
        keys: [step === 1 ? `Mod+${key}` : `Mod+Shift+${key}`],
        group: 'Move',
      },
      (editor) => {
        const by = sign * (step === 1 ? 1 : editor.state.step);
        const all = movable(editor);
        const steps = all.flatMap(({ control, parent }) => {
          const layout = editor.bench?.layout;
          const board = plainArrangement(parent) === 'pins' && layout?.byControl.get(parent.id);
          return layout && board ? shiftPins(control, axis, by, board, layout.rightToLeft) : [];
        });
        return steps.length > 0
          ? { label: `Nudge ${namesOf(all)}`, steps, group: `nudge ${axis} ${editor.state.selection.join()}` }
          : undefined;
      },
    ),
  );

export const moveCommands: readonly Command[] = [
  moveCommand('move-back', 'Move before the one in front', ['Alt+ArrowUp'], (block) => {
    const first = itemAt(block, 0);
    return first.index > 0 ? into(block, { parent: first.parent.id, index: first.index - 1 }) : undefined;
  }),
  moveCommand('move-on', 'Move behind the next one', ['Alt+ArrowDown'], (block) => {
    const last = itemAt(block, -1);
    const next = last.parent.children[last.index + 1];
    // The next one goes in front of the block.
    return (
      next && [{ type: 'move', control: next.id, parent: last.parent.id, index: itemAt(block, 0).index }]
    );
  }),
  moveCommand('move-out', 'Move out of its container', ['Alt+ArrowLeft'], (block, editor) => {
    const place = placeAfter(editor.state.project, itemAt(block, 0).parent.id);
    return place && into(block, place);
  }),
  moveCommand('move-in', 'Move into the container in front', ['Alt+ArrowRight'], (block) => {
    const { parent, index } = itemAt(block, 0);
    const before = parent.children[index - 1];
    return before && takesInside(before)
      ? into(block, { parent: before.id, index: before.children.length })
      : undefined;
  }),
  ...nudge('nudge-left', 'left', 'ArrowLeft', 'x', -1),
  ...nudge('nudge-right', 'right', 'ArrowRight', 'x', 1),
  ...nudge('nudge-up', 'up', 'ArrowUp', 'y', -1),
  ...nudge('nudge-down', 'down', 'ArrowDown', 'y', 1),
];
