/** Tabs, things that are pressed by keys, sliders, the place that is shown. */
import { beforeAll, expect, it } from 'vitest';
import { markPlace, startBehaviours } from '../src/behaviours.ts';
import { key, one, shown } from './page.ts';

beforeAll(() => startBehaviours(document));

const tabs =
  '<div class="part-tabs"><button role="tab" id="t1" aria-controls="p1"></button><button role="tab" id="t2" tabindex="-1" aria-controls="p2"></button><button role="tab" id="t3" tabindex="-1" aria-controls="p3"></button></div><div id="p1"></div><div id="p2" hidden></div><div id="p3" hidden></div>';
const open = () => ['p1', 'p2', 'p3'].filter((id) => !one(`#${id}`).hidden);

it('a tab that is pressed opens its panel, and tells of it', () => {
  const list = shown(tabs);
  let told = 0;
  list.addEventListener('change', () => told++);
  one('#t2').click();
  expect(open()).toEqual(['p2']);
  expect(told).toBe(1);
});

it('arrows, Home and End go round the tabs, the other way where one reads from the right', () => {
  shown(tabs);
  const press = (from: string, name: string) => {
    one(from).focus();
    key(one(from), name);
    return document.activeElement?.id;
  };
  expect(press('#t1', 'ArrowRight')).toBe('t2');
  expect(press('#t1', 'ArrowLeft')).toBe('t3');
  expect(press('#t3', 'ArrowRight')).toBe('t1');
  expect(press('#t1', 'End')).toBe('t3');
  expect(press('#t3', 'Home')).toBe('t1');
  expect(open()).toEqual(['p1']);
  one('.part-tabs').style.direction = 'rtl';
  for (const tab of document.querySelectorAll<HTMLElement>('[role="tab"]')) tab.style.direction = 'rtl';
  expect(press('#t1', 'ArrowLeft')).toBe('t2');
});

it('what is pressed and no button is pressed by Enter and Space; what can be carried only by Enter', () => {
  const pressed: string[] = [];
  shown('<div data-press id="a"></div><div data-press data-carries id="b"></div><div id="c"></div>');
  for (const each of document.querySelectorAll<HTMLElement>('div'))
    each.addEventListener('click', () => pressed.push(each.id));
  for (const id of ['a', 'b', 'c']) for (const name of ['Enter', ' ', 'x']) key(one(`#${id}`), name);
  expect(pressed).toEqual(['a', 'a', 'b']);
});

it('a slider shows its number, and how far it is filled', () => {
  shown('<div class="is-field"><output></output><input type="range" min="10" max="20" value="15"></div>');
  one('input').dispatchEvent(new Event('input', { bubbles: true }));
  expect(one('output').textContent).toBe('15');
  expect(one('input').style.getPropertyValue('--part')).toBe('0.5');
  // A range without a length is filled to nothing.
  one<HTMLInputElement>('input').value = '10';
  one<HTMLInputElement>('input').max = '10';
  one('input').dispatchEvent(new Event('hovrin-shown', { bubbles: true }));
  expect(one('input').style.getPropertyValue('--part')).toBe('0');
});

it('the place that is shown is marked in navigations, and no other', () => {
  const screen = shown(
    '<main><nav><a class="part-place" href="#To%20do" aria-current="page"></a><a class="part-place" href="#Tonight"></a></nav></main>',
  );
  markPlace(screen, 'Tonight');
  expect([...screen.querySelectorAll('a')].map((each) => each.getAttribute('aria-current'))).toEqual([
    null,
    'page',
  ]);
  markPlace(screen, 'To do');
  expect(screen.querySelector('a')!.getAttribute('aria-current')).toBe('page');
});
