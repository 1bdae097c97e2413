/** What a person gave that cannot be used; the message goes to stderr, the exit code is 2. */
import { stat } from 'node:fs/promises';
import { problemLine } from '@hovrin/core';
import { type ProjectReading, readProject } from '@hovrin/files';

export class BadInput extends Error {}

/** Reads a screen file or project folder. @throws BadInput with all problems, a line each. */
export async function readInput(
  path: string,
): Promise<Extract<ProjectReading, { ok: true }> & { readonly isFolder: boolean }> {
  const found = await stat(path).catch(() => undefined);
  if (!found) throw new BadInput(`There is no file or folder ${path}.`);
  const reading = await readProject(path);
  if (!reading.ok) throw new BadInput(reading.problems.map(problemLine).join('\n'));
  return { ...reading, isFolder: found.isDirectory() };
}
