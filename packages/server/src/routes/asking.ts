/** The frame that asks a service for the workbench: it has no origin, and may ask nobody but the one that is named. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { workspace } from '@hovrin/files';
import type Router from '@koa/router';
import Joi from 'joi';
import { check } from '../request.ts';

const query = Joi.object<{ origin?: string }>({
  origin: Joi.string()
    .uri({ scheme: ['http', 'https'] })
    .max(300),
});

export function askingRoutes(router: Router): void {
  router.get('/try/asking', (context) => {
    const { origin } = check(context.query, query);
    const asked = ["'self'", ...(origin === undefined ? [] : [new URL(origin).origin])].join(' ');
    context.set(
      'Content-Security-Policy',
      `connect-src ${asked}; default-src 'none'; script-src 'self'; base-uri 'none'; frame-ancestors 'self'; sandbox allow-scripts`,
    );
    context.set('Cache-Control', 'no-store');
    context.type = 'html';
    context.body = '<!doctype html><title>Asking</title><script src="/try/asking.js" defer></script>';
  });

  router.get('/try/asking.js', async (context) => {
    context.set('Access-Control-Allow-Origin', '*');
    context.type = 'js';
    context.body = await readFile(join(workspace, 'packages/page/dist/asking.js'), 'utf8');
  });
}
