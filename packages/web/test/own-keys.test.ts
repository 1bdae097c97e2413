// @vitest-environment jsdom
/** Keys as a person wants them, and going from region to region. */
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import {
  giveKeys,
  isLetter,
  keysNow,
  pressedKeys,
  switchLetters,
  takesLetters,
} from '../src/editor/ownKeys.ts';
import { goToRegion } from '../src/editor/regions.ts';

describe('the keys of a command', () => {
  afterEach(() => giveKeys('wrap', undefined));
  it('are those that it ships with, until it is given others or none', () => {
    expect(keysNow('wrap', ['G'])).toEqual(['G']);
    giveKeys('wrap', 'Mod+Alt+G');
    expect(keysNow('wrap', ['G'])).toEqual(['Mod+Alt+G']);
    expect(JSON.parse(localStorage.getItem('hovrin.keys')!)).toMatchObject({ own: { wrap: 'Mod+Alt+G' } });
    giveKeys('wrap', '');
    expect(keysNow('wrap', ['G'])).toEqual([]);
    giveKeys('wrap', undefined);
    expect(keysNow('wrap', ['G'])).toEqual(['G']);
  });

  it.each([
    [{ key: 'g' }, 'G'],
    [{ key: 'G', shiftKey: true }, 'Shift+G'],
    [{ key: '?', shiftKey: true }, '?'],
    [{ key: 'ArrowUp', altKey: true, ctrlKey: true }, 'Mod+Alt+ArrowUp'],
    [{ key: 'Shift', shiftKey: true }, undefined],
  ])('are read from what is pressed: %o is %s', (event, keys) => {
    expect(pressedKeys(new KeyboardEvent('keydown', event), false)).toBe(keys);
  });
});

describe('a single letter', () => {
  beforeEach(() => {
    document.body.innerHTML =
      '<section data-letters><button id="in">in</button></section><button id="out">out</button>';
  });
  afterEach(() => switchLetters(true));
  it('is one sign, with Shift or without', () => {
    expect(['G', 'Shift+G', '?', '['].every(isLetter)).toBe(true);
    expect(['Mod+G', 'Enter', 'F6', 'Alt+G', 'Shift+F6'].some(isLetter)).toBe(false);
  });
  it('acts where the bench has the keys, not where one went by keys to something else, and never where it is off', () => {
    const [within, out] = ['in', 'out'].map((id) => document.getElementById(id)!);
    document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Tab' }));
    expect([takesLetters(document.body), takesLetters(within!), takesLetters(out!)]).toEqual([
      true,
      true,
      false,
    ]);
    // The pointer was the last thing used: one still works on the bench.
    document.dispatchEvent(new Event('pointerdown'));
    expect(takesLetters(out!)).toBe(true);
    switchLetters(false);
    expect([takesLetters(document.body), takesLetters(within!)]).toEqual([false, false]);
  });
});

describe('F6', () => {
  beforeEach(() => {
    document.body.innerHTML = `
      <header data-region="path"><button id="a">a</button><button id="b">b</button></header>
      <section data-region="hidden" id="hidden"><button>c</button></section>
      <section data-region="bench"><input id="size"><div data-region-begin tabindex="0" id="bays"></div></section>
      <aside data-region="facts">nothing in it</aside>`;
    for (const element of document.querySelectorAll<HTMLElement>('*'))
      element.getClientRects = () => (element.closest('#hidden') ? [] : [{}]) as unknown as DOMRectList;
  });
  const at = () => document.activeElement?.id || document.activeElement?.getAttribute('data-region');
  it('goes from region to region that is seen, and round; backwards, too', () => {
    expect([goToRegion(1), at()]).toEqual(['path', 'a']);
    expect([goToRegion(1), at()]).toEqual(['bench', 'bays']);
    expect([goToRegion(1), at()]).toEqual(['facts', 'facts']);
    expect([goToRegion(1), at()]).toEqual(['path', 'a']);
    expect(goToRegion(-1)).toBe('facts');
  });
  it('comes back to what had the keys there last', () => {
    document.getElementById('b')!.focus();
    goToRegion(1);
    document.getElementById('size')!.focus();
    goToRegion(-1);
    expect(at()).toBe('b');
    goToRegion(1);
    expect(at()).toBe('size');
  });
});
