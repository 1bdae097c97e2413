/** `hovrin backup` and `hovrin restore`: the data of a server as one file, taken while it runs, and put back. */

import { copyFileSync, existsSync, mkdirSync, renameSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { messageOf } from '@hovrin/core';
import { copyDatabase, databaseName, databaseProblem, holdFolder, putAside } from '@hovrin/files';
import { BadInput } from './bad-input.ts';
import { readOptions } from './options.ts';

export async function backupCommand(
  words: readonly string[],
  print: (text: string) => void,
): Promise<number> {
  const { values, positionals } = readOptions(words, {
    data: { type: 'string', default: 'data' },
    out: { type: 'string' },
  });
  if (positionals.length > 0 || values.out === undefined)
    throw new BadInput('Where to? `hovrin backup [--data FOLDER] --out FILE`');
  try {
    copyDatabase(join(values.data, databaseName), values.out);
  } catch (error) {
    throw new BadInput(messageOf(error));
  }
  print(`${values.out}: all projects as they are now\n`);
  return 0;
}

export async function restoreCommand(
  words: readonly string[],
  print: (text: string) => void,
): Promise<number> {
  const { values, positionals } = readOptions(words, { data: { type: 'string', default: 'data' } });
  const [file, ...more] = positionals;
  if (file === undefined || more.length > 0)
    throw new BadInput('What from? `hovrin restore FILE [--data FOLDER]`');
  if (!existsSync(file)) throw new BadInput(`There is no file ${file}.`);
  const problem = databaseProblem(file);
  if (problem) throw new BadInput(`${file} cannot be restored: ${problem}.`);
  mkdirSync(values.data, { recursive: true });
  const letGo = holdFolder(values.data);
  if (!letGo) throw new BadInput(`A server is using ${values.data}. Stop it first.`);
  try {
    const target = join(values.data, databaseName);
    const coming = `${target}.coming`;
    rmSync(coming, { force: true });
    copyFileSync(file, coming);
    const before = existsSync(target) ? putAside(target, Date.now()) : undefined;
    renameSync(coming, target);
    print(
      `${target}: restored from ${file}\n${before === undefined ? '' : `What was there before is in ${before}\n`}`,
    );
  } finally {
    letGo();
  }
  return 0;
}
