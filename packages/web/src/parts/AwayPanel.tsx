/** The edge of a panel that is put away: pressed, the panel comes back. */
import { ChevronLeft, ChevronRight } from 'lucide-react';

interface AwayPanelProps {
  /** What comes back. */
  readonly label: string;
  /** Its key, as a person reads it. */
  readonly keys: string;
  readonly side: 'left' | 'right';
  readonly onBack: () => void;
}

export const AwayPanel = ({ label, keys, side, onBack }: AwayPanelProps) => (
  <button
    type="button"
    aria-label={`Show ${label}`}
    title={`Show ${label} (${keys})`}
    className={`grid w-6 shrink-0 place-items-center bg-sheet text-quiet hover:bg-sunk hover:text-ink ${side === 'left' ? 'border-r' : 'border-l'} border-rule`}
    onClick={onBack}
  >
    {side === 'left' ? <ChevronRight size={14} /> : <ChevronLeft size={14} />}
  </button>
);
