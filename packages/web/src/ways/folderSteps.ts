/** Screens put into folders and into order, as steps. */
import {
  type Control,
  changing,
  dropping,
  type Folder,
  folderOf,
  type Project,
  putting,
  type Step,
} from '@hovrin/core';

/** A folder with the screens that are in it, in the project's order; the one without a folder has those in none. */
export interface Group {
  readonly folder: Folder | undefined;
  readonly screens: readonly Control[];
}

/** Folders in their order, and the screens that are in none behind them. */
export const groupsOf = ({ folders = [], screens }: Project): readonly Group[] =>
  [...folders, undefined].map((folder) => ({
    folder,
    screens: screens.filter(({ name }) => folderOf(folders, name)?.name === folder?.name),
  }));

/** The steps that change which folder a screen is in. */
function intoFolder({ folders = [] }: Project, name: string, to: string | undefined): Step[] {
  const from = folderOf(folders, name);
  if (from?.name === to) return [];
  const target = folders.find((each) => each.name === to);
  return [
    ...(from
      ? changing('folders', from, { ...from, screens: from.screens.filter((each) => each !== name) })
      : []),
    ...(target ? changing('folders', target, { ...target, screens: [...target.screens, name] }) : []),
  ];
}

/**
 * A screen in a folder, in front of another screen there.
 *
 * @param folder its name; undefined: in none. @param before id of that screen; undefined: behind all in the folder.
 */
export function movedScreen(
  project: Project,
  screen: Control,
  folder: string | undefined,
  before?: string,
): readonly Step[] {
  const steps = intoFolder(project, screen.name ?? '', folder);
  const { screens } = project;
  const others = screens.filter(({ id }) => id !== screen.id);
  const last = groupsOf(project)
    .find((group) => group.folder?.name === folder)
    ?.screens.findLast(({ id }) => id !== screen.id);
  const index =
    before === undefined
      ? last
        ? others.indexOf(last) + 1
        : screens.indexOf(screen)
      : others.findIndex(({ id }) => id === before);
  if (index < 0 || index === screens.indexOf(screen)) return steps;
  return [...steps, { type: 'move', control: screen.id, parent: null, index, was: null }];
}

/** A screen one place further up or down in its folder; nothing at the end of it. */
export function shiftedScreen(project: Project, screen: Control, by: -1 | 1): readonly Step[] {
  const group = groupsOf(project).find(({ screens }) => screens.includes(screen));
  const at = group?.screens.indexOf(screen) ?? -1;
  const neighbour = group?.screens[at + by];
  if (!group || !neighbour) return [];
  const before = by < 0 ? neighbour : group.screens[at + 2];
  return movedScreen(project, screen, group.folder?.name, before?.id);
}

/** A new folder. */
export const newFolder = (name: string): readonly Step[] => [putting('folders', { name, screens: [] })];

/** Takes a folder away; its screens stay. */
export const withoutFolder = (folder: Folder): readonly Step[] => [dropping('folders', folder)];

/** Keeps a folder's screens out of the application's menu, or brings them back. */
export function folderInMenu(folder: Folder, isIn: boolean): readonly Step[] {
  const { menu: _, ...rest } = folder;
  return changing<Folder>('folders', folder, isIn ? rest : { ...rest, menu: false });
}
