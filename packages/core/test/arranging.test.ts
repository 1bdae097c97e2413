/** Rows, columns and grids found in roughly placed controls: they keep the places, and hold at other widths. */
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { Chance } from '../../../tests/parity/documents.ts';
import { applySteps, arrangeBoard, type Project, printScreen, ScreenView } from '../src/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { named, projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const layOut = (project: Project, width = 400) =>
  new ScreenView(shaper).layOut(project, project.screens[0]!, { width, height: 900 });
let ids = 0;
function arranged(project: Project, noise?: number) {
  const made = arrangeBoard(project, layOut, named(project, 'board').id, {
    newId: () => `new${++ids}`,
    noise,
  })!;
  const applied = applySteps(project, made.steps);
  if (!applied.ok) throw new Error(applied.reason);
  return { project: applied.project, guesses: made.guesses };
}
const text = (project: Project) =>
  printScreen(project.screens[0]!, project.bands).replaceAll(/\n\s*/g, ' ').replaceAll('" />', '"/>');
const board = (inside: string) =>
  projectOf(`<screen name="A"><pinboard name="board" height="600">${inside}</pinboard></screen>`);

describe('a roughly placed form', () => {
  const form = board(`
    <text name="title" text="Check-in" left="22" top="18" size="24"/>
    <text name="guest" text="Guest" left="19" top="71"/><spacer name="field" left="120" top="69" width="262" height="30"/>
    <text name="nights" text="Nights" left="21" top="117"/><spacer name="count" left="119" top="114" width="260" height="31"/>
    <button name="cancel" text="Cancel" left="20" top="180"/><button name="save" text="Save" right="19" top="181"/>`);

  it('becomes a column of a heading, a grid and a row with two ends, and looks the same', () => {
    const after = arranged(form);
    expect(text(after.project)).toMatch(/<column name="board"[^>]*> <text name="title"/);
    expect(text(after.project)).toMatch(/<grid name="grid1"[^>]*> <text name="guest"/);
    expect(text(after.project)).toMatch(/<row name="row1"[^>]*justify="between"[^>]*> <button name="cancel"/);
    expect(after.guesses).toContain('Two parts keep to the two ends of their row.');
    const [before, now] = [layOut(form), layOut(after.project)];
    for (const name of ['title', 'guest', 'field', 'nights', 'count', 'cancel', 'save']) {
      const [a, b] = [before, now].map((layout) => layout.byControl.get(named(form, name).id)!);
      expect(Math.max(Math.abs(a!.x - b!.x), Math.abs(a!.y - b!.y)), name).toBeLessThanOrEqual(6);
    }
  });

  it('keeps its ends where they are at another width', () => {
    const { project } = arranged(form);
    const save = layOut(project, 700).byControl.get(named(project, 'save').id)!;
    expect(700 - save.x - save.width).toBeLessThan(26);
  });
});

it('two parts that stand close to each other have a gap between them, also where they fill the row', () => {
  const close = arranged(
    board(
      '<spacer name="a" left="20" top="20" width="150" height="30"/><spacer name="b" left="180" top="20" width="200" height="30"/>',
    ),
  );
  expect(text(close.project)).not.toContain('between');
  expect(text(close.project)).toMatch(/<row name="row\d+"[^>]* gap="10"/);
});

it('a part of a pinboard becomes a container on it, where it was, and the others stay', () => {
  const project = board(
    '<text name="a" text="One" left="40" top="30"/><spacer name="x" left="300" top="300" width="20" height="20"/><text name="b" text="Two" left="42" top="71"/>',
  );
  const ids_ = ['a', 'b'].map((name) => named(project, name).id);
  const made = arrangeBoard(project, layOut, named(project, 'board').id, {
    newId: () => `part${++ids}`,
    only: ids_,
  })!;
  const applied = applySteps(project, made.steps);
  if (!applied.ok) throw new Error(applied.reason);
  expect(text(applied.project)).toMatch(
    /<pinboard name="board"[^>]*> <column name="column1"[^>]*left="40" top="30"[^>]*> <text name="a"[^>]*\/> <text name="b"[^>]*\/> <\/column> <spacer name="x"[^>]*left="300"/,
  );
  const [before, now] = [layOut(project), layOut(applied.project)];
  for (const id of ids_)
    expect(Math.abs(before.byControl.get(id)!.y - now.byControl.get(id)!.y)).toBeLessThanOrEqual(6);
  expect(
    arrangeBoard(project, layOut, named(project, 'board').id, { newId: () => 'n', only: ids_.slice(1) }),
  ).toBeUndefined();
});

it('parts that are as wide as each other share their row; what lies over each other stays on a pinboard', () => {
  const { project, guesses } = arranged(
    board(`<spacer name="a" left="20" top="20" width="112" height="60"/><spacer name="b" left="144" top="21" width="111" height="60"/><spacer name="c" left="267" top="19" width="113" height="60"/>
    <spacer name="under" left="40" top="120" width="200" height="100"/><spacer name="over" left="60" top="140" width="50" height="50"/>`),
  );
  expect(guesses[0]).toBe('3 parts of a row share it evenly.');
  const widths = ['a', 'b', 'c'].map(
    (name) => layOut(project, 800).byControl.get(named(project, name).id)!.width,
  );
  expect(Math.max(...widths) - Math.min(...widths)).toBeLessThan(0.1);
  expect(text(project)).toMatch(
    /<pinboard[^>]*> <spacer name="under"[^>]*left="0" top="0"\/> <spacer name="over"[^>]*left="20" top="20"\/>/,
  );
});

it('a nest of rows, columns and grids that was flattened with noise lays out within the noise', () => {
  const amplitude = 2;
  const noise = 2 * amplitude + 1;
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
      const chance = new Chance(seed);
      let count = 0;
      const nest = (depth: number): string => {
        const kind = depth === 0 ? 'leaf' : chance.one(['row', 'column', 'grid', 'leaf']);
        if (kind === 'leaf')
          return `<spacer name="s${++count}" width="${chance.whole(24, 70)}" height="${chance.whole(24, 50)}"/>`;
        const gap = chance.whole(16, 30);
        const inside = (many: number) => Array.from({ length: many }, () => nest(depth - 1)).join('');
        return kind === 'grid'
          ? `<grid columns="auto auto" gap="${gap}" justify="start" width="fit">${inside(4)}</grid>`
          : `<${kind} gap="${gap}" align="${chance.one(['start', 'center', 'end'])}" width="fit">${inside(chance.whole(2, 3))}</${kind}>`;
      };
      const nested = projectOf(`<screen name="A" padding="20" align="start">${nest(3)}</screen>`);
      const before = layOut(nested, 1600);
      const names = Array.from({ length: count }, (_, index) => `s${index + 1}`);
      const noisy = () => (chance.next() * 2 - 1) * amplitude;
      const flat = names
        .map((name) => {
          const { x, y, width, height } = before.byControl.get(named(nested, name).id)!;
          return `<spacer name="${name}" left="${(x + noisy()).toFixed(1)}" top="${(y + noisy()).toFixed(1)}" width="${width}" height="${height}"/>`;
        })
        .join('');
      const project = projectOf(
        `<screen name="A"><pinboard name="board" height="3000">${flat}</pinboard></screen>`,
      );
      const rough = layOut(project, 1600);
      const made = arrangeBoard(project, (each) => layOut(each, 1600), named(project, 'board').id, {
        newId: () => `n${++ids}`,
        noise: 2 * amplitude + 1,
      })!;
      const applied = applySteps(project, made.steps);
      if (!applied.ok) throw new Error(applied.reason);
      const after = layOut(applied.project, 1600);
      for (const name of names) {
        const id = named(project, name).id;
        const [a, b] = [rough.byControl.get(id)!, after.byControl.get(id)!];
        const by = Math.max(
          Math.abs(a.x - b.x),
          Math.abs(a.y - b.y),
          Math.abs(a.width - b.width),
          Math.abs(a.height - b.height),
        );
        expect(by, `${name}\n${printScreen(applied.project.screens[0]!, [])}`).toBeLessThanOrEqual(noise);
      }
    }),
    { numRuns: 150, examples: [[664763], [999999], [50968], [951722], [37993], [803129], [623338]] },
  );
});
