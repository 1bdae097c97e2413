/** In which of a project's languages something is shown; nothing where it has only one. */
import { inLocale, isRightToLeft, type Project } from '@hovrin/core';
import { languageWords } from './languageWords.ts';

interface LanguageChoiceProps {
  readonly project: Project;
  /** A tag; empty: the language of the source. */
  readonly locale: string;
  readonly onLocale: (locale: string) => void;
}

/** The language of a project by its tag; empty where it has none of that tag, or it is that of its source. */
export const knownLocale = ({ locales = [] }: Project, locale: string): string =>
  locales.slice(1).some(({ tag }) => tag === locale) ? locale : '';

/** A project in a language, and whether that is read from the right. @param locale a tag; empty: as the source has it. */
export function shownIn(
  project: Project,
  locale: string,
): { readonly project: Project; readonly rightToLeft: boolean } {
  const known = knownLocale(project, locale);
  return { project: inLocale(project, known), rightToLeft: known !== '' && isRightToLeft(known) };
}

export function LanguageChoice({ project, locale, onLocale }: LanguageChoiceProps) {
  const { locales = [] } = project;
  if (locales.length < 2) return null;
  return (
    <select
      className="field !w-32"
      aria-label="Language"
      value={knownLocale(project, locale)}
      onChange={({ target }) => onLocale(target.value)}
    >
      {locales.map(({ tag }, index) => (
        <option key={tag} value={index === 0 ? '' : tag}>
          {languageWords(tag)}
        </option>
      ))}
    </select>
  );
}
