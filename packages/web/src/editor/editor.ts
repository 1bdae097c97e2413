/**
 * The open project in the browser: its newest version, what is selected, what can be undone, and whether the
 * server has it all. Changes show at once and are sent in the background. What the server has is the session's, what is
 * on its way the outbox's; the shown project is the one with the other on top.
 */
import {
  type Appended,
  applySteps,
  entityNamed,
  expectationOf,
  type HistoryPart,
  isExpected,
  keysToChange,
  type LogEntry,
  longestGroup,
  mapStep,
  type Project,
  renamingOf,
  type ScreenLayout,
  type Step,
  scoped,
  shortLabel,
  typedNowValid,
  underOtherKeys,
  walk,
} from '@hovrin/core';
import { api, type OpenedProject } from '../api.ts';
import { Asides } from './asides.ts';
import { listenTo } from './changes/changes.ts';
import { newId } from './commands/command.ts';
import { type Aside, type KeptOutbox, keepOutbox, keptOutbox } from './kept.ts';
import { leftPending, sendLeftBehind } from './leftBehind.ts';
import { Outbox, type PendingEntry } from './outbox.ts';
import { OwnHistory } from './ownHistory.ts';
import { type ConfirmedEntry, Session } from './session.ts';
import { beginning, EditorView } from './view.ts';
import { claimWindow } from './windows.ts';

export type { Saving } from './outbox.ts';
export type { EditorState, InsertPlace } from './view.ts';

/** A change as a command makes it. */
export interface Change {
  /** For the person: what was done. */
  readonly label: string;
  readonly steps: readonly Step[];
  /** Changes of the same group, one after another, are undone together. */
  readonly group?: string;
  /** What is selected afterwards. */
  readonly select?: readonly string[];
  /** Says itself which widths it is for: what is being edited for does not count. */
  readonly exact?: boolean;
  /** A sentence for the person, where what was done is not what the words of it say. */
  readonly tell?: string;
}

/** The working bay, for commands that need to know where things are. */
export interface WorkingBench {
  readonly layout: ScreenLayout;
  /** Lays the shown screen of another version of the project out at the same size. */
  readonly layOut: (project: Project) => ScreenLayout;
}

/** A group's key, which is as short as it has to be, however many things it was made of. */
function groupKey(group: string): string {
  if (group.length <= longestGroup) return group;
  const key = expectationOf(group);
  return key.slice(0, longestGroup);
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
  /** What other windows took away lately, by the ids of the controls: how it is put back. */
  readonly #tookAway = new Map<string, { label: string; putBack: readonly Step[] }>();

  constructor(
    readonly projectId: string,
    opened: OpenedProject,
    clientId: string,
    left?: KeptOutbox,
  ) {
    super(beginning(opened.project, opened.revision));
    this.#clientId = clientId;
    this.isForeign = opened.isForeign ?? false;
    this.#asides = new Asides(projectId, (asides) => this.update({ asides }));
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
          this.#setAside(entry, reason);
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

  /** Opens a project, with what this window's predecessor left, and sends what other closed windows left behind. */
  static async open(projectId: string): Promise<Editor> {
    const clientId = await claimWindow();
    const opened = await api.open(projectId, clientId);
    const editor = new Editor(projectId, opened, clientId, keptOutbox(projectId, clientId));
    await editor.#readHistory();
    editor.#listen();
    if (opened.damage) editor.#tellDamage(opened.damage);
    void sendLeftBehind(projectId, opened, (aside) => editor.#addAside(aside)).then((sent) => {
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

  /** Carries out a change. @returns whether its steps fit; where not, the person is told why. */
  dispatch = (change: Change): boolean => {
    if (change.steps.length === 0) return this.#afterChange(change);
    const { project, scope } = this.state;
    if (change.exact || scope === '') return this.#add('change', change);
    const steps = scoped(project, change.steps, scope, newId);
    const placed = steps.filter((step) => step.type === 'insert').map(({ control }) => control.id);
    // What has moved for these widths only stands there as another one.
    const copied = placed.length > 0 && change.steps.every(({ type }) => type !== 'insert');
    return this.#add('change', {
      ...change,
      steps,
      ...(copied
        ? {
            select: placed,
            tell: 'For these widths it stands there as a copy; elsewhere it stays where it was.',
          }
        : {}),
    });
  };

  #add(kind: LogEntry['kind'], wanted: Change, takes?: number): boolean {
    const first = applySteps(this.state.project, wanted.steps);
    if (!first.ok) {
      const took = this.#whoTook(wanted.steps);
      if (took) this.#setAside({ label: wanted.label, steps: wanted.steps }, first.reason);
      else this.tell(first.reason);
      return false;
    }
    // What was typed before its names were there takes effect with them, and goes with them in one undo.
    const typed = kind === 'change' ? typedNowValid(first.project, wanted.steps) : [];
    const change = typed.length > 0 ? { ...wanted, steps: [...wanted.steps, ...typed] } : wanted;
    const applied = typed.length > 0 ? applySteps(this.state.project, change.steps) : first;
    if (!applied.ok) throw new Error(applied.reason);
    const entry: Omit<PendingEntry, 'sequence'> = {
      kind,
      label: shortLabel(change.label),
      ...(change.group ? { group: groupKey(change.group) } : {}),
      ...(takes === undefined ? {} : { takes }),
      steps: change.steps,
      inverse: applied.inverse,
    };
    const sequence = this.#outbox.add(entry);
    this.update({ project: applied.project, history: this.#history.add({ ...entry, sequence }) });
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
    for (const each of foreign) this.#noticeTakenAway(each);
    const renamings = foreign.flatMap(({ entry }) => entry.steps.flatMap((step) => renamingOf(step) ?? []));
    if (renamings.length > 0)
      this.#outbox.replace(
        this.#outbox.pending.map((entry) => ({
          ...entry,
          steps: entry.steps.map((step) =>
            renamings.reduce((now, renamed) => mapStep(this.#session.project, now, renamed), step),
          ),
        })),
      );
    this.#rebuild();
  }

  /**
   * What was refused is set aside; but what another window only happened to add under the same key is added under
   * another one, with all that was done with it since.
   */
  #refused(refused: Appended['refused'], sent: readonly PendingEntry[]): void {
    const { project } = this.#session;
    const entries = refused.flatMap(({ sequence, reason, control }) => {
      const entry = sent.find((each) => each.sequence === sequence);
      return entry ? [{ entry, reason: control ? `${reason} (${control})` : reason }] : [];
    });
    const renamed = entries.flatMap(({ entry }) => keysToChange(project, entry.steps));
    const concerned = new Set(renamed.map(({ of, from }) => `${of} ${from}`));
    const isConcerned = ({ steps }: PendingEntry) =>
      steps.some((step) => concerned.has(entityNamed(step) ?? ''));
    const again = entries.filter(({ entry }) => isConcerned(entry));
    for (const { entry, reason } of entries) if (!isConcerned(entry)) this.#setAside(entry, reason);
    if (again.length === 0) return;
    const mapped = <E extends Pick<PendingEntry, 'steps'>>(entry: E): E => ({
      ...entry,
      steps: underOtherKeys(project, entry.steps, renamed),
    });
    this.#outbox.replace(this.#outbox.pending.map(mapped));
    this.#outbox.putBefore(again.map(({ entry: { sequence: _, ...entry } }) => mapped(entry)));
    for (const { from, to } of renamed)
      this.tell(`Another window has added \`${from}\`, too; yours is \`${to}\` now.`);
  }

  /** Remembers what another window took away, and says so where this person was at work on it. */
  #noticeTakenAway({ entry, inverse }: ConfirmedEntry): void {
    const { selection } = this.state;
    for (const step of inverse) {
      if (step.type !== 'insert') continue;
      const ids = [...walk(step.control)].map(({ id }) => id);
      for (const id of ids) this.#tookAway.set(id, { label: entry.label, putBack: inverse });
      if (!ids.some((id) => selection.includes(id))) continue;
      const name = step.control.name ?? step.control.kind;
      this.#addAside({
        label: `${name} was at hand here`,
        reason: `Another window took it away: “${entry.label}”.`,
        steps: [],
        putBack: inverse,
      });
    }
  }

  #whoTook(steps: readonly Step[]): { label: string; putBack: readonly Step[] } | undefined {
    for (const step of steps) {
      const id = 'control' in step && typeof step.control === 'string' ? step.control : undefined;
      const took = id === undefined ? undefined : this.#tookAway.get(id);
      if (took) return took;
    }
    return undefined;
  }

  #setAside({ label, steps }: Pick<PendingEntry, 'label' | 'steps'>, reason: string): void {
    const took = this.#whoTook(steps);
    // What was told of the deletion alone is a part of this.
    const told = this.#asides.list.find(
      (each) => took && each.steps.length === 0 && isExpected(expectationOf(each.putBack), took.putBack),
    );
    if (told) this.#asides.drop(told.id);
    this.#addAside({ label, reason, steps, ...(took ? { putBack: took.putBack } : {}) });
  }

  #addAside(aside: Omit<Aside, 'id' | 'time'>): void {
    const isKept = this.#asides.add(aside);
    this.tell(
      `“${aside.label}” was set aside: ${aside.reason}${isKept ? '' : ' The storage of the browser is full: it is only in this window.'}`,
    );
  }

  #tellDamage(damage: string): void {
    this.tell(damage);
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
    let { project } = this.#session;
    const kept: PendingEntry[] = [];
    const lost: { entry: PendingEntry; reason: string }[] = [];
    const shown: HistoryPart[] = [];
    for (const entry of this.#outbox.pending) {
      const applied = applySteps(project, entry.steps);
      if (applied.ok) {
        project = applied.project;
        const again = { ...entry, inverse: applied.inverse };
        shown.push(again);
        kept.push(again);
      } else if (this.#outbox.mayHaveArrived(entry)) kept.push(entry);
      else lost.push({ entry, reason: applied.reason });
    }
    this.update({ project, history: this.#history.read(shown), revision: this.#session.revision });
    this.#outbox.replace(kept);
    for (const { entry, reason } of lost) this.#setAside(entry, reason);
    this.dropLost();
  }
}
