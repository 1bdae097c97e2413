/**
 * The script of an exported page: which screen and which dialogs are shown, what events ask of the page, and when
 * something happens by itself. One screen is on the page at a time; the script holds the others, and dialogs wait in
 * templates.
 */
import {
  type Acting,
  addFunctions,
  addPatterns,
  addStatements,
  type Dispose,
  type FeedStatus,
  type Host,
  isSameRow,
  manners,
  type Program,
  type ProgramTable,
  Runtime,
  type ScreenProgram,
  type StateValue,
  sharingBudget,
  type Trace,
} from '@hovrin/core/runtime';
import { nameIn } from './address.ts';
import { markPlace, startBehaviours } from './behaviours.ts';
import { Binder, finderIn } from './binder.ts';
import { Dialogs } from './dialogs.ts';
import { forget, startForms } from './forms.ts';
import { startGroups } from './groups.ts';
import { handlerNamed } from './handlers.ts';
import { Kept } from './kept.ts';
import { keepMessage, showMessage } from './messages.ts';
import { focusable, focusHeading, movesLess, partOf, rowOf, type ScreenElement } from './on-screen.ts';
import type { Around, Begin, Change, Holds, Piece } from './pieces/piece.ts';
import { followScrollers, scrollScreen } from './scrolling.ts';
import { fetchRows, takeRows } from './stored-rows.ts';
import { follows, joinTrial, tell, tellProblem, trial } from './trial.ts';
import { Ways } from './ways.ts';

/** The pieces of this page's script: each puts itself in before the page starts. */
export const pieces: Piece[] = [];

let started: Page | undefined;

/** Starts the page. Called once, when the document is there. */
export function start(program: Program): void {
  showMode(new URLSearchParams(location.search).get('mode'));
  // The first screen shares one budget of work: it opens in time, and expressions beyond the budget are left out.
  sharingBudget(() => {
    started = new Page(program);
    started.open();
  });
}

/** The address may ask for a mode of the page, whatever the device is set to. */
function showMode(mode: string | null): void {
  const { dataset } = document.documentElement;
  if (mode === 'contrast') dataset.contrast = 'more';
  else if (mode) dataset.mode = mode;
}

/** What a page is to the application's own code; its types are in the `hovrin.d.ts` that is handed over with it. */
export const offered = {
  get: (name: string): StateValue => running().runtime.read(name),
  set: (name: string, value: unknown): boolean => running().runtime.take(name, value),
  subscribe: (name: string, apply: (value: StateValue) => void): Dispose =>
    running().runtime.watch(name, apply),
  go: (screen: string, values?: unknown): void => running().go(screen, values),
  message: showMessage,
};

/** @throws Error before the page has started. */
function running(): Page {
  if (!started) throw new Error('The page has not started yet.');
  return started;
}

/** Takes the rows of a table; called by the scripts that they lie in. */
export function rows(name: string, list: StateValue): void {
  takeRows(name, list);
}

class Page implements Acting {
  readonly runtime: Runtime;
  readonly #host: Host;
  readonly #binder: Binder;
  /** The elements of all screens; what was typed into them stays. */
  readonly #elements = new Map<string, HTMLElement>();
  #current: HTMLElement | undefined;
  /** Names of the screens that have been shown, the one that is shown last. */
  readonly #way: string[] = [];
  /** Undefined where the page is tried out: pages in several frames share one history. */
  readonly #ways = trial ? undefined : new Ways(() => this.#dialogs.close());
  /** Ends what is bound on the screen that is shown. */
  #unbind: Dispose = () => {};
  /** The screen that somebody goes to in another window: what its events do happens there. */
  #heard: string | undefined;
  /** What is done when this window begins, or ends, to be the one in which things happen by themselves. */
  readonly #leads: (() => void)[] = [];
  /** What pieces do as long as a screen or a dialog is shown. */
  readonly #shows: Begin[] = [];
  /** What puts a screen in the place of another. */
  #change = ({ swap }: Change): void => swap();
  /** How the next screen comes, where an event says so, and whether it is on the way back. */
  #next: { by?: Change['by']; isBack?: boolean } = {};
  /** What holds a person back who leaves a screen. */
  #holds: Holds = () => false;
  /** What the next screen is entered with. */
  #brought: unknown;
  readonly #views: Around['views'] = new Map();
  readonly #dialogs = new Dialogs();
  /** Dialogs are being closed since they were in another window. */
  #closesQuietly = false;
  /** Names of the dialogs that are open, the one on top last. */
  readonly #opened: string[] = [];

  constructor(private readonly program: Program) {
    const names = program.state.flatMap(({ name, kept }) => (kept ? name : []));
    const kept = new Kept(program.kept, names, (problem) => {
      tellProblem(problem);
      showMessage(problem);
    });
    this.#host = {
      acting: this,
      problem: tellProblem,
      handler: handlerNamed,
      see: (name, hold) => this.#views.get(name)?.(hold),
      ...(trial ? { traced: (trace: Trace) => trial?.traced(trace) } : {}),
      kept: (name) => kept.value(name),
      keep: (name, value) => kept.keep(name, value),
    };
    this.runtime = new Runtime(program, this.#host);
    this.#binder = new Binder(this.runtime, program);
  }

  open(): void {
    for (const element of document.body.querySelectorAll<HTMLElement>(':scope > .k-screen'))
      this.#elements.set(element.dataset.name!, element);
    startBehaviours(document);
    startGroups(document);
    startForms(document);
    for (const piece of pieces)
      piece(document, {
        say: showMessage,
        program: this.program,
        runtime: this.runtime,
        host: this.#host,
        views: this.#views,
        tellStatus: (variable, status) => this.#tellStatus(variable, status),
        addFunctions,
        addPatterns,
        addStatements,
        addManner: (kind, manner) => void manners.set(kind, manner),
        repeatBy: (make) => {
          this.#binder.makeRepeat = make;
        },
        careForTables: (care) => {
          this.#binder.tables = care;
        },
        asItLeads: (begin) => void this.#leads.push(begin),
        asItShows: (begin) => void this.#shows.push(begin),
        changeBy: (change) => {
          this.#change = change;
        },
        holdBack: (holds) => {
          this.#holds = holds;
        },
      });
    // Each page has its tables from beside it, and knows itself how their rows come.
    const told = new Set(this.program.state.flatMap(({ table }) => table?.status ?? []));
    const everywhere = joinTrial({
      // What follows others does so everywhere.
      variables: this.program.state.flatMap(({ name, computed }) => (computed || told.has(name) ? [] : name)),
      watch: (name, apply) => this.runtime.watch(name, apply),
      set: (name, value) => this.runtime.takeFromOther(name, value),
      go: (screen) => {
        if (this.#way.at(-1) !== screen) this.#heard = screen;
        this.go(screen);
      },
      dialogs: (names) => this.#showDialogs(names),
      leads: () => {
        for (const begin of this.#leads) begin();
      },
    });
    for (const { name, table } of this.program.state) if (table) this.#table(name, table, everywhere);
    // What the first screen does as it is entered is told to the others, too.
    window.addEventListener('hashchange', () => this.#showAddressed(this.#ways?.come()));
    this.#showAddressed();
  }

  /** @param everywhere does something that happens in other windows by itself. */
  #table(name: string, table: ProgramTable, everywhere: (happens: () => void) => void): void {
    fetchRows(name, table, {
      receive: (rows) => everywhere(() => this.runtime.begin(name, rows)),
      status: (status) => this.#tellStatus(table.status, status),
      problem: (text) => tellProblem(`${name}: ${text}`),
    });
  }

  #tellStatus(variable: string | undefined, status: FeedStatus): void {
    if (this.program.state.some((each) => each.name === variable)) this.runtime.assign(variable!, status);
  }

  /** @param values what variables hold when it is entered, by their names. @param replaces this one is no part of the way back. */
  go(screen: string, values?: unknown, replaces?: boolean, by?: Change['by']): void {
    if (!this.program.screens.some(({ name, dialog }) => name === screen && !dialog)) {
      tellProblem(`There is no screen \`${screen}\`.`);
      return;
    }
    const isHere = this.#way.at(-1) === screen;
    if (!isHere && this.#heard !== screen && this.#holds(() => this.go(screen, values, replaces, by))) return;
    this.#dialogs.closeAll();
    // A screen that is shown already is not entered once more.
    if (isHere) {
      this.#bring(values);
      return;
    }
    this.#brought = values;
    this.#next = { by };
    const hash = encodeURIComponent(screen);
    if (replaces) this.#way.pop();
    if (this.#ways) this.#ways.go(hash, replaces);
    else window.location.hash = hash;
  }

  /** Sets the variables that a screen is entered with. */
  #bring(values: unknown): void {
    for (const [name, value] of Object.entries(values ?? {})) this.runtime.assign(name, value);
  }

  /** @param quietly it was opened in another window. */
  openDialog(name: string, values?: unknown, quietly = false): void {
    const screen = this.program.screens.find((each) => each.name === name && each.dialog);
    // What is open already is not opened once more.
    if (!screen || this.#opened.includes(name)) {
      if (!screen) tellProblem(`There is no dialog \`${name}\`.`);
      return;
    }
    const element = this.#fromTemplate(name);
    if (!element) return;
    if (!quietly) {
      this.#beginAnew(name);
      this.#bring(values);
    }
    this.#opened.push(name);
    this.#ways?.opened();
    this.#dialogs.show(
      element,
      screen.title,
      () => {
        if (!this.#closesQuietly) element.dispatchEvent(new Event('hovrin-leave'));
        unbind();
        keepMessage();
        this.#opened.splice(this.#opened.indexOf(name), 1);
        this.#ways?.closed();
        this.#tellDialogs();
      },
      quietly,
    );
    followScrollers(element);
    const unbind = this.#bindScreen(screen, element);
    if (!quietly) element.dispatchEvent(new Event('hovrin-enter'));
    this.#tellDialogs();
  }

  closeDialog(): void {
    if (!this.#dialogs.close()) tellProblem('No dialog is open.');
  }

  #tellDialogs(): void {
    tell({ type: 'hovrin-dialogs', names: [...this.#opened] });
  }

  /** Shows the dialogs that are open elsewhere, and no others. */
  #showDialogs(names: readonly string[]): void {
    this.#closesQuietly = true;
    while (this.#opened.some((name, index) => names[index] !== name) && this.#dialogs.close());
    this.#closesQuietly = false;
    for (const name of names) this.openDialog(name, undefined, true);
  }

  /** The screen before this one; where there was none, the first. */
  back(): void {
    if (this.#holds(() => this.back())) return;
    this.#dialogs.closeAll();
    this.#next = { isBack: true };
    if (this.#ways?.back()) return;
    this.#way.pop();
    this.go(this.#way.pop() ?? this.program.start);
    this.#next = { isBack: true };
  }

  focus(control: string, row?: unknown): void {
    this.#once(control, row, (element) => {
      const target = element.matches(focusable) ? element : element.querySelector<HTMLElement>(focusable);
      if (target) target.focus();
      else element.scrollIntoView({ block: 'nearest' });
    });
  }

  scrollTo(control: string, row?: unknown): void {
    this.#once(control, row, (element) =>
      element.scrollIntoView({ block: 'nearest', behavior: movesLess() ? 'auto' : 'smooth' }),
    );
  }

  /** Does something with a control; of a row once the event has ended, since what it adds is not on the page before. */
  #once(control: string, row: unknown, act: (element: HTMLElement) => void): void {
    const now = () => {
      const element = this.#onScreen(control, row);
      if (element) act(element);
    };
    if (row === undefined) now();
    else setTimeout(now);
  }

  message(text: string): void {
    showMessage(text);
  }

  /** A control of the uppermost dialog, or of the screen, by its name; of a repeat that of a row. */
  #onScreen(control: string, row?: unknown): HTMLElement | null {
    const shown = this.#dialogs.top ?? this.#current;
    const element = !shown
      ? null
      : row === undefined
        ? finderIn([shown])(control)
        : [...shown.querySelectorAll<HTMLElement>(`[data-name^="${CSS.escape(control)}["]`)].find((each) =>
            isSameRow(rowOf(each), row),
          );
    if (!element) tellProblem(`There is no control \`${control}\` on this screen.`);
    return element ?? null;
  }

  /**
   * Shows the screen that the address names, the one with the part that it names, or the start screen.
   *
   * @param scrolled how far it was scrolled when it was shown at this place of the history.
   */
  #showAddressed(scrolled = 0): void {
    const name = nameIn(window.location.hash);
    const part = partOf(this.#elements.values(), name);
    const { screens, start } = this.program;
    const wanted = part ? part.screen.dataset.name : name || start;
    const found = screens.find((each) => each.name === wanted && !each.dialog);
    const screen = found ?? (this.#current ? undefined : screens.find((each) => each.name === start));
    const { by, isBack = false } = this.#next;
    this.#next = {};
    if (screen && this.#elements.get(screen.name) !== this.#current) {
      const swap = () => this.#show(screen, scrolled);
      if (this.#current) this.#change({ to: screen, isBack, by, swap });
      else swap();
    }
    part?.element.scrollIntoView();
    if (!found && name) this.message(`There is no screen “${name}”.`);
  }

  #show(screen: ScreenProgram, scrolled: number): void {
    const element = this.#elements.get(screen.name);
    if (!element) return;
    // A page that begins beside others finds done what happens at the beginning.
    const heard = this.#heard === screen.name || (this.#way.length === 0 && follows());
    this.#heard = undefined;
    if (!heard) {
      this.#dialogs.closeAll();
      this.#current?.dispatchEvent(new Event('hovrin-leave'));
    }
    this.#unbind();
    if (this.#way.at(-1) !== screen.name) this.#way.push(screen.name);
    if (!heard) {
      this.#beginAnew(screen.name);
      this.#bring(this.#brought);
    }
    this.#brought = undefined;
    const first = this.#current === undefined;
    const moved = !first && this.#current !== element;
    if (first) for (const other of this.#elements.values()) if (other !== element) other.remove();
    if (moved) {
      this.#current?.replaceWith(element);
      element.querySelectorAll('form').forEach(forget);
    }
    element.hidden = false;
    this.#current = element;
    document.title = screen.title;
    markPlace(element, screen.name);
    followScrollers(element);
    const find = finderIn([element]);
    // What was entered while the script was still on its way counts.
    if (first) this.#binder.takeEntered(screen, find);
    this.#unbind = this.#bindScreen(screen, element);
    if (moved) {
      scrollScreen(scrolled);
      if (!heard) focusHeading(element);
    }
    tell({ type: 'hovrin-screen', text: screen.name });
    if (!heard) element.dispatchEvent(new Event('hovrin-enter'));
  }

  /** What only a screen knows holds at first what it held at the beginning. */
  #beginAnew(screen: string): void {
    for (const variable of this.program.state)
      if (variable.screen === screen && !variable.computed && !variable.kept)
        this.runtime.assign(variable.name, variable.initial);
  }

  /** Binds what is in a screen or dialog that is shown. @returns what ends that. */
  #bindScreen(screen: ScreenProgram, element: ScreenElement): Dispose {
    const find = finderIn([element]);
    const shown = this.#shows.map((begin) => begin(screen, element));
    let bound: Dispose[] = [];
    const end = (begun: Dispose[]) => begun.splice(0).map((dispose) => dispose());
    element.bindAnew = () => {
      end(bound);
      bound = [...this.#binder.bindAll(screen, find), this.#binder.listen(screen, find)];
    };
    element.bindAnew();
    return () => end([...shown, ...bound]);
  }

  #fromTemplate(name: string): HTMLElement | undefined {
    for (const template of document.body.querySelectorAll('template'))
      if (template.dataset.screen === name)
        return (
          (template.content.cloneNode(true) as DocumentFragment).querySelector<HTMLElement>('.k-screen') ??
          undefined
        );
    return undefined;
  }
}
