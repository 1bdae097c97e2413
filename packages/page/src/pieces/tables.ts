/** Tables that are sorted by their heads, gone through by keys, and chosen from. */
import { focusedIn, markSort, mendTable, startTables } from '../tables.ts';
import type { Piece } from './piece.ts';

export const piece: Piece = (page, { careForTables }) => {
  careForTables({ focusedIn, markSort, mendTable });
  startTables(page);
};
