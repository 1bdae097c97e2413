/** Lists that stay at their end: what comes there is seen at once, unless a person has gone back to read. */
import type { Piece } from './piece.ts';

/** A scroller this near to its end is at it, px. */
const near = 2;

export const piece: Piece = (_, { asItShows }) => {
  asItShows((__, element) => {
    const ends = [...element.querySelectorAll<HTMLElement>('[data-end]')].map(stay);
    return () => {
      for (const end of ends) end();
    };
  });
};

/** Keeps a scroller at its end. @returns what leaves it alone. */
function stay(scrolls: HTMLElement): () => void {
  const inside = scrolls.firstElementChild;
  let isAtEnd = true;
  const look = () => {
    const { scrollTop, scrollHeight, clientHeight, scrollWidth, clientWidth, scrollLeft } = scrolls;
    isAtEnd =
      scrollHeight - clientHeight - scrollTop <= near &&
      scrollWidth - clientWidth - Math.abs(scrollLeft) <= near;
  };
  const go = () => {
    if (!isAtEnd) return;
    const isFromRight = getComputedStyle(scrolls).direction === 'rtl';
    scrolls.scrollTo(isFromRight ? -scrolls.scrollWidth : scrolls.scrollWidth, scrolls.scrollHeight);
  };
  const sizes = new ResizeObserver(go);
  sizes.observe(scrolls);
  if (inside) sizes.observe(inside);
  scrolls.addEventListener('scroll', look);
  return () => {
    sizes.disconnect();
    scrolls.removeEventListener('scroll', look);
  };
}
