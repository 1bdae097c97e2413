/** What an expression can read of where it is shown: names that no variable can have. */
import { isOneOf } from '../sure.ts';
import { usualLocale } from './formats.ts';

/**
 * The band of the width; the language of whoever looks; the day and time now, as `2026-07-14T18:30:05`; the day, as
 * `2026-07-14`; the time of day, as `18:30`.
 */
export const viewNames = ['View.band', 'View.locale', 'View.now', 'View.today', 'View.time'] as const;
export type ViewName = (typeof viewNames)[number];

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

/** What a name holds while nothing runs: at a band's width, now, where no language is known. */
export function viewValue(name: ViewName, band: string, date = new Date()): string {
  if (name === 'View.band') return band;
  if (name === 'View.locale') return usualLocale;
  const { now, today, time } = clockOf(date);
  return name === 'View.now' ? now : name === 'View.today' ? today : time;
}
