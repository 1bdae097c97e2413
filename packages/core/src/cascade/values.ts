/** A control's values at one place and time: defaults, own values, changes from bands, results of expressions. */

import type { Band, Control } from '../document/types.ts';
import type { Template } from '../expression/ast.ts';
import { asText, EvaluationError, evaluateTemplate, type Scope } from '../expression/evaluate.ts';
import { hasExpression, parseTemplate, unescapeBraces } from '../expression/template.ts';
import type { Kind, Property } from '../kinds/kind.ts';
import type { PropertyType } from '../property-types/index.ts';
import { type ClampedSize, textSizeAt } from '../values/text-size.ts';
import type { Theme } from '../values/theme.ts';
import { allSaid, defaultText, prefixesInForce } from './cascade.ts';

/** The circumstances that decide which changes hold. Lengths in CSS px. */
export interface Circumstances {
  readonly bands: readonly Band[];
  readonly width: number;
  readonly height: number;
  readonly scope: Scope;
  readonly theme: Theme;
  /** The reader's text scale; 1 where absent. */
  readonly textScale?: number;
  /** The prefixes in force, where they are worked out already; see `prefixesInForce`. */
  readonly prefixes?: readonly string[];
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
  ) {}

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
export function convert(type: PropertyType, result: unknown): { value?: unknown; message?: string } {
  if (type.take) return type.take(result);
  if (result === null || result === undefined) return {};
  const reading = type.read(asText(result));
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

/** Works out all values of a control. An expression that fails leaves its property at its default. */
export function valuesOf(control: Control, kind: Kind, circumstances: Circumstances): Values {
  const prefixes = circumstances.prefixes ?? prefixesInForce(circumstances);
  const held = new Map<string, unknown>();
  let problems: ValueProblem[] | undefined;
  for (const [property, { text }] of allSaid(control, kind, prefixes)) {
    const { value, message } = hasExpression(text)
      ? worked(property, text, circumstances.scope)
      : readPlain(property, text);
    if (value !== undefined)
      held.set(
        property.name,
        isClamped(property, value)
          ? textSizeAt(value, circumstances.width, circumstances.textScale ?? 1)
          : value,
      );
    if (message) {
      problems ??= [];
      problems.push({ property: property.name, message });
    }
  }
  return new Values(held, defaultsOf(kind, circumstances.theme), problems);
}

/** What plain texts came to, by type of property; the same few recur all over a screen. */
const readings = new WeakMap<Property['type'], Map<string, { value?: unknown; message?: string }>>();
const mostReadings = 2000;

function readPlain({ type }: Property, text: string): { value?: unknown; message?: string } {
  let known = readings.get(type);
  if (!known) {
    known = new Map();
    readings.set(type, known);
  }
  let read = known.get(text);
  if (!read) {
    const reading = type.read(unescapeBraces(text));
    read = reading.ok ? { value: reading.value } : { message: reading.message };
    if (known.size >= mostReadings) known.clear();
    known.set(text, read);
  }
  return read;
}

/** What an expression gives for a property; nothing and a message where it fails. */
function worked(property: Property, text: string, scope: Scope): { value?: unknown; message?: string } {
  const template = templateOf(text);
  if (typeof template === 'string') return { message: template };
  try {
    return convert(property.type, evaluateTemplate(template, scope));
  } catch (error) {
    if (!(error instanceof EvaluationError)) throw error;
    return { message: error.message };
  }
}
