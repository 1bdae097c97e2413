/** A project as one file: a zip of exactly its folder. Hostile ones are refused before anything is unpacked. */
import { entryOf, isCodeFile, isTaskFile, messageOf } from '@hovrin/core';
import { unzipSync, type Zippable, zipSync } from 'fflate';

/** Bounds of a zip that is brought in. */
export const zipLimits = {
  /** Bytes of the zip itself, and of all that is in it. */
  packed: 200_000_000,
  unpacked: 500_000_000,
  /** Bytes of one file. */
  file: 100_000_000,
  files: 10_000,
  /** Characters of a path. */
  path: 300,
  /** Times that a file of more than ten million bytes may be larger than its packed form. */
  ratio: 500,
};

/** A zip that is not taken; the message is for the person. */
export class RefusedZip extends Error {}

/** Files of a project's folder, by path; everything else that lies there does not belong to it. */
export const isProjectPath = (path: string): boolean =>
  path === 'project.json' ||
  /^(?:[^/]+\/)*[^/]+\.(?:screen|component)\.xml$/.test(path) ||
  /^tables\/[^/]+\.json$/.test(path) ||
  isTaskFile(path) ||
  isCodeFile(path) ||
  /^(?:theme|strings)\/[^/]+\.(?:json|xml)$/.test(path) ||
  /^assets\/\w[\w .-]*$/.test(path);

interface Listed {
  readonly name: string;
  readonly isLink: boolean;
  readonly isFolder: boolean;
  readonly isEncrypted: boolean;
}

/** The entries of a zip's central directory (APPNOTE 4.3.12). */
function listed(bytes: Uint8Array): Listed[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  // The end record stands behind everything but a comment of at most 65,535 bytes.
  let end = bytes.length - 22;
  while (end >= 0 && end >= bytes.length - 65_557 && view.getUint32(end, true) !== 0x06054b50) end--;
  if (end < 0 || view.getUint32(end, true) !== 0x06054b50) throw new RefusedZip('This is no zip.');
  const count = view.getUint16(end + 10, true);
  let at = view.getUint32(end + 16, true);
  const found: Listed[] = [];
  for (let index = 0; index < count; index++) {
    if (at + 46 > bytes.length || view.getUint32(at, true) !== 0x02014b50)
      throw new RefusedZip('The list of files in this zip is broken.');
    const nameLength = view.getUint16(at + 28, true);
    const extraLength = view.getUint16(at + 30, true);
    const commentLength = view.getUint16(at + 32, true);
    const name = new TextDecoder().decode(bytes.subarray(at + 46, at + 46 + nameLength));
    const mode = view.getUint32(at + 38, true) >>> 16;
    found.push({
      name,
      isLink: (mode & 0xf000) === 0xa000,
      isFolder: name.endsWith('/'),
      isEncrypted: (view.getUint16(at + 8, true) & 1) === 1,
    });
    at += 46 + nameLength + extraLength + commentLength;
  }
  return found;
}

/** Why a path in a zip is not taken; undefined where it is. */
function pathProblem(path: string): string | undefined {
  const shown = `\`${path.slice(0, 80)}\``;
  if (path.length > zipLimits.path) return `The path ${shown}… is too long.`;
  const isOutside =
    path.startsWith('/') ||
    path.includes('\\') ||
    /^[a-z]:/i.test(path) ||
    path.split('/').some((part) => part === '..' || part === '.') ||
    // biome-ignore lint/suspicious/noControlCharactersInRegex: these are the characters that are refused.
    /[\u0000-\u001f]/.test(path);
  if (isOutside) return `The path ${shown} leads out of the project.`;
  return isProjectPath(path) ? undefined : `${shown} is no file of a project.`;
}

/** The folder that all files of a zip lie in, where they do: people pack folders from outside, too. */
function folderOf(names: readonly string[]): string {
  if (names.some((name) => !name.includes('/'))) return '';
  const [first = ''] = names[0]?.split('/') ?? [];
  return names.includes(`${first}/project.json`) && names.every((name) => name.startsWith(`${first}/`))
    ? `${first}/`
    : '';
}

/**
 * Unpacks a project's zip.
 *
 * @returns its files by path. @throws RefusedZip with a sentence where anything in it is not what it may be.
 */
export function unpackProject(bytes: Uint8Array): Map<string, Uint8Array> {
  const refuse = (message: string): never => {
    throw new RefusedZip(message);
  };
  if (bytes.length > zipLimits.packed) refuse(`This zip is larger than ${zipLimits.packed / 1_000_000} MB.`);
  const all = listed(bytes);
  const files = all.filter(({ isFolder }) => !isFolder);
  if (files.length === 0) refuse('There is nothing in this zip.');
  if (files.length > zipLimits.files) refuse(`There are more than ${zipLimits.files} files in this zip.`);
  const folder = folderOf(files.map(({ name }) => name));
  const names = new Set<string>();
  for (const { name, isLink, isEncrypted } of files) {
    const path = name.slice(folder.length);
    if (isLink) refuse(`\`${path.slice(0, 80)}\` is a link to somewhere else.`);
    if (isEncrypted) refuse('This zip needs a password.');
    const problem = pathProblem(path);
    if (problem) refuse(problem);
    if (names.has(path.toLowerCase())) refuse(`There are two files \`${path.slice(0, 80)}\`.`);
    names.add(path.toLowerCase());
  }
  let total = 0;
  const checkSize = ({ name, size, originalSize }: { name: string; size: number; originalSize: number }) => {
    const shown = name.slice(0, 80);
    total += originalSize;
    if (originalSize > zipLimits.file)
      refuse(`\`${shown}\` is larger than ${zipLimits.file / 1_000_000} MB.`);
    if (originalSize > 10_000_000 && originalSize > zipLimits.ratio * size)
      refuse(`\`${shown}\` is packed more tightly than a file of a project can be.`);
    if (total > zipLimits.unpacked)
      refuse(`What is in this zip is larger than ${zipLimits.unpacked / 1_000_000} MB.`);
    return !name.endsWith('/');
  };
  try {
    const unpacked = unzipSync(bytes, { filter: checkSize });
    return new Map(Object.entries(unpacked).map(([name, content]) => [name.slice(folder.length), content]));
  } catch (error) {
    if (error instanceof RefusedZip) throw error;
    throw new RefusedZip(`This zip cannot be read: ${messageOf(error)}.`);
  }
}

/** Packs a project's files, by path: the same files always give the same bytes. */
export function packProject(files: ReadonlyMap<string, Uint8Array>): Uint8Array {
  const zippable: Zippable = {};
  // Pictures are packed already; a fixed time (the first that a zip knows) leaves no trace of when it was packed.
  for (const path of [...files.keys()].toSorted())
    zippable[path] = [
      entryOf(files, path),
      { level: /\.(png|jpe?g|webp|gif)$/i.test(path) ? 0 : 6, mtime: '1980-01-01T00:00:00' },
    ];
  return zipSync(zippable);
}
