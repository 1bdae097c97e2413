/** Starters: each is a project without a fault at any width; new projects begin as one; cards have pictures. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { checkAll, printScreen, unusedIn, usualCheck } from '@hovrin/core';
import { loadShaper, workspace } from '@hovrin/files';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { readStarter, starterIds, starterSummaries } from '../src/starters.ts';
import { type Served, served } from './served.ts';

let server: Served;
beforeAll(async () => {
  server = await served();
});
afterAll(() => server.close());

const post = (body: unknown) =>
  fetch(`${server.base}/api/projects`, { method: 'POST', body: JSON.stringify(body) });

describe('a starter', () => {
  it('has a name and a sentence', async () => {
    const all = await starterSummaries();
    expect(all.map(({ id }) => id)).toEqual(await starterIds());
    for (const { name, description } of all) {
      expect(name).toMatch(/^[A-Z]/);
      expect(description).toMatch(/^[A-Z].*\.$/);
    }
  });

  it('is clean at all widths, upright and across, and its sources are as they would be printed', async () => {
    const shaper = await loadShaper();
    for (const id of await starterIds()) {
      const project = await readStarter(id);
      expect(unusedIn(project)).toEqual([]);
      for (const screen of project.screens) {
        const found = checkAll(shaper, project, screen, usualCheck);
        expect(found.map(({ check, sentence }) => `${id} ${check}: ${sentence}`)).toEqual([]);
        const source = await readFile(
          join(workspace, `starters/${id}/screens/${screen.name}.screen.xml`),
          'utf8',
        );
        expect(source).toBe(printScreen(screen, project.bands));
      }
    }
  }, 60_000);

  it('is what a new project begins as, with ids of its own and the name that was given', async () => {
    const [first, second] = await Promise.all(
      ['form', 'form'].map(async (starter) => {
        const { id } = (await (await post({ name: 'Bunks', starter })).json()) as { id: string };
        return server.store.read(id)!.project;
      }),
    );
    expect(first).toMatchObject({ name: 'Bunks', start: 'Booking' });
    expect(first?.description).toBeUndefined();
    expect(first!.screens[0]!.id).not.toBe(second!.screens[0]!.id);
    expect((await post({ name: 'Bunks', starter: '../demo' })).status).toBe(404);
    expect((await post({ name: 'Bunks', starter: 7 })).status).toBe(400);
  });

  it('is drawn, as projects are as they are now', async () => {
    const picture = async (path: string) => {
      const answer = await fetch(server.base + path);
      return { status: answer.status, type: answer.headers.get('content-type'), text: await answer.text() };
    };
    const drawn = await picture('/api/starters/settings/picture');
    expect(drawn.type).toContain('image/svg+xml');
    expect(drawn.text).toContain('Quiet hours');
    expect(drawn.text).toContain('font/woff2;base64,');
    const { id } = (await (await post({ name: 'Bunks', starter: 'signin' })).json()) as { id: string };
    expect((await picture(`/api/projects/${id}/picture`)).text).toContain('Wardens only');
    const { project, revision } = server.store.read(id)!;
    const control = project.screens[0]!.children[0]!.children[0]!.children[1]!.id;
    server.store.append(id, 'client-one', revision, [
      {
        sequence: 0,
        kind: 'change',
        label: 'Words',
        steps: [{ type: 'set', control, property: 'text', value: 'Nobody else' }],
      },
    ]);
    expect((await picture(`/api/projects/${id}/picture`)).text).toContain('Nobody else');
    expect((await picture('/api/starters/nothing/picture')).status).toBe(404);
    expect((await picture('/api/projects/nothing/picture')).status).toBe(404);
  });
});
