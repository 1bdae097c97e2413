/** The browser that tests and measurements run in: Debian's Chromium, driven by Playwright. */
import { type Browser, chromium } from 'playwright-core';

/** Starts a browser. @throws where Chromium is not installed. */
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
