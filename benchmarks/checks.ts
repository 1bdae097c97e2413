/** All checks of a screen: against laying it out at each width, and after a change against from nothing. */
import {
  applySteps,
  boxesToCheck,
  type CheckOptions,
  type Control,
  checkScreen,
  type Project,
  ScreenView,
  usualCheck,
  type ViewBoxes,
} from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { compare, type Measured, median, time } from './measure.ts';
import { cards } from './relayout.ts';
import { projectOf } from './trees.ts';

/** 18 rows of cards: 307 controls. */
export const cardRows = 18;

function check(shaper: Shaper, project: Project, boxes: ViewBoxes, options: CheckOptions = usualCheck): void {
  const run = checkScreen(shaper, project, project.screens[0]!, options, boxes);
  while (!run.next().done);
}

export function checks(shaper: Shaper): Measured[] {
  // A project has its screen for its own; those of other benchmarks stand alone.
  const screen: Control = { ...cards(cardRows), name: 'Cards' };
  const project = { ...projectOf(screen), screens: [screen] };
  const boxes = boxesToCheck(shaper);
  check(shaper, project, boxes);
  const title = screen.children[0]!.children[0]!.children[0]!.id;
  let turn = 0;
  const change = (text: string) => {
    const applied = applySteps(project, [{ type: 'set', control: title, property: 'text', value: text }]);
    if (applied.ok) check(shaper, applied.project, boxes);
  };
  /** Another text each time, so that something is to be worked out. */
  const reword = () => change(`Bunk ${10 + (turn++ % 50)}`);
  const lengthen = () => change(turn++ % 2 ? 'Bunk 10, by the window' : 'Bunk 10');
  const fromNothing = () => check(shaper, project, boxesToCheck(shaper));
  const everyWidth = () => {
    for (const textScale of [1, 2])
      for (const height of [1920, 360]) {
        const view = new ScreenView(shaper);
        for (let width = 280; width <= 1920; width++)
          view.layOut(project, screen, { width, height, textScale });
      }
  };
  const took = (work: () => void) => {
    for (let round = 0; round < 8; round++) work();
    return median(Array.from({ length: 9 }, () => time(work)));
  };
  fromNothing();
  return [
    {
      name: 'all checks of a screen of 307 controls',
      against: 'laying it out at each width, upright and across, at two text scales',
      ratio: compare(fromNothing, everyWidth, 3),
      aim: null,
    },
    {
      name: 'all checks from nothing',
      against: '1 s',
      ratio: Number((1000 / took(fromNothing)).toFixed(2)),
      aim: 1,
    },
    {
      name: 'all checks after one text changed',
      against: '100 ms',
      ratio: Number((100 / took(reword)).toFixed(2)),
      aim: 1,
    },
    {
      name: 'all checks after a text took another line and all below it moved',
      against: '100 ms',
      ratio: Number((100 / took(lengthen)).toFixed(2)),
      aim: 1,
    },
  ];
}
