/** What the drawing of a sweep shows: which controls, how wide each is at every width, which changes concern them. */
import {
  boxAt,
  type Change,
  type Control,
  kindOf,
  locate,
  mannerOf,
  type Project,
  plainArrangement,
  type SweepPart,
} from '@hovrin/core';

/** How wide one control is over the widths: the stripe between `low` and `high`. */
export interface Stripe {
  readonly control: string;
  readonly name: string;
  readonly points: readonly {
    readonly at: number;
    readonly low: number;
    readonly high: number;
    readonly gap: boolean;
  }[];
}

/** The controls that are drawn: the selection, and its siblings where they stand side by side. */
export function drawn(project: Project, control: Control): readonly Control[] {
  const parent = locate(project, control.id)?.parent;
  const sideBySide =
    parent && (plainArrangement(parent) === 'row' || mannerOf(kindOf(parent)).panes !== undefined);
  return sideBySide ? parent.children : [control];
}

/** Whether a box is that of a control; of an instance it is its component's root, the first of its parts. */
const isOf = (box: string | undefined, id: string): boolean =>
  box === id || box?.startsWith(`${id}/`) === true;

/** How wide each control is over the widths, one on top of the other. */
export function stripesOf(
  parts: readonly SweepPart[],
  controls: readonly Control[],
  names: ReadonlyMap<string, string>,
): Stripe[] {
  const stripes = controls.map(({ id }): Stripe & { points: Stripe['points'][number][] } => ({
    control: id,
    name: names.get(id) ?? '',
    points: [],
  }));
  for (const { stretch } of parts) {
    const indexes = controls.map(({ id }) =>
      stretch.boxes.findIndex((box) => isOf(box.control, id) && box.items.every((item) => item === 0)),
    );
    for (const at of [stretch.from, stretch.to]) {
      let low = 0;
      stripes.forEach((stripe, which) => {
        const index = indexes[which] ?? -1;
        const width = index < 0 ? 0 : boxAt(stretch, index, at)[2];
        stripe.points.push({ at, low, high: low + width, gap: index < 0 });
        low += width;
      });
    }
  }
  return stripes;
}

/** Whether a change is about some controls, about those inside of them, or about one around them. */
export function concerns(change: Change, ids: ReadonlySet<string>, project: Project): boolean {
  return change.causes.some(({ control, question }) => {
    if (question === 'band') return true;
    for (
      let at = control === undefined ? undefined : locate(project, control);
      at;
      at = at.parent && locate(project, at.parent.id)
    )
      if (ids.has(at.control.id)) return true;
    return false;
  });
}

/**
 * The width that an arrow key leads to.
 *
 * @param by -1 or 1.
 * @param toChange goes to the next width at which something changes rather than by one px.
 */
export function steppedWidth(
  width: number,
  by: number,
  { toChange, fast }: { readonly toChange: boolean; readonly fast: boolean },
  changes: readonly Change[],
): number {
  if (!toChange) return width + by * (fast ? 10 : 1);
  const next =
    by > 0
      ? changes.find((change) => change.width > width)
      : changes.findLast((change) => Math.ceil(change.width) < width);
  return Math.ceil(next?.width ?? width);
}
