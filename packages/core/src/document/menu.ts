/** The application's own menu: the screens that a person is offered, in the project's order. */

import { type Folder, folderOf } from './folder.ts';
import { type Control, inForce, isDialog, type Project } from './types.ts';

/** The parts of a project that make its menu. */
export type MenuSource = Pick<Project, 'screens' | 'folders'>;

/** The attributes of a screen that say what the menu shows of it. */
export const menuAttributes = { menu: 'menu', title: 'title', icon: 'icon', splash: 'splash' } as const;

/** A screen in the menu. */
export interface MenuEntry {
  readonly screen: string;
  /** What it is called there; absent: by its name. */
  readonly title?: string;
  /** Name of its icon. */
  readonly icon?: string;
}

/** A text that says the same at all times: without expressions. */
const plain = (text: string | undefined): string | undefined =>
  text === undefined || /[{}]/.test(text) ? undefined : text;

/** Whether a screen is offered: no dialog, no splash, kept out neither by itself nor by its folder. */
export function isInMenu(screen: Control, folders: readonly Folder[] | undefined): boolean {
  const said = inForce(screen.props[menuAttributes.menu]);
  if (isDialog(screen) || screen.name === undefined || said === 'false') return false;
  if (inForce(screen.props[menuAttributes.splash]) !== undefined) return false;
  return said === 'true' || folderOf(folders, screen.name)?.menu !== false;
}

/** The entries of the menu, in the order of the screens. */
export const menuOf = ({ screens, folders }: MenuSource): readonly MenuEntry[] =>
  screens.flatMap((screen) => {
    if (!isInMenu(screen, folders)) return [];
    const title = plain(inForce(screen.props[menuAttributes.title]));
    const icon = plain(inForce(screen.props[menuAttributes.icon]));
    return { screen: screen.name!, ...(title ? { title } : {}), ...(icon ? { icon } : {}) };
  });

/** A screen that is shown for a while when the application opens. */
export interface Splash {
  /** The longest time that it is shown, s. */
  readonly seconds: number;
  /** Name of the screen that follows: the first one that is no dialog and no splash itself; undefined: there is none. */
  readonly to: string | undefined;
}

/** A screen's splash: its seconds and the screen that follows; undefined where it is none. Only the screen that opens first is shown as one. */
export function splashOf({ screens }: Pick<Project, 'screens'>, screen: Control): Splash | undefined {
  const said = ({ props }: Control) => inForce(props[menuAttributes.splash]);
  const seconds = Number(said(screen));
  if (said(screen) === undefined || !(seconds > 0) || isDialog(screen)) return undefined;
  const next = screens.find((other) => !isDialog(other) && said(other) === undefined);
  return { seconds, to: next?.name };
}
