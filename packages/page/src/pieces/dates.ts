/** Calculating with days and times. */
import { dateFunctions } from '@hovrin/core/date-functions';
import type { Piece } from './piece.ts';

export const piece: Piece = (_, { addFunctions }) => {
  addFunctions(dateFunctions);
};
