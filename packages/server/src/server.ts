/** The server as one function: routes in front, files behind, all of it on loopback. */
import type { Server } from 'node:http';
import Router from '@koa/router';
import Koa, { type Middleware } from 'koa';
import compress from 'koa-compress';
import conditional from 'koa-conditional-get';
import etag from 'koa-etag';
import { guard } from './guard.ts';
import type { Parts } from './parts.ts';
import { answerErrors } from './request.ts';
import { application } from './routes/application.ts';
import { askingRoutes } from './routes/asking.ts';
import { assetRoutes } from './routes/assets.ts';
import { changeRoutes } from './routes/changes.ts';
import { pageRoutes } from './routes/pages.ts';
import { projectRoutes } from './routes/projects.ts';
import { reservationRoutes } from './routes/reservations.ts';
import { standInRoutes } from './routes/stand-ins.ts';
import { starterRoutes } from './routes/starters.ts';
import { tableRoutes } from './routes/tables.ts';
import { versionRoutes } from './routes/versions.ts';
import { zipRoutes } from './routes/zips.ts';

/** Writes a line about each request: when, what, the answer's status, and ms until it was there. */
export const requestLog =
  (write: (line: string) => void, now: () => number = Date.now): Middleware =>
  async (context, next) => {
    const begun = now();
    await next();
    const words = [context.method, context.path, context.status, `${now() - begun} ms`];
    write(`${new Date(begun).toISOString()} ${words.join(' ')}`);
  };

/** Words and drawings are sent compressed; streams are not, since each line of them is to arrive at once. */
const compressed = compress({
  filter: (type) => !type.includes('event-stream') && /text|javascript|json|svg|xml|wasm/.test(type),
  threshold: 2048,
  br: false,
  gzip: { level: 6 },
});

/** The application around its parts; listens nowhere yet. */
export function makeApplication(parts: Parts, log?: Middleware): Koa {
  const router = new Router();
  router.get('/healthz', (context) => {
    context.body = { ok: true, projects: parts.store.count() };
  });
  projectRoutes(router, parts);
  versionRoutes(router, parts);
  changeRoutes(router, parts);
  assetRoutes(router, parts);
  askingRoutes(router);
  pageRoutes(router, parts);
  tableRoutes(router, parts);
  zipRoutes(router, parts);
  starterRoutes(router, parts);
  standInRoutes(router);
  reservationRoutes(router);
  const koa = new Koa();
  koa.silent = true;
  if (log) koa.use(log);
  koa.use(answerErrors).use(guard()).use(compressed).use(conditional()).use(etag());
  koa.use(router.routes()).use(router.allowedMethods()).use(application);
  return koa;
}

/** Listens on loopback. @throws the system's error, `EADDRINUSE` where the port is taken. */
export function listen(koa: Koa, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = koa.listen(port, '127.0.0.1');
    server.once('listening', () => resolve(server));
    server.once('error', reject);
  });
}
