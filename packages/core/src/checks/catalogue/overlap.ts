/** Two controls of one container lie over each other. */
import { type CheckKind, pxWords } from './check-kind.ts';
import { fitAcross } from './fit-across.ts';

export const overlap: CheckKind = {
  name: 'overlap',
  title: 'Overlaps',
  sentence: ({ self, other, worst }) => `${self} lies over ${other}, by up to ${pxWords(worst)}.`,
  mend: fitAcross,
};
