/** Components: what an instance becomes, under which names, and what is refused. */
import { describe, expect, it } from 'vitest';
import { partClassesOf } from '../src/export/part-classes.ts';
import { stylesheet } from '../src/export/stylesheet.ts';
import {
  applySteps,
  expandedOn,
  expandedProject,
  namedBoxes,
  type Project,
  printFolder,
  ScreenView,
  walk,
} from '../src/index.ts';
import { attributeProblems } from '../src/meaning/problems.ts';
import { problems, read } from './component-files.ts';
import { testShaper } from './documents.ts';

const bunk = `<component name="Bunk" title="A place to sleep">
  <parameter name="number" type="number" initial="1" />
  <parameter name="taken" type="boolean" initial="false" two-way="true" />
  <parameter name="look" values="plain | strong" initial="plain" />
  <variable name="open" type="boolean" initial="false" />
  <event name="pick" gives="picked" />
  <column
    name="cell"
    states="full: {taken} | strong: {look == 'strong'}"
    padding="8"
    full.background="tint"
    strong.border-width="2"
    on.press="emit('pick', number); open = !open; taken = !taken"
  >
    <text name="words" text="Bunk {number}" />
    <text text="{open ? 'open' : 'closed'}" />
    <slot name="more">
      <text name="nothing" text="nothing more" />
    </slot>
  </column>
</component>
`;

/** The attributes of the controls of the first screen when nothing of components is left, by name. */
function expanded(project: Project): Record<string, Record<string, unknown>> {
  const { screen } = expandedOn(project, project.screens[0]!);
  return Object.fromEntries(
    [...walk(screen)].map(({ name, kind, props }) => [name ?? kind, { kind, ...props }]),
  );
}

const boxes = async (project: Project, width = 390) =>
  namedBoxes(
    project,
    project.screens[0]!,
    new ScreenView(await testShaper()).layOut(project, project.screens[0]!, { width, height: 600 }),
  );

describe('an instance', () => {
  it('is its component’s root, with its values in place of parameters', () => {
    const project = read({
      Bunk: bunk,
      A: '<screen name="A"><Bunk name="first" number="7" taken.bind="firstTaken" width="share" look="strong" on.pick="chosen = picked" /></screen>',
    });
    const found = expanded(project);
    expect(found['first.cell']).toMatchObject({
      kind: 'column',
      width: 'share',
      padding: '8',
      states: `full: {firstTaken} | strong: {"strong" == 'strong'}`,
      'on.press':
        'for (const picked of [7]) { chosen = picked }; A$first$open = !A$first$open; firstTaken = !firstTaken',
    });
    expect(found['first.words']).toMatchObject({ text: 'Bunk 7' });
    expect(found['first.text1']).toMatchObject({ text: "{A$first$open ? 'open' : 'closed'}" });
    expect(found['first.nothing']).toMatchObject({ text: 'nothing more' });
    expect(expandedProject(project).state.at(-1)).toEqual({
      name: 'A$first$open',
      type: 'boolean',
      initial: false,
      screen: 'A',
    });
  });

  it('names its parts, in repeats with the item behind the instance', async () => {
    const project = read({
      Bunk: bunk,
      A: '<screen name="A"><repeat name="all" each="{bunks}" as="bunk"><Bunk name="each" number="{bunk.n}"><text name="mine" slot="more" text="{bunk.n}" /></Bunk></repeat><Bunk /></screen>',
    });
    expect((await boxes(project)).map(({ name }) => name)).toEqual([
      'A',
      'all',
      ...[0, 1].flatMap((index) => [
        `each[${index}].cell`,
        `each[${index}].words`,
        `each[${index}].text1`,
        `mine[${index}]`,
      ]),
      'Bunk1.cell',
      'Bunk1.words',
      'Bunk1.text1',
      'Bunk1.nothing',
    ]);
  });

  it('says its size and place, whatever its root says of them under conditions', () => {
    const project = read({
      Card: '<component name="Card"><row name="inner" width="100" lap.width="200" gap="3" portrait.height="40" /></component>',
      A: '<screen name="A"><Card name="one" width="300" /><Card name="two" desk.width="500" /><Card name="three" /></screen>',
    });
    const found = expanded(project);
    expect(found['one.inner']).toEqual({ kind: 'row', width: '300', gap: '3', 'portrait.height': '40' });
    expect(found['two.inner']).toMatchObject({ width: '100', 'desk.width': '500' });
    expect(found['two.inner']).not.toHaveProperty(['lap.width']);
    expect(found['three.inner']).toMatchObject({ width: '100', 'lap.width': '200' });
  });

  it('of a component in a component has both names, and what is given goes through', () => {
    const project = read({
      Figure:
        '<component name="Figure"><parameter name="label" /><parameter name="value" type="number" /><event name="more" /><column name="box"><text name="words" text="{label}: {value * 2}" /><button name="go" text="More" on.press="emit(\'more\')" /></column></component>',
      Pair: '<component name="Pair"><parameter name="label" /><parameter name="first" type="number" initial="3" /><event name="chosen" gives="which" /><row name="both"><Figure name="one" label="{label} left" value="{first}" on.more="emit(\'chosen\', label)" /><Figure name="two" label="right" value="4" /></row></component>',
      A: '<screen name="A"><Pair name="pair" label="wind" first="{chosen + 1}" on.chosen="chosen = which.length" /></screen>',
    });
    const found = expanded(project);
    expect(String(found['pair.one.words']?.text).replace('$', '')).toBe(
      '{`{"wind"} left`}: {(chosen + 1) * 2}',
    );
    expect(found['pair.two.words']?.text).toBe('right: 8');
    expect(found['pair.one.go']?.['on.press']).toBe(
      '{ for (const which of ["wind"]) { chosen = which.length } }',
    );
    expect(found['pair.two.go']?.['on.press']).toBe('{}');
  });
});

describe('names that meet', () => {
  it('an item of the component’s own repeat is not the item that is given', async () => {
    const project = read({
      List: '<component name="List"><parameter name="all" type="list" /><parameter name="what" /><column name="list"><repeat name="rows" each="{all}"><text name="line" text="{what} {item}" /></repeat></column></component>',
      A: '<screen name="A"><repeat name="outer" each="{bunks}"><List name="inner" all="{[item.n, item.n + 1]}" what="of {item.n}:" /></repeat></screen>',
    });
    const { screen, project: whole } = expandedOn(project, project.screens[0]!);
    const layout = new ScreenView(await testShaper()).layOut(whole, screen, { width: 390, height: 600 });
    const words = layout.boxes.flatMap(({ lines }) => lines.map(({ text }) => text));
    expect(words).toEqual(['of 4: 4', 'of 4: 5', 'of 5: 5', 'of 5: 6']);
    expect((await boxes(project)).map(({ name }) => name)).toContain('inner[1].line[0]');
  });

  it('a parameter of an arrow function, and of `for`, keeps out of the way', () => {
    const project = read(
      {
        Sum: '<component name="Sum"><parameter name="many" type="number" /><event name="each" gives="one" /><text name="words" text="{[1, 2].map((x) => x * many).join()}" /></component>',
        Each: '<component name="Each"><parameter name="many" type="number" /><event name="each" gives="one" /><button name="go" text="Go" on.press="for (const x of [1]) { emit(\'each\', x + many) }" /></component>',
        A: '<screen name="A"><Sum name="sum" many="{x}" /><Each name="all" many="{x}" on.each="y = one + x" /></screen>',
      },
      [
        { name: 'x', type: 'number', initial: 3 },
        { name: 'y', type: 'number', initial: 0 },
      ],
    );
    const found = expanded(project);
    expect(found['sum.words']?.text).toBe('{[1, 2].map((x_) => x_ * x).join()}');
    expect(found['all.go']?.['on.press']).toBe(
      'for (const x_ of [1]) { for (const one of [x_ + x]) { y = one + x } }',
    );
  });

  it('a parameter hides a variable of the project, also from its renaming', () => {
    const project = read({
      Note: '<component name="Note"><parameter name="chosen" /><text name="words" text="{chosen} of {bunks.length}" /></component>',
      A: '<screen name="A"><Note name="note" chosen="mine" /><text name="own" text="{chosen}" /></screen>',
    });
    expect(expanded(project)['note.words']?.text).toBe('{"mine"} of {bunks.length}');
    const renamed = applySteps(project, [
      { type: 'rename', of: 'state', key: 'chosen', to: 'picked' },
      { type: 'rename', of: 'state', key: 'bunks', to: 'beds' },
    ]);
    if (!renamed.ok) throw new Error(renamed.reason);
    expect(expanded(renamed.project)['note.words']?.text).toBe('{"mine"} of {beds.length}');
    expect(expanded(renamed.project).own?.text).toBe('{picked}');
    const back = applySteps(renamed.project, renamed.inverse);
    expect(back.ok && back.project.components).toEqual(project.components);
  });
});

describe('own variables', () => {
  it('in a repeat are one for each item, which begins as all do', () => {
    const project = read({
      Bunk: bunk,
      A: '<screen name="A"><repeat name="all" each="{bunks}" as="bunk"><Bunk name="each" taken="true" /></repeat></screen>',
    });
    const found = expanded(project);
    expect(found['each[].text1']?.text).toBe("{(A$each$open[bunk$at] ?? false) ? 'open' : 'closed'}");
    expect(found['each[].cell']?.['on.press']).toBe(
      '{}; { A$each$open[bunk$at] ??= false; A$each$open[bunk$at] = !(A$each$open[bunk$at] ?? false) }; { A$each$taken[bunk$at] ??= true; A$each$taken[bunk$at] = !(A$each$taken[bunk$at] ?? true) }',
    );
  });
});

it('on a page, what all instances say alike is said once, by a class of the part', () => {
  const project = read({
    Card: '<component name="Card"><column padding="8"><text name="words" text="x" size="30" /></column></component>',
    A: '<screen name="A"><Card name="one" /><Card name="two" width="100" /></screen>',
    B: '<screen name="B"><Card /></screen>',
  });
  const whole = expandedProject(project);
  const css = stylesheet(whole, partClassesOf(project, whole.screens));
  expect(css.match(/\.k-screen \.in-Card-words \{/g)?.length).toBe(1);
  expect(css).not.toMatch(/\.\w+\\\.words/);
  // Their roots differ, since one says its width.
  expect(css).not.toContain('.in-Card-column1 {');
});

describe('a surround', () => {
  const hut =
    '<component name="Hut" surround="true"><parameter name="title" /><column name="frame"><bar name="head" edge="top"><text name="words" text="{title}" /></bar><slot /><bar name="foot" edge="bottom"><slot name="acts" /></bar></column></component>';

  it('makes no box of its own: what is in it stands on the screen, bars too', async () => {
    const project = read({
      Hut: hut,
      A: '<screen name="A" surround="Hut" surround.title="Tonight" gap="5"><text name="one" text="soup" /><button name="act" slot="acts" text="Go" /><text name="two" text="bread" /></screen>',
    });
    const found = await boxes(project);
    expect(found.map(({ name }) => name)).toEqual(['A', 'head', 'words', 'one', 'two', 'foot', 'act']);
    expect(found.find(({ name }) => name === 'foot')).toMatchObject({ x: 0, width: 390 });
  });

  it('keeps ids and names of the screen’s own controls', () => {
    const project = read({
      Hut: hut,
      A: '<screen name="A" surround="Hut"><text name="one" text="soup" /></screen>',
    });
    const { screen } = expandedOn(project, project.screens[0]!);
    const own = project.screens[0]!.children[0]!;
    expect(screen.children).toContain(own);
    expect(screen.props).toEqual({});
  });
});

describe('what is refused, with its place', () => {
  it('unknown components, parameters, events, slots, values', () => {
    expect(
      problems({
        Bunk: bunk,
        A: `<screen name="A">
  <Bumk />
  <Bunk numer="7" />
  <Bunk look="loud" />
  <Bunk on.pikc="chosen = 1" />
  <Bunk><text text="in no slot" /></Bunk>
  <Bunk><text slot="mor" text="x" /></Bunk>
  <slot />
  <button text="x" on.press="emit('pick')" />
</screen>`,
      }),
    ).toEqual([
      'screens/A.screen.xml:2: There is no element <Bumk>. Did you mean `Bunk`?',
      'screens/A.screen.xml:3: A Bunk has no attribute `numer`. Did you mean `number`?',
      'screens/A.screen.xml:4: look: `loud` is not one of `plain`, `strong`.',
      'screens/A.screen.xml:5: A Bunk has no event `pikc`. Did you mean `pick`?',
      'screens/A.screen.xml:6: Into which slot of `Bunk`? `slot` says it: `more`.',
      'screens/A.screen.xml:7: `Bunk` has no slot `mor`; it has `more`.',
      'screens/A.screen.xml:8: A <slot> stands in a component only.',
      'screens/A.screen.xml:9: on.press: `emit` stands in a component only.',
    ]);
  });

  it('in a component: names that are not there, a one-way parameter that is assigned, events that are not declared', () => {
    expect(
      problems({
        Card: `<component name="Card">
  <parameter name="label" />
  <column>
    <text text="{labell}" />
    <button text="x" on.press="label = 'y'" />
    <button text="x" on.press="emit('gone')" />
  </column>
</component>`,
        A: '<screen name="A" />',
      }),
    ).toEqual([
      'components/Card.component.xml:4: text: There is no state variable `labell`. Did you mean `label`?',
      'components/Card.component.xml:5: on.press: `label` follows other values; nothing can be assigned to it.',
      'components/Card.component.xml:6: on.press: The component declares no event `gone`.',
    ]);
  });

  it('circles, two roots, none, a parameter that every instance has', () => {
    const one = (text: string) =>
      problems({ One: `<component name="One">${text}</component>`, A: '<screen name="A" />' });
    expect(one('<row><One /></row>')).toEqual([
      'components/One.component.xml:1: `One` holds itself: One → One.',
    ]);
    expect(one('<row /><row />').join()).toContain('has one root');
    expect(one('').join()).toContain('it is missing');
    expect(one('<parameter name="width" /><row />').join()).toContain('Every instance has `width` already');
    expect(
      problems({
        One: '<component name="One"><row><Two /></row></component>',
        Two: '<component name="Two"><row><One /></row></component>',
        A: '<screen name="A" />',
      })[0],
    ).toContain('`One` holds itself: One → Two → One.');
  });

  it('a two-way parameter that is changed inside and given an expression is told where it is given', () => {
    const project = read({
      Bunk: bunk,
      A: '<screen name="A"><Bunk name="first" taken="{chosen > 2}" /></screen>',
    });
    expect(attributeProblems(project, project.screens[0]!.children[0]!)).toMatchObject([
      { attribute: 'taken', message: '`Bunk` changes `taken`: bind it, `taken.bind`, to a variable.' },
    ]);
  });
});

describe('in the document', () => {
  const project = read({
    Bunk: bunk,
    A: '<screen name="A">\n  <Bunk name="first" number="7" taken.bind="firstTaken" width="share" on.pick="chosen = picked" />\n</screen>\n',
  });

  it('is printed as it was read', () => {
    const files = printFolder(project);
    expect(files.get('components/Bunk.component.xml')).toBe(bunk);
    expect(files.get('screens/A.screen.xml')).toContain(
      '<Bunk name="first" number="7" taken.bind="firstTaken" width="share" on.pick="chosen = picked" />',
    );
  });

  it('is renamed with its instances, and back', () => {
    const renamed = applySteps(project, [{ type: 'rename', of: 'components', key: 'Bunk', to: 'Bed' }]);
    if (!renamed.ok) throw new Error(renamed.reason);
    expect(renamed.project.screens[0]!.children[0]!.kind).toBe('Bed');
    expect(expanded(renamed.project)['first.words']?.text).toBe('Bunk 7');
    expect(applySteps(renamed.project, renamed.inverse)).toMatchObject({ ok: true, project });
    expect(applySteps(project, [{ type: 'rename', of: 'components', key: 'Bunk', to: 'bed' }])).toMatchObject(
      {
        ok: false,
        reason: 'The name of a component begins with a capital letter; try `Bed`.',
      },
    );
  });

  it('takes no instance that would make it hold itself, by others either', () => {
    const circled = read({
      Inner: '<component name="Inner"><row name="inner" /></component>',
      Outer: '<component name="Outer"><row><Inner /></row></component>',
      A: '<screen name="A" />',
    });
    const row = circled.components!.find(({ name }) => name === 'Inner')!.children[0]!;
    for (const kind of ['Inner', 'Outer'])
      expect(
        applySteps(circled, [
          { type: 'insert', parent: row.id, index: 0, control: { id: 'new', kind, props: {}, children: [] } },
        ]),
      ).toMatchObject({ ok: false, reason: `\`Inner\` would hold itself: \`${kind}\` cannot stand in it.` });
  });

  it('keeps the controls of instances that a change does not touch', () => {
    const many = read({
      Bunk: bunk,
      A: `<screen name="A">${'<Bunk />'.repeat(10)}</screen>`,
    });
    const before = expandedOn(many, many.screens[0]!).screen;
    const changed = applySteps(many, [
      { type: 'set', control: many.screens[0]!.children[3]!.id, property: 'number', value: '9' },
    ]);
    if (!changed.ok) throw new Error(changed.reason);
    const after = expandedOn(changed.project, changed.project.screens[0]!).screen;
    expect(after.children.map((each, index) => each === before.children[index])).toEqual(
      Array.from({ length: 10 }, (_, index) => index !== 3),
    );
  });
});
