/**
 * A picture that stretches across its cell, with a margin beside it or a width that an expression may say: Firefox and WebKit
 * take its own height for the row's, not the height that follows from the stretched width (CSS Grid 2 §6.2).
 */
import type { Box } from '../../layout/box.ts';
import type { Ends } from '../measures.ts';
import { type CheckKind, pxWords } from './check-kind.ts';

/** Whether a box is such a picture; `around` is the box that it stands in. */
function stretches({ content, style }: Box, around: Box): boolean {
  if (content.type !== 'picture' || around.content.type !== 'grid') return false;
  if (style.width !== undefined || style.height !== undefined || style.aspect !== undefined) return false;
  const { align, justify } = around.content;
  return (style.justifySelf ?? justify) === 'stretch' && (style.alignSelf ?? align) === 'stretch';
}

/** Less than this nobody sees, CSS px. */
const least = 1;

export const otherEngines: CheckKind = {
  name: 'other-engines',
  title: 'Other in Firefox and WebKit',
  sentence: ({ self, worst }) =>
    `In Firefox and WebKit ${self} has its own height, which is up to ${pxWords(worst)} off: say its width, or leave its margin to its cell.`,
  measure(add, { start, end, around }, control) {
    const { content } = start.box;
    if (content.type !== 'picture' || !around || !stretches(start.box, around.start.box)) return;
    const higher: Ends = [start.height - content.height, end.height - content.height];
    for (const amount of [higher, [-higher[0], -higher[1]] satisfies Ends])
      add({
        check: 'other-engines',
        severity: 'advice',
        control: control.id,
        other: undefined,
        all: [[amount[0] - least, amount[1] - least]],
        amount,
      });
  },
};
