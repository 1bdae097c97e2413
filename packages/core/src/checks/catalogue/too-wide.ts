/** A control, or a word in it, reaches out of its box at its side. */
import { type CheckKind, pxWords } from './check-kind.ts';
import { fitAcross } from './fit-across.ts';

export const tooWide: CheckKind = {
  name: 'too-wide',
  title: 'Wider than its box',
  sentence: ({ self, other, worst }) =>
    other === undefined
      ? `A word in ${self} is up to ${pxWords(worst)} wider than its box.`
      : `${self} reaches up to ${pxWords(worst)} out of ${other} at its side.`,
  mend: fitAcross,
};
