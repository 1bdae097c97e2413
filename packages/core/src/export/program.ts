/** Makes the program that an exported page runs. Values that are not valid are left out; the last good ones run. */

import type { Conditions } from '../cascade/cascade.ts';
import { saidOf, textInForce } from '../cascade/cascade.ts';
import { plainValues } from '../cascade/plain-values.ts';
import { themeOf } from '../cascade/project-theme.ts';
import { repetitionOf } from '../cascade/repetition.ts';
import { defaultsOf } from '../cascade/values.ts';
import { aroundOf } from '../css/declarations.ts';
import { splashOf } from '../document/menu.ts';
import { effectiveNames } from '../document/names.ts';
import { ruledColumns } from '../document/row-rules.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, isDialog, type Project, startScreen } from '../document/types.ts';
import type { Template } from '../expression/ast.ts';
import {
  checkStatements,
  checkTarget,
  checkTemplate,
  itemType,
  type Surroundings,
  withItems,
} from '../expression/check.ts';
import { checkComputed } from '../expression/computed.ts';
import { ownStatesIn } from '../expression/own-states.ts';
import { hasExpression, unescapeBraces } from '../expression/template.ts';
import { languageOf, mayReadView } from '../expression/view-names.ts';
import { iconSet } from '../icons/icon-set.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { givenName } from '../kinds/given-name.ts';
import type { Kind, Property } from '../kinds/kind.ts';
import { arrangementOf, mannerOf } from '../kinds/manner.ts';
import { ownStates, style } from '../kinds/properties.ts';
import { addressedOf } from '../meaning/addressed.ts';
import { columnScopeAt, listShownBy } from '../meaning/column-uses.ts';
import { contextOf } from '../meaning/property-text.ts';
import { comesType, secondsType } from '../property-types/index.ts';
import { expandedProject } from '../reuse/expand.ts';
import type {
  Bindings,
  InsideBinding,
  PageLanguages,
  Program,
  ProgramVariable,
  ScreenProgram,
} from '../runtime/program.ts';
import { entryOf } from '../sure.ts';
import type { Theme } from '../values/theme.ts';
import { hoisted } from './hoisting.ts';
import { programMotions } from './motions.ts';
import { pictureAddress } from './picture-address.ts';
import { keptBy, programRequest, programTable } from './program-state.ts';
import { boundTo, placeIn, withLists } from './row-targets.ts';

/** What bindings are read with: the names in reach of expressions, and values that hold on all screens. */
interface Binding extends Surroundings {
  readonly conditions: Conditions;
  readonly state: Project['state'];
  readonly project: Project;
  readonly opensFirst: Control | undefined;
  /** The list that an item's row is in, by a control and the name of the item; undefined: it is worked out. */
  listOf(control: Control, item: string): string | undefined;
  /** The list whose rows a control shows. */
  listShownBy(control: Control): string | undefined;
}

/** A part of a program in which `View.language` is said: that of a page whose words are in one language. */
function inWords<T>(part: T, language: string): T {
  if (typeof part !== 'object' || part === null) return part;
  if (Array.isArray(part)) return part.map((each) => inWords(each, language)) as T;
  if ('name' in part && part.name === 'View.language' && 'type' in part && part.type === 'name')
    return { type: 'literal', value: language } as T;
  return Object.fromEntries(Object.entries(part).map(([key, each]) => [key, inWords(each, language)])) as T;
}

/**
 * @param languages those of the page, where it has several.
 * @returns the program of a project's page.
 */
export function programOf(given: Project, languages?: PageLanguages): Program {
  const project = expandedProject(given);
  const inLanguage = <T>(part: T): T => (languages ? part : inWords(part, languageOf(project)));
  const around = {
    ...contextOf(project),
    conditions: { prefixes: [''], theme: themeOf(project) },
    state: project.state,
    project,
    opensFirst: startScreen(project),
    listOf: () => undefined,
    listShownBy: () => undefined,
  };
  return {
    name: project.name,
    ...(languages ? { languages } : {}),
    ...keptBy(project),
    start: addressOf(startScreen(project)),
    ...(project.sources?.length ? { sources: project.sources } : {}),
    state: project.state.map(({ computed, columns, feed, table, request, ...rest }): ProgramVariable => {
      const ruled = ruledColumns(columns);
      const address = feed && checkTemplate(feed.address, around);
      const variable = {
        ...rest,
        ...(ruled.length > 0 ? { columns: ruled } : {}),
        ...(address?.ok ? { feed: { ...feed!, template: inLanguage(address.value) } } : {}),
        ...(table ? { table: programTable(rest, table) } : {}),
        ...(request ? { request: programRequest(request) } : {}),
      };
      if (computed === undefined) return variable;
      const expression = checkComputed({ ...rest, computed }, project.state);
      return expression.ok
        ? { ...variable, computed: inLanguage(hoisted(expression.value, holdsText(around))) }
        : variable;
    }),
    pictures: Object.fromEntries(
      project.assets.map((asset) => [
        asset.name,
        pictureAddress(asset.name, project.assets, around.conditions.theme),
      ]),
    ),
    screens: project.screens.map((screen) => {
      const program = screenProgram(screen, {
        ...around,
        listOf: (control, item) => columnScopeAt(screen, project.state, control.id)?.shapeOf(item)?.table,
        listShownBy: (control) => listShownBy(screen, project.state, control),
      });
      return inLanguage(program);
    }),
    ...tokensNamed(project, around.conditions.theme),
    ...(readsView(project) ? { bands: project.bands.map(({ name, from }) => ({ name, from })) } : {}),
  };
}

/** The tokens that stand as words in expressions, but for colours. */
function tokensNamed(project: Project, theme: Theme): Pick<Program, 'tokens'> {
  const words = wordsInExpressions(project);
  const found = [...theme.tokens.values()].flatMap(({ name, type, texts }) =>
    type !== 'color' && words.has(name) && texts[''] !== undefined ? [[name, texts['']] as const] : [],
  );
  return found.length > 0 ? { tokens: Object.fromEntries(found) } : {};
}

/** Whether something in a project may read where it is shown. */
const readsView = ({ screens, state }: Project): boolean =>
  state.some(({ computed }) => mayReadView(computed ?? '')) ||
  screens.some((screen) =>
    [...walk(screen)].some(({ props }) =>
      Object.values(props).some((value) => mayReadView(inForce(value) ?? '')),
    ),
  );

/** The part of a page's address that names a screen. */
export const addressOf = (screen: Control | undefined): string =>
  screen ? entryOf(effectiveNames(screen), screen.id) : '';

/** A screen's title as the browser shows it. */
export const titleOf = (screen: Control): string =>
  unescapeBraces(inForce(screen.props.title) ?? addressOf(screen));

/** Properties that a page has as classes and marks, not as declarations. */
const asClasses: ReadonlySet<string> = new Set([style.name, ownStates.name]);

/** Templates of a control's bound size, place and look, by property name. */
export function styleTemplates(
  control: Control,
  around: Surroundings,
  { theme }: Pick<Conditions, 'theme'>,
): Record<string, Template> {
  const found: Record<string, Template> = {};
  for (const property of kindOf(control).properties) {
    const isLook = !property.page && property.group !== 'data' && !asClasses.has(property.name);
    const text = isLook ? saidOf(control, property, { prefixes: [''], theme })?.text : undefined;
    if (text === undefined || !hasExpression(text)) continue;
    const checked = checkTemplate(text, around);
    if (checked.ok) found[property.name] = checked.value;
  }
  return found;
}

/** How a screen takes the place of another: as it says, or as all do. */
function transitionTo(screen: Control, ofAll: string | undefined): Pick<ScreenProgram, 'transition'> {
  const said = comesType.read(inForce(screen.props.comes) ?? ofAll ?? '');
  const seconds = secondsType.read(inForce(screen.props['comes-seconds']) ?? '');
  if (!said.ok || isDialog(screen)) return {};
  return { transition: { name: said.value, ...(seconds.ok ? { seconds: seconds.value } : {}) } };
}

function screenProgram(screen: Control, around: Binding): ScreenProgram {
  const bindings = bindingsOf([{ control: screen, parent: undefined }], effectiveNames(screen), around);
  const every = secondsType.read(inForce(screen.props.every) ?? '');
  const templateOf = (text: string | undefined) => {
    const checked = text === undefined ? undefined : checkTemplate(text, around);
    return checked?.ok ? checked.value : undefined;
  };
  const when = templateOf(inForce(screen.props.when));
  const leaving = isDialog(screen) ? undefined : templateOf(inForce(screen.props.leaving));
  const { entries: addressed } = addressedOf(screen, around.state);
  const motions = programMotions(around.project, screen, effectiveNames(screen), templateOf);
  const splash = screen === around.opensFirst ? splashOf(around.project, screen) : undefined;
  return {
    name: addressOf(screen),
    title: titleOf(screen),
    ...(every.ok ? { every: every.value } : {}),
    ...(when ? { when } : {}),
    ...(addressed.length > 0 ? { addressed } : {}),
    ...(leaving ? { leaving } : {}),
    ...transitionTo(screen, around.project.transition),
    ...(motions.length > 0 ? { motions } : {}),
    ...(isDialog(screen) ? { dialog: true } : {}),
    ...(splash?.to === undefined ? {} : { splash: { seconds: splash.seconds, to: splash.to } }),
    ...bindings,
  };
}

/** A control and what it stands in. */
interface Standing {
  readonly control: Control;
  readonly parent: Control | undefined;
}

/** Bindings as they are gathered. */
type Found = { readonly [Sort in keyof Bindings]: Bindings[Sort][number][] };

/** The bindings of some controls and their descendants, without those inside repeats, which have bindings of their own. */
function bindingsOf(
  controls: readonly Standing[],
  names: ReadonlyMap<string, string>,
  around: Binding,
): Bindings {
  const found: Found = {
    content: [],
    inside: [],
    twoWay: [],
    style: [],
    classes: [],
    states: [],
    events: [],
    repeats: [],
  };
  const visit = ({ control, parent }: Standing) => {
    bindControl({ control, parent }, entryOf(names, control.id), around, found);
    const below = control.children.map((child) => ({ control: child, parent: control }));
    const repetition = repetitionOf(control);
    if (!repetition) {
      below.forEach(visit);
      return;
    }
    const templateOf = (property: Property | undefined) => {
      const text = property && textInForce(control, property, ['']);
      const checked = text === undefined ? undefined : checkTemplate(text, around);
      return checked?.ok ? checked : undefined;
    };
    const { properties } = kindOf(control);
    const each = templateOf(properties.find(({ name }) => name === repetition.list));
    const sort = templateOf(properties.find(({ page }) => page?.as === 'sort'));
    const { as } = repetition;
    if (each?.ok)
      found.repeats.push({
        control: entryOf(names, control.id),
        each: hoistedIn(each.value, around),
        said: saidTemplates(control, around),
        ...(sort ? { sort: sort.value } : {}),
        as,
        item: bindingsOf(below, names, withItems(around, [as])),
      });
  };
  controls.forEach(visit);
  return found;
}

/** Whether a name stands for a variable that always holds a text. */
const holdsText =
  ({ names }: Surroundings) =>
  (name: string): boolean =>
    names.get(name) === 'text';

const hoistedIn = ({ parts, whole }: Template, around: Surroundings): Template => ({
  parts: parts.map((part) => (typeof part === 'string' ? part : hoisted(part, holdsText(around)))),
  whole,
});

/** What a repeat says in place of its items: texts and expressions alike. */
function saidTemplates(control: Control, around: Surroundings): Record<string, Template> {
  const found: Record<string, Template> = {};
  for (const name of ['status', 'loading', 'failed', 'empty']) {
    const text = textInForce(control, { name }, ['']);
    const checked = text === undefined ? undefined : checkTemplate(text, around);
    if (checked?.ok) found[name] = checked.value;
  }
  return found;
}

/** The parts of a control that are made anew, since something in them is bound. */
function insideBindings(control: Control, name: string, around: Binding): InsideBinding[] {
  // What is repeated is made item by item.
  if (repetitionOf(control)) return [];
  const kind = kindOf(control);
  const held: Record<string, unknown> = {};
  const templates: Record<string, Template> = {};
  const parts = new Set<string | undefined>();
  for (const property of kind.properties) {
    const text = textInForce(control, property, ['']);
    if (text === undefined) continue;
    if (!hasExpression(text)) {
      const reading = property.type.read(unescapeBraces(text));
      if (reading.ok) held[property.name] = reading.value;
      continue;
    }
    // What a person enters does not make its own input anew; what they sort by does.
    const isSort = property.page?.as === 'sort';
    if (!isSort && inForce(control.props[`${property.name}.bind`]) !== undefined) continue;
    const checked = checkTemplate(text, around);
    if (!checked.ok) continue;
    templates[property.name] = checked.value;
    if (isSort || property.page?.as === 'inside') parts.add(property.page?.part);
  }
  if (parts.size === 0) return [];
  const defaults = Object.fromEntries(defaultsOf(kind, around.conditions.theme));
  const types = typesOf(kind, templates);
  return [...parts].map((part) => ({
    control: name,
    kind: kind.name,
    count: control.children.length,
    part,
    held,
    defaults,
    templates,
    types,
  }));
}

/** The names of the types of the properties that follow expressions. */
const typesOf = (kind: Kind, templates: Readonly<Record<string, Template>>): Record<string, string> =>
  Object.fromEntries(
    kind.properties.flatMap(({ name, type }) => (Object.hasOwn(templates, name) ? [[name, type.name]] : [])),
  );

/** Names of the icons that may be asked for while the page runs: all that stand in expressions, or in initial values. */
export const iconsAskedFor = (project: Project): string[] =>
  [...wordsInExpressions(project)].filter((word) => iconSet().has(word));

/** Texts of one word in expressions, or in initial values: what an expression may give. */
function wordsInExpressions(project: Project): ReadonlySet<string> {
  const words = new Set(
    project.state.flatMap(({ initial, computed = '' }) =>
      [...`${JSON.stringify(initial)} ${computed}`.matchAll(/["'`]([\w.-]+)["'`]/g)].map(
        ([, word = '']) => word,
      ),
    ),
  );
  for (const screen of project.screens)
    for (const control of walk(screen))
      for (const value of Object.values(control.props)) {
        const text = inForce(value) ?? '';
        if (hasExpression(text) || text.includes('='))
          for (const [, word = ''] of text.matchAll(/["'`]([\w.-]+)["'`]/g)) words.add(word);
      }
  return words;
}

/** The styles that follow an expression, and the states that a control declares. */
function classesAndStates(control: Control, name: string, around: Binding, { classes, states }: Found): void {
  const named = inForce(control.props[style.name]);
  const template = named !== undefined && hasExpression(named) ? checkTemplate(named, around) : undefined;
  if (template?.ok) classes.push({ control: name, template: template.value });
  const templates = Object.fromEntries(
    ownStatesIn(inForce(control.props[ownStates.name])).flatMap(({ name: state, when }) =>
      typeof when === 'string' ? [] : [[state, when] as const],
    ),
  );
  if (Object.keys(templates).length > 0) states.push({ control: name, templates });
}

function bindControl({ control, parent }: Standing, name: string, around: Binding, found: Found): void {
  const { content, inside, twoWay, events } = found;
  classesAndStates(control, name, around, found);
  const kind = kindOf(control);
  for (const property of kind.properties) {
    if (!property.page) continue;
    const target = property.page;
    const bind = property.twoWay && inForce(control.props[`${property.name}.bind`]);
    if (bind) {
      const checked = checkTarget(bind, property.twoWay ?? [], around);
      const bound = checked.ok ? boundTo(checked.value, control, around) : placeIn(bind);
      if (bound) twoWay.push({ control: name, ...bound, target });
      continue;
    }
    const text = inForce(control.props[property.name]);
    if (text === undefined || !hasExpression(text)) continue;
    const checked = checkTemplate(text, around);
    if (checked.ok && target.as !== 'inside' && target.as !== 'sort')
      content.push({
        control: name,
        property: property.name,
        type: property.type.name,
        template: checked.value,
        target,
      });
  }
  inside.push(...insideBindings(control, name, around));
  const templates = parent ? styleTemplates(control, around, around.conditions) : {};
  if (Object.keys(templates).length > 0)
    found.style.push({
      control: name,
      kind: kind.name,
      around: aroundOf(parent, control, around.conditions),
      arrangement: arrangementOf(mannerOf(kind), plainValues(control, around.conditions)),
      parts: kind.parts?.(control.children) ?? [],
      templates,
      types: typesOf(kind, templates),
    });
  for (const event of kind.events) {
    const text = inForce(control.props[`on.${event.name}`]);
    const { dom } = event;
    const gives = givenName(event, (name) => around.names.has(name));
    const checked =
      text === undefined ? undefined : checkStatements(text, withItems(around, gives ? [gives] : []));
    if (checked?.ok && checked.value.length > 0)
      events.push({
        control: name,
        name: event.name,
        dom,
        ...(gives ? { gives } : {}),
        statements: withLists(checked.value, (item) => {
          if (item === gives) return event.givesItem ? around.listShownBy(control) : undefined;
          return around.names.get(item) === itemType ? around.listOf(control, item) : undefined;
        }),
      });
  }
}
