/** What stands out: words, edges, icons, the ring of the focus, in every mode and state; and what of a theme nothing needs. */
import { beforeAll, describe, expect, it } from 'vitest';
import type { Style } from '../src/document/style-set.ts';
import type { Token } from '../src/document/token.ts';
import {
  applySteps,
  checkAll,
  colourPairs,
  colourValue,
  contextOf,
  type Finding,
  type Project,
  parseScreen,
  ScreenView,
  unusedIn,
  usersOfToken,
} from '../src/index.ts';
import type { Shaper } from '../src/text/shaper.ts';
import { projectOf, testShaper } from './documents.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const checks = new Set(['low-contrast', 'faint-part', 'faint-focus', 'said-twice']);
function found(
  inside: string,
  { styles = [], tokens = [] }: Partial<Pick<Project, 'styles' | 'tokens'>> = {},
): {
  readonly project: Project;
  readonly findings: readonly Finding[];
} {
  let count = 0;
  const base = { ...projectOf('<screen name="s" />'), styles, tokens };
  const source = `<screen name="s" padding="20" gap="8"><heading text="Hut" level="1" />${inside}</screen>`;
  const read = parseScreen(source, { file: 's', context: contextOf(base), newId: () => `c${++count}` });
  if (!read.ok) throw new Error(JSON.stringify(read.problems));
  const project: Project = { ...base, screens: [{ ...read.screen, name: 's' }] };
  return {
    project,
    findings: checkAll(shaper, project, project.screens[0]!).filter(({ check }) => checks.has(check)),
  };
}
const told = (...given: Parameters<typeof found>) =>
  found(...given).findings.map(({ check, severity, sentence }) => [check, severity, sentence]);
const colour = (path: string, value: string, more: Partial<Token> = {}): Token => ({
  path,
  type: 'color',
  value: colourValue(value)!,
  ...more,
});

describe('what stands out', () => {
  it('shipped controls do, in every mode, and while they are pressed', () => {
    const controls = `<button text="Keep" /><button text="Later" tone="plain" /><button text="Away" tone="danger" />
      <textField label="Party" value="Ten" hint="As in the book" /><checkbox label="Half board" checked="true" />
      <switch label="Quiet" /><slider label="Stove" value="4" /><link text="Weather" to="https://example.org" />
      <iconButton icon="pencil" text="Edit" /><tabs options="One | Two"><text text="a" /><text text="b" /></tabs>
      <spacer width="10" height="10" background="tint" hover.background="sheet" pressed.background="page" />`;
    expect(told(controls)).toEqual([]);
  });

  it('pale words do not, and the nearest colour that does is offered', () => {
    const { project, findings } = found(
      '<column background="#ffffff"><text name="pale" text="Ten guests" color="#aaaaaa" /></column>',
    );
    expect(findings.map(({ check, severity }) => [check, severity])).toEqual([['low-contrast', 'warning']]);
    const applied = applySteps(project, findings[0]!.fixes[0]!.steps);
    if (!applied.ok) throw new Error('The fix does not fit');
    const left = checkAll(shaper, applied.project, applied.project.screens[0]!);
    expect(left.filter(({ check, severity }) => checks.has(check) && severity === 'warning')).toEqual([]);
  });

  it('more is asked for where more contrast is, as advice', () => {
    const tokens = [colour('color.soft', '#5f5f5f', { dark: colourValue('#eeeeee')! })];
    expect(told('<text name="soft" text="Ten guests" color="soft" />', { tokens })).toEqual([
      [
        'low-contrast',
        'advice',
        'The words of `soft` stand out 5.8 to 1 with more contrast; 7 to 1 is asked for.',
      ],
    ]);
    const stronger = [
      colour('color.soft', '#5f5f5f', { dark: colourValue('#eeeeee')!, contrast: colourValue('#333333')! }),
    ];
    expect(told('<text text="Ten guests" color="soft" />', { tokens: stronger })).toEqual([]);
  });

  it('an edge that nobody sees is told, but not where the box itself is seen', () => {
    const faint =
      '<textField name="party" label="Party" part(box).border-color="#eeeae0" part(box).background="page" />';
    expect(told(faint)).toEqual([
      ['faint-part', 'warning', expect.stringContaining('The edge of `party` stands out 1.')],
    ]);
    expect(
      told(
        faint
          .replace('part(box).background="page"', 'part(box).background="ink"')
          .replace('label="Party"', 'label="Party" placeholder=""'),
      ),
    ).toEqual([]);
  });

  it('a fix goes where the colour is, and is offered only where it mends', () => {
    const faint = '<switch name="quiet" label="Quiet" part(track).background="#efece4" />';
    const { project, findings } = found(faint);
    const [fix] = findings[0]!.fixes;
    expect(fix?.steps).toMatchObject([{ property: 'part(track).background' }]);
    const applied = applySteps(project, fix!.steps);
    const left = applied.ok ? checkAll(shaper, applied.project, applied.project.screens[0]!) : [];
    expect(left.filter(({ check }) => check === 'faint-part').map(({ sentence }) => sentence)).toEqual([]);
    // A hint is not painted in the colour of its control.
    const hinted =
      '<column background="#6a726c"><checkbox label="Half board" color="#ffffff" hint="As in the book" /></column>';
    const [words] = found(hinted).findings.filter(({ check }) => check === 'low-contrast');
    expect(words?.fixes).toEqual([]);
  });

  it('icons that say something by themselves are asked for three to one', () => {
    expect(told('<iconButton name="edit" icon="pencil" text="Edit" color="#d8d2c4" />')).toEqual([
      ['faint-part', 'warning', expect.stringContaining('The icon of `edit` stands out 1.')],
    ]);
  });

  it('what is off is asked for nothing', () => {
    expect(told('<button text="Keep" disabled="true" background="#cccccc" color="#dddddd" />')).toEqual([]);
  });

  it('the ring of the focus is told where its ground is like it, and where it is cut off', () => {
    expect(
      told(
        '<column padding="8" background="accent"><button name="go" text="Go" background="page" color="ink" /></column>',
      ),
    ).toEqual([
      [
        'faint-focus',
        'warning',
        expect.stringContaining('The ring around `go`, when it has the focus, stands out 1.0'),
      ],
    ]);
    const cut =
      '<column clip="true" width="120" height="40"><button name="go" text="Go" width="120" height="40" /></column>';
    expect(told(cut)).toEqual([['faint-focus', 'warning', expect.stringContaining('stands out 1.0 to 1')]]);
    expect(told(cut.replace('width="120" height="40">', 'width="120" height="60" padding="10">'))).toEqual(
      [],
    );
  });

  it('states count: words that sink while something is over them', () => {
    const [finding] = told(
      '<column background="sheet" hover.background="ink"><text name="it" text="Ten" /></column>',
    );
    expect(finding).toEqual(['low-contrast', 'warning', expect.stringContaining('hover')]);
  });
});

describe('pairs of colours', () => {
  it('are told once, with their tokens, their places and a better colour', () => {
    const tokens = [colour('color.soft', '#a0a0a0')];
    const { project } = found(
      '<text name="a" text="One" color="soft" /><text name="b" text="Two" color="soft" />',
      { tokens },
    );
    const run = colourPairs(new ScreenView(shaper), project);
    let next = run.next();
    while (!next.done) next = run.next();
    const pair = next.value.find(({ mode, inkTokens }) => mode === 'light' && inkTokens.includes('soft'))!;
    expect(pair).toMatchObject({ what: 'words', groundTokens: ['page'], needed: 4.5 });
    expect(pair.controls).toHaveLength(2);
    expect(pair.better).toMatch(/^#[0-9a-f]{6}$/);
    expect(next.value[0]!.ratio - next.value[0]!.wanted).toBeLessThan(0);
  });
});

describe('said twice', () => {
  const styles: Style[] = [
    { name: 'card', props: { padding: '8', background: 'tint', 'lap.padding': '12' } },
    { name: 'calm', props: { background: 'page' } },
  ];
  it('is told with what would leave it to the style', () => {
    const { project, findings } = found(
      '<column name="a" style="card" background="tint"><text text="x" /></column>',
      { styles },
    );
    expect(findings.map(({ sentence }) => sentence)).toEqual([
      '`a` says `background` itself, as its style `card` does anyway.',
    ]);
    const applied = applySteps(project, findings[0]!.fixes[0]!.steps);
    expect(applied.ok && JSON.stringify(applied.project.screens)).not.toContain('tint');
  });
  it('is not told where the style says more, a stronger one says something else, or an expression chooses', () => {
    for (const control of [
      '<column style="card" padding="8"><text text="x" /></column>',
      '<column style="card calm" background="tint"><text text="x" /></column>',
      '<column style="{late ? \'card\' : \'\'}" background="tint"><text text="x" /></column>',
    ])
      expect(told(control, { styles })).toEqual([]);
  });
});

describe('what nothing uses', () => {
  it('is told of the theme, with what would take it away', () => {
    const tokens = [
      colour('color.one', '#111111'),
      colour('color.two', '#222222'),
      colour('color.accent', '#2f5d50'),
    ];
    const styles: Style[] = [
      { name: 'used', props: { background: 'one' } },
      { name: 'idle', props: { padding: '2' } },
    ];
    const { project } = found('<column style="used"><text text="two" /></column>', { styles, tokens });
    const unused = unusedIn(project);
    expect(unused.map(({ check, name }) => [check, name])).toEqual([
      ['unused-style', 'idle'],
      ['unused-token', 'two'],
    ]);
    const applied = applySteps(
      project,
      unused.flatMap(({ fixes }) => fixes[0]!.steps),
    );
    expect(applied.ok && unusedIn(applied.project)).toEqual([]);
    expect(usersOfToken(project, 'color.one')).toMatchObject({
      controls: [],
      entities: [{ of: 'styles', key: 'used' }],
    });
  });
});
