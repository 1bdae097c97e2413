/** `npm run screenshots`: one current picture of each main view, from the demo data, into docs/screenshots. */
import { spawn } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { installPackages, requireNode } from './install.mjs';

requireNode();
installPackages();
const { ensureBuilt } = await import('./build.mjs');
await ensureBuilt();
const { chromium } = await import('playwright-core');

const root = dirname(import.meta.dirname);
const out = join(root, 'docs/screenshots');
mkdirSync(out, { recursive: true });
const data = mkdtempSync(join(tmpdir(), 'hovrin-screenshots-'));
const port = 4899;
const server = spawn(
  process.execPath,
  [join(root, 'packages/server/dist/server.mjs'), '--port', String(port), '--data', data],
  { stdio: ['ignore', 'pipe', 'inherit'] },
);
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shoot = (name) => page.screenshot({ path: join(out, `${name}.png`) });

await page.goto(`http://127.0.0.1:${port}/`);
await page.getByRole('link', { name: /Velmora Hut/ }).waitFor();
await shoot('projects');
await page.getByRole('link', { name: /Velmora Hut/ }).click();
await page.locator('[data-bay="Desk"] img').first().waitFor();
await page.getByRole('treeitem', { name: 'summary', exact: true }).click();
await page.mouse.move(900, 700);
await shoot('build');
await page.getByRole('button', { name: 'Arrivals', exact: true }).first().click();
await page.getByRole('treeitem', { name: 'sorrelParty', exact: true }).click();
await page.keyboard.press('w');
await page.getByText('What would change it').waitFor();
await page.mouse.move(900, 500);
await shoot('why');
await page.keyboard.press('s');
await page.getByText(/of 1\d\d on this screen/).waitFor();
await page.waitForTimeout(500);
await shoot('sweep');
await page.keyboard.press('s');
await page
  .getByRole('button', { name: /^Tonight/ })
  .first()
  .click();
await page.getByRole('treeitem', { name: 'counts', exact: true }).click();
await page.keyboard.press('a');
await page.getByRole('combobox').waitFor();
await shoot('picker');
await page.keyboard.press('Escape');
await page.getByRole('link', { name: 'Data' }).click();
await page.getByRole('heading', { name: 'State variables' }).waitFor();
await shoot('data');
await page.getByRole('link', { name: 'Ship' }).click();
await page.getByRole('button', { name: 'Download as zip' }).waitFor();
await shoot('ship');
await page.getByRole('link', { name: 'Build' }).click();
await page.getByRole('button', { name: 'Try' }).click();
await page.frameLocator('iframe[title^="Desk"]').getByText('Before ten').waitFor();
await page.waitForTimeout(500);
await shoot('try');

await browser.close();
server.kill();
rmSync(data, { recursive: true });
