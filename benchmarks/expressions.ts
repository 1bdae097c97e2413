/** Expressions over two thousand rows, against the same written in ECMAScript. */
import { initialScope, parseTemplate } from '@hovrin/core';
import { evaluateTemplate } from '../packages/core/src/expression/evaluate.ts';
import { compare, type Measured } from './measure.ts';

interface Stay {
  readonly guest: string;
  readonly nights: number;
  readonly price: number;
}

const stays: readonly Stay[] = Array.from({ length: 2000 }, (_, index) => ({
  guest: `Guest ${index}`,
  nights: index % 9,
  price: 40 + (index % 7),
}));

/** Each as it is written in a property, and what it comes to. */
const asked: readonly (readonly [name: string, text: string, plain: () => unknown])[] = [
  [
    'adding up what 2,000 rows cost',
    '{stays.reduce((sum, stay) => sum + stay.nights * stay.price, 0)}',
    () => stays.reduce((sum, stay) => sum + stay.nights * stay.price, 0),
  ],
  [
    'choosing among 2,000 rows',
    '{stays.filter(stay => stay.nights > 3 && stay.price < 45).length}',
    () => stays.filter((stay) => stay.nights > 3 && stay.price < 45).length,
  ],
  [
    'looking for a word in 2,000 rows',
    "{stays.filter(stay => stay.guest.toLowerCase().includes('guest 19')).length}",
    () => stays.filter((stay) => stay.guest.toLowerCase().includes('guest 19')).length,
  ],
];

export function expressions(): Measured[] {
  const scope = initialScope({ state: [{ name: 'stays', type: 'list', initial: stays }], bands: [] });
  return asked.map(([name, text, plain]) => {
    const read = parseTemplate(text);
    if (!read.ok) throw new Error(read.problem.message);
    const { value } = read;
    if (evaluateTemplate(value, scope) !== plain()) throw new Error(`${text} comes to something else.`);
    return {
      name,
      against: 'the same in ECMAScript',
      ratio: compare(() => evaluateTemplate(value, scope), plain),
      aim: null,
    };
  });
}
