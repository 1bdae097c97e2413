/** Plays a motion, from where it was paused or from its beginning. */
import { motionAction } from './motion-action.ts';

export const play = motionAction('play', 'Play');
