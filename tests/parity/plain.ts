/** Plain screens, as most people build them: forms, lists, cards and bars, with the sizes and places that most screens have. */
import { Chance } from './documents.ts';

const words = [
  'Hut',
  'Bunk',
  'Ridge',
  'soup',
  'the',
  'late',
  'arrivals',
  'for',
  'tonight',
  'north',
  'and',
  'dry',
  'boots',
];
const phrase = (chance: Chance, most: number): string =>
  Array.from({ length: chance.whole(1, most) }, () => chance.one(words)).join(' ');

/** A control of one line or a few. */
function leaf(chance: Chance): string {
  const width = chance.one(['', '', ' width="share"', ' width="50%"', ' width="120"', ' width="fit"']);
  const label = `label="${phrase(chance, 2)}"`;
  return chance.one([
    `<text text="${phrase(chance, 14)}"${width} />`,
    `<text text="${phrase(chance, 4)}" size="20" weight="600" />`,
    `<heading text="${phrase(chance, 4)}"${width} />`,
    `<textField ${label}${width} />`,
    `<numberField ${label}${width} />`,
    `<select ${label} options="One | Two | Three"${width} />`,
    `<checkbox ${label} />`,
    `<switch ${label} />`,
    `<radioGroup ${label} options="One | Two | Three" />`,
    `<textArea ${label}${width} />`,
    `<button text="${phrase(chance, 2)}"${width} />`,
    `<badge text="${phrase(chance, 1)}" />`,
    `<image src="wide.svg"${chance.one([' width="80" height="60"', ' width="share"', ' width="100%" aspect="16/9"'])} />`,
    '<divider />',
    `<progress ${label} value="40" max="100"${width} />`,
  ]);
}

const some = (chance: Chance, least: number, most: number, make: () => string): string =>
  Array.from({ length: chance.whole(least, most) }, make).join('');

/** A container of a few things. */
function part(chance: Chance, depth: number): string {
  const inner = () => (depth > 0 && chance.of(0.45) ? part(chance, depth - 1) : leaf(chance));
  const gap = ` gap="${chance.one([4, 8, 12, 16])}"`;
  const padding = chance.one(['', ' padding="12"', ' padding="8 16"']);
  const box = `${gap}${padding}${chance.one(['', '', ' border-width="1" corner="8"'])}`;
  const align = chance.one([
    '',
    '',
    ' align="center"',
    ' align="start"',
    ' align="end"',
    ' align="baseline"',
  ]);
  return chance.one([
    () => `<column${box}>${some(chance, 1, 5, inner)}</column>`,
    () => `<column${box}${align === ' align="baseline"' ? '' : align}>${some(chance, 1, 4, inner)}</column>`,
    () =>
      `<row${box}${align}${chance.one(['', ' wrap="true"', ' justify="between"'])}>${some(chance, 1, 4, inner)}</row>`,
    () => `<row${box} wrap="true">${some(chance, 2, 5, () => leaf(chance))}</row>`,
    () =>
      `<grid${box} columns="${chance.one(['1fr 1fr', '1fr 2fr', '120 1fr', 'repeat(auto-fill, minmax(140, 1fr))', 'auto 1fr'])}">${some(chance, 2, 6, inner)}</grid>`,
    () => `<form${box}>${some(chance, 1, 5, () => leaf(chance))}</form>`,
    () => `<fieldset caption="${phrase(chance, 2)}"${box}>${some(chance, 1, 4, inner)}</fieldset>`,
    () => `<scroll height="160">${some(chance, 2, 5, inner)}</scroll>`,
  ])();
}

/** The plain screen of a seed, as source. */
export function plainScreen(seed: number): string {
  const chance = new Chance(seed);
  const bar = chance.of(0.4)
    ? `<bar edge="top" padding="8 16"><text text="${phrase(chance, 2)}" weight="700" /></bar>`
    : '';
  return `<screen name="trial" padding="${chance.one([12, 16, 24])}" gap="${chance.one([8, 16])}">${bar}${some(chance, 2, 4, () => part(chance, 2))}</screen>`;
}
