/** Styles and states: which of the layers wins, under which condition, and what a page makes of it. */
import { describe, expect, it } from 'vitest';
import { allSaidOf, propertiesOf } from '../src/cascade/cascade.ts';
import { themeOf } from '../src/cascade/project-theme.ts';
import { valuesOf } from '../src/cascade/values.ts';
import type { Style } from '../src/document/style-set.ts';
import { stylesheet } from '../src/export/stylesheet.ts';
import { initialScope } from '../src/expression/initial-scope.ts';
import { parseOwnStates } from '../src/expression/own-states.ts';
import {
  applySteps,
  defaultBands,
  intoStyle,
  kindOf,
  makeStyle,
  namedBoxes,
  type Project,
  parseScreen,
  recurringLooks,
  ScreenView,
  scoped,
  sharedValues,
  styledValues,
  unusedStyles,
} from '../src/index.ts';
import { background, corner, padding } from '../src/kinds/properties.ts';
import { contextOf } from '../src/meaning/property-text.ts';
import { readStyleFile } from '../src/source/style-file.ts';
import { named, projectOf, testShaper } from './documents.ts';

let made = 0;
const nextId = () => `s${++made}`;

const styled = (styles: readonly Style[], source: string): Project => {
  const project = projectOf('<screen name="A" />');
  const screens = parsed({ ...project, styles }, source);
  return { ...project, styles, screens };
};

/** Screens read in a project that has styles already. */
function parsed(project: Project, source: string): Project['screens'] {
  const reading = parseScreen(source, { file: 'test', context: contextOf(project), newId: nextId });
  if (!reading.ok) throw new Error(reading.problems.map(({ message }) => message).join());
  return [{ ...reading.screen, name: 'A' }];
}

const values = (project: Project, name: string, width = 390, states: readonly string[] = []) => {
  const control = named(project, name);
  return valuesOf(control, kindOf(control), {
    bands: project.bands,
    width,
    height: 844,
    scope: initialScope(project, width),
    theme: themeOf(project),
    states: { own: [], held: new Map([[control.id, states]]) },
  });
};

const styles: readonly Style[] = [
  { for: 'button', props: { padding: '1', corner: '7', 'lap.corner': '9' } },
  { name: 'card', props: { padding: '2', 'lap.padding': '3', background: 'tint' } },
  { name: 'late', props: { padding: '4', 'hover.padding': '5' } },
];

describe('of what is said about a property', () => {
  it('the control wins over its styles, those over the style of its kind, that over the default', () => {
    const project = styled(
      styles,
      '<screen><button name="a" /><button name="b" style="card" /><button name="c" style="card" padding="8" /></screen>',
    );
    const top = (name: string) => values(project, name).get(padding)?.top;
    expect([top('a'), top('b'), top('c')]).toEqual([1, 2, 8]);
    const plain = styled([], '<screen><button name="a" /></screen>');
    expect(values(plain, 'a').get(padding)?.top).toBe(9);
  });

  it('of several styles the one that is listed later wins, in whatever order they are named', () => {
    const project = styled(styles, '<screen><row name="a" style="late card" /></screen>');
    expect(values(project, 'a').get(padding)?.top).toBe(4);
    expect(values(project, 'a').get(background)).toBe('tint');
  });

  it('a layer wins over a condition, and within a layer the last condition that holds', () => {
    const project = styled(
      styles,
      '<screen><row name="a" style="card" padding="8" /><row name="b" style="card" /><row name="c" style="late" lap.padding="6" pressed.padding="7" /></screen>',
    );
    expect(values(project, 'a', 700).get(padding)?.top).toBe(8);
    expect(values(project, 'b', 700).get(padding)?.top).toBe(3);
    expect(values(project, 'c').get(padding)?.top).toBe(4);
    expect(values(project, 'c', 390, ['hover']).get(padding)?.top).toBe(5);
    expect(values(project, 'c', 700, ['hover']).get(padding)?.top).toBe(6);
    expect(values(project, 'c', 700, ['pressed']).get(padding)?.top).toBe(7);
    expect(values(project, 'c', 390, ['hover', 'pressed']).get(padding)?.top).toBe(7);
  });

  it('each layer is told, the strongest first', () => {
    const project = styled(styles, '<screen><button name="a" style="card late" padding="8" /></screen>');
    const control = named(project, 'a');
    const property = propertiesOf(kindOf(control)).get('padding')!;
    const all = allSaidOf(control, property, { prefixes: ['', 'lap.'], theme: themeOf(project) });
    expect(
      all.map(({ text, from, style, condition }) => [text, from, style?.name ?? style?.for, condition]),
    ).toEqual([
      ['8', 'own', undefined, ''],
      ['4', 'style', 'late', ''],
      ['3', 'style', 'card', 'lap'],
      ['1', 'kind style', 'button', ''],
      ['9 16', 'default', undefined, ''],
    ]);
  });

  it('an expression names styles, and one that gives nothing leaves it to the styles', () => {
    const project = styled(
      styles,
      `<screen><row name="a" style="{guests > 2 ? 'card' : 'late'}" /><row name="b" style="card" background="{guests > 9 ? 'page' : undefined}" /></screen>`.replaceAll(
        '> ',
        '&gt; ',
      ),
    );
    expect(values(project, 'a').get(padding)?.top).toBe(2);
    expect(values(project, 'b').get(background)).toBe('tint');
  });

  it('a style for another kind is an error, as is one that is not there', () => {
    const project = {
      ...projectOf('<screen name="A" />'),
      styles: [{ name: 'key', for: 'button', props: {} }],
    };
    const wrong = (source: string) => {
      const reading = parseScreen(source, { file: 'test', context: contextOf(project), newId: nextId });
      return reading.ok ? [] : reading.problems.map(({ message }) => message);
    };
    expect(wrong('<screen><row style="key" /></screen>')).toEqual([
      'style: The style `key` is for a button, not for a row.',
    ]);
    expect(wrong('<screen><row style="kee" /></screen>')).toEqual([
      'style: There is no style `kee`. Did you mean `key`?',
    ]);
  });
});

describe('states', () => {
  it('that values say hold by themselves', () => {
    const project = projectOf(
      '<screen name="A"><button name="a" disabled="true" disabled.corner="3" /><checkbox name="b" checked="true" checked.corner="4" /></screen>',
    );
    expect(values(project, 'a').get(corner)).toBe(3);
    expect(values(project, 'b').get(corner)).toBe(4);
  });

  it.each([
    ['late: {a > 1} | near: hover', ['late', 'near']],
    ["x: {'a|b' == c || d}", ['x']],
    ['', []],
  ])('%s are read', (text, names) => {
    const read = parseOwnStates(text);
    expect(read.ok && read.value.map(({ name }) => name)).toEqual(names);
  });
  it.each(['late', 'late: true', 'hover: {a}', 'on: {a}', 'late: {a} | late: {b}', 'late: {a', '1: {a}'])(
    '%s are none',
    (text) => {
      expect(parseOwnStates(text).ok).toBe(false);
    },
  );

  it('of its own hold for a control and all in it; the nearest that declares a name counts', async () => {
    const project =
      projectOf(`<screen name="A"><column name="out" states="late: {guests == 3}" late.padding="10">
      <row name="inner" late.padding="5"><spacer name="s" width="10" height="10" /></row>
      <row name="nearer" states="late: {false}" late.padding="7"><spacer name="t" width="10" height="10" late.width="99" /></row>
    </column></screen>`);
    const boxes = namedBoxes(
      { screens: [] },
      project.screens[0]!,
      new ScreenView(await testShaper()).layOut(project, project.screens[0]!, { width: 300, height: 300 }),
    );
    const at = (name: string) => boxes.find((box) => box.name === name);
    expect([at('out')?.height, at('s')?.x, at('t')?.x, at('t')?.width]).toEqual([
      10 + 20 + 10 + 10,
      15,
      10,
      10,
    ]);
  });

  it('are edited for like bands, where the kind has them', () => {
    const project = projectOf('<screen name="A"><button name="a" /><text name="b" /></screen>');
    const set = (name: string) => ({
      type: 'set' as const,
      control: named(project, name).id,
      property: 'corner',
      value: '9',
    });
    const made = (name: string, scope: string) =>
      scoped(project, [set(name)], scope, () => 'n').map((step) => 'property' in step && step.property);
    expect(made('a', 'disabled')).toEqual(['disabled.corner']);
    expect(made('a', 'lap.pressed')).toEqual(['lap.pressed.corner']);
    expect(made('b', 'disabled')).toEqual([]);
  });
});

describe('a file of styles', () => {
  const read = (text: string) =>
    readStyleFile(text, contextOf({ bands: defaultBands, state: [], screens: [] }));
  it.each([
    ['<styles><style name="a" for="gizmo" /></styles>', 'There is no kind `gizmo`.'],
    ['<styles><style padding="4" /></styles>', 'A style has a `name`, or says which kind it is `for`.'],
    ['<styles><style name="a" text="Words" /></styles>', 'text: A style has no attribute `text`.'],
    [
      '<styles><style name="a" col="2" /></styles>',
      expect.stringMatching(/^col: A style has no attribute `col`\./),
    ],
    [
      '<styles><style name="a" padding="-4" /></styles>',
      'padding: `-4` is not one to four lengths of 0 or more.',
    ],
    ['<styles><style name="a" /><style name="a" /></styles>', 'There are two styles `a`.'],
    ['<styles><row /></styles>', '<row> cannot stand here.'],
    [
      '<styles><style name="a" /><!-- late --></styles>',
      'A comment stands in front of the style that it is about.',
    ],
  ])('%s says what is wrong', (text, message) => {
    const reading = read(text);
    expect(reading.ok ? [] : reading.problems.map((problem) => problem.message)).toContainEqual(message);
  });
});

describe('a look', () => {
  const source =
    '<screen><text name="a" size="20" weight="700" text="A" /><text name="b" size="20" weight="700" color="quiet" /><text name="c" size="20" /><row name="d" width="40" /></screen>';
  it('that recurs becomes a style: said once, with nothing changed but where it is said', () => {
    const project = styled([], source);
    const [look] = recurringLooks(project);
    expect(look).toMatchObject({ values: { size: '20', weight: '700' }, freed: 2 });
    const made = applySteps(project, makeStyle(look!.controls, 'figure', look!.values, 'text'));
    if (!made.ok) throw new Error(made.reason);
    expect(named(made.project, 'a').props).toEqual({ style: 'figure', text: 'A' });
    expect(made.project.styles).toEqual([
      { name: 'figure', for: 'text', props: { size: '20', weight: '700' } },
    ]);
    expect(unusedStyles(made.project)).toEqual([]);
  });
  it('of several controls is what they share, and what one says goes into its style', () => {
    const project = styled(
      [{ name: 'quiet', props: {} }],
      source.replace('name="b"', 'name="b" style="quiet"'),
    );
    expect(sharedValues([named(project, 'a'), named(project, 'c')])).toEqual({ size: '20' });
    expect(styledValues(named(project, 'a'))).toEqual({ size: '20', weight: '700' });
    const into = applySteps(project, intoStyle(named(project, 'b'), project.styles![0]!, ['color']));
    if (!into.ok) throw new Error(into.reason);
    expect(into.project.styles![0]!.props).toEqual({ color: 'quiet' });
    expect(named(into.project, 'b').props.color).toBeUndefined();
  });
});

describe('on a page', () => {
  it('a style is a class in a layer of its own, and nothing of it is said again', () => {
    const css = stylesheet(
      styled(
        [{ name: 'card', props: { padding: '16', 'hover.background': 'tint', 'lap.padding': '24' } }],
        '<screen><row name="a" style="card" /><row name="b" style="card" gap="4" /></screen>',
      ),
    );
    expect(css).toContain('@layer kinds, style-card;');
    expect(css.match(/padding: 16px/g)).toHaveLength(1);
    expect(css).toMatch(/\.style-card:hover \{\s+background: var\(--tint\);/);
    expect(css).toMatch(/\.screen-A \.b \{\s+gap: 4px;\s+\}/);
    expect(css).not.toMatch(/\.screen-A \.a \{/);
  });
  it('tokens are custom properties, of both colours, and lengths that follow one', () => {
    const css = stylesheet({
      ...styled([], '<screen><row name="a" /></screen>'),
      tokens: [
        {
          path: 'space.m',
          type: 'dimension',
          value: { value: 16, unit: 'px' },
          dark: { value: 20, unit: 'px' },
        },
        { path: 'color.deep', type: 'color', value: '#112233', dark: '#aabbcc' },
        { path: 'color.unused', type: 'color', value: '#112233' },
      ],
      screens: [
        {
          ...projectOf('<screen name="A" />').screens[0]!,
          props: { padding: 'space.m 3', background: 'deep' },
        },
      ],
    });
    expect(css).toContain('--deep: light-dark(#112233, #aabbcc);');
    expect(css).toContain('padding: var(--space-m) 3px;');
    expect(css).toMatch(/:root\[data-mode="dark"\] \{\s+--space-m: 20px;/);
    expect(css).not.toContain('--unused');
  });
});
