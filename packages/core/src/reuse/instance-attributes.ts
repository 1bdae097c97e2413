/** Attributes of an instance that are about its size, place or style, not about its component. */
import { propertyOf } from '../cascade/attributes.ts';
import { ofEveryInstance } from '../kinds/instance.ts';
import { slotOf } from '../kinds/properties.ts';

const names: ReadonlySet<string> = new Set(ofEveryInstance.map(({ name }) => name));

/** Whether an attribute, with conditions in front or not, is one that every instance may have; the slot it is in is its parent's. */
export const isOfEveryInstance = (attribute: string): boolean => {
  const property = propertyOf(attribute);
  return names.has(property) && property !== slotOf.name;
};
