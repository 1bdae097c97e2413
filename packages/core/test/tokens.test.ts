/** Design tokens: files of the format, aliases, modes, names in attributes, colours and their contrast. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { themeOf } from '../src/cascade/project-theme.ts';
import { type Json, type Token, tokenName, tokenPathProblem, tokenTypes } from '../src/document/token.ts';
import { applySteps, dropping, kindOf, type Project, putting } from '../src/index.ts';
import { contextOf, readAttributeText } from '../src/meaning/property-text.ts';
import { printFolder, readFolder } from '../src/source/folder.ts';
import { printTokenFiles, readTokenFiles } from '../src/source/token-files.ts';
import { usesOfToken, withToken } from '../src/steps/token-uses.ts';
import { colourText } from '../src/tokens/colour.ts';
import { shippedTokens } from '../src/tokens/shipped.ts';
import { shippedThemes } from '../src/tokens/shipped-themes.ts';
import { contrastOf, inSrgb, reaching } from '../src/tokens/srgb.ts';
import { readTypedValue, typedText } from '../src/tokens/typed-value.ts';
import { named, projectOf } from './documents.ts';

const px = (value: number): Json => ({ value, unit: 'px' });
const token = (path: string, type: Token['type'], value: Json, rest: Partial<Token> = {}): Token => ({
  path,
  type,
  value,
  ...rest,
});
const dressed = (
  tokens: readonly Token[],
  source = '<screen name="A"><row name="r" /></screen>',
): Project => ({
  ...projectOf(source),
  tokens,
});
const read = (files: Record<string, string>) => readTokenFiles(new Map(Object.entries(files)), shippedTokens);
const tokensOf = (files: Record<string, string>): readonly Token[] => {
  const reading = read(files);
  if (!reading.ok) throw new Error(reading.problems.map(({ message }) => message).join());
  return reading.tokens;
};
const problemsOf = (files: Record<string, string>): string[] => {
  const reading = read(files);
  return reading.ok
    ? []
    : reading.problems.map(({ line, column, message }) => `${line}:${column} ${message}`);
};

describe('a file of tokens', () => {
  it('has types of groups, aliases, descriptions and what other programs wrote', () => {
    const text = JSON.stringify({
      color: {
        $type: 'color',
        $description: 'All of them',
        brand: {
          $root: { $value: '#112233' },
          deep: { $value: '#001122', $description: 'Far down', $extensions: { other: { a: [1] } } },
        },
        link: { $value: '{color.brand.deep}', $deprecated: 'use deep' },
      },
    });
    expect(tokensOf({ 'theme/tokens.json': text })).toEqual([
      token('color.brand', 'color', '#112233', { groups: [{ path: 'color', description: 'All of them' }] }),
      token('color.brand.deep', 'color', '#001122', {
        description: 'Far down',
        extensions: { other: { a: [1] } },
      }),
      token('color.link', 'color', '{color.brand.deep}', { deprecated: 'use deep' }),
    ]);
  });

  it('takes the type of what it is an alias for', () => {
    const text = '{ "a": { "$value": "{b}" }, "b": { "$value": "{color.accent}" } }';
    expect(tokensOf({ 'theme/tokens.json': text }).map(({ type }) => type)).toEqual(['color', 'color']);
  });

  it('says what differs in a mode, of tokens that ship too', () => {
    const [own, accent] = tokensOf({
      'theme/tokens.json': '{ "a": { "$type": "number", "$value": 1 } }',
      'theme/dark.tokens.json': '{ "a": { "$value": 2 }, "color": { "accent": { "$value": "#ffffff" } } }',
    });
    expect(own).toMatchObject({ value: 1, dark: 2 });
    expect(accent).toMatchObject({ path: 'color.accent', dark: '#ffffff' });
  });

  it.each([
    ['{ "a": 3 }', '1:3 `a` is neither a group nor a token.'],
    ['{ "a": { "$value": 3 } }', '1:3 a: It has no type: `$type`, on it or on its group.'],
    [
      '{ "a": { "$type": "colour", "$value": 3 } }',
      '1:3 `colour` is no type of tokens. Did you mean `color`?',
    ],
    ['{\n "a": { "$valeu": 3 } }', '2:2 There is no `$valeu` in a file of tokens. Did you mean `$value`?'],
    [
      '{ "a b": { "$type": "number", "$value": 3 } }',
      expect.stringMatching(/^1:3 `a b` is no name of a token/),
    ],
    ['{ "$ref": "#/x" }', expect.stringMatching(/cannot be read here/)],
    ['[]', '1:1 An object with tokens is expected.'],
    ['{', expect.stringMatching(/^1:\d/)],
  ])('says what is wrong with %s', (text, message) => {
    expect(problemsOf({ 'theme/tokens.json': text })).toEqual([message]);
  });

  it('refuses what is nested without end', () => {
    const deep = `${'{"a":'.repeat(200)}{}${'}'.repeat(200)}`;
    expect(problemsOf({ 'theme/tokens.json': deep })[0]).toMatch(/nested at most 30 deep/);
  });

  it('comes back as it was, whatever tokens there are', () => {
    const segment = fc.stringMatching(/^[a-z][a-z0-9-]{0,5}$/);
    const value = fc.oneof(
      fc.record({ type: fc.constant('number' as const), value: fc.integer() as fc.Arbitrary<Json> }),
      fc.record({
        type: fc.constant('color' as const),
        value: fc.constantFrom<Json>('#123456', '{color.ink}'),
      }),
      fc.record({ type: fc.constant('dimension' as const), value: fc.integer({ min: 0, max: 99 }).map(px) }),
    );
    const one = fc.tuple(
      fc.array(segment, { minLength: 1, maxLength: 3 }),
      value,
      fc.boolean(),
      fc.option(fc.string()),
    );
    fc.assert(
      fc.property(fc.uniqueArray(one, { selector: ([path]) => path.join('.') }), (made) => {
        const tokens = made.map(([path, { type, value: held }, isDark, description]) =>
          token(path.join('.'), type, held, {
            ...(isDark ? { dark: '{color.page}' } : {}),
            ...(description ? { description } : {}),
          }),
        );
        const back = readTokenFiles(printTokenFiles(tokens), shippedTokens);
        expect(back.ok && [...back.tokens].toSorted((a, b) => (a.path < b.path ? -1 : 1))).toEqual(
          tokens.toSorted((a, b) => (a.path < b.path ? -1 : 1)),
        );
      }),
      { numRuns: 200 },
    );
  });
});

describe('what a token comes to', () => {
  const theme = (tokens: readonly Token[], mode: 'light' | 'dark' | 'contrast' = 'light') =>
    themeOf(dressed(tokens), mode);

  it('is called by its path without the group of a type', () => {
    expect(['color.accent', 'color.brand.deep', 'space.m', 'number', 'shadow.raised'].map(tokenName)).toEqual(
      ['accent', 'brand.deep', 'space.m', 'number', 'raised'],
    );
    expect(tokenPathProblem('a..b')).toBeDefined();
    expect(tokenPathProblem('space.2xl')).toBeUndefined();
  });

  it('follows aliases in each mode, and tells of circles, of nothing and of other types', () => {
    const tokens = [
      token('color.a', 'color', '{color.b}'),
      token('color.b', 'color', '#111111', { dark: '#eeeeee' }),
      token('x.one', 'number', '{x.two}'),
      token('x.two', 'number', '{x.one}'),
      token('x.lost', 'number', '{x.tow}'),
      token('x.other', 'number', '{color.b}'),
      token('x.bad', 'number', 'many'),
    ];
    expect(theme(tokens).colours.a).toBe('#111111');
    expect(theme(tokens, 'dark').colours.a).toBe('#eeeeee');
    const { problems } = theme(tokens);
    expect(problems.get('x.two')).toBe('It stands for itself: `x.one` → `x.two` → `x.one`.');
    expect(problems.get('x.lost')).toBe('There is no token `x.tow`. Did you mean `x.two`?');
    expect(problems.get('x.other')).toBe('`color.b` is a color, not a number.');
    expect(problems.get('x.bad')).toBe('The value is no number.');
  });

  it.each<[Token['type'], Json, string | undefined]>([
    ['dimension', { value: 1.5, unit: 'rem' }, '24'],
    ['dimension', '12px', '12'],
    ['dimension', { value: 3, unit: 'em' }, undefined],
    ['fontWeight', 'semi-bold', '600'],
    ['duration', { value: 0.2, unit: 's' }, '0.2s'],
    ['cubicBezier', [0.2, 0, 0, 1], 'cubic-bezier(0.2, 0, 0, 1)'],
    ['fontFamily', ['Zilla Slab', 'serif'], 'Zilla Slab'],
    [
      'shadow',
      [
        { color: '{color.ink}', offsetX: px(0), offsetY: px(4), blur: px(12), spread: px(0) },
        { color: '#00000033', offsetX: px(1), offsetY: px(1), inset: true },
      ],
      '0 4 12 0 ink, inset 1 1 0 0 #00000033',
    ],
    [
      'gradient',
      [
        { color: '#ffffff', position: 0 },
        { color: '{color.accent}', position: 0.5 },
      ],
      'linear-gradient(#ffffff 0%, accent 50%)',
    ],
    [
      'transition',
      { duration: { value: 150, unit: 'ms' }, delay: px(0), timingFunction: [0, 0, 1, 1] },
      undefined,
    ],
  ])('%s %j is %s', (type, value, text) => {
    expect(theme([token('x', type, value)]).tokens.get('x')?.texts['']).toBe(text);
  });

  it.each<[Json, string | undefined]>([
    [{ colorSpace: 'srgb', components: [1, 0, 0] }, '#ff0000'],
    [{ colorSpace: 'srgb', components: [1, 0, 0], alpha: 0.5 }, 'color(srgb 1 0 0 / 0.5)'],
    [{ colorSpace: 'srgb', components: [0.1234567, 0, 0] }, 'color(srgb 0.12346 0 0)'],
    [{ colorSpace: 'hsl', components: [200, 80, 40], alpha: 0.5 }, 'hsl(200 80% 40% / 0.5)'],
    [{ colorSpace: 'oklch', components: [0.6, 0.1, 'none'] }, 'oklch(0.6 0.1 none)'],
    [{ colorSpace: 'display-p3', components: [1, 0, 0] }, 'color(display-p3 1 0 0)'],
    [{ colorSpace: 'rgb', components: [1, 0, 0] }, undefined],
    [{ colorSpace: 'srgb', components: [1, 0] }, undefined],
    ['#AbC', '#abc'],
    ['red', undefined],
  ])('the colour %j is %s', (value, text) => {
    expect(colourText(value)).toBe(text);
  });

  it('changes the measures of controls, within what they may be', () => {
    expect(theme([token('dimension.field-height', 'dimension', px(52))]).fieldHeight).toBe(52);
    const wrong = theme([token('dimension.text-size', 'dimension', px(4000))]);
    expect(wrong.textSize).toBe(16);
    expect(wrong.problems.get('dimension.text-size')).toBe('It is a number from 1 to 400.');
  });
});

describe('the name of a token in an attribute', () => {
  const tokens = [
    token('space.m', 'dimension', px(16)),
    token('color.brand.deep', 'color', '#123456'),
    token('shadow.raised', 'shadow', { color: '#000000', offsetX: px(0), offsetY: px(1) }),
  ];
  const project = dressed(tokens);
  const reading = (attribute: string, text: string) =>
    readAttributeText(kindOf({ kind: 'row' }), attribute, text, contextOf(project));

  it('stands for its value where its type fits, among others too', () => {
    expect(reading('padding', ' space.m   4 ')).toEqual({ ok: true, text: 'space.m 4' });
    expect(reading('shadow', 'raised')).toMatchObject({ ok: true });
    expect(reading('shadow', 'raised, 0 space.m 0 0 brand.deep')).toMatchObject({ ok: true });
    expect(reading('background', 'linear-gradient(brand.deep, #ffffff)')).toMatchObject({ ok: true });
  });

  it.each([
    ['background', 'brand.depe', 'There is no token `brand.depe`. Did you mean `brand.deep`?'],
    ['padding', 'brand.deep', expect.stringMatching(/`brand\.deep` is a color token/)],
    ['background', 'linear-gradient(lost, #ffffff)', 'There is no token `lost`.'],
    ['gap', 'space.n', expect.stringMatching(/Did you mean `space\.m`\?$/)],
  ])('in %s, %s is refused', (attribute, text, message) => {
    expect(reading(attribute, text)).toMatchObject({ ok: false, message });
  });

  it('follows when the token is renamed, in controls, styles and other tokens', () => {
    const used: Project = {
      ...dressed(
        [...tokens, token('space.l', 'dimension', '{space.m}')],
        '<screen name="A"><row name="r" /></screen>',
      ),
      styles: [{ name: 'card', props: { padding: 'space.m 4', width: 'share' } }],
    };
    const set = applySteps(used, [
      { type: 'set', control: named(used, 'r').id, property: 'gap', value: 'space.m' },
      { type: 'rename', of: 'tokens', key: 'space.m', to: 'space.middle' },
    ]);
    if (!set.ok) throw new Error(set.reason);
    expect(named(set.project, 'r').props.gap).toBe('space.middle');
    expect(set.project.styles?.[0]?.props).toEqual({ padding: 'space.middle 4', width: 'share' });
    expect(set.project.tokens?.at(-1)?.value).toBe('{space.middle}');
    expect(usesOfToken(set.project, 'space.middle')).toBe(3);
    // What is used does not go; another one takes its place everywhere, and then it does.
    const held = set.project.tokens?.find(({ path }) => path === 'space.middle');
    expect(applySteps(set.project, [dropping('tokens', held!)]).ok).toBe(false);
    const other = applySteps(set.project, [putting('tokens', token('space.s', 'dimension', px(2)))]);
    const gone = other.ok && applySteps(other.project, withToken(other.project, 'space.middle', 'space.s'));
    if (gone === false || !gone.ok) throw new Error('The token was not replaced.');
    expect(named(gone.project, 'r').props.gap).toBe('space.s');
    expect(gone.project.tokens?.map(({ path }) => path)).not.toContain('space.middle');
  });

  it('of which there are two is refused', () => {
    const added = applySteps(project, [putting('tokens', token('dimension.brand.deep', 'dimension', px(1)))]);
    expect(added).toMatchObject({ ok: false });
  });
});

describe('what is typed for a token', () => {
  const known = { tokens: [token('color.deep', 'color', '#112233')], nameOf: tokenName };
  it.each<[Token['type'], string, Json]>([
    ['color', '#FF0000', { colorSpace: 'srgb', components: [1, 0, 0], hex: '#ff0000' }],
    ['color', 'hsl(200 80% 40%)', { colorSpace: 'hsl', components: [200, 80, 40] }],
    ['color', 'oklch(0.6 0.1 200 / 0.5)', { colorSpace: 'oklch', components: [0.6, 0.1, 200], alpha: 0.5 }],
    ['color', 'deep', '{color.deep}'],
    ['dimension', '1.5rem', { value: 1.5, unit: 'rem' }],
    ['dimension', '12', px(12)],
    ['duration', '150ms', { value: 150, unit: 'ms' }],
    ['cubicBezier', '0.2, 0, 0, 1', [0.2, 0, 0, 1]],
    ['number', '1.4', 1.4],
  ])('as a %s, %s is kept as the format has it, and shown as it was typed', (type, text, value) => {
    const reading = readTypedValue(type, text, known);
    expect(reading).toEqual({ ok: true, value });
    expect(typedText(type, value, tokenName).toLowerCase()).toBe(text.toLowerCase().replace(/px$/, ''));
  });
  it.each<[Token['type'], string]>([
    ['color', 'reddish'],
    ['dimension', 'wide'],
    ['cubicBezier', '1, 2'],
    ['shadow', 'soft'],
    ['typography', 'large'],
    ['gradient', '[1'],
  ])('as a %s, %s is told to be none', (type, text) => {
    expect(readTypedValue(type, text, known).ok).toBe(false);
  });
  it('comes back for every token that ships', () => {
    for (const { tokens } of shippedThemes)
      for (const each of [...tokens, ...shippedTokens]) {
        const reading = readTypedValue(each.type, typedText(each.type, each.value, tokenName), known);
        expect(reading.ok, each.path).toBe(true);
      }
    expect(tokenTypes.length).toBe(12);
  });
});

describe('contrast', () => {
  it('is that of WCAG', () => {
    expect(contrastOf('#000000', '#ffffff')).toBeCloseTo(21, 5);
    expect(contrastOf('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
    expect(contrastOf('#00000080', '#ffffff')).toBeCloseTo(contrastOf('#7f7f7f', '#ffffff'), 1);
  });
  it('is reached by the nearest colour, where any reaches it', () => {
    const hex = fc.stringMatching(/^#[0-9a-f]{6}$/);
    fc.assert(
      fc.property(hex, hex, (ink, ground) => {
        const better = reaching(ink, ground, 4.5);
        if (better !== undefined) expect(contrastOf(better, ground)).toBeGreaterThan(4.45);
      }),
      { numRuns: 300 },
    );
    expect(reaching('#888888', '#ffffff', 4.5)).toMatch(/^#7[0-9a-f]/);
  });
  it('of all shipped themes is enough for words on their grounds, in every mode', () => {
    for (const { id, tokens } of shippedThemes)
      for (const mode of ['light', 'dark', 'contrast'] as const) {
        const { colours } = themeOf({ tokens }, mode);
        for (const ground of ['page', 'sheet', 'tint'] as const)
          for (const ink of ['ink', 'quiet', 'accent', 'alert'] as const)
            expect(
              contrastOf(colours[ink], colours[ground]),
              `${id} ${mode}: ${ink} on ${ground}`,
            ).toBeGreaterThan(4.5);
        expect(contrastOf(colours['on-accent'], colours.accent), `${id} ${mode}`).toBeGreaterThan(4.5);
      }
  });
  it('knows what lies outside of sRGB', () => {
    expect(inSrgb('color(display-p3 0 1 0)')).toMatchObject({ isInside: false });
    expect(inSrgb('#00ff00')).toEqual({ hex: '#00ff00', isInside: true });
    expect(inSrgb('nothing')).toBeUndefined();
  });
});

it('a project with tokens and styles comes back from its folder', () => {
  const project: Project = {
    ...dressed(
      [token('space.m', 'dimension', px(16), { dark: px(20) })],
      '<screen name="A"><row name="r" gap="space.m" style="card" /></screen>'.replace(
        ' gap="space.m" style="card"',
        '',
      ),
    ),
    styles: [
      { for: 'button', props: { 'min-height': '44' } },
      {
        name: 'card',
        props: { padding: 'space.m', 'hover.background': 'tint', 'lap.hover.gap': '3' },
        comments: [' Of cards '],
      },
    ],
  };
  let count = 0;
  const back = readFolder(printFolder(project), () => `n${++count}`);
  if (!back.ok) throw new Error(JSON.stringify(back.problems));
  expect(back.project.tokens).toEqual(project.tokens);
  expect(back.project.styles).toEqual(project.styles);
});
