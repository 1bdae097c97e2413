/** Types of looks: fills, shadows, corners, what is seen of a box but is no part of its layout. */

import type { Corners } from '../values/corners.ts';
import { backgroundProblem, colourNames, shadowProblem } from '../values/look-texts.ts';
import { bad, good, type PropertyType, printNumber, readFraction, readNumber } from './property-type.ts';
import { textual } from './textual.ts';

const gradientBeginnings = [
  'linear-gradient(',
  'radial-gradient(',
  'conic-gradient(',
  'repeating-',
  'picture(',
];

const colourWords = [
  'page',
  'sheet',
  'tint',
  'line',
  'ink',
  'quiet',
  'accent',
  'on-accent',
  'warm',
  'alert',
  'none',
];

/** What a box is filled with. */
export const backgroundType = textual(
  'background',
  {
    field: 'fill',
    expects:
      'a colour, a gradient such as `linear-gradient(sheet, tint)`, `picture(name.svg) cover`, or several with commas',
    words: colourWords,
    ranged: ['accent', 'warm', 'alert'],
    beginnings: gradientBeginnings,
    takes: ['color', 'gradient'],
    colours: colourNames,
  },
  (text) => backgroundProblem(text) === undefined,
);

/** A colour of words, or a gradient that fills them. */
export const inkType = textual(
  'ink',
  {
    field: 'colour',
    expects: 'a colour, or a gradient',
    words: colourWords,
    ranged: ['accent', 'warm', 'alert'],
    beginnings: gradientBeginnings,
    takes: ['color', 'gradient'],
    colours: colourNames,
  },
  (text) =>
    backgroundProblem(text) === undefined &&
    !text.includes('picture(') &&
    !(text.includes(',') && !text.includes('(')),
);

/** Shadows of a box (CSS Backgrounds 3 §6.1). */
export const shadowType = textual(
  'shadow',
  {
    field: 'shadow',
    expects: 'shadows such as `0 4 12 0 #00000033`, several with commas, or `none`',
    words: ['none'],
    keywords: ['inset'],
    takes: ['shadow', 'dimension', 'color'],
    colours: colourNames,
  },
  (text) => shadowProblem(text) === undefined,
);

/** Shadows of words (CSS Text Decoration 3 §4). */
export const textShadowType = textual(
  'text shadow',
  {
    expects: 'shadows such as `0 1 2 #00000066`, several with commas, or `none`',
    words: ['none'],
    takes: ['dimension', 'color'],
    colours: colourNames,
  },
  (text) => shadowProblem(text, true) === undefined,
);

const borderStyles = ['solid', 'dashed', 'dotted', 'double', 'none'];
const sidesOf = (text: string, isOne: (word: string) => boolean): boolean => {
  const words = text.split(' ');
  return words.length <= 4 && words.every(isOne);
};

/** Lines of the four sides (CSS Backgrounds 3 §3.2). */
export const borderStyleType = textual(
  'border style',
  { expects: `one to four of ${borderStyles.map((word) => `\`${word}\``).join(', ')}`, words: borderStyles },
  (text) => sidesOf(text, (word) => borderStyles.includes(word)),
);

/** Colours of the four sides. */
export const borderColourType = textual(
  'border colour',
  {
    field: 'colour',
    expects: 'one to four colours',
    words: colourWords,
    ranged: ['accent', 'warm', 'alert'],
    takes: ['color'],
    colours: (value) => value.split(' ').flatMap(colourNames),
  },
  (text) =>
    text.includes('(')
      ? backgroundProblem(text) === undefined
      : sidesOf(text, (word) => backgroundProblem(word) === undefined),
);

/** A number in a range. */
const ranged = (
  name: string,
  expects: string,
  [least, most]: readonly [number, number],
  takes: NonNullable<PropertyType['takes']> = ['number'],
): PropertyType<number> => ({
  name,
  expects,
  steps: 'count',
  words: [],
  takes,
  read(text) {
    const value = readNumber(text.replace(/deg$/, ''));
    return value === undefined || value < least || value > most
      ? bad(text, expects)
      : good(value, printNumber(value));
  },
});

export const opacityType = ranged('opacity', 'a number from 0 to 1', [0, 1]);
export const blurType = ranged('blur', 'px from 0 to 200', [0, 200], ['dimension']);
export const degreesType = ranged('degrees', 'degrees from -3600 to 3600', [-3600, 3600]);
export const scaleType = ranged('scale', 'a factor from 0 to 100', [0, 100]);
export const layerType: PropertyType<number> = {
  ...ranged('layer', 'a whole number from -1000 to 1000', [-1000, 1000]),
  read(text) {
    const value = readNumber(text);
    return value === undefined || !Number.isInteger(value) || Math.abs(value) > 1000
      ? bad(text, this.expects)
      : good(value, printNumber(value));
  },
};

const shiftExpects = 'two lengths or percentages, across and down';

/** How far something is shifted, px, or parts of its own size. */
export type Shift = readonly [number | { readonly fraction: number }, number | { readonly fraction: number }];

export const shiftType: PropertyType<Shift> = {
  name: 'shift',
  expects: shiftExpects,
  words: [],
  takes: ['dimension'],
  read(text) {
    const words = text.trim().split(/\s+/);
    const values = words.map((word) => {
      const percent = /^([+-]?(?:\d+\.?\d*|\.\d+))%$/.exec(word);
      return percent ? { fraction: Number(percent[1]) / 100 } : readNumber(word);
    });
    const [x, y = 0] = values;
    if (values.length > 2 || x === undefined || values.includes(undefined)) return bad(text, shiftExpects);
    return good([x, y] as Shift, words.map((word) => word.replace(/px$/, '')).join(' '));
  },
};

const cornersExpects = 'one to four lengths or percentages of 0 or more';

/** Radii of the corners from the top left one on (CSS Backgrounds 3 §4.1): a number where all are one length. */
export const cornersType: PropertyType<number | Corners> = {
  name: 'corners',
  steps: 'px',
  expects: cornersExpects,
  blank: '0',
  words: [],
  takes: ['dimension'],
  read(text) {
    const words = text.trim().split(/\s+/);
    const radii = words.map((word) => readFraction(word) ?? readNumber(word));
    if (
      radii.length > 4 ||
      radii.some((each) => each === undefined || (typeof each === 'number' && each < 0))
    )
      return bad(text, cornersExpects);
    const plain = radii.map((each) => (typeof each === 'object' ? { fraction: each.fraction } : each!));
    const canonical = radii
      .map((each) => (typeof each === 'object' ? each.text : printNumber(each!)))
      .join(' ');
    const [one = 0, two = one, three = one, four = two] = plain;
    return good(
      plain.length === 1 && typeof one === 'number' ? one : { radii: [one, two, three, four] },
      canonical,
    );
  },
};

const cursors =
  'auto default pointer grab grabbing text move crosshair help wait progress not-allowed zoom-in zoom-out ew-resize ns-resize nesw-resize nwse-resize col-resize row-resize none'.split(
    ' ',
  );

/** What a pointer looks like over it (CSS UI 4 §5.1). */
export const cursorType = textual(
  'cursor',
  { expects: `one of ${cursors.map((word) => `\`${word}\``).join(', ')}`, words: cursors },
  (text) => cursors.includes(text),
);

/** What may go over into something else. */
export const transitionWords = [
  'all',
  'background',
  'color',
  'border-color',
  'border-width',
  'corner',
  'opacity',
  'shadow',
  'blur',
  'blur-behind',
  'rotate',
  'scale',
  'shift',
  'text-shadow',
  'padding',
  'margin',
  'gap',
  'width',
  'height',
  'min-width',
  'max-width',
  'min-height',
  'max-height',
  'left',
  'right',
  'top',
  'bottom',
  'size',
  'letter-spacing',
];
const curves = ['linear', 'ease', 'ease-in', 'ease-out', 'ease-in-out', 'step-start', 'step-end'];
const transitionPattern = new RegExp(
  `^(?:${transitionWords.join('|')})(?: (?:\\d*\\.?\\d+m?s|${curves.join('|')}|cubic-bezier\\([\\d.,\\s-]+\\)|steps\\(\\d+(?:, (?:start|end))?\\)))+$`,
);

/** How values go over into others (CSS Transitions 1 §2.5). */
export const transitionType = textual(
  'transition',
  {
    field: 'transition',
    expects: 'transitions such as `background 150ms ease-out, scale 200ms`, or `none`',
    words: ['none', ...transitionWords],
    keywords: curves,
    takes: ['duration', 'cubicBezier', 'transition'],
  },
  (text) =>
    text === 'none' ||
    text.split(/,\s*(?![^(]*\))/).every((layer) => transitionPattern.test(layer) && /\dm?s/.test(layer)),
);

const nameList = /^[A-Za-z_][\w-]*(?: [A-Za-z_][\w-]*)*$/;

/** Names of styles, with spaces between. */
export const namesType = textual(
  'styles',
  { expects: 'names of styles with spaces between', words: [] },
  (text) => text === '' || nameList.test(text),
);

/** States of a control's own; `expression/own-states.ts` reads them. */
export const ownStatesType = textual(
  'own states',
  { expects: 'states such as `late: {row.time > 18} | near: hover`', words: [] },
  () => true,
);

/** A token that sets how words are set: font, size, weight, line height, letter spacing. */
export const typographyType = textual(
  'typography',
  { expects: 'the name of a typography token', words: [] },
  (text) => /^[A-Za-z_][\w-]*(?:\.[\w-]+)*$/.test(text),
);

export const looks = [
  backgroundType,
  blurType,
  borderColourType,
  borderStyleType,
  cornersType,
  cursorType,
  degreesType,
  inkType,
  layerType,
  namesType,
  opacityType,
  scaleType,
  shadowType,
  shiftType,
  textShadowType,
];
