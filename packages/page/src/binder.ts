/**
 * Joins the bindings of a screen, or of an item of a repeat, to their elements: what the runtime works out goes onto the
 * page, what a person does goes into the runtime.
 */
import {
  addressTo,
  arrangementNow,
  asText,
  type Bindings,
  colourDeclarations,
  convert,
  type Declarations,
  type Dispose,
  declarations,
  forPeople,
  type InsideBinding,
  type ItemFrame,
  isSameRow,
  itemFrame,
  manners,
  markOf,
  type PageTarget,
  type Program,
  partDeclarations,
  propertyTypes,
  type RepeatBinding,
  type Runtime,
  type StateValue,
  type StyleBinding,
  shownBy,
  sortedRows,
  type TableRow,
  type TwoWayBinding,
  tabindex,
  Values,
  withoutFirstValue,
  withoutParts,
  withTurn,
} from '@hovrin/core/runtime';
import { nameInItem, replaceInside } from './elements.ts';
import { watchFields } from './forms.ts';
import { setInputs } from './groups.ts';
import { eventOf, readInput, wasEntered, writeInput } from './inputs.ts';
import { showMessage } from './messages.ts';
import type { MakeRepeat } from './repeating.ts';
import type { TableCare, TableElement } from './table-care.ts';
import { tellProblem } from './trial.ts';

/** What tokens come to that expressions name. */
let tokens: NonNullable<Program['tokens']> = {};

/** What an expression gave, as a property of a type takes it; undefined, and told, where it does not. */
function taken(control: string, property: string, type: string, result: unknown): unknown {
  const { value, message } = convert(
    propertyTypes.get(type)!,
    (typeof result === 'string' && tokens[result]) || result,
  );
  if (message) tellProblem(`${control}, ${property}: ${asText(result)} is no ${type}.`);
  return value;
}

/** The same for several properties; those that take nothing are left out. */
function takenAll(
  { control, types }: Pick<StyleBinding, 'control' | 'types'>,
  results: ReadonlyMap<string, unknown>,
): Map<string, unknown> {
  const found = new Map<string, unknown>();
  for (const [name, result] of results) {
    const value = taken(control, name, types[name]!, result);
    if (value !== undefined) found.set(name, value);
  }
  return found;
}

/** An element that can be dragged, with the value that it carries. */
export interface CarryingElement extends HTMLElement {
  carried?: unknown;
}

/** What the ids of a control's parts begin with: the screen's name and its own, which no other on the page has. */
const idsBegin = (element: HTMLElement): string =>
  `${element.closest<HTMLElement>('.k-screen')?.dataset.name}-${element.dataset.name}`;

export class Binder {
  /** Looks after tables as they are filled; absent on a page that has none. */
  tables: TableCare | undefined;
  /** Makes what is repeated; absent on a page on which nothing is. */
  makeRepeat: MakeRepeat | undefined;

  constructor(
    private readonly runtime: Runtime,
    private readonly program: Program,
  ) {
    tokens = program.tokens ?? {};
  }

  /**
   * Binds what is inside an element.
   *
   * @param find finds a control's element by its name in the program.
   * @param frame the items that it stands in.
   */
  bindAll(bindings: Bindings, find: Find, frame?: ItemFrame): Dispose[] {
    return [
      ...bindings.content.map((binding) =>
        this.runtime.bind(
          binding.template,
          (value) => {
            const { control, property, type, target } = binding;
            this.#apply(find(control), target, taken(control, property, type, value));
          },
          frame,
          `${binding.control}.${binding.property}`,
        ),
      ),
      ...bindings.twoWay.map((binding) =>
        this.runtime.bind(
          shownBy(binding),
          (value) => {
            const part = partOf(find(binding.control), binding.target);
            if (part) writeInput(part, binding.target, value as StateValue);
          },
          frame,
        ),
      ),
      ...bindings.inside.map((binding) => this.#bindInside(binding, bindings, find, frame)),
      ...bindings.style.map((binding) => this.#bindStyle(binding, find(binding.control), frame)),
      ...bindings.classes.map(({ control, template }) =>
        this.runtime.bind(
          template,
          (value) => {
            const { classList } = find(control)!;
            for (const each of [...classList]) if (each.startsWith('style-')) classList.remove(each);
            for (const each of asText(value).split(' ')) if (each) classList.add(`style-${each}`);
          },
          frame,
          `${control}.style`,
        ),
      ),
      ...bindings.states.map(({ control, templates }) =>
        this.runtime.bindAll(
          templates,
          (values) => {
            const held = [...values].flatMap(([name, value]) => (value ? name : []));
            find(control)!.dataset.states = held.join(' ');
          },
          frame,
          `${control}.states`,
        ),
      ),
      ...bindings.repeats.map((binding) => this.#bindRepeat(binding, find(binding.control), frame)),
    ];
  }

  #bindRepeat(binding: RepeatBinding, element: HTMLElement | null, frame?: ItemFrame): Dispose {
    const pattern = element?.querySelector<HTMLTemplateElement>(
      ':scope > template, :scope > .part-content > .part-cells > template',
    );
    if (!element || !pattern || !this.makeRepeat) return () => {};
    const forRepeats = { asText, itemFrame, isSameRow, markOf };
    const repeat = this.makeRepeat(
      forRepeats,
      element,
      pattern,
      binding.as,
      frame,
      (elements, numbers, inner) => {
        const find = finderIn(elements, numbers);
        return [...this.bindAll(binding.item, find, inner), this.listen(binding.item, find, inner)];
      },
    );
    const stop = this.runtime.bindAll(
      { each: binding.each, ...(binding.sort ? { sort: binding.sort } : {}), ...binding.said },
      (values) => {
        const { each, sort, ...said } = Object.fromEntries(values);
        if (!Array.isArray(each)) tellProblem(`${binding.control}, each: This is not a list.`);
        const list = Array.isArray(each) ? each : [];
        repeat.show(sort === undefined ? list : sortedRows(list as TableRow[], asText(sort)), said);
        if (sort !== undefined) this.tables?.markSort(element as TableElement, asText(sort));
      },
      frame,
      `${binding.control}.each`,
    );
    return () => {
      stop();
      repeat.end();
    };
  }

  /** Makes a part anew when the values in it change; entered text stays. */
  #bindInside(binding: InsideBinding, { twoWay }: Bindings, find: Find, frame?: ItemFrame): Dispose {
    const { kind, count } = binding;
    const manner = manners.get(kind) ?? {};
    const held = Object.entries(binding.held);
    const defaults = new Map(Object.entries(binding.defaults));
    return this.runtime.bindAll(
      binding.templates,
      (results) => {
        const element = find(binding.control);
        if (!element) return;
        const values = new Values(new Map([...held, ...takenAll(binding, results)]), defaults);
        const anew = manner.anew?.(values, idsBegin(element), count);
        if (!anew) return;
        const { children, ...made } = anew;
        const turned = children.map((child) => withTurn(child, values.get(tabindex)));
        const rows = manner.rows?.(values);
        const focused = rows && this.tables?.focusedIn(element);
        replaceInside(element, binding.part, { ...made, children: turned });
        if (rows) {
          const table = element as TableElement;
          table.shownRows = rows;
          this.tables?.mendTable(table, focused);
        }
        for (const each of twoWay) {
          const part = each.control === binding.control ? partOf(element, each.target) : null;
          if (part) writeInput(part, each.target, this.runtime.shown(each, frame) as StateValue);
        }
      },
      frame,
      Object.keys(binding.templates)
        .map((name) => `${binding.control}.${name}`)
        .join(', '),
    );
  }

  #apply(element: HTMLElement | null, target: PageTarget, value: unknown): void {
    const part = partOf(element, target);
    if (!part) return;
    if (target.as === 'carries') {
      (part as CarryingElement).carried = value;
      return;
    }
    if (target.as === 'inputs') {
      setInputs(part, target.name!, value === true);
      return;
    }
    if (target.as !== 'text' && target.as !== 'attribute' && target.as !== 'property') {
      writeInput(part, target, value as StateValue);
      return;
    }
    if (target.as === 'text') part.textContent = asText(value);
    else if (target.name === 'src') part.setAttribute('src', this.#addressOfPicture(part, asText(value)));
    else if (target.name === 'href') part.setAttribute('href', addressTo(asText(value)));
    else if (target.as === 'attribute') part.setAttribute(target.name!, asText(value));
    else
      Reflect.set(
        part,
        target.name!,
        typeof value === 'boolean' || target.name === 'value' ? (value ?? '') : false,
      );
  }

  #bindStyle(binding: StyleBinding, element: HTMLElement | null, frame?: ItemFrame): Dispose {
    const { kind, around, parts } = binding;
    const manner = manners.get(kind) ?? {};
    const write = (target: HTMLElement | null, css: Declarations) => {
      if (!target) return;
      target.style.cssText = [...css].map(([name, value]) => `${name}: ${value}`).join('; ');
      target.className = withoutFirstValue(target.className);
    };
    return this.runtime.bindAll(
      binding.templates,
      (values) => {
        const own = new Values(takenAll(binding, values));
        const arrangement = arrangementNow(manner, own, binding.arrangement);
        const css = new Map(declarations(withoutParts(own, parts), manner, around, arrangement));
        for (const each of colourDeclarations(manner, own)) css.set(...each);
        write(element, css);
        for (const part of parts)
          write(
            element?.querySelector<HTMLElement>(`:scope ${part.selector}`) ?? null,
            partDeclarations(own, manner, part, arrangement),
          );
      },
      frame,
      Object.keys(binding.templates)
        .map((name) => `${binding.control}.${name}`)
        .join(', '),
    );
  }

  /** Hears what is entered and done in an element. */
  listen(bindings: Bindings, find: Find, frame?: ItemFrame): Dispose {
    const ending = new AbortController();
    const { signal } = ending;
    // Variables first: what an event does may read them.
    for (const each of bindings.twoWay) {
      const { control, target } = each;
      const part = partOf(find(control), target);
      if (part && target.as === 'form') {
        watchFields(part, target.name, (value) => this.runtime.enter(each, value, frame), signal);
        continue;
      }
      part?.addEventListener(eventOf(target), () => this.#entered(part, each, frame), { signal });
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
          this.runtime.run(statements, gives ? itemFrame(gives, givenBy(event, element), frame) : frame, {
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
  #addressOfPicture(part: HTMLElement, name: string): string {
    if (/^(?:blob:|data:image\/)/.test(name)) return name;
    return this.program.pictures[name] ?? part.getAttribute('src') ?? '';
  }

  /** Takes what somebody has entered already. */
  takeEntered({ twoWay }: Bindings, find: Find): void {
    for (const each of twoWay) {
      const part = partOf(find(each.control), each.target);
      if (part && wasEntered(part)) this.#entered(part, each);
    }
  }

  /** Puts what was entered into a state variable. What the variable cannot hold, such as no number, is not valid. */
  #entered(part: HTMLElement, binding: TwoWayBinding, frame?: ItemFrame): void {
    let value: unknown = readInput(part, binding.target);
    if (isNumberIn(part)) {
      const isNothing = value === '';
      // What is half typed, as a `-`, is no number yet, and not nothing (HTML §4.10.18.5, bad input).
      const { badInput } = (part as HTMLInputElement).validity;
      const isRefused = badInput || (isNothing && !this.runtime.mayBeNothing(binding));
      if (isRefused) part.setAttribute('aria-invalid', 'true');
      else part.removeAttribute('aria-invalid');
      if (isRefused) return;
      value = isNothing ? null : Number(value);
    }
    const refused = this.runtime.enter(binding, value, frame);
    if (refused === undefined) return;
    part.setAttribute('aria-invalid', 'true');
    showMessage(forPeople(refused));
  }
}

/** Whether a number is entered in a part. */
const isNumberIn = (part: HTMLElement): boolean =>
  part instanceof HTMLInputElement && (part.type === 'number' || part.type === 'range');

/** What is pressed by itself, wherever it stands. */
const pressable = 'button, a[href], input, select, textarea, label, [data-press], [role="tab"]';

/** Whether something that is pressed by itself, inside a container that is, has been meant. */
function isForInner(event: MouseEvent, element: HTMLElement): boolean {
  if (element.dataset.press === undefined || !(event.target instanceof Element)) return false;
  const inner = event.target.closest(pressable);
  return inner !== null && inner !== element && element.contains(inner);
}

/** What an event brings with it. */
function givenBy(event: Event, element: HTMLElement): unknown {
  if (event.type === 'input' || event.type === 'change') return enteredIn(element, event.target);
  if (!(event instanceof KeyboardEvent)) return (event as CustomEvent).detail;
  const { ctrlKey, altKey, metaKey, key } = event;
  const held = [ctrlKey && 'Control', altKey && 'Alt', metaKey && 'Meta'].filter(
    (each) => each !== false && each !== key,
  );
  return [...held, key].join('+');
}

/** What is entered in a field now: of several boxes those that are ticked, of a number nothing where it is empty. */
function enteredIn(element: HTMLElement, target: EventTarget | null): unknown {
  const options = element.querySelector<HTMLElement>('.part-options');
  if (options) return readInput(options, { as: 'choice' });
  const input = target as HTMLInputElement;
  if (input.type === 'checkbox') return input.checked;
  if (isNumberIn(input)) return input.value === '' ? null : Number(input.value);
  return input.value;
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

/** Finds a control's element by its name in the program. */
export type Find = (name: string) => HTMLElement | null;

/**
 * Finds controls in some elements.
 *
 * @param numbers tells which items they stand in now: `[2]`, `[2][0]`; outside of repeats nothing.
 */
export function finderIn(roots: readonly HTMLElement[], numbers: () => string = () => ''): Find {
  return (name) => {
    const wanted = nameInItem(name, numbers());
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
