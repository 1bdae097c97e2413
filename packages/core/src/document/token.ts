/**
 * Design tokens: values with a name, said once for a whole project (DTCG Format Module 2025.10). A token is kept as its file has
 * it, aliases such as `{color.accent}` included; `tokens/` works out what it comes to.
 */

/** Types of tokens (DTCG Format 2025.10 §8, §9). A group at the top that is called like one is no part of a token's name. */
export const tokenTypes = [
  'color',
  'dimension',
  'fontFamily',
  'fontWeight',
  'number',
  'duration',
  'cubicBezier',
  'shadow',
  'gradient',
  'typography',
  'border',
  'transition',
] as const;

export type TokenType = (typeof tokenTypes)[number];

/** What a reader may ask their device for, in which a token may have another value: none of it, dark colours, more contrast. */
export const modes = ['light', 'dark', 'contrast'] as const;
export type Mode = (typeof modes)[number];

/** A value as JSON has it. */
export type Json = string | number | boolean | null | readonly Json[] | { readonly [key: string]: Json };

/** What a file says about a group, besides the types of its tokens. */
export interface TokenGroup {
  readonly path: string;
  readonly description?: string;
  readonly extensions?: { readonly [key: string]: Json };
}

export interface Token {
  /** The names of its groups and its own, with dots between: `color.brand.deep`. Unique in the project. */
  readonly path: string;
  readonly type: TokenType;
  /** Its value, or an alias. */
  readonly value: Json;
  /** What it is instead where dark colours are asked for; absent: the same. */
  readonly dark?: Json;
  /** What it is instead where more contrast is asked for; absent: the same. */
  readonly contrast?: Json;
  readonly description?: string;
  /** True, or why and what stands in its place. */
  readonly deprecated?: boolean | string;
  /** What other programs have written down about it, kept as it is. */
  readonly extensions?: { readonly [key: string]: Json };
  /** What its file says about groups that begin with it. */
  readonly groups?: readonly TokenGroup[];
}

/** A name as groups and tokens may have it here: what can stand in an attribute among other words. */
const part = '[A-Za-z_][\\w-]*|\\d[\\w-]*[A-Za-z_-][\\w-]*|\\d+';
const pathPattern = new RegExp(`^(?:[A-Za-z_][\\w-]*)(?:\\.(?:${part}))*$`);

/** Why a text cannot be a token's path; undefined where it can, if it is free. */
export const tokenPathProblem = (path: string): string | undefined =>
  path.length <= 200 && pathPattern.test(path)
    ? undefined
    : `\`${path.slice(0, 80)}\` is no name of a token: letters, digits, \`-\` and \`_\`, with dots between groups.`;

/** What a token is called in attributes: its path without a group at the top that is called like a type. */
export function tokenName(path: string): string {
  const dot = path.indexOf('.');
  return dot > 0 && tokenTypes.some((type) => type === path.slice(0, dot)) ? path.slice(dot + 1) : path;
}

/** Custom properties that a page has for itself. */
const ofPages = /^(?:line-height|part|(?:screen|safe|hinge|picture|k)-.*)$/;

/** The name of a token's custom property on a page, without the two hyphens in front. */
export const customName = (name: string): string =>
  (ofPages.test(name) ? `token-${name}` : name).replaceAll(/[^\w-]/g, '-');
