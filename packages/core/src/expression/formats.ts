/**
 * How numbers, days and lists read, by ECMA-402 (`Intl`): all options are its own, by their own names, and `locale`
 * beside them. Nothing, and what is no number, reads as nothing.
 */

/** What holds where no locale is named: the same everywhere, so that a screen is as wide on every machine. */
export const usualLocale = 'en-GB';

type Options = Readonly<Record<string, unknown>>;

const isOptions = (value: unknown): value is Options =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

const made = new Map<string, unknown>();

/** A formatter of some kind with some options; kept, since making one costs a hundred times using it. */
function formatter<T>(
  type: new (locale: string, options: never) => T,
  name: string,
  given: unknown,
  fixed: Options = {},
): T {
  const { locale = usualLocale, ...rest } = isOptions(given) ? given : {};
  const options = { ...rest, ...fixed };
  const key = `${name} ${String(locale)} ${JSON.stringify(options)}`;
  let known = made.get(key) as T | undefined;
  if (!known) {
    known = new type(String(locale), options as never);
    if (made.size > 200) made.clear();
    made.set(key, known);
  }
  return known;
}

const numberOf = (value: unknown): number | undefined => {
  const number =
    typeof value === 'number'
      ? value
      : typeof value === 'string' && value.trim() !== ''
        ? Number(value)
        : Number.NaN;
  return Number.isNaN(number) ? undefined : number;
};

function formatNumber(value: unknown, options: unknown, fixed?: Options): string {
  const number = numberOf(value);
  return number === undefined ? '' : formatter(Intl.NumberFormat, 'number', options, fixed).format(number);
}

/** A day alone is a day everywhere, a time alone is that time; what has both is in the time zone of whoever looks. */
function formatDate(value: unknown, options: unknown): string {
  const text = typeof value === 'string' ? value.trim() : '';
  const isDay = /^\d{4}-\d{2}-\d{2}$/.test(text);
  const isTime = /^\d{2}:\d{2}(:\d{2})?$/.test(text);
  const date = new Date(isDay ? `${text}T00:00:00Z` : isTime ? `2000-01-01T${text}` : text);
  if (text === '' || Number.isNaN(date.getTime())) return '';
  const given = isOptions(options) ? options : {};
  const parts = Object.keys(given).some((name) => name !== 'locale' && name !== 'timeZone');
  return formatter(Intl.DateTimeFormat, 'date', given, {
    ...(parts ? {} : { dateStyle: 'medium' }),
    ...(isDay ? { timeZone: 'UTC' } : {}),
  }).format(date);
}

/** A text or number as it is read; nothing of anything else. */
const plainText = (value: unknown): string =>
  typeof value === 'string' || typeof value === 'number' || typeof value === 'boolean' ? String(value) : '';

/** The form of some that is said for a name, else the one for all others. */
const formOf = (forms: Options, name: string): unknown =>
  Object.hasOwn(forms, name) ? forms[name] : forms.other;

/** Stands for the count in what is chosen inside of a form: no character of any text (Unicode 16 §23.7, noncharacters). */
export const innerCount = '\ufdd0';

/**
 * The form that goes with a count: of that very number, `=0`, else of its category in the language. `#` in it stands for the count; a
 * form may also be a list of texts, between which the count stands. An `offset` is taken off the count first.
 */
function plural(count: unknown, forms: unknown, options: unknown): string {
  const given = numberOf(count);
  if (given === undefined || !isOptions(forms)) return '';
  const { offset = 0 } = isOptions(options) ? options : {};
  const number = given - (numberOf(offset) ?? 0);
  const category = formatter(Intl.PluralRules, 'plural', options).select(number);
  const form = formOf(forms, Object.hasOwn(forms, `=${given}`) ? `=${given}` : category);
  const shown = () => formatNumber(number, pluralNumbers(options));
  if (Array.isArray(form)) {
    const text = form.map(plainText).join(form.length > 1 ? shown() : '');
    return text.includes(innerCount) ? text.replaceAll(innerCount, shown()) : text;
  }
  return typeof form === 'string' ? form.replaceAll('#', shown()) : '';
}

/** Of the options of a plural only the locale is for its number. */
const pluralNumbers = (options: unknown): Options =>
  isOptions(options) && options.locale !== undefined ? { locale: options.locale } : {};

/** Formats by the name that expressions call them by. */
export const formats: Readonly<Record<string, (...values: unknown[]) => string>> = {
  'Format.number': (value, options) => formatNumber(value, options),
  'Format.percent': (value, options) => formatNumber(value, options, { style: 'percent' }),
  'Format.currency': (value, currency, options) =>
    formatNumber(value, options, { style: 'currency', currency: String(currency) }),
  'Format.unit': (value, unit, options) =>
    formatNumber(value, options, { style: 'unit', unit: String(unit) }),
  'Format.date': formatDate,
  'Format.relative': (amount, unit, options) => {
    const number = numberOf(amount);
    return number === undefined
      ? ''
      : formatter(Intl.RelativeTimeFormat, 'relative', options, { numeric: 'auto' }).format(
          number,
          String(unit) as Intl.RelativeTimeFormatUnit,
        );
  },
  'Format.list': (values, options) =>
    Array.isArray(values) ? formatter(Intl.ListFormat, 'list', options).format(values.map(String)) : '',
  'Format.plural': plural,
  'Format.choose': (value, forms) => (isOptions(forms) ? plainText(formOf(forms, plainText(value))) : ''),
};
