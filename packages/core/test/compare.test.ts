/** Two versions of a project: what differs in words, and at which widths anything does. */
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { loadShaper } from '../../files/src/fonts.ts';
import {
  applySteps,
  type Comparison,
  comparedScreens,
  compareProjects,
  comparisonLines,
  isAlike,
  type Project,
  ScreenView,
  treeChanges,
  walk,
  widthsWords,
} from '../src/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { projectFrom } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await loadShaper();
});

const options = { from: 280, to: 1400, height: 800 };
/** The second of two versions has ids of its own, as one that was read from another folder. */
const version = (...sources: string[]): Project => projectFrom({ state: [] }, ...sources);
function elsewhere(project: Project): Project {
  const other = (control: Project['screens'][number]): Project['screens'][number] => ({
    ...control,
    id: `other-${control.id}`,
    children: control.children.map(other),
  });
  return { ...project, screens: project.screens.map(other) };
}
const screen = (inside: string, more = '') => `<screen name="A" ${more}>${inside}</screen>`;
const before = version(
  screen(
    '<row name="line" gap="8"><text name="one" text="Tonight" /><button name="ring" text="Ring" /></row><text name="last" text="End" />',
  ),
);
const compared = (after: Project, first = before) => {
  const comparison = compareProjects(first, after);
  return { comparison, trees: [...comparedScreens(shaper, [first, after], comparison, options)] };
};
const lines = (after: Project, first = before) => {
  const { comparison, trees } = compared(after, first);
  return comparisonLines(comparison, trees, options.from, options.to);
};

describe('versions that are alike', () => {
  it('say nothing, whatever their ids', () => {
    expect(isAlike(compareProjects(before, before))).toBe(true);
    expect(isAlike(compareProjects(before, elsewhere(before)))).toBe(true);
  });
});

describe('what differs', () => {
  it('is told control by control', () => {
    const after = elsewhere(
      version(
        screen(
          '<column name="box"><text name="last" text="The end" lap.size="20" /></column><row name="line" gap="12" on.press="back()"><text name="one" text="Tonight" /><link name="way" to="https://hut.example" text="Way" /></row>',
          'title="All"',
        ),
      ),
    );
    const told = lines(after).slice(0, -1);
    expect(told).toEqual([
      'A: changed',
      expect.stringContaining('ring: gone from line'),
      '  A: title nothing → “All”',
      '  box: new in A: a column',
      '  last: now in box',
      '  last: text “End” → “The end”',
      '  last: size (lap) nothing → “20”',
      '  line: gap “8” → “12”',
      '  line: what happens on press nothing → “back()”',
      '  way: new in line: a link',
    ]);
  });

  it('may be a screen that came or went, or anything that is none', () => {
    const first = projectFrom(
      { state: [{ name: 'nights', type: 'number', initial: 2 }], tasks: [{ name: 'Check in', steps: [] }] },
      screen('<text text="{nights}" />'),
      '<screen name="Old" />',
    );
    const after = {
      ...projectFrom(
        {
          state: [
            { name: 'nights', type: 'number', initial: 12 },
            { name: 'guest', type: 'text', initial: '' },
          ],
        },
        screen('<text text="{nights}" />'),
        '<screen name="New" />',
      ),
      language: 'de',
    };
    const told = lines(elsewhere(after), first);
    expect(told).toContain('project: language nothing → "de"');
    expect(told).toContain('state variable nights: changed');
    expect(told).toContain('  initial 2 → 12');
    expect(told).toContain('state variable guest: new');
    expect(told).toContain('task Check in: gone');
    expect(told).toContain('New: new');
    expect(told).toContain('Old: gone');
    // What a screen says is the same, what it shows is not.
    expect(told).toContain('A: made with something else');
  });

  it('leads from the one to the other, step by step', () => {
    const after = elsewhere(
      version(screen('<text name="last" text="End" /><row name="line"><text name="one" text="x" /></row>')),
    );
    const { steps } = treeChanges(before, before.screens[0]!, after.screens[0]!, after);
    const applied = applySteps(before, steps);
    expect(applied.ok && isAlike(compareProjects(applied.project, after))).toBe(true);
  });
});

describe('the widths at which anything differs', () => {
  const widths = (after: Project, first = before) => compared(after, first).trees[0]?.layout;

  it('are those of a band, of a limit, or all', () => {
    const at = (source: string) => widths(elsewhere(version(source)));
    const line = (attributes: string) =>
      screen(
        `<row name="line" ${attributes}><text name="one" text="Tonight" /><button name="ring" text="Ring" /></row><text name="last" text="End" />`,
      );
    expect(at(line('gap="8" lap.gap="9"'))!.widths).toEqual([{ from: expect.any(Number), to: 1400 }]);
    expect(widthsWords(at(line('gap="9"'))!, 280, 1400)).toBe('at every width');
    expect(widthsWords(at(line('gap="8" background="tint"'))!, 280, 1400)).toBe('at every width');
    const limited = at(line('gap="8" max-width="600"'))!;
    expect(limited.widths).toHaveLength(1);
    expect(limited.widths[0]!.from).toBeGreaterThan(590);
    expect(limited.moved[0]).toMatchObject({ control: 'line' });
    expect(limited.moved[0]!.at).toBe(1400);
  });

  it('are none where a change does nothing', () => {
    const comparison: Comparison = compareProjects(
      before,
      elsewhere(
        version(
          screen(
            '<row name="line" gap="8"><text name="one" text="Tonight" min-width="0" /><button name="ring" text="Ring" /></row><text name="last" text="End" />',
          ),
        ),
      ),
    );
    expect(comparison.trees[0]?.changes).toHaveLength(1);
  });

  it('are the widths at which the layouts differ', () => {
    const attribute = fc.constantFrom(
      'gap="11"',
      'max-width="500"',
      'lap.padding="4"',
      'width="50%"',
      'align="end"',
      'wrap="true"',
    );
    fc.assert(
      fc.property(attribute, attribute, fc.integer({ min: 280, max: 1400 }), (one, other, width) => {
        const of = (more: string) =>
          version(
            screen(
              `<row name="line" ${more}><text name="one" text="Tonight and a few more words than that" /><column name="inner" width="share"><text name="two" text="Arrivals of today" /></column></row>`,
            ),
          );
        const [first, after] = [of(one), of(other)];
        const layout = compared(after, first).trees[0]?.layout;
        const boxes = (project: Project) => {
          const { byControl } = new ScreenView(shaper).layOut(project, project.screens[0]!, {
            width,
            height: 800,
          });
          return [...walk(project.screens[0]!)].map(({ id }) => {
            const box = byControl.get(id)!;
            return [box.x, box.y, box.width, box.height].map((each) => Math.round(each * 20));
          });
        };
        const differs = JSON.stringify(boxes(first)) !== JSON.stringify(boxes(after));
        const told = layout?.widths.some(({ from, to }) => width >= from && width <= to) ?? false;
        // What is told may begin a little before it can be seen.
        if (differs) expect(told, `${one} ${other} at ${width}`).toBe(true);
        if (!told) expect(differs).toBe(false);
      }),
      { numRuns: 60 },
    );
  });
});
