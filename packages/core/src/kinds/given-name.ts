/** The name under which an event gives what comes with it. */
import type { EventEntry } from './kind.ts';

/**
 * @param isTaken whether something else is called so where the event stands.
 * @returns undefined where the event gives nothing, or gives way to what is called so already.
 */
export const givenName = (
  { gives, yields }: Pick<EventEntry, 'gives' | 'yields'>,
  isTaken: (name: string) => boolean,
): string | undefined => (gives !== undefined && yields && isTaken(gives) ? undefined : gives);
