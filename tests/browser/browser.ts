/** The browsers that tests and measurements run in, driven by Playwright: Debian's Chromium, and for pages its Firefox, too. */
import { join } from 'node:path';
import { type Browser, chromium, firefox } from 'playwright-core';

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

/** Driven by WebDriver BiDi, as Playwright does for this channel. @throws where Firefox is not installed. */
const launchFirefox = (): Promise<Browser> =>
  firefox.launch({ executablePath: join(import.meta.dirname, 'firefox.mjs'), channel: 'moz-firefox' });

/** Whether the tests of this process run in Firefox: some of what they ask of a browser it does not know. */
export const inFirefox = process.env.TEST_BROWSER === 'firefox';

let running: Promise<Browser> | undefined;

/**
 * The browser of this process, started when it is first asked for: test files of one process share it, each with pages
 * of its own, and it ends with the process. A browser that has crashed is replaced by a new one.
 *
 * @throws where it is not installed.
 */
export async function sharedBrowser(): Promise<Browser> {
  if (!(await running)?.isConnected()) running = inFirefox ? launchFirefox() : launchChromium();
  return running!;
}
