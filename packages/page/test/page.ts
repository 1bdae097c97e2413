/** A document to test on: HTML as an export writes it, put into the page. */

/** Puts HTML into the page. @returns its first element. */
export function shown(html: string): HTMLElement {
  document.body.innerHTML = html;
  const [first] = document.body.children;
  if (!(first instanceof HTMLElement)) throw new Error('There is no element.');
  return first;
}

/** The first element that a selector finds. @throws Error where there is none. */
export function one<T extends HTMLElement = HTMLElement>(selector: string): T {
  const found = document.querySelector<T>(selector);
  if (!found) throw new Error(`There is no ${selector}.`);
  return found;
}

/** Somebody types or ticks something: the value, and the event that browsers send. */
export function enter(input: HTMLInputElement, value: string | boolean): void {
  if (typeof value === 'boolean') input.checked = value;
  else input.value = value;
  input.dispatchEvent(new Event('input', { bubbles: true }));
}

export const key = (target: Element, name: string, more: KeyboardEventInit = {}): KeyboardEvent => {
  const event = new KeyboardEvent('keydown', { key: name, bubbles: true, cancelable: true, ...more });
  target.dispatchEvent(event);
  return event;
};

/** What browsers have and this document has not; nothing is laid out here. */
export function likeBrowsers(): void {
  globalThis.CSS ??= { escape: (text: string) => text.replaceAll(/[[\]]/g, '\\$&') } as typeof CSS;
  Element.prototype.scrollIntoView ??= () => {};
}
