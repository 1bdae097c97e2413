/** The options that say how a screen is looked at. */
import { longTextLocale, longTexts, type Project, type View } from '@hovrin/core';
import { BadInput } from './bad-input.ts';
import { readSize } from './options.ts';

export const viewOptions = {
  'text-scale': { type: 'string' },
  rtl: { type: 'boolean' },
  // Texts have one language so far: every locale gives the same boxes, but for the trial one that makes texts longer.
  locale: { type: 'string' },
} as const;

/** @throws BadInput for a text scale that is none. */
export function readViewOptions(values: {
  'text-scale'?: string | undefined;
  rtl?: boolean | undefined;
}): Pick<View, 'textScale' | 'rightToLeft'> {
  const textScale = Number(values['text-scale'] ?? 1);
  if (!(textScale >= 0.1 && textScale <= 10))
    throw new BadInput(`\`${values['text-scale']}\` is not a text scale from 0.1 to 10.`);
  return { textScale, rightToLeft: values.rtl === true };
}

/** A project in a locale. */
export const inLocale = (project: Project, locale: string | undefined): Project =>
  locale === longTextLocale ? longTexts(project) : project;

/** A size with the other options. @throws BadInput where it is no size. */
export const readView = (
  size: string,
  values: { 'text-scale'?: string | undefined; rtl?: boolean | undefined },
): View => ({ ...readSize(size), ...readViewOptions(values) });
