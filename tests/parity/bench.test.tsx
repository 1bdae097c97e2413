/** The bench shows each kind as its page does, but for antialiasing: in both directions, with and without words. */
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  fontFaceRules,
  hueProperties,
  kindNamed,
  kinds,
  type Project,
  ScreenView,
  themeOf,
} from '@hovrin/core';
import { loadFontManifest, loadShaper, writeExport } from '@hovrin/files';
import type { Page } from 'playwright-core';
import { renderToStaticMarkup } from 'react-dom/server';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { projectOf } from '../../packages/core/test/documents.ts';
import { Paint } from '../../packages/web/src/workbench/bays/Paint.tsx';
import { sharedBrowser } from '../browser/browser.ts';
import { makePage } from '../browser/exported-page.ts';
import { differing } from '../browser/pixels.ts';

const size = { width: 420, height: 320 };
let tab: Page;
let folder: string;
beforeAll(async () => {
  tab = await (await sharedBrowser()).newPage({ viewport: size });
  folder = await mkdtemp(join(tmpdir(), 'hovrin-bench-'));
});
afterAll(async () => {
  await tab.close();
  await rm(folder, { recursive: true });
});

/** A page's folder, with the screen as the bench paints it beside it. */
async function written(project: Project, rightToLeft: boolean, name: string): Promise<string> {
  const out = join(folder, name);
  await writeExport(await makePage(project, { rightToLeft }), out, out);
  const layout = new ScreenView(await loadShaper()).layOut(project, project.screens[0]!, {
    ...size,
    rightToLeft,
    hues: true,
  });
  const hues = Object.entries(hueProperties(themeOf(project)))
    .map(([name, colour]) => `${name}: ${colour}`)
    .join('; ');
  const painted = renderToStaticMarkup(<Paint layout={layout} pictureAddress={() => undefined} />);
  const faces = fontFaceRules(await loadFontManifest(), 'fonts/', () => true);
  await writeFile(
    join(out, 'bench.html'),
    `<!doctype html><meta charset="utf-8"><style>${faces} body { margin: 0; font-size: 16px; color-scheme: light; background: #fff }</style><div style="position: relative; overflow: hidden; width: ${size.width}px; height: ${size.height}px; ${hues}">${painted}</div>`,
  );
  return out;
}

async function shot(file: string): Promise<Buffer> {
  await tab.goto(`file://${file}`);
  await tab.evaluate(() => document.fonts.ready);
  const take = () => tab.screenshot({ animations: 'disabled', caret: 'hide' });
  // A browser that has just come to a page has no picture of it for a moment, on a busy machine.
  return take().catch(take);
}

/** More of what a control may look like. */
const more: Readonly<Record<string, string>> = {
  border:
    '<row width="200" height="60" border-width="1 2 3 9" border-color="alert" padding="4 20 4 4" corner="9" background="tint"><text text="at the start" /></row>',
  layered:
    '<column gap="4"><row width="200" height="40" background="#00000033, linear-gradient(90deg, accent, tint 40%, page)" shadow="0 2 6 0 ink" /><row width="200" height="40" background="accent, linear-gradient(tint, page)" /></column>',
  clipped:
    '<scroll height="50" width="160" border-width="2" border-color="ink" corner="8" padding="6"><text text="one line of words that is long" /><text text="two" /><text text="three" /><text text="four" /></scroll>',
  aligned:
    '<column width="240" gap="4"><text width="share" text-align="end" text="to the end" /><text width="share" text-align="center" text="in the middle" /><text width="90" text="words on several lines, that is" /></column>',
  chosen:
    '<column gap="8"><select label="Board" options="half: Half board | full: Full board" value="full" /><select label="Strange" options="a | b" value="c" /></column>',
  filled:
    '<column gap="8"><dateField label="From" value="2026-07-14" /><numberField label="Beds" value="1234.5" /><timeField label="At" value="18:30" /></column>',
  marked:
    '<column gap="8"><checkbox label="Late" checked="true" /><switch label="Lamp" checked="true" /><slider label="Heat" value="30" /><progress value="40" /></column>',
};

const cases = [
  ...kinds
    .filter(({ root }) => !root)
    .map(({ name, starter, example }): [string, string] => [
      name,
      example ??
        `<${name} ${Object.entries({ ...starter })
          .map(
            ([property, value]) =>
              `${property}="${value.replaceAll('&', '&amp;').replaceAll('"', '&quot;').replaceAll('<', '&lt;')}"`,
          )
          .join(' ')} />`,
    ]),
  ...Object.entries(more),
];

/** The share of pixels that antialiasing alone may make differ. */
const most = 0.0012;
/** Where a browser writes words of its own: what it calls the button that chooses a file no page can say. */
const mostOfNative = 0.0075;
const mostOf = (name: string) => (kindNamed(name)?.nativeWords ? mostOfNative : most);

it.each(cases)('%s', async (name, source) => {
  for (const rightToLeft of [false, true]) {
    const project = projectOf(`<screen name="trial" padding="16" gap="8">${source}</screen>`);
    const out = await written(project, rightToLeft, `${name}-${rightToLeft}`);
    const [page, bench] = [await shot(join(out, 'index.html')), await shot(join(out, 'bench.html'))];
    const share = await differing(tab, page, bench);
    const bound = mostOf(name);
    if (share >= bound) {
      await writeFile(join(tmpdir(), `bench-${name}-${rightToLeft}-page.png`), page);
      await writeFile(join(tmpdir(), `bench-${name}-${rightToLeft}-bench.png`), bench);
    }
    expect.soft(share, rightToLeft ? 'from right to left' : 'from left to right').toBeLessThan(bound);
  }
});
