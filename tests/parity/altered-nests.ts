/** Random nests of what stands in crossings, altered at random: odd numbers, attributes put in and taken out. */
import { documentOf, nest, nestsEach } from './crossings.ts';
import { Chance, readTrial } from './documents.ts';

/** What may be said in addition, wherever it means something. */
const additions = [
  ...[
    'aspect="0.777"',
    'aspect="3/2"',
    'padding="7"',
    'padding="3 11 5.5 2"',
    'margin="2.25 -4 6"',
    'gap="3.3"',
  ],
  ...['width="fit"', 'width="share"', 'width="share 2"', 'width="41%"', 'width="123.4"', 'border-width="1"'],
  ...[
    'height="fit"',
    'height="share"',
    'height="33.3%"',
    'height="77"',
    'wrap="true"',
    'nowrap="true"',
    'lines="1"',
  ],
  ...['min-width="33%"', 'max-width="71.3%"', 'min-height="21.7%"', 'max-height="55.5%"', 'size="11.1"'],
  ...['min-width="61"', 'max-width="95"', 'min-height="47"', 'max-height="88"', 'letter-spacing="1.3"'],
  ...[
    'align-self="stretch"',
    'align-self="start"',
    'align-self="center"',
    'align-self="baseline"',
    'align="end"',
  ],
  ...[
    'justify-self="end"',
    'justify-self="start"',
    'align="baseline"',
    'justify="center"',
    'justify="between"',
  ],
  ...[
    'columns="auto 1fr"',
    'columns="repeat(auto-fit, minmax(20%, 1fr))"',
    'columns="fit-content(60) 0.3fr"',
  ],
  ...[
    'rows="1fr auto"',
    'rows="40 50%"',
    'flow="column"',
    'flow="row dense"',
    'col-span="2"',
    'row-span="2"',
  ],
  ...['left="5"', 'right="7%"', 'bottom="3"', 'center-x="4"', 'axis="both"', 'show="second"'],
];

/** By how much numbers are made more or less. */
const factors = [0.37, 0.5, 0.777, 1.123, 1.5, 2.01];

/** Some of the numbers of a nest made odd, some attributes put in, maybe one taken out; as it was where that cannot be read. */
function altered(chance: Chance, source: string): string {
  let text = source.replace(
    / (?!text|label|icon|caption)([\w-]+)="([^"]*)"/g,
    (_, name: string, value: string) => {
      const odd = value.replace(/(?<![-\w.])\d+(\.\d+)?/g, (number) =>
        chance.of(0.25)
          ? String(Number((Number(number) * chance.one(factors)).toFixed(chance.whole(0, 3))))
          : number,
      );
      return ` ${name}="${odd}"`;
    },
  );
  for (let count = chance.whole(0, 3); count > 0; count--) {
    const tag = chance.one([...text.matchAll(/<[a-zA-Z]+[^>]*>/g)]);
    const added = chance.one(additions);
    const without = tag[0].replace(new RegExp(` ${added.split('=')[0]}="[^"]*"`), '');
    const more = without.replace(/^<[a-zA-Z]+/, (start) => `${start} ${added}`);
    text = text.slice(0, tag.index) + more + text.slice(tag.index + tag[0].length);
  }
  const attributes = [...text.matchAll(/ (?!text|label|icon|caption)[\w-]+="[^"]*"/g)];
  if (chance.of(0.2) && attributes.length > 0) {
    const { index, 0: attribute } = chance.one(attributes);
    text = text.slice(0, index) + text.slice(index + attribute.length);
  }
  try {
    readTrial(documentOf([text]));
    return text;
  } catch {
    return source;
  }
}

/** A document of random nests, up to three deep, that were altered at random. */
export function alteredNests(seed: number): string {
  const chance = new Chance(seed);
  return documentOf(
    Array.from({ length: nestsEach }, () => altered(chance, nest(chance, chance.whole(1, 3)))),
  );
}
