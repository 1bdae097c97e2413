/** Styles of numbers, dates and times in messages, as options of ECMA-402. */
import { ExpressionError } from './problem.ts';

type Options = Readonly<Record<string, string | number | boolean>>;

const lengths = ['short', 'medium', 'long', 'full'];
const numberWords: Readonly<Record<string, Options>> = {
  integer: { maximumFractionDigits: 0 },
  percent: { style: 'percent' },
};
const numberStems: Readonly<Record<string, Options>> = {
  'precision-integer': { maximumFractionDigits: 0 },
  'compact-short': { notation: 'compact', compactDisplay: 'short' },
  'compact-long': { notation: 'compact', compactDisplay: 'long' },
  'group-off': { useGrouping: false },
  'sign-always': { signDisplay: 'always' },
  // As it is: 5 is 5 %.
  percent: { style: 'unit', unit: 'percent' },
};
/** Words of a number skeleton that mean something together: of a whole, 0.05 is 5 %. */
const ofWhole = /(?:^|\s)(?:percent\s+scale\/100|scale\/100\s+percent|%x100)(?=\s|$)/;

/** One word of a number skeleton (UTS #35, part 3, Number Skeletons). */
function numberStem(stem: string, at: number): Options {
  const known = Object.hasOwn(numberStems, stem) ? numberStems[stem] : undefined;
  if (known) return known;
  const currency = /^currency\/([A-Z]{3})$/.exec(stem);
  if (currency?.[1]) return { style: 'currency', currency: currency[1] };
  const unit = /^unit\/([a-z-]+)$/.exec(stem);
  if (unit?.[1]) return { style: 'unit', unit: unit[1] };
  const [all, least = '', most = ''] = /^\.(0*)(#*)$/.exec(stem) ?? [];
  if (all !== undefined && least.length + most.length <= 20)
    return { minimumFractionDigits: least.length, maximumFractionDigits: least.length + most.length };
  throw new ExpressionError(
    `\`${stem}\` is not known here: \`currency/EUR\`, \`unit/meter\`, \`.00\`, ${Object.keys(numberStems)
      .map((each) => `\`${each}\``)
      .join(', ')}.`,
    at,
  );
}

function numberSkeleton(skeleton: string, at: number): Options {
  const stems = skeleton.replace(ofWhole, '').split(/\s+/).filter(Boolean);
  return Object.assign(
    ofWhole.test(skeleton) ? { style: 'percent' } : {},
    ...stems.map((stem) => numberStem(stem, at)),
  ) as Options;
}

/** A letter of a date skeleton (UTS #35, part 4, Date Field Symbols) as an option, by how often it stands. */
const dateFields: Readonly<Record<string, (count: number) => Options>> = {
  y: (count) => ({ year: count === 2 ? '2-digit' : 'numeric' }),
  M: (count) => ({ month: ['numeric', '2-digit', 'short', 'long', 'narrow'][count - 1] ?? 'long' }),
  d: (count) => ({ day: count === 2 ? '2-digit' : 'numeric' }),
  E: (count) => ({ weekday: count === 4 ? 'long' : count === 5 ? 'narrow' : 'short' }),
  j: (count) => ({ hour: count === 2 ? '2-digit' : 'numeric' }),
  H: (count) => ({ hour: count === 2 ? '2-digit' : 'numeric', hourCycle: 'h23' }),
  h: (count) => ({ hour: count === 2 ? '2-digit' : 'numeric', hourCycle: 'h12' }),
  m: (count) => ({ minute: count === 2 ? '2-digit' : 'numeric' }),
  s: (count) => ({ second: count === 2 ? '2-digit' : 'numeric' }),
};

function dateSkeleton(skeleton: string, at: number): Options {
  const fields = [...skeleton.matchAll(/(.)\1*/g)].map(([run, letter = '']) => {
    const field = Object.hasOwn(dateFields, letter) ? dateFields[letter] : undefined;
    if (field) return field(run.length);
    throw new ExpressionError(
      `\`${letter}\` is no field of a day or time: ${Object.keys(dateFields)
        .map((each) => `\`${each}\``)
        .join(', ')}.`,
      at,
    );
  });
  return Object.assign({}, ...fields) as Options;
}

/**
 * The options that a style stands for.
 *
 * @param at where the message stands, for what is wrong.
 * @throws ExpressionError where a style is none.
 */
export function styleOptions(format: 'number' | 'date' | 'time', style: string, at: number): Options {
  const skeleton = style.startsWith('::') ? style.slice(2).trim() : undefined;
  if (format === 'number') {
    if (skeleton) return numberSkeleton(skeleton, at);
    const known = style === '' ? {} : Object.hasOwn(numberWords, style) ? numberWords[style] : undefined;
    if (known) return known;
    throw new ExpressionError(
      `\`${style}\` is no style of a number: \`integer\`, \`percent\`, or a skeleton such as \`::currency/EUR\`.`,
      at,
    );
  }
  if (skeleton) return dateSkeleton(skeleton, at);
  const length = style === '' ? 'medium' : style;
  if (lengths.includes(length)) return { [`${format}Style`]: length };
  throw new ExpressionError(
    `\`${style}\` is no style of a ${format === 'date' ? 'day' : 'time'}: ${lengths.map((each) => `\`${each}\``).join(', ')}, or a skeleton such as \`::MMMd\`.`,
    at,
  );
}
