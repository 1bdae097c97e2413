/** The entries that go to the server in one request, within the bounds that it holds to. */
import { entryLength, longestBatch, type SentEntry, type Step, sendingProblem } from '@hovrin/core';

/** A change that knows what takes it back. */
export type PendingEntry = SentEntry & { readonly inverse: readonly Step[] };

/** An entry without what the server works out itself. */
export const sent = ({ inverse: _, ...entry }: PendingEntry): SentEntry => entry;

/**
 * The first of the pending entries that go together.
 * @param most how many entries
 * @returns with those before the last of them that can never go, and why
 */
export function nextBatch(
  pending: readonly PendingEntry[],
  most: number,
): { batch: readonly PendingEntry[]; never: readonly { entry: PendingEntry; problem: string }[] } {
  const batch: PendingEntry[] = [];
  const never: { entry: PendingEntry; problem: string }[] = [];
  let length = 0;
  for (const entry of pending) {
    const own = entryLength(sent(entry));
    const problem = sendingProblem(sent(entry), own);
    if (problem !== undefined) {
      never.push({ entry, problem });
      continue;
    }
    if (batch.length > 0 && (batch.length >= most || length + own > longestBatch)) break;
    batch.push(entry);
    length += own;
  }
  return { batch, never };
}
