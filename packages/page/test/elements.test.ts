/** Parts that are made anew, and copies with names and ids of their own. */
import { expect, it } from 'vitest';
import { nameCopies, replaceInside } from '../src/elements.ts';
import { one, shown } from './page.ts';

it('a part has what it is given, and nothing of what it had', () => {
  const element = shown('<div><span class="part-menu"><b>old</b></span><i>stays</i></div>');
  replaceInside(element, 'part-menu', {
    label: 'Menu',
    children: [
      {
        tag: 'button',
        classes: ['a', 'b'],
        attributes: { disabled: true, hidden: false, value: '' },
        text: '<b>',
      },
      { tag: 'svg', icon: 'bed' },
      { tag: 'p', children: [0, { tag: 'em', text: 'x' }] },
    ],
  });
  expect(one('.part-menu').getAttribute('aria-label')).toBe('Menu');
  expect(one('.part-menu').innerHTML).toBe(
    '<button class="a b" disabled="" value="">&lt;b&gt;</button><svg><use href="#icon-bed"></use></svg><p><em>x</em></p>',
  );
  expect(one('svg').namespaceURI).toBe('http://www.w3.org/2000/svg');
  expect(one('use').namespaceURI).toBe('http://www.w3.org/2000/svg');
  expect(one('i').textContent).toBe('stays');
});

it('without a part all that is inside is made anew', () => {
  const element = shown('<div><b>old</b></div>');
  replaceInside(element, undefined, { children: [] });
  expect(element.childElementCount).toBe(0);
  expect(element.hasAttribute('aria-label')).toBe(false);
});

it('a copy has the names of its item, and ids that no other copy has', () => {
  document.body.innerHTML =
    '<template><div data-name="guest" aria-describedby="A-guest-hint A-other-hint A-guest-message"><label for="A-guest-input"></label><input id="A-guest-input" name="A-guest-options"></div><p data-name="guests" id="A-guests-x"></p></template>';
  const copy = one<HTMLTemplateElement>('template').content.cloneNode(true) as DocumentFragment;
  nameCopies(copy, '[2][0]');
  const [field, other] = copy.children as unknown as HTMLElement[];
  expect(field!.dataset.name).toBe('guest[2][0]');
  expect(field!.getAttribute('aria-describedby')).toBe(
    'A-guest[2][0]-hint A-other-hint A-guest[2][0]-message',
  );
  expect(field!.querySelector('label')!.htmlFor).toBe('A-guest[2][0]-input');
  expect(field!.querySelector('input')!.id).toBe('A-guest[2][0]-input');
  expect(field!.querySelector('input')!.name).toBe('A-guest[2][0]-options');
  // A name that only begins alike is another one.
  expect(other!.id).toBe('A-guests[2][0]-x');
});
