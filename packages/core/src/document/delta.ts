/**
 * What has changed from one version of a document to the next, for somebody who has the first: another thread is told
 * that, and not the whole document. Versions share what did not change, so that it is found by looking at what is not
 * the same object; and the other side shares just as much.
 */
import { entryOf, keysOf } from '../sure.ts';
import type { Control, Project, TreeList } from './types.ts';

/** A control in the next version, as it differs from the one in its place. */
export type ControlDelta =
  /** The same as the sibling of that id was. */
  | { readonly same: string }
  /** New throughout. */
  | { readonly whole: Control }
  | {
      readonly id: string;
      /** Its own data without its children; absent: as it was. */
      readonly own?: Omit<Control, 'children'>;
      readonly children: readonly ControlDelta[];
    };

export interface ProjectDelta {
  /** Values of the project besides its trees that are others now, or new. */
  readonly changed: Readonly<Record<string, unknown>>;
  /** Names of values that are not there any more. */
  readonly gone: readonly string[];
  readonly screens: readonly ControlDelta[];
  /** Absent: it has no components. */
  readonly components?: readonly ControlDelta[];
}

function childrenDelta(before: readonly Control[], now: readonly Control[]): ControlDelta[] {
  const known = new Map(before.map((control) => [control.id, control]));
  return now.map((control) => controlDelta(known.get(control.id), control));
}

function controlDelta(before: Control | undefined, now: Control): ControlDelta {
  if (before === now) return { same: now.id };
  if (!before) return { whole: now };
  const { children, ...own } = now;
  const both: Readonly<Partial<Record<keyof Control, unknown>>> = { ...before, ...now };
  const isOwn = keysOf<keyof Control>(both).every((key) => key === 'children' || before[key] === now[key]);
  return {
    id: now.id,
    ...(isOwn ? {} : { own }),
    children: childrenDelta(before.children, children),
  };
}

const valuesOf = ({ screens: _, components: __, ...values }: Project): Readonly<Record<string, unknown>> => ({
  ...values,
});

/** What changed; without a version before, everything. */
export function deltaOf(before: Project | undefined, now: Project): ProjectDelta {
  const [old, values] = [before ? valuesOf(before) : {}, valuesOf(now)];
  return {
    changed: Object.fromEntries(Object.entries(values).filter(([name, value]) => old[name] !== value)),
    gone: Object.keys(old).filter((name) => !(name in values)),
    screens: childrenDelta(before?.screens ?? [], now.screens),
    ...(now.components ? { components: childrenDelta(before?.components ?? [], now.components) } : {}),
  };
}

function withChildren(before: readonly Control[], deltas: readonly ControlDelta[]): readonly Control[] {
  const known = new Map(before.map((control) => [control.id, control]));
  const children = deltas.map((delta): Control => {
    if ('whole' in delta) return delta.whole;
    if ('same' in delta) return entryOf(known, delta.same);
    const old = entryOf(known, delta.id);
    return { ...(delta.own ?? old), children: withChildren(old.children, delta.children) };
  });
  const isSame =
    children.length === before.length && children.every((child, index) => child === before[index]);
  return isSame ? before : children;
}

/**
 * The next version, which shares with the one before all that did not change.
 *
 * @param before the version that the delta was made from, or one that says the same.
 */
export function withDelta(
  before: Project | undefined,
  { changed, gone, screens, components }: ProjectDelta,
): Project {
  const trees = (list: TreeList, deltas: readonly ControlDelta[]) =>
    withChildren(before?.[list] ?? [], deltas);
  const values = Object.entries(before ? valuesOf(before) : {}).filter(([name]) => !gone.includes(name));
  return {
    ...Object.fromEntries(values),
    ...changed,
    screens: trees('screens', screens),
    ...(components ? { components: trees('components', components) } : {}),
  } as unknown as Project;
}
