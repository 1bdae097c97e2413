/** The project's design tokens. */
import { readAttribute } from '../cascade/attributes.ts';
import { isRecord } from '../document/record.ts';
import type { Style } from '../document/style-set.ts';
import { type Json, type Token, tokenName, tokenPathProblem, tokenTypes } from '../document/token.ts';
import { walk } from '../document/tree.ts';
import { type Control, inForce, type Project, type PropertyValue, treesOf } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Kind } from '../kinds/kind.ts';
import { stylesOfKind } from '../meaning/style-values.ts';
import { isOneOf } from '../sure.ts';
import { tokenWords, withTokenRenamed } from '../tokens/reading.ts';
import { shippedTokens } from '../tokens/shipped.ts';
import type { AttributeText, Collection, Fault, Use } from './collection.ts';

const fields = [
  'path',
  'type',
  'value',
  'dark',
  'contrast',
  'description',
  'deprecated',
  'extensions',
  'groups',
] satisfies (keyof Token)[];

/** Longest value of a token, in UTF-16 units of JSON, and how deep it is nested at most. */
const longestValue = 20_000;
const deepestValue = 20;

/** Whether something from outside is plain data as JSON has it. */
function isJson(value: unknown, depth = 0): boolean {
  if (value === null || typeof value === 'string' || typeof value === 'boolean') return true;
  if (typeof value === 'number') return Number.isFinite(value);
  if (typeof value !== 'object' || depth > deepestValue) return false;
  return Object.values(value).every((each) => isJson(each, depth + 1));
}

function fault(token: unknown): Fault | undefined {
  const at = (path: string, message: string): Fault => ({ path, message });
  if (!isRecord(token) || typeof token.path !== 'string') return at('path', 'A token has no name.');
  const named = tokenPathProblem(token.path);
  if (named) return at('path', named);
  if (!isOneOf(tokenTypes, token.type))
    return at('type', `Token \`${token.path}\` has no type: ${tokenTypes.join(', ')}.`);
  if (token.value === undefined) return at('value', `Token \`${token.path}\` has no value.`);
  for (const field of ['value', 'dark', 'contrast', 'extensions', 'groups']) {
    const value = token[field];
    if (value !== undefined && (!isJson(value) || JSON.stringify(value).length > longestValue))
      return at(field, `The value of token \`${token.path}\` is too long, or no plain data.`);
  }
  if (token.description !== undefined && typeof token.description !== 'string')
    return at('description', `The description of \`${token.path}\` is no text.`);
  if (!['undefined', 'string', 'boolean'].includes(typeof token.deprecated))
    return at('deprecated', `Whether \`${token.path}\` is still to be used is neither yes, no nor a text.`);
  return undefined;
}

/** Two tokens of one name could not be told apart in attributes. */
function faultAmong(tokens: readonly Token[]): string | undefined {
  const names = new Map<string, string>();
  for (const token of tokens) {
    const other = names.get(tokenName(token.path));
    if (other !== undefined)
      return `\`${other}\` and \`${token.path}\` are both called \`${tokenName(token.path)}\` in attributes.`;
    names.set(tokenName(token.path), token.path);
  }
  return undefined;
}

/** A text with a token's new name; the same where the property takes no tokens, or the word is one of its own. */
function renamedIn(kind: Kind, [attribute, text]: AttributeText, from: string, to: string): string {
  const meaning = readAttribute(kind, attribute, []);
  if (typeof meaning === 'string' || meaning.role !== 'value') return text;
  const { takes, words } = meaning.property.type;
  return takes && !words.includes(from) ? withTokenRenamed(text, from, to) : text;
}

/** A value with aliases for another path. */
function realiased(value: Json, from: string, to: string): Json {
  if (value === `{${from}}`) return `{${to}}`;
  if (Array.isArray(value)) return value.map((each: Json) => realiased(each, from, to));
  if (!isRecord(value)) return value;
  return Object.fromEntries(
    Object.entries(value as Record<string, Json>).map(([key, each]) => [key, realiased(each, from, to)]),
  );
}

function inToken<T extends object>(token: T, from: string, to: string): T {
  const changed = Object.entries(token).map(([field, value]) =>
    ['value', 'dark', 'contrast'].includes(field)
      ? [field, realiased(value as Json, from, to)]
      : [field, value],
  );
  return JSON.stringify(changed) === JSON.stringify(Object.entries(token))
    ? token
    : Object.fromEntries(changed);
}

function inStyle<T extends object>(style: T, from: string, to: string): T {
  const { props, for: only } = style as Partial<Style>;
  const kind = stylesOfKind(only);
  if (!props || !kind) return style;
  const renamed = (attribute: string, value: PropertyValue): PropertyValue =>
    typeof value === 'string' ? renamedIn(kind, [attribute, value], tokenName(from), tokenName(to)) : value;
  const next = Object.fromEntries(
    Object.entries(props).map(([attribute, value]) => [attribute, renamed(attribute, value)]),
  );
  return Object.entries(next).every(([attribute, value]) => props[attribute] === value)
    ? style
    : { ...style, props: next };
}

function uses(project: Project, path: string): Use[] {
  const name = tokenName(path);
  return treesOf(project).flatMap((screen) =>
    [...walk(screen)].flatMap((control) =>
      Object.entries(control.props).flatMap(([attribute, value]) => {
        const text = inForce(value);
        if (text === undefined || !tokenWords(text).includes(name)) return [];
        const changed = renamedIn(kindOf(control), [attribute, text], name, `${name}_`);
        return changed === text ? [] : [{ screen, control, attribute }];
      }),
    ),
  );
}

export const tokens: Collection<Token> = {
  id: 'tokens',
  word: 'token',
  least: 0,
  most: 2000,
  fields,
  optional: true,
  ownFile: true,
  keyOf: ({ path }) => path,
  keyProblem: tokenPathProblem,
  fault,
  faultAmong,
  empty: (path) => ({ path, type: 'color', value: '#000000' }),
  rekeyed: (token, path) => ({ ...token, path }),
  // A value that names it could not be read without it; of one that ships another is there.
  needed: (path) => !shippedTokens.some((token) => token.path === path),
  inAttribute: (control: Control, [attribute, text], from, to) => [
    attribute,
    renamedIn(kindOf(control), [attribute, text], tokenName(from), tokenName(to)),
  ],
  inEntity: (of, entity, from, to) =>
    of === 'tokens' ? inToken(entity, from, to) : of === 'styles' ? inStyle(entity, from, to) : entity,
  uses,
};
