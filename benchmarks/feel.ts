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
/** Runs before those that count, as everywhere: what is done for the first time is compiled. */
const warmUp = 5;

const source = `<screen name="Screen1">\n${Array.from(
  { length: rows },
  (_, row) =>
    `  <row name="r${row}" gap="4">\n${Array.from({ length: perRow }, (__, at) => `    <text name="t${row}x${at}" text="hut ${row} ${at}" />\n`).join('')}  </row>\n`,
).join('')}</screen>`;

/** What something cost that was done forty times: the slowest in twenty, in milliseconds. */
interface Cost {
  /** From doing it to the end of the frame after it, waiting for the frame included. */
  readonly toPaint: number;
  /** Scripts, style and layout until then. */
  readonly work: number;
}

const slowestOf = (times: readonly number[]): number =>
  times.toSorted((a, b) => a - b)[Math.floor(times.length * 0.95) - 1]!;

/** An event of Chromium's trace; times in microseconds. */
interface TraceEvent {
  readonly name: string;
  readonly tid: number;
  readonly ts: number;
  readonly dur?: number;
}

/** Scripts, style and layout in the record; what stands inside another counts once. */
const works = new Set([
  ...[
    'EventDispatch',
    'FunctionCall',
    'TimerFire',
    'FireAnimationFrame',
    'RunMicrotasks',
    'HandlePostMessage',
  ],
  ...['UpdateLayoutTree', 'Layout'],
]);

/** Milliseconds that a thread worked between two moments. */
function workedBetween(events: readonly TraceEvent[], from: number, to: number): number {
  let sum = 0;
  let until = from;
  for (const { ts, dur = 0 } of events) {
    const begin = Math.max(until, ts);
    const end = Math.min(to, ts + dur);
    if (end > begin) {
      sum += end - begin;
      until = end;
    }
  }
  return sum / 1000;
}

/** What is done to the page: from the first event that belongs to it to the one after whose frame it is over. */
interface Deed {
  readonly from: 'pointermove' | 'pointerdown' | 'keydown';
  readonly to: 'pointermove' | 'click' | 'keydown';
  readonly run: (index: number) => Promise<void>;
  /** What has to be so before, and is not counted. */
  readonly before?: (index: number) => Promise<void>;
}

async function costOf(page: Page, { from, to, run, before }: Deed): Promise<Cost> {
  const browser = page.context().browser()!;
  await browser.startTracing(page, { categories: ['devtools.timeline', 'blink.user_timing'] });
  const toPaint: number[] = [];
  for (let index = 0; index < warmUp + runs; index++) {
    if (before) {
      await before(index);
      await page.waitForTimeout(60);
    }
    await page.evaluate(
      ([at, first, last]) => {
        const kept = window as unknown as { took: Promise<number> };
        const once = { capture: true, once: true };
        kept.took = new Promise((resolve) => {
          let start = 0;
          const begin = () => {
            start = performance.now();
            performance.mark(`begun ${at}`);
          };
          const end = () =>
            // The frame is painted before a message that is sent within it arrives.
            requestAnimationFrame(() => {
              const { port1, port2 } = new MessageChannel();
              port1.onmessage = () => {
                performance.mark(`painted ${at}`);
                resolve(performance.now() - start);
              };
              port2.postMessage(0);
            });
          window.addEventListener(first, begin, once);
          window.addEventListener(last, end, once);
        });
      },
      [index, from, to] as const,
    );
    await run(index);
    const took = await page.evaluate(() => (window as unknown as { took: Promise<number> }).took);
    if (index >= warmUp) toPaint.push(took);
    // Whatever follows at leisure belongs to nobody's waiting.
    await page.waitForTimeout(60);
  }
  const { traceEvents } = JSON.parse(String(await browser.stopTracing())) as { traceEvents: TraceEvent[] };
  const marks = new Map(traceEvents.map((event) => [event.name, event]));
  const work: number[] = [];
  for (let index = warmUp; index < warmUp + runs; index++) {
    const [begun, painted] = [marks.get(`begun ${index}`)!, marks.get(`painted ${index}`)!];
    const there = traceEvents
      .filter(({ name, tid }) => tid === begun.tid && works.has(name))
      .toSorted((one, other) => one.ts - other.ts);
    work.push(workedBetween(there, begun.ts, painted.ts));
  }
  return { toPaint: slowestOf(toPaint), work: slowestOf(work) };
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

const key = { from: 'keydown', to: 'keydown' } as const;

export async function feel(): Promise<Measured[]> {
  const bench = await Workbench.start();
  try {
    const page = await bench.window();
    // Facts as one finds it at first.
    await page.addInitScript(() => window === window.top && localStorage.removeItem('hovrin.facts.all'));
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
      return costOf(page, { ...key, run: () => page.keyboard.press('a') });
    })();
    await page.getByRole('button', { name: 'Close the drawer' }).click();
    // Checks and the sweep after typing are worked out beside, on the machine's other core.
    await page.waitForTimeout(6000);
    const hover = await costOf(page, {
      from: 'pointermove',
      to: 'pointermove',
      run: (index) => page.mouse.move(...at(index)),
    });
    await page.getByRole('treeitem', { name: 't3x3', exact: true }).click();
    const select = await costOf(page, { ...key, run: () => page.keyboard.press('ArrowDown') });
    const press = await costOf(page, {
      from: 'pointerdown',
      to: 'click',
      before: (index) => page.mouse.move(...at(index)),
      run: async () => {
        await page.mouse.down();
        await page.mouse.up();
      },
    });
    await page.getByRole('treeitem', { name: 'r3', exact: true }).click();
    const hand = page.locator('[data-hand="padding left"]');
    const held = (await hand.boundingBox())!;
    const [x, y] = [held.x + held.width / 2, held.y + held.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + 30, y);
    const drag = await costOf(page, {
      from: 'pointermove',
      to: 'pointermove',
      run: (index) => page.mouse.move(x + 8 + ((index * 12) % 60), y),
    });
    await page.mouse.up();
    const words = (await page
      .locator('[data-bay="working"]')
      .getByText('hut 1 1', { exact: true })
      .boundingBox())!;
    await page.mouse.dblclick(words.x + 8, words.y + 6);
    await page.locator('[data-words]').waitFor();
    const letter = await costOf(page, { ...key, run: () => page.keyboard.press('a') });
    await page.keyboard.press('Escape');
    const ratio = (may: number, took: number) => Number((may / Math.max(0.1, took)).toFixed(2));
    const work = (ms: number) => `${ms} ms of scripts and layout`;
    return [
      {
        name: 'hovering, 992 controls, three bays',
        against: work(16),
        ratio: ratio(16, hover.work),
        aim: 1,
      },
      { name: 'selecting by a press on the bench', against: work(8), ratio: ratio(8, press.work), aim: 1 },
      { name: 'selecting by key', against: work(8), ratio: ratio(8, select.work), aim: 1 },
      { name: 'dragging the padding of a row', against: work(16), ratio: ratio(16, drag.work), aim: 1 },
      { name: 'a letter in words in place', against: work(16), ratio: ratio(16, letter.work), aim: 1 },
      {
        name: 'typing in the source, to the letter painted',
        against: '50 ms above an empty frame',
        ratio: ratio(50, typed.toPaint - frame),
        aim: 1,
      },
    ];
  } finally {
    await bench.stop();
  }
}
