import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { randomScreen } from '../../../tests/parity/documents.ts';
import { valuesOf } from '../src/cascade/values.ts';
import { withDelta } from '../src/document/delta.ts';
import { nameProblem } from '../src/document/names.ts';
import { nearest } from '../src/document/nearest.ts';
import {
  applySteps,
  attributeProblems,
  contextOf,
  controlNameProblem,
  defaultBands,
  defaultText,
  deltaOf,
  effectiveNames,
  initialScope,
  kindOf,
  kinds,
  locate,
  type Project,
  pathTo,
  projectProblem,
  propertiesOf,
  readAttributeText,
  type Step,
  stateNameProblem,
  themeOf,
  walk,
} from '../src/index.ts';
import { controlProblem } from '../src/meaning/validate.ts';
import { colourType, limitType, marginType, sizeType } from '../src/property-types/index.ts';
import { shippedTheme } from '../src/values/theme.ts';
import { named, projectOf } from './documents.ts';

const context = contextOf(projectOf('<screen name="s" />'));

describe('a property type', () => {
  it.each([
    [sizeType, '120', '120', 120],
    [sizeType, ' 120px ', '120', 120],
    [sizeType, 'share', 'share', { share: 1 }],
    [sizeType, 'share 2.50', 'share 2.5', { share: 2.5 }],
    [sizeType, '33.5%', '33.5%', { fraction: 0.335 }],
    [limitType, '0', '0', 0],
    [marginType, '-4  8px', '-4 8', { top: -4, end: 8, bottom: -4, start: 8 }],
    [marginType, '1 2 3', '1 2 3', { top: 1, end: 2, bottom: 3, start: 2 }],
    [marginType, '1 2 3 4', '1 2 3 4', { top: 1, end: 2, bottom: 3, start: 4 }],
    [colourType, '#ABC', '#abc', '#abc'],
    [colourType, 'on-accent', 'on-accent', 'on-accent'],
  ])('%# reads %s', (type, text, canonical, value) => {
    expect(type.read(text)).toEqual({ ok: true, text: canonical, value });
  });

  it.each([
    [
      sizeType,
      [
        '-1',
        'share 0',
        'share -1',
        'share 2px',
        '10 px 3',
        '1e5',
        'NaN',
        'Infinity',
        '',
        '50 %%',
        '99999999',
        'auto',
      ],
    ],
    [limitType, ['fit', '-3', '-5%']],
    [marginType, ['', '1 2 3 4 5', '5%', 'auto']],
    [colourType, ['#ab', '#abcde', 'rgb(1)', 'rgb(a, b, c)', 'url(x)', 'var(--x)', 'a b']],
  ])('%# refuses what it does not know', (type, texts) => {
    for (const text of texts) expect(type.read(text), text).toMatchObject({ ok: false });
  });

  it('gives each kind only properties whose defaults and starters it can read itself', () => {
    for (const kind of kinds) {
      for (const property of kind.properties)
        if (property.default !== undefined)
          expect(
            property.type.read(defaultText(property, shippedTheme)!),
            `${kind.name} ${property.name}`,
          ).toMatchObject({
            ok: true,
          });
      for (const [name, text] of Object.entries(kind.starter))
        expect(readAttributeText(kind, name, text, context), `${kind.name} ${name}`).toMatchObject({
          ok: true,
        });
    }
  });
});

describe('names', () => {
  it.each(['title', '_x', '$y', 'größe', 'a1'])('%s can be one', (name) =>
    expect(nameProblem(name)).toBeUndefined(),
  );
  it.each(['', '1a', 'a b', 'a-b', 'class', 'undefined', 'a.b', '😀', 'x'.repeat(65)])('%s cannot', (name) =>
    expect(nameProblem(name)).toBeTruthy(),
  );

  it('are unique in a screen, not between screens, and state has its own', () => {
    const project = projectOf(
      '<screen name="A"><text name="t" /><text name="u" /></screen>',
      '<screen name="B"><text name="t" /></screen>',
    );
    const [screen] = project.screens;
    expect(controlNameProblem(screen!, named(project, 'u'), 't')).toMatch(/taken by another text/);
    expect(controlNameProblem(screen!, named(project, 'u'), 'A')).toMatch(/screen itself/);
    expect(controlNameProblem(screen!, named(project, 't'), 't')).toBeUndefined();
    expect(stateNameProblem(project, 'guests')).toMatch(/already/);
    expect(stateNameProblem(project, 'Math')).toMatch(/function/);
  });

  it('are made from the kind where there is none, past those that are taken', () => {
    const project = projectOf('<screen name="A"><text /><row name="text2"><text /></row><row /></screen>');
    expect([...effectiveNames(project.screens[0]!).values()]).toEqual([
      'A',
      'text1',
      'text2',
      'text3',
      'row1',
    ]);
  });

  it('that are mistyped find their nearest', () => {
    expect(nearest('buton', ['button', 'row'])).toBe('button');
    expect(nearest('gpa', ['gap', 'padding'])).toBe('gap');
    expect(nearest('zzzz', ['gap', 'padding'])).toBeUndefined();
  });
});

describe('a project', () => {
  const project = projectOf(
    '<screen name="A"><row name="r"><text name="t" text="{guests}" /></row></screen>',
  );
  it('knows where its controls are', () => {
    const { id } = named(project, 't');
    expect(pathTo(project, id).map((control) => control.name)).toEqual(['A', 'r', 't']);
    expect(locate(project, id)).toMatchObject({ index: 0, depth: 2, parent: { name: 'r' } });
    expect(locate(project, 'nowhere')).toBeUndefined();
  });

  it.each([
    [{ ...project, format: 1 }, 'format 1'],
    [{ ...project, format: 3 }, 'A newer version reads it.'],
    [{ ...project, name: 5 }, 'no name'],
    [{ ...project, bands: [] }, 'bands'],
    [{ ...project, state: [{ name: 'a', type: 'number', initial: 'x' }] }, 'not of type number'],
    [{ ...project, state: [{ name: 'a b', type: 'text', initial: '' }] }, 'no spaces'],
    [{ ...project, assets: [{ name: '../x', type: 'image/png', width: 1, height: 1 }] }, 'file name'],
    [{ ...project, assets: [{ name: 'x', type: 'text/html', width: 1, height: 1 }] }, 'not a picture'],
    [{ ...project, screens: [...project.screens, ...project.screens] }, 'two screens'],
    [{ ...project, screens: [...project.screens, { ...project.screens[0], name: 'Another' }] }, 'the id'],
    [null, 'not a project'],
  ])('%# that is not valid says why', (value, words) => {
    expect(projectProblem(value)).toContain(words);
  });

  it('refuses controls that are nested too deeply or are no controls', () => {
    let deep: unknown = { id: 'x', kind: 'row', props: {}, children: [] };
    for (let level = 0; level < 120; level++)
      deep = { id: `d${level}`, kind: 'row', props: {}, children: [deep] };
    expect(controlProblem({ bands: defaultBands }, deep, undefined)).toContain('at most 100 deep');
    expect(
      controlProblem(
        { bands: defaultBands },
        { id: 'x', kind: 'row', props: { gap: 4 }, children: [] },
        undefined,
      ),
    ).toContain('no text');
    expect(
      controlProblem(
        { bands: defaultBands },
        { id: 'x', kind: 'text', props: {}, children: [deep] },
        undefined,
      ),
    ).toContain('holds no other controls');
  });

  it('says which attributes are not valid as they stand', () => {
    const without = { ...project, state: [] };
    expect(attributeProblems(project, named(project, 't'))).toEqual([]);
    expect(attributeProblems(without, named(without, 't'))).toMatchObject([
      { attribute: 'text', at: 1, message: 'There is no state variable `guests`.' },
    ]);
  });
});

describe('values in force', () => {
  it('fall back to the default where an expression fails, and say so', () => {
    const project = projectOf(
      '<screen name="A"><text name="t" size="{name}" width="{guests * 40}" text="{late ? 1 : null}" /></screen>',
    );
    const control = named(project, 't');
    const values = valuesOf(control, kindOf(control), {
      bands: defaultBands,
      width: 390,
      height: 844,
      scope: initialScope(project),
      theme: themeOf(project),
    });
    const [size, width, text] = ['size', 'width', 'text'].map(
      (name) => propertiesOf(kindOf(control)).get(name)!,
    );
    expect([values.get(size!), values.get(width!), values.get(text!) ?? '']).toEqual([16, 120, '']);
    expect(values.problems).toMatchObject([{ property: 'size' }]);
  });
});

describe('the next version of a document, in another thread', () => {
  const before = projectOf(
    '<screen name="s"><row name="a"><text name="t" text="x" /></row><column name="b" /></screen>',
  );
  const sent = (from: Project | undefined, now: Project) => structuredClone(deltaOf(from, now));

  it('shares with the one before what did not change, and only the rest is sent', () => {
    expect(withDelta(before, sent(before, before)).screens).toBe(before.screens);
    expect(withDelta(undefined, sent(undefined, before))).toEqual(before);
    const applied = applySteps(before, [
      { type: 'set', control: named(before, 't').id, property: 'text', value: 'y' },
    ]);
    if (!applied.ok) throw new Error(applied.reason);
    const delta = sent(before, applied.project);
    expect(JSON.stringify(delta)).not.toContain('column');
    const other = withDelta(before, delta);
    expect(other).toEqual(applied.project);
    expect(named(other, 'a')).not.toBe(named(before, 'a'));
    // What stands around a change keeps its attributes, the same object.
    expect(named(other, 'a').props).toBe(named(before, 'a').props);
    expect(named(other, 'b')).toBe(named(before, 'b'));
    expect(other.bands).toBe(before.bands);
  });

  it('is the same, whatever became of it', () => {
    const project = (seed: number): Project => ({
      ...before,
      screens: [{ ...randomScreen(seed), name: 'A' }],
    });
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 400 }), fc.array(fc.nat(), { maxLength: 8 }), (seed, picks) => {
        const first = project(seed);
        let [here, there] = [first, withDelta(undefined, sent(undefined, first))];
        for (const pick of picks) {
          const controls = [...walk(here.screens[0]!)].slice(1);
          if (controls.length === 0) return;
          const [control, parent] = [
            controls[pick % controls.length]!,
            controls[(pick * 7) % controls.length]!,
          ];
          const steps: Step[] = [
            { type: 'set', control: control.id, property: 'width', value: String(pick % 90) },
            { type: 'move', control: control.id, parent: parent.id, index: pick % 3 },
            { type: 'remove', control: control.id },
            { type: 'name', control: control.id, name: `n${pick}` },
            { type: 'put', of: 'state', entity: { name: `v${pick}`, type: 'text', initial: '' } },
          ];
          const applied = applySteps(here, [steps[pick % steps.length]!]);
          if (!applied.ok) continue;
          there = withDelta(there, sent(here, applied.project));
          here = applied.project;
          expect(there).toEqual(here);
        }
      }),
      { numRuns: 150 },
    );
  });
});
