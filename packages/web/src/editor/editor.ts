/**
 * The open project in the browser: its newest version, what is selected, what can be undone, and whether the
 * server has it all. Changes show at once and are sent in the background.
 */
import {
  type AlignTarget,
  type Appended,
  applySteps,
  emptyHistory,
  type History,
  historyAfter,
  historyOf,
  type LogEntry,
  locate,
  mergeAll,
  type Project,
  pathTo,
  type ScreenLayout,
  type SentEntry,
  type Step,
  type StoredEntry,
  scoped,
  startScreen,
  topmost,
  typedNowValid,
} from '@hovrin/core';
import { api, type OpenedProject, Refused } from '../api.ts';
import { newId } from './commands/command.ts';
import { abandonedOutboxes, claimClient, keepOutbox } from './pending.ts';

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

export type Saving = 'saved' | 'saving' | 'offline';

/** A place where something can be put. */
export interface InsertPlace {
  readonly parent: string;
  readonly index: number;
}

export interface EditorState {
  readonly project: Project;
  readonly screenId: string;
  readonly selection: readonly string[];
  readonly history: History;
  readonly saving: Saving;
  /** Revision that the server has confirmed. */
  readonly revision: number;
  /** Something that the person should know; goes away by itself. */
  readonly notice: string | undefined;
  /** What the picker is open for, if it is: a place, or a control that is to be another kind. */
  readonly picker: InsertPlace | { readonly change: string } | undefined;
  /** A question that a command asks before it is done. */
  readonly asking: 'duplicate' | 'arrange' | 'replace' | 'bands' | 'changes' | undefined;
  /** What controls are lined up with, and whether as one. */
  readonly alignTarget: AlignTarget;
  readonly alignAsOne: boolean;
  /** What values are set for: a band's name (from there up), an orientation; empty: all widths. */
  readonly scope: string;
  /** What dragging and nudging go by, CSS px. */
  readonly step: number;
  /** The control of which something is to be typed next, and what: its name, or the first of its properties (its words). */
  readonly typing: { readonly control: string; readonly what: 'name' | 'first' } | undefined;
}

/** A pending entry knows what takes it back, like a stored one. */
type PendingEntry = SentEntry & Pick<LogEntry, 'inverse'>;

/** Milliseconds in which changes of one group are gathered into one request. */
const gatherFor = 300;
const retryAfter = 1500;

/** The working bay, for commands that need to know where things are. */
export interface WorkingBench {
  readonly layout: ScreenLayout;
  /** Lays the shown screen of another version of the project out at the same size. */
  readonly layOut: (project: Project) => ScreenLayout;
}

export class Editor {
  state: EditorState;
  /** Kept up to date by the bench while it is there. */
  bench: WorkingBench | undefined;
  /** How the places were left, see `useHeld`. */
  readonly held = new Map<string, unknown>();
  private readonly listeners = new Set<() => void>();
  private readonly clientId = claimClient();
  private sequence = 0;
  /** Greatest sequence that was ever sent. The server may have it even if no answer came, so it must not change. */
  private attempted = -1;
  /** What the server has, and its entries; the shown project is this with the pending entries on top. */
  private confirmed: Project;
  private entries: StoredEntry[];
  private older: boolean;
  private pending: PendingEntry[] = [];
  private sending = false;
  /** Entries of other windows that came before the answer to a request of this one. */
  private early: StoredEntry[] = [];
  private timer: ReturnType<typeof setTimeout> | undefined;
  private noticeTimer: ReturnType<typeof setTimeout> | undefined;
  private changes: EventSource | undefined;
  private closed = false;

  constructor(
    readonly projectId: string,
    opened: OpenedProject,
  ) {
    this.confirmed = opened.project;
    this.entries = [...opened.entries];
    this.older = opened.older;
    this.state = {
      project: opened.project,
      screenId: startScreen(opened.project)?.id ?? '',
      selection: [],
      history: historyOf(opened.entries),
      saving: 'saved',
      revision: opened.revision,
      notice: undefined,
      picker: undefined,
      typing: undefined,
      asking: undefined,
      alignTarget: 'each other',
      alignAsOne: false,
      scope: '',
      step: Number(localStorage.getItem('hovrin.step')) || 4,
    };
  }

  /** Opens a project and sends what closed windows left behind. */
  static async open(projectId: string): Promise<Editor> {
    let opened = await api.open(projectId);
    for (const outbox of await abandonedOutboxes(projectId)) {
      if (outbox.entries.length > 0)
        await api.append(projectId, outbox.clientId, opened.revision, outbox.entries);
      keepOutbox(projectId, { ...outbox, entries: [] });
      opened = await api.open(projectId);
    }
    const editor = new Editor(projectId, opened);
    editor.listen();
    return editor;
  }

  close(): void {
    this.closed = true;
    this.changes?.close();
    clearTimeout(this.timer);
    void this.flush();
  }

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  private update(change: Partial<EditorState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.listeners) listener();
  }

  /** Carries out a change. @returns whether its steps fit; where not, the person is told why. */
  dispatch = (change: Change): boolean => {
    if (change.steps.length === 0) return this.afterChange(change);
    const { project, scope } = this.state;
    if (change.exact || scope === '') return this.add('change', change);
    const steps = scoped(project, change.steps, scope, newId);
    const placed = steps.filter((step) => step.type === 'insert').map(({ control }) => control.id);
    // What has moved for these widths only stands there as another one.
    const copied = placed.length > 0 && change.steps.every(({ type }) => type !== 'insert');
    return this.add('change', {
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

  private add(kind: LogEntry['kind'], wanted: Change): boolean {
    const first = applySteps(this.state.project, wanted.steps);
    if (!first.ok) {
      this.tell(first.reason);
      return false;
    }
    // What was typed before its names were there takes effect with them, and goes with them in one undo.
    const typed = kind === 'change' ? typedNowValid(first.project, wanted.steps) : [];
    const change = typed.length > 0 ? { ...wanted, steps: [...wanted.steps, ...typed] } : wanted;
    const applied = typed.length > 0 ? applySteps(this.state.project, change.steps) : first;
    if (!applied.ok) throw new Error(applied.reason);
    const entry: PendingEntry = {
      sequence: this.sequence++,
      kind,
      label: change.label,
      ...(change.group ? { group: change.group } : {}),
      steps: change.steps,
      inverse: applied.inverse,
    };
    const last = this.pending.at(-1);
    // Typing and dragging: joined with the entry before, as long as that has not been sent.
    if (
      last &&
      last.sequence > this.attempted &&
      kind === 'change' &&
      last.kind === 'change' &&
      change.group &&
      last.group === change.group
    ) {
      this.pending[this.pending.length - 1] = {
        ...last,
        steps: mergeAll([...last.steps, ...entry.steps]),
        inverse: mergeAll([...entry.inverse, ...last.inverse].toReversed()).toReversed(),
      };
      this.sequence--;
    } else this.pending.push(entry);
    this.keep();
    this.update({
      project: applied.project,
      history: historyAfter(this.state.history, entry),
      saving: this.state.saving === 'offline' ? 'offline' : 'saving',
    });
    this.afterChange(change);
    this.sendSoon();
    return true;
  }

  private afterChange(change: Change): boolean {
    if (change.tell) this.tell(change.tell);
    if (change.select) this.select(change.select);
    else this.dropLostSelection();
    return true;
  }

  /** Undoes the newest change that is not undone. @returns whether there was one. */
  undo = (): boolean => this.travel('undo');
  redo = (): boolean => this.travel('redo');

  private travel(kind: 'undo' | 'redo'): boolean {
    const item = this.state.history[kind].at(-1);
    if (!item) return false;
    const before = this.state.project;
    const done = this.add(kind, { label: item.label, steps: item.steps });
    if (done) this.showWhatChanged(before, item.steps);
    if (this.state.history.undo.length < 20 && this.older) void this.fetchOlder();
    return done;
  }

  /**
   * After an undo the screen that it touched is shown, so that it never happens out of sight, and what changed there is
   * selected; a selection that holds some of it stays.
   */
  private showWhatChanged(before: Project, steps: readonly Step[]): void {
    const { project } = this.state;
    const touched = steps.flatMap((step) => {
      if (step.type === 'project' || step.type === 'rows') return [];
      const id = step.type === 'insert' ? step.control.id : step.control;
      const screen = locate(project, id)?.screen.id ?? locate(before, id)?.screen.id;
      return screen !== undefined && project.screens.some((each) => each.id === screen) ? { id, screen } : [];
    });
    // Where something changed on the screen that is shown, that is what one sees.
    const { screen } = touched.find((each) => each.screen === this.state.screenId) ?? touched[0] ?? {};
    if (screen === undefined) return;
    if (screen !== this.state.screenId) this.update({ screenId: screen, selection: [] });
    this.dropLostSelection();
    const changed = touched.flatMap((each) => (each.screen === screen ? each.id : []));
    if (changed.some((id) => this.state.selection.includes(id))) return;
    const all = topmost(project, changed).map(({ control }) => control.id);
    if (all.length > 0) this.update({ selection: all });
  }

  private async fetchOlder(): Promise<void> {
    const first = this.entries[0];
    if (!first) return;
    try {
      const page = await api.entriesBefore(this.projectId, first.revision);
      this.entries = [...page.entries, ...this.entries];
      this.older = page.older;
      this.rebuild();
    } catch {
      // Tried again at the next undo.
    }
  }

  select = (ids: readonly string[]): void => {
    const [first] = ids;
    const at = first === undefined ? undefined : locate(this.state.project, first);
    this.update({
      selection: ids,
      ...(at && at.screen.id !== this.state.screenId ? { screenId: at.screen.id } : {}),
    });
  };

  showScreen = (screenId: string): void => {
    if (screenId !== this.state.screenId) this.update({ screenId, selection: [], picker: undefined });
  };

  openPicker = (picker: EditorState['picker']): void => this.update({ picker });
  ask = (asking: EditorState['asking']): void => this.update({ asking });
  alignTo = (alignTarget: AlignTarget, alignAsOne: boolean): void => this.update({ alignTarget, alignAsOne });
  editFor = (scope: string): void => {
    this.scopeOfBay = false;
    this.update({ scope });
  };
  /** Whether what is edited for follows from the bay that was pressed last. */
  private scopeOfBay = false;
  /** What is edited in a side bay is for its band; in the working bay again for what it was before. */
  editIn = (band: string | undefined): void => {
    if (band === undefined) {
      if (this.scopeOfBay) this.editFor('');
    } else if (this.state.scope === '' || this.scopeOfBay) {
      this.scopeOfBay = true;
      this.update({ scope: band });
    }
  };
  stepBy = (step: number): void => {
    localStorage.setItem('hovrin.step', String(step));
    this.update({ step });
  };
  setTyping = (typing: EditorState['typing']): void => this.update({ typing });

  /** Shows a sentence for a while. */
  tell = (notice: string): void => {
    clearTimeout(this.noticeTimer);
    this.noticeTimer = setTimeout(() => this.update({ notice: undefined }), 8000);
    this.update({ notice });
  };

  dismissNotice = (): void => this.update({ notice: undefined });

  private dropLostSelection(): void {
    const { project, selection, screenId } = this.state;
    const left = selection.filter((id) => pathTo(project, id).length > 0);
    const screen = project.screens.some((each) => each.id === screenId)
      ? screenId
      : (startScreen(project)?.id ?? '');
    if (left.length !== selection.length || screen !== screenId)
      this.update({ selection: left, screenId: screen });
  }

  private keep(): void {
    keepOutbox(this.projectId, {
      clientId: this.clientId,
      entries: this.pending.map(({ inverse: _, ...entry }) => entry),
    });
  }

  private sendSoon(after = gatherFor): void {
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.flush(), after);
  }

  /** Sends what is pending now. @returns whether the server has everything. */
  async flush(): Promise<boolean> {
    clearTimeout(this.timer);
    if (this.sending) {
      this.sendSoon(50);
      return false;
    }
    // A copy: what is done while the request is on its way joins the list behind it.
    const sent = [...this.pending];
    if (sent.length === 0) return true;
    this.sending = true;
    this.attempted = Math.max(this.attempted, ...sent.map((entry) => entry.sequence));
    let answer: Appended;
    try {
      const entries = sent.map(({ inverse: _, ...entry }) => entry);
      answer = await api.append(this.projectId, this.clientId, this.state.revision, entries);
    } catch (error) {
      if (error instanceof Refused) this.tell(`${error.message} Your changes are kept here and tried again.`);
      this.update({ saving: 'offline' });
      if (!this.closed) this.sendSoon(retryAfter);
      return false;
    } finally {
      this.sending = false;
    }
    this.received(answer, sent);
    this.takeEarly();
    if (this.pending.length > 0) this.sendSoon(0);
    return this.pending.length === 0;
  }

  /** Waits until the server has everything. @returns false where it cannot be reached. */
  async settled(): Promise<boolean> {
    // A step of rows by the thousand takes the server some seconds.
    for (let tries = 0; tries < 1200 && this.pending.length > 0; tries++) {
      if (this.state.saving === 'offline') return false;
      await this.flush();
      if (this.pending.length > 0) await new Promise((resolve) => setTimeout(resolve, 50));
    }
    return this.pending.length === 0;
  }

  private received(answer: Appended, sent: readonly PendingEntry[]): void {
    this.pending = this.pending.slice(sent.length);
    this.keep();
    const news = [...answer.missed, ...answer.accepted]
      .filter((entry) => entry.revision > this.state.revision)
      .toSorted((a, b) => a.revision - b.revision);
    const foreign = answer.missed.length > 0 || answer.refused.length > 0;
    this.confirm(news, foreign);
    const [refused] = answer.refused;
    const lost = refused && sent.find((entry) => entry.sequence === refused.sequence);
    if (refused)
      this.tell(
        `“${lost?.label ?? 'A change'}” was not kept: ${refused.reason}${refused.control ? ` (${refused.control})` : ''} Another window changed the same place.`,
      );
    this.update({ saving: this.pending.length > 0 ? 'saving' : 'saved' });
  }

  /** Takes entries into the confirmed version, in the order of their revisions. */
  private confirm(news: readonly StoredEntry[], rebuild: boolean): void {
    for (const entry of news) {
      const applied = applySteps(this.confirmed, entry.steps);
      if (!applied.ok) {
        void this.reopen();
        return;
      }
      this.confirmed = applied.project;
      this.entries.push(entry);
      this.update({ revision: entry.revision });
    }
    if (rebuild) this.rebuild();
  }

  /** The shown project anew: the confirmed one with the pending entries on top. */
  private rebuild(): void {
    let project = this.confirmed;
    let history = historyOf(this.entries);
    const kept: PendingEntry[] = [];
    for (const entry of this.pending) {
      const applied = applySteps(project, entry.steps);
      if (!applied.ok) {
        this.tell(`“${entry.label}” was not kept: ${applied.reason} Another window changed the same place.`);
        continue;
      }
      project = applied.project;
      const again = { ...entry, inverse: applied.inverse };
      history = historyAfter(history, again);
      kept.push(again);
    }
    if (!this.sending) this.pending = kept;
    this.update({ project, history: history ?? emptyHistory });
    this.dropLostSelection();
  }

  /** Takes in what other windows did, as far as nothing is missing in between. */
  private takeEarly(): void {
    this.early = this.early.filter((entry) => entry.revision > this.state.revision);
    for (let next = this.nextEarly(); next; next = this.nextEarly()) this.confirm([next], true);
    // What is still missing is either on its way in an answer, or was lost with the connection.
    if (this.early.some((entry) => entry.revision > this.state.revision) && !this.sending) void this.reopen();
  }

  private nextEarly(): StoredEntry | undefined {
    return this.early.find((entry) => entry.revision === this.state.revision + 1);
  }

  private async reopen(): Promise<void> {
    const opened = await api.open(this.projectId);
    this.confirmed = opened.project;
    this.entries = [...opened.entries];
    this.older = opened.older;
    this.update({ revision: opened.revision });
    this.rebuild();
  }

  /** Hears of other windows' changes, and notices when the server goes away and comes back. */
  private listen(): void {
    this.changes?.close();
    const source = new EventSource(api.changesAddress(this.projectId, this.state.revision));
    this.changes = source;
    source.onopen = () => {
      if (this.state.saving === 'offline')
        this.update({ saving: this.pending.length > 0 ? 'saving' : 'saved' });
      if (this.pending.length > 0) void this.flush();
    };
    source.onmessage = (message) => {
      const entry = JSON.parse(message.data as string) as StoredEntry;
      if (entry.clientId === this.clientId) return;
      this.early.push(entry);
      this.takeEarly();
    };
    source.onerror = () => {
      if (this.closed) return;
      this.update({ saving: 'offline' });
      if (source.readyState === EventSource.CLOSED) {
        source.close();
        setTimeout(() => !this.closed && this.listen(), retryAfter);
      }
    };
  }
}
