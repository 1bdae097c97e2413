/** Documents of random texts: words, numbers, signs, soft hyphens and other scripts, in all styles and at odd widths. */
import { Chance } from './documents.ts';

const pieces = [
  ...[
    'hut',
    'Velmora',
    'arrival',
    'AVAT',
    'To',
    'ffi',
    'fl',
    'office',
    'superextraordinarilylong',
    'iiiiii',
    'WWWW',
  ],
  ...[
    '12:30',
    '3/4',
    '1,200.50',
    '€12',
    '12 %',
    '12:30',
    '-5',
    '5-6',
    '1/2/3',
    '0',
    '9',
    '½',
    '×',
    '№',
    '§',
    '#1',
  ],
  ...[
    '(half',
    'board)',
    '“quoted”',
    '‘single’',
    '“',
    '”',
    "'",
    '"',
    '<b>',
    '&',
    '{[]}',
    '*',
    '+',
    '=',
    '~',
    '^',
    '_',
    '\\',
  ],
  ...[
    '—',
    '–',
    '-',
    '--',
    '…',
    '...',
    '., ',
    '!',
    '?',
    ';',
    '//',
    'e.g.',
    'well-known',
    'co-op',
    'A/B',
    'and/or',
  ],
  ...['snake_case_name', 'CamelCaseName', 'https://velmora.example/a/b?x=1&y=2', 'desk@velmora.example'],
  ...['no\u00a0break', 'soft\u00adhyphen\u00adated', 'pre\u00ad', 'zero\u200bwidth', 'word\u2060joined'],
  ...['שלום', 'עולם!', 'مرحبا', 'بكم', 'Прибытие', 'Αφίξεις', 'naïve', 'Ångström'],
  ...[
    '今夜は29人のお客様です。',
    '「静かに」',
    'ちょっと、',
    'とべテープ',
    '（二回）',
    '山小屋',
    'カード・キー',
    '￥1,200',
    'Ａ棟！？',
  ],
  ...['ยินดีต้อนรับสู่', 'กระท่อม', 'น้ำร้อนกำลังมา', 'ที่นี่', 'อื่นๆ', '๒๙ คน'],
  ...['→', '←', 'north→south', '✓', '✗', '★', '⚠', '≥', '≠', '⌘K', '▸', '●', '∞', '☎'],
  ...['  ', '   ', '\n', '\n\n', ' \n ', '\t'],
];

/** How often each attribute is said, and its values. */
const styles: readonly (readonly [often: number, name: string, values: readonly string[]])[] = [
  [0.3, 'size', ['9.7', '11', '13', '14', '15.5', '16.3', '18', '21.8', '30', '40.25']],
  [0.2, 'font', ['Source Serif 4', 'Zilla Slab', 'JetBrains Mono']],
  [0.2, 'weight', ['500', '600', '700']],
  [0.15, 'italic', ['true']],
  [0.15, 'letter-spacing', ['1', '-0.5', '0.3', '2.25', '-1']],
  [0.12, 'lines', ['1', '2', '3']],
  [0.1, 'nowrap', ['true']],
  [0.12, 'line-height', ['1', '1.25', '1.37', '1.6', '2']],
  [0.12, 'text-align', ['center', 'end']],
  [0.12, 'padding', ['3', '2.5 7', '0 11']],
];

/** How many texts a document has. */
const textsEach = 80;

const escaped = (text: string): string =>
  text.replace(/[{}]/g, '$&$&').replace(/[&<"\n\t]/g, (character) => `&#${character.charCodeAt(0)};`);

/** A document of random texts, most of them in a column, some beside another one in a row. */
export function texts(seed: number): string {
  const chance = new Chance(seed);
  const some = () =>
    Array.from({ length: chance.whole(1, 14) }, () => chance.one(pieces) + (chance.of(0.75) ? ' ' : '')).join(
      '',
    );
  const inside = Array.from({ length: textsEach }, () => {
    const width = chance.of(0.6) ? ` width="${(chance.next() * chance.one([100, 400])).toFixed(2)}"` : '';
    const said = styles
      .filter(([often]) => chance.of(often))
      .map(([, name, values]) => ` ${name}="${chance.one(values)}"`);
    const text = `<text${width}${said.join('')} text="${escaped(some())}" />`;
    return chance.of(0.25)
      ? `<row width="300">${text}<text text="${escaped(chance.one(pieces))}" /></row>`
      : text;
  });
  return `<screen name="trial"><column align="start">${inside.join('')}</column></screen>`;
}
