/**
 * How the bench feels on a screen of 1,000 controls with three bays: from something being done to the next painted frame,
 * in Chromium, against what it may take. Figures are ratios: 1 is the aim, more is better.
 */
import type { Page } from 'playwright-core';
import { Workbench } from '../tests/e2e/workbench.ts';
import type { Measured } from './measure.ts';

const rows = 124;
const perRow = 7;
const runs = 40;

const source = `<screen name="Screen1">\n${Array.from(
  { length: rows },
  (_, row) =>
    `  <row name="r${row}" gap="4">\n${Array.from({ length: perRow }, (__, at) => `    <text name="t${row}x${at}" text="hut ${row} ${at}" />\n`).join('')}  </row>\n`,
).join('')}</screen>`;

/** Milliseconds from doing something to the frame after it, of the slowest in twenty. */
async function slowest(page: Page, run: (index: number) => Promise<void>): Promise<number> {
  const times: number[] = [];
  for (let index = 0; index < runs; index++) {
    await page.evaluate(() => {
      const kept = window as unknown as { took: Promise<number> };
      kept.took = new Promise((resolve) => {
        const begin = () => {
          const start = performance.now();
          // The frame is painted before a message that is sent within it arrives.
          requestAnimationFrame(() => {
            const { port1, port2 } = new MessageChannel();
            port1.onmessage = () => resolve(performance.now() - start);
            port2.postMessage(0);
          });
        };
        for (const type of ['pointermove', 'click', 'keydown'] as const)
          window.addEventListener(type, begin, { capture: true, once: true });
      });
    });
    await run(index);
    times.push(await page.evaluate(() => (window as unknown as { took: Promise<number> }).took));
  }
  return times.toSorted((a, b) => a - b)[Math.floor(runs * 0.95) - 1]!;
}

/** Milliseconds of an empty frame on this machine, which all figures contain. */
const emptyFrame = (page: Page): Promise<number> =>
  page.evaluate(async () => {
    const times: number[] = [];
    for (let run = 0; run < 30; run++) {
      const start = performance.now();
      await new Promise((resolve) =>
        requestAnimationFrame(() => {
          const { port1, port2 } = new MessageChannel();
          port1.onmessage = resolve;
          port2.postMessage(0);
        }),
      );
      times.push(performance.now() - start);
    }
    return times.toSorted((a, b) => a - b)[15]!;
  });

export async function feel(): Promise<Measured[]> {
  const bench = await Workbench.start();
  try {
    const page = await bench.window();
    await bench.newProject(page, 'Feel');
    await page.keyboard.press('x');
    await page.locator('.cm-content').click();
    await page.keyboard.press('Control+a');
    await page.keyboard.insertText(source);
    await page.locator('[data-bay="working"]').getByText('hut 123').last().waitFor({ state: 'attached' });
    await page.waitForTimeout(3000);
    const frame = await emptyFrame(page);
    const bay = (await page.locator('[data-bay="working"]').boundingBox())!;
    const at = (index: number): [number, number] => [
      bay.x + 10 + ((index * 37) % (bay.width - 20)),
      bay.y + 6 + ((index * 53) % 300),
    ];
    const typed = await (async () => {
      await page.getByRole('treeitem', { name: 't3x3', exact: true }).click();
      await page.locator('.cm-line', { hasText: '"t3x3"' }).first().click();
      await page.keyboard.press('End');
      await page.keyboard.press('ArrowLeft');
      await page.keyboard.press('ArrowLeft');
      await page.keyboard.press('ArrowLeft');
      await page.keyboard.press('ArrowLeft');
      return slowest(page, () => page.keyboard.press('a'));
    })();
    await page.getByRole('button', { name: 'Close the drawer' }).click();
    const hover = await slowest(page, (index) => page.mouse.move(...at(index)));
    await page.getByRole('treeitem', { name: 't3x3', exact: true }).click();
    const select = await slowest(page, () => page.keyboard.press('ArrowDown'));
    const against = (ms: number) => `${ms} ms above an empty frame`;
    const ratio = (may: number, took: number) => Number((may / Math.max(0.1, took - frame)).toFixed(2));
    return [
      { name: 'hovering, 992 controls, three bays', against: against(16), ratio: ratio(16, hover), aim: 1 },
      { name: 'selecting by key', against: against(8), ratio: ratio(8, select), aim: 1 },
      { name: 'typing in the source', against: against(50), ratio: ratio(50, typed), aim: 1 },
    ];
  } finally {
    await bench.stop();
  }
}
