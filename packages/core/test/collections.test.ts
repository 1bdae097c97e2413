/** Collections, and the steps of their entities: applied, taken back, on top of what others did. */
import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { collectionFault, collectionNamed, collections, entitiesOf } from '../src/collections/catalogue.ts';
import { withDelta } from '../src/document/delta.ts';
import {
  addCollection,
  applyStep,
  applySteps,
  type Band,
  changing,
  deltaOf,
  dropping,
  mapStep,
  mergeAll,
  type Project,
  printFolder,
  projectFormat,
  projectProblem,
  putting,
  readFolder,
  renamingOf,
  type StateVariable,
  type Step,
  stepProblem,
} from '../src/index.ts';
import { expectationOf, isExpected } from '../src/steps/expectation.ts';
import { named, projectOf } from './documents.ts';
import { type Note, notes } from './notes-collection.ts';

const done = (project: Project, ...steps: Step[]): Project => {
  const applied = applySteps(project, steps);
  if (!applied.ok) throw new Error(applied.reason);
  const back = applySteps(applied.project, applied.inverse);
  expect(back.ok && back.project, 'taken back').toEqual(project);
  return applied.project;
};
const reason = (project: Project, ...steps: Step[]): string | undefined => {
  const applied = applySteps(project, steps);
  return applied.ok ? undefined : applied.reason;
};
const base = projectOf(
  '<screen name="A" lap.padding="8"><text name="t" text="{guests + 1}" /><textField name="f" value.bind="name" /></screen>',
);
const late: StateVariable = { name: 'overdue', type: 'boolean', initial: false };
const names = (project: Project) => project.state.map(({ name }) => name);

describe('a collection that is added', () => {
  let takeAway: () => void;
  beforeEach(() => {
    takeAway = addCollection(notes);
  });
  afterEach(() => takeAway());
  const listOf = (project: Project) => entitiesOf(project, collectionNamed('notes')!) as readonly Note[];
  const tea: Note = { name: 'tea', words: 'At four', about: 'guests' };

  it('has steps, is printed and read, kept alike, checked and handed over, without any other line', async () => {
    const two = done(base, putting('notes', tea), {
      type: 'put',
      of: 'notes',
      entity: { name: 'a', words: 'b' },
      before: 'tea',
    });
    expect(listOf(two).map(({ name }) => name)).toEqual(['a', 'tea']);
    const changed = done(
      two,
      ...changing('notes', tea, { ...tea, words: 'At five' }),
      { type: 'order', of: 'notes', key: 'a', before: null },
      { type: 'rename', of: 'notes', key: 'a', to: 'bread' },
    );
    expect(listOf(changed)).toEqual([
      { ...tea, words: 'At five' },
      { name: 'bread', words: 'b' },
    ]);
    expect(projectProblem(changed)).toBeUndefined();
    const files = printFolder(changed);
    expect(files.get('project.json')).toContain('"words": "At five"');
    const read = readFolder(files, () => `n${Math.random()}`.replace('.', ''));
    expect(read.ok && listOf(read.project)).toEqual(listOf(changed));
    expect(printFolder((read as { project: Project }).project)).toEqual(files);
    const sent = structuredClone(deltaOf(base, changed));
    expect(withDelta(base, sent)).toEqual(changed);
    expect(withDelta(changed, structuredClone(deltaOf(changed, base)))).toEqual(base);
    expect(listOf(done(changed, dropping('notes', listOf(changed)[0]!)))).toHaveLength(1);
  });

  it('is refused where it is not what it should be, with the place', () => {
    const broken = { ...base, notes: [tea, { name: 'b' }] };
    expect(projectProblem(broken)).toBe('notes[1].words: A note has no words.');
    expect(stepProblem(base, putting('notes', { name: 'a', words: 'b', color: 'red' }))).toContain(
      'has no `color`',
    );
    expect(
      stepProblem(base, { type: 'change', of: 'notes', key: 'a', fields: { color: { to: 1 } } }),
    ).toContain('`color`');
    const text = printFolder({ ...base, notes: [tea] } as Project).get('project.json')!;
    const read = readFolder(
      new Map([
        ['project.json', text.replace('"At four"', '4')],
        ['A.screen.xml', '<screen />'],
      ]),
      () => 'x',
    );
    const line = text.split('\n').findIndex((each) => each.includes('"words"')) + 1;
    expect(read).toMatchObject({
      ok: false,
      problems: [{ file: 'project.json', line, message: 'notes[0].words: A note has no words.' }],
    });
  });

  it('is not known any more when it is taken away', () => {
    takeAway();
    expect(collectionNamed('notes')).toBeUndefined();
    expect(stepProblem(base, putting('notes', tea))).toBe('A project has no `notes`.');
    takeAway = () => undefined;
  });
});

describe('steps of entities', () => {
  it('carry the entity that they are about and nothing else, however many there are', () => {
    const state = Array.from({ length: 1000 }, (_, index) => ({ ...late, name: `v${index}` }));
    const project = { ...base, state };
    const steps: Step[] = [
      putting('state', late),
      ...changing('state', state[5]!, { ...state[5]!, kept: true }),
      dropping('state', state[9]!),
      { type: 'order', of: 'state', key: 'v3', before: 'v1' },
      { type: 'rename', of: 'state', key: 'v4', to: 'fourth' },
    ];
    for (const step of steps) {
      const applied = applyStep(project, step);
      if (!applied.ok) throw new Error(applied.reason);
      expect(JSON.stringify([step, applied.inverse]).length).toBeLessThan(500);
    }
  });

  it('of two people on one base both hold: additions, and other fields of one', () => {
    const one = putting('state', late);
    const other = putting('state', { ...late, name: 'soup' });
    expect(names(done(base, one, other))).toEqual([...names(base), 'overdue', 'soup']);
    const guests = base.state[0]!;
    const both = done(
      base,
      ...changing('state', guests, { ...guests, kept: true }),
      ...changing('state', guests, { ...guests, initial: 9 }),
    );
    expect(both.state[0]).toEqual({ ...guests, kept: true, initial: 9 });
  });

  it('that come too late are refused, with the name', () => {
    const guests = base.state[0]!;
    const [first] = changing('state', guests, { ...guests, initial: 9 });
    const [second] = changing('state', guests, { ...guests, initial: 5 });
    expect(reason(base, first!, second!)).toBe('`initial` of `guests` has another value meanwhile.');
    expect(reason(base, first!, dropping('state', guests))).toBe(
      'The state variable `guests` has changed meanwhile.',
    );
    expect(reason(base, dropping('state', guests), first!)).toBe(
      'There is no state variable `guests` any more.',
    );
    expect(reason(base, putting('state', late), putting('state', late))).toBe(
      'There is already a state variable `overdue`.',
    );
    const order: Step = { type: 'order', of: 'state', key: 'late', before: 'guests', was: 'name' };
    expect(reason(base, order)).toContain('stands elsewhere meanwhile');
    expect(reason(base, { type: 'rename', of: 'state', key: 'late', to: 'name' })).toBe(
      'There is already a state variable `name`.',
    );
    expect(reason(base, { type: 'order', of: 'bands', key: 'lap', before: null })).toContain(
      'follows from what they say',
    );
  });

  it('take no band away that something hangs on, so that the document can always be printed', () => {
    const lap = base.bands.find(({ name }) => name === 'lap')!;
    const drop = dropping('bands', lap);
    expect(reason(base, drop)).toBe('The band `lap` is used meanwhile: `lap.padding` of A on A.');
    const bare = done(
      base,
      { type: 'set', control: base.screens[0]!.id, property: 'lap.padding', value: null },
      drop,
    );
    expect(bare.bands.map(({ name }) => name)).toEqual(['hand', 'desk', 'wall']);
    const only = { ...bare, bands: bare.bands.slice(0, 1) };
    expect(reason(only, dropping('bands', only.bands[0]!))).toBe('A project has at least one band.');
  });

  it('keep bands in the order of their widths', () => {
    const band: Band = { name: 'pad', label: 'Pad', from: 700 };
    const added = done(base, putting('bands', band));
    expect(added.bands.map(({ name }) => name)).toEqual(['hand', 'lap', 'pad', 'desk', 'wall']);
    const moved = done(added, ...changing('bands', band, { ...band, from: 2000 }));
    expect(moved.bands.at(-1)!.name).toBe('pad');
  });

  it('are joined in a run of typing, and taken back as one', () => {
    const guests = base.state[0]!;
    const [one] = changing('state', guests, { ...guests, initial: 1 });
    const after = done(base, one!);
    const [two] = changing('state', after.state[0]!, { ...after.state[0]!, initial: 12, kept: true });
    const merged = mergeAll([one!, two!]);
    expect(merged).toHaveLength(1);
    expect(done(base, ...merged).state[0]).toMatchObject({ initial: 12, kept: true });
  });
});

describe('renaming an entity', () => {
  it('is on top of what others wrote meanwhile, and others’ writing on top of it', () => {
    const rename: Step = { type: 'rename', of: 'state', key: 'guests', to: 'people' };
    const text = named(base, 't').id;
    const written: Step = { type: 'set', control: text, property: 'text', value: '{guests * 2} of {name}' };
    const insert: Step = {
      type: 'insert',
      parent: base.screens[0]!.id,
      index: 0,
      control: {
        id: 'new',
        kind: 'text',
        props: { text: { draft: '{guests +', good: '{guests}' } },
        children: [],
      },
    };
    const guests = base.state[0]!;
    const steps = [written, insert, ...changing('state', guests, { ...guests, kept: true })];
    // The order of the two makes no difference.
    const first = done(done(base, ...steps), rename);
    const renamed = done(base, rename);
    const mapped = steps.map((step) => mapStep(renamed, step, renamingOf(rename)!));
    const second = done(renamed, ...mapped);
    expect(second).toEqual(first);
    expect(named(second, 't').props.text).toBe('{people * 2} of {name}');
    expect(second.screens[0]!.children[0]!.props.text).toEqual({ draft: '{guests +', good: '{people}' });
  });

  it('is taken back exactly, names that pointed nowhere included', () => {
    const odd = done(base, {
      type: 'set',
      control: named(base, 't').id,
      property: 'text',
      value: '{[guests, people].map(x => ({ guests, x }))}',
    });
    done(odd, { type: 'rename', of: 'state', key: 'guests', to: 'people' });
  });

  it('follows a band into the changes that hang on it, and a screen into what leads there', () => {
    const renamed = done(base, { type: 'rename', of: 'bands', key: 'lap', to: 'pad' });
    expect(renamed.screens[0]!.props).toEqual({ 'pad.padding': '8' });
    const two = {
      ...projectOf(
        '<screen name="A"><link name="l" to="B" /><nav name="n" options="A | B" /></screen>',
        '<screen name="B" />',
      ),
      start: 'B',
    };
    const other = done(two, { type: 'rename', of: 'screens', key: 'B', to: 'Late' });
    expect([other.start, named(other, 'l').props.to, named(other, 'n').props.options]).toEqual([
      'Late',
      'Late',
      'A | Late: B',
    ]);
  });
});

it('an expectation is short, and tells values apart', () => {
  const value = fc.jsonValue();
  fc.assert(
    fc.property(value, value, (one, other) => {
      expect(expectationOf(one).length).toBeLessThanOrEqual(120);
      expect(isExpected(expectationOf(one), JSON.parse(JSON.stringify(one)))).toBe(true);
      const isAlike = expectationOf(one) === expectationOf(other);
      // -0 is 0 in JSON.
      expect(isAlike).toBe(JSON.stringify(sorted(one)) === JSON.stringify(sorted(other)));
    }),
    { numRuns: 500 },
  );
  expect(isExpected(expectationOf({ a: 1, b: 'x'.repeat(200) }), { b: 'x'.repeat(200), a: 1 })).toBe(true);
  expect(isExpected(undefined, 7)).toBe(true);
});

const sorted = (value: unknown): unknown =>
  typeof value !== 'object' || value === null
    ? value
    : Array.isArray(value)
      ? value.map(sorted)
      : Object.fromEntries(
          Object.entries(value)
            .toSorted(([a], [b]) => (a < b ? -1 : 1))
            .map(([key, inner]) => [key, sorted(inner)]),
        );

it('an empty entity of each collection is a right one', () => {
  for (const collection of collections()) {
    const entity = collection.empty(collection.id === 'bands' ? 'pad' : 'one');
    expect(collectionFault(collection, [entity], base), collection.id).toBeUndefined();
    expect(collection.keyOf(collection.rekeyed(entity, 'two'))).toBe('two');
  }
  expect(projectFormat).toBe(2);
});
