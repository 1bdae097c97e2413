/** What texts do with regular expressions. */
import { patternFunctions } from '@hovrin/core/pattern-functions';
import type { Piece } from './piece.ts';

export const piece: Piece = (_, { addPatterns }) => {
  addPatterns(patternFunctions);
};
