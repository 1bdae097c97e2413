/** What of an element is made anew while a page runs: all that is inside it but its controls. */
import type { MadeAnew, PageElement } from './kind.ts';

/** All that is inside an element without controls in it. */
export function inside({ children = [], attributes }: PageElement): MadeAnew {
  const label = attributes?.['aria-label'];
  return {
    children: children.filter((child) => typeof child !== 'number'),
    ...(typeof label === 'string' ? { label } : {}),
  };
}
