/** @returns a language as a person reads it; the tag itself where the browser knows no words for it. */
export function languageWords(tag: string): string {
  try {
    return new Intl.DisplayNames(['en'], { type: 'language' }).of(tag) ?? tag;
  } catch {
    return tag;
  }
}
