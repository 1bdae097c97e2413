/** The browser that tests and measurements run in: Debian's Chromium, driven by Playwright. */
import { type Browser, chromium } from 'playwright-core';

let running: Promise<Browser> | undefined;

/**
 * The browser of this process, started when it is first asked for: test files of one process share it, each with pages
 * of its own, and it ends with the process. A browser that has crashed is replaced by a new one.
 *
 * @throws where Chromium is not installed.
 */
export async function sharedChromium(): Promise<Browser> {
  if (!(await running)?.isConnected()) running = launchChromium();
  return running!;
}

/** Starts a browser of one's own. Close it when done. @throws where Chromium is not installed. */
export function launchChromium(): Promise<Browser> {
  return chromium.launch({
    executablePath: '/usr/bin/chromium',
    args: [
      '--no-sandbox',
      '--disable-gpu',
      '--disable-background-networking',
      '--disable-quic',
      '--no-first-run',
      '--disable-component-update',
      '--disable-sync',
    ],
  });
}
