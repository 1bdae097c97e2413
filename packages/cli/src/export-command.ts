/** `hovrin export`: a screen or a project in one of the formats that it is handed over in. */
import { mkdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import {
  configFile,
  exporterNamed,
  exporters,
  messageOf,
  type PageConfig,
  readPageConfig,
} from '@hovrin/core';
import { makeExport, writeExport } from '@hovrin/files';
import { BadInput, readInput } from './bad-input.ts';
import { readOptions } from './options.ts';
import { inLocale, readViewOptions } from './view-options.ts';

export async function exportCommand(
  words: readonly string[],
  print: (text: string) => void,
): Promise<number> {
  const [format, ...rest] = words;
  const exporter = exporterNamed(format ?? '');
  if (!exporter) {
    const known = exporters.map(({ id }) => `\`hovrin export ${id}\``).join(', ');
    throw new BadInput(`\`${format ?? ''}\` cannot be written; ${known} can.`);
  }
  const { values, positionals } = readOptions(rest, {
    out: { type: 'string' },
    rtl: { type: 'boolean' },
    locale: { type: 'string' },
  });
  const [path, ...more] = positionals;
  if (path === undefined || more.length > 0)
    throw new BadInput(`One file or folder is needed: \`hovrin export ${exporter.id} FILE --out DIR\``);
  if (values.out === undefined) throw new BadInput('Where to? `--out DIR`');
  const { project: source, rows, assetFolder } = await readInput(path);
  const project = inLocale(source, values.locale);
  const page = await makeExport(exporter, project, {
    ...(await configIn(values.out)),
    rightToLeft: readViewOptions(values).rightToLeft ?? false,
    rowsOfTable: (id) => rows.get(id),
  });
  try {
    await mkdir(values.out, { recursive: true });
  } catch (error) {
    throw new BadInput(`${values.out} cannot be made: ${messageOf(error)}`);
  }
  const { missing, removed, changed, left } = await writeExport(page, values.out, assetFolder);
  if (missing.length > 0) throw new BadInput(`These pictures are missing: ${missing.join(', ')}`);
  print(
    `${values.out}: ${[...page.files.keys()].join(', ')}, ${page.fonts.length} fonts, ${page.assets.length} pictures\n`,
  );
  if (removed.length > 0) print(`Removed, no part of it any more: ${removed.join(', ')}\n`);
  if (left.length > 0) print(`Left as it is, your own: ${left.join(', ')}\n`);
  for (const { path, keptAs } of changed)
    print(`${path} was not as it had been written; that one is ${keptAs} now.\n`);
  return 0;
}

/** Where feeds come from, as a person has set it in the folder. @throws BadInput where that cannot be read. */
async function configIn(folder: string): Promise<{ readonly config?: PageConfig }> {
  const text = await readFile(join(folder, configFile), 'utf8').catch(() => undefined);
  if (text === undefined) return {};
  const read = readPageConfig(text);
  if ('problem' in read) throw new BadInput(read.problem);
  return read;
}
