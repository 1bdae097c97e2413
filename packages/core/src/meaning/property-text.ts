/** Reading what is typed or written for an attribute: the one place that decides whether it is valid. */

import { conditionsOf, orientations, readAttribute } from '../cascade/attributes.ts';
import { declaredStates } from '../cascade/own-states.ts';
import { themeOf } from '../cascade/project-theme.ts';
import { repetitionAround } from '../cascade/repetition.ts';
import { controlNames } from '../document/names.ts';
import { didYouMean, quoted } from '../document/nearest.ts';
import { type Style, styleNames } from '../document/style-set.ts';
import { pathTo } from '../document/tree.ts';
import {
  type Band,
  type Control,
  inForce,
  isDialog,
  type Project,
  type StateVariable,
} from '../document/types.ts';
import {
  checkStatements,
  checkTarget,
  checkTemplate,
  type Surroundings,
  withItems,
} from '../expression/check.ts';
import { ownFunctionsOf } from '../expression/own-functions.ts';
import { parseOwnStates } from '../expression/own-states.ts';
import { escapeBraces, hasExpression, unescapeBraces } from '../expression/template.ts';
import { iconSet } from '../icons/icon-set.ts';
import { kindOf } from '../kinds/catalogue.ts';
import { declaredName } from '../kinds/component.ts';
import { givenName } from '../kinds/given-name.ts';
import type { EventEntry, Kind, Property } from '../kinds/kind.ts';
import { ownStates, style } from '../kinds/properties.ts';
import { definitionOf, definitionsOf, noComponent } from '../reuse/definition.ts';
import { instanceKindsOf } from '../reuse/instance-kinds.ts';
import { mayHoldTokens, readWithTokens, type TokenNames } from '../tokens/reading.ts';
import { insideComponent } from './component-context.ts';

/** What is around an attribute: bands and the names that expressions may use. */
export interface AttributeContext extends Surroundings {
  readonly bands: readonly Band[];
  /** False: names in expressions are not known, and not checked (a screen file on its own). */
  readonly namesKnown: boolean;
  /** Any name may be that of a token. */
  readonly anyToken?: boolean;
  /** Tokens by name; absent: they are not known, and any name may be one. */
  readonly tokens?: TokenNames;
  /** Names of styles; absent: they are not known. */
  readonly styles?: ReadonlyMap<string, Style>;
  /** The project's components; absent: it has none. */
  readonly components?: Project['components'];
  /** Own states that are declared around the control, and by it; absent: any name may be one. */
  readonly states?: ReadonlySet<string>;
}

export type AttributeReading =
  | { readonly ok: true; readonly text: string }
  /** `at`: UTF-16 index into the text. */
  | { readonly ok: false; readonly message: string; readonly at: number };

/**
 * The context of a project's attributes.
 *
 * @param control the control whose attributes they are; inside repeats it may name their items.
 */
export function contextOf(
  project: Pick<Project, 'bands' | 'state' | 'screens' | 'components' | 'tokens' | 'styles' | 'code'>,
  control?: Control,
): AttributeContext {
  const path = control ? pathTo(project, control.id) : [];
  const known = control ? knownOn(project, path[0]?.name) : project.state;
  const context = {
    bands: project.bands,
    names: new Map<string, string>(known.map((variable) => [variable.name, variable.type])),
    computed: new Set(project.state.flatMap(({ name, computed }) => (computed === undefined ? [] : name))),
    requests: new Map(
      project.state.flatMap(({ name, request }) =>
        request ? [[name, request.parameters ?? []] as const] : [],
      ),
    ),
    remote: new Set(project.state.flatMap(({ name, remote }) => (remote ? name : []))),
    functions: ownFunctionsOf(project),
    ofScreens: ownNames(project.state),
    screens: new Set(project.screens.flatMap((screen) => screen.name ?? [])),
    dialogs: new Set(project.screens.filter(isDialog).flatMap((screen) => screen.name ?? [])),
    namesKnown: true,
    tokens: themeOf(project).tokens,
    styles: themeOf(project).styles.named,
    ...(project.components ? { components: project.components } : {}),
    ...(control ? { states: new Set(path.flatMap(declaredStates)) } : {}),
    ...(path[0] ? { controls: controlNames(path[0]), motions: motionNames(path[0]) } : {}),
  };
  const [tree] = path;
  const inside =
    tree && kindOf(tree).root === 'components' ? insideComponent(context, definitionOf(tree)) : context;
  return control ? withItems(inside, itemNames(path.slice(0, -1))) : inside;
}

/** Names of the motions that a screen or component declares. */
export const motionNames = ({ children }: Control): ReadonlySet<string> =>
  new Set(
    children.flatMap((line) =>
      kindOf(line).declares === 'motion' ? (inForce(line.props[declaredName.name]) ?? []) : [],
    ),
  );

/** Types of the variables that only one screen knows, by the screen. */
function ownNames(state: readonly StateVariable[]): ReadonlyMap<string, ReadonlyMap<string, string>> {
  const found = new Map<string, Map<string, string>>();
  for (const { name, type, screen } of state) {
    if (screen === undefined) continue;
    const own = found.get(screen) ?? new Map<string, string>();
    found.set(screen, own.set(name, type));
  }
  return found;
}

/** The state variables that a screen knows: the project's, and its own. */
export const knownOn = (
  project: Pick<Project, 'state'>,
  screen: string | undefined,
): readonly StateVariable[] =>
  project.state.filter((variable) => variable.screen === undefined || variable.screen === screen);

/** What the items are called that a control below some others stands for. */
export function itemNames(controls: readonly Pick<Control, 'kind' | 'props'>[]): string[] {
  return controls.flatMap((control) => repetitionAround(control)?.as ?? []);
}

/** A pattern (HTML §4.10.5.3.6) with its counts, `{2}` or `{2,4}`, as braces that are read as they are. */
const withCounts = (text: string): string => text.replaceAll(/(?<!\{)\{(\d+(?:,\d*)?)\}(?!\})/g, '{{$1}}');

/** Reads an attribute's text. @returns its canonical form, or what is wrong and where. */
export function readAttributeText(
  open: Kind,
  name: string,
  text: string,
  context: AttributeContext,
): AttributeReading {
  const { components } = context;
  const definitions = components && definitionsOf({ components });
  if (open.open && context.namesKnown && !definitions?.has(open.name))
    return { ok: false, message: noComponent(open.name, definitions?.keys() ?? []), at: 0 };
  const kind = (open.open && components && instanceKindsOf({ components }).get(open.name)) || open;
  const attribute = readAttribute(kind, name, context.bands, context.namesKnown ? context.states : undefined);
  if (typeof attribute === 'string') return { ok: false, message: attribute, at: 0 };
  const around = context.namesKnown ? context : anything;
  if (attribute.role !== 'value') {
    const checked =
      attribute.role === 'event'
        ? checkStatements(text, withItems(around, namesGiven(attribute.event, around)))
        : checkTarget(text, attribute.property.twoWay ?? [], around);
    return checked.ok ? { ok: true, text: text.trim() } : { ok: false, ...checked.problem };
  }
  const { type } = attribute.property;
  if (attribute.property.name === ownStates.name) return readStates(text, context, around);
  if (attribute.property.name === 'pattern') text = withCounts(text);
  if (hasExpression(text)) {
    if (attribute.property.plain)
      return { ok: false, message: `\`${attribute.property.name}\` follows no expression.`, at: 0 };
    if (conditionsOf(attribute.prefix).some((word) => !isOfWidth(word, context)))
      return {
        ok: false,
        message: 'In a state this follows no expression; a state of its own may, in `states`.',
        at: 0,
      };
    if (attribute.property.plainChanges && name !== attribute.property.name)
      return {
        ok: false,
        message: 'From a band up this follows no expression; for all widths it may.',
        at: 0,
      };
    const checked = checkTemplate(text, around);
    return checked.ok
      ? { ok: true, text: type.field === 'words' ? text : text.trim() }
      : { ok: false, ...checked.problem };
  }
  const tokens = context.anyToken ? undefined : context.tokens;
  const plain = unescapeBraces(text);
  const reading = readWithTokens(type, plain, tokens);
  // What tokens it names is not known here: it is held against them where they are.
  if (!reading.ok && tokens === undefined && mayHoldTokens(type, plain))
    return { ok: true, text: plain.trim() };
  const unknown = reading.ok
    ? (unknownIn(attribute.property, reading.value, around) ??
      unknownStyle(attribute.property, plain, kind, context))
    : reading.message;
  if (!reading.ok || unknown) return { ok: false, message: unknown!, at: 0 };
  return { ok: true, text: type.field === 'words' ? escapeBraces(reading.text) : reading.text };
}

/** The name that an event gives something under. */
function namesGiven(event: EventEntry, { names }: Surroundings): string[] {
  const given = givenName(event, (name) => names.has(name));
  return given === undefined ? [] : [given];
}

/** Whether a condition is a band or an orientation. */
const isOfWidth = (word: string, { bands }: AttributeContext): boolean =>
  bands.some(({ name }) => name === word) || orientations.some((each) => each === word);

/** The states that a control declares: each name is free, and each expression can be read there. */
function readStates(text: string, context: AttributeContext, around: Surroundings): AttributeReading {
  const read = parseOwnStates(text);
  if (!read.ok) return { ok: false, ...read.problem };
  const taken = read.value.find(({ name }) => context.bands.some((band) => band.name === name));
  if (taken)
    return {
      ok: false,
      message: `\`${taken.name}\` is a band: a state needs another name.`,
      at: text.indexOf(taken.name),
    };
  // The same text as a template: what is in braces stands at the same places.
  const checked = checkTemplate(text, around);
  return checked.ok ? { ok: true, text: text.trim() } : { ok: false, ...checked.problem };
}

/** A style that a control names and that is not there, or that is for another kind. */
function unknownStyle(
  { name }: Property,
  text: string,
  kind: Kind,
  { styles, namesKnown }: AttributeContext,
): string | undefined {
  if (name !== style.name || !styles || !namesKnown) return undefined;
  for (const word of styleNames(text)) {
    const found = styles.get(word);
    if (!found) return `There is no style ${quoted(word)}.${didYouMean(word, styles.keys())}`;
    if (found.for !== undefined && found.for !== kind.name)
      return `The style ${quoted(word)} is for a ${found.for}, not for a ${kind.name}.`;
  }
  return undefined;
}

/** What a value names that there is not: an icon, a screen. Undefined where all of it is there. */
export function unknownIn(
  { type }: Property,
  value: unknown,
  { screens }: Pick<Surroundings, 'screens'>,
): string | undefined {
  const { to, in: named } = type.refers ?? {};
  const known = to === 'icon' ? iconSet() : to === 'screen' ? screens : undefined;
  const missing = known && named?.(value).find((name) => !known.has(name));
  // An empty name is none yet.
  return missing && `There is no ${to} ${quoted(missing)}.${didYouMean(missing, known.keys())}`;
}

class EveryName extends Set<string> {
  override has(): boolean {
    return true;
  }
}

/** Surroundings in which every name is known. */
const anything: Surroundings = {
  names: new (class extends Map<string, string> {
    override has(): boolean {
      return true;
    }
  })(),
  screens: new EveryName(),
  emits: new EveryName(),
};
