/**
 * Dragging: something that carries a value is let go over something that takes it, at a place among the items there. By
 * the pointer, by a finger that rests on it first, and by keys: Space takes it up, the arrows move it, Tab goes to the
 * next that takes it, Space lets go, Escape leaves all as it was.
 */
import type { CarryingElement } from '../binder.ts';
import type { Piece } from './piece.ts';

/** px that the pointer moves before something is dragged, and ms that a finger rests. */
const least = 6;
const rests = 350;

/** Where something would fall: in which container, before which of its elements. */
interface Fall {
  readonly target: HTMLElement;
  readonly at: number;
}

/** Controls that are pressed or typed into themselves. */
const pressed = 'input, select, textarea, button, a, [role="menu"], [role="tab"]';

/** What is dragged where something is taken hold of; nothing inside a control that is pressed itself. */
function carrierOf(target: EventTarget | null): CarryingElement | null {
  if (!(target instanceof Element)) return null;
  const carrier = target.closest<CarryingElement>('[data-carries]');
  const control = target.closest(pressed);
  return carrier && control && carrier.contains(control) && carrier !== control ? null : carrier;
}

const takesFrom = (target: HTMLElement, carrier: HTMLElement): boolean =>
  target.dataset.cargo === carrier.dataset.cargo && !carrier.contains(target);

const itemsOf = (target: HTMLElement) =>
  [...target.children].filter(
    (child): child is HTMLElement =>
      child instanceof HTMLElement && child.tagName !== 'TEMPLATE' && !/\bpa(rt|ge)-/.test(child.className),
  );

/** Which item of its list an element is. */
const indexOf = (item: HTMLElement, position: number): number =>
  Number(/\[(\d+)\]$/.exec(item.dataset.name ?? '')?.[1] ?? position);

/** The number that stands for a place among the items of a list. */
function placeOf({ target, at }: Fall): number {
  const items = itemsOf(target);
  const item = items[at];
  if (item) return indexOf(item, at);
  const last = items.at(-1);
  return last ? indexOf(last, items.length - 1) + 1 : 0;
}

function goesAcross(target: HTMLElement): boolean {
  const { display, flexDirection } = getComputedStyle(target);
  return (display === 'flex' && flexDirection.startsWith('row')) || display === 'grid';
}

const isRightToLeft = (target: HTMLElement): boolean => getComputedStyle(target).direction === 'rtl';

/** The place under a point. */
function fallAt(target: HTMLElement, x: number, y: number): Fall {
  const across = goesAcross(target);
  const rightToLeft = isRightToLeft(target);
  const items = itemsOf(target);
  const at = items.findIndex((item) => {
    const { left, width, top, height, bottom } = item.getBoundingClientRect();
    if (!across) return y < top + height / 2;
    const isBefore = rightToLeft ? x > left + width / 2 : x < left + width / 2;
    return y < top || (y <= bottom && isBefore);
  });
  return { target, at: at < 0 ? items.length : at };
}

/** Something that is being dragged. */
class Carrying {
  readonly #ghost: HTMLElement;
  readonly #line = document.createElement('div');
  #fall: Fall | undefined;

  constructor(
    private readonly carrier: CarryingElement,
    private readonly say: (text: string) => void,
    private readonly done: () => void,
  ) {
    const { width, height } = carrier.getBoundingClientRect();
    this.#ghost = carrier.cloneNode(true) as HTMLElement;
    this.#ghost.classList.add('page-carried');
    this.#ghost.removeAttribute('data-name');
    this.#ghost.ariaHidden = 'true';
    Object.assign(this.#ghost.style, { width: `${width}px`, height: `${height}px` });
    this.#line.className = 'page-fall';
    carrier.classList.add('is-carried');
    for (const target of this.#targets()) target.classList.add('takes-it');
  }

  #targets(): HTMLElement[] {
    return [...document.querySelectorAll<HTMLElement>('[data-takes]')].filter((target) =>
      takesFrom(target, this.carrier),
    );
  }

  /** Follows the pointer. */
  moveTo(x: number, y: number): void {
    // On the screen, where the carrier's own rules hold.
    if (!this.#ghost.isConnected) this.carrier.closest('.k-screen')!.append(this.#ghost);
    Object.assign(this.#ghost.style, { left: `${x + 8}px`, top: `${y + 8}px` });
    const over = document
      .elementsFromPoint(x, y)
      .map((element) => element.closest<HTMLElement>('[data-takes]'))
      .find((target) => target && takesFrom(target, this.carrier));
    this.#show(over ? fallAt(over, x, y) : undefined);
  }

  /** By keys: its place among the items there. */
  step(by: number): void {
    const now = this.#fall ?? this.#start();
    if (!now) return;
    this.#tell({ ...now, at: Math.max(0, Math.min(itemsOf(now.target).length, now.at + by)) });
  }

  /** By keys: to the next container that takes it. */
  toNext(by: number): void {
    const targets = this.#targets();
    const now = this.#fall ?? this.#start();
    if (!now) return;
    const target = targets[(targets.indexOf(now.target) + by + targets.length) % targets.length]!;
    this.#tell({ target, at: Math.min(now.at, itemsOf(target).length) });
  }

  /** Where it stands, or the first container that takes it. */
  #start(): Fall | undefined {
    const targets = this.#targets();
    const target = targets.find((each) => each.contains(this.carrier)) ?? targets[0];
    if (!target) {
      this.say('Nothing here takes it.');
      return undefined;
    }
    return {
      target,
      at: Math.max(
        0,
        itemsOf(target).findIndex((item) => item.contains(this.carrier)),
      ),
    };
  }

  #tell(fall: Fall): void {
    const { target, at } = fall;
    this.#show(fall);
    target.scrollIntoView({ block: 'nearest' });
    this.say(`Place ${at + 1} of ${itemsOf(target).length + 1} in ${target.dataset.name ?? 'the list'}`);
  }

  #show(fall: Fall | undefined): void {
    this.#fall = fall;
    if (!fall) {
      this.#line.remove();
      return;
    }
    const { target, at } = fall;
    const items = itemsOf(target);
    const box = (items[at] ?? items.at(-1) ?? target).getBoundingClientRect();
    const atEnd = items.length > 0 && at >= items.length;
    const x = atEnd !== isRightToLeft(target) ? box.right : box.left;
    const y = atEnd ? box.bottom : box.top;
    Object.assign(
      this.#line.style,
      goesAcross(target)
        ? { left: `${x - 2}px`, top: `${box.top}px`, width: '3px', height: `${box.height}px` }
        : { left: `${box.left}px`, top: `${y - 2}px`, width: `${box.width}px`, height: '3px' },
    );
    if (!this.#line.isConnected) document.body.append(this.#line);
  }

  /** Lets go; where nothing takes it, all stays as it was. */
  letGo(): void {
    const fall = this.#fall;
    const detail = fall && { value: this.carrier.carried, at: placeOf(fall) };
    this.end();
    fall?.target.dispatchEvent(new CustomEvent('hovrin-drop', { detail }));
  }

  end(): void {
    this.#ghost.remove();
    this.#line.remove();
    this.carrier.classList.remove('is-carried');
    for (const target of document.querySelectorAll('.takes-it')) target.classList.remove('takes-it');
    this.done();
  }
}

export const piece: Piece = (page, { say }) => {
  let carrying: Carrying | undefined;
  const begin = (carrier: CarryingElement): Carrying => {
    carrying = new Carrying(carrier, say, () => {
      carrying = undefined;
    });
    return carrying;
  };

  page.addEventListener('pointerdown', (event) => {
    const carrier = carrierOf(event.target);
    if (!carrier || event.button !== 0 || carrying) return;
    const ending = new AbortController();
    const { signal } = ending;
    const byFinger = event.pointerType === 'touch';
    const resting = byFinger
      ? setTimeout(() => begin(carrier).moveTo(event.clientX, event.clientY), rests)
      : undefined;
    const stop = () => {
      clearTimeout(resting);
      ending.abort();
    };
    const move = ({ clientX, clientY }: PointerEvent) => {
      const far = Math.hypot(clientX - event.clientX, clientY - event.clientY) > least;
      // A finger that moves before it has rested scrolls.
      if (!carrying && far && byFinger) stop();
      else if (carrying || far) (carrying ?? begin(carrier)).moveTo(clientX, clientY);
    };
    page.addEventListener('pointermove', move, { signal });
    page.addEventListener(
      'pointerup',
      () => {
        stop();
        if (!carrying) return;
        notPressed(page);
        carrying.letGo();
      },
      { signal },
    );
    page.addEventListener(
      'pointercancel',
      () => {
        stop();
        carrying?.end();
      },
      { signal },
    );
  });
  page.addEventListener('touchmove', (event) => carrying && event.preventDefault(), { passive: false });
  page.addEventListener('dragstart', (event) => carrierOf(event.target) && event.preventDefault());
  page.addEventListener(
    'keydown',
    (event) => {
      const carrier = event.target as CarryingElement;
      if (!carrying) {
        if (event.key !== ' ' || carrier.dataset?.carries === undefined) return;
        event.preventDefault();
        begin(carrier);
        say('Taken up. The arrow keys move it, Tab goes to the next list, Space lets go, Escape leaves it.');
        return;
      }
      event.preventDefault();
      event.stopPropagation();
      if (event.key === 'Escape') carrying.end();
      else if (event.key === ' ' || event.key === 'Enter') carrying.letGo();
      else if (event.key === 'Tab') carrying.toNext(event.shiftKey ? -1 : 1);
      else if (event.key === 'ArrowUp' || event.key === 'ArrowLeft') carrying.step(-1);
      else if (event.key === 'ArrowDown' || event.key === 'ArrowRight') carrying.step(1);
    },
    true,
  );
};

/** The click that follows on a pointer that lets go: what was dragged was not pressed. */
function notPressed(page: Document): void {
  const ending = new AbortController();
  page.addEventListener('click', (click) => click.stopPropagation(), {
    capture: true,
    signal: ending.signal,
  });
  // It comes before anything else does, or not at all.
  setTimeout(() => ending.abort());
}
