/** Types of properties, for those who declare or read properties. */
export * from './catalogue.ts';
export { choiceType } from './choices.ts';
export type { ColourRange, Entry } from './lists.ts';
export type { PropertyType, Reading } from './property-type.ts';
