/**
 * Where the controls of a screen are, carried over from each version of the screen to the next: a change costs the way
 * down to it, however many controls there are. It follows the newest version; where an older one is changed once more,
 * that is looked over anew.
 */
import { entryOf } from '../sure.ts';
import { type Location, placeAmong, walk } from './tree.ts';
import { type Control, type Project, type TreeList, treesOf } from './types.ts';

class Whereabouts {
  private readonly controls = new Map<string, Control>();
  private readonly parents = new Map<string, string>();
  /** Ids by the names that controls have of their own. */
  private readonly names = new Map<string, string>();

  constructor(screen: Control) {
    this.add(screen, undefined);
  }

  get size(): number {
    return this.controls.size;
  }

  has(id: string): boolean {
    return this.controls.has(id);
  }

  control(id: string): Control | undefined {
    return this.controls.get(id);
  }

  parent(id: string): Control | undefined {
    const parent = this.parents.get(id);
    return parent === undefined ? undefined : this.controls.get(parent);
  }

  named(name: string): Control | undefined {
    const id = this.names.get(name);
    return id === undefined ? undefined : this.controls.get(id);
  }

  /** Takes in a control and all below it. */
  add(control: Control, parent: string | undefined): void {
    this.controls.set(control.id, control);
    if (parent !== undefined) this.parents.set(control.id, parent);
    if (control.name !== undefined) this.names.set(control.name, control.id);
    for (const child of control.children) this.add(child, control.id);
  }

  /** Forgets a control and all below it. */
  drop(control: Control): void {
    for (const { id, name } of walk(control)) {
      this.controls.delete(id);
      this.parents.delete(id);
      if (name !== undefined && this.names.get(name) === id) this.names.delete(name);
    }
  }

  /** Puts another version of a control in its place, and in those of all around it. @returns the screen. */
  replace(id: string, next: Control): Control {
    const before = entryOf(this.controls, id);
    if (before.name !== next.name) {
      if (before.name !== undefined && this.names.get(before.name) === id) this.names.delete(before.name);
      if (next.name !== undefined) this.names.set(next.name, id);
    }
    let [old, now] = [before, next];
    for (;;) {
      this.controls.set(now.id, now);
      const around = this.parent(now.id);
      if (!around) return now;
      const children = around.children.with(around.children.indexOf(old), now);
      [old, now] = [around, { ...around, children }];
    }
  }
}

const known = new WeakMap<Control, Whereabouts>();

function whereaboutsOf(screen: Control): Whereabouts {
  let found = known.get(screen);
  if (!found) {
    found = new Whereabouts(screen);
    known.set(screen, found);
  }
  return found;
}

/** The screen or component that a control is in; undefined where there is none of that id. */
function treeWith(project: Project, id: string): Control | undefined {
  return treesOf(project).find((tree) => whereaboutsOf(tree).has(id));
}

/** Finds a control; undefined where there is none of that id. */
export function placeOf(project: Project, id: string): Location | undefined {
  const screen = treeWith(project, id);
  if (!screen) return undefined;
  const at = whereaboutsOf(screen);
  const control = at.control(id)!;
  const parent = at.parent(id);
  let depth = 0;
  for (let around = parent; around; around = at.parent(around.id)) depth += 1;
  const index = parent ? parent.children.indexOf(control) : placeAmong(project, screen);
  return { control, screen, parent, index, depth };
}

/** How many controls a screen has, itself included. */
export const countOn = (screen: Control): number => whereaboutsOf(screen).size;

/** The control of a screen that has a name for its own. */
export const namedOn = (screen: Control, name: string): Control | undefined =>
  whereaboutsOf(screen).named(name);

/** The project with other trees in one of its lists; a list that a project may be without goes when it is empty. */
function withTrees(project: Project, list: TreeList, trees: readonly Control[]): Project {
  if (list === 'screens') return { ...project, screens: trees };
  const { components: _, ...rest } = project;
  return trees.length > 0 ? { ...project, components: trees } : rest;
}

/** The list that a tree of a project is in. */
const listOf = (project: Project, tree: Control): TreeList =>
  project.screens.includes(tree) ? 'screens' : 'components';

/** The project with one of its trees in another version, whose whereabouts are those of the one before. */
function follow(project: Project, before: Control, change: (at: Whereabouts) => Control): Project {
  const at = whereaboutsOf(before);
  known.delete(before);
  const tree = change(at);
  known.set(tree, at);
  const list = listOf(project, before);
  return withTrees(project, list, project[list]!.with(placeAmong(project, before), tree));
}

/** The project with a control in another version that has the same children. */
export function withControl(project: Project, id: string, change: (control: Control) => Control): Project {
  const tree = treeWith(project, id);
  return tree ? follow(project, tree, (at) => at.replace(id, change(at.control(id)!))) : project;
}

/** The project with a control put into a parent, or as a tree into one of the project's lists. */
export function withInserted(
  project: Project,
  into: { readonly parent: string } | { readonly list: TreeList },
  index: number,
  control: Control,
): Project {
  if ('list' in into)
    return withTrees(project, into.list, (project[into.list] ?? []).toSpliced(index, 0, control));
  const { parent } = into;
  return follow(project, treeWith(project, parent)!, (at) => {
    const around = at.control(parent)!;
    at.add(control, parent);
    return at.replace(parent, { ...around, children: around.children.toSpliced(index, 0, control) });
  });
}

/** The project without a control and all below it. */
export function withoutControl(project: Project, { control, screen, parent, index }: Location): Project {
  if (!parent) {
    const list = listOf(project, screen);
    return withTrees(project, list, project[list]!.toSpliced(index, 1));
  }
  return follow(project, screen, (at) => {
    at.drop(control);
    return at.replace(parent.id, { ...parent, children: parent.children.toSpliced(index, 1) });
  });
}
