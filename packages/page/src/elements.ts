/** Elements made while the page runs: parts that are made anew, and copies of what a repeat holds. */
import { type MadeAnew, type PageElement, symbolId } from '@hovrin/core/runtime';

const svgTags = new Set(['svg', 'use', 'path', 'circle', 'rect', 'line', 'ellipse', 'polyline', 'polygon']);

function make(element: PageElement): Element {
  const made = svgTags.has(element.tag)
    ? document.createElementNS('http://www.w3.org/2000/svg', element.tag)
    : document.createElement(element.tag);
  if (element.classes) made.setAttribute('class', element.classes.join(' '));
  // A strict policy takes styles that a script sets, and none that an attribute says.
  for (const [name, value] of Object.entries(element.attributes ?? {}))
    if (name === 'style' && made instanceof HTMLElement) made.style.cssText = String(value);
    else if (value !== false && (value !== '' || name === 'value'))
      made.setAttribute(name, value === true ? '' : String(value));
  if (element.text !== undefined) made.textContent = element.text;
  // All icons that the page may ask for are symbols on it.
  if (element.icon) made.append(make({ tag: 'use', attributes: { href: `#${symbolId(element.icon)}` } }));
  for (const child of element.children ?? [])
    if (typeof child !== 'number' && !('child' in child)) made.append(make(child));
  return made;
}

/**
 * Puts the new content of a control's element in place of the old one.
 *
 * @param part class of the part that changes; undefined: all of it.
 */
export function replaceInside(
  element: HTMLElement,
  part: string | undefined,
  { children, label }: MadeAnew,
): void {
  const target = part === undefined ? element : element.querySelector(`.${part}`);
  if (label !== undefined) target?.setAttribute('aria-label', label);
  target?.replaceChildren(...children.map(make));
}

const naming = [
  'id',
  'for',
  'name',
  'aria-labelledby',
  'aria-describedby',
  'aria-controls',
  'popovertarget',
  'list',
];

/**
 * The name of a control in an item: behind it stand the numbers of the item and of those around it. A part of an instance says
 * itself where they stand: `first[].cell`.
 *
 * @param numbers `[2]`, `[2][0]`; empty outside of repeats.
 */
export function nameInItem(name: string, numbers: string): string {
  const left = numbers.match(/\[\d+\]/g) ?? [];
  return name.replace(/\[\]/g, () => left.shift()!) + left.join('');
}

function rename(named: HTMLElement, to: string): void {
  const name = named.dataset.name!;
  named.dataset.name = to;
  // An id is the screen's name, the control's and the part's, with hyphens, which no name has.
  const ofItem = (id: string) => {
    const parts = id.split('-');
    if (parts[1] === name) parts[1] = to;
    return parts.join('-');
  };
  for (const element of [named, ...named.querySelectorAll('*')])
    for (const attribute of naming) {
      const value = element.getAttribute(attribute);
      if (value) element.setAttribute(attribute, value.split(' ').map(ofItem).join(' '));
    }
}

/** Gives what is in a copy of a repeat's pattern the names of its item, and ids that no other copy has. */
export function nameCopies(copy: DocumentFragment, suffix: string): void {
  for (const named of copy.querySelectorAll<HTMLElement>('[data-name]'))
    rename(named, nameInItem(named.dataset.name!, suffix));
}

/**
 * Gives what is in the copy of an item the number of another place.
 *
 * @param around how many repeats there are around the one that it is a copy of.
 */
export function renumber(elements: readonly HTMLElement[], around: number, to: number): void {
  for (const element of elements)
    for (const named of [element, ...element.querySelectorAll<HTMLElement>('[data-name]')]) {
      let at = 0;
      const name = named.dataset.name?.replace(/\[\d+\]/g, (number) =>
        at++ === around ? `[${to}]` : number,
      );
      if (name !== undefined) rename(named, name);
    }
}
