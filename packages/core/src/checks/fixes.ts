/** What would mend a finding: ready steps, each tried at the width where it is worst before it is offered. */

import { readAttribute } from '../document/attributes.ts';
import { propertiesOf } from '../document/cascade.ts';
import { effectiveNames } from '../document/names.ts';
import { plainArrangement } from '../document/plain-values.ts';
import { locate, pathIn, walk } from '../document/tree.ts';
import { type Control, inForce, type Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { wrap } from '../kinds/properties.ts';
import type { ScreenView } from '../layout/screen-layout.ts';
import { applySteps, type Step } from '../steps/step.ts';
import type { Fix } from '../why/explanation.ts';
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
  if (!found?.parent) return [];
  const mends = triedBy(view, screen, finding);
  return proposals(project, screen, found.control, found.parent, finding)
    .filter(({ steps }) => {
      const applied = applySteps(project, steps);
      return applied.ok && mends(applied.project);
    })
    .slice(0, 3);
}

/** Tells whether a finding is gone from a project, at the middle of where it was. */
function triedBy(view: ScreenView, screen: Control, { check, severity, control, other, where }: Sought) {
  const { from, to, textScale, orientation } = where[0]!;
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
  const own = (name: string) => inForce(control.props[name]);
  switch (check) {
    case 'too-wide':
    case 'off-screen':
    case 'overlap':
      if (own('width') !== undefined)
        add(`Let ${self} be at most as wide as ${outer}`, [control, 'max-width', '100%']);
      if (own('min-width') !== undefined)
        add(`Take the least width from ${self}`, [control, 'min-width', null]);
      if (own('nowrap') === 'true') add(`Let the words of ${self} break`, [control, 'nowrap', null]);
      if (plainArrangement(parent) === 'row' && propertiesOf(kindOf(parent)).has(wrap.name))
        add(`Let ${outer} go on in another line`, [parent, 'wrap', 'true']);
      if (own('width') !== undefined) add(`Let ${self} be as wide as it needs`, [control, 'width', null]);
      break;
    case 'too-high':
      if (inForce(parent.props.height) !== undefined)
        add(`Let ${outer} be as high as it needs`, [parent, 'height', null]);
      if (own('height') !== undefined) add(`Let ${self} be as high as it needs`, [control, 'height', null]);
      if (own('max-height') !== undefined)
        add(`Take the greatest height from ${self}`, [control, 'max-height', null]);
      if (inForce(parent.props['max-height']) !== undefined)
        add(`Take the greatest height from ${outer}`, [parent, 'max-height', null]);
      break;
    case 'small-target': {
      const side = severity === 'error' ? '24' : '44';
      add(`Make ${self} at least ${side} px high`, [control, 'min-height', side]);
      add(
        `Make ${self} at least ${side} px wide and high`,
        [control, 'min-width', side],
        [control, 'min-height', side],
      );
      break;
    }
    case 'cut':
      add(`Show all lines of ${self}`, [control, 'lines', null]);
      break;
    case 'long-line':
      add(`Let ${self} be at most 640 px wide`, [control, 'max-width', '640']);
      add(`Let ${self} be at most 480 px wide`, [control, 'max-width', '480']);
      break;
    default:
  }
  return fixes.filter(({ steps }) => steps.length > 0);
}
