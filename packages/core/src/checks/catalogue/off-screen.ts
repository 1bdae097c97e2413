/** A control reaches out of the screen. */
import { type CheckKind, pxWords } from './check-kind.ts';
import { fitAcross } from './fit-across.ts';

export const offScreen: CheckKind = {
  name: 'off-screen',
  title: 'Outside the screen',
  sentence: ({ self, worst }) => `${self} reaches up to ${pxWords(worst)} out of the screen.`,
  mend: fitAcross,
};
