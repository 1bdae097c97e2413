/** A screen's elements, and how HTML writes them. */
import { expect, it } from 'vitest';
import { type Elements, elementTree, type TreeElement } from '../src/export/element-tree.ts';
import { htmlOf } from '../src/export/html.ts';
import { shippedTheme } from '../src/values/theme.ts';
import { projectOf } from './documents.ts';

const elements: Elements = {
  circumstances: { bands: [], width: 0, height: 0, scope: () => undefined, theme: shippedTheme },
  assets: [],
  styleOf: () => '',
};
const treeOf = (source: string): TreeElement => {
  const [screen] = projectOf(source).screens;
  return elementTree(screen!, elements);
};
const attributeOf = ({ attributes }: TreeElement, name: string) =>
  attributes.find(([each]) => each === name)?.[1];
const childOf = ({ inside }: TreeElement, index: number): TreeElement => {
  if (typeof inside === 'string') throw new Error('There are words inside, no elements.');
  return inside[index]!;
};

it('a screen has an element for each control, with its kind, its name and what is in it', () => {
  const tree = treeOf('<screen name="A"><row name="bar"><text text="Tea &amp; soup" /></row></screen>');
  expect(tree.tag).toBe('main');
  const row = childOf(tree, 0);
  expect(attributeOf(row, 'data-name')).toBe('bar');
  expect(String(attributeOf(row, 'class')).split(' ')).toContain('k-row');
  expect(childOf(row, 0).inside).toEqual('Tea & soup');
});

it('a flag that is off and an empty value are not written, an empty alternative text is', () => {
  const tree = treeOf('<screen name="A"><textField label="Guest" /><image src="a.svg" /></screen>');
  const written = htmlOf(tree, '');
  expect(written).not.toContain('disabled');
  expect(written).not.toContain('placeholder=');
  expect(written).toContain('alt=""');
});

it('a form in a form is no form: HTML knows none', () => {
  const tree = treeOf('<screen name="A"><form><column><form /></column></form></screen>');
  const outer = childOf(tree, 0);
  expect(outer.tag).toBe('form');
  expect(childOf(childOf(outer, 0), 0).tag).toBe('div');
});

it('what is repeated has its pattern in a template and an element for each item', () => {
  const tree = treeOf(
    '<screen name="A"><repeat each="{[&quot;a&quot;, &quot;b&quot;]}" as="it"><text text="{it}" /></repeat></screen>',
  );
  const repeat = childOf(tree, 0);
  const [template, ...items] = repeat.inside as readonly TreeElement[];
  expect(template!.tag).toBe('template');
  expect(items).toHaveLength(2);
  expect(items.map((item) => htmlOf(item, ''))).toEqual([
    expect.stringContaining('>a<'),
    expect.stringContaining('>b<'),
  ]);
});

it('words and values are escaped, elements without an end have none, shapes stand on one line', () => {
  const text = htmlOf(
    {
      tag: 'div',
      attributes: [['title', 'a "b"\n<c>']],
      inside: [
        { tag: 'p', attributes: [], inside: '1 < 2 & 3' },
        { tag: 'input', attributes: [['required', true]], inside: [] },
        { tag: 'ul', attributes: [], inside: [] },
        {
          tag: 'svg',
          attributes: [],
          inside: [{ tag: 'path', attributes: [['d', 'M0 0']], inside: [] }],
          oneLine: true,
        },
      ],
    },
    '  ',
  );
  expect(text).toBe(
    [
      '  <div title="a &quot;b&quot;&#10;&lt;c&gt;">',
      '    <p>1 &lt; 2 &amp; 3</p>',
      '    <input required>',
      '    <ul></ul>',
      '    <svg><path d="M0 0"/></svg>',
      '  </div>',
    ].join('\n'),
  );
});

it('ids are told apart by their screens, and no class of the page is the name of a control', () => {
  const project = projectOf(
    '<screen name="A"><textField name="guest" label="Guest" hint="Full name" /></screen>',
    '<screen name="B" dialog="true"><textField name="guest" label="Guest" message="Who?" /><row name="field" /><row name="A" /></screen>',
  );
  const written = project.screens.map((screen) => htmlOf(elementTree(screen, elements), '')).join('\n');
  const ids = [...written.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id);
  expect(ids).toContain('A-guest-input');
  expect(ids).toContain('B-guest-input');
  expect(new Set(ids).size).toBe(ids.length);
  // What one refers to is on the same screen.
  for (const [, id] of written.matchAll(/ (?:for|aria-describedby)="([^"]+)"/g))
    for (const each of id!.split(' ')) expect(ids).toContain(each);
  const names = new Set(['A', 'B', 'guest', 'field']);
  const classes = [...written.matchAll(/ class="([^"]+)"/g)].flatMap(([, list]) => list!.split(' '));
  // A control's own class is the last one of its element.
  expect(classes.filter((each) => names.has(each))).toEqual(['guest', 'guest', 'field', 'A']);
});
