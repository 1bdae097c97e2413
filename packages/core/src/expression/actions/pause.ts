/** Holds a motion where it is. */
import { motionAction } from './motion-action.ts';

export const pause = motionAction('pause', 'Pause');
