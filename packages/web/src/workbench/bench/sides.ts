/** How large bays of other sizes are drawn, and which of them. */
import type { ScreenSize } from '../../sizes.ts';

/** What can still be read, and as much as there is need of beside the working bay. */
const readable = 0.35;
const ample = 0.6;
/** Between two bays, px. */
const gap = 24;

/**
 * @param sizes the working bay's first.
 * @param space `room`: the width of the bench; `taken`: what the working bay has of it, px.
 * @returns the scale of all others, and those that would show what the working bay shows.
 */
export function sidesShown(
  sizes: readonly ScreenSize[],
  { room, taken }: { readonly room: number; readonly taken: number },
): { readonly scale: number; readonly hidden: ReadonlySet<ScreenSize> } {
  const [working, ...sides] = sizes;
  const hidden = new Set(
    sides.filter(
      (side) =>
        side.width === working?.width &&
        side.height === working.height &&
        side.screen === undefined &&
        side.sample === working.sample,
    ),
  );
  const shown = sides.filter((side) => !hidden.has(side));
  const widths = shown.reduce((sum, { width }) => sum + width, 0);
  if (widths === 0) return { scale: readable, hidden };
  // Beside the working bay where the first of them can be read there, otherwise below it.
  const left = room - taken - gap;
  const isBeside = left >= readable * (shown[0]?.width ?? 0);
  const across = (isBeside ? left : room) - gap * (shown.length - 1);
  return { scale: Math.max(readable, Math.min(ample, across / widths)), hidden };
}
