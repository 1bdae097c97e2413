/**
 * Repeats on a page: one copy of the pattern for each item of a list. Of a long list only the items near what is seen
 * have copies; what is above and below them is kept free by the height that they would have.
 */
import {
  asText,
  type Dispose,
  type ItemFrame,
  itemFrame,
  itemPlace,
  longList,
  mostItems,
  wordsInstead,
} from '@hovrin/core/runtime';
import { nameCopies } from './elements.ts';

/** Binds the controls inside some elements to an item; the function that it gives ends that. */
export type BindItem = (elements: readonly HTMLElement[], suffix: string, frame: ItemFrame) => Dispose[];

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
  readonly elements: readonly HTMLElement[];
  readonly bound: readonly Dispose[];
}

/** Items that have copies beyond what is seen, on each side; and by how many that may have shrunk before it is mended. */
const beyond = 24;
const spare = 12;

export class Repeat {
  #list: readonly unknown[] = [];
  readonly #copies = new Map<number, Copy>();
  readonly #path: string;
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
    private readonly element: HTMLElement,
    pattern: HTMLTemplateElement,
    private readonly as: string,
    private readonly around: ItemFrame | undefined,
    private readonly bindItem: BindItem,
  ) {
    this.#pattern = pattern;
    this.#path = element.dataset.name?.match(/\[\d+\]/g)?.join('') ?? '';
    this.#holder = pattern.parentElement!;
    const all = [...this.#holder.children] as HTMLElement[];
    const children = all.slice(all.indexOf(pattern) + 1);
    this.#said = children.find((child) => child.classList.contains('part-said'));
    this.#written = children.filter((child) => child !== this.#said);
  }

  /** Shows a list, or words in its place. */
  show(list: readonly unknown[], words: Readonly<Record<string, unknown>>): void {
    const [status, loading, failed, empty] = ['status', 'loading', 'failed', 'empty'].map((name) =>
      asText(words[name]),
    ) as [string, string, string, string];
    const instead = wordsInstead(list, { status, loading, failed, empty });
    this.#say(instead);
    this.#list = instead ? [] : list.slice(0, mostItems);
    for (const [index, copy] of this.#copies)
      if (index < this.#list.length) copy.frame.value.value = this.#list[index];
    this.#fill();
    // What was written for items that are not there any more.
    for (const child of this.#written.splice(0)) child.remove();
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
      for (const dispose of copy.bound) dispose();
      for (const child of copy.elements) child.remove();
      this.#copies.delete(index);
    }
    for (let index = from; index < to; index++) if (!this.#copies.has(index)) this.#add(index);
  }

  #add(index: number): void {
    const each = this.#pattern.content.children.length;
    const suffix = `${this.#path}[${index}]`;
    let elements =
      this.#written.length >= each && index === this.#copies.size ? this.#written.splice(0, each) : [];
    if (elements.length < each) {
      const copy = this.#pattern.content.cloneNode(true) as DocumentFragment;
      elements = [...copy.children] as HTMLElement[];
      nameCopies(copy, suffix);
      const after = this.#nextCopy(index) ?? this.#below ?? null;
      this.#holder.insertBefore(copy, after);
    }
    const frame = itemFrame(this.as, this.#list[index], itemFrame(itemPlace(this.as), index, this.around));
    for (const element of elements as CopyElement[]) element.item = () => frame.value.peek();
    this.#copies.set(index, { frame, elements, bound: this.bindItem(elements, suffix, frame) });
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
