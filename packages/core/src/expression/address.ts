/** Addresses with expressions in them: what those give is encoded, so that it stays a part of the address. */

import type { Feed, StateVariable } from '../document/types.ts';
import type { Template } from './ast.ts';
import { sourcesOf } from './computed.ts';
import { asText, EvaluationError, evaluate, type Scope } from './evaluate.ts';
import { namesOf, namesOfTemplate } from './names.ts';
import { parseExpression } from './parse.ts';
import { parseTemplate } from './template.ts';

/**
 * An address as it is now (RFC 3986 §2.1: what an expression gives is percent-encoded).
 *
 * @throws EvaluationError where what an expression gives would lead out of the folder that is written (§3.3, `..`).
 */
export function addressNow({ parts }: Template, scope: Scope): string {
  const address = parts
    .map((part) => (typeof part === 'string' ? part : encodeURIComponent(asText(evaluate(part, scope)))))
    .join('');
  const isWorkedOut = parts.some((part) => typeof part !== 'string');
  // Dots are not encoded, and browsers take encoded ones for dots.
  if (
    isWorkedOut &&
    address
      .replace(/[?#].*/s, '')
      .split('/')
      .some((step) => step === '.' || step === '..')
  )
    throw new EvaluationError(`\`${address}\` leads out of where it is written; it is not asked.`);
  return address;
}

/** Names that a feed's address reads. */
export function namesOfFeed(feed: Feed | undefined): readonly string[] {
  const read = feed ? parseTemplate(feed.address) : undefined;
  return read?.ok ? namesOfTemplate(read.value).map(({ name }) => name) : [];
}

/** Names that a request's parameters follow, and the requests that a table's rows lie behind. */
function namesOfRequest({ request, remote }: StateVariable): readonly string[] {
  const followed = (request?.parameters ?? []).flatMap(({ value }) => {
    const read = value === undefined ? undefined : parseExpression(value);
    return read?.ok ? namesOf(read.value).map(({ name }) => name) : [];
  });
  return [...followed, ...Object.values(remote ?? {})];
}

/** Names of all variables that another one follows: in its expression, or in the address of its feed, or in what its request is given. */
export const followedBy = (variable: StateVariable): readonly string[] => [
  ...sourcesOf(variable),
  ...namesOfFeed(variable.feed),
  ...namesOfRequest(variable),
];
