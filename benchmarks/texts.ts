/** Measuring many short labels, with nothing known and with all of them known. */
import { setText } from '@hovrin/core/text/paragraph';
import type { Shaper } from '@hovrin/core/text/shaper';
import { compare, type Measured } from './measure.ts';

const words = ['Bunk', 'Supper', 'Late', 'guest', 'north', 'ridge', 'soup', 'wardens', 'Arrivals', 'key'];

export function texts(shaper: Shaper): Measured[] {
  const labels = Array.from(
    { length: 10_000 },
    (_, index) => `${words[index % 10]} ${words[(index * 7) % 9]} ${index}`,
  );
  const style = {
    family: 'Hanken Grotesk',
    weight: 400,
    italic: false,
    size: 16,
    lineHeight: 1.4,
    letterSpacing: 0,
    noWrap: false,
    align: 'start' as const,
  };
  const measure = () => {
    for (const label of labels) setText(shaper, label, style).maxContent;
  };
  return [
    {
      name: '10,000 short labels measured from a warm cache',
      against: 'a cold one',
      ratio: compare(
        measure,
        () => {
          shaper.forget();
          measure();
        },
        9,
      ),
      aim: null,
    },
  ];
}
