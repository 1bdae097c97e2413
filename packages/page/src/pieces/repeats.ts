/** What is repeated for each item of a list. */
import { Repeat } from '../repeats.ts';
import type { Piece } from './piece.ts';

export const piece: Piece = (_, { repeatBy }) => repeatBy((...given) => new Repeat(...given));
