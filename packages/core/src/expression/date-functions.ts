/**
 * Days and times as texts, `2026-07-14` and `2026-07-14T18:30`: plain, without a zone, as `Temporal.PlainDate` and
 * `Temporal.PlainDateTime` of ECMAScript have them.
 */

const day = 86_400_000;
const units: Readonly<Record<string, number>> = {
  __proto__: null as never,
  weeks: 7 * day,
  days: day,
  hours: 3_600_000,
  minutes: 60_000,
  seconds: 1000,
};

/** A day, and a time of it where one is said, as UTC: calculations know no summer time. */
interface Moment {
  readonly date: Date;
  readonly hasTime: boolean;
}

/** @returns undefined where nothing is said. @throws Error where it is no day. */
function momentOf(value: unknown): Moment | undefined {
  const text = String(value ?? '').trim();
  if (text === '') return undefined;
  const [, whole, time] =
    /^(\d{4}-\d{2}-\d{2})(?:[T ](\d{2}:\d{2}(?::\d{2}(?:\.\d+)?)?)Z?)?$/.exec(text) ?? [];
  const date = whole === undefined ? undefined : new Date(`${whole}T${time ?? '00:00'}Z`);
  if (!date || Number.isNaN(date.getTime()) || !date.toISOString().startsWith(whole!))
    throw new Error(`“${text.slice(0, 40)}” is no day such as 2026-07-14.`);
  return { date, hasTime: time !== undefined };
}

function textOf({ date, hasTime }: Moment): string {
  if (Number.isNaN(date.getTime())) throw new Error('that day is out of reach.');
  const text = date.toISOString();
  const seconds = date.getUTCSeconds() === 0 ? 16 : 19;
  return hasTime ? text.slice(0, seconds) : text.slice(0, 10);
}

/** Months later; a day that the month does not have is its last one (Temporal, `constrain`). */
function inMonths(date: Date, months: number): Date {
  const moved = new Date(date);
  moved.setUTCDate(1);
  moved.setUTCMonth(date.getUTCMonth() + months);
  const last = new Date(Date.UTC(moved.getUTCFullYear(), moved.getUTCMonth() + 1, 0)).getUTCDate();
  moved.setUTCDate(Math.min(date.getUTCDate(), last));
  return moved;
}

function add(value: unknown, by: unknown): string {
  const moment = momentOf(value);
  if (!moment) return '';
  const asked = Object.entries(typeof by === 'object' && by !== null ? by : {}).map(
    ([unit, count]) => [unit, Number(count) || 0] as const,
  );
  const strange = asked.find(([unit]) => unit !== 'years' && unit !== 'months' && units[unit] === undefined);
  if (strange)
    throw new Error(`years, months, weeks, days, hours, minutes and seconds are added, no ${strange[0]}.`);
  const months = asked.reduce(
    (sum, [unit, count]) => sum + (unit === 'years' ? 12 * count : unit === 'months' ? count : 0),
    0,
  );
  const rest = asked.reduce((sum, [unit, count]) => sum + count * (units[unit] ?? 0), 0);
  const hasTime = moment.hasTime || asked.some(([unit]) => (units[unit] ?? day) < day);
  return textOf({ date: new Date(inMonths(moment.date, months).getTime() + rest), hasTime });
}

/** Whole units from one day or time to another; months and years as the calendar counts them. */
function until(from: unknown, to: unknown, unit: unknown = 'days'): number | undefined {
  const [begin, end] = [momentOf(from)?.date, momentOf(to)?.date];
  if (!begin || !end) return undefined;
  const length = units[String(unit)];
  if (length !== undefined) return Math.trunc((end.getTime() - begin.getTime()) / length) || 0;
  if (unit !== 'months' && unit !== 'years')
    throw new Error('it counts years, months, weeks, days, hours, minutes or seconds.');
  const months =
    (end.getUTCFullYear() - begin.getUTCFullYear()) * 12 + end.getUTCMonth() - begin.getUTCMonth();
  const over = inMonths(begin, months).getTime() - end.getTime();
  const whole = months > 0 && over > 0 ? months - 1 : months < 0 && over < 0 ? months + 1 : months;
  return unit === 'years' ? Math.trunc(whole / 12) : whole;
}

/** Monday is 1, Sunday 7 (ISO 8601; Temporal, `dayOfWeek`). */
const weekdayOf = (date: Date): number => date.getUTCDay() || 7;

/** The week of the year: the first one has the year's first Thursday (ISO 8601; Temporal, `weekOfYear`). */
function week(value: unknown): number | undefined {
  const moment = momentOf(value);
  if (!moment) return undefined;
  const thursday = moment.date.getTime() + (4 - weekdayOf(moment.date)) * day;
  const first = Date.UTC(new Date(thursday).getUTCFullYear(), 0, 1);
  return 1 + Math.floor((thursday - first) / (7 * day));
}

/** The first day of the week, month or year that a day is in. */
function start(value: unknown, of: unknown): string {
  const moment = momentOf(value);
  if (!moment) return '';
  const { date } = moment;
  const [year, month] = [date.getUTCFullYear(), date.getUTCMonth()];
  const first =
    of === 'week'
      ? Date.UTC(year, month, date.getUTCDate() + 1 - weekdayOf(date))
      : of === 'month'
        ? Date.UTC(year, month, 1)
        : of === 'year'
          ? Date.UTC(year, 0, 1)
          : undefined;
  if (first === undefined) throw new Error('it is the start of a week, a month or a year.');
  return textOf({ date: new Date(first), hasTime: false });
}

/** Most days of a list. */
const mostDays = 4000;

/** All days from one to another, both among them. */
function days(from: unknown, to: unknown): string[] {
  const [begin, end] = [momentOf(from)?.date, momentOf(to)?.date];
  if (!begin || !end) return [];
  const count = Math.floor((end.getTime() - begin.getTime()) / day) + 1;
  if (count > mostDays) throw new Error(`a list has at most ${mostDays} days.`);
  return Array.from({ length: Math.max(0, count) }, (_, index) =>
    textOf({ date: new Date(begin.getTime() + index * day), hasTime: false }),
  );
}

/** A day as people write it, day first, or as it is kept; nothing where it is none. */
function parse(text: unknown): string {
  const plain = String(text ?? '').trim();
  const [, date = '', month = '', year] = /^(\d{1,2})[./](\d{1,2})[./](\d{4})$/.exec(plain) ?? [];
  try {
    const moment = momentOf(year ? `${year}-${month.padStart(2, '0')}-${date.padStart(2, '0')}` : plain);
    return moment ? textOf(moment) : '';
  } catch {
    return '';
  }
}

const part = (read: (date: Date) => number) => (value: unknown) => {
  const moment = momentOf(value);
  return moment && read(moment.date);
};

/** Functions by the name that expressions call them by. */
export const dateFunctions: Readonly<Record<string, (...values: unknown[]) => unknown>> = {
  'Date.add': add,
  'Date.until': until,
  'Date.weekday': part(weekdayOf),
  'Date.week': week,
  'Date.year': part((date) => date.getUTCFullYear()),
  'Date.month': part((date) => date.getUTCMonth() + 1),
  'Date.day': part((date) => date.getUTCDate()),
  'Date.start': start,
  'Date.days': days,
  'Date.parse': parse,
};
