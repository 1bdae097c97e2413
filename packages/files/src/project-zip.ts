/** A project's folder as a zip, and a zip as a project: checked as a whole before anything of it is used. */
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { type Project, printFolder, problemLine, readFolder, type StoredRows } from '@hovrin/core';
import { isProject, noProject } from './project.ts';
import { isProjectPath, packProject, RefusedZip, unpackProject } from './zip.ts';

/** A project out of a zip. */
export interface UnpackedProject {
  readonly project: Project;
  /** All rows of its stored tables. */
  readonly rows: StoredRows;
  /** Bytes of its pictures, by name. */
  readonly pictures: ReadonlyMap<string, Uint8Array>;
}

/** Most problems that are told. */
const mostTold = 20;

/** Reads a project out of its files. @throws RefusedZip with all that is wrong, a line each. */
export function readFiles(files: ReadonlyMap<string, Uint8Array>, newId: () => string): UnpackedProject {
  const texts = new Map<string, string>();
  for (const [path, bytes] of files) {
    if (path.startsWith('assets/')) continue;
    try {
      texts.set(path, new TextDecoder('utf-8', { fatal: true }).decode(bytes));
    } catch {
      throw new RefusedZip(`${path} is not UTF-8.`);
    }
  }
  if (!isProject(texts.keys())) throw new RefusedZip(noProject);
  // Names that lead nowhere are marked on the bench, as they were where the project was packed.
  const read = readFolder(texts, newId, false);
  if (!read.ok) {
    const told = read.problems.slice(0, mostTold).map(problemLine);
    const more = read.problems.length - told.length;
    throw new RefusedZip([...told, ...(more > 0 ? [`… and ${more} more`] : [])].join('\n'));
  }
  const pictures = new Map<string, Uint8Array>();
  for (const { name } of read.project.assets) {
    const bytes = files.get(`assets/${name}`);
    if (!bytes) throw new RefusedZip(`The picture \`${name}\` is missing: there is no assets/${name}.`);
    pictures.set(name, bytes);
  }
  return { project: read.project, rows: read.rows, pictures };
}

/** A project as the files of its folder. */
export function filesOf({ project, rows, pictures }: UnpackedProject): Map<string, Uint8Array> {
  const encoder = new TextEncoder();
  const files = new Map<string, Uint8Array>();
  for (const [path, text] of printFolder(project, rows)) files.set(path, encoder.encode(text));
  for (const [name, bytes] of pictures) files.set(`assets/${name}`, bytes);
  return files;
}

/** The files of a project's folder on disk. @throws where it cannot be read. */
export async function filesInFolder(folder: string): Promise<Map<string, Uint8Array>> {
  const found = new Map<string, Uint8Array>();
  const visit = async (prefix: string): Promise<void> => {
    for (const entry of await readdir(join(folder, prefix), { withFileTypes: true })) {
      const path = prefix ? `${prefix}/${entry.name}` : entry.name;
      if (entry.name.startsWith('.') || entry.name === 'node_modules') continue;
      if (entry.isDirectory()) await visit(path);
      else if (entry.isFile() && isProjectPath(path)) found.set(path, await readFile(join(folder, path)));
    }
  };
  await visit('');
  return found;
}

/** Counted ids: only for checking, since the files are passed on as they are. */
const checkingId = () => {
  let count = 0;
  return () => `c${++count}`;
};

/** Packs a project's folder: its files as they are. @throws RefusedZip where they are no project. */
export async function packFolder(folder: string): Promise<Uint8Array> {
  const files = await filesInFolder(folder);
  readFiles(files, checkingId());
  return packProject(files);
}

/**
 * Unpacks a project's zip into a folder, which is made; its files are as they were packed.
 *
 * @returns their paths. @throws RefusedZip where they are no project; then nothing is written.
 */
export async function unpackInto(bytes: Uint8Array, folder: string): Promise<string[]> {
  const files = unpackProject(bytes);
  readFiles(files, checkingId());
  for (const [path, content] of files) {
    await mkdir(dirname(join(folder, path)), { recursive: true });
    await writeFile(join(folder, path), content);
  }
  return [...files.keys()];
}
