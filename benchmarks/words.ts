/** The table of words with many texts in many languages: made anew after each change, as the place Words asks for it. */
import {
  applySteps,
  type Control,
  type Project,
  stringRows,
  type Translation,
  textsOf,
  translating,
} from '@hovrin/core';
import { compare, type Measured } from './measure.ts';
import { maker, projectOf } from './trees.ts';

const screens = 100;
const textsEach = 50;
const tags = ['de', 'fr', 'ar', 'ja', 'it', 'es', 'pl', 'nl', 'fi', 'sv', 'cs'];

/** 5,000 texts, each in 12 languages, that of the source included. */
export function manyWords(): Project {
  const make = maker();
  const all = Array.from({ length: screens }, (_, at): Control => {
    const texts = Array.from({ length: textsEach }, (_, index) =>
      make('text', { text: `Text ${index} of the screen ${at}, with some words in it` }),
    );
    return {
      ...make(
        'screen',
        { title: `Screen ${at}` },
        texts.map((text, index) => ({ ...text, name: `t${index}` })),
      ),
      name: `S${at}`,
    };
  });
  const plain = { ...projectOf(all[0]!), screens: all };
  const strings = Object.fromEntries(
    textsOf(plain).map(({ key, text }): [string, Translation] => [
      key,
      { text: `${text} – x`, source: text },
    ]),
  );
  return { ...plain, language: 'en', locales: [{ tag: 'en' }, ...tags.map((tag) => ({ tag, strings }))] };
}

/** @returns how fast the rows are there after one text was translated, against reading the languages' files. */
export function words(): readonly Measured[] {
  const project = manyWords();
  const [, german] = project.locales!;
  const written = JSON.stringify(german!.strings);
  let count = 0;
  const ours = () => {
    const steps = translating(project, german!, { 'S3.t7.text': { text: `Wort ${count++}` } });
    const applied = applySteps(project, steps);
    if (!applied.ok) throw new Error(applied.reason);
    for (const locale of applied.project.locales!.slice(1)) stringRows(applied.project, locale);
  };
  const theirs = () => {
    for (const _ of tags) JSON.parse(written);
  };
  return [
    {
      name: 'words: 5,000 texts in 12 languages, all rows after one was translated',
      against: 'reading the languages’ files',
      ratio: Number(compare(ours, theirs, 21).toFixed(2)),
      aim: 1,
    },
  ];
}
