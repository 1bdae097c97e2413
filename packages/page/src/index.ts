/**
 * The script of an exported page: puts what the runtime works out onto the page's elements, and what a person
 * does into the runtime. One screen is on the page at a time; the others wait in templates.
 */
import {
  addressTo,
  asText,
  type Bindings,
  colourDeclaration,
  convert,
  type Declarations,
  type Dispose,
  declarations,
  type InsideBinding,
  type ItemFrame,
  itemFrame,
  kindNamed,
  type PageTarget,
  type Program,
  type ProgramFeed,
  partDeclarations,
  type RepeatBinding,
  Runtime,
  type ScreenProgram,
  type StateValue,
  type StyleBinding,
  shownRows,
  type Trace,
  toldTrace,
  valuesWith,
  withoutParts,
  withTurn,
} from '@hovrin/core/runtime';
import { markPlace, startBehaviours } from './behaviours.ts';
import { Dialogs } from './dialogs.ts';
import { type CarryingElement, startDragging } from './dragging.ts';
import { replaceInside } from './elements.ts';
import { type FeedTarget, startFeed } from './feeds.ts';
import { giveFile } from './files.ts';
import { startForms, watchForm } from './forms.ts';
import { handlerNamed } from './handlers.ts';
import { eventOf, readInput, wasEntered, writeInput } from './inputs.ts';
import { keepValue, keptValue } from './kept.ts';
import { keepMessage, showMessage } from './messages.ts';
import { Repeat } from './repeats.ts';
import { focusedIn, mendTable, startTables, type TableElement } from './tables.ts';
import { follows, isTried, listenInTrial, tell } from './trial.ts';

/** Starts the page. Called once, when the document is there. */
export function start(program: Program): void {
  new Page(program).open();
}

class Page {
  private readonly runtime: Runtime;
  /** Screens that have been shown; what was typed into them stays. */
  private readonly shown = new Map<string, HTMLElement>();
  private current: HTMLElement | undefined;
  /** Names of the screens that have been shown, the one that is shown last. */
  private readonly way: string[] = [];
  private bindings: Dispose[] = [];
  /** The screen that somebody goes to in another window: what its events do happens there. */
  private heard: string | undefined;
  private readonly dialogs = new Dialogs();
  /** Dialogs are being closed since they were in another window. */
  private closesQuietly = false;
  /** Names of the dialogs that are open, the one on top last. */
  private readonly opened: string[] = [];

  constructor(private readonly program: Program) {
    this.runtime = new Runtime(program, {
      actions: {
        go: (screen) => this.go(asText(screen)),
        back: () => this.back(),
        message: (text) => showMessage(asText(text)),
        open: (screen) => this.openDialog(asText(screen)),
        close: () => this.closeDialog(),
        focus: (control) => this.focus(asText(control)),
        scrollTo: (control) => this.scrollTo(asText(control)),
        download: (name, text) => giveFile(asText(name), asText(text)),
        copy: (text) => void this.copy(asText(text)),
      },
      problem: (text) => tell({ type: 'hovrin-problem', text }),
      handler: handlerNamed,
      ...(isTried()
        ? { traced: (trace: Trace) => tell({ type: 'hovrin-trace', trace: toldTrace(trace) }) }
        : {}),
      kept: (name) => keptValue(program.name, name),
      keep: (name, value) => keepValue(program.name, name, value),
    });
  }

  open(): void {
    const first = document.body.querySelector<HTMLElement>(':scope > .k-screen');
    if (first) this.shown.set(this.program.start, first);
    this.current = first ?? undefined;
    startBehaviours(document);
    startForms(document);
    startTables(document);
    startDragging(document);
    for (const { name, feed } of this.program.state) if (feed) this.feed(name, feed);
    const fed = new Set(this.program.state.flatMap(({ name, feed }) => (feed ? [name, feed.status] : [])));
    listenInTrial({
      // What follows others does so everywhere, and what comes from outside comes everywhere.
      variables: this.program.state.flatMap(({ name, computed }) => (computed || fed.has(name) ? [] : name)),
      watch: (name, apply) => this.runtime.watch(name, apply),
      set: (name, value) => this.runtime.assign(name, value),
      go: (screen) => {
        if (this.way.at(-1) !== screen) this.heard = screen;
        this.go(screen);
      },
      dialogs: (names) => this.showDialogs(names),
    });
    // What the first screen does as it is entered is told to the others, too.
    window.addEventListener('hashchange', () => this.showAddressed());
    this.showAddressed();
  }

  private feed(name: string, feed: ProgramFeed): void {
    const target: FeedTarget = {
      receive: (value) => this.runtime.assign(name, value),
      status: (status) => {
        if (this.program.state.some((each) => each.name === feed.status))
          this.runtime.assign(feed.status!, status);
      },
      problem: (text) => tell({ type: 'hovrin-problem', text: `${name}: ${text}` }),
    };
    let stop: Dispose | undefined;
    this.runtime.followAddress(feed.template, (address) => {
      stop?.();
      stop = startFeed({ ...feed, address }, target);
    });
  }

  private go(screen: string): void {
    if (!this.program.screens.some(({ name }) => name === screen)) {
      tell({ type: 'hovrin-problem', text: `There is no screen \`${screen}\`.` });
      return;
    }
    this.dialogs.closeAll();
    window.location.hash = encodeURIComponent(screen);
  }

  /** @param quietly it was opened in another window. */
  private openDialog(name: string, quietly = false): void {
    const screen = this.program.screens.find((each) => each.name === name && each.dialog);
    // What is open already is not opened once more.
    if (!screen || this.opened.includes(name)) {
      if (!screen) tell({ type: 'hovrin-problem', text: `There is no dialog \`${name}\`.` });
      return;
    }
    const element = this.fromTemplate(name);
    if (!element) return;
    if (!quietly) this.beginAnew(name);
    this.opened.push(name);
    this.dialogs.show(
      element,
      screen.title,
      () => {
        if (!this.closesQuietly) element.dispatchEvent(new Event('hovrin-leave'));
        for (const dispose of bound) dispose();
        keepMessage();
        this.opened.splice(this.opened.indexOf(name), 1);
        this.tellDialogs();
      },
      quietly,
    );
    const bound = this.bindScreen(screen, element);
    if (!quietly) element.dispatchEvent(new Event('hovrin-enter'));
    this.tellDialogs();
  }

  private closeDialog(): void {
    if (!this.dialogs.close()) tell({ type: 'hovrin-problem', text: 'No dialog is open.' });
  }

  private tellDialogs(): void {
    tell({ type: 'hovrin-dialogs', names: [...this.opened] });
  }

  /** Shows the dialogs that are open elsewhere, and no others. */
  private showDialogs(names: readonly string[]): void {
    this.closesQuietly = true;
    while (this.opened.some((name, index) => names[index] !== name) && this.dialogs.close());
    this.closesQuietly = false;
    for (const name of names) this.openDialog(name, true);
  }

  /** The screen before this one; where there was none, the first. */
  private back(): void {
    this.way.pop();
    this.go(this.way.pop() ?? this.program.start);
  }

  private focus(control: string): void {
    const element = this.onScreen(control);
    const target = element?.matches(focusable) ? element : element?.querySelector<HTMLElement>(focusable);
    if (target) target.focus();
    else element?.scrollIntoView({ block: 'nearest' });
  }

  private scrollTo(control: string): void {
    this.onScreen(control)?.scrollIntoView({ block: 'nearest', behavior: 'smooth' });
  }

  /** A control of what is shown on top, by its name. */
  private onScreen(control: string): HTMLElement | null {
    const shown = this.dialogs.top ?? this.current;
    const element = shown ? finderIn([shown], '')(control) : null;
    if (!element)
      tell({ type: 'hovrin-problem', text: `There is no control \`${control}\` on this screen.` });
    return element;
  }

  private async copy(text: string): Promise<void> {
    try {
      await navigator.clipboard.writeText(text);
    } catch {
      tell({ type: 'hovrin-problem', text: 'The browser does not let this page copy anything.' });
    }
  }

  /** Shows the screen that the address names, or the start screen. */
  private showAddressed(): void {
    let name = '';
    try {
      name = decodeURIComponent(window.location.hash.slice(1));
    } catch {
      // An address that cannot be decoded names no screen.
    }
    const screens = this.program.screens;
    const screen =
      screens.find((entry) => entry.name === name) ??
      screens.find((entry) => entry.name === this.program.start);
    if (screen) this.show(screen);
  }

  private show(screen: ScreenProgram): void {
    const element = this.shown.get(screen.name) ?? this.fromTemplate(screen.name);
    if (!element) return;
    // A page that begins beside others finds done what happens at the beginning.
    const heard = this.heard === screen.name || (this.way.length === 0 && follows());
    this.heard = undefined;
    if (!heard) this.current?.dispatchEvent(new Event('hovrin-leave'));
    for (const dispose of this.bindings) dispose();
    if (this.way.at(-1) !== screen.name) this.way.push(screen.name);
    this.shown.set(screen.name, element);
    if (!heard) this.beginAnew(screen.name);
    const moved = this.current !== element;
    if (moved) this.current?.replaceWith(element);
    this.current = element;
    document.title = screen.title;
    markPlace(element, screen.name);
    const find = finderIn([element], '');
    // What was entered while the script was still on its way counts.
    for (const { control, variable, target } of screen.twoWay) {
      const part = partOf(find(control), target);
      if (part && !moved && wasEntered(part)) this.entered(part, variable, target, control);
    }
    this.bindings = this.bindScreen(screen, element);
    if (moved) window.scrollTo(0, 0);
    tell({ type: 'hovrin-screen', text: screen.name });
    if (!heard) element.dispatchEvent(new Event('hovrin-enter'));
  }

  /** What only a screen knows holds at first what it held at the beginning. */
  private beginAnew(screen: string): void {
    for (const variable of this.program.state)
      if (variable.screen === screen && !variable.computed && !variable.kept)
        this.runtime.assign(variable.name, variable.initial);
  }

  private bindScreen(screen: ScreenProgram, element: HTMLElement): Dispose[] {
    const find = finderIn([element], '');
    return [
      ...this.bindAll(screen, find),
      this.listen(screen, find),
      this.time(screen, element),
      this.waitFor(screen, element),
    ];
  }

  /** Tells a screen each time that what it waits for has come about. */
  private waitFor({ name, when }: ScreenProgram, element: HTMLElement): Dispose {
    if (!when) return () => {};
    let before: unknown = false;
    let happened: number[] = [];
    return this.runtime.bind(
      when,
      (value) => {
        const turned = value !== before && Boolean(value);
        before = value;
        if (!turned) return;
        // What it sets off may bring it about once more, without an end.
        const now = Date.now();
        happened = [...happened.filter((time) => now - time < 1000), now];
        if (happened.length <= mostWhens)
          setTimeout(() => {
            if (!follows()) element.dispatchEvent(new CustomEvent('hovrin-when', { detail: value }));
          });
        else if (happened.length === mostWhens + 1)
          tell({ type: 'hovrin-problem', text: `${name}: what it waits for comes about again and again.` });
      },
      undefined,
      `${name}.when`,
    );
  }

  /** Tells a screen each time that its time has passed, as long as it is shown. */
  private time({ every }: ScreenProgram, element: HTMLElement): Dispose {
    if (every === undefined) return () => {};
    const pass = () => {
      if (!follows()) element.dispatchEvent(new Event('hovrin-timer'));
    };
    const timer = setInterval(pass, every * 1000);
    return () => clearInterval(timer);
  }

  private fromTemplate(name: string): HTMLElement | undefined {
    for (const template of document.body.querySelectorAll('template'))
      if (template.dataset.screen === name)
        return (
          (template.content.cloneNode(true) as DocumentFragment).querySelector<HTMLElement>('.k-screen') ??
          undefined
        );
    return undefined;
  }

  /**
   * Binds what is inside an element.
   *
   * @param find finds a control's element by its name in the program.
   * @param frame the items that it stands in.
   */
  private bindAll(bindings: Bindings, find: Find, frame?: ItemFrame): Dispose[] {
    return [
      ...bindings.content.map((binding) =>
        this.runtime.bind(
          binding.template,
          (value) => {
            const property = kindNamed(binding.kind)?.properties.find(
              (entry) => entry.name === binding.property,
            );
            if (!property) return;
            const { value: converted, message } = convert(property, value);
            if (message)
              tell({ type: 'hovrin-problem', text: `${binding.control}, ${binding.property}: ${message}` });
            this.apply(find(binding.control), binding.target, converted);
          },
          frame,
          `${binding.control}.${binding.property}`,
        ),
      ),
      ...bindings.twoWay.map(({ control, variable, target }) =>
        this.runtime.watch(variable, (value) => {
          const part = partOf(find(control), target);
          if (part) writeInput(part, target, value);
        }),
      ),
      ...bindings.inside.map((binding) => this.bindInside(binding, bindings, find, frame)),
      ...bindings.style.map((binding) => this.bindStyle(binding, find(binding.control), frame)),
      ...bindings.repeats.map((binding) => this.bindRepeat(binding, find(binding.control), frame)),
    ];
  }

  private bindRepeat(binding: RepeatBinding, element: HTMLElement | null, frame?: ItemFrame): Dispose {
    const pattern = element?.querySelector<HTMLTemplateElement>(':scope > template');
    if (!element || !pattern) return () => {};
    const repeat = new Repeat(element, pattern, binding.as, frame, (elements, suffix, inner) => {
      const find = finderIn(elements, suffix);
      return [...this.bindAll(binding.item, find, inner), this.listen(binding.item, find, inner)];
    });
    const stop = this.runtime.bindAll(
      { each: binding.each, ...binding.said },
      (values) => {
        const { each, ...said } = Object.fromEntries(values);
        if (!Array.isArray(each))
          tell({ type: 'hovrin-problem', text: `${binding.control}, each: This is not a list.` });
        repeat.show(Array.isArray(each) ? each : [], said);
      },
      frame,
      `${binding.control}.each`,
    );
    return () => {
      stop();
      repeat.end();
    };
  }

  /** Makes a part anew when what it shows changes; what is entered in it stays. */
  private bindInside(binding: InsideBinding, { twoWay }: Bindings, find: Find, frame?: ItemFrame): Dispose {
    const kind = kindNamed(binding.kind)!;
    const fixed = new Map<string, unknown>();
    for (const [name, text] of Object.entries(binding.texts)) {
      const reading = kind.properties.find((property) => property.name === name)!.type.read(text);
      if (reading.ok) fixed.set(name, reading.value);
    }
    return this.runtime.bindAll(
      binding.templates,
      (results) => {
        const held = new Map(fixed);
        for (const [name, result] of results) {
          const { value, message } = convert(
            kind.properties.find((property) => property.name === name)!,
            result,
          );
          if (message) tell({ type: 'hovrin-problem', text: `${binding.control}, ${name}: ${message}` });
          else if (value !== undefined) held.set(name, value);
        }
        const element = find(binding.control);
        if (!element) return;
        const values = valuesWith(kind, held);
        const made = withTurn(
          kind.element(values, [], element.dataset.name ?? ''),
          values.number('tabindex'),
        );
        const focused = kind.name === 'table' ? focusedIn(element) : undefined;
        replaceInside(element, binding.part, made, this.program.icons);
        if (kind.name === 'table') {
          const table = element as TableElement;
          table.shownRows = shownRows(values);
          mendTable(table, focused);
        }
        for (const { control, variable, target } of twoWay) {
          const part = control === binding.control ? partOf(element, target) : null;
          if (part) writeInput(part, target, this.runtime.read(variable));
        }
      },
      frame,
      Object.keys(binding.templates)
        .map((name) => `${binding.control}.${name}`)
        .join(', '),
    );
  }

  private apply(element: HTMLElement | null, target: PageTarget, value: unknown): void {
    const part = partOf(element, target);
    if (!part) return;
    if (target.as === 'carries') {
      (part as CarryingElement).carried = value;
      return;
    }
    if (target.as !== 'text' && target.as !== 'attribute' && target.as !== 'property') {
      writeInput(part, target, value as StateValue);
      return;
    }
    if (target.as === 'text') part.textContent = asText(value);
    else if (target.name === 'src') part.setAttribute('src', this.addressOfPicture(part, asText(value)));
    else if (target.name === 'href') part.setAttribute('href', addressTo(asText(value)));
    else if (target.as === 'attribute') part.setAttribute(target.name!, asText(value));
    else if (typeof value === 'boolean' || target.name === 'value')
      (part as unknown as Record<string, unknown>)[target.name!] = value ?? '';
    else (part as unknown as Record<string, unknown>)[target.name!] = false;
  }

  private bindStyle(binding: StyleBinding, element: HTMLElement | null, frame?: ItemFrame): Dispose {
    const kind = kindNamed(binding.kind)!;
    const write = (target: HTMLElement | null, css: Declarations) => {
      if (target) target.style.cssText = [...css].map(([name, value]) => `${name}: ${value}`).join('; ');
    };
    return this.runtime.bindAll(
      binding.templates,
      (values) => {
        const own = new Map<string, unknown>();
        for (const [name, result] of values) {
          const { value, message } = convert(
            kind.properties.find((property) => property.name === name)!,
            result,
          );
          if (message) tell({ type: 'hovrin-problem', text: `${binding.control}, ${name}: ${message}` });
          else if (value !== undefined) own.set(name, value);
        }
        const css = new Map(declarations(withoutParts(own, binding.parts), kind.name, binding.around));
        const colour = colourDeclaration(kind, own);
        if (colour) css.set(...colour);
        write(element, css);
        for (const part of binding.parts)
          write(
            element?.querySelector<HTMLElement>(`:scope ${part.selector}`) ?? null,
            partDeclarations(own, kind.name, part),
          );
      },
      frame,
      Object.keys(binding.templates)
        .map((name) => `${binding.control}.${name}`)
        .join(', '),
    );
  }

  private listen(bindings: Bindings, find: Find, frame?: ItemFrame): Dispose {
    const ending = new AbortController();
    const { signal } = ending;
    // Variables first: what an event does may read them.
    for (const { control, variable, target } of bindings.twoWay) {
      const part = partOf(find(control), target);
      if (part instanceof HTMLFormElement) {
        watchForm(part, target.name, (value) => this.runtime.enter(variable, value, control), signal);
        continue;
      }
      part?.addEventListener(eventOf(target), () => this.entered(part, variable, target, control), {
        signal,
      });
    }
    for (const { control, dom, name, gives, statements } of bindings.events) {
      const element = find(control);
      if (element && dom === 'hovrin-visible') watchSight(element, signal);
      element?.addEventListener(
        dom,
        (event) => {
          if (event instanceof MouseEvent && isForInner(event, element)) return;
          // From one part of a control to another, the focus stays with the control.
          if (event instanceof FocusEvent && element.contains(event.relatedTarget as Node | null)) return;
          this.runtime.run(statements, gives ? itemFrame(gives, givenBy(event), frame) : frame, {
            control,
            event: name,
          });
        },
        { signal },
      );
    }
    return () => ending.abort();
  }

  /** Where a picture lies: one of the project, or one that the person chose. */
  private addressOfPicture(part: HTMLElement, name: string): string {
    if (name.startsWith('blob:')) return name;
    return this.program.pictures[name] ?? part.getAttribute('src') ?? '';
  }

  /** Puts what was entered into a state variable. A number that is not one yet is shown as invalid. */
  private entered(part: HTMLElement, variable: string, target: PageTarget, control: string): void {
    const value = readInput(part, target);
    if (typeof value === 'string' && typeof this.runtime.read(variable) === 'number') {
      const valid = value.trim() !== '' && Number.isFinite(Number(value));
      if (valid) part.removeAttribute('aria-invalid');
      else part.setAttribute('aria-invalid', 'true');
      if (!valid) return;
    }
    this.runtime.enter(variable, value, control);
  }
}

/** What is pressed by itself, wherever it stands. */
const pressable = 'button, a[href], input, select, textarea, label, [data-press], [role="tab"]';

/** Whether something that is pressed by itself, inside a container that is, has been meant. */
function isForInner(event: MouseEvent, element: HTMLElement): boolean {
  if (element.dataset.press === undefined || !(event.target instanceof Element)) return false;
  const inner = event.target.closest(pressable);
  return inner !== null && inner !== element && element.contains(inner);
}

/** Most times in a second that what a screen waits for comes about. */
const mostWhens = 50;

/** What an event brings with it. */
function givenBy(event: Event): unknown {
  if (!(event instanceof KeyboardEvent)) return (event as CustomEvent).detail;
  const { ctrlKey, altKey, metaKey, key } = event;
  const held = [ctrlKey && 'Control', altKey && 'Alt', metaKey && 'Meta'].filter(
    (each) => each !== false && each !== key,
  );
  return [...held, key].join('+');
}

/** Tells an element each time that it comes into sight. */
function watchSight(element: HTMLElement, signal: AbortSignal): void {
  let before = false;
  const observer = new IntersectionObserver((entries) => {
    const seen = entries.at(-1)!.isIntersecting;
    if (seen && !before) element.dispatchEvent(new Event('hovrin-visible'));
    before = seen;
  });
  observer.observe(element);
  signal.addEventListener('abort', () => observer.disconnect());
}

/** What can take the focus, of a control or inside it. */
const focusable = 'input, select, textarea, button, a[href], [tabindex]:not([tabindex="-1"])';

/** Finds a control's element by its name in the program. */
type Find = (name: string) => HTMLElement | null;

/**
 * Finds controls in some elements.
 *
 * @param suffix which items they stand in: `[2]`, `[2][0]`.
 */
function finderIn(roots: readonly HTMLElement[], suffix: string): Find {
  return (name) => {
    const wanted = `${name}${suffix}`;
    for (const root of roots) {
      if (root.dataset.name === wanted) return root;
      const found = root.querySelector<HTMLElement>(`[data-name="${CSS.escape(wanted)}"]`);
      if (found) return found;
    }
    return null;
  };
}

function partOf(element: HTMLElement | null, target: PageTarget): HTMLElement | null {
  return target.part && element ? element.querySelector<HTMLElement>(`.${target.part}`) : element;
}
