/**
 * Where the controls of a screen are, carried over from each version of the screen to the next: a change costs the way
 * down to it, however many controls there are. It follows the newest version; where an older one is changed once more,
 * that is looked over anew.
 */
import { entryOf } from '../sure.ts';
import { type Location, walk } from './tree.ts';
import type { Control, Project } from './types.ts';

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

/** The screen that a control is on; undefined where there is none of that id. */
function screenWith(project: Project, id: string): Control | undefined {
  return project.screens.find((screen) => whereaboutsOf(screen).has(id));
}

/** Finds a control; undefined where there is none of that id. */
export function placeOf(project: Project, id: string): Location | undefined {
  const screen = screenWith(project, id);
  if (!screen) return undefined;
  const at = whereaboutsOf(screen);
  const control = at.control(id)!;
  const parent = at.parent(id);
  let depth = 0;
  for (let around = parent; around; around = at.parent(around.id)) depth += 1;
  const index = parent ? parent.children.indexOf(control) : project.screens.indexOf(screen);
  return { control, screen, parent, index, depth };
}

/** How many controls a screen has, itself included. */
export const countOn = (screen: Control): number => whereaboutsOf(screen).size;

/** The control of a screen that has a name for its own. */
export const namedOn = (screen: Control, name: string): Control | undefined =>
  whereaboutsOf(screen).named(name);

/** The project with one of its screens in another version, whose whereabouts are those of the one before. */
function follow(project: Project, before: Control, change: (at: Whereabouts) => Control): Project {
  const at = whereaboutsOf(before);
  known.delete(before);
  const screen = change(at);
  known.set(screen, at);
  return { ...project, screens: project.screens.with(project.screens.indexOf(before), screen) };
}

/** The project with a control in another version that has the same children. */
export function withControl(project: Project, id: string, change: (control: Control) => Control): Project {
  const screen = screenWith(project, id);
  return screen ? follow(project, screen, (at) => at.replace(id, change(at.control(id)!))) : project;
}

/** The project with a control put into a parent; `null` as parent: a screen. */
export function withInserted(
  project: Project,
  parent: string | null,
  index: number,
  control: Control,
): Project {
  if (parent === null) return { ...project, screens: project.screens.toSpliced(index, 0, control) };
  const screen = screenWith(project, parent)!;
  return follow(project, screen, (at) => {
    const into = at.control(parent)!;
    at.add(control, parent);
    return at.replace(parent, { ...into, children: into.children.toSpliced(index, 0, control) });
  });
}

/** The project without a control and all below it. */
export function withoutControl(project: Project, { control, screen, parent, index }: Location): Project {
  if (!parent) return { ...project, screens: project.screens.toSpliced(index, 1) };
  return follow(project, screen, (at) => {
    at.drop(control);
    return at.replace(parent.id, { ...parent, children: parent.children.toSpliced(index, 1) });
  });
}
