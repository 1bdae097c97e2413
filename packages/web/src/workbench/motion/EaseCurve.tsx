/** An easing as its curve: time from left to right, how far from bottom to top. */
import { easingOf } from '@hovrin/core';

const side = 56;
/** What is kept free above and below, for easings that go beyond. */
const around = 14;

export function EaseCurve({ ease }: { readonly ease: string }) {
  const easing = easingOf(ease);
  if (!easing) return null;
  const points = Array.from({ length: 61 }, (_, step) => {
    const part = step / 60;
    const y = around + side * (1 - easing(part));
    return `${(part * side).toFixed(1)} ${Math.max(-1, Math.min(side + 2 * around + 1, y)).toFixed(1)}`;
  });
  return (
    <svg
      width={side}
      height={side + 2 * around}
      role="img"
      aria-label={`The curve of ${ease}`}
      className="shrink-0 rounded-sm bg-sunk text-spruce"
    >
      <path
        d={`M0 ${around}H${side}M0 ${around + side}H${side}`}
        stroke="var(--rule)"
        strokeWidth="1"
        fill="none"
      />
      <path d={`M${points.join('L')}`} stroke="currentColor" strokeWidth="2" fill="none" />
    </svg>
  );
}
