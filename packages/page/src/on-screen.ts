/** What is found on a page's screens: parts by their ids, rows of controls, what takes the focus. */
import type { CopyElement } from './repeats.ts';

/** The element of a screen or dialog that has been shown. */
export interface ScreenElement extends HTMLElement {
  /** Binds what is in it anew, since the program says something else. */
  bindAnew?: () => void;
}

/** The row that a control in a repeat stands in. */
export function rowOf(control: HTMLElement): unknown {
  let copy: CopyElement | null = control;
  while (copy && !copy.item) copy = copy.parentElement;
  return copy?.item?.();
}

/** What can take the focus, of a control or inside it. */
export const focusable = 'input, select, textarea, button, a[href], [tabindex]:not([tabindex="-1"])';

/** The element of an id, in one of the screens, and that screen. */
export function partOf(
  screens: Iterable<HTMLElement>,
  id: string,
): { readonly screen: HTMLElement; readonly element: HTMLElement } | undefined {
  for (const screen of screens) {
    const element = screen.querySelector<HTMLElement>(`[id="${CSS.escape(id)}"]`);
    if (element) return { screen, element };
  }
  return undefined;
}

/** A screen that somebody has come to is read out from its heading on, and the next Tab goes on from there. */
export function focusHeading(screen: HTMLElement): void {
  const heading = screen.querySelector<HTMLElement>('h1, h2, h3, h4, h5, h6') ?? screen;
  heading.tabIndex = -1;
  heading.focus({ preventScroll: true });
}

/** Whether a person wants nothing to move by itself. */
export const movesLess = (): boolean =>
  document.documentElement.dataset.motion === 'less' ||
  window.matchMedia('(prefers-reduced-motion: reduce)').matches;
