/** Says that what runs is older than the project, and takes the newest version into the running application. */
import { RefreshCw } from 'lucide-react';
import { useEffect, useRef } from 'react';

/** Milliseconds that the project must rest before a new version is taken by itself. */
const rest = 600;

interface NewVersionProps {
  /** The version that there is. */
  readonly version: number;
  /** It is taken by itself. */
  readonly follows: boolean;
  readonly onTake: () => void;
}

export function NewVersion({ version, follows, onTake }: NewVersionProps) {
  const take = useRef(onTake);
  take.current = onTake;
  // biome-ignore lint/correctness/useExhaustiveDependencies: another version begins the rest anew.
  useEffect(() => {
    if (!follows) return undefined;
    const timer = setTimeout(() => take.current(), rest);
    return () => clearTimeout(timer);
  }, [version, follows]);
  if (follows) return null;
  return (
    <div
      role="status"
      className="flex items-center gap-3 border-b border-rule bg-sheet px-4 py-1.5 text-[12.5px]"
    >
      <p className="min-w-0 flex-1">
        The project has changed: what runs here is the version before. The new one keeps what was entered, and
        the screen.
      </p>
      <button type="button" className="btn !h-6 text-[12px]" onClick={onTake}>
        <RefreshCw size={13} aria-hidden /> Take the new version
      </button>
    </div>
  );
}
