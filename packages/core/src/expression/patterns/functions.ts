/** What texts do with regular expressions (ECMAScript §22.1.3, §22.2.6): a page that has some has these. */
import type { Functions } from '../functions.ts';
import { type Found, Matcher } from './match.ts';
import type { PatternProgram } from './program.ts';

/** What is given by who carries an expression out. */
export interface PatternWork {
  /** Counts a step. @throws where there are no more. */
  step(): void;
  /** A value as text. */
  text(value: unknown): string;
}

type Given = readonly [work: PatternWork, text: string, program: PatternProgram, ...more: unknown[]];

/** The whole match and its groups as texts; undefined for a group that took no part. */
const textsOf = (text: string, found: Found): (string | undefined)[] =>
  Array.from({ length: found.length / 2 }, (_, group) =>
    found[group * 2]! < 0 ? undefined : text.slice(found[group * 2], found[group * 2 + 1]),
  );

/** All matches in turn; one alone without the flag `g`, where `once` says so. */
function* matches([work, text, program]: Given, once = !program.flags.includes('g')): Generator<Found> {
  const matcher = new Matcher(program, text, work.step);
  for (let at = 0; at <= text.length; ) {
    const found = matcher.from(at);
    if (!found) return;
    yield found;
    if (once) return;
    // A match of nothing goes on behind the next character (ECMAScript, AdvanceStringIndex).
    const isPair = program.flags.includes('u') && (text.codePointAt(found[1]!) ?? 0) > 0xffff;
    at = found[1]! > found[0]! ? found[1]! : found[1]! + (isPair ? 2 : 1);
  }
}

/** What stands for a match: `$1`, `$&` and the like (ECMAScript, GetSubstitution). */
const substituted = (by: string, text: string, found: Found): string =>
  by.replaceAll(/\$(?:\$|&|`|'|(\d\d?))/g, (whole, digits: string | undefined) => {
    if (whole === '$$') return '$';
    if (whole === '$&') return text.slice(found[0], found[1]);
    if (whole === '$`') return text.slice(0, found[0]);
    if (whole === "$'") return text.slice(found[1]);
    const count = found.length / 2 - 1;
    const both = Number(digits);
    const [group, rest] = both <= count ? [both, ''] : [Number(digits!.charAt(0)), digits!.slice(1)];
    if (group < 1 || group > count) return whole;
    return (textsOf(text, found)[group] ?? '') + rest;
  });

function replaced(given: Given): string {
  const [work, text, , by] = given;
  let made = '';
  let at = 0;
  for (const found of matches(given)) {
    work.step();
    const put =
      typeof by === 'function'
        ? work.text(by(...textsOf(text, found), found[0], text))
        : substituted(work.text(by), text, found);
    made += text.slice(at, found[0]) + put;
    at = found[1]!;
  }
  return made + text.slice(at);
}

/** A text in pieces, with what groups hold between them (ECMAScript, RegExp.prototype[@@split]). */
function split([work, text, program, most]: Given): (string | undefined)[] {
  const limit = most === undefined ? Number.POSITIVE_INFINITY : Number(most);
  const matcher = new Matcher({ ...program, flags: `${program.flags.replace('y', '')}y` }, text, work.step);
  const pieces: (string | undefined)[] = [];
  if (text === '') return matcher.from(0) ? [] : [text].slice(0, limit);
  let from = 0;
  for (let at = 0; at < text.length && pieces.length < limit; ) {
    const found = matcher.from(at);
    if (!found || found[1] === from) {
      at += program.flags.includes('u') && text.codePointAt(at)! > 0xffff ? 2 : 1;
      continue;
    }
    pieces.push(text.slice(from, at), ...textsOf(text, found).slice(1));
    from = found[1]!;
    at = from;
  }
  return [...pieces, text.slice(from)].slice(0, limit);
}

/** By the names of their methods; each is given what works, the text, and the pattern. */
export const patternFunctions: Functions = {
  test: (...given: Given) => matches(given, true).next().value !== undefined,
  search: (...given: Given) => matches(given, true).next().value?.[0] ?? -1,
  match: (...given: Given) => {
    const [, text, program] = given;
    if (!program.flags.includes('g')) {
      const found = matches(given, true).next().value;
      return found ? textsOf(text, found) : null;
    }
    const all = [...matches(given)].map((found) => text.slice(found[0], found[1]));
    return all.length > 0 ? all : null;
  },
  matchAll: (...given: Given) => [...matches(given, false)].map((found) => textsOf(given[1], found)),
  replace: (...given: Given) => replaced(given),
  replaceAll: (...given: Given) => replaced(given),
  split: (...given: Given) => split(given),
};
