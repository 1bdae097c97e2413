import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomScreen } from '../../../tests/parity/documents.ts';
import { locate } from '../src/document/tree.ts';
import { countOn, namedOn, placeOf } from '../src/document/whereabouts.ts';
import {
  applyStep,
  applySteps,
  attributeProblems,
  type Control,
  changing,
  defaultBands,
  dropping,
  emptyHistory,
  historyAfter,
  historyOf,
  inForce,
  type LogEntry,
  mergeAll,
  nameControl,
  type Project,
  projectFormat,
  projectProblem,
  putting,
  renameState,
  renameTree,
  type StateVariable,
  type Step,
  stepProblem,
  walk,
} from '../src/index.ts';
import { named, projectOf, testState } from './documents.ts';

const renumbered = (control: Control, prefix: string): Control => ({
  ...control,
  id: prefix + control.id,
  children: control.children.map((child) => renumbered(child, prefix)),
});

function randomProject(seed: number): Project {
  const screens = [0, 1].map((index) => ({
    ...renumbered(randomScreen(seed * 2 + index), `${index}`),
    name: `Screen${index}`,
  }));
  const state: readonly StateVariable[] = [
    ...testState,
    {
      name: 'parties',
      type: 'list',
      initial: parties,
      columns: [
        { name: 'guest', type: 'text' },
        { name: 'nights', type: 'number' },
      ],
    },
  ];
  return { format: projectFormat, name: 'Trial', bands: defaultBands, state, assets: [], screens };
}

/** A step that may or may not fit the project. */
function randomStep(project: Project): fc.Arbitrary<Step> {
  const ids = project.screens.flatMap((screen) => [...walk(screen)].map((control) => control.id));
  const id = fc.constantFrom(...ids, 'nowhere');
  const name = fc.constantFrom('title', 'line', 'page', 'class', '1st', 'trial');
  return fc.oneof(
    fc.record({ type: fc.constant('remove' as const), control: id }),
    fc.record({
      type: fc.constant('move' as const),
      control: id,
      parent: id,
      index: fc.integer({ min: -1, max: 6 }),
    }),
    fc.record({
      type: fc.constant('set' as const),
      control: id,
      property: fc.constantFrom('gap', 'text', 'width', 'lap.gap', 'nonsense'),
      value: fc.constantFrom('4', 'share', null),
    }),
    fc.record({ type: fc.constant('name' as const), control: id, name: fc.option(name) }),
    fc.record({
      type: fc.constant('insert' as const),
      parent: id,
      index: fc.integer({ min: 0, max: 3 }),
      control: fc.nat().map((n): Control => ({ id: `new${n}`, kind: 'row', props: {}, children: [] })),
    }),
    fc.record({
      type: fc.constant('project' as const),
      key: fc.constant('name' as const),
      value: fc.constantFrom('Hut', '', 'Velmora'),
    }),
    randomRows,
    ...entitySteps(project),
  );
}

const guest = fc.record({ guest: fc.constantFrom('Ilka', 'Tamm', 'Reva'), nights: fc.nat(4) });
const parties = [
  { guest: 'Ilka', nights: 2 },
  { guest: 'Tamm', nights: 1 },
];

/** Rows that may or may not be those that stand at a place. */
const randomRows: fc.Arbitrary<Step> = fc.record({
  type: fc.constant('rows' as const),
  list: fc.constantFrom('parties', 'parties', 'name', 'nowhere'),
  at: fc.integer({ min: 0, max: 3 }),
  remove: fc.oneof(fc.constantFrom([], parties, parties.slice(0, 1), parties.slice(1)), fc.array(guest)),
  insert: fc.array(guest, { maxLength: 3 }),
});

/** Steps of entities: what they expect is what the project had; a step before them may have made it another. */
function entitySteps(project: Project): fc.Arbitrary<Step>[] {
  const key = fc.constantFrom('name', 'late', 'parties', 'extra', 'class', 'nowhere');
  const bandKey = fc.constantFrom('hand', 'lap', 'desk', 'nowhere');
  const variable = fc.constantFrom(...project.state);
  const band = fc.constantFrom(...project.bands);
  const entity = { name: fc.constantFrom('extra', 'name', '1st'), type: fc.constant('number' as const) };
  const of = (collection: string) => fc.constant(collection);
  return [
    fc.record({ ...entity, initial: fc.nat(3) }).map((each) => putting('state', each)),
    fc
      .record({ name: fc.constantFrom('wall', 'lap'), label: fc.constant('Wall'), from: fc.nat(2000) })
      .map((each) => putting('bands', each)),
    variable.map((each) => dropping('state', each)),
    band.map((each) => dropping('bands', each)),
    fc
      .tuple(variable, fc.constantFrom<Partial<StateVariable>>({ kept: true }, { computed: '1 + 1' }))
      .map(([each, change]) => changing('state', each, { ...each, ...change })[0] ?? dropping('state', each)),
    fc
      .tuple(band, fc.nat(2000))
      .map(([each, from]) => changing('bands', each, { ...each, from })[0] ?? dropping('bands', each)),
    fc.record({
      type: fc.constant('order' as const),
      of: of('state'),
      key,
      before: fc.option(key, { nil: null }),
    }),
    fc.record({ type: fc.constant('rename' as const), of: of('state'), key, to: key }),
    fc.record({ type: fc.constant('rename' as const), of: of('bands'), key: bandKey, to: bandKey }),
  ];
}

/** Sorts of steps: each has to be among those that are tried. */
const sorts = [
  'insert',
  'remove',
  'move',
  'set',
  'name',
  'project',
  'rows',
  'put',
  'drop',
  'change',
  'order',
  'rename',
];

describe('a step', () => {
  it('applied and taken back leaves the project as it was, and a failed one says why', () => {
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 5000 })
          .chain((seed) => fc.tuple(fc.constant(seed), randomStep(randomProject(seed)))),
        ([seed, step]) => {
          const project = randomProject(seed);
          const applied = applyStep(project, step);
          if (!applied.ok) {
            expect(applied.reason.length).toBeGreaterThan(5);
            return;
          }
          const back = applyStep(applied.project, applied.inverse);
          expect(back.ok && back.project).toEqual(project);
        },
      ),
      { numRuns: 600 },
    );
  });

  it('is tried in each sort: some of the random ones of a sort fit their project', () => {
    const fitted = new Set<string>();
    for (let seed = 1; fitted.size < sorts.length && seed <= 2000; seed++) {
      const project = randomProject(seed);
      const [step] = fc.sample(randomStep(project), { numRuns: 1, seed });
      if (step && applyStep(project, step).ok) fitted.add(step.type);
    }
    expect([...fitted].sort()).toEqual(sorts.toSorted());
  });

  it('replayed from JSON gives the same document, and any prefix can be taken back', () => {
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 500 })
          .chain((seed) =>
            fc.tuple(fc.constant(seed), fc.array(randomStep(randomProject(seed)), { maxLength: 12 })),
          ),
        ([seed, tried]) => {
          const project = randomProject(seed);
          let current = project;
          const done: Step[] = [];
          for (const step of tried) {
            const applied = applyStep(current, step);
            if (applied.ok) {
              current = applied.project;
              done.push(step);
            }
          }
          const replayed = applySteps(project, JSON.parse(JSON.stringify(done)) as Step[]);
          expect(replayed.ok && replayed.project).toEqual(current);
          const back = replayed.ok && applySteps(current, replayed.inverse);
          expect(back && (back.ok ? back.project : back.reason)).toEqual(project);
          const merged = applySteps(project, mergeAll(done));
          expect(merged.ok && merged.project).toEqual(current);
        },
      ),
      { numRuns: 150 },
    );
  });

  it('knows where everything is in each version, as one who looks anew', () => {
    const isKnown = (project: Project) => {
      for (const screen of project.screens) {
        const all = [...walk(screen)];
        expect(countOn(screen)).toBe(all.length);
        for (const control of all) {
          expect(placeOf(project, control.id)).toEqual(locate(project, control.id));
          if (control.name !== undefined) expect(namedOn(screen, control.name)).toBe(control);
        }
        expect(namedOn(screen, 'nobody')).toBeUndefined();
      }
      expect(placeOf(project, 'nowhere')).toBeUndefined();
    };
    fc.assert(
      fc.property(
        fc
          .integer({ min: 1, max: 500 })
          .chain((seed) =>
            fc.tuple(fc.constant(seed), fc.array(randomStep(randomProject(seed)), { maxLength: 8 })),
          ),
        ([seed, steps]) => {
          const versions = [randomProject(seed)];
          for (const step of steps) {
            const applied = applyStep(versions.at(-1)!, step);
            if (applied.ok) versions.push(applied.project);
          }
          // The newest one first: where it went to, older ones have to be looked over.
          for (const project of versions.toReversed()) isKnown(project);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('shares with the old project whatever it did not touch', () => {
    const project = projectOf(
      '<screen name="A"><row name="one"><text name="t" /></row><row name="two" /></screen>',
    );
    const applied = applyStep(project, {
      type: 'set',
      control: named(project, 't').id,
      property: 'text',
      value: 'x',
    });
    expect(applied.ok && named(applied.project, 'two')).toBe(named(project, 'two'));
  });

  it.each([
    [
      { type: 'insert', parent: 'a', index: 0, control: { id: 'x', kind: 'gizmo', props: {}, children: [] } },
      'There is no kind `gizmo`.',
    ],
    [
      {
        type: 'insert',
        parent: 'a',
        index: 0,
        control: { id: 'x', kind: 'row', props: { gap: 'wide' }, children: [] },
      },
      'gap: `wide` is not one or two lengths of 0 or more.',
    ],
    [{ type: 'set', control: 'a', property: 'gap' }, 'A change of a property lacks something.'],
    [{ type: 'project', key: 'secrets', value: 7 }, 'A project has no value `secrets`.'],
    [{ type: 'explode' }, 'There is no step `explode`.'],
  ])('from outside is refused when it is not one: %j', (step, message) => {
    expect(stepProblem(randomProject(1), step)).toBe(message);
  });
});

describe('renaming', () => {
  it('of a state variable follows into expressions, bindings and events, and leaves words alone', () => {
    const project =
      projectOf(`<screen name="A"><text name="t" text="guests: {guests + 1} {[1].map(guests =&gt; guests)[0]} {({ guests }).guests}" />
      <textField name="f" value.bind="guests" /><button name="b" on.press="guests = guests - 1; if (guests &lt; 0) { guests = 0 }" />
      <button name="g" on.press="go('A', { guests: guests + 1 }); go('A', { guests })" /></screen>`);
    const applied = applySteps(project, renameState('guests', 'people'));
    if (!applied.ok) throw new Error(applied.reason);
    expect(named(applied.project, 't').props.text).toBe(
      'guests: {people + 1} {[1].map(guests => guests)[0]} {({ guests: people }).guests}',
    );
    expect(named(applied.project, 'f').props['value.bind']).toBe('people');
    expect(named(applied.project, 'b').props['on.press']).toBe(
      'people = people - 1; if (people < 0) { people = 0 }',
    );
    expect(named(applied.project, 'g').props['on.press']).toBe(
      "go('A', { people: people + 1 }); go('A', { people })",
    );
    expect(projectProblem(applied.project)).toBeUndefined();
    const back = applySteps(applied.project, applied.inverse);
    expect(back.ok && back.project).toEqual(project);
  });

  it('of a screen follows into `go`', () => {
    const project = {
      ...projectOf(
        '<screen name="A"><button name="b" on.press="go(&quot;B&quot;); guests = 0" /></screen>',
        '<screen name="B" />',
      ),
      start: 'B',
    };
    const applied = applySteps(project, renameTree(project, project.screens[1]!.id, 'Late'));
    if (!applied.ok) throw new Error(applied.reason);
    expect(named(applied.project, 'b').props['on.press']).toBe('go("Late"); guests = 0');
    expect(applied.project.start).toBe('Late');
    const back = applySteps(applied.project, applied.inverse);
    expect(back.ok && back.project).toEqual(project);
  });
});

describe('history', () => {
  let sequence = 0;
  const entry = (kind: LogEntry['kind'], label: string, more: Partial<LogEntry> = {}): LogEntry => ({
    kind,
    label,
    sequence: sequence++,
    steps: [],
    inverse: [{ type: 'remove', control: label }],
    ...more,
  });
  const group = 'typing';
  it('undoes and redoes in turn, joins a run of typing, and forgets what was undone after a new change', () => {
    const typed = historyOf([
      entry('change', 'a'),
      entry('change', 'b1', { group }),
      entry('change', 'b2', { group }),
    ]);
    expect(typed.undo.map((item) => item.label)).toEqual(['a', 'b2']);
    expect(typed.undo[1]!.steps).toEqual([
      { type: 'remove', control: 'b2' },
      { type: 'remove', control: 'b1' },
    ]);
    const undone = historyAfter(typed, entry('undo', 'b2'));
    expect([undone.undo.length, undone.redo.length]).toEqual([1, 1]);
    expect(historyAfter(undone, entry('redo', 'b2')).undo).toHaveLength(2);
    expect(historyAfter(undone, entry('change', 'c')).redo).toEqual([]);
  });

  it('takes back what an undo names, where newer changes were passed over', () => {
    const first = entry('change', 'a');
    const entries = [first, entry('change', 'b'), entry('undo', 'a', { takes: first.sequence })];
    const { undo, redo } = historyOf(entries);
    expect([undo, redo].map((list) => list.map(({ label }) => label))).toEqual([['b'], ['a']]);
  });

  it('is read alike entry by entry and all at once, in time that grows with their number only', () => {
    const many = Array.from({ length: 3000 }, (_, index) =>
      entry('change', `c${index}`, index % 3 === 0 ? {} : { group: `g${index % 7}` }),
    );
    const some = many.slice(0, 300);
    expect(historyOf(some)).toEqual(some.reduce(historyAfter, emptyHistory));
    expect(historyOf(many).undo.length).toBeGreaterThan(2000);
  });
});

it('a name that is given first says what people read, where nobody has said it yet', () => {
  const project = projectOf(
    '<screen name="s"><textField name="a" label="Label" /><button name="b" text="Book" /><text name="c" text="Text" /></screen>',
  );
  const steps = [...walk(project.screens[0]!)]
    .slice(1)
    .map((control) => nameControl(project.screens[0]!, control, 'guestName'));
  expect(steps.map((each) => each.length)).toEqual([2, 1, 1]);
  expect(steps[0]![1]).toMatchObject({ property: 'label', value: 'Guest name' });
});

describe('a control that events name', () => {
  const project = projectOf(
    `<screen name="Tonight"><textField name="guest" label="Guest" /><button name="see" text="See" on.press="focus('guest'); scrollTo(&quot;guest&quot;); message('focus(guest)'); /* off: focus('guest') */" /></screen>`,
    '<screen name="Late"><textField name="guest" label="Guest" /><button name="look" text="Look" on.press="focus(\'guest\')" /></screen>',
  );
  const pressed = (of: Project, name: string) => inForce(named(of, name).props['on.press']);

  it('is named by its new name there, what is turned off included, and on its own screen only', () => {
    const [screen] = project.screens;
    const applied = applySteps(project, nameControl(screen!, named(project, 'guest'), 'visitor'));
    if (!applied.ok) throw new Error(applied.reason);
    expect(pressed(applied.project, 'see')).toBe(
      `focus('visitor'); scrollTo("visitor"); message('focus(guest)'); /* off: focus('visitor') */`,
    );
    expect(pressed(applied.project, 'look')).toBe("focus('guest')");
    expect(attributeProblems(applied.project, named(applied.project, 'see'))).toEqual([]);
  });

  it('is missed there when it is gone, and the nearest name is offered', () => {
    const see = named(project, 'see');
    expect(attributeProblems(project, see)).toEqual([]);
    const applied = applySteps(project, [
      { type: 'name', control: named(project, 'guest').id, name: 'guests' },
    ]);
    if (!applied.ok) throw new Error(applied.reason);
    expect(attributeProblems(applied.project, named(applied.project, 'see'))).toEqual([
      {
        attribute: 'on.press',
        holds: false,
        message: 'There is no control `guest` on this screen. Did you mean `guests`?',
        at: 6,
      },
    ]);
  });
});
