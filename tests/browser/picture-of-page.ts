/** Pictures of pages, as the browser draws them. */
import type { Page } from 'playwright-core';

/** The answer of a browser that lacked memory or time for a picture; it says nothing about the page. */
const notDrawn = /Unable to capture screenshot/;

/**
 * The PNG of what the page's window shows. A browser that could not draw it, on a busy machine, is asked up to twice
 * more: the same pixels are what it would have answered at first.
 *
 * @throws where it cannot three times, or for another cause.
 */
export async function pictureOfPage(page: Page, tries = 3): Promise<Buffer> {
  try {
    return await page.screenshot();
  } catch (error) {
    if (tries === 1 || !notDrawn.test(String(error))) throw error;
    return pictureOfPage(page, tries - 1);
  }
}
