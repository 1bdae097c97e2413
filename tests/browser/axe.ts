/** What axe finds wrong with a page (WCAG, and best practice). */
import { readFile } from 'node:fs/promises';
import { createRequire } from 'node:module';
import type { Page } from 'playwright-core';

/**
 * @param but a selector of elements that are no part of the page itself: pictures of screens, disabled buttons in them included.
 * @returns a line for each kind of fault, with the elements that have it.
 */
export async function axeFaults(page: Page, but?: string): Promise<string[]> {
  // Evaluated, not added as an element: the page's own policy lets no other script in.
  await page.evaluate(await readFile(createRequire(import.meta.url).resolve('axe-core/axe.min.js'), 'utf8'));
  return page.evaluate(async (exclude) => {
    const { axe } = window as unknown as {
      axe: { run(context: object): Promise<{ violations: { id: string; nodes: { html: string }[] }[] }> };
    };
    return (await axe.run(exclude ? { exclude: [exclude] } : { include: ['html'] })).violations.map(
      ({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' ')}`,
    );
  }, but);
}
