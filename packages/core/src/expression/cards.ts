/**
 * An event as cards: one for each action, with its editable arguments. Cards are no form of their own;
 * they are places in the event's text, and whatever is done with them gives a new text.
 */
import { type AnyNode, type Comment, Parser } from 'acorn';
import type { CardFieldKind } from './actions/action.ts';
import { actionNamed, alteringNamed, askingNamed } from './actions/catalogue.ts';
import type { Span } from './ast.ts';
import { parseOptions } from './parse.ts';

/** Something that can be edited in a card: a piece of the event's text. */
export interface CardField {
  /** What stands in front of it. */
  readonly label: string;
  readonly kind: CardFieldKind;
  readonly span: Span;
}

/** Cards that stand in another one. */
export interface CardList {
  readonly label: string;
  /** What is replaced when they change: what is in the braces, or the one statement that has none. */
  readonly span: Span;
  readonly braces: boolean;
  readonly cards: readonly ActionCard[];
}

export interface ActionCard {
  /** In the event's text, without what parts it from the next. */
  readonly span: Span;
  /** Turned off: it stands in a comment, and nothing happens. A note is a comment of somebody's. */
  readonly off: boolean;
  readonly note?: boolean;
  /** What it does, in words. */
  readonly words: string;
  readonly fields: readonly CardField[];
  /** An optional argument: its name, and the place where it is written. */
  readonly more?: { readonly label: string; readonly at: number; readonly text: string };
  readonly lists: readonly CardList[];
}

const offMark = ' off: ';

/** @returns the cards of an event; undefined where its text cannot be read, or has notes up to the end of a line. */
export function readCards(text: string): CardList | undefined {
  const comments: Comment[] = [];
  try {
    const program = Parser.parse(text, { ...parseOptions, onComment: comments }) as AnyNode & {
      body: AnyNode[];
    };
    if (comments.some(({ type }) => type === 'Line')) return undefined;
    const reader = new CardReader(text, comments);
    return {
      label: '',
      span: [0, text.length],
      braces: true,
      cards: reader.cards(program.body, [0, text.length]),
    };
  } catch {
    return undefined;
  }
}

class CardReader {
  constructor(
    private readonly text: string,
    private readonly comments: readonly Comment[],
  ) {}

  private slice({ start, end }: { start: number; end: number }): string {
    return this.text.slice(start, end);
  }

  cards(nodes: readonly AnyNode[], [from, to]: Span): ActionCard[] {
    const shown = nodes.filter(({ type }) => type !== 'EmptyStatement');
    const between = this.comments.filter(
      ({ start, end }) =>
        start >= from && end <= to && !shown.some((node) => node.start < start && node.end > end),
    );
    return [
      ...shown.map((node) => this.card(node)),
      ...between.map((comment) => this.commented(comment)),
    ].toSorted((a, b) => a.span[0] - b.span[0]);
  }

  private commented({ start, end, value }: Comment): ActionCard {
    const span: Span = [start, end];
    const plain = { span, fields: [], lists: [] };
    if (!value.startsWith(offMark)) return { ...plain, off: false, note: true, words: value.trim() };
    const own = value.slice(offMark.length).trim();
    const inner = readCards(own)?.cards[0];
    return { ...plain, off: true, words: inner ? sentenceOf(own, inner) : own };
  }

  private list(label: string, node: AnyNode): CardList {
    if (node.type !== 'BlockStatement')
      return {
        label,
        span: [node.start, node.end],
        braces: false,
        cards: this.cards([node], [node.start, node.end]),
      };
    const span: Span = [node.start + 1, node.end - 1];
    return { label, span, braces: true, cards: this.cards(node.body, span) };
  }

  private field(
    label: string,
    node: { start: number; end: number },
    kind: CardFieldKind = 'expression',
  ): CardField {
    return { label, kind, span: [node.start, node.end] };
  }

  private card(node: AnyNode): ActionCard {
    const end = node.start + this.slice(node).replace(/[\s;]+$/, '').length;
    const span: Span = [node.start, end];
    const plain = { span, off: false, fields: [], lists: [] };
    switch (node.type) {
      case 'IfStatement':
        return {
          ...plain,
          words: 'If',
          fields: [this.field('', node.test)],
          lists: [
            this.list('then', node.consequent),
            ...(node.alternate ? [this.list('otherwise', node.alternate)] : []),
          ],
        };
      case 'ForOfStatement':
        return {
          ...plain,
          words: `For each ${this.slice(node.left).replace(/^const\s+/, '')}`,
          fields: [this.field('of', node.right)],
          lists: [this.list('do', node.body)],
        };
      case 'ForStatement':
        return {
          ...plain,
          words: 'Count',
          fields: [
            ...(node.init ? [this.field('from', node.init)] : []),
            ...(node.test ? [this.field('as long as', node.test)] : []),
            ...(node.update ? [this.field('with each round', node.update)] : []),
          ],
          lists: [this.list('do', node.body)],
        };
      case 'WhileStatement':
        return {
          ...plain,
          words: 'As long as',
          fields: [this.field('', node.test)],
          lists: [this.list('do', node.body)],
        };
      case 'TryStatement':
        return {
          ...plain,
          words: 'Try',
          lists: [
            this.list('do', node.block),
            ...(node.handler ? [this.list('where it fails', node.handler.body)] : []),
            ...(node.finalizer ? [this.list('in any case', node.finalizer)] : []),
          ],
        };
      case 'BreakStatement':
        return { ...plain, words: 'End the loop' };
      case 'ContinueStatement':
        return { ...plain, words: 'Go on with the next round' };
      case 'ReturnStatement':
        return { ...plain, words: 'Stop here' };
      case 'ExpressionStatement':
        return { ...plain, ...this.does(node.expression) };
      default:
        return { ...plain, words: this.slice(node) };
    }
  }

  private does(node: AnyNode): Pick<ActionCard, 'words' | 'fields' | 'more'> {
    if (node.type === 'AssignmentExpression')
      return {
        words: `Set ${this.slice(node.left)}`,
        fields: [this.field(node.operator === '=' ? 'to' : node.operator, node.right)],
      };
    if (node.type === 'UpdateExpression')
      return {
        words: `${node.operator === '++' ? 'Count up' : 'Count down'} ${this.slice(node.argument)}`,
        fields: [],
      };
    if (node.type !== 'CallExpression') return { words: this.slice(node), fields: [] };
    const name = this.slice(node.callee);
    const given = node.arguments;
    const altering = alteringNamed(name);
    if (altering) {
      const [words, ...labels] = altering.card;
      const on = altering.several
        ? given.map((each) => this.slice(each)).join(', ')
        : given
            .slice(0, 1)
            .map((each) => this.slice(each))
            .join();
      return {
        words: `${words} ${on}`.trim(),
        fields: altering.several
          ? []
          : given.slice(1).map((each, index) => this.field(labels[index] ?? '', each)),
      };
    }
    const asking = askingNamed(name);
    const [request, ...withThese] = given;
    if (asking && request) {
      const [words, label = ''] = asking.card;
      const isFew = withThese.length === 0 && label !== '';
      return {
        words: `${words} ${this.slice(request)}`,
        fields: withThese.map((each) => this.field(label, each)),
        ...(isFew ? { more: { label: 'Give values', at: request.end, text: ', {}' } } : {}),
      };
    }
    const action = actionNamed(name);
    if (action) {
      const { words, fields } = action.card;
      const [first, ...others] = given;
      return {
        words,
        fields: given.map((each, index) => this.field(fields[index]?.[0] ?? '', each, fields[index]?.[1])),
        ...(action.brings && first && others.length === 0
          ? { more: { label: 'Bring values', at: first.end, text: ', {}' } }
          : {}),
      };
    }
    return {
      words: `Call ${name.replace(/^handlers\./, '')}`,
      fields: given.map((each, index) => this.field(index === 0 ? 'with' : 'and', each)),
    };
  }
}

/** A card as a sentence. */
export function sentenceOf(text: string, { words, fields }: ActionCard): string {
  return [words, ...fields.map(({ label, span }) => `${label} ${text.slice(...span)}`.trim())].join(' ');
}

/** The text of a card as it stands. */
export const cardText = (text: string, { span }: ActionCard): string => text.slice(...span);

/** A text with a piece of it replaced. */
export const withPiece = (text: string, [start, end]: Span, piece: string): string =>
  text.slice(0, start) + piece + text.slice(end);

/** The text with other cards in a list, each as its own text. */
export function withCards(text: string, list: CardList, cards: readonly string[]): string {
  const joined = cards.join('; ');
  const [start, end] = list.span;
  if (start === 0 && end === text.length && list.label === '') return joined;
  return withPiece(text, list.span, list.braces ? ` ${joined} ` : `{ ${joined} }`);
}

/** A card's text turned off, or on again; undefined where it holds what ends a comment. */
export function turned(text: string, card: ActionCard): string | undefined {
  const own = cardText(text, card);
  if (card.off) return own.slice(2 + offMark.length, -2).trim();
  return own.includes('*/') ? undefined : `/*${offMark}${own} */`;
}
