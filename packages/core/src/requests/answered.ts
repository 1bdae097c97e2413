/** From what came of a request to what its variable holds. */
import { misfitOf } from '../document/answer-shape.ts';
import { isRecord } from '../document/record.ts';
import type { Answer, Pages, Request } from '../document/source.ts';
import { isPlain } from '../document/state.ts';
import type { Exchanged } from './exchange.ts';
import { type Sending, valueAt } from './outgoing.ts';
import { wireText } from './wire-text.ts';

/** What an answer makes of a request's variable. */
export interface Answered {
  readonly answer: Answer;
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

/** Where the next page lies: its number, its offset, a cursor or an address; empty: there is none. */
function nextPage(
  { by, next, total }: Pages,
  came: Exchanged & { readonly ok: true },
  { before, now, first, asked }: PageCount,
): string {
  if (by === 'link') return came.next ?? '';
  if (by === 'cursor') return wireText(valueAt(came.body, next));
  const all = Number(valueAt(came.body, total) ?? Number.NaN);
  // A page that is shorter than the first one is the last.
  if (now === 0 || (total !== undefined && all >= 0 ? before + now >= all : now < first)) return '';
  return String(by === 'page' ? Number(asked || '1') + 1 : before + now);
}

/** How many items there were before, on this page and on the first; and what said which page it is, empty for the first. */
interface PageCount {
  readonly before: number;
  readonly now: number;
  readonly first: number;
  readonly asked: string;
}

/** What is sent for the next page. */
export const pageAfter = (pages: Pages, next: string): NonNullable<Sending['page']> =>
  pages.by === 'link' ? { url: next } : { parameter: pages.parameter ?? '', value: next };

/**
 * @param before what the variable held: more of its list comes behind that.
 * @param more how long the first page was; absent: it begins anew.
 */
export function answered(
  request: Pick<Request, 'at' | 'shape' | 'pages' | 'secret'>,
  came: Exchanged,
  before: Answer,
  more?: { readonly first: number },
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
  const result = more ? [...itemsOf(before.result), ...itemsOf(own)] : own;
  const now = itemsOf(own).length;
  const held = more ? itemsOf(before.result).length : 0;
  const asked = more ? before.next : '';
  // Where another window asked for the first page, it was as long as those before on average.
  const first = more ? more.first || (pages?.by === 'page' ? held / (Number(asked) - 1) : 0) : now;
  const count = { before: held, now, first, asked };
  const next = pages ? nextPage(pages, came, count) : '';
  return {
    answer: { state: 'done', result, error: '', status: came.status, next },
    ...(brought === '' ? {} : { secret: brought }),
  };
}
