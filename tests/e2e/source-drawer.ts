/** The source drawer as a test reads it and types into it. */
import type { Locator, Page } from 'playwright-core';

export const sourceField = (page: Page): Locator => page.locator('.cm-content');

/** The text of the screen, without line breaks and indents. */
export async function sourceText(page: Page): Promise<string> {
  // The drawer shows a part of the text; its editor knows the rest.
  const all = await page.evaluate(() => {
    const view = document.querySelector<HTMLElement & { cmTile?: { view: { state: { doc: object } } } }>(
      '.cm-content',
    );
    return String(view!.cmTile!.view.state.doc);
  });
  return all.replaceAll(/\n\s*/g, ' ').replaceAll(' />', '/>').trim();
}

/** Types a screen into the source drawer, in place of the one there. */
export async function writeSource(page: Page, screen: string): Promise<void> {
  await sourceField(page).click();
  await page.keyboard.press('Control+a');
  await page.keyboard.insertText(screen);
  await page.getByText(/the bench shows the last good state/).waitFor({ state: 'detached' });
  await page.getByRole('button', { name: 'Tidy' }).click();
  await page.getByRole('heading', { name: /^On / }).click();
}
