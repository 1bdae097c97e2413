/**
 * The manners of all kinds by name: what a running page knows of kinds. When the page's script is bundled, this file is
 * replaced by one that takes the manners alone out of the kinds' files (`scripts/page-script.mjs`); those of which something
 * is made anew come as pieces, on pages that need them.
 */
import { kinds } from './catalogue.ts';
import type { Manner } from './kind.ts';

export const manners = new Map<string, Manner>(
  kinds.flatMap(({ name, manner }) => (manner ? [[name, manner] as const] : [])),
);
