/**
 * How a control answers to a pointer over it and to being pressed, where nobody says otherwise: its colour goes a little towards
 * that of words, in every mode.
 */
import type { Values } from '../cascade/values.ts';
import { mixed } from '../tokens/srgb.ts';
import type { Making } from './kind.ts';
import { isOff } from './off-states.ts';

/** The states that are answered to. */
export type Felt = 'hover' | 'pressed';

/** How much of the colour of words is mixed into a strong colour, per cent. */
const shares: Readonly<Record<Felt, number>> = { hover: 20, pressed: 36 };
/** A pale ground takes less of it, so that words on it stand out all the while: this part. */
export const paleShare = 0.3;

/** What a control answers to now; what is off answers to nothing. */
export function feltIn(values: Values): Felt | undefined {
  if (isOff(values)) return undefined;
  return values.isIn('pressed') ? 'pressed' : values.isIn('hover') ? 'hover' : undefined;
}

/** A colour attribute as a painter needs it, while something is felt. @param part of what is mixed in, from 0 to 1. */
export function feltColour(make: Making, colour: string, felt: Felt | undefined, part = 1): string {
  const plain = make.colour(colour);
  return felt ? mixed(plain, make.colour('ink'), (part * shares[felt]) / 100) : plain;
}

/** The same for a stylesheet (CSS Color 5 §2.1). @param colour a colour of CSS. @param part a number of CSS; absent: 1. */
const feltCss = (colour: string, felt: Felt, part: string | undefined): string =>
  `color-mix(in oklab, ${colour}, var(--ink) ${part === undefined ? `${shares[felt]}%` : `calc(${shares[felt]}% * ${part})`})`;

/**
 * The rules of a stylesheet for both.
 *
 * @param on selector of what the pointer is over, and of what is painted in it; each with what tells that it is not off.
 * @param declared the declarations, from what a colour becomes.
 */
export function feelRules(
  on: { readonly over: string; readonly painted?: string },
  declared: (felt: (colour: string, part?: string) => string) => string,
): string {
  const rule = (
    pseudo: string,
    felt: Felt,
    indent: string,
  ) => `${indent}${on.over}:${pseudo}${on.painted ?? ''} {
${indent}  ${declared((colour, part) => feltCss(colour, felt, part))};
${indent}}`;
  return `@media (hover: hover) {
${rule('hover', 'hover', '  ')}
}
${rule('active', 'pressed', '')}`;
}

/** What is painted goes over to the answer, unless the reader asks for less motion. */
export const feelTransition = (selector: string, properties: readonly string[]): string =>
  `@media (prefers-reduced-motion: no-preference) {
  :root:not([data-motion="less"]) ${selector} {
    transition: ${properties.map((name) => `${name} 120ms`).join(', ')};
  }
}`;
