/**
 * Checks after a change as they run in the application: from asking the worker to its findings, with three bays, the
 * sweep's worker and the server on the same machine.
 */
import { defaultBands, printScreen } from '@hovrin/core';
import { fact, Workbench } from '../tests/e2e/workbench.ts';
import { type Measured, median } from './measure.ts';
import { cards } from './relayout.ts';

/** 18 rows of cards: 307 controls. */
const rows = 18;
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

/** Milliseconds, the median of many. */
async function recheckTime(bench: Workbench): Promise<number> {
  const page = await bench.window();
  await page.addInitScript(follow);
  await bench.newProject(page, 'Checks');
  await page.keyboard.press('x');
  await page.locator('.cm-content').click();
  await page.keyboard.press('Control+a');
  await page.keyboard.insertText(printScreen({ ...cards(rows), name: 'Cards' }, defaultBands));
  await page.getByText('Bunk 71').first().waitFor({ state: 'attached' });
  await page.getByRole('button', { name: 'Close the drawer' }).click();
  const done = (count: number) =>
    page.waitForFunction((least) => (window as unknown as { took: number[] }).took.length >= least, count);
  const count = () => page.evaluate(() => (window as unknown as { took: number[] }).took.length);
  await page.waitForTimeout(4000);
  // The screen, its first row, that row's first card, its title.
  await page.getByRole('treeitem').nth(3).click();
  for (let run = 0; run < warmUp + runs; run++) {
    const before = await count();
    await fact(page, 'Text').fill(`Bunk ${run}${run}`);
    await page.keyboard.press('Enter');
    await done(before + 1);
    await page.waitForTimeout(800);
  }
  const took = await page.evaluate(() => (window as unknown as { took: number[] }).took);
  console.error(took.map((each) => Math.round(each)).join(' '));
  return median(took.slice(-runs));
}

export async function rechecks(): Promise<Measured[]> {
  const bench = await Workbench.start();
  try {
    return [
      {
        name: 'all checks in the application after one text changed, 307 controls',
        against: '100 ms',
        ratio: Number((100 / (await recheckTime(bench))).toFixed(2)),
        aim: 1,
      },
    ];
  } finally {
    await bench.stop();
  }
}
