/** A motion as plain data: how long it takes, how often it is done, and for each property of each control its keys in time. */
import { readAttribute } from '../cascade/attributes.ts';
import { type Control, inForce } from '../document/types.ts';
import { kindOf } from '../kinds/catalogue.ts';
import type { Property } from '../kinds/kind.ts';
import {
  keyControl,
  keyEase,
  keyTime,
  motionAlternate,
  motionDelay,
  motionPlays,
  motionRepeat,
  motionSeconds,
} from '../kinds/motion.ts';
import { columnGap, gap, rowGap } from '../kinds/properties.ts';
import type { MotionHere } from '../reuse/motions-here.ts';
import { readWithTokens, type TokenNames } from '../tokens/reading.ts';
import type { Gaps } from '../values/css.ts';

/** A value at a time of a motion. */
export interface Key {
  /** Id of the line that says it. */
  readonly id: string;
  /** At which part of the motion, 0 to 1. */
  readonly at: number;
  /** The value as its attribute has it. */
  readonly text: string;
  readonly value: unknown;
  /** How the value comes to this key from the one before, an easing of CSS or a name of ours. */
  readonly ease: string;
}

/** One property of one control in time. */
export interface Track {
  /** Id of the control on the expanded screen. */
  readonly control: string;
  readonly property: Property;
  /** In the order of their times; of several at one time, in that of the source. */
  readonly keys: readonly Key[];
}

export interface Motion {
  /** As `play` calls it on the expanded screen. */
  readonly name: string;
  /** Id of the line that declares it. */
  readonly id: string;
  /** Once there, s. */
  readonly seconds: number;
  /** Before it begins, s. */
  readonly delay: number;
  /** How often; `Infinity`: for ever. */
  readonly repeat: number;
  /** Every second time it goes back. */
  readonly alternate: boolean;
  /** It is played while this holds; undefined: an event plays it. */
  readonly plays: string | undefined;
  readonly tracks: readonly Track[];
}

/** Reads a property of a line; what holds where it is not said, or not valid. */
export function said<T>(
  { props }: Control,
  { name, type, default: preset }: Property<T>,
  tokens?: TokenNames,
): T | undefined {
  const text = inForce(props[name]) ?? (typeof preset === 'string' ? preset : undefined);
  const reading = text === undefined ? undefined : readWithTokens(type, text, tokens);
  return reading?.ok ? reading.value : undefined;
}

/** The attributes of a key that say what a control is. */
export const keyedIn = (key: Control): readonly { readonly property: Property; readonly text: string }[] =>
  Object.entries(key.props).flatMap(([attribute, value]) => {
    const meaning = readAttribute(kindOf(key), attribute, []);
    const text = inForce(value);
    if (typeof meaning === 'string' || meaning.role !== 'value' || text === undefined) return [];
    const { property } = meaning;
    const isOwn = [keyControl, keyTime, keyEase].some(({ name }) => name === property.name);
    return isOwn ? [] : [{ property, text }];
  });

/** When a key stands, as a part of the motion; beyond its end: at the end. */
export function timeOf(key: Control, seconds: number): number {
  const at = said(key, keyTime) ?? 0;
  return typeof at === 'number' ? Math.min(1, at / seconds) : at.fraction;
}

/** A property as it moves: a gap between rows and one between columns. */
const partsOf = (property: Property, value: unknown): readonly (readonly [Property, unknown])[] => {
  if (property.name !== gap.name) return [[property, value]];
  const { row, column } = value as Gaps;
  return [
    [rowGap, row],
    [columnGap, column],
  ];
};

/** A motion of an expanded screen; keys about no control that is there, and values that are not valid, are left out. */
export function timelineOf({ name, line, controls }: MotionHere, tokens?: TokenNames): Motion {
  const seconds = said(line, motionSeconds) ?? 1;
  const tracks = new Map<string, { control: string; property: Property; keys: Key[] }>();
  for (const key of line.children) {
    const control = controls.get(inForce(key.props[keyControl.name]) ?? '');
    if (control === undefined) continue;
    for (const { property, text } of keyedIn(key)) {
      const reading = readWithTokens(property.type, text, tokens);
      if (!reading.ok) continue;
      const ease = said(key, keyEase, tokens) ?? 'linear';
      const at = timeOf(key, seconds);
      for (const [part, value] of partsOf(property, reading.value)) {
        const track = tracks.get(`${control} ${part.name}`) ?? { control, property: part, keys: [] };
        tracks.set(`${control} ${part.name}`, track);
        track.keys.push({ id: key.id, at, text: reading.text, value, ease });
      }
    }
  }
  return {
    name,
    id: line.id,
    seconds,
    delay: said(line, motionDelay) ?? 0,
    repeat: said(line, motionRepeat) ?? 1,
    alternate: said(line, motionAlternate) ?? false,
    plays: inForce(line.props[motionPlays.name]),
    tracks: [...tracks.values()].map((track) => ({
      ...track,
      keys: track.keys.toSorted((a, b) => a.at - b.at),
    })),
  };
}
