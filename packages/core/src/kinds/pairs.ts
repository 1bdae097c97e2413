/** A container whose children are pairs of a name and a value: a description list (HTML §4.4.9, the `dl` element). */
import type { Values } from '../cascade/values.ts';
import { flagType } from '../property-types/index.ts';
import type { PageElement } from './kind.ts';
import { property } from './properties.ts';

export const pairs = property({
  name: 'pairs',
  label: 'Pairs',
  group: 'inside',
  type: flagType,
  effect: 'behaviour',
  perBand: false,
});

/** The element of a container that may hold pairs. */
export const containerElement = (values: Values): PageElement => ({ tag: values.flag(pairs) ? 'dl' : 'div' });
