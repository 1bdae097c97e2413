/** Writing a project's page to disk. */
import { copyFile, mkdir, readFile, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { type ExportedPage, exportPage, type PageParts, type Project } from '@hovrin/core';
import { fontFolder, loadFontManifest, workspace } from './fonts.ts';

let parts: Promise<Pick<PageParts, 'fonts' | 'script'>> | undefined;

/** The fonts' list and the page's script, from the build. */
export function loadPageParts(): Promise<Pick<PageParts, 'fonts' | 'script'>> {
  parts ??= Promise.all([
    loadFontManifest(),
    readFile(join(workspace, 'packages/page/dist/page.js'), 'utf8'),
  ]).then(([fonts, script]) => ({ fonts, script }));
  return parts;
}

/** Makes the page of a project. */
export async function makePage(
  project: Project,
  options: Pick<PageParts, 'rightToLeft' | 'rowsOfTable'> = {},
): Promise<ExportedPage> {
  return exportPage(project, { ...(await loadPageParts()), ...options });
}

/**
 * Writes a page into a folder, which is made where it is missing.
 *
 * @param assetFolder where the project's pictures lie; those that are missing are left out.
 * @returns the pictures that were missing.
 */
export async function writePage(page: ExportedPage, folder: string, assetFolder: string): Promise<string[]> {
  const missing: string[] = [];
  for (const [path, text] of page.files) {
    await mkdir(dirname(join(folder, path)), { recursive: true });
    await writeFile(join(folder, path), text);
  }
  await mkdir(join(folder, 'fonts'), { recursive: true });
  for (const font of page.fonts) await copyFile(join(fontFolder, font), join(folder, 'fonts', font));
  if (page.assets.length > 0) await mkdir(join(folder, 'assets'), { recursive: true });
  for (const asset of page.assets) {
    await copyFile(join(assetFolder, asset), join(folder, 'assets', asset)).catch(() => missing.push(asset));
  }
  return missing;
}
