/** Data made of other data, and chance. */
import { dataFunctions } from '@hovrin/core/data-functions';
import type { Piece } from './piece.ts';

export const piece: Piece = (_, { addFunctions }) => {
  addFunctions(dataFunctions);
};
