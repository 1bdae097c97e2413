/** Pictures of a project: keeping them, showing them. */
import { cleanSvg } from '@hovrin/core';
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

/** The first bytes of the files that are pictures, in hexadecimal, by media type. */
const beginnings: Readonly<Record<string, RegExp>> = {
  'image/png': /^89504e470d0a1a0a/,
  'image/jpeg': /^ffd8ff/,
  'image/webp': /^52494646.{8}57454250/,
  'image/gif': /^47494638(37|39)61/,
};

/**
 * A picture as it is stored: an SVG is rebuilt of what draws, whoever sent it.
 *
 * @throws RequestError where the bytes are no picture of that type.
 */
export function storable(name: string, type: string, bytes: Buffer): Buffer {
  if (type !== 'image/svg+xml') {
    if (beginnings[type]?.test(bytes.subarray(0, 16).toString('hex'))) return bytes;
    throw new RequestError(415, `${name} is not what it says it is: ${type}.`);
  }
  const cleaned = cleanSvg(bytes.toString('utf8'));
  if (!cleaned.ok) throw new RequestError(415, `${name} cannot be read: ${cleaned.message}`);
  return Buffer.from(cleaned.text);
}

export function assetRoutes(router: Router, { store }: Parts): void {
  router.post('/api/projects/:id/assets', async (context) => {
    const id = context.params.id ?? '';
    if (!store.has(id)) throw new RequestError(404, 'There is no such project.');
    const type = context.get('Content-Type');
    if (!types.includes(type)) throw new RequestError(415, 'A picture is PNG, JPEG, WebP, GIF or SVG.');
    const asset = check(context.query, shape);
    const bytes = storable(asset.name, type, await readBody(context.req, largestPicture));
    if (!store.pictures.put(id, { ...asset, type }, bytes))
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
