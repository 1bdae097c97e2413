/** Strings as XLIFF 2.1 (OASIS): a unit each, named by its key, with notes, source and target. */
import { SaxesParser } from 'saxes';
import { messageOf } from '../../document/error-message.ts';
import { longestTranslation } from '../../document/locale.ts';
import type { SourceProblem } from '../../source/problem.ts';
import type { StringFormat, TableReading, TravellingString } from './string-format.ts';

const namespace = 'urn:oasis:names:tc:xliff:document:2.0';

/** A text as XML has it; what XML 1.0 cannot hold is left out (§2.2). */
const escaped = (text: string): string =>
  text
    // biome-ignore lint/suspicious/noControlCharactersInRegex: these are the ones that XML has no place for.
    .replaceAll(/[\u0000-\u0008\u000B\u000C\u000E-\u001F\uFFFE\uFFFF]/g, '')
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replaceAll('>', '&gt;')
    .replaceAll('"', '&quot;')
    .replaceAll('\r', '&#13;');

/** Ids are names of XML (NMTOKEN, XML 1.0 §2.3) and differ; the key itself is the unit's name. */
const idOf = (key: string, index: number): string => {
  const plain = key.replaceAll(/[^\w.-]/g, '_');
  return plain === key ? key : `${plain}_${index}`;
};

function unit({ key, source, text, note }: TravellingString, index: number): string {
  const notes = note === undefined ? '' : `\n      <notes><note>${escaped(note)}</note></notes>`;
  const state = text === '' ? 'initial' : 'translated';
  const target = text === '' ? '' : `\n        <target>${escaped(text)}</target>`;
  return `    <unit id="${escaped(idOf(key, index))}" name="${escaped(key)}">${notes}
      <segment state="${state}">
        <source>${escaped(source)}</source>${target}
      </segment>
    </unit>`;
}

/** Elements that hold words; all others inside of them are marks, whose words count. */
const holders = new Set(['source', 'target', 'note']);

/** Reads units one after another. */
class Reader {
  readonly strings: TravellingString[] = [];
  readonly problems: SourceProblem[] = [];
  from: string | undefined;
  to: string | undefined;
  #unit: { key: string; source: string; text: string; note: string; line: number } | undefined;
  #holder: 'source' | 'target' | 'note' | undefined;
  #isOther = false;
  readonly #seen = new Set<string>();

  constructor(
    private readonly file: string,
    private readonly parser: SaxesParser,
  ) {}

  fail(message: string, line = this.parser.line): void {
    this.problems.push({ file: this.file, line, column: 1, message });
  }

  open(name: string, attributes: Readonly<Record<string, string>>): void {
    if (name === 'xliff') {
      this.from = attributes.srcLang;
      this.to = attributes.trgLang;
      if (!/^2\./.test(attributes.version ?? ''))
        this.fail(`This is XLIFF ${attributes.version ?? 'of no version'}; version 2 is read.`);
    }
    if (name === 'unit') {
      const key = attributes.name ?? attributes.id ?? '';
      this.#unit = { key, source: '', text: '', note: '', line: this.parser.line };
    }
    if (holders.has(name)) this.#holder = name as 'source';
    // Alternatives of a translation memory are no translation.
    if (name === 'mtc:matches' || name === 'matches') this.#isOther = true;
  }

  words(text: string): void {
    if (!this.#unit || !this.#holder || this.#isOther) return;
    const field = this.#holder === 'target' ? 'text' : this.#holder;
    this.#unit[field] += text;
  }

  close(name: string): void {
    if (holders.has(name)) this.#holder = undefined;
    if (name === 'mtc:matches' || name === 'matches') this.#isOther = false;
    if (name !== 'unit' || !this.#unit) return;
    const { key, source, text, note, line } = this.#unit;
    this.#unit = undefined;
    if (key === '') this.fail('A unit has neither a name nor an id.', line);
    else if (this.#seen.has(key)) this.fail(`\`${key}\` stands there twice.`, line);
    else if ([source, text, note].some((each) => each.length > longestTranslation))
      this.fail(`\`${key}\` is longer than ${longestTranslation} characters.`, line);
    else this.strings.push({ key, source, text, ...(note === '' ? {} : { note }) });
    this.#seen.add(key);
  }
}

function read(text: string, file: string): TableReading {
  const parser = new SaxesParser();
  const reader = new Reader(file, parser);
  let hasRoot = false;
  parser.on('opentag', ({ name, attributes }) => {
    if (!hasRoot && name !== 'xliff') reader.fail(`The file begins with \`${name}\`; \`xliff\` is expected.`);
    hasRoot = true;
    reader.open(name, attributes as Record<string, string>);
  });
  parser.on('text', (words) => reader.words(words));
  parser.on('cdata', (words) => reader.words(words));
  parser.on('closetag', ({ name }) => reader.close(name));
  // Entities of one's own can grow without an end.
  parser.on('doctype', () => reader.fail('A document type is not read.'));
  parser.on('error', (error) => {
    throw error;
  });
  try {
    parser.write(text.replace(/^\uFEFF/, '')).close();
  } catch (error) {
    reader.fail(messageOf(error).replace(/^\d+:\d+: /, ''));
  }
  const { strings, problems, from, to } = reader;
  return { strings, problems, from, to };
}

export const xliff: StringFormat = {
  id: 'xliff',
  label: 'XLIFF 2.1',
  endings: ['.xlf', '.xliff'],
  print: ({ from, to, strings }) => `<?xml version="1.0" encoding="UTF-8"?>
<xliff xmlns="${namespace}" version="2.1" srcLang="${escaped(from)}" trgLang="${escaped(to)}" xml:space="preserve">
  <file id="strings">
${strings.map(unit).join('\n')}
  </file>
</xliff>
`,
  read,
};
