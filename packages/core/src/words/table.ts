/** The table of strings: each text of the project with what it is in a language, and how it stands. */

import type { Locale, Translation } from '../document/locale.ts';
import type { Project } from '../document/types.ts';
import { changing } from '../steps/entities.ts';
import type { Step } from '../steps/step.ts';
import { translationFault } from './faults.ts';
import { textsOf, type WordsPlace } from './places.ts';

/** How a translation stands: right, made from another source text, not usable, not there, or of a text that is not there. */
export type StringState = 'done' | 'stale' | 'wrong' | 'missing' | 'unused';

export interface StringRow {
  readonly key: string;
  /** What the project says now; undefined: it has no such text any more. */
  readonly source: string | undefined;
  readonly translation: Translation | undefined;
  readonly state: StringState;
  readonly place: WordsPlace | undefined;
}

function stateOf(place: WordsPlace, translation: Translation | undefined): StringState {
  if (!translation?.text) return 'missing';
  if (translationFault(place, translation.text) !== undefined) return 'wrong';
  return translation.source !== undefined && translation.source !== place.text ? 'stale' : 'done';
}

const known = new WeakMap<
  Locale,
  { readonly places: readonly WordsPlace[]; readonly rows: readonly StringRow[] }
>();

/**
 * The rows of a language: those of the project's texts in their order, and behind them what is translated and not there. The same
 * list as long as neither has changed.
 */
export function stringRows(project: Project, locale: Locale): readonly StringRow[] {
  const places = textsOf(project);
  const before = known.get(locale);
  if (before?.places === places) return before.rows;
  const rows = rowsOf(places, locale);
  known.set(locale, { places, rows });
  return rows;
}

function rowsOf(places: readonly WordsPlace[], { strings = {} }: Locale): readonly StringRow[] {
  const keys = new Set(places.map(({ key }) => key));
  return [
    ...places.map((place): StringRow => {
      const translation = Object.hasOwn(strings, place.key) ? strings[place.key] : undefined;
      return {
        key: place.key,
        source: place.text,
        translation,
        state: stateOf(place, translation),
        place,
      };
    }),
    ...Object.entries(strings).flatMap(([key, translation]): StringRow[] =>
      keys.has(key) ? [] : [{ key, source: undefined, translation, state: 'unused', place: undefined }],
    ),
  ];
}

/** The steps that give texts their translations in a language; an empty one goes, unless it has a note. */
export function translating(
  project: Project,
  locale: Locale,
  translations: Readonly<Record<string, Translation | undefined>>,
): readonly Step[] {
  const strings: Record<string, Translation> = { ...locale.strings };
  for (const [key, translation] of Object.entries(translations))
    if (!translation || (translation.text === '' && !translation.note)) delete strings[key];
    else strings[key] = translation;
  const before = project.locales?.find(({ tag }) => tag === locale.tag) ?? locale;
  return changing('locales', { ...before, strings: before.strings ?? {} }, { ...locale, strings });
}
