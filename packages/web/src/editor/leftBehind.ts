/** Changes that closed windows of this browser left: sent for them, and what cannot be stored is set aside. */
import { applySteps, mostEntriesOfBatch, newestSteps, type Project, type SentEntry } from '@hovrin/core';
import { api, type OpenedProject, Refused } from '../api.ts';
import { type Aside, type KeptOutbox, keepOutbox, keptOutbox, windowsWithOutbox } from './kept.ts';
import type { PendingEntry } from './outbox.ts';
import { isAlive } from './windows.ts';

/** Entries with steps of the newest format, whatever version of Hovrin left them. */
const newest = (project: Project, entries: readonly SentEntry[]): SentEntry[] =>
  entries.map((entry) => {
    try {
      const steps = newestSteps(project, entry.steps as never);
      return steps ? { ...entry, steps } : entry;
    } catch {
      return entry;
    }
  });

/** What a window of the same id left, as entries of this one. */
export function leftPending(project: Project, { entries }: KeptOutbox): PendingEntry[] {
  let current = project;
  return newest(project, entries).map((entry) => {
    const applied = applySteps(current, entry.steps);
    if (applied.ok) current = applied.project;
    return { ...entry, inverse: applied.ok ? applied.inverse : [] };
  });
}

/**
 * Sends what other windows left. What the server refuses is set aside; without the server everything stays as it is.
 *
 * @returns whether something was sent.
 */
export async function sendLeftBehind(
  projectId: string,
  { project, revision }: OpenedProject,
  setAside: (aside: Omit<Aside, 'id' | 'time'>) => void,
): Promise<boolean> {
  let isSent = false;
  for (const clientId of windowsWithOutbox(projectId)) {
    if (await isAlive(clientId)) continue;
    let left = newest(project, keptOutbox(projectId, clientId).entries);
    while (left.length > 0) {
      const batch = left.slice(0, mostEntriesOfBatch);
      try {
        const { refused } = await api.append(projectId, clientId, revision, batch);
        isSent = true;
        for (const { sequence, reason } of refused) {
          const entry = batch.find((each) => each.sequence === sequence);
          if (entry) setAside({ label: entry.label, reason, steps: entry.steps });
        }
      } catch (error) {
        if (!(error instanceof Refused) || error.status >= 500) return isSent;
        for (const { label, steps } of batch) setAside({ label, reason: error.message, steps });
      }
      left = left.slice(batch.length);
      keepOutbox(projectId, { clientId, entries: left });
    }
  }
  return isSent;
}
