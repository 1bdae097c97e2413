/** What an expression can read of where it is shown: names that no variable can have. */
import { isOneOf, keysOf } from '../sure.ts';
import { usualLocale } from './formats.ts';

/** Each name with the type of what it holds. */
export const viewTypes = {
  /** The band of the width. */
  'View.band': 'text',
  /** The language of whoever looks, as a tag of BCP 47. An event may set it: the page is in that language from then on. */
  'View.locale': 'text',
  /** The language that the words are in. */
  'View.language': 'text',
  /** The day and time now, `2026-07-14T18:30:05`; the day; the time of day, `18:30`. */
  'View.now': 'text',
  'View.today': 'text',
  'View.time': 'text',
  /** Whether colours are those in the dark. */
  'View.dark': 'boolean',
  /** Whether the browser has a network. */
  'View.online': 'boolean',
  /** What the page's address asks, behind its `?`: texts by name. */
  'View.query': 'record',
} as const;
export type ViewName = keyof typeof viewTypes;
export const viewNames = keysOf(viewTypes);
/** What a name of `View` may hold. */
export type ViewValue = string | boolean | Readonly<Record<string, string>>;

/** The one that an event may set. */
export const localeName = 'View.locale' satisfies ViewName;

export const isViewName = (name: string): name is ViewName => isOneOf(viewNames, name);

/** Whether a text may read where it is shown; some that do not are taken for ones that do. */
export const mayReadView = (text: string): boolean => text.includes('View.');

/** A day and time as expressions read them (ISO 8601, by the clock of whoever looks, to the second). */
export function clockOf(date: Date): { now: string; today: string; time: string } {
  const two = (value: number) => String(value).padStart(2, '0');
  const today = `${date.getFullYear()}-${two(date.getMonth() + 1)}-${two(date.getDate())}`;
  const time = `${two(date.getHours())}:${two(date.getMinutes())}`;
  return { now: `${today}T${time}:${two(date.getSeconds())}`, today, time };
}

/** The name of the widest band that a width reaches; empty where it reaches none. */
export const bandAt = (
  bands: readonly { readonly name: string; readonly from: number }[],
  width: number,
): string => bands.filter(({ from }) => width >= from).toSorted((a, b) => b.from - a.from)[0]?.name ?? '';

/** The language of a project that says none. */
const sourceLanguage = 'en';

/** The language of a project's words. */
export const languageOf = ({
  language = sourceLanguage,
}: {
  readonly language?: string | undefined;
}): string => language;

/** The value of a name while nothing runs: at a band's width, now, for somebody who reads the language of the words. */
export function viewValue(name: ViewName, band: string, language: string, date = new Date()): ViewValue {
  if (name === 'View.language') return language;
  if (name === 'View.band') return band;
  if (name === 'View.dark') return false;
  if (name === 'View.online') return true;
  if (name === 'View.query') return {};
  if (name === localeName) return language === sourceLanguage ? usualLocale : language;
  const { now, today, time } = clockOf(date);
  return name === 'View.now' ? now : name === 'View.today' ? today : time;
}
