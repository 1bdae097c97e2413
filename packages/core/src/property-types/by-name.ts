/** Types of properties by name: a running page knows of a bound property no more than what its type is called. */
import * as types from './catalogue.ts';
import type { PropertyType } from './property-type.ts';

/** Types by name, of all that can follow an expression. */
export const propertyTypes: ReadonlyMap<string, PropertyType> = new Map(
  Object.values<PropertyType>(types).map((type) => [type.name, type]),
);
