/** F6 goes from region to region of a place: its header, columns, bench, drawer, Facts. */

const focusable =
  'a[href], button:not(:disabled), input:not(:disabled), select:not(:disabled), textarea:not(:disabled), [tabindex]';

/** What has the keys when one comes to a region: what had them last, or the first thing in it. */
const lastIn = new WeakMap<Element, HTMLElement>();

if (typeof document !== 'undefined')
  document.addEventListener('focusin', ({ target }) => {
    const region = target instanceof HTMLElement ? target.closest('[data-region]') : null;
    if (region && target instanceof HTMLElement && target !== region) lastIn.set(region, target);
  });

const isSeen = (element: HTMLElement): boolean => element.getClientRects().length > 0;

/** Gives the keys to the next region, or the one before. @returns the region's name; undefined where there is none. */
export function goToRegion(by: 1 | -1): string | undefined {
  const regions = [...document.querySelectorAll<HTMLElement>('[data-region]')].filter(isSeen);
  if (regions.length === 0) return undefined;
  const at = regions.findLastIndex((region) => region.contains(document.activeElement));
  const next = regions[(at + by + regions.length + (at < 0 && by < 0 ? 1 : 0)) % regions.length];
  if (!next) return undefined;
  const last = lastIn.get(next);
  const first =
    next.querySelector<HTMLElement>('[data-region-begin]') ??
    [...next.querySelectorAll<HTMLElement>(focusable)].find(
      (element) => element.tabIndex >= 0 && isSeen(element),
    );
  const target = last?.isConnected && next.contains(last) && isSeen(last) ? last : (first ?? next);
  if (target === next && !next.hasAttribute('tabindex')) next.tabIndex = -1;
  target.focus();
  return next.dataset.region;
}
