/**
 * The script of an exported page: puts what the runtime works out onto the page's elements, and what a person
 * does into the runtime. One screen is on the page at a time; the others wait in templates.
 */
import {
  asText,
  colourDeclaration,
  convert,
  type Dispose,
  declarations,
  kindNamed,
  type PageTarget,
  type Program,
  Runtime,
  type ScreenProgram,
  type StyleBinding,
} from '@hovrin/core/runtime';

/** What a page in a frame tells the window around it. */
export interface PageMessage {
  readonly type: 'hovrin-problem' | 'hovrin-screen';
  readonly text: string;
}

function tell(message: PageMessage): void {
  if (window.parent !== window) window.parent.postMessage(message, '*');
  else if (message.type === 'hovrin-problem') console.warn(message.text);
}

/** Starts the page. Called once, when the document is there. */
export function start(program: Program): void {
  new Page(program).open();
}

class Page {
  private readonly runtime: Runtime;
  /** Screens that have been shown; what was typed into them stays. */
  private readonly shown = new Map<string, HTMLElement>();
  private readonly listening = new WeakSet<HTMLElement>();
  private current: HTMLElement | undefined;
  private bindings: Dispose[] = [];

  constructor(private readonly program: Program) {
    this.runtime = new Runtime(program, {
      go: (screen) => this.go(screen),
      problem: (text) => tell({ type: 'hovrin-problem', text }),
    });
  }

  open(): void {
    const first = document.body.querySelector<HTMLElement>(':scope > main');
    if (first) this.shown.set(this.program.start, first);
    this.current = first ?? undefined;
    window.addEventListener('hashchange', () => this.showAddressed());
    this.showAddressed();
  }

  private go(screen: string): void {
    if (!this.program.screens.some(({ name }) => name === screen)) {
      tell({ type: 'hovrin-problem', text: `There is no screen \`${screen}\`.` });
      return;
    }
    window.location.hash = encodeURIComponent(screen);
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
    for (const dispose of this.bindings) dispose();
    this.shown.set(screen.name, element);
    const moved = this.current !== element;
    if (moved) this.current?.replaceWith(element);
    this.current = element;
    document.title = screen.title;
    this.bindings = this.bindScreen(screen, element);
    if (!this.listening.has(element)) this.listen(screen, element);
    this.listening.add(element);
    if (moved) window.scrollTo(0, 0);
    tell({ type: 'hovrin-screen', text: screen.name });
  }

  private fromTemplate(name: string): HTMLElement | undefined {
    for (const template of document.body.querySelectorAll('template'))
      if (template.dataset.screen === name)
        return (template.content.cloneNode(true) as DocumentFragment).querySelector('main') ?? undefined;
    return undefined;
  }

  private bindScreen(screen: ScreenProgram, root: HTMLElement): Dispose[] {
    const element = finder(root);
    return [
      ...screen.content.map((binding) =>
        this.runtime.bind(binding.template, (value) => {
          const property = kindNamed(binding.kind)?.properties.find(
            (entry) => entry.name === binding.property,
          );
          if (!property) return;
          const { value: converted, message } = convert(property, value);
          if (message)
            tell({ type: 'hovrin-problem', text: `${binding.control}, ${binding.property}: ${message}` });
          this.apply(element(binding.control), binding.target, converted);
        }),
      ),
      ...screen.twoWay.map(({ control, variable, target }) =>
        this.runtime.watch(variable, (value) => {
          const input = partOf(element(control), target) as HTMLInputElement | null;
          if (!input) return;
          if (target.name === 'checked') input.checked = value === true;
          // What is being typed stays as it is while it means the same ("1." for 1).
          else if (!(typeof value === 'number' && input.value.trim() !== '' && Number(input.value) === value))
            input.value = asText(value);
          input.removeAttribute('aria-invalid');
        }),
      ),
      ...screen.style.map((binding) => this.bindStyle(binding, element(binding.control))),
    ];
  }

  private apply(element: HTMLElement | null, target: PageTarget, value: unknown): void {
    const part = partOf(element, target);
    if (!part) return;
    if (target.as === 'text') part.textContent = asText(value);
    else if (target.name === 'src')
      part.setAttribute('src', this.program.pictures[asText(value)] ?? part.getAttribute('src') ?? '');
    else if (target.as === 'attribute') part.setAttribute(target.name!, asText(value));
    else if (typeof value === 'boolean' || target.name === 'value')
      (part as unknown as Record<string, unknown>)[target.name!] = value ?? '';
    else (part as unknown as Record<string, unknown>)[target.name!] = false;
  }

  private bindStyle(binding: StyleBinding, element: HTMLElement | null): Dispose {
    const kind = kindNamed(binding.kind)!;
    return this.runtime.bindAll(binding.templates, (values) => {
      const own = new Map<string, unknown>();
      for (const [name, result] of values) {
        const { value, message } = convert(
          kind.properties.find((property) => property.name === name)!,
          result,
        );
        if (message) tell({ type: 'hovrin-problem', text: `${binding.control}, ${name}: ${message}` });
        else if (value !== undefined) own.set(name, value);
      }
      const css = new Map(declarations(own, binding.axis));
      const colour = colourDeclaration(kind, own);
      if (colour) css.set(...colour);
      if (element) element.style.cssText = [...css].map(([name, value]) => `${name}: ${value}`).join('; ');
    });
  }

  private listen(screen: ScreenProgram, root: HTMLElement): void {
    const element = finder(root);
    for (const { control, statements } of screen.events)
      element(control)?.addEventListener('click', () => this.runtime.run(statements));
    for (const { control, variable, target } of screen.twoWay) {
      const input = partOf(element(control), target) as HTMLInputElement | null;
      input?.addEventListener('input', () => {
        if (target.name === 'checked') this.runtime.assign(variable, input.checked);
        else if (typeof this.runtime.read(variable) !== 'number') this.runtime.assign(variable, input.value);
        else {
          // A number that is not one yet is shown as invalid; the variable keeps its last value.
          const valid = input.value.trim() !== '' && Number.isFinite(Number(input.value));
          if (valid) this.runtime.assign(variable, input.value);
          if (valid) input.removeAttribute('aria-invalid');
          else input.setAttribute('aria-invalid', 'true');
        }
      });
    }
  }
}

/** Finds a control's element on a screen by its name. */
function finder(root: HTMLElement): (name: string) => HTMLElement | null {
  return (name) => {
    if (root.dataset.name === name) return root;
    return root.querySelector<HTMLElement>(`[data-name="${CSS.escape(name)}"]`);
  };
}

function partOf(element: HTMLElement | null, target: PageTarget): HTMLElement | null {
  return target.part && element ? element.querySelector<HTMLElement>(`:scope > .${target.part}`) : element;
}
