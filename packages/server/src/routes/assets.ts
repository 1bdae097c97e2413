/** Pictures of a project: keeping them, showing them. */
import type Router from '@koa/router';
import Joi from 'joi';
import type { Parts } from '../parts.ts';
import { check, RequestError, readBody } from '../request.ts';

/** Largest picture, in bytes. */
const largestPicture = 10_000_000;
const types = ['image/png', 'image/jpeg', 'image/webp', 'image/gif', 'image/svg+xml'];

const shape = Joi.object<{ name: string; width: number; height: number }>({
  name: Joi.string()
    .pattern(/^\w[\w .-]*$/)
    .max(100)
    .required(),
  width: Joi.number().positive().max(20_000).required(),
  height: Joi.number().positive().max(20_000).required(),
});

export function assetRoutes(router: Router, { store, workshop }: Parts): void {
  router.post('/api/projects/:id/assets', async (context) => {
    const id = context.params.id ?? '';
    if (!store.has(id)) throw new RequestError(404, 'There is no such project.');
    const type = context.get('Content-Type');
    if (!types.includes(type)) throw new RequestError(415, 'A picture is PNG, JPEG, WebP, GIF or SVG.');
    const asset = check(context.query, shape);
    const bytes = await readBody(context.req, largestPicture);
    const outcome = await workshop.do('picture', { name: asset.name, type, bytes });
    if (!outcome.ok) throw new RequestError(415, outcome.message);
    if (!store.pictures.put(id, { ...asset, type }, Buffer.from(outcome.bytes)))
      throw new RequestError(409, `There is already a picture ${asset.name}.`);
    context.body = {};
  });

  router.get('/api/projects/:id/assets/:name', (context) => {
    const asset = store.pictures.get(context.params.id ?? '', context.params.name ?? '');
    if (!asset) throw new RequestError(404, 'There is no such picture.');
    context.type = asset.type;
    // Drawn as a picture only: an SVG opened by its address runs nothing.
    context.set('Content-Security-Policy', "default-src 'none'; style-src 'unsafe-inline'; sandbox");
    context.body = asset.bytes;
  });
}
