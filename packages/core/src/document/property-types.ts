/**
 * What a property may hold. One type serves the source's parser, the fields of the interface, validation and
 * the layout: it reads a text, says what is wrong with it, and gives the value and the text's canonical form.
 */

import { asText } from '../expression/evaluate.ts';
import { didYouMean, quoted } from '../expression/nearest.ts';
import type {
  Align,
  Fraction,
  Gaps,
  Justify,
  Limit,
  Sides,
  Size,
  Track,
  TrackList,
  TrackListPart,
} from '../layout/box.ts';
import { fontFamilies, fontWeights } from '../text/fonts.ts';
import { nameProblem, valueNameProblem } from './names.ts';
import { type ClampedSize, printClampedSize, readClampedSize } from './text-size.ts';
import { colourRoles } from './theme.ts';
import { readTracks, tracksText } from './track-list.ts';

export type Reading<T> =
  | { readonly ok: true; readonly value: T; readonly text: string }
  | { readonly ok: false; readonly message: string };

export interface PropertyType<T = unknown> {
  readonly name: string;
  /** What is allowed, as the end of a sentence: "a number, `fit` …". */
  readonly expects: string;
  /** Fixed words that it allows, for lists and completion. */
  readonly words: readonly string[];
  /** Reads a text without expressions. */
  read(text: string): Reading<T>;
  /** Takes what an expression gave; absent: nothing is no value, and anything else is read as a text. */
  take?(result: unknown): { readonly value: T } | { readonly message: string };
}

const numberPattern = /^[+-]?(\d+\.?\d*|\.\d+)$/;
/** Larger lengths than any screen; beyond them browsers clamp. */
const largest = 1_000_000;

/** `12`, `12.5`, `12px` as a number; undefined where it is none. */
function readNumber(text: string): number | undefined {
  const plain = text.trim().replace(/px$/, '').trim();
  if (!numberPattern.test(plain)) return undefined;
  const value = Number(plain);
  return Math.abs(value) <= largest ? value : undefined;
}

const printNumber = (value: number): string => String(Number(value.toFixed(4)));

const good = <T>(value: T, text: string): Reading<T> => ({ ok: true, value, text });
const bad = (
  text: string,
  expects: string,
  words: readonly string[] = [],
): { ok: false; message: string } => ({
  ok: false,
  message: `${quoted(text)} is not ${expects}.${didYouMean(text, words)}`,
});

function numberType(name: string, expects: string, allows: (value: number) => boolean): PropertyType<number> {
  return {
    name,
    expects,
    words: [],
    read(text) {
      const value = readNumber(text);
      return value === undefined || !allows(value) ? bad(text, expects) : good(value, printNumber(value));
    },
  };
}

/** Any number. */
export const amountType = numberType('amount', 'a number', () => true);
/** How long something takes, seconds: not so short that nothing else gets its turn, at most a day. */
export const secondsType = numberType(
  'seconds',
  'seconds from 0.1 to 86400',
  (value) => value >= 0.1 && value <= 86_400,
);
/** A length that is not negative, px. */
export const lengthType = numberType('length', 'a length of 0 or more', (value) => value >= 0);
/** A length that may be negative, px. */
export const offsetType = numberType('offset', 'a length', () => true);
/** Room between letters, px. */
export const letterSpacingType = numberType(
  'letter spacing',
  'a length from -100 to 100',
  (value) => Math.abs(value) <= 100,
);
/** A whole number in a range. */
const wholeType = (name: string, expects: string, allows: (value: number) => boolean) =>
  numberType(name, expects, (value) => Number.isInteger(value) && allows(value));
/** A number of lines of text. */
export const linesType = wholeType(
  'lines',
  'a whole number from 1 to 1000',
  (value) => value >= 1 && value <= 1000,
);
/** How many characters one enters (HTML §4.10.18.3, §4.10.18.4). */
export const charactersType = wholeType(
  'characters',
  'a whole number from 0 to 100000',
  (value) => value >= 0 && value <= 100_000,
);
/** A line of a grid; negative ones count from the end (Grid 1 §8.3). */
export const gridLineType = wholeType(
  'grid line',
  'a line from 1 to 1000, or from -1 to -1000',
  (value) => value !== 0 && Math.abs(value) <= 1000,
);
/** How many tracks an item spans. */
export const spanType = wholeType(
  'span',
  'a whole number from 1 to 1000',
  (value) => value >= 1 && value <= 1000,
);
/** A level of headings. */
export const levelType = wholeType('level', 'a level from 1 to 6', (value) => value >= 1 && value <= 6);
/** A place among siblings. */
export const orderType = wholeType(
  'order',
  'a whole number from -1000 to 1000',
  (value) => Math.abs(value) <= 1000,
);
/** A turn in the focus order (HTML §6.6.3, a `tabindex` above 0). */
export const turnType = wholeType(
  'focus turn',
  'a whole number from 1 to 10000',
  (value) => value >= 1 && value <= 10_000,
);
/** A text size, px, or one that follows the width of the window between two. */
export const textSizeType: PropertyType<number | ClampedSize> = {
  name: 'text size',
  expects: 'a size from 1 to 400, or `clamp(18, 4vw, 34)`',
  words: [],
  read(text) {
    const clamped = readClampedSize(text);
    if (clamped) return good(clamped, printClampedSize(clamped));
    const value = readNumber(text);
    return value === undefined || value < 1 || value > 400
      ? bad(text, this.expects)
      : good(value, printNumber(value));
  },
};
/** A factor, greater than 0. */
export const factorType = numberType(
  'factor',
  'a factor from 0.5 to 5',
  (value) => value >= 0.5 && value <= 5,
);

function sidesType(name: string, expects: string, negative: boolean): PropertyType<Sides> {
  return {
    name,
    expects,
    words: [],
    read(text) {
      const numbers = text.trim().split(/\s+/).map(readNumber);
      if (numbers.length > 4 || numbers.some((value) => value === undefined || (!negative && value < 0)))
        return bad(text, expects);
      const [first, second, third, fourth] = numbers as [number, number?, number?, number?];
      const canonical = numbers.map((value) => printNumber(value!)).join(' ');
      // all | block inline | top inline bottom | top end bottom start
      const end = second ?? first;
      return good({ top: first, end, bottom: third ?? first, start: fourth ?? end }, canonical);
    },
  };
}

const gapsExpects = 'one or two lengths of 0 or more';

/** Gaps: one length for both, or that between rows and that between columns (Align 3 §8.2). */
export const gapsType: PropertyType<Gaps> = {
  name: 'gaps',
  expects: gapsExpects,
  words: [],
  read(text) {
    const numbers = text.trim().split(/\s+/).map(readNumber);
    const [row, column = row] = numbers;
    if (numbers.length > 2 || row === undefined || column === undefined || row < 0 || column < 0)
      return bad(text, gapsExpects);
    return good({ row, column }, numbers.map((value) => printNumber(value!)).join(' '));
  },
};

/** Lengths of the four sides, 0 or more. */
export const lengthsType = sidesType('lengths', 'one to four lengths of 0 or more', false);
/** Lengths of the four sides, negative ones allowed. */
export const marginType = sidesType('margin', 'one to four lengths', true);

function readFraction(text: string): { fraction: number; text: string } | undefined {
  const match = /^(.+)%$/.exec(text.trim());
  const value = match ? readNumber(match[1]!) : undefined;
  return value === undefined || value < 0 || match![1]!.includes('px')
    ? undefined
    : { fraction: value / 100, text: `${printNumber(value)}%` };
}

const sizeExpects = 'a number, `fit`, `share`, `share N` or a percentage';
export const sizeType: PropertyType<Size> = {
  name: 'size',
  expects: sizeExpects,
  words: ['fit', 'share'],
  read(text) {
    const plain = text.trim();
    if (plain === 'fit') return good<Size>('fit', 'fit');
    const share = /^share(?:\s+(.+))?$/.exec(plain);
    if (share) {
      const parts = share[1] === undefined ? 1 : readNumber(share[1]);
      if (parts === undefined || parts <= 0 || share[1]?.includes('px')) return bad(text, sizeExpects);
      return good<Size>({ share: parts }, share[1] === undefined ? 'share' : `share ${printNumber(parts)}`);
    }
    const fraction = readFraction(plain);
    if (fraction) return good<Size>({ fraction: fraction.fraction }, fraction.text);
    const value = readNumber(plain);
    return value === undefined || value < 0
      ? bad(text, sizeExpects, ['fit', 'share'])
      : good<Size>(value, printNumber(value));
  },
};

const pinExpects = 'a number or a percentage';
/** Where a child of a pinboard is held. */
export const pinType: PropertyType<number | Fraction> = {
  name: 'pin',
  expects: pinExpects,
  words: [],
  read(text) {
    const percent = /^([+-]?(?:\d+\.?\d*|\.\d+))%$/.exec(text.trim());
    if (percent) {
      const value = Number(percent[1]);
      return good<number | Fraction>({ fraction: value / 100 }, `${printNumber(value)}%`);
    }
    const value = readNumber(text);
    return value === undefined ? bad(text, pinExpects) : good<number | Fraction>(value, printNumber(value));
  },
};

const aspectExpects = 'a ratio such as 16/9, or a number greater than 0';
/** Width by height. */
export const aspectType: PropertyType<number> = {
  name: 'aspect',
  expects: aspectExpects,
  words: [],
  read(text) {
    const match = /^(\d*\.?\d+)\s*(?:\/\s*(\d*\.?\d+))?$/.exec(text.trim());
    const [width, height] = [Number(match?.[1]), Number(match?.[2] ?? 1)];
    const value = width / height;
    if (!match || !(value >= 0.001 && value <= 1000)) return bad(text, aspectExpects);
    return good(
      value,
      match[2] === undefined ? printNumber(width) : `${printNumber(width)}/${printNumber(height)}`,
    );
  },
};

const ratioExpects = 'two parts such as 1/2';
/** Parts of the first and the second pane. */
export const ratioType: PropertyType<readonly [number, number]> = {
  name: 'ratio',
  expects: ratioExpects,
  words: [],
  read(text) {
    const match = /^(\d*\.?\d+)\s*\/\s*(\d*\.?\d+)$/.exec(text.trim());
    const [first, second] = [Number(match?.[1]), Number(match?.[2])];
    if (!match || !(first > 0 && second > 0 && first <= 1000 && second <= 1000))
      return bad(text, ratioExpects);
    return good([first, second] as const, `${printNumber(first)}/${printNumber(second)}`);
  },
};

const trackType = (name: string, expects: string, repeats: boolean): PropertyType<TrackList> => ({
  name,
  expects,
  words: ['auto', 'min-content', 'max-content', '1fr'],
  read(text) {
    const tracks = readTracks(text, repeats);
    return typeof tracks === 'string' ? { ok: false, message: tracks } : good(tracks, tracksText(text));
  },
});
/** The tracks of a grid's template. */
export const trackListType = trackType('tracks', 'tracks such as `120 1fr auto`', true);
const patternReader: Omit<PropertyType<TrackList>, 'take'> = trackType(
  'track pattern',
  'tracks such as `120 auto`, without `repeat`',
  false,
);
const isTrack = (part: TrackListPart): part is Track => !('auto' in part);
/** The tracks that no template has. */
export const trackPatternType: PropertyType<readonly Track[]> = {
  ...patternReader,
  read(text) {
    const reading = patternReader.read(text);
    return reading.ok ? { ...reading, value: reading.value.filter(isTrack) } : reading;
  },
};

const flowWords = ['row', 'column', 'dense', 'row dense', 'column dense'];
/** How items without a place fill a grid (Grid 1 §7.7). */
export const flowType: PropertyType<{ readonly axis: 'row' | 'column'; readonly dense: boolean }> = {
  name: 'flow',
  expects: 'one of `row`, `column`, `row dense`, `column dense`',
  words: flowWords,
  read(text) {
    const parts = text.trim().split(/\s+/);
    const plain = parts.toSorted((a, b) => Number(a === 'dense') - Number(b === 'dense')).join(' ');
    if (!flowWords.includes(plain)) return bad(text, this.expects, flowWords);
    const dense = parts.includes('dense');
    const axis = parts.includes('column') ? 'column' : 'row';
    return good({ axis, dense }, dense ? `${axis} dense` : axis);
  },
};

/** An expression that gives a list; what stands in it is checked as expressions are. */
export const listType: PropertyType<readonly unknown[]> = {
  name: 'list',
  expects: 'an expression in braces that gives a list',
  words: [],
  read(text) {
    const value: unknown = text.trim() === '' ? [] : undefined;
    return Array.isArray(value) ? good(value, '') : bad(text, this.expects);
  },
  take: (result) => (Array.isArray(result) ? { value: result } : { message: 'This is not a list.' }),
};

/** What an expression gives, whatever it is. */
export const anyType: PropertyType<unknown> = {
  name: 'anything',
  expects: 'an expression in braces',
  words: [],
  read: (text) => bad(text, 'an expression in braces'),
  take: (result) => ({ value: result }),
};

/** One of several things to choose from, or a column of a table: what stands for it, and what a person reads. */
export interface Entry {
  readonly value: string;
  readonly label: string;
}

const entriesExpects = 'entries such as `Dorm | Twin`, or `dorm: Dormitory | twin: Twin room`';
/** Things to choose from, in order. A list from an expression holds texts, or records with `value` and `label`. */
export const entriesType: PropertyType<readonly Entry[]> = {
  name: 'entries',
  expects: entriesExpects,
  words: [],
  read(text) {
    const parts = text
      .split('|')
      .map((part) => part.trim())
      .filter(Boolean);
    const entries = parts.map((part): Entry => {
      const [, value, label] = /^([^:]*):\s+(.*)$/.exec(part) ?? [undefined, part, part];
      return { value: value!.trim(), label: label!.trim() };
    });
    if (entries.length > mostEntries)
      return { ok: false, message: `There are at most ${mostEntries} entries.` };
    const values = entries.map(({ value }) => value);
    const twice = values.find((value, index) => values.indexOf(value) !== index);
    if (twice !== undefined) return { ok: false, message: `${quoted(twice)} stands there twice.` };
    return good(
      entries,
      entries.map(({ value, label }) => (value === label ? label : `${value}: ${label}`)).join(' | '),
    );
  },
  take(result) {
    if (!Array.isArray(result)) return { message: 'This is not a list.' };
    return {
      value: result.slice(0, mostEntries).map((item: unknown): Entry => {
        if (typeof item !== 'object' || item === null) return { value: asText(item), label: asText(item) };
        const { value, label } = item as { value?: unknown; label?: unknown };
        return { value: asText(value ?? label), label: asText(label ?? value) };
      }),
    };
  },
};
/** Screens of the project with what a person reads for them. */
export const placesType: PropertyType<readonly Entry[]> = { ...entriesType, name: 'places' };
/** Most things to choose from. */
const mostEntries = 1000;

/** What is chosen of several: values, separated by `|`. */
export const chosenType: PropertyType<readonly string[]> = {
  name: 'chosen',
  expects: 'values such as `twin`, or `twin | dorm`',
  words: [],
  read(text) {
    const values = text
      .split('|')
      .map((part) => part.trim())
      .filter(Boolean);
    return good(values, values.join(' | '));
  },
  take: (result) => ({
    value: Array.isArray(result)
      ? result.map(asText)
      : asText(result)
          .split('|')
          .map((part) => part.trim())
          .filter(Boolean),
  }),
};

/** A date or a time as HTML writes it; an empty text is none (HTML §2.3.5). */
const momentType = (name: string, expects: string, pattern: RegExp): PropertyType<string> => ({
  name,
  expects,
  words: [],
  read(text) {
    const plain = text.trim();
    const day = new Date(`${plain}T00:00:00Z`);
    const real =
      !pattern.test('2026-01-01') ||
      (day.toString() !== 'Invalid Date' && day.toISOString().startsWith(plain));
    return plain === '' || (pattern.test(plain) && real) ? good(plain, plain) : bad(text, expects);
  },
  take(result) {
    const reading = this.read(asText(result));
    return reading.ok ? { value: reading.value } : { message: reading.message };
  },
});
export const dateType = momentType('date', 'a date such as 2026-03-14', /^\d{4}-\d\d-\d\d$/);
export const timeType = momentType('time', 'a time such as 18:40', /^([01]\d|2[0-3]):[0-5]\d$/);

/** The name of an icon; which there are is known where its shapes are. */
export const iconType: PropertyType<string> = {
  name: 'icon',
  expects: 'the name of an icon, such as `bed` or `arrow-right`',
  words: [],
  read(text) {
    const plain = text.trim();
    return /^[a-z\d]+(-[a-z\d]+)*$/.test(plain) ? good(plain, plain) : bad(text, this.expects);
  },
};

/** Where a link leads: a screen of the project, or an address that opens elsewhere. */
export const destinationType: PropertyType<string> = {
  name: 'destination',
  expects: 'the name of a screen, or an address that begins with `https://`, `http://`, `mailto:` or `tel:`',
  words: [],
  read(text) {
    const plain = text.trim();
    return nameProblem(plain) === undefined || /^(https?:\/\/|mailto:|tel:)[^\s]+$/i.test(plain)
      ? good(plain, plain)
      : bad(text, this.expects);
  },
};

/** From a number up, a colour. */
export interface ColourRange {
  readonly from: number;
  readonly colour: string;
}
const rangesExpects = 'numbers and colours such as `0 alert | 20 warm | 50 accent`';
/** Colours of a number's ranges, the lowest first; below the first there is none. */
export const rangesType: PropertyType<readonly ColourRange[]> = {
  name: 'ranges',
  expects: rangesExpects,
  words: [],
  read(text) {
    const ranges: ColourRange[] = [];
    for (const part of text.split('|')) {
      const [number, word, ...rest] = part.trim().split(/\s+/);
      const from = readNumber(number ?? '');
      const colour = colourType.read(word ?? '');
      if (from === undefined || rest.length > 0) return bad(text, rangesExpects);
      if (!colour.ok) return colour;
      ranges.push({ from, colour: colour.value });
    }
    ranges.sort((a, b) => a.from - b.from);
    return good(ranges, ranges.map(({ from, colour }) => `${printNumber(from)} ${colour}`).join(' | '));
  },
};

const pointExpects = 'a point such as `50% 20%`';
/** A point of a picture, in per cent of its width and height. */
export const pointType: PropertyType<readonly [number, number]> = {
  name: 'point',
  expects: pointExpects,
  words: [],
  read(text) {
    const match = /^(\d+\.?\d*)%\s+(\d+\.?\d*)%$/.exec(text.trim());
    const [x, y] = [Number(match?.[1]), Number(match?.[2])];
    return match && x <= 100 && y <= 100
      ? good([x, y] as const, `${printNumber(x)}% ${printNumber(y)}%`)
      : bad(text, pointExpects);
  },
};

/** The name that stands for an item inside a repeat. */
export const identifierType: PropertyType<string> = {
  name: 'name',
  expects: 'a name',
  words: [],
  read(text) {
    const plain = text.trim();
    const problem = valueNameProblem(plain);
    return problem ? { ok: false, message: problem } : good(plain, plain);
  },
};

const limitExpects = 'a number of 0 or more or a percentage';
export const limitType: PropertyType<Limit> = {
  name: 'limit',
  expects: limitExpects,
  words: [],
  read(text) {
    const fraction = readFraction(text);
    if (fraction) return good<Limit>({ fraction: fraction.fraction }, fraction.text);
    const value = readNumber(text);
    return value === undefined || value < 0
      ? bad(text, limitExpects)
      : good<Limit>(value, printNumber(value));
  },
};

/** One of some words. */
export function choiceType<T extends string>(name: string, words: readonly T[]): PropertyType<T> {
  const expects = `one of ${words.map((word) => `\`${word}\``).join(', ')}`;
  return {
    name,
    expects,
    words,
    read(text) {
      const plain = text.trim() as T;
      return words.includes(plain) ? good(plain, plain) : bad(text, expects, words);
    },
  };
}

export const alignType = choiceType<Align>('align', ['start', 'center', 'end', 'stretch', 'baseline']);
export const justifyType = choiceType<Justify>('justify', [
  'start',
  'center',
  'end',
  'between',
  'around',
  'evenly',
]);
/** Alignment along an axis in which items fill their cell or stand in it. */
export const cellAlignType = choiceType<Align>('cell align', ['start', 'center', 'end', 'stretch']);
export const scrollAxisType = choiceType('axis', ['vertical', 'horizontal', 'both']);
export const paneType = choiceType('pane', ['first', 'second']);
export const edgeType = choiceType('edge', ['top', 'bottom', 'start', 'end']);
export const fitType = choiceType('picture fit', ['cover', 'contain', 'fill']);
export const toneType = choiceType('tone', ['primary', 'plain', 'danger']);
export const chartType = choiceType('chart type', ['line', 'bar', 'sparkline']);
export const navFormType = choiceType('nav form', ['bar', 'rail', 'panel']);
export const lineUpType = choiceType('line-up', ['row', 'column']);
export const likeType = choiceType('like', ['row', 'column', 'grid']);
export const textAlignType = choiceType('text-align', ['start', 'center', 'end']);
export const familyType = choiceType(
  'font',
  fontFamilies.map(({ family }) => family),
);

const weightWords = fontWeights.map(String);
export const weightType: PropertyType<number> = {
  name: 'weight',
  expects: `one of ${weightWords.join(', ')}`,
  words: weightWords,
  read(text) {
    return weightWords.includes(text.trim())
      ? good(Number(text), text.trim())
      : bad(text, `one of ${weightWords.join(', ')}`);
  },
};

/** `true` or `false`. */
export const flagType: PropertyType<boolean> = {
  name: 'flag',
  expects: '`true` or `false`',
  words: ['true', 'false'],
  read(text) {
    const plain = text.trim();
    return plain === 'true' || plain === 'false'
      ? good(plain === 'true', plain)
      : bad(text, '`true` or `false`', ['true', 'false']);
  },
};

/** Any words. */
export const textType: PropertyType<string> = {
  name: 'text',
  expects: 'a text',
  words: [],
  read: (text) => good(text, text),
  take: (result) => ({ value: asText(result) }),
};

const colourWords: readonly string[] = [...colourRoles, 'none'];
const colourExpects = 'a colour: #rgb, #rrggbb, #rrggbbaa, `none` or a colour of the theme';
/** A colour of the theme or a hexadecimal one (CSS Color 4 §5.2). */
export const colourType: PropertyType<string> = {
  name: 'colour',
  expects: colourExpects,
  words: colourWords,
  read(text) {
    const plain = text.trim().toLowerCase();
    if (colourWords.includes(plain)) return good(plain, plain);
    return /^#([\da-f]{3,4}|[\da-f]{6}|[\da-f]{8})$/.test(plain)
      ? good(plain, plain)
      : bad(text, colourExpects, colourWords);
  },
};

/** The file name of a picture of the project. */
export const pictureType: PropertyType<string> = {
  name: 'picture',
  expects: 'the file name of a picture of the project',
  words: [],
  read(text) {
    const plain = text.trim();
    if (/^blob:[^\s"'<>]+$/.test(plain)) return good(plain, plain);
    return /^[^/\\<>"'&\s][^/\\<>"'&]*$/.test(plain) && !plain.includes('..')
      ? good(plain, plain)
      : bad(text, 'the file name of a picture of the project');
  },
};
