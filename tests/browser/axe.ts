/** What axe finds wrong with a page (WCAG, and best practice). */
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import type { Page } from 'playwright-core';

/** @returns a line for each kind of fault, with the elements that have it. */
export async function axeFaults(page: Page): Promise<string[]> {
  // Evaluated, not added as an element: the page's own policy lets no other script in.
  await page.evaluate(await readFile(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8'));
  return page.evaluate(async () => {
    const { axe } = window as unknown as {
      axe: { run(): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> };
    };
    return (await axe.run()).violations.map(
      ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' ')}`,
    );
  });
}
