/** The difference between two pieces of data, as JSON has them, and its use: making the one of the other. */

/** A difference: by key the one inside; or a list of one, the value that takes the other's place. */
export type Difference = readonly [unknown] | { readonly [key: string]: Difference };

const isHolder = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null;

/** The difference that makes the one of the other; undefined: they are the same. */
export function differenceOf(one: unknown, other: unknown): Difference | undefined {
  if (Object.is(one, other)) return undefined;
  if (!isHolder(one) || !isHolder(other) || Array.isArray(one) !== Array.isArray(other)) return [other];
  const keys = Object.keys(one);
  if (keys.length !== Object.keys(other).length || keys.some((key) => !Object.hasOwn(other, key)))
    return [other];
  const found = keys.flatMap((key) => {
    const difference = differenceOf(one[key], other[key]);
    return difference === undefined ? [] : [[key, difference] as const];
  });
  return found.length === 0 ? undefined : Object.fromEntries(found);
}

const isReplacement = (difference: Difference): difference is readonly [unknown] => Array.isArray(difference);

/** A value as a difference makes it of another, which stays as it is. */
export function differently(value: unknown, difference: Difference): unknown {
  if (isReplacement(difference)) return difference[0];
  const made = (Array.isArray(value) ? [...value] : { ...(value as object) }) as Record<string, unknown>;
  for (const [key, inner] of Object.entries(difference)) made[key] = differently(made[key], inner);
  return made;
}
