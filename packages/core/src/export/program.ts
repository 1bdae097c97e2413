/** Makes the program that an exported page runs. Values that are not valid are left out; the last good ones run. */

import { effectiveNames } from '../document/names.ts';
import { contextOf } from '../document/property-text.ts';
import { locationsIn } from '../document/tree.ts';
import { type Control, inForce, type Project, startScreen } from '../document/types.ts';
import { textInForce } from '../document/values.ts';
import type { Template } from '../expression/ast.ts';
import { checkStatements, checkTarget, checkTemplate, type Surroundings } from '../expression/check.ts';
import { hasExpression, unescapeBraces } from '../expression/template.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type {
  ContentBinding,
  EventBinding,
  Program,
  ScreenProgram,
  StyleBinding,
  TwoWayBinding,
} from '../runtime/program.ts';
import { axisOf } from './declarations.ts';
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
    const text = property.page ? undefined : textInForce(control, property, ['']);
    if (text === undefined || !hasExpression(text)) continue;
    const checked = checkTemplate(text, around);
    if (checked.ok) found[property.name] = checked.value;
  }
  return found;
}

function screenProgram(screen: Control, around: Surroundings): ScreenProgram {
  const names = effectiveNames(screen);
  const content: ContentBinding[] = [];
  const twoWay: TwoWayBinding[] = [];
  const style: StyleBinding[] = [];
  const events: EventBinding[] = [];
  for (const { control, parent } of locationsIn(screen).values()) {
    const kind = kindOf(control);
    const name = names.get(control.id)!;
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
      style.push({ control: name, kind: kind.name, axis: axisOf(parent), templates });
    for (const event of kind.events) {
      const text = inForce(control.props[`on.${event.name}`]);
      const checked = text === undefined ? undefined : checkStatements(text, around);
      if (checked?.ok && checked.value.length > 0)
        events.push({ control: name, event: event.name, statements: checked.value });
    }
  }
  return { name: addressOf(screen), title: titleOf(screen), content, twoWay, style, events };
}
