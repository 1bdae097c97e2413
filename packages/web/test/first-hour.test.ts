/** The first hour: what is done already, findings of one cause in one row, marks by what a control says. */
import type { Finding } from '@hovrin/core';
import { describe, expect, it } from 'vitest';
import { named, projectOf } from '../../core/test/documents.ts';
import { doneSteps, firstSteps } from '../src/workbench/bench/firstSteps.ts';
import { findingGroups, fixOfAll } from '../src/workbench/drawers/findingGroups.ts';
import { markKinds, marksOf } from '../src/workbench/markKinds.tsx';

const screen = (inside: string) => projectOf(`<screen name="Tonight" gap="4">${inside}</screen>`);

describe('a first step', () => {
  it.each([
    ['', []],
    ['<text text="Soup" />', ['add']],
    ['<row><text text="a" /></row>', ['add']],
    ['<row><text text="a" /><text text="b" /></row>', ['add', 'row']],
    ['<text text="a" width="share 2" />', ['add', 'share']],
    ['<text text="a" lap.size="20" />', ['add', 'band']],
    ['<button text="a" on.press="guests = 1" />', ['add']],
    ['<text text="{guests} guests" />', ['add', 'bind']],
    ['<column><textField label="Who" value.bind="name" /></column>', ['add', 'bind']],
  ])('of %s is done: %j', (inside, done) => {
    expect([...doneSteps(screen(inside))].toSorted()).toEqual(done.toSorted());
  });
  it('says how', () => {
    for (const { how } of firstSteps) expect(how).toMatch(/\.$/);
  });
});

describe('marks', () => {
  it('are had by what a control says itself', () => {
    const project = screen(
      '<text name="a" text="x" /><text name="b" text="{guests}" lap.size="20" on.press="guests = 1" /><checkbox name="c" label="x" checked.bind="late" />',
    );
    expect(marksOf(named(project, 'a'))).toEqual([]);
    expect(marksOf(named(project, 'b'))).toEqual(['bound', 'events', 'changes']);
    expect(marksOf(named(project, 'c'))).toEqual(['bound']);
  });
  it('are told apart without their colour', () => {
    const shapes = Object.values(markKinds).map(({ shape }) => JSON.stringify(shape.props));
    expect(new Set(shapes).size).toBe(shapes.length);
  });
});

describe('findings of one cause', () => {
  const finding = (
    control: string,
    sentence: string,
    fix = `Make \`${control}\` at least 44 px high`,
  ): Finding =>
    ({
      control,
      check: 'small-target',
      severity: 'advice',
      sentence,
      where: {},
      fixes:
        fix === ''
          ? []
          : [{ label: fix, steps: [{ type: 'set', control, property: 'min-height', value: '44' }] }],
    }) as unknown as Finding;
  const small = (name: string) =>
    finding(name, `\`${name}\` is less than 44 px wide or high; fingers want that.`);

  it('are one row, whatever they are called and however large they are', () => {
    const groups = findingGroups([
      small('send'),
      small('back'),
      finding('row', '`row` is 3 px wider than `page`.'),
      finding('line', '`line` is 12.5 px wider than `page`.'),
    ]);
    expect(groups.map(({ findings }) => findings.map(({ control }) => control))).toEqual([
      ['send', 'back'],
      ['row', 'line'],
    ]);
  });

  it('are mended by one press where each has a fix of the same kind', () => {
    const [group] = findingGroups([small('send'), small('back')]);
    expect(fixOfAll(group!)).toMatchObject({ label: 'Make all 2 at least 44 px high' });
    expect(fixOfAll(group!)?.steps).toHaveLength(2);
    const without = findingGroups([small('send'), finding('x', small('x').sentence, '')]);
    expect(fixOfAll(without[0]!)).toBeUndefined();
    const others = findingGroups([small('send'), finding('x', small('x').sentence, 'Hide `x`')]);
    expect(fixOfAll(others[0]!)).toBeUndefined();
    expect(fixOfAll(findingGroups([small('send')])[0]!)).toBeUndefined();
  });
});
