/** The ways of an application: what they are told as, which screens they reach, how they are changed. */
import { describe, expect, it } from 'vitest';
import {
  addWay,
  applySteps,
  type Control,
  leadWay,
  type Project,
  parseComponent,
  reachOf,
  removeWay,
  transitionOfWay,
  type Way,
  type WayChange,
  walk,
  waysOf,
} from '../src/index.ts';
import { projectFrom } from './documents.ts';

const withCellar = projectFrom(
  { start: 'Tonight' },
  `<screen name="Tonight">
    <nav options="Tonight | Bunks" />
    <button text="Kitchen" on.press="if (true) { go('Kitchen', {}, { replace: true }); message('On the way') }" />
    <link text="Bunks" to="Bunks" />
    <link text="Forecast" to="https://hut.example/" />
    <button text="Ask" on.press="open('Ask')" />
  </screen>`,
  `<screen name="Bunks"><button text="Back" on.press="back()" />
    <button text="Either" on.press="go(1 == 1 ? 'Tonight' : 'Kitchen')" /></screen>`,
  '<screen name="Kitchen"><text text="Soup" /></screen>',
  '<screen name="Ask" dialog="true"><button text="Close" on.press="close()" /></screen>',
  '<screen name="Attic"><button text="Gone" on.press="go(\'Cellar\')" /></screen>',
  '<screen name="Cellar" />',
);
const project: Project = {
  ...withCellar,
  screens: withCellar.screens.filter(({ name }) => name !== 'Cellar'),
};

const brief = ({ from, to, by, attribute }: Way) => [from, to, by, attribute];
const to = (name: string, of: Project = project) => of.screens.find((screen) => screen.name === name)!;
const way = (from: string, name: string, by: Way['by'], of = project) =>
  waysOf(of).find((each) => each.from === from && each.to === name && each.by === by)!;
const controlWith = (text: string, of: Project = project): Control =>
  of.screens.flatMap((screen) => [...walk(screen)]).find(({ props }) => props.text === text)!;

/** The project after a change, and the attribute that it is about. */
function after(change: WayChange, attribute: string, of = project): string | undefined {
  if (!('steps' in change)) return `no: ${change.reason}`;
  const applied = applySteps(of, change.steps);
  if (!applied.ok) return `refused: ${applied.reason}`;
  const [step] = change.steps;
  const id = step?.type === 'set' ? step.control : '';
  const found = applied.project.screens.flatMap((screen) => [...walk(screen)]).find((each) => each.id === id);
  return String(found?.props[attribute] ?? '');
}

describe('the ways of a project', () => {
  it('are told with what leads there', () => {
    expect(waysOf(project).map(brief)).toEqual([
      ['Tonight', 'Tonight', 'place', 'options'],
      ['Tonight', 'Bunks', 'place', 'options'],
      ['Tonight', 'Kitchen', 'go', 'on.press'],
      ['Tonight', 'Bunks', 'link', 'to'],
      ['Tonight', 'Ask', 'open', 'on.press'],
      ['Bunks', undefined, 'back', 'on.press'],
      ['Bunks', 'Tonight', 'go', 'on.press'],
      ['Bunks', 'Kitchen', 'go', 'on.press'],
      ['Ask', undefined, 'close', 'on.press'],
      ['Attic', 'Cellar', 'go', 'on.press'],
    ]);
  });

  it('say which screens are reached, left, and not there', () => {
    const { unreached, noWayOut, nowhere } = reachOf(project);
    expect([...unreached]).toEqual(['Attic']);
    expect([...noWayOut]).toEqual(['Kitchen']);
    expect(nowhere.map(({ to: name }) => name)).toEqual(['Cellar']);
    const open = projectFrom(
      {},
      '<screen name="A"><button on.press="go(name)" /></screen>',
      '<screen name="B" />',
    );
    expect([...reachOf(open).unreached]).toEqual([]);
  });

  it('of a surround are known as such', () => {
    const parsed = parseComponent(
      '<component name="Frame" surround="true"><column><link text="Help" to="Help" /><slot /></column></component>',
      { file: 'Frame', context: { namesKnown: false, bands: [] } as never, newId: () => `f${Math.random()}` },
    );
    if (!parsed.ok) throw new Error(parsed.problems[0]?.message);
    const framed = {
      ...projectFrom(
        {},
        '<screen name="A" surround="Frame"><link text="B" to="B" /></screen>',
        '<screen name="B" />',
      ),
      components: [parsed.screen],
    };
    expect(waysOf(framed).map(({ to: name, isAround }) => [name, isAround])).toEqual([
      ['Help', true],
      ['B', false],
    ]);
  });

  it('of a navigation with the menu are said by nothing of it', () => {
    const menu = projectFrom({}, '<screen name="A"><nav /></screen>', '<screen name="B" />');
    expect(waysOf(menu).map(brief)).toEqual([
      ['A', 'A', 'place', ''],
      ['A', 'B', 'place', ''],
    ]);
    expect(removeWay(menu, waysOf(menu)[1]!)).toMatchObject({ reason: expect.stringContaining('menu') });
  });
});

describe('a way that is drawn', () => {
  it.each([
    ['Bunks', 'Kitchen', 'to', 'Kitchen'],
    ['Ask', 'Kitchen', 'on.press', `open('Ask'); go("Kitchen")`],
    ['Soup', 'Ask', 'on.press', 'open("Ask")'],
  ])('from %s to %s', (from, name, attribute, text) => {
    expect(after(addWay(controlWith(from), to(name)), attribute)).toBe(text);
  });

  it('stands behind the other places of a navigation', () => {
    const nav = to('Tonight').children[0]!;
    expect(after(addWay(nav, to('Kitchen')), 'options')).toBe('Tonight | Bunks | Kitchen');
    expect(addWay(nav, to('Bunks'))).toMatchObject({ reason: 'It leads to Bunks already.' });
  });

  it('is refused where nobody could go it', () => {
    expect(addWay(to('Tonight'), to('Bunks'))).toMatchObject({ reason: expect.stringContaining('no event') });
  });
});

describe('a way that is taken away', () => {
  it.each([
    ['Kitchen', 'go', 'on.press', "if (true) { message('On the way') }"],
    ['Bunks', 'link', 'to', ''],
    ['Bunks', 'place', 'options', 'Tonight'],
    ['Ask', 'open', 'on.press', ''],
  ] as const)('to %s by %s', (name, by, attribute, text) => {
    expect(after(removeWay(project, way('Tonight', name, by)), attribute)).toBe(text);
  });
});

describe('a way that leads elsewhere', () => {
  it('has the other name', () => {
    expect(after(leadWay(project, way('Bunks', 'Kitchen', 'go'), to('Attic')), 'on.press')).toBe(
      `go(1 == 1 ? 'Tonight' : "Attic")`,
    );
    expect(after(leadWay(project, way('Tonight', 'Bunks', 'link'), to('Kitchen')), 'to')).toBe('Kitchen');
  });

  it('is no way to a dialog', () => {
    expect(leadWay(project, way('Bunks', 'Kitchen', 'go'), to('Ask'))).toMatchObject({
      reason: expect.stringContaining('dialog'),
    });
  });
});

describe('the transition of a way', () => {
  it('stands behind what it brings, and goes again', () => {
    const changed = transitionOfWay(project, way('Tonight', 'Kitchen', 'go'), { name: 'grow', seconds: 0.4 });
    const text = `if (true) { go('Kitchen', {}, { replace: true, transition: "grow", seconds: 0.4 }); message('On the way') }`;
    expect(after(changed, 'on.press')).toBe(text);
    const applied = 'steps' in changed ? applySteps(project, changed.steps) : undefined;
    if (!applied?.ok) throw new Error('It was refused.');
    const known = way('Tonight', 'Kitchen', 'go', applied.project);
    expect(known.transition).toEqual({ name: 'grow', seconds: 0.4 });
    expect(after(transitionOfWay(applied.project, known, undefined), 'on.press', applied.project)).toBe(
      controlWith('Kitchen').props['on.press'],
    );
  });

  it('is left to the screen where the way is no action', () => {
    expect(transitionOfWay(project, way('Tonight', 'Bunks', 'link'), { name: 'fade' })).toMatchObject({
      reason: expect.stringContaining('says how'),
    });
  });
});
