/** Where something is shown, as expressions read it. */
import { beforeAll, describe, expect, it } from 'vitest';
import { programOf } from '../src/export/program.ts';
import {
  applySteps,
  attributeProblems,
  type Control,
  keptInNew,
  kindOf,
  readableAt,
  readableTree,
  ScreenView,
  sampleOf,
  sweep,
} from '../src/index.ts';
import { Runtime } from '../src/runtime/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { named, noActing, projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const project = projectOf(
  `<screen name="Tonight"><column name="box" width="{View.band == 'hand' ? 120 : View.band == 'lap' ? 240 : 360}"><spacer height="10" /></column><text name="day" text="{View.today} {View.time}" /><text name="wrong" text="out" /></screen>`,
);
const screen = project.screens[0]!;
const widthAt = (of: typeof project, width: number, view = new ScreenView(shaper)) =>
  view.layOut(of, of.screens[0]!, { width, height: 844 }).byControl.get(named(of, 'box').id)!.width;

describe('the band', () => {
  it('is that of the width, however the view is used', () => {
    const view = new ScreenView(shaper);
    expect([390, 700, 1000, 2000, 700, 390].map((width) => widthAt(project, width, view))).toEqual([
      120, 240, 360, 360, 240, 120,
    ]);
  });

  it('holds in what follows it through a variable', () => {
    const through = {
      ...projectOf(
        '<screen name="Tonight"><column name="box" width="{guests}"><spacer height="9" /></column></screen>',
      ),
      state: [
        {
          name: 'guests',
          type: 'number',
          initial: 0,
          computed: "View.band == 'hand' ? 100 : 200",
        } as const,
      ],
    };
    const view = new ScreenView(shaper);
    expect([390, 700, 390].map((width) => widthAt(through, width, view))).toEqual([100, 200, 100]);
  });

  it('is swept as what a band changes is', () => {
    const box = named(project, 'box').id;
    for (const { stretch } of sweep(shaper, project, screen, { from: 300, to: 1200, height: 844 })) {
      const at = stretch.boxes.findIndex(({ control }) => control === box);
      expect(stretch.start[at * 4 + 2]).toBe(widthAt(project, stretch.from));
      expect(stretch.end[at * 4 + 2]).toBe(widthAt(project, stretch.to));
    }
  });
});

describe('the names', () => {
  it('are known, with what they hold, and nothing can be assigned to them', () => {
    expect(attributeProblems(project, named(project, 'day'))).toEqual([]);
    const asked = (text: string): Control => ({ ...named(project, 'wrong'), props: { text } });
    expect(attributeProblems(project, asked('{View.bnad}'))[0]?.message).toMatch(/Did you mean `View.band`/);
    const event = (text: string): Control => ({ ...named(project, 'wrong'), props: { 'on.press': text } });
    expect(attributeProblems(project, event("View.band = 'lap'"))).toHaveLength(1);
    // A parameter of that name is what it is called with.
    expect(attributeProblems(project, asked('{[{ band: 1 }].map((View) => View.band)[0]}'))).toEqual([]);
    expect(sampleOf(project, named(project, 'day'), '{[{ band: 1 }].map((View) => View.band)[0]}')).toEqual({
      value: 1,
    });
    const { found } = readableAt(project, named(project, 'day'), 'View.loc');
    expect(found).toEqual([{ text: 'locale', what: 'view', value: 'en-GB' }]);
  });

  it('follow what the page tells, and only what reads them is worked out again', () => {
    const program = programOf(project);
    expect(program.bands?.map(({ name }) => name)).toEqual(project.bands.map(({ name }) => name));
    expect(programOf(projectOf('<screen name="Plain"><text text="a" /></screen>')).bands).toBeUndefined();
    const holds = new Map<string, (value: string) => void>();
    const runtime = new Runtime(program, {
      acting: noActing,
      problem: (message) => expect.fail(message),
      see: (name, hold) => holds.set(name, hold),
    });
    const shown: unknown[] = [];
    const { templates } = program.screens[0]!.style.find(({ control }) => control === 'box')!;
    runtime.bind(templates.width!, (value) => shown.push(value));
    expect([...holds.keys()]).toEqual(['View.band']);
    holds.get('View.band')!('lap');
    holds.get('View.band')!('lap');
    holds.get('View.band')!('hand');
    expect(shown).toEqual([360, 240, 120]);
  });
});

describe('other controls', () => {
  const form = projectOf(
    `<screen name="Form"><textField name="guest" label="Guest" value="Ilka" /><repeat name="rows" each="{[1]}" as="row"><checkbox name="each" label="Each" /><text name="inner" text="a" /></repeat><text name="out" text="a" /></screen>`,
  );
  const controls = (of: typeof form, name: string) =>
    readableTree(of, named(of, name)).find(({ label }) => label === 'Controls')?.children ?? [];

  it('are read through the variable that keeps what they hold, which is made where there is none', () => {
    const [guest] = controls(form, 'out');
    expect(guest).toMatchObject({
      label: 'guest',
      children: [
        { label: 'value', text: '', unkept: { property: 'value' } },
        { label: 'validity', text: '', unkept: { property: 'validity' } },
      ],
    });
    const control = named(form, 'guest');
    const property = (name: string) => kindOf(control).properties.find((each) => each.name === name)!;
    const kept = keptInNew(form, control, property('value'));
    const applied = applySteps(form, kept.steps);
    if (!applied.ok) throw new Error(applied.reason);
    expect(controls(applied.project, 'out')[0]?.children[0]).toMatchObject({ text: 'guest', value: 'Ilka' });
    expect(keptInNew(applied.project, control, property('validity')).variable).toBe('guestValidity');
  });

  it('of a repeat are read by what stands in the same item only', () => {
    expect(controls(form, 'out').map(({ label }) => label)).toEqual(['guest']);
    expect(controls(form, 'inner').map(({ label }) => label)).toEqual(['guest', 'each']);
  });
});
