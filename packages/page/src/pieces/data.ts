/** Data made of other data, and chance. */
import { dataFunctions, seedRandom } from '@hovrin/core/data-functions';
import { trial } from '../trial.ts';
import type { Piece } from './piece.ts';

export const piece: Piece = (_, { addFunctions }) => {
  addFunctions(dataFunctions);
  // What is tried out comes out the same each time.
  if (trial) seedRandom(1);
};
