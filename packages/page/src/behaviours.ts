/**
 * What controls do by themselves that no element of HTML does: tabs, menus, the number beside a slider. By the
 * patterns of the ARIA Authoring Practices. One listener each on the document, so that copies need none of their own.
 */
import { openPanel } from './inputs.ts';

/** The element of a role around what an event came from. */
const around = (event: Event, selector: string): HTMLElement | null =>
  event.target instanceof Element ? event.target.closest<HTMLElement>(selector) : null;

/** The sibling that an arrow key leads to; undefined where the key leads nowhere. */
function next(list: readonly HTMLElement[], from: HTMLElement, key: string, keys: [string, string]) {
  const at = list.indexOf(from);
  if (key === 'Home') return list[0];
  if (key === 'End') return list.at(-1);
  const by = key === keys[0] ? -1 : key === keys[1] ? 1 : 0;
  return by === 0 ? undefined : list[(at + by + list.length) % list.length];
}

function choosePanel(tab: HTMLElement): void {
  const tablist = tab.parentElement!;
  openPanel(tablist, [...tablist.children].indexOf(tab) + 1);
  tablist.dispatchEvent(new Event('change', { bubbles: true }));
}

const entriesIn = (menu: HTMLElement) => [...menu.querySelectorAll<HTMLElement>('[role="menuitem"]')];

/** Opens below its button, inside the window. */
function placeMenu(menu: HTMLElement): void {
  const button = menu.parentElement!;
  const edge = button.getBoundingClientRect();
  const { width, height } = menu.getBoundingClientRect();
  const rightToLeft = getComputedStyle(button).direction === 'rtl';
  const left = rightToLeft ? edge.right - width : edge.left;
  menu.style.left = `${Math.max(0, Math.min(left, window.innerWidth - width))}px`;
  menu.style.top = `${edge.bottom + height > window.innerHeight ? Math.max(0, edge.top - height - 8) : edge.bottom}px`;
}

function showNumber(slider: HTMLInputElement): void {
  const output = slider.closest('.is-field')?.querySelector('output');
  if (output) output.textContent = slider.value;
  const { min, max, value } = slider;
  slider.style.setProperty('--part', `${(+value - +min) / (+max - +min) || 0}`);
}

/** Marks the place of the application that is on the page. */
export function markPlace(screen: HTMLElement, name: string): void {
  for (const place of screen.querySelectorAll('nav > .part-place'))
    if (place.getAttribute('href') === `#${encodeURIComponent(name)}`)
      place.setAttribute('aria-current', 'page');
    else place.removeAttribute('aria-current');
}

export function startBehaviours(page: Document): void {
  page.addEventListener('click', (event) => {
    const tab = around(event, '[role="tab"]');
    if (tab) choosePanel(tab);
    const entry = around(event, '[role="menuitem"]');
    const menu = entry?.closest<HTMLElement>('[popover]');
    if (entry && menu) {
      menu.hidePopover();
      menu.parentElement!.dispatchEvent(
        new CustomEvent('choose', { detail: (entry as HTMLButtonElement).value }),
      );
    }
  });
  page.addEventListener('keydown', (event) => {
    const pressed = event.target as HTMLElement;
    // Space takes up what can be dragged.
    const presses = event.key === 'Enter' || (event.key === ' ' && pressed.dataset?.carries === undefined);
    if (pressed.dataset?.press !== undefined && presses) {
      event.preventDefault();
      pressed.click();
      return;
    }
    const tab = around(event, '[role="tab"]');
    const menu = around(event, '[role="menu"]');
    const list = tab ? ([...tab.parentElement!.children] as HTMLElement[]) : menu ? entriesIn(menu) : [];
    const from = tab ?? around(event, '[role="menuitem"]');
    if (!from) return;
    const rightToLeft = getComputedStyle(from).direction === 'rtl';
    const across: [string, string] = rightToLeft ? ['ArrowRight', 'ArrowLeft'] : ['ArrowLeft', 'ArrowRight'];
    const target = next(list, from, event.key, tab ? across : ['ArrowUp', 'ArrowDown']);
    if (!target) return;
    event.preventDefault();
    target.focus();
    if (tab) choosePanel(target);
  });
  // The first entry has the focus as soon as a menu is there, before any other key (HTML, popover focusing steps). Said
  // only then: a browser would look for it as the page comes, too.
  page.addEventListener(
    'beforetoggle',
    ({ target }) => {
      const [first] = entriesIn(target as HTMLElement);
      if (first) first.autofocus = true;
    },
    true,
  );
  // `toggle` does not bubble (HTML, popover).
  page.addEventListener(
    'toggle',
    (event) => {
      const menu = event.target as HTMLElement;
      if (menu.role !== 'menu' || event.newState !== 'open') return;
      placeMenu(menu);
    },
    true,
  );
  for (const type of ['input', 'hovrin-shown'])
    page.addEventListener(
      type,
      (event) => {
        const slider = around(event, 'input[type="range"]');
        if (slider) showNumber(slider as HTMLInputElement);
      },
      true,
    );
}
