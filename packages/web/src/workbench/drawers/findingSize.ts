/** At which size a finding is seen. */
import type { Finding } from '@hovrin/core';

interface Size {
  readonly width: number;
  readonly height: number;
}

/**
 * The nearest size at which a finding happens.
 *
 * @param now the working size.
 * @returns undefined where it happens at that width.
 */
export function sizeOf(where: Finding['where'], now: Size | undefined): Partial<Size> | undefined {
  const at = where.find(({ textScale }) => textScale === 1) ?? where[0];
  if (!now || !at || where.some(({ from, to }) => from <= now.width && now.width <= to)) return undefined;
  const { from, to, orientation } = at;
  const near = Math.abs(from - now.width) < Math.abs(to - now.width) ? Math.ceil(from) : Math.floor(to);
  const isTurned = orientation === 'portrait' ? now.height < near : now.height >= near;
  if (!isTurned) return { width: near };
  return { width: near, height: orientation === 'portrait' ? near * 2 : near / 2 };
}
