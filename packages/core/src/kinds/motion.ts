/**
 * A motion of a screen or component, and its keys: what controls are at times of it. Both stand before the controls; they make no
 * box and no element, and are taken out where a screen is expanded (`reuse/expand.ts`).
 */
import { delayType, durationType, flagType, identifierType } from '../property-types/index.ts';
import { easeType, keyTimeType, repeatType } from '../property-types/motion.ts';
import { boxless, declaredName } from './component.ts';
import type { Kind, Property } from './kind.ts';
import {
  arranging,
  bottom,
  boxLook,
  centerX,
  centerY,
  cursor,
  left,
  margin,
  padding,
  property,
  right,
  sizing,
  textLook,
  top,
  typography,
} from './properties.ts';

const said = { group: 'content', effect: 'behaviour', perBand: false, plain: true } as const;

export const motionSeconds = property({
  ...said,
  name: 'seconds',
  label: 'Takes, s',
  type: durationType,
  default: '1',
});
export const motionDelay = property({ ...said, name: 'delay', label: 'Begins after, s', type: delayType });
export const motionRepeat = property({
  ...said,
  name: 'repeat',
  label: 'Repeats',
  type: repeatType,
  default: '1',
});
export const motionAlternate = property({
  ...said,
  name: 'alternate',
  label: 'There and back',
  type: flagType,
});
/** While it holds the motion is played. */
export const motionPlays = property({
  name: 'plays',
  label: 'Plays while',
  group: 'content',
  type: flagType,
  effect: 'behaviour',
  perBand: false,
});

export const keyControl = property({ ...said, name: 'control', label: 'Control', type: identifierType });
export const keyTime = property({ ...said, name: 'at', label: 'At', type: keyTimeType });
export const keyEase = property({
  ...said,
  name: 'ease',
  label: 'Comes by',
  type: easeType,
  default: 'linear',
});

/** A property as a key has it: nothing holds where it is not said, it follows nothing, and differs in no band and no state. */
const keyed = ({ default: _, ...rest }: Property): Property => ({
  ...rest,
  perBand: false,
  plain: true,
  inStates: false,
  styled: false,
});

/** The properties of a control that a key may change: size, place, room in it, look. */
export const keyedProperties: readonly Property[] = [
  ...sizing,
  margin,
  left,
  right,
  top,
  bottom,
  centerX,
  centerY,
  padding,
  ...arranging.filter(({ name }) => name.endsWith('gap')),
  ...boxLook().filter((each) => each !== cursor),
  ...textLook().filter((each) => each !== typography),
].map(keyed);

export const motion: Kind = {
  ...boxless,
  name: 'motion',
  label: 'Motion',
  purpose: 'Values of controls that change in time.',
  glyph: 'activity',
  container: true,
  declares: 'motion',
  confines: { parents: ['screen', 'component'], children: ['key'] },
  properties: [declaredName, motionSeconds, motionDelay, motionRepeat, motionAlternate, motionPlays],
};

export const key: Kind = {
  ...boxless,
  name: 'key',
  label: 'Key',
  purpose: 'What a control is at a time of a motion.',
  glyph: 'diamond',
  container: false,
  confines: { parents: ['motion'] },
  properties: [keyControl, keyTime, keyEase, ...keyedProperties],
};

/** The name of the kind of keys. */
export const keyKind = key.name;

export const motionKinds: readonly Kind[] = [motion, key];
