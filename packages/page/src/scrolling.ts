/** What scrolls on a page: the page as a whole, or what a screen with bars has between them, and scrollers inside. */

/** What scrolls the content of the screen that is on the page; it may be another one when the screen changes. */
const scroller = (): Element =>
  document.querySelector('body > .k-screen > .part-middle > .part-body') ?? document.documentElement;

/** How far the screen is scrolled, px from its top. */
export const scrolled = (): number => scroller().scrollTop;

/** Scrolls the screen, at once. */
export const scrollScreen = (top: number): void => scroller().scrollTo(0, top);

/** Whether some of what an element holds is out of sight. */
const hides = ({ scrollHeight, clientHeight, scrollWidth, clientWidth }: Element): boolean =>
  scrollHeight > clientHeight || scrollWidth > clientWidth;

/** Something scrolls with the keys of a keyboard where it has the focus; what has nothing to scroll is no stop of Tab. */
const followed = new ResizeObserver((entries) => {
  for (const { target } of entries) {
    const scrolls = target.closest<HTMLElement>('[data-scrolls]');
    if (scrolls && hides(scrolls)) scrolls.tabIndex = 0;
    else scrolls?.removeAttribute('tabindex');
  }
});

/** Keeps up, for all scrollers inside an element, whether they can take the focus. */
export function followScrollers(inside: ParentNode): void {
  for (const scrolls of inside.querySelectorAll('[data-scrolls]')) {
    followed.observe(scrolls);
    // It is as large as it was when there is more in it.
    if (scrolls.firstElementChild) followed.observe(scrolls.firstElementChild);
  }
}
