/** Tasks on a page: what a person does becomes steps, and steps are done as a person would, or it is said why not. */
import type { TaskStep } from '@hovrin/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Recorder } from '../src/tasks/record.ts';
import { runTask } from '../src/tasks/run.ts';
import { enter, key, likeBrowsers, one, shown } from './page.ts';

/** What stands on top at a point; a test says what. */
let onTop: Element | null = null;
const values: Record<string, unknown> = {};

beforeEach(() => {
  likeBrowsers();
  onTop = null;
  document.elementFromPoint = () => onTop;
  Element.prototype.checkVisibility = function checkVisibility() {
    return this.closest('[hidden]') === null;
  };
  HTMLElement.prototype.getClientRects = () => [{}] as unknown as DOMRectList;
  Object.defineProperty(HTMLElement.prototype, 'innerText', {
    configurable: true,
    get(this: HTMLElement) {
      return this.textContent;
    },
  });
  Object.assign(globalThis, { hovrinPage: { get: (name: string) => values[name] } });
  shown(`<div><main class="k-screen" data-name="CheckIn">
    <h1 data-name="heading">Check  in</h1>
    <div class="is-field" data-name="guest"><label for="g">Guest</label><input id="g"></div>
    <div class="is-field" data-name="dog"><label>Dog <input type="checkbox"></label></div>
    <div class="is-field" data-name="room"><select><option value="dorm">Dorm</option><option value="twin">Twin</option></select></div>
    <div data-name="meal"><label><input type="radio" name="m" value="soup"></label><label><input type="radio" name="m" value="cake"></label></div>
    <div data-name="needs"><label><input type="checkbox" value="rope"></label><label><input type="checkbox" value="axe"></label></div>
    <div data-name="count"><button aria-label="Fewer"></button><button aria-label="More"></button><input type="file"></div>
    <div data-name="tabs"><button>One</button><button>Two</button></div>
    <button data-name="save">Save</button><button data-name="off" disabled>Off</button>
    <p data-name="away" hidden>Away</p>
  </main></div>`);
});
afterEach(() => vi.useRealTimers());

const on = (control: string) => ({ screen: 'CheckIn', control });

describe('what a person does', () => {
  function recording() {
    const steps: TaskStep[] = [];
    const recorder = new Recorder((step) => void steps.push(step));
    recorder.start();
    return { steps, recorder };
  }
  const change = (input: HTMLInputElement, value: string | boolean) => {
    enter(input, value);
    input.dispatchEvent(new Event('change', { bubbles: true }));
  };

  it('becomes steps, each at its control', () => {
    const { steps, recorder } = recording();
    change(one<HTMLInputElement>('#g'), 'Ilka');
    change(one<HTMLInputElement>('[type="checkbox"]'), true);
    change(one<HTMLInputElement>('[value="axe"]'), true);
    one('[data-name="count"] [type="file"]').dispatchEvent(new Event('change', { bubbles: true }));
    one('[aria-label="More"]').click();
    one('[data-name="tabs"] button:last-child').click();
    one('[data-name="save"]').click();
    one('[data-name="heading"]').click();
    key(one('#g'), 'Escape');
    recorder.stop();
    one('[data-name="save"]').click();
    expect(steps).toEqual([
      { do: 'enter', ...on('guest'), value: 'Ilka' },
      { do: 'enter', ...on('dog'), value: true },
      { do: 'enter', ...on('needs'), item: 'axe', value: true },
      { do: 'press', ...on('count'), item: 'More' },
      { do: 'press', ...on('tabs'), item: 'Two' },
      { do: 'press', ...on('save') },
      { do: 'key', ...on('guest'), key: 'Escape' },
    ]);
  });

  it('is expected, and not done, where that is asked for', async () => {
    const { steps, recorder } = recording();
    const pressed = vi.fn();
    one('[data-name="save"]').addEventListener('click', pressed);
    one<HTMLInputElement>('#g').value = 'Ilka';
    for (const selector of [
      '[data-name="save"]',
      '#g',
      '[type="checkbox"]',
      '[data-name="heading"]',
      'main',
    ]) {
      recorder.expects(true);
      one(selector).click();
      await new Promise((resolve) => setTimeout(resolve));
    }
    recorder.stop();
    expect(pressed).not.toHaveBeenCalled();
    expect(steps).toEqual([
      { do: 'expect', ...on('save'), text: 'Save' },
      { do: 'expect', ...on('guest'), value: 'Ilka' },
      { do: 'expect', ...on('dog'), is: 'unchecked' },
      { do: 'expect', ...on('heading'), text: 'Check in' },
      { do: 'expect-screen', screen: 'CheckIn' },
    ]);
  });
});

describe('a task', () => {
  /** Does steps; time passes as fast as it can. */
  async function done(...steps: readonly TaskStep[]) {
    vi.useFakeTimers({ toFake: ['setTimeout', 'performance'] });
    const problems: (string | undefined)[] = [];
    const going = runTask(steps, (_, problem) => void problems.push(problem));
    await vi.advanceTimersByTimeAsync(60_000);
    return { ok: await going, problems };
  }

  it('is done step by step', async () => {
    const heard: string[] = [];
    for (const name of ['input', 'change', 'click'])
      document.body.addEventListener(name, ({ target }) =>
        heard.push(`${name} ${(target as Element).closest<HTMLElement>('[data-name]')?.dataset.name}`),
      );
    values.count = 3;
    const { ok } = await done(
      { do: 'enter', ...on('guest'), value: 'Ilka' },
      { do: 'enter', ...on('dog'), value: true },
      { do: 'enter', ...on('room'), value: 'twin' },
      { do: 'enter', ...on('meal'), value: 'cake' },
      { do: 'enter', ...on('needs'), item: 'axe', value: true },
      { do: 'press', ...on('tabs'), item: 'Two' },
      { do: 'wait', seconds: 2 },
      { do: 'expect', ...on('guest'), value: 'Ilka' },
      { do: 'expect', ...on('room'), value: 'twin' },
      { do: 'expect', ...on('meal'), value: 'cake' },
      { do: 'expect', ...on('dog'), is: 'checked' },
      { do: 'expect', ...on('heading'), text: 'Check in' },
      { do: 'expect', ...on('away'), is: 'hidden' },
      { do: 'expect', ...on('off'), is: 'disabled' },
      { do: 'expect-screen', screen: 'CheckIn' },
      { do: 'expect-value', variable: 'count', value: 3 },
    );
    expect(ok).toBe(true);
    expect(one<HTMLInputElement>('[value="axe"]').checked).toBe(true);
    expect(one<HTMLInputElement>('[value="rope"]').checked).toBe(false);
    expect(heard).toContain('input guest');
    expect(heard).toContain('change room');
    expect(heard.filter((text) => text === 'click tabs')).toHaveLength(1);
  });

  it.each([
    [{ do: 'press', ...on('nobody') }, 'There is no `nobody` on `CheckIn` now.'],
    [{ do: 'press', screen: 'Attic', control: 'save' }, 'There is no `save` on `Attic` now.'],
    [{ do: 'press', ...on('away') }, '`away` is not shown.'],
    [{ do: 'press', ...on('off') }, '`off` cannot be pressed now.'],
    [{ do: 'press', ...on('tabs'), item: 'Three' }, 'There is no “Three” in `tabs` now.'],
    [{ do: 'enter', ...on('room'), value: 'tent' }, '`room` has no choice “tent”.'],
    [{ do: 'enter', ...on('meal'), value: 'fish' }, '`meal` has no choice “fish”.'],
    [{ do: 'enter', ...on('needs'), item: 'skis', value: true }, '`needs` has no choice “skis”.'],
    [{ do: 'enter', ...on('heading'), value: 'x' }, 'Nothing is entered into `heading`.'],
    [{ do: 'expect', ...on('heading'), text: 'Arrivals' }, '`heading` says “Check in”.'],
    [{ do: 'expect', ...on('guest'), value: 'Bram' }, '`guest` holds “”.'],
    [{ do: 'expect', ...on('dog'), is: 'checked' }, 'dog is checked: it is not.'],
    [{ do: 'expect-screen', screen: 'Attic' }, '`CheckIn` is seen, not `Attic`.'],
    [{ do: 'expect-value', variable: 'wind', value: 1 }, '`wind` is undefined.'],
  ] as const)('ends where a step cannot be done: %j', async (step, sentence) => {
    const { ok, problems } = await done(step as TaskStep, { do: 'press', ...on('save') });
    expect([ok, problems]).toEqual([false, [sentence]]);
  });

  it('does not press what is covered', async () => {
    onTop = one('[data-name="heading"]');
    const { problems } = await done({ do: 'press', ...on('save') });
    expect(problems).toEqual(['`save` is covered by `heading`.']);
  });

  it('waits until a step can be done', async () => {
    setTimeout(() => one('[data-name="away"]').removeAttribute('hidden'));
    const late = one('[data-name="off"]');
    vi.useFakeTimers({ toFake: ['setTimeout', 'performance'] });
    setTimeout(() => late.removeAttribute('disabled'), 3000);
    const going = runTask([{ do: 'press', ...on('off') }], () => {});
    await vi.advanceTimersByTimeAsync(4000);
    expect(await going).toBe(true);
  });
});
