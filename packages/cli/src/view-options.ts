/** The options that say how a screen is looked at. */
import {
  didYouMean,
  effectiveNames,
  type HeldStates,
  isRightToLeft,
  longTextLocale,
  longTexts,
  type Mode,
  modes,
  motionsHere,
  type Project,
  inLocale as translated,
  type View,
} from '@hovrin/core';
import { BadInput } from './bad-input.ts';
import { readSize } from './options.ts';

export const viewOptions = {
  'text-scale': { type: 'string' },
  rtl: { type: 'boolean' },
  // One of the project's languages, or the trial one that makes texts longer.
  locale: { type: 'string' },
  mode: { type: 'string' },
  state: { type: 'string', multiple: true },
} as const;

interface ViewValues {
  readonly 'text-scale'?: string | undefined;
  readonly rtl?: boolean | undefined;
  readonly mode?: string | undefined;
  readonly locale?: string | undefined;
}

/** @throws BadInput where it is none. */
export function readMode(text: string | undefined): Mode {
  const mode = modes.find((each) => each === (text ?? 'light'));
  if (!mode) throw new BadInput(`\`${text}\` is no mode: ${modes.join(', ')}.`);
  return mode;
}

/** @throws BadInput for a text scale or a mode that is none. */
export function readViewOptions(values: ViewValues): Pick<View, 'textScale' | 'rightToLeft' | 'mode'> {
  const textScale = Number(values['text-scale'] ?? 1);
  if (!(textScale >= 0.1 && textScale <= 10))
    throw new BadInput(`\`${values['text-scale']}\` is not a text scale from 0.1 to 10.`);
  const rightToLeft = values.rtl === true || (values.locale !== undefined && isRightToLeft(values.locale));
  return { textScale, rightToLeft, mode: readMode(values.mode) };
}

/**
 * The states that are held: `pressed` of all controls, `thirdKey:pressed` of one.
 *
 * @throws BadInput where no control is called so.
 */
export function readStates(
  project: Project,
  texts: readonly string[] = [],
): { readonly states?: HeldStates } {
  const held = new Map<string, string[]>();
  const hold = (id: string, state: string) => held.set(id, [...(held.get(id) ?? []), state]);
  for (const text of texts) {
    const [state = '', name] = text.split(':').toReversed();
    if (name === undefined) {
      hold('', state);
      continue;
    }
    const ids = project.screens.flatMap((screen) =>
      [...effectiveNames(screen)].flatMap(([id, each]) => (each === name ? id : [])),
    );
    if (ids.length === 0) throw new BadInput(`There is no control \`${name}\`.`);
    for (const id of ids) hold(id, state);
  }
  return held.size > 0 ? { states: held } : {};
}

/**
 * The instant of a motion that is looked at: `--motion breathe --at 1.5`, seconds from its start, its delay included.
 *
 * @param project expanded. @throws BadInput where no screen has the motion, or the time is none.
 */
export function readInstant(
  project: Project,
  { motion: name, at = '0' }: { readonly motion?: string | undefined; readonly at?: string | undefined },
): Pick<View, 'motions'> {
  if (name === undefined) return {};
  const names = project.screens.flatMap((screen) => motionsHere(screen).map((each) => each.name));
  if (!names.includes(name)) throw new BadInput(`There is no motion \`${name}\`.${didYouMean(name, names)}`);
  const seconds = Number(at);
  if (!(seconds >= 0 && seconds <= 86_400) || at.trim() === '')
    throw new BadInput(`\`${at}\` is no time: seconds from the start of the motion, such as \`--at 1.5\`.`);
  return { motions: [{ name, at: seconds }] };
}

/** A project in a locale. @throws BadInput where it has languages, and this is none of them. */
export function inLocale(project: Project, locale: string | undefined): Project {
  if (locale === undefined) return project;
  if (locale === longTextLocale) return longTexts(project);
  const tags = (project.locales ?? []).map(({ tag }) => tag);
  if (tags.length > 0 && !tags.some((tag) => tag.toLowerCase() === locale.toLowerCase()))
    throw new BadInput(`The project has no language \`${locale}\`: ${tags.join(', ')}.`);
  return translated(project, locale);
}

/** A size with the other options. @throws BadInput where it is no size. */
export const readView = (size: string, values: ViewValues): View => ({
  ...readSize(size),
  ...readViewOptions(values),
});
