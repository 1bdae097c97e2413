/** Forms: sent only when all in them is valid; they know whether it is, and whether something has changed. */
import { afterEach, beforeAll, beforeEach, expect, it, vi } from 'vitest';
import { forget, startForms, watchFields } from '../src/forms.ts';
import { enter, likeBrowsers, one, shown } from './page.ts';

const form =
  '<form><div class="field"><input required value="a"><span class="part-message">Who?</span></div></form>';
const send = () => one('form').dispatchEvent(new Event('submit', { bubbles: true, cancelable: true }));

beforeAll(() => {
  likeBrowsers();
  startForms(document);
});
beforeEach(() => {
  vi.useFakeTimers();
});
afterEach(() => {
  vi.useRealTimers();
});

it('the browser never sends one, and one that is wrong gives its first wrong field the focus', () => {
  shown(form);
  let heard = 0;
  one('form').addEventListener('submit', () => heard++);
  enter(one('input'), '');
  expect(send()).toBe(false);
  expect(document.activeElement).toBe(one('input'));
  expect(heard).toBe(0);
  enter(one('input'), 'Ilka');
  expect(send()).toBe(false);
  expect(heard).toBe(1);
});

it('one that was sent is as if nobody had been in it, and keeps what is in it', () => {
  shown(form);
  let sent = 0;
  one('form').addEventListener('hovrin-sent', () => sent++);
  enter(one('input'), 'Ilka');
  vi.advanceTimersByTime(1000);
  expect(one('input').dataset.typed).toBe('');
  send();
  vi.runAllTimers();
  expect(sent).toBe(1);
  expect(one<HTMLInputElement>('input').value).toBe('Ilka');
  expect(one('input').dataset.typed).toBeUndefined();
});

it('a field says what is wrong after a pause, not while somebody types', () => {
  shown(form);
  enter(one('input'), 'a');
  vi.advanceTimersByTime(400);
  enter(one('input'), 'ab');
  vi.advanceTimersByTime(400);
  expect(one('input').dataset.typed).toBeUndefined();
  vi.advanceTimersByTime(400);
  expect(one('input').dataset.typed).toBe('');
});

it('knows whether it is valid and whether it has changed, also since it was sent', () => {
  shown(form);
  const valid: boolean[] = [];
  const changed: boolean[] = [];
  const ending = new AbortController();
  watchFields(one('form'), 'valid', (now) => valid.push(now), ending.signal);
  watchFields(one('form'), 'changed', (now) => changed.push(now), ending.signal);
  enter(one('input'), '');
  enter(one('input'), 'b');
  expect(valid).toEqual([true, false, true]);
  expect(changed).toEqual([false, true, true]);
  send();
  vi.runAllTimers();
  expect(changed.at(-1)).toBe(false);
  ending.abort();
  enter(one('input'), '');
  expect(valid.at(-1)).toBe(true);
});

it('a number that cannot be read is wrong, and what a file field holds is left alone', () => {
  shown('<form><input aria-invalid="true" value="x"><input type="file"></form>');
  const valid: boolean[] = [];
  watchFields(one('form'), 'valid', (now) => valid.push(now), new AbortController().signal);
  expect(valid).toEqual([false]);
  forget(one('form'));
  expect(one<HTMLInputElement>('input').value).toBe('x');
});

const closed =
  '<form><div role="tablist"><button type="button" role="tab" aria-controls="p" id="t">More</button></div><div role="tabpanel" id="p" hidden><div class="field"><span class="part-label">Room</span><input id="room" required></div></div></form>';

it('a field in a panel that is closed is opened, and has the focus', () => {
  shown(closed);
  one('#t').addEventListener('click', () => {
    one('#p').hidden = false;
  });
  send();
  expect(one('#p').hidden).toBe(false);
  expect(document.activeElement).toBe(one('#room'));
});

it('what a form does not show it does not ask for', () => {
  shown('<form><input id="a" required><input id="b" required></form>');
  for (const id of ['#a', '#b']) one(id).checkVisibility = () => id === '#b';
  let heard = 0;
  one('form').addEventListener('submit', () => heard++);
  send();
  expect(document.activeElement).toBe(one('#b'));
  enter(one('#b'), 'x');
  send();
  expect(heard).toBe(1);
});

it('what is wrong in a field that cannot take the focus is said by the page', () => {
  shown(
    '<form><div class="field"><span class="part-label">Bunk</span><input id="a" required><span class="part-message">Choose one</span></div></form>',
  );
  one('#a').focus = () => {};
  send();
  expect(one('.page-message').textContent).toBe('Bunk: Choose one');
});
