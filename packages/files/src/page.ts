/** Making the files of a project in a format that it is handed over in. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { type Exported, type Exporter, type ExportParts, type Project, pieceNames } from '@hovrin/core';
import { codeScript } from './code-script.ts';
import { loadFontManifest, workspace } from './fonts.ts';

type BuiltParts = Pick<ExportParts, 'fonts' | 'script' | 'pieces' | 'compileCode'>;

let parts: Promise<BuiltParts> | undefined;

/** The fonts' list, the page's script and its pieces, from the build. */
export function loadExportParts(): Promise<BuiltParts> {
  const built = (file: string) => readFile(join(workspace, 'packages/page/dist', file), 'utf8');
  parts ??= Promise.all([
    loadFontManifest(),
    built('page.js'),
    Promise.all(pieceNames.map(async (name) => [name, await built(`${name}.js`)] as const)),
  ]).then(([fonts, script, pieces]) => ({ fonts, script, pieces: new Map(pieces), compileCode: codeScript }));
  return parts;
}

/** Makes the files of a project in a format. */
export async function makeExport(
  exporter: Exporter,
  project: Project,
  options: Pick<ExportParts, 'rightToLeft' | 'rowsOfTable' | 'config'> = {},
): Promise<Exported> {
  return exporter.files(project, { ...(await loadExportParts()), ...options });
}
