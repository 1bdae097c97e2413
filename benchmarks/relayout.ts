/** Laying a screen out again after one text changed, against laying it out from nothing. */
import { type Control, ScreenView } from '@hovrin/core';
import type { Shaper } from '@hovrin/core/text/shaper';
import { compare, type Measured } from './measure.ts';
import { maker, projectOf } from './trees.ts';

/** A screen of cards: 4 controls a card, 4 cards a row. */
export function cards(rows: number): Control {
  const make = maker();
  const card = (number: number) =>
    make('column', { width: 'share', padding: '12', gap: '4' }, [
      make('text', { text: `Bunk ${number}`, weight: '600' }),
      make('text', { text: 'taken for two nights, with supper' }),
      make('button', { text: 'Open' }),
    ]);
  return make(
    'screen',
    { padding: '16', gap: '12' },
    Array.from({ length: rows }, (_, row) =>
      make(
        'row',
        { gap: '12' },
        [0, 1, 2, 3].map((cell) => card(row * 4 + cell)),
      ),
    ),
  );
}

export function relayout(shaper: Shaper): Measured[] {
  return [15, 60].map((rows) => {
    const view = { width: 1280, height: 800 };
    const plain = cards(rows);
    const changed = (text: string): Control => {
      const row = plain.children[0]!;
      const card = row.children[0]!;
      const title = { ...card.children[0]!, props: { text } };
      return {
        ...plain,
        children: plain.children.with(0, {
          ...row,
          children: row.children.with(0, { ...card, children: card.children.with(0, title) }),
        }),
      };
    };
    const kept = new ScreenView(shaper);
    kept.layOut(projectOf(plain), plain, view);
    const base = projectOf(plain);
    let turn = 0;
    const again = () => {
      const screen = changed(`Bunk ${turn++ % 7}`);
      kept.layOut({ ...base, screens: [screen] }, screen, view);
    };
    const anew = () => {
      const screen = changed(`Bunk ${turn++ % 7}`);
      new ScreenView(shaper).layOut(projectOf(screen), screen, view);
    };
    const controls = 1 + rows * (1 + 4 * 4);
    return {
      name: `layout after one text changed, ${controls} controls`,
      against: 'layout from nothing',
      ratio: compare(again, anew),
      aim: null,
    };
  });
}
