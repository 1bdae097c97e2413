import { describe, expect, it, vi } from 'vitest';
import { programOf } from '../src/export/program.ts';
import {
  applySteps,
  checkComputed,
  type Project,
  parseStatements,
  parseTemplate,
  renameState,
} from '../src/index.ts';
import { Runtime, type Trace, toldTrace } from '../src/runtime/index.ts';
import { noActing, projectOf } from './documents.ts';

/** The application's own code, as a test gives it. */
type Handlers = Readonly<Record<string, (...values: readonly unknown[]) => unknown>>;

function start(handlers: Handlers = {}) {
  const went: string[] = [];
  const said: string[] = [];
  const traces: Trace[] = [];
  const problems: string[] = [];
  const { state, screens } = programOf(projectOf('<screen name="s" />'));
  const runtime = new Runtime(
    { state: [...state, { name: 'items', type: 'list', initial: [] }], screens },
    {
      acting: {
        ...noActing,
        go: (screen) => void went.push(screen),
        back: () => void went.push('back'),
        message: (text) => void said.push(text),
      },
      handler: (name) => (name === 'ring' ? (times) => said.push(`ring ${times}`) : handlers[name]),
      problem: (message) => problems.push(message),
      traced: (trace) => traces.push(trace),
    },
  );
  const run = (text: string) => {
    const parsed = parseStatements(text);
    if (!parsed.ok) throw new Error(parsed.problem.message);
    runtime.run(parsed.value, undefined, { control: 'c', event: 'press' });
  };
  const follow = (text: string) => {
    const parsed = parseTemplate(text);
    if (!parsed.ok) throw new Error(parsed.problem.message);
    const seen: unknown[] = [];
    const dispose = runtime.bind(parsed.value, (value) => seen.push(value), undefined, text);
    return { seen, dispose };
  };
  return { runtime, run, follow, went, said, traces, problems };
}

describe('events', () => {
  const rows = [
    { guest: 'Ilka', late: true },
    { guest: 'Tomas', late: false },
  ];

  it('add, change and remove rows, and assign inside records and lists', () => {
    const { run, runtime, problems } = start();
    const list = () => runtime.read('items');
    run(`items = ${JSON.stringify(rows)}`);
    run('add(items, { guest: "Runa", late: false })');
    run('for (const row of items) if (row.late) change(items, row, { late: false, note: "called" })');
    expect(list()).toEqual([
      { guest: 'Ilka', late: false, note: 'called' },
      { guest: 'Tomas', late: false },
      { guest: 'Runa', late: false },
    ]);
    run(
      'remove(items, items.find(row => row.guest == "Tomas")); items[0].note += " twice"; items[1].late = true',
    );
    expect(list()).toEqual([
      { guest: 'Ilka', late: false, note: 'called twice' },
      { guest: 'Runa', late: true },
    ]);
    run('items[7].late = true');
    run('name.of = 1');
    expect(list()).toHaveLength(2);
    expect(problems).toHaveLength(2);
  });

  it('put rows at a place, and those that are there already into another order', () => {
    const { run, runtime } = start();
    const order = (text: string) => {
      run(`items = [1, 2, 3, 4]; ${text}`);
      return (runtime.read('items') as number[]).join('');
    };
    expect(order('place(items, 9, 1)')).toBe('19234');
    expect(order('place(items, 1, 3)')).toBe('2314');
    expect(order('place(items, 4, 0)')).toBe('4123');
    expect(order('place(items, 2, 2)')).toBe('1234');
    expect(order('place(items, 2, 99)')).toBe('1342');
    expect(order('place(items, 3, -5)')).toBe('3124');
  });

  it('stop where they say so, out of loops too', () => {
    const { run, runtime } = start();
    run('for (const n of [1, 2, 3, 4]) { if (n == 3) return; guests += n } guests = 0');
    expect(runtime.read('guests')).toBe(6);
  });

  it('put back what was there at the beginning, and turn a yes into a no', () => {
    const { run, runtime } = start();
    run('guests = 40; name = "Runa"; toggle(late)');
    expect([runtime.read('guests'), runtime.read('late')]).toEqual([40, true]);
    run('reset(guests, name); toggle(late)');
    expect([runtime.read('guests'), runtime.read('name'), runtime.read('late')]).toEqual([3, 'Ilka', false]);
  });

  it('end a loop in a loop that would go on for hours', () => {
    const { run, runtime, problems } = start();
    run('items = "x".repeat(2000).split(""); for (const a of items) for (const b of items) guests += 1');
    expect(problems).toEqual(['This was left out: with all else here it takes too long, or too much room.']);
    expect(runtime.read('guests')).toBeLessThan(10_010);
  });

  it('wait, and go on with what holds then', async () => {
    vi.useFakeTimers();
    const { run, runtime, traces } = start();
    run('for (const n of [1, 2]) { wait(2); guests += n } name = "done"');
    run('guests = 10');
    await vi.advanceTimersByTimeAsync(2500);
    expect(runtime.read('guests')).toBe(11);
    await vi.advanceTimersByTimeAsync(2000);
    expect([runtime.read('guests'), runtime.read('name')]).toEqual([13, 'done']);
    expect(traces).toHaveLength(4);
    vi.useRealTimers();
  });

  it('are traced in the order in which all of it happened', () => {
    const { run, follow, traces } = start();
    follow('{guests}');
    run('guests += 1; go("s"); nobody = 1; late = true');
    expect(traces[0]!.order).toEqual(['changes', 'did', 'problems', 'changes', 'reran']);
    const told = toldTrace({ ...traces[0]!, order: Array.from({ length: 80 }, () => 'reran') });
    expect(told.order).toHaveLength(50);
  });

  it('call the application’s own code, and say where there is none yet', () => {
    const { run, said, traces, problems } = start();
    run('handlers.ring(2); handlers.print("list"); guests += 1');
    expect(said).toEqual(['ring 2']);
    expect(traces[0]!.did.map(({ action }) => action)).toEqual([
      'handlers.ring',
      '(not there yet) handlers.print',
    ]);
    expect(traces[0]!.changes).toHaveLength(1);
    expect(problems).toEqual([]);
  });

  it('keep what the application’s own code gives, and go on when it has come', async () => {
    let quoted = (_: number) => {};
    const { run, runtime, said, problems } = start({
      twice: (count) => Number(count) * 2,
      quote: () => new Promise<number>((resolve) => (quoted = resolve)),
    });
    run(
      'guests = handlers.twice(4); items = [{ cost: 1 }]; items[0].cost = handlers.quote(guests); message("it is " + items[0].cost)',
    );
    expect(runtime.read('guests')).toBe(8);
    expect(said).toEqual([]);
    // What happens meanwhile stays.
    run('add(items, { cost: 2 })');
    quoted(174);
    await vi.waitFor(() => expect(said).toEqual(['it is 174']));
    expect(runtime.read('items')).toEqual([{ cost: 174 }, { cost: 2 }]);
    expect(problems).toEqual([]);
  });

  it('say what own code throws, refuses or gives that does not fit, and leave the rest out', async () => {
    const { run, runtime, said, problems } = start({
      fails: () => {
        throw new Error('no line');
      },
      refuses: () => Promise.reject(new Error('not signed in')),
      words: () => 'many',
    });
    run('handlers.fails(); message("after")');
    expect(problems).toEqual(['`handlers.fails`: no line']);
    run('guests = handlers.refuses(); message("after")');
    await vi.waitFor(() => expect(problems).toHaveLength(2));
    expect(problems[1]).toBe('`handlers.refuses`: not signed in');
    expect(said).toEqual([]);
    run('guests = handlers.words()');
    expect(problems[2]).toBe('`guests` is a number; "many" cannot be assigned to it.');
    expect(runtime.read('guests')).toBe(3);
    // A call of it is no value inside an expression: what comes may come late.
    expect(parseStatements('guests = 1 + handlers.words()').ok).toBe(false);
  });
});

describe('the runtime', () => {
  it('re-runs only what depends on what was assigned', () => {
    const { run, follow } = start();
    const guests = follow('{guests} guests');
    const name = follow('Hello {name}');
    run('guests = guests + 1');
    run('guests = guests');
    expect(guests.seen).toEqual(['3 guests', '4 guests']);
    expect(name.seen).toEqual(['Hello Ilka']);
  });

  it('applies all assignments of an event together, in order', () => {
    const { run, follow, went } = start();
    const both = follow('{guests}/{name}');
    run('guests += 2; name = name + "!"; if (guests > 4) { go("Tonight") } else { go("Arrivals") }');
    expect(both.seen).toEqual(['3/Ilka', '5/Ilka!']);
    expect(went).toEqual(['Tonight']);
  });

  it('keeps types: a number takes numeric text, anything else is reported and refused', () => {
    const { runtime, run, problems } = start();
    run('guests = "7"');
    expect(runtime.read('guests')).toBe(7);
    run('guests = "many"');
    run('late = "yes"');
    expect([runtime.read('guests'), runtime.read('late')]).toEqual([7, false]);
    expect(problems).toEqual([
      '`guests` is a number; "many" cannot be assigned to it.',
      '`late` is a boolean; "yes" cannot be assigned to it.',
    ]);
  });

  it('reports an expression that fails; the others go on', () => {
    const { run, follow, problems } = start();
    const bad = follow('{name.missing.deeper + guests}');
    const good = follow('{guests}');
    run('guests = 9');
    expect(bad.seen).toEqual([]);
    expect(good.seen).toEqual([3, 9]);
    expect(problems[0]).toMatch(/`deeper` cannot be read/);
  });

  it('begins anew with rows that have come, unless it was changed meanwhile', () => {
    const { runtime, run, follow } = start();
    const { seen } = follow('{items.length} {guests}');
    runtime.begin('items', [{ guest: 'Ilka' }]);
    run('guests = 4');
    runtime.begin('guests', 9);
    expect(runtime.read('items')).toEqual([{ guest: 'Ilka' }]);
    expect(runtime.read('guests')).toBe(4);
    run('reset(guests)');
    expect(runtime.read('guests')).toBe(9);
    runtime.begin('nowhere', 1);
    expect(seen).toEqual(['0 3', '1 3', '1 4', '1 9']);
  });

  it('stops following when told to', () => {
    const { run, follow } = start();
    const { seen, dispose } = follow('{guests}');
    dispose();
    run('guests = 1');
    expect(seen).toEqual([3]);
  });
});

describe('a variable that follows others', () => {
  const project = {
    ...projectOf('<screen name="s" />'),
    state: [
      { name: 'bunks', type: 'number', initial: 46 },
      { name: 'guests', type: 'list', initial: [{ name: 'Ilka' }, { name: 'Tomas' }], kept: true },
      { name: 'free', type: 'number', initial: 0, computed: 'bunks - guests.length' },
      { name: 'full', type: 'boolean', initial: false, computed: 'free <= 0' },
      { name: 'a', type: 'number', initial: 1, computed: 'b + 1' },
      { name: 'b', type: 'number', initial: 2, computed: 'a' },
    ],
  } as const satisfies Project;
  const kept = new Map<string, unknown>();
  const begin = () => {
    const problems: string[] = [];
    const runtime = new Runtime(programOf(project), {
      acting: noActing,
      problem: (message) => problems.push(message),
      kept: (name) => kept.get(name),
      keep: (name, value) => void kept.set(name, value),
    });
    return { runtime, problems };
  };

  it('is worked out anew when one of them changes, and cannot be set', () => {
    const { runtime, problems } = begin();
    const seen: unknown[] = [];
    runtime.watch('full', (value) => seen.push(value));
    expect(runtime.read('free')).toBe(44);
    runtime.assign('bunks', 2);
    expect([runtime.read('free'), ...seen]).toEqual([0, false, true]);
    expect(runtime.assign('free', 7)).toBe(false);
    expect(problems).toEqual(['`free` follows other values; nothing can be assigned to it.']);
  });

  it('keeps what is to be kept for the next time, as long as it fits', () => {
    const { runtime } = begin();
    runtime.assign('guests', [{ name: 'Noor' }]);
    runtime.assign('bunks', 10);
    expect([...kept]).toEqual([['guests', [{ name: 'Noor' }]]]);
    expect(begin().runtime.read('free')).toBe(45);
    kept.set('guests', 'not a list any more');
    expect(begin().runtime.read('free')).toBe(44);
  });

  it('is never worked out from itself: it keeps its start, and the checks say why', () => {
    expect(begin().runtime.read('a')).toBe(1);
    const checked = checkComputed(project.state[4], project.state);
    expect(!checked.ok && checked.problem.message).toBe(
      'It is never worked out, since `a` needs `b` needs `a`.',
    );
    const gone = checkComputed({ ...project.state[2], computed: 'bunk - 1' }, project.state);
    expect(!gone.ok && gone.problem.message).toContain('There is no state variable `bunk`. Did you mean');
  });

  it('follows when another one is renamed', () => {
    const applied = applySteps(project, renameState('bunks', 'beds'));
    expect(applied.ok && applied.project.state[2]).toMatchObject({ computed: 'beds - guests.length' });
  });
});

describe('a trace', () => {
  it('says what an event changed, did, and set off', () => {
    const { run, follow, traces, said } = start();
    follow('{guests} guests');
    follow('Hello {name}');
    run('guests += 1; message("In: " + guests)');
    run('late = 3');
    expect(said).toEqual(['In: 4']);
    expect(traces).toMatchObject([
      {
        control: 'c',
        event: 'press',
        changes: [{ name: 'guests', before: 3, after: 4 }],
        did: [{ action: 'message', given: ['In: 4'] }],
        reran: ['{guests} guests'],
        problems: [],
      },
      { changes: [], problems: ['`late` is a boolean; 3 cannot be assigned to it.'] },
    ]);
  });

  it('counts no binding that does not depend on what was set, of a thousand', () => {
    const { run, follow, traces } = start();
    for (let index = 0; index < 1000; index++)
      follow(index % 2 === 0 ? `{guests} ${index}` : `{name} ${index}`);
    run('guests += 1');
    expect(traces[0]!.reran).toHaveLength(500);
    run('guests = guests');
    expect(traces[1]!.reran).toHaveLength(0);
  });
});
