/** Styles are changed value by value: two people may change different ones at once. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Style } from '../src/document/style-set.ts';
import { applySteps, changing, type Project, type Step } from '../src/index.ts';
import { mapStep, mergeSteps, stepProblem } from '../src/steps/step.ts';
import { projectOf } from './documents.ts';

const card: Style = { name: 'card', props: { background: 'tint', padding: '8', corner: '4' } };
const base: Project = { ...projectOf('<screen name="A" />'), styles: [card] };

const after = (project: Project, steps: readonly Step[]) => {
  const applied = applySteps(project, steps);
  if (!applied.ok) throw new Error('A step does not fit');
  return applied;
};
const with_ = (props: Style['props']): Step[] => changing('styles', card, { ...card, props });
const propsOf = ({ styles }: Project) => styles?.[0]?.props;

describe('a change of a style', () => {
  it('says only the values that differ, and what they were', () => {
    expect(with_({ background: 'sheet', padding: '8', shadow: 'none' })).toEqual([
      {
        type: 'change',
        of: 'styles',
        key: 'card',
        fields: {
          props: {
            parts: {
              background: { was: '"tint"', to: 'sheet' },
              corner: { was: '"4"' },
              shadow: { was: 'null', to: 'none' },
            },
          },
        },
      },
    ]);
    expect(with_(card.props)).toEqual([]);
  });

  it('fits beside one of another value, and not beside one of the same', () => {
    const mine = with_({ ...card.props, background: 'sheet' });
    const theirs = with_({ ...card.props, padding: '12' });
    const { project } = after(base, theirs);
    expect(propsOf(after(project, mine).project)).toEqual({
      background: 'sheet',
      padding: '12',
      corner: '4',
    });
    const refused = applySteps(project, with_({ ...card.props, padding: '20' }));
    expect(refused.ok).toBe(false);
  });

  it('is taken back without what others did', () => {
    const mine = after(base, with_({ background: 'sheet', padding: '8' }));
    const theirs = after(
      mine.project,
      changing('styles', mine.project.styles![0]!, {
        ...card,
        props: { ...propsOf(mine.project), padding: '12' },
      }),
    );
    const back = after(theirs.project, mine.inverse);
    expect(propsOf(back.project)).toEqual({ background: 'tint', padding: '12', corner: '4' });
  });

  it('of which a part has another name for something follows it', () => {
    const [step] = with_({ ...card.props, background: 'brand' });
    const mapped = mapStep(base, step!, { of: 'tokens', from: 'color.brand', to: 'color.leaf' });
    expect(JSON.stringify(mapped)).toContain('"to":"leaf"');
  });

  it('is refused where its shape is none', () => {
    const fault = (fields: unknown) =>
      stepProblem(base, { type: 'change', of: 'styles', key: 'card', fields });
    expect(fault({ props: { parts: { padding: { was: '"8"', to: '9' } } } })).toBeUndefined();
    expect(fault({ name: { parts: { x: {} } } })).toBeDefined();
    expect(fault({ props: { parts: 7 } })).toBeDefined();
    expect(fault({ props: { parts: { padding: { to: '9' } }, to: {} } })).toBeDefined();
    expect(fault({ props: { parts: JSON.parse('{"__proto__":{"to":"9"}}') } })).toBeDefined();
    expect(fault({ props: { parts: { padding: 7 } } })).toBeDefined();
    expect(fault({ props: { parts: { [`a${'b'.repeat(300)}`]: {} } } })).toBeDefined();
  });

  const props = fc.dictionary(
    fc.constantFrom('padding', 'corner', 'hover.corner', 'gap', 'lap.gap'),
    fc.constantFrom('1', '2', '3'),
    { maxKeys: 4 },
  );
  it('leads from any values to any others and back, and two of them are one', () => {
    const plain: Style = { name: 'card', props: {} };
    fc.assert(
      fc.property(props, props, props, (one, other, third) => {
        const from = { ...plain, props: { ...one } };
        const middle = { ...plain, props: { ...other } };
        const to = { ...plain, props: { ...third } };
        const start: Project = { ...base, styles: [from] };
        const [first] = changing('styles', from, middle);
        const [second] = changing('styles', middle, to);
        if (!first || !second) return;
        const there = after(start, [first]);
        expect(propsOf(there.project)).toEqual({ ...other });
        expect(propsOf(after(there.project, there.inverse).project)).toEqual({ ...one });
        const merged = mergeSteps(first, second);
        expect(propsOf(after(start, [merged!]).project)).toEqual({ ...third });
      }),
    );
  });
});
