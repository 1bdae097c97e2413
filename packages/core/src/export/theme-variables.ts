/**
 * Tokens as custom properties of a page. Colours keep their names in values. Of lengths and numbers only what they come to is left by
 * then, so a stylesheet is made with two themes in which each token is a little larger: where a number follows one token and
 * nothing else, the token's custom property takes its place.
 */
import { themeOf } from '../cascade/project-theme.ts';
import { styleSetOf } from '../document/style-set.ts';
import { customName, type Json, type Mode, type Token } from '../document/token.ts';
import type { Project } from '../document/types.ts';
import { aliasIn, type ResolvedToken } from '../tokens/resolving.ts';
import { colourRoles } from '../tokens/shipped.ts';
import { backgroundCss, lookCss } from '../values/look-css.ts';
import { type Theme, themeFrom } from '../values/theme.ts';

/** A token, what it comes to, and how much larger it is in the first theme; twice that in the second. */
interface Nudge {
  readonly name: string;
  readonly value: number;
  readonly by: number;
}

/** What a stylesheet is made with: plain CSS from the theme, and with variables from the two others. */
export interface CssThemes {
  readonly plain: Theme;
  readonly larger: readonly [Theme, Theme] | undefined;
  readonly nudges: readonly Nudge[];
}

/** Types whose values are texts of CSS: they stand in attributes' values by their custom property. */
const byReference: ReadonlySet<string> = new Set([
  'shadow',
  'gradient',
  'duration',
  'cubicBezier',
  'transition',
]);

function nudged(token: Token, value: number): Token {
  const json: Json = token.type === 'dimension' ? { value, unit: 'px' } : value;
  return { ...token, value: json };
}

/** A theme in which tokens that are texts of CSS stand by reference. */
const withReferences = (theme: Theme, own: ReadonlySet<string>): Theme => ({
  ...theme,
  tokens: new Map(
    [...theme.tokens].map(([name, token]): [string, ResolvedToken] => [
      name,
      own.has(token.token.path) && byReference.has(token.type)
        ? { ...token, reference: `var(--${customName(name)})` }
        : token,
    ]),
  ),
});

const known = new WeakMap<
  readonly Token[],
  { readonly styles: Project['styles']; readonly themes: CssThemes }
>();

/** The themes that a project's stylesheet is made with. */
export function cssThemes(project: Pick<Project, 'tokens' | 'styles'>): CssThemes {
  const { tokens = [], styles = [] } = project;
  const before = known.get(tokens);
  if (before?.styles === project.styles && before) return before.themes;
  const theme = themeOf(project);
  const own = new Set(tokens.map(({ path }) => path));
  const numeric = [...theme.tokens.values()].filter(
    ({ token, type }) =>
      own.has(token.path) &&
      (type === 'dimension' || type === 'number') &&
      aliasIn(token.value) === undefined,
  );
  const nudges = numeric.map(
    ({ name, texts }, index): Nudge => ({
      name,
      value: Number(texts['']),
      by: 0.0131 * (index + 1),
    }),
  );
  const values = new Map(nudges.map(({ name, value, by }) => [name, { value, by }]));
  const set = styleSetOf(styles);
  const larger = (times: number): Theme =>
    withReferences(
      themeFrom(
        tokens.map((token) => {
          const found = numeric.find((each) => each.token === token);
          const held = found && values.get(found.name);
          return held ? nudged(token, held.value + times * held.by) : token;
        }),
        'light',
        set,
      ),
      own,
    );
  const themes: CssThemes = {
    plain: withReferences(theme, own),
    larger: nudges.length === 0 ? undefined : [larger(1), larger(2)],
    nudges,
  };
  known.set(tokens, { styles: project.styles, themes });
  return themes;
}

const numberPattern = /[+-]?(?:\d+\.?\d*|\.\d+)(?:e-?\d+)?/g;

/** A number of CSS that follows a token, as the token's custom property; undefined where it follows none, or several. */
function variableFor(one: number, other: number, unit: string, nudges: readonly Nudge[]): string | undefined {
  const scale = unit === 'rem' ? 16 : 1;
  const close = (a: number, b: number) => Math.abs(a - b) < 0.0012;
  for (const sign of [1, -1])
    for (const { name, value, by } of nudges)
      if (close((other - one) * scale * sign, by) && close(one * scale * sign, value + by)) {
        const variable = `var(--${customName(name)}${unit === 'rem' ? '-rem' : ''})`;
        return sign === 1 ? variable : `calc(-1 * ${variable})`;
      }
  return undefined;
}

/**
 * CSS with custom properties in place of numbers that follow tokens.
 *
 * @param plain what it is with the tokens as they are. @param larger the same with the two other themes.
 */
export function withVariables(
  plain: string,
  larger: readonly [string, string],
  nudges: readonly Nudge[],
): string {
  const [one, other] = larger;
  if (one === other) return plain;
  const [ones, others, plains] = [one, other, plain].map((text) => [...text.matchAll(numberPattern)]);
  if (!ones || !others || !plains || ones.length !== others.length) return plain;
  // Where two values are alike in the theme, CSS may be shorter there: then only what follows tokens can be said.
  const sameShape = plains.length === ones.length;
  let made = '';
  let from = 0;
  for (const [index, match] of ones.entries()) {
    const [text] = match;
    made += one.slice(from, match.index);
    from = match.index + text.length;
    const held = others[index]?.[0] ?? '';
    if (held === text) {
      made += text;
      continue;
    }
    const unit = /^(?:px|rem|%)?/.exec(one.slice(from))?.[0] ?? '';
    const variable = unit === '%' ? undefined : variableFor(Number(text), Number(held), unit, nudges);
    if (variable !== undefined) {
      made += variable;
      from += unit.length;
    } else if (sameShape) made += plains[index]?.[0] ?? '';
    else return plain;
  }
  return made + one.slice(from);
}

/** A token's value as its custom property has it. */
function valueCss({ type, texts, alias }: ResolvedToken): string | undefined {
  const text = texts[''];
  if (alias !== undefined) return `var(--${customName(alias)})`;
  if (text === undefined) return undefined;
  if (type === 'dimension') return text === '0' ? '0px' : `${text}px`;
  if (type === 'shadow') return lookCss(text);
  if (type === 'gradient') return backgroundCss(text);
  if (type === 'fontFamily') return `"${text}"`;
  return text;
}

/** What the custom properties of tokens are in a mode, by their names; of lengths the one for texts, too. */
function variablesIn(theme: Theme, names: readonly string[]): Map<string, string> {
  const found = new Map<string, string>();
  for (const name of names) {
    const token = theme.tokens.get(name);
    const css = token && valueCss(token);
    if (!token || css === undefined) continue;
    found.set(`--${customName(name)}`, css);
    if (token.type === 'dimension')
      found.set(
        `--${customName(name)}-rem`,
        token.alias === undefined
          ? `${Number((Number(token.texts['']) / 16).toFixed(6))}rem`
          : `var(--${customName(token.alias)}-rem)`,
      );
  }
  return found;
}

/** Custom properties that a text reads, and those that they read themselves. */
function reached(css: string, all: ReadonlyMap<string, string>): ReadonlySet<string> {
  const found = new Set<string>();
  const visit = (text: string) => {
    for (const [, name = ''] of text.matchAll(/var\((--[\w-]+)\)/g))
      if (all.has(name) && !found.has(name)) {
        found.add(name);
        visit(all.get(name) ?? '');
      }
  };
  visit(css);
  return found;
}

const block = (selector: string, lines: readonly string[], indent = ''): string =>
  lines.length === 0
    ? ''
    : `${indent}${selector} {\n${lines.map((line) => `${indent}  ${line};\n`).join('')}${indent}}\n`;

/** The custom properties of a project's tokens. */
export interface VariableRules {
  /** Declarations of `:root`. */
  readonly root: readonly string[];
  /** Rules for the modes in which some differ. */
  readonly modes: string;
}

/**
 * @param css the rest of the stylesheet: of the project's own tokens only those are declared that it reads.
 */
export function variableRules(project: Project, css: string): VariableRules {
  const light = themeOf(project);
  const [dark, contrast] = (['dark', 'contrast'] as const).map((mode: Mode) => themeOf(project, mode)) as [
    Theme,
    Theme,
  ];
  const own = (project.tokens ?? []).flatMap(({ path }) => {
    const found = [...light.tokens.values()].find(({ token }) => token.path === path);
    return found ? [found.name] : [];
  });
  const names = [...new Set([...colourRoles, ...own])];
  const [all, inDark, inContrast] = [light, dark, contrast].map((theme) => variablesIn(theme, names)) as [
    Map<string, string>,
    Map<string, string>,
    Map<string, string>,
  ];
  const isRole = (variable: string) => colourRoles.some((role) => variable === `--${role}`);
  const used = reached(`${css} ${[...inDark.values(), ...inContrast.values()].join(' ')}`, all);
  const isColour = (name: string) => light.tokens.get(name)?.type === 'color';
  const colours = new Set(names.filter(isColour).map((name) => `--${customName(name)}`));
  const root: string[] = [];
  const darkLines: string[] = [];
  const contrastLines: string[] = [];
  for (const [variable, value] of all) {
    if (!used.has(variable) && !isRole(variable)) continue;
    const night = inDark.get(variable) ?? value;
    const strong = inContrast.get(variable) ?? value;
    if (colours.has(variable) && night !== value) root.push(`${variable}: light-dark(${value}, ${night})`);
    else {
      root.push(`${variable}: ${value}`);
      if (night !== value) darkLines.push(`${variable}: ${night}`);
    }
    // In the dark a colour of its own keeps standing out: what is said for the light would sink there.
    const isOwn = colours.has(variable) && night !== value && !strong.startsWith('var(');
    if (strong !== value)
      contrastLines.push(`${variable}: ${isOwn ? `light-dark(${strong}, ${night})` : strong}`);
  }
  const modes = [
    ...(darkLines.length > 0
      ? [
          `@media (prefers-color-scheme: dark) {\n${block(':root:not([data-mode="light"])', darkLines, '  ')}}\n`,
          block(':root[data-mode="dark"]', darkLines),
        ]
      : []),
    ...(contrastLines.length > 0
      ? [
          `@media (prefers-contrast: more) {\n${block(':root', contrastLines, '  ')}}\n`,
          block(':root[data-contrast="more"]', contrastLines),
        ]
      : []),
  ];
  return { root, modes: modes.join('\n') };
}
