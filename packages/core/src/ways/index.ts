/** The ways of an application, and which screens they reach. */
export { type Reach, reachOf } from './reach.ts';
export { type Way, type WayBy, waysOf } from './ways.ts';
