import { ScreenView } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { beforeAll, describe, expect, it } from 'vitest';
import { named, projectOf, testShaper } from '../../core/test/documents.ts';
import { placeWords } from '../src/editor/places.ts';
import { steppedText } from '../src/workbench/fields/steppedNumber.ts';
import { dropAt } from '../src/workbench/hands/drop.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const project = projectOf(`<screen name="Tonight" padding="20" gap="10">
  <row name="line" height="60" gap="10"><column name="a" width="100" /><column name="b" width="100" /><column name="empty" width="share" /></row>
  <text name="note" text="note" height="40" />
</screen>`);
const screen = project.screens[0]!;

function at(x: number, y: number, moving?: string) {
  const layout = new ScreenView(shaper).layOut(project, screen, { width: 390, height: 844 });
  const drop = dropAt({ project, screen, layout }, { x, y }, { moving: moving && named(project, moving).id });
  return (
    drop && { words: placeWords(project, drop.place, moving && named(project, moving).id), line: drop.line }
  );
}

describe('a drop', () => {
  it.each([
    [300, 700, 'into Tonight, after note'],
    [300, 5, 'into Tonight, before line'],
    [125, 50, 'into line, after a'],
    [22, 50, 'into line, before a'],
    [300, 50, 'into empty'],
    [300, 22, 'into Tonight, before line'],
    [300, 84, 'into Tonight, after line'],
  ])('at %i, %i lands %s', (x, y, words) => {
    expect(at(x, y)?.words).toBe(words);
  });

  it('shows its line in the middle of the gap', () => {
    expect(at(125, 50)?.line).toEqual({ x: 125, y: 20, width: 0, height: 60 });
    expect(at(300, 86)?.line).toEqual({ x: 20, y: 85, width: 350, height: 0 });
  });

  it('goes into an empty row or column that has no size yet, a little beside it, too', () => {
    const bare = projectOf(
      `<screen name="s" padding="20" gap="16"><text name="note" text="note" height="40" /><row name="line" /><row name="both" height="50"><text name="a" text="a" width="100" /><column name="side" /></row></screen>`,
    );
    const layout = new ScreenView(shaper).layOut(bare, bare.screens[0]!, { width: 390, height: 844 });
    const into = (x: number, y: number) => {
      const drop = dropAt({ project: bare, screen: bare.screens[0]!, layout }, { x, y })!;
      return [placeWords(bare, drop.place), drop.into.height];
    };
    // The row is at 76, between a text that ends at 60 and a row that begins at 92.
    expect(into(200, 76)).toEqual(['into line', 24]);
    expect(into(200, 70.5)).toEqual(['into line', 24]);
    expect(into(200, 81.5)).toEqual(['into line', 24]);
    expect(into(200, 65)).toEqual(['into s, after note', 844]);
    expect(into(200, 87)).toEqual(['into s, after line', 844]);
    expect(into(120, 117)).toEqual(['into side', 50]);
    expect(into(60, 117)).toEqual(['into both, before a', 50]);
  });

  it('never lands inside what is moved, and counts without it', () => {
    expect(at(60, 50, 'line')?.words).toBe('into Tonight, before note');
    expect(at(125, 50, 'a')?.words).toBe('into line, before b');
  });
});

describe('a number that is stepped', () => {
  it.each([
    ['12', 1, '13'],
    ['share 2', 1, 'share 3'],
    ['50%', -10, '40%'],
    ['0.5', 1, '1.5'],
    ['fit', 1, undefined],
    ['1 2', 1, undefined],
  ])('%s by %i', (text, by, expected) => {
    expect(steppedText(text, by)).toBe(expected);
  });
});
