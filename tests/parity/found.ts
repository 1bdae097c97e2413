/** Documents that once differed, each as small as it could be made. */
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { workspace } from '@hovrin/files';

/** Where they lie, from the workspace's root. */
export const foundFolder = 'tests/parity/found';

/** File names and texts. */
export function foundDocuments(): { name: string; source: string }[] {
  const folder = join(workspace, foundFolder);
  if (!existsSync(folder)) return [];
  return readdirSync(folder)
    .filter((name) => name.endsWith('.screen.xml'))
    .sort()
    .map((name) => ({
      name: name.replace('.screen.xml', ''),
      source: readFileSync(join(folder, name), 'utf8'),
    }));
}
