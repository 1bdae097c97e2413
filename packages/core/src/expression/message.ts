/**
 * Braces in a text: an expression, or a message as ICU MessageFormat writes it, whose arguments are expressions:
 * `{guests, plural, =0 {Nobody} one {# guest} other {# guests}}`, `{kind, select, dorm {Dormitory} other {Room}}`,
 * `{price, number, ::currency/EUR}`, `{until, date, long}`. In a message's forms a brace or `#` of the text itself stands between
 * apostrophes, `'{'`; two apostrophes are one.
 */
import { isOneOf } from '../sure.ts';
import { ExpressionError } from './problem.ts';

const formats = ['plural', 'selectordinal', 'select', 'number', 'date', 'time'] as const;
export type MessageFormat = (typeof formats)[number];

/** A stretch of a text: UTF-16 indexes, the second behind its end. */
interface Stretch {
  readonly from: number;
  readonly to: number;
}
/** Words, with their braces single. */
export interface Words extends Stretch {
  readonly is: 'words';
  readonly text: string;
}
/** An expression with the braces around it; `text` is what is between them. */
export interface Braced extends Stretch {
  readonly is: 'expression';
  readonly text: string;
}
/** The number of the plural around it. */
interface Count extends Stretch {
  readonly is: 'count';
}
/** A message with the braces around it. */
export interface Message extends Stretch {
  readonly is: 'message';
  readonly argument: Stretch & { readonly text: string };
  readonly format: MessageFormat;
  /** Of a number, date or time; empty: as is usual. */
  readonly style: string;
  /** Of a plural: what is taken off its number first. */
  readonly offset: number;
  /** By selector, in the order in which they are written. */
  readonly forms: readonly MessageForm[];
}
export type Run = Words | Braced | Count | Message;
export interface MessageForm {
  /** `one`, `=0`, `dorm`. */
  readonly selector: string;
  readonly runs: readonly Run[];
}

/** Whether `#` stands for a number: of this message, of one further out, of none. */
type Counting = 'here' | 'outside' | 'nowhere';

const categories = ['zero', 'one', 'two', 'few', 'many', 'other'];

/** Goes past what belongs together in an expression, from behind its brace: calls at each character outside of quotes, with how deep it stands. */
function scan(text: string, open: number, stop: (character: string, depth: number) => boolean): number {
  let depth = 0;
  let quote = '';
  for (let index = open + 1; index < text.length; index++) {
    const character = text.charAt(index);
    if (quote) {
      if (character === '\\') index++;
      else if (character === quote) quote = '';
    } else if (character === '"' || character === "'" || character === '`') quote = character;
    else {
      if (stop(character, depth)) return index;
      if ('([{'.includes(character)) depth++;
      else if (')]}'.includes(character)) depth--;
    }
  }
  return -1;
}

/** The brace that closes an expression: braces alone count, so that a bracket that is not closed is told as such. */
function expressionEnd(text: string, open: number): number {
  let braces = 0;
  const end = scan(text, open, (character) => {
    if (character === '{') braces++;
    return character === '}' && braces-- === 0;
  });
  if (end < 0) throw new ExpressionError('The `}` that closes this is missing.', open);
  return end;
}

const head = /\s*(plural|selectordinal|select|number|date|time)\s*(?=[,}])/y;

/** Where a message's argument ends, and its format; undefined where an expression stands in the braces. */
function headAt(
  text: string,
  open: number,
): { comma: number; format: MessageFormat; behind: number } | undefined {
  const comma = scan(
    text,
    open,
    (character, depth) => depth === 0 && (character === ',' || character === '}'),
  );
  if (text[comma] !== ',') return undefined;
  head.lastIndex = comma + 1;
  const [all = '', format] = head.exec(text) ?? [];
  return isOneOf(formats, format) ? { comma, format, behind: comma + 1 + all.length } : undefined;
}

class MessageReader {
  readonly #text: string;
  readonly #open: number;
  #at: number;

  constructor(text: string, open: number, at: number) {
    this.#text = text;
    this.#open = open;
    this.#at = at;
  }

  read(comma: number, format: MessageFormat, counting: Counting): Message {
    const argument = { from: this.#open + 1, to: comma, text: this.#text.slice(this.#open + 1, comma) };
    const isPlain = format === 'number' || format === 'date' || format === 'time';
    const style = isPlain ? this.#style() : '';
    const offset = isPlain ? 0 : this.#offset(format);
    const forms = isPlain ? [] : this.#forms(format, counting);
    return { is: 'message', from: this.#open, to: this.#at, argument, format, style, offset, forms };
  }

  #fail(message: string, at = this.#at): never {
    throw new ExpressionError(message, at);
  }

  #blanks(): void {
    while (/\s/.test(this.#text.charAt(this.#at))) this.#at++;
  }

  #style(): string {
    const end = this.#text.indexOf('}', this.#at);
    if (end < 0) this.#fail('The `}` that closes this is missing.', this.#open);
    const style = this.#text.slice(this.#at, end).replace(/^,/, '').trim();
    this.#at = end + 1;
    return style;
  }

  #offset(format: MessageFormat): number {
    if (this.#text[this.#at] === ',') this.#at++;
    this.#blanks();
    const [all, number] = /^offset:\s*(\d+)\s*/.exec(this.#text.slice(this.#at, this.#at + 40)) ?? [];
    if (all === undefined || format === 'select') return 0;
    this.#at += all.length;
    return Number(number);
  }

  #forms(format: MessageFormat, counting: Counting): MessageForm[] {
    const forms: MessageForm[] = [];
    const inner = format === 'select' ? (counting === 'nowhere' ? 'nowhere' : 'outside') : 'here';
    for (;;) {
      this.#blanks();
      if (this.#text[this.#at] === '}') break;
      const selector = this.#selector(format, forms);
      this.#at++;
      forms.push({ selector, runs: this.#runs(inner) });
    }
    if (!forms.some(({ selector }) => selector === 'other'))
      this.#fail(`A \`${format}\` says what is read for \`other\`: \`other {…}\`.`);
    this.#at++;
    return forms;
  }

  #selector(format: MessageFormat, forms: readonly MessageForm[]): string {
    const start = this.#at;
    const [selector = ''] = /^[^\s{}]*/.exec(this.#text.slice(start)) ?? [];
    this.#at += selector.length;
    this.#blanks();
    if (this.#at >= this.#text.length) this.#fail('The `}` that closes this is missing.', this.#open);
    if (selector === '' || this.#text[this.#at] !== '{')
      this.#fail(`A form is written as a word with its text behind it: \`other {…}\`.`, start);
    if (format !== 'select' && !categories.includes(selector) && !/^=\d+$/.test(selector))
      this.#fail(
        `\`${selector}\` is no form of a plural: ${categories.map((each) => `\`${each}\``).join(', ')}, or a number, \`=0\`.`,
        start,
      );
    if (forms.some((form) => form.selector === selector)) this.#fail(`\`${selector}\` is said twice.`, start);
    return selector;
  }

  /** What stands in a form, past the brace that closes it. */
  #runs(counting: Counting): Run[] {
    const runs: Run[] = [];
    let begin = this.#at;
    let words = '';
    const flush = () => {
      if (words) runs.push({ is: 'words', from: begin, to: this.#at, text: words });
      words = '';
    };
    for (;;) {
      const character = this.#text.charAt(this.#at);
      if (character === '') this.#fail('The `}` that closes this is missing.', this.#open);
      if (character === "'") words += this.#apostrophe();
      else if (character === '{' || character === '}' || (character === '#' && counting !== 'nowhere')) {
        flush();
        if (character === '}') {
          this.#at++;
          return runs;
        }
        const run = character === '{' ? bracedAt(this.#text, this.#at, counting) : this.#count();
        runs.push(run);
        this.#at = run.to;
        begin = run.to;
      } else {
        words += character;
        this.#at++;
      }
    }
  }

  #count(): Count {
    return { is: 'count', from: this.#at, to: this.#at + 1 };
  }

  /** What an apostrophe stands for, with all that it quotes. */
  #apostrophe(): string {
    const next = this.#text.charAt(this.#at + 1);
    this.#at++;
    if (next === "'") {
      this.#at++;
      return "'";
    }
    if (next === '' || !'{}#'.includes(next)) return "'";
    let quoted = '';
    for (;;) {
      const end = this.#text.indexOf("'", this.#at);
      if (end < 0) this.#fail("The `'` that ends this is missing.");
      quoted += this.#text.slice(this.#at, end);
      this.#at = end + 1;
      if (this.#text[this.#at] !== "'") return quoted;
      quoted += "'";
      this.#at++;
    }
  }
}

/** The expression or message in the braces that open at an index. @throws ExpressionError where they are not closed, or a message is wrong. */
export function bracedAt(text: string, open: number, counting: Counting = 'nowhere'): Braced | Message {
  const found = headAt(text, open);
  if (found) return new MessageReader(text, open, found.behind).read(found.comma, found.format, counting);
  const end = expressionEnd(text, open);
  return { is: 'expression', from: open, to: end + 1, text: text.slice(open + 1, end) };
}

/** Words as a form of a message has them. */
export const quotedWords = (words: string): string =>
  words.replaceAll("'", "''").replaceAll(/[{}#]+/g, (each) => `'${each}'`);

/** A text as its words, expressions and messages. @throws ExpressionError where braces cannot be read. */
export function runsOf(text: string): Run[] {
  const runs: Run[] = [];
  let begin = 0;
  let words = '';
  let index = 0;
  const flush = () => {
    if (words) runs.push({ is: 'words', from: begin, to: index, text: words });
    words = '';
  };
  while (index < text.length) {
    const character = text.charAt(index);
    const isBrace = character === '{' || character === '}';
    if (character === '{' && text[index + 1] !== '{') {
      flush();
      const run = bracedAt(text, index);
      runs.push(run);
      index = run.to;
      begin = index;
    } else {
      words += character;
      index += isBrace && text[index + 1] === character ? 2 : 1;
    }
  }
  flush();
  return runs;
}

/** Words and expressions of a text from the first to the last, those of messages included, each with whether it stands in a form. */
export function leavesOf(runs: readonly Run[], inForm = false): { run: Words | Braced; inForm: boolean }[] {
  return runs.flatMap((run) => {
    if (run.is === 'count') return [];
    if (run.is !== 'message') return [{ run, inForm }];
    const { from, to, text } = run.argument;
    // Where it stands with the brace in front and the comma behind it.
    const argument: Braced = { is: 'expression', from: from - 1, to: to + 1, text };
    return [{ run: argument, inForm }, ...run.forms.flatMap((form) => leavesOf(form.runs, true))];
  });
}
