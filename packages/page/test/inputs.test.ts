/** What a person enters is read, and values are put into inputs. */
import type { PageTarget } from '@hovrin/core/runtime';
import { describe, expect, it } from 'vitest';
import { eventOf, openPanel, readInput, wasEntered, writeInput } from '../src/inputs.ts';
import { one, shown } from './page.ts';

const choice: PageTarget = { as: 'choice' };
const value: PageTarget = { as: 'property', name: 'value' };
const checked: PageTarget = { as: 'property', name: 'checked' };

describe('what is entered', () => {
  it('is read at the event that its input sends', () => {
    expect([eventOf(value), eventOf(choice), eventOf({ as: 'pane' }), eventOf({ as: 'file' })]).toEqual([
      'input',
      'input',
      'change',
      'change',
    ]);
    expect(eventOf({ as: 'sort' })).toBe('hovrin-sort');
  });

  it('of several boxes are the values of those that are checked', () => {
    const group = shown(
      '<div><input type="checkbox" value="twin" checked><input type="checkbox" value="dorm"><input type="checkbox" value="hall" checked></div>',
    );
    expect(readInput(group, choice)).toBe('twin | hall');
  });

  it('is told from what the page was written with', () => {
    const typed = (html: string, change?: (input: HTMLInputElement) => void) => {
      const input = shown(html) as HTMLInputElement;
      change?.(input);
      return wasEntered(input);
    };
    expect(typed('<input type="text" value="soup">')).toBe(false);
    expect(typed('<input type="text" value="soup">', (input) => (input.value = 'bread'))).toBe(true);
    // An emptied field is what nobody has entered anything into yet.
    expect(typed('<input type="text" value="soup">', (input) => (input.value = ''))).toBe(false);
    expect(typed('<input type="checkbox">', (input) => (input.checked = true))).toBe(true);
    expect(typed('<input type="checkbox" checked>')).toBe(false);
    expect(typed('<input type="range" value="3">', (input) => (input.value = '5'))).toBe(false);
    const area = shown('<textarea>a</textarea>') as HTMLTextAreaElement;
    expect(wasEntered(area)).toBe(false);
    area.value = 'b';
    expect(wasEntered(area)).toBe(true);
    expect(wasEntered(shown('<div></div>'))).toBe(false);
  });
});

describe('a value that is put into an input', () => {
  it('leaves what is being typed while that means the same', () => {
    const input = shown('<input type="text" value="1.">') as HTMLInputElement;
    writeInput(input, value, 1);
    expect(input.value).toBe('1.');
    writeInput(input, value, 2);
    expect(input.value).toBe('2');
    // An empty field is no zero.
    input.value = '';
    writeInput(input, value, 0);
    expect(input.value).toBe('0');
  });

  it('takes back that a number could not be read, and tells that it is shown', () => {
    const input = shown('<input type="text" aria-invalid="true">') as HTMLInputElement;
    let told = 0;
    input.addEventListener('hovrin-shown', () => told++);
    writeInput(input, value, 'x');
    expect(input.hasAttribute('aria-invalid')).toBe(false);
    expect(told).toBe(1);
  });

  it('checks a box only for a yes, and those boxes whose values it has', () => {
    const box = shown('<input type="checkbox">') as HTMLInputElement;
    writeInput(box, checked, true);
    expect(box.checked).toBe(true);
    writeInput(box, checked, 'true');
    expect(box.checked).toBe(false);
    const group = shown(
      '<div><input type="checkbox" value="a"><input type="checkbox" value="b" checked></div>',
    );
    writeInput(group, choice, 'a | c');
    expect(readInput(group, choice)).toBe('a');
    writeInput(group, choice, ['b']);
    expect(readInput(group, choice)).toBe('b');
  });

  it('is the column that a table is sorted by', () => {
    const table = shown('<div></div>');
    writeInput(table, { as: 'sort' }, '-guest');
    expect(readInput(table, { as: 'sort' })).toBe('-guest');
  });

  it('says what is wrong in the field’s own words, or in ours', () => {
    const field = shown('<div><input class="part-input"><span class="part-message">Too many</span></div>');
    writeInput(field, { as: 'validity' }, false);
    expect(one<HTMLInputElement>('.part-input').validationMessage).toBe('Too many');
    one('.part-message').textContent = '';
    writeInput(field, { as: 'validity' }, false);
    expect(one<HTMLInputElement>('.part-input').validationMessage).toBe('This is not valid.');
    writeInput(field, { as: 'validity' }, true);
    expect(one<HTMLInputElement>('.part-input').validationMessage).toBe('');
  });
});

it('one of several panels is open, and its tab alone is on the way of the focus', () => {
  const list = shown(
    '<div><button role="tab" tabindex="3" aria-controls="a"></button><button role="tab" tabindex="-1" aria-controls="b"></button></div><div id="a"></div><div id="b" hidden></div>',
  );
  openPanel(list, 2);
  expect([one('#a').hidden, one('#b').hidden]).toEqual([true, false]);
  expect([...list.children].map((tab) => (tab as HTMLElement).tabIndex)).toEqual([-1, 3]);
  expect(readInput(list, { as: 'pane' })).toBe(2);
});
