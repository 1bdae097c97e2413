/**
 * Asks one request again and again, as events, timers and tables want it. Of questions that only read, the newest counts;
 * all others are sent one after the other. What its variable holds tells how it goes.
 */
import { isRecord } from '../document/record.ts';
import { type Answer, type DataSource, idleAnswer } from '../document/source.ts';
import type { ProgramRequest } from '../runtime/program.ts';
import { type Answered, answered, pageAfter } from './answered.ts';
import { exchange, type Wire } from './exchange.ts';
import { CannotAsk, outgoing, type Sending } from './outgoing.ts';

/** Where a request is asked. */
export interface AskerHost {
  /** What its variable holds now. */
  read(): Answer;
  hold(answer: Answer): void;
  /** What its parameters follow, as far as they follow something. @throws Error where that cannot be worked out. */
  followed(): Readonly<Record<string, unknown>>;
  /** The base of its source here; rejects with a sentence where nothing answers. */
  base(): Promise<string>;
  secret(name: string): string;
  keepSecret(name: string, text: string): void;
}

/** How long a slow request takes in Try, seconds. */
const slowSeconds = 5;

/** What came of asking: what went wrong, empty where nothing did. */
export interface Asked {
  readonly sentence: string;
  readonly status: number;
  readonly result: unknown;
}

export class Asker {
  #ending = new AbortController();
  /** Questions that are sent one after the other. */
  #queue: Promise<unknown> = Promise.resolve();
  /** How long the first page was, as far as it was asked here. */
  #first = 0;
  /** How it went before it was asked last. */
  #settled: Answer['state'] = idleAnswer.state;
  /** What it was asked with last. */
  #given: Readonly<Record<string, unknown>> = {};

  constructor(
    private readonly source: DataSource,
    private readonly request: ProgramRequest,
    private readonly host: AskerHost,
    private readonly wire: Wire,
  ) {}

  /**
   * @param given values by the names of parameters; a value that is not given follows its expression.
   * @returns undefined where it was given up.
   */
  ask(given: unknown): Promise<Asked | undefined> {
    if (given !== undefined && !isRecord(given))
      return Promise.resolve(
        this.#failed('What a request is given is a record, by the names of its parameters.'),
      );
    return this.#inTurn(() => this.#send(undefined, given ?? {}));
  }

  /** Asks for the next page of the list. */
  more(): Promise<Asked | undefined> {
    const { result, status, next } = this.host.read();
    const { pages } = this.request;
    if (!pages || next === '') return Promise.resolve({ sentence: '', status, result });
    return this.#inTurn(() => this.#send(pageAfter(pages, next), this.#given));
  }

  /** Gives up what is under way. */
  cancel(): void {
    this.#end();
    const now = this.host.read();
    if (now.state === 'waiting') this.host.hold({ ...now, state: this.#settled });
  }

  #end(): void {
    this.#ending.abort();
    this.#ending = new AbortController();
    this.#queue = Promise.resolve();
  }

  async #inTurn(send: () => Promise<Asked | undefined>): Promise<Asked | undefined> {
    if (this.request.method === 'GET') {
      this.#end();
      return send();
    }
    const { signal } = this.#ending;
    const turn = this.#queue.then(() => (signal.aborted ? undefined : send()));
    this.#queue = turn;
    return turn;
  }

  #failed(sentence: string, status = 0): Asked {
    const before = this.host.read();
    this.host.hold({ ...before, state: 'failed', error: sentence, status });
    return { sentence, status, result: before.result };
  }

  async #send(page: Sending['page'], given: Readonly<Record<string, unknown>>): Promise<Asked | undefined> {
    const { signal } = this.#ending;
    this.#given = given;
    const before = this.host.read();
    if (before.state !== 'waiting') this.#settled = before.state;
    this.host.hold({ ...before, state: 'waiting', error: '' });
    try {
      const came = await this.#exchanged(page, given, signal);
      if (came === undefined || signal.aborted) return undefined;
      const done = answered(this.request, came, this.host.read(), page && { first: this.#first });
      this.#take(done, page);
      const { error, status, result } = done.answer;
      return { sentence: error, status, result };
    } catch (error) {
      if (signal.aborted) return undefined;
      return this.#failed(error instanceof Error ? error.message : String(error));
    }
  }

  async #exchanged(page: Sending['page'], given: Readonly<Record<string, unknown>>, signal: AbortSignal) {
    const { source, request, wire, host } = this;
    if (request.trouble === 'slow') await wire.wait(slowSeconds, signal);
    if (request.trouble === 'failing') throw new CannotAsk('The service does not answer.');
    const base = await host.base();
    const secret = source.auth ? host.secret(source.auth.secret) : '';
    const sending: Sending = {
      base,
      values: { ...host.followed(), ...given },
      secret,
      ...(page ? { page } : {}),
    };
    return exchange(outgoing(source, request, sending), source, wire, signal);
  }

  #take({ answer, secret }: Answered, page: Sending['page']): void {
    if (secret !== undefined && this.request.secret) this.host.keepSecret(this.request.secret.name, secret);
    if (answer.state === 'done' && !page)
      this.#first = Array.isArray(answer.result) ? answer.result.length : 0;
    this.host.hold(answer);
  }
}
