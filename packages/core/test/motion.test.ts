/** Motions: their source, how they are told as timelines, what holds at an instant, what pages are given, what is wrong with them. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { loadShaper } from '../../files/src/index.ts';
import { programOf } from '../src/export/program.ts';
import { checkStatements } from '../src/expression/check.ts';
import {
  applySteps,
  contextOf,
  easingOf,
  expandedProject,
  locationsIn,
  motionsHere,
  motionsOn,
  nameControl,
  type Project,
  parseComponent,
  printScreen,
  problemsOf,
  renameDeclared,
  ScreenView,
  themeOf,
  valueAt,
  walk,
} from '../src/index.ts';
import { between, mixedColour } from '../src/motion/blend.ts';
import { progressAt, progressOf } from '../src/motion/instant.ts';
import { projectFrom } from './documents.ts';

const source = `<screen name="Sky">
  <motion name="breathe" seconds="4" repeat="forever" plays="{true}">
    <key control="earth" at="0" scale="0.8" />
    <key control="earth" at="50%" ease="cubic-bezier(.3, 0, .2, 1.4)" scale="1" />
    <key control="earth" at="100%" ease="bounce" scale="0.8" />
    <key control="earth" at="1" width="100" />
  </motion>
  <row>
    <text name="earth" text="Hut" width="40" />
    <button name="hold" text="Hold" on.press="pause('breathe')" />
  </row>
</screen>
`;
const project = projectFrom({}, source);
const theme = themeOf(project);
const timelines = (of: Project = project, index = 0) => {
  const screen = expandedProject(of).screens[index]!;
  return motionsOn(screen, theme.tokens);
};

describe('the source of a motion', () => {
  it('is printed as it was written', () => {
    expect(printScreen(project.screens[0]!, project.bands)).toBe(source);
  });

  it('is no part of what is laid out', () => {
    const { screens } = expandedProject(project);
    expect([...walk(screens[0]!)].map(({ kind }) => kind)).toEqual(['screen', 'row', 'text', 'button']);
    expect(motionsHere(screens[0]!).map(({ name }) => name)).toEqual(['breathe']);
  });

  it('is refused where it says what it cannot', () => {
    const refused = (line: string) => {
      try {
        projectFrom(
          {},
          `<screen name="A"><motion name="m">${line}</motion><text name="t" text="7" /></screen>`,
        );
        return '';
      } catch (error) {
        return String(error);
      }
    };
    expect(refused('<key control="t" at="110%" opacity="1" />')).toContain('is not seconds');
    expect(refused('<key control="t" at="0" ease="springy" opacity="1" />')).toContain('is not an easing');
    expect(refused('<key control="t" at="0" opacity="{1}" />')).not.toBe('');
    expect(refused('<key control="t" at="0" text="8" />')).not.toBe('');
    expect(refused('<text text="8" />')).not.toBe('');
  });
});

describe('a timeline', () => {
  it('has for each property of a control its keys in time', () => {
    expect(timelines()).toMatchObject([
      {
        name: 'breathe',
        seconds: 4,
        repeat: Number.POSITIVE_INFINITY,
        plays: '{true}',
        tracks: [
          {
            property: { name: 'scale' },
            keys: [
              { at: 0, value: 0.8 },
              { at: 0.5, value: 1 },
              { at: 1, value: 0.8 },
            ],
          },
          { property: { name: 'width' }, keys: [{ at: 0.25, value: 100 }] },
        ],
      },
    ]);
  });

  it('of a component is that of each of its instances', () => {
    const parsed = parseComponent(
      `<component name="Lamp"><motion name="blink" plays="{on}"><key control="glass" at="0" opacity="0" /></motion>
        <parameter name="on" type="boolean" initial="false" />
        <row><text name="glass" text="o" on.press="play('blink')" /></row></component>`,
      {
        file: 'Lamp',
        context: contextOf(project),
        newId: (() => {
          let last = 0;
          return () => `l${last++}`;
        })(),
      },
    );
    if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
    const outer = projectFrom({}, '<screen name="A"><column><text text="x" /></column></screen>');
    const [column] = outer.screens[0]!.children;
    const instances = ['first', 'second'].map((name) => ({
      id: name,
      kind: 'Lamp',
      name,
      props: { on: 'true' },
      children: [],
    }));
    const line = {
      id: 'm1',
      kind: 'motion',
      props: { name: 'rise' },
      children: [{ id: 'k1', kind: 'key', props: { control: 'second', at: '0', margin: '9' }, children: [] }],
    };
    const screen = { ...outer.screens[0]!, children: [line, { ...column!, children: instances }] };
    const whole = { ...outer, components: [parsed.screen], screens: [screen] };
    const motions = timelines(whole);
    expect(motions.map(({ name, plays }) => [name, plays])).toEqual([
      ['rise', undefined],
      ['first.blink', 'true'],
      ['second.blink', 'true'],
    ]);
    const names = [...locationsIn(expandedProject(whole).screens[0]!)].map(([id]) => id);
    // What a screen moves of an instance is its root.
    for (const { tracks } of motions) for (const { control } of tracks) expect(names).toContain(control);
    const program = programOf(whole).screens[0]!;
    expect(program.events.map(({ statements }) => statements[0])).toMatchObject([
      { name: 'play', arguments: [{ value: 'first.blink' }] },
      { name: 'play', arguments: [{ value: 'second.blink' }] },
    ]);
    expect(program.motions?.map(({ plays }) => plays?.whole)).toEqual([undefined, true, true]);
    expect(program.motions?.flatMap(({ targets }) => targets.map(({ control }) => control))).toEqual([
      'second.row1',
      'first.glass',
      'second.glass',
    ]);
  });
});

describe('how far a motion is', () => {
  const motion = { seconds: 2, delay: 1, repeat: 2, alternate: false };
  it.each([
    [0, 0],
    [1, 0],
    [2, 0.5],
    [3, 0],
    [4.5, 0.75],
    [5, 1],
    [9, 1],
  ])('%d s from its start: %d', (at, part) => {
    expect(progressAt(motion, at)).toBeCloseTo(part);
  });

  it('goes back every second time, and ends where it began', () => {
    const back = { ...motion, alternate: true };
    expect([2, 3.5, 4.5, 5].map((at) => progressAt(back, at))).toEqual([0.5, 0.75, 0.25, 0]);
    expect(progressOf(back, 5)).toMatchObject({ isBefore: true });
    expect(progressAt({ ...motion, repeat: 1.5 }, 99)).toBe(0.5);
  });
});

describe('an easing', () => {
  it.each([
    ['linear', 0.3, 0.3],
    ['ease-in-out', 0.5, 0.5],
    ['steps(4)', 0.49, 0.25],
    ['steps(4, jump-start)', 0, 0.25],
    ['steps(2, jump-both)', 0.5, 2 / 3],
    ['steps(3, jump-none)', 0.99, 1],
    ['linear(0, 0.5 20% 40%, 1)', 0.3, 0.5],
    ['linear(0, 1)', 0.75, 0.75],
    ['bounce', 1, 1],
    ['cubic-bezier(0, 2, 1, 2)', 0.5, 1.625],
  ])('%s at %d is %d', (text, part, value) => {
    expect(easingOf(text)?.(part)).toBeCloseTo(value, 4);
  });

  it('begins and ends where it should', () => {
    for (const text of ['ease', 'ease-in', 'cubic-bezier(1, 0, 0, 1)', 'bounce', 'linear(0, 1)'])
      expect([easingOf(text)?.(0), easingOf(text)?.(1)]).toEqual([0, 1]);
    expect(easingOf('steps(2, jump-start)')?.(0, true)).toBe(0);
  });

  it.each([
    'steps(0)',
    'steps(1, jump-none)',
    'cubic-bezier(2, 0, 1, 1)',
    'linear(0)',
    'linear(0 10%)',
    'swing',
    'linear(a, b)',
  ])('%s is none', (text) => {
    expect(easingOf(text)).toBeUndefined();
  });
});

describe('a value between two', () => {
  const property = (name: string, type = 'any') => ({ name, type: { name: type } }) as never;
  it.each([
    ['width', 100, 200, 0.25, 125],
    ['width', { share: 1 }, { share: 3 }, 0.5, { share: 2 }],
    ['width', { fraction: 0.2 }, { fraction: 0.6 }, 0.5, { fraction: 0.4 }],
    ['width', 100, { fraction: 0.6 }, 0.4, 100],
    ['width', 100, { fraction: 0.6 }, 0.6, { fraction: 0.6 }],
    ['width', 10, 0, 1.5, 0],
    ['opacity', 0.5, 1, 3, 1],
    ['shift', [0, { fraction: 0 }], [10, { fraction: 1 }], 0.5, [5, { fraction: 0.5 }]],
    ['shift', [0, 0], [10, { fraction: 1 }], 0.2, [0, 0]],
    ['weight', 400, 700, 0.49, 400],
    ['gap', undefined, 8, 0.2, undefined],
  ])('%s, %j to %j at %d', (name, from, to, part, value) => {
    expect(between(property(name), from, to, part, theme)).toEqual(value);
  });

  it('of colours is mixed by what is seen of them', () => {
    expect(mixedColour('#000000', '#ffffff', 0.5)).toBe('#808080ff');
    expect(mixedColour('none', '#ff0000', 0.5)).toBe('#ff000080');
    expect(mixedColour('tint', '#ff0000', 0.5)).toBeUndefined();
    const tint = between(property('background', 'background'), 'tint', 'page', 0.5, theme);
    expect(tint).toMatch(/^#[0-9a-f]{8}$/);
  });

  it('of shadows is between each of them', () => {
    expect(between(property('shadow', 'shadow'), 'none', '0 4 12 2 #000000', 0.5, theme)).toBe(
      '0 2 6 1 #00000080',
    );
  });

  it('stays between its ends, whatever the easing, where it cannot be less than nothing', () => {
    fc.assert(
      fc.property(fc.nat(500), fc.nat(500), fc.double({ min: -1, max: 2, noNaN: true }), (from, to, part) => {
        expect(between(property('height'), from, to, part, theme)).toBeGreaterThanOrEqual(0);
      }),
    );
  });
});

describe('a screen at an instant', async () => {
  const shaper = await loadShaper();
  const view = { width: 390, height: 844 };
  const widthAt = (at: number | undefined) => {
    const motions = at === undefined ? {} : { motions: [{ name: 'breathe', at }] };
    const layout = new ScreenView(shaper).layOut(project, project.screens[0]!, { ...view, ...motions });
    const box = [...layout.byControl.values()].find(({ look }) => look.text && layout)!;
    return { box, width: Math.round(box.width * 10) / 10 };
  };

  it('has what the keys say, and what holds without them at the ends', () => {
    expect(widthAt(undefined).width).toBe(40);
    expect(widthAt(0).width).toBe(40);
    expect(widthAt(0.5).width).toBe(70);
    expect(widthAt(1).width).toBe(100);
    expect(widthAt(2.5).width).toBe(70);
    expect(widthAt(4.5).width).toBe(70);
  });

  it('is turned and seen as its keys say, without another layout', () => {
    expect(widthAt(1).box.look.turned?.scale).toBeGreaterThan(0.8);
    const track = timelines()[0]!.tracks[0]!;
    expect(valueAt(track, { progress: 0.5, isBefore: false }, () => undefined, theme)).toBe(1);
  });

  it('is the same object where nothing moves', () => {
    const screens = expandedProject(projectFrom({}, '<screen name="A" />')).screens;
    expect(motionsHere(screens[0]!)).toEqual([]);
  });
});

describe('names in motions', () => {
  it('follow a control that is named', () => {
    const [screen] = project.screens;
    const earth = [...walk(screen!)].find(({ name }) => name === 'earth')!;
    const applied = applySteps(project, nameControl(screen!, earth, 'moon'));
    if (!applied.ok) throw new Error(applied.reason);
    expect(printScreen(applied.project.screens[0]!, [])).toContain(
      '<key control="moon" at="0" scale="0.8" />',
    );
    expect(problemsOf(applied.project).filter(({ kind }) => kind === 'motion')).toEqual([]);
  });

  it('follow a motion that is named', () => {
    const [line] = project.screens[0]!.children;
    const applied = applySteps(project, renameDeclared(project, line!, 'swell'));
    if (!applied.ok) throw new Error(applied.reason);
    const printed = printScreen(applied.project.screens[0]!, []);
    expect(printed).toContain('name="swell"');
    expect(printed).toContain("pause('swell')");
  });

  it('are checked in events', () => {
    const around = contextOf(project, project.screens[0]!.children[1]!);
    expect(checkStatements("play('breathe'); rewind('breathe'); stop('breathe')", around).ok).toBe(true);
    const checked = checkStatements("play('breath')", around);
    expect(checked.ok ? '' : checked.problem.message).toContain('no motion `breath`');
  });
});

describe('problems of motions', () => {
  const told = (screen: string) =>
    problemsOf(projectFrom({}, screen))
      .filter(({ kind }) => ['motion', 'never-played', 'flashing', 'no-pause'].includes(kind))
      .map(({ kind, sentence }) => `${kind}: ${sentence}`);
  const on = (motion: string, button = '') =>
    `<screen name="A">${motion}<text name="t" text="7" />${button}</screen>`;
  const key = (attributes: string) => `<key control="t" ${attributes} />`;

  it.each([
    [
      '<motion name="m" plays="true"><key control="tt" at="0" opacity="1" /></motion>',
      'moves `tt`, which is not there. Did you mean `t`?',
    ],
    ['<motion name="m" plays="true"><key at="0" opacity="1" /></motion>', 'says no control'],
    [`<motion name="m" plays="true">${key('at="0"')}</motion>`, 'changes nothing'],
    [`<motion name="m" plays="true">${key('at="0" gap="4"')}</motion>`, 'moves `gap` of `t`, which has none'],
    [`<motion name="m" plays="true">${key('at="2" opacity="0"')}</motion>`, 'behind its end'],
    ['<motion name="m" plays="true" />', 'has no keys'],
    [`<motion name="m">${key('at="0" opacity="0"')}</motion>`, 'Nothing plays `m`'],
  ])('%s', (motion, sentence) => {
    expect(told(on(motion)).join('\n')).toContain(sentence);
  });

  it('are none of one that is right', () => {
    expect(told(source)).toEqual([]);
  });

  it('are that it flashes more than three times a second (WCAG 2.3.1)', () => {
    const blinking = (seconds: number) =>
      on(
        `<motion name="m" seconds="${seconds}" repeat="6" plays="true">${key('at="0" opacity="0"')}${key('at="50%" opacity="1"')}${key('at="100%" opacity="0"')}</motion>`,
      );
    expect(told(blinking(0.2)).join()).toContain('flashing');
    expect(told(blinking(0.6))).toEqual([]);
  });

  it('are that it goes on for more than five seconds and cannot be held (WCAG 2.2.2)', () => {
    const drifting = `<motion name="m" seconds="6" plays="true">${key('at="0" opacity="0.9"')}</motion>`;
    expect(told(on(drifting)).join()).toContain('for 6 s');
    expect(told(on(drifting, '<button text="Hold" on.press="pause(\'m\')" />'))).toEqual([]);
  });
});
