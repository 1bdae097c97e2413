/**
 * How a person looks at the open project: the screen, the selection, what values are set for, what is asked. None of it
 * is a part of the project.
 */
import {
  type AlignTarget,
  declaredStates,
  type History,
  kindOf,
  locate,
  ownId,
  type Project,
  pathTo,
  type Step,
  scopeParts,
  startScreen,
  statesOf,
  topmost,
  touchedBy,
  treeOfId,
} from '@hovrin/core';
import { ownOf, standsAt } from './inPlace.ts';
import type { Aside } from './kept.ts';
import type { Saving } from './outbox.ts';

/** A place where something can be put. */
export interface InsertPlace {
  readonly parent: string;
  readonly index: number;
}

/** Where a component is edited: at one of its instances, with what is around that. */
export interface InPlace {
  /** The screen or component in which the instance stands. */
  readonly tree: string;
  /** The instance: its id; `c4/c9` where it stands in another one; of a surround, the screen's. */
  readonly at: string;
}

export interface EditorState {
  readonly project: Project;
  readonly screenId: string;
  /** Of a component that is shown; undefined: it is shown alone. */
  readonly inPlace: InPlace | undefined;
  readonly selection: readonly string[];
  readonly history: History;
  readonly saving: Saving;
  /** Why the server cannot store, where it says so. */
  readonly failure: string | undefined;
  /** Changes that were not stored, until the person says what becomes of them. */
  readonly asides: readonly Aside[];
  /** Changes that only this window holds, since the browser's storage is full. */
  readonly isUnkept: boolean;
  /** Revision that the server has confirmed. */
  readonly revision: number;
  /** Something that the person should know; goes away by itself. */
  readonly notice: string | undefined;
  /** What the picker is open for, if it is: a place, or a control that is to be another kind. */
  readonly picker: InsertPlace | { readonly change: string } | undefined;
  /** A question that a command asks before it is done. */
  readonly asking:
    | 'duplicate'
    | 'arrange'
    | 'replace'
    | 'bands'
    | 'changes'
    | 'asides'
    | 'component'
    | 'surround'
    | 'repeat'
    | 'cases'
    | 'marks'
    | undefined;
  /** What controls are lined up with, and whether as one. */
  readonly alignTarget: AlignTarget;
  readonly alignAsOne: boolean;
  /** What values are set for: a band's name (from there up), an orientation; empty: all widths. */
  readonly scope: string;
  /** What dragging and nudging go by, CSS px. */
  readonly step: number;
  /** The control of which something is to be typed next, and what: its name, or the first of its properties (its words). */
  readonly typing: { readonly control: string; readonly what: 'name' | 'first' | 'find' } | undefined;
}

/** How long a notice stays, ms. */
const noticeStays = 8000;

/** The state of an editor as it begins. */
export const beginning = (project: Project, revision: number): EditorState => ({
  project,
  screenId: startScreen(project)?.id ?? '',
  inPlace: undefined,
  selection: [],
  history: { undo: [], redo: [] },
  saving: 'saved',
  failure: undefined,
  asides: [],
  isUnkept: false,
  revision,
  notice: undefined,
  picker: undefined,
  typing: undefined,
  asking: undefined,
  alignTarget: 'each other',
  alignAsOne: false,
  scope: '',
  step: Number(localStorage.getItem('hovrin.step')) || 4,
});

export class EditorView {
  state: EditorState;
  /** How the places were left, see `useHeld`. */
  readonly held = new Map<string, unknown>();
  readonly #listeners = new Set<() => void>();
  #noticeTimer: ReturnType<typeof setTimeout> | undefined;
  /** Whether what is edited for follows from the bay that was pressed last. */
  #scopeOfBay = false;

  constructor(state: EditorState) {
    this.state = state;
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  protected update(change: Partial<EditorState>): void {
    this.state = { ...this.state, ...change };
    for (const listener of this.#listeners) listener();
  }

  select = (asked: readonly string[]): void => {
    // A part of an instance stands for the instance, one of a surround for its screen.
    const ids = [...new Set(asked.map((id) => ownId(ownOf(this.state.inPlace, id))))];
    const [first] = ids;
    const at = first === undefined ? undefined : locate(this.state.project, first);
    this.update({
      selection: ids,
      ...(at && at.screen.id !== this.state.screenId ? { screenId: at.screen.id, inPlace: undefined } : {}),
    });
    const { width, state } = scopeParts(this.state.project, this.state.scope);
    // Values are set for a state as long as what is selected has it.
    if (state !== '' && !this.#hasState(state)) this.editFor(width);
  };

  /** @param inPlace of a component: the instance where it is edited; absent: it is shown alone. */
  showScreen = (screenId: string, inPlace?: InPlace): void => {
    if (screenId !== this.state.screenId)
      this.update({ screenId, inPlace, selection: [], picker: undefined });
    else if (inPlace !== this.state.inPlace) this.update({ inPlace });
  };

  openPicker = (picker: EditorState['picker']): void => this.update({ picker });
  ask = (asking: EditorState['asking']): void => this.update({ asking });
  alignTo = (alignTarget: AlignTarget, alignAsOne: boolean): void => this.update({ alignTarget, alignAsOne });
  editFor = (scope: string): void => {
    this.#scopeOfBay = false;
    this.update({ scope });
  };
  /** Edits in a side bay are for that bay's band; back in the working bay they are for the scope chosen before. */
  editIn = (band: string | undefined): void => {
    if (band === undefined) {
      if (this.#scopeOfBay) this.editFor('');
    } else if (this.state.scope === '' || this.#scopeOfBay) {
      this.#scopeOfBay = true;
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
    clearTimeout(this.#noticeTimer);
    this.#noticeTimer = setTimeout(() => this.update({ notice: undefined }), noticeStays);
    this.update({ notice });
  };

  dismissNotice = (): void => this.update({ notice: undefined });

  /** Lets go of everything that was deleted: selected controls, the shown screen, a band that is edited for. */
  protected dropLost(): void {
    const { project, selection, screenId, scope, inPlace } = this.state;
    if (inPlace && !standsAt(project, screenId, inPlace)) this.update({ inPlace: undefined });
    const left = selection.filter((id) => pathTo(project, id).length > 0);
    const screen = treeOfId(project, screenId) ? screenId : (startScreen(project)?.id ?? '');
    if (left.length !== selection.length || screen !== screenId)
      this.update({
        selection: left,
        screenId: screen,
        ...(screen === screenId ? {} : { inPlace: undefined }),
      });
    const { width, state } = scopeParts(project, scope);
    // A band that is not there any more reads as a state.
    if (state !== '' && !this.#hasState(state)) this.editFor(width);
  }

  /** Whether all selected controls may be in a state. */
  #hasState(state: string): boolean {
    const { project, selection } = this.state;
    return (
      selection.length > 0 &&
      selection.every((id) => {
        const path = pathTo(project, id);
        const control = path.at(-1);
        return (
          control !== undefined &&
          (statesOf(kindOf(control)).some((each) => each === state) ||
            path.some((each) => declaredStates(each).includes(state)))
        );
      })
    );
  }

  /**
   * After an undo the screen that it touched is shown, so that it never happens out of sight, and what changed there is
   * selected; a selection that holds some of it stays.
   */
  protected showWhatChanged(before: Project, steps: readonly Step[]): void {
    const { project } = this.state;
    const touched = steps.flatMap(touchedBy).flatMap((id) => {
      const screen = locate(project, id)?.screen.id ?? locate(before, id)?.screen.id;
      return screen !== undefined && treeOfId(project, screen) !== undefined ? [{ id, screen }] : [];
    });
    // Where something changed on the screen that is shown, that is what one sees.
    const { screen } = touched.find((each) => each.screen === this.state.screenId) ?? touched[0] ?? {};
    if (screen === undefined) return;
    if (screen !== this.state.screenId) this.showScreen(screen);
    this.dropLost();
    const changed = touched.flatMap((each) => (each.screen === screen ? each.id : []));
    if (changed.some((id) => this.state.selection.includes(id))) return;
    const all = topmost(project, changed).map(({ control }) => control.id);
    if (all.length > 0) this.update({ selection: all });
  }
}
