/** Projects as zips of their folders: taken out, and brought in. */
import { zipLimits } from '@hovrin/files';
import type Router from '@koa/router';
import type { Parts } from '../parts.ts';
import { RequestError, readBody } from '../request.ts';

/** A file name without what file systems do not like. */
const fileName = (name: string): string => name.replace(/[^\p{L}\p{N} _-]+/gu, '').trim() || 'project';

export function zipRoutes(router: Router, { store, workshop }: Parts): void {
  router.get('/api/projects/:id/project.zip', async (context) => {
    const id = context.params.id ?? '';
    const open = store.has(id) ? store.read(id) : undefined;
    if (!open) throw new RequestError(404, 'There is no such project; it may have been deleted.');
    const zip = await workshop.do('pack', { id, project: open.project });
    context.type = 'application/zip';
    context.attachment(`${fileName(open.project.name)}.hovrin.zip`);
    context.body = Buffer.from(zip);
  });

  // Checked as a whole first: nothing of a zip that is not right is brought in.
  router.post('/api/projects/zip', async (context) => {
    const bytes = await readBody(context.req, zipLimits.packed);
    const outcome = await workshop.do('unpack', { bytes });
    if (!outcome.ok) throw new RequestError(422, outcome.message);
    const { project, rows, pictures } = outcome;
    context.body = { id: await store.bringIn(project, pictures, rows) };
  });
}
