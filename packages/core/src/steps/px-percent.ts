/** Turning px into per cent of the parent, and back; place and size stay what they are at the width at hand. */
import { plainArrangement } from '../cascade/plain-values.ts';
import { locate, walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { ScreenLayout } from '../layout/screen-layout.ts';
import { applySteps, type Step } from './step.ts';

const across = ['width', 'min-width', 'max-width', 'left', 'right'];
const downwards = ['height', 'min-height', 'max-height', 'top', 'bottom'];

/** What percentages of a control refer to (CSS 2 §10.2, Position 3 §2.1). CSS px. */
export function percentBasis(parent: Control, layout: ScreenLayout, downward: boolean): number | undefined {
  const box = layout.byControl.get(parent.id);
  if (!box) return undefined;
  const { padding, border } = box.box.style;
  const frame = downward ? border.top + border.bottom : border.start + border.end;
  const inner = downward ? padding.top + padding.bottom : padding.start + padding.end;
  return (downward ? box.height : box.width) - frame - (plainArrangement(parent) === 'pins' ? 0 : inner);
}

/** How much a box may differ from where it was, CSS px. */
const tolerance = 0.1;

/**
 * @param deep also all that is inside the controls.
 * @param layOut lays the screen out as it would be, to see that nothing moves; what would move stays as it is.
 */
export function convertUnits(
  project: Project,
  layout: ScreenLayout,
  ids: readonly string[],
  { to, deep }: { readonly to: 'px' | '%'; readonly deep: boolean },
  layOut: (project: Project) => ScreenLayout,
): Step[] {
  const controls = ids.flatMap((id) => {
    const found = locate(project, id);
    return found ? (deep ? [...walk(found.control)] : [found.control]) : [];
  });
  const steps: Step[] = [];
  for (const control of controls) {
    const parent = locate(project, control.id)?.parent;
    if (!parent) continue;
    for (const { name } of kindOf(control).properties) {
      const downward = downwards.includes(name);
      const text = inForce(control.props[name]);
      if (text === undefined || !(downward || across.includes(name))) continue;
      const basis = percentBasis(parent, layout, downward);
      if (basis === undefined || basis <= 0) continue;
      const percent = /^(-?[\d.]+)%$/.exec(text);
      const pixels = /^-?[\d.]+$/.test(text) ? Number(text) : undefined;
      const value =
        to === '%' && pixels !== undefined
          ? `${Number(((pixels / basis) * 100).toFixed(4))}%`
          : to === 'px' && percent
            ? String(Number(((Number(percent[1]) / 100) * basis).toFixed(2)))
            : undefined;
      if (value !== undefined) steps.push({ type: 'set', control: control.id, property: name, value });
    }
  }
  const stays = (some: readonly Step[]) => {
    const applied = applySteps(project, some);
    if (!applied.ok) return false;
    const after = layOut(applied.project);
    return [...layout.byControl].every(([id, box]) => {
      const now = after.byControl.get(id);
      return (
        now !== undefined &&
        Math.max(
          Math.abs(now.x - box.x),
          Math.abs(now.y - box.y),
          Math.abs(now.width - box.width),
          Math.abs(now.height - box.height),
        ) <= tolerance
      );
    });
  };
  if (stays(steps)) return steps;
  // A percentage of a height that is not known is no size; such ones are left out one by one.
  const kept: Step[] = [];
  for (const step of steps) if (stays([...kept, step])) kept.push(step);
  return kept;
}
