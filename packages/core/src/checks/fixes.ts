/** What would mend a finding: ready steps, each tried at the width where it is worst before it is offered. */

import { readAttribute } from '../cascade/attributes.ts';
import { effectiveNames } from '../document/names.ts';
import { locate, pathIn, walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { ScreenView } from '../layout/screen-layout.ts';
import { applySteps, type Step } from '../steps/step.ts';
import { itemAt } from '../sure.ts';
import type { Fix } from '../why/explanation.ts';
import { checkNamed } from './catalogue/index.ts';
import type { Finding } from './finding.ts';
import { acrossHeight, uprightHeight } from './heights.ts';
import { isWrong } from './measures.ts';
import { measuresOf } from './measuring.ts';

type Sought = Pick<Finding, 'check' | 'severity' | 'control' | 'other' | 'where'>;

/**
 * @param view lays out what is tried; the same one for all findings of a screen, so that little is laid out anew.
 * @returns those that mend it, at most three.
 */
export function fixesOf(view: ScreenView, project: Project, screen: Control, finding: Sought): Fix[] {
  const found = locate(project, finding.control);
  if (!found) return [];
  const mends = triedBy(view, screen, finding);
  return proposals(project, screen, found.control, found.parent ?? found.control, finding)
    .filter(({ steps }) => {
      const applied = applySteps(project, steps);
      return applied.ok && mends(applied.project);
    })
    .slice(0, 3);
}

/** Tells whether a finding is gone from a project, at the middle of where it was. */
function triedBy(view: ScreenView, screen: Control, { check, severity, control, other, where }: Sought) {
  const { from, to, textScale, orientation } = itemAt(where, 0);
  const only = new Set(pathIn(screen, control).map(({ id }) => id));
  const height = orientation === 'portrait' ? uprightHeight : acrossHeight;
  return (project: Project): boolean => {
    const now = project.screens.find(({ id }) => id === screen.id);
    if (!now) return false;
    const controls = new Map([...walk(now)].map((each) => [each.id, each]));
    return [from, (from + to) / 2, to].every((width) => {
      const layout = view.layOut(project, now, { width, height, textScale });
      return !measuresOf(layout, { touch: severity === 'advice', controls, only }).some(
        (measure) =>
          measure.check === check &&
          measure.severity === severity &&
          measure.control === control &&
          measure.other === other &&
          isWrong(measure),
      );
    });
  };
}

function proposals(
  project: Project,
  screen: Control,
  control: Control,
  parent: Control,
  { check, severity }: Sought,
): Fix[] {
  const names = effectiveNames(screen);
  const self = `\`${names.get(control.id)}\``;
  const outer = `\`${names.get(parent.id)}\``;
  const fixes: Fix[] = [];
  const add = (label: string, ...changes: readonly (readonly [Control, string, string | null])[]) => {
    const steps = changes.map(
      ([on, property, value]): Step => ({ type: 'set', control: on.id, property, value }),
    );
    const known = changes.every(
      ([on, property]) => typeof readAttribute(kindOf(on), property, project.bands) !== 'string',
    );
    if (known) fixes.push({ label, steps });
  };
  checkNamed(check)?.mend?.({
    control,
    parent,
    severity,
    self,
    outer,
    own: (name) => inForce(control.props[name]),
    outerOwn: (name) => inForce(parent.props[name]),
    add,
  });
  return fixes.filter(({ steps }) => steps.length > 0);
}
