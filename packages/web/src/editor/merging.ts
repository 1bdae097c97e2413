/** Puts entries that are on their way on top of the server's version: pure, without a browser. */
import {
  type Appended,
  applySteps,
  entityNamed,
  type HistoryPart,
  keysToChange,
  mapStep,
  type Project,
  type Renamed,
  renamingOf,
  type Step,
  underOtherKeys,
} from '@hovrin/core';
import type { PendingEntry } from './batch.ts';

/** An entry that does not fit any more, and why. */
export interface Unfit {
  readonly entry: PendingEntry;
  readonly reason: string;
}

/** The confirmed project with the pending entries on top. */
export interface OnTop {
  readonly project: Project;
  /** The entries that stay pending, each with the steps that undo it now. */
  readonly kept: readonly PendingEntry[];
  /** Those of them that show in the project. */
  readonly shown: readonly HistoryPart[];
  readonly lost: readonly Unfit[];
  /** Entities that were added under other keys. */
  readonly renamed: readonly Renamed[];
}

/**
 * Puts the pending entries on the confirmed project, one after another. What one of them adds under a key that somebody
 * else has taken meanwhile is added under another one, with all that was done with it since.
 * @param mayHaveArrived whether the server may have an entry already: then it stays, though it does not fit
 */
export function onTop(
  confirmed: Project,
  pending: readonly PendingEntry[],
  mayHaveArrived: (entry: PendingEntry) => boolean,
): OnTop {
  let project = confirmed;
  const kept: PendingEntry[] = [];
  const shown: HistoryPart[] = [];
  const lost: Unfit[] = [];
  const renamed: Renamed[] = [];
  const queue = [...pending];
  for (let entry = queue.shift(); entry; entry = queue.shift()) {
    let applied = applySteps(project, entry.steps);
    if (!applied.ok && !mayHaveArrived(entry)) {
      const following = queue.flatMap(({ steps }) => steps);
      const keys = keysToChange(project, entry.steps, following);
      if (keys.length > 0) {
        renamed.push(...keys);
        const mapped = (each: PendingEntry): PendingEntry => ({
          ...each,
          steps: underOtherKeys(project, each.steps, keys),
        });
        entry = mapped(entry);
        queue.splice(0, queue.length, ...queue.map(mapped));
        applied = applySteps(project, entry.steps);
      }
    }
    if (applied.ok) {
      project = applied.project;
      const again = { ...entry, inverse: applied.inverse };
      shown.push(again);
      kept.push(again);
    } else if (mayHaveArrived(entry)) kept.push(entry);
    else lost.push({ entry, reason: applied.reason });
  }
  return { project, kept, shown, lost, renamed };
}

/** The pending entries after others have renamed what they name; the same list where nobody has. */
export function afterRenamings(
  project: Project,
  pending: readonly PendingEntry[],
  steps: readonly Step[],
): readonly PendingEntry[] {
  const renamings = steps.flatMap((step) => renamingOf(step) ?? []);
  if (renamings.length === 0) return pending;
  return pending.map((entry) => ({
    ...entry,
    steps: entry.steps.map((step) =>
      renamings.reduce((now, renamed) => mapStep(project, now, renamed), step),
    ),
  }));
}

/** What becomes of the entries that the server has refused. */
export interface AfterRefusal {
  /** To be set aside. */
  readonly aside: readonly Unfit[];
  /** To be sent again, before the others: what they add has another key now. */
  readonly again: readonly Omit<PendingEntry, 'sequence'>[];
  readonly pending: readonly PendingEntry[];
  readonly renamed: readonly Renamed[];
}

/**
 * What was refused is set aside; but what another window only happened to add under the same key is added under
 * another one, with all that was done with it since.
 * @param project the newest that the server has
 */
export function afterRefusal(
  project: Project,
  refused: Appended['refused'],
  sent: readonly PendingEntry[],
  pending: readonly PendingEntry[],
): AfterRefusal {
  const unfit = refused.flatMap(({ sequence, reason, control }): Unfit[] => {
    const entry = sent.find((each) => each.sequence === sequence);
    return entry ? [{ entry, reason: control ? `${reason} (${control})` : reason }] : [];
  });
  const following = pending.flatMap(({ steps }) => steps);
  const renamed = unfit.flatMap(({ entry }) => keysToChange(project, entry.steps, following));
  const concerned = new Set(renamed.map(({ of, from }) => `${of} ${from}`));
  const isConcerned = ({ entry }: Unfit) =>
    entry.steps.some((step) => concerned.has(entityNamed(step) ?? ''));
  const mapped = <E extends Pick<PendingEntry, 'steps'>>(entry: E): E => ({
    ...entry,
    steps: underOtherKeys(project, entry.steps, renamed),
  });
  return {
    aside: unfit.filter((each) => !isConcerned(each)),
    again: unfit.filter(isConcerned).map(({ entry: { sequence: _, ...entry } }) => mapped(entry)),
    pending: renamed.length > 0 ? pending.map(mapped) : pending,
    renamed,
  };
}
