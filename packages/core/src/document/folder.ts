/** Folders: screens that belong together, for those who build them and for the application's own menu. */

/** A folder of screens. A screen is in one folder at most; screens keep the project's own order. */
export interface Folder {
  /** Any words, unique in the project. */
  readonly name: string;
  /** Names of the screens in it; a name that no screen has is nobody's. */
  readonly screens: readonly string[];
  /** False: its screens do not stand in the application's menu. */
  readonly menu?: boolean;
}

/** The folder that a screen is in; undefined where it is in none. */
export const folderOf = (
  folders: readonly Folder[] | undefined,
  screen: string | undefined,
): Folder | undefined =>
  screen === undefined ? undefined : folders?.find(({ screens }) => screens.includes(screen));
