/** Motions: as timelines, at an instant, and what is between two values. */

export {
  keyControl,
  keyEase,
  keyedProperties,
  keyTime,
  motionAlternate,
  motionDelay,
  motionPlays,
  motionRepeat,
  motionSeconds,
} from '../kinds/motion.ts';
export { type MotionHere, motionsHere } from '../reuse/motions-here.ts';
export { easingCss, easingOf, easingWords } from '../values/easing.ts';
export { type Instant, lengthOf, progressAt, progressOf, valueAt } from './instant.ts';
export { motionsOn, movedScreen } from './moved.ts';
export { type Key, keyedIn, type Motion, type Track, timelineOf, timeOf } from './timeline.ts';
