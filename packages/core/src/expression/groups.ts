/** Groups of records with a common value: `Group.by(orders, "table")` is a list of `{ key, items }`, in the order in which keys come up. */
import { ownValue } from '../document/same.ts';

/** Functions by the name that expressions call them by. */
export const groupFunctions: Readonly<Record<string, (...values: unknown[]) => unknown>> = {
  'Group.by': (list, field) => {
    if (!Array.isArray(list)) throw new Error('a list is expected.');
    const name = String(field);
    const groups = new Map<unknown, unknown[]>();
    for (const item of list) {
      const key = Array.isArray(item) ? undefined : ownValue(item, name);
      const group = groups.get(key);
      if (group) group.push(item);
      else groups.set(key, [item]);
    }
    return [...groups].map(([key, items]) => ({ key, items }));
  },
};
