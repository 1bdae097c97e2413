/** The folder of a server's data: one process at a time, nothing taken for new that is not, copies and sweeping. */
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { mkdtemp, rm, truncate, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { copyDatabase, databaseProblem, holdFolder } from '@hovrin/files';
import { eq, sql } from 'drizzle-orm';
import Database from 'libsql';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { run } from '../../cli/src/main.ts';
import { FolderRefused, openDataFolder } from '../src/store/data-folder.ts';
import { batches, projects } from '../src/store/schema.ts';
import { Store } from '../src/store/store.ts';
import { sweep } from '../src/store/sweep.ts';

let folder: string;
beforeEach(async () => {
  folder = await mkdtemp(join(tmpdir(), 'hovrin-data-'));
});
afterEach(() => rm(folder, { recursive: true }));
const file = () => join(folder, 'hovrin.sqlite');
/** A folder with a project in it, closed again. @returns its id. */
const filled = (): string => {
  const opened = openDataFolder(folder);
  const id = new Store(opened.db).createBlank('Kept');
  opened.close();
  return id;
};

describe('a data folder', () => {
  it('is used by one process at a time, and let go of when that one is killed', async () => {
    filled();
    const holder = spawn(
      process.execPath,
      [
        '-e',
        `const D = require('libsql'); const d = new D(${JSON.stringify(join(folder, 'hovrin.lock'))}); d.exec('PRAGMA locking_mode = EXCLUSIVE; BEGIN EXCLUSIVE;'); console.log('held'); setInterval(() => {}, 1000);`,
      ],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    );
    await once(holder.stdout, 'data');
    expect(() => openDataFolder(folder)).toThrow(FolderRefused);
    expect(() => openDataFolder(folder)).toThrow('Another Hovrin is using the data');
    holder.kill('SIGKILL');
    await once(holder, 'exit');
    openDataFolder(folder).close();
  });

  it.each<[string, () => Promise<void>, string]>([
    ['empty', () => truncate(file(), 0), 'the file is empty'],
    ['cut', () => truncate(file(), 5000), ''],
    ['something else', () => writeFile(file(), 'x'.repeat(9000)), 'the file is no database'],
    ['full of noise', () => writeFile(file(), `SQLite format 3\0${'\x07'.repeat(9000)}`), ''],
  ])(
    'whose database is %s is not taken for a new one: it is put aside, with the way back',
    async (_, spoil, reason) => {
      filled();
      await rm(`${file()}-wal`, { force: true });
      await spoil();
      const spoilt = readFileSync(file());
      const opened = openDataFolder(folder, Date.UTC(2026, 10, 29, 12));
      try {
        expect(opened.told[0]).toContain(`could not be read: ${reason}`);
        const aside = join(folder, 'hovrin.unreadable-20261129T120000.sqlite');
        expect(opened.told[0]).toContain(aside);
        expect(readFileSync(aside)).toEqual(spoilt);
        expect(new Store(opened.db).isEmpty()).toBe(true);
      } finally {
        opened.close();
      }
    },
  );

  it('that a newer version wrote is refused, and left as it is', () => {
    filled();
    const database = new Database(file());
    database.exec("INSERT INTO __drizzle_migrations (hash, created_at) VALUES ('later', 99999999999999)");
    database.close();
    expect(() => openDataFolder(folder)).toThrow('A newer version of Hovrin has written');
    // It lets go of the folder as well.
    holdFolder(folder)!();
    expect(readdirSync(folder).some((name) => name.includes('unreadable'))).toBe(false);
  });
});

it('a database that has no room says so, keeps what it has, and goes on when there is room again', () => {
  const { db, close } = openDataFolder(folder);
  const store = new Store(db);
  const id = store.createBlank('Full');
  const screen = store.read(id)!.project.screens[0]!.id;
  let sequence = 0;
  const add = () => {
    const control = { id: `c${sequence}`, kind: 'text', props: { text: 'x'.repeat(20_000) }, children: [] };
    const steps = [{ type: 'insert' as const, parent: screen, index: 0, control }];
    const entry = { sequence: sequence++, kind: 'change' as const, label: 'Add', steps };
    return store.append(id, 'window-one', 0, [entry])!.accepted.length;
  };
  add();
  // SQLite answers as it does where the disk is full.
  const { page_count: pages } = db.get<{ page_count: number }>(sql`PRAGMA page_count`);
  db.get(sql.raw(`PRAGMA max_page_count = ${pages + 50}`));
  let stored = 1;
  expect(() => {
    while (stored < 100) stored += add();
  }).toThrow(/database or disk is full/);
  expect(add).toThrow(/database or disk is full/);
  expect(stored).toBeGreaterThan(1);
  db.get(sql.raw('PRAGMA max_page_count = 1000000'));
  stored += add();
  expect(new Store(db).read(id)!.project.screens[0]!.children).toHaveLength(stored);
  close();
});

describe('a backup', () => {
  const words = async (...all: string[]) => {
    const said: string[] = [];
    const code = await run(
      all,
      (text) => said.push(text),
      (text) => said.push(text),
    );
    return { code, said: said.join('') };
  };

  it('is taken while the data is in use, and put back', async () => {
    const opened = openDataFolder(folder);
    const store = new Store(opened.db);
    const id = store.createBlank('Kept');
    const copy = join(folder, 'copy.sqlite');
    expect(await words('backup', '--data', folder, '--out', copy)).toMatchObject({ code: 0 });
    store.createBlank('Later');
    expect((await words('backup', '--data', folder, '--out', copy)).said).toContain('is there already');
    expect((await words('restore', copy, '--data', folder)).said).toContain('Stop it first');
    opened.close();
    const restored = await words('restore', copy, '--data', folder);
    expect(restored).toMatchObject({ code: 0 });
    expect(restored.said).toContain('What was there before is in');
    const again = openDataFolder(folder);
    const back = new Store(again.db);
    expect(back.list().map((each) => each.id)).toEqual([id]);
    expect(back.read(id)!.project.name).toBe('Kept');
    again.close();
  });

  it('that is none is refused, and so are words that say too little', async () => {
    const bad = join(folder, 'bad.sqlite');
    await writeFile(bad, 'x'.repeat(200));
    for (const all of [
      ['restore', bad],
      ['restore', 'nowhere.sqlite'],
      ['restore'],
      ['backup'],
      ['backup', '--data', join(folder, 'none'), '--out', join(folder, 'o')],
    ])
      expect((await words(...all)).code).toBe(2);
    expect(() => copyDatabase(bad, join(folder, 'o.sqlite'))).toThrow();
    expect(databaseProblem(join(folder, 'none'))).toBeUndefined();
    expect(existsSync(join(folder, 'none'))).toBe(false);
  });
});

it('what nobody will ask for again is swept, and nothing else', () => {
  const opened = openDataFolder(folder);
  const store = new Store(opened.db);
  const [kept, old, gone] = ['a', 'b', 'c'].map((name) => store.createBlank(name)) as [
    string,
    string,
    string,
  ];
  const day = 24 * 3600 * 1000;
  const now = Date.now() + 40 * day;
  opened.db
    .update(projects)
    .set({ deletedAt: now - 10 * day })
    .where(eq(projects.id, old))
    .run();
  opened.db
    .update(projects)
    .set({ deletedAt: now - 31 * day })
    .where(eq(projects.id, gone))
    .run();
  store.append(kept, 'window-one', 0, [
    {
      sequence: 0,
      kind: 'change',
      label: 'x',
      steps: [
        {
          type: 'put',
          of: 'state',
          entity: { name: 'stays', type: 'list', initial: [], table: { id: 't', rows: 0 } },
        },
      ],
    },
  ]);
  const taken = store.rows.keep(kept, [{ a: 1 }]);
  const untaken = store.rows.keep(kept, [{ a: 2 }]);
  store.append(kept, 'window-one', 1, [
    {
      sequence: 1,
      kind: 'change',
      label: 'x',
      steps: [{ type: 'rows', list: 'stays', at: 0, remove: [], insert: taken }],
    },
  ]);
  const fresh = store.rows.keep(kept, [{ a: 3 }]);
  opened.db.update(batches).set({ createdAt: now }).where(eq(batches.id, fresh.batch)).run();
  expect(sweep(opened.db, now)).toEqual({ projects: 1, batches: 1 });
  expect(
    opened.db
      .select({ id: batches.id })
      .from(batches)
      .all()
      .map(({ id }) => id)
      .toSorted(),
  ).toEqual([taken.batch, fresh.batch].toSorted());
  expect(
    opened.db
      .select({ id: projects.id })
      .from(projects)
      .all()
      .map(({ id }) => id)
      .toSorted(),
  ).toEqual([kept, old].toSorted());
  expect(untaken.count).toBe(1);
  opened.close();
});
