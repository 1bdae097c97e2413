/** What a half-open screen hides: its hinge lies over what is to be pressed or filled in. */
import { walk } from '../document/tree.ts';
import type { Control, Project } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { halfOpen } from '../layout/folded-screen.ts';
import type { ScreenView } from '../layout/screen-layout.ts';
import type { Finding } from './finding.ts';
import { kindTarget, leeway } from './measures.ts';

/** @returns one for each control of which a part cannot be pressed; without sentences and fixes. */
export function underHinge(
  view: ScreenView,
  project: Project,
  screen: Control,
  rightToLeft: boolean,
): Omit<Finding, 'sentence' | 'fixes'>[] {
  const { hinge, width, height } = halfOpen;
  const layout = view.layOut(project, screen, { ...halfOpen, rightToLeft });
  return [...walk(screen)].flatMap((control) => {
    const { group, container, acrossFold } = kindOf(control);
    const box = layout.byControl.get(control.id);
    // Lists and columns may well go on across a fold; what is touched may not.
    if (!box || container || (group !== 'ask' && group !== 'act') || acrossFold) return [];
    const right = hinge.left + hinge.width;
    const hidden = Math.min(box.x + box.width, right) - Math.max(box.x, hinge.left);
    const beside = Math.max(hinge.left - box.x, box.x + box.width - right);
    // What goes on far enough on one side is used there.
    if (hidden <= leeway || beside >= kindTarget) return [];
    return {
      check: 'under-hinge',
      severity: 'advice',
      control: control.id,
      other: undefined,
      attribute: undefined,
      where: [
        { from: width, to: width, textScale: 1, orientation: width > height ? 'landscape' : 'portrait' },
      ],
      worst: hidden,
    } as const;
  });
}
