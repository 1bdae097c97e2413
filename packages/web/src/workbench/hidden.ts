/** Showing what is hidden: as it would stand if it were not, faintly. */
import { type Control, kindOf, type Project, propertyOf } from '@hovrin/core';

/** Whether an attribute hides a control, at any size. */
const hides = (attribute: string): boolean => propertyOf(attribute) === 'hidden';

/** A project in which a screen's controls are all there, and which of them say that they are hidden. */
export function unhidden(project: Project, screenId: string): { project: Project; faint: readonly string[] } {
  const faint: string[] = [];
  const shown = (control: Control): Control => {
    const hidden = Object.entries(control.props).some(
      ([name, value]) => hides(name) && value !== 'false' && !kindOf(control).root,
    );
    if (hidden) faint.push(control.id);
    const children = control.children.map(shown);
    if (!hidden && children.every((child, index) => child === control.children[index])) return control;
    const props = hidden
      ? Object.fromEntries(Object.entries(control.props).filter(([name]) => !hides(name)))
      : control.props;
    return { ...control, props, children };
  };
  const screens = project.screens.map((screen) => (screen.id === screenId ? shown(screen) : screen));
  return faint.length > 0 ? { project: { ...project, screens }, faint } : { project, faint };
}
