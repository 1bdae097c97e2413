/** Makes the program that an exported page runs. Values that are not valid are left out; the last good ones run. */

import { effectiveNames } from '../document/names.ts';
import { contextOf, itemNames } from '../document/property-text.ts';
import { type Control, inForce, type Project, startScreen } from '../document/types.ts';
import { textInForce } from '../document/values.ts';
import type { Template } from '../expression/ast.ts';
import {
  checkStatements,
  checkTarget,
  checkTemplate,
  type Surroundings,
  withItems,
} from '../expression/check.ts';
import { hasExpression, unescapeBraces } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type {
  Bindings,
  ContentBinding,
  EventBinding,
  Program,
  RepeatBinding,
  ScreenProgram,
  StyleBinding,
  TwoWayBinding,
} from '../runtime/program.ts';
import { aroundOf } from './declarations.ts';
import { pictureAddress } from './html.ts';

/** @returns the program of a project's page. */
export function programOf(project: Project): Program {
  const around = contextOf(project);
  return {
    start: addressOf(startScreen(project)),
    state: project.state,
    pictures: Object.fromEntries(
      project.assets.map((asset) => [asset.name, pictureAddress(asset.name, project.assets)]),
    ),
    screens: project.screens.map((screen) => screenProgram(screen, around)),
  };
}

/** The part of a page's address that names a screen. */
export const addressOf = (screen: Control | undefined): string =>
  screen ? effectiveNames(screen).get(screen.id)! : '';

/** A screen's title as the browser shows it. */
export const titleOf = (screen: Control): string =>
  unescapeBraces(inForce(screen.props.title) ?? addressOf(screen));

/** Templates of a control's bound size, place and look, by property name. */
export function styleTemplates(control: Control, around: Surroundings): Record<string, Template> {
  const found: Record<string, Template> = {};
  for (const property of kindOf(control).properties) {
    const text =
      property.page || property.group === 'data' ? undefined : textInForce(control, property, ['']);
    if (text === undefined || !hasExpression(text)) continue;
    const checked = checkTemplate(text, around);
    if (checked.ok) found[property.name] = checked.value;
  }
  return found;
}

function screenProgram(screen: Control, around: Surroundings): ScreenProgram {
  const bindings = bindingsOf([{ control: screen, parent: undefined }], effectiveNames(screen), around);
  return { name: addressOf(screen), title: titleOf(screen), ...bindings };
}

/** A control and what it stands in. */
interface Standing {
  readonly control: Control;
  readonly parent: Control | undefined;
}

/** The bindings of some controls and all below them, repeats apart, which have their own. */
function bindingsOf(
  controls: readonly Standing[],
  names: ReadonlyMap<string, string>,
  around: Surroundings,
): Bindings {
  const found = {
    content: [] as ContentBinding[],
    twoWay: [] as TwoWayBinding[],
    style: [] as StyleBinding[],
    events: [] as EventBinding[],
    repeats: [] as RepeatBinding[],
  };
  const visit = ({ control, parent }: Standing) => {
    bindControl({ control, parent }, names.get(control.id)!, around, found);
    const below = control.children.map((child) => ({ control: child, parent: control }));
    if (control.kind !== 'repeat') {
      below.forEach(visit);
      return;
    }
    const text = textInForce(control, { name: 'each' }, ['']);
    const each = text === undefined ? undefined : checkTemplate(text, around);
    const as = itemNames([control])[0]!;
    if (each?.ok)
      found.repeats.push({
        control: names.get(control.id)!,
        each: each.value,
        as,
        inside: bindingsOf(below, names, withItems(around, [as])),
      });
  };
  controls.forEach(visit);
  return found;
}

function bindControl(
  { control, parent }: Standing,
  name: string,
  around: Surroundings,
  {
    content,
    twoWay,
    style,
    events,
  }: { [K in 'content' | 'twoWay' | 'style' | 'events']: Bindings[K][number][] },
): void {
  const kind = kindOf(control);
  for (const property of kind.properties) {
    if (!property.page) continue;
    const target = property.page;
    const bind = property.twoWay && inForce(control.props[`${property.name}.bind`]);
    if (bind) {
      const checked = checkTarget(bind, property.twoWay ?? [], around);
      if (checked.ok) twoWay.push({ control: name, variable: checked.value, target });
      continue;
    }
    const text = inForce(control.props[property.name]);
    if (text === undefined || !hasExpression(text)) continue;
    const checked = checkTemplate(text, around);
    if (checked.ok)
      content.push({
        control: name,
        kind: kind.name,
        property: property.name,
        template: checked.value,
        target,
      });
  }
  const templates = parent ? styleTemplates(control, around) : {};
  if (Object.keys(templates).length > 0)
    style.push({
      control: name,
      kind: kind.name,
      around: aroundOf(parent, control, ['']),
      parts: kind.parts?.(control.children) ?? [],
      templates,
    });
  for (const event of kind.events) {
    const text = inForce(control.props[`on.${event.name}`]);
    const checked = text === undefined ? undefined : checkStatements(text, around);
    if (checked?.ok && checked.value.length > 0)
      events.push({ control: name, event: event.name, statements: checked.value });
  }
}
