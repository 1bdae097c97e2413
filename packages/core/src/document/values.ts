/** A control's values at one place and time: defaults, own values, changes from bands, results of expressions. */

import type { Template } from '../expression/ast.ts';
import { asText, EvaluationError, evaluateTemplate, type Scope } from '../expression/evaluate.ts';
import { hasExpression, parseTemplate, unescapeBraces } from '../expression/template.ts';
import type { Kind, Property } from '../kinds/kind.ts';
import type { Align, Justify, Limit, Sides, Size } from '../layout/box.ts';
import type { PropertyType } from './property-types.ts';
import { type ClampedSize, textSizeAt } from './text-size.ts';
import { type Band, type Control, inForce } from './types.ts';

/** The circumstances that decide which changes hold. Lengths in CSS px. */
export interface Circumstances {
  readonly bands: readonly Band[];
  readonly width: number;
  readonly height: number;
  readonly scope: Scope;
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

/** Typed access to a control's values; a property without one gives undefined. */
export class Values {
  constructor(
    private readonly held: ReadonlyMap<string, unknown>,
    /** What holds where nothing is said. */
    private readonly defaults: ReadonlyMap<string, unknown>,
    readonly problems: readonly ValueProblem[] = [],
  ) {}

  /** A value of the type that its property has; undefined where there is none. */
  get<T>(name: string): T | undefined {
    return (this.held.get(name) ?? this.defaults.get(name)) as T | undefined;
  }
  /** What the control says itself, without what holds where nothing is said. */
  own<T>(name: string): T | undefined {
    return this.held.get(name) as T | undefined;
  }
  has(name: string): boolean {
    return this.get(name) !== undefined;
  }
  number(name: string): number | undefined {
    return this.get<number>(name);
  }
  text(name: string): string {
    return this.get<string>(name) ?? '';
  }
  flag(name: string): boolean {
    return this.get<boolean>(name) === true;
  }
  size(name: string): Size {
    return this.get<Size>(name);
  }
  limit(name: string): Limit {
    return this.get<Limit>(name);
  }
  sides(name: string): Sides | undefined {
    return this.get<Sides>(name);
  }
  align(name: string): Align | undefined {
    return this.get<Align>(name);
  }
  justify(name: string): Justify | undefined {
    return this.get<Justify>(name);
  }
  colour(name: string): string | undefined {
    return this.get<string>(name);
  }
}

/** The prefixes whose changes hold, weakest first; the empty one is the control's own value. */
export function prefixesInForce({
  bands,
  width,
  height,
}: Pick<Circumstances, 'bands' | 'width' | 'height'>): string[] {
  const reached = bands.filter((band) => width >= band.from).toSorted((a, b) => a.from - b.from);
  return ['', ...reached.map((band) => `${band.name}.`), width > height ? 'landscape.' : 'portrait.'];
}

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

/**
 * The text of a property that holds under some prefixes, weakest first; undefined where the control says nothing.
 * A two-way binding reads as the expression of its variable.
 */
export function textInForce(
  control: Control,
  property: Pick<Property, 'name' | 'twoWay'>,
  prefixes: readonly string[],
): string | undefined {
  const target = property.twoWay && inForce(control.props[`${property.name}.bind`]);
  if (target) return `{${target}}`;
  let text: string | undefined;
  for (const prefix of prefixes) text = inForce(control.props[prefix + property.name]) ?? text;
  return text;
}

/** A kind's properties by name, and what holds where nothing is said. */
interface KindValues {
  readonly byName: ReadonlyMap<string, Property>;
  readonly defaults: ReadonlyMap<string, unknown>;
}

const kindValues = new WeakMap<Kind, KindValues>();

function valuesOfKind(kind: Kind): KindValues {
  let known = kindValues.get(kind);
  if (!known) {
    const defaults = new Map<string, unknown>();
    for (const property of kind.properties) {
      const reading = property.default === undefined ? undefined : property.type.read(property.default);
      if (reading?.ok) defaults.set(property.name, reading.value);
    }
    known = { byName: new Map(kind.properties.map((property) => [property.name, property])), defaults };
    kindValues.set(kind, known);
  }
  return known;
}

/** What a control says about a property: the text in force and how strong what said it is. */
interface Said {
  text: string;
  rank: number;
}

/**
 * The texts in force of all properties that a control says something about, as `textInForce` has them for one: in
 * one go, since a screen has many controls.
 */
function allInForce(
  control: Control,
  byName: ReadonlyMap<string, Property>,
  prefixes: readonly string[],
): Map<Property, Said> {
  const found = new Map<Property, Said>();
  const say = (property: Property, text: string | undefined, rank: number) => {
    if (text === undefined) return;
    const before = found.get(property);
    if (!before) found.set(property, { text, rank });
    else if (rank >= before.rank) {
      before.text = text;
      before.rank = rank;
    }
  };
  for (const attribute in control.props) {
    const own = byName.get(attribute);
    if (own) {
      say(own, inForce(control.props[attribute]), 0);
      continue;
    }
    const dot = attribute.indexOf('.');
    if (dot <= 0) continue;
    const rest = attribute.slice(dot + 1);
    const property = byName.get(rest === 'bind' ? attribute.slice(0, dot) : rest);
    if (!property) continue;
    if (rest === 'bind') {
      const target = property.twoWay && inForce(control.props[attribute]);
      // A two-way binding wins over all else.
      if (target) say(property, `{${target}}`, Infinity);
      continue;
    }
    const rank = prefixes.indexOf(attribute.slice(0, dot + 1));
    if (rank > 0) say(property, inForce(control.props[attribute]), rank);
  }
  return found;
}

/** What holds for a kind where nothing is said, by property. */
export const defaultsOf = (kind: Kind): ReadonlyMap<string, unknown> => valuesOfKind(kind).defaults;

const isClamped = ({ name }: Property, value: unknown): value is ClampedSize =>
  name === 'size' && typeof value === 'object';

/** Works out all values of a control. An expression that fails leaves its property at its default. */
export function valuesOf(control: Control, kind: Kind, circumstances: Circumstances): Values {
  const prefixes = circumstances.prefixes ?? prefixesInForce(circumstances);
  const { byName, defaults } = valuesOfKind(kind);
  const held = new Map<string, unknown>();
  let problems: ValueProblem[] | undefined;
  for (const [property, { text }] of allInForce(control, byName, prefixes)) {
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
  return new Values(held, defaults, problems);
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
