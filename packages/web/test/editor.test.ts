/** The editor among other windows: what it sends, hears, undoes and sets aside. */
import type { Step } from '@hovrin/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { api } from '../src/api.ts';
import type { Heard } from '../src/editor/changes/changes.ts';
import { Editor } from '../src/editor/editor.ts';
import { type FakeBrowser, installBrowser } from './fakeBrowser.ts';
import { FakeServer } from './fakeServer.ts';
import { trialProject } from './trialProject.ts';

let hear: ((heard: Heard) => void) | undefined;
vi.mock('../src/editor/changes/changes.ts', () => ({
  listenTo: (_: string, __: number, listener: (heard: Heard) => void) => {
    hear = listener;
    return () => undefined;
  },
}));
// One window after the other: each test has an id of its own, so that nothing is shared between them.
let windowId = 'window-0';
vi.mock('../src/editor/windows.ts', () => ({
  claimWindow: async () => windowId,
  isAlive: async () => false,
}));

let browser: FakeBrowser;
let server: FakeServer;
let editor: Editor;

const set = (value: string, property = 'text'): Step => ({ type: 'set', control: 't', property, value });
const textNow = () => editor.state.project.screens[0]!.children[0]?.props.text;
const type = (value: string, group?: string) =>
  editor.dispatch({ label: `Type ${value}`, steps: [set(value)], ...(group ? { group } : {}) });
/** Time for requests and answers. */
const later = (ms = 400) => vi.advanceTimersByTimeAsync(ms);
/** Another window does something, and this one hears of it. */
const other = async (label: string, ...steps: Step[]) => {
  const entry = server.other(label, ...steps);
  hear?.({ what: 'entry', entry });
  await later(1);
};

beforeEach(async () => {
  vi.useFakeTimers();
  browser = installBrowser();
  server = new FakeServer(trialProject);
  windowId = 'window-1';
  vi.spyOn(api, 'open').mockImplementation(async (_, client) => ({
    project: server.project,
    revision: server.revision,
    nextSequence: server.entries.filter(({ clientId }) => clientId === client).length,
  }));
  vi.spyOn(api, 'append').mockImplementation((_, client, base, sent) => server.append(client, base, sent));
  vi.spyOn(api, 'history').mockImplementation(async (_, client, before) => server.history(client, before));
  editor = await Editor.open('p');
});
afterEach(() => {
  vi.restoreAllMocks();
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

describe('the editor', () => {
  it('sends what is done while a request is on its way in the next one, and loses nothing', async () => {
    type('one');
    await vi.advanceTimersByTimeAsync(300);
    type('two');
    type('three');
    await later();
    expect(server.requests.map((each) => each.length)).toEqual([1, 2]);
    expect([textNow(), editor.state.saving]).toEqual(['three', 'saved']);
  });

  it('joins a run of typing into one entry and one undo', async () => {
    for (const value of ['s', 'so', 'soup']) type(value, 'run');
    await later();
    expect(server.requests[0]).toMatchObject([{ steps: [set('soup')] }]);
    expect(editor.state.history.undo).toHaveLength(1);
    editor.undo();
    expect(textNow()).toBeUndefined();
    editor.redo();
    expect(textNow()).toBe('soup');
  });

  it('gives groups of any length a key that the server takes', async () => {
    const group = Array.from({ length: 60 }, (_, index) => `control-${index}`).join(' ');
    for (const value of ['a', 'b']) type(value, `${group} text`);
    type('c', `${group} gap`);
    await later();
    expect(editor.state.saving).toBe('saved');
    expect(server.entries).toHaveLength(2);
    editor.dispatch({ label: 'x'.repeat(5000), steps: [set('d')] });
    await later();
    expect([editor.state.saving, server.entries.at(-1)!.label.length]).toEqual(['saved', 300]);
  });

  it('never changes an entry that may have arrived, though its answer was lost', async () => {
    server.failures = ['lost'];
    type('soup', 'run');
    await later();
    type('soup at seven', 'run');
    await later(3000);
    expect(server.entries.map(({ sequence, steps }) => [sequence, steps])).toEqual([
      [0, [set('soup')]],
      [1, [set('soup at seven')]],
    ]);
    expect(editor.state.history.undo).toHaveLength(1);
  });

  it('refuses steps that do not fit, with the reason', () => {
    expect(editor.dispatch({ label: 'x', steps: [{ type: 'remove', control: 'gone' }] })).toBe(false);
    expect(editor.state.notice).toBe('The control is not there any more.');
    expect(editor.state.history.undo).toEqual([]);
  });
});

describe('undo', () => {
  it('takes back this window’s newest change, not another’s', async () => {
    type('mine');
    await later();
    await other('Theirs', set('8', 'size'));
    expect(editor.state.history.undo.map(({ label }) => label)).toEqual(['Type mine']);
    editor.undo();
    await later();
    expect(server.project.screens[0]!.children[0]!.props).toEqual({ size: '8' });
  });

  it('leaves what another has changed since, says so, and goes on with the change before', async () => {
    editor.dispatch({ label: 'Size', steps: [set('20', 'size')] });
    type('mine');
    await later();
    await other('Theirs', set('theirs'));
    editor.undo();
    expect(textNow()).toBe('theirs');
    expect(editor.state.notice).toContain('“Type mine” was not undone');
    editor.undo();
    await later();
    expect(server.project.screens[0]!.children[0]!.props).toEqual({ text: 'theirs' });
    editor.redo();
    await later();
    expect(server.project.screens[0]!.children[0]!.props).toEqual({ text: 'theirs', size: '20' });
  });

  it('goes on after a reload, as far back as one goes', async () => {
    for (let index = 0; index < 120; index++) {
      type(`n${index}`);
      await later();
    }
    editor.close();
    editor = await Editor.open('p');
    for (let index = 0; index < 120; index++) {
      editor.undo();
      await later(1);
    }
    expect(textNow()).toBeUndefined();
    expect(editor.state.history.undo).toEqual([]);
  });

  it('is the same after a reload in the middle of it', async () => {
    for (const value of ['a', 'b', 'c']) type(value);
    editor.undo();
    editor.undo();
    await later();
    editor.close();
    editor = await Editor.open('p');
    const labels = ({ undo, redo }: typeof editor.state.history) =>
      [undo, redo].map((list) => list.map(({ label }) => label));
    expect(labels(editor.state.history)).toEqual([['Type a'], ['Type c', 'Type b']]);
    editor.redo();
    expect(textNow()).toBe('b');
  });
});

describe('two windows', () => {
  it('that each add a variable have both, and one’s undo leaves the other’s', async () => {
    const put = (name: string): Step => ({
      type: 'put',
      of: 'state',
      entity: { name, type: 'text', initial: '' },
    });
    editor.dispatch({ label: 'Add late', steps: [put('late')] });
    server.other('Add soup', put('soup'));
    await later();
    const names = () => server.project.state.map(({ name }) => name);
    expect(names()).toEqual(['soup', 'late']);
    expect(editor.state.project.state).toEqual(server.project.state);
    editor.undo();
    await later();
    expect(names()).toEqual(['soup']);
  });

  it('that add one of the same name have both, with what was done with each since', async () => {
    const put = (initial: string): Step => ({
      type: 'put',
      of: 'state',
      entity: { name: 'value1', type: 'text', initial },
    });
    editor.dispatch({ label: 'Add value1', steps: [put('mine')] });
    editor.dispatch({
      label: 'Show it',
      steps: [
        set('{value1}'),
        { type: 'change', of: 'state', key: 'value1', fields: { kept: { to: true } } },
      ],
    });
    server.other('Add value1', put('theirs'));
    vi.spyOn(api, 'append').mockImplementation(async (_, client, base, sent) => {
      const answer = await server.append(client, base, sent);
      await new Promise((resolve) => setTimeout(resolve, 200));
      return answer;
    });
    await vi.advanceTimersByTimeAsync(350);
    // While the answer is on its way, it goes on.
    editor.dispatch({
      label: 'Call it late',
      steps: [{ type: 'rename', of: 'state', key: 'value1', to: 'late' }],
    });
    await later(2000);
    expect(server.project.state).toEqual([
      { name: 'value1', type: 'text', initial: 'theirs' },
      { name: 'late', type: 'text', initial: 'mine', kept: true },
    ]);
    expect(server.project.screens[0]!.children[0]!.props.text).toBe('{late}');
    expect(editor.state.project).toEqual(server.project);
    expect([editor.state.asides, editor.state.saving]).toEqual([[], 'saved']);
  });

  it('keep a change of what one of them renames meanwhile', async () => {
    const entity = { name: 'late', type: 'boolean', initial: false };
    server.other('Add late', { type: 'put', of: 'state', entity });
    editor = await Editor.open('p');
    server.failures = ['gone', 'gone'];
    editor.dispatch({ label: 'Show late', steps: [set('{late}')] });
    await later();
    await other('Rename', { type: 'rename', of: 'state', key: 'late', to: 'overdue' });
    expect(textNow()).toBe('{overdue}');
    await later(10_000);
    expect(server.project.screens[0]!.children[0]!.props.text).toBe('{overdue}');
    expect(editor.state.asides).toEqual([]);
  });

  it('set aside what does not fit any more, with the text, and put it back with what was deleted', async () => {
    server.failures = ['gone', 'gone', 'gone'];
    type('a long text that nobody wants to type again');
    await later();
    await other('Delete title', { type: 'remove', control: 't' });
    // It may have arrived: the server has the last word.
    await later(20_000);
    expect(editor.state.saving).toBe('saved');
    const [aside] = editor.state.asides;
    expect(aside).toMatchObject({ steps: [set('a long text that nobody wants to type again')] });
    expect(aside!.reason).toContain('not there any more');
    expect(editor.tryAgain(aside!)).toBe(true);
    await later();
    expect(server.project.screens[0]!.children[0]).toMatchObject({
      name: 'title',
      props: { text: 'a long text that nobody wants to type again' },
    });
    expect(editor.state.asides).toEqual([]);
  });

  it('tell a person whose selection was deleted, and put it back on request', async () => {
    editor.select(['t']);
    await other('Delete title', { type: 'remove', control: 't' });
    expect(editor.state.selection).toEqual([]);
    expect(editor.state.notice).toContain('“Delete title”');
    editor.tryAgain(editor.state.asides[0]!);
    expect(editor.state.project.screens[0]!.children).toHaveLength(1);
  });

  it('read the project anew where something is missing in between', async () => {
    server.other('Missed', set('8', 'size'));
    await other('Heard', set('20', 'size'));
    await later(10);
    expect(editor.state.project.screens[0]!.children[0]!.props).toEqual({ size: '20' });
    expect(editor.state.revision).toBe(2);
  });
});

describe('what the browser keeps', () => {
  const pendingOf = (id: string) => browser.storage.getItem(`hovrin.pending.p.${id}`);

  it('is sent by the next window, with what can be undone', async () => {
    server.failures = Array.from({ length: 9 }, () => 'gone' as const);
    type('soup');
    await later();
    expect(editor.state.saving).toBe('offline');
    expect(pendingOf('window-1')).toContain('soup');
    server.failures = [];
    editor = await Editor.open('p');
    expect([textNow(), editor.state.history.undo.length]).toEqual(['soup', 1]);
    editor.flush();
    await later();
    expect(server.project.screens[0]!.children[0]!.props.text).toBe('soup');
    expect(pendingOf('window-1')).toBeNull();
  });

  it('of another closed window is sent, and what is refused of it is set aside; opening never waits for it', async () => {
    const entry = (sequence: number, ...steps: Step[]) => ({
      sequence,
      kind: 'change',
      label: `old ${sequence}`,
      steps,
    });
    browser.storage.setItem(
      'hovrin.pending.p.window-old',
      JSON.stringify([
        entry(0, set('kept')),
        entry(1, { type: 'remove', control: 'nowhere' }),
        { nonsense: true },
      ]),
    );
    editor = await Editor.open('p');
    await later(50);
    expect(server.project.screens[0]!.children[0]!.props.text).toBe('kept');
    expect(textNow()).toBe('kept');
    expect(editor.state.asides).toMatchObject([{ label: 'old 1' }, { reason: 'An entry has no number.' }]);
    expect(pendingOf('window-old')).toBeNull();
  });

  it('from format 1 is sent as steps of the newest', async () => {
    const late = { name: 'late', type: 'text', initial: '' };
    browser.storage.setItem(
      'hovrin.pending.p.window-old',
      JSON.stringify([
        {
          sequence: 0,
          kind: 'change',
          label: 'old',
          steps: [{ type: 'project', key: 'state', value: [late] }],
        },
      ]),
    );
    editor = await Editor.open('p');
    await later(50);
    expect(server.project.state).toEqual([late]);
  });

  it('is not touched where there is no room for more, and the person is told', async () => {
    server.failures = Array.from({ length: 9 }, () => 'gone' as const);
    type('soup');
    await later();
    browser.storage.room = 300;
    type('x'.repeat(1000));
    expect(editor.state.isUnkept).toBe(true);
    expect(editor.state.notice).toContain('storage of the browser is full');
    expect(pendingOf('window-1')).toContain('soup');
    server.failures = [];
    await later(30_000);
    expect([editor.state.saving, editor.state.isUnkept]).toEqual(['saved', false]);
  });

  it('that cannot be read is put aside, not thrown away', async () => {
    browser.storage.setItem('hovrin.pending.p.window-old', '[{"half');
    editor = await Editor.open('p');
    await later(50);
    const keys = [...browser.storage.items.keys()];
    expect(keys.some((key) => key.startsWith('hovrin.unreadable.hovrin.pending.p.window-old'))).toBe(true);
  });
});
