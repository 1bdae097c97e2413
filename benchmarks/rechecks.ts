/**
 * Checks after a change as they run in the application: from asking the worker to its findings, with three bays, the
 * sweep's worker and the server on the same machine.
 */
import { defaultBands, printScreen } from '@hovrin/core';
import type { Page } from 'playwright-core';
import { fact, Workbench } from '../tests/e2e/workbench.ts';
import { cardRows } from './checks.ts';
import { type Measured, median } from './measure.ts';
import { cards } from './relayout.ts';

const warmUp = 4;
const runs = 15;

/** Follows every request to the worker of the checks. */
function follow(): void {
  const kept = window as unknown as { took: number[]; asked: Map<number, number> };
  kept.took = [];
  kept.asked = new Map();
  const post = Worker.prototype.postMessage;
  const followed = new WeakSet<Worker>();
  Worker.prototype.postMessage = function (this: Worker, ...sent: Parameters<typeof post>) {
    const [message] = sent as unknown as [{ id: number; task?: string }];
    if (message.task === 'check') {
      kept.asked.set(message.id, performance.now());
      if (!followed.has(this)) {
        followed.add(this);
        this.addEventListener('message', ({ data }) => {
          const asked = kept.asked.get(data.id);
          if (asked !== undefined && data.done) kept.took.push(performance.now() - asked);
        });
      }
    }
    return post.apply(this, sent);
  } as typeof post;
}

/** Opens a screen of cards, the title of the first one selected. */
async function openCards(bench: Workbench): Promise<Page> {
  const page = await bench.window();
  await page.addInitScript(follow);
  await bench.newProject(page, 'Checks');
  await page.keyboard.press('x');
  await page.locator('.cm-content').click();
  await page.keyboard.press('Control+a');
  await page.keyboard.insertText(printScreen({ ...cards(cardRows), name: 'Cards' }, defaultBands));
  await page
    .getByText(`Bunk ${4 * cardRows - 1}`)
    .first()
    .waitFor({ state: 'attached' });
  await page.getByRole('button', { name: 'Close the drawer' }).click();
  // What was opened is checked from nothing first.
  await page.waitForTimeout(4000);
  // The screen, its first row, that row's first card, its title.
  await page.getByRole('treeitem').nth(3).click();
  return page;
}

/**
 * Changes a text again and again.
 *
 * @returns milliseconds from asking for the checks to what they found, the median.
 */
async function recheckTime(page: Page, textAt: (run: number) => string): Promise<number> {
  const took = () => page.evaluate(() => (window as unknown as { took: number[] }).took);
  for (let run = 0; run < warmUp + runs; run++) {
    const before = (await took()).length;
    await fact(page, 'Text').fill(textAt(run));
    await page.keyboard.press('Enter');
    await page.waitForFunction(
      (least) => (window as unknown as { took: number[] }).took.length > least,
      before,
    );
    await page.waitForTimeout(800);
  }
  return median((await took()).slice(-runs));
}

export async function rechecks(): Promise<Measured[]> {
  const bench = await Workbench.start();
  try {
    const page = await openCards(bench);
    const row = (name: string, took: number): Measured => ({
      name,
      against: '100 ms',
      ratio: Number((100 / took).toFixed(2)),
      aim: 1,
    });
    return [
      row(
        'in the application: all checks after one text changed, 307 controls',
        await recheckTime(page, (run) => `Bunk ${10 + run}`),
      ),
      row(
        'in the application: all checks after a text took another line and all below it moved',
        await recheckTime(page, (run) => (run % 2 ? 'Bunk 10, by the window' : 'Bunk 10')),
      ),
    ];
  } finally {
    await bench.stop();
  }
}
