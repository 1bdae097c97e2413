/**
 * Keeps other sites out: the application is served on loopback, and a page of another origin that the same
 * browser shows must neither read from it nor write to it.
 */
import type { Middleware } from 'koa';
import { RequestError } from './request.ts';

const loopbackNames = new Set(['127.0.0.1', 'localhost', '[::1]']);

/** Paths of running pages, and of what they listen to, which are shown in sandboxed frames whose origin is opaque (`null`). */
const isRunningPage = (path: string) => /^\/(try|fonts|stand-ins)\//.test(path);

/** Paths of simulated services, which hold nothing of anybody's: running pages change what they say. */
const isStandIn = (path: string) => path.startsWith('/stand-ins/');

export function guard(): Middleware {
  return async (context, next) => {
    const host = context.get('Host');
    const name = host.replace(/:\d+$/, '');
    if (!loopbackNames.has(name)) throw new RequestError(403, 'This address is not served.');
    const origin = context.get('Origin');
    const own = origin === '' || origin === `http://${host}`;
    const reading = context.method === 'GET' || context.method === 'HEAD';
    const isFromPage = origin === 'null' && isRunningPage(context.path);
    if (!own && !(isFromPage && (reading || isStandIn(context.path))))
      throw new RequestError(403, 'Requests from other sites are not answered.');
    // A browser that tells where a request comes from must not say "another site", not even for reading.
    const site = context.get('Sec-Fetch-Site');
    if (site === 'cross-site' && !isRunningPage(context.path))
      throw new RequestError(403, 'Requests from other sites are not answered.');
    context.set('X-Content-Type-Options', 'nosniff');
    context.set('Referrer-Policy', 'no-referrer');
    await next();
  };
}
