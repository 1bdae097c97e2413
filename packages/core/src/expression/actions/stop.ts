/** Ends a motion: what it moved is as it was without it. */
import { motionAction } from './motion-action.ts';

export const stop = motionAction('stop', 'Stop');
