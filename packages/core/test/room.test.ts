/** The room of a text: its greatest length on its screen. */
import { loadShaper } from '@hovrin/files';
import { beforeAll, describe, expect, it } from 'vitest';
import { checkAll, roomFor, ScreenView, type StandingWords, textsOf } from '../src/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { projectFrom } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await loadShaper();
});

const at = { width: 320, height: 720 };
/** The same size for checks. */
const alone = { from: 320, to: 320, textScales: [1] };

/** The room of a text of one screen. */
function roomOf(source: string, key: string, text?: string) {
  const project = projectFrom({}, source);
  const place = textsOf(project).find((each) => each.key === key) as StandingWords;
  return roomFor(new ScreenView(shaper), project, text === undefined ? place : { ...place, text }, at);
}

describe('the room of a text', () => {
  it('is that of its longest word where lines wrap', () => {
    const { characters, word } = roomOf(
      '<screen name="s"><text name="t" text="Free bunks" width="90" /></screen>',
      's.t.text',
    );
    expect(characters).toBeUndefined();
    expect(word).toBeGreaterThan(6);
    expect(word).toBeLessThan(16);
  });

  it('is as much as one likes where lines wrap and the box grows', () => {
    expect(
      roomOf('<screen name="s" padding="16"><text name="t" text="Quiet in the hut" /></screen>', 's.t.text'),
    ).toMatchObject({ characters: undefined });
  });

  it('ends where a line is cut, and one character more is a finding', () => {
    const source = (text: string) =>
      `<screen name="s" padding="16"><text name="t" text="${text}" width="120" nowrap="true" /></screen>`;
    const room = roomOf(source('Quiet in the hut'), 's.t.text').characters!;
    expect(room).toBeGreaterThan(12);
    expect(room).toBeLessThan(25);
    const letters = [...`${'Quiet in the hut '.repeat(4)}`].slice(0, room).join('').trim();
    const wrong = (text: string) => {
      const project = projectFrom({}, source(text));
      return checkAll(shaper, project, project.screens[0]!, alone).some(
        ({ severity }) => severity === 'error',
      );
    };
    expect(wrong(letters)).toBe(false);
    expect(wrong('Quiet in the hut Quiet in the hut')).toBe(true);
  });

  it('is smaller for wider letters', () => {
    const source = '<screen name="s"><text name="b" text="Save" width="90" nowrap="true" /></screen>';
    const [wide, narrow] = [roomOf(source, 's.b.text', 'WWWW'), roomOf(source, 's.b.text', 'ilil')];
    expect(wide!.characters).toBeLessThan(narrow!.characters!);
  });

  it('counts what is worked out, and does not count what is wrong already', () => {
    const source =
      '<screen name="s"><text name="wide" text="Kitchen" width="20" nowrap="true" /><text name="t" text="{1 + 1} guests" width="100" nowrap="true" /></screen>';
    const room = roomOf(source, 's.t.text').characters!;
    expect(room).toBeGreaterThan(8);
    expect(room).toBeLessThan(22);
  });
});
