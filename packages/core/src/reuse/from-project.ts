/** Values that follow from the project where a control leaves them open: a navigation has the screens of the menu. */
import type { MenuSource } from '../document/menu.ts';
import type { Control } from '../document/types.ts';
import { kindNamed } from '../kinds/catalogue.ts';

/** Whether a control, or something in it, says what follows from the project. */
const asking = new WeakMap<Control, boolean>();

function asks(control: Control): boolean {
  let known = asking.get(control);
  if (known === undefined) {
    known = leftToProject(control) !== undefined || control.children.some(asks);
    asking.set(control, known);
  }
  return known;
}

/** Values that a kind takes from the project where a control leaves them open. */
function leftToProject({ kind, props }: Control) {
  const from = kindNamed(kind)?.fromProject;
  return from && props[from.unless] === undefined && props[`${from.unless}.bind`] === undefined
    ? from
    : undefined;
}

/** Controls with what the project says for them, as they were made last. */
const filled = new WeakMap<Control, { readonly props: string; readonly control: Control }>();

/** A tree in which controls say what follows from the project; the same object where none does. Those that did not change are kept. */
export function withProjectValues(control: Control, project: MenuSource): Control {
  if (!asks(control)) return control;
  const props = leftToProject(control)?.props(project) ?? {};
  const children = control.children.map((child) => withProjectValues(child, project));
  const isSame = children.every((child, index) => child === control.children[index]);
  if (isSame && Object.keys(props).length === 0) return control;
  const text = JSON.stringify(props);
  const known = filled.get(control);
  if (known?.props === text && known.control.children.every((child, index) => child === children[index]))
    return known.control;
  const made = { ...control, props: { ...props, ...control.props }, children };
  filled.set(control, { props: text, control: made });
  return made;
}
