/**
 * Makes nested rows, columns and grids of a pinboard on which controls were placed roughly, so that they look the same
 * here and hold at other widths. What was guessed is said.
 */

import { plainArrangement } from '../cascade/plain-values.ts';
import { type Location, locate } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import type { Rectangle } from '../layout/rectangle.ts';
import type { ScreenLayout } from '../layout/screen-layout.ts';
import { applySteps, type Step } from '../steps/step.ts';
import { Board, freed } from './board.ts';
import { columnInstead, partOnBoard, pinboardInstead } from './containers.ts';
import { type Deviation, settled } from './settle.ts';
import { type Placed, structureOf } from './structure.ts';

/** How far edges that are meant to be equal may differ, CSS px. */
export const usualNoise = 6;

export interface ArrangedBoard {
  readonly steps: Step[];
  /** What was guessed, a sentence each. */
  readonly guesses: string[];
}

/** How a board is arranged. */
export interface ArrangeOptions {
  readonly newId: () => string;
  /** How far edges may be evened out, and how far anything may lie from where it was placed, CSS px. */
  readonly noise?: number | undefined;
  /**
   * Children of the pinboard that are arranged, the others staying as they are; absent: all, and the pinboard itself
   * becomes what holds them.
   */
  readonly only?: readonly string[] | undefined;
}

/** How often places that were evened out too far are corrected: a centred control moves by half of each push. */
const corrections = 8;

/**
 * @param layOut lays out the screen that the board is on, in any version of the project, at the size that counts.
 * @param id of a pinboard.
 * @returns undefined where it is no pinboard, or nothing on it is seen, or there is only one to arrange.
 */
export function arrangeBoard(
  project: Project,
  layOut: (project: Project) => ScreenLayout,
  id: string,
  { newId, noise = usualNoise, only }: ArrangeOptions,
): ArrangedBoard | undefined {
  const layout = layOut(project);
  const found = locate(project, id);
  const laid = layout.byControl.get(id);
  if (!found?.parent || plainArrangement(found.control) !== 'pins' || !laid) return undefined;
  const { control: before } = found;
  const shown = before.children.flatMap((control): Placed[] => {
    const box = only && !only.includes(control.id) ? undefined : layout.byControl.get(control.id);
    return box ? [{ id: control.id, x: box.x, y: box.y, width: box.width, height: box.height }] : [];
  });
  if (shown.length === 0 || (only && shown.length === 1)) return undefined;
  const board = new Board(before, found.screen, shown, noise, newId);
  const { border } = laid.box.style;
  const inner: Rectangle = {
    x: laid.x + border.start,
    y: laid.y + border.top,
    width: laid.width - border.start - border.end,
    height: laid.height - border.top - border.bottom,
  };
  const structure = structureOf(shown, noise);
  // Hidden ones stay with the board, at the end.
  const unseen = before.children.filter((each) => !layout.byControl.has(each.id)).map(freed);
  const whole = () => {
    const column = columnInstead(board, structure, inner, before);
    return { ...column, children: [...column.children, ...unseen] };
  };
  const control = only ? partOnBoard(board, structure, inner, before) : whole();
  const stepsFor = (instead: Control) =>
    only ? partInstead(before, shown, instead) : allInstead(found, instead);
  const layOutWith = (instead: Control) => {
    const applied = applySteps(project, stepsFor(instead));
    return applied.ok ? layOut(applied.project) : undefined;
  };
  const steps = stepsFor(corrected(board, control, shown, layOutWith));
  return { steps, guesses: board.guesses };
}

/** A board in the place of which something else comes. */
const allInstead = ({ control, parent, index }: Location, instead: Control): Step[] => [
  { type: 'remove', control: control.id },
  { type: 'insert', parent: parent?.id ?? null, index, control: instead },
];

/** Some children of a board in the place of which something else comes. */
const partInstead = (board: Control, shown: readonly Placed[], instead: Control): Step[] => {
  const index = board.children.findIndex(({ id }) => id === shown[0]?.id);
  return [
    ...shown.map(({ id }): Step => ({ type: 'remove', control: id })),
    ...instead.children.map((control): Step => ({ type: 'insert', parent: board.id, index, control })),
  ];
};

/**
 * Brings what came to lie too far from where it was placed back there, in a few rounds.
 *
 * @param layOutWith lays out the screen with another control in the place of the board's; undefined where it cannot stand there.
 */
function corrected(
  board: Board,
  control: Control,
  shown: readonly Placed[],
  layOutWith: (control: Control) => ScreenLayout | undefined,
): Control {
  const wanted = new Map(shown.map((each) => [each.id, each]));
  let best = control;
  for (let round = 0; round < corrections; round++) {
    const now = layOutWith(best);
    if (!now) break;
    const offsetOf = (id: string): Deviation | undefined => {
      const [was, is] = [wanted.get(id), now.byControl.get(id)];
      if (!was || !is) return undefined;
      const lost = (side: 'width' | 'height') =>
        !board.equal(was[side], is[side]) && inForce(board.control(id).props[side]) !== undefined
          ? was[side]
          : undefined;
      return { x: was.x - is.x, y: was.y - is.y, width: lost('width'), height: lost('height') };
    };
    const onBoards = round < corrections / 2 ? undefined : (grid: Control) => pinboardInstead(board, grid);
    const next = settled(best, offsetOf, board.noise, onBoards);
    if (next === best) break;
    best = next;
  }
  return best;
}
