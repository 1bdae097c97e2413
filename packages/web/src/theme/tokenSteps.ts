/** What is done with tokens, as steps. */
import {
  changing,
  dropping,
  freshName,
  type Json,
  type Mode,
  type Project,
  printTokenFiles,
  putting,
  readTokenFiles,
  type ShippedTheme,
  type Step,
  shippedTokens,
  type Token,
  type TokenType,
  tokenName,
  withToken,
} from '@hovrin/core';

/** All tokens that a project has: those that ship, each replaced where it has one of its own. */
export function allTokens({
  tokens = [],
}: Project): readonly { readonly token: Token; readonly isOwn: boolean }[] {
  const own = new Map(tokens.map((token) => [token.path, token]));
  return [
    ...shippedTokens.map((token) => ({ token: own.get(token.path) ?? token, isOwn: own.has(token.path) })),
    ...tokens
      .filter(({ path }) => !shippedTokens.some((token) => token.path === path))
      .map((token) => ({ token, isOwn: true })),
  ];
}

/** A token with another value in a mode; undefined takes the mode's own value away. */
const withValue = (token: Token, mode: Mode, value: Json | undefined): Token => {
  const { [mode === 'light' ? 'value' : mode]: _, ...rest } = token;
  return (value === undefined ? rest : { ...rest, [mode === 'light' ? 'value' : mode]: value }) as Token;
};

/** Sets a token's value; one that ships becomes the project's own. */
export function setValue(project: Project, token: Token, mode: Mode, value: Json | undefined): Step[] {
  const next = withValue(token, mode, value);
  const own = project.tokens?.find(({ path }) => path === token.path);
  return own ? changing('tokens', own, next) : [putting('tokens', next)];
}

/** What a token of a type begins with. */
const begins: Readonly<Record<TokenType, Json>> = {
  color: { colorSpace: 'srgb', components: [0.5, 0.5, 0.5], hex: '#808080' },
  dimension: { value: 16, unit: 'px' },
  fontFamily: 'Hanken Grotesk',
  fontWeight: 600,
  number: 1,
  duration: { value: 150, unit: 'ms' },
  cubicBezier: [0.2, 0, 0, 1],
  shadow: {
    color: { colorSpace: 'srgb', components: [0, 0, 0], alpha: 0.2, hex: '#000000' },
    offsetX: { value: 0, unit: 'px' },
    offsetY: { value: 2, unit: 'px' },
    blur: { value: 8, unit: 'px' },
    spread: { value: 0, unit: 'px' },
  },
  gradient: [
    { color: '{color.tint}', position: 0 },
    { color: '{color.page}', position: 1 },
  ],
  typography: {
    fontFamily: 'Hanken Grotesk',
    fontSize: { value: 20, unit: 'px' },
    fontWeight: 600,
    lineHeight: 1.3,
    letterSpacing: { value: 0, unit: 'px' },
  },
  border: { color: '{color.line}', width: { value: 1, unit: 'px' }, style: 'solid' },
  transition: {
    duration: { value: 150, unit: 'ms' },
    delay: { value: 0, unit: 'ms' },
    timingFunction: [0.2, 0, 0, 1],
  },
};

/** A new token of a type, under a name that is free. */
export function newToken(project: Project, type: TokenType): Token {
  const taken = new Set(allTokens(project).map(({ token }) => tokenName(token.path)));
  const name = freshName('own', (each) => taken.has(each));
  return { path: `${type}.${name}`, type, value: begins[type] };
}

/** Takes a token away; where it is used, another of its type takes its place first. */
export function deleting(project: Project, token: Token, instead: Token | undefined): Step[] {
  if (!instead) return [dropping('tokens', token)];
  return withToken(project, token.path, instead.path);
}

/** A shipped theme in place of the project's colours and measures; what else it has stays. */
export function beginWith({ tokens = [] }: Project, { tokens: next }: ShippedTheme): Step[] {
  const shipped = new Set(shippedTokens.map(({ path }) => path));
  const wanted = new Map(next.map((token) => [token.path, token]));
  return [
    ...tokens.flatMap((token): Step[] => {
      const after = wanted.get(token.path);
      if (after) return changing('tokens', token, after);
      return shipped.has(token.path) ? [dropping('tokens', token)] : [];
    }),
    ...next
      .filter(({ path }) => !tokens.some((token) => token.path === path))
      .map((token) => putting('tokens', token)),
  ];
}

/** The tokens of a project as the files of the format. */
export const tokenFilesOf = (project: Project): ReadonlyMap<string, string> =>
  printTokenFiles(project.tokens ?? []);

/** Tokens behind those that they are aliases for: taken back, each goes before what it names. */
function inOrder(tokens: readonly Token[]): readonly Token[] {
  const byPath = new Map(tokens.map((token) => [token.path, token]));
  const done = new Set<Token>();
  const visit = (token: Token, above: ReadonlySet<Token>): void => {
    if (done.has(token) || above.has(token)) return;
    const names = JSON.stringify([token.value, token.dark, token.contrast]).matchAll(/"\{([^{}"]+)\}"/g);
    for (const [, path = ''] of names) {
      const named = byPath.get(path);
      if (named) visit(named, new Set([...above, token]));
    }
    done.add(token);
  };
  for (const token of tokens) visit(token, new Set());
  return [...done];
}

export interface Brought {
  readonly steps: readonly Step[];
  readonly added: readonly string[];
  readonly changed: readonly string[];
}

/**
 * What a file of tokens would change.
 *
 * @param mode which of the values it has; all of them are plain ones in a file that is for no mode.
 * @returns a sentence where it cannot be read.
 */
export function bringing(project: Project, text: string, mode: Mode): Brought | string {
  const path = {
    light: 'theme/tokens.json',
    dark: 'theme/dark.tokens.json',
    contrast: 'theme/contrast.tokens.json',
  }[mode];
  const { tokens: own = [] } = project;
  const here = mode === 'light' ? new Map<string, string>() : new Map(tokenFilesOf(project));
  const known = [...shippedTokens.filter((token) => !own.some((each) => each.path === token.path)), ...own];
  const read = readTokenFiles(here.set(path, text), known);
  if (!read.ok)
    return read.problems.map(({ line, column, message }) => `${line}:${column} ${message}`).join(' ');
  const steps: Step[] = [];
  const [added, changed]: [string[], string[]] = [[], []];
  for (const token of inOrder(read.tokens)) {
    const before = own.find((each) => each.path === token.path);
    const next = before && mode === 'light' ? { ...before, ...token } : token;
    if (!before) {
      added.push(token.path);
      steps.push(putting('tokens', next));
      continue;
    }
    const change = changing('tokens', before, next);
    if (change.length > 0) changed.push(token.path);
    steps.push(...change);
  }
  return { steps, added, changed };
}
