/**
 * The theme: tokens and styles that all controls of a project start from, as they are in one mode. It is the last layer of
 * the cascade; what is laid out, painted or exported gets one as a value, so that two projects, or two modes of one, can differ.
 */

import { noStyles, type StyleSet } from '../document/style-set.ts';
import { customName, type Mode, type Token } from '../document/token.ts';
import { fontFamilies, fontWeights } from '../text/fonts.ts';
import { hexPattern } from '../tokens/colour.ts';
import { type ResolvedToken, resolveTokens } from '../tokens/resolving.ts';
import {
  type ColourRole,
  type Measure,
  type Measures,
  measureNames,
  measures,
  measureToken,
  measureType,
  shippedTokens,
} from '../tokens/shipped.ts';

export interface Theme extends Measures {
  readonly mode: Mode;
  /** Colours by token name, as CSS has them. */
  readonly colours: Readonly<Record<ColourRole, string>> & Readonly<Record<string, string | undefined>>;
  /** Tokens by the names that attributes call them by: those that ship, and the project's. */
  readonly tokens: ReadonlyMap<string, ResolvedToken>;
  /** What is wrong with tokens in this mode, by path. */
  readonly problems: ReadonlyMap<string, string>;
  readonly styles: StyleSet;
}

/** Least and greatest value of a measure: what attributes of its type allow. */
function rangeOf(measure: Measure): readonly [number, number] {
  if (/^(?:text|label|hint|heading|chartText)Size$/.test(measure)) return [1, 400];
  return measureType(measure) === 'number' ? [0.5, 5] : [0, 10_000];
}

/** Why a token cannot be a measure; undefined where it can. */
function measureProblem(measure: Measure, text: string): string | undefined {
  if (measure === 'family') return fontFamilies.includes(text) ? undefined : `There is no font \`${text}\`.`;
  if (measureType(measure) === 'fontWeight')
    return fontWeights.some((weight) => String(weight) === text)
      ? undefined
      : `The weight is one of ${fontWeights.join(', ')}.`;
  const [least, most] = rangeOf(measure);
  return Number(text) >= least && Number(text) <= most
    ? undefined
    : `It is a number from ${least} to ${most}.`;
}

/** The shipped tokens, each replaced where a project has one of the same path. */
export function withShipped(tokens: readonly Token[]): readonly Token[] {
  if (tokens.length === 0) return shippedTokens;
  const own = new Set(tokens.map(({ path }) => path));
  return [...shippedTokens.filter(({ path }) => !own.has(path)), ...tokens];
}

/** The theme that tokens and styles of a project make in a mode. */
export function themeFrom(tokens: readonly Token[], mode: Mode, styles: StyleSet = noStyles): Theme {
  const { byName, problems } = resolveTokens(withShipped(tokens), mode);
  const found = new Map(problems);
  const colours: Record<string, string> = Object.create(null);
  for (const { name, type, texts } of byName.values()) if (type === 'color') colours[name] = texts[''] ?? '';
  const own: Record<string, string | number> = {};
  for (const measure of measureNames) {
    const resolved = byName.get(measureToken(measure));
    const text = resolved?.type === measureType(measure) ? resolved.texts[''] : undefined;
    const problem = text === undefined ? undefined : measureProblem(measure, text);
    if (resolved && problem) found.set(resolved.token.path, problem);
    const held = text === undefined || problem ? measures[measure] : text;
    own[measure] = measure === 'family' ? held : Number(held);
  }
  return {
    ...(own as unknown as Measures),
    mode,
    colours: colours as Theme['colours'],
    tokens: byName,
    problems: found,
    styles,
  };
}

/** The theme of a project that says nothing about it. */
export const shippedTheme: Theme = themeFrom([], 'light');

/** Whether a text is the name of a colour rather than a colour. */
const isName = (text: string): boolean => /^[A-Za-z_][\w.-]*$/.test(text) && text !== 'none';

/** Colours by the names of their tokens. */
export interface Colours {
  readonly colours: Readonly<Record<string, string | undefined>>;
}

/** A colour attribute as a painter needs it: a token becomes its colour; one that is not there is not seen. */
export const colourIn = ({ colours }: Colours, text: string): string =>
  colours[text] ?? (isName(text) ? 'transparent' : text);

/** The custom property that stands for a colour where the browser itself is to paint whatever the theme says just then. */
export const hueProperty = (name: string): string => `--hue-${customName(name)}`;

/** The custom properties of all colours of a theme, for the element around what is painted by them. */
export const hueProperties = ({ colours }: Pick<Theme, 'colours'>): Readonly<Record<string, string>> =>
  Object.fromEntries(
    Object.entries(colours).flatMap(([name, colour]) =>
      colour === undefined ? [] : [[hueProperty(name), colour] as const],
    ),
  );

/** A theme in which colours stand for themselves by custom properties: what is painted with it follows a change of a colour. */
export function withHues(theme: Theme): Theme {
  let made = hued.get(theme);
  if (!made) {
    const names = Object.keys(theme.colours);
    const colours = Object.fromEntries(names.map((name) => [name, `var(${hueProperty(name)})`]));
    made = { ...theme, colours: colours as Theme['colours'] };
    hued.set(theme, made);
  }
  return made;
}
/** Kept, so that all who paint with a theme share what follows from it. */
const hued = new WeakMap<Theme, Theme>();

/** Whether two lists of tokens differ in nothing but what their colours are. */
export const areAlikeButColours = (
  one: readonly Token[] | undefined,
  other: readonly Token[] | undefined,
): boolean =>
  one === other ||
  (one !== undefined &&
    other !== undefined &&
    one.length === other.length &&
    one.every((token, index) => {
      const next = other[index];
      return token === next || (token.type === 'color' && next?.type === 'color' && token.path === next.path);
    }));

/** A colour attribute as a page's stylesheet has it: a token becomes its custom property. */
export function colourCss(text: string): string {
  if (text === 'none') return 'transparent';
  return hexPattern.test(text) || !isName(text) ? text : `var(--${customName(text)})`;
}
