/** `theme/styles.xml`: the styles of a project, and back. */
import { SaxesParser } from 'saxes';
import { attributeRank } from '../cascade/attributes.ts';
import { type Style, styleKey } from '../document/style-set.ts';
import { type Band, inForce } from '../document/types.ts';
import { type AttributeContext, readAttributeText } from '../meaning/property-text.ts';
import { styleNameProblem, stylesOfKind } from '../meaning/style-values.ts';
import { withMarks, withoutMarks } from './part-names.ts';
import { longestLine, writtenAttribute } from './print.ts';
import { placeAt, type SourceProblem } from './problem.ts';

export const styleFile = 'theme/styles.xml';

export type StyleReading =
  | { readonly ok: true; readonly styles: readonly Style[] }
  | { readonly ok: false; readonly problems: readonly SourceProblem[] };

/** A style as it is being read. */
interface Open {
  name?: string;
  for?: string;
  readonly props: Record<string, string>;
  readonly raw: { name: string; value: string; at: number; valueAt: number }[];
  readonly begin: number;
  readonly comments: readonly string[];
}

class StyleReader {
  readonly problems: SourceProblem[] = [];
  readonly styles: Style[] = [];
  private readonly parser = new SaxesParser({ xmlns: false, position: true });
  private depth = 0;
  private open: Open | undefined;
  private comments: string[] = [];

  constructor(
    private readonly text: string,
    private readonly context: AttributeContext,
  ) {}

  read(): StyleReading {
    const { parser } = this;
    let failed = false;
    parser.on('error', (error) => {
      if (!failed) this.report(parser.position, error.message.replace(/^(?:.*?:)?\d+:\d+: /, ''));
      failed = true;
    });
    parser.on('doctype', () => this.report(parser.position, 'A document type cannot stand here.'));
    parser.on('text', (text) => {
      if (text.trim() !== '') this.report(parser.position, 'There are no words between styles.');
    });
    parser.on('comment', (comment) => this.comments.push(comment));
    parser.on('opentagstart', ({ name }) => this.begin(name));
    parser.on('attribute', ({ name, value }) => this.attribute(withoutMarks(name), value));
    parser.on('opentag', () => this.finish());
    parser.on('closetag', () => {
      this.depth--;
    });
    parser.write(withMarks(this.text.replace(/^\uFEFF/, ''))).close();
    if (this.comments.length > 0)
      this.report(this.text.length, 'A comment stands in front of the style that it is about.');
    return this.problems.length > 0
      ? { ok: false, problems: this.problems }
      : { ok: true, styles: this.styles };
  }

  private report(index: number, message: string): void {
    if (this.problems.length < 100)
      this.problems.push({ file: styleFile, ...placeAt(this.text, index), message });
  }

  private begin(name: string): void {
    const at = this.text.lastIndexOf('<', this.parser.position - 1);
    const expected = this.depth === 0 ? 'styles' : 'style';
    if (name !== expected || this.depth > 1) this.report(at, `<${name}> cannot stand here.`);
    this.depth++;
    this.open = { props: {}, raw: [], begin: at, comments: this.comments };
    if (this.depth > 1) this.comments = [];
  }

  private attribute(name: string, value: string): void {
    const valueEnd = this.parser.position - 1;
    const valueAt = this.text.lastIndexOf(this.text.charAt(valueEnd), valueEnd - 1) + 1;
    const at = this.text.lastIndexOf(name, valueAt);
    if (this.open?.raw.some((each) => each.name === name)) this.report(at, `\`${name}\` stands twice here.`);
    this.open?.raw.push({ name, value, at, valueAt });
  }

  /** The attributes of a tag are read together: what they may be depends on the kind that the style is for. */
  private finish(): void {
    const { open } = this;
    if (!open || this.depth !== 2) {
      for (const { at, name } of open?.raw ?? []) this.report(at, `\`${name}\` cannot stand here.`);
      return;
    }
    const only = open.raw.find(({ name }) => name === 'for')?.value;
    const kind = stylesOfKind(only);
    if (!kind) {
      this.report(open.begin, `There is no kind \`${only}\`.`);
      return;
    }
    for (const { name, value, at, valueAt } of open.raw) {
      if (name === 'for') open.for = value;
      else if (name === 'name') {
        const problem = styleNameProblem(value);
        if (problem) this.report(valueAt, problem);
        open.name = value;
      } else {
        const reading = readAttributeText(kind, name, value, this.context);
        if (reading.ok) open.props[name] = reading.text;
        else this.report(reading.at === 0 ? at : valueAt + reading.at, `${name}: ${reading.message}`);
      }
    }
    this.keep(open);
  }

  private keep({ name, for: only, props, begin, comments }: Open): void {
    if (name === undefined && only === undefined)
      this.report(begin, 'A style has a `name`, or says which kind it is `for`.');
    const style: Style = {
      ...(name === undefined ? {} : { name }),
      ...(only === undefined ? {} : { for: only }),
      props,
      ...(comments.length > 0 ? { comments } : {}),
    };
    if (this.styles.some((other) => styleKey(other) === styleKey(style)))
      this.report(
        begin,
        name === undefined ? `There are two styles for \`${only}\`.` : `There are two styles \`${name}\`.`,
      );
    this.styles.push(style);
  }
}

/** Reads the styles of a project. @param context what their expressions may name is not known yet. */
export const readStyleFile = (text: string, context: AttributeContext): StyleReading =>
  new StyleReader(text, { ...context, namesKnown: false }).read();

/** Prints the styles of a project, in their order. */
export function printStyleFile(styles: readonly Style[], bands: readonly Band[]): string {
  const lines = styles.flatMap(({ name, for: only, props, comments = [] }) => {
    const kind = stylesOfKind(only)!;
    const attributes = [
      ...(name === undefined ? [] : [writtenAttribute('name', name)]),
      ...(only === undefined ? [] : [writtenAttribute('for', only)]),
      ...Object.entries(props)
        .flatMap(([attribute, value]) => {
          const text = inForce(value);
          return text === undefined ? [] : [{ attribute, text }];
        })
        .toSorted((a, b) => attributeRank(kind, a.attribute, bands) - attributeRank(kind, b.attribute, bands))
        .map(({ attribute, text }) => writtenAttribute(attribute, text)),
    ];
    const flat = `  <style ${attributes.join(' ')} />`;
    return [
      ...comments.map((comment) => `  <!--${comment}-->`),
      ...(flat.length <= longestLine
        ? [flat]
        : ['  <style', ...attributes.map((each) => `    ${each}`), '  />']),
    ];
  });
  return `<styles>\n${lines.map((line) => `${line}\n`).join('')}</styles>\n`;
}
