/** Requests: asks services as events, timers and tables want it, and holds what they answer in the page's variables. */
import {
  type Answer,
  Asker,
  type Asks,
  askedBy,
  baseHere,
  browserWire,
  type DataSource,
  RemoteRows,
  type RemoteTable,
  type RowAction,
} from '@hovrin/core/requests';
import {
  type ConfiguredSource,
  type Expression,
  forPeople,
  keyOf,
  type ProgramRequest,
  type ProgramVariable,
  type StateValue,
} from '@hovrin/core/runtime';
import { configured } from '../configured.ts';
import { follows, tell, tellProblem, trial } from '../trial.ts';
import type { Around, Piece } from './piece.ts';

/** How long nothing is typed until a changed row is sent, ms. */
const settling = 400;

/** A variable that is a request. */
interface Asked {
  readonly name: string;
  readonly request: ProgramRequest;
  readonly asker: Asker;
}

/** What an asker and its timers need. */
interface Asking {
  readonly around: Around;
  readonly secrets: Map<string, string>;
  keepSecret(name: string, text: string): void;
  base(source: DataSource): Promise<string>;
}

/** Lets the page's variables have what services answer. */
export const piece: Piece = (_, around) => {
  const { program, host, addStatements } = around;
  const secrets = new Map<string, string>();
  const configuredHere = configured<ConfiguredSource>(
    'sources',
    (program.sources ?? []).map(({ name }) => name),
  );
  const hear = (name: string, text: string) =>
    void (text === '' ? secrets.delete(name) : secrets.set(name, text));
  const keepSecret = (name: string, text: string) => {
    hear(name, text);
    tell({ type: 'hovrin-secret', name, text });
  };
  host.acting.setSecret = keepSecret;
  Object.assign((globalThis as { hovrinPage?: object }).hovrinPage ?? {}, { setSecret: keepSecret });
  trial?.onSecret(hear);
  const asking: Asking = {
    around,
    secrets,
    keepSecret,
    base: async (source) =>
      baseHere(source, {
        inTry: trial !== undefined,
        page: location.href,
        said: (await configuredHere)(source.name).base,
      }),
  };
  const asked = new Map(
    program.state.flatMap(({ name, request }) => {
      const source = program.sources?.find((each) => each.name === request?.source);
      return request && source ? [[name, makeAsked(name, request, source, asking)] as const] : [];
    }),
  );
  const asks: Asks = async (how, name, given) => {
    const asker = asked.get(name)?.asker;
    if (!asker) return `\`${name}\` is no request.`;
    if (how === 'cancel') asker.cancel();
    const came =
      how === 'ask' ? await asker.ask(given) : how === 'more' ? await asker.more() : { sentence: '' };
    return came?.sentence;
  };
  addStatements({ ask: askedBy(asks) });
  for (const { remote, ...variable } of program.state) if (remote) behind(variable, remote, asked, around);
  for (const each of asked.values()) askByItself(each, around);
};

function makeAsked(name: string, request: ProgramRequest, source: DataSource, asking: Asking): Asked {
  const { runtime } = asking.around;
  const asker = new Asker(
    source,
    request,
    {
      read: () => runtime.read(name) as unknown as Answer,
      hold: (answer) => void runtime.take(name, answer as unknown as StateValue),
      followed: () => {
        let values: Record<string, unknown> = {};
        runtime.bindAll(templatesOf(request), (now) => {
          values = Object.fromEntries(now);
        })();
        return values;
      },
      base: () => asking.base(source),
      secret: (secret) => asking.secrets.get(secret) ?? '',
      keepSecret: (secret, text) => asking.keepSecret(secret, text),
    },
    browserWire(!trial),
  );
  return { name, request, asker };
}

/** The expressions that a request's parameters follow, by their names. */
const templatesOf = ({ parameters }: ProgramRequest) =>
  Object.fromEntries(
    parameters.flatMap(({ name, value }) =>
      value ? [[name, { whole: true, parts: [value satisfies Expression] }]] : [],
    ),
  );

/** Asks a request as the page opens, whenever what it follows changes, and again and again. */
function askByItself({ name, asker, request }: Asked, { runtime, asItLeads }: Around): void {
  const { every } = request;
  if (every === undefined) return;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let turn = 0;
  /** Something that it cannot be asked without is not there yet. */
  let isLacking = false;
  const ask = async () => {
    clearTimeout(timer);
    const mine = ++turn;
    // Of windows that are linked one asks and tells the others.
    if (follows() || isLacking) return;
    const came = await asker.ask(undefined);
    if (came?.sentence) tellProblem(`${name}: ${came.sentence}`);
    if (every > 0 && mine === turn) timer = setTimeout(() => void ask(), every * 1000);
  };
  let before: string | undefined;
  runtime.bindAll(templatesOf(request), (values) => {
    const now = JSON.stringify([...values]);
    isLacking = request.parameters.some(
      ({ name: each, required }) => required && (values.get(each) ?? '') === '',
    );
    // Once what happens at the same time has happened.
    if (now !== before) setTimeout(() => void ask());
    before = now;
  });
  asItLeads(() => void ask());
}

/** Joins a table with the service that its rows lie behind. */
function behind(
  { name, columns }: Pick<ProgramVariable, 'name' | 'columns'>,
  remote: RemoteTable,
  asked: ReadonlyMap<string, Asked>,
  { runtime, say }: Around,
): void {
  const list = asked.get(remote.list);
  const key = keyOf(columns);
  if (!list || key === undefined) {
    tellProblem(
      `\`${name}\` has ${list ? 'no key column' : 'no request that lists its rows'}; its rows stay on the page.`,
    );
    return;
  }
  const of = (action: RowAction) => asked.get(remote[action] ?? '');
  let settled: ReturnType<typeof setTimeout> | undefined;
  let waiting: (() => void)[] = [];
  const rows = new RemoteRows(key, {
    read: () => runtime.read(name) as readonly Record<string, unknown>[],
    hold: (now) => void runtime.take(name, now),
    asks: (action) => of(action) !== undefined,
    ask: (action, row, before) => {
      const { asker, request } = of(action)!;
      return asker.ask(givenFor(request, row, before));
    },
    listAgain: () => void list.asker.ask(undefined),
    tell: (sentence) => {
      tellProblem(`${name}: ${sentence}`);
      say(forPeople(sentence));
    },
    settle: (then) => {
      waiting.push(then);
      clearTimeout(settled);
      settled = setTimeout(() => {
        const all = waiting;
        waiting = [];
        for (const each of all) each();
      }, settling);
    },
  });
  let before: unknown;
  runtime.watch(remote.list, (value) => {
    const { state, result } = value as unknown as Answer;
    if (state !== 'done' || result === before) return;
    before = result;
    rows.listed(result);
  });
  // What a person changes is sent by the window in which they did.
  runtime.watch(name, () => (trial?.hears() ? rows.heard() : rows.changed()));
}

/** What a request is given for a row: its values by the names of parameters; of a PATCH only those that changed (RFC 5789 §2). */
function givenFor(
  { method, parameters }: ProgramRequest,
  row: Readonly<Record<string, unknown>>,
  before: Readonly<Record<string, unknown>> | undefined,
): Record<string, unknown> {
  const isSent = (place: string, name: string) =>
    Object.hasOwn(row, name) &&
    !(
      method === 'PATCH' &&
      place === 'field' &&
      before &&
      JSON.stringify(before[name]) === JSON.stringify(row[name])
    );
  return Object.fromEntries(
    parameters.flatMap(({ in: place, name }) =>
      place === 'body' ? [[name, row]] : isSent(place, name) ? [[name, row[name]]] : [],
    ),
  );
}
