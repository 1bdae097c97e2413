/**
 * Asks a service from a frame without an origin, as a page in Try does: what the window around it sends is sent, and what
 * comes is told. The frame's policy says whom it may ask.
 */
import { browserWire, exchange, type Outgoing } from '@hovrin/core/requests';

/** What the window around it asks for. */
export interface AskMessage {
  readonly type: 'hovrin-ask';
  readonly outgoing: Outgoing;
  readonly timeout: number;
}

const ending = new AbortController();

window.addEventListener('message', ({ source, data }: MessageEvent<AskMessage>) => {
  if (source !== window.parent || data.type !== 'hovrin-ask') return;
  const { outgoing, timeout } = data;
  const begun = performance.now();
  void exchange(outgoing, { timeout }, browserWire(false), ending.signal).then((came) =>
    window.parent.postMessage({ type: 'hovrin-answer', came, took: performance.now() - begun }, '*'),
  );
});
window.parent.postMessage({ type: 'hovrin-ready' }, '*');
