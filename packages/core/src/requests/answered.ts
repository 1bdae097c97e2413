/** From what came of a request to what its variable holds. */
import { misfitOf } from '../document/answer-shape.ts';
import { isRecord } from '../document/record.ts';
import type { Answer, Pages, Request } from '../document/source.ts';
import { isPlain } from '../document/state.ts';
import type { Exchanged } from './exchange.ts';
import { type Sending, valueAt } from './outgoing.ts';
import { wireText } from './wire-text.ts';

/** What an answer makes of a request's variable, and what `more` asks next. */
export interface Answered {
  readonly answer: Answer;
  readonly next?: NonNullable<Sending['page']>;
  /** The secret that it brought. */
  readonly secret?: string;
}

/** A value without what lies at a place in it. */
function without(value: unknown, [name, ...inner]: readonly string[]): unknown {
  if (name === undefined || !isRecord(value) || !Object.hasOwn(value, name)) return value;
  const { [name]: taken, ...rest } = value;
  return inner.length === 0 ? rest : { ...rest, [name]: without(taken, inner) };
}

const itemsOf = (value: unknown): readonly unknown[] => (Array.isArray(value) ? value : []);

/** Where the next page lies; undefined: there is none. */
function nextPage(
  { by, parameter = '', next }: Pages,
  came: Exchanged & { readonly ok: true },
  all: readonly unknown[],
  turn: number,
  sizes: { readonly first: number; readonly now: number },
): Answered['next'] {
  if (by === 'link') return came.next === undefined ? undefined : { url: came.next };
  if (by === 'cursor') {
    const cursor = wireText(valueAt(came.body, next));
    return cursor === '' ? undefined : { parameter, value: cursor };
  }
  // A page that is shorter than the first one is the last.
  if (sizes.now === 0 || sizes.now < sizes.first) return undefined;
  return { parameter, value: String(by === 'page' ? turn + 2 : all.length) };
}

/**
 * @param before what the variable held: more of its list comes behind that.
 * @param turn how many pages there are already, and how long the first was; absent: it begins anew.
 */
export function answered(
  request: Pick<Request, 'at' | 'shape' | 'pages' | 'secret'>,
  came: Exchanged,
  before: Answer,
  turn?: { readonly pages: number; readonly first: number },
): Answered {
  const failed = (error: string): Answered => ({
    // What was there stays readable.
    answer: { ...before, state: 'failed', error, status: came.status },
  });
  if (!came.ok) return failed(came.sentence);
  const { at, shape, pages, secret } = request;
  const misfit = shape && misfitOf(shape, came.body);
  if (misfit) return failed(`The answer is not what was expected: ${misfit}`);
  const brought = secret ? wireText(valueAt(came.body, secret.at)) : '';
  const body = secret ? without(came.body, secret.at.split('.')) : came.body;
  const own = valueAt(body, at) ?? null;
  if (!isPlain(own)) return failed('The answer is nested too deeply.');
  if (pages && !Array.isArray(own)) return failed('The answer holds no list, so that it has no pages.');
  const result = turn ? [...itemsOf(before.result), ...itemsOf(own)] : own;
  const now = itemsOf(own).length;
  const next =
    pages && nextPage(pages, came, itemsOf(result), turn?.pages ?? 0, { first: turn?.first ?? now, now });
  return {
    answer: { state: 'done', result, error: '', status: came.status, more: next !== undefined },
    ...(next ? { next } : {}),
    ...(brought === '' ? {} : { secret: brought }),
  };
}
