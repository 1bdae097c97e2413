/** A screen at an instant of its motions: its controls with what their keys come to over all that they hold. */
import type { Control, Moved } from '../document/types.ts';
import { motionsHere } from '../reuse/motions-here.ts';
import type { TokenNames } from '../tokens/reading.ts';
import { type Instant, progressOf, valueAt } from './instant.ts';
import { type Motion, timelineOf } from './timeline.ts';

const timelines = new WeakMap<
  Control,
  { readonly tokens: TokenNames; readonly motions: readonly Motion[] }
>();

/** The motions of an expanded screen as timelines; worked out once for each version of it. */
export function motionsOn(screen: Control, tokens: TokenNames): readonly Motion[] {
  const known = timelines.get(screen);
  if (known?.tokens === tokens) return known.motions;
  const motions = motionsHere(screen).map((here) => timelineOf(here, tokens));
  timelines.set(screen, { tokens, motions });
  return motions;
}

/** The values of each control at some instants, by id. Of several motions of one property the later one in the list counts. */
function movedAt(
  motions: readonly Motion[],
  instants: readonly Instant[],
): ReadonlyMap<string, Map<string, Moved>> {
  const found = new Map<string, Map<string, Moved>>();
  for (const { name, at } of instants) {
    const motion = motions.find((each) => each.name === name);
    if (!motion) continue;
    const progress = progressOf(motion, at);
    for (const track of motion.tracks) {
      const held = found.get(track.control) ?? new Map<string, Moved>();
      held.set(track.property.name, (under, theme) => valueAt(track, progress, under, theme));
      found.set(track.control, held);
    }
  }
  return found;
}

function withMoved(control: Control, moved: ReadonlyMap<string, Map<string, Moved>>): Control {
  const children = control.children.map((child) => withMoved(child, moved));
  const own = moved.get(control.id);
  if (!own && children.every((child, index) => child === control.children[index])) return control;
  // Attributes of their own tell apart what is kept of a control by its attributes.
  return { ...control, children, ...(own ? { props: { ...control.props }, moved: own } : {}) };
}

const made = new WeakMap<Control, { readonly key: string; readonly screen: Control }>();

/** An expanded screen as it is at some instants; the same object where nothing moves. */
export function movedScreen(screen: Control, instants: readonly Instant[], tokens: TokenNames): Control {
  if (instants.length === 0 || motionsHere(screen).length === 0) return screen;
  const key = JSON.stringify(instants);
  const known = made.get(screen);
  if (known?.key === key) return known.screen;
  const moved = withMoved(screen, movedAt(motionsOn(screen, tokens), instants));
  made.set(screen, { key, screen: moved });
  return moved;
}
