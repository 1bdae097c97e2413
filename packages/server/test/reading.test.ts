/** Reading stored projects: damaged ones, ones of format 1, and collections that were added. */
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { addCollection, applySteps, type Project, putting, type Step } from '@hovrin/core';
import { and, eq, gt } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { notes } from '../../core/test/notes-collection.ts';
import { type Db, openDatabase } from '../src/store/database.ts';
import { entries, projects, snapshots, unreadable } from '../src/store/schema.ts';
import { Store } from '../src/store/store.ts';

let folder: string;
let file: string;
let db: Db;
let close: () => void;
let store: Store;
const open = () => {
  ({ db, close } = openDatabase(file));
  store = new Store(db);
};
/** The store as it is after a restart. */
const restarted = (): Store => {
  close();
  open();
  return store;
};
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'hovrin-reading-'));
  file = join(folder, 'test.sqlite');
  open();
});
afterEach(async () => {
  close();
  await rm(folder, { recursive: true });
});

let sequence = 0;
const send = (id: string, label: string, ...steps: Step[]) => {
  const { revision } = store.read(id)!;
  return store.append(id, 'window-one', revision, [{ sequence: sequence++, kind: 'change', label, steps }])!;
};
const gap = (id: string, value: number): Step => ({
  type: 'set',
  control: store.read(id)!.project.screens[0]!.id,
  property: 'gap',
  value: String(value),
});
const gapOf = (id: string) => store.read(id)!.project.screens[0]!.props.gap;

describe('a damaged project', () => {
  const trial = (count: number) => {
    const id = store.createBlank('Trial');
    for (let index = 1; index <= count; index++) send(id, `Gap ${index}`, gap(id, index));
    return id;
  };

  it('opens at the last good revision, says so, keeps what it could not read, and goes on', () => {
    const id = trial(7);
    db.update(entries)
      .set({ steps: '[{"type"' })
      .where(and(eq(entries.projectId, id), eq(entries.revision, 5)))
      .run();
    restarted();
    const read = store.read(id)!;
    expect([read.revision, gapOf(id)]).toEqual([4, '4']);
    expect(read.damage).toMatch(
      /^The newest 3 changes could not be read and are kept aside: Entry 5 \(“Gap 5”\)/,
    );
    expect(store.unreadable(id)).toHaveLength(3);
    send(id, 'On', gap(id, 50));
    restarted();
    expect([store.read(id)!.revision, gapOf(id), store.read(id)!.damage]).toEqual([5, '50', undefined]);
  });

  it.each([
    ['a step that is none', '[{"type":"explode"}]'],
    ['a step that does not fit', '[{"type":"remove","control":"nowhere"}]'],
    ['a record of nothing', 'null'],
  ])('stops at %s', (_, steps) => {
    const id = trial(3);
    db.update(entries)
      .set({ steps })
      .where(and(eq(entries.projectId, id), eq(entries.revision, 2)))
      .run();
    restarted();
    expect([store.read(id)!.revision, gapOf(id)]).toEqual([1, '1']);
  });

  it('notices gaps in its log, in between and at its end', () => {
    const id = trial(5);
    db.delete(entries)
      .where(and(eq(entries.projectId, id), eq(entries.revision, 3)))
      .run();
    restarted();
    expect(store.read(id)!.damage).toContain('Entry 3 of the log is missing.');
    expect(gapOf(id)).toBe('2');
    const other = trial(5);
    db.delete(entries)
      .where(and(eq(entries.projectId, other), gt(entries.revision, 3)))
      .run();
    restarted();
    expect(store.read(other)!.damage).toContain('Entries 4 to 5 of the log are missing.');
    expect(gapOf(other)).toBe('3');
  });

  it('goes back to an older snapshot where the newest is none', () => {
    const id = trial(105);
    for (const document of ['{"format":2', '{"format":2,"name":"x"}', '[]']) {
      db.update(snapshots)
        .set({ document })
        .where(and(eq(snapshots.projectId, id), eq(snapshots.revision, 100)))
        .run();
      restarted();
      expect([store.read(id)!.revision, gapOf(id), store.read(id)!.damage]).toEqual([105, '105', undefined]);
    }
  });

  it('of which nothing is left neither hides the others nor the list', () => {
    const good = trial(1);
    const bad = trial(1);
    db.update(snapshots).set({ document: 'x' }).where(eq(snapshots.projectId, bad)).run();
    db.update(projects).set({ screens: null }).where(eq(projects.id, bad)).run();
    restarted();
    expect(store.list().map(({ id, screens }) => [id, screens])).toEqual(
      expect.arrayContaining([
        [good, 1],
        [bad, undefined],
      ]),
    );
    expect(() => store.read(bad)).toThrow('Nothing of this project can be read');
  });
});

describe('a project of format 1', () => {
  const late = { name: 'late', type: 'text', initial: '' };
  const soup = { name: 'soup', type: 'number', initial: 3 };
  /** Stores entries as format 1 had them. */
  const older = (steps: object[][], inverses: object[][]): string => {
    const id = store.createBlank('Old');
    const { document } = db.select().from(snapshots).where(eq(snapshots.projectId, id)).get()!;
    const project = {
      ...(JSON.parse(document) as Project),
      format: 1,
      bands: [{ name: 'hand', label: 'Hand', from: 0, width: 4 }],
    };
    db.update(snapshots)
      .set({ document: JSON.stringify(project) })
      .where(eq(snapshots.projectId, id))
      .run();
    for (const [index, each] of steps.entries())
      db.insert(entries)
        .values({
          projectId: id,
          revision: index + 1,
          clientId: 'window-one',
          sequence: index,
          kind: 'change',
          label: `Old ${index}`,
          steps: JSON.stringify(each),
          inverse: JSON.stringify(inverses[index]),
          time: 0,
        })
        .run();
    db.update(projects).set({ revision: steps.length, screens: null }).where(eq(projects.id, id)).run();
    restarted();
    return id;
  };
  const list = (value: object[]) => ({ type: 'project', key: 'state', value });

  it('becomes one of the newest, and what was done in it can still be undone', () => {
    const id = older(
      [[list([late])], [list([soup, { ...late, kept: true }])], [list([soup])]],
      [[list([])], [list([late])], [list([soup, late])]],
    );
    const { project, revision, damage } = store.read(id)!;
    expect([project.format, revision, damage, project.state]).toEqual([2, 3, undefined, [soup]]);
    // What no band has went.
    expect(project.bands).toEqual([{ name: 'hand', label: 'Hand', from: 0 }]);
    restarted();
    expect(store.read(id)!.project).toEqual(project);
    let current = store.read(id)!.project;
    for (const { inverse } of store.history(id, 'window-one', 99).entries.toReversed()) {
      const back = applySteps(current, inverse);
      if (!back.ok) throw new Error(back.reason);
      current = back.project;
    }
    expect(current.state).toEqual([]);
  });

  it('whose log does not follow opens from its newest snapshot, without a way back', () => {
    const id = older([[list([late])]], [[list([])]]);
    const { document } = db.select().from(snapshots).where(eq(snapshots.projectId, id)).get()!;
    // As it was before it was opened: the first entry does not fit, the second snapshot does.
    const first = { ...(JSON.parse(document) as Project), format: 1 };
    db.update(snapshots)
      .set({ document: JSON.stringify(first) })
      .where(eq(snapshots.projectId, id))
      .run();
    db.insert(snapshots)
      .values({ projectId: id, revision: 1, document: JSON.stringify({ ...first, name: 'Later' }) })
      .onConflictDoNothing()
      .run();
    db.update(entries)
      .set({ steps: '[{"type":"remove","control":"nowhere"}]' })
      .where(eq(entries.projectId, id))
      .run();
    restarted();
    expect(store.read(id)!.project.name).toBe('Later');
    expect(store.history(id, 'window-one', 99).entries).toEqual([]);
  });

  it('that is newer than this version is refused with a sentence', () => {
    const id = store.createBlank('New');
    const { document } = db.select().from(snapshots).where(eq(snapshots.projectId, id)).get()!;
    db.update(snapshots)
      .set({ document: document.replace('"format":2', '"format":3') })
      .where(eq(snapshots.projectId, id))
      .run();
    restarted();
    expect(() => store.read(id)).toThrow('A newer version reads it.');
    expect(db.select().from(unreadable).all()).toEqual([]);
  });
});

it('a collection that is added is stored, told to others, duplicated and read again', () => {
  const takeAway = addCollection(notes);
  try {
    const id = store.createBlank('Trial');
    const heard: string[] = [];
    store.listen(id, ({ label }) => heard.push(label));
    const tea = { name: 'tea', words: 'At four' };
    expect(send(id, 'Tea', putting('notes', tea)).refused).toEqual([]);
    // Another window, on the same base.
    const other = store.append(id, 'window-two', 0, [
      {
        sequence: 0,
        kind: 'change',
        label: 'Bread',
        steps: [putting('notes', { name: 'bread', words: 'b' })],
      },
    ])!;
    expect([other.refused, other.missed.length, heard]).toEqual([[], 1, ['Tea', 'Bread']]);
    const notesOf = (of: string) =>
      (store.read(of)!.project as unknown as { notes: { name: string }[] }).notes;
    expect(notesOf(id).map(({ name }) => name)).toEqual(['tea', 'bread']);
    const undo = store.history(id, 'window-one', 99).entries.at(-1)!.inverse;
    expect(send(id, 'Undo', ...undo).refused).toEqual([]);
    restarted();
    expect(notesOf(id).map(({ name }) => name)).toEqual(['bread']);
    expect(notesOf(store.duplicate(id)!)).toEqual(notesOf(id));
  } finally {
    takeAway();
  }
});
