/** The folders that the project's screens are in. */
import { type Folder, folderOf } from '../document/folder.ts';
import { isRecord } from '../document/record.ts';
import type { Collection, Fault } from './collection.ts';

const fields = ['name', 'screens', 'menu'] satisfies (keyof Folder)[];

const nameProblem = (name: string): string | undefined =>
  name.trim() === name && name !== '' && name.length <= 64
    ? undefined
    : 'A folder has a name of at most 64 characters, without spaces at its ends.';

function fault(folder: unknown): Fault | undefined {
  if (!isRecord(folder) || typeof folder.name !== 'string')
    return { path: 'name', message: 'A folder has no name.' };
  const problem = nameProblem(folder.name);
  if (problem) return { path: 'name', message: problem };
  const { screens, menu } = folder;
  if (!Array.isArray(screens) || !screens.every((name) => typeof name === 'string' && name.length <= 64))
    return { path: 'screens', message: `\`screens\` of the folder \`${folder.name}\` is no list of names.` };
  if (menu !== undefined && typeof menu !== 'boolean')
    return { path: 'menu', message: `\`menu\` of the folder \`${folder.name}\` is true or false.` };
  return undefined;
}

/** What is wrong with folders side by side: a screen that is in two of them. */
function faultAmong(folders: readonly Folder[]): string | undefined {
  for (const folder of folders)
    for (const [index, screen] of folder.screens.entries()) {
      const first = folderOf(folders, screen);
      if (first !== folder) return `\`${screen}\` is in two folders: ${first!.name} and ${folder.name}.`;
      if (folder.screens.indexOf(screen) !== index)
        return `\`${screen}\` stands twice in the folder ${folder.name}.`;
    }
  return undefined;
}

export const folders: Collection<Folder> = {
  id: 'folders',
  word: 'folder',
  least: 0,
  most: 200,
  optional: true,
  fields,
  keyOf: ({ name }) => name,
  keyProblem: nameProblem,
  fault,
  faultAmong,
  empty: (name) => ({ name, screens: [] }),
  rekeyed: (folder, name) => ({ ...folder, name }),
  uses: () => [],
};
