/** Nests as deep as a document may be: each level asks about the next several times, and is answered once. */
import { beforeAll, expect, it } from 'vitest';
import { boxesToCheck, checkScreen, ScreenView, sweep, usualCheck, ViewBoxes } from '../src/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

/** Containers within each other, by turns of some kinds, around a text. */
function nest(kinds: readonly string[], attributes: string): string {
  const levels = Array.from({ length: 94 }, (_, level) => kinds[level % kinds.length]!);
  const begin = levels.map((kind) => `<${kind} ${attributes}>`).join('');
  const end = levels
    .toReversed()
    .map((kind) => `</${kind}>`)
    .join('');
  return `<screen name="s">${begin}<text text="a b c" aspect="2" />${end}</screen>`;
}

it('94 levels that ask for ever more sizes come to an end', () => {
  const pair = '<row wrap="true" width="fit" aspect="1"><image /><row height="90%" width="50%">';
  const project = projectOf(
    `<screen name="s">${pair.repeat(47)}<image height="50%" />${'</row></row>'.repeat(47)}</screen>`,
  );
  const { boxes } = new ScreenView(shaper).layOut(project, project.screens[0]!, { width: 390, height: 844 });
  expect(boxes.length).toBe(1 + 3 * 47 + 1);
  for (const { x, y, width, height } of boxes) expect(Number.isFinite(x + y + width + height)).toBe(true);
});

// Twice the work a level would take longer than anybody can wait.
it.each([
  [['row'], 'aspect="1"'],
  [['grid'], 'aspect="1"'],
  [['row', 'column'], 'aspect="1.5" min-height="10%"'],
  [['layers', 'grid'], 'width="fit" aspect="0.9"'],
  [['grid', 'column'], 'height="share" aspect="0.9" width="fit"'],
  [['pinboard'], 'aspect="1" left="0" right="1" top="1" bottom="1"'],
  [['column'], 'wrap="true" aspect="1"'],
  [['row', 'grid'], 'align="baseline" height="90%"'],
  [['layers'], 'align="baseline" min-height="20%" aspect="2"'],
  [['row', 'scroll'], 'height="90%" aspect="1"'],
] as const)('94 levels of %s with %s are laid out, swept and checked', (kinds, attributes) => {
  const project = projectOf(nest(kinds, attributes));
  const screen = project.screens[0]!;
  const { boxes } = new ScreenView(shaper).layOut(project, screen, { width: 390, height: 844 });
  expect(boxes.length).toBeGreaterThan(95);
  for (const { x, y, width, height } of boxes) expect(Number.isFinite(x + y + width + height)).toBe(true);
  const parts = [
    ...sweep(shaper, project, screen, { from: 300, to: 900, height: 844 }, new ViewBoxes(shaper)),
  ];
  expect(parts.at(-1)!.stretch.to).toBe(900);
  const run = checkScreen(shaper, project, screen, usualCheck, boxesToCheck(shaper));
  let next = run.next();
  while (!next.done) next = run.next();
  expect(Array.isArray(next.value)).toBe(true);
});
