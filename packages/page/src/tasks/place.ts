/** Where an element of a page is: its screen and its control, and back. */

/** What can be pressed. */
const pressables =
  'button, a[href], summary, [role="button"], [role="tab"], [role="menuitem"], [role="option"], [tabindex]:not([tabindex="-1"])';
/** What is entered into. */
export const fields = 'input, select, textarea';

export interface ControlPlace {
  readonly screen: string;
  readonly control: string;
}

/** The screen and the control that an element belongs to; undefined where it is in none. */
export function placeOf(element: Element): (ControlPlace & { readonly element: HTMLElement }) | undefined {
  const control = element.closest<HTMLElement>('[data-name]');
  const screen = control?.closest<HTMLElement>('.k-screen');
  if (!control || !screen || control === screen) return undefined;
  return { screen: screen.dataset.name ?? '', control: control.dataset.name ?? '', element: control };
}

/** The element of a control that is on the page now; of a dialog's the one that is open. */
export function elementAt({ screen, control }: ControlPlace): HTMLElement | undefined {
  for (const shown of document.querySelectorAll<HTMLElement>('.k-screen')) {
    if (shown.dataset.name !== screen || shown.hidden) continue;
    const found = shown.querySelector<HTMLElement>(`[data-name="${CSS.escape(control)}"]`);
    if (found) return found;
  }
  return undefined;
}

/** The screen on top: the last dialog that is open, else the screen. */
export const screenOnTop = (): string | undefined =>
  [...document.querySelectorAll<HTMLElement>('.k-screen')].filter((screen) => !screen.hidden).at(-1)?.dataset
    .name;

/** Words as a person reads them: runs of spaces are one. */
export const wordsOf = (element: HTMLElement): string => element.innerText.replace(/\s+/g, ' ').trim();

/** What one of several is called: its words, else its name for those who do not see it. */
const nameOf = (element: HTMLElement): string =>
  wordsOf(element) || (element.getAttribute('aria-label') ?? '');

/** What of a control is pressed: itself, or the one that says some words. */
export function pressableIn(control: HTMLElement, item: string | undefined): HTMLElement | undefined {
  if (item === undefined) {
    if (control.matches(pressables)) return control;
    const inside = [...control.querySelectorAll<HTMLElement>(pressables)];
    return inside.length === 1 ? inside[0] : control;
  }
  return [...control.querySelectorAll<HTMLElement>(pressables)].find((each) => nameOf(each) === item);
}

/** What was pressed, as a step says it; undefined where nothing is there to be pressed. */
export function pressed(target: Element): (ControlPlace & { readonly item?: string }) | undefined {
  if (target.closest(`${fields}, label`)) return undefined;
  const what = target.closest<HTMLElement>(pressables);
  const place = what && placeOf(what);
  if (!what || !place) return undefined;
  const { screen, control, element } = place;
  const isOne = what === element || element.querySelectorAll(pressables).length === 1;
  return isOne ? { screen, control } : { screen, control, item: nameOf(what) };
}

/** The field of a control. */
export const fieldIn = (
  control: HTMLElement,
): HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement | null =>
  control.matches(fields)
    ? (control as HTMLInputElement)
    : control.querySelector<HTMLInputElement | HTMLSelectElement | HTMLTextAreaElement>(fields);
