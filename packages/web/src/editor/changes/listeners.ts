/** The windows that listen, and the stream that is open for all of their projects together. */
import type { StoredEntry } from '@hovrin/core';
import type { Heard } from './changes.ts';

/** A window, as far as it is told something. */
export interface Ear {
  postMessage(heard: Heard): void;
}

/** The part of an `EventSource` that is used. */
export interface Source {
  onopen: ((event: Event) => unknown) | null;
  onerror: ((event: Event) => unknown) | null;
  addEventListener(type: string, listener: (event: MessageEvent<string>) => void): void;
  close(): void;
}

/** Milliseconds until a lost stream is opened again. */
const againAfter = 1500;

interface Told {
  readonly project: string;
  readonly entry: StoredEntry;
}

export class Listeners {
  /** Windows with the project that each listens to. */
  readonly #ears = new Map<Ear, string>();
  /** The newest revision that was told, by project. */
  readonly #since = new Map<string, number>();
  #source: Source | undefined;
  #isConnected = false;
  readonly #open: (since: ReadonlyMap<string, number>) => Source;
  readonly #later: (work: () => void, ms: number) => void;

  constructor(
    open: (since: ReadonlyMap<string, number>) => Source,
    later: (work: () => void, ms: number) => void,
  ) {
    this.#open = open;
    this.#later = later;
  }

  /** A window listens; one that knows less than was told already makes the stream begin there. */
  add(ear: Ear, project: string, since: number): void {
    this.#ears.set(ear, project);
    const known = this.#since.get(project);
    if (known !== undefined && known <= since && this.#isConnected) {
      ear.postMessage({ what: 'connected' });
      return;
    }
    this.#since.set(project, Math.min(known ?? since, since));
    this.#reopen();
  }

  /** A window has gone. */
  remove(ear: Ear): void {
    const project = this.#ears.get(ear);
    this.#ears.delete(ear);
    if (project === undefined || [...this.#ears.values()].includes(project)) return;
    this.#since.delete(project);
    this.#reopen();
  }

  #tell(heard: Heard, project?: string): void {
    for (const [ear, of] of this.#ears) if (project === undefined || of === project) ear.postMessage(heard);
  }

  #reopen(): void {
    this.#source?.close();
    this.#source = undefined;
    this.#isConnected = false;
    if (this.#since.size === 0) return;
    const source = this.#open(this.#since);
    this.#source = source;
    source.onopen = () => {
      this.#isConnected = true;
      this.#tell({ what: 'connected' });
    };
    source.onerror = () => {
      if (this.#source !== source) return;
      source.close();
      this.#source = undefined;
      this.#isConnected = false;
      this.#tell({ what: 'lost' });
      this.#later(() => {
        if (!this.#source) this.#reopen();
      }, againAfter);
    };
    source.addEventListener('entry', ({ data }) => {
      const { project, entry }: Told = JSON.parse(data);
      this.#since.set(project, Math.max(this.#since.get(project) ?? 0, entry.revision));
      this.#tell({ what: 'entry', entry }, project);
    });
    source.addEventListener('behind', ({ data }) => {
      const { project, revision }: { project: string; revision: number } = JSON.parse(data);
      this.#since.set(project, revision);
      this.#tell({ what: 'behind' }, project);
    });
  }
}
