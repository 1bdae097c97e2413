/** What a person does to a page, where the driver of Firefox needs other words for it than that of Chromium. */
import type { Locator, Page } from 'playwright-core';
import { inFirefox } from './browser.ts';

/** Puts a number in place of the one that a field holds. In Firefox the driver would put it behind that. */
export async function fillNumber(field: Locator, number: string): Promise<void> {
  if (!inFirefox) return field.fill(number);
  await field.evaluate((input) => (input as HTMLInputElement).select());
  await field.pressSequentially(number);
}

/** Goes back in the browser's history. In Firefox the driver would wait for a page to load, which none does here. */
export const goBack = async (page: Page): Promise<void> =>
  inFirefox ? page.evaluate(() => history.back()) : void (await page.goBack());

export const goForward = async (page: Page): Promise<void> =>
  inFirefox ? page.evaluate(() => history.forward()) : void (await page.goForward());

/** Presses twice in a row. In Firefox the driver's two presses are too far apart to be one. */
export const doublePress = (control: Locator): Promise<void> =>
  inFirefox ? control.dispatchEvent('dblclick') : control.dblclick();
