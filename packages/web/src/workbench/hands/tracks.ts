/** The tracks of a grid by hand: dragged in their unit, added, taken away, moved, made alike. */
import { type Control, inForce, joinedTracks, type Step, trackTexts } from '@hovrin/core';
import { ratioFor } from './keptUnits.ts';

export type TrackAxis = 'columns' | 'rows';

/** A grid's tracks along an axis, as they are said and as they are laid out. */
export interface SaidTracks {
  readonly axis: TrackAxis;
  /** One text each; fewer than the spans where the grid made more as they were needed. */
  readonly texts: readonly string[];
}

/**
 * @param text of `columns` or `rows`; undefined: none is said.
 * @returns undefined where the tracks follow the width (`auto-fill`) or an expression: they are no fixed list.
 */
export function saidTracks(axis: TrackAxis, text: string | undefined): SaidTracks | undefined {
  if (text === undefined || text.trim() === '') return { axis, texts: [] };
  const texts = text.includes('{') ? undefined : trackTexts(text);
  return texts && { axis, texts };
}

const frOf = (text: string): number | undefined => {
  const found = /^([\d.]+)fr$/.exec(text);
  return found ? Number(found[1]) : undefined;
};

const replaced = (texts: readonly string[], changes: ReadonlyMap<number, string>): readonly string[] =>
  texts.map((text, index) => changes.get(index) ?? text);

/** How a track is dragged. */
export interface TrackDrag {
  readonly index: number;
  /** What the tracks are as it is taken hold of, CSS px. */
  readonly sizes: readonly number[];
  /** What it is dragged to, CSS px. */
  readonly size: number;
  /** What percentages refer to, CSS px. */
  readonly room: number;
  /** To whole steps, whole per cent, small ratios. */
  readonly snaps: boolean;
  readonly step: number;
  /** Whether px is made of it, whatever unit it has. */
  readonly toPx: boolean;
}

/**
 * The tracks after one was dragged, in the unit that it has: `fr` against the next that has `fr`; what has no size of its own
 * (`auto`, `minmax`) becomes px.
 */
export function draggedTracks(
  texts: readonly string[],
  { index, sizes, size, room, snaps, step, toPx }: TrackDrag,
): { readonly texts: readonly string[]; readonly words: string } {
  const asked = Math.max(0, size);
  const own = texts[index] ?? '';
  const fr = frOf(own);
  const sharing = texts.flatMap((text, at) => (frOf(text) === undefined || at === index ? [] : at));
  const other = sharing.find((at) => at > index) ?? sharing.at(-1);
  if (fr !== undefined && other !== undefined && !toPx) {
    const together = (sizes[index] ?? 0) + (sizes[other] ?? 0);
    const total = fr + (frOf(texts[other] ?? '') ?? 1);
    const isAlone = sharing.length === 1;
    const { first, second } = ratioFor({ room: together, total, isAlone }, asked, snaps);
    return {
      texts: replaced(
        texts,
        new Map([
          [index, `${first}fr`],
          [other, `${second}fr`],
        ]),
      ),
      words: `${first}fr : ${second}fr`,
    };
  }
  if (own.endsWith('%') && room > 0 && !toPx) {
    const part = (100 * asked) / room;
    const text = `${snaps ? Math.round(part) : Math.round(part * 100) / 100}%`;
    return { texts: replaced(texts, new Map([[index, text]])), words: text };
  }
  const text = String(snaps ? Math.round(asked / step) * step : Math.round(asked));
  return { texts: replaced(texts, new Map([[index, text]])), words: text };
}

export const withTrack = (texts: readonly string[], index: number, text: string): readonly string[] =>
  replaced(texts, new Map([[index, text]]));
export const addedTrack = (texts: readonly string[], index: number, text: string): readonly string[] =>
  texts.toSpliced(index, 0, text);
export const takenTrack = (texts: readonly string[], index: number): readonly string[] =>
  texts.toSpliced(index, 1);
export const movedTrack = (texts: readonly string[], index: number, by: 1 | -1): readonly string[] =>
  takenTrack(texts, index).toSpliced(index + by, 0, texts[index] ?? '');

/** The step that gives a grid other tracks; none of them: nothing is said. */
export const tracksStep = (grid: Control, axis: TrackAxis, texts: readonly string[]): Step => ({
  type: 'set',
  control: grid.id,
  property: axis,
  value: texts.length === 0 ? null : joinedTracks(texts),
});

/**
 * The steps that keep the children at their lines where a track comes or goes: lines behind it move by one, what spans it
 * spans one more or fewer. Lines that are counted from the end stay.
 *
 * @param index of the track, from 0. @param by 1: it comes there; -1: it goes.
 */
export function lineSteps(grid: Control, axis: TrackAxis, index: number, by: 1 | -1): Step[] {
  const [line, span] = axis === 'columns' ? ['col', 'col-span'] : ['row', 'row-span'];
  return grid.children.flatMap((child): Step[] => {
    const at = Number(inForce(child.props[line ?? '']) ?? Number.NaN);
    const over = Number(inForce(child.props[span ?? '']) ?? 1);
    if (!Number.isInteger(at) || at < 1) return [];
    const set = (property: string, value: string | null): Step => ({
      type: 'set',
      control: child.id,
      property,
      value,
    });
    const first = at - 1;
    if (by === 1 ? first >= index : first > index) return [set(line ?? '', String(at + by))];
    const isOver = Number.isInteger(over) && over > 1 && first <= index && index < first + over;
    // A track that comes at its first line stands in front of it.
    if (!isOver) return [];
    return [set(span ?? '', over + by === 1 ? null : String(over + by))];
  });
}
