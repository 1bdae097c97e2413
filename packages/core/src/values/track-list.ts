/** Reading `columns`, `rows`, `auto-rows` and `auto-columns`: CSS grid-template syntax without names (Grid 1 §7.2). */
import { quoted } from '../document/nearest.ts';
import { keptUnit } from '../text/units.ts';
import type { Track, TrackBreadth, TrackList, TrackListPart } from './css.ts';
import { mostTracks } from './css.ts';

/** Says what is wrong with a track list. */
class TrackProblem extends Error {}

const words = ['auto', 'min-content', 'max-content'] as const;
const print = (value: number): string => String(Number(value.toFixed(4)));

/** One piece of the text: a word, a number with its unit, a bracket, a comma. */
const token = /\s*([a-z-]+(?=\()|[a-z-]+|[+-]?(?:\d+\.?\d*|\.\d+)(?:%|[a-z]+)?|[(),]|\S)/giy;

function tokensOf(text: string): string[] {
  const found: string[] = [];
  token.lastIndex = 0;
  for (let match = token.exec(text); match; match = token.exec(text)) found.push(match[1] ?? '');
  return found;
}

/** A number with its unit. */
const amount = /^([+-]?(?:\d+\.?\d*|\.\d+))(px|fr|%)?$/;

class TrackReader {
  private readonly tokens: readonly string[];
  private at = 0;

  constructor(text: string) {
    this.tokens = tokensOf(text);
  }

  private get next(): string | undefined {
    return this.tokens[this.at];
  }
  get done(): boolean {
    return this.at >= this.tokens.length;
  }
  private take(): string {
    const found = this.tokens[this.at++];
    if (found === undefined) throw new TrackProblem('The list of tracks ends too early.');
    return found;
  }
  private expect(sign: string): void {
    const found = this.take();
    if (found !== sign) throw new TrackProblem(`\`${sign}\` is missing before ${quoted(found)}.`);
  }

  /** A px number, a percentage, `fr`, or a word. */
  private breadth(): TrackBreadth {
    const found = this.take();
    const word = words.find((entry) => entry === found);
    if (word) return word;
    const match = amount.exec(found);
    if (!match)
      throw new TrackProblem(
        `${quoted(found)} is not a track: a number, \`%\`, \`fr\`, \`auto\`, \`min-content\`, \`max-content\`, \`minmax(a, b)\`, \`fit-content(n)\` or \`repeat(…)\`.`,
      );
    const value = Number(match[1]);
    if (value < 0) throw new TrackProblem(`A track cannot be negative: ${quoted(found)}.`);
    if (value > 1_000_000) throw new TrackProblem(`${quoted(found)} is larger than any screen.`);
    if (match[2] === 'fr') return { fr: value };
    if (match[2] === '%') return { fraction: value / 100 };
    return value;
  }

  track(): Track {
    if (this.next === 'minmax') {
      this.take();
      this.expect('(');
      const min = this.breadth();
      if (typeof min === 'object' && 'fr' in min)
        throw new TrackProblem('The least size of `minmax` cannot be in `fr`.');
      this.expect(',');
      const max = this.breadth();
      this.expect(')');
      return { min, max };
    }
    if (this.next === 'fit-content') {
      this.take();
      this.expect('(');
      const value = this.breadth();
      if (typeof value !== 'number' && !(typeof value === 'object' && 'fraction' in value))
        throw new TrackProblem('`fit-content` takes a number or a percentage.');
      this.expect(')');
      return { min: 'auto', max: 'max-content', fitContent: value };
    }
    const max = this.breadth();
    return { min: typeof max === 'object' && 'fr' in max ? 'auto' : max, max };
  }

  repeat(): TrackListPart[] {
    this.take();
    this.expect('(');
    const times = this.take();
    this.expect(',');
    const tracks: Track[] = [];
    while (this.next !== ')') {
      if (this.next === 'repeat') throw new TrackProblem('A `repeat` cannot stand in another one.');
      tracks.push(this.track());
    }
    this.expect(')');
    if (tracks.length === 0) throw new TrackProblem('A `repeat` needs a track.');
    if (times === 'auto-fill' || times === 'auto-fit') {
      if (!tracks.every(isCountable))
        throw new TrackProblem(`${quoted(times)} can only count tracks with a number or percentage in them.`);
      return [{ auto: times === 'auto-fill' ? 'fill' : 'fit', tracks }];
    }
    const count = Number(times);
    if (!/^\d+$/.test(times) || count < 1 || count * tracks.length > mostTracks)
      throw new TrackProblem(
        `\`repeat\` counts from 1, to at most ${mostTracks} tracks, or by \`auto-fill\` or \`auto-fit\`; not ${quoted(times)}.`,
      );
    return Array.from({ length: count }, () => tracks).flat();
  }

  isRepeat(): boolean {
    return this.next === 'repeat';
  }
}

const isDefinite = (breadth: TrackBreadth) =>
  typeof breadth === 'number' || (typeof breadth === 'object' && 'fraction' in breadth);
/** `<fixed-size>` of Grid 1 §7.2: something in it is a number or a percentage. */
const isCountable = ({ min, max, fitContent }: Track) =>
  fitContent === undefined && (isDefinite(min) || isDefinite(max));

/** @returns the tracks, or what is wrong with the text. */
export function readTracks(text: string, repeats: false): readonly Track[] | string;
export function readTracks(text: string, repeats: boolean): TrackList | string;
export function readTracks(text: string, repeats: boolean): TrackList | string {
  const reader = new TrackReader(text);
  const list: TrackListPart[] = [];
  try {
    while (!reader.done) {
      if (reader.isRepeat()) {
        if (!repeats) return '`repeat` cannot stand here.';
        list.push(...reader.repeat());
      } else list.push(reader.track());
    }
  } catch (error) {
    if (!(error instanceof TrackProblem)) throw error;
    return error.message;
  }
  if (list.length === 0) return 'A track is missing.';
  if (list.length > mostTracks) return `A grid has at most ${mostTracks} tracks along an axis.`;
  const automatic = list.filter((part) => 'auto' in part);
  if (automatic.length > 1) return '`auto-fill` and `auto-fit` can stand once in a list.';
  if (automatic.length === 1 && !list.every((part) => 'auto' in part || isCountable(part)))
    return 'Beside `auto-fill` or `auto-fit` every track needs a number or a percentage.';
  return list;
}

/** The canonical text of a track list that can be read. */
export const tracksText = (text: string): string =>
  tokensOf(text)
    .map((found) => {
      const [, value, unit = ''] = amount.exec(found) ?? [];
      return value === undefined ? found : `${print(Number(value))}${unit === 'px' ? '' : unit}`;
    })
    .join(' ')
    .replace(/ ?\( /g, '(')
    .replace(/ (?=[),])/g, '');

/** A length such that a reader keeps the same 64th of a px as we do. */
const lengthText = (px: number): string =>
  keptUnit(Number(print(px))) === keptUnit(px) ? print(px) : print(Math.ceil(px * 100) / 100);

const breadthCss = (breadth: TrackBreadth): string => {
  if (typeof breadth === 'number') return `${lengthText(breadth)}px`;
  if (typeof breadth === 'string') return breadth;
  return 'fr' in breadth ? `${print(breadth.fr)}fr` : `${print(breadth.fraction * 100)}%`;
};

function trackCss({ min, max, fitContent }: Track): string {
  if (fitContent !== undefined) return `fit-content(${breadthCss(fitContent)})`;
  if (typeof max === 'object' && 'fr' in max && min === 'auto') return breadthCss(max);
  const [least, most] = [breadthCss(min), breadthCss(max)];
  return least === most ? most : `minmax(${least}, ${most})`;
}

/**
 * The tracks of a list, one text each, as if each had been written out.
 *
 * @returns undefined where it cannot be read, or repeats tracks as often as there is room.
 */
export function trackTexts(text: string): readonly string[] | undefined {
  const list = readTracks(text, true);
  if (typeof list === 'string') return undefined;
  const tracks = list.flatMap((part) => ('auto' in part ? [] : part));
  return tracks.length === list.length ? tracks.map((track) => tracksText(trackCss(track))) : undefined;
}

/** Tracks as a list says them: three or more that are alike, and nothing beside them, as a `repeat`. */
export const joinedTracks = (tracks: readonly string[]): string =>
  tracks.length > 2 && tracks.every((each) => each === tracks[0])
    ? `repeat(${tracks.length}, ${tracks[0]})`
    : tracks.join(' ');

/** A track list as CSS; tracks that stand several times in a row become a `repeat`. */
export function trackListCss(list: TrackList): string {
  const parts: { text: string; count: number }[] = [];
  for (const part of list) {
    const text =
      'auto' in part ? `repeat(auto-${part.auto}, ${part.tracks.map(trackCss).join(' ')})` : trackCss(part);
    const last = parts.at(-1);
    if (last?.text === text && !('auto' in part)) last.count++;
    else parts.push({ text, count: 1 });
  }
  return parts.map(({ text, count }) => (count > 1 ? `repeat(${count}, ${text})` : text)).join(' ');
}
