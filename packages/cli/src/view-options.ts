/** The options that say how a screen is looked at. */
import {
  effectiveNames,
  type HeldStates,
  longTextLocale,
  longTexts,
  type Mode,
  modes,
  type Project,
  type View,
} from '@hovrin/core';
import { BadInput } from './bad-input.ts';
import { readSize } from './options.ts';

export const viewOptions = {
  'text-scale': { type: 'string' },
  rtl: { type: 'boolean' },
  // Texts have one language so far: every locale gives the same boxes, but for the trial one that makes texts longer.
  locale: { type: 'string' },
  mode: { type: 'string' },
  state: { type: 'string', multiple: true },
} as const;

interface ViewValues {
  readonly 'text-scale'?: string | undefined;
  readonly rtl?: boolean | undefined;
  readonly mode?: string | undefined;
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
  return { textScale, rightToLeft: values.rtl === true, mode: readMode(values.mode) };
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

/** A project in a locale. */
export const inLocale = (project: Project, locale: string | undefined): Project =>
  locale === longTextLocale ? longTexts(project) : project;

/** A size with the other options. @throws BadInput where it is no size. */
export const readView = (size: string, values: ViewValues): View => ({
  ...readSize(size),
  ...readViewOptions(values),
});
