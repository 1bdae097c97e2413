/** Records by what they have in common: `Group.by(orders, "table")` is a list of `{ key, items }`, in the order in which keys come up. */

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Functions by the name that expressions call them by. */
export const groupFunctions: Readonly<Record<string, (...values: unknown[]) => unknown>> = {
  'Group.by': (list, field) => {
    if (!Array.isArray(list)) throw new Error('a list is expected.');
    const name = String(field);
    const groups = new Map<unknown, unknown[]>();
    for (const item of list) {
      const key = isRecord(item) && Object.hasOwn(item, name) ? item[name] : undefined;
      const group = groups.get(key);
      if (group) group.push(item);
      else groups.set(key, [item]);
    }
    return [...groups].map(([key, items]) => ({ key, items }));
  },
};
