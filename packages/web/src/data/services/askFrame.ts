/**
 * Asks a service from the workbench, in a frame that has no origin and may ask nobody else: so it comes to what a page in
 * Try gets, and the project's own window never talks to strangers.
 */
import {
  baseHere,
  type DataSource,
  type Exchanged,
  type Outgoing,
  outgoing,
  type Request,
} from '@hovrin/core';

/** Longest wait for the frame itself, ms. */
const longestStart = 10_000;

/** What came, and how long it took, ms. */
export interface AskedNow {
  readonly came: Exchanged;
  readonly took: number;
}

/** What a request sends with these values. @throws Error with a sentence. */
export const outgoingNow = (
  source: DataSource,
  request: Request,
  values: Readonly<Record<string, unknown>>,
  secret: string,
): Outgoing =>
  outgoing(source, request, {
    base: baseHere(source, { inTry: true, page: window.location.href }),
    values,
    secret,
  });

/** @param timeout seconds. @throws Error where the frame does not start. */
export function askNow(sent: Outgoing, timeout: number): Promise<AskedNow> {
  const frame = document.createElement('iframe');
  frame.hidden = true;
  frame.title = 'Asks a service';
  frame.setAttribute('sandbox', 'allow-scripts');
  const { origin } = new URL(sent.url);
  const isOwn = origin === window.location.origin;
  frame.src = `/try/asking${isOwn ? '' : `?origin=${encodeURIComponent(origin)}`}`;
  return new Promise<AskedNow>((resolve, reject) => {
    const late = setTimeout(() => end(() => reject(new Error('Asking did not start.'))), longestStart);
    const hear = ({ source, data }: MessageEvent) => {
      if (source !== frame.contentWindow) return;
      if (data.type === 'hovrin-ready') {
        clearTimeout(late);
        frame.contentWindow?.postMessage({ type: 'hovrin-ask', outgoing: sent, timeout }, '*');
      } else if (data.type === 'hovrin-answer') end(() => resolve({ came: data.came, took: data.took }));
    };
    const end = (then: () => void) => {
      clearTimeout(late);
      window.removeEventListener('message', hear);
      frame.remove();
      then();
    };
    window.addEventListener('message', hear);
    document.body.append(frame);
  });
}
