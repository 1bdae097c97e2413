/** Components made of what recurs, and what goes on with them: parameters, names, swaps, detaching, surrounds, kits. */
import { describe, expect, it } from 'vitest';
import {
  applySteps,
  type Control,
  clashesOf,
  componentPlan,
  detach,
  expandedOn,
  kitOf,
  kitSteps,
  listsAt,
  makeComponent,
  makeSurround,
  newScreen,
  type Project,
  printFolder,
  printKit,
  readFolder,
  readKit,
  readsOf,
  renameDeclared,
  repeatFor,
  type Step,
  screensWith,
  surroundPlan,
  swapInstance,
  toParameter,
  unusedIn,
  usesOfComponent,
  walk,
} from '../src/index.ts';
import { kindOf } from '../src/kinds/catalogue.ts';
import { commonName } from '../src/recurring/common-name.ts';

let ids = 0;
const newId = () => `n${++ids}`;

function read(files: Record<string, string>, state: readonly object[] = []): Project {
  const all = new Map([
    ['project.json', JSON.stringify({ format: 2, name: 'Trial', state })],
    ...Object.entries(files).map(([name, text]) => {
      if (name.includes('/')) return [name, text] as const;
      const sort = /^<(component|screen)/.exec(text)?.[1] ?? 'screen';
      return [`${sort}s/${name}.${sort}.xml`, text] as const;
    }),
  ]);
  const found = readFolder(all, newId);
  if (!found.ok) throw new Error(found.problems.map(({ message }) => message).join(' '));
  return found.project;
}

const named = (project: Project, name: string): Control => {
  for (const tree of [...project.screens, ...(project.components ?? [])])
    for (const control of walk(tree)) if (control.name === name) return control;
  throw new Error(`There is no ${name}`);
};

function applied(project: Project, steps: readonly Step[]): Project {
  const done = applySteps(project, steps);
  if (!done.ok) throw new Error(`${done.reason} (${done.control})`);
  // All of it is taken back by one undo.
  expect(applySteps(done.project, done.inverse)).toMatchObject({ ok: true, project });
  return done.project;
}

const file = (project: Project, path: string): string => printFolder(project).get(path) ?? '';

const made = (project: Project, of: string, name: string): Project => {
  const plan = componentPlan(project, named(project, of).id);
  if (typeof plan === 'string') throw new Error(plan);
  return applied(project, makeComponent(project, plan, { ...plan, name }, newId).steps);
};

const card = (name: string, label: string, more = '') =>
  `<column name="${name}" width="share" style="" padding="8"><text name="${name}Label" text="${label}" /><text name="${name}Count" text="3"${more} /></column>`.replace(
    ' style=""',
    '',
  );

it('names of several places have one in common: what they end with, else what they begin with', () => {
  expect(commonName(['inHouseLabel', 'onTheWayLabel', 'freeLabel'])).toBe('label');
  expect(commonName(['wind', 'wind'])).toBe('wind');
  expect(commonName(['partyOne', 'partyTwo'])).toBe('party');
  expect(commonName(['soup', 'bread'])).toBeUndefined();
});

describe('making a component', () => {
  it('finds what is alike, also where only one place says a value; what differs becomes parameters', () => {
    const project = read({
      A: `<screen name="A"><row name="cards">${card('here', 'In the hut')}${card('away', 'On the way', ' color="warm"')}</row></screen>`,
      B: `<screen name="B">${card('free', 'Free')}<column><text text="other" /></column></screen>`,
    });
    const next = made(project, 'here', 'Figure');
    expect(file(next, 'components/Figure.component.xml')).toBe(`<component name="Figure">
  <parameter name="label" initial="In the hut" />
  <parameter name="countColor" type="colour" initial="ink" />
  <column width="share" padding="8">
    <text name="label" text="{label}" />
    <text name="count" text="3" color="{countColor}" />
  </column>
</component>
`);
    expect(file(next, 'screens/A.screen.xml')).toContain(
      '<Figure name="here" />\n    <Figure name="away" label="On the way" countColor="warm" />',
    );
    expect(file(next, 'screens/B.screen.xml')).toContain('<Figure name="free" label="Free" />');
  });

  it('gives what only a place knows, once, however often it is read', () => {
    const project = read(
      {
        A: '<screen name="A"><repeat each="{orders}" as="order"><row name="line"><text name="dish" text="{order.dish}" /><text text="{order.count} ×" /><button text="x" on.press="remove(orders, order)" /></row></repeat></screen>',
      },
      [{ name: 'orders', type: 'list', initial: [{ dish: 'soup', count: 2 }] }],
    );
    const next = made(project, 'line', 'Meal');
    // Every instance has `order` already, its place among its siblings.
    expect(file(next, 'components/Meal.component.xml')).toContain(
      '<parameter name="order1" type="record" />',
    );
    expect(file(next, 'components/Meal.component.xml')).toContain('on.press="remove(orders, order1)"');
    expect(file(next, 'screens/A.screen.xml')).toContain('<Meal name="line" order1="{order}" />');
    const before = expandedOn(project, project.screens[0]!).screen;
    const after = expandedOn(next, next.screens[0]!).screen;
    const texts = (screen: Control) => [...walk(screen)].map(({ kind, props }) => [kind, props]);
    expect(texts(after)).toEqual(texts(before));
  });

  it('leaves events to the place where they differ, and bindings', () => {
    const line = (name: string, variable: string) =>
      `<row name="${name}"><textField label="Who" value.bind="${variable}" /><button text="Go" on.press="${variable} = ''" /></row>`;
    const project = read(
      { A: `<screen name="A">${line('one', 'first')}${line('two', 'second')}</screen>` },
      ['first', 'second'].map((name) => ({ name, type: 'text', initial: '' })),
    );
    const next = made(project, 'one', 'Line');
    expect(file(next, 'components/Line.component.xml')).toContain('two-way="true"');
    expect(file(next, 'components/Line.component.xml')).toMatch(/on\.press="emit\('\w+'\)"/);
    expect(file(next, 'screens/A.screen.xml')).toMatch(
      /<Line name="two" \w+\.bind="second" on\.\w+="second = ''" \/>/,
    );
  });

  it('says which place cannot be one, and why a whole screen cannot', () => {
    const project = read({
      A: '<screen name="A"><row name="one" lap.gap="4"><text text="a" /></row><row name="two" lap.gap="8"><text text="a" /></row></screen>',
    });
    const plan = componentPlan(project, named(project, 'one').id);
    expect(plan).toMatchObject({
      unfit: [{ message: '`lap.gap` of its row differs, `8` instead of `4`, and follows no expression.' }],
    });
    expect(componentPlan(project, project.screens[0]!.id)).toContain('A whole screen cannot');
  });

  it('with a slot, what is in it stays where it was', () => {
    const project = read({
      A: '<screen name="A"><column name="card" padding="8"><row name="inner"><text name="mine" text="soup" /></row></column></screen>',
    });
    const plan = componentPlan(project, named(project, 'card').id);
    if (typeof plan === 'string') throw new Error(plan);
    const next = applied(
      project,
      makeComponent(project, plan, { ...plan, name: 'Card', slot: [0] }, newId).steps,
    );
    expect(file(next, 'components/Card.component.xml')).toContain('<slot />');
    expect(file(next, 'screens/A.screen.xml')).toContain(
      '<Card name="card">\n    <text name="mine" text="soup" />',
    );
  });
});

describe('an instance', () => {
  const bunk =
    '<component name="Bunk"><parameter name="number" type="number" /><variable name="open" type="boolean" /><event name="pick" /><column><text name="words" text="{number}{open ? \' open\' : \'\'}" /><button name="more" text="More" on.press="open = !open; emit(\'pick\')" /></column></component>';

  it('detached keeps what it kept for itself in a variable of its screen', () => {
    const project = read(
      {
        Bunk: bunk,
        A: '<screen name="A"><text name="words" text="x" /><Bunk name="first" number="7" on.pick="n = 1" /></screen>',
      },
      [{ name: 'n', type: 'number', initial: 0 }],
    );
    const done = detach(project, named(project, 'first').id, newId);
    if (typeof done === 'string') throw new Error(done);
    const next = applied(project, done.steps);
    expect(next.state.at(-1)).toEqual({ name: 'firstOpen', type: 'boolean', initial: false, screen: 'A' });
    expect(file(next, 'screens/A.screen.xml')).toContain(`text="{7}{firstOpen ? ' open' : ''}"`);
    expect(file(next, 'screens/A.screen.xml')).toContain('on.press="firstOpen = !firstOpen; { n = 1 }"');
    expect([...walk(next.screens[0]!)].map(({ name }) => name)).toEqual([
      'A',
      'words',
      'column1',
      'words1',
      'more',
    ]);
  });

  it('in a repeat with values of its own cannot be detached, and says why', () => {
    const project = read({
      Bunk: bunk,
      A: '<screen name="A"><repeat each="{[1, 2]}"><Bunk name="each" number="{item}" /></repeat></screen>',
    });
    expect(detach(project, named(project, 'each').id, newId)).toContain('values of its own for each item');
  });

  it('is swapped for another component: what that has, too, stays', () => {
    const project = read({
      Bunk: bunk,
      Bed: '<component name="Bed"><parameter name="number" /><text text="{number}" /></component>',
      A: '<screen name="A"><Bunk name="first" number="7" width="share" on.pick="back()" /></screen>',
    });
    const swapped = swapInstance(project, named(project, 'first').id, 'Bed');
    if (typeof swapped === 'string') throw new Error(swapped);
    expect(swapped.lost).toEqual(['on.pick']);
    expect(file(applied(project, swapped.steps), 'screens/A.screen.xml')).toContain(
      '<Bed name="first" number="7" width="share" />',
    );
  });

  it('follows a parameter and an event to other names', () => {
    const project = read({
      Bunk: bunk,
      A: '<screen name="A"><Bunk name="first" number="7" on.pick="back()" /></screen>',
    });
    const [line, , event] = project.components![0]!.children as [Control, Control, Control];
    const renamed = applied(project, renameDeclared(project, line, 'place'));
    expect(file(renamed, 'components/Bunk.component.xml')).toContain("text=\"{place}{open ? ' open' : ''}\"");
    const told = applied(renamed, renameDeclared(renamed, event, 'chosen'));
    expect(file(told, 'components/Bunk.component.xml')).toContain("emit('chosen')");
    expect(file(told, 'screens/A.screen.xml')).toContain(
      '<Bunk name="first" place="7" on.chosen="back()" />',
    );
  });

  it('is counted, and what its component reads of the project is known', () => {
    const project = read(
      {
        Bunk: bunk.replace('text="More"', 'text="{word}"'),
        A: '<screen name="A"><Bunk name="first" /><Bunk name="second" /></screen>',
      },
      [{ name: 'word', type: 'text', initial: 'More' }],
    );
    expect(usesOfComponent(project, 'Bunk').map(({ control }) => control.name)).toEqual(['first', 'second']);
    expect(readsOf(project, project.components![0]!)).toEqual(['word']);
  });
});

it('a value in a component becomes a parameter that begins with it', () => {
  const project = read({
    Card: '<component name="Card"><column><text name="title" text="soup" color="warm" /></column></component>',
    A: '<screen name="A"><Card /></screen>',
  });
  const title = named(project, 'title');
  const property = (name: string) => kindOf(title).properties.find((each) => each.name === name)!;
  const one = toParameter(project, title, property('text'), newId)!;
  const next = applied(project, one.steps);
  const two = toParameter(next, named(next, 'title'), property('color'), newId)!;
  expect([one.name, two.name]).toEqual(['title', 'titleColor']);
  expect(file(applied(next, two.steps), 'components/Card.component.xml')).toContain(
    '<parameter name="title" initial="soup" />\n  <parameter name="titleColor" type="colour" initial="warm" />',
  );
});

describe('a surround', () => {
  const bars = (title: string) =>
    `<bar name="top" edge="top"><heading name="title" text="${title}" /></bar><bar name="foot" edge="bottom"><text text="Velmora Hut" /></bar>`;
  const project = read({
    A: `<screen name="A" padding="8">${bars('Tonight')}<text name="one" text="soup" /></screen>`,
    B: `<screen name="B">${bars('Kitchen')}<text name="two" text="bread" /></screen>`,
    C: '<screen name="C"><text text="alone" /></screen>',
  });

  it('takes what screens have in common; texts that differ become parameters', () => {
    const plan = surroundPlan(project, project.screens.slice(0, 2));
    if (typeof plan === 'string') throw new Error(plan);
    const next = applied(project, makeSurround(project, plan, 'Hut', newId).steps);
    expect(file(next, 'screens/B.screen.xml')).toBe(
      '<screen name="B" surround="Hut" surround.title="Kitchen">\n  <text name="two" text="bread" />\n</screen>\n',
    );
    const before = expandedOn(project, project.screens[0]!).screen;
    const after = expandedOn(next, next.screens[0]!).screen;
    const kinds = (screen: Control) => [...walk(screen)].map(({ name, props }) => [name, props.text]);
    expect(kinds(after).toSorted()).toEqual(kinds(before).toSorted());
    const named = { ...next, surround: 'Hut' };
    expect(newScreen(named, newId).props.surround).toBe('Hut');
  });

  it('says where there is nothing to share', () => {
    expect(surroundPlan(project, project.screens)).toContain('nothing in common');
    expect(surroundPlan(project, project.screens.slice(0, 1))).toContain('at least two');
  });
});

describe('a kit', () => {
  const from = read({
    Card: '<component name="Card"><column style="card"><Title words="soup" /><image src="ridge.svg" /></column></component>',
    Title:
      '<component name="Title"><parameter name="words" /><text text="{words}" color="deep" /></component>',
    Other: '<component name="Other"><text text="x" /></component>',
    A: '<screen name="A"><Card /><Other /></screen>',
    'theme/styles.xml':
      '<styles><style name="card" padding="near" /><style name="unused" padding="1" /></styles>',
    'theme/tokens.json': JSON.stringify({
      color: { deep: { $type: 'color', $value: '#2f5d50' }, pale: { $type: 'color', $value: '#ffffff' } },
      dimension: { near: { $type: 'dimension', $value: { value: 4, unit: 'px' } } },
    }),
  });
  const project: Project = {
    ...from,
    assets: [{ name: 'ridge.svg', type: 'image/svg+xml', width: 10, height: 10 }],
  };

  it('has what its components need, and nothing else', () => {
    const kit = kitOf(project, ['Card']);
    expect(kit.components.map(({ name }) => name)).toEqual(['Card', 'Title']);
    expect(kit.styles.map(({ name }) => name)).toEqual(['card']);
    expect(kit.tokens.map(({ path }) => path)).toEqual(['color.deep', 'dimension.near']);
    expect(kit.pictures).toEqual(['ridge.svg']);
  });

  it('is brought into another project; of what both have one is asked', () => {
    const files = printKit(kitOf(project, ['Card']), project.bands);
    const into = read({
      Title: '<component name="Title"><text text="mine" /></component>',
      A: '<screen name="A"><Title /></screen>',
    });
    const reading = readKit(files, ['assets/ridge.svg'], into, newId);
    if (!reading.ok) throw new Error(JSON.stringify(reading.problems));
    expect(clashesOf(into, reading.kit)).toEqual([{ of: 'components', name: 'Title' }]);
    const both = applied(
      into,
      kitSteps(into, reading.kit, () => 'both'),
    );
    expect(both.components?.map(({ name }) => name).toSorted()).toEqual(['Card', 'Title', 'Title1']);
    expect(file(both, 'components/Card.component.xml')).toContain('<Title1 words="soup" />');
    expect(both.tokens?.map(({ path }) => path)).toEqual(['color.deep', 'dimension.near']);
    const theirs = applied(
      into,
      kitSteps(into, reading.kit, () => 'theirs'),
    );
    expect(file(theirs, 'components/Title.component.xml')).toContain('<parameter name="words" />');
    const mine = applied(
      into,
      kitSteps(into, reading.kit, () => 'mine'),
    );
    expect(file(mine, 'components/Title.component.xml')).toContain('text="mine"');
  });

  it('that cannot be read says where; an empty one says so', () => {
    const bad = new Map([['components/Card.component.xml', '<component name="Card"><tex /></component>']]);
    expect(readKit(bad, [], project, newId)).toMatchObject({
      ok: false,
      problems: [{ file: 'components/Card.component.xml', line: 1 }],
    });
    expect(readKit(new Map(), [], project, newId)).toMatchObject({ ok: false });
  });
});

it('a component that no screen has is told, unless new screens stand in it', () => {
  const project = read({
    Card: '<component name="Card"><text text="x" /></component>',
    Hut: '<component name="Hut" surround="true"><column><slot /></column></component>',
    A: '<screen name="A" />',
  });
  expect(unusedIn({ ...project, surround: 'Hut' }).map(({ check, name }) => [check, name])).toEqual([
    ['unused-component', 'Card'],
  ]);
});

describe('repeating for a list', () => {
  const project = read(
    {
      Row: '<component name="Row"><parameter name="dish" /><parameter name="count" type="number" /><row><text text="{dish} {count}" /></row></component>',
      Page: '<component name="Page"><column><Row dish="soup" /></column></component>',
      A: '<screen name="A"><Row name="one" dish="soup" /></screen>',
      B: '<screen name="B"><Page /></screen>',
      C: '<screen name="C"><text text="x" /></screen>',
    },
    [{ name: 'orders', type: 'list', initial: [{ dish: 'soup', count: 2 }] }],
  );

  it('what an instance is given follows the items, where they have it', () => {
    const one = named(project, 'one');
    const [choice] = listsAt(project, one);
    expect(choice).toMatchObject({ each: 'orders', as: 'order' });
    const next = applied(project, repeatFor(project, one, choice!, newId)!.steps);
    expect(file(next, 'screens/A.screen.xml')).toContain('each="{orders}" as="order"');
    expect(file(next, 'screens/A.screen.xml')).toContain(
      '<Row name="one" dish="{order.dish}" count="{order.count}" />',
    );
  });

  it('the screens that a component is seen on are known, through others too', () => {
    expect(screensWith(project, 'Row').map(({ name }) => name)).toEqual(['A', 'B']);
  });
});
