/** Loops of events, and what they catch. */
import { loops } from '@hovrin/core/loops';
import type { Piece } from './piece.ts';

export const piece: Piece = (_, { addStatements }) => {
  addStatements(loops);
};
