/** A control, or its words, reach out of its box at its top or bottom. */
import { type CheckKind, pxWords } from './check-kind.ts';

export const tooHigh: CheckKind = {
  name: 'too-high',
  title: 'Higher than its box',
  sentence: ({ self, other, worst }) =>
    other === undefined
      ? `The words of ${self} are up to ${pxWords(worst)} higher than its box.`
      : `${self} reaches up to ${pxWords(worst)} out of ${other} at its top or bottom.`,
  mend({ control, parent, self, outer, own, outerOwn, add }) {
    if (outerOwn('height') !== undefined)
      add(`Let ${outer} be as high as it needs`, [parent, 'height', null]);
    if (own('height') !== undefined) add(`Let ${self} be as high as it needs`, [control, 'height', null]);
    if (own('max-height') !== undefined)
      add(`Take the greatest height from ${self}`, [control, 'max-height', null]);
    if (outerOwn('max-height') !== undefined)
      add(`Take the greatest height from ${outer}`, [parent, 'max-height', null]);
  },
};
