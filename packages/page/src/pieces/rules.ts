/** The rules of tables: a row that would break one is not taken. */
import { brokenRule } from '@hovrin/core/rules';
import type { Piece } from './piece.ts';

/** Lets the page hold the rows of its tables to the rules of their columns. */
export const piece: Piece = (_, { host }) => {
  host.brokenRule = brokenRule;
};
