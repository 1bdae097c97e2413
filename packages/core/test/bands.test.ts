/** Bands and what hangs on them; values set for a band or an orientation only. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  applySteps,
  changesFrom,
  changesOf,
  everywhere,
  type Project,
  printScreen,
  removeBand,
  renameBand,
  type Step,
  scoped,
  setBand,
  withoutChange,
} from '../src/index.ts';
import { named, projectOf } from './documents.ts';

const project = projectOf(
  '<screen name="s" lap.padding="8"><row name="a" gap="4" lap.gap="8" desk.gap="16" portrait.gap="2" /></screen>',
);
const after = (from: Project, steps: readonly Step[]): Project => {
  const applied = applySteps(from, steps);
  if (!applied.ok) throw new Error(applied.reason);
  const back = applySteps(applied.project, applied.inverse);
  expect(back.ok && back.project, 'one undo').toEqual(from);
  return applied.project;
};
const text = (of: Project) => printScreen(of.screens[0]!, of.bands).replaceAll(/\s+/g, ' ').trim();

describe('a band', () => {
  it('is added in its place, and moved with what hangs on it', () => {
    const added = after(project, setBand(project, { name: 'pad', label: 'Pad', from: 700 }));
    expect(added.bands.map(({ name }) => name)).toEqual(['hand', 'lap', 'pad', 'desk', 'wall']);
    const moved = after(project, setBand(project, { ...project.bands[1]!, from: 640 }));
    expect(moved.bands[1]).toMatchObject({ name: 'lap', from: 640 });
    expect(changesFrom(moved, 'lap')).toBe(2);
  });
  it('is renamed with everything that changes from it', () => {
    const renamed = after(project, renameBand(project, 'lap', 'pad'));
    expect(text(renamed)).toBe(
      '<screen name="s" pad.padding="8"> <row name="a" gap="4" pad.gap="8" desk.gap="16" portrait.gap="2" /> </screen>',
    );
    expect(renamed.bands.map(({ name }) => name)).toEqual(['hand', 'pad', 'desk', 'wall']);
  });
  it('goes with its changes, or leaves them to a neighbour that says nothing itself', () => {
    expect(text(after(project, removeBand(project, 'lap', 'away')))).toBe(
      '<screen name="s"> <row name="a" gap="4" desk.gap="16" portrait.gap="2" /> </screen>',
    );
    expect(text(after(project, removeBand(project, 'lap', 'above')))).toBe(
      '<screen name="s" desk.padding="8"> <row name="a" gap="4" desk.gap="16" portrait.gap="2" /> </screen>',
    );
    expect(text(after(project, removeBand(project, 'lap', 'below')))).toContain('hand.gap="8"');
    const alone = { ...project, bands: project.bands.slice(0, 1) };
    expect(removeBand(alone, 'hand', 'away')).toEqual([]);
  });
});

describe('a change', () => {
  it('is listed with what would hold without it', () => {
    const changes = changesOf(project, project.screens[0]!);
    expect(changes.map((change) => [change.attribute, withoutChange(project, change)])).toEqual([
      ['lap.padding', undefined],
      ['lap.gap', '4'],
      ['desk.gap', '8'],
      ['portrait.gap', undefined],
    ]);
  });
  it('becomes the value for all widths, and the others go', () => {
    expect(text(after(project, everywhere(named(project, 'a'), 'desk.gap')))).toBe(
      '<screen name="s" lap.padding="8"> <row name="a" gap="16" /> </screen>',
    );
  });
});

describe('editing for a scope', () => {
  const id = named(project, 'a').id;
  const set = (property: string, value: string | null): Step => ({
    type: 'set',
    control: id,
    property,
    value,
  });
  let count = 0;
  const inScope = (steps: readonly Step[], scope: string) =>
    scoped(project, steps, scope, () => `copy${++count}`);
  it('sets values for it, as far as they may change there', () => {
    expect(inScope([set('gap', '12')], 'wall')).toEqual([set('wall.gap', '12')]);
    expect(inScope([set('locked', 'true')], 'wall')).toEqual([set('locked', 'true')]);
    expect(inScope([set('lap.gap', '12')], 'wall')).toEqual([set('lap.gap', '12')]);
    expect(inScope([set('gap', '12')], '')).toEqual([set('gap', '12')]);
  });
  it('takes away what is said for it, and leaves what is said elsewhere', () => {
    expect(inScope([set('gap', null)], 'lap')).toEqual([set('lap.gap', null)]);
    expect(inScope([set('gap', null)], 'wall')).toEqual([]);
  });
  const hall = projectOf(
    '<screen name="s"><row name="line"><text name="one" /><text name="two" /><text name="three" /></row><column name="side"><text name="note" /></column></screen>',
  );
  const moved = (control: string, parent: string, index: number, ...more: Step[]) => {
    const step: Step = {
      type: 'move',
      control: named(hall, control).id,
      parent: named(hall, parent).id,
      index,
    };
    const applied = applySteps(
      hall,
      scoped(hall, [step, ...more], 'lap', () => `copy${++count}`),
    );
    if (!applied.ok) throw new Error(applied.reason);
    return applied.project;
  };
  it('puts what is moved among its siblings there by its order, the tree stays', () => {
    const after = moved('three', 'line', 0);
    expect(named(after, 'line').children.map(({ name }) => name)).toEqual(['one', 'two', 'three']);
    const orders = ['one', 'two', 'three'].map((name) => Number(named(after, name).props['lap.order']));
    expect(orders[2]).toBeLessThan(orders[0]!);
    expect(orders[0]).toBeLessThan(orders[1]!);
  });
  it('puts what is moved into another container there as a copy, with what it gets there', () => {
    const wide: Step = { type: 'set', control: named(hall, 'two').id, property: 'width', value: '80' };
    const after = moved('two', 'side', 1, wide);
    expect(named(after, 'two').props).toEqual({ 'lap.hidden': 'true' });
    const [, copy] = named(after, 'side').children;
    expect(copy!.props).toEqual({ width: '80', hidden: 'true', 'lap.hidden': 'false' });
    expect(copy!.name).not.toBe('two');
  });
  it('never changes another width’s values', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('lap', 'desk', 'wall', 'portrait', 'landscape'),
        fc.array(fc.tuple(fc.constantFrom('gap', 'width', 'padding', 'align'), fc.constantFrom('1', null))),
        (scope, wanted) => {
          const steps = inScope(
            wanted.map(([property, value]) => set(property, value)),
            scope,
          );
          expect(steps.every((step) => step.type === 'set' && step.property.startsWith(`${scope}.`))).toBe(
            true,
          );
        },
      ),
    );
  });
});
