/** All control kinds, in the order in which the interface lists them. */

import { type Control, inForce } from '../document/types.ts';
import { badge } from './badge.ts';
import { bar } from './bar.ts';
import { button } from './button.ts';
import { cell } from './cell.ts';
import { chart } from './chart.ts';
import { checkbox } from './checkbox.ts';
import { choiceList } from './choice-list.ts';
import { code } from './code.ts';
import { column } from './column.ts';
import { componentKinds, isSurround } from './component.ts';
import { dateField } from './date-field.ts';
import { dial } from './dial.ts';
import { divider } from './divider.ts';
import { fieldset } from './fieldset.ts';
import { fileField } from './file-field.ts';
import { form } from './form.ts';
import { grid } from './grid.ts';
import { heading } from './heading.ts';
import { icon } from './icon.ts';
import { iconButton } from './icon-button.ts';
import { image } from './image.ts';
import { instanceKind } from './instance.ts';
import type { Kind } from './kind.ts';
import { lamp } from './lamp.ts';
import { layers } from './layers.ts';
import { link } from './link.ts';
import { menuButton } from './menu-button.ts';
import { meter } from './meter.ts';
import { motionKinds } from './motion.ts';
import { nav } from './nav.ts';
import { numberField } from './number-field.ts';
import { pictureField } from './picture-field.ts';
import { pinboard } from './pinboard.ts';
import { progress } from './progress.ts';
import { radioGroup } from './radio-group.ts';
import { repeat } from './repeat.ts';
import { row } from './row.ts';
import { screen } from './screen.ts';
import { scroll } from './scroll.ts';
import { select } from './select.ts';
import { slider } from './slider.ts';
import { spacer } from './spacer.ts';
import { split } from './split.ts';
import { switchKind } from './switch.ts';
import { table } from './table.ts';
import { tabs } from './tabs.ts';
import { text } from './text.ts';
import { textArea } from './text-area.ts';
import { textField } from './text-field.ts';
import { timeField } from './time-field.ts';

export const kinds: readonly Kind[] = [
  screen,
  row,
  column,
  grid,
  layers,
  pinboard,
  scroll,
  split,
  fieldset,
  form,
  tabs,
  repeat,
  bar,
  spacer,
  divider,
  text,
  heading,
  link,
  image,
  icon,
  badge,
  progress,
  meter,
  dial,
  lamp,
  chart,
  table,
  cell,
  code,
  textField,
  textArea,
  numberField,
  checkbox,
  switchKind,
  radioGroup,
  select,
  dateField,
  timeField,
  slider,
  choiceList,
  pictureField,
  fileField,
  button,
  iconButton,
  menuButton,
  nav,
];

/** The name of the kind of screens. */
export const screenKind = screen.name;

const byName = new Map([...kinds, ...componentKinds, ...motionKinds].map((kind) => [kind.name, kind]));

/** The kind of that name, also of an instance by the name of its component; undefined where there is none. */
export const kindNamed = (name: string): Kind | undefined => byName.get(name) ?? instanceKind(name);

/** The kind of a control of a valid document. @throws Error where the document is not valid. */
export function kindOf({ kind: name }: Pick<Control, 'kind'>): Kind {
  const kind = kindNamed(name);
  if (!kind) throw new Error(`Unknown kind ${name}`);
  return kind;
}

/**
 * Whether something can be put into a control as it is: into a container, but for one that shows something else as long
 * as nothing stands in it.
 */
export function takesInside(control: Control): boolean {
  const { container, confines, open, root } = kindOf(control);
  // What goes into an instance goes into a slot, which it may not have; a component has one root.
  if (open) return control.children.length > 0;
  if (root === 'components') return control.children.every((child) => kindOf(child).declares);
  return container && (!confines?.children || control.children.length > 0);
}

/**
 * The kind by which it is decided what may stand in a control: its own; for the root of a surround, whose children stand on
 * the screen, that of screens.
 *
 * @param around the control that it stands in.
 */
export const confiningKind = (
  control: Pick<Control, 'kind'>,
  around: Pick<Control, 'kind' | 'props'> | undefined,
): Kind | undefined =>
  around && kindNamed(around.kind)?.root === 'components' && inForce(around.props[isSurround.name]) === 'true'
    ? screen
    : kindNamed(control.kind);

/**
 * Why a control of a kind cannot stand in a container; undefined where it can.
 *
 * @param count children of the container, the control included.
 */
export function confinesProblem(kind: Kind, parent: Kind, count: number): string | undefined {
  if (!parent.container) return `A ${parent.name} holds no other controls.`;
  const parents = kind.confines?.parents;
  if (parents && !parents.includes(parent.name))
    return `A ${kind.name} can only stand in a ${parents.join(' or ')}.`;
  const children = parent.confines?.children;
  if (children && !children.includes(kind.name))
    return `A ${parent.name} holds nothing but ${children.join(' or ')}s.`;
  const most = parent.confines?.most;
  return most !== undefined && count > most ? `A ${parent.name} holds ${most} controls at most.` : undefined;
}
