/**
 * Browser engines to measure pages in: Debian's Chromium by Playwright, its Firefox by WebDriver BiDi, its WebKitGTK by
 * WebDriver under a virtual screen. All of them show a page in a frame of a given size, so that windows and their edges do
 * not matter, and from a server of our own, as a page is used.
 */
import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { existsSync } from 'node:fs';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Letters } from '@hovrin/core';
import puppeteer from 'puppeteer-core';
import { launchChromium } from './browser.ts';
import { freePort } from './free-port.ts';
import { serveFolder } from './served-folder.ts';

export const engineNames = ['chromium', 'firefox', 'webkit'] as const;
export type EngineName = (typeof engineNames)[number];

/** What an engine needs to be there. */
const programs: Readonly<Record<EngineName, readonly string[]>> = {
  chromium: ['/usr/bin/chromium'],
  firefox: ['/usr/bin/firefox-esr'],
  webkit: ['/usr/bin/WebKitWebDriver', '/usr/bin/Xvfb'],
};

/** Whether an engine is installed here. */
export const isInstalled = (name: EngineName): boolean => programs[name].every((file) => existsSync(file));

/** A browser that shows pages of a folder in a frame. Close it when done. */
export interface Engine {
  readonly name: EngineName;
  /** How wide its letters are here: WebKitGTK rounds each to whole px, which no other WebKit does. */
  readonly letters: Letters;
  /**
   * Shows a page of the folder in a frame, in one size after another, and measures it in each.
   *
   * @param sizes CSS px.
   * @param measure runs in the browser, after a frame in which the page has followed its new size. It may use nothing
   *   but its arguments; it and the sizes travel as text.
   * @param asked stands in the page's address behind its `?`, with a `&` at its end.
   * @returns the results of `measure`, one for each size.
   */
  show<Size extends FrameSize, Result>(
    path: string,
    sizes: readonly Size[],
    measure: (size: Size, shown: Shown) => Promise<Result>,
    asked?: string,
  ): Promise<Result[]>;
  close(): Promise<void>;
}

/** The page inside the frame. */
export interface Shown {
  readonly document: Document;
  readonly window: Window;
}

export interface FrameSize {
  readonly width: number;
  readonly height: number;
}

/** Starts an engine. @param folder whose pages it shows. @throws Error where it is not installed. */
export async function openEngine(name: EngineName, folder: string): Promise<Engine> {
  if (!isInstalled(name)) throw new Error(`${name} is not installed: ${programs[name].join(', ')}.`);
  await writeFile(join(folder, framePage), framed);
  // Pages change from one to the next; their fonts do not.
  const server = await serveFolder(
    folder,
    () => undefined,
    (response, path) =>
      void response.setHeader('Cache-Control', path.startsWith('/fonts/') ? 'max-age=86400' : 'no-store'),
  );
  const window = await windows[name]();
  await window.go(`${server.address}/${framePage}`);
  return {
    name,
    letters: name === 'webkit' ? 'whole px' : 'exact',
    show: (path, sizes, measure, asked = '') =>
      window.run(showing(measure), { address: `/${path}?${asked}${Math.random()}`, sizes }),
    async close() {
      await window.close();
      await server.close();
    },
  };
}

const framePage = '__frame.html';
const framed = '<!doctype html><style>body{margin:0}iframe{border:0}</style><iframe></iframe>';

/** A window with one frame in it. */
interface FrameWindow {
  go(address: string): Promise<void>;
  /** Runs a function, given as text, in the page around the frame, and waits for what it promises. */
  run<Result>(script: string, given: unknown): Promise<Result>;
  close(): Promise<void>;
}

/** A function as text: shows a page in the frame in some sizes, and measures it there. One call for all of it. */
const showing = (measure: (size: never, shown: Shown) => unknown): string => `async ({ address, sizes }) => {
  const measure = ${measure};
  const frame = document.querySelector('iframe');
  const resize = ({ width, height }) => {
    frame.style.width = width + 'px';
    frame.style.height = height + 'px';
  };
  resize(sizes[0]);
  await new Promise((resolve) => {
    frame.onload = resolve;
    frame.src = address;
  });
  const results = [];
  for (const size of sizes) {
    resize(size);
    await new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve)));
    results.push(await measure(size, { document: frame.contentDocument, window: frame.contentWindow }));
  }
  return results;
}`;

/** A call as text whose result is JSON: drivers take thousands of numbers apart one by one otherwise. */
const called = (script: string, given: unknown): string =>
  `Promise.resolve((${script})(${JSON.stringify(given)})).then((value) => JSON.stringify(value ?? null))`;

const windows: Readonly<Record<EngineName, () => Promise<FrameWindow>>> = {
  async chromium() {
    const browser = await launchChromium();
    const page = await browser.newPage();
    return {
      go: async (address) => void (await page.goto(address)),
      run: async (script, given) => JSON.parse(await page.evaluate<string>(called(script, given))),
      close: () => browser.close(),
    };
  },
  async firefox() {
    const browser = await puppeteer.launch({
      browser: 'firefox',
      executablePath: programs.firefox[0]!,
      headless: true,
      // Scrollbars that take no room, as the other two have them here.
      extraPrefsFirefox: { 'ui.useOverlayScrollbars': 1, 'widget.gtk.overlay-scrollbars.enabled': true },
    });
    const page = await browser.newPage();
    return {
      go: async (address) => void (await page.goto(address)),
      run: async (script, given) => JSON.parse(String(await page.evaluate(called(script, given)))),
      close: () => browser.close(),
    };
  },
  webkit: webkitWindow,
};

/** WebKitGTK's own browser, driven by its driver (WebDriver 2), on a virtual screen. */
async function webkitWindow(): Promise<FrameWindow> {
  const home = await mkdtemp(join(tmpdir(), 'hovrin-webkit-'));
  const screen = spawn(
    '/usr/bin/Xvfb',
    ['-displayfd', '1', '-screen', '0', '1600x1200x24', '-nolisten', 'tcp'],
    {
      stdio: ['ignore', 'pipe', 'ignore'],
    },
  );
  const [display] = (await once(screen.stdout, 'data')) as [Buffer];
  const port = await freePort();
  const driver = spawn('/usr/bin/WebKitWebDriver', [`--port=${port}`], {
    stdio: 'ignore',
    detached: true,
    env: {
      ...process.env,
      DISPLAY: `:${String(display).trim()}`,
      HOME: home,
      XDG_RUNTIME_DIR: home,
      GDK_BACKEND: 'x11',
      // No sandbox of its own inside a container, and nothing drawn by a graphics card.
      WEBKIT_DISABLE_SANDBOX_THIS_IS_DANGEROUS: '1',
      WEBKIT_DISABLE_COMPOSITING_MODE: '1',
      LIBGL_ALWAYS_SOFTWARE: '1',
    },
  });
  const call = async (method: string, path: string, body?: unknown): Promise<unknown> => {
    const response = await fetch(`http://127.0.0.1:${port}${path}`, {
      method,
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    const { value } = (await response.json()) as { value: unknown };
    if (!response.ok) throw new Error(`WebKit: ${JSON.stringify(value)}`);
    return value;
  };
  await until(() => call('GET', '/status'));
  const { sessionId } = (await call('POST', '/session', { capabilities: {} })) as { sessionId: string };
  const session = `/session/${sessionId}`;
  const run: FrameWindow['run'] = async (script, given) => {
    const body = `const done = arguments[arguments.length - 1];
      Promise.resolve((${script})(arguments[0])).then((value) => done({ value }), (error) => done({ error: String(error) }));`;
    const answer = (await call('POST', `${session}/execute/async`, { script: body, args: [given] })) as {
      value?: never;
      error?: string;
    };
    if (answer.error !== undefined) throw new Error(answer.error);
    return answer.value as never;
  };
  await call('POST', `${session}/timeouts`, { script: 60_000, pageLoad: 60_000 });
  return {
    go: async (url) => void (await call('POST', `${session}/url`, { url })),
    run,
    async close() {
      await call('DELETE', session).catch(() => undefined);
      end(driver);
      screen.kill();
      await rm(home, { recursive: true, force: true });
    },
  };
}

/** Ends a process and what it started. */
function end({ pid }: ChildProcess): void {
  if (pid === undefined) return;
  try {
    process.kill(-pid);
  } catch {
    // It has ended.
  }
}

/** Waits until something works. @throws its error after some 20 s. */
async function until(works: () => Promise<unknown>): Promise<void> {
  for (let turn = 0; ; turn++) {
    try {
      await works();
      return;
    } catch (error) {
      if (turn === 100) throw error;
      await new Promise((resolve) => setTimeout(resolve, 200));
    }
  }
}
