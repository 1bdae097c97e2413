import { chromium } from 'playwright-core';
import { readFileSync } from 'node:fs';
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox','--disable-gpu','--disable-background-networking'] });
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
page.on('pageerror', e => console.log('ERR', e.message));
await page.goto('http://127.0.0.1:4871/');
await page.getByRole('link', { name: /Velmora Hut/ }).click();
await page.locator('[data-bay="Desk"] img').first().waitFor();
await page.getByRole('button', { name: 'Wider', exact: true }).click({timeout:500}).catch(()=>{});
// add one of many parts on a new screen
await page.keyboard.press('Control+Shift+A'); await page.waitForTimeout(300); await page.keyboard.type('Parts'); await page.keyboard.press('Enter');
for (const part of process.argv.slice(3)) {
  await page.getByRole('treeitem', { name: 'Parts', exact: true }).click();
  await page.keyboard.press('a'); await page.getByRole('combobox').waitFor(); await page.keyboard.type(part); await page.keyboard.press('Enter'); await page.waitForTimeout(150); await page.keyboard.press('Enter'); await page.waitForTimeout(60);
}
await page.mouse.move(640, 780);
await page.screenshot({ path: process.argv[2] });
await browser.close();
