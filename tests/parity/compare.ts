/** Lays out a project in the core and, as the exported page, in Chromium, and compares every box. */
import { mkdir, mkdtemp, rm, symlink, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { namedBoxes, type Project, ScreenView, startScreen, type View } from '@hovrin/core';
import { fontFolder, loadShaper } from '@hovrin/files';
import type { Browser, Page } from 'playwright-core';
import { launchChromium } from '../browser/chromium.ts';
import { makePage } from '../browser/exported-page.ts';

/** A box whose edges differ. */
export interface Difference {
  readonly name: string;
  readonly view: View;
  readonly core: readonly number[];
  readonly browser: readonly number[] | undefined;
  /** Largest difference of an edge, CSS px. */
  readonly by: number;
}

export interface Comparison {
  readonly boxes: number;
  /** Largest difference of any edge, CSS px. */
  readonly worst: number;
  /** Boxes that differ by more than the tolerance. */
  readonly differences: readonly Difference[];
}

/** CSS px that an edge may differ by. */
export const tolerance = 0.1;

/** Runs in the page: the boxes of all elements that carry a control's name. */
function measuredBoxes(): [string, number[]][] {
  return [...document.querySelectorAll<HTMLElement>('[data-name]')].map((element) => {
    const { x, y, width, height } = element.getBoundingClientRect();
    return [element.dataset.name!, [x + window.scrollX, y + window.scrollY, width, height]];
  });
}

/** A browser with a folder of pages. Close it when done. */
export class ParityBench {
  private constructor(
    private readonly browser: Browser,
    private page: Page,
    private readonly folder: string,
    private readonly view: ScreenView,
  ) {}

  static async open(): Promise<ParityBench> {
    const folder = await mkdtemp(join(tmpdir(), 'hovrin-parity-'));
    await symlink(fontFolder, join(folder, 'fonts'));
    await mkdir(join(folder, 'assets'));
    await writeFile(
      join(folder, 'assets/wide.svg'),
      '<svg xmlns="http://www.w3.org/2000/svg" width="200" height="80"><rect width="200" height="80" fill="#2f5d50"/></svg>',
    );
    const browser = await launchChromium();
    const page = await (await browser.newContext()).newPage();
    return new ParityBench(browser, page, folder, new ScreenView(await loadShaper()));
  }

  async close(): Promise<void> {
    await this.browser.close();
    await rm(this.folder, { recursive: true });
  }

  /** Takes a new page in place of one that the browser gave up. */
  async reopen(): Promise<void> {
    this.page = await (await this.browser.newContext()).newPage();
  }

  /**
   * Compares a project's start screen in some views.
   *
   * @param over boxes are listed that differ by more, CSS px.
   */
  async compare(project: Project, views: readonly View[], over = tolerance): Promise<Comparison> {
    const screen = startScreen(project)!;
    const exported = await makePage(project);
    for (const [path, text] of exported.files) await writeFile(join(this.folder, path), text);
    let boxes = 0;
    let worst = 0;
    const differences: Difference[] = [];
    await this.page.setViewportSize({ width: views[0]!.width, height: views[0]!.height });
    await this.page.goto(`file://${join(this.folder, 'index.html')}`);
    for (const view of views) {
      await this.page.setViewportSize({ width: view.width, height: view.height });
      await this.page.evaluate(
        async ([scale, direction, safe, hinge]) => {
          const { style, dataset } = document.documentElement;
          style.fontSize = `${16 * scale}px`;
          document.documentElement.dir = direction;
          for (const side of ['top', 'right', 'bottom', 'left'] as const)
            style.setProperty(`--safe-${side}`, `${safe?.[side] ?? 0}px`);
          if (hinge) {
            dataset.hinged = '';
            style.setProperty('--hinge-start', `${hinge.left - (safe?.left ?? 0)}px`);
            style.setProperty('--hinge-width', `${hinge.width}px`);
          } else delete dataset.hinged;
          // Fonts load when a layout first needs them; what is measured must be set in them.
          document.body.getBoundingClientRect();
          await document.fonts.ready;
        },
        [view.textScale ?? 1, view.rightToLeft ? 'rtl' : 'ltr', view.safe, view.hinge] as const,
      );
      const measured = new Map(await this.page.evaluate(measuredBoxes));
      const offset = view.rightToLeft
        ? await this.page.evaluate(
            (safe) => document.querySelector('main')!.getBoundingClientRect().x + window.scrollX - safe,
            view.safe?.left ?? 0,
          )
        : 0;
      for (const box of namedBoxes(screen, this.view.layOut(project, screen, view))) {
        const core = [box.x, box.y, box.width, box.height];
        const found = measured.get(box.name);
        const browser = found && [found[0]! - offset, found[1]!, found[2]!, found[3]!];
        const by = browser
          ? Math.max(...edges(core).map((edge, index) => Math.abs(edge - edges(browser)[index]!)))
          : Number.POSITIVE_INFINITY;
        boxes++;
        worst = Math.max(worst, by);
        if (by > over) differences.push({ name: box.name, view, core, browser, by });
      }
    }
    return { boxes, worst, differences };
  }
}

const edges = ([x = 0, y = 0, width = 0, height = 0]: readonly number[]) => [x, y, x + width, y + height];
