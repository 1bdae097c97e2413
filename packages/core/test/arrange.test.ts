/** Wrapping, changing kinds, taking over looks, lining up, units: what the steps make of a document. */
import { beforeAll, describe, expect, it } from 'vitest';
import {
  alignControls,
  applySteps,
  changeKind,
  convertUnits,
  giveTo,
  type Project,
  printScreen,
  type ScreenLayout,
  ScreenView,
  type Step,
  sameLook,
  sameSize,
  spaceOut,
  takeFrom,
  unwrap,
  wrapIn,
} from '../src/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { named, projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const done = (project: Project, steps: readonly Step[]): Project => {
  const applied = applySteps(project, steps);
  if (!applied.ok) throw new Error(applied.reason);
  // What was done can be taken back as a whole.
  const back = applySteps(applied.project, applied.inverse);
  expect(back.ok && back.project.screens).toEqual(project.screens);
  return applied.project;
};
const text = (project: Project) => printScreen(project.screens[0]!, project.bands).replaceAll(/\n\s*/g, '');
const layOut = (project: Project): ScreenLayout =>
  new ScreenView(shaper).layOut(project, project.screens[0]!, { width: 400, height: 800 });
const idOf = (project: Project, name: string) => named(project, name).id;
let ids = 0;
const newId = () => `new${++ids}`;

describe('wrapping', () => {
  const project = projectOf(
    '<screen name="A"><text name="a" /><text name="b" width="120" align-self="end" /><row name="r"><text name="c" /><text name="d" /></row></screen>',
  );

  it('puts siblings into a container at the place of the first, in the order of the document', () => {
    const { steps } = wrapIn(project, [idOf(project, 'r'), idOf(project, 'a')], 'column', newId)!;
    expect(text(done(project, steps))).toBe(
      '<screen name="A"><column name="column1" gap="12"><text name="a" /><row name="r"><text name="c" /><text name="d" /></row></column><text name="b" width="120" align-self="end" /></screen>',
    );
  });

  it('hands the place and size of one control to its container, which it fills', () => {
    const { steps } = wrapIn(project, [idOf(project, 'b')], 'row', newId)!;
    const after = done(project, steps);
    expect(text(after)).toContain(
      '<row name="row1" width="120" align-self="end" gap="12"><text name="b" width="share" /></row>',
    );
    const [before, now] = [layOut(project), layOut(after)].map(
      (each) => each.byControl.get(idOf(project, 'b'))!,
    );
    expect([now!.x, now!.y, now!.width]).toEqual([before!.x, before!.y, before!.width]);
  });

  it('of what lies inside something else that is selected takes the outer one', () => {
    const { steps } = wrapIn(project, [idOf(project, 'c'), idOf(project, 'r')], 'fieldset', newId)!;
    expect(text(done(project, steps))).toContain(
      '<fieldset name="fieldset1" caption="Caption" gap="12"><row name="r">',
    );
  });

  it('is taken back by unwrapping', () => {
    const wrapped = wrapIn(project, [idOf(project, 'c'), idOf(project, 'd')], 'column', newId)!;
    const around = done(project, wrapped.steps);
    expect(text(done(around, unwrap(around, wrapped.container)!.steps))).toBe(text(project));
  });

  it('is refused where the kinds do not go together', () => {
    const split = projectOf(
      '<screen name="A"><bar name="top" /><split name="s"><text name="a" /><text name="b" /></split></screen>',
    );
    expect(wrapIn(split, [idOf(split, 'top')], 'row', newId)).toBeUndefined();
    expect(wrapIn(project, [project.screens[0]!.id], 'row', newId)).toBeUndefined();
    expect(unwrap(project, idOf(project, 'a'))).toBeUndefined();
    expect(unwrap(split, idOf(split, 's'))).toBeDefined();
  });
});

describe('changing the kind', () => {
  const change = (source: string, name: string, kind: string) => {
    const project = projectOf(source);
    const changed = changeKind(project, idOf(project, name), kind);
    if (typeof changed === 'string') return changed;
    return { text: text(done(project, changed.steps)), lost: changed.lost };
  };

  it('keeps name, children and whatever still applies, and says what does not', () => {
    expect(
      change(
        '<screen name="A"><row name="r" gap="8" wrap="true" lap.gap="16"><text name="a" /></row></screen>',
        'r',
        'layers',
      ),
    ).toEqual({
      text: '<screen name="A"><layers name="r"><text name="a" /></layers></screen>',
      lost: ['gap', 'wrap', 'lap.gap'],
    });
    expect(
      change(
        '<screen name="A"><row name="r" gap="8" lap.gap="16"><text name="a" /></row></screen>',
        'r',
        'column',
      ),
    ).toEqual({
      text: '<screen name="A"><column name="r" gap="8" lap.gap="16"><text name="a" /></column></screen>',
      lost: [],
    });
  });

  it('what a person reads goes on being read, and bindings stay', () => {
    expect(
      change(
        '<screen name="A"><checkbox name="c" label="Late" checked.bind="late" /></screen>',
        'c',
        'switch',
      ),
    ).toMatchObject({
      text: '<screen name="A"><switch name="c" label="Late" checked.bind="late" /></screen>',
    });
    expect(
      change('<screen name="A"><text name="t" text="Note" size="20" /></screen>', 't', 'textField'),
    ).toMatchObject({
      text: '<screen name="A"><textField name="t" label="Note" /></screen>',
      lost: ['size'],
    });
    expect(
      change('<screen name="A"><radioGroup name="g" options="a | b" value="b" /></screen>', 'g', 'select'),
    ).toMatchObject({
      text: '<screen name="A"><select name="g" value="b" options="a | b" /></screen>',
    });
  });

  it('is refused where children or parent do not fit', () => {
    expect(change('<screen name="A"><row name="r"><text name="a" /></row></screen>', 'r', 'text')).toMatch(
      /holds no other/,
    );
    expect(change('<screen name="A"><row name="r"><text name="a" /></row></screen>', 'a', 'bar')).toMatch(
      /only stand in/,
    );
  });
});

describe('look and size', () => {
  it('go from one control to another as far as it can have them; the rest goes back to defaults', () => {
    const project = projectOf(
      '<screen name="A"><text name="a" text="one" width="90" size="20" color="warm" padding="4" lap.size="24" /><button name="b" text="two" background="ink" /></screen>',
    );
    const [a, b] = ['a', 'b'].map((name) => named(project, name));
    const after = done(project, giveTo(b!, 'look', takeFrom(a!, 'look')));
    expect(text(after)).toContain(
      '<button name="b" text="two" padding="4" size="20" lap.size="24" color="warm" />',
    );
    expect(text(done(after, giveTo(b!, 'size', takeFrom(a!, 'size'))))).toContain(
      '<button name="b" text="two" width="90"',
    );
  });

  it('are the same where all of the look is', () => {
    const project = projectOf(
      '<screen name="A"><text name="a" size="20" text="x" /><text name="b" text="y" size="20" width="3" /><text name="c" /></screen>',
    );
    const [a, b, c] = ['a', 'b', 'c'].map((name) => named(project, name));
    expect([sameLook(a!, b!), sameLook(a!, c!)]).toEqual([true, false]);
  });
});

describe('lining up', () => {
  const board = projectOf(`<screen name="A"><pinboard name="p" height="300" padding="10">
    <spacer name="a" left="20" top="30" width="40" height="20" /><spacer name="b" right="50" top="10%" width="60" height="30" /><spacer name="c" center-x="-30" bottom="20" width="80" height="40" />
  </pinboard></screen>`);
  const all = () => ['a', 'b', 'c'].map((name) => idOf(board, name));
  const places = (project: Project) => {
    const layout = layOut(project);
    return ['a', 'b', 'c'].map((name) => layout.byControl.get(idOf(project, name))!);
  };
  const aligned = (
    edge: Parameters<typeof alignControls>[3]['edge'],
    target: Parameters<typeof alignControls>[3]['target'],
    asOne = false,
  ) => places(done(board, alignControls(board, layOut(board), all(), { edge, target, asOne }).steps));

  it('with each other goes to the outermost edge or the middle of all, whatever pins hold them', () => {
    const before = places(board);
    const left = Math.min(...before.map(({ x }) => x));
    for (const { x } of aligned('left', 'each other')) expect(x).toBeCloseTo(left, 1);
    const bottom = Math.max(...before.map(({ y, height }) => y + height));
    for (const { y, height } of aligned('bottom', 'each other')) expect(y + height).toBeCloseTo(bottom, 1);
    const middles = aligned('middle', 'each other').map(({ y, height }) => y + height / 2);
    expect(Math.max(...middles) - Math.min(...middles)).toBeLessThan(0.2);
  });

  it('with the parent keeps its padding, with the screen its edges', () => {
    for (const { x, width } of aligned('right', 'the parent')) expect(x + width).toBeCloseTo(390, 1);
    for (const { x } of aligned('left', 'the screen')) expect(x).toBeCloseTo(0, 1);
  });

  it('as one keeps the distances between them', () => {
    const before = places(board);
    const after = aligned('center', 'the parent', true);
    const shift = after[0]!.x - before[0]!.x;
    for (const [index, { x }] of after.entries()) expect(x - before[index]!.x).toBeCloseTo(shift, 1);
    const from = Math.min(...after.map(({ x }) => x));
    const to = Math.max(...after.map(({ x, width }) => x + width));
    expect((from + to) / 2).toBeCloseTo(200, 1);
  });

  it('in rows, columns and cells sets the property that lines things up there, and says so', () => {
    const project = projectOf(
      '<screen name="A"><row name="r" height="80"><text name="a" text="x" /></row><grid name="g"><text name="b" /></grid></screen>',
    );
    const align = (name: string, edge: 'right' | 'middle') =>
      alignControls(project, layOut(project), [idOf(project, name)], { edge, target: 'each other' });
    expect(align('a', 'right')).toMatchObject({
      steps: [{ control: idOf(project, 'r'), property: 'justify', value: 'end' }],
      said: ['justify of r is end'],
    });
    const both = projectOf(
      '<screen name="A"><row name="r"><text name="a" /><text name="b" /></row></screen>',
    );
    const ends = alignControls(both, layOut(both), [idOf(both, 'a'), idOf(both, 'b')], {
      edge: 'right',
      target: 'each other',
    });
    expect(ends.said).toEqual(['justify of r is end']);
    expect(align('a', 'middle')).toMatchObject({ steps: [{ property: 'align-self', value: 'center' }] });
    expect(align('b', 'right')).toMatchObject({ steps: [{ property: 'justify-self', value: 'end' }] });
    expect(align('r', 'right')).toMatchObject({
      steps: [{ control: idOf(project, 'r'), property: 'align-self', value: 'end' }],
    });
  });

  it('spaces out with equal room between, the outer ones staying', () => {
    const before = places(board).toSorted((a, b) => a.x - b.x);
    const after = places(done(board, spaceOut(board, layOut(board), all(), 'x').steps)).toSorted(
      (a, b) => a.x - b.x,
    );
    const rooms = after.slice(1).map((box, index) => box.x - after[index]!.x - after[index]!.width);
    expect(rooms[0]).toBeCloseTo(rooms[1]!, 1);
    expect([after[0]!.x, after[2]!.x]).toEqual([before[0]!.x, before[2]!.x]);
  });

  it('gives the size of the first to the others', () => {
    const steps = sameSize(
      board,
      layOut(board),
      ['c', 'a'].map((name) => idOf(board, name)),
      'width',
    );
    expect(places(done(board, steps)).map(({ width }) => width)).toEqual([80, 60, 80]);
  });
});

describe('px and per cent', () => {
  it('change over without anything moving, there and back, a whole subtree at once', () => {
    const project =
      projectOf(`<screen name="A" padding="20"><row name="r" width="300" height="100" padding="10"><column name="c" width="70"><text name="t" width="35" height="20" /></column><text name="u" text="long enough" /></row>
      <pinboard name="p" height="200"><spacer name="s" left="20" top="30" width="36" height="50" /></pinboard></screen>`);
    const roots = ['r', 'p'].map((name) => idOf(project, name));
    const before = layOut(project);
    const percent = done(project, convertUnits(project, before, roots, { to: '%', deep: true }, layOut));
    expect(named(percent, 'c').props.width).toBe('25%');
    expect(named(percent, 's').props).toMatchObject({
      left: '5.5556%',
      top: '15%',
      width: '10%',
      height: '25%',
    });
    // A column that is as high as its content has no height for a percentage to refer to.
    expect(named(percent, 'p').props.height).toBe('200');
    const moved = (project: Project) =>
      Math.max(
        ...[...layOut(project).byControl].map(([id, box]) =>
          Math.max(
            Math.abs(box.x - before.byControl.get(id)!.x),
            Math.abs(box.width - before.byControl.get(id)!.width),
            Math.abs(box.height - before.byControl.get(id)!.height),
          ),
        ),
      );
    expect(moved(percent)).toBeLessThanOrEqual(0.1);
    const back = done(
      percent,
      convertUnits(percent, layOut(percent), roots, { to: 'px', deep: true }, layOut),
    );
    expect(Number(named(back, 'c').props.width)).toBeCloseTo(70, 2);
    expect(moved(back)).toBeLessThanOrEqual(0.1);
  });
});
