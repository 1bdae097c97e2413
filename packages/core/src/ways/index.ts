/** The ways of an application: which there are, which screens they reach, and changing them. */
export { addWay, leadWay, removeWay, transitionOfWay, type WayChange } from './change-way.ts';
export { placeOfWay, type WayPlace } from './place-of-way.ts';
export { type Reach, reachOf } from './reach.ts';
export { type Way, type WayBy, waysOf } from './ways.ts';
