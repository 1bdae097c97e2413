/** Handing a project over as files on a disk. */
import { copyFile, mkdir, readFile, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import type { Exported, Exporter, ExportParts, Project } from '@hovrin/core';
import { fontFolder, loadFontManifest, workspace } from './fonts.ts';

type BuiltParts = Pick<ExportParts, 'fonts' | 'script' | 'pieces'>;

let parts: Promise<BuiltParts> | undefined;

/** The fonts' list, the page's script and its pieces, from the build. */
export function loadExportParts(): Promise<BuiltParts> {
  const built = (file: string) => readFile(join(workspace, 'packages/page/dist', file), 'utf8');
  parts ??= Promise.all([loadFontManifest(), built('page.js'), built('dragging.js')]).then(
    ([fonts, script, dragging]) => ({ fonts, script, pieces: { dragging } }),
  );
  return parts;
}

/** Makes the files of a project in a format. */
export async function makeExport(
  exporter: Exporter,
  project: Project,
  options: Pick<ExportParts, 'rightToLeft' | 'rowsOfTable'> = {},
): Promise<Exported> {
  return exporter.files(project, { ...(await loadExportParts()), ...options });
}

/**
 * Writes what was made into a folder, which is made where it is missing.
 *
 * @param assetFolder where the project's pictures lie; those that are missing are left out.
 * @returns the pictures that were missing.
 */
export async function writeExport(made: Exported, folder: string, assetFolder: string): Promise<string[]> {
  const missing: string[] = [];
  for (const [path, text] of made.files) {
    await mkdir(dirname(join(folder, path)), { recursive: true });
    await writeFile(join(folder, path), text);
  }
  await mkdir(join(folder, 'fonts'), { recursive: true });
  for (const font of made.fonts) await copyFile(join(fontFolder, font), join(folder, 'fonts', font));
  if (made.assets.length > 0) await mkdir(join(folder, 'assets'), { recursive: true });
  for (const asset of made.assets) {
    await copyFile(join(assetFolder, asset), join(folder, 'assets', asset)).catch(() => missing.push(asset));
  }
  return missing;
}
