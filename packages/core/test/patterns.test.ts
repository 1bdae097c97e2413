/** Regular expressions in expressions: they find what the platform's own find, and end in time. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Budget } from '../src/expression/budget.ts';
import { evaluate } from '../src/expression/evaluate.ts';
import { patternFunctions } from '../src/expression/patterns/functions.ts';
import { Matcher } from '../src/expression/patterns/match.ts';
import { readPattern } from '../src/expression/patterns/read.ts';
import { parseExpression } from '../src/index.ts';

const work = { step: () => {}, text: String };
type Asked = (...given: unknown[]) => unknown;
const ask = (method: string, text: string, source: string, flags: string, ...more: unknown[]) =>
  (patternFunctions[method] as Asked)(work, text, readPattern(source, flags), ...more);

/** What the platform makes of it, without what lists of it have besides. */
const platform = {
  match: (text: string, of: RegExp) => {
    const found = text.match(of);
    return found && [...found];
  },
  matchAll: (text: string, of: RegExp) => [...text.matchAll(of)].map((found) => [...found]),
  search: (text: string, of: RegExp) => text.search(of),
  split: (text: string, of: RegExp) => text.split(of),
  replace: (text: string, of: RegExp) => text.replace(of, '<$1|$&|$$>'),
};

/** Patterns of few letters, so that texts of the same letters meet them in many ways. */
const { pattern } = fc.letrec<{ pattern: string; term: string; atom: string }>((tie) => ({
  pattern: fc.oneof(
    { depthSize: 'small' },
    fc.array(tie('term'), { maxLength: 4 }).map((terms) => terms.join('')),
    fc.tuple(tie('pattern'), tie('pattern')).map(([one, other]) => `${one}|${other}`),
  ),
  term: fc
    .tuple(
      tie('atom'),
      fc.constantFrom('', '', '', '*', '+', '?', '*?', '+?', '??', '{2}', '{1,2}', '{0,2}?', '{1,}', '{2,}?'),
    )
    .map((parts) => parts.join('')),
  atom: fc.oneof(
    { depthSize: 'small' },
    fc.constantFrom(
      'a',
      'b',
      'c',
      '.',
      '\\d',
      '\\w',
      '\\W',
      '\\s',
      '[ab]',
      '[^a]',
      '[a-c1]',
      '[^\\w]',
      '[\\d-]',
      '\\b',
      '(?=a)',
      '(?!b)',
    ),
    tie('pattern').map((inner) => `(${inner})`),
    tie('pattern').map((inner) => `(?:${inner})`),
    tie('pattern').map((inner) => `(?<n>${inner})`),
    fc.constantFrom('^', '$', '\\1', '\\n'),
  ),
}));

describe('a pattern', () => {
  it('finds what the platform finds', () => {
    fc.assert(
      fc.property(
        pattern,
        fc.string({ unit: fc.constantFrom('a', 'b', 'c', 'A', '1', ' ', '\n', 'é'), maxLength: 9 }),
        fc.constantFrom('', 'g', 'i', 'gi', 'm', 's', 'u', 'gu', 'y', 'gms'),
        (source, text, flags) => {
          let own: RegExp;
          try {
            own = new RegExp(source, flags);
          } catch {
            // Two groups of one name, or a group that is not there: acorn refuses these.
            return;
          }
          for (const [method, does] of Object.entries(platform)) {
            if (method === 'matchAll' && !flags.includes('g')) continue;
            // A sticky pattern splits and replaces from where it was left; here it begins anew.
            if (flags.includes('y')) own.lastIndex = 0;
            const more = method === 'replace' ? ['<$1|$&|$$>'] : [];
            expect([method, source, flags, text, ask(method, text, source, flags, ...more)]).toEqual([
              method,
              source,
              flags,
              text,
              does(text, own),
            ]);
          }
        },
      ),
      { numRuns: 4000 },
    );
  });

  it.each([
    ['^\\p{Lu}\\p{L}+$', 'u', 'Übernachtung'],
    ['^.$', 'u', '🏔'],
    ['^..$', '', '🏔'],
    ['^[🏔-🏕]$', 'u', '🏕'],
    ['straße', 'i', 'STRASSE'],
    ['ſ', 'iu', 'S'],
    ['ſ', 'i', 'S'],
    ['[^\\P{L}]', 'iu', 'é'],
    ['\\u{1F3D4}|\\x41|\\cJ|\\0', 'u', 'A'],
    ['(?<year>\\d{4})-(?<month>\\d\\d)\\k<year>', '', '2026-122026'],
    ['(?:(a)|b)*', '', 'ab'],
    ['(z)((a+)?(b+)?(c))*', '', 'zaacbbbcac'],
    ['(?=(a+))a*b\\1', '', 'baaabac'],
    ['(.*?)a(?!(a+)b\\2c)\\2(.*)', '', 'baaabaac'],
    ['a{,2}', '', 'a{,2}'],
    ['[]', '', 'a'],
    ['[^]', '', '\n'],
    ['\\w-[\\w-]+', '', 'a-b-c'],
  ])('%s with %s in %s', (source, flags, text) => {
    expect(ask('match', text, source, flags)).toEqual(platform.match(text, new RegExp(source, flags)));
  });

  it('that would take for ever is ended', () => {
    const budget = new Budget();
    const matcher = new Matcher(readPattern('^(a+)+$', ''), `${'a'.repeat(60)}b`, () => budget.spend(1));
    expect(() => matcher.from(0)).toThrow('too long');
  });

  it('is no larger than a page can carry', () => {
    expect(() => readPattern('(?:a{100}){100}', '')).toThrow('repeats too much');
    expect(() => readPattern('a{1,1000000}', '')).toThrow('repeats too much');
    expect(() => readPattern('a'.repeat(5000), '')).toThrow('too long');
    expect(() => readPattern('(?<=a)b', '')).toThrow('Looking behind');
    expect(() => readPattern('a', 'v')).toThrow('flags');
  });
});

const value = (text: string) => {
  const read = parseExpression(text);
  if (!read.ok) throw new Error(read.problem.message);
  return evaluate(read.value, (name) => ({ pass: 'AB-123', note: 'one, two;three' })[name]);
};

describe('an expression', () => {
  it.each([
    ['/^[A-Z]{2}-\\d+$/.test(pass)', true],
    ['/\\d/.test(note)', false],
    ['/2/.test(123)', true],
    ['pass.match(/([A-Z]+)-(\\d+)/)', ['AB-123', 'AB', '123']],
    ['pass.match(/x/)', null],
    ['pass.match(/x/)?.[1] ?? "none"', 'none'],
    ['note.split(/[,;]\\s*/)', ['one', 'two', 'three']],
    ['note.split(/[,;]\\s*/, 2)', ['one', 'two']],
    ['note.replace(/(\\w+), (\\w+)/, "$2 and $1")', 'two and one;three'],
    ['note.replaceAll(/\\w+/g, word => word.length)', '3, 3;5'],
    ['note.replace(/o/g, (letter, at) => at)', '0ne, tw7;three'],
    ['note.search(/t/)', 5],
    ['note.matchAll(/(\\w)\\w+/g).map(found => found[1])', ['o', 't', 't']],
    ['note.replace(",", ".")', 'one. two;three'],
  ])('%s', (text, expected) => {
    expect(value(text)).toEqual(expected);
  });

  it.each([
    ['/a/', 'A regular expression stands in `match`'],
    ['[/a/]', 'A regular expression stands in'],
    ['note.includes(/a/)', 'A regular expression stands in'],
    ['note.match("a")', 'takes a regular expression'],
    ['note.match()', 'takes a regular expression'],
    ['note.matchAll(/a/)', 'flag `g`'],
    ['note.replaceAll(/a/, "b")', 'flag `g`'],
    ['/a/.exec(note)', '.test(text)'],
    ['/a/.test()', '.test(text)'],
    ['/(?<=a)b/.test(note)', 'Looking behind'],
    ['note.split(/(/)', 'Unterminated group'],
  ])('%s is refused', (text, message) => {
    const read = parseExpression(text);
    expect(read.ok ? '' : read.problem.message).toContain(message);
  });

  it('that makes too much is ended', () => {
    expect(() => value('"a".repeat(200000).replace(/a/g, "b".repeat(100000))')).toThrow();
    expect(() => value('"a".repeat(100).match(/(a|aa)+$b/)')).toThrow('too long');
  });
});
