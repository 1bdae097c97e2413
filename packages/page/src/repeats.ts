/**
 * Repeats on a page: one copy of the pattern for each item of a list. Of a long list only the items near what is seen
 * have copies; what is above and below them is kept free by the height that they would have.
 */
import {
  type Dispose,
  type ItemFrame,
  itemPlace,
  longList,
  mostItems,
  wordsInstead,
} from '@hovrin/core/runtime';
import { nameCopies, renumber } from './elements.ts';
import type { BindItem, ForRepeats, Repeating } from './repeating.ts';

/** An element of a copy: it knows what it stands for. */
export interface CopyElement extends HTMLElement {
  item?: () => unknown;
}

/** The box of an element; of a row, which has none, that of its first cell. */
const boxOf = (element: HTMLElement): DOMRect =>
  (getComputedStyle(element).display === 'contents'
    ? (element.firstElementChild ?? element)
    : element
  ).getBoundingClientRect();

interface Copy {
  readonly frame: ItemFrame;
  /** Its place in the list, from 0. */
  readonly place: ItemFrame;
  readonly elements: readonly HTMLElement[];
  readonly bound: readonly Dispose[];
}

const everyElement = ({ elements }: Copy): readonly Element[] =>
  elements.flatMap((element) => [element, ...element.querySelectorAll('*')]);

function end({ bound, elements }: Copy): void {
  for (const dispose of bound) dispose();
  for (const element of elements) element.remove();
}

/** Moves an element, with its focus and all that goes on in it where the browser can (DOM, `moveBefore`). */
function move(holder: HTMLElement, element: Element, before: Element | null): void {
  if ('moveBefore' in holder) holder.moveBefore(element, before);
  else (holder as HTMLElement).insertBefore(element, before);
}

/** Items that have copies beyond what is seen, on each side; and by how many that may have shrunk before it is mended. */
const beyond = 24;
const spare = 12;

export class Repeat implements Repeating {
  #list: readonly unknown[] = [];
  /** Copies by their place in the list. */
  #copies = new Map<number, Copy>();
  /** The element that the copies stand in. */
  readonly #holder: HTMLElement;
  readonly #pattern: HTMLTemplateElement;
  /** Copies that the page was written with, the first items first. */
  #written: HTMLElement[];
  #said: HTMLElement | undefined;
  /** Free room in place of the items above and below. */
  #above: HTMLElement | undefined;
  #below: HTMLElement | undefined;
  /** Height of an item with the gap behind it; undefined: not measured yet. */
  #height: number | undefined;
  #watching = false;
  readonly #ending = new AbortController();

  constructor(
    private readonly page: ForRepeats,
    private readonly element: HTMLElement,
    pattern: HTMLTemplateElement,
    private readonly as: string,
    private readonly around: ItemFrame | undefined,
    private readonly bindItem: BindItem,
  ) {
    this.#pattern = pattern;
    this.#holder = pattern.parentElement!;
    const all = [...this.#holder.children] as HTMLElement[];
    const children = all.slice(all.indexOf(pattern) + 1);
    this.#said = children.find((child) => child.classList.contains('part-said'));
    this.#written = children.filter((child) => child !== this.#said);
  }

  /** The numbers of the items around it. */
  get #numbers(): readonly string[] {
    return this.element.dataset.name?.match(/\[\d+\]/g) ?? [];
  }

  /** Shows a list, or words in its place. */
  show(list: readonly unknown[], words: Readonly<Record<string, unknown>>): void {
    const [status, loading, failed, empty] = ['status', 'loading', 'failed', 'empty'].map((name) =>
      this.page.asText(words[name]),
    ) as [string, string, string, string];
    const instead = wordsInstead(list, { status, loading, failed, empty });
    this.#say(instead);
    const before = this.#list;
    this.#list = instead ? [] : list.slice(0, mostItems);
    const putFocusBack = this.#focusNow();
    this.#follow(before);
    for (const [index, copy] of this.#copies)
      if (index < this.#list.length) copy.frame.value.value = this.#list[index];
    this.#fill();
    // What was written for items that are not there any more.
    for (const child of this.#written.splice(0)) child.remove();
    putFocusBack();
  }

  /** Copies go with their rows to the rows' new places. */
  #follow(before: readonly unknown[]): void {
    const list = this.#list;
    const { isSameRow } = this.page;
    const rowOf = (row: unknown): unknown => (row instanceof Object ? this.page.markOf(row) : row);
    const isStill = ([at]: readonly [number, Copy]) => isSameRow(before[at], list[at]);
    if ([...this.#copies].every(isStill)) return;
    const places = new Map(list.map((row, at) => [rowOf(row), at] as const).toReversed());
    const kept = new Map<number, Copy>();
    const left: [number, Copy][] = [];
    for (const [at, copy] of this.#copies) {
      const to = before[at] instanceof Object ? places.get(rowOf(before[at])) : undefined;
      if (to === undefined || kept.has(to)) left.push([at, copy]);
      else kept.set(to, copy);
    }
    // What a row leaves behind is taken by one that is new there.
    for (const [at, copy] of left)
      if (at < list.length && !kept.has(at)) kept.set(at, copy);
      else end(copy);
    const moved = [...kept].filter(([at, { place }]) => place.value.peek() !== at);
    const around = this.#numbers.length;
    // Two at the same number would be one group of radio buttons.
    for (const [at, { elements }] of moved) renumber(elements, around, mostItems + at);
    for (const [at, { elements, place }] of moved) {
      renumber(elements, around, at);
      place.value.value = at;
    }
    this.#copies = kept;
    this.#putInOrder();
  }

  #putInOrder(): void {
    let next: Element | null = this.#below ?? null;
    for (const at of [...this.#copies.keys()].toSorted((a, b) => b - a))
      for (const element of this.#copies.get(at)!.elements.toReversed()) {
        if (element.nextElementSibling !== next) move(this.#holder, element, next);
        next = element;
      }
  }

  /** @returns what gives the focus back to the row that has it now; to the one in its place where it is gone. */
  #focusNow(): () => void {
    const focused = document.activeElement;
    const found = [...this.#copies].find(([, { elements }]) =>
      elements.some((element) => element.contains(focused)),
    );
    if (!(focused instanceof HTMLElement) || !found) return () => {};
    const [at, copy] = found;
    const inside = everyElement(copy).indexOf(focused);
    return () => {
      if (document.activeElement === focused) return;
      const other = this.#copies.get(Math.min(at, this.#list.length - 1));
      const target = focused.isConnected ? focused : other && everyElement(other)[inside];
      if (target instanceof HTMLElement) target.focus({ preventScroll: true });
    };
  }

  #say(words: string): void {
    this.element.classList.toggle('is-said', words !== '');
    if (words === '') {
      this.#said?.remove();
      this.#said = undefined;
      return;
    }
    if (!this.#said) {
      this.#said = this.#make();
      this.#said.className = 'part-said';
      this.#said.append(document.createElement('span'));
      this.#holder.append(this.#said);
    }
    const status = this.#said.firstElementChild!;
    status.role = 'status';
    status.textContent = words;
  }

  /** An element beside the items: in a list it has to be one. */
  #make(): HTMLElement {
    return document.createElement(this.#holder.tagName === 'UL' ? 'li' : 'div');
  }

  /** Whether the items stand one below the other, so that only those near what is seen are needed. */
  get #isLong(): boolean {
    if (this.#list.length <= longList) return false;
    // The rows of a table are one below the other, too.
    if (this.#holder !== this.element) return true;
    const { display, flexDirection, flexWrap } = getComputedStyle(this.#holder);
    return display === 'flex' && flexDirection === 'column' && flexWrap === 'nowrap';
  }

  /** Makes the copies that are needed now, and drops the others. */
  #fill(): void {
    if (!this.#isLong) {
      this.#above?.remove();
      this.#below?.remove();
      this.#above = undefined;
      this.#below = undefined;
      this.#keepOnly(0, this.#list.length);
      return;
    }
    if (!this.#above || !this.#below) this.#makeRoom();
    if (!this.#watching) this.#watch();
    if (this.#height === undefined) {
      this.#keepOnly(0, Math.min(this.#list.length, 2 * beyond));
      this.#measure();
    }
    const [from, to] = this.#near(beyond);
    this.#keepOnly(from, to);
    this.#keepFree(from, to);
  }

  /** The items near what is seen. */
  #near(margin: number): [number, number] {
    const height = Math.max(1, this.#height ?? 1);
    const top = -this.#holder.getBoundingClientRect().top;
    const first = Math.floor(top / height) - margin;
    const last = Math.ceil((top + window.innerHeight) / height) + margin;
    const clamped = (index: number) => Math.min(this.#list.length, Math.max(0, index));
    return [clamped(first), clamped(last)];
  }

  #gap(): number {
    return Number.parseFloat(getComputedStyle(this.#holder).rowGap) || 0;
  }

  #measure(): void {
    const indexes = [...this.#copies.keys()].toSorted((a, b) => a - b);
    const first = this.#copies.get(indexes[0] ?? -1)?.elements[0];
    const last = this.#copies.get(indexes.at(-1) ?? -1)?.elements.at(-1);
    if (!first || !last) return;
    const whole = boxOf(last).bottom - boxOf(first).top + this.#gap();
    if (whole > 0) this.#height = whole / indexes.length;
  }

  #keepFree(from: number, to: number): void {
    const gap = this.#gap();
    const height = this.#height ?? 0;
    const free = (space: HTMLElement, items: number) => {
      space.style.display = items > 0 ? '' : 'none';
      space.style.height = `${Math.max(0, items * height - gap)}px`;
    };
    free(this.#above!, from);
    free(this.#below!, this.#list.length - to);
  }

  /** Free room in place of the items that have no elements. */
  #makeRoom(): void {
    const space = () => {
      const made = this.#make();
      made.className = 'part-free';
      made.ariaHidden = 'true';
      return made;
    };
    this.#above = space();
    this.#below = space();
    this.#pattern.after(this.#above);
    this.#holder.append(this.#below);
  }

  /** Looks again whenever something else may be seen; once, however often the list becomes long. */
  #watch(): void {
    this.#watching = true;
    let waiting = false;
    const look = () => {
      if (waiting) return;
      waiting = true;
      requestAnimationFrame(() => {
        waiting = false;
        this.#look();
      });
    };
    const { signal } = this.#ending;
    document.addEventListener('scroll', look, { capture: true, passive: true, signal });
    const resized = new ResizeObserver(look);
    resized.observe(document.documentElement);
    signal.addEventListener('abort', () => resized.disconnect());
  }

  #look(): void {
    if (this.#ending.signal.aborted || !this.#isLong) return;
    const [from, to] = this.#near(spare);
    if (!this.#copies.has(from) || !this.#copies.has(to - 1)) this.#fill();
  }

  #keepOnly(from: number, to: number): void {
    for (const [index, copy] of this.#copies) {
      if (index >= from && index < to) continue;
      end(copy);
      this.#copies.delete(index);
    }
    for (let index = from; index < to; index++) if (!this.#copies.has(index)) this.#add(index);
  }

  #add(index: number): void {
    const each = this.#pattern.content.children.length;
    let elements =
      this.#written.length >= each && index === this.#copies.size ? this.#written.splice(0, each) : [];
    if (elements.length < each) {
      const copy = this.#pattern.content.cloneNode(true) as DocumentFragment;
      elements = [...copy.children] as HTMLElement[];
      nameCopies(copy, `${this.#numbers.join('')}[${index}]`);
      const after = this.#nextCopy(index) ?? this.#below ?? null;
      this.#holder.insertBefore(copy, after);
    }
    const { itemFrame } = this.page;
    const place = itemFrame(itemPlace(this.as), index, this.around);
    const frame = itemFrame(this.as, this.#list[index], place);
    for (const element of elements as CopyElement[]) element.item = () => frame.value.peek();
    const numbers = () => `${this.#numbers.join('')}[${place.value.peek()}]`;
    this.#copies.set(index, { frame, place, elements, bound: this.bindItem(elements, numbers, frame) });
  }

  /** The first element of the copy that stands behind an item. */
  #nextCopy(index: number): HTMLElement | undefined {
    let next = Number.POSITIVE_INFINITY;
    for (const each of this.#copies.keys()) if (each > index && each < next) next = each;
    return this.#copies.get(next)?.elements[0];
  }

  end(): void {
    this.#ending.abort();
    for (const { bound } of this.#copies.values()) for (const dispose of bound) dispose();
  }
}
