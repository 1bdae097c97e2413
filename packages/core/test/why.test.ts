import { beforeAll, describe, expect, it } from 'vitest';
import { randomScreen, trialProject } from '../../../tests/parity/documents.ts';
import {
  applySteps,
  type Explanation,
  namedBoxes,
  type Question,
  questions,
  ScreenView,
  type View,
  Why,
  walk,
} from '../src/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { workOut } from '../src/why/explanation.ts';
import { named, projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const hand: View = { width: 390, height: 844 };
const screenOf = (inside: string) => `<screen name="s" padding="16" gap="8">${inside}</screen>`;

function why(inside: string, name: string, question: Question, view = hand): Explanation {
  const project = projectOf(screenOf(inside));
  return new Why(shaper, project, project.screens[0]!, view).explain(named(project, name).id, question)!;
}

/** What a control's box becomes when a fix is applied. */
function fixed(inside: string, name: string, question: Question, label: string): number[] {
  const project = projectOf(screenOf(inside));
  const explanation = new Why(shaper, project, project.screens[0]!, hand).explain(
    named(project, name).id,
    question,
  )!;
  const fix = explanation.fixes.find((entry) => entry.label === label);
  if (!fix) throw new Error(`No fix ${label}: ${explanation.fixes.map((entry) => entry.label).join('; ')}`);
  const applied = applySteps(project, fix.steps);
  if (!applied.ok) throw new Error(applied.reason);
  const screen = applied.project.screens[0]!;
  const boxes = namedBoxes(
    { screens: [] },
    screen,
    new ScreenView(shaper).layOut(applied.project, screen, hand),
  );
  const { x, y, width, height } = boxes.find((box) => box.name === name)!;
  return [x, y, width, height];
}

describe('the puzzles', () => {
  const fit =
    '<row name="line" align-self="start" gap="8"><text name="label" text="Who" /><column name="field" width="share" height="20" /></row>';

  it('a share gets nothing because its row is only as wide as its content', () => {
    const { value, rule, remarks, mentions } = why(fit, 'field', 'width');
    expect([value, rule]).toEqual([0, 'share']);
    expect(remarks).toContain('`line` is only as wide as its content, so it never has anything left over.');
    expect(mentions.length).toBeGreaterThan(0);
    expect(fixed(fit, 'field', 'width', 'Let `line` fill `s`')[2]).toBeGreaterThan(300);
  });

  it('a share gets no more than its content where its row is only as wide as that', () => {
    const row =
      '<row align="start"><row name="line"><text name="lonely" text="Who" width="share" /></row></row>';
    const { remarks } = why(row, 'lonely', 'width');
    expect(remarks).toEqual(['`line` is only as wide as its content, so there is no more to share out.']);
    expect(fixed(row, 'lonely', 'width', 'Give `line` a share of `row1`')[2]).toBeGreaterThan(300);
  });

  it('words in what scrolls sideways stay on one line, and can be bounded by what is seen of it', () => {
    const scroll = `<scroll name="strip" axis="horizontal" padding="4"><text name="words" text="${'and on and on '.repeat(9)}" /></scroll>`;
    const { remarks } = why(scroll, 'words', 'width');
    expect(remarks).toEqual(['Nothing bounds its width, so its words stay on one line.']);
    const fix = 'Let `words` be at most 350 wide, as `strip` is inside';
    expect(fixed(scroll, 'words', 'width', fix)[2]).toBe(350);
    expect(why(scroll.replace('axis="horizontal"', ''), 'words', 'width').remarks).toEqual([]);
    expect(why('<text name="words" text="Who" />', 'words', 'width').remarks).toEqual([]);
  });

  it('a share takes its parts of what the others leave, and the numbers are said', () => {
    const { sentence, workings } = why(
      '<row name="line" padding="0 16" gap="6"><text name="fixed" text="x" width="118" /><column name="name" width="share 2" height="9" /><column name="other" width="share" height="9" /></row>',
      'name',
      'width',
    );
    expect(sentence).toBe(
      '`name` is 130.67 wide: `line` is 326 wide inside, `fixed` takes 118, gaps 12; 196 is left and it takes 2 of 3 parts.',
    );
    expect(workings[0]!.terms.map(({ what, value }) => [what, value])).toEqual([
      ['`line` is', 358],
      ['padding at the start', -16],
      ['padding at the end', -16],
    ]);
  });

  it('a least size raises a share, and starves its sibling', () => {
    const row =
      '<row name="fill"><column name="wide" width="share" min-width="300" height="9" /><column name="thin" width="share" height="9" /></row>';
    expect(why(row, 'wide', 'width').sentence).toMatch(/raised to 300 by its min-width/);
    const { value, remarks } = why(row, 'thin', 'width');
    expect(value).toBe(58);
    expect(remarks).toContain('`wide` is held up to 300 by its min-width; that is missing here.');
    expect(fixed(row, 'thin', 'width', 'Take away the min-width of `wide`')[2]).toBe(179);
  });

  it('words that nothing bounds stay on one line and stick out', () => {
    const text = 'This goes on and on without an end because the row scrolls and lets it';
    const scroll = `<pinboard name="board" height="60" width="120"><text name="words" text="${text}" left="4" nowrap="true" /></pinboard>`;
    const { remarks } = why(scroll, 'words', 'width');
    expect(remarks.some((remark) => remark.includes('sticks out of `board`'))).toBe(true);
    expect(remarks).toContain('Nothing bounds its width, so its words stay on one line.');
    const [, , width] = fixed(scroll, 'words', 'width', 'Let the words of `words` break');
    expect(width).toBeLessThan(121);
  });

  it('a child stands in the middle since its parent says so', () => {
    const column = '<column name="box" align="center"><text name="inner" text="Supper" /></column>';
    const { sentence } = why(column, 'inner', 'x');
    expect(sentence).toBe('`inner` stands in the middle of `box`, because `box` says `align="center"`.');
    expect(fixed(column, 'inner', 'x', 'Put `inner` at the start')[0]).toBe(16);
  });

  it('a grid column is widened by one long word, and can be let shrink', () => {
    const grid =
      '<grid name="tiles" columns="1fr 1fr"><text name="long" text="unforeseeablyuninterruptedwords" /><text name="short" text="a" /></grid>';
    const { sentence } = why(grid, 'long', 'width');
    expect(sentence).toMatch(/column 1 is [\d.]+ because the content of `long` cannot be narrower/);
    const label = 'Let column 1 of `tiles` be smaller than what is in it';
    expect(fixed(grid, 'long', 'width', label)[2]).toBe(179);
  });

  it('a control outside its parent, by a negative margin or its width', () => {
    const row = '<row name="thin" width="100"><text name="wide" width="140" text="wide" /></row>';
    expect(why(row, 'wide', 'width').remarks).toContain('`wide` sticks out of `thin` by 40 at the end.');
    expect(fixed(row, 'wide', 'width', 'Let `wide` be at most as wide as `thin`')[2]).toBe(100);
    const pulled = '<row name="thin" width="100"><text name="back" margin="0 0 0 -30" text="b" /></row>';
    expect(why(pulled, 'back', 'x').remarks).toContain('`back` sticks out of `thin` by 30 at the start.');
    expect(fixed(pulled, 'back', 'x', 'Take away the margin of `back`')[0]).toBe(16);
  });

  it('offers for a control where nothing is wrong the other ways to be sized, and nothing else', () => {
    const column = '<column name="box" width="200"><text name="note" text="Supper" width="80" /></column>';
    expect(why(column, 'note', 'width').fixes.map(({ label }) => label)).toEqual([
      'Let `note` fill `box`',
      'Make `note` as wide as its content',
      'Leave the width of `note` to `box`',
    ]);
    const row = '<row name="line" width="200"><text name="note" text="Supper" min-width="90" /></row>';
    expect(why(row, 'note', 'width').fixes.map(({ label }) => label)).toEqual([
      'Take away the min-width of `note`',
      'Give `note` a share of `line`',
    ]);
  });

  it('a percentage of an unknown height counts as fit', () => {
    const column = '<column name="box"><text name="half" text="half" height="50%" /></column>';
    const { sentence, fixes } = why(column, 'half', 'height');
    expect(sentence).toMatch(/asks for a percentage, but `box` is as high as its content/);
    expect(fixes.length).toBeGreaterThan(0);
  });

  it('a height comes from the content: children, lines of words, the highest of a row', () => {
    const column =
      '<column name="box" gap="5" padding="3"><divider /><text name="words" text="one two three four" width="60" /><row name="line"><spacer height="70" name="tall" width="5" /><text text="b" /></row></column>';
    expect(why(column, 'box', 'height').sentence).toMatch(/3 controls one below the other/);
    expect(why(column, 'words', 'height').sentence).toMatch(/its words take \d lines of/);
    expect(why(column, 'line', 'height').sentence).toMatch(/as high as the highest in it, `tall`/);
  });
});

describe('where a value comes from', () => {
  it('is the control itself, a band, or nobody', () => {
    const row = '<row name="line"><text name="a" text="a" width="80" lap.width="200" /></row>';
    expect(why(row, 'a', 'width').sources[0]).toMatchObject({ text: '80', from: 'own' });
    const lap = why(row, 'a', 'width', { width: 800, height: 600 });
    expect(lap.sources[0]).toMatchObject({ text: '200', from: 'lap' });
    expect(lap.fixes.every(({ steps }) => steps.every((step) => 'property' in step))).toBe(true);
    expect(lap.fixes[0]!.steps[0]).toMatchObject({ property: 'lap.width' });
    expect(why(row, 'line', 'width').sources[0]).toMatchObject({ text: '', from: 'default' });
  });
});

describe('the arithmetic of every explanation', () => {
  it('put together as it says gives the value', () => {
    let count = 0;
    for (let seed = 700; seed < 724; seed++) {
      const screen = randomScreen(seed);
      const project = trialProject(screen);
      for (const view of [hand, { width: 1000, height: 700, rightToLeft: true }]) {
        const explained = new Why(shaper, project, screen, view);
        const boxes = new Map(
          [...new ScreenView(shaper).layOut(project, screen, view).byControl].map(([id, box]) => [id, box]),
        );
        for (const { id } of walk(screen)) {
          if (!explained.has(id)) continue;
          for (const question of questions) {
            const { workings, value, sentence, fixes } = explained.explain(id, question)!;
            const where = `seed ${seed}, ${screen.name} ${id} ${question}: ${sentence}`;
            expect(value, where).toBeCloseTo(boxes.get(id)![question], 6);
            expect(workings.length, where).toBeGreaterThan(0);
            for (const working of workings) {
              expect(workOut(working), where).toBeCloseTo(working.result, 9);
              for (const term of working.terms)
                if (term.from !== undefined)
                  expect(Math.abs(term.value), where).toBeCloseTo(Math.abs(workings[term.from]!.result), 9);
            }
            expect(Math.abs(workings.at(-1)!.result - value), where).toBeLessThan(0.06);
            for (const fix of fixes) expect(applySteps(project, fix.steps).ok, where).toBe(true);
            count++;
          }
        }
      }
    }
    expect(count).toBeGreaterThan(800);
  }, 120_000);
});
