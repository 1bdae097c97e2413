/** Random screens for comparing the core with a browser: every kind and layout property, nested, with words. */
import {
  arrangementsOf,
  type Control,
  confinesProblem,
  defaultBands,
  kindNamed,
  type Project,
  parseScreen,
} from '@hovrin/core';

/** A source of chance that gives the same for the same seed (mulberry32). */
export class Chance {
  constructor(private state: number) {}

  /** From 0 up to 1. */
  next(): number {
    this.state = (this.state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(this.state ^ (this.state >>> 15), 1 | this.state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  }
  whole(from: number, to: number): number {
    return from + Math.floor(this.next() * (to - from + 1));
  }
  one<T>(list: readonly T[]): T {
    return list[Math.floor(this.next() * list.length)]!;
  }
  of(probability: number): boolean {
    return this.next() < probability;
  }
}

const vocabulary = [
  'hut',
  'bunk',
  'wardens',
  'Velmora',
  'the',
  'a',
  'north',
  'ridge',
  'soup',
  'AVAT',
  'To',
  'weather-proof',
  'fi',
  'office',
  'arrivals,',
  '18:40',
  '3/4',
  'snow (wet)',
  '“late”',
  'kitchen.',
  'Überhang',
  'Łąka',
  'Dvořák',
  'unforeseeablyuninterruptedwords',
  '12 €',
  'e.g.',
  'A–Z',
  'yes?no',
  'x=1',
  '#7',
  '-5°',
  '1,250.50',
  'half\nline',
  "don't",
  '&',
  '<b>',
  '100%',
];

const lengths = (chance: Chance) =>
  String(chance.of(0.8) ? chance.whole(0, 40) : chance.one([0.5, 7.25, 12.7]));
const words = (chance: Chance) =>
  Array.from({ length: chance.whole(0, 12) }, () => chance.one(vocabulary)).join(' ');
const limits = (chance: Chance) =>
  chance.of(0.7) ? String(chance.whole(0, 300)) : chance.one(['20%', '50%', '90%']);

function sizes(chance: Chance): string {
  const roll = chance.next();
  if (roll < 0.3) return String(chance.whole(10, 420));
  if (roll < 0.5) return 'fit';
  if (roll < 0.8) return chance.one(['share', 'share 2', 'share 3', 'share 0.4', 'share 1.5']);
  return chance.one(['10%', '33%', '50%', '62.5%', '100%']);
}

const oneOf =
  (...list: string[]) =>
  (chance: Chance) =>
    chance.one(list);
const aligns = oneOf('start', 'center', 'end', 'stretch', 'baseline');
const pin = (chance: Chance) =>
  chance.of(0.7) ? String(chance.whole(-10, 80)) : chance.one(['10%', '25%', '50%', '-5%']);

const track = (chance: Chance): string =>
  chance.one([
    ...['1fr', '1fr', '2fr', '0.5fr', 'auto', 'auto', 'min-content', 'max-content'],
    ...['80', '120', '20%', '50%', 'minmax(60, 1fr)', 'minmax(40, 200)', 'minmax(auto, 150)'],
    ...['minmax(min-content, 1fr)', 'fit-content(120)', 'fit-content(30%)', 'minmax(20%, max-content)'],
  ]);
function tracks(chance: Chance): string {
  const roll = chance.next();
  if (roll < 0.12) return `repeat(auto-fill, ${chance.one(['minmax(90, 1fr)', '120', 'minmax(20%, 1fr)'])})`;
  if (roll < 0.2) return `repeat(auto-fit, ${chance.one(['minmax(110, 1fr)', '70'])})`;
  if (roll < 0.28) return `repeat(${chance.whole(2, 4)}, ${track(chance)})`;
  return Array.from({ length: chance.whole(1, 4) }, () => track(chance)).join(' ');
}

/** Each property with how often it is set, and its values. */
const values: Readonly<Record<string, [often: number, value: (chance: Chance) => string]>> = {
  text: [1, words],
  label: [0.9, words],
  width: [0.45, sizes],
  height: [0.25, sizes],
  'min-width': [0.1, limits],
  'max-width': [0.1, limits],
  'min-height': [0.1, limits],
  'max-height': [0.08, limits],
  margin: [
    0.2,
    (chance) => (chance.of(0.5) ? String(chance.whole(-10, 30)) : chance.one(['1 2 3 4', '0 12', '-4 8 0'])),
  ],
  'align-self': [0.15, aligns],
  hidden: [0.04, oneOf('true', 'false')],
  padding: [0.3, (chance) => (chance.of(0.6) ? lengths(chance) : chance.one(['4 8 12 16', '10 3', '0 5 7']))],
  gap: [0.4, lengths],
  'row-gap': [0.05, lengths],
  'column-gap': [0.05, lengths],
  align: [0.4, aligns],
  justify: [0.3, oneOf('start', 'center', 'end', 'between', 'around', 'evenly')],
  wrap: [0.15, oneOf('true')],
  'border-width': [0.1, oneOf('1', '2', '1 0', '1 2 3 4', '0.5', '2.7')],
  font: [0.3, oneOf('Hanken Grotesk', 'Source Serif 4', 'Zilla Slab', 'JetBrains Mono')],
  size: [
    0.4,
    (chance) => (chance.of(0.7) ? String(chance.whole(8, 40)) : chance.one(['13.5', '15', '17.3'])),
  ],
  weight: [0.3, oneOf('400', '500', '600', '700')],
  'line-height': [0.2, oneOf('1', '1.2', '1.25', '1.5', '1.73')],
  italic: [0.06, oneOf('true')],
  'letter-spacing': [0.06, oneOf('1', '-0.5', '2.25')],
  lines: [0.08, oneOf('1', '2', '3')],
  aspect: [0.06, oneOf('16/9', '1', '0.5', '3/2')],
  'justify-self': [0.2, aligns],
  col: [0.15, oneOf('1', '2', '3', '-1', '-2', '5')],
  row: [0.1, oneOf('1', '2', '3', '-1', '-2', '4')],
  'col-span': [0.2, oneOf('1', '2', '3', 'all')],
  'row-span': [0.12, oneOf('2', '3', 'all')],
  left: [0.4, pin],
  right: [0.3, pin],
  top: [0.4, pin],
  bottom: [0.25, pin],
  'center-x': [0.15, oneOf('0', '20', '-35')],
  'center-y': [0.12, oneOf('0', '12', '-18')],
  order: [0.05, oneOf('-1', '1', '2')],
  columns: [0.85, tracks],
  rows: [0.3, tracks],
  'auto-columns': [0.1, oneOf('80', 'auto', '1fr', 'min-content', '40 90')],
  'auto-rows': [0.2, oneOf('50', 'auto', '1fr', 'minmax(30, auto)', '20 60')],
  flow: [0.2, oneOf('column', 'row dense', 'column dense')],
  axis: [0.5, oneOf('vertical', 'horizontal', 'both')],
  ratio: [0.7, oneOf('1/2', '1/1', '2/3', '3/1')],
  show: [0.3, oneOf('first', 'second')],
  caption: [0.8, words],
  edge: [0.8, oneOf('top', 'bottom', 'start', 'end')],
  each: [1, oneOf('{[1, 2, 3]}', '{["hut", "a longer item of it"]}', '{[]}', '{[1]}')],
  like: [0.05, oneOf('row', 'column', 'grid')],
  'repeat.like': [0.6, oneOf('row', 'column', 'grid')],
  options: [
    0.9,
    (chance) =>
      Array.from(
        { length: chance.whole(1, 4) },
        (_, index) => `v${index}: ${words(chance).replaceAll('|', '') || 'none'}`,
      ).join(' | '),
  ],
  'nav.icons': [0.6, oneOf('trial: bed', 'trial: mountain')],
  'nav.options': [0.9, oneOf('trial', 'trial: The hut', 'trial: Soup & snow')],
  hint: [0.3, words],
  value: [0.3, oneOf('3', '12', 'hut', 'v1')],
  'textArea.rows': [0.5, oneOf('1', '2', '5')],
  'table.rows': [
    1,
    oneOf(
      '{[{a: 1, b: "hut"}]}',
      '{[{a: "north ridge", b: 2, c: true}, {a: "soup, and a longer text", c: "To"}]}',
      '{[]}',
    ),
  ],
  'cell.head': [0.7, oneOf('A', 'Of the hut and its guests', '')],
  'cell.field': [0.7, oneOf('a', 'b')],
  'table.columns': [0.5, oneOf('a | b', 'b: Of the hut | c: C')],
  data: [0.9, oneOf('{[3, 1, 2]}', '{[1200, -40, 3.5, 90]}', '{[]}')],
  labels: [0.5, oneOf('Mon | Tue', 'from | to | there')],
  type: [0.6, oneOf('line', 'bar', 'sparkline')],
  icon: [0.4, oneOf('bed', 'arrow-right')],
  'icon.icon': [1, oneOf('bed', 'mountain')],
  tone: [0.4, oneOf('plain', 'danger', 'primary')],
  form: [0.6, oneOf('bar', 'rail', 'panel')],
  open: [0.4, oneOf('1', '2', '3')],
  unit: [0.5, oneOf('%', '°C')],
  'radioGroup.like': [0.6, oneOf('row', 'column')],
  'text-align': [0.1, oneOf('start', 'center', 'end')],
  nowrap: [0.08, oneOf('true')],
};

const heights = oneOf('120', '200', '333', '480', 'share', 'share', 'share 2', 'fit', '100%', '50%', '62.5%');
const parts = oneOf('20%', '50%', '90%', '100%', '60', '150', '260');

/** What is said otherwise on a screen whose containers mostly know how high they are. */
const valuesOfHeights: typeof values = {
  text: [1, (chance) => Array.from({ length: chance.whole(1, 5) }, () => chance.one(vocabulary)).join(' ')],
  width: [0.35, oneOf('share', 'share', 'share 2', 'fit', '100%', '50%', '33%', '180', '260')],
  height: [0.5, heights],
  'min-width': [0.06, parts],
  'max-width': [0.06, parts],
  'min-height': [0.12, parts],
  'max-height': [0.12, parts],
  align: [0.4, oneOf('start', 'center', 'end')],
  wrap: [0.25, oneOf('true')],
  aspect: [0.08, oneOf('16/9', '1', '0.5')],
  columns: [
    0.7,
    oneOf(
      ...['1fr', '1fr 1fr', 'auto 1fr', 'auto auto', '120 1fr', 'max-content minmax(0, 1fr)', '25% 1fr'],
      ...[
        'repeat(auto-fill, minmax(90, 1fr))',
        'repeat(auto-fit, minmax(25%, 1fr))',
        'repeat(auto-fill, 70)',
      ],
    ),
  ],
  rows: [
    0.5,
    oneOf(
      ...[
        'auto 1fr',
        '1fr 1fr',
        '1fr',
        '60 auto',
        'minmax(40, 1fr) auto',
        '25% auto',
        'fit-content(50%) 1fr',
      ],
      ...['repeat(auto-fill, 60)', 'repeat(auto-fill, minmax(50, 1fr))', 'repeat(auto-fit, 25%)'],
    ),
  ],
  flow: [0.35, oneOf('column', 'column dense', 'row dense')],
};
const leavesOfHeights = ['text', 'text', 'icon', 'image', 'button', 'spacer', 'textField'];

/** How a random screen is made. */
export interface Making {
  /** Whether its containers mostly know how high they are, and what is in them refers to that. */
  readonly heights?: boolean;
  /** Whether its numbers are as odd as people type them and drags leave them, and not round. */
  readonly odd?: boolean;
  /** Properties and kinds to leave out, by name. */
  readonly without?: readonly string[];
}

/** A value in which about half of the numbers are no round ones. */
const odd = (chance: Chance, text: string): string =>
  text.includes('{')
    ? text
    : text.replace(/\d+(\.\d+)?/g, (number) =>
        chance.of(0.5)
          ? String(Number((Number(number) + chance.next()).toFixed(chance.whole(1, 3))))
          : number,
      );

/** Kinds that stand for others in every second place, so that what else is made stays the same. */
const twins: Readonly<Record<string, string>> = { meter: 'dial', pictureField: 'fileField' };

/** Makes the random screen of a seed. */
export function randomScreen(
  seed: number,
  { without = [], heights: isHigh = false, odd: isOdd = false }: Making = {},
): Control {
  const chance = new Chance(seed);
  let count = 0;
  const make = (
    chosen: string,
    within: [string, Record<string, string>] | undefined,
    depth: number,
  ): Control => {
    const twin = (seed + count) % 2 === 0 ? twins[chosen] : undefined;
    const kind = twin ?? chosen;
    const around = within && arrangementsOf({ id: '', kind: within[0], props: within[1], children: [] });
    const props: Record<string, string> = {};
    for (const property of kindNamed(kind)!.properties) {
      const entry =
        (isHigh ? valuesOfHeights[property.name] : undefined) ??
        values[`${kind}.${property.name}`] ??
        values[property.name];
      if (!entry || without.includes(property.name)) continue;
      if (property.onlyIn && !property.onlyIn.some((each) => around?.has(each))) continue;
      const [often, value] = entry;
      const fitting = () => {
        const text = value(chance);
        const reads = (each: string) => property.type.read(each).ok || each.includes('{');
        return [...(isOdd ? [odd(chance, text)] : []), text].find(reads);
      };
      const own = chance.of(often) ? fitting() : undefined;
      if (own !== undefined) props[property.name] = own;
      if (property.perBand && !without.includes('changes') && chance.of(0.02)) {
        const changed = fitting();
        if (changed !== undefined)
          props[`${chance.one(['lap', 'desk', 'landscape', 'portrait'])}.${property.name}`] = changed;
      }
    }
    if (kind === 'image' && chance.of(0.7)) props.src = 'wide.svg';
    // Without a draw, so that what else is made stays the same.
    const isMirrored = (seed + count) % 3 === 0 && !without.includes('mirror');
    if (isMirrored && kindNamed(kind)!.properties.some(({ name }) => name === 'mirror'))
      props.mirror = 'true';
    const kept = (names: readonly string[]) => names.filter((name) => !without.includes(name));
    const inner = kept([...(depth > 0 ? containers : []), ...(kind === 'screen' ? ['bar'] : [])]);
    const outer = kept(isHigh ? leavesOfHeights : leaves);
    const { container, confines } = kindNamed(kind)!;
    const children = confines?.children
      ? Array.from({ length: chance.of(0.4) ? chance.whole(1, 3) : 0 }, () =>
          make(chance.one(confines.children!), [kind, props], depth - 1),
        )
      : container
        ? Array.from({ length: chance.whole(kind === 'screen' ? 1 : 0, kind === 'split' ? 2 : 5) }, () =>
            make(chance.one(inner.length > 0 && chance.of(0.45) ? inner : outer), [kind, props], depth - 1),
          )
        : [];
    return { id: `p${++count}`, kind, ...(kind === 'screen' ? { name: 'trial' } : {}), props, children };
  };
  return make('screen', undefined, 3);
}

const common = ['text', 'button', 'textField', 'checkbox', 'divider', 'spacer', 'image'];
const leaves = [
  ...[...common, ...common, ...common, 'text', 'text', 'text', 'text'],
  ...['heading', 'link', 'icon', 'badge', 'progress', 'meter', 'lamp', 'chart', 'table', 'code', 'textArea'],
  ...['numberField', 'switch', 'radioGroup', 'select', 'dateField', 'timeField', 'slider', 'choiceList'],
  ...['pictureField', 'iconButton', 'menuButton', 'nav'],
];
const containers = [
  ...['row', 'row', 'row', 'row', 'column', 'column', 'column', 'column', 'grid', 'grid', 'grid', 'grid'],
  ...[
    'layers',
    'pinboard',
    'scroll',
    'split',
    'fieldset',
    'repeat',
    'tabs',
    'layers',
    'pinboard',
    'scroll',
    'split',
  ],
];

/** All documents that are one removal smaller: without a child, a child in its parent's place, without a property. */
function* smaller(control: Control): Generator<Control> {
  for (const [index, child] of control.children.entries()) {
    yield { ...control, children: control.children.toSpliced(index, 1) };
    if (child.children.length > 0 && mayHold(control, child.children, control.children.length))
      yield { ...control, children: control.children.toSpliced(index, 1, ...child.children) };
  }
  for (const name of Object.keys(control.props))
    yield {
      ...control,
      props: Object.fromEntries(Object.entries(control.props).filter(([key]) => key !== name)),
    };
  for (const name of ['text', 'label']) {
    const text = control.props[name];
    if (typeof text === 'string' && text.includes(' ')) {
      const list = text.split(' ');
      for (const index of list.keys())
        yield { ...control, props: { ...control.props, [name]: list.toSpliced(index, 1).join(' ') } };
    }
  }
  for (const [index, child] of control.children.entries())
    for (const less of smaller(child)) yield { ...control, children: control.children.with(index, less) };
}

/** Whether a container may have some more children. */
const mayHold = (parent: Control, children: readonly Control[], count: number): boolean =>
  children.every(
    (child) =>
      confinesProblem(kindNamed(child.kind)!, kindNamed(parent.kind)!, count - 1 + children.length) ===
      undefined,
  );

/** The smallest document found for which `fails` still holds, by one removal after another. */
export async function shrink(
  screen: Control,
  fails: (screen: Control) => Promise<boolean>,
): Promise<Control> {
  for (const less of smaller(screen)) if (await fails(less)) return shrink(less, fails);
  return screen;
}

/** Pictures that the random screens name. */
export const trialAssets = [{ name: 'wide.svg', type: 'image/svg+xml', width: 200, height: 80 }];

/** A project to be measured with one of its screens: what it listens to says nothing meanwhile. */
export const stillProject = (project: Project, start: string): Project => ({
  ...project,
  assets: trialAssets,
  start,
  state: project.state.map(({ feed: _, ...variable }) => variable),
});

/** A project with one random screen. */
export const trialProject = (screen: Control): Project => ({
  format: 1,
  name: 'trial',
  bands: defaultBands,
  state: [],
  assets: trialAssets,
  screens: [screen],
});

/** A project of many such screens, each under a name of its own. */
export function trialsTogether(screens: readonly Control[]): Project {
  const apart = (control: Control, index: number): Control => ({
    ...control,
    id: `${index}-${control.id}`,
    children: control.children.map((child) => apart(child, index)),
  });
  const [first, ...others] = screens.map((screen, index) => ({
    ...apart(screen, index),
    name: `trial${index}`,
  }));
  return { ...trialProject(first!), screens: [first!, ...others] };
}

/** A project with one screen that is written out. @throws where it has problems. */
export function readTrial(source: string): Project {
  let count = 0;
  const parsed = parseScreen(source, {
    file: 'trial',
    newId: () => `r${++count}`,
    context: { bands: defaultBands, names: new Map(), screens: new Set(), namesKnown: false },
  });
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
  return trialProject(parsed.screen);
}
