/** Actions on the motions of the screen: each names one. */
import { asText } from '../evaluate.ts';
import type { Action, MotionDoing } from './action.ts';

/** The action that does something with a motion. @param words its card's words. */
export const motionAction = (name: MotionDoing, words: string): Action => ({
  name,
  takes: 'the name of a motion of the same screen',
  count: 1,
  types: ['text'],
  card: { words, fields: [['', 'motion']] },
  written: `${name}("")`,
  pointsTo: 'motion',
  act: (acting, [motion]) => acting.motion?.(name, asText(motion)),
});
