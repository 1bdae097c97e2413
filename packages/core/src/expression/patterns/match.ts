/**
 * Steps through the program of a regular expression (ECMAScript §22.2.2, Pattern Semantics): it tries, and goes back to where
 * it could have gone on otherwise. Each step is counted by who asks, who may end it.
 */
import type { PatternProgram } from './program.ts';

/** What was found: the places of the whole and of each group, in pairs; -1 where a group took no part. */
export type Found = readonly number[];

const lineEnd = /[\n\r\u2028\u2029]/;
const word = /\w/;

/** Classes, each asked of one character: that takes no longer for one text than for another. */
const classes = new Map<string, RegExp>();
const mostClasses = 2000;

/** Whether a character is one of a class. @param flags `i` and `u`, as far as they are given. */
function isOf(text: string, char: string, flags: string): boolean {
  const key = `${flags}/${text}`;
  let known = classes.get(key);
  if (!known) {
    if (classes.size >= mostClasses) classes.clear();
    known = new RegExp(`^${text}$`, flags);
    classes.set(key, known);
  }
  return known.test(char);
}

interface State {
  pc: number;
  at: number;
  saved: readonly number[];
}

export class Matcher {
  private readonly unicode: boolean;
  private readonly ignoresCase: boolean;
  /** Flags that say something of one character. */
  private readonly classFlags: string;

  /** @param step is called with each step, and throws where there are no more. */
  constructor(
    private readonly program: PatternProgram,
    private readonly text: string,
    private readonly step: () => void,
  ) {
    this.unicode = program.flags.includes('u');
    this.ignoresCase = program.flags.includes('i');
    this.classFlags = program.flags.replaceAll(/[^iu]/g, '');
  }

  /** The first match at a place or behind it; with the flag `y` only there. */
  from(at: number): Found | undefined {
    for (let start = at; start <= this.text.length; start++) {
      const found = this.run(0, start, new Array(this.program.slots).fill(-1));
      if (found) return found.slice(0, this.program.groups * 2);
      if (this.program.flags.includes('y')) return undefined;
      if (this.unicode && this.charAt(start).length === 2) start++;
    }
    return undefined;
  }

  /** The character at a place: a whole one with the flag `u`. */
  private charAt(at: number): string {
    if (!this.unicode) return this.text.charAt(at);
    const code = this.text.codePointAt(at);
    return code === undefined ? '' : String.fromCodePoint(code);
  }

  /** Whether two characters are the same, where case does not count also as others write them (ECMAScript, Canonicalize). */
  private same(one: string, other: string): boolean {
    if (one === other) return true;
    if (!this.ignoresCase || other === '') return false;
    const code = one.codePointAt(0)!.toString(16);
    const written = this.unicode ? `\\u{${code}}` : `\\u${code.padStart(4, '0')}`;
    return isOf(written, other, this.classFlags);
  }

  private isWordAt(at: number): boolean {
    return at >= 0 && at < this.text.length && word.test(this.text.charAt(at));
  }

  private isLineEdge(at: number): boolean {
    return this.program.flags.includes('m') && lineEnd.test(this.text.charAt(at));
  }

  /** @returns the slots as they are at a `match`; undefined where none is come to. */
  private run(from: number, start: number, slots: readonly number[]): readonly number[] | undefined {
    const { code } = this.program;
    const waiting: State[] = [{ pc: from, at: start, saved: slots }];
    for (let state = waiting.pop(); state; state = waiting.pop()) {
      let { pc, at, saved } = state;
      /** Whether this way has come to its end. */
      let failed = false;
      while (!failed) {
        this.step();
        const instruction = code[pc]!;
        pc++;
        switch (instruction[0]) {
          case 'match':
            return saved;
          case 'char':
          case 'any':
          case 'set': {
            const char = this.charAt(at);
            failed = char === '' || !this.takes(instruction, char);
            at += char.length;
            break;
          }
          case 'split':
            waiting.push({ pc: instruction[2], at, saved });
            pc = instruction[1];
            break;
          case 'jump':
            pc = instruction[1];
            break;
          case 'save':
          case 'round':
            saved = saved.with(instruction[1], at);
            break;
          case 'progress':
            failed = saved[instruction[1]] === at;
            break;
          case 'clear': {
            const [, first, end] = instruction;
            saved = saved.map((place, slot) => (slot >= first && slot < end ? -1 : place));
            break;
          }
          case 'start':
            failed = at !== 0 && !this.isLineEdge(at - 1);
            break;
          case 'end':
            failed = at !== this.text.length && !this.isLineEdge(at);
            break;
          case 'word':
            failed = (this.isWordAt(at - 1) !== this.isWordAt(at)) === instruction[1];
            break;
          case 'back': {
            const end = this.behind(saved, instruction[1], at);
            failed = end === undefined;
            at = end ?? at;
            break;
          }
          case 'ahead': {
            const seen = this.run(pc, at, saved);
            failed = (seen === undefined) !== instruction[1];
            if (seen && !instruction[1]) saved = seen;
            pc = instruction[2];
            break;
          }
        }
      }
    }
    return undefined;
  }

  private takes(
    instruction: readonly ['char', number] | readonly ['any'] | readonly ['set', string],
    char: string,
  ): boolean {
    if (instruction[0] === 'set') return isOf(instruction[1], char, this.classFlags);
    if (instruction[0] === 'any') return this.program.flags.includes('s') || !lineEnd.test(char);
    return this.same(String.fromCodePoint(instruction[1]), char);
  }

  /** The end of what a group holds, where that stands at a place once more; a group without a match holds nothing. */
  private behind(saved: readonly number[], group: number, at: number): number | undefined {
    const [from, to] = [saved[group * 2]!, saved[group * 2 + 1]!];
    if (from < 0 || to < 0) return at;
    for (let index = 0; index < to - from; index++)
      if (!this.same(this.text.charAt(from + index), this.text.charAt(at + index))) return undefined;
    return at + to - from;
  }
}
