/** What this window can undo: its own entries, page by page, past what does not fit any more. */
import { expect, it, vi } from 'vitest';
import { type HistoryPage, OwnHistory } from '../src/editor/ownHistory.ts';

const part = (sequence: number, kind: 'change' | 'undo' | 'redo' = 'change', takes?: number) => ({
  sequence,
  kind,
  label: `${sequence}`,
  steps: [],
  inverse: [],
  ...(takes === undefined ? {} : { takes }),
});
const at = (sequence: number) => ({ ...part(sequence), revision: sequence * 2 });
const undone = ({ undo }: { undo: readonly { label: string }[] }) => undo.map(({ label }) => label);

it('begins with the newest page, and fetches the one before where few are left', async () => {
  const pages: HistoryPage[] = [
    { entries: [at(3), at(4)], older: true },
    { entries: [at(1), at(2)], older: false },
  ];
  const fetch = vi.fn(async () => pages.shift()!);
  const history = new OwnHistory(fetch);
  await history.begin(8);
  expect(undone(history.read([part(5)]))).toEqual(['3', '4', '5']);
  expect(await history.more()).toBe(true);
  expect(undone(history.read([part(5)]))).toEqual(['1', '2', '3', '4', '5']);
  expect(fetch.mock.calls).toEqual([[9], [6]]);
  expect(await history.more()).toBe(false);
});

it('has nothing to undo without the server, and fetches it at the next undo', async () => {
  const fetch = vi.fn<(before: number) => Promise<HistoryPage>>();
  fetch.mockRejectedValueOnce(new Error('gone')).mockRejectedValueOnce(new Error('gone'));
  fetch.mockResolvedValueOnce({ entries: [at(1)], older: false });
  const history = new OwnHistory(fetch);
  await history.begin(2);
  expect(undone(history.read([]))).toEqual([]);
  expect(await history.more()).toBe(false);
  expect(await history.more()).toBe(true);
  expect(undone(history.read([]))).toEqual(['1']);
});

it('passes over what cannot be taken back, for good', async () => {
  const history = new OwnHistory(async () => ({ entries: [at(1), at(2)], older: false }));
  await history.begin(4);
  history.read([]);
  expect(undone(history.passOver(2))).toEqual(['1']);
  expect(undone(history.read([part(3)]))).toEqual(['1', '3']);
});

it('reads one entry at a time as it reads them all', async () => {
  const history = new OwnHistory(async () => ({ entries: [], older: false }));
  await history.begin(0);
  const entries = [part(0), part(1), part(2, 'undo', 1), part(3, 'redo', 2), part(4, 'undo', 1), part(5)];
  for (let count = 1; count <= entries.length; count++) {
    const added = history.add(entries[count - 1]!);
    expect(history.read(entries.slice(0, count))).toEqual(added);
  }
});
