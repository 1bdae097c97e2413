/** Numbers, days and lists as people read them. */
import { formats } from '@hovrin/core/formats';
import type { Piece } from './piece.ts';

export const piece: Piece = (_, { addFunctions }) => {
  addFunctions(formats);
};
