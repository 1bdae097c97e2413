import { describe, expect, it } from 'vitest';
import { dependencyMap, type Project, readableTree, walk } from '../src/index.ts';
import { projectOf } from './documents.ts';

const project: Project = {
  ...projectOf(
    `<screen name="Mast"><text name="wind" text="{late}" /><text name="words" text="{guests} of {name}" />
      <button name="more" text="More" on.press="guests = guests + 1" />
      <repeat name="list" each="{[{ who: 'Ilka' }]}" as="row"><textField name="field" label="{row.who}" value.bind="name" /></repeat></screen>`,
  ),
};
const state: Project['state'] = [
  ...project.state,
  { name: 'twice', type: 'number', initial: 0, computed: 'guests * 2' },
  {
    name: 'mast',
    type: 'record',
    initial: { wind: 3, at: { day: '2026-11-26' } },
    feed: { address: 'stand-ins/mast', as: 'events', every: 1 },
  },
  { name: 'strong', type: 'boolean', initial: false, computed: 'mast.wind > 10 && twice > 2' },
  { name: 'rows', type: 'list', initial: [{ who: 'Runa' }] },
];
const whole: Project = { ...project, state };
const named = (name: string) => [...walk(whole.screens[0]!)].find((control) => control.name === name)!;
const mapOf = (control: string, among: Project = whole) => {
  const { nodes, edges } = dependencyMap(among, named(control));
  const label = new Map(nodes.map((node) => [node.id, node.label]));
  return {
    nodes: nodes.map((node) => `${node.column} ${node.label}`).toSorted(),
    edges: edges.map(([from, to]) => `${label.get(from)} > ${label.get(to)}`).toSorted(),
  };
};

describe('the map around a control', () => {
  it('begins at the service that is asked, as at a feed', () => {
    const request = { source: 'office', method: 'GET', path: 'wind' } as const;
    const asked = state.map((variable) => {
      const { feed: _, ...rest } = variable;
      return variable.name === 'mast' ? { ...rest, request } : variable;
    });
    const nodes = (among: Project) => mapOf('wind', among).nodes.map((node) => node.replace(/^\S+ /, ''));
    const late = (among: Project['state']): Project => ({
      ...whole,
      state: [
        ...among.filter(({ name }) => name !== 'late'),
        { name: 'late', type: 'boolean', initial: false, computed: 'mast.wind > 1' },
      ],
    });
    expect(nodes(late(state))).toContain('stand-ins/mast');
    expect(nodes(late(asked))).toContain('office: GET wind');
  });

  it('has what it sets, what follows that, and who reads it', () => {
    expect(mapOf('more')).toEqual({
      nodes: ['0 more', '1 guests', '2 Mast.words', '2 twice', '3 strong'],
      edges: ['guests > Mast.words', 'guests > twice', 'more > guests', 'twice > strong'],
    });
  });

  it('has what it reads, what that follows, feeds, and who sets it', () => {
    const { screens } = projectOf('<screen name="Mast"><text name="words" text="{late}" /></screen>');
    const reading: Project = {
      ...whole,
      screens: [
        ...whole.screens,
        {
          ...screens[0]!,
          id: 'other',
          name: 'Other',
          children: [{ ...screens[0]!.children[0]!, id: 'w', props: { text: '{strong}' } }],
        },
      ],
    };
    const { nodes, edges } = dependencyMap(reading, reading.screens.at(-1)!.children[0]!);
    expect(nodes.map(({ label, column }) => `${column} ${label}`).toSorted()).toEqual(
      [
        '0 words',
        '-1 strong',
        '-2 mast',
        '-2 twice',
        '-3 stand-ins/mast',
        '-3 guests',
        '-4 Mast.more',
      ].toSorted(),
    );
    expect(edges).toHaveLength(6);
  });

  it('is the control alone where it reads and sets nothing, and a binding both ways is on both sides once', () => {
    expect(mapOf('list').nodes).toEqual(['0 list']);
    const { screens } = projectOf(
      '<screen name="s"><repeat each="{[1]}" as="row"><text name="of" text="{row}" /></repeat></screen>',
    );
    const repeat = { ...screens[0]!.children[0]!, props: { each: '{rows}', as: 'row' } };
    const repeated: Project = { ...whole, screens: [{ ...screens[0]!, children: [repeat] }] };
    expect(dependencyMap(repeated, repeat.children[0]!).nodes.map(({ label }) => label)).toEqual([
      'of',
      'rows',
    ]);
    expect(mapOf('field').edges).toContain('field > name');
  });
});

it('what can be read is a tree with what it holds: items first, members of records, the first of lists, calls', () => {
  const tree = readableTree(whole, named('field'));
  expect(tree[0]).toMatchObject({
    label: 'row',
    what: 'item',
    children: [{ text: 'row.who', value: 'Ilka' }],
  });
  const mast = tree.find(({ label }) => label === 'mast')!;
  expect(mast.children.map(({ text, value }) => [text, value])).toEqual([
    ['mast.wind', 3],
    ['mast.at', { day: '2026-11-26' }],
  ]);
  expect(mast.children[1]!.children[0]).toMatchObject({ text: 'mast.at.day', value: '2026-11-26' });
  const rows = tree.find(({ label }) => label === 'rows')!;
  expect(rows.children.map(({ text }) => text)).toEqual(['rows.length', 'rows[0]']);
  expect(tree.find(({ label }) => label === 'Format')!.children.map(({ text }) => text)).toContain(
    'Format.number()',
  );
});
