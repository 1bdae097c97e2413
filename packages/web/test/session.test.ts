/** What is confirmed: in the order of the revisions, whatever comes first, and read anew where something is missing. */
import { applySteps, type Step, type StoredEntry } from '@hovrin/core';
import fc from 'fast-check';
import { expect, it, vi } from 'vitest';
import { type ConfirmedEntry, Session } from '../src/editor/session.ts';
import { trialProject } from './trialProject.ts';

const entry = (revision: number, clientId = 'other', steps?: Step[]): StoredEntry => ({
  revision,
  clientId,
  sequence: revision,
  time: 0,
  kind: 'change',
  label: `${revision}`,
  steps: steps ?? [{ type: 'set', control: 't', property: 'text', value: `${revision}` }],
});

function trial(opened = { project: trialProject, revision: 0 }) {
  const seen: ConfirmedEntry[] = [];
  const open = vi.fn(async () => ({ ...opened, nextSequence: 0 }));
  const reopened = vi.fn();
  const session = new Session(
    { clientId: 'me', open, confirmed: (entries) => seen.push(...entries), reopened },
    { project: trialProject, revision: 0 },
  );
  return { session, seen, open, reopened };
}

it('confirms each entry once and in order, in whatever order they come', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 8 }).chain((count) =>
        fc.shuffledSubarray(
          [...Array(count).keys()].flatMap((n) => [n + 1, n + 1]),
          { minLength: count * 2 },
        ),
      ),
      (order) => {
        const { session, seen } = trial();
        for (const revision of order) session.heard(entry(revision), true);
        expect(seen.map((each) => each.entry.revision)).toEqual(
          [...new Set(order)].toSorted((a, b) => a - b),
        );
        expect(session.project.screens[0]!.children[0]!.props.text).toBe(`${Math.max(...order)}`);
      },
    ),
  );
});

it('gives with each entry what takes it back', () => {
  const { session, seen } = trial();
  session.answered({ missed: [entry(1)], accepted: [entry(2, 'me')], refused: [], revision: 2 });
  const back = seen
    .toReversed()
    .reduce(
      (now, { inverse }) => (applySteps(now, inverse) as { project: typeof now }).project,
      session.project,
    );
  expect(back).toEqual(trialProject);
});

it('waits for the answer with its own entries, and with what follows them', () => {
  const { session, seen, open } = trial();
  session.heard(entry(1, 'me'), true);
  session.heard(entry(2), true);
  expect(seen).toEqual([]);
  session.answered({ missed: [], accepted: [entry(1, 'me')], refused: [], revision: 2 });
  expect(seen.map((each) => each.entry.clientId)).toEqual(['me', 'other']);
  expect(open).not.toHaveBeenCalled();
});

it('reads the project anew where an entry is missing, does not fit, or the window is too far behind', async () => {
  const cases: ((session: Session) => void)[] = [
    (session) => session.heard(entry(3), false),
    (session) =>
      session.heard(
        entry(1, 'other', [{ type: 'set', control: 'gone', property: 'text', value: 'x' }]),
        false,
      ),
    (session) => session.answered({ missed: [], accepted: [], refused: [], revision: 7, isBehind: true }),
  ];
  for (const goWrong of cases) {
    const { session, reopened } = trial({ project: { ...trialProject, name: 'Newest' }, revision: 7 });
    goWrong(session);
    await vi.waitFor(() => expect(reopened).toHaveBeenCalledTimes(1));
    expect([session.project.name, session.revision]).toEqual(['Newest', 7]);
  }
});

it('tries again until the project can be read, and not after it was closed', async () => {
  vi.useFakeTimers();
  const { session, open, reopened } = trial();
  open.mockRejectedValueOnce(new Error('gone'));
  await session.reopen();
  expect(reopened).not.toHaveBeenCalled();
  await vi.advanceTimersByTimeAsync(2000);
  expect(reopened).toHaveBeenCalledTimes(1);
  session.close();
  await session.reopen();
  expect(open).toHaveBeenCalledTimes(2);
  vi.useRealTimers();
});
