/** Strings out of a project and back into it. */
import type { Locale, Translation } from '../document/locale.ts';
import { didYouMean } from '../document/nearest.ts';
import type { Project } from '../document/types.ts';
import { translationFault } from './faults.ts';
import type { StringTable, TableReading, TravellingString } from './formats/string-format.ts';
import { textsOf } from './places.ts';
import { stringRows } from './table.ts';

/** The strings of a language with all that is to be translated; those of texts that are not there any more stay behind. */
export function tableOf(project: Project, locale: Locale): StringTable {
  const strings = stringRows(project, locale).flatMap(({ key, source, translation }): TravellingString[] =>
    source === undefined
      ? []
      : [
          {
            key,
            source,
            text: translation?.text ?? '',
            ...(translation?.note === undefined ? {} : { note: translation.note }),
          },
        ],
  );
  return { from: project.locales?.[0]?.tag ?? project.language ?? 'en', to: locale.tag, strings };
}

/** Changes that a file of strings would make. */
export interface Arrival {
  /** Translations that are new or other than before, by key. */
  readonly changed: Readonly<Record<string, Translation>>;
  /** Sentences about what is not taken. */
  readonly left: readonly string[];
}

/** The texts of a file that go into a language: those that are translated otherwise than now. */
export function arriving(project: Project, locale: Locale, { strings, to }: TableReading): Arrival {
  const places = new Map(textsOf(project).map((place) => [place.key, place]));
  const left: string[] = [];
  if (to !== undefined && to.toLowerCase() !== locale.tag.toLowerCase())
    left.push(`The file is in \`${to}\`, and goes into \`${locale.tag}\`.`);
  const changed: Record<string, Translation> = {};
  for (const { key, source, text, note } of strings) {
    const place = places.get(key);
    if (!place) {
      left.push(`There is no text \`${key}\`.${didYouMean(key, [...places.keys()])}`);
      continue;
    }
    const before = locale.strings?.[key];
    const fault = text === '' ? undefined : translationFault(place, text);
    if (fault !== undefined) {
      left.push(`\`${key}\`: ${fault}`);
      continue;
    }
    if (text === '' && !before) continue;
    const made = source || place.text;
    const same =
      before?.text === text && (before.note ?? '') === (note ?? '') && (before.source ?? made) === made;
    if (!same) changed[key] = { text, source: made, ...(note === undefined ? {} : { note }) };
  }
  return { changed, left };
}
