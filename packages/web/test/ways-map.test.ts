/** The map of ways as plain data: where cards stand, how arrows run, what keys lead to; and screens in folders. */
import { applySteps, type Project, parseScreen } from '@hovrin/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { areaAround, arranged, type Card } from '../src/ways/arrange.ts';
import { arrowLine } from '../src/ways/arrows.ts';
import { cardBeside } from '../src/ways/cardBeside.ts';
import {
  folderInMenu,
  groupsOf,
  movedScreen,
  newFolder,
  shiftedScreen,
  withoutFolder,
} from '../src/ways/folderSteps.ts';
import { arrowsOf, foldersOn, mapOf } from '../src/ways/mapModel.ts';
import { placedSvg } from '../src/ways/mapPicture.ts';
import { trialProject } from './trialProject.ts';

const card = (name: string, folder?: string): Card => ({ name, width: 160, height: 240, folder });

const overlap = (one: { x: number; y: number }, other: { x: number; y: number }) =>
  Math.abs(one.x - other.x) < 160 && Math.abs(one.y - other.y) < 240;

describe('cards on the map', () => {
  it('stand from left to right along the ways', () => {
    const spots = arranged(
      [card('A'), card('B'), card('C')],
      [
        ['A', 'B'],
        ['B', 'C'],
        ['C', 'C'],
        ['C', 'Nowhere'],
      ],
    );
    expect(spots.get('A')!.x).toBeLessThan(spots.get('B')!.x);
    expect(spots.get('B')!.x).toBeLessThan(spots.get('C')!.x);
  });

  it('never lie over each other, whatever the ways and folders', () => {
    const names = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'];
    const name = fc.constantFrom(...names);
    fc.assert(
      fc.property(
        fc.array(fc.tuple(name, name), { maxLength: 16 }),
        fc.array(fc.nat(3), { minLength: 8, maxLength: 8 }),
        (links, folders) => {
          const cards = names.map((each, at) =>
            card(each, folders[at] ? `Folder ${folders[at]}` : undefined),
          );
          const spots = arranged(cards, links);
          const placed = names.map((each) => spots.get(each)!);
          placed.forEach((one, at) => {
            for (const other of placed.slice(at + 1)) expect(overlap(one, other)).toBe(false);
          });
        },
      ),
      { numRuns: 60 },
    );
  });

  it('stay where they were put', () => {
    const spots = arranged([card('A'), card('B')], [['A', 'B']], new Map([['B', { x: -40, y: 900 }]]));
    expect(spots.get('B')).toEqual({ x: -40, y: 900 });
  });

  it('of a folder lie in its area', () => {
    const cards = [card('A', 'Evening'), card('B', 'Evening'), card('C')];
    const area = areaAround(
      cards.slice(0, 2),
      arranged(cards, [
        ['A', 'B'],
        ['B', 'C'],
      ]),
    )!;
    expect(area.width).toBeGreaterThanOrEqual(320);
    expect(areaAround([], new Map())).toBeUndefined();
  });

  it('are gone through by arrow keys, straight ahead first', () => {
    const cards = [card('A'), card('B'), card('C'), card('D')];
    const spots = new Map([
      ['A', { x: 0, y: 0 }],
      ['B', { x: 300, y: 10 }],
      ['C', { x: 200, y: 400 }],
      ['D', { x: 0, y: 500 }],
    ]);
    const model = { cards, spots } as never;
    expect(cardBeside(model, 'A', [1, 0])).toBe('B');
    expect(cardBeside(model, 'A', [0, 1])).toBe('D');
    expect(cardBeside(model, 'A', [-1, 0])).toBeUndefined();
    expect(cardBeside(model, 'D', [0, -1])).toBe('A');
  });
});

describe('an arrow', () => {
  const box = { x: 0, y: 0, width: 100, height: 20 };
  const ends = (path: string) => path.match(/-?[\d.]+/g)!.map(Number);

  it('leaves a control at the side that faces the card, and meets its edge squarely', () => {
    const right = ends(arrowLine(box, { x: 300, y: -100, width: 160, height: 240 }).path);
    expect(right.slice(0, 2)).toEqual([100, 10]);
    expect(right.slice(-2)).toEqual([300, 20]);
    // The last bend is level with the tip.
    expect(right[5]).toBe(20);
    const below = ends(arrowLine(box, { x: -20, y: 300, width: 160, height: 240 }).path);
    expect(below.slice(0, 2)).toEqual([50, 20]);
    expect(below.slice(-2)).toEqual([60, 300]);
  });

  it('runs beside others between the same cards', () => {
    const target = { x: 300, y: -100, width: 160, height: 240 };
    expect(ends(arrowLine(box, target, 1).path).at(-1)).toBe(34);
    expect(ends(arrowLine(box, target, -1).path).at(-1)).toBe(6);
  });
});

let last = 0;
function screen(text: string) {
  const parsed = parseScreen(text, {
    file: 'test',
    context: { namesKnown: false, bands: [] } as never,
    newId: () => `w${++last}`,
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  return parsed.screen;
}

const whole: Project = {
  ...trialProject,
  folders: [{ name: 'Evening', screens: ['A', 'C'] }],
  screens: [
    screen('<screen name="A"><button text="On" on.press="go(\'B\')" /><nav options="A | B | C" /></screen>'),
    screen('<screen name="B"><button text="Gone" on.press="go(\'D\')" /></screen>'),
    screen('<screen name="C" dialog="true" />'),
  ],
};
const size = { label: 'Hand', width: 390, height: 844 };

describe('the map of a project', () => {
  const model = mapOf(whole, size);

  it('marks what each screen is, and what is wrong with it', () => {
    expect(model.cards.map(({ name, marks, folder }) => [name, marks, folder])).toEqual([
      ['A', ['start'], 'Evening'],
      ['B', [], undefined],
      ['C', ['dialog'], 'Evening'],
    ]);
    expect(foldersOn(model, whole).map(({ name }) => name)).toEqual(['Evening']);
  });

  it('has an arrow for each way that is shown; one that leads nowhere ends as a stub', () => {
    const own = arrowsOf(model, new Map(), ({ by }) => by !== 'place');
    expect(own.map(({ way, isNowhere }) => [way.from, way.to, isNowhere])).toEqual([
      ['A', 'B', false],
      ['B', 'D', true],
    ]);
  });
});

describe('screens in folders', () => {
  const after = (steps: ReturnType<typeof movedScreen>, of = whole): Project => {
    const applied = applySteps(of, steps);
    if (!applied.ok) throw new Error(applied.reason);
    return applied.project;
  };
  const order = (of: Project) =>
    groupsOf(of).map(({ folder, screens }) => [folder?.name, screens.map(({ name }) => name)]);
  const named = (name: string, of = whole) => of.screens.find((each) => each.name === name)!;

  it('are put into another, in front of one that is there or behind all', () => {
    expect(order(whole)).toEqual([
      ['Evening', ['A', 'C']],
      [undefined, ['B']],
    ]);
    expect(order(after(movedScreen(whole, named('B'), 'Evening', named('C').id)))).toEqual([
      ['Evening', ['A', 'B', 'C']],
      [undefined, []],
    ]);
    expect(order(after(movedScreen(whole, named('A'), undefined)))).toEqual([
      ['Evening', ['C']],
      [undefined, ['B', 'A']],
    ]);
  });

  it('change places with their neighbours, up to the ends', () => {
    const swapped = after(shiftedScreen(whole, named('A'), 1));
    expect(order(swapped)[0]).toEqual(['Evening', ['C', 'A']]);
    expect(order(after(shiftedScreen(swapped, named('A', swapped), -1), swapped))).toEqual(order(whole));
    expect(shiftedScreen(whole, named('A'), -1)).toEqual([]);
    expect(shiftedScreen(whole, named('C'), 1)).toEqual([]);
  });

  it('stay when their folder goes; a folder is kept out of the menu and brought back', () => {
    const added = after(newFolder('Office'));
    expect(order(added).map(([name]) => name)).toEqual(['Evening', 'Office', undefined]);
    const [evening] = whole.folders!;
    expect(order(after(withoutFolder(evening!)))).toEqual([[undefined, ['A', 'B', 'C']]]);
    const out = after(folderInMenu(evening!, false));
    expect(out.folders![0]!.menu).toBe(false);
    expect(after(folderInMenu(out.folders![0]!, true), out).folders).toEqual(whole.folders);
  });
});

it('a picture in another one keeps its clips and is cut at its foot', () => {
  const svg =
    '<?xml version="1.0"?><svg xmlns="x" width="390" height="600"><clipPath id="clip1"/><g clip-path="url(#clip1)"/></svg>';
  const placed = placedSvg(svg, '7', { x: 5, y: 6, width: 160, height: 240 });
  expect(placed).toContain('x="5" y="6"');
  expect(placed).toContain('width="160" height="240"');
  expect(placed).toContain('viewBox="0 0 390 600"');
  expect(placed).toContain('slice');
  expect(placed.match(/clip7-1/g)).toHaveLength(2);
});
