/** The web application's own files, the fonts that ship, and for every other address its one page. */
import { readFile, stat } from 'node:fs/promises';
import { extname, join, normalize, sep } from 'node:path';
import { fontFolder, workspace } from '@hovrin/files';
import type { Context, Middleware } from 'koa';

const applicationFolder = join(workspace, 'packages/web/dist');

const policy =
  "default-src 'self'; script-src 'self' 'wasm-unsafe-eval'; style-src 'self' 'unsafe-inline'; img-src 'self' data: blob:; font-src 'self'; connect-src 'self'; frame-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

async function send(context: Context, folder: string, path: string, forever: boolean): Promise<boolean> {
  const file = normalize(join(folder, path));
  if (!file.startsWith(folder + sep)) return false;
  const found = await stat(file).catch(() => undefined);
  if (!found?.isFile()) return false;
  context.type = extname(file) === '.ttf' ? 'font/ttf' : extname(file);
  context.set('Cache-Control', forever ? 'public, max-age=31536000, immutable' : 'no-cache');
  context.body = await readFile(file);
  return true;
}

/** Serves files; unknown addresses without an ending get the application, which says what it does not know. */
export const application: Middleware = async (context, next) => {
  const reading = context.method === 'GET' || context.method === 'HEAD';
  if (!reading || /^\/(api|try|stand-ins)\//.test(context.path)) return next();
  const path = decodeURIComponent(context.path);
  if (path.startsWith('/fonts/')) {
    context.set('Access-Control-Allow-Origin', '*');
    // The name of the pack says what is in it.
    if (!(await send(context, fontFolder, path.slice('/fonts/'.length), path.startsWith('/fonts/pack-'))))
      await next();
    return;
  }
  if (path !== '/' && (await send(context, applicationFolder, path.slice(1), path.startsWith('/assets/'))))
    return;
  if (extname(path) !== '') return next();
  context.set('Content-Security-Policy', policy);
  await send(context, applicationFolder, 'index.html', false);
};
