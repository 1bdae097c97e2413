/** `hovrin pack` and `hovrin unpack`: a project's folder as one file, and back, byte for byte. */
import { readdir, readFile, writeFile } from 'node:fs/promises';
import { packFolder, RefusedZip, unpackInto } from '@hovrin/files';
import { BadInput } from './bad-input.ts';
import { readOptions } from './options.ts';

/** The one path and the `--out` of a command. */
function wordsOf(words: readonly string[], usage: string): { path: string; out: string } {
  const { values, positionals } = readOptions(words, { out: { type: 'string' } });
  const [path, ...more] = positionals;
  if (path === undefined || more.length > 0 || values.out === undefined) throw new BadInput(usage);
  return { path, out: values.out };
}

/** Does something with files; what is wrong with them is bad input. */
async function attempt<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    const isOfSystem = error instanceof Error && 'code' in error;
    if (error instanceof RefusedZip || isOfSystem) throw new BadInput(error.message);
    throw error;
  }
}

export async function packCommand(words: readonly string[], print: (text: string) => void): Promise<number> {
  const { path, out } = wordsOf(words, 'A folder and a file are needed: `hovrin pack FOLDER --out FILE`');
  const zip = await attempt(() => packFolder(path));
  await attempt(() => writeFile(out, zip, { flag: 'wx' }));
  print(`${out}: ${zip.length} bytes\n`);
  return 0;
}

export async function unpackCommand(
  words: readonly string[],
  print: (text: string) => void,
): Promise<number> {
  const { path, out } = wordsOf(words, 'A file and a folder are needed: `hovrin unpack FILE --out DIR`');
  const there = await readdir(out).catch(() => []);
  if (there.length > 0) throw new BadInput(`There is something in ${out} already.`);
  const written = await attempt(async () => unpackInto(await readFile(path), out));
  print(`${out}: ${written.length} files\n`);
  return 0;
}
