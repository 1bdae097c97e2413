/**
 * The open project in the browser: its newest version, what is selected, what can be undone, and whether the
 * server has it all. Changes show at once and are sent in the background. What the server has is the session's, what is
 * on its way the outbox's; the shown project is the one with the other on top.
 */
import {
  type Appended,
  applySteps,
  type LogEntry,
  type Project,
  type Renamed,
  type ScreenLayout,
  type Step,
  translationsCarried,
} from '@hovrin/core';
import { api, type OpenedProject } from '../api.ts';
import { Asides } from './asides.ts';
import { type Change, carriedOut, changeFor } from './change.ts';
import { listenTo } from './changes/changes.ts';
import { type Aside, type KeptOutbox, keepOutbox, keptOutbox } from './kept.ts';
import { leftPending, sendLeftBehind } from './leftBehind.ts';
import { afterRefusal, afterRenamings, onTop } from './merging.ts';
import { Outbox, type PendingEntry } from './outbox.ts';
import { OwnHistory } from './ownHistory.ts';
import { type ConfirmedEntry, Session } from './session.ts';
import { beginning, EditorView } from './view.ts';
import { claimWindow } from './windows.ts';

export type { Change } from './change.ts';
export type { Saving } from './outbox.ts';
export type { EditorState, InsertPlace } from './view.ts';

/** The working bay, for commands that need to know where things are. */
export interface WorkingBench {
  /** What is shown; its colours are those of the theme by name. */
  readonly layout: ScreenLayout;
  /** The same with its colours in it, for a picture. */
  readonly drawn: () => ScreenLayout;
  /** Lays the shown screen of another version of the project out at the same size. */
  readonly layOut: (project: Project) => ScreenLayout;
}

export class Editor extends EditorView {
  /** Kept up to date by the bench while it is there. */
  bench: WorkingBench | undefined;
  /** It was brought in from elsewhere: whom it calls is asked about first. */
  readonly isForeign: boolean;
  readonly #clientId: string;
  readonly #outbox: Outbox;
  readonly #session: Session;
  readonly #history: OwnHistory;
  readonly #asides: Asides;
  #endListening: (() => void) | undefined;

  /** What the log calls this window. */
  get clientId(): string {
    return this.#clientId;
  }

  constructor(
    readonly projectId: string,
    opened: OpenedProject,
    clientId: string,
    left?: KeptOutbox,
  ) {
    super(beginning(opened.project, opened.revision));
    this.#clientId = clientId;
    this.isForeign = opened.isForeign ?? false;
    this.#asides = new Asides(projectId, (asides) => this.update({ asides }), this.tell);
    this.#history = new OwnHistory((before) => api.history(projectId, clientId, before));
    this.#session = new Session(
      {
        clientId,
        open: () => api.open(projectId, clientId),
        confirmed: (entries) => this.#confirmed(entries),
        reopened: () => void this.#readHistory().then(() => this.#rebuild()),
      },
      opened,
    );
    this.#outbox = new Outbox(
      {
        send: (entries) => api.append(projectId, clientId, this.#session.revision, entries),
        answered: (answer, sent) => {
          const known = this.#session.revision;
          this.#session.answered(answer);
          this.#refused(answer.refused, sent);
          // Something that had arrived before, though its answer was lost: what takes it back is only known there.
          if (answer.accepted.some(({ revision }) => revision <= known)) void this.#readHistory();
          if (answer.refused.length > 0 || answer.missed.length > 0) this.#rebuild();
        },
        setAside: (entry, reason) => {
          this.#asides.setAside(entry, reason);
          this.#rebuild();
        },
        changed: () => this.#keep(),
      },
      opened.nextSequence,
      left ? leftPending(opened.project, left) : [],
    );
    this.update({ asides: this.#asides.list });
    if (left && left.entries.length > 0) this.#rebuild();
  }

  /** Opens a project with the unsent entries of this window's predecessor, and sends those that other closed windows left. */
  static async open(projectId: string): Promise<Editor> {
    const clientId = await claimWindow();
    const opened = await api.open(projectId, clientId);
    const editor = new Editor(projectId, opened, clientId, keptOutbox(projectId, clientId));
    await editor.#readHistory();
    editor.#listen();
    if (opened.damage) editor.tell(opened.damage);
    void sendLeftBehind(projectId, opened, (aside) => editor.#asides.add(aside)).then((sent) => {
      if (sent) void editor.#session.reopen();
    });
    return editor;
  }

  close(): void {
    this.#endListening?.();
    this.#session.close();
    this.#outbox.close();
  }

  #listen(): void {
    this.#endListening = listenTo(this.projectId, this.#session.revision, (heard) => {
      if (heard.what === 'entry') this.#session.heard(heard.entry, this.#outbox.isSending);
      else if (heard.what === 'behind') void this.#session.reopen();
      else this.#outbox.connected(heard.what === 'connected');
    });
  }

  /** While a motion is recorded: makes keys of what is done. */
  recorder: ((project: Project, steps: readonly Step[]) => readonly Step[]) | undefined;

  /** Carries out a change. @returns whether its steps fit; where not, the person is told why. */
  dispatch = (change: Change): boolean => {
    if (change.steps.length === 0) return this.#afterChange(change);
    const { project, scope } = this.state;
    const made = this.recorder ? { ...change, steps: this.recorder(project, change.steps) } : change;
    const whole = changeFor(project, made, scope);
    const carried = translationsCarried(project, whole.steps);
    return this.#add(
      'change',
      carried.length > 0 ? { ...whole, steps: [...whole.steps, ...carried] } : whole,
    );
  };

  #add(kind: LogEntry['kind'], change: Change, takes?: number): boolean {
    const done = carriedOut(this.state.project, change, kind, takes);
    if ('reason' in done) {
      if (!this.#asides.setAsideIfTaken(change, done.reason)) this.tell(done.reason);
      return false;
    }
    const { project, entry } = done;
    const sequence = this.#outbox.add(entry);
    this.update({ project, history: this.#history.add({ ...entry, sequence }) });
    this.#afterChange(change);
    return true;
  }

  #afterChange(change: Change): boolean {
    if (change.tell) this.tell(change.tell);
    if (change.select) this.select(change.select);
    else this.dropLost();
    return true;
  }

  /** Undoes this window's newest change that is not undone and still fits. @returns whether there was one. */
  undo = (): boolean => this.#travel('undo');
  redo = (): boolean => this.#travel('redo');

  #travel(kind: 'undo' | 'redo'): boolean {
    const item = this.state.history[kind].at(-1);
    if (!item) return false;
    const before = this.state.project;
    const fits = applySteps(before, item.steps);
    if (!fits.ok) {
      this.update({ history: this.#history.passOver(item.sequence) });
      const word = kind === 'undo' ? 'undone' : 'done again';
      this.tell(`“${item.label}” was not ${word}: ${fits.reason} It stays as it is.`);
    } else if (this.#add(kind, { label: item.label, steps: item.steps }, item.sequence))
      this.showWhatChanged(before, item.steps);
    void this.#history.more().then((isMore) => isMore && this.#showHistory());
    return true;
  }

  #showHistory(): void {
    this.update({ history: this.#history.read(this.#outbox.pending) });
  }

  async #readHistory(): Promise<void> {
    await this.#history.begin(this.#session.revision);
    this.#showHistory();
  }

  /** Sends what is pending now. @returns whether the server has everything. */
  flush = (): Promise<boolean> => this.#outbox.flush();
  /** Waits until the server has everything. @returns false where it cannot be reached. */
  settled = (): Promise<boolean> => this.#outbox.settled();

  /** Keeps what is on its way in the browser, too, and shows how it goes. */
  #keep(): void {
    const { pending, saving, failure } = this.#outbox;
    const entries = pending.map(({ inverse: _, ...entry }) => entry);
    const isUnkept = !keepOutbox(this.projectId, { clientId: this.#clientId, entries });
    if (isUnkept && !this.state.isUnkept)
      this.tell(
        'The storage of the browser is full: what is not saved yet is only in this window. Leave it open until it says “Saved”.',
      );
    this.update({ saving, failure, isUnkept });
  }

  #confirmed(entries: readonly ConfirmedEntry[]): void {
    const foreign = entries.filter(({ entry }) => entry.clientId !== this.#clientId);
    for (const { entry, inverse } of entries)
      if (entry.clientId === this.#clientId) this.#history.confirmed({ ...entry, inverse });
    this.update({ revision: this.#session.revision });
    if (foreign.length === 0) return;
    for (const each of foreign) this.#asides.notice(each, this.state.selection);
    const steps = foreign.flatMap(({ entry }) => entry.steps);
    const { pending } = this.#outbox;
    const renamed = afterRenamings(this.#session.project, pending, steps);
    if (renamed !== pending) this.#outbox.replace(renamed);
    this.#rebuild();
  }

  #refused(refused: Appended['refused'], sent: readonly PendingEntry[]): void {
    const after = afterRefusal(this.#session.project, refused, sent, this.#outbox.pending);
    for (const { entry, reason } of after.aside) this.#asides.setAside(entry, reason);
    if (after.again.length === 0) return;
    this.#outbox.replace(after.pending);
    this.#outbox.putBefore(after.again);
    this.#tellRenamed(after.renamed);
  }

  #tellRenamed(renamed: readonly Renamed[]): void {
    for (const { from, to } of renamed)
      this.tell(`Another window has added \`${from}\`, too; yours is \`${to}\` now.`);
  }

  /** Does a change that was set aside on the newest version. @returns whether it fits there. */
  tryAgain = ({ id, label, steps, putBack = [] }: Aside): boolean => {
    const isBack = putBack.length > 0 && applySteps(this.state.project, putBack).ok;
    const done = this.#add('change', { label, steps: isBack ? [...putBack, ...steps] : steps });
    if (done) {
      this.#asides.drop(id);
      this.showWhatChanged(this.state.project, [...putBack, ...steps]);
    }
    return done;
  };

  dropAside = ({ id }: Aside): void => this.#asides.drop(id);

  /** The shown project anew: the confirmed one with the pending entries on top. */
  #rebuild(): void {
    const { project, kept, shown, lost, renamed } = onTop(
      this.#session.project,
      this.#outbox.pending,
      (entry) => this.#outbox.mayHaveArrived(entry),
    );
    this.update({ project, history: this.#history.read(shown), revision: this.#session.revision });
    this.#outbox.replace(kept);
    for (const { entry, reason } of lost) this.#asides.setAside(entry, reason);
    this.#tellRenamed(renamed);
    this.dropLost();
  }
}
