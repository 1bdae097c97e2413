/** Random screens for comparing the core with a browser: every kind and layout property, nested, with words. */
import { type Control, defaultBands, kindNamed } from '@hovrin/core';

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
  'text-align': [0.1, oneOf('start', 'center', 'end')],
  nowrap: [0.08, oneOf('true')],
};

/** How a random screen is made. */
export interface Making {
  /** Properties to leave out, by name. */
  readonly without?: readonly string[];
}

/** Makes the random screen of a seed. */
export function randomScreen(seed: number, { without = [] }: Making = {}): Control {
  const chance = new Chance(seed);
  let count = 0;
  const make = (kind: string, depth: number): Control => {
    const props: Record<string, string> = {};
    for (const property of kindNamed(kind)!.properties) {
      const entry = values[property.name];
      if (!entry || without.includes(property.name)) continue;
      const [often, value] = entry;
      if (chance.of(often)) props[property.name] = value(chance);
      if (property.perBand && !without.includes('changes') && chance.of(0.02))
        props[`${chance.one(['lap', 'desk', 'landscape', 'portrait'])}.${property.name}`] = value(chance);
    }
    if (kind === 'image' && chance.of(0.7)) props.src = 'wide.svg';
    const children = kindNamed(kind)!.container
      ? Array.from({ length: chance.whole(kind === 'screen' ? 1 : 0, 5) }, () =>
          make(chance.one(kindsAt(depth)), depth - 1),
        )
      : [];
    return { id: `p${++count}`, kind, ...(kind === 'screen' ? { name: 'trial' } : {}), props, children };
  };
  return make('screen', 3);
}

const leaves = ['text', 'text', 'text', 'button', 'textField', 'checkbox', 'divider', 'spacer', 'image'];
const kindsAt = (depth: number) =>
  depth > 0 ? [...leaves, 'row', 'row', 'row', 'row', 'column', 'column', 'column', 'column'] : leaves;

/** All documents that are one removal smaller: without a child, a child in its parent's place, without a property. */
function* smaller(control: Control): Generator<Control> {
  for (const [index, child] of control.children.entries()) {
    yield { ...control, children: control.children.toSpliced(index, 1) };
    if (child.children.length > 0)
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

/** The smallest document found for which `fails` still holds, by one removal after another. */
export async function shrink(
  screen: Control,
  fails: (screen: Control) => Promise<boolean>,
): Promise<Control> {
  for (const less of smaller(screen)) if (await fails(less)) return shrink(less, fails);
  return screen;
}

export const trialBands = defaultBands;
/** Pictures that the random screens name. */
export const trialAssets = [{ name: 'wide.svg', type: 'image/svg+xml', width: 200, height: 80 }];
