/** The languages of a project. Their tags stand in `project.json`, what words are in them in `strings/TAG.json`. */
import {
  type Locale,
  mostLocales,
  mostTranslations,
  tagProblem,
  translationProblem,
} from '../document/locale.ts';
import { isRecord } from '../document/record.ts';
import type { Collection, Fault } from './collection.ts';

function fault(locale: unknown): Fault | undefined {
  if (!isRecord(locale) || typeof locale.tag !== 'string')
    return { path: 'tag', message: '`locales` is a list of language tags such as `en` and `de-CH`.' };
  const message = tagProblem(locale.tag);
  if (message) return { path: 'tag', message };
  const { strings } = locale;
  if (strings === undefined) return undefined;
  if (!isRecord(strings))
    return { path: 'strings', message: `The strings of \`${locale.tag}\` are no record.` };
  const keys = Object.keys(strings);
  if (keys.length > mostTranslations)
    return { path: 'strings', message: `A language has at most ${mostTranslations} translations.` };
  const wrong = keys.map((key) => translationProblem(key, strings[key])).find((each) => each !== undefined);
  return wrong === undefined ? undefined : { path: 'strings', message: wrong };
}

export const locales: Collection<Locale> = {
  id: 'locales',
  word: 'language',
  least: 0,
  most: mostLocales,
  optional: true,
  fields: ['tag', 'strings'] satisfies (keyof Locale)[],
  parted: ['strings'],
  keyOf: ({ tag }) => tag,
  keyProblem: tagProblem,
  fault,
  empty: (tag) => ({ tag }),
  rekeyed: (locale, tag) => ({ ...locale, tag }),
  uses: () => [],
  read: (raw) => (typeof raw === 'string' ? { tag: raw } : raw),
  printed: ({ tag }) => tag,
};

/** Translations under other keys: those of a screen, component or control that is called something else now. */
export function withKeysRenamed(locale: Locale, from: string, to: string): Locale {
  const { strings } = locale;
  if (!strings || !Object.keys(strings).some((key) => key.startsWith(`${from}.`))) return locale;
  return {
    ...locale,
    strings: Object.fromEntries(
      Object.entries(strings).map(([key, value]) => [
        key.startsWith(`${from}.`) ? `${to}${key.slice(from.length)}` : key,
        value,
      ]),
    ),
  };
}
