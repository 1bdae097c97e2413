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
process.on('exit', () => server.kill());
await new Promise((resolve) => server.stdout.once('data', resolve));
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
});
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
page.setDefaultTimeout(20_000);
const shoot = (name) => page.screenshot({ path: join(out, `${name}.png`) });

await page.goto(`http://127.0.0.1:${port}/`);
await page.getByRole('link', { name: /Velmora Hut/ }).waitFor();
await page.waitForFunction(() => document.querySelector('main img[src*="picture"]')?.complete);
await page.getByRole('button', { name: 'New project' }).click();
await page.waitForFunction(
  () => [...document.querySelectorAll('[role="dialog"] img')].filter((image) => image.complete).length === 6,
);
await shoot('projects');
await page.keyboard.press('Escape');
await page.getByRole('link', { name: /Velmora Hut/ }).click();
await page.locator('[data-bay="Desk"] img').first().waitFor();
await page.getByRole('treeitem', { name: 'counts', exact: true }).click();
await page.mouse.move(900, 700);
await shoot('build');
await page.getByRole('button', { name: 'Arrivals', exact: true }).first().click();
await page.getByRole('treeitem', { name: 'topWords', exact: true }).click();
await page.keyboard.press('w');
await page.getByText('What would change it').waitFor();
await page.mouse.move(900, 500);
await shoot('why');
await page.keyboard.press('s');
await page.getByText(/of [1-9]\d* on this screen/).waitFor();
await page.getByText(/^Sweeping/).waitFor({ state: 'hidden' });
await shoot('sweep');
await page
  .getByRole('button', { name: /^Tonight/ })
  .first()
  .click();
await page.getByRole('treeitem', { name: 'counts', exact: true }).click();
await page.keyboard.press('a');
await page.getByRole('combobox').waitFor();
await page.keyboard.press('Escape');
// Editing for a band, and what the checks say when something does not fit.
await page.keyboard.press('/');
await page.getByRole('combobox', { name: 'Find a property' }).fill('min width');
await page.keyboard.press('Enter');
await page.getByLabel('Min width', { exact: true }).fill('700');
await page.getByRole('treeitem', { name: 'counts', exact: true }).click();
await page.keyboard.press('c');
await page
  .getByRole('tabpanel', { name: 'checks' })
  .getByText(/reaches up to/)
  .first()
  .waitFor();
await page.mouse.move(900, 300);
await shoot('checks');
await page.keyboard.press('c');
await page.getByRole('button', { name: 'Undo', exact: true }).click();
await page
  .getByRole('button', { name: /^CheckIn/ })
  .first()
  .click();
await page.getByRole('treeitem', { name: 'room', exact: true }).click();
await page.keyboard.press('x');
await page.locator('.cm-content').waitFor();
await page.waitForTimeout(400);
await page.mouse.move(900, 500);
await shoot('source');
await page.getByRole('button', { name: 'Close the drawer' }).click();
await page.getByRole('tab', { name: 'Components', exact: true }).click();
await page
  .getByRole('button', { name: /^PartyRow/ })
  .first()
  .click();
await page.getByRole('treeitem', { name: 'who', exact: true }).click();
await page.waitForTimeout(900);
await shoot('components');
await page.getByRole('tab', { name: 'Screens', exact: true }).click();
// A motion at an instant; all ways; all words.
await page.getByRole('button', { name: /^Mast/ }).first().click();
await page.getByRole('treeitem', { name: 'mastLamp', exact: true }).click();
await page.keyboard.press('m');
await page
  .getByRole('tabpanel', { name: 'motion' })
  .getByRole('slider', { name: 'Playhead' })
  .press('PageUp');
await page.waitForTimeout(600);
await shoot('motion');
await page.getByRole('button', { name: 'Close the drawer' }).click();
await page.getByRole('link', { name: 'Ways', exact: true }).click();
await page
  .getByRole('group', { name: 'Screens and ways' })
  .getByRole('img', { name: /^Picture of/ })
  .nth(6)
  .waitFor();
await page.locator('[data-map-head="Arrivals"]').click();
await page.waitForTimeout(600);
await shoot('ways');
await page.getByRole('link', { name: 'Words', exact: true }).click();
await page.getByRole('gridcell', { name: 'Ofen im Trockenraum füllen' }).click();
await page.waitForTimeout(900);
await shoot('words');
await page.getByRole('link', { name: 'Data' }).click();
await page.getByRole('heading', { name: 'State variables' }).waitFor();
await shoot('data');
await page.getByRole('link', { name: 'Code', exact: true }).click();
await page.getByRole('button', { name: 'Functions for expressions' }).click();
await page.getByText('Nothing is wrong here.').waitFor();
await page.locator('.cm-content').click();
await page.keyboard.press('Control+End');
await page.keyboard.type(
  "\nimport { state } from 'hovrin';\n\nexport const free = (): boolean =>\nstate.bunk",
);
await page.getByRole('option', { name: 'bunkKind', exact: true }).waitFor();
await page.waitForTimeout(600);
await shoot('code');
await page.getByRole('button', { name: 'Delete code/functions.ts' }).click();
await page.getByRole('link', { name: 'Theme', exact: true }).click();
await page.getByRole('heading', { name: 'Tokens' }).waitFor();
await shoot('theme');
await page.getByRole('link', { name: 'Versions', exact: true }).click();
await page.getByRole('button', { name: 'Name this version' }).click();
await page.getByLabel('Name', { exact: true }).fill('As the wardens saw it');
await page.getByLabel('Note').fill('Shown on the first evening');
await page.getByRole('button', { name: 'Name it' }).click();
await page.getByText('They are alike.').waitFor();
await page.getByRole('link', { name: 'Build' }).click();
await page
  .getByRole('button', { name: /^Tonight/ })
  .first()
  .click();
await page.getByRole('treeitem', { name: 'heading', exact: true }).first().click();
await page
  .getByRole('complementary', { name: 'Facts' })
  .getByLabel('Text', { exact: true })
  .fill('This evening at the hut');
await page.keyboard.press('Tab');
await page.getByRole('link', { name: 'Versions', exact: true }).click();
await page.getByText(/It differs/).waitFor();
await page.mouse.move(700, 60);
await page.waitForTimeout(600);
await shoot('versions');
await page.keyboard.press('Control+z');
await page.getByText('They are alike.').waitFor();
await page.getByRole('link', { name: 'Ship' }).click();
await page.getByRole('button', { name: 'Download as zip' }).waitFor();
await shoot('ship');
await page.getByRole('link', { name: 'Build' }).click();
await page
  .getByRole('button', { name: /^Tonight/ })
  .first()
  .click();
await page.getByRole('button', { name: 'Try' }).click();
await page.frameLocator('iframe[title^="Desk"]').getByText('Before ten').waitFor();
await page.waitForTimeout(500);
await shoot('try');
await page.getByRole('button', { name: 'Wall', exact: true }).click();
await page.locator('[data-hanging]').first().waitFor();
await page.waitForTimeout(500);
await shoot('wall');

// A project whose rows lie behind a service, and its tasks, done at every size.
await page.goto(`http://127.0.0.1:${port}/`);
await page.getByRole('button', { name: 'New project' }).click();
await page.getByRole('textbox', { name: 'Name' }).fill('Reservations');
await page.getByRole('dialog').getByText('Table behind a service').click();
await page.getByRole('button', { name: 'Create' }).click();
await page.locator('[data-bay]').first().waitFor();
await page.getByRole('link', { name: 'Data' }).click();
await page.getByRole('article', { name: 'Service office' }).scrollIntoViewIfNeeded();
await page.getByRole('button', { name: 'Edit listReservations', exact: true }).click();
await page.getByRole('button', { name: 'Ask', exact: true }).click();
await page.getByText('A list of 8').waitFor();
await page.waitForTimeout(300);
await shoot('services');
await page.keyboard.press('Escape');
await page.getByRole('link', { name: 'Build' }).click();
await page.getByRole('button', { name: 'Try', exact: true }).click();
await page.getByRole('button', { name: 'Tasks' }).click();
await page.getByRole('button', { name: 'Do all' }).click();
await page.getByText('went well').nth(1).waitFor({ timeout: 60_000 });
await page.waitForTimeout(800);
await shoot('tasks');

await browser.close();
server.kill();
rmSync(data, { recursive: true });
