/** What was found inside of a control is found again where the control keeps within widths that it had. */
import { beforeAll, describe, expect, it } from 'vitest';
import type { Measure } from '../src/checks/measures.ts';
import { measure } from '../src/checks/measuring.ts';
import { SeenBoxes } from '../src/checks/seen.ts';
import { united } from '../src/checks/stretches.ts';
import { type Taken, takenOf, within, worstOf } from '../src/checks/taken.ts';
import { applySteps, type Control, type Project, ViewBoxes, walk } from '../src/index.ts';
import { sweepLayouts } from '../src/sweep/sweep.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { named, projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

/** Rows of cards with words too wide for narrow ones. */
function cards(rows: number): Project {
  const card = (at: number) =>
    `<column name="c${at}" width="share" padding="12" gap="4"><text name="t${at}" text="Bunk ${at}" /><text text="taken uninterruptedly" /><button text="Open" /></column>`;
  const row = (at: number) =>
    `<row gap="12">${[0, 1, 2, 3].map((cell) => card(4 * at + cell)).join('')}</row>`;
  return projectOf(
    `<screen name="s" padding="16" gap="12">${Array.from({ length: rows }, (_, at) => row(at)).join('')}</screen>`,
  );
}

/** Controls by id, with the ids that were asked for. */
class Asked extends Map<string, Control> {
  readonly ids: string[] = [];
  override get(id: string): Control | undefined {
    this.ids.push(id);
    return super.get(id);
  }
}

/** Measures all stretches of a project's screen: what is wrong, and which controls were looked at. */
function look(project: Project, boxes: ViewBoxes, seen: SeenBoxes): { taken: Taken[]; asked: string[] } {
  const screen = project.screens[0]!;
  const taken: Taken[] = [];
  const controls = new Asked([...walk(screen)].map((control) => [control.id, control]));
  for (const stretch of sweepLayouts(boxes, project, screen, { from: 300, to: 1200, height: 1920 })) {
    const { from, to } = stretch;
    const where = { from, to, textScale: 1, orientation: 'portrait' as const };
    const take = (each: Measure) => takenOf(each, where);
    taken.push(...measure(stretch, { touch: false, controls, rightToLeft: false }, take, seen, 'portrait'));
  }
  return { taken, asked: controls.ids };
}

/** On which widths each thing is wrong, and how much at its worst. */
function told(taken: readonly Taken[]) {
  const keys = [...new Set(taken.map(({ key }) => key))].toSorted();
  return keys.map((key) => {
    const those = taken.filter((each) => each.key === key);
    const rounded = united(those.map(({ where }) => where)).map(({ from, to }) => [
      Math.round(from),
      Math.round(to),
    ]);
    return [key, rounded, Math.round(Math.max(...those.map(worstOf)))];
  });
}

function changed(project: Project, name: string, property: string, value: string): Project {
  const applied = applySteps(project, [{ type: 'set', control: named(project, name).id, property, value }]);
  if (!applied.ok) throw new Error(applied.reason);
  return applied.project;
}

describe('what was found inside of controls', () => {
  it.each([
    ['a text takes another line and all below it moves', 't0', 'text', 'Bunk 0, by the window'],
    ['all cards of the first row change their widths', 'c0', 'width', 'share 2'],
  ])('is not looked for again where %s', (_, name, property, value) => {
    const project = cards(10);
    const boxes = new ViewBoxes(shaper, 64);
    const seen = new SeenBoxes();
    const first = look(project, boxes, seen);
    expect(told(first.taken).length).toBeGreaterThan(30);
    const now = changed(project, name, property, value);
    const again = look(now, boxes, seen);
    expect(again.asked.length).toBeLessThan(first.asked.length / 3);
    expect(told(again.taken)).toEqual(told(look(now, new ViewBoxes(shaper, 64), new SeenBoxes()).taken));
  });

  it('is looked for again in other conditions, and where it lies on the edge of the screen', () => {
    const project = projectOf(
      '<screen name="s" align="start"><column name="a" width="200"><column name="b" width="100" height="30" margin="0 0 0 80" /></column></screen>',
    );
    const boxes = new ViewBoxes(shaper, 64);
    const seen = new SeenBoxes();
    expect(look(project, boxes, seen).taken).toEqual([]);
    const moved = changed(project, 'a', 'margin', '0 0 0 150');
    const { taken } = look(moved, boxes, seen);
    expect(new Set(taken.map(({ measure: { check, control } }) => `${check} ${control}`))).toEqual(
      new Set([`off-screen ${named(moved, 'a').id}`]),
    );
    const narrower = changed(changed(moved, 'a', 'width', '150'), 'b', 'margin', '0 0 0 100');
    expect(told(look(narrower, boxes, seen).taken)).toEqual(
      told(look(narrower, new ViewBoxes(shaper, 64), new SeenBoxes()).taken),
    );
  });
});

describe('a part of the findings', () => {
  const where = { from: 300, to: 400, textScale: 1, orientation: 'portrait' as const };
  const [whole] = takenOf(
    {
      check: 'too-wide',
      severity: 'error',
      control: 'a',
      other: undefined,
      all: [[50, -50]],
      amount: [50, -50],
    },
    where,
  );

  it('is as much as it was at those widths', () => {
    expect(whole!.where).toMatchObject({ from: 300, to: 350 });
    const [part] = within([whole!], 320, 380);
    expect(part).toMatchObject({ key: whole!.key, where: { from: 320, to: 350 } });
    expect(part!.amount[0]).toBeCloseTo(30);
    expect(worstOf(part!)).toBeCloseTo(30);
  });

  it('is all of it where all of it is asked for, and nothing beside it', () => {
    expect(within([whole!], 300, 400)[0]).toBe(whole);
    expect(within([whole!], 351, 400)).toEqual([]);
  });
});
