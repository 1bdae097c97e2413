/** Pages that run side by side: their messages are heard, and what happens in one happens in the others. */
import { isRightToLeft } from '@hovrin/core';
import type { TaskStep, ToldTrace } from '@hovrin/core/runtime';
import { type ScreenSize, safeOf } from '../sizes.ts';
import type { Conditions } from './conditions.tsx';
import type { GivenThing } from './Given.tsx';

/** What a running page says to the window around it. */
export type PageMessage =
  | { readonly type: 'hovrin-problem' | 'hovrin-screen' | 'hovrin-pick'; readonly text: string }
  | { readonly type: 'hovrin-state'; readonly name: string; readonly value: unknown }
  | { readonly type: 'hovrin-trace'; readonly trace: ToldTrace }
  | { readonly type: 'hovrin-file'; readonly name: string; readonly text: string }
  | { readonly type: 'hovrin-copy'; readonly text: string }
  | { readonly type: 'hovrin-secret'; readonly name: string; readonly text: string }
  | { readonly type: 'hovrin-did'; readonly step: TaskStep }
  | { readonly type: 'hovrin-task-step'; readonly index: number; readonly problem?: string }
  | { readonly type: 'hovrin-task-end'; readonly ok: boolean }
  | { readonly type: 'hovrin-keep'; readonly key: string; readonly text: string }
  | { readonly type: 'hovrin-dialogs'; readonly names: readonly string[] };

/** The screen that a page begins with, by its address. */
export const startOf = (address: string): string => decodeURIComponent(address.split('#')[1] ?? '');

/** Who hears what pages tell the person. */
export interface FramesListener {
  onProblem(text: string): void;
  onPick(screen: string, control: string): void;
  onGiven(thing: GivenThing): void;
  onTrace(size: string, screen: string, trace: ToldTrace): void;
  /** A variable holds another value. */
  onValue(name: string, value: unknown): void;
  /** A page keeps something for the next run. */
  onKeep(key: string, text: string): void;
  /** What a person did while a task is recorded. */
  onStep(step: TaskStep): void;
  /** How a step of a task went; undefined: well. */
  onTaskStep(index: number, problem: string | undefined): void;
  onTaskEnd(): void;
  /** A page has said that it runs. */
  onRunning(size: string): void;
}

/** What all pages run under. */
export interface FramesSetting {
  readonly address: string;
  readonly linked: boolean;
  readonly conditions: Conditions;
  /** The sizes that are shown, the first of which does for all what happens by itself. */
  readonly sizes: readonly ScreenSize[];
  /** A size as it was turned or drawn. */
  sizeOf(label: string): ScreenSize | undefined;
}

/** Where messages to a page go. */
export interface PageWindow {
  postMessage(message: object, target: string): void;
}

export class LinkedFrames {
  private readonly windows = new Map<string, () => PageWindow | null>();
  /** Which screen each shows. */
  private readonly screens = new Map<string, string>();
  /** What has been entered since the beginning. */
  private readonly entered = new Map<string, unknown>();

  /** Secrets that pages were given since the beginning, by name. */
  private readonly secrets = new Map<string, string>();

  private recording = { on: false, expects: false };

  /** Where the pages were when they were loaded again, and which dialogs were open; undefined: they begin. */
  private was: { readonly screen: string | undefined; readonly dialogs: readonly string[] } | undefined;
  /** The screen that somebody went to last; undefined: they are where they began. */
  private here: string | undefined;
  private dialogs: readonly string[] = [];

  /** @param typed secrets that the person has typed in this window. */
  constructor(private readonly typed: () => ReadonlyMap<string, string> = () => new Map()) {}

  /** @returns what is called when the frame goes. */
  add(label: string, window: () => PageWindow | null): () => void {
    this.windows.set(label, window);
    return () => {
      this.windows.delete(label);
      this.screens.delete(label);
    };
  }

  /** The pages are loaded again: they keep the values that were entered, the screen and the open dialogs. */
  reload(): void {
    this.was = { screen: this.here, dialogs: this.dialogs };
    this.screens.clear();
  }

  /** Everything begins anew. */
  forget(): void {
    this.entered.clear();
    this.secrets.clear();
    this.was = undefined;
    this.here = undefined;
    this.dialogs = [];
  }

  /** Gives a secret to all pages, and to those that begin later. */
  setSecret(name: string, text: string): void {
    this.secrets.set(name, text);
    for (const label of this.windows.keys()) this.send(label, { type: 'hovrin-secret', name, text });
  }

  /** Whether pages tell what a person does in them; those that begin later, too. */
  setRecording(how: { readonly on: boolean; readonly expects: boolean }): void {
    this.recording = how;
    for (const label of this.windows.keys()) this.send(label, { type: 'hovrin-record', ...how });
  }

  /** A page does the steps of a task. */
  doTask(label: string, steps: readonly TaskStep[]): void {
    this.send(label, { type: 'hovrin-task', steps });
  }

  /** Gives a variable another value in all pages. */
  set(name: string, value: unknown): void {
    this.entered.set(name, value);
    for (const label of this.windows.keys()) this.send(label, { type: 'hovrin-set', name, value });
  }

  private send(label: string, message: object): void {
    this.windows.get(label)?.()?.postMessage(message, '*');
  }

  /** Tells a page of the device that it runs on, and of its reader. */
  tellConditions(label: string, { conditions, linked, sizes, sizeOf }: FramesSetting): void {
    const size = sizeOf(label);
    if (!size) return;
    const { long: _, sample: __, locale, ...rest } = conditions;
    if (locale !== undefined) this.send(label, { type: 'hovrin-set', name: 'View.locale', value: locale });
    this.send(label, {
      type: 'hovrin-conditions',
      ...rest,
      rightToLeft: rest.rightToLeft || (locale !== undefined && isRightToLeft(locale)),
      touch: size.touch ?? false,
      safe: safeOf(size),
      // One of those that are linked does what happens by itself, or each would do it for all.
      follows: linked && label !== sizes[0]?.label,
      ...(size.hinge ? { hinge: size.hinge } : {}),
    });
  }

  tellAllConditions(setting: FramesSetting): void {
    for (const label of this.windows.keys()) this.tellConditions(label, setting);
  }

  /** Hears what a page says. @param source its window; what others say is nothing. */
  hear(source: unknown, data: PageMessage, setting: FramesSetting, listener: FramesListener): void {
    const label = [...this.windows].find(([, window]) => window() === source)?.[0];
    if (label === undefined || typeof data?.type !== 'string') return;
    const others = setting.linked ? [...this.windows.keys()].filter((each) => each !== label) : [];
    const tellOthers = (message: object) => {
      for (const each of others) this.send(each, message);
    };
    switch (data.type) {
      case 'hovrin-problem':
        listener.onProblem(String(data.text));
        break;
      case 'hovrin-pick':
        listener.onPick(this.screens.get(label) ?? '', String(data.text));
        break;
      case 'hovrin-file':
        listener.onGiven({ as: 'file', name: String(data.name), text: String(data.text) });
        break;
      case 'hovrin-did':
        listener.onStep(data.step);
        break;
      case 'hovrin-task-step':
        listener.onTaskStep(data.index, data.problem);
        break;
      case 'hovrin-task-end':
        listener.onTaskEnd();
        break;
      case 'hovrin-secret':
        this.secrets.set(String(data.name), String(data.text));
        tellOthers({ type: 'hovrin-secret', name: String(data.name), text: String(data.text) });
        break;
      case 'hovrin-copy':
        listener.onGiven({ as: 'copy', text: String(data.text) });
        break;
      case 'hovrin-trace':
        listener.onTrace(label, this.screens.get(label) ?? '', data.trace);
        break;
      case 'hovrin-screen':
        if (this.begins(label, setting, listener)) this.start(label, String(data.text), others, setting);
        else this.follow(label, String(data.text), others);
        break;
      case 'hovrin-keep':
        listener.onKeep(String(data.key), String(data.text));
        break;
      case 'hovrin-dialogs':
        this.dialogs = data.names.map(String);
        tellOthers({ type: 'hovrin-show-dialogs', names: this.dialogs });
        break;
      case 'hovrin-state':
        this.entered.set(data.name, data.value);
        listener.onValue(data.name, data.value);
        tellOthers({ type: 'hovrin-set', name: data.name, value: data.value });
        break;
    }
  }

  /** A page says its first screen: it is told all that it has missed. */
  private begins(label: string, setting: FramesSetting, listener: FramesListener): boolean {
    if (this.screens.has(label)) return false;
    this.tellConditions(label, setting);
    if (this.recording.on) this.send(label, { type: 'hovrin-record', ...this.recording });
    for (const [name, text] of [...this.typed(), ...this.secrets])
      this.send(label, { type: 'hovrin-secret', name, text });
    if (setting.linked)
      for (const [name, value] of this.entered) this.send(label, { type: 'hovrin-set', name, value });
    listener.onRunning(label);
    return true;
  }

  /** The first screen of a page is where it begins, unless a link was pressed before it had started. */
  private start(label: string, screen: string, others: readonly string[], { address }: FramesSetting): void {
    if (screen !== startOf(address)) {
      this.follow(label, screen, others);
      return;
    }
    this.screens.set(label, screen);
    const elsewhere = others.map((each) => this.screens.get(each)).find(Boolean) ?? this.was?.screen;
    if (elsewhere && elsewhere !== screen) this.send(label, { type: 'hovrin-go', screen: elsewhere });
    if (this.was && this.was.dialogs.length > 0)
      this.send(label, { type: 'hovrin-show-dialogs', names: this.was.dialogs });
  }

  /** The others go where one has gone. */
  private follow(label: string, screen: string, others: readonly string[]): void {
    this.screens.set(label, screen);
    this.here = screen;
    for (const each of others)
      if ((this.screens.get(each) ?? screen) !== screen) this.send(each, { type: 'hovrin-go', screen });
  }
}
