/** What requests go through in a browser: Fetch, its timers, and what it knows of the network. */
import type { Wire } from './exchange.ts';

/**
 * @param withCookies whether the person's cookies go with it (Fetch §2.2.5); never where a page is only tried.
 */
export const browserWire = (withCookies: boolean): Wire => ({
  send: ({ url, method, headers, body }, signal) =>
    fetch(url, {
      method,
      headers,
      credentials: withCookies ? 'same-origin' : 'omit',
      cache: 'no-store',
      signal,
      ...(body === undefined ? {} : { body }),
    }),
  wait: (seconds, signal) =>
    new Promise((resolve) => {
      const timer = setTimeout(resolve, seconds * 1000);
      signal.addEventListener(
        'abort',
        () => {
          clearTimeout(timer);
          resolve();
        },
        { once: true },
      );
    }),
  after: (seconds) => AbortSignal.timeout(seconds * 1000),
  isOnline: () => navigator.onLine,
});
