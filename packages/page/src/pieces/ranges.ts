/** What stands for ranges of a number. */
import { rangeFunctions } from '@hovrin/core/range-functions';
import type { Piece } from './piece.ts';

export const piece: Piece = (_, { addFunctions }) => {
  addFunctions(rangeFunctions);
};
