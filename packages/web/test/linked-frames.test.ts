/** Pages that run side by side: what one says, and what the others are told. */
import { beforeEach, describe, expect, it } from 'vitest';
import { usualSizes } from '../src/sizes.ts';
import { plainConditions } from '../src/try/conditions.tsx';
import { valuesKept } from '../src/try/keptHere.ts';
import { type FramesSetting, LinkedFrames, type PageMessage, startOf } from '../src/try/linkedFrames.ts';
import { withProblem } from '../src/try/ProblemStrip.tsx';

type Told = { readonly type: string } & Readonly<Record<string, unknown>>;

/** A page that keeps what it is told. */
class Page {
  readonly told: Told[] = [];
  postMessage(message: object): void {
    this.told.push(message as Told);
  }
  /** What it was told besides conditions, and forgets it. */
  take(): Told[] {
    return this.told.splice(0).filter(({ type }) => type !== 'hovrin-conditions');
  }
}

const setting: FramesSetting = {
  address: 'https://hut.example/page.html#Tonight',
  linked: true,
  conditions: plainConditions,
  sizes: usualSizes,
  sizeOf: (label) => usualSizes.find((size) => size.label === label),
};
let frames: LinkedFrames;
let pages: Record<'Hand' | 'Lap' | 'Desk', Page>;
let heard: unknown[];
const listener = {
  onProblem: (text: string) => heard.push(['problem', text]),
  onPick: (screen: string, control: string) => heard.push(['pick', screen, control]),
  onGiven: (thing: object) => heard.push(['given', thing]),
  onTrace: (size: string, screen: string) => heard.push(['trace', size, screen]),
  onRunning: (size: string) => heard.push(['running', size]),
  onValue: () => {},
  onKeep: (key: string, text: string) => heard.push(['keep', key, text]),
  onStep: (step: object) => heard.push(['step', step]),
  onTaskStep: (index: number, problem: string | undefined) => heard.push(['task step', index, problem]),
  onTaskEnd: () => heard.push(['task end']),
};
const say = (label: keyof typeof pages, data: PageMessage, how = setting) =>
  frames.hear(pages[label], data, how, listener);
const start = (how = setting) => {
  for (const label of ['Hand', 'Lap', 'Desk'] as const)
    say(label, { type: 'hovrin-screen', text: 'Tonight' }, how);
  for (const page of Object.values(pages)) page.take();
};

beforeEach(() => {
  frames = new LinkedFrames();
  pages = { Hand: new Page(), Lap: new Page(), Desk: new Page() };
  heard = [];
  for (const [label, page] of Object.entries(pages)) frames.add(label, () => page);
});

describe('a page that starts', () => {
  it('is told of its device and its reader; one of those that are linked does what happens by itself', () => {
    for (const label of ['Hand', 'Desk'] as const) say(label, { type: 'hovrin-screen', text: 'Tonight' });
    expect([...pages.Hand.told, ...pages.Desk.told].map(({ type }) => type)).toEqual([
      'hovrin-conditions',
      'hovrin-conditions',
    ]);
    expect(pages.Hand.told[0]).toMatchObject({ type: 'hovrin-conditions', touch: true, follows: false });
    expect(pages.Desk.told[0]).toMatchObject({ type: 'hovrin-conditions', touch: false, follows: true });
    expect(heard).toEqual([
      ['running', 'Hand'],
      ['running', 'Desk'],
    ]);
  });

  it('is told what was entered before, and goes where the others are', () => {
    say('Hand', { type: 'hovrin-screen', text: 'Tonight' });
    say('Hand', { type: 'hovrin-state', name: 'guests', value: 4 });
    say('Hand', { type: 'hovrin-screen', text: 'Arrivals' });
    pages.Desk.take();
    say('Desk', { type: 'hovrin-screen', text: 'Tonight' });
    expect(pages.Desk.take()).toEqual([
      { type: 'hovrin-set', name: 'guests', value: 4 },
      { type: 'hovrin-go', screen: 'Arrivals' },
    ]);
  });

  it('elsewhere than at its beginning takes the others along: a link was pressed before it had started', () => {
    say('Hand', { type: 'hovrin-screen', text: 'Tonight' });
    pages.Hand.take();
    say('Desk', { type: 'hovrin-screen', text: 'CheckIn' });
    expect(pages.Hand.take()).toEqual([{ type: 'hovrin-go', screen: 'CheckIn' }]);
  });

  it('anew begins without what was entered, once that is forgotten', () => {
    start();
    say('Hand', { type: 'hovrin-state', name: 'guests', value: 4 });
    frames.reload();
    frames.forget();
    pages.Hand.take();
    say('Hand', { type: 'hovrin-screen', text: 'Tonight' });
    expect(pages.Hand.take()).toEqual([]);
  });
});

describe('what happens in one', () => {
  it('happens in the others: values, screens, dialogs', () => {
    start();
    say('Lap', { type: 'hovrin-state', name: 'guests', value: 2 });
    say('Lap', { type: 'hovrin-screen', text: 'Arrivals' });
    say('Lap', { type: 'hovrin-dialogs', names: ['Ask'] });
    const told = [
      { type: 'hovrin-set', name: 'guests', value: 2 },
      { type: 'hovrin-go', screen: 'Arrivals' },
      { type: 'hovrin-show-dialogs', names: ['Ask'] },
    ];
    expect(pages.Hand.take()).toEqual(told);
    expect(pages.Desk.take()).toEqual(told);
    expect(pages.Lap.take()).toEqual([]);
  });

  it('does not go round: a page that arrives where it was sent sends nobody anywhere', () => {
    start();
    say('Lap', { type: 'hovrin-screen', text: 'Arrivals' });
    for (const page of Object.values(pages)) page.take();
    say('Hand', { type: 'hovrin-screen', text: 'Arrivals' });
    expect(pages.Lap.take()).toEqual([]);
    expect(pages.Desk.take()).toEqual([{ type: 'hovrin-go', screen: 'Arrivals' }]);
  });

  it('stays there where they are taken apart', () => {
    const apart = { ...setting, linked: false };
    start(apart);
    say('Lap', { type: 'hovrin-state', name: 'guests', value: 2 }, apart);
    say('Lap', { type: 'hovrin-screen', text: 'Arrivals' }, apart);
    expect(pages.Hand.take()).toEqual([]);
  });
});

describe('what a page says to the person', () => {
  it('is heard with the screen that it shows', () => {
    start();
    heard = [];
    say('Lap', { type: 'hovrin-pick', text: 'note' });
    say('Lap', { type: 'hovrin-problem', text: 'No such table' });
    say('Lap', { type: 'hovrin-copy', text: 'Ilka' });
    say('Lap', { type: 'hovrin-file', name: 'a.csv', text: 'guest' });
    expect(heard).toEqual([
      ['pick', 'Tonight', 'note'],
      ['problem', 'No such table'],
      ['given', { as: 'copy', text: 'Ilka' }],
      ['given', { as: 'file', name: 'a.csv', text: 'guest' }],
    ]);
  });

  it('is not heard from windows that are no page of these, nor once a page is gone', () => {
    const gone = frames.add('Extra', () => extra);
    const extra = new Page();
    frames.hear({}, { type: 'hovrin-problem', text: 'from elsewhere' }, setting, listener);
    gone();
    frames.hear(extra, { type: 'hovrin-problem', text: 'from one that is gone' }, setting, listener);
    frames.hear(pages.Hand, JSON.parse('null'), setting, listener);
    frames.hear(pages.Hand, JSON.parse('{"type":4}'), setting, listener);
    expect(heard).toEqual([]);
  });
});

it('the screen that a page begins with stands in its address', () => {
  expect(startOf('https://hut.example/p.html#Check%20in')).toBe('Check in');
  expect(startOf('https://hut.example/p.html')).toBe('');
});

it('what goes wrong again counts, and stands in front; the oldest go', () => {
  let problems = withProblem([], 'soup');
  problems = withProblem(problems, 'wood');
  problems = withProblem(problems, 'soup');
  expect(problems).toEqual([
    { text: 'soup', times: 2 },
    { text: 'wood', times: 1 },
  ]);
  for (let at = 0; at < 100; at++) problems = withProblem(problems, `wood ${at}`);
  expect(problems).toHaveLength(50);
  expect(problems[0]!.text).toBe('wood 99');
});

it('a value that is set from outside goes to all pages, and to those that start later', () => {
  start();
  frames.set('bunk', 7);
  expect(pages.Hand.take()).toEqual([{ type: 'hovrin-set', name: 'bunk', value: 7 }]);
  expect(pages.Desk.take()).toEqual([{ type: 'hovrin-set', name: 'bunk', value: 7 }]);
  say('Hand', { type: 'hovrin-keep', key: 'hovrin hut bunk', text: '7' });
  expect(heard.at(-1)).toEqual(['keep', 'hovrin hut bunk', '7']);
});

it('values that were kept are those of the project, as far as they can be read', () => {
  const texts = {
    'hovrin hut': '2',
    'hovrin hut bunk': '7',
    'hovrin hut bad': '{',
    'hovrin other bunk': '8',
  };
  expect([...valuesKept(texts, 'hut')]).toEqual([['bunk', 7]]);
});

describe('a new version', () => {
  it('has the values, the screen and the dialogs of the one before', () => {
    start();
    say('Lap', { type: 'hovrin-state', name: 'guest', value: 'Ilka' });
    say('Lap', { type: 'hovrin-screen', text: 'Bunk' });
    say('Lap', { type: 'hovrin-dialogs', names: ['Sure'] });
    for (const page of Object.values(pages)) page.take();
    frames.reload();
    say('Hand', { type: 'hovrin-screen', text: 'Tonight' });
    expect(pages.Hand.take()).toEqual([
      { type: 'hovrin-set', name: 'guest', value: 'Ilka' },
      { type: 'hovrin-go', screen: 'Bunk' },
      { type: 'hovrin-show-dialogs', names: ['Sure'] },
    ]);
  });

  it('begins where everything begins anew', () => {
    start();
    say('Lap', { type: 'hovrin-screen', text: 'Bunk' });
    frames.reload();
    frames.forget();
    for (const page of Object.values(pages)) page.take();
    say('Hand', { type: 'hovrin-screen', text: 'Tonight' });
    expect(pages.Hand.take()).toEqual([]);
  });
});
