/**
 * Writing what is handed over into a folder, again and again: `hovrin-files.json` there says which files came from here, with
 * a hash of each, so that what falls away goes, what a person changed is not lost, and what is a person's own stays.
 */
import { createHash } from 'node:crypto';
import { mkdir, readFile, rename, rm, writeFile } from 'node:fs/promises';
import { dirname, join, normalize } from 'node:path';
import type { Exported } from '@hovrin/core';
import { handedFont } from './cut-fonts.ts';

/** Lists the files that were written, each with the SHA-256 of its bytes. */
export const fileList = 'hovrin-files.json';

/** What was found in the folder, by paths in it. */
export interface HandedOver {
  /** Pictures that are not where the project's lie. */
  readonly missing: readonly string[];
  /** Files of an earlier time that are not part of it any more. */
  readonly removed: readonly string[];
  /** Files that somebody changed, each with the name that it is kept under beside the new one. */
  readonly changed: readonly { readonly path: string; readonly keptAs: string }[];
  /** Files that are a person's own and were left as they are. */
  readonly left: readonly string[];
}

const hashOf = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

const bytesOf = (path: string): Promise<Buffer | undefined> => readFile(path).catch(() => undefined);

/** A path that stays in its folder: nothing else is touched, whatever a list says. */
const isInside = (path: string): boolean => !/^(\.\.|[/\\]|[a-z]:)/i.test(normalize(path));

/** The files that were written the last time, with their hashes; none where there is no list that can be read. */
async function listedIn(folder: string): Promise<ReadonlyMap<string, string>> {
  try {
    const { files } = JSON.parse(await readFile(join(folder, fileList), 'utf8'));
    return new Map(
      Object.entries(files).flatMap(([path, hash]) =>
        typeof hash === 'string' && isInside(path) ? [[path, hash]] : [],
      ),
    );
  } catch {
    return new Map();
  }
}

/**
 * Writes what was made into a folder, which is made where it is missing.
 *
 * @param assetFolder where the project's pictures lie; those that are missing are left out.
 */
export async function writeExport(made: Exported, folder: string, assetFolder: string): Promise<HandedOver> {
  const before = await listedIn(folder);
  const files = new Map<string, Buffer>();
  const missing: string[] = [];
  for (const [path, text] of made.files) files.set(path, Buffer.from(text));
  for (const font of made.fonts) files.set(`fonts/${font}`, await handedFont(made, font));
  for (const asset of made.assets) {
    const picture = await bytesOf(join(assetFolder, asset));
    if (picture) files.set(`assets/${asset}`, picture);
    else missing.push(asset);
  }
  const changed = await setAside(folder, before, files);
  const stays = new Set([
    ...files.keys(),
    ...changed.map(({ path }) => path),
    // A picture that cannot be found now is still part of the page.
    ...missing.map((asset) => `assets/${asset}`),
  ]);
  const removed = [...before.keys()].filter((path) => !stays.has(path));
  for (const path of removed) await rm(join(folder, path), { force: true });
  const left: string[] = [];
  for (const [path, text] of made.own) {
    if (await bytesOf(join(folder, path))) left.push(path);
    else await write(folder, path, Buffer.from(text));
  }
  for (const [path, bytes] of files) await write(folder, path, bytes);
  const list = Object.fromEntries([...files].map(([path, bytes]) => [path, hashOf(bytes)]));
  await writeFile(join(folder, fileList), `${JSON.stringify({ files: list }, null, 2)}\n`);
  return { missing, removed, changed, left };
}

async function write(folder: string, path: string, bytes: Uint8Array): Promise<void> {
  await mkdir(dirname(join(folder, path)), { recursive: true });
  await writeFile(join(folder, path), bytes);
}

/** Puts files aside that are neither as they were written nor as they are to be, those too that no list knows. */
async function setAside(
  folder: string,
  before: ReadonlyMap<string, string>,
  files: ReadonlyMap<string, Buffer>,
): Promise<HandedOver['changed']> {
  const changed: { path: string; keptAs: string }[] = [];
  for (const path of new Set([...before.keys(), ...files.keys()])) {
    const now = await bytesOf(join(folder, path));
    if (!now || hashOf(now) === before.get(path) || files.get(path)?.equals(now)) continue;
    const keptAs = await freeName(folder, `${path}.changed`);
    await rename(join(folder, path), join(folder, keptAs));
    changed.push({ path, keptAs });
  }
  return changed;
}

/** A name that no file in the folder has: what was put aside before stays. */
async function freeName(folder: string, path: string): Promise<string> {
  let free = path;
  for (let number = 2; await bytesOf(join(folder, free)); number++) free = `${path}-${number}`;
  return free;
}
