/** What a new project can begin as, and pictures of projects and starters for the cards that one chooses by. */
import type Router from '@koa/router';
import type { Context } from 'koa';
import { LRUCache } from 'lru-cache';
import type { Parts } from '../parts.ts';
import { RequestError } from '../request.ts';
import { readStarter, starterIds, starterSummaries } from '../starters.ts';

/** Pictures that are held; the one that was used longest ago goes first. */
const mostHeld = 60;

export function starterRoutes(router: Router, { store, workshop }: Parts): void {
  /** By what is drawn, and its revision. */
  const drawings = new LRUCache<string, Promise<string>>({ max: mostHeld });

  const drawn = (key: string, make: () => Promise<string>): Promise<string> => {
    const known = drawings.get(key);
    if (known) return known;
    const made = make();
    drawings.set(key, made);
    made.catch(() => drawings.delete(key));
    return made;
  };
  const answer = (context: Context, svg: string) => {
    context.type = 'image/svg+xml';
    // Drawn as a picture only: opened by its address it runs nothing.
    context.set(
      'Content-Security-Policy',
      "default-src 'none'; style-src 'unsafe-inline'; font-src data:; img-src data:; sandbox",
    );
    context.body = svg;
  };

  router.get('/api/starters', async (context) => {
    context.body = { starters: await starterSummaries() };
  });

  router.get('/api/starters/:id/picture', async (context) => {
    const id = context.params.id ?? '';
    if (!(await starterIds()).includes(id)) throw new RequestError(404, 'There is no such starter.');
    answer(
      context,
      await drawn(`starter ${id}`, async () =>
        workshop.do('drawing', { id: undefined, project: await readStarter(id) }),
      ),
    );
  });

  router.get('/api/projects/:id/picture', async (context) => {
    const id = context.params.id ?? '';
    const open = store.has(id) ? store.read(id) : undefined;
    if (!open) throw new RequestError(404, 'There is no such project.');
    const { project, revision } = open;
    if (project.screens.length === 0) throw new RequestError(404, 'The project has no screens.');
    answer(context, await drawn(`${id} ${revision}`, () => workshop.do('drawing', { id, project })));
  });
}
