/** An edited text becomes the smallest steps. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomScreen } from '../../../tests/parity/documents.ts';
import {
  applySteps,
  type Control,
  type Project,
  parseScreen,
  printScreen,
  type Step,
  stepsToText,
  walk,
} from '../src/index.ts';
import { named, projectOf } from './documents.ts';

const done = (project: Project, steps: readonly Step[]): Project => {
  const applied = applySteps(project, steps);
  if (!applied.ok) throw new Error(applied.reason);
  // What was done can be taken back as a whole.
  const back = applySteps(applied.project, applied.inverse);
  expect(back.ok && back.project.screens).toEqual(project.screens);
  return applied.project;
};
const text = (project: Project) => printScreen(project.screens[0]!, project.bands).replaceAll(/\n\s*/g, '');
const idOf = (project: Project, name: string) => named(project, name).id;

describe('an edited text', () => {
  const bare = ({ id: _, ...control }: Control): unknown => ({
    ...control,
    children: control.children.map(bare),
  });
  const taken = (project: Project, source: string) => {
    let count = 0;
    const parsed = parseScreen(source, {
      file: 'A',
      newId: () => `t${++count}`,
      context: { bands: project.bands, names: new Map(), screens: new Set(['trial']), namesKnown: false },
    });
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
    const steps = stepsToText(project, project.screens[0]!.id, parsed.screen);
    return { steps, after: done(project, steps), wanted: parsed.screen };
  };

  it('becomes the smallest steps: ids stay where names do', () => {
    const project = projectOf(
      '<screen name="A"><row name="r"><text name="a" text="one" /><text name="b" /></row><text name="c" /></screen>',
    );
    const edit = (from: string, to: string) => taken(project, text(project).replace(from, to)).steps;
    expect(edit('text="one"', 'text="two" size="20"')).toEqual([
      { type: 'set', control: idOf(project, 'a'), property: 'text', value: 'two' },
      { type: 'set', control: idOf(project, 'a'), property: 'size', value: '20' },
    ]);
    expect(edit('name="b"', 'name="d"')).toEqual([{ type: 'name', control: idOf(project, 'b'), name: 'd' }]);
    expect(edit('<text name="c" />', '')).toEqual([{ type: 'remove', control: idOf(project, 'c') }]);
    expect(
      edit('<text name="b" /></row><text name="c" />', '</row><text name="c" /><text name="b" />'),
    ).toEqual([{ type: 'move', control: idOf(project, 'b'), parent: project.screens[0]!.id, index: 2 }]);
    const kind = taken(
      project,
      text(project).replace('<row name="r">', '<column name="r">').replace('</row>', '</column>'),
    );
    expect([...walk(kind.after.screens[0]!)].map(({ id }) => id)).toEqual(
      [...walk(project.screens[0]!)].map(({ id }) => id),
    );
    expect(edit('<text name="c" />', '<!-- late --><text name="c" />').length).toBe(2);
    const swapped = taken(
      project,
      text(project)
        .replace('name="a"', 'name="x"')
        .replace('name="b"', 'name="a"')
        .replace('name="x"', 'name="b"'),
    );
    expect(bare(swapped.after.screens[0]!)).toEqual(bare(swapped.wanted));
  });

  it('makes any screen of any other, and nothing of itself', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 100_000 }),
        fc.integer({ min: 1, max: 100_000 }),
        (one, other) => {
          const screen = randomScreen(one);
          const project: Project = { ...projectOf('<screen name="trial" />'), screens: [screen] };
          const { after, wanted } = taken(project, printScreen(randomScreen(other), project.bands));
          expect(bare(after.screens[0]!)).toEqual(bare(wanted));
          expect(after.screens[0]!.id).toBe(screen.id);
          expect(taken(project, printScreen(screen, project.bands)).steps).toEqual([]);
        },
      ),
      { numRuns: 40 },
    );
  });
});
