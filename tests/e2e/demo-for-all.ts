/** The demo project, open in a window, for all tests of a file. */
import type { Page } from 'playwright-core';
import { afterAll, beforeAll, expect } from 'vitest';
import { Workbench } from './workbench.ts';

/** Opens it before the tests, and ends it behind them: nothing may have gone wrong in the window by then. @param take is given it. */
export function demoForAll(take: (demo: { bench: Workbench; page: Page }) => void | Promise<void>): void {
  let opened: Workbench | undefined;
  beforeAll(async () => {
    const demo = await Workbench.withDemo();
    opened = demo.bench;
    await take(demo);
  });
  afterAll(async () => {
    expect(opened?.problems).toEqual([]);
    await opened?.stop();
  });
}
