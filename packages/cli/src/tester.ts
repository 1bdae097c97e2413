/**
 * Runs a project as Try does: a server of its own on loopback, with the simulated devices and services, and the page in a
 * sandboxed frame of a browser that nobody sees.
 */
import { type ChildProcess, spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Task } from '@hovrin/core';
import { workspace } from '@hovrin/files';
import type { Browser, Page } from 'playwright-core';
import type { Size } from './options.ts';

/** How a task went. */
export interface Went {
  /** How many of its steps were done. */
  readonly done: number;
  /** Why the step behind those could not be done. */
  readonly problem?: string;
  /** What the application said went wrong meanwhile. */
  readonly problems: readonly string[];
}

export interface Tester {
  /** Does a task from the beginning of the application. */
  go(task: Task, size: Size): Promise<Went>;
}

/** Where browsers are that can be driven, the first that is there being taken. */
const browsers = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** How long the application has to start, ms. */
const longestStart = 30_000;

/** A port that nobody listens on. */
const freePort = (): Promise<number> =>
  new Promise((resolve, reject) => {
    const probe = createServer().once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() =>
        typeof address === 'object' && address
          ? resolve(address.port)
          : reject(new Error('No port is free.')),
      );
    });
  });

async function startServer(
  data: string,
): Promise<{ readonly address: string; readonly server: ChildProcess }> {
  const file = join(workspace, 'packages/server/dist/server.mjs');
  if (!existsSync(file)) throw new Error('The server is not built yet: `npm run build` makes it.');
  const port = await freePort();
  const server = spawn(process.execPath, [file, '--port', String(port), '--data', data], {
    stdio: ['ignore', 'pipe', 'ignore'],
  });
  for await (const chunk of server.stdout)
    if (String(chunk).includes('http://')) return { address: `http://127.0.0.1:${port}`, server };
  throw new Error('The server did not start.');
}

async function startBrowser(wanted: string | undefined): Promise<Browser> {
  const file = wanted ?? browsers.find((each) => existsSync(each));
  if (file === undefined || !existsSync(file))
    throw new Error(
      `No browser is at ${wanted ?? browsers.join(', ')}: \`--browser FILE\` says where Chromium is.`,
    );
  const { chromium } = await import('playwright-core');
  return chromium.launch({
    executablePath: file,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
}

/**
 * @param zip the packed folder of a project. @param browser the file of a Chromium; undefined: the one that is installed.
 * @throws Error with a sentence where it cannot be run.
 */
export async function withTester(
  zip: Uint8Array,
  browser: string | undefined,
  use: (tester: Tester) => Promise<void>,
): Promise<void> {
  const data = await mkdtemp(join(tmpdir(), 'hovrin-test-'));
  let server: ChildProcess | undefined;
  let opened: Browser | undefined;
  try {
    opened = await startBrowser(browser);
    const started = await startServer(data);
    server = started.server;
    const { address } = started;
    const answer = await fetch(`${address}/api/projects/zip`, { method: 'POST', body: Buffer.from(zip) });
    const said = (await answer.json()) as { readonly id?: string; readonly error?: string };
    if (said.id === undefined) throw new Error(said.error ?? 'The project could not be brought in.');
    const { id } = said;
    const driven = opened;
    await use({
      async go(task, size) {
        const page = await driven.newPage({ viewport: { ...size } });
        try {
          return await goThrough(page, `${address}/healthz`, `/try/${id}/0~calls/index.html`, task);
        } finally {
          await page.close();
        }
      },
    });
  } finally {
    await opened?.close();
    server?.kill();
    await rm(data, { recursive: true, force: true });
  }
}

/** Shows the application in a frame of a page of the same server, and has it do a task. */
async function goThrough(page: Page, around: string, frame: string, task: Task): Promise<Went> {
  await page.goto(around);
  return page.evaluate(
    ({ source, steps, longest }) =>
      new Promise<{ done: number; problem?: string; problems: string[] }>((resolve) => {
        const problems: string[] = [];
        let done = 0;
        let begun = false;
        let failed: string | undefined;
        const end = () => resolve({ done, problems, ...(failed === undefined ? {} : { problem: failed }) });
        const late = setTimeout(() => {
          failed = 'The application did not start.';
          end();
        }, longest);
        const shown = document.createElement('iframe');
        window.addEventListener('message', ({ source: from, data }) => {
          if (from !== shown.contentWindow) return;
          if (data.type === 'hovrin-problem') problems.push(String(data.text));
          if (data.type === 'hovrin-screen' && !begun) {
            begun = true;
            clearTimeout(late);
            shown.contentWindow?.postMessage({ type: 'hovrin-task', steps }, '*');
          }
          if (data.type === 'hovrin-task-step') {
            if (data.problem === undefined) done = Number(data.index) + 1;
            else failed = String(data.problem);
          }
          if (data.type === 'hovrin-task-end') end();
        });
        shown.src = source;
        shown.setAttribute('sandbox', 'allow-scripts allow-forms');
        shown.style.cssText = 'position:fixed;inset:0;width:100%;height:100%;border:0';
        document.body.replaceChildren(shown);
      }),
    {
      source: `${frame}${task.start === undefined ? '' : `#${encodeURIComponent(task.start)}`}`,
      steps: task.steps,
      longest: longestStart,
    },
  );
}
