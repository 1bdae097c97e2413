import type { Tracing } from '../bench/tracing.ts';

/** The picture that one builds after. */
export function TracedPicture({ tracing, address }: { tracing: Tracing; address: string | undefined }) {
  const { mode, amount, scale, x, y } = tracing;
  if (address === undefined) return null;
  return (
    <img
      src={address}
      alt=""
      data-traced={mode}
      className="absolute max-w-none"
      style={{
        left: x,
        top: y,
        transform: `scale(${scale})`,
        transformOrigin: '0 0',
        opacity: mode === 'under' || mode === 'blend' ? amount : 1,
        clipPath: mode === 'wipe' ? `inset(0 ${(1 - amount) * 100}% 0 0)` : undefined,
        mixBlendMode: mode === 'difference' ? 'difference' : undefined,
      }}
    />
  );
}
