/** What the tokens of a project come to in a mode: aliases followed, what is wrong told. */
import { didYouMean, quoted } from '../document/nearest.ts';
import { isRecord } from '../document/record.ts';
import { type Json, type Mode, type Token, type TokenType, tokenName } from '../document/token.ts';
import { colourText } from './colour.ts';
import { type TokenTexts, textsByType } from './token-text.ts';

/** A token's value in one mode. */
export interface ResolvedToken {
  readonly token: Token;
  /** What attributes call it. */
  readonly name: string;
  readonly type: TokenType;
  /** By the properties that it sets; under the empty name where it is one value. */
  readonly texts: TokenTexts;
  /** What stands for it in a stylesheet; absent: its value. */
  readonly reference?: string;
  /** The value is nothing but an alias: the name of the token that it stands for. */
  readonly alias?: string;
}

export interface ResolvedTokens {
  /** By the names that attributes call them by. */
  readonly byName: ReadonlyMap<string, ResolvedToken>;
  /** What is wrong, by path. */
  readonly problems: ReadonlyMap<string, string>;
}

/** The path that a value is an alias for (DTCG Format 2025.10 §7.1.1). */
export const aliasIn = (value: Json): string | undefined =>
  typeof value === 'string' ? /^\{([^{}]+)\}$/.exec(value)?.[1] : undefined;

/** A token's value in a mode; what is more specific first: contrast, then dark. */
export const valueIn = (token: Token, mode: Mode): Json =>
  (mode === 'light' ? undefined : token[mode]) ?? token.value;

class Resolver {
  readonly problems = new Map<string, string>();
  private readonly done = new Map<string, ResolvedToken | undefined>();
  private readonly underway: string[] = [];

  constructor(
    private readonly byPath: ReadonlyMap<string, Token>,
    private readonly mode: Mode,
  ) {}

  token(path: string): ResolvedToken | undefined {
    if (this.done.has(path)) return this.done.get(path);
    const token = this.byPath.get(path);
    if (!token) return undefined;
    this.underway.push(path);
    const found = this.worked(token);
    this.underway.pop();
    this.done.set(path, found);
    return found;
  }

  private worked(token: Token): ResolvedToken | undefined {
    const value = valueIn(token, this.mode);
    const { type } = token;
    const name = tokenName(token.path);
    const path = aliasIn(value);
    if (path !== undefined) {
      const of = this.aliased(token.path, path);
      if (!of) return undefined;
      if (of.type !== type) {
        this.fail(token.path, `${quoted(path)} is a ${of.type}, not a ${type}.`);
        return undefined;
      }
      return { token, name, type, texts: of.texts, alias: of.name };
    }
    const plain = this.withoutAliases(token.path, value, type);
    if (plain === undefined) return undefined;
    const texts = textsByType[type](plain, (colour) => this.colour(token.path, colour));
    if (!texts) this.fail(token.path, `The value is no ${type}.`);
    return texts && { token, name, type, texts };
  }

  /** What an alias stands for. */
  private aliased(from: string, path: string): ResolvedToken | undefined {
    if (this.underway.includes(path)) {
      const circle = [...this.underway.slice(this.underway.indexOf(path)), path].map(quoted).join(' → ');
      this.fail(from, `It stands for itself: ${circle}.`);
      return undefined;
    }
    if (!this.byPath.has(path)) {
      this.fail(from, `There is no token ${quoted(path)}.${didYouMean(path, this.byPath.keys())}`);
      return undefined;
    }
    const found = this.token(path);
    if (!found) this.fail(from, `${quoted(path)}, which it stands for, has no value.`);
    return found;
  }

  /** A colour in a composite value, by the name of its token where it has one. */
  private colour(from: string, value: Json): string | undefined {
    const path = aliasIn(value);
    if (path === undefined) return colourText(value);
    const found = this.aliased(from, path);
    return found?.type === 'color' ? found.name : undefined;
  }

  /** A composite value whose aliases are followed, but for those of colours; undefined where one leads nowhere. */
  private withoutAliases(from: string, value: Json, type: TokenType): Json | undefined {
    if (Array.isArray(value)) {
      const parts = value.map((each: Json) => this.withoutAliases(from, each, type));
      return parts.includes(undefined) ? undefined : (parts as Json[]);
    }
    if (!isRecord(value)) {
      const path = aliasIn(value as Json);
      if (path === undefined) return value as Json;
      const found = this.aliased(from, path);
      if (!found) return undefined;
      return found.type === 'color'
        ? (value as Json)
        : this.withoutAliases(from, valueIn(found.token, this.mode), type);
    }
    const parts: Record<string, Json> = {};
    for (const [key, each] of Object.entries(value as Record<string, Json>)) {
      const part = this.withoutAliases(from, each, type);
      if (part === undefined) return undefined;
      parts[key] = part;
    }
    return parts;
  }

  private fail(path: string, message: string): void {
    if (!this.problems.has(path)) this.problems.set(path, message);
  }
}

/** Works out tokens in a mode. Those that come to nothing are left out, with a sentence that says why. */
export function resolveTokens(tokens: readonly Token[], mode: Mode): ResolvedTokens {
  const resolver = new Resolver(new Map(tokens.map((token) => [token.path, token])), mode);
  const byName = new Map<string, ResolvedToken>();
  for (const { path } of tokens) {
    const found = resolver.token(path);
    if (found) byName.set(found.name, found);
  }
  return { byName, problems: resolver.problems };
}
