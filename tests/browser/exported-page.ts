/** A screen exported as a page and opened in Chromium from disk. */
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  contextOf,
  defaultBands,
  exporterNamed,
  type Project,
  parseScreen,
  type StateVariable,
  type StoredRows,
} from '@hovrin/core';
import { makeExport, writeExport } from '@hovrin/files';
import type { Locator, Page } from 'playwright-core';
import { sharedBrowser } from './browser.ts';

/** The page of a project, as it is handed over. */
export const makePage = (project: Project, options: Parameters<typeof makeExport>[2] = {}) =>
  makeExport(exporterNamed('html')!, project, options);

export interface ExportedPage {
  readonly page: Page;
  /** A control's element by its name, with the items of repeats. */
  named(name: string): Locator;
  /** What the page's script complained about. */
  readonly problems: readonly string[];
  close(): Promise<void>;
}

/**
 * @param screens each a screen as source; the first one opens.
 * @param state the project's state variables.
 * @param rows those of its stored tables.
 */
export async function openExported(
  screens: readonly string[],
  state: readonly StateVariable[] = [],
  size = { width: 600, height: 800 },
  rows: StoredRows = new Map(),
): Promise<ExportedPage> {
  const base: Project = { format: 1, name: 'Trial', bands: defaultBands, state, assets: [], screens: [] };
  const names = screens.map((source) => /name="(\w+)"/.exec(source)![1]!);
  let ids = 0;
  const parsed = screens.map((source) => {
    const { dialogs: _, ...known } = contextOf(base);
    const context = { ...known, screens: new Set(names) };
    const reading = parseScreen(source, { file: 'trial', context, newId: () => `t${++ids}` });
    if (!reading.ok) throw new Error(JSON.stringify(reading.problems));
    return reading.screen;
  });
  return openPage({ ...base, screens: parsed }, size, rows);
}

/** The page of a whole project, opened from disk. */
export async function openPage(
  project: Project,
  size = { width: 600, height: 800 },
  rows: StoredRows = new Map(),
): Promise<ExportedPage> {
  const folder = await mkdtemp(join(tmpdir(), 'hovrin-page-'));
  const made = await makePage(project, { rowsOfTable: (id) => rows.get(id) });
  await writeExport(made, folder, folder);
  const browser = await sharedBrowser();
  const page = await browser.newPage({ viewport: size });
  const problems: string[] = [];
  page.on('console', (message) => {
    if (message.type() === 'warning' || message.type() === 'error') problems.push(message.text());
  });
  page.on('pageerror', (error) => problems.push(error.message));
  await page.goto(`file://${join(folder, 'index.html')}`);
  return {
    page,
    named: (name) => page.locator(`[data-name="${name}"]`),
    problems,
    async close() {
      await page.close();
      await rm(folder, { recursive: true });
    },
  };
}
