/** What stands behind the bench's surface: fields, tree, grips, drops, widths. */
import {
  type Control,
  effectiveNames,
  kindOf as kindOfControl,
  locate,
  type Project,
  ScreenView,
  type StateVariable,
} from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { named, projectOf, projectWith, testShaper } from '../../core/test/documents.ts';
import { columnNameProblem } from '../src/data/ColumnDialog.tsx';
import { addressProblem, firstFeed, queryOf, withQuery } from '../src/data/feeds.ts';
import { retype, takeRows } from '../src/data/tableChanges.ts';
import { counted, takenWords } from '../src/data/tableWords.ts';
import { sizeOf } from '../src/workbench/drawers/findingSize.ts';
import { concerns, drawn, steppedWidth } from '../src/workbench/drawers/sweepStripes.ts';
import { bracesOnce, entriesAsLines, linesAsEntries } from '../src/workbench/fields/braces.ts';
import { expressionBefore } from '../src/workbench/fields/insertText.ts';
import { shownValue } from '../src/workbench/fields/shownValue.ts';
import { pixelsIn, steppedText } from '../src/workbench/fields/steppedNumber.ts';
import { findControls } from '../src/workbench/find.ts';
import { dropOnRow } from '../src/workbench/hands/dropWords.ts';
import { draggedBy } from '../src/workbench/hands/gripDrag.ts';
import { unhidden } from '../src/workbench/hidden.ts';
import { bandAt, nextBand, scopeWords, sizeFor, upperBand } from '../src/workbench/scope.ts';
import { rowsOf, selectedWith } from '../src/workbench/tree/treeRows.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const project = projectOf(`<screen name="Tonight" padding="20" gap="10">
  <row name="line" height="60" gap="10"><column name="a" width="100" lap.width="140"><text name="inner" text="{name}" /></column><column name="b" width="100" hidden="true" /></row>
  <text name="note" text="note" size="14" />
</screen>`);
const screen = project.screens[0]!;
const id = (name: string) => named(project, name).id;

describe('a line of Facts', () => {
  const property = (name: string, of: string) => {
    const control = named(project, of);
    return { control, found: kindProperty(control, name) };
  };
  const shown = (name: string, of: string, scope = '', more: readonly Control[] = []) => {
    const { control, found } = property(name, of);
    return shownValue(project, [control, ...more], found, scope);
  };

  it('shows what is said, and at which widths something else is', () => {
    expect(shown('width', 'a')).toMatchObject({
      attribute: 'width',
      text: '100',
      own: true,
      bound: false,
      several: false,
      changes: ['lap.width'],
    });
  });

  it('shows for some widths what is said there, with what it is elsewhere', () => {
    expect(shown('width', 'a', 'lap')).toMatchObject({
      attribute: 'lap.width',
      text: '140',
      elsewhere: '100',
      own: true,
      changes: [],
    });
    expect(shown('width', 'b', 'lap')).toMatchObject({ text: '', own: false, elsewhere: '100' });
    // What is the same at every width is edited for all, whatever is edited.
    expect(shown('text', 'note', 'lap').attribute).toBe(
      kindProperty(named(project, 'note'), 'text').perBand ? 'lap.text' : 'text',
    );
  });

  it('shows that several controls differ', () => {
    expect(shown('width', 'a', '', [named(project, 'b')]).several).toBe(false);
    expect(shown('width', 'a', 'lap', [named(project, 'b')])).toMatchObject({ several: true, text: '' });
  });

  it('knows what is bound', () => {
    expect(shown('text', 'inner')).toMatchObject({ bound: true, inForce: '{name}', problem: undefined });
  });

  it('keeps the last good text beside one that is not valid', () => {
    const control = named(project, 'a');
    const typed = { ...control, props: { ...control.props, width: { draft: '10q', good: '100' } } };
    const other: Project = {
      ...project,
      screens: [{ ...screen, children: screen.children.map((child) => replaced(child, typed)) }],
    };
    const { found } = property('width', 'a');
    expect(shownValue(other, [typed], found, '')).toMatchObject({ text: '10q', goesOn: '100' });
  });
});

const kindProperty = (control: Control, name: string) => {
  const found = kindOfControl(control).properties.find((each) => each.name === name);
  if (!found) throw new Error(`No ${name}`);
  return found;
};
const replaced = (control: Control, by: Control): Control =>
  control.id === by.id ? by : { ...control, children: control.children.map((child) => replaced(child, by)) };

describe('texts of fields', () => {
  it('have braces once', () => {
    expect(bracesOnce('{{name}', 7)).toEqual({ text: '{name}', cursor: 6 });
    expect(bracesOnce('{{name}}', 3)).toEqual({ text: '{name}', cursor: 2 });
    expect(bracesOnce('{name}}', 7)).toEqual({ text: '{name}', cursor: 7 });
    expect(bracesOnce('{name}', 3)).toBeUndefined();
  });

  it('have entries one a line, and between bars in source', () => {
    expect(entriesAsLines('a | b: Bee|c')).toBe('a\nb: Bee\nc');
    expect(linesAsEntries('a\nb: Bee\nc')).toBe('a | b: Bee | c');
  });

  it('are stepped where they hold one number', () => {
    expect(steppedText('16', 1)).toBe('17');
    expect(steppedText('share 2', -1)).toBe('share 1');
    expect(steppedText('12.5%', 10)).toBe('22.5%');
    expect(steppedText('0.1', 0.2)).toBe('0.3');
    expect(steppedText('1fr 2fr', 1)).toBeUndefined();
    expect(pixelsIn('12px')).toBe(12);
    expect(pixelsIn('12%')).toBeUndefined();
    expect(pixelsIn('share 2')).toBeUndefined();
  });

  it('are an expression between braces that are not doubled', () => {
    expect(expressionBefore('Hello {na', 9)).toBe('na');
    expect(expressionBefore('Hello {name} and ', 17)).toBeUndefined();
    expect(expressionBefore('{{ plain ', 9)).toBeUndefined();
    expect(expressionBefore('{a} {b', 6)).toBe('b');
  });
});

describe('the tree', () => {
  const rows = rowsOf(screen, new Set());
  it('has a line for each control, with its place among its siblings', () => {
    const names = effectiveNames(screen);
    expect(rows.map(({ control, level, place, of }) => [names.get(control.id), level, place, of])).toEqual([
      ['Tonight', 0, 1, 1],
      ['line', 1, 1, 2],
      ['a', 2, 1, 2],
      ['inner', 3, 1, 1],
      ['b', 2, 2, 2],
      ['note', 1, 2, 2],
    ]);
  });

  it('leaves out what is closed, but for what was found', () => {
    expect(rowsOf(screen, new Set([id('line')]))).toHaveLength(3);
    const { hits, shown } = findControls(screen, 'NAME');
    expect(hits).toEqual([id('inner')]);
    expect(rowsOf(screen, new Set([id('line')]), shown).map(({ control }) => control.id)).toEqual([
      screen.id,
      id('line'),
      id('a'),
      id('inner'),
    ]);
    expect(findControls(screen, 'text name').hits).toEqual([id('inner')]);
    expect(findControls(screen, 'nothing like it').hits).toEqual([]);
  });

  it('selects one, one more, or all from the last one on, but never the screen among others', () => {
    const [a, b, note] = [id('a'), id('b'), id('note')];
    expect(selectedWith(rows, [a], b, undefined)).toEqual([b]);
    expect(selectedWith(rows, [a], b, 'one')).toEqual([a, b]);
    expect(selectedWith(rows, [a, b], b, 'one')).toEqual([a]);
    expect(selectedWith(rows, [note], a, 'range')).toEqual([note, a, id('inner'), b]);
    expect(selectedWith(rows, [note], screen.id, 'range')).not.toContain(screen.id);
    expect(selectedWith(rows, [], b, 'range')).toEqual([b]);
  });

  it('takes what is dragged into the middle of a line, or before or after it', () => {
    const at = (name: string, part: number, ...ids: string[]) =>
      dropOnRow(project, id(name), part, ids)?.words;
    expect(at('a', 0.5)).toBe('into a, after inner');
    expect(at('a', 0.1)).toBe('into line, before a');
    expect(at('a', 0.9)).toBe('into line, after a');
    expect(at('note', 0.5)).toBe('into Tonight, after note');
    expect(at('note', 0.4)).toBe('into Tonight, after line');
    expect(at('inner', 0.5, id('a'))).toBeUndefined();
    expect(at('b', 0.9, id('a'))).toBe('into line, after b');
    expect(dropOnRow(project, screen.id, 0.1, [])?.words).toBe('into Tonight, after note');
  });
});

describe('a grip', () => {
  const drag = (source: string, name: string, grip: { x: -1 | 0 | 1; y: -1 | 0 | 1 }) => {
    const of = projectOf(source);
    const layout = new ScreenView(shaper).layOut(of, of.screens[0]!, { width: 390, height: 844 });
    const control = named(of, name);
    const box = layout.byControl.get(control.id)!;
    const names = effectiveNames(of.screens[0]!);
    const { parent } = locate(of, control.id)!;
    return (x: number, y: number, on = false) =>
      draggedBy(
        { grip, layout, control, box, names },
        parent!,
        { x, y },
        { step: 10, on, toTracks: true, toPx: false },
      );
  };

  it('sets a size in a row, and says it; another one like it draws it to itself', () => {
    const by = drag(
      '<screen><row width="390"><column name="a" width="100" height="50" /><column name="b" width="150" height="50" /></row></screen>',
      'a',
      { x: 1, y: 1 },
    );
    expect(by(13, 4)).toMatchObject({
      steps: [
        { property: 'width', value: '113' },
        { property: 'height', value: '54' },
      ],
      words: '113 × 54',
    });
    expect(by(48, 0, true).words).toBe('150 like b × 50 like b');
    expect(by(13, 0, true).steps[0]).toMatchObject({ value: '110' });
    expect(by(-500, 0).steps[0]).toMatchObject({ value: '0' });
  });

  it('counts tracks in a grid', () => {
    const by = drag(
      '<screen><grid columns="100 100 100" width="300"><text name="a" text="a" /></grid></screen>',
      'a',
      { x: 1, y: 0 },
    );
    expect(by(100, 0)).toMatchObject({ steps: [{ property: 'col-span', value: '2' }], words: '2 columns' });
    expect(by(0, 0)).toMatchObject({ steps: [{ property: 'col-span', value: null }], words: '1 column' });
  });

  it('moves a pin on a pinboard, where the edge is a near one', () => {
    const by = drag(
      '<screen><pinboard width="300" height="200"><column name="a" left="40" top="20" width="100" height="50" /></pinboard></screen>',
      'a',
      { x: -1, y: 0 },
    );
    expect(by(-10, 99).steps).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ property: 'width', value: '110' }),
        expect.objectContaining({ property: 'left', value: '30' }),
      ]),
    );
  });
});

describe('widths', () => {
  it('lie in bands; the lowest is all widths', () => {
    expect(bandAt(project, 390)?.name).toBe('hand');
    expect(upperBand(project, 390)).toBe('');
    expect(upperBand(project, 900)).toBe('lap');
    expect(scopeWords(project, '')).toBe('All widths');
    expect(scopeWords(project, 'landscape')).toBe('Across only');
    const last = project.bands.at(-1)!.from;
    expect(nextBand(project, 0)).toBe(project.bands.toSorted((a, b) => a.from - b.from)[1]!.from);
    expect(nextBand(project, last)).toBe(390);
  });

  it('are gone to, where the present one does not show what is edited', () => {
    const hand = { label: 'Hand', width: 390, height: 844 };
    expect(sizeFor(project, '', hand)).toBeUndefined();
    expect(sizeFor(project, 'portrait', hand)).toBeUndefined();
    expect(sizeFor(project, 'landscape', hand)).toEqual({ width: 845, height: 390 });
    expect(sizeFor(project, 'lap', hand)).toEqual({ width: 820, height: 1180 });
    expect(sizeFor(project, 'lap', { ...hand, width: 2000 })).toBeUndefined();
  });

  it('of a finding are gone to from the nearer side, turned as it happens', () => {
    const where = [
      { from: 500.2, to: 700.9, textScale: 1, orientation: 'portrait' },
    ] as unknown as Parameters<typeof sizeOf>[0];
    expect(sizeOf(where, { width: 600, height: 900 })).toBeUndefined();
    expect(sizeOf(where, { width: 390, height: 844 })).toEqual({ width: 501 });
    expect(sizeOf(where, { width: 1280, height: 400 })).toEqual({ width: 700, height: 1400 });
    expect(sizeOf([], { width: 1280, height: 400 })).toBeUndefined();
  });

  it('step by one, by ten, or to the next change', () => {
    const changes = [{ width: 320.4 }, { width: 600 }, { width: 900 }] as unknown as Parameters<
      typeof steppedWidth
    >[3];
    const step = (width: number, by: number, toChange = false, fast = false) =>
      steppedWidth(width, by, { toChange, fast }, changes);
    expect(step(390, 1)).toBe(391);
    expect(step(390, -1, false, true)).toBe(380);
    expect(step(390, 1, true)).toBe(600);
    expect(step(600, 1, true)).toBe(900);
    expect(step(600, -1, true)).toBe(321);
    expect(step(321, -1, true)).toBe(321);
    expect(step(1000, 1, true)).toBe(1000);
  });

  it('at which something changes concern what is selected, what is in it, and what it stands in', () => {
    const change = (name: string | undefined, question = 'share') =>
      ({ causes: [{ control: name && id(name), question }] }) as unknown as Parameters<typeof concerns>[0];
    const of = new Set([id('a')]);
    expect(concerns(change('inner'), of, project)).toBe(true);
    expect(concerns(change('note'), of, project)).toBe(false);
    expect(concerns(change(undefined), of, project)).toBe(false);
    expect(concerns(change('note', 'band'), of, project)).toBe(true);
    expect(drawn(project, named(project, 'a')).map(({ id: each }) => each)).toEqual([id('a'), id('b')]);
    expect(drawn(project, named(project, 'note'))).toHaveLength(1);
  });
});

describe('what is hidden', () => {
  it('is shown faintly, and nothing else is made anew', () => {
    const { project: shown, faint } = unhidden(project, screen.id);
    expect(faint).toEqual([id('b')]);
    expect(named(shown, 'b').props.hidden).toBeUndefined();
    expect(named(shown, 'note')).toBe(named(project, 'note'));
    const bare = projectOf('<screen name="Tonight"><text name="note" text="note" /></screen>');
    expect(unhidden(bare, bare.screens[0]!.id).project).toBe(bare);
  });
});

describe('data', () => {
  const list: StateVariable = { name: 'guests', type: 'list', initial: [{ guest: 'Ilka' }] };

  it('counts in words, and says what came', () => {
    expect(counted(1, 'row', 'rows')).toBe('1 row');
    expect(counted(1204, 'row', 'rows')).toBe('1,204 rows');
    const empty = { ...list, initial: [] };
    expect(takenWords('a.csv', list, empty)).toBe('guests has 1 row with a.csv.');
    expect(takenWords('a.csv', list, list)).toBe(
      'guests has 1 row with a.csv; before it had 1 row, which undo brings back.',
    );
    const table = { ...list, initial: [], table: { id: 't', rows: 9000 } };
    expect(takenWords('a.csv', table, empty)).toBe(
      'guests has 9,000 rows with a.csv. guests is a table now: its rows are kept beside the document.',
    );
  });

  it('makes a table of many rows, and none of few', () => {
    const rows = Array.from({ length: 5 }, (_, at) => ({ guest: `Guest ${at}` }));
    const columns = [{ name: 'guest', type: 'text' }] as const;
    const kept = (most: number) => JSON.stringify(takeRows(list, columns, rows, most));
    expect(kept(5)).not.toContain('"table"');
    expect(kept(4)).toContain('"table"');
  });

  it('keeps its type where what it holds would be lost', () => {
    expect(retype({ name: 'n', type: 'list', initial: [1, 2] }, 'table')).toMatch(/Not all that n holds/);
    const full = { ...list, initial: [{ guest: 'Ilka' }], table: { id: 't', rows: 9000 } };
    expect(retype(full, 'list')).toMatch(/has 9000 rows/);
    expect(retype({ name: 'n', type: 'text', initial: '12' }, 'number')).toEqual(
      expect.arrayContaining([expect.objectContaining({ type: 'change' })]),
    );
  });

  it('has columns of different names', () => {
    const columns = [
      { name: 'guest', type: 'text' },
      { name: 'nights', type: 'number' },
    ] as const;
    expect(columnNameProblem(columns, 0, 'guest')).toBeUndefined();
    expect(columnNameProblem(columns, 0, 'nights')).toBe('There is a column `nights` already.');
    expect(columnNameProblem(columns, 0, '')).toBe('It needs a name.');
    expect(columnNameProblem(columns, 0, '__proto__')).toMatch(/out of reach/);
  });

  it('asks addresses with a host, with expressions behind it', () => {
    const of = projectWith([list, { name: 'day', type: 'text', initial: '' }], '<screen name="Tonight" />');
    expect(addressProblem(of, 'https://hut.example/wind?day={day}')).toBeUndefined();
    expect(addressProblem(of, 'ftp://hut.example/wind')).toMatch(/An address begins with/);
    expect(addressProblem(of, 'https://hut.example/{dya}')).toBeDefined();
    expect(firstFeed(list).as).toBe('json');
    expect(firstFeed({ name: 'w', type: 'record', initial: {} }).as).toBe('events');
  });

  it('sets and takes away parts of an address, expressions as they are', () => {
    expect(withQuery('/mast?seed=1', 'fault', 'silence')).toBe('/mast?seed=1&fault=silence');
    expect(withQuery('/mast?seed=1', 'seed', '')).toBe('/mast');
    expect(withQuery('/mast?day={day}', 'seed', '2')).toBe('/mast?day={day}&seed=2');
    expect(queryOf('/mast?seed=1', 'seed')).toBe('1');
    expect(queryOf('/mast', 'seed')).toBe('');
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (value) => {
        expect(queryOf(withQuery('/mast?seed=1', 'of', value), 'of')).toBe(value);
      }),
    );
  });
});
