/** A screen's XML text as a document (XML 1.0 by `saxes`, without document types and entities of its own). */

import { SaxesParser } from 'saxes';
import { readAttribute } from '../cascade/attributes.ts';
import { collectionOf } from '../collections/catalogue.ts';
import { nameProblem } from '../document/names.ts';
import { didYouMean } from '../document/nearest.ts';
import type { Control, TreeList } from '../document/types.ts';
import { withItems } from '../expression/check.ts';
import { ownStatesIn } from '../expression/own-states.ts';
import { confinesProblem, confiningKind, kindNamed, kinds } from '../kinds/catalogue.ts';
import { hasDeclaredName } from '../kinds/component.ts';
import type { Kind } from '../kinds/kind.ts';
import { slotOf } from '../kinds/properties.ts';
import { type AttributeContext, itemNames, readAttributeText } from '../meaning/property-text.ts';
import { deepestNesting, mostControls } from '../meaning/validate.ts';
import { definitionsOf } from '../reuse/definition.ts';
import { kindIn, slotProblem } from '../reuse/instance-kinds.ts';
import { itemAt } from '../sure.ts';
import { withMarks, withoutMarks } from './part-names.ts';
import { placeAt, type SourceProblem } from './problem.ts';

/** Largest file, in bytes of UTF-8. */
export const largestFile = 5_000_000;

export interface ParseOptions {
  /** For messages. */
  readonly file: string;
  readonly context: AttributeContext;
  /** Makes an id for a control. */
  readonly newId: () => string;
  /** What the file holds; absent: a screen. */
  readonly list?: TreeList;
}

export type Parsed =
  | { readonly ok: true; readonly screen: Control }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] };

/** A control whose end has not been read yet. */
interface Open {
  readonly kind: Kind | undefined;
  readonly id: string;
  name: string | undefined;
  readonly props: Record<string, string>;
  readonly seen: Set<string>;
  readonly children: Control[];
  /** Children begun so far. */
  count: number;
  readonly before: readonly string[];
}

/** Ends the reading when going on would make no sense. */
class Stop extends Error {}

/** Reads a screen or component. All problems that can be told apart are reported, in order. */
export function parseScreen(text: string, options: ParseOptions): Parsed {
  const reader = new ScreenReader(text, options);
  return reader.read();
}

class ScreenReader {
  private readonly problems: SourceProblem[] = [];
  private readonly parser = new SaxesParser({ xmlns: false, position: true });
  private readonly open: Open[] = [];
  private readonly names = new Map<string, number>();
  /** Comments that wait for the control behind them. */
  private comments: string[] = [];
  private root: Control | undefined;
  private count = 0;
  /** Index of the tag being read, and its attributes with their places. */
  private tagStart = 0;
  private tag: { name: string; value: string; at: number; valueStart: number }[] = [];

  private readonly list: TreeList;

  constructor(
    private readonly text: string,
    private readonly options: ParseOptions,
  ) {
    this.list = options.list ?? 'screens';
  }

  private report(index: number, message: string): void {
    if (this.problems.length < 100)
      this.problems.push({ file: this.options.file, ...placeAt(this.text, index), message });
  }

  private stop(index: number, message: string): never {
    this.report(index, message);
    throw new Stop();
  }

  read(): Parsed {
    try {
      if (new TextEncoder().encode(this.text).length > largestFile)
        this.stop(0, `The file is larger than ${largestFile / 1_000_000} MB.`);
      this.listen();
      const plain = withMarks(this.text.replace(/^\uFEFF/, ''));
      this.parser.write(plain).close();
      if (!this.root && this.problems.length === 0)
        this.report(0, `A <${collectionOf(this.list).word}> is missing.`);
    } catch (error) {
      if (!(error instanceof Stop)) throw error;
    }
    if (this.problems.length > 0 || !this.root) return { ok: false, problems: this.problems };
    const after = this.comments.length > 0 ? { after: this.comments } : {};
    return {
      ok: true,
      screen:
        this.comments.length > 0
          ? { ...this.root, comments: { ...this.root.comments, ...after } }
          : this.root,
    };
  }

  private listen(): void {
    const { parser } = this;
    parser.on('error', (error) => {
      const message = error.message.replace(/^(?:.*?:)?\d+:\d+: /, '').replace(/\.?$/, '.');
      this.stop(parser.position, `${message.charAt(0).toUpperCase()}${message.slice(1)}`);
    });
    parser.on('doctype', () => this.stop(parser.position, 'A document type cannot stand here.'));
    parser.on('processinginstruction', () =>
      this.stop(parser.position, 'A processing instruction cannot stand here.'),
    );
    parser.on('xmldecl', (declaration) => {
      if (declaration.encoding && declaration.encoding.toLowerCase() !== 'utf-8')
        this.stop(0, `The encoding must be UTF-8, not ${declaration.encoding}.`);
    });
    const words = (text: string) => {
      if (text.trim() !== '')
        this.report(
          this.text.lastIndexOf(text.trim().slice(0, 20), parser.position),
          'Words stand in an attribute such as `text`, not between tags.',
        );
    };
    parser.on('text', words);
    parser.on('cdata', words);
    parser.on('comment', (comment) => this.comments.push(comment));
    parser.on('opentagstart', (tag) => this.begin(tag.name));
    parser.on('attribute', ({ name, value }) => this.attribute(withoutMarks(name), value));
    parser.on('opentag', () => this.readTag());
    parser.on('closetag', () => this.end());
  }

  private begin(name: string): void {
    this.tagStart = this.text.lastIndexOf('<', this.parser.position - 1);
    if (++this.count > mostControls)
      this.stop(this.tagStart, `A screen has at most ${mostControls} controls.`);
    if (this.open.length >= deepestNesting)
      this.stop(this.tagStart, `Controls are nested at most ${deepestNesting} deep.`);
    const kind = kindNamed(name);
    const parent = this.open.at(-1);
    const { components, namesKnown } = this.options.context;
    const instances = components && definitionsOf({ components });
    if (!kind || (kind.open && namesKnown && !instances?.has(name)))
      this.report(
        this.tagStart,
        `There is no element <${name}>.${didYouMean(name, [
          ...kinds.map((entry) => entry.name),
          ...(instances?.keys() ?? []),
        ])}`,
      );
    else if (!parent && kind.root !== this.list)
      this.report(
        this.tagStart,
        `The outermost element is <${collectionOf(this.list).word}>, not <${name}>.`,
      );
    else if (parent && kind.root)
      this.report(this.tagStart, `A <${name}> cannot stand inside another control.`);
    else if (kind.inComponents && this.list === 'screens')
      this.report(this.tagStart, `A <${name}> stands in a component only.`);
    else if (parent?.kind) {
      const around = this.open.at(-2);
      const confining =
        confiningKind(
          { kind: parent.kind.name },
          around && { kind: around.kind?.name ?? '', props: around.props },
        ) ?? parent.kind;
      const problem = confinesProblem(kind, confining, ++parent.count);
      if (problem) this.report(this.tagStart, problem);
    }
    this.open.push({
      kind,
      id: this.options.newId(),
      name: undefined,
      props: {},
      seen: new Set(),
      children: [],
      count: 0,
      before: this.comments,
    });
    this.comments = [];
  }

  /** Attributes are read when the tag is: what some mean depends on the states that another declares. */
  private attribute(name: string, value: string): void {
    const control = itemAt(this.open, -1);
    const valueEnd = this.parser.position - 1;
    const valueStart = this.text.lastIndexOf(this.text.charAt(valueEnd), valueEnd - 1) + 1;
    const at = this.text.lastIndexOf(name, valueStart);
    // The parser itself reports an attribute that stands twice, but only behind the tag.
    if (control.seen.has(name)) this.stop(at, `\`${name}\` stands twice here.`);
    control.seen.add(name);
    this.tag.push({ name, value, at, valueStart });
  }

  /** The states that are declared by a tag and around it. */
  private statesHere(): ReadonlySet<string> {
    const own = this.tag.find(({ name }) => name === 'states')?.value;
    const around = this.open.flatMap(({ props }) => ownStatesIn(props.states));
    return new Set([...around, ...ownStatesIn(own)].map(({ name }) => name));
  }

  private readTag(): void {
    const control = itemAt(this.open, -1);
    const around = this.open.slice(0, -1).map(({ kind, props }) => ({ kind: kind?.name ?? '', props }));
    const context = {
      ...withItems(this.options.context, itemNames(around)),
      states: this.statesHere(),
    };
    for (const { name, value, at, valueStart } of this.tag) {
      if (!control.kind) break;
      if (name === 'name' && !hasDeclaredName(control.kind)) this.named(control, value, { at, valueStart });
      else {
        const known = context.namesKnown ? context.states : undefined;
        const kind = this.kindOf(control);
        const read = readAttribute(kind, name, context.bands, known);
        if (typeof read === 'string') {
          this.report(at, read);
          continue;
        }
        const reading = readAttributeText(kind, name, value, context);
        if (reading.ok) control.props[name] = reading.text;
        else this.report(valueStart + reading.at, `${name}: ${reading.message}`);
      }
    }
    this.tag = [];
    const parent = this.open.at(-2);
    const problem =
      parent?.kind &&
      this.options.context.namesKnown &&
      slotProblem(this.kindOf(parent), control.props[slotOf.name] ?? '');
    if (problem) this.report(this.tagStart, problem);
  }

  /** A control's kind, with what its component or surround declares. */
  private kindOf({ kind, props }: Open): Kind {
    const { components, namesKnown } = this.options.context;
    if (!namesKnown || !components || !kind) return kind!;
    return kindIn({ components }, { kind: kind.name, props }, this.open[0]?.name);
  }

  private named(control: Open, value: string, { at, valueStart }: { at: number; valueStart: number }): void {
    const problem =
      nameProblem(value) ??
      (this.names.has(value) ? `\`${value}\` is taken by another control on this screen.` : undefined);
    if (problem) this.report(valueStart, problem);
    this.names.set(value, at);
    control.name = value;
  }

  private end(): void {
    const { kind, id, name, props, children, before } = this.open.pop()!;
    const inside = this.comments;
    this.comments = [];
    const comments = { ...(before.length > 0 ? { before } : {}), ...(inside.length > 0 ? { inside } : {}) };
    const control: Control = {
      id,
      kind: kind?.name ?? '',
      ...(name === undefined ? {} : { name }),
      props,
      children,
      ...(Object.keys(comments).length > 0 ? { comments } : {}),
    };
    const parent = this.open.at(-1);
    if (parent) parent.children.push(control);
    else this.root = control;
  }
}
