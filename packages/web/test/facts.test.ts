/** Facts: which properties are at hand, how they are found, what the pad sets, whose words stand where. */
import { applySteps, kindIn, ScreenView, type Step } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { beforeAll, describe, expect, it } from 'vitest';
import { named, projectOf, testShaper } from '../../core/test/documents.ts';
import {
  padInParent,
  padInside,
  padSteps,
  padWords,
  pickPlace,
  pickWord,
} from '../src/workbench/facts/pad.ts';
import { factsOf, findFacts, means, sharedFacts } from '../src/workbench/facts/whichFacts.ts';
import { boxOfWords, wordsAt } from '../src/workbench/hands/wordsAt.ts';

let shaper: Shaper;
beforeAll(async () => {
  shaper = await testShaper();
});

const project = projectOf(
  `<screen name="Tonight"><row name="line" rotate="3"><text name="words" text="Soup" /><column name="beside"><text name="other" text="Bread" lap.lines="2" /></column></row><grid name="cells" columns="1fr 1fr"><text name="inCell" text="Tea" /></grid><pinboard name="board" height="90"><text name="pinned" text="Milk" /></pinboard></screen>`,
);
const parentOf = (name: string) => {
  const found = (function search(control): ReturnType<typeof named> | undefined {
    if (control.children.some((child) => child.name === name)) return control;
    return control.children.map(search).find(Boolean);
  })(project.screens[0]!);
  return found!;
};
const facts = (name: string) => factsOf(project, named(project, name), parentOf(name));
const all = (name: string) => facts(name).flatMap((section) => section.facts);
const atHand = (name: string) => all(name).flatMap((fact) => (fact.atHand ? fact.property.name : []));

describe('a property', () => {
  it('is at hand where it matters for the kind, or something says it', () => {
    expect(atHand('words')).toEqual(expect.arrayContaining(['text', 'width', 'size', 'color', 'style']));
    expect(atHand('words')).not.toContain('rotate');
    expect(atHand('line')).toContain('rotate');
    // Said for some widths only.
    expect(atHand('other')).toContain('lines');
    expect(atHand('words')).not.toContain('lines');
  });

  it('is no fact where it means nothing: lines of a grid outside of one, tracks of what is no grid', () => {
    const names = (name: string) => all(name).map(({ property }) => property.name);
    expect(names('words')).not.toContain('col');
    expect(names('inCell')).toContain('col');
    expect(names('line')).not.toContain('columns');
    expect(names('cells')).toContain('columns');
    expect(names('cells')).not.toContain('wrap');
    expect(names('pinned')).toContain('left');
    expect(names('pinned')).not.toContain('align-self');
  });

  it('that is said means something wherever it stands', () => {
    const odd = projectOf(
      '<screen name="Tonight"><row name="line"><text name="a" text="x" col="2" /></row></screen>',
    );
    const a = named(odd, 'a');
    const col = kindIn(odd, a).properties.find(({ name }) => name === 'col')!;
    expect(means(col, a, named(odd, 'line'))).toBe(true);
  });

  it('has less at hand than a third of all: the rest is one press away', () => {
    for (const name of ['words', 'line', 'cells'])
      expect(atHand(name).length).toBeLessThan(all(name).length / 2);
  });

  it('of several controls is one that all of them have', () => {
    const controls = [named(project, 'words'), named(project, 'line')] as const;
    const shared = sharedFacts(project, controls, [parentOf('words'), parentOf('line')]).flatMap((section) =>
      section.facts.map(({ property }) => property.name),
    );
    expect(shared).toContain('padding');
    expect(shared).not.toContain('text');
    expect(shared).not.toContain('gap');
    // Only one of them says it.
    const found = sharedFacts(project, controls, [parentOf('words'), parentOf('line')])
      .flatMap((section) => section.facts)
      .find(({ property }) => property.name === 'rotate')!;
    expect(found.atHand).toBe(true);
  });
});

describe('finding a property', () => {
  const found = (name: string, typed: string) =>
    findFacts(facts(name), typed).map((property) => property.name);
  it.each([
    ['radius', 'corner'],
    ['rounded', 'corner'],
    ['padding', 'padding'],
    ['center', 'align'],
    ['stroke', 'border-width'],
    ['spacing', 'gap'],
    ['z-index', 'z'],
    ['overflow', 'clip'],
    ['min width', 'min-width'],
  ])('by %s gives %s first', (typed, name) => {
    expect(found('line', typed)[0]).toBe(name);
  });
  it('gives all where nothing is typed, and none where nothing answers', () => {
    expect(found('line', '')).toHaveLength(all('line').length);
    expect(found('line', 'zeppelin')).toEqual([]);
  });
});

describe('the pad', () => {
  const source = (attributes: string) =>
    projectOf(
      `<screen name="Tonight"><row name="line" ${attributes}><text name="a" text="x" /></row></screen>`,
    );
  const after = (before: ReturnType<typeof source>, steps: readonly Step[]) => {
    const applied = applySteps(before, steps);
    if (!applied.ok) throw new Error(applied.reason);
    return named(applied.project, 'line').props;
  };
  const inside = (of: ReturnType<typeof source>, scope = '') => padInside(of, named(of, 'line'), scope)!;

  it('of a row has justify across and align down; of a column the other way round', () => {
    const row = inside(source(''));
    expect([row.x?.property.name, row.y?.property.name]).toEqual(['justify', 'align']);
    const column = inside(source('like="column"'));
    expect([column.x?.property.name, column.y?.property.name]).toEqual(['align', 'justify']);
    // For the widths that are edited.
    const wide = inside(source('lap.like="column"'), 'lap');
    expect(wide.x?.property.name).toBe('align');
  });

  it('sets both directions with one press, and says neither where it is pressed again', () => {
    const before = source('');
    const pad = inside(before);
    const steps = padSteps(before, named(before, 'line'), pad, pickPlace(pad, 'center', 'end'), '');
    expect(after(before, steps)).toMatchObject({ justify: 'center', align: 'end' });
    const there = source('justify="center" align="end"');
    const again = inside(there);
    const taken = padSteps(there, named(there, 'line'), again, pickPlace(again, 'center', 'end'), '');
    expect(after(there, taken)).toEqual({});
    expect(padWords('line', taken)).toBe('justify of line: not said, align of line: not said');
  });

  it('says nothing that holds anyway', () => {
    const before = source('align="center" justify="end"');
    const pad = inside(before);
    const steps = (picked: ReturnType<typeof pickPlace>) =>
      padSteps(before, named(before, 'line'), pad, picked, '');
    // `start` is where a row begins, and `stretch` is what it does, where nothing is said.
    expect(after(before, steps(pickPlace(pad, 'start', 'center')))).toEqual({ align: 'center' });
    expect(after(before, steps(pickWord(pad, 'y', 'stretch')))).toEqual({ justify: 'end' });
  });

  it('leaves what follows an expression', () => {
    const before = source("align=\"{late ? 'start' : 'end'}\"");
    const pad = inside(before);
    expect(pad.y?.isBound).toBe(true);
    expect(pickPlace(pad, 'center', 'center')).toEqual({ x: 'center' });
  });

  it('of a control has the direction across its row, both in a cell, none on a pinboard', () => {
    const pad = (name: string) => padInParent(project, named(project, name), parentOf(name), '');
    expect([pad('words')?.x, pad('words')?.y?.property.name]).toEqual([undefined, 'align-self']);
    expect([pad('other')?.x?.property.name, pad('other')?.y]).toEqual(['align-self', undefined]);
    expect([pad('inCell')?.x?.property.name, pad('inCell')?.y?.property.name]).toEqual([
      'justify-self',
      'align-self',
    ]);
    expect(pad('pinned')).toBeUndefined();
  });
});

describe('words on the bench', () => {
  const words = projectOf(
    '<screen name="Tonight"><text name="count" text="{guests} in the hut" /><button name="go" text="Go" /><radioGroup name="supper" label="Supper" options="six: At six | At seven" /><textField name="who" label="Guest" hint="As booked" /></screen>',
  );
  it('belong to the property that says them', () => {
    const layout = new ScreenView(shaper).layOut(words, words.screens[0]!, { width: 390, height: 844 });
    const seen = layout.boxes
      .filter(({ lines }) => lines.length > 0)
      .map((box) => {
        const at = wordsAt(words, layout, { x: box.x + box.width / 2, y: box.y + box.height / 2 })!;
        expect(boxOfWords(words, layout, at)).toBe(box);
        return [named(words, 'count').id === at.control ? 'count' : '', at.property, at.entry];
      });
    expect(seen).toEqual([
      ['count', 'text', undefined],
      ['', 'text', undefined],
      ['', 'label', undefined],
      ['', 'options', 0],
      ['', 'options', 1],
      ['', 'label', undefined],
      ['', 'hint', undefined],
    ]);
    expect(wordsAt(words, layout, { x: 389, y: 840 })).toBeUndefined();
  });
});
