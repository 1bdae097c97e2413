/**
 * Which script each part of a text is written in (UAX #24). Browsers shape stretches of one script by themselves: letters of
 * two scripts are not kerned, and letters that are joined (CSS Text 4 §8.2.1, cursive scripts) are not spaced.
 */
import { itemAt } from '../sure.ts';

/** The scripts that the fonts that ship have letters of, and all others as one. */
const scripts = [
  { tag: 'Latn', has: /\p{scx=Latin}/u },
  { tag: 'Grek', has: /\p{scx=Greek}/u },
  { tag: 'Cyrl', has: /\p{scx=Cyrillic}/u },
  { tag: 'Hebr', has: /\p{scx=Hebrew}/u },
  { tag: 'Arab', has: /\p{scx=Arabic}/u },
  { tag: 'Thai', has: /\p{scx=Thai}/u },
  { tag: 'Hani', has: /\p{scx=Han}/u },
  { tag: 'Hira', has: /\p{scx=Hiragana}/u },
  { tag: 'Kana', has: /\p{scx=Katakana}/u },
] as const;
/** Brackets that are wide: browsers take them for East Asian ones. */
const wideSign = /(?=[\p{Ps}\p{Pe}])[\uff01-\uff60]/u;
const eastAsian = scripts.reduce(
  (bits, { tag }, index) => (['Hani', 'Hira', 'Kana'].includes(tag) ? bits | (1 << index) : bits),
  0,
);
const neutral = /[\p{scx=Common}\p{scx=Inherited}]/u;
const other = 1 << scripts.length;

/** Of the letters that are joined. */
export const arabic = scripts.findIndex(({ tag }) => tag === 'Arab') + 1;

/** ISO 15924 tag of a script; undefined for those that no font that ships has letters of, and where there are no letters. */
export const scriptTag = (script: number): string | undefined => scripts[script - 1]?.tag;

/** Texts of one script at most, which need no analysis: Latin letters, signs and punctuation. */
const plain = /^[\0-\u036f\u1e00-\u1eff\u2000-\u2bff]*$/;

const closing: { readonly [opening: string]: string } = { '(': ')', '[': ']', '{': '}' };

const masks = new Map<number, number>();

/** The scripts that a character may belong to, a bit each; 0: any. */
function maskOf(code: number): number {
  let mask = masks.get(code);
  if (mask === undefined) {
    const character = String.fromCodePoint(code);
    mask = scripts.reduce((bits, { has }, index) => bits | (has.test(character) ? 1 << index : 0), 0);
    if (mask === 0 && wideSign.test(character)) mask = eastAsian;
    else if (mask === 0 && !neutral.test(character)) mask = other;
    masks.set(code, mask);
  }
  return mask;
}

/**
 * The script of each UTF-16 unit: 1 and up, 0 where there are no letters. What belongs to no script follows what is before it,
 * or else what is behind; a closing bracket follows the opening one.
 *
 * @returns undefined where it is the same throughout.
 */
export function scriptsOf(text: string): Uint8Array | undefined {
  if (plain.test(text)) return undefined;
  const found = new Uint8Array(text.length);
  const stretches: { start: number; mask: number }[] = [{ start: 0, mask: 0 }];
  const opened: { readonly closing: string; readonly stretch: { readonly mask: number } }[] = [];
  for (let index = 0; index < text.length; ) {
    const code = text.codePointAt(index)!;
    const character = text.charAt(index);
    let last = itemAt(stretches, -1);
    let mask = maskOf(code);
    const pair = opened.findLastIndex((each) => each.closing === character);
    if (pair >= 0) {
      mask = opened[pair]!.stretch.mask;
      opened.length = pair;
    }
    if (mask !== 0) {
      const common = last.mask === 0 ? mask : last.mask & mask;
      if (common === 0) {
        last = { start: index, mask };
        stretches.push(last);
      } else last.mask = common;
    }
    if (character in closing) opened.push({ closing: closing[character]!, stretch: last });
    index += code > 0xffff ? 2 : 1;
  }
  if (stretches.every(({ mask }) => mask === 1) && stretches.length === 1) return undefined;
  for (const [index, { start, mask }] of stretches.entries())
    found.fill(mask === 0 ? 0 : 32 - Math.clz32(mask & -mask), start, stretches[index + 1]?.start);
  return found;
}
