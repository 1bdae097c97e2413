/** Making words that stand in several places one shared entry, and calling it something else. */
import { forbiddenKeys } from '../document/forbidden-keys.ts';
import type { Locale, Translation } from '../document/locale.ts';
import { inForce, type Project, type StateVariable } from '../document/types.ts';
import { changing, putting } from '../steps/entities.ts';
import type { Step } from '../steps/step.ts';
import { type StandingWords, textsOf } from './places.ts';
import { sharedKey, sharedName, sharedVariable, sharedWords } from './shared.ts';
import { readsOfComputed, sharedReads, withReadsRenamed } from './shared-reads.ts';

/** Why words cannot be shared under a name; undefined where they can. */
export function sharedNameProblem(project: Project, name: string): string | undefined {
  if (!/^[A-Za-z_]\w*$/.test(name) || forbiddenKeys.has(name) || name.length > 64)
    return 'A name has letters, figures and `_`, and begins with a letter.';
  if (sharedWords(project).some(([each]) => each === name))
    return `There are shared words \`${name}\` already.`;
  const other = project.state.find((each) => each.name === sharedName);
  return other && other !== sharedVariable(project)
    ? `The variable \`${sharedName}\` holds something else; shared words need that name.`
    : undefined;
}

/** A name for shared words: their first words, written as one. */
export function nameForShared(text: string): string {
  const words = text.match(/[A-Za-z0-9]+/g) ?? [];
  const [first = 'words', ...others] = words.slice(0, 4).map((word) => word.toLowerCase());
  const name = [first, ...others.map((word) => `${word.charAt(0).toUpperCase()}${word.slice(1)}`)].join('');
  return /^[a-z_]/.test(name) ? name : `w${name}`;
}

/** The places that say the same words as a whole, and nothing that is worked out. */
export const placesToShare = (project: Project, text: string): readonly StandingWords[] =>
  /[{}]/.test(text)
    ? []
    : textsOf(project).flatMap((place) =>
        place.control && place.part === undefined && place.text === text ? place : [],
      );

/** The languages in which places that say the same were translated differently, each with what they say; the first is kept. */
export const translatedApart = (
  project: Project,
  text: string,
): readonly { readonly tag: string; readonly texts: readonly string[] }[] => {
  const places = placesToShare(project, text);
  return (project.locales ?? []).slice(1).flatMap(({ tag, strings = {} }) => {
    const texts = new Set(places.flatMap(({ key }) => strings[key]?.text || []));
    return texts.size > 1 ? [{ tag, texts: [...texts] }] : [];
  });
};

/** The strings of a language with the translation of one of some places under a shared key in their stead. */
function shared({ strings = {} }: Locale, places: readonly StandingWords[], key: string): Locale['strings'] {
  const found = places.map((place) => strings[place.key]).find((each) => each?.text);
  const gone = new Set(places.map((place) => place.key));
  const left = Object.fromEntries(Object.entries(strings).filter(([each]) => !gone.has(each)));
  return found ? { ...left, [key]: found } : left;
}

/** The steps that make words one entry, read in all the places that say them; none where they stand nowhere as a whole. */
export function sharing(project: Project, text: string, name: string): readonly Step[] {
  const places = placesToShare(project, text);
  if (places.length === 0) return [];
  const before = sharedVariable(project);
  const made: StateVariable = before
    ? { ...before, initial: { ...(before.initial as Readonly<Record<string, string>>), [name]: text } }
    : { name: sharedName, type: 'record', initial: { [name]: text } };
  const key = sharedKey(name);
  return [
    ...(before ? changing('state', before, made) : [putting('state', made)]),
    ...places.map(
      ({ control, attribute }): Step => ({
        type: 'set',
        control: control.id,
        property: attribute,
        value: `{${key}}`,
      }),
    ),
    ...(project.locales ?? []).slice(1).flatMap((locale) => {
      const strings: Readonly<Record<string, Translation>> = shared(locale, places, key) ?? {};
      return changing('locales', { ...locale, strings: locale.strings ?? {} }, { ...locale, strings });
    }),
  ];
}

/** A record with a value under another key, in its place. */
const rekeyed = <V>(record: Readonly<Record<string, V>>, from: string, to: string): Record<string, V> =>
  Object.fromEntries(Object.entries(record).map(([key, value]) => [key === from ? to : key, value]));

/** The steps that give shared words another name, wherever they are read. */
export function renamingShared(project: Project, from: string, to: string): readonly Step[] {
  const variable = sharedVariable(project);
  if (!variable || from === to) return [];
  const reads = sharedReads(project);
  const attributes = new Map(
    reads.map((read) => [
      `${read.control.id} ${read.attribute}`,
      { control: read.control, attribute: read.attribute },
    ]),
  );
  const sets = [...attributes.values()].flatMap(({ control, attribute }): Step[] => {
    const before = inForce(control.props[attribute]) ?? '';
    const own = reads.filter((read) => read.control === control && read.attribute === attribute);
    const value = withReadsRenamed(before, own, from, to);
    return value === before ? [] : [{ type: 'set', control: control.id, property: attribute, value }];
  });
  const initial = rekeyed(variable.initial as Readonly<Record<string, string>>, from, to);
  return [
    ...changing('state', variable, { ...variable, initial }),
    ...sets,
    ...project.state.flatMap((each) => {
      if (each.computed === undefined) return [];
      const computed = withReadsRenamed(each.computed, readsOfComputed(each.computed), from, to);
      return changing('state', each, { ...each, computed });
    }),
    ...(project.locales ?? []).slice(1).flatMap((locale) => {
      const { strings = {} } = locale;
      return changing(
        'locales',
        { ...locale, strings },
        { ...locale, strings: rekeyed(strings, sharedKey(from), sharedKey(to)) },
      );
    }),
  ];
}
