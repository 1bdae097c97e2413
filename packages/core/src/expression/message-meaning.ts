/** A message as a call of a format in the language of the words: as an expression, and as its text. */
import type { Expression, RecordEntry } from './ast.ts';
import { innerCount } from './formats.ts';
import type { Message, MessageForm, Run } from './message.ts';
import { styleOptions } from './message-styles.ts';
import { parseExpression } from './parse.ts';
import { ExpressionError } from './problem.ts';

/** A call as it is written down: its function, and what is given behind the message's argument. */
interface Call {
  readonly name: string;
  /** Texts by selector: each the runs between the places of the number, or all of them. */
  readonly forms?: readonly { readonly selector: string; readonly texts: readonly (readonly Run[])[] }[];
  /** Whether a form is a list of texts, between which the number stands. */
  readonly counts?: boolean;
  readonly options?: Readonly<Record<string, string | number | boolean>>;
}

/** The runs of a form, parted where the number stands. */
function parted({ runs }: MessageForm): Run[][] {
  const texts: Run[][] = [[]];
  for (const run of runs)
    if (run.is === 'count') texts.push([]);
    else texts.at(-1)?.push(run);
  return texts;
}

function callOf({ format, style, forms, offset, from }: Message): Call {
  switch (format) {
    case 'select':
      // The plural around it puts its number in.
      return {
        name: 'Format.choose',
        forms: forms.map(({ selector, runs }) => ({ selector, texts: [runs] })),
      };
    case 'plural':
    case 'selectordinal':
      return {
        name: 'Format.plural',
        forms: forms.map((form) => ({ selector: form.selector, texts: parted(form) })),
        counts: true,
        options: { ...(format === 'plural' ? {} : { type: 'ordinal' }), ...(offset ? { offset } : {}) },
      };
    case 'number':
      return { name: 'Format.number', options: styleOptions(format, style, from) };
    default:
      return { name: 'Format.date', options: styleOptions(format, style, from) };
  }
}

/** Reads an expression between braces. @throws ExpressionError */
export function expressionAt(text: string, at: number): Expression {
  const read = parseExpression(text, at);
  if (read.ok) return read.value;
  throw new ExpressionError(read.problem.message, read.problem.at);
}

const literal = (value: string | number | boolean): Expression => ({ type: 'literal', value });
const entry = (key: string, value: Expression): RecordEntry => ({ type: 'entry', key: literal(key), value });

const partOf = (run: Run): Expression =>
  run.is === 'words'
    ? literal(run.text)
    : run.is === 'message'
      ? messageExpression(run)
      : run.is === 'expression'
        ? expressionAt(run.text, run.from + 1)
        : literal(innerCount);

const textExpression = (runs: readonly Run[]): Expression => ({ type: 'template', parts: runs.map(partOf) });

/** A message as an expression; names in it have their places in the message's text. @throws ExpressionError */
export function messageExpression(message: Message): Expression {
  const { name, forms, counts, options } = callOf(message);
  const language: Expression = { type: 'name', name: 'View.language', span: [message.from, message.from] };
  const given: Expression[] = [expressionAt(message.argument.text, message.argument.from)];
  if (forms)
    given.push({
      type: 'record',
      entries: forms.map(({ selector, texts }) => {
        const all = texts.map(textExpression);
        return entry(selector, counts ? { type: 'list', items: all } : (all[0] ?? literal('')));
      }),
    });
  if (options)
    given.push({
      type: 'record',
      entries: [
        ...Object.entries(options).map(([key, value]) => entry(key, literal(value))),
        entry('locale', language),
      ],
    });
  return { type: 'call', name, arguments: given };
}

const escaped = (words: string): string => words.replaceAll(/[\\`$]/g, (each) => `\\${each}`);

function textLiteral(runs: readonly Run[]): string {
  const parts = runs.map((run) =>
    run.is === 'words'
      ? escaped(run.text)
      : run.is === 'message'
        ? `\${${messageText(run)}}`
        : run.is === 'expression'
          ? `\${${run.text}}`
          : innerCount,
  );
  return `\`${parts.join('')}\``;
}

/** A message as the text of an expression that comes to the same. @throws ExpressionError */
export function messageText(message: Message): string {
  const { name, forms, counts, options } = callOf(message);
  const given = [message.argument.text.trim()];
  if (forms)
    given.push(
      `{ ${forms
        .map(({ selector, texts }) => {
          const all = texts.map(textLiteral);
          return `${JSON.stringify(selector)}: ${counts ? `[${all.join(', ')}]` : all[0]}`;
        })
        .join(', ')} }`,
    );
  if (options)
    given.push(
      `{ ${[...Object.entries(options).map(([key, value]) => `${key}: ${JSON.stringify(value)}`), 'locale: View.language'].join(', ')} }`,
    );
  return `${name}(${given.join(', ')})`;
}
