/** From a regular expression's text, which acorn has held against the grammar, to a program. */
import type { Instruction, PatternProgram } from './program.ts';

/** What is part of ECMAScript and not of what can be used here. */
export class PatternRefused extends Error {}

/** Longest program: counted repeats are written out. */
const longestProgram = 4000;
const knownFlags = /^[dgimsuy]*$/;

const controls: Readonly<Record<string, number>> = { t: 9, n: 10, v: 11, f: 12, r: 13 };

/** @throws PatternRefused with a sentence. */
export function readPattern(source: string, flags: string): PatternProgram {
  if (!knownFlags.test(flags)) throw new PatternRefused(`The flags \`${flags}\` are not available here.`);
  const { code, groups, loops } = new PatternReader(source, flags.includes('u')).read();
  return { code, groups, slots: groups * 2 + loops, flags, source };
}

class PatternReader {
  private at = 0;
  private groups = 1;
  private loops = 0;
  private readonly names = new Map<string, number>();
  /** How many groups there are in all. */
  private readonly all: number;

  constructor(
    private readonly source: string,
    private readonly unicode: boolean,
  ) {
    // A group may be named before it stands there.
    let count = 0;
    for (const [whole, name] of source.matchAll(
      /\\.|\[(?:\\.|[^\]])*\]|\((?:\?<([\p{ID_Start}$_][\p{ID_Continue}$]*)>|(?!\?))/gsu,
    ))
      if (whole.startsWith('(')) {
        count++;
        if (name !== undefined) this.names.set(name, count);
      }
    this.all = count;
  }

  read(): { code: Instruction[]; groups: number; loops: number } {
    const body = this.choice();
    const whole: Instruction[] = [['save', 0], ...moved(body, 1), ['save', 1], ['match']];
    // Loops have their slots behind those of all groups.
    const code = whole.map(
      (each): Instruction =>
        each[0] === 'round' || each[0] === 'progress' ? [each[0], each[1] + this.groups * 2] : each,
    );
    return { code, groups: this.groups, loops: this.loops };
  }

  private get next(): string {
    return this.source.charAt(this.at);
  }

  private takes(text: string): boolean {
    if (!this.source.startsWith(text, this.at)) return false;
    this.at += text.length;
    return true;
  }

  private choice(): Instruction[] {
    const first = this.sequence();
    if (!this.takes('|')) return first;
    const other = this.choice();
    const split: Instruction = ['split', 1, first.length + 2];
    return [
      split,
      ...moved(first, 1),
      ['jump', first.length + 2 + other.length],
      ...moved(other, first.length + 2),
    ];
  }

  private sequence(): Instruction[] {
    const code: Instruction[] = [];
    while (this.at < this.source.length && this.next !== '|' && this.next !== ')') {
      code.push(...moved(this.term(), code.length));
      if (code.length > longestProgram) throw new PatternRefused('This pattern is too long.');
    }
    return code;
  }

  private term(): Instruction[] {
    const before = this.groups;
    const one = this.atom();
    const [least, most] = this.count() ?? [1, 1];
    if (least === 1 && most === 1) return one;
    const lazy = this.takes('?');
    return this.repeated(one, { least, most, lazy, groups: [before, this.groups] });
  }

  private count(): readonly [number, number] | undefined {
    if (this.takes('*')) return [0, Number.POSITIVE_INFINITY];
    if (this.takes('+')) return [1, Number.POSITIVE_INFINITY];
    if (this.takes('?')) return [0, 1];
    const counted = /^\{(\d+)(,?)(\d*)\}/.exec(this.source.slice(this.at));
    if (!counted) return undefined;
    this.at += counted[0].length;
    const least = Number(counted[1]);
    if (counted[2] === '') return [least, least];
    return [least, counted[3] === '' ? Number.POSITIVE_INFINITY : Number(counted[3])];
  }

  private repeated(
    one: readonly Instruction[],
    how: { least: number; most: number; lazy: boolean; groups: readonly [number, number] },
  ): Instruction[] {
    const { least, most, lazy, groups } = how;
    const clear: Instruction[] = groups[0] < groups[1] ? [['clear', groups[0] * 2, groups[1] * 2]] : [];
    const round = [...clear, ...moved(one, clear.length)];
    const copies = Number.isFinite(most) ? most : least;
    if ((round.length + 3) * copies > longestProgram)
      throw new PatternRefused('This pattern repeats too much.');
    const fork = (on: number, past: number): Instruction =>
      lazy ? ['split', past, on] : ['split', on, past];
    const code: Instruction[] = [];
    for (let copy = 0; copy < least; copy++) code.push(...moved(round, code.length));
    // A round that takes nothing is none, and what follows goes on without it.
    const slot = this.loops;
    if (most > least) this.loops++;
    const careful = [['round', slot] as const, ...moved(round, 1), ['progress', slot] as const];
    if (!Number.isFinite(most)) {
      const at = code.length;
      code.push(fork(at + 1, at + careful.length + 2), ...moved(careful, at + 1), ['jump', at]);
      return code;
    }
    const end = code.length + (most - least) * (careful.length + 1);
    for (let copy = least; copy < most; copy++) {
      const at = code.length;
      code.push(fork(at + 1, end), ...moved(careful, at + 1));
    }
    return code;
  }

  private atom(): Instruction[] {
    if (this.takes('(')) return this.group();
    if (this.next === '[') return [['set', this.brackets()]];
    if (this.takes('.')) return [['any']];
    if (this.takes('^')) return [['start']];
    if (this.takes('$')) return [['end']];
    if (this.takes('\\')) return [this.escaped()];
    return [['char', this.character()]];
  }

  private group(): Instruction[] {
    if (this.takes('?<=') || this.takes('?<!'))
      throw new PatternRefused('Looking behind is not available here; a group holds what stands in front.');
    const not = this.source.startsWith('?!', this.at);
    if (this.takes('?=') || this.takes('?!')) {
      const inner = [...this.choice(), ['match'] as const];
      this.takes(')');
      return [['ahead', not, inner.length + 1], ...moved(inner, 1)];
    }
    if (this.takes('?:')) {
      const inner = this.choice();
      this.takes(')');
      return inner;
    }
    if (this.source.startsWith('?', this.at) && !this.source.startsWith('?<', this.at))
      throw new PatternRefused('Flags of a group are not available here.');
    if (this.takes('?<')) this.at = this.source.indexOf('>', this.at) + 1;
    const number = this.groups++;
    const inner = this.choice();
    this.takes(')');
    return [['save', number * 2], ...moved(inner, 1), ['save', number * 2 + 1]];
  }

  /** One character as it is written, a whole one with the flag `u`. */
  private character(): number {
    const code = this.unicode ? this.source.codePointAt(this.at)! : this.source.charCodeAt(this.at);
    this.at += code > 0xffff ? 2 : 1;
    return code;
  }

  /** What stands behind a backslash, outside of brackets. */
  private escaped(): Instruction {
    if (this.takes('b')) return ['word', false];
    if (this.takes('B')) return ['word', true];
    const named = /^k<([^>]+)>/.exec(this.source.slice(this.at));
    if (named && this.names.size > 0) {
      this.at += named[0].length;
      return ['back', this.names.get(named[1]!) ?? 0];
    }
    const group = /^[1-9]\d*/.exec(this.source.slice(this.at));
    if (group && Number(group[0]) <= this.all) {
      this.at += group[0].length;
      return ['back', Number(group[0])];
    }
    const one = this.escape();
    return typeof one === 'number' ? ['char', one] : ['set', one];
  }

  /** A class such as `\\d`, or the code of a character. */
  private escape(): string | number {
    const known = /^[dDwWsS]|^[pP]\{[^}]*\}/.exec(this.source.slice(this.at));
    if (known && (this.unicode || !/^p/i.test(known[0]))) {
      this.at += known[0].length;
      return `\\${known[0]}`;
    }
    const coded = /^(?:x([\da-f]{2})|u([\da-f]{4})|u\{([\da-f]+)\})/i.exec(this.source.slice(this.at));
    if (coded && (this.unicode || coded[3] === undefined)) {
      this.at += coded[0].length;
      const code = Number.parseInt((coded[1] ?? coded[2] ?? coded[3])!, 16);
      const low = /^\\u(d[c-f][\da-f]{2})/i.exec(this.source.slice(this.at));
      if (this.unicode && code >= 0xd800 && code <= 0xdbff && low) {
        this.at += low[0].length;
        return (code - 0xd800) * 0x400 + Number.parseInt(low[1]!, 16) - 0xdc00 + 0x10000;
      }
      return code;
    }
    // Numbers of groups that are not there are codes (ECMAScript §B.1.2, LegacyOctalEscapeSequence).
    const octal = /^(?:[0-3][0-7]{0,2}|[4-7][0-7]?)/.exec(this.source.slice(this.at));
    if (octal) {
      this.at += octal[0].length;
      return Number.parseInt(octal[0], 8);
    }
    const control = /^c([a-z])/i.exec(this.source.slice(this.at));
    if (control) {
      this.at += 2;
      return control[1]!.charCodeAt(0) % 32;
    }
    const char = this.character();
    return controls[String.fromCharCode(char)] ?? char;
  }

  /** A class in brackets, as it is written. */
  private brackets(): string {
    const from = this.at++;
    while (this.at < this.source.length && this.next !== ']') this.at += this.next === '\\' ? 2 : 1;
    this.at++;
    return this.source.slice(from, this.at);
  }
}

/** Instructions at another place of a program. */
function moved(code: readonly Instruction[], by: number): Instruction[] {
  return code.map((each): Instruction => {
    switch (each[0]) {
      case 'split':
        return ['split', each[1] + by, each[2] + by];
      case 'jump':
        return ['jump', each[1] + by];
      case 'ahead':
        return ['ahead', each[1], each[2] + by];
      default:
        return each;
    }
  });
}
