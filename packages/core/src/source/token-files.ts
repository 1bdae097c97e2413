/** Tokens as files in the format of the Design Tokens Community Group (DTCG Format 2025.10), one for each mode, and back. */
import { themeOf } from '../cascade/project-theme.ts';
import { messageOf } from '../document/error-message.ts';
import { didYouMean, quoted } from '../document/nearest.ts';
import { isRecord } from '../document/record.ts';
import { same } from '../document/same.ts';
import {
  type Json,
  modes,
  type Token,
  type TokenType,
  tokenPathProblem,
  tokenTypes,
} from '../document/token.ts';
import type { Project } from '../document/types.ts';
import { isOneOf } from '../sure.ts';
import { aliasIn } from '../tokens/resolving.ts';
import { placeAt, type SourceProblem } from './problem.ts';

/** The files of a project's tokens, by what a reader asks their device for. */
export const tokenFiles = {
  light: 'theme/tokens.json',
  dark: 'theme/dark.tokens.json',
  contrast: 'theme/contrast.tokens.json',
} as const;

/** Deepest nesting of groups and values. */
const deepest = 30;

/** A token as one file has it. */
interface Written {
  readonly path: string;
  readonly type: TokenType | undefined;
  readonly value: Json;
  readonly rest: Pick<Token, 'description' | 'deprecated' | 'extensions' | 'groups'>;
}

class Stop extends Error {
  constructor(
    message: string,
    readonly path: readonly string[],
  ) {
    super(message);
  }
}

/** What is said of a group or a token besides its value and type. */
function about(entry: Record<string, unknown>, path: readonly string[]): Written['rest'] {
  const { $description, $deprecated, $extensions } = entry;
  if ($description !== undefined && typeof $description !== 'string')
    throw new Stop('`$description` is no text.', path);
  if ($deprecated !== undefined && typeof $deprecated !== 'string' && typeof $deprecated !== 'boolean')
    throw new Stop('`$deprecated` is neither yes, no nor a text.', path);
  if ($extensions !== undefined && !isRecord($extensions))
    throw new Stop('`$extensions` is no object.', path);
  return {
    ...($description === undefined ? {} : { description: $description }),
    ...($deprecated === undefined || $deprecated === false ? {} : { deprecated: $deprecated }),
    ...($extensions === undefined ? {} : { extensions: $extensions as Token['extensions'] & {} }),
  };
}

const known = ['$type', '$value', '$description', '$deprecated', '$extensions', '$root', '$schema'];

function checkKeys(entry: Record<string, unknown>, path: readonly string[]): void {
  for (const key of Object.keys(entry)) {
    if (key === '$ref' || key === '$extends')
      throw new Stop(
        `\`${key}\` cannot be read here: write the values, or aliases such as \`{color.accent}\`.`,
        path,
      );
    if (key.startsWith('$') && !known.includes(key))
      throw new Stop(`There is no ${quoted(key)} in a file of tokens.${didYouMean(key, known)}`, path);
  }
}

function typeIn({ $type }: Record<string, unknown>, path: readonly string[]): TokenType | undefined {
  if ($type === undefined) return undefined;
  if (isOneOf(tokenTypes, $type)) return $type;
  throw new Stop(
    `${quoted(String($type))} is no type of tokens.${didYouMean(String($type), tokenTypes)}`,
    path,
  );
}

/** All tokens in a group. @param from what is said further up: the type, and whether it should be used no more. */
function tokensIn(
  entry: Record<string, unknown>,
  path: readonly string[],
  from: { readonly type: TokenType | undefined; readonly deprecated: Token['deprecated'] },
): Written[] {
  if (path.length > deepest) throw new Stop(`Groups are nested at most ${deepest} deep.`, path);
  checkKeys(entry, path);
  const type = typeIn(entry, path) ?? from.type;
  const { deprecated = from.deprecated, ...said } = about(entry, path);
  const own = { ...said, ...(deprecated === undefined ? {} : { deprecated }) };
  if ('$value' in entry) return [{ path: path.join('.'), type, value: entry.$value as Json, rest: own }];
  const found: Written[] = [];
  for (const [name, each] of Object.entries(entry)) {
    if (name.startsWith('$') && name !== '$root') continue;
    const at = name === '$root' ? path : [...path, name];
    if (!isRecord(each)) throw new Stop(`${quoted(at.join('.'))} is neither a group nor a token.`, at);
    const problem = name === '$root' ? undefined : tokenPathProblem(at.join('.'));
    if (problem) throw new Stop(problem, at);
    found.push(...tokensIn(each, at, { type, deprecated }));
  }
  const [first, ...others] = found;
  if (!first || (said.description === undefined && said.extensions === undefined)) return found;
  const groups = [{ path: path.join('.'), ...said }, ...(first.rest.groups ?? [])];
  return [{ ...first, rest: { ...first.rest, groups } }, ...others];
}

/** Where the last name of a path stands in the text. */
function placeOf(text: string, path: readonly string[]): number {
  let at = 0;
  for (const name of path) {
    const found = text.indexOf(JSON.stringify(name), at);
    if (found < 0) break;
    at = found;
  }
  return at;
}

type Reading = { readonly tokens: readonly Written[] } | { readonly problem: SourceProblem };

function readFile(file: string, text: string): Reading {
  const fail = (message: string, index: number) => ({ problem: { file, ...placeAt(text, index), message } });
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    const position = /position (\d+)/.exec(messageOf(error));
    return fail(messageOf(error), position ? Number(position[1]) : 0);
  }
  if (!isRecord(data)) return fail('An object with tokens is expected.', 0);
  try {
    return { tokens: tokensIn(data, [], { type: undefined, deprecated: undefined }) };
  } catch (error) {
    if (!(error instanceof Stop)) throw error;
    return fail(error.message, placeOf(text, error.path));
  }
}

/** The type of a token: what it says, or what the token is that it is an alias for (DTCG Format 2025.10 §5.2.2). */
function typeOf(
  written: Written,
  all: ReadonlyMap<string, Written>,
  seen: readonly string[] = [],
): TokenType | undefined {
  const alias = written.type ?? aliasIn(written.value);
  if (alias === undefined || isOneOf(tokenTypes, alias)) return alias;
  const of = all.get(alias);
  return of && !seen.includes(alias) ? typeOf(of, all, [...seen, alias]) : undefined;
}

export type TokenReading =
  | { readonly ok: true; readonly tokens: readonly Token[] }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] };

/**
 * Reads the files of tokens: the first has all, the others what differs in a mode.
 *
 * @param files text by path inside the folder; none of them need be there.
 * @param known tokens that aliases may name though they stand in none of the files: those that ship.
 */
export function readTokenFiles(files: ReadonlyMap<string, string>, known: readonly Token[]): TokenReading {
  const read = new Map<string, readonly Written[]>();
  for (const file of Object.values(tokenFiles)) {
    const text = files.get(file);
    const reading = text === undefined ? { tokens: [] } : readFile(file, text);
    if ('problem' in reading) return { ok: false, problems: [reading.problem] };
    read.set(file, reading.tokens);
  }
  const problems: SourceProblem[] = [];
  const fail = (file: string, { path }: Pick<Written, 'path'>, message: string) => {
    const text = files.get(file) ?? '';
    problems.push({ file, ...placeAt(text, placeOf(text, path.split('.'))), message: `${path}: ${message}` });
  };
  const shipped = new Map(known.map((token) => [token.path, token]));
  const light = read.get(tokenFiles.light) ?? [];
  const all = new Map<string, Written>([
    ...known.map((token): [string, Written] => [token.path, { ...token, rest: {} }]),
    ...light.map((written): [string, Written] => [written.path, written]),
  ]);
  const tokens = new Map<string, Token>();
  for (const written of light) {
    const type = typeOf(written, all);
    if (!type) fail(tokenFiles.light, written, 'It has no type: `$type`, on it or on its group.');
    else tokens.set(written.path, { path: written.path, type, value: written.value, ...written.rest });
  }
  for (const mode of ['dark', 'contrast'] as const)
    for (const written of read.get(tokenFiles[mode]) ?? []) {
      const of = tokens.get(written.path) ?? shipped.get(written.path);
      const file = tokenFiles[mode];
      if (!of)
        fail(
          file,
          written,
          `There is no such token in ${tokenFiles.light}.${didYouMean(written.path, tokens.keys())}`,
        );
      else if (written.type !== undefined && written.type !== of.type)
        fail(file, written, `It is a ${of.type}, not a ${written.type}.`);
      else tokens.set(of.path, { ...of, [mode]: written.value });
    }
  return problems.length > 0 ? { ok: false, problems } : { ok: true, tokens: [...tokens.values()] };
}

/** A tree of groups, as it is printed. */
type Tree = { [name: string]: Tree | Json };

function placeIn(tree: Tree, path: readonly string[]): Tree {
  let at = tree;
  for (const name of path) {
    const next = (at[name] ?? {}) as Tree;
    at[name] = next;
    at = next;
  }
  return at;
}

const saidOf = ({ description, deprecated, extensions }: Partial<Token>): Tree => ({
  ...(description === undefined ? {} : { $description: description }),
  ...(deprecated === undefined ? {} : { $deprecated: deprecated }),
  ...(extensions === undefined ? {} : { $extensions: extensions as Json }),
});

/** JSON with an entry a line; lists of numbers and texts, such as the parts of a colour, stand on one. */
function printed(value: Json, indent: string): string {
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  const isList = Array.isArray(value);
  const entries: readonly (readonly [string, Json])[] = Object.entries(value);
  if (isList && entries.every(([, each]) => typeof each !== 'object' || each === null))
    return `[${value.map((each) => JSON.stringify(each)).join(', ')}]`;
  if (entries.length === 0) return isList ? '[]' : '{}';
  const inner = `${indent}  `;
  const lines = entries.map(
    ([key, each]) => `${inner}${isList ? '' : `${JSON.stringify(key)}: `}${printed(each, inner)}`,
  );
  const [open, close] = isList ? '[]' : '{}';
  return `${open}\n${lines.join(',\n')}\n${indent}${close}`;
}

function printTree(
  tokens: readonly Token[],
  valueFor: (token: Token) => Json | undefined,
  withRest: boolean,
): string {
  const tree: Tree = {};
  const groups = new Set(
    tokens.flatMap(({ path }) => path.split('.').map((_, at, all) => all.slice(0, at).join('.'))),
  );
  for (const token of tokens) {
    const value = valueFor(token);
    if (value === undefined) continue;
    if (withRest)
      for (const { path, ...said } of token.groups ?? [])
        Object.assign(placeIn(tree, path === '' ? [] : path.split('.')), saidOf(said));
    const names = token.path.split('.');
    const at = placeIn(tree, groups.has(token.path) ? [...names, '$root'] : names);
    Object.assign(at, { $type: token.type, $value: value }, withRest ? saidOf(token) : {});
  }
  return `${printed(tree as Json, '')}\n`;
}

/** The files of a project's tokens, by path; those that would have nothing in them are left out. */
export function printTokenFiles(tokens: readonly Token[]): Map<string, string> {
  const files = new Map<string, string>();
  if (tokens.length === 0) return files;
  files.set(
    tokenFiles.light,
    printTree(tokens, ({ value }) => value, true),
  );
  for (const mode of ['dark', 'contrast'] as const)
    if (tokens.some((token) => token[mode] !== undefined && !same(token[mode], token.value)))
      files.set(
        tokenFiles[mode],
        printTree(tokens, (token) => token[mode], false),
      );
  return files;
}

/** Tokens that come to nothing in some mode, each at its place. */
export function tokenProblems(
  project: Pick<Project, 'tokens' | 'styles'>,
  files: ReadonlyMap<string, string>,
): SourceProblem[] {
  const told = new Set<string>();
  return modes.flatMap((mode) =>
    [...themeOf(project, mode).problems].flatMap(([path, message]) => {
      if (told.has(path)) return [];
      told.add(path);
      const inMode = files.get(tokenFiles[mode]) ?? '';
      const file = placeOf(inMode, path.split('.')) > 0 ? tokenFiles[mode] : tokenFiles.light;
      const text = files.get(file) ?? '';
      return [{ file, ...placeAt(text, placeOf(text, path.split('.'))), message: `${path}: ${message}` }];
    }),
  );
}
