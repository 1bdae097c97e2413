/** Types of properties, for those who declare or read properties. */
export * from './choices.ts';
export * from './lists.ts';
export * from './looks.ts';
export * from './moments.ts';
export * from './names.ts';
export * from './numbers.ts';
export type { PropertyType, Reading } from './property-type.ts';
export * from './sides.ts';
export * from './sizes.ts';
export * from './texts.ts';
export * from './tracks.ts';
