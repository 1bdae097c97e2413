/** Types of lists: data, things to choose from, ranges of a number. */

import { quoted } from '../document/nearest.ts';
import { isRecord } from '../document/record.ts';
import { asText } from '../expression/evaluate.ts';
import { bad, good, type PropertyType, printNumber, readNumber } from './property-type.ts';
import { colourType } from './texts.ts';

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

/** One of several things to choose from, or a column of a table: its value, and the words that a person reads. */
export interface Entry {
  readonly value: string;
  readonly label: string;
}

const entriesExpects = 'entries such as `Dorm | Twin`, or `dorm: Dormitory | twin: Twin room`';

/** Entries as the source has them. */
export const entriesText = (entries: readonly Entry[]): string =>
  entries.map(({ value, label }) => (value === label ? label : `${value}: ${label}`)).join(' | ');

/** Things to choose from, in order. A list from an expression holds texts, or records with `value` and `label`. */
export const entriesType: PropertyType<readonly Entry[]> = {
  name: 'entries',
  field: 'entries',
  ranged: ['low', 'middling', 'high'],
  expects: entriesExpects,
  words: [],
  read(text) {
    const parts = text
      .split('|')
      .map((part) => part.trim())
      .filter(Boolean);
    const entries = parts.map((part): Entry => {
      const [, value, label] = /^([^:]*):\s+(.*)$/.exec(part) ?? [undefined, part, part];
      return { value: value.trim(), label: label.trim() };
    });
    if (entries.length > mostEntries)
      return { ok: false, message: `There are at most ${mostEntries} entries.` };
    const values = entries.map(({ value }) => value);
    const twice = values.find((value, index) => values.indexOf(value) !== index);
    if (twice !== undefined) return { ok: false, message: `${quoted(twice)} stands there twice.` };
    return good(entries, entriesText(entries));
  },
  take(result) {
    if (!Array.isArray(result)) return { message: 'This is not a list.' };
    return {
      value: result.slice(0, mostEntries).map((item: unknown): Entry => {
        if (!isRecord(item)) return { value: asText(item), label: asText(item) };
        const { value, label } = item;
        return { value: asText(value ?? label), label: asText(label ?? value) };
      }),
    };
  },
};

/**
 * Entries with the words of one changed; what it stands for stays.
 *
 * @param index of the entry, from 0.
 * @returns undefined where there is no such entry, or no words are given.
 */
export function withEntryLabel(text: string, index: number, label: string): string | undefined {
  const read = entriesType.read(text);
  const words = label.replaceAll('|', ' ').trim();
  if (!read.ok || !read.value[index] || words === '') return undefined;
  return entriesText(
    read.value.map((entry, at) =>
      at !== index ? entry : { value: entry.value === entry.label ? words : entry.value, label: words },
    ),
  );
}

/** Screens of the project, each with its label for people. */
export const placesType: PropertyType<readonly Entry[]> = {
  ...entriesType,
  name: 'places',
  refers: {
    to: 'screen',
    in: (entries) => entries.map(({ value }) => value),
    renamed(text, from, to) {
      const reading = entriesType.read(text);
      if (!reading.ok || !reading.value.some(({ value }) => value === from)) return text;
      // What a person read stays what it was.
      return entriesText(
        reading.value.map((entry) => (entry.value === from ? { ...entry, value: to } : entry)),
      );
    },
  },
};

/** Most things to choose from. */
const mostEntries = 1000;

/** What is chosen of several: values, separated by `|`. */
export const chosenType: PropertyType<readonly string[]> = {
  name: 'chosen',
  field: 'entries',
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

/** From a number up, a colour. */
export interface ColourRange {
  readonly from: number;
  readonly colour: string;
}

const rangesExpects = 'numbers and colours such as `0 alert | 20 warm | 50 accent`';

/** Colours of a number's ranges, the lowest first; below the first there is none. */
export const rangesType: PropertyType<readonly ColourRange[]> = {
  name: 'ranges',
  field: 'entries',
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

export const lists = [anyType, chosenType, entriesType, listType, placesType, rangesType];
