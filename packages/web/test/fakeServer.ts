/** A server of one project in memory, which fails in any way that a test wants. */
import {
  type Appended,
  applySteps,
  entitiesAdded,
  entityNamed,
  entryProblem,
  type HistoryEntry,
  type Project,
  type Refusal,
  type SentEntry,
  type Step,
  type StoredEntry,
} from '@hovrin/core';
import { Refused, Unreachable } from '../src/api.ts';

/**
 * `gone`: the request does not arrive; `lost`: it is carried out, but the answer does not arrive; a number: it is
 * answered with that status.
 */
export type Failure = 'gone' | 'lost' | number;

export class FakeServer {
  readonly entries: (StoredEntry & { readonly inverse: readonly Step[] })[] = [];
  /** Failures of the next requests, one after the other; then all is well. */
  failures: Failure[] = [];
  /** An entry that the server stumbles over, however often it comes. */
  stumbles: (entry: SentEntry) => number | undefined = () => undefined;
  /** Requests as they came. */
  readonly requests: (readonly SentEntry[])[] = [];

  constructor(public project: Project) {}

  get revision(): number {
    return this.entries.length;
  }

  append = async (clientId: string, base: number, sent: readonly SentEntry[]): Promise<Appended> => {
    this.requests.push(sent);
    const failure = this.failures.shift();
    if (failure === 'gone') throw new Unreachable('The server cannot be reached.');
    if (typeof failure === 'number') throw new Refused(failure, `The server answered ${failure}.`);
    for (const entry of sent) {
      const status = this.stumbles(entry);
      if (status !== undefined) throw new Refused(status, `The server stumbles over ${entry.label}.`);
    }
    const answer = this.#append(clientId, base, sent);
    if (failure === 'lost') throw new Unreachable('The server cannot be reached.');
    return answer;
  };

  #append(clientId: string, base: number, sent: readonly SentEntry[]): Appended {
    const lost = new Set<string>();
    const accepted: StoredEntry[] = [];
    const refused: Refusal[] = [];
    for (const entry of sent) {
      const known = this.entries.find(
        (each) => each.clientId === clientId && each.sequence === entry.sequence,
      );
      if (known) {
        accepted.push(known);
        continue;
      }
      const builds =
        Array.isArray(entry.steps) && entry.steps.some((step) => lost.has(entityNamed(step) ?? ''));
      const problem =
        entryProblem(entry) ?? (builds ? 'It builds on a change that was not kept.' : undefined);
      const applied = problem === undefined ? applySteps(this.project, entry.steps) : undefined;
      if (!applied?.ok) {
        for (const each of Array.isArray(entry.steps) ? entitiesAdded(entry.steps) : []) lost.add(each);
        refused.push({ sequence: entry.sequence, reason: problem ?? (applied as { reason: string }).reason });
        continue;
      }
      this.project = applied.project;
      const stored = { ...entry, clientId, revision: this.revision + 1, time: 0, inverse: applied.inverse };
      this.entries.push(stored);
      accepted.push(stored);
    }
    const missed = this.entries.filter((each) => each.clientId !== clientId && each.revision > base);
    return { revision: this.revision, accepted, refused, missed };
  }

  /** Another window does something. */
  other(label: string, ...steps: Step[]): StoredEntry {
    const sequence = this.entries.filter(({ clientId }) => clientId === 'another-window').length;
    const { accepted, refused } = this.#append('another-window', this.revision, [
      { sequence, kind: 'change', label, steps },
    ]);
    if (refused[0]) throw new Error(refused[0].reason);
    return accepted[0]!;
  }

  history(clientId: string, before: number): { entries: HistoryEntry[]; older: boolean } {
    const own = this.entries.filter((each) => each.clientId === clientId && each.revision < before);
    return { entries: own.slice(-50), older: own.length > 50 };
  }
}
