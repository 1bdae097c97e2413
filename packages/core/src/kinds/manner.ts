/** Reading the manners of kinds. */
import type { Values } from '../cascade/values.ts';
import type { Arrangement, Kind, Manner } from './kind.ts';

/** How a kind puts its children, with the values that a control has. */
export function arrangementOf({ arranges = 'column' }: Manner, values: Values): Arrangement {
  return typeof arranges === 'string' ? arranges : arranges.as(values.get(arranges.by));
}

/** How a kind puts its children once an expression may say so. @param otherwise where none does. */
export function arrangementNow({ arranges }: Manner, values: Values, otherwise: Arrangement): Arrangement {
  if (typeof arranges !== 'object') return otherwise;
  const value = values.own(arranges.by);
  return value === undefined ? otherwise : arranges.as(value);
}

/** What is asked of a kind that says nothing special. */
const plain: Manner = {};
export const mannerOf = ({ manner = plain }: Kind): Manner => manner;
