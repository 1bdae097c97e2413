/** Puts a motion back to its beginning; it goes on from there where it was playing. */
import { motionAction } from './motion-action.ts';

export const rewind = motionAction('rewind', 'Rewind');
