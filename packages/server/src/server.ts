/** The server as one function: routes in front, files behind, all of it on loopback. */
import type { Server } from 'node:http';
import Router from '@koa/router';
import Koa from 'koa';
import { guard } from './guard.ts';
import { answerErrors } from './request.ts';
import { application } from './routes/application.ts';
import { assetRoutes } from './routes/assets.ts';
import { changeRoutes } from './routes/changes.ts';
import { pageRoutes } from './routes/pages.ts';
import { projectRoutes } from './routes/projects.ts';
import { standInRoutes } from './routes/stand-ins.ts';
import { tableRoutes } from './routes/tables.ts';
import type { Store } from './store/store.ts';

/** The application around a store; listens nowhere yet. */
export function makeApplication(store: Store): Koa {
  const router = new Router();
  projectRoutes(router, store);
  changeRoutes(router, store);
  assetRoutes(router, store);
  pageRoutes(router, store);
  tableRoutes(router, store);
  standInRoutes(router);
  const koa = new Koa();
  koa.silent = true;
  koa.use(answerErrors).use(guard()).use(router.routes()).use(router.allowedMethods()).use(application);
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
