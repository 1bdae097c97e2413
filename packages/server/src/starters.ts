/** Starters: small projects that a new one can begin as, from their source files in starters/. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { type Project, problemLine } from '@hovrin/core';
import { readProjectFolder, workspace } from '@hovrin/files';
import { nanoid } from 'nanoid';

const folder = join(workspace, 'starters');

/** A starter, as it is chosen. */
export interface StarterSummary {
  readonly id: string;
  readonly name: string;
  /** What it is good for, one sentence. */
  readonly description: string;
}

/** The ids of the starters that ship, in their order. */
export async function starterIds(): Promise<readonly string[]> {
  return JSON.parse(await readFile(join(folder, 'starters.json'), 'utf8')) as string[];
}

/** A starter as a project with ids of its own. @throws Error where its sources are not valid. */
export async function readStarter(id: string): Promise<Project> {
  const reading = await readProjectFolder(join(folder, id), () => nanoid(10));
  if (!reading.ok) throw new Error(reading.problems.map(problemLine).join('\n'));
  return reading.project;
}

export async function starterSummaries(): Promise<readonly StarterSummary[]> {
  const ids = await starterIds();
  return Promise.all(
    ids.map(async (id) => {
      const { name, description = '' } = await readStarter(id);
      return { id, name, description };
    }),
  );
}
