/** A control's values at one place and time: defaults, own values, changes from bands, results of expressions. */

import type { BuiltInState } from '../document/control-states.ts';
import { ownStyleText } from '../document/style-set.ts';
import type { Band, Control } from '../document/types.ts';
import type { Template } from '../expression/ast.ts';
import { asText, EvaluationError, evaluateTemplate, type Scope } from '../expression/evaluate.ts';
import { hasExpression, parseTemplate, unescapeBraces } from '../expression/template.ts';
import type { Kind, Property } from '../kinds/kind.ts';
import { type PropertyType, textType } from '../property-types/index.ts';
import { readWithTokens, type TokenNames } from '../tokens/reading.ts';
import { type ClampedSize, textSizeAt } from '../values/text-size.ts';
import type { Theme } from '../values/theme.ts';
import {
  allSaid,
  type Conditions,
  defaultText,
  layersOf,
  prefixesInForce,
  saidByLayer,
  withStates,
} from './cascade.ts';
import { mayChange, type StatesAround, statesNow } from './states-now.ts';

/** The circumstances that decide which changes hold. Lengths in CSS px. */
export interface Circumstances {
  readonly bands: readonly Band[];
  readonly width: number;
  readonly height: number;
  readonly scope: Scope;
  readonly theme: Theme;
  /** The reader's text scale; 1 where absent. */
  readonly textScale?: number;
  /** The prefixes in force without states, where they are worked out already; see `prefixesInForce`. */
  readonly prefixes?: readonly string[];
  /** The states that may hold; absent: those that values say. */
  readonly states?: StatesAround;
}

/** Something wrong with a value while it was worked out. */
export interface ValueProblem {
  readonly property: string;
  readonly message: string;
}

/** A control's values, read by the property itself: `values.get(gap)` has the type that `gap` says. */
export class Values {
  constructor(
    private readonly held: ReadonlyMap<string, unknown>,
    /** What holds where nothing is said. */
    private readonly defaults: ReadonlyMap<string, unknown> = none,
    readonly problems: readonly ValueProblem[] = [],
    /** The states that the control is in, as far as anybody asks. */
    private readonly states: readonly string[] = [],
  ) {}

  /** Whether the control is in a state. */
  isIn(state: BuiltInState): boolean {
    return this.states.includes(state);
  }
  /** The same values, in some states. */
  in(states: readonly string[]): Values {
    return new Values(this.held, this.defaults, this.problems, states);
  }

  /** What holds; undefined where nothing does. */
  get<T>({ name }: Key<T>): T | undefined {
    return (this.held.get(name) ?? this.defaults.get(name)) as T | undefined;
  }
  /** What is said, without what holds where nothing is said. */
  own<T>({ name }: Key<T>): T | undefined {
    return this.held.get(name) as T | undefined;
  }
  has(property: Key<unknown>): boolean {
    return this.get(property) !== undefined;
  }
  /** A text; empty where nothing holds. */
  text(property: Key<string>): string {
    return this.get(property) ?? '';
  }
  flag(property: Key<boolean>): boolean {
    return this.get(property) === true;
  }
  /**
   * What is said of a part, by the names that its properties have on a control.
   *
   * @param prefixes what stands in front of them; of several the last one that says something wins.
   */
  ofPart(...prefixes: readonly string[]): Values {
    return new Values(
      new Map(
        prefixes.flatMap((prefix) =>
          [...this.held].flatMap(([name, value]) =>
            name.startsWith(prefix) ? [[name.slice(prefix.length), value] as const] : [],
          ),
        ),
      ),
    );
  }
  /** The same values but for one; undefined: it is not said. */
  with(name: string, value: unknown): Values {
    const held = new Map(this.held);
    if (value === undefined) held.delete(name);
    else held.set(name, value);
    return new Values(held, this.defaults, this.problems, this.states);
  }
  get size(): number {
    return this.held.size;
  }
  /** Those of the values that are said whose property passes. */
  only(passes: (name: string) => boolean): Values {
    return new Values(new Map([...this.held].filter(([name]) => passes(name))));
  }
}

/** The key of a value: a property, compared by name. Kinds may have different defaults for one property. */
export type Key<T> = Pick<Property<T>, 'name' | 'type'>;
const none: ReadonlyMap<string, unknown> = new Map();

const templates = new Map<string, Template | string>();

/** The parsed form of a value with expressions, or the reason why it has none. Kept, since texts recur. */
function templateOf(text: string): Template | string {
  let known = templates.get(text);
  if (known === undefined) {
    const read = parseTemplate(text);
    known = read.ok ? read.value : read.problem.message;
    if (templates.size > 5000) templates.clear();
    templates.set(text, known);
  }
  return known;
}

/** Turns what an expression gave into the property's value; nothing where it gave nothing. */
export function convert(
  type: PropertyType,
  result: unknown,
  tokens?: TokenNames,
): { value?: unknown; message?: string } {
  if (type.take) return type.take(result);
  if (result === null || result === undefined) return {};
  const reading = readWithTokens(type, asText(result), tokens);
  return reading.ok ? { value: reading.value } : { message: reading.message };
}

/** What holds for a kind where nothing is said, in the theme that was asked for last: themes change seldom. */
const defaults = new WeakMap<
  Kind,
  { readonly theme: Theme; readonly values: ReadonlyMap<string, unknown> }
>();

/** What holds for a kind where nothing is said, by property. */
export function defaultsOf(kind: Kind, theme: Theme): ReadonlyMap<string, unknown> {
  const known = defaults.get(kind);
  if (known?.theme === theme) return known.values;
  const values = new Map<string, unknown>();
  for (const property of kind.properties) {
    const text = defaultText(property, theme);
    const reading = text === undefined ? undefined : property.type.read(text);
    if (reading?.ok) values.set(property.name, reading.value);
  }
  defaults.set(kind, { theme, values });
  return values;
}

const isClamped = ({ name }: Property, value: unknown): value is ClampedSize =>
  name === 'size' && typeof value === 'object';

const noStates: StatesAround = { own: [] };

/** The names of the styles that a control has at the moment. */
export function stylesNow({ props }: Pick<Control, 'props'>, scope: Scope): string {
  const text = ownStyleText(props);
  if (!hasExpression(text)) return text;
  const { value } = worked({ type: textType as PropertyType }, text, scope);
  return typeof value === 'string' ? value : '';
}

/** Works out all values of a control. An expression that fails leaves its property at what the layers below say. */
export function valuesOf(control: Control, kind: Kind, circumstances: Circumstances): Values {
  const { theme, scope, states = noStates } = circumstances;
  const prefixes = circumstances.prefixes ?? prefixesInForce(circumstances);
  const named = theme.styles.all.length === 0 ? '' : stylesNow(control, scope);
  const values = valuesUnder(control, kind, { ...circumstances, prefixes, named });
  const changes = mayChange(control, theme.styles, named);
  if (!changes && !states.held) return values;
  const now = statesNow(control.id, kind, values, states);
  if (now.length === 0) return values;
  return (
    changes
      ? valuesUnder(control, kind, { ...circumstances, prefixes: withStates(prefixes, now), named })
      : values
  ).in(now);
}

/** @param around `prefixes`: all that hold, states included; `named`: the styles that the control has. */
function valuesUnder(
  control: Control,
  kind: Kind,
  around: Circumstances & { readonly prefixes: readonly string[]; readonly named: string },
): Values {
  const { prefixes, theme, scope, named } = around;
  const conditions = { prefixes, theme };
  const held = new Map<string, unknown>();
  let problems: ValueProblem[] | undefined;
  for (const [property, { text }] of allSaid(control, kind, conditions, named)) {
    const { value, message } = workedIn(control, property, text, { scope, conditions, named });
    if (value !== undefined)
      held.set(
        property.name,
        isClamped(property, value) ? textSizeAt(value, around.width, around.textScale ?? 1) : value,
      );
    if (message) {
      problems ??= [];
      problems.push({ property: property.name, message });
    }
  }
  const defaults = defaultsOf(kind, theme);
  if (control.moved) {
    const still = new Map(held);
    const under = (name: string) => still.get(name) ?? defaults.get(name);
    for (const [name, moved] of control.moved) {
      const value = moved(under, theme);
      if (value === undefined) held.delete(name);
      else held.set(name, value);
    }
  }
  return new Values(held, defaults, problems);
}

interface Place {
  readonly scope: Scope;
  readonly conditions: Conditions;
  readonly named: string;
}

/** What a text comes to; where an expression gives nothing, what the layers below say. */
function workedIn(
  control: Control,
  property: Property,
  text: string,
  { scope, conditions, named }: Place,
): { value?: unknown; message?: string } {
  const { theme } = conditions;
  if (!hasExpression(text)) return readPlain(property, text, theme);
  const found = worked(property, text, scope, theme);
  if (found.value !== undefined || theme.styles.all.length === 0) return found;
  for (const layer of layersOf(control, theme.styles, named).slice(1)) {
    const said = saidByLayer(layer, property, conditions.prefixes);
    if (!said || said.text === text) continue;
    const below = hasExpression(said.text)
      ? worked(property, said.text, scope, theme)
      : readPlain(property, said.text, theme);
    if (below.value !== undefined) return below;
  }
  return found;
}

/** What plain texts came to, by theme and type of property; the same few recur all over a screen. */
type Readings = Map<string, { value?: unknown; message?: string }>;
const readings = new WeakMap<Theme['tokens'], WeakMap<Property['type'], Readings>>();
const mostReadings = 2000;

function readingsOf({ tokens }: Theme, type: Property['type']): Readings {
  let ofTheme = readings.get(tokens);
  if (!ofTheme) {
    ofTheme = new WeakMap();
    readings.set(tokens, ofTheme);
  }
  let known = ofTheme.get(type);
  if (!known) {
    known = new Map();
    ofTheme.set(type, known);
  }
  return known;
}

function readPlain({ type }: Property, text: string, theme: Theme): { value?: unknown; message?: string } {
  const known = readingsOf(theme, type);
  let read = known.get(text);
  if (!read) {
    const reading = readWithTokens(type, unescapeBraces(text), theme.tokens);
    read = reading.ok ? { value: reading.value } : { message: reading.message };
    if (known.size >= mostReadings) known.clear();
    known.set(text, read);
  }
  return read;
}

/** What an expression gives for a property; nothing and a message where it fails. */
function worked(
  property: Pick<Property, 'type'>,
  text: string,
  scope: Scope,
  theme?: Theme,
): { value?: unknown; message?: string } {
  const template = templateOf(text);
  if (typeof template === 'string') return { message: template };
  try {
    return convert(property.type, evaluateTemplate(template, scope), theme?.tokens);
  } catch (error) {
    if (!(error instanceof EvaluationError)) throw error;
    return { message: error.message };
  }
}
