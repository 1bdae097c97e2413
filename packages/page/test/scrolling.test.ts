/** What scrolls a screen, and which scrollers the focus stops at: measures are given, as there is no layout here. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { one, shown } from './page.ts';

/** Sizes of an element: what is seen of it, and what it holds; px. */
function sized(element: HTMLElement, seen: number, held: number): void {
  for (const [name, value] of Object.entries({
    clientHeight: seen,
    scrollHeight: held,
    clientWidth: 9,
    scrollWidth: 9,
  }))
    Object.defineProperty(element, name, { value, configurable: true });
}

/** A browser's observer of sizes: it tells of what it watches when it is asked to. */
class Observer {
  static last: Observer | undefined;
  readonly watched: Element[] = [];
  constructor(private readonly told: (entries: { target: Element }[]) => void) {
    Observer.last = this;
  }
  observe(element: Element): void {
    this.watched.push(element);
  }
  tell(...targets: Element[]): void {
    this.told(targets.map((target) => ({ target })));
  }
}

type Scrolling = typeof import('../src/scrolling.ts');
let scrolling: Scrolling;
beforeEach(async () => {
  vi.stubGlobal('ResizeObserver', Observer);
  vi.resetModules();
  scrolling = await import('../src/scrolling.ts');
});
afterEach(() => vi.unstubAllGlobals());

it('the focus stops at what hides some of what it holds, as long as it does', () => {
  const screen = shown(
    '<main><div data-scrolls><p></p></div><div data-scrolls></div><div id="other"></div></main>',
  );
  scrolling.followScrollers(screen);
  const [first, empty] = screen.querySelectorAll<HTMLElement>('[data-scrolls]');
  const observer = Observer.last!;
  // What is in it may grow while it stays as large as it is.
  expect(observer.watched).toEqual([first, one('p'), empty]);
  sized(first!, 100, 101);
  observer.tell(one('p'));
  expect(first!.tabIndex).toBe(0);
  sized(first!, 100, 100);
  observer.tell(first!);
  expect(first!.hasAttribute('tabindex')).toBe(false);
  sized(empty!, 0, 0);
  observer.tell(empty!, one('#other'));
  expect(screen.querySelectorAll('[tabindex]')).toHaveLength(0);
});

it('a screen with bars scrolls between them, one without as a whole, and a dialog is another matter', () => {
  document.body.innerHTML =
    '<div class="k-screen"><div class="part-middle"><main class="part-body"></main></div></div>';
  const body = one('.part-body');
  body.scrollTo = ((_: number, top: number) => {
    body.scrollTop = top;
  }) as typeof body.scrollTo;
  scrolling.scrollScreen(70);
  expect([body.scrollTop, scrolling.scrolled()]).toEqual([70, 70]);
  document.body.innerHTML =
    '<main class="k-screen"></main><dialog><div class="k-screen"><div class="part-middle"><div class="part-body"></div></div></div></dialog>';
  document.documentElement.scrollTop = 12;
  expect(scrolling.scrolled()).toBe(12);
});
