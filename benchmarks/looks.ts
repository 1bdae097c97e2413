/** What looks in layers cost: styles and tokens against the same values said by each control, and a token that changes. */
import { type Control, colourValue, type Project, ScreenView, type Style, type Token } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { compare, type Measured, median, time } from './measure.ts';
import { maker, projectOf } from './trees.ts';

const count = 1000;

const px = (name: string, value: number): Token => ({
  path: `dimension.${name}`,
  type: 'dimension',
  value: { value, unit: 'px' },
});
const colour = (name: string, hex: string): Token => ({
  path: `color.${name}`,
  type: 'color',
  value: colourValue(hex) ?? '#000000',
});

const tokens: readonly Token[] = [
  px('near', 4),
  px('far', 12),
  px('round', 6),
  colour('calm', '#e4ece6'),
  colour('deep', '#2f5d50'),
];
/** Two styles that every control has; five tokens among them. */
const styles: readonly Style[] = [
  { name: 'card', props: { padding: 'near far', background: 'calm', corner: 'round' } },
  { name: 'strong', props: { color: 'deep', weight: '600', margin: 'near' } },
];
const said: Readonly<Record<string, string>> = {
  padding: '4 12',
  background: '#e4ece6',
  corner: '6',
  color: '#2f5d50',
  weight: '600',
  margin: '4',
};

/** A screen of a thousand texts in rows of ten. @param props what each says. */
function screenOf(props: Readonly<Record<string, string>>): Control {
  const make = maker();
  const row = (at: number) =>
    make(
      'row',
      { gap: '4' },
      Array.from({ length: 10 }, (_, cell) => make('text', { text: `Bunk ${at * 10 + cell}`, ...props })),
    );
  return make(
    'screen',
    { gap: '4' },
    Array.from({ length: count / 10 }, (_, at) => row(at)),
  );
}

const view = { width: 1280, height: 800 };

/** Laying out from nothing, both ways. */
function layered(shaper: Shaper): Measured {
  const plain = projectOf(screenOf(said));
  const styled: Project = { ...projectOf(screenOf({ style: 'card strong' })), tokens, styles };
  const from = (project: Project) => () =>
    new ScreenView(shaper).layOut(project, project.screens[0] as Control, view);
  return {
    name: `${count} controls, each with two styles and five tokens, laid out`,
    against: 'the same with values of their own',
    ratio: compare(from(styled), from(plain)),
    // At most 1.3 times as slow.
    aim: 0.77,
  };
}

/** Three bays, of which each leaves colours to the browser, after a token has changed: a colour, or a length. */
function changed(shaper: Shaper, what: 'colour' | 'length'): Measured {
  const project: Project = { ...projectOf(screenOf({ style: 'card strong' })), tokens, styles };
  const screen = project.screens[0] as Control;
  const bays = [390, 820, 1280].map((width) => ({ width, view: new ScreenView(shaper) }));
  let turn = 0;
  const change = () => {
    const odd = ++turn % 2 === 0;
    const next =
      what === 'colour'
        ? [...tokens.slice(0, 4), colour('deep', odd ? '#2f5d50' : '#30507a')]
        : [px('near', odd ? 4 : 5), ...tokens.slice(1)];
    for (const { width, view } of bays)
      view.layOut({ ...project, tokens: next }, screen, { width, height: 800, hues: true });
  };
  for (let round = 0; round < 10; round++) change();
  const times = Array.from({ length: 21 }, () => time(change));
  return {
    name: `three bays of ${count} styled controls after the token of a ${what} changed`,
    against: '16 ms',
    ratio: Number((16 / median(times)).toFixed(2)),
    aim: what === 'colour' ? 1 : null,
  };
}

export const looks = (shaper: Shaper): Measured[] => [
  layered(shaper),
  changed(shaper, 'colour'),
  changed(shaper, 'length'),
];
