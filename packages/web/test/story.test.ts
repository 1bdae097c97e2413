/** The log as a story, and the ways back from a comparison. */
import {
  applySteps,
  type Comparison,
  compareProjects,
  isAlike,
  type Project,
  type ToldChange,
} from '@hovrin/core';
import { describe, expect, it } from 'vitest';
import { projectFrom } from '../../core/test/documents.ts';
import { chaptersOf, lineWords } from '../src/versions/story.ts';
import { controlBack, entityBack, projectBack, treeBack } from '../src/versions/takeBack.ts';

const hour = 3_600_000;
const change = (revision: number, label: string, more: Partial<ToldChange> = {}): ToldChange => ({
  revision,
  kind: 'change',
  label,
  clientId: 'a',
  time: 10 * hour + revision,
  ...more,
});

describe('the story', () => {
  it('has a chapter for each window and hour, and tells what is alike in a row once', () => {
    const chapters = chaptersOf(
      [
        change(9, 'Text of heading'),
        change(8, 'Text of heading'),
        change(7, 'Delete row1', { kind: 'undo' }),
        change(6, 'Delete row1', { clientId: 'b' }),
        change(5, 'Add row1', { time: 8 * hour }),
        change(4, 'Add row1', { time: 8 * hour }),
        change(2, 'Add row1', { time: 8 * hour }),
      ],
      '',
    );
    expect(chapters.map(({ clientId, lines }) => [clientId, lines.map(lineWords)])).toEqual([
      ['a', ['Text of heading (2 times)', 'Taken back: Delete row1']],
      ['b', ['Delete row1']],
      ['a', ['Add row1 (2 times)', 'Add row1']],
    ]);
    expect(chapters[0]!.lines[0]).toMatchObject({ revision: 9, first: 8 });
  });

  it('is searched by what was changed', () => {
    const chapters = chaptersOf([change(3, 'Text of Heading'), change(2, 'Gap of row1')], ' heading ');
    expect(chapters.flatMap(({ lines }) => lines.map(lineWords))).toEqual(['Text of Heading']);
    expect(chaptersOf([change(1, 'Gap of row1')], 'nothing')).toEqual([]);
  });
});

describe('taking back', () => {
  const before = projectFrom(
    {
      state: [{ name: 'nights', type: 'number', initial: 2 }],
      tasks: [{ name: 'Check in', steps: [] }],
    },
    '<screen name="A"><row name="line" gap="8"><text name="one" text="Tonight" /><text name="two" text="{nights}" /></row></screen>',
    '<screen name="Old"><text text="old" /></screen>',
  );
  const [a, old] = before.screens;
  const [line] = a!.children;
  const [one, two] = line!.children;
  const done = applySteps(before, [
    { type: 'set', control: line!.id, property: 'gap', value: '20' },
    { type: 'set', control: one!.id, property: 'text', value: 'Later' },
    { type: 'remove', control: two!.id },
    { type: 'remove', control: old!.id },
    { type: 'drop', of: 'tasks', key: 'Check in' } as never,
    { type: 'project', key: 'language', value: 'de' },
  ]);
  if (!done.ok) throw new Error(done.reason);
  const now = done.project;
  const compared: Comparison = compareProjects(before, now);
  const apply = (project: Project, steps: Parameters<typeof applySteps>[1]) => {
    const applied = applySteps(project, steps);
    if (!applied.ok) throw new Error(applied.reason);
    return applied.project;
  };

  it('makes one control what it was, and leaves the others', () => {
    const tree = compared.trees.find(({ name }) => name === 'A')!;
    const of = (control: string) => tree.changes.find((each) => each.control === control)!;
    const back = apply(now, controlBack(now, before, tree, of('one')));
    const [rest] = compareProjects(before, back).trees.filter(({ name }) => name === 'A');
    expect(rest!.changes.map(({ control }) => control).toSorted()).toEqual(['line', 'two']);
    const again = apply(now, controlBack(now, before, tree, of('two')));
    expect(again.screens[0]!.children[0]!.children.map(({ name }) => name)).toEqual(['one', 'two']);
  });

  it('makes everything what it was', () => {
    const back = apply(now, [
      ...projectBack(now, before),
      ...compared.entities.flatMap((each) => entityBack(now, before, each)),
      ...compared.trees.flatMap((tree) => treeBack(now, before, tree)),
    ]);
    expect(isAlike(compareProjects(before, back))).toBe(true);
  });
});
