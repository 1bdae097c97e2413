/**
 * The turn of a control in the focus order of its screen, HTML's `tabindex` (HTML §6.6.3): those with a number come
 * first, in its order; those without follow in the order of the tree.
 */
import { turnType } from '../property-types/index.ts';
import type { PageElement } from './kind.ts';
import { property } from './properties.ts';

/** The property of every kind that takes the focus. */
export const tabindex = property({
  name: 'tabindex',
  label: 'Tab order',
  group: 'place',
  type: turnType,
  effect: 'behaviour',
  perBand: false,
});

const focusable = new Set(['button', 'input', 'select', 'textarea', 'a']);

/** Gives the elements of a control that take the focus their turn; all of one control have the same. */
export function withTurn(element: PageElement, turn: number | undefined): PageElement {
  if (turn === undefined) return element;
  const { 'data-scrolls': scrolls, ...attributes } = element.attributes ?? {};
  const takes =
    attributes.tabindex === undefined
      ? focusable.has(element.tag) || scrolls !== undefined
      : attributes.tabindex === '0';
  return {
    ...element,
    ...(takes ? { attributes: { ...attributes, tabindex: String(turn) } } : {}),
    ...(element.children
      ? {
          children: element.children.map((child) =>
            typeof child === 'number' || 'child' in child ? child : withTurn(child, turn),
          ),
        }
      : {}),
  };
}
