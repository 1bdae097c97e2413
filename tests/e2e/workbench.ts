/** The whole application for tests: a server process of its own, a browser, and helpers for a person's actions. */
import { type ChildProcess, spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { workspace } from '@hovrin/files';
import type { BrowserContext, FrameLocator, Locator, Page } from 'playwright-core';
import { sharedBrowser } from '../browser/browser.ts';
import { freePort } from '../browser/free-port.ts';

export class Workbench {
  readonly problems: string[] = [];
  private server: ChildProcess | undefined;
  private context!: BrowserContext;

  private constructor(
    private readonly folder: string,
    private readonly port: number,
  ) {}

  static async start(): Promise<Workbench> {
    const bench = new Workbench(await mkdtemp(join(tmpdir(), 'hovrin-e2e-')), await freePort());
    await bench.startServer();
    const browser = await sharedBrowser();
    bench.context = await browser.newContext({
      viewport: { width: 1280, height: 800 },
      acceptDownloads: true,
    });
    return bench;
  }

  /** The demo project, open in a window of its own. */
  static async withDemo(): Promise<{ bench: Workbench; page: Page }> {
    const bench = await Workbench.start();
    const page = await bench.window();
    await page.goto(bench.address);
    await page.getByRole('link', { name: /Velmora Hut/ }).click();
    await page.locator('[data-bay="Desk"] img').first().waitFor();
    return { bench, page };
  }

  get address(): string {
    return `http://127.0.0.1:${this.port}`;
  }

  async startServer(): Promise<void> {
    const server = spawn(
      process.execPath,
      [
        join(workspace, 'packages/server/dist/server.mjs'),
        '--port',
        String(this.port),
        '--data',
        this.folder,
      ],
      { stdio: ['ignore', 'pipe', 'inherit'] },
    );
    this.server = server;
    for await (const chunk of server.stdout) if (String(chunk).includes('http://')) return;
    throw new Error('The server did not start');
  }

  /** Ends the server as a power cut would. */
  async killServer(): Promise<void> {
    const exit = once(this.server!, 'exit');
    this.server!.kill('SIGKILL');
    await exit;
  }

  async stop(): Promise<void> {
    await this.context?.close();
    if (this.server?.exitCode === null) await this.killServer();
    await rm(this.folder, { recursive: true, force: true });
  }

  /** Facts shows what is at hand, as at first, instead of all properties. */
  async showAtHand(page: Page): Promise<void> {
    await page.getByRole('button', { name: 'Only what is set and what matters' }).click();
  }

  /** A new window, with all properties in Facts. What it writes to the console as an error counts as a problem, unless the server is meant to be away. */
  async window(expectOffline = false): Promise<Page> {
    const page = await this.context.newPage();
    page.setDefaultTimeout(45_000);
    // Frames in a sandbox have no store.
    await page.addInitScript(() => {
      if (window !== window.top) return;
      localStorage.setItem('hovrin.facts.all', 'shown');
      localStorage.setItem('hovrin.firstSteps', 'away');
    });
    page.on('pageerror', (error) => this.problems.push(error.message));
    page.on('console', (message) => {
      if (
        message.type() === 'error' &&
        !(expectOffline && /ERR_CONNECTION|ERR_INCOMPLETE|ERR_EMPTY/.test(message.text()))
      )
        this.problems.push(message.text());
    });
    return page;
  }

  /** Opens a new project and waits for its bench. */
  async newProject(page: Page, name: string): Promise<void> {
    await page.goto(this.address);
    await page.getByRole('button', { name: 'New project' }).click();
    await page.getByRole('textbox', { name: 'Name' }).fill(name);
    await page.getByRole('button', { name: 'Create' }).click();
    await page.locator('[data-bay]').first().waitFor();
  }
}

export const tree = (page: Page, name: string): Locator => page.getByRole('treeitem', { name, exact: true });
export const facts = (page: Page): Locator => page.getByRole('complementary', { name: 'Facts' });
/** A field of Facts by its label, as far as it is the only one. */
export const fact = (page: Page, label: string): Locator =>
  facts(page).getByLabel(label, { exact: true }).first();
export const saved = (page: Page): Promise<void> => page.locator('[data-saving="saved"]').waitFor();
/** Names in the tree, in order, the screen first. */
export const treeNames = (page: Page): Promise<string[]> =>
  page
    .getByRole('treeitem')
    .evaluateAll((rows) => rows.map((row) => row.querySelector('span.truncate')?.textContent ?? ''));

/** A part in the tray, its group shown. */
export async function trayPart(page: Page, group: string, label: string): Promise<Locator> {
  const parts = page.getByRole('tabpanel', { name: 'Parts', exact: true });
  if (!(await parts.isVisible())) await page.getByRole('tab', { name: 'Parts', exact: true }).click();
  await page.getByRole('radiogroup', { name: 'Group of parts' }).getByText(group, { exact: true }).click();
  return parts.getByRole('button', { name: label, exact: true });
}

/** Adds a part by the picker, with keys, and names it. */
export async function addByKeys(page: Page, find: string, name: string): Promise<void> {
  await page.keyboard.press('a');
  await page.getByRole('combobox', { name: 'What to add' }).waitFor();
  await page.keyboard.type(find);
  await page.keyboard.press('Enter');
  await page.waitForFunction(
    () =>
      document.activeElement?.id ===
      document.querySelector<HTMLLabelElement>('aside[aria-label="Facts"] label')?.htmlFor,
  );
  await page.keyboard.type(name);
  await page.keyboard.press('Enter');
  await tree(page, name).waitFor();
}

/** Drags from the middle of one thing to a point in another (fractions of its size). */
export async function drag(page: Page, from: Locator, to: Locator, x = 0.5, y = 0.5): Promise<void> {
  const start = (await from.boundingBox())!;
  const end = (await to.boundingBox())!;
  await page.mouse.move(start.x + start.width / 2, start.y + start.height / 2);
  await page.mouse.down();
  await page.mouse.move(start.x + start.width / 2 + 10, start.y + start.height / 2 + 6);
  await page.mouse.move(end.x + end.width * x, end.y + end.height * y, { steps: 6 });
  await page.mouse.move(end.x + end.width * x, end.y + end.height * y);
}

/**
 * Presses something inside a frame that is shown scaled, at the point where a person sees it. (The driver's own
 * click does not reckon with the scale.)
 */
export async function pressScaled(page: Page, frame: Locator, inside: Locator): Promise<void> {
  const shown = (await frame.boundingBox())!;
  const own = await frame.evaluate((element) => (element as HTMLElement).offsetWidth);
  const at = await inside.evaluate(async (element) => {
    // While one screen takes the place of another nothing in them is pressed (CSS View Transitions 2 §3.2).
    const shown = document as { readonly activeViewTransition?: ViewTransition | null };
    while (shown.activeViewTransition) await shown.activeViewTransition.finished.catch(() => undefined);
    const { x, y, width, height } = element.getBoundingClientRect();
    return { x: x + width / 2, y: y + height / 2 };
  });
  const scale = shown.width / own;
  await page.mouse.click(shown.x + at.x * scale, shown.y + at.y * scale);
}

/** Waits until a page in a frame runs: its script has taken away all screens but one. */
export async function running(frame: FrameLocator): Promise<void> {
  const screens = frame.locator('body > .k-screen');
  await screens.first().waitFor();
  await screens.nth(1).waitFor({ state: 'detached' });
}

/** What the server has of a control, by attribute; undefined where there is none of the name. */
export const props = (page: Page, name: string) =>
  page.evaluate(async (wanted) => {
    type Node = { name?: string; props: Record<string, string>; children: Node[] };
    const answer = await fetch(`/api/projects/${location.pathname.split('/')[2]}`);
    const { project } = (await answer.json()) as { project: { screens: Node[]; components?: Node[] } };
    const find = (nodes: Node[]): Node | undefined =>
      nodes.map((each) => (each.name === wanted ? each : find(each.children))).find(Boolean);
    return find([...project.screens, ...(project.components ?? [])])?.props;
  }, name);
