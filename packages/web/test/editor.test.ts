import type { Appended, Project, SentEntry, Step, StoredEntry } from '@hovrin/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Editor } from '../src/editor/editor.ts';

const project: Project = {
  format: 1,
  name: 'Trial',
  bands: [{ name: 'hand', label: 'Hand', from: 0 }],
  state: [],
  assets: [],
  screens: [
    {
      id: 's',
      kind: 'screen',
      name: 'Tonight',
      props: {},
      children: [{ id: 't', kind: 'text', name: 'title', props: {}, children: [] }],
    },
  ],
};
const set = (value: string): Step => ({ type: 'set', control: 't', property: 'text', value });
const stored = (entry: SentEntry, revision: number, clientId: string): StoredEntry => ({
  ...entry,
  revision,
  clientId,
  time: 0,
  inverse: [],
});

/** A server whose answers the test gives when it wants. */
class Answers {
  readonly requests: {
    clientId: string;
    entries: SentEntry[];
    answer: (body: Appended | 'gone') => Promise<void>;
  }[] = [];
  readonly sources: { onmessage?: (message: { data: string }) => void; close: () => void }[] = [];

  install(): void {
    const { requests, sources } = this;
    vi.stubGlobal('fetch', (_: string, options: { body: string }) => {
      const { clientId, entries } = JSON.parse(options.body) as { clientId: string; entries: SentEntry[] };
      return new Promise((resolve, reject) => {
        requests.push({
          clientId,
          entries,
          answer: async (body) => {
            if (body === 'gone') reject(new TypeError('network'));
            else resolve({ ok: true, status: 200, json: async () => body });
            await vi.advanceTimersByTimeAsync(1);
          },
        });
      });
    });
    vi.stubGlobal(
      'EventSource',
      class {
        onmessage?: (message: { data: string }) => void;
        constructor() {
          sources.push(this as never);
        }
        close() {}
      },
    );
    vi.stubGlobal('navigator', {});
    const kept = new Map<string, string>();
    vi.stubGlobal('localStorage', {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => kept.set(key, value),
      removeItem: (key: string) => kept.delete(key),
      key: (index: number) => [...kept.keys()][index],
      get length() {
        return kept.size;
      },
    });
  }
}

let answers: Answers;
let editor: Editor;
beforeEach(() => {
  vi.useFakeTimers();
  answers = new Answers();
  answers.install();
  editor = new Editor('p', { project, revision: 0, entries: [], older: false });
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const textNow = () => editor.state.project.screens[0]!.children[0]!.props.text;
const type = (value: string, group?: string) =>
  editor.dispatch({ label: 'Text', steps: [set(value)], ...(group ? { group } : {}) });

describe('the editor', () => {
  it('sends what is done while a request is on its way in the next one, and loses nothing', async () => {
    type('one');
    await vi.advanceTimersByTimeAsync(400);
    type('two');
    type('three');
    const [first] = answers.requests;
    await first!.answer({
      revision: 1,
      accepted: first!.entries.map((entry) => stored(entry, 1, first!.clientId)),
      refused: [],
      missed: [],
    });
    await vi.advanceTimersByTimeAsync(400);
    expect(answers.requests[1]!.entries.map((entry) => entry.steps)).toEqual([[set('two')], [set('three')]]);
    expect([textNow(), editor.state.saving]).toEqual(['three', 'saving']);
  });

  it('joins a run of typing into one entry and one undo', async () => {
    for (const value of ['s', 'so', 'soup']) type(value, 'run');
    await vi.advanceTimersByTimeAsync(400);
    expect(answers.requests[0]!.entries).toMatchObject([{ steps: [set('soup')] }]);
    expect(editor.state.history.undo).toHaveLength(1);
    editor.undo();
    expect(textNow()).toBeUndefined();
    editor.redo();
    expect(textNow()).toBe('soup');
  });

  it('keeps what is done without the server and sends it again with the same numbers', async () => {
    type('one');
    await vi.advanceTimersByTimeAsync(400);
    await answers.requests[0]!.answer('gone');
    expect(editor.state.saving).toBe('offline');
    type('two');
    await vi.advanceTimersByTimeAsync(2000);
    expect(answers.requests[1]!.entries.map((entry) => entry.sequence)).toEqual([0, 1]);
    expect(localStorage.getItem(`hovrin.pending.p.${answers.requests[0]!.clientId}`)).toContain('two');
  });

  it('never changes an entry that may have arrived, though its answer was lost', async () => {
    type('soup', 'run');
    await vi.advanceTimersByTimeAsync(400);
    await answers.requests[0]!.answer('gone');
    type('soup at seven', 'run');
    await vi.advanceTimersByTimeAsync(2000);
    expect(answers.requests[1]!.entries.map(({ sequence, steps }) => [sequence, steps])).toEqual([
      [0, [set('soup')]],
      [1, [set('soup at seven')]],
    ]);
    expect(editor.state.history.undo).toHaveLength(1);
  });

  it('says which change another window made impossible, and goes on from what the server has', async () => {
    type('mine');
    await vi.advanceTimersByTimeAsync(400);
    const [request] = answers.requests;
    const removal = stored(
      { sequence: 0, kind: 'change', label: 'Delete title', steps: [{ type: 'remove', control: 't' }] },
      1,
      'another',
    );
    await request!.answer({
      revision: 1,
      accepted: [],
      refused: [{ sequence: 0, reason: 'The control is not there any more.', control: 't' }],
      missed: [removal],
    });
    expect(editor.state.notice).toContain('“Text” was not kept: The control is not there any more.');
    expect(editor.state.project.screens[0]!.children).toEqual([]);
    expect(editor.state.saving).toBe('saved');
  });

  it('refuses steps that do not fit, with the reason', () => {
    expect(editor.dispatch({ label: 'x', steps: [{ type: 'remove', control: 'gone' }] })).toBe(false);
    expect(editor.state.notice).toBe('The control is not there any more.');
    expect(editor.state.history.undo).toEqual([]);
  });
});
