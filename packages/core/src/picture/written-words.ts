/** Values as browsers write them in their fields: days, times and numbers in the way of whoever reads them. */
import type { Look } from '../kinds/kind.ts';

/** The words in a field. @returns days, times and numbers as the language of this browser or program writes them. */
export function writtenWords({ text, written }: NonNullable<Look['inner']>): string {
  if (written === undefined || text === '') return text;
  if (written === 'number') return writtenNumber(text);
  return written === 'time' ? writtenTime(text) : writtenDay(text);
}

function writtenNumber(text: string): string {
  const number = Number(text);
  return Number.isFinite(number) ? numbers.format(number) : text;
}

function writtenTime(text: string): string {
  const [hours, minutes] = text.split(':').map(Number);
  if (Number.isFinite(hours) && Number.isFinite(minutes))
    return narrowed(times.format(new Date(2000, 0, 1, hours, minutes)));
  return times
    .formatToParts(new Date(2000, 0, 1, 0, 0))
    .map(({ type, value }) => (type === 'literal' ? narrowed(value) : '--'))
    .join('');
}

function writtenDay(text: string): string {
  const day = new Date(`${text}T00:00:00`);
  if (!Number.isNaN(day.getTime())) return days.format(day);
  const blanks: Readonly<Record<string, string>> = { day: 'dd', month: 'mm', year: 'yyyy' };
  return days
    .formatToParts(new Date(2000, 0, 1))
    .map(({ type, value }) => blanks[type] ?? value)
    .join('');
}

// In the browser's own way, as its fields have it: no page can choose another.
const days = new Intl.DateTimeFormat(undefined, { year: 'numeric', month: '2-digit', day: '2-digit' });
const times = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit' });
const numbers = new Intl.NumberFormat(undefined, { useGrouping: false, maximumFractionDigits: 20 });

/** Before AM and PM (CLDR). Scripts are given a plain space for it, fields show this one. */
const narrowSpace = '\u202f';
const narrowed = (time: string): string => time.replace(' ', narrowSpace);
