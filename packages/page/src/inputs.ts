/** What a person enters: reading it from a page's inputs, and putting values into them. */
import { asText, type PageTarget, type StateValue } from '@hovrin/core/runtime';
import { sayValidity } from './groups.ts';

/** The event at which what was entered is read. */
export const eventOf = ({ as }: PageTarget): string =>
  as === 'sort'
    ? 'hovrin-sort'
    : as === 'upload'
      ? 'hovrin-file'
      : as === 'pane' || as === 'file'
        ? 'change'
        : 'input';

const checks = (part: HTMLElement) => [
  ...part.querySelectorAll<HTMLInputElement>('input[type="checkbox"], input[type="radio"]'),
];
const tabsIn = (part: HTMLElement) => [...part.querySelectorAll<HTMLElement>(':scope > [role="tab"]')];

/** Inputs whose value is what was typed; others make something of a value themselves. */
const typed = ['text', 'search', 'email', 'tel', 'url', 'password', 'number'];

/** Whether somebody has entered something since the page was written. */
export function wasEntered(part: HTMLElement): boolean {
  if (part instanceof HTMLTextAreaElement) return part.value !== part.defaultValue;
  if (!(part instanceof HTMLInputElement)) return false;
  return typed.includes(part.type)
    ? part.value !== '' && part.value !== part.defaultValue
    : part.type === 'checkbox' && part.checked !== part.defaultChecked;
}

/** What is entered in a part. */
export function readInput(part: HTMLElement, target: PageTarget): StateValue {
  switch (target.as) {
    case 'choice':
      return checks(part)
        .filter(({ checked }) => checked)
        .map(({ value }) => value)
        .join(' | ');
    case 'pane':
      return tabsIn(part).findIndex((tab) => tab.ariaSelected === 'true') + 1;
    case 'sort':
      return part.dataset.sort ?? '';
    case 'file': {
      const [file] = (part as HTMLInputElement).files ?? [];
      return file ? URL.createObjectURL(file) : '';
    }
    case 'upload':
      return JSON.parse(part.dataset.chosen ?? '{}');
    default:
      return target.name === 'checked'
        ? (part as HTMLInputElement).checked
        : (part as HTMLInputElement).value;
  }
}

/** Whether a value holds nothing: no text, no rows, no entries. */
const isNothing = (value: StateValue | readonly string[]): boolean =>
  !value || (typeof value === 'object' && Object.keys(value).length === 0);

/** Opens one of several panels, counted from 1. */
export function openPanel(tablist: HTMLElement, open: number): void {
  const tabs = tabsIn(tablist);
  // One of them takes the focus, at the turn of all.
  const turn = Math.max(0, ...tabs.map(({ tabIndex }) => tabIndex));
  tabs.forEach((tab, index) => {
    const selected = index === open - 1;
    tab.ariaSelected = String(selected);
    tab.tabIndex = selected ? turn : -1;
    const panel = document.getElementById(tab.getAttribute('aria-controls') ?? '');
    if (panel) panel.hidden = !selected;
  });
}

/** Puts a value into a part. What is being typed stays as it is while it means the same ("1." for 1). */
export function writeInput(
  part: HTMLElement,
  target: PageTarget,
  value: StateValue | readonly string[],
): void {
  const input = part as HTMLInputElement;
  switch (target.as) {
    case 'choice': {
      const values = Array.isArray(value)
        ? value
        : asText(value)
            .split('|')
            .map((each) => each.trim());
      for (const check of checks(part)) check.checked = values.includes(check.value);
      return;
    }
    case 'pane':
      openPanel(part, Number(value));
      return;
    case 'validity': {
      const said = part.querySelector('.part-message')?.textContent;
      sayValidity(part, value === false ? said || 'This is not valid.' : '');
      return;
    }
    case 'file':
    case 'upload':
      // Only nothing can be put in: then nothing is chosen any more.
      if (isNothing(value)) input.value = '';
      return;
    case 'form':
      return;
    case 'sort':
      part.dataset.sort = asText(value);
      return;
    default:
      break;
  }
  input.removeAttribute('aria-invalid');
  if (target.name === 'checked') {
    input.checked = value === true;
    return;
  }
  const text = asText(value);
  const isSame = typeof value === 'number' && input.value.trim() !== '' && Number(input.value) === value;
  // Written anew it would not be what somebody typed any more, whose length is judged (HTML §4.10.18.3).
  if (!isSame && input.value !== text) input.value = text;
  input.dispatchEvent(new Event('hovrin-shown'));
}
