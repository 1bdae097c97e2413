/** From a request and the values that it is given to what goes over the wire (RFC 9110, RFC 3986). */
import { isRecord } from '../document/record.ts';
import type { DataSource, Method, Request, RequestParameter } from '../document/source.ts';
import { fitting } from '../document/state.ts';
import { wireText } from './wire-text.ts';

/** What is sent. */
export interface Outgoing {
  readonly url: string;
  readonly method: Method;
  readonly headers: Readonly<Record<string, string>>;
  /** JSON. */
  readonly body?: string;
}

/** A request that cannot be sent; its message is a sentence for the person. */
export class CannotAsk extends Error {}

/** What a request is sent with. */
export interface Sending {
  /** The base of the source at the place where it is asked, as a whole address. */
  readonly base: string;
  /** By the names of the parameters; one that is not there is not given. */
  readonly values: Readonly<Record<string, unknown>>;
  /** The secret of the source; absent, or empty: none was given. */
  readonly secret?: string;
  /** Which page of a list: a part of the query, or a whole address that an answer gave. */
  readonly page?: { readonly parameter: string; readonly value: string } | { readonly url: string };
}

/** What is sent of a request. */
type Sent = Pick<Request, 'method' | 'path' | 'headers'> & {
  readonly parameters?: readonly SentParameter[];
};
type SentParameter = Omit<RequestParameter, 'value'>;

const isNothing = (value: unknown): boolean => value === undefined || value === null || value === '';

/** A value as its parameter's type has it; undefined: it is not given. @throws CannotAsk */
function given({ name, type, required }: SentParameter, value: unknown): unknown {
  if (value === undefined || (isNothing(value) && type !== 'text')) {
    if (required) throw new CannotAsk(`\`${name}\` is needed, and not given.`);
    // What is emptied on purpose is sent as nothing.
    return value === undefined ? undefined : null;
  }
  if (value === null) return null;
  const fits = fitting(type, value);
  if (fits === undefined) throw new CannotAsk(`\`${name}\` is a ${type}; what it is given is none.`);
  return fits;
}

/** Parts of a query, a list's items one by one (OpenAPI: `form`, exploded). */
const inQuery = (name: string, value: unknown): readonly (readonly [string, string])[] =>
  isNothing(value)
    ? []
    : (Array.isArray(value) ? value : [value]).map((each) => [name, wireText(each)] as const);

/** A path with its parameters (RFC 6570 §3.2.2). @throws CannotAsk where one is not given, or would lead elsewhere. */
const pathWith = (path: string, values: ReadonlyMap<string, unknown>): string =>
  path.replace(/\{([^{}]*)\}/g, (_, name: string) => {
    const text = wireText(values.get(name));
    if (text === '') throw new CannotAsk(`\`${name}\` is needed, and not given.`);
    if (text === '.' || text === '..') throw new CannotAsk(`\`${name}\` leads out of the address.`);
    return encodeURIComponent(text);
  });

/** A path behind a base, with the queries of both and what comes to them. */
function addressOf(base: string, path: string, query: readonly (readonly [string, string])[]): string {
  const [front = '', given = ''] = base.split('?');
  const [own = '', ownQuery = ''] = path.split('?');
  const parts = new URLSearchParams(given);
  for (const [name, value] of new URLSearchParams(ownQuery)) parts.append(name, value);
  for (const [name, value] of query) parts.append(name, value);
  const all = parts.toString();
  return `${own === '' ? front : `${front.replace(/\/$/, '')}/${own}`}${all === '' ? '' : `?${all}`}`;
}

/** How a source is told who asks. */
function authorization({ auth }: DataSource, secret: string | undefined): Readonly<Record<string, string>> {
  if (!auth || !secret) return {};
  if (auth.as === 'bearer') return { Authorization: `Bearer ${secret}` };
  if (auth.as === 'header') return { [auth.header]: secret };
  const bytes = new TextEncoder().encode(`${auth.user}:${secret}`);
  return { Authorization: `Basic ${btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''))}` };
}

/** Whether another page's address is of the same service: nobody else gets its secret. */
const isOfBase = (url: string, base: string): boolean => new URL(url).origin === new URL(base).origin;

/**
 * @returns what is sent.
 * @throws CannotAsk where a value is missing or does not fit.
 */
export function outgoing(
  source: DataSource,
  { method, path, parameters = [], headers = [] }: Sent,
  { base, values, secret, page }: Sending,
): Outgoing {
  const sent = new Map(parameters.map((each) => [each.name, given(each, values[each.name])]));
  const of = (place: RequestParameter['in']) => parameters.filter((each) => each.in === place);
  const fields = of('field').filter(({ name }) => sent.get(name) !== undefined);
  const [whole] = of('body');
  const content = whole ? sent.get(whole.name) : undefined;
  const body = content ?? Object.fromEntries(fields.map(({ name }) => [name, sent.get(name)]));
  const hasBody = method !== 'GET' && (content !== undefined || fields.length > 0);
  const query = of('query').flatMap(({ name }) => inQuery(name, sent.get(name)));
  if (page && 'parameter' in page) query.push([page.parameter, page.value]);
  const url = page && 'url' in page ? page.url : addressOf(base, pathWith(path, sent), query);
  const isOwn = !page || !('url' in page) || isOfBase(page.url, base);
  if (!isOwn) throw new CannotAsk('The next page is at another service; it is not asked.');
  const own = of('header').flatMap(({ name, header = name }) =>
    isNothing(sent.get(name))
      ? []
      : [[header, wireText(sent.get(name)).replaceAll(/[\r\n\0]/g, ' ')] as const],
  );
  return {
    url,
    method,
    headers: {
      Accept: 'application/json',
      ...Object.fromEntries([...(source.headers ?? []), ...headers].map(({ name, value }) => [name, value])),
      ...Object.fromEntries(own),
      ...(hasBody ? { 'Content-Type': 'application/json' } : {}),
      ...authorization(source, secret),
    },
    ...(hasBody ? { body: JSON.stringify(body) } : {}),
  };
}

/** What lies at a place in an answer, `data.rows`. */
export const valueAt = (value: unknown, place: string | undefined): unknown =>
  (place ? place.split('.') : []).reduce<unknown>(
    (inner, name) => (isRecord(inner) && Object.hasOwn(inner, name) ? inner[name] : undefined),
    value,
  );
