/** Requests as values of a project: what events ask, what expressions read, names that change, and what is wrong with them. */
import { describe, expect, it } from 'vitest';
import {
  applySteps,
  asBegun,
  attributeProblems,
  calledOrigins,
  type DataSource,
  exporterNamed,
  followedAtStart,
  idleAnswer,
  inSample,
  messageOf,
  type Project,
  parseStatements,
  problemsOf,
  projectProblem,
  type Request,
  readCards,
  remoteGuess,
  renameState,
  type StateVariable,
  sentenceOf,
} from '../src/index.ts';
import { askedBy } from '../src/requests/index.ts';
import { addStatements, Runtime } from '../src/runtime/index.ts';
import { named, noActing, noCode, noPieces, projectWith } from './documents.ts';

const office: DataSource = { name: 'office', base: 'https://office.example/api/' };
const row = { guest: 'Ilka Sorrel', people: 2 };
const listing: Request = {
  source: 'office',
  method: 'GET',
  path: 'reservations',
  at: 'items',
  parameters: [{ name: 'day', in: 'query', type: 'date', value: 'wanted' }],
  shape: {
    type: 'object',
    properties: {
      items: {
        type: 'array',
        items: { type: 'object', properties: { guest: { type: 'string' }, people: { type: 'integer' } } },
      },
    },
  },
};
const asked = (name: string, request: Partial<Request> = {}, result: unknown = null): StateVariable => ({
  name,
  type: 'record',
  initial: { ...idleAnswer, state: 'done', result },
  request: { ...listing, ...request },
});
const wanted: StateVariable = { name: 'wanted', type: 'date', initial: '' };
const state = [
  wanted,
  asked('reservations', {}, [row]),
  asked('addOne', {
    method: 'POST',
    at: undefined as never,
    parameters: [{ name: 'guest', in: 'field', type: 'text', required: true }],
  }),
];
const projectOf = (event: string, more: readonly StateVariable[] = []): Project => ({
  ...projectWith(
    [...state, ...more],
    `<screen name="A"><button name="ask" text="Ask" on.press="${event}" /><text name="t" text="{reservations.result[0].guest} {reservations.state}" /></screen>`,
  ),
  sources: [office],
});
const problemOf = (event: string): string | undefined => {
  try {
    const project = projectOf(event);
    return attributeProblems(project, named(project, 'ask'))[0]?.message;
  } catch (error) {
    return messageOf(error);
  }
};

describe('an event asks', () => {
  it.each([
    'ask(reservations)',
    'ask(reservations, { day: wanted })',
    "ask(addOne, { guest: 'Ilka' }); more(reservations); cancel(reservations)",
    'const given = { guest: 1 }; ask(addOne, given)',
    'ask(addOne, { ...reservations.result[0] })',
  ])('by %s', (event) => {
    expect(problemOf(event)).toBeUndefined();
  });

  it.each([
    ['ask(wanted)', '`ask` takes a request; `wanted` is a date.'],
    ['ask(reservations, { days: wanted })', 'no parameter `days`. Did you mean `day`?'],
    ['ask(addOne)', '`addOne` needs `guest`'],
    ['ask(addOne, { guest: 1 }, 2)', '`ask` takes the name of a request'],
    ["ask('addOne')", '`ask` takes the name of a request'],
    ['more(reservations, 1)', '`more` takes the name of a request'],
    ['reservations = {}', '`reservations` holds what its service answers'],
    ['reservations.state = 1', '`reservations` holds what its service answers'],
    ['ask(reservation)', 'There is no state variable `reservation`. Did you mean `reservations`?'],
    ['wanted = reservations.result[0].gest', '`reservations` has no column `gest`. Did you mean `guest`?'],
  ])('not by %s', (event, sentence) => {
    expect(problemOf(event)).toContain(sentence);
  });

  it('and a list behind a service is changed row by row, since what is gone from it is removed there', () => {
    const stays: StateVariable = {
      name: 'stays',
      type: 'list',
      initial: [row],
      remote: { list: 'reservations' },
    };
    const said = (event: string) => {
      try {
        projectOf(event, [stays]);
        return '';
      } catch (error) {
        return messageOf(error);
      }
    };
    for (const event of [
      'stays = []',
      'reset(wanted, stays)',
      'if (wanted) { stays = [] }',
      'stays = handlers.all()',
      'go(`A`, { stays: [] })',
    ])
      expect(said(event)).toContain('The rows of `stays` lie behind a service');
    for (const event of ['remove(stays, stays[0])', 'add(stays, {})', 'stays[0].guest = 1'])
      expect(said(event)).toBe('');
    const ofScreen = { ...projectOf('ask(reservations)'), state: [...state, { ...stays, screen: 'A' }] };
    expect(projectProblem(ofScreen)).toContain('belongs to all screens');
  });

  it('reads as a card', () => {
    const text = 'wrong = ask(addOne, { guest }); more(reservations)';
    expect(readCards(text)!.cards.map((card) => sentenceOf(text, card))).toEqual([
      'Set wrong to ask(addOne, { guest })',
      'More of reservations',
    ]);
    const [card] = readCards('ask(addOne)')!.cards;
    expect(card!.more).toEqual({ label: 'Give values', at: 10, text: ', {}' });
  });
});

describe('an event that waits for its answer', () => {
  const run = async (event: string, answer: string | undefined) => {
    const told: string[] = [];
    const given: unknown[] = [];
    const held = (name: string) => ({ name, type: 'text', initial: '' }) as const;
    const runtime = new Runtime(
      { state: [held('wrong'), held('after'), { name: 'addOne', type: 'record', initial: {} }], screens: [] },
      {
        acting: {
          ...noActing,
          message: (text) => void told.push(text),
          setSecret: (...secret) => given.push(secret),
        },
        problem: (text) => told.push(text),
        traced: ({ did }) => told.push(JSON.stringify(did)),
      },
    );
    addStatements({
      ask: askedBy(async (...what) => {
        given.push(what);
        return answer;
      }),
    });
    const read = parseStatements(event);
    if (!read.ok) throw new Error(read.problem.message);
    runtime.run(read.value, undefined, { control: 'ask', event: 'press' });
    await new Promise((resolve) => setTimeout(resolve));
    return { told, given, wrong: runtime.read('wrong'), after: runtime.read('after') };
  };

  it('goes on with what went well', async () => {
    const done = await run("ask(addOne, { guest: 'Ilka' }); after = 'on'", '');
    expect(done).toMatchObject({ given: [['ask', 'addOne', { guest: 'Ilka' }]], after: 'on', wrong: '' });
  });

  it('ends with what went wrong, which the person is told, unless it reads that itself', async () => {
    const ended = await run("ask(addOne); after = 'on'", '`guest` is needed.');
    expect(ended.after).toBe('');
    expect(ended.told).toContain('guest is needed.');
    const read = await run("wrong = ask(addOne); after = 'on'", 'Full.');
    expect(read).toMatchObject({ wrong: 'Full.', after: 'on' });
    expect(read.told).not.toContain('Full.');
    expect(await run("wrong = ask(addOne); after = 'on'", '')).toMatchObject({ wrong: '', after: 'on' });
  });

  it('ends in silence where it was given up', async () => {
    const { told, after } = await run("ask(addOne); after = 'on'", undefined);
    expect([after, told.filter((text) => !text.startsWith('['))]).toEqual(['', []]);
  });

  it('gives a secret that no trace shows', async () => {
    const { told, given } = await run("setSecret('warden', '4621')", '');
    expect(given).toEqual([['warden', '4621']]);
    expect(told.join()).toContain('setSecret');
    expect(told.join()).not.toContain('4621');
  });
});

describe('names', () => {
  const renamed = (project: Project, from: string, to: string): Project => {
    const done = applySteps(project, renameState(from, to));
    if (!done.ok) throw new Error(done.reason);
    return done.project;
  };

  it('change everywhere: in what is asked, read, followed, and where rows lie', () => {
    const stays: StateVariable = {
      name: 'stays',
      type: 'list',
      initial: [],
      remote: { list: 'reservations', add: 'addOne' },
    };
    const project = projectOf('ask(reservations, { day: wanted })', [stays]);
    const now = renamed(renamed(project, 'reservations', 'bookings'), 'wanted', 'day');
    expect(named(now, 'ask').props['on.press']).toBe('ask(bookings, { day: day })');
    expect(named(now, 't').props.text).toBe('{bookings.result[0].guest} {bookings.state}');
    expect(now.state.find(({ name }) => name === 'stays')!.remote!.list).toBe('bookings');
    expect(now.state.find(({ name }) => name === 'bookings')!.request!.parameters![0]!.value).toBe('day');
    const source = applySteps(now, [{ type: 'rename', of: 'sources', key: 'office', to: 'valley' }]);
    expect(source.ok && source.project.state.flatMap(({ request }) => request?.source ?? [])).toEqual([
      'valley',
      'valley',
    ]);
  });
});

describe('what is wrong with requests', () => {
  it('is a problem of the project, at its variable', () => {
    const project: Project = {
      ...projectOf('ask(reservations)', [
        asked('lost', {
          source: 'ofice',
          parameters: [{ name: 'a', in: 'query', type: 'text', value: 'nobody' }],
        }),
        { name: 'stays', type: 'list', initial: [], remote: { list: 'wanted' } },
      ]),
    };
    const said = problemsOf(project)
      .filter(({ kind }) => kind === 'variable')
      .map(({ sentence }) => sentence);
    expect(said).toEqual([
      '`lost`: It asks `ofice`, which is no source of the project.',
      expect.stringContaining('There is no state variable `nobody`'),
      '`stays`: Its rows are listed by `wanted`, which is no request.',
      expect.stringContaining('No column of it is its key'),
    ]);
  });

  it('says which service only Hovrin plays', () => {
    const project = {
      ...projectOf('ask(reservations)'),
      sources: [{ name: 'office', base: 'stand-ins/office/x/' }],
    };
    const found = problemsOf(project).find(({ kind }) => kind === 'stand-in')!;
    expect(found.place).toEqual({ in: 'source', source: 'office' });
  });

  it.each([
    [{ method: 'FETCH' }, 'its method is none of'],
    [{ path: '../secrets' }, 'its path is'],
    [{ path: 'https://elsewhere.example/' }, 'its path is'],
    [{ path: 'r/{id}' }, 'its path has `{id}`, which is no parameter'],
    [{ parameters: [{ name: 'id', in: 'path', type: 'text' }] }, 'does not stand in its path'],
    [
      { parameters: [{ name: 'h', in: 'header', type: 'text', header: 'Cookie' }] },
      'no header that can be set',
    ],
    [{ headers: [{ name: 'X', value: 'a\r\nb' }] }, 'on one line'],
    [{ headers: [{ name: 'Authorization', value: 'x' }] }, 'is not set here'],
    [{ at: 'items[0]' }, 'no place'],
    [{ every: 0.01 }, 'asked once, or every'],
    [{ pages: { by: 'page' } }, 'which page it is has no name'],
    [{ secret: { name: 'no name', at: 'token' } }, 'has no name'],
    [{ shape: { type: 'date' } }, 'none of'],
  ])('and what no request may be is refused: %j', (part, sentence) => {
    const project = projectOf('ask(reservations)', [asked('lost', part as Partial<Request>)]);
    expect(projectProblem(project)).toContain(sentence);
  });

  it.each([
    [{ base: 'ftp://office.example/' }, 'its address begins with'],
    [{ base: 'https://office.example/{id}' }, 'its address begins with'],
    [{ timeout: 0 }, 'seconds to answer'],
    [{ retry: 1.5 }, 'asked again'],
    [{ auth: { as: 'cookie', secret: 'a' } }, 'none of bearer'],
    [{ auth: { as: 'bearer', secret: 'a b' } }, 'its secret has no name'],
    [{ key: 'x' }, 'has no `key`'],
  ])('nor may a service: %j', (part, sentence) => {
    const project = { ...projectOf('ask(reservations)'), sources: [{ ...office, ...part }] };
    expect(projectProblem(project)).toContain(sentence);
  });
});

describe('a page', () => {
  it('begins with nothing asked, and may call the service; in Try its stand-in', () => {
    const project: Project = {
      ...projectOf('ask(reservations)', [
        { name: 'stays', type: 'list', initial: [row], remote: { list: 'reservations' } },
      ]),
      sources: [{ ...office, standIn: 'https://office-trial.example/' }],
    };
    const begun = asBegun(project).state;
    expect(begun.find(({ name }) => name === 'reservations')!.initial).toEqual(idleAnswer);
    expect(begun.find(({ name }) => name === 'stays')!.initial).toEqual([]);
    expect(calledOrigins(project, false)).toEqual(['https://office.example']);
    expect(calledOrigins(project, true)).toEqual(['https://office-trial.example']);
    const { files, own } = exporterNamed('html')!.files(project, {
      fonts: { files: [], standIns: [] },
      pieces: noPieces,
      compileCode: noCode,
      script: '',
    });
    expect(files.get('index.html')).toContain("connect-src 'self' https://office.example;");
    expect(JSON.parse(own.get('config.json')!)).toEqual({ sources: { office: {} } });
  });

  it.each([
    ['empty', { state: 'done', result: [] }],
    ['long', { state: 'done', result: [{ people: 2 }] }],
    ['slow', { state: 'waiting', result: null }],
    ['failing', { state: 'failed', error: 'The service does not answer.' }],
  ] as const)('is seen in a sample condition: %s', (condition, answer) => {
    const { state: now } = inSample(projectOf('ask(reservations)'), condition);
    expect(now.find(({ name }) => name === 'reservations')!.initial).toMatchObject(answer);
  });
});

describe('what a request follows', () => {
  it('is worked out as everything begins, as far as it can be', () => {
    const follows = (name: string, value: string) => ({ name, in: 'query', type: 'text', value }) as const;
    const request: Request = {
      ...listing,
      parameters: [
        follows('size', '4 * 2'),
        follows('first', 'reservations.result[0].guest'),
        follows('day', 'wanted'),
        follows('broken', 'nobody.at('),
        follows('missing', 'nobody'),
        { name: 'free', in: 'query', type: 'text' },
      ],
    };
    expect(followedAtStart(projectOf('ask(reservations)'), request)).toEqual({
      size: 8,
      first: 'Ilka Sorrel',
      day: '',
    });
  });
});

describe('a table behind a service', () => {
  it('is guessed from the requests there are', () => {
    const requests = [
      asked('all', { path: 'stays', parameters: [] }, [{ ...row, id: 4 }]),
      asked('put', {
        method: 'PUT',
        path: 'stays/{id}',
        parameters: [{ name: 'id', in: 'path', type: 'number' }],
      }),
      asked('post', { method: 'POST', path: 'stays', parameters: [] }),
      asked('other', { method: 'DELETE', path: 'guests/{id}', parameters: [] }),
    ];
    const shape = {
      type: 'array',
      items: { type: 'object', properties: { id: { type: 'integer' }, guest: { type: 'string' } } },
    } as const;
    const { at: _, ...whole } = { ...requests[0]!.request!, shape };
    const list = { ...requests[0]!, request: whole };
    expect(remoteGuess([list, ...requests.slice(1)], list)).toEqual({
      remote: { list: 'all', add: 'post', change: 'put' },
      columns: [
        { name: 'id', type: 'number', role: 'key' },
        { name: 'guest', type: 'text' },
      ],
      initial: [{ ...row, id: 4 }],
    });
  });
});
