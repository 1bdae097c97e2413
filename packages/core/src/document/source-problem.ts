/** What is wrong with sources, requests and tables behind a service that are read from a file. */
import { shapeProblem } from './answer-shape.ts';
import { isFeedAddress } from './feed.ts';
import { isRecord } from './record.ts';
import {
  answerSeconds,
  methods,
  mostRetries,
  pageWays,
  parameterPlaces,
  parameterTypes,
  pathNames,
} from './source.ts';

const requestSeconds = { least: 0.2, most: 3600 };
const mostParameters = 100;
const longest = 4000;

const isText = (value: unknown): value is string => typeof value === 'string' && value.length <= longest;
const isIdentifier = (value: unknown): value is string => isText(value) && /^[A-Za-z_$][\w$]*$/.test(value);
/** RFC 9110 §5.6.2, token. */
const isHeaderName = (value: unknown): value is string =>
  isText(value) && /^[\w!#$%&'*+.^`|~-]+$/.test(value);
/** A dotted path of names. */
const isPlace = (value: unknown): value is string => isText(value) && /^[\w$-]+(\.[\w$-]+)*$/.test(value);

/** Headers that a browser sets itself, or that authentication sets (Fetch §2.2.2, forbidden request-header). */
const reservedHeaders =
  /^(authorization|cookie|host|origin|referer|content-length|connection|sec-.*|proxy-.*)$/i;

function headersProblem(value: unknown): string | undefined {
  if (value === undefined) return undefined;
  if (!Array.isArray(value)) return 'its headers are no list.';
  for (const header of value) {
    if (
      !isRecord(header) ||
      !isHeaderName(header.name) ||
      !isText(header.value) ||
      /[\r\n\0]/.test(header.value)
    )
      return 'a header has no name, or no value on one line.';
    if (reservedHeaders.test(header.name))
      return `the header \`${header.name}\` is not set here: the browser sets it, or who asks.`;
  }
  return undefined;
}

function authProblem(value: unknown): string | undefined {
  if (value === undefined) return undefined;
  if (!isRecord(value) || !isIdentifier(value.secret)) return 'its secret has no name.';
  if (value.as === 'basic' && !isText(value.user)) return 'who asks has no name.';
  if (value.as === 'header' && !isHeaderName(value.header)) return 'its secret stands in no header.';
  return ['bearer', 'basic', 'header'].includes(String(value.as))
    ? undefined
    : 'who asks is told as none of bearer, basic, header.';
}

/** Whether a text can be the base of a service. */
export const isBase = (value: unknown): value is string =>
  isText(value) && !/[{}#\s]/.test(value) && isFeedAddress(value);

const isNumberIn = (value: unknown, least: number, most: number): boolean =>
  typeof value === 'number' && value >= least && value <= most;

/** What is wrong with a source from outside, but for its name; undefined where nothing is. */
export function sourceProblem(source: Readonly<Record<string, unknown>>): string | undefined {
  const { base, standIn, headers, auth, timeout, retry } = source;
  if (!isBase(base))
    return 'its address begins with http:// or https:// and a host, or is a path on the page’s server, such as `api/`.';
  if (standIn !== undefined && !isBase(standIn)) return 'its address in Try is none.';
  if (timeout !== undefined && !isNumberIn(timeout, answerSeconds.least, answerSeconds.most))
    return `it has ${answerSeconds.least} to ${answerSeconds.most} seconds to answer.`;
  if (retry !== undefined && !(Number.isInteger(retry) && isNumberIn(retry, 0, mostRetries)))
    return `it is asked again 0 to ${mostRetries} times.`;
  return headersProblem(headers) ?? authProblem(auth);
}

function parametersProblem(value: unknown, path: string): string | undefined {
  if (value !== undefined && !Array.isArray(value)) return 'its parameters are no list.';
  const parameters: readonly unknown[] = value ?? [];
  if (parameters.length > mostParameters) return `it has more than ${mostParameters} parameters.`;
  const names = new Set<string>();
  for (const parameter of parameters) {
    if (!isRecord(parameter) || !isIdentifier(parameter.name)) return 'a parameter has no name.';
    const { name, in: place, type, required, value: follows, header } = parameter;
    if (names.has(name)) return `there are two parameters \`${name}\`.`;
    names.add(name);
    if (!parameterPlaces.some((each) => each === place))
      return `the parameter \`${name}\` stands in none of ${parameterPlaces.join(', ')}.`;
    if (!parameterTypes.some((each) => each === type))
      return `the parameter \`${name}\` has no type: ${parameterTypes.join(', ')}.`;
    if (required !== undefined && typeof required !== 'boolean')
      return `whether \`${name}\` is required is neither yes nor no.`;
    if (follows !== undefined && !isText(follows)) return `what \`${name}\` follows is no text.`;
    if (
      place === 'header'
        ? !isHeaderName(header ?? name) || reservedHeaders.test(String(header ?? name))
        : header !== undefined
    )
      return `\`${name}\` stands in no header that can be set.`;
    if (place === 'path' && !path.includes(`{${name}}`)) return `\`{${name}}\` does not stand in its path.`;
  }
  const unknown = pathNames(path).find((name) => !names.has(name));
  return unknown === undefined ? undefined : `its path has \`{${unknown}}\`, which is no parameter.`;
}

function pagesProblem(pages: unknown): string | undefined {
  if (pages === undefined) return undefined;
  if (!isRecord(pages) || !pageWays.some((each) => each === pages.by))
    return `its pages come by none of ${pageWays.join(', ')}.`;
  if (pages.by !== 'link' && !isText(pages.parameter)) return 'what says which page it is has no name.';
  if (pages.total !== undefined && !isPlace(pages.total))
    return 'where it says how many there are is no place.';
  return pages.by === 'cursor' && !isPlace(pages.next)
    ? 'where the next cursor lies is no place.'
    : undefined;
}

/** What is wrong with a variable's request from outside; undefined where nothing is. */
export function requestProblem(request: unknown): string | undefined {
  if (request === undefined) return undefined;
  if (!isRecord(request) || !isText(request.source)) return 'its request has no source.';
  const { method, path, parameters, headers, at, shape, pages, every, secret, trouble } = request;
  if (!methods.some((each) => each === method)) return `its method is none of ${methods.join(', ')}.`;
  if (!isText(path) || /[\s\\#]|\.\.|^\/|:\/\//.test(path))
    return 'its path is a text behind the address of its source, such as `bookings/{id}`.';
  if (at !== undefined && !isPlace(at)) return 'where its result lies is no place such as `data.rows`.';
  if (every !== undefined && every !== 0 && !isNumberIn(every, requestSeconds.least, requestSeconds.most))
    return `it is asked once, or every ${requestSeconds.least} to ${requestSeconds.most} seconds.`;
  if (secret !== undefined && !(isRecord(secret) && isIdentifier(secret.name) && isPlace(secret.at)))
    return 'the secret that it brings has no name, or no place.';
  if (trouble !== undefined && trouble !== 'slow' && trouble !== 'failing')
    return 'its trouble is neither slow nor failing.';
  return (
    parametersProblem(parameters, path) ??
    headersProblem(headers) ??
    pagesProblem(pages) ??
    (shape === undefined ? undefined : shapeProblem(shape))
  );
}

/** What is wrong with what a variable says of its rows behind a service; undefined where nothing is. */
export function remoteProblem(remote: unknown): string | undefined {
  if (remote === undefined) return undefined;
  if (!isRecord(remote) || !isText(remote.list)) return 'no request lists its rows.';
  for (const part of ['add', 'change', 'remove'])
    if (remote[part] !== undefined && !isText(remote[part])) return `the request of \`${part}\` is no name.`;
  return undefined;
}
