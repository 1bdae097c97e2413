/** The demo project, from its source files in demo/velmora-hut. */
import { readFile } from 'node:fs/promises';
import { join } from 'node:path';
import { problemLine } from '@hovrin/core';
import { readProjectFolder, workspace } from '@hovrin/files';
import { nanoid } from 'nanoid';
import type { Store } from './store/store.ts';
import { storable } from './work/storable.ts';

/** Loads the demo project into a store. @returns its id. @throws Error where its sources are not valid. */
export async function loadDemo(store: Store): Promise<string> {
  const reading = await readProjectFolder(join(workspace, 'demo/velmora-hut'), () => nanoid(10));
  if (!reading.ok) throw new Error(reading.problems.map(problemLine).join('\n'));
  const pictures = new Map<string, Buffer>();
  for (const { name, type } of reading.project.assets)
    pictures.set(name, Buffer.from(storable(name, type, await readFile(join(reading.assetFolder, name)))));
  return store.create(reading.project, pictures, reading.rows);
}
